package finebore.suggest;

import finebore.cutting.Cutter;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.job.Pairing;
import finebore.job.Plan;
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
 */
public record Candidate(
    int number, Cutter cutter, Pairing wanted, double pastCleanMm, double score) {

  /** The operations that bring it in: throat before seat. */
  public Plan plan() {
    OptionalDouble open = OptionalDouble.empty();
    return new Plan(
        wanted,
        List.of(
            new Operation.OpenThroat(open, 0, open),
            new Operation.CutForm(cutter.name(), open, new Plunge.UntilClean(pastCleanMm, false)),
            new Operation.OpenBowl(open, open)),
        List.of(),
        false);
  }
}
