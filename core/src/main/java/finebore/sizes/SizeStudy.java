package finebore.sizes;

import finebore.flow.FlowCurve;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.planning.PlanStudy;
import finebore.practice.Practice;
import finebore.sizes.SizeRoom.Largest;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Which valves a seat's cylinder has room for, and what they would give.
 *
 * @param place the seat
 * @param room of its cylinder
 * @param intakeMm intake head as planned
 * @param exhaustMm exhaust head as planned
 * @param largestIntake beside the planned exhaust
 * @param largestExhaust beside the planned intake
 * @param largestPair both grown alike from the planned ones
 * @param tighter another cylinder in which the pair can grow less, where there is one
 * @param wanted what the power aimed at asks for; of an intake
 * @param machIndex mean inlet Mach index; of an intake with a curve
 * @param next a step bigger
 * @param shelf valves of its kind, the nearest to the planned head first
 */
public record SizeStudy(
    SeatPlace place,
    SizeRoom room,
    double intakeMm,
    double exhaustMm,
    Optional<Largest> largestIntake,
    Optional<Largest> largestExhaust,
    Optional<Largest> largestPair,
    Optional<SizeRoom> tighter,
    Optional<FlowWanted> wanted,
    OptionalDouble machIndex,
    Optional<NextSize> next,
    List<OnShelf> shelf) {

  /** The next size is so much bigger, mm; common practice, no source. */
  public static final double STEP_MM = 1;

  private static final double SAME_MM = 0.005;

  /** A valve of the shelf, and what it gives against the plan where that can be told. */
  public record OnShelf(ShelfFit fit, Optional<NextSize> gives) {}

  public SizeStudy {
    shelf = List.copyOf(shelf);
  }

  /** Looks through the sizes for a seat's plan. */
  public static SizeStudy of(PlanStudy study, Practice practice, List<ShelfValve> shelf) {
    Job job = study.cut().job();
    SeatPlace place = study.place();
    Port port = place.port();
    double own = study.plan().wanted().valve().headDiameterMm();
    double other = job.group(port.other()).planned().valve().headDiameterMm();
    double intake = port == Port.INTAKE ? own : other;
    double exhaust = port == Port.INTAKE ? other : own;
    SizeRoom room = SizeRoom.of(job, place.cylinder(), practice);
    Optional<FlowCurve> curve = port == Port.INTAKE ? study.finished().curve() : Optional.empty();
    return new SizeStudy(
        place,
        room,
        intake,
        exhaust,
        room.largest(intake, exhaust, 1, 0),
        room.largest(intake, exhaust, 0, 1),
        room.largest(intake, exhaust, intake, exhaust),
        tighter(job, room, practice, intake, exhaust),
        curve.flatMap(c -> FlowWanted.of(job, c)),
        curve.isPresent()
            ? OptionalDouble.of(
                AirDemand.machIndex(job.engine(), job.intake().cam(), intake, curve.get()))
            : OptionalDouble.empty(),
        NextSize.of(study, practice, own + STEP_MM),
        shelf.stream()
            .filter(v -> v.port() == port)
            .sorted(Comparator.comparingDouble(v -> Math.abs(v.headMm() - own)))
            .toList()
            .parallelStream()
            .map(
                v ->
                    new OnShelf(
                        ShelfFit.of(job, place, room, practice, v),
                        NextSize.of(study, practice, v.valve())))
            .toList());
  }

  private static Optional<SizeRoom> tighter(
      Job job, SizeRoom own, Practice practice, double intakeMm, double exhaustMm) {
    double here = growsTo(own, intakeMm, exhaustMm).orElse(Double.POSITIVE_INFINITY);
    return IntStream.rangeClosed(1, job.engine().cylinders())
        .filter(c -> c != own.cylinder())
        .mapToObj(c -> SizeRoom.of(job, c, practice))
        .filter(
            r -> growsTo(r, intakeMm, exhaustMm).orElse(Double.POSITIVE_INFINITY) < here - SAME_MM)
        .min(Comparator.comparingDouble(r -> growsTo(r, intakeMm, exhaustMm).getAsDouble()));
  }

  private static OptionalDouble growsTo(SizeRoom room, double intakeMm, double exhaustMm) {
    return room.largest(intakeMm, exhaustMm, intakeMm, exhaustMm)
        .map(l -> OptionalDouble.of(l.intakeMm()))
        .orElse(OptionalDouble.empty());
  }

  /** Area of all exhaust heads of a cylinder as a share of all intake heads. */
  public double areaRatio(Job job) {
    return exhaustMm
        * exhaustMm
        * job.engine().exhaustsPerCylinder()
        / (intakeMm * intakeMm * job.engine().intakesPerCylinder());
  }

  /**
   * The limits that hold first: of each slope the one that leaves least, and the one that leaves
   * least of those that yield to a cutter. Those beside them never hold.
   */
  public List<SizeLimit> limits() {
    return Stream.of(0.0, 0.5, 1.0)
        .flatMap(
            share ->
                Stream.of(false, true)
                    .flatMap(
                        yields ->
                            room.limits().stream()
                                .filter(l -> l.kind().yields() == yields)
                                .filter(l -> Math.abs(l.perIntake() - share) < 0.25)
                                .min(Comparator.comparingDouble(l -> l.leftMm(intakeMm, exhaustMm)))
                                .stream()))
        .toList();
  }
}
