package finebore.desk.session;

import finebore.machine.ReadingDoubt;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.ReadBack;

/** Says why a reading is questioned. */
public final class DoubtWords {

  private DoubtWords() {}

  /**
   * The sentence beside its field.
   *
   * @param value what was read, in the core's unit
   * @param expected what it is held against, in the same
   */
  public static String why(
      ReadingDoubt doubt, ReadBack what, double value, double expected, Words words) {
    Dimension dimension = what.quantity().dimension();
    return words.text(
        doubt.code() + ".why",
        "value",
        words.figure(dimension, value),
        "expected",
        words.figure(dimension, expected),
        "other",
        words.figure(dimension, ReadingDoubt.inOtherUnit(value, expected)));
  }
}
