package finebore.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/**
 * A reading that lies far from the smooth curve through the test's other points. It is questioned,
 * never dropped.
 *
 * <p>A stall is none: a first drop with nothing after it, or one that the next lift confirms, is to
 * be read twice ({@link ReducedTest#backsUpFromMm}), and from the highest reading before it on
 * nothing is questioned, nor is anything extrapolated along a falling line.
 *
 * <p>What is far is told by the test itself: by how much its points scatter about that curve
 * (scaled median absolute deviation, as in {@link finebore.found.Family}). The model has no say in
 * that; what it makes of the lift is given beside it as a second opinion.
 *
 * @param liftMm where
 * @param flowM3s as read, brought to standard
 * @param expectedM3s by the test's other points
 * @param modelM3s by the model, brought to the level of the test's other points; empty where it has
 *     nothing to say
 */
public record SuspectReading(
    double liftMm, double flowM3s, double expectedM3s, OptionalDouble modelM3s) {

  /** Curves bend by this much between lifts without anything being wrong; chosen. */
  private static final double LEAST_SHARE = 0.05;

  /** The last lift has points on one side only, so its expectation is worth less; chosen. */
  private static final double AT_THE_END = 3;

  private static final double TIMES_NOISE = 5;
  private static final double TIMES_SCATTER = 4;

  /** From median absolute deviation to standard deviation, for a normal spread. */
  private static final double TO_SIGMA = 1.4826;

  private static final int FEWEST = 5;

  public double share() {
    return flowM3s / expectedM3s - 1;
  }

  /**
   * Readings of a test to be looked at again, the worst first.
   *
   * @param model the model's flow by lift, mm to m3/s; its size does not matter
   */
  public static List<SuspectReading> of(
      ReducedTest test, Optional<DoubleUnaryOperator> model, Noise noise) {
    double stall = stallsFromMm(test, noise);
    SmoothCurve left = SmoothCurve.of(test).before(stall);
    List<SuspectReading> suspects = new ArrayList<>();
    // One bad reading spoils its neighbours' expectation, so the worst goes first.
    while (left.points().size() > FEWEST) {
      Optional<SuspectReading> worst = worst(left, noise);
      if (worst.isEmpty()) {
        break;
      }
      left = left.without(worst.get().liftMm());
      suspects.add(worst.get());
    }
    SmoothCurve sound = left;
    return suspects.stream().map(s -> s.with(model.map(m -> secondOpinion(s, sound, m)))).toList();
  }

  /** Lift of the highest reading before a stall, which no smooth curve goes through, mm. */
  private static double stallsFromMm(ReducedTest test, Noise noise) {
    List<ReducedTest.Lift> lifts = test.lifts();
    for (int k = 1; k < lifts.size(); k++) {
      double before = lifts.get(k - 1).meanM3s() * (1 - noise.share());
      boolean drops = lifts.get(k).meanM3s() < before;
      boolean stays = k == lifts.size() - 1 || lifts.get(k + 1).meanM3s() < before;
      if (drops && stays && !standsOut(test, lifts.get(k - 1))) {
        return lifts.get(k - 1).liftMm();
      }
    }
    return Double.POSITIVE_INFINITY;
  }

  /** Whether a reading lies that high over where those before it lead that it is one too many. */
  private static boolean standsOut(ReducedTest test, ReducedTest.Lift peak) {
    return SmoothCurve.of(test).before(peak.liftMm()).at(peak.liftMm()).stream()
        .anyMatch(v -> peak.meanM3s() > v.flowM3s() * (1 + AT_THE_END * LEAST_SHARE));
  }

  private SuspectReading with(Optional<Double> opinion) {
    return new SuspectReading(
        liftMm,
        flowM3s,
        expectedM3s,
        opinion.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
  }

  private static Optional<SuspectReading> worst(SmoothCurve curve, Noise noise) {
    double least = Math.max(LEAST_SHARE, TIMES_NOISE * noise.share());
    SuspectReading worst = null;
    double most = 1;
    for (SmoothCurve.At at : curve.points()) {
      // How far the others scatter is told without it, or a bad reading would excuse itself.
      SmoothCurve others = curve.without(at.liftMm());
      Optional<SmoothCurve.Value> expected =
          at.liftMm() > 0 ? others.at(at.liftMm()).filter(v -> v.flowM3s() > 0) : Optional.empty();
      if (expected.isEmpty()) {
        continue;
      }
      SuspectReading reading =
          new SuspectReading(
              at.liftMm(), at.flowM3s(), expected.get().flowM3s(), OptionalDouble.empty());
      double limit =
          Math.max(least, TIMES_SCATTER * scatter(others))
              * (expected.get().inside() ? 1 : AT_THE_END);
      if (Math.abs(reading.share()) / limit > most) {
        most = Math.abs(reading.share()) / limit;
        worst = reading;
      }
    }
    return Optional.ofNullable(worst);
  }

  /** How far the readings of a curve scatter about what the others lead to, as a share. */
  private static double scatter(SmoothCurve curve) {
    List<Double> off =
        curve.points().stream()
            .filter(at -> at.liftMm() > 0)
            .flatMap(
                at ->
                    curve.without(at.liftMm()).at(at.liftMm()).stream()
                        .filter(v -> v.inside() && v.flowM3s() > 0)
                        .map(v -> Math.abs(at.flowM3s() / v.flowM3s() - 1)))
            .sorted()
            .toList();
    return off.isEmpty() ? 0 : TO_SIGMA * off.get(off.size() / 2);
  }

  /** The model's flow there, times the middle of what the sound points read over the model. */
  private static double secondOpinion(
      SuspectReading suspect, SmoothCurve sound, DoubleUnaryOperator model) {
    List<Double> ratios =
        sound.points().stream()
            .filter(p -> p.liftMm() > 0 && model.applyAsDouble(p.liftMm()) > 0)
            .map(p -> p.flowM3s() / model.applyAsDouble(p.liftMm()))
            .sorted()
            .toList();
    double middle = ratios.isEmpty() ? 1 : ratios.get(ratios.size() / 2);
    return middle * model.applyAsDouble(suspect.liftMm());
  }
}
