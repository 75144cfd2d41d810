package finebore.study;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.CutSheet;
import finebore.cutting.SectionDifference;
import finebore.flow.LiftPoint;
import finebore.job.Pairing;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.practice.Findings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Tolerance;
import finebore.units.UnitSystem;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;

/**
 * Whatever seat and valve can be entered can be studied: nothing is thrown, and figures are
 * figures.
 */
class AnySeatTest {

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }

  private static List<Cut> cuts(Random random, int atLeast, int atMost) {
    List<Cut> cuts = new ArrayList<>();
    int count = atLeast + random.nextInt(atMost - atLeast + 1);
    for (int k = 0; k < count; k++) {
      double width =
          random.nextInt(5) == 0 ? 0 : between(random, 0, random.nextInt(6) == 0 ? 8 : 2.5);
      cuts.add(
          new Cut(
              random.nextInt(7) == 0 ? 90 * random.nextInt(2) : Math.rint(between(random, 5, 85)),
              width));
    }
    return cuts;
  }

  private static Pairing any(Random random) {
    while (true) {
      try {
        List<Cut> cuts = cuts(random, 1, 6);
        double outside = between(random, 8, 70);
        Seat seat =
            new Seat(
                cuts,
                random.nextInt(cuts.size()),
                outside,
                random.nextInt(4) == 0 ? 0 : between(random, 0, 15),
                outside * between(random, 0.4, 0.99),
                between(random, 0, 6),
                outside * between(random, 0.4, 1.2),
                between(random, 0, 30),
                random.nextInt(4) == 0 ? 0 : between(random, 0, 80));
        Valve valve =
            new Valve(
                outside * between(random, 0.5, 2.5),
                between(random, 0, 4),
                Math.rint(between(random, 15, 70)),
                between(random, 0.05, 5),
                cuts(random, 0, 3),
                new Underhead(between(random, 0, 70), between(random, 0, 30)),
                between(random, 2, 12),
                0);
        return new Pairing(seat, valve);
      } catch (IllegalArgumentException e) {
        // Not every throw of the dice can be entered either.
        continue;
      }
    }
  }

  @Property(tries = 600)
  void canBeStudied(@ForAll long seed, @ForAll Port port) {
    Random random = new Random(seed);
    Pairing found = any(random);
    Pairing planned = any(random);
    SeatStudy study = SeatStudy.of(Samples.job(), port, planned);
    assertThat(study.readings()).allSatisfy(r -> assertThat(r.value()).isFinite());
    if (study.curve().isPresent()) {
      for (LiftPoint point : study.curve().get().points()) {
        assertThat(point.flowM3s()).isFinite().isPositive();
        assertThat(point.losses().gate().areaMm2()).isFinite().isNotNegative();
        assertThat(point.losses().effectiveAreaMm2())
            .isLessThan(2 * point.losses().gate().areaMm2() + 1);
      }
    }
    List<Finding> findings = Findings.of(study, Samples.practice(), port, UnitSystem.METRIC);
    for (Finding finding : findings) {
      finding.cure().ifPresent(cure -> SeatStudy.of(Samples.job(), port, cure.applyTo(planned)));
    }
    SectionDifference difference =
        SectionDifference.between(
            SeatSection.of(found.seat(), Tolerance.FINE).profile(), study.seat().profile());
    assertThat(difference.removedMm3()).isNotNegative();
    assertThat(
            CutSheet.of(
                    found.seat(),
                    planned.seat(),
                    found.valve(),
                    planned.valve(),
                    -1,
                    UnitSystem.INCH)
                .operations())
        .isNotEmpty();
  }
}
