package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.figures.AnyHead;
import finebore.head.HeadPlan;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.rules.HeadFindings;
import finebore.rules.PlanFindings;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whatever the bounds allow is worked out or refused with words, however odd it is together. */
class EveryBoundTest {

  @Test
  void isWorkedOutOrRefused() {
    assertThat(worked(1, 25)).isPositive();
  }

  @Test
  @Tag("long")
  void isWorkedOutOrRefusedAtLength() {
    assertThat(worked(1_000_000, Integer.getInteger("finebore.heads", 20_000))).isPositive();
  }

  /** How many of the heads could be worked out. */
  private static int worked(long from, int heads) {
    int worked = 0;
    for (long seed = from; seed < from + heads; seed++) {
      try {
        work(AnyHead.of(seed));
        worked++;
      } catch (RuleViolation e) {
        assertThat(e.violated().code()).startsWith("rule.");
      } catch (RuntimeException e) {
        throw new AssertionError("seed " + seed, e);
      }
    }
    return worked;
  }

  private static void work(Job job) {
    HeadPlan.of(job);
    HeadFindings.of(job, Samples.practice());
    for (SeatPlace place : job.engine().seats()) {
      GroupOutcome group = GroupOutcome.of(job, place);
      CutSheet.of(group);
      for (SeatOutcome outcome : group.seats()) {
        PlanStudy.of(
            outcome, PlanStudy.asFound(job, place, finebore.flow.Calibration.UNCALIBRATED));
        PlanFindings.of(outcome, Samples.practice());
      }
    }
  }
}
