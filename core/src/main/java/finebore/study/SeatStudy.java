package finebore.study;

import finebore.cutting.Seating;
import finebore.flow.Calibration;
import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.flow.LossCoefficients;
import finebore.flow.Losses;
import finebore.flow.Sectors;
import finebore.flow.TestConditions;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Pairing;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.seat.ShownCut;
import finebore.section.Profile;
import finebore.section.Tolerance;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything that follows from one valve on one seat: section, contact, readings and flow.
 *
 * @param pairing what was studied
 * @param seat its section
 * @param valve the valve's section, at height 0
 * @param seating where the valve rests
 * @param readings what can be read off, in the order of {@link ReadingKind}
 * @param curve flow at the test's lifts; empty when the valve falls through
 * @param calibration of the port, that the flow is worked out with
 */
public record SeatStudy(
    Pairing pairing,
    SeatSection seat,
    ValveSection valve,
    Seating seating,
    List<Reading> readings,
    Optional<FlowCurve> curve,
    Calibration calibration) {

  public SeatStudy {
    readings = List.copyOf(readings);
  }

  /**
   * What a study is held against.
   *
   * @param port which way the air goes
   * @param test lifts and depression
   * @param calibration of the port
   * @param foundRestMm height of the found valve, for the sink
   */
  public record Frame(
      Port port, TestPlan test, Calibration calibration, OptionalDouble foundRestMm) {}

  /** Studies a pairing as one of a job's, with the readings that depend on its neighbours. */
  public static SeatStudy of(Job job, Port port, Pairing pairing) {
    return inJob(
        SeatSection.of(pairing.seat(), Tolerance.FINE),
        pairing.valve(),
        job,
        port,
        restOf(job.group(port).found()),
        ModelFit.calibrationOf(job, port));
  }

  /** Studies a seat of a job as found. */
  public static SeatStudy asFound(Job job, SeatPlace place, Calibration calibration) {
    SeatSection metal = PlanStudy.foundSeat(job, place).section();
    Valve valve = job.group(place.port()).found().valve();
    return inJob(metal, valve, job, place.port(), restOf(metal, valve), calibration);
  }

  /** Studies a seat as it lies in the metal as one of a job's. */
  static SeatStudy inJob(
      SeatSection seat,
      Valve valve,
      Job job,
      Port port,
      OptionalDouble foundRest,
      Calibration calibration) {
    SeatStudy study = of(seat, valve, new Frame(port, job.test(), calibration, foundRest));
    return study.with(
        amongNeighbours(job, port, valve.headDiameterMm(), study.reading(ReadingKind.SINK)));
  }

  /**
   * Readings of a valve that depend on what stands about it in a job: retainer to seal, neighbour,
   * bore wall; each where the job has what it takes.
   *
   * @param sinkMm how much lower it sits than as found; empty when that is not known
   */
  public static List<Reading> amongNeighbours(
      Job job, Port port, double headMm, OptionalDouble sinkMm) {
    Group group = job.group(port);
    List<Reading> more = new ArrayList<>();
    if (group.retainerToSealMm().isPresent() && sinkMm.isPresent()) {
      double clearance =
          group.retainerToSealMm().getAsDouble() + sinkMm.getAsDouble() - group.cam().maxLiftMm();
      more.add(new Reading(ReadingKind.RETAINER, clearance));
    }
    double other = job.group(port.other()).planned().valve().headDiameterMm();
    job.engine()
        .valveSpacingMm()
        .ifPresent(mm -> more.add(new Reading(ReadingKind.NEIGHBOUR, mm - (headMm + other) / 2)));
    group
        .axisFromBoreMm()
        .ifPresent(
            mm ->
                more.add(
                    new Reading(ReadingKind.BORE_WALL, (job.engine().boreMm() - headMm) / 2 - mm)));
    return more;
  }

  /** With further readings, in their order. */
  SeatStudy with(List<Reading> more) {
    List<Reading> all = new ArrayList<>(readings);
    all.addAll(more);
    all.sort(java.util.Comparator.comparing(Reading::kind));
    return new SeatStudy(pairing, seat, valve, seating, all, curve, calibration);
  }

  /** Studies a valve on a seat that has all the metal it asks for. */
  public static SeatStudy of(Pairing pairing, Frame frame) {
    return of(SeatSection.of(pairing.seat(), Tolerance.FINE), pairing.valve(), frame);
  }

  /** Studies a valve on a seat as it lies in the metal. */
  public static SeatStudy of(SeatSection seat, Valve onIt, Frame frame) {
    Pairing pairing = new Pairing(seat.seat(), onIt);
    ValveSection valve = ValveSection.of(onIt, Tolerance.FINE);
    Seating seating = Seating.of(seat, valve, Seating.INK_FILM_MM, Tolerance.FINE);
    Optional<FlowCurve> curve =
        seating instanceof Seating.Seated seated
            ? Optional.of(curve(seat, valve, seated.restMm(), frame))
            : Optional.empty();
    return new SeatStudy(
        pairing,
        seat,
        valve,
        seating,
        readings(seat, pairing, seating, frame),
        curve,
        frame.calibration());
  }

  /** Height at which a valve rests, mm; empty when it falls through. */
  public static OptionalDouble restOf(Pairing pairing) {
    return restOf(SeatSection.of(pairing.seat(), Tolerance.FINE), pairing.valve());
  }

  /** Height at which a valve rests on a seat as it lies in the metal. */
  static OptionalDouble restOf(SeatSection seat, Valve valve) {
    Seating seating =
        Seating.of(
            seat, ValveSection.of(valve, Tolerance.FINE), Seating.INK_FILM_MM, Tolerance.FINE);
    return seating instanceof Seating.Seated seated
        ? OptionalDouble.of(seated.restMm())
        : OptionalDouble.empty();
  }

  /** A reading, if there is one of that kind. */
  public OptionalDouble reading(ReadingKind kind) {
    return readings.stream().filter(r -> r.kind() == kind).mapToDouble(Reading::value).findFirst();
  }

  /** Where the valve rests and touches, if it does. */
  public Optional<Seating.Seated> seated() {
    return seating instanceof Seating.Seated s ? Optional.of(s) : Optional.empty();
  }

  /** The valve's wall lifted off its seat. */
  public Profile valveAt(double liftMm) {
    double rest = seated().map(Seating.Seated::restMm).orElse(0.0);
    return valve.profile().raised(rest + liftMm);
  }

  /** Gate, effective area and losses at any lift above 0, as the curve has them at its lifts. */
  public Losses lossesAt(double liftMm, Port port) {
    return lossesAt(seat, valveAt(liftMm), pairing, port, calibration);
  }

  /** The same of a seat that is not studied as a whole, the valve's wall lifted. */
  public static Losses lossesAt(
      SeatSection seat, Profile lifted, Pairing pairing, Port port, Calibration calibration) {
    return Losses.at(seat.profile(), lifted, setting(pairing, port, calibration));
  }

  /** Throat less stem, mm2. */
  public static double throatAreaMm2(Pairing pairing) {
    double throat = pairing.seat().throatDiameterMm();
    double stem = Math.min(pairing.valve().stemDiameterMm(), 0.9 * throat);
    return Math.PI / 4 * (throat * throat - stem * stem);
  }

  private static Losses.Setting setting(Pairing pairing, Port port, Calibration calibration) {
    return new Losses.Setting(
        pairing.seat().sealing(),
        throatAreaMm2(pairing),
        port.direction(),
        LossCoefficients.FITTED,
        Sectors.BENT_PORT,
        calibration);
  }

  private static FlowCurve curve(SeatSection seat, ValveSection valve, double restMm, Frame frame) {
    Pairing pairing = new Pairing(seat.seat(), valve.valve());
    Losses.Setting setting = setting(pairing, frame.port(), frame.calibration());
    TestConditions conditions = TestConditions.USUAL.withDepression(frame.test().depressionPa());
    double head = valve.valve().headDiameterMm();
    List<LiftPoint> points = new ArrayList<>();
    for (double lift : frame.test().liftsMm()) {
      Losses losses = Losses.at(seat.profile(), valve.profile().raised(restMm + lift), setting);
      points.add(
          new LiftPoint(
              lift, losses, Math.PI * head * lift, conditions.flow(losses.effectiveAreaMm2())));
    }
    return new FlowCurve(points);
  }

  private static List<Reading> readings(
      SeatSection section, Pairing pairing, Seating seating, Frame frame) {
    Seat seat = pairing.seat();
    Valve valve = pairing.valve();
    double head = valve.headDiameterMm();
    List<Reading> readings = new ArrayList<>();
    readings.add(new Reading(ReadingKind.THROAT_RATIO, seat.throatDiameterMm() / head));
    readings.add(
        new Reading(
            ReadingKind.THROAT_AREA_RATIO, throatAreaMm2(pairing) / (Math.PI / 4 * head * head)));
    readings.add(
        new Reading(ReadingKind.SEAT_WIDTH, section.shown().get(seat.sealing()).shownMm()));
    if (seating instanceof Seating.Seated seated) {
      readings.add(new Reading(ReadingKind.CONTACT_WIDTH, seated.contact().widthMm()));
      readings.add(new Reading(ReadingKind.CONTACT_CENTRE, seated.contact().centre()));
    }
    readings.add(new Reading(ReadingKind.FACE_WIDTH, valve.faceWidthMm()));
    readings.add(new Reading(ReadingKind.MARGIN, valve.marginMm()));
    readings.add(
        new Reading(ReadingKind.INTERFERENCE, seat.sealingCut().angleDeg() - valve.faceAngleDeg()));
    readings.add(new Reading(ReadingKind.OVERHANG, (head - seat.outsideDiameterMm()) / 2));
    if (seating instanceof Seating.Seated seated) {
      readings.add(new Reading(ReadingKind.VALVE_HEIGHT, seated.restMm()));
      frame
          .foundRestMm()
          .ifPresent(found -> readings.add(new Reading(ReadingKind.SINK, found - seated.restMm())));
    }
    List<Cut> showing =
        section.shown().stream().filter(s -> s.shownMm() > 0).map(ShownCut::cut).toList();
    if (!showing.isEmpty()) {
      readings.add(new Reading(ReadingKind.LAST_CUT, showing.getLast().angleDeg()));
    }
    if (showing.size() > 1) {
      double step = 0;
      for (int k = 1; k < showing.size(); k++) {
        step = Math.max(step, Math.abs(showing.get(k).angleDeg() - showing.get(k - 1).angleDeg()));
      }
      readings.add(new Reading(ReadingKind.ANGLE_STEP, step));
    }
    if (!valve.backCuts().isEmpty()) {
      readings.add(new Reading(ReadingKind.BACK_CUT, valve.backCuts().getFirst().angleDeg()));
    }
    readings.add(
        new Reading(ReadingKind.BOWL_RATIO, seat.bowlDiameterMm() / seat.throatDiameterMm()));
    readings.add(new Reading(ReadingKind.CURTAIN_LIFT, throatAreaMm2(pairing) / (Math.PI * head)));
    return readings;
  }
}
