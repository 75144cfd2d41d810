package finebore.formats;

import finebore.bench.BenchBook;
import finebore.flow.CamLift;
import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.JobIdentity;
import finebore.job.JobSettings;
import finebore.job.PistonSide;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A job to begin with: a plain four-cylinder with middling valves, every number there to be
 * overwritten.
 */
public final class NewJob {

  private NewJob() {}

  /**
   * A new job.
   *
   * @param name in the user's language
   */
  public static Job of(Units units, String name) {
    Group intake = group(40, 7, 0.87, 10);
    Group exhaust = group(34, 7, 0.85, 10);
    Engine engine =
        new Engine(4, 1, 1, 84, 80, 6000, OptionalDouble.empty(), OptionalDouble.empty());
    return new Job(
        new JobIdentity(name, "", ""),
        new JobSettings(units, "road", TestPlan.usual(units, 10)),
        engine,
        Head.UNKNOWN,
        intake,
        exhaust,
        Map.of(),
        BenchBook.EMPTY,
        WorkLog.EMPTY,
        ShopSettings.USUAL);
  }

  private static Group group(double headMm, double stemMm, double throatShare, double liftMm) {
    double throat = throatShare * headMm;
    List<Cut> cuts = List.of(new Cut(30, 1), new Cut(45, 1.5), new Cut(60, 1.2));
    Seat seat = Seat.of(cuts, 1, headMm - 0.6, 8, throat, 2.5, throat + 1, 14, 12);
    Valve valve = new Valve(headMm, 1.5, 45, 2.2, List.of(), new Underhead(15, 9), stemMm, 0);
    Pairing pairing = new Pairing(seat, valve);
    return new Group(
        pairing,
        List.of(Plan.asFound(pairing)),
        0,
        new CamLift(liftMm, 260),
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        PistonSide.UNKNOWN);
  }
}
