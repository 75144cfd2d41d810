package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.practice.Finding;
import finebore.rules.PlanFindings;
import finebore.work.ReadBack;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A worn guide is a fault of its seat until it has been renewed. */
class WornGuideTest {

  private static final SeatPlace PLACE = MachineJob.job().engine().seats().getFirst();
  private static final double STEM =
      MachineJob.job().planOf(PLACE).wanted().valve().stemDiameterMm();

  private static List<Finding> findings(Job job, SeatPlace place) {
    return PlanFindings.of(SeatOutcome.of(job, place, job.planOf(place)), Samples.practice())
        .stream()
        .filter(f -> f.code() == FindingCode.GUIDE_NOT_RENEWED)
        .toList();
  }

  private static Job found(double clearance) {
    Job job = MachineJob.job();
    return job.withHead(
        job.head()
            .withReading(PLACE.label(), Measure.GUIDE_CLEARANCE, OptionalDouble.of(clearance)));
  }

  @ParameterizedTest
  @CsvSource({"0.1, false", "0.101, true", "0.16, true"})
  void itIsAFaultPastATenth(double clearance, boolean fault) {
    List<Finding> findings = findings(found(clearance), PLACE);
    assertThat(!findings.isEmpty()).isEqualTo(fault);
    assertThat(findings).allMatch(f -> f.severity() == Severity.FAULT);
    SeatPlace other = MachineJob.job().engine().seats().getLast();
    assertThat(findings(found(clearance), other)).isEmpty();
  }

  @Test
  void whatIsReadAtTheMachineCounts() {
    Job renewed =
        MachineJob.read(
            found(0.16), PLACE.label(), PLACE.label() + ":guide", ReadBack.GUIDE_BORE, STEM + 0.04);
    assertThat(findings(renewed, PLACE)).isEmpty();
    Job worse =
        MachineJob.read(
            found(0.04), PLACE.label(), PLACE.label() + ":guide", ReadBack.GUIDE_BORE, STEM + 0.6);
    assertThat(findings(worse, PLACE)).hasSize(1);
  }
}
