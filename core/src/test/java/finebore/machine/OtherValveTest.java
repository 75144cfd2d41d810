package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.work.StepKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** A valve is another one for the seat whose own is off by more than the shop's tolerance. */
class OtherValveTest {

  /** Four intakes planned as found; of two of them the valve was read, 0.05 and 0.06 smaller. */
  private static Job job() {
    Job job = Samples.job();
    job = job.withEngine(job.engine().withCylinders(4));
    double head = job.intake().planned().valve().headDiameterMm();
    job = read(job, "I1", head - 0.01);
    job = read(job, "I2", head - 0.05);
    return read(job, "I3", head - 0.06);
  }

  private static Job read(Job job, String seat, double mm) {
    return job.withHead(job.head().withReading(seat, Measure.VALVE_HEAD, OptionalDouble.of(mm)));
  }

  @Test
  void onlyTheSeatWhoseValveIsOffGetsAnother() {
    Job job = job();
    SeatPlace first = job.seats(Port.INTAKE).getFirst();
    CutSheet.Step step =
        CutSheet.of(GroupOutcome.of(job, first)).steps().stream()
            .filter(s -> s.kind() == StepKind.VALVE)
            .findFirst()
            .orElseThrow();
    for (CutSheet.Line line : step.lines()) {
      assertThat(line.perSeat().stream().map(Optional::isPresent).toList())
          .isEqualTo(List.of(false, false, true, false));
    }
    assertThat(
            RunSheet.of(job).steps().stream()
                .filter(s -> s.kind() == StepKind.VALVE && s.seat().port() == Port.INTAKE)
                .map(s -> s.seat().label()))
        .containsExactly("I3");
  }

  @Test
  void withinTheToleranceNobodyGetsOne() {
    Job job = job();
    job = read(job, "I3", job.intake().planned().valve().headDiameterMm() - 0.05);
    assertThat(CutSheet.of(GroupOutcome.of(job, job.seats(Port.INTAKE).getFirst())).steps())
        .noneMatch(s -> s.kind() == StepKind.VALVE);
  }
}
