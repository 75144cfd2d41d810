/** Files: the job file, practices, study reports and cut sheets. */
module finebore.formats {
  requires transitive finebore.core;
  requires tools.jackson.databind;
  requires org.apache.commons.csv;
  requires java.xml;

  exports finebore.formats;
}
