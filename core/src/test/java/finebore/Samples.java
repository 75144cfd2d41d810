package finebore;

import finebore.bench.BenchBook;
import finebore.finding.Basis;
import finebore.flow.Bands;
import finebore.flow.Calibration;
import finebore.flow.CamLift;
import finebore.found.SeatReadings;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.JobIdentity;
import finebore.job.JobSettings;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.planning.PlanStudy;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** Seats and valves that several tests use. */
public final class Samples {

  private Samples() {}

  /**
   * 42 mm valve, 45 degree face 1.6 mm wide with a 30 degree back cut of 1.5 mm, underhead cone of
   * 15 degrees.
   */
  public static Valve backCutValve() {
    return new Valve(42, 1.2, 45, 1.6, List.of(new Cut(30, 1.5)), new Underhead(15, 8), 7, 0);
  }

  /** The same valve without its back cut, the face 2.4 mm wide. */
  public static Valve plainValve() {
    return new Valve(42, 1.2, 45, 2.4, List.of(), new Underhead(15, 8), 7, 0);
  }

  /** 30/45/60/75, 1.0/1.2/1.4/1.5 mm, over a straight throat that is a share of a 42 mm valve. */
  public static Seat fourAngles(double throatShare) {
    List<Cut> cuts = List.of(new Cut(30, 1), new Cut(45, 1.2), new Cut(60, 1.4), new Cut(75, 1.5));
    return Seat.of(cuts, 1, 41.25, 10, throatShare * 42, 10, throatShare * 42, 20, 0);
  }

  /**
   * One 45 degree cut 2.0 mm wide over a square step to a straight throat of 0.85 of a 42 mm valve.
   */
  public static Seat oneSharpAngle() {
    List<Cut> cuts = List.of(new Cut(45, 2.0), new Cut(90, 1.2));
    return Seat.of(cuts, 0, 41.25, 10, 0.85 * 42, 10, 0.85 * 42, 20, 0);
  }

  public static Pairing pairing() {
    return new Pairing(fourAngles(0.89), backCutValve());
  }

  public static TestPlan test() {
    return new TestPlan(List.of(1.0, 2.0, 3.0, 5.0, 8.0, 11.0), 28 * 249.08891, Bands.USUAL);
  }

  /** A made-up single with the same seat found and planned. */
  public static Job job() {
    Group group =
        Group.of(
            pairing(),
            pairing(),
            new CamLift(10.5, 270),
            OptionalDouble.of(20),
            OptionalDouble.of(12));
    Engine engine = new Engine(1, 1, 1, 86, 86, 6500, OptionalDouble.of(40), OptionalDouble.of(44));
    return new Job(
        new JobIdentity("Basalt 500", "bench", ""),
        new JobSettings(Units.MM, "sample", test()),
        engine,
        Head.UNKNOWN,
        group,
        group,
        Map.of(),
        BenchBook.EMPTY,
        WorkLog.EMPTY,
        ShopSettings.USUAL);
  }

  /** The seat of an intake valve as found, in a job of its own. */
  public static SeatStudy study(Pairing pairing) {
    Job job = job();
    return found(job.withGroup(Port.INTAKE, job.intake().withFound(pairing)));
  }

  /** The first intake seat of a job as found. */
  public static SeatStudy found(Job job) {
    return PlanStudy.asFound(job, job.engine().seats().getFirst(), Calibration.UNCALIBRATED);
  }

  /** The plan of the first intake seat of a job. */
  public static PlanStudy planned(Job job) {
    SeatPlace place = job.engine().seats().getFirst();
    return PlanStudy.of(job, place, job.planOf(place), found(job));
  }

  /** A practice with one range for each reading that findings are made of. */
  public static Practice practice() {
    Map<ReadingKind, Range> wanted =
        Map.of(
            ReadingKind.THROAT_RATIO, range(0.87, 0.90),
            ReadingKind.SEAT_WIDTH, range(1.0, 1.5),
            ReadingKind.CONTACT_CENTRE, range(0.35, 0.65),
            ReadingKind.FACE_WIDTH, range(1.4, 2.0),
            ReadingKind.MARGIN, range(1.0, 2.0),
            ReadingKind.LAST_CUT, range(60, 77),
            ReadingKind.ANGLE_STEP, range(5, 20),
            ReadingKind.BACK_CUT, range(25, 35),
            ReadingKind.OVERHANG, range(0.1, 0.7),
            ReadingKind.RETAINER, range(1.0, 20));
    return new Practice("sample", "Sample", "For tests.", wanted, wanted);
  }

  public static Range range(double min, double max) {
    return Range.of(min, max, Basis.COMMON_PRACTICE);
  }

  /** One worn 45 of 2.2 mm, 7 below the face, roof at 10 degrees. */
  public static final Seat WORN =
      Seat.of(List.of(new Cut(45, 2.2)), 0, 38.4, 7, 34.9, 4, 35.2, 13, 10);

  /** Three angles from the same edge, 0.4 deeper. */
  public static final Seat TRUED =
      Seat.of(
          List.of(new Cut(30, 0.8), new Cut(45, 1.3), new Cut(60, 1.4)),
          1,
          38.4,
          7.4,
          35.0,
          3,
          36,
          13,
          10);

  /** A valve for both. */
  public static final Valve VALVE_39 =
      new Valve(39, 1.4, 45, 2.1, List.of(new Cut(30, 1)), new Underhead(14, 9), 7, 0);

  /** The single with other intake seats, found and wanted, under the same valve. */
  public static Job job(Seat found, Seat wanted, SeatReadings readings) {
    Job job = job();
    var group =
        job.intake()
            .withFound(new Pairing(found, VALVE_39))
            .withPlanned(new Pairing(wanted, VALVE_39));
    return job.withGroup(Port.INTAKE, group).withHead(job.head().withReadings("I1", readings));
  }
}
