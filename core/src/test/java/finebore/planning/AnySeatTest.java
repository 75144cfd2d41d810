package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.Cutting;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SectionDifference;
import finebore.cutting.SweepChamber;
import finebore.flow.Calibration;
import finebore.flow.LiftPoint;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.rules.PlanFindings;
import finebore.rules.SeatFindings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Tolerance;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import net.jqwik.api.Example;
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
            Seat.of(
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
    SeatStudy study = study(port, planned);
    assertThat(study.readings()).allSatisfy(r -> assertThat(r.value()).isFinite());
    if (study.curve().isPresent()) {
      for (LiftPoint point : study.curve().get().points()) {
        assertThat(point.flowM3s()).isFinite().isPositive();
        assertThat(point.gate().areaMm2()).isFinite().isNotNegative();
        assertThat(point.effectiveAreaMm2()).isLessThan(2 * point.gate().areaMm2() + 1);
      }
    }
    List<Finding> findings =
        SeatFindings.of("I1", port, study.fit(), study.readings(), Samples.practice());
    for (Finding finding : findings) {
      finding.cure().ifPresent(cure -> study(port, cure.applyTo(study.pairing())));
    }
    SectionDifference difference =
        SectionDifference.between(
            SeatSection.of(found.seat(), Tolerance.FINE).profile(), study.seat().profile());
    assertThat(difference.removedMm3()).isNotNegative();
  }

  /** A seat whose cure can be applied to what was found, but not to what was entered. */
  @Example
  void aCureIsForTheSeatAsItLies() {
    canBeStudied(-712185232, Port.INTAKE);
  }

  /** Cuts that leave an edge nearer to the axis than any seat lies. */
  @Example
  void whatIsLeftOfASeatMayBeTiny() {
    anyPlanCanBeCarriedOut(-875556, Port.INTAKE);
  }

  @Property(tries = 250)
  void anyPlanCanBeCarriedOut(@ForAll long seed, @ForAll Port port) {
    Random random = new Random(seed);
    Pairing found = any(random);
    Plan plan = Plan.usual(any(random)).withOperations(operations(random));
    Job sample = Samples.job();
    SeatReadings readings =
        SeatReadings.NONE
            .with(Measure.RUNOUT, OptionalDouble.of(random.nextInt(2) * 0.2))
            .with(Measure.WALL_SEAT, OptionalDouble.of(between(random, 0.5, 6)))
            .with(Measure.RING_OUTSIDE, OptionalDouble.of(between(random, 20, 80)));
    Job job =
        sample
            .withGroup(port, sample.group(port).withFound(found))
            .withHead(sample.head().withReadings(port.letter() + "1", readings));
    SeatPlace place = seatOf(job, port);
    PlanStudy study =
        PlanStudy.of(job, place, plan, PlanStudy.asFound(job, place, Calibration.UNCALIBRATED));
    assertThat(study.finished().readings()).allSatisfy(r -> assertThat(r.value()).isFinite());
    for (Cutting.Step step : study.cutting().steps()) {
      assertThat(step.removedMm3()).isNotNegative();
      assertThat(step.metal().wall().points().getLast().z())
          .isCloseTo(study.cutting().metalAfter(0).wall().points().getLast().z(), within(1e-6));
    }
    for (Finding finding : PlanFindings.of(study.outcome(), Samples.practice())) {
      finding.cure().ifPresent(cure -> assertThat(cure.message().code()).isNotBlank());
    }
    assertThat(CutSheet.of(GroupOutcome.of(job, place, plan)).steps()).isNotEmpty();
  }

  private static SeatStudy study(Port port, Pairing pairing) {
    Job job = Samples.job();
    Job own = job.withGroup(port, job.group(port).withFound(pairing));
    return PlanStudy.asFound(own, seatOf(own, port), Calibration.UNCALIBRATED);
  }

  private static SeatPlace seatOf(Job job, Port port) {
    return job.engine().seats().stream().filter(s -> s.port() == port).findFirst().orElseThrow();
  }

  private static List<Operation> operations(Random random) {
    OptionalDouble open = OptionalDouble.empty();
    List<Operation> all =
        List.of(
            new OpenThroat(OptionalDouble.of(between(random, 5, 60)), 3, open),
            new OpenThroat(open, 0, OptionalDouble.of(between(random, 1, 30))),
            new CutForm("", open, new Plunge.AsPlanned()),
            new CutForm("", open, new Plunge.UntilClean(0.1, random.nextBoolean())),
            new CutAngle(
                CutAngle.SingleTool.STONE,
                between(random, 10, 80),
                between(random, 8, 70),
                new Plunge.ToDepth(between(random, 0, 12))),
            new CutUnder(
                between(random, 0, 20),
                OptionalDouble.of(between(random, 8, 60)),
                2,
                OptionalDouble.of(1 + random.nextInt(2) * 3)),
            new SweepChamber(between(random, 0, 30), between(random, 60, 120), open),
            new OpenBowl(open, open),
            new Blend(Blend.Side.values()[random.nextInt(2)], 0.5, between(random, 0.1, 3)),
            new FitRing(
                new Ring(between(random, 30, 80), between(random, 5, 25), 14, 10, 0.1, "")));
    List<Operation> some = new ArrayList<>();
    for (int k = 0; k < 4; k++) {
      some.add(all.get(random.nextInt(all.size())));
    }
    return some;
  }
}
