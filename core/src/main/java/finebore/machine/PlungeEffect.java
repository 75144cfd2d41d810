package finebore.machine;

import finebore.cutting.CutForm;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.Seating.Seated;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.study.SeatFit;
import java.util.Optional;

/**
 * What a little more plunge of a form does to a seat: worked out by cutting the seat twice, once to
 * the depth and once past it.
 *
 * @param plungeMm how much more
 * @param diameterMm by how much the outside of the contact grows
 * @param widthMm by how much the contact widens
 * @param valveMm by how much the valve sinks
 */
public record PlungeEffect(double plungeMm, double diameterMm, double widthMm, double valveMm) {

  /**
   * Works it out for one form cut of a plan.
   *
   * @param outcome the plan carried out on the seat
   * @param place which operation, from 0
   * @param plungeMm how much more, mm
   * @return empty when it is no form cut, cannot be made, or leaves no contact
   */
  public static Optional<PlungeEffect> of(
      Job job, SeatOutcome outcome, int place, double plungeMm) {
    Operation operation = outcome.plan().operations().get(place);
    var depth = outcome.cut().cutting().steps().get(place).depthMm();
    if (!(operation instanceof CutForm) || depth.isEmpty()) {
      return Optional.empty();
    }
    SeatFit before = cut(job, outcome, place, depth.getAsDouble()).cut().fit();
    SeatFit after = cut(job, outcome, place, depth.getAsDouble() + plungeMm).cut().fit();
    if (before.seated().isEmpty() || after.seated().isEmpty()) {
      return Optional.empty();
    }
    Seated high = before.seated().get();
    Seated low = after.seated().get();
    return Optional.of(
        new PlungeEffect(
            plungeMm,
            low.contact().outsideDiameterMm() - high.contact().outsideDiameterMm(),
            low.contact().widthMm() - high.contact().widthMm(),
            high.restMm() - low.restMm()));
  }

  private static SeatOutcome cut(Job job, SeatOutcome outcome, int place, double depthMm) {
    Plan plan = outcome.plan();
    CutForm form = (CutForm) plan.operations().get(place);
    CutForm deeper = new CutForm(form.cutter(), form.seatDiameterMm(), new Plunge.ToDepth(depthMm));
    return outcome.with(job, plan.withOperationAt(place, deeper));
  }
}
