package finebore.rules;

import finebore.practice.Finding;
import java.util.List;

/** One thing that can be the matter with a plan carried out on a seat. */
interface PlanRule {

  /** What it finds; nothing where all is well. */
  List<Finding> of(PlanCase plan);
}
