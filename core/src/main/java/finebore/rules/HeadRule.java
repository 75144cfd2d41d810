package finebore.rules;

import finebore.practice.Finding;
import java.util.List;

/** One thing that can be the matter with what was read of a head. */
interface HeadRule {

  /** What it finds; nothing where all is well. */
  List<Finding> of(HeadCase head);
}
