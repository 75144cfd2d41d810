package finebore.code;

import finebore.units.Dimension;
import java.util.List;

/** One thing that a message speaks of, before it is put into words and units. */
public sealed interface Term {

  /**
   * A figure.
   *
   * @param value in the dimension's core unit
   */
  record Figure(Dimension dimension, double value) implements Term {}

  /**
   * A thing with a name of its own.
   *
   * @param otherwise what it is called where the languages have no name for it
   */
  record Name(Coded coded, String otherwise) implements Term {}

  /** A message within a message. */
  record Phrase(Message message) implements Term {}

  /** Several, listed one after the other. */
  record Each(List<Term> terms) implements Term {
    public Each {
      terms = List.copyOf(terms);
    }
  }

  /** What a user or an outside program has written; never translated. */
  record Quote(String text) implements Term {}

  static Term length(double mm) {
    return new Figure(Dimension.LENGTH, mm);
  }

  /** A length of which thousandths count. */
  static Term fineLength(double mm) {
    return new Figure(Dimension.FINE_LENGTH, mm);
  }

  static Term angle(double deg) {
    return new Figure(Dimension.ANGLE, deg);
  }

  static Term share(double share) {
    return new Figure(Dimension.SHARE, share);
  }

  static Term count(double count) {
    return new Figure(Dimension.COUNT, count);
  }

  static Term clock(double hours) {
    return new Figure(Dimension.CLOCK, hours);
  }

  static Term name(Coded coded) {
    return new Name(coded, coded.code());
  }

  static Term phrase(Message message) {
    return new Phrase(message);
  }

  static Term quote(String text) {
    return new Quote(text);
  }
}
