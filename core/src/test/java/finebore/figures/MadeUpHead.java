package finebore.figures;

import finebore.Samples;
import finebore.bench.Air;
import finebore.bench.BenchBook;
import finebore.bench.BenchRange;
import finebore.bench.BenchReading;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.PlateCheck;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.flow.CamLift;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;

/** Heads with everything measured, planned and flowed, no two figures of which are alike. */
final class MadeUpHead {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  private final Random random;

  private MadeUpHead(long seed) {
    this.random = new Random(seed);
  }

  static Job of(long seed) {
    return new MadeUpHead(seed).job();
  }

  /** A figure to a hundredth, so that the files can be followed by hand. */
  private double about(double middle, double by) {
    return Math.round((middle + (2 * random.nextDouble() - 1) * by) * 100) / 100.0;
  }

  private OptionalDouble some(double middle, double by) {
    return OptionalDouble.of(about(middle, by));
  }

  private Job job() {
    int cylinders = 1 + random.nextInt(2);
    Engine engine =
        new Engine(
            cylinders,
            1 + random.nextInt(2),
            1,
            about(88, 3),
            about(80, 4),
            about(6400, 300),
            some(20.0 * cylinders, 3),
            some(40.0 * cylinders, 9));
    Group intake = group(36);
    Group exhaust = group(31);
    Job job =
        Samples.job()
            .withEngine(engine)
            .withIntake(intake)
            .withExhaust(exhaust)
            .withHead(head(engine));
    for (SeatPlace place : job.engine().seats()) {
      job = measured(job, place);
    }
    job = onTheEngine(job);
    SeatPlace last = job.engine().seats().getLast();
    Pairing wanted = job.group(last.port()).plans().getFirst().wanted();
    job = job.withException(last, Plan.of(wanted, operations(wanted.seat())));
    return job.withBench(bench(job));
  }

  /** Read of valves and runners, not of seats. */
  private static final Set<Measure> OF_THE_ENGINE =
      EnumSet.of(
          Measure.VALVE_LENGTH,
          Measure.PISTON_CLEARANCE,
          Measure.VALVE_CLEARANCE,
          Measure.MANIFOLD_FLOW,
          Measure.THROTTLE_FLOW);

  /** Pistons and cams; what was measured on the engine, of the first seat and the last. */
  private static Job onTheEngine(Job job) {
    Head head = job.head();
    SeatPlace first = job.engine().seats().getFirst();
    SeatPlace last = job.engine().seats().getLast();
    head = with(head, first, Measure.VALVE_LENGTH, 108.3);
    head = with(head, first, Measure.MANIFOLD_FLOW, 0.093);
    head = with(head, first, Measure.THROTTLE_FLOW, 0.121);
    head = with(head, first, Measure.LEAN_ALONG, 2.3);
    head = with(head, last, Measure.PISTON_CLEARANCE, 2.62);
    return job.withHead(head)
        .withEngine(
            job.engine()
                .withPistons(
                    new Pistons(
                        OptionalDouble.of(1.71 * job.engine().strokeMm()),
                        OptionalDouble.of(0.4),
                        OptionalDouble.of(1.1))))
        .withIntake(job.intake().withPistonSide(side(108, 0.2, 4.2, 21, 7)))
        .withExhaust(job.exhaust().withPistonSide(side(112, 0.3, 3.4, 18, 6)));
  }

  private static PistonSide side(
      double centre, double lash, double depth, double radius, double angle) {
    return new PistonSide(
        OptionalDouble.of(centre),
        OptionalDouble.of(lash),
        OptionalDouble.of(depth),
        OptionalDouble.of(radius),
        OptionalDouble.of(angle));
  }

  private Group group(double head) {
    Pairing found = found(head);
    Pairing wanted = wanted(found);
    Group group =
        Group.of(
            found,
            wanted,
            new CamLift(about(10, 1.5), about(270, 12)),
            some(head / 2, 2),
            some(12, 1));
    return group.withPlans(List.of(Plan.of(wanted, operations(wanted.seat()))));
  }

  private Pairing found(double head) {
    double across = about(head - 0.6, 0.3);
    Seat seat =
        Seat.of(
            List.of(new Cut(about(32, 3), about(0.8, 0.3)), new Cut(45, about(1.9, 0.3))),
            1,
            across,
            about(8, 0.8),
            about(0.84 * head, 0.4),
            about(5, 1),
            about(0.86 * head, 0.8),
            about(16, 2),
            about(9, 5));
    Valve valve =
        new Valve(
            head,
            about(1.3, 0.3),
            45,
            about(2.3, 0.2),
            List.of(),
            new Underhead(about(14, 4), about(7, 2)),
            about(7, 0.5),
            0);
    return new Pairing(seat, valve);
  }

  private Pairing wanted(Pairing found) {
    double head = found.valve().headDiameterMm() + 0.5 * random.nextInt(3);
    Seat seat =
        Seat.of(
            List.of(
                new Cut(about(31, 3), about(0.8, 0.3)),
                new Cut(45, about(1.3, 0.35)),
                new Cut(about(60, 3), about(1.2, 0.5)),
                new Cut(about(74, 4), about(1.4, 0.6))),
            1,
            about(head - 0.5, 0.5),
            found.seat().depthMm() + about(0.4, 0.3),
            about(0.88 * head, 0.8),
            about(4, 1),
            about(0.89 * head, 0.8),
            about(15, 2),
            found.seat().roofAngleDeg());
    Valve valve =
        found
            .valve()
            .withHeadDiameterMm(head)
            .withFaceWidthMm(about(1.7, 0.3))
            .withBackCuts(
                random.nextInt(3) == 0 ? List.of() : List.of(new Cut(30, about(1.2, 0.4))));
    return new Pairing(seat, valve);
  }

  private List<Operation> operations(Seat wanted) {
    List<Operation> all =
        new ArrayList<>(
            List.of(
                random.nextBoolean() ? OpenThroat.AS_WANTED : new OpenThroat(OPEN, 1.5, OPEN),
                random.nextBoolean()
                    ? CutForm.AS_WANTED
                    : new CutForm("", OPEN, new Plunge.UntilClean(0.04, random.nextBoolean()))));
    List<Operation> further =
        List.of(
            new CutAngle(
                CutAngle.SingleTool.STONE,
                about(68, 4),
                wanted.throatDiameterMm() + about(1.5, 0.5),
                new Plunge.ToDepth(wanted.depthMm() + about(1.2, 0.4))),
            new CutUnder(about(10, 4), OPEN, about(3, 1), some(3, 1)),
            new SweepChamber(about(14, 5), about(52, 4), OPEN),
            OpenBowl.AS_WANTED,
            new Blend(Blend.Side.PORT, about(0.6, 0.2), about(1.5, 0.5)),
            new Blend(Blend.Side.CHAMBER, about(0.4, 0.1), about(1, 0.4)));
    for (Operation operation : further) {
      if (random.nextInt(3) > 0) {
        all.add(operation);
      }
    }
    if (random.nextInt(3) == 0) {
      double across = wanted.outsideDiameterMm() + about(3.4, 0.8);
      Ring ring =
          new Ring(
              across, wanted.throatDiameterMm() - 1, wanted.depthMm() + 4, 8, about(0.1, 0.03), "");
      all.addFirst(new FitRing(ring));
    }
    return all;
  }

  private Head head(Engine engine) {
    return new Head(
        some(120.3, 0.2),
        some(119.7, 0.5),
        some(119.2, 0.4),
        some(44, 5),
        some(10, 1),
        Optional.of(
            new HeadLayout(
                engine.cylinders(),
                about(97, 2),
                engine.boreMm() + about(2, 1),
                about(80, 12),
                about(24, 4),
                about(2, 2),
                14,
                about(9, 5),
                about(8, 5))),
        java.util.Map.of());
  }

  private Job measured(Job job, SeatPlace place) {
    Seat seat = job.group(place.port()).found().seat();
    Head head = job.head();
    for (Measure measure : Measure.values()) {
      if (measure.isOfPlan() || OF_THE_ENGINE.contains(measure)) {
        continue;
      }
      double middle =
          switch (measure) {
            case THROAT_12, THROAT_130, THROAT_3, THROAT_430 -> seat.throatDiameterMm();
            case SEAT_WIDTH -> 1.9;
            case SEAT_ANGLE -> 45;
            case SEAT_OUTSIDE -> seat.outsideDiameterMm();
            case SEAT_DEPTH -> seat.depthMm();
            case BOWL_DIAMETER -> seat.bowlDiameterMm();
            case BOWL_DEPTH -> seat.bowlDepthMm();
            case ROOF_ANGLE -> seat.roofAngleDeg();
            case RUNOUT, CORE_SHIFT -> 0.2;
            case RUNOUT_CLOCK, CORE_SHIFT_CLOCK -> 6;
            case RING_OUTSIDE -> seat.outsideDiameterMm() + 3.6;
            case RING_DEPTH -> seat.depthMm() + 3.5;
            case RING_FIT -> 0.09;
            case NEIGHBOUR_RING -> 2.2;
            case WALL_SEAT, WALL_THROAT, WALL_BOWL -> 3.4;
            case VALVE_HEAD -> job.group(place.port()).found().valve().headDiameterMm();
            case GUIDE_CLEARANCE -> 0.06;
            case SPRING_HEIGHT -> 42;
            default -> throw new IllegalStateException(measure.key());
          };
      double by = Math.min(0.3, middle * (measure == Measure.WALL_SEAT ? 0.6 : 0.2));
      if (random.nextInt(4) > 0) {
        double read = about(middle, measure == Measure.RUNOUT_CLOCK ? 5 : by);
        head = head.withReading(place.label(), measure, OptionalDouble.of(read));
      }
    }
    return job.withHead(place.cylinder() == 1 ? placed(job, head, place) : head);
  }

  /** The first cylinder's valves have their places, and its intakes walls. */
  private static Head placed(Job job, Head head, SeatPlace place) {
    boolean intake = place.port() == Port.INTAKE;
    double side = place.label().endsWith("b") ? 1 : -1;
    double bore = job.engine().boreMm();
    head = with(head, place, Measure.AXIS_ALONG, side * (intake ? 0.2 : 0.17) * bore);
    head = with(head, place, Measure.AXIS_ACROSS, (intake ? -0.19 : 0.21) * bore);
    for (int k = 0; intake && k < 8; k++) {
      head = with(head, place, Measure.CHAMBER_WALL.get(3 * k), 1.1 + 0.7 * k);
    }
    return head;
  }

  private static Head with(Head head, SeatPlace place, Measure measure, double value) {
    return head.withReading(place.label(), measure, OptionalDouble.of(value));
  }

  private BenchBook bench(Job job) {
    LocalDate day = LocalDate.of(2026, 3, 2);
    BenchRange range =
        new BenchRange("R3", List.of())
            .with(check(day, 96))
            .with(check(day.plusDays(20), about(95, 1)));
    BenchBook book = new BenchBook(List.of(range), List.of());
    int id = 0;
    for (Port port : Port.values()) {
      for (int k = 0; k < 4; k++) {
        book = book.with(test(job, port, ++id, k, day.plusDays(5L * k)));
      }
    }
    return book;
  }

  private PlateCheck check(LocalDate day, double percent) {
    return new PlateCheck(
        day,
        new CheckPlate.Measured(about(38, 2)),
        percent,
        about(7000, 60),
        Optional.of(new Air(about(21, 3), about(99_800, 600), about(0.45, 0.2))));
  }

  private FlowTest test(Job job, Port port, int id, int k, LocalDate day) {
    SeatPlace place = job.seats(port).getFirst();
    double head = job.group(port).found().valve().headDiameterMm();
    SetUp setUp =
        new SetUp(
            "bench",
            place.label(),
            port.direction(),
            k == 0
                ? TestedState.AS_FOUND
                : k == 3 ? TestedState.FINISHED : new TestedState(TestedState.Kind.PARTLY, k),
            new TestedValve(head, "found"),
            OptionalDouble.of(job.engine().boreMm()),
            k == 2 ? Inlet.BARE : Inlet.radius(12),
            k < 2 ? Optional.of(new Pipe(about(40, 2), about(300, 40))) : Optional.empty(),
            OptionalDouble.of(6974.49),
            some(0.0004, 0.0002));
    FlowTest test =
        FlowTest.empty(id, "test " + id, setUp)
            .withDate(Optional.of(day))
            .withAir(Optional.of(new Air(about(20, 4), about(100_300, 900), about(0.5, 0.2))))
            .withStep(k == 0 ? Optional.empty() : Optional.of(id - 1), "step " + k, k == 1);
    for (double lift : List.of(1.0, 2.0, 3.0, 5.0, 8.0, 10.0)) {
      LiftReadings at = LiftReadings.of(lift, List.of());
      double flow = 0.0076 * head / 36 * lift / (1 + 0.07 * lift) * (1 + 0.02 * k);
      for (int n = 0; n < 3; n++) {
        double read = flow * (1 + 0.012 * random.nextGaussian());
        at = at.withReading(n == 2 ? percent(read) : BenchReading.flow(read));
      }
      test = test.with(at.withSwirl(some(400, 90)));
    }
    LiftReadings odd = test.at(3.0).orElseThrow();
    return k == 1 ? test.with(odd.withReading(BenchReading.flow(0.031))) : test;
  }

  private static BenchReading percent(double flowM3s) {
    return BenchReading.percent(Math.round(flowM3s / 0.11 * 10_000) / 100.0, "R3");
  }
}
