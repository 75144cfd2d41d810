package finebore.planning;

import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.TakeWallBack;
import finebore.found.FoundSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Tolerance;
import finebore.study.SeatFit;
import finebore.valve.Valve;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One plan carried out on one seat: the metal as found, what the operations make of it, and how the
 * planned valve then sits. Flow is another matter.
 *
 * @param job whose
 * @param place the seat
 * @param plan its plan
 * @param metal the seat as found
 * @param foundValve the valve that was found on it
 * @param foundRestMm height at which that rests on it; empty when it falls through
 * @param cutting the operations carried out
 * @param fit the planned valve on what they leave
 * @param left metal left where it counts
 * @param strangersMm3 by how much the seats of the cylinder that follow other plans enlarge its
 *     chamber, mm3; 0 where no compression ratio is known
 * @param twinsMm3 the same of those that follow this one; empty where they have not been carried
 *     out beside it
 */
@RecordBuilder
public record CutStudy(
    Job job,
    SeatPlace place,
    Plan plan,
    FoundSeat metal,
    Valve foundValve,
    OptionalDouble foundRestMm,
    Cutting cutting,
    SeatFit fit,
    MetalLeft left,
    double strangersMm3,
    OptionalDouble twinsMm3)
    implements CutStudyBuilder.With {

  /** Carries a plan out on a seat. */
  public static CutStudy of(Job job, SeatPlace place, Plan plan) {
    FoundSeat metal = job.foundSeat(place);
    Valve foundValve = job.foundValve(place);
    return of(
        job,
        place,
        plan,
        metal,
        foundValve,
        SeatFit.of(metal.section(), foundValve).restMm(),
        CompressionRatio.strangers(job, place));
  }

  /** Carries another plan out on the same seat, in a job that differs by nothing else. */
  public CutStudy with(Job job, Plan plan) {
    // A wall under the mouse is to follow it at once.
    Optional<Cutting> sameMetal =
        plan.wanted().equals(this.plan.wanted())
            ? cutting.withWalls(plan.operations())
            : Optional.empty();
    if (sameMetal.isPresent()) {
      return withJob(job)
          .withPlan(plan)
          .withCutting(walled(job, place, plan, sameMetal.get()))
          .withTwinsMm3(OptionalDouble.empty());
    }
    return of(job, place, plan, metal, foundValve, foundRestMm, strangersMm3);
  }

  /** The same in a job that differs by its flow tests alone. */
  CutStudy in(Job job) {
    return withJob(job);
  }

  /** Beside the seats that the plan was carried out on with it. */
  CutStudy among(List<CutStudy> group) {
    if (job.head().compressionRatio().isEmpty()) {
      return this;
    }
    double twins =
        group.stream()
            .filter(c -> c.place.cylinder() == place.cylinder() && !c.place.equals(place))
            .mapToDouble(c -> new ChamberChange().of(c).orElse(0))
            .sum();
    return withTwinsMm3(OptionalDouble.of(twins));
  }

  private static CutStudy of(
      Job job,
      SeatPlace place,
      Plan plan,
      FoundSeat metal,
      Valve foundValve,
      OptionalDouble foundRestMm,
      double strangersMm3) {
    Cutting cutting =
        walled(job, place, plan, Cutting.of(metal, plan.wanted().seat(), plan.operations()));
    return new CutStudy(
        job,
        place,
        plan,
        metal,
        foundValve,
        foundRestMm,
        cutting,
        SeatFit.of(cutting.finished(), plan.wanted().valve()),
        MetalLeft.of(cutting),
        strangersMm3,
        OptionalDouble.empty());
  }

  private static Cutting walled(Job job, SeatPlace place, Plan plan, Cutting cutting) {
    return plan.operations().stream().noneMatch(TakeWallBack.class::isInstance)
        ? cutting
        : cutting.withWallVolumes(k -> WallsTaken.volumeMm3(job, place, plan, k));
  }

  /** The last form cut that could be made, if there is one. */
  public Optional<Cutting.Step> lastForm() {
    return cutting.steps().stream()
        .filter(s -> s.operation() instanceof CutForm && s.cleanUp().isPresent())
        .reduce((a, b) -> b);
  }

  /** What stands beside the cuts in the finished section. */
  public List<LeftoverEdge> leftovers() {
    return LeftoverEdge.of(fit.seat().profile(), fit.seat().seat().sealing());
  }

  /** The wanted seat, were all its metal there, where the form was set to. */
  public SeatSection ideal() {
    return SeatSection.of(asSet(), Tolerance.FINE);
  }

  /** The wanted seat where the form was set to: its plunge may follow the metal. */
  private Seat asSet() {
    Seat wanted = plan.wanted().seat();
    Optional<Cutting.Step> last =
        cutting.steps().stream()
            .filter(s -> s.operation() instanceof CutForm && s.depthMm().isPresent())
            .reduce((a, b) -> b);
    if (last.isEmpty() || !(last.get().operation() instanceof CutForm form)) {
      return wanted;
    }
    double outside = form.seatDiameterMm().orElse(wanted.outsideDiameterMm());
    return wanted
        .withOutsideDiameterMm(Math.max(outside, wanted.throatDiameterMm() + 0.01))
        .withDepthMm(Math.clamp(last.get().depthMm().getAsDouble(), 0, 60));
  }

  /**
   * Metal that the wanted seat would need from its sealing cut down to its last one, and that is
   * not there.
   */
  public Region lacking() {
    SeatSection ideal = ideal();
    Seat wanted = ideal.seat();
    Region zone =
        Region.box(
            0, wanted.outsideDiameterMm() / 2, -wanted.lowestMm(), -wanted.depthMm() + 0.001);
    return solid(ideal.profile()).and(zone).minus(solid(cutting.metal().wall()));
  }

  /** All metal outside a wall, far out. */
  private static Region solid(Profile wall) {
    List<Point> outline = new ArrayList<>(wall.points());
    outline.addFirst(new Point(500, outline.getFirst().z()));
    outline.add(new Point(500, outline.getLast().z()));
    return Region.inside(outline);
  }
}
