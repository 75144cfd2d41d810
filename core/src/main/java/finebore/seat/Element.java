package finebore.seat;

import finebore.code.Term;
import java.util.List;

/** A stretch of the profile of a seat or a cutter, from the chamber to the port. */
public sealed interface Element permits Cut, Arc {

  /** The cuts that make it up, chamber first. */
  List<Cut> cuts();

  /** How it is spoken of: a cut by its angle, an arc by its radius and angles. */
  Term term();
}
