package finebore.suggest;

import finebore.cutting.CutForm;
import finebore.cutting.Cutter;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.job.Plan;
import finebore.valve.Pairing;
import java.util.List;
import java.util.OptionalDouble;

/**
 * One plan that was looked at.
 *
 * @param number its place in the search, by which equals are told apart
 * @param cutter which cutter of the rack
 * @param wanted seat and valve
 * @param pastCleanMm how much deeper than clean it is plunged
 * @param score how good it is at the goal, the larger the better
 * @param roomMeasured whether the room for its valve is known: measured, or no more than the found
 *     one's
 */
public record Candidate(
    int number,
    Cutter cutter,
    Pairing wanted,
    double pastCleanMm,
    double score,
    boolean roomMeasured) {

  /** The operations that bring it in: throat before seat. */
  public Plan plan() {
    return Plan.of(
        wanted,
        List.of(
            OpenThroat.AS_WANTED,
            new CutForm(
                cutter.name(), OptionalDouble.empty(), new Plunge.UntilClean(pastCleanMm, false)),
            OpenBowl.AS_WANTED));
  }
}
