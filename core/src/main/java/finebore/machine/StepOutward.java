package finebore.machine;

import finebore.cutting.CutForm;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.study.ReadingKind;
import java.util.EnumSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What to set next after a trial cut. The lapped ring tells where a setting really put the seat:
 * what it lies off the pointer is taken off the next setting. A step never goes past the ring that
 * the plan wants, nor past what the metal allows; as long as it is far away it stops short by the
 * shop's own allowance, because a seat cannot be made smaller again.
 *
 * @param pointerMm seat diameter to set next
 * @param depthMm plunge at which it cleans up there, or where the trial stood if that is deeper
 * @param leftMm what will still be missing of the ring's outside diameter after it
 * @param pointerOffMm by how much the pointer put the seat off where it was set to
 * @param heldBy what keeps the step from going where the plan wants it; empty when nothing does
 * @param isThere whether the trial lies where the plan wants it, so that nothing is to be cut
 */
public record StepOutward(
    double pointerMm,
    double depthMm,
    double leftMm,
    double pointerOffMm,
    Optional<FindingCode> heldBy,
    boolean isThere) {

  /** Closer than this to what is wanted is there, mm. */
  public static final double THERE_MM = 0.02;

  private static final Set<FindingCode> METAL =
      EnumSet.of(
          FindingCode.THROUGH_TO_WATER,
          FindingCode.PAST_RING,
          FindingCode.THROUGH_RING_FLOOR,
          FindingCode.PAST_FIRE_RING,
          FindingCode.RINGS_MEET,
          FindingCode.SEAT_LARGER_THAN_VALVE,
          FindingCode.HANGS_UP,
          FindingCode.CANNOT_BE_CARRIED_OUT);

  /**
   * A trial cut.
   *
   * @param pointerMm what the pointer was set to, seat diameter
   * @param depthMm where the plunge stopped, below the head face
   * @param ringOutsideMm outside diameter of the lapped ring on the valve
   */
  public record Trial(double pointerMm, double depthMm, double ringOutsideMm) {}

  /**
   * The next step.
   *
   * @param seat the plan carried out on the seat
   * @param place which operation is the form, from 0
   * @param shortByMm how far short of the goal a step stops that is not the last one, mm of
   *     diameter
   * @return empty when the operation is no form cut or the plan leaves no contact
   */
  public static Optional<StepOutward> of(
      Job job, SeatOutcome seat, int place, Trial trial, double shortByMm, Practice practice) {
    if (!(seat.plan().operations().get(place) instanceof CutForm)
        || seat.cut().fit().seated().isEmpty()) {
      return Optional.empty();
    }
    double wanted = seat.cut().fit().seated().get().contact().outsideDiameterMm();
    double off = trial.ringOutsideMm() - trial.pointerMm();
    double missing = wanted - trial.ringOutsideMm();
    if (missing <= THERE_MM) {
      return Optional.of(
          new StepOutward(
              trial.pointerMm(), trial.depthMm(), missing, off, Optional.empty(), true));
    }
    double goal = missing > 2 * shortByMm ? wanted - shortByMm : wanted;
    return Optional.of(new Search(job, seat, place, trial, practice).upTo(goal - off, wanted, off));
  }

  /** Looks for the furthest setting that the metal allows. */
  private record Search(Job job, SeatOutcome seat, int place, Trial trial, Practice practice) {

    StepOutward upTo(double pointerMm, double wantedMm, double offMm) {
      Optional<FindingCode> held = forbidden(pointerMm);
      double pointer = pointerMm;
      if (held.isPresent()) {
        double allowed = trial.pointerMm();
        while (pointer - allowed > THERE_MM / 4) {
          double middle = (pointer + allowed) / 2;
          if (forbidden(middle).isEmpty()) {
            allowed = middle;
          } else {
            pointer = middle;
          }
        }
        pointer = allowed;
      }
      return new StepOutward(
          pointer, depthMm(cut(pointer)), wantedMm - (pointer + offMm), offMm, held, false);
    }

    private SeatOutcome cut(double pointerMm) {
      Plan plan = seat.plan();
      CutForm form = (CutForm) plan.operations().get(place);
      // The cut goes on from where the trial stood: it cleans up there or deeper.
      SeatOutcome free =
          seat.with(
              job,
              plan.withOperationAt(
                  place,
                  new CutForm(
                      form.cutter(),
                      OptionalDouble.of(pointerMm),
                      new Plunge.UntilClean(0, false))));
      return seat.with(
          job,
          plan.withOperationAt(
              place,
              new CutForm(
                  form.cutter(), OptionalDouble.of(pointerMm), new Plunge.ToDepth(depthMm(free)))));
    }

    private double depthMm(SeatOutcome outcome) {
      double clean = outcome.reading(ReadingKind.CLEAN_UP).orElse(trial.depthMm());
      return Math.max(clean, trial.depthMm());
    }

    private Optional<FindingCode> forbidden(double pointerMm) {
      return PlanFindings.of(cut(pointerMm), practice).stream()
          .filter(f -> f.severity() == Severity.FAULT && METAL.contains(f.code()))
          .map(f -> f.code())
          .findFirst();
    }
  }
}
