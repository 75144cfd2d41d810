package finebore.code;

/**
 * Something that has a name in every language the program speaks. Its code stays the same whatever
 * the language, and is what the languages' files list it under.
 */
public interface Coded {

  /** Lower-case parts with dots between them, for example {@code reading.throatRatio}. */
  String code();
}
