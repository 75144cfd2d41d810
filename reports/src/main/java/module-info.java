/** What is printed and exported of a job: studies, cut sheets, comparisons. */
module finebore.reports {
  requires transitive finebore.words;
  requires org.apache.commons.csv;
  requires tools.jackson.databind;
  requires java.desktop;

  exports finebore.reports;
}
