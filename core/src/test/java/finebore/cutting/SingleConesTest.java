package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.CutAngle.SingleTool;
import finebore.finding.FindingCode;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.practice.Finding;
import finebore.rules.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The same seat cut by one form, by stones or by blades is the same seat. */
class SingleConesTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace I1 = JOB.engine().seats().getFirst();

  private static SeatOutcome cut(List<Operation> operations) {
    return SeatOutcome.of(JOB, I1, JOB.planOf(I1).withOperations(operations));
  }

  @ParameterizedTest
  @EnumSource(SingleTool.class)
  void asAForm(SingleTool tool) {
    Seat wanted = JOB.planOf(I1).wanted().seat();
    List<Operation> single = new ArrayList<>(List.of(OpenThroat.AS_WANTED));
    double outside = wanted.outsideDiameterMm();
    List<Cut> cuts = wanted.cuts();
    double above = cuts.subList(0, wanted.sealing()).stream().mapToDouble(Cut::projectedMm).sum();
    double edge = outside + 2 * above;
    for (Cut cut : cuts) {
      single.add(new CutAngle(tool, cut.angleDeg(), edge, new Plunge.AsPlanned()));
      edge -= 2 * cut.projectedMm();
    }
    SeatOutcome byForm =
        cut(
            List.of(
                OpenThroat.AS_WANTED,
                new CutForm("", OptionalDouble.empty(), new Plunge.AsPlanned())));
    SeatOutcome bySingle = cut(single);
    assertThat(codes(bySingle)).isEqualTo(codes(byForm));
    assertThat(bySingle.cut().fit().restMm().orElseThrow())
        .isCloseTo(byForm.cut().fit().restMm().orElseThrow(), within(1e-6));
    bySingle.cut().fit().seat().shown().forEach(s -> assertThat(s.cut().widthMm()).isLessThan(10));
    // Each stops in the plan's line, so that none takes more than the form does.
    assertThat(bySingle.cut().cutting().removedMm3())
        .isCloseTo(byForm.cut().cutting().removedMm3(), within(0.5));
  }

  private static Set<FindingCode> codes(SeatOutcome outcome) {
    return PlanFindings.of(outcome, Samples.practice()).stream()
        .map(Finding::code)
        .collect(Collectors.toSet());
  }
}
