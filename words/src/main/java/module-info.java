/** Codes and figures turned into sentences, in the user's language and units. */
module finebore.words {
  requires transitive finebore.core;
  requires transitive finebore.formats;
  requires finebore.instruments;
  requires com.ibm.icu;

  exports finebore.words;
}
