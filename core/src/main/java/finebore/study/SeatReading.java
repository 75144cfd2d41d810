package finebore.study;

import java.util.OptionalDouble;

/** A reading that follows from a valve on a seat alone, with its formula. */
interface SeatReading {

  ReadingKind kind();

  /** Its value in the core unit of its dimension; empty where there is none. */
  OptionalDouble of(SeatFit fit);
}
