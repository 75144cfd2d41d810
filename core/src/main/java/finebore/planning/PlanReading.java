package finebore.planning;

import finebore.study.ReadingKind;
import java.util.OptionalDouble;

/** A reading that follows from a plan carried out on a seat of a job, with its formula. */
interface PlanReading {

  ReadingKind kind();

  /** Whether it changes with the chamber's walls alone, the seat being cut as it was. */
  default boolean hangsOnWalls() {
    return false;
  }

  /** Its value in the core unit of its dimension; empty where it cannot be told. */
  OptionalDouble of(CutStudy cut);
}
