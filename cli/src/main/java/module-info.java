/** The commands that need no window. */
module finebore.cli {
  requires finebore.core;
  requires finebore.formats;
  requires finebore.words;
  requires finebore.reports;
  requires transitive info.picocli;

  exports finebore.cli;

  opens finebore.cli to
      info.picocli;
}
