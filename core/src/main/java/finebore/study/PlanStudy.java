package finebore.study;

import finebore.cutting.Cutting;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.Metal;
import finebore.cutting.Operation;
import finebore.cutting.SectionDifference;
import finebore.flow.FlowChange;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything that follows from one plan for one seat: the metal as found, what the operations make
 * of it, and what contact and flow then are.
 *
 * @param place the seat
 * @param plan its plan
 * @param metal the seat as found
 * @param found study of it
 * @param cutting the operations carried out
 * @param finished study of what they leave
 * @param left metal left where it counts
 * @param ideal the wanted seat, were all its metal there
 * @param lacking metal that the wanted seat would need from its sealing cut down to its last one,
 *     and that is not there
 * @param change of flow against found; empty when a valve falls through
 */
public record PlanStudy(
    SeatPlace place,
    Plan plan,
    FoundSeat metal,
    SeatStudy found,
    Cutting cutting,
    SeatStudy finished,
    MetalLeft left,
    SeatSection ideal,
    Region lacking,
    Optional<FlowChange> change) {

  /**
   * Works a seat's plan out.
   *
   * @param known study of the seat as found, where it is known already
   */
  public static PlanStudy of(Job job, SeatPlace place, Plan plan, Optional<SeatStudy> known) {
    Port port = place.port();
    Group group = job.group(port);
    FoundSeat metal = foundSeat(job, place);
    OptionalDouble rest = SeatStudy.restOf(metal.section(), group.found().valve());
    SeatStudy found =
        known.orElseGet(() -> SeatStudy.asFound(job, place, ModelFit.calibrationOf(job, port)));
    Cutting cutting = Cutting.of(metal, plan.wanted().seat(), plan.operations());
    SeatStudy bare =
        SeatStudy.inJob(
            cutting.finished(), plan.wanted().valve(), job, port, rest, found.calibration());
    MetalLeft left = MetalLeft.of(cutting);
    SeatStudy finished = bare.with(more(job, place, cutting, left, found, bare));
    Optional<FlowChange> change =
        found.curve().isEmpty() || finished.curve().isEmpty()
            ? Optional.empty()
            : Optional.of(
                FlowChange.between(
                    found.curve().get(),
                    finished.curve().get(),
                    job.test().bands(),
                    plan.wanted().valve().headDiameterMm(),
                    group.cam()));
    SeatSection ideal = SeatSection.of(asSet(plan.wanted().seat(), cutting), Tolerance.FINE);
    return new PlanStudy(
        place,
        plan,
        metal,
        found,
        cutting,
        finished,
        left,
        ideal,
        lacking(ideal, cutting.metal().wall()),
        change);
  }

  /** The wanted seat where the form was set to: its plunge may follow the metal. */
  private static Seat asSet(Seat wanted, Cutting cutting) {
    Seat seat = wanted;
    for (Cutting.Step step : cutting.steps()) {
      if (step.operation() instanceof Operation.CutForm form && step.depthMm().isPresent()) {
        seat =
            wanted
                .withOutsideDiameter(
                    Math.max(
                        form.seatDiameterMm().orElse(wanted.outsideDiameterMm()),
                        wanted.throatDiameterMm() + 0.01))
                .withDepth(Math.clamp(step.depthMm().getAsDouble(), 0, 60));
      }
    }
    return seat;
  }

  /** A seat of a job as found, with its readings. */
  public static FoundSeat foundSeat(Job job, SeatPlace place) {
    Group group = job.group(place.port());
    return FoundSeat.of(
        group.found().seat(),
        job.head().readingsOf(place.label()),
        group.found().valve().headDiameterMm());
  }

  /** What stands beside the cuts in the finished section. */
  public List<LeftoverEdge> witnesses() {
    return LeftoverEdge.of(finished.seat().profile(), finished.seat().seat().sealing());
  }

  private static Region lacking(SeatSection ideal, Profile wall) {
    Seat wanted = ideal.seat();
    Region zone =
        Region.box(
            0, wanted.outsideDiameterMm() / 2, -wanted.lowestMm(), -wanted.depthMm() + 0.001);
    return solid(ideal.profile()).and(zone).minus(solid(wall));
  }

  /** All metal outside a wall, far out. */
  private static Region solid(Profile wall) {
    List<Point> outline = new ArrayList<>(wall.points());
    outline.addFirst(new Point(500, outline.getFirst().z()));
    outline.add(new Point(500, outline.getLast().z()));
    return Region.inside(outline);
  }

  /**
   * Metal that went, and metal that a ring put in.
   *
   * @param step which operation's, from 1, or 0 for none; less than 0 for all of them
   */
  public SectionDifference difference(int step) {
    int to = step < 0 ? cutting.steps().size() : step;
    int from = step < 0 ? 0 : Math.max(0, step - 1);
    return SectionDifference.between(
        cutting.metalAfter(from).wall(), cutting.metalAfter(to).wall());
  }

  /** The study of what the first operations leave. */
  public SeatStudy after(Job job, int count) {
    OptionalDouble rest =
        SeatStudy.restOf(metal.section(), job.group(place.port()).found().valve());
    return SeatStudy.inJob(
        cutting.after(count), plan.wanted().valve(), job, place.port(), rest, found.calibration());
  }

  private static List<Reading> more(
      Job job, SeatPlace place, Cutting cutting, MetalLeft left, SeatStudy found, SeatStudy bare) {
    List<Reading> more = new ArrayList<>();
    for (Cutting.Step step : cutting.steps()) {
      if (step.operation() instanceof Operation.CutForm && step.cleanUp().isPresent()) {
        OptionalDouble clean = step.cleanUp().get().sealingMm();
        if (clean.isPresent()) {
          more.removeIf(
              r -> r.kind() == ReadingKind.CLEAN_UP || r.kind() == ReadingKind.PAST_CLEAN);
          more.add(new Reading(ReadingKind.CLEAN_UP, clean.getAsDouble()));
          more.add(
              new Reading(
                  ReadingKind.PAST_CLEAN, step.depthMm().getAsDouble() - clean.getAsDouble()));
        }
      }
    }
    bare.reading(ReadingKind.SINK)
        .ifPresent(
            sink -> {
              more.add(new Reading(ReadingKind.SPACER, Math.max(0, sink)));
              job.head()
                  .readingsOf(place.label())
                  .value(Measure.SPRING_HEIGHT)
                  .ifPresent(mm -> more.add(new Reading(ReadingKind.SPRING_HEIGHT, mm + sink)));
            });
    left.ringWallMm().ifPresent(mm -> more.add(new Reading(ReadingKind.RING_WALL, mm)));
    left.ringFloorMm().ifPresent(mm -> more.add(new Reading(ReadingKind.RING_FLOOR, mm)));
    left.waterMm().ifPresent(mm -> more.add(new Reading(ReadingKind.WATER, mm)));
    bridge(job, place, cutting).ifPresent(mm -> more.add(new Reading(ReadingKind.BRIDGE, mm)));
    fireRing(job, place, cutting).ifPresent(mm -> more.add(new Reading(ReadingKind.FIRE_RING, mm)));
    more.add(new Reading(ReadingKind.REMOVED, cutting.removedMm3()));
    OptionalDouble chamber =
        ChamberSpace.change(
            found.seat(), found.pairing().valve(), bare.seat(), bare.pairing().valve());
    chamber.ifPresent(mm3 -> more.add(new Reading(ReadingKind.CHAMBER, mm3)));
    if (chamber.isPresent() && job.head().compressionRatio().isPresent()) {
      more.add(
          new Reading(ReadingKind.COMPRESSION, compression(job, place, chamber.getAsDouble())));
    }
    return more;
  }

  /** From the outermost cut to the fire ring; empty where nobody has measured the layout. */
  private static OptionalDouble fireRing(Job job, SeatPlace place, Cutting cutting) {
    OptionalDouble axis = job.group(place.port()).axisFromBoreMm();
    if (job.head().layout().isEmpty() || axis.isEmpty()) {
      return OptionalDouble.empty();
    }
    Metal metal = cutting.metal();
    for (int k = 0; k < metal.wall().segmentCount(); k++) {
      if (metal.madeBy().get(k) > 0) {
        return OptionalDouble.of(
            job.layout().fireRingMm() / 2 - axis.getAsDouble() - metal.wall().start(k).r());
      }
    }
    return OptionalDouble.empty();
  }

  /**
   * Metal between this seat's ring and its neighbour's: from the spacing of the valves where both
   * rings are known, otherwise from the reading taken.
   */
  private static OptionalDouble bridge(Job job, SeatPlace place, Cutting cutting) {
    Optional<Ring> own = cutting.metal().ring();
    if (own.isEmpty()) {
      return OptionalDouble.empty();
    }
    Optional<Ring> other = ringOf(job, place.port().other(), place.cylinder());
    if (other.isPresent() && job.engine().valveSpacingMm().isPresent()) {
      return OptionalDouble.of(
          job.engine().valveSpacingMm().getAsDouble()
              - (own.get().outsideDiameterMm() + other.get().outsideDiameterMm()) / 2);
    }
    OptionalDouble read = job.head().readingsOf(place.label()).value(Measure.NEIGHBOUR_RING);
    double grown =
        (own.get().outsideDiameterMm()
                - cutting
                    .found()
                    .ring()
                    .map(Ring::outsideDiameterMm)
                    .orElse(own.get().outsideDiameterMm()))
            / 2;
    return read.isPresent() ? OptionalDouble.of(read.getAsDouble() - grown) : read;
  }

  /** The ring that a seat of a kind in the same cylinder has or is to have. */
  private static Optional<Ring> ringOf(Job job, Port port, int cylinder) {
    return job.engine().seats().stream()
        .filter(s -> s.port() == port && s.cylinder() == cylinder)
        .findFirst()
        .flatMap(
            seat ->
                job.planOf(seat).operations().stream()
                    .filter(Operation.FitRing.class::isInstance)
                    .map(o -> ((Operation.FitRing) o).ring())
                    .reduce((a, b) -> b)
                    .or(() -> foundSeat(job, seat).ring()));
  }

  /** Work in the port does not change the chamber. */
  private static boolean reachesChamber(Operation operation) {
    return !(operation instanceof Operation.OpenBowl
        || operation instanceof Operation.Blend blend && blend.side() == Operation.BlendSide.PORT);
  }

  private static double compression(Job job, SeatPlace place, double changeMm3) {
    double ratio = job.head().compressionRatio().getAsDouble();
    double bore = job.engine().boreMm();
    double swept = Math.PI / 4 * bore * bore * job.engine().strokeMm();
    double space = swept / (ratio - 1);
    double change = changeMm3 * job.engine().valvesPerCylinder(place.port());
    Port other = place.port().other();
    Group group = job.group(other);
    Cutting cutting =
        Cutting.of(
            FoundSeat.plain(group.found().seat()),
            group.planned().seat(),
            group.plan().operations().stream().filter(PlanStudy::reachesChamber).toList());
    change +=
        ChamberSpace.change(
                    SeatSection.of(group.found().seat(), Tolerance.FINE),
                    group.found().valve(),
                    cutting.finished(),
                    group.planned().valve())
                .orElse(0)
            * job.engine().valvesPerCylinder(other);
    return (swept + space + change) / (space + change);
  }
}
