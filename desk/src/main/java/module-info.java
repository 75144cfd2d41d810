/** The desk: the window, its stations and its drawing. */
module finebore.desk {
  requires finebore.core;
  requires finebore.formats;
  requires finebore.instruments;
  requires finebore.words;
  requires finebore.reports;
  requires finebore.cli;
  requires info.picocli;
  requires java.desktop;
  requires java.logging;
  requires javafx.controls;
  requires javafx.swing;
  requires atlantafx.base;

  opens finebore.desk to
      info.picocli,
      javafx.graphics;
}
