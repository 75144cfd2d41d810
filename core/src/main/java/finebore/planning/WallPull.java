package finebore.planning;

import finebore.cutting.Operation;
import finebore.cutting.TakeWallBack;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.room.Around;
import finebore.room.Room;
import finebore.room.WallLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** A plan whose chamber wall is pulled back to a place. */
public final class WallPull {

  /** A wall that nobody has taken back yet goes back so far to either side, hours. */
  private static final double SPREAD = 1;

  private WallPull() {}

  /**
   * The plan with its wall at an hour so far from the valve's axis, but never past its limit: the
   * last operation that takes it back there is changed, or one is added.
   */
  public static Plan on(
      Plan plan, Job job, SeatPlace place, Room room, double hour, double wallMm) {
    List<Operation> operations = new ArrayList<>(plan.operations());
    int at =
        IntStream.range(0, operations.size())
            .filter(k -> operations.get(k) instanceof TakeWallBack t && t.isAt(hour))
            .reduce((a, b) -> b)
            .orElse(-1);
    TakeWallBack taken =
        at >= 0
            ? (TakeWallBack) operations.get(at)
            : new TakeWallBack(hours(hour - SPREAD), hours(hour + SPREAD), wallMm);
    double limit = limitMm(taken, WallLimits.of(job, place, room));
    TakeWallBack changed =
        new TakeWallBack(
            taken.fromClock(), taken.toClock(), Math.floor(10 * Math.min(wallMm, limit)) / 10);
    return at >= 0
        ? plan.withOperationAt(at, changed)
        : plan.withOperation(operations.size(), changed);
  }

  private static double limitMm(TakeWallBack taken, List<WallLimit> limits) {
    return IntStream.range(0, Around.DIRECTIONS)
        .filter(d -> taken.isAt(Around.hour(d)))
        .mapToDouble(d -> limits.get(d).mm())
        .min()
        .orElse(limits.getFirst().mm());
  }

  private static double hours(double hour) {
    double turned = hour % 12;
    return Math.round(10 * (turned < 0 ? turned + 12 : turned)) / 10.0;
  }
}
