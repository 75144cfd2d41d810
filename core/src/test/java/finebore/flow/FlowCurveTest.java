package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.Bands.Band;
import finebore.flow.CamLift.Step;
import finebore.units.Unit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class FlowCurveTest {

  private static FlowCurve curve(double throat) {
    return Samples.study(Samples.pairing().withSeat(Samples.fourAngles(throat)))
        .curve()
        .orElseThrow();
  }

  @Test
  void flowFollowsBernoulliAtBenchPressures() {
    TestConditions usual = TestConditions.USUAL;
    // 1000 mm2 at 28 in of water: 1e-3 sqrt(2 x 6974.49 / 1.2041) = 0.10763 m3/s, 228.1 cfm.
    assertThat(usual.flow(1000)).isCloseTo(0.107632, within(1e-6));
    assertThat(Unit.CFM.fromBase(usual.flow(1000))).isCloseTo(228.06, within(0.01));
    assertThat(usual.withDepression(4 * 1000).flow(500))
        .isCloseTo(2 * usual.withDepression(1000).flow(500), within(1e-12));
  }

  @Test
  void largePressuresExpandAndChoke() {
    TestConditions large = new TestConditions(20_000, 1.2041, 101_325);
    double plain = 1e-3 * Math.sqrt(2 * 20_000 / 1.2041);
    assertThat(large.flow(1000)).isBetween(0.85 * plain, 0.98 * plain);
    double choked = new TestConditions(60_000, 1.2041, 101_325).isentropicSpeed();
    assertThat(new TestConditions(90_000, 1.2041, 101_325).isentropicSpeed())
        .isCloseTo(choked, within(1e-9));
    // Choked mass flux sqrt(k p rho) (2/(k+1))^((k+1)/(2(k-1))), over rho.
    double closed = Math.sqrt(1.4 * 101_325 / 1.2041) * Math.pow(2 / 2.4, 3);
    assertThat(choked).isCloseTo(closed, within(1e-6));
    assertThatThrownBy(() -> new TestConditions(-1, 1.2, 101_325))
        .hasMessageContaining("depression");
    assertThatThrownBy(() -> new TestConditions(5000, 9, 101_325))
        .hasMessageContaining("densityKgM3");
  }

  @Test
  void bandsGoByLiftOverDiameter() {
    assertThat(Bands.USUAL.of(5, 42)).isEqualTo(Band.LOW);
    assertThat(Bands.USUAL.of(5.1, 42)).isEqualTo(Band.MID);
    assertThat(Bands.USUAL.of(10.5, 42)).isEqualTo(Band.HIGH);
    assertThatThrownBy(() -> new Bands(0.3, 0.2)).hasMessageContaining("bandsRise");
  }

  @Test
  void theCamOpensAndCloses() {
    CamLift cam = new CamLift(10.5, 270);
    assertThat(cam.liftAt(0)).isZero();
    assertThat(cam.liftAt(0.5)).isEqualTo(10.5);
    assertThat(cam.liftAt(1)).isZero();
    assertThat(cam.liftAt(0.25)).isCloseTo(10.5 / 2, within(1e-12));
    assertThat(cam.liftAt(0.3)).isCloseTo(cam.liftAt(0.7), within(1e-12));
    assertThatThrownBy(() -> new CamLift(0, 270)).hasMessageContaining("quantity.camLift");
    assertThatThrownBy(() -> new CamLift(10, 20)).hasMessageContaining("quantity.camDuration");
  }

  @Test
  void aMeasuredCamIsReadFromItsTable() {
    CamLift cam =
        CamLift.measured(
            List.of(
                new Step(100, 0),
                new Step(140, 2),
                new Step(200, 9),
                new Step(260, 4),
                new Step(300, 1)));
    assertThat(cam.maxLiftMm()).isEqualTo(9);
    assertThat(cam.durationDeg()).isEqualTo(200);
    assertThat(cam.liftAt(0)).isZero();
    assertThat(cam.liftAt(0.1)).isCloseTo(1, within(1e-12));
    assertThat(cam.liftAt(0.35)).isCloseTo(5.5, within(1e-12));
    assertThat(cam.liftAt(0.5)).isCloseTo(9, within(1e-12));
    assertThat(cam.liftAt(0.9)).isCloseTo(2.5, within(1e-12));
    assertThat(cam.liftAt(1)).isEqualTo(1);
    // Area of the trapezia over the duration.
    double mean = (40 * 1 + 60 * 5.5 + 60 * 6.5 + 40 * 2.5) / 200;
    assertThat(cam.meanOf(lift -> lift)).isCloseTo(mean, within(0.01));
  }

  @Test
  void whatIsNoCamIsRefused() {
    List<Step> rising = IntStream.range(0, 5).mapToObj(k -> new Step(40 * k, 2 * k)).toList();
    CamLift cam = CamLift.measured(rising);
    assertThatThrownBy(() -> cam.withMaxLiftMm(8.1)).hasMessageContaining("camAsInTable");
    assertThatThrownBy(() -> cam.withDurationDeg(161)).hasMessageContaining("camAsInTable");
    assertThatThrownBy(() -> CamLift.measured(rising.subList(0, 4)))
        .hasMessageContaining("camTableSize");
    List<Step> twice = new ArrayList<>(rising);
    twice.set(3, new Step(80, 5));
    assertThatThrownBy(() -> CamLift.measured(twice)).hasMessageContaining("camDegreesRise");
    assertThatThrownBy(() -> new Step(0, 50.1)).hasMessageContaining("camTableLift");
  }

  @Test
  void theCurveIsReadBetweenItsLifts() {
    FlowCurve curve = curve(0.89);
    double at2 = curve.points().get(1).flowM3s();
    double at3 = curve.points().get(2).flowM3s();
    assertThat(curve.flowAt(2.5)).isCloseTo((at2 + at3) / 2, within(1e-12));
    assertThat(curve.flowAt(0)).isZero();
    assertThat(curve.flowAt(30)).isEqualTo(curve.points().getLast().flowM3s());
    assertThat(curve.points().getFirst().curtainCoefficient()).isBetween(0.55, 0.8);
  }

  @Test
  void aChangeIsToldByLiftBandAndCam() {
    CamLift cam = new CamLift(10.5, 270);
    FlowCurve small = curve(0.86);
    FlowCurve large = curve(0.89);
    FlowChange change = FlowChange.between(small, large, Bands.USUAL, 42, cam);
    assertThat(change.steps()).hasSize(6);
    FlowChange.Mean low = change.bands().get(Band.LOW);
    assertThat(low.lifts()).isEqualTo(4);
    double mean =
        change.steps().subList(0, 4).stream()
            .mapToDouble(FlowChange.Step::changeM3s)
            .average()
            .orElseThrow();
    assertThat(low.changeM3s()).isCloseTo(mean, within(1e-15));
    assertThat(change.camMeanM3s())
        .isCloseTo(large.camMean(cam) - small.camMean(cam), within(1e-15));
    assertThat(change.bands().get(Band.HIGH).share()).isPositive();
    FlowChange back = FlowChange.between(large, small, Bands.USUAL, 42, cam);
    assertThat(back.steps().get(3).changeM3s()).isEqualTo(-change.steps().get(3).changeM3s());
    assertThatThrownBy(
            () ->
                FlowChange.between(
                    small,
                    new FlowCurve(large.points().subList(0, 2), List.of()),
                    Bands.USUAL,
                    42,
                    cam))
        .hasMessageContaining("lifts");
  }

  @Test
  void calibrationsKnowWhetherTheyAreOnes() {
    assertThat(Calibration.UNCALIBRATED.isCalibrated()).isFalse();
    assertThatThrownBy(() -> new Calibration(-1, 1, OptionalInt.empty()))
        .hasMessageContaining("portLoss");
    assertThatThrownBy(() -> new Calibration(1, 9, OptionalInt.empty()))
        .hasMessageContaining("factor");
  }

  @Test
  void sectorsShareTheCircle() {
    assertThat(Sectors.EVEN.mean()).isEqualTo(1);
    assertThat(Sectors.BENT_PORT.mean()).isCloseTo((1 + 0.65 / 0.72) / 2, within(1e-12));
    assertThatThrownBy(() -> new Sectors(java.util.List.of(new Sectors.Sector("half", 0.5, 1))))
        .hasMessageContaining("shares");
    assertThatThrownBy(() -> new Sectors.Sector("none", 0, 1)).hasMessageContaining("share");
    assertThatThrownBy(() -> new Sectors.Sector("odd", 1, 2)).hasMessageContaining("relative");
  }

  /** What is better known of a lift counts in it, in its band's mean and in the cam's. */
  @Test
  void whatIsBetterKnownCounts() {
    CamLift cam = new CamLift(10, 270);
    FlowChange change = FlowChange.between(curve(0.84), curve(0.89), Bands.USUAL, 42, cam);
    FlowChange same = change.with(Map.of());
    assertThat(same.steps()).isEqualTo(change.steps());
    assertThat(same.bands()).isEqualTo(change.bands());
    assertThat(same.camMeanShare()).isCloseTo(change.camMeanShare(), within(1e-12));
    FlowChange one = change.with(Map.of(2.0, -0.04));
    assertThat(one.steps().get(1).share()).isCloseTo(-0.04, within(1e-12));
    assertThat(one.steps().getFirst()).isEqualTo(change.steps().getFirst());
    int low = change.bands().get(Band.LOW).lifts();
    assertThat(one.bands().get(Band.LOW).share())
        .isCloseTo(
            change.bands().get(Band.LOW).share() + (-0.04 - change.steps().get(1).share()) / low,
            within(1e-12));
    assertThat(one.bands().get(Band.HIGH)).isEqualTo(change.bands().get(Band.HIGH));
    assertThat(one.camMeanM3s()).isLessThan(change.camMeanM3s());
    Map<Double, Double> all = new HashMap<>();
    change.steps().forEach(s -> all.put(s.liftMm(), 0.1));
    FlowChange whole = change.with(all);
    // Between the lifts it bends as the estimate does.
    assertThat(whole.camMeanShare()).isCloseTo(0.1, within(0.004));
    assertThat(whole.bands().get(Band.MID).share()).isCloseTo(0.1, within(1e-12));
  }
}
