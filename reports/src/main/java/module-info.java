/** What is printed and exported of a job: studies, cut sheets, comparisons. */
module finebore.reports {
  requires transitive finebore.words;
  requires org.apache.commons.csv;
  requires tools.jackson.databind;
  requires java.desktop;
  requires java.logging;
  requires com.ibm.icu;
  requires org.apache.pdfbox;
  // What the PDF library logs with; it does not ask for it itself.
  requires org.apache.commons.logging;

  exports finebore.reports;
  exports finebore.drawing;
  exports finebore.card;
}
