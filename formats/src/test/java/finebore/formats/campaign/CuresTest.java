package finebore.formats.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.code.RuleViolation;
import finebore.finding.Severity;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.CureStudy;
import finebore.rules.PlanFindings;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Every cure that is offered, carried out on heads that a user made: no limit is broken that was
 * kept, at any seat that follows the plan, and no operation is put in beside one of its kind.
 */
class CuresTest {

  @Test
  void everyCureHoldsWhatItPromises() {
    assertThat(failures(1, 12)).isEmpty();
  }

  @Test
  @Tag("long")
  void everyCureHoldsWhatItPromisesAtLength() {
    assertThat(failures(1_000_000, Integer.getInteger("finebore.heads", 2_000))).isEmpty();
  }

  private static List<String> failures(long from, int heads) {
    List<String> failed = new ArrayList<>();
    int offered = 0;
    int dropped = 0;
    for (long seed = from; seed < from + heads; seed++) {
      Job job = AnyEdits.of(seed, 12);
      Practice practice = PracticeFiles.all().get((int) (seed % PracticeFiles.all().size()));
      for (SeatPlace place : job.plans()) {
        SeatOutcome outcome;
        try {
          outcome = SeatOutcome.of(job, place, job.planOf(place));
        } catch (RuleViolation e) {
          continue;
        }
        List<Finding> raw = PlanFindings.of(outcome, practice);
        List<Finding> studied = CureStudy.studied(raw, outcome, practice);
        for (int k = 0; k < raw.size(); k++) {
          dropped += raw.get(k).cure().isPresent() && studied.get(k).cure().isEmpty() ? 1 : 0;
          if (studied.get(k).cure().isPresent()) {
            offered++;
            Cure cure = studied.get(k).cure().get();
            String wrong = wrong(job, place, practice, studied.get(k), cure);
            if (!wrong.isEmpty()) {
              failed.add(seed + " " + place.label() + " " + raw.get(k).code() + ": " + wrong);
            }
          }
        }
      }
    }
    System.out.println("cures: " + offered + " offered, " + dropped + " dropped");
    assertThat(offered).isGreaterThan(heads / 4);
    assertThat(dropped).isPositive();
    return failed.subList(0, Math.min(20, failed.size()));
  }

  private static String wrong(
      Job job, SeatPlace place, Practice practice, Finding finding, Cure cure) {
    Plan before = job.planOf(place);
    Plan after = cure.applyTo(before);
    if (cure instanceof Cure.AddOperation add
        && before.operations().stream().anyMatch(o -> o.equals(add.operation()))) {
      return "puts the same in twice";
    }
    for (SeatPlace seat : job.alike(place)) {
      Set<String> was = broken(job, seat, before, practice);
      Set<String> is = broken(job, seat, after, practice);
      is.removeAll(was);
      if (!is.isEmpty()) {
        return seat.label() + " breaks " + is;
      }
    }
    boolean stands =
        PlanFindings.of(SeatOutcome.of(job, place, after), practice).stream()
            .anyMatch(
                f ->
                    f.code() == finding.code()
                        && f.subject().equals(finding.subject())
                        && f.extent() >= finding.extent());
    return stands ? "mends nothing" : "";
  }

  private static Set<String> broken(Job job, SeatPlace seat, Plan plan, Practice practice) {
    return PlanFindings.of(SeatOutcome.of(job, seat, plan), practice).stream()
        .filter(f -> f.severity() != Severity.NOTE)
        .map(f -> f.code() + " " + f.subject())
        .collect(Collectors.toSet());
  }
}
