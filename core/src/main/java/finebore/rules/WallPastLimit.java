package finebore.rules;

import finebore.code.Term;
import finebore.cutting.TakeWallBack;
import finebore.finding.FindingCode;
import finebore.job.Job;
import finebore.planning.SeatRoom;
import finebore.planning.WallLimits;
import finebore.practice.Finding;
import finebore.room.Around;
import finebore.room.Room;
import finebore.room.WallLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The chamber's wall is taken back into the metal before the water, or round the plug's thread. */
final class WallPastLimit implements PlanRule {

  @Override
  public List<Finding> of(PlanCase plan) {
    Job job = plan.cut().job();
    Optional<Room> room =
        plan.plan().operations().stream().anyMatch(TakeWallBack.class::isInstance)
            ? SeatRoom.found(job, plan.outcome().place())
            : Optional.empty();
    if (room.isEmpty()) {
      return List.of();
    }
    List<List<WallLimit>> limits = WallLimits.all(job, plan.outcome().place(), room.get());
    List<Finding> found = new ArrayList<>();
    for (int k = 0; k < plan.plan().operations().size(); k++) {
      if (plan.plan().operations().get(k) instanceof TakeWallBack taken) {
        past(found, plan, k, taken, limits, WallLimit.By.WATER, FindingCode.WALL_INTO_WATER);
        past(found, plan, k, taken, limits, WallLimit.By.PLUG, FindingCode.WALL_INTO_PLUG);
      }
    }
    return found;
  }

  private static void past(
      List<Finding> found,
      PlanCase plan,
      int operation,
      TakeWallBack taken,
      List<List<WallLimit>> limits,
      WallLimit.By by,
      FindingCode code) {
    double most = 0;
    int where = 0;
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      for (WallLimit limit : limits.get(d)) {
        double past = taken.wallMm() - limit.mm();
        if (limit.by() == by && taken.isAt(Around.hour(d)) && past > most) {
          most = past;
          where = d;
        }
      }
    }
    if (most > 0) {
      found.add(
          plan.fault(code, plan.operation(operation))
              .with("past", Term.length(most))
              .with("hour", Term.clock(Around.hour(where)))
              .by(most));
    }
  }
}
