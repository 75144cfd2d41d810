package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.CamLift.Step;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.planning.PlanStudy;
import finebore.sizes.FlowWanted;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Whatever is said over the cam hangs on the cam and the seat, not on which lifts are listed. */
class CamMeanTest {

  private static final double HEAD = 42;

  /** Opens fast, stays up and closes slowly, as no polynomial does. */
  private static final CamLift TABLE =
      CamLift.measured(
          List.of(
              new Step(0, 0.1),
              new Step(40, 3),
              new Step(90, 9.4),
              new Step(130, 9.6),
              new Step(210, 5),
              new Step(290, 0.3)));

  static List<CamLift> cams() {
    return List.of(new CamLift(10.5, 270), new CamLift(6, 240), TABLE);
  }

  static List<List<Double>> lists() {
    return List.of(
        IntStream.rangeClosed(1, 12).mapToObj(k -> 1.0 * k).toList(),
        List.of(1.0),
        List.of(0.5, 1.0, 1.5, 2.0),
        List.of(6.0, 12.0),
        List.of(3.0, 5.0, 14.0));
  }

  private static Job job(CamLift cam, List<Double> lifts) {
    Job job = Samples.job();
    return job.withIntake(job.intake().withCam(cam))
        .withTest(job.test().withLiftsMm(lifts))
        .withEngine(job.engine().withTargetHp(OptionalDouble.of(300)));
  }

  private static PlanStudy plan(Job job) {
    SeatPlace place =
        job.engine().seats().stream()
            .filter(s -> s.port() == Port.INTAKE)
            .findFirst()
            .orElseThrow();
    SeatStudy found = PlanStudy.asFound(job, place, Calibration.UNCALIBRATED);
    return PlanStudy.of(job, place, job.planOf(place), found);
  }

  private static FlowCurve curve(Job job) {
    return plan(job).finished().curve().orElseThrow();
  }

  @ParameterizedTest
  @MethodSource("cams")
  void nothingOverTheCamHangsOnTheList(CamLift cam) {
    Job usual = job(cam, lists().getFirst());
    FlowCurve curve = curve(usual);
    for (List<Double> lifts : lists()) {
      Job other = job(cam, lifts);
      assertThat(curve(other).camMean(cam)).as("%s", lifts).isEqualTo(curve.camMean(cam));
      assertThat(AirDemand.machIndex(other.engine(), cam, HEAD, curve(other)))
          .isEqualTo(AirDemand.machIndex(usual.engine(), cam, HEAD, curve));
      FlowChange change = plan(other).change().orElseThrow();
      assertThat(change.camMeanShare())
          .isEqualTo(plan(usual).change().orElseThrow().camMeanShare());
      FlowWanted wanted = FlowWanted.of(other, curve(other)).orElseThrow();
      assertThat(wanted.haveM3s()).isEqualTo(FlowWanted.of(usual, curve).orElseThrow().haveM3s());
      assertThat(wanted.camMeanHaveM3s()).isEqualTo(curve.camMean(cam));
    }
  }

  /** The few lifts it is asked at stand for all of them. */
  @ParameterizedTest
  @MethodSource("cams")
  void theMeanIsThatOfAsManyLiftsAsOneLikes(CamLift cam) {
    List<Double> many =
        IntStream.rangeClosed(1, 60).mapToObj(k -> cam.maxLiftMm() * k / 60).toList();
    FlowCurve dense = curve(job(cam, many));
    double mean = cam.meanOf(dense::flowAt);
    assertThat(dense.camMean(cam)).isCloseTo(mean, within(0.002 * mean));
  }

  /**
   * Z = (bore / valve)^2 (mean piston speed) / (Ci c), Ci the mean of effective area over head area
   * against crank angle (C. F. Taylor, The Internal-Combustion Engine in Theory and Practice, from
   * memory).
   */
  @ParameterizedTest
  @MethodSource("cams")
  void theMachIndexIsTaylors(CamLift cam) {
    Job job =
        job(cam, IntStream.rangeClosed(1, 60).mapToObj(k -> cam.maxLiftMm() * k / 60).toList());
    FlowCurve curve = curve(job);
    double[] lifts = curve.points().stream().mapToDouble(LiftPoint::liftMm).toArray();
    double[] areas = curve.points().stream().mapToDouble(LiftPoint::effectiveAreaMm2).toArray();
    double sum = 0;
    int degrees = (int) cam.durationDeg();
    for (int deg = 0; deg < degrees; deg++) {
      double lift = cam.liftAt((deg + 0.5) / degrees);
      sum += FlowCurve.between(lifts, areas, lift) / (Math.PI / 4 * HEAD * HEAD) / degrees;
    }
    double speed = 2 * job.engine().strokeMm() / 1000 * job.engine().rpm() / 60;
    double area = job.engine().boreMm() * job.engine().boreMm();
    double z = area / (HEAD * HEAD) * speed / (sum * 343.2);
    assertThat(AirDemand.machIndex(job.engine(), cam, HEAD, curve)).isCloseTo(z, within(0.003 * z));
  }

  @Test
  void theMeanGoesStraightFromLiftToLift() {
    double[] lifts = {2, 5, TABLE.maxLiftMm()};
    double[] values = {3, 4, 8};
    assertThat(TABLE.mean(lifts, values))
        .isCloseTo(TABLE.meanOf(l -> FlowCurve.between(lifts, values, l)), within(1e-12));
    assertThat(TABLE.mean(new double[0], new double[0])).isNaN();
  }

  /** What is unlike anything solved counts in no mean: what is known goes on past it. */
  @Test
  void anUnknownLiftSaysNothing() {
    CamLift cam = new CamLift(9, 250);
    // Twice the lift wherever it is known: below and in between the line goes on.
    double whole = 2 * cam.meanOf(l -> l);
    List<LiftPoint> points =
        cam.lifts().stream()
            .map(l -> l < 1 || l > 4 && l < 5 ? point(l, 1000, false) : point(l, 2 * l, true))
            .toList();
    FlowCurve curve = new FlowCurve(points, points);
    assertThat(curve.camMean(cam)).isCloseTo(whole, within(1e-9));
    List<LiftPoint> more =
        points.stream().map(p -> point(p.liftMm(), 1.1 * p.flowM3s(), p.isKnown())).toList();
    FlowChange change = FlowChange.between(curve, new FlowCurve(more, more), Bands.USUAL, 30, cam);
    assertThat(change.camMeanShare()).isCloseTo(0.1, within(1e-9));
    assertThat(change.bands().values()).allMatch(m -> Math.abs(m.share() - 0.1) < 1e-9);
    // Past the last that is known nothing is: the mean is of the opening up to there.
    List<LiftPoint> top =
        cam.lifts().stream().map(l -> point(l, l > 7 ? 1000 : 2 * l, l <= 7)).toList();
    double last = top.stream().filter(LiftPoint::isKnown).toList().getLast().liftMm();
    double below = cam.meanOf(l -> l > last ? 0 : 2 * l) / cam.meanOf(l -> l > last ? 0 : 1);
    assertThat(new FlowCurve(top, top).camMean(cam)).isCloseTo(below, within(0.02 * below));
    List<LiftPoint> none = cam.lifts().stream().map(l -> point(l, 1, false)).toList();
    assertThat(new FlowCurve(none, none).camMean(cam)).isNaN();
  }

  private static LiftPoint point(double lift, double flow, boolean known) {
    return new LiftPoint(lift, new EffectiveArea(null, 100, known), 100, flow);
  }
}
