package finebore.planning;

import finebore.crank.ClearanceCurve;
import finebore.crank.Piston;
import finebore.crank.SliderCrank;
import finebore.crank.ValveMotion;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Port;
import finebore.space.ValveHead;
import finebore.valve.Valve;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;

/**
 * What a valve keeps from something over the crank's turn, as found and as planned. It is an
 * estimate from figures; what was measured on the engine decides, and then only the change that the
 * plan makes is estimated.
 *
 * @param other label of the valve it is kept from; empty for the piston
 * @param found with the valve that was found, on the seat that was found
 * @param planned with the valve and seat as planned
 * @param measuredMm as found, with clay or a dial, where that was done
 * @param deeperMm how much {@link #STEP_MM} deeper a cut changes the smallest, mm
 * @param skimMm how much {@link #STEP_MM} off the head's face changes it, mm
 */
public record SeatClearance(
    Optional<String> other,
    ClearanceCurve found,
    ClearanceCurve planned,
    OptionalDouble measuredMm,
    double deeperMm,
    double skimMm) {

  /** Deeper cuts and skims are tried by so much, mm. */
  public static final double STEP_MM = 0.1;

  private static final int PISTON_STEP_DEG = 2;
  private static final int VALVE_STEP_DEG = 5;

  /** What counts: the measured one with the plan's change, or the estimate, mm. */
  public double decidingMm() {
    double estimate = planned.least().mm();
    return measuredMm.isPresent()
        ? measuredMm.getAsDouble() + estimate - found.least().mm()
        : estimate;
  }

  /**
   * What a valve is kept from.
   *
   * @param other label of the other valve; empty for the piston
   * @param measure what it is measured as
   * @param curve by the head and what was skimmed off, mm; empty where there is nothing to look at
   */
  private record From(
      Optional<String> other,
      Measure measure,
      BiFunction<ValveHead, Double, Optional<ClearanceCurve>> curve) {

    private Optional<ValveHead> before(CutStudy cut) {
      return head(cut, other.isPresent(), cut.foundValve(), cut.foundRestMm());
    }

    private Optional<ValveHead> after(CutStudy cut) {
      return head(cut, other.isPresent(), cut.fit().pairing().valve(), cut.fit().restMm());
    }

    private OptionalDouble measured(CutStudy cut) {
      return cut.job().head().readingsOf(cut.place().label()).value(measure);
    }

    /** What counts, without what little changes would do. */
    private OptionalDouble deciding(CutStudy cut) {
      Optional<Double> planned = after(cut).flatMap(this::least);
      Optional<Double> found =
          measured(cut).isPresent() ? before(cut).flatMap(this::least) : Optional.empty();
      if (planned.isEmpty() || measured(cut).isPresent() && found.isEmpty()) {
        return OptionalDouble.empty();
      }
      return OptionalDouble.of(
          found.isPresent()
              ? measured(cut).getAsDouble() + planned.get() - found.get()
              : planned.get());
    }

    private Optional<Double> least(ValveHead head) {
      return curve.apply(head, 0.0).map(c -> c.least().mm());
    }

    /** Both states, and what little changes do. */
    private Optional<SeatClearance> whole(CutStudy cut) {
      Optional<ValveHead> after = after(cut);
      Optional<ClearanceCurve> found = before(cut).flatMap(head -> curve.apply(head, 0.0));
      Optional<ClearanceCurve> planned = after.flatMap(head -> curve.apply(head, 0.0));
      if (found.isEmpty() || planned.isEmpty()) {
        return Optional.empty();
      }
      double least = planned.get().least().mm();
      return Optional.of(
          new SeatClearance(
              other,
              found.get(),
              planned.get(),
              measured(cut),
              curve.apply(after.get().deeper(STEP_MM), 0.0).orElseThrow().least().mm() - least,
              curve.apply(after.get(), STEP_MM).orElseThrow().least().mm() - least));
    }
  }

  /**
   * From the piston; empty unless rod, deck, gasket and the cam's centre are known, and where a
   * valve falls through its seat.
   */
  public static Optional<SeatClearance> toPiston(CutStudy cut) {
    return piston(cut).flatMap(from -> from.whole(cut));
  }

  /** What of it counts, mm; much sooner there than all of it. */
  static OptionalDouble decidingToPiston(CutStudy cut) {
    return piston(cut).map(from -> from.deciding(cut)).orElse(OptionalDouble.empty());
  }

  private static Optional<From> piston(CutStudy cut) {
    Job job = cut.job();
    Group group = job.group(cut.place().port());
    Pistons known = job.engine().pistons();
    if (known.rodMm().isEmpty()
        || known.deckMm().isEmpty()
        || known.gasketMm().isEmpty()
        || known.rodMm().getAsDouble() <= job.engine().strokeMm() / 2) {
      return Optional.empty();
    }
    Piston piston =
        new Piston(
            new SliderCrank(job.engine().strokeMm(), known.rodMm().getAsDouble()),
            known.deckMm().getAsDouble() + known.gasketMm().getAsDouble(),
            pocket(group.pistonSide()));
    return motion(group, cut.place().port())
        .map(
            motion ->
                new From(
                    Optional.empty(),
                    Measure.PISTON_CLEARANCE,
                    (head, skimmed) -> toPiston(piston.nearer(skimmed), head, motion)));
  }

  private static Optional<ClearanceCurve> toPiston(
      Piston piston, ValveHead head, ValveMotion motion) {
    return ClearanceCurve.of(
        PISTON_STEP_DEG, deg -> true, deg -> piston.clearanceMm(head, motion.liftMm(deg), deg));
  }

  private static Optional<Piston.Pocket> pocket(PistonSide side) {
    return side.pocketDepthMm().isPresent()
        ? Optional.of(
            new Piston.Pocket(
                side.pocketDepthMm().getAsDouble(),
                side.pocketRadiusMm().orElse(Double.POSITIVE_INFINITY),
                side.pocketAngleDeg().orElse(0),
                side.pocketWallDeg()))
        : Optional.empty();
  }

  /**
   * From the nearest valve of the other kind in the cylinder while both are open; empty unless both
   * places and both cams' centres are known, or the two are never open together. The other valve
   * has the head that is planned for it, on its seat as it was found.
   */
  public static Optional<SeatClearance> toValve(CutStudy cut) {
    return valves(cut).stream()
        .flatMap(from -> from.whole(cut).stream())
        .min(Comparator.comparingDouble(c -> c.planned.least().mm()));
  }

  /** What of it counts, mm. */
  static OptionalDouble decidingToValve(CutStudy cut) {
    From nearest = null;
    double least = Double.POSITIVE_INFINITY;
    for (From from : valves(cut)) {
      double mm = from.after(cut).flatMap(from::least).orElse(Double.POSITIVE_INFINITY);
      if (mm < least) {
        least = mm;
        nearest = from;
      }
    }
    return nearest == null ? OptionalDouble.empty() : nearest.deciding(cut);
  }

  private static List<From> valves(CutStudy cut) {
    Job job = cut.job();
    Port port = cut.place().port();
    Optional<ValveMotion> own = motion(job.group(port), port);
    Optional<ValveMotion> others = motion(job.group(port.other()), port.other());
    if (own.isEmpty() || others.isEmpty()) {
      return List.of();
    }
    return job.seats(port.other()).stream()
        .filter(s -> s.cylinder() == cut.place().cylinder())
        .flatMap(
            s ->
                head(job, s, job.planOf(s).wanted().valve(), -job.foundSeat(s).seat().depthMm())
                    .map(
                        other ->
                            new From(
                                Optional.of(s.label()),
                                Measure.VALVE_CLEARANCE,
                                (head, skimmed) -> between(head, own.get(), other, others.get())))
                    .stream())
        .toList();
  }

  private static Optional<ClearanceCurve> between(
      ValveHead head, ValveMotion motion, ValveHead other, ValveMotion others) {
    return ClearanceCurve.of(
        VALVE_STEP_DEG,
        deg -> motion.liftMm(deg) > 0 && others.liftMm(deg) > 0,
        deg -> head.clearanceMm(motion.liftMm(deg), other, others.liftMm(deg)));
  }

  private static Optional<ValveMotion> motion(Group group, Port port) {
    PistonSide side = group.pistonSide();
    return side.camCentreDeg().isPresent()
        ? Optional.of(
            new ValveMotion(
                group.cam(),
                (port == Port.INTAKE ? 1 : -1) * side.camCentreDeg().getAsDouble(),
                side.lashMm().orElse(0)))
        : Optional.empty();
  }

  private static Optional<ValveHead> head(Job job, SeatPlace place, Valve valve, double restMm) {
    return SeatRoom.bare(job, place)
        .map(
            room ->
                new ValveHead(
                    room.alongMm(),
                    room.acrossMm(),
                    room.leanAlongDeg(),
                    room.leanAcrossDeg(),
                    valve.headDiameterMm() / 2,
                    restMm,
                    valve.marginMm()));
  }

  /** A head whose place does not matter, or is measured. */
  private static Optional<ValveHead> head(
      CutStudy cut, boolean placed, Valve valve, OptionalDouble restMm) {
    if (restMm.isEmpty()) {
      return Optional.empty();
    }
    if (placed) {
      return head(cut.job(), cut.place(), valve, restMm.getAsDouble());
    }
    Lean lean = cut.job().leanOf(cut.place());
    return Optional.of(
        new ValveHead(
            0,
            0,
            lean.alongDeg(),
            lean.acrossDeg(),
            valve.headDiameterMm() / 2,
            restMm.getAsDouble(),
            valve.marginMm()));
  }

  /** Both, where they are known. */
  public static List<SeatClearance> of(CutStudy cut) {
    return java.util.stream.Stream.of(toPiston(cut), toValve(cut))
        .flatMap(Optional::stream)
        .toList();
  }
}
