package finebore.rules;

import finebore.practice.Finding;
import java.util.List;

/** One thing that can be the matter with a valve on a seat. */
interface SeatRule {

  /** What it finds; nothing where all is well. */
  List<Finding> of(SeatCase seat);
}
