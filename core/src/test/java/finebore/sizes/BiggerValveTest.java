package finebore.sizes;

import static finebore.sizes.SizeSamples.I1;
import static finebore.sizes.SizeSamples.JOB;
import static finebore.sizes.SizeSamples.PRACTICE;
import static finebore.sizes.SizeSamples.read;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.InSeries;
import finebore.flow.Loss;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.planning.PortRatio;
import finebore.planning.SeatInSeries;
import finebore.seat.Seat;
import finebore.units.Unit;
import finebore.valve.Pairing;
import finebore.valve.Resized;
import finebore.valve.Valve;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a bigger valve is worth, and what is asked of it. */
class BiggerValveTest {

  @Test
  void aBiggerHeadGivesWhatIsSolvedWithEitherThroat() {
    NextSize next = NextSize.of(Samples.planned(JOB), PRACTICE, 44).orElseThrow();
    // The sample practice allows 0.90.
    assertThat(next.throatMm()).isCloseTo(0.9 * 44, within(1e-9));
    assertThat(next.sameThroat().orElseThrow().camMeanShare()).isPositive();
    // Solved at 11 mm of lift without a port (even closure, coarse): 8.7 % and 8.3 %.
    assertThat(next.sameThroat().orElseThrow().steps().getLast().share())
        .isCloseTo(0.087, within(0.03));
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share())
        .isCloseTo(0.083, within(0.03));
    assertThat(next.holdsBack())
        .extracting(Loss::cause)
        .containsExactly(Loss.Cause.SEAT, Loss.Cause.PORT);
    NextSize none = NextSize.of(Samples.planned(JOB), PRACTICE, 42).orElseThrow();
    assertThat(none.sameThroat().orElseThrow().camMeanShare()).isZero();
    assertThat(none.givesNothing()).isTrue();
  }

  /**
   * 1.60 in over 1.27 in gains most when the bowl is opened, too; common practice. Solved without a
   * port (even closure, full grid) it is 14 % with the same throat and 21 % with the larger one.
   */
  @Test
  void aBigValveOverASmallHoleGivesLittle() {
    double throat = 1.27 * 25.4;
    var wanted = JOB.planOf(I1).wanted();
    Job small =
        JOB.withPlanned(
            Port.INTAKE,
            wanted
                .withValve(wanted.valve().withHeadDiameterMm(1.5 * 25.4))
                .withSeat(
                    wanted
                        .seat()
                        .withThroatDiameter(throat)
                        .withOutsideDiameterMm(1.5 * 25.4 - 0.75)
                        .withBowl(throat, 20)));
    NextSize next = NextSize.of(Samples.planned(small), PRACTICE, 1.6 * 25.4).orElseThrow();
    double same = next.sameThroat().orElseThrow().steps().getLast().share();
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share()).isGreaterThan(1.4 * same);
  }

  /** 40 hp of one cylinder: 40 / 0.257 cfm at 28 in; common practice, no source. */
  @Test
  void wantedFlowIsThePowersAtTheCamsLift() {
    var curve = Samples.found(JOB).curve().orElseThrow();
    FlowWanted wanted = FlowWanted.of(JOB, curve).orElseThrow();
    double at28 = Unit.CFM.fromBase(AirDemand.at28(wanted.wantedM3s(), JOB.test().depressionPa()));
    assertThat(at28).isCloseTo(40 / 0.257, within(1e-9));
    double times = wanted.wantedM3s() / wanted.haveM3s();
    assertThat(wanted.points())
        .allSatisfy(p -> assertThat(p.wantedM3s()).isCloseTo(times * p.haveM3s(), within(1e-12)));
    assertThat(wanted.camMeanWantedM3s())
        .isCloseTo(times * curve.camMean(JOB.intake().cam()), within(1e-12));
    Job none = JOB.withEngine(JOB.engine().withTargetHp(OptionalDouble.empty()));
    assertThat(FlowWanted.of(none, curve)).isEmpty();
  }

  /** Outside 41.25 to 43.25; 45, 60 and 75 of 1.2, 1.4 and 1.5 reach 1.9367 in. */
  @Test
  void cutsMoveOutWithTheHeadAndTheLastOneMeetsTheThroatAsBefore() {
    Pairing planned = Samples.pairing();
    Valve valve = planned.valve().withHeadDiameterMm(44);
    double throat = planned.seat().throatDiameterMm();
    Seat same = Resized.of(planned, valve, throat).orElseThrow().seat();
    assertThat(same.outsideDiameterMm()).isCloseTo(43.25, within(1e-12));
    double reach = 1.2 * Math.cos(Math.PI / 4) + 1.4 * 0.5 + 1.5 * Math.cos(Math.toRadians(75));
    double further = (43.25 - throat) / 2 - reach;
    assertThat(same.cuts().getLast().widthMm())
        .isCloseTo(1.5 + further / Math.cos(Math.toRadians(75)), within(1e-9));
    assertThat(same.cuts().subList(0, 3)).isEqualTo(planned.seat().cuts().subList(0, 3));
    assertThat(same.bowlDiameterMm()).isEqualTo(planned.seat().bowlDiameterMm());
    Seat opened = Resized.of(planned, valve, throat + 1.7).orElseThrow().seat();
    assertThat(opened.bowlDiameterMm())
        .isCloseTo(planned.seat().bowlDiameterMm() + 1.7, within(1e-12));
    assertThat(opened.cuts().getLast().widthMm()).isLessThan(same.cuts().getLast().widthMm());
    // The other way nothing is made narrower.
    Seat smaller = Resized.of(planned, valve.withHeadDiameterMm(41), throat).orElseThrow().seat();
    assertThat(smaller.cuts()).isEqualTo(planned.seat().cuts());
    // An upright last cut has no way across to grow by.
    Pairing sharp = planned.withSeat(Samples.oneSharpAngle());
    assertThat(
            Resized.of(sharp, valve, sharp.seat().throatDiameterMm()).orElseThrow().seat().cuts())
        .isEqualTo(sharp.seat().cuts());
    assertThat(Resized.of(planned, valve, 60)).isEmpty();
  }

  @Test
  void whatStandsInSeriesIsAtTheJobsDepression() {
    Job job = read(read(JOB, "I1", Measure.MANIFOLD_FLOW, 0.08), "I1", Measure.THROTTLE_FLOW, 0.1);
    var curve = Samples.found(job).curve().orElseThrow();
    SeatInSeries at28 = SeatInSeries.of(job, I1, curve);
    assertThat(at28.lifts()).hasSize(curve.points().size());
    InSeries high = at28.lifts().getLast().series();
    assertThat(high.passages())
        .extracting(InSeries.Passage::part)
        .containsExactly(InSeries.Part.PORT, InSeries.Part.MANIFOLD, InSeries.Part.THROTTLE);
    assertThat(high.passages().get(1).aloneM3s()).isCloseTo(0.08, within(1e-9));
    assertThat(high.passages().getFirst().aloneM3s()).isEqualTo(curve.points().getLast().flowM3s());
    // At a quarter of the depression half of it flows.
    Job quarter = job.withTest(job.test().withDepressionPa(7 * 249.08891));
    assertThat(SeatInSeries.measured(quarter, I1).getFirst().aloneM3s())
        .isCloseTo(0.04, within(1e-9));
    assertThat(SeatInSeries.measured(JOB, I1)).isEmpty();
    assertThat(InSeries.Part.THROTTLE.code()).isEqualTo("series.throttle");
    assertThat(PortRatio.of(JOB.engine(), curve, curve)).allMatch(r -> r.share() == 1);
    assertThat(
            PortRatio.of(
                    JOB.engine().withExhaustsPerCylinder(2).withIntakesPerCylinder(3), curve, curve)
                .getFirst()
                .share())
        .isCloseTo(2.0 / 3, within(1e-12));
  }
}
