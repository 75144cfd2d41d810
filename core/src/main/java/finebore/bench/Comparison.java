package finebore.bench;

import finebore.flow.Bands;
import finebore.flow.Bands.Band;
import finebore.flow.CamLift;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.BiPredicate;

/**
 * One test held against another, lift by lift.
 *
 * <p>A change counts only where it is more than the bench can tell: more than Student's t times the
 * standard error of the difference of the two means, and what one test is off from the next.
 *
 * @param reference the test held against
 * @param test the test
 * @param differences how their set-ups differ, those that spoil the ranking first
 * @param noise what the bench can tell
 * @param lines the lifts that both have, in order
 * @param unpartnered lifts that nothing of the other can be held against, mm
 * @param bands mean change over each band that has lifts
 * @param whole mean change over all lifts; empty when they share none
 * @param camShare change of the mean over the cam's opening, as a share; empty when one test stops
 *     short of the cam
 */
public record Comparison(
    ReducedTest reference,
    ReducedTest test,
    List<SetUpDifference> differences,
    Noise noise,
    List<Line> lines,
    List<Double> unpartnered,
    Map<Band, Mean> bands,
    Optional<Mean> whole,
    OptionalDouble camShare) {

  /** What a change comes to. */
  public enum Verdict {
    /** More flow, by more than the bench can tell. */
    GAIN,
    /** Less flow, by more than the bench can tell. */
    LOSS,
    /** Less than the bench can tell. */
    WITHIN,
    /** The tests may not be ranked. */
    UNRANKED
  }

  /**
   * One lift.
   *
   * @param limitM3s what the bench can tell there, m3/s
   * @param between whether the test's flow there lies between two of its readings
   */
  public record Line(
      double liftMm,
      double referenceM3s,
      double testM3s,
      double limitM3s,
      boolean between,
      Verdict verdict) {

    public double changeM3s() {
      return testM3s - referenceM3s;
    }

    /** As a share of the reference. */
    public double share() {
      return changeM3s() / referenceM3s;
    }
  }

  /**
   * A mean change over several lifts.
   *
   * @param share mean of the lifts' shares
   * @param limitShare what the bench can tell of that mean
   */
  public record Mean(
      double changeM3s, double share, double limitShare, int lifts, Verdict verdict) {}

  public Comparison {
    differences = List.copyOf(differences);
    lines = List.copyOf(lines);
    unpartnered = List.copyOf(unpartnered);
    bands = Collections.unmodifiableMap(new TreeMap<>(bands));
  }

  /** Whether the two may be ranked. */
  public boolean isRanked() {
    return differences.stream().noneMatch(SetUpDifference::spoils);
  }

  /** What came of a lift, if both have it. */
  public Optional<Line> at(double liftMm) {
    return lines.stream()
        .filter(l -> Math.abs(l.liftMm() - liftMm) < FlowTest.SAME_LIFT_MM)
        .findFirst();
  }

  /**
   * Compares two tests, both brought to the same depression.
   *
   * @param noise of the bench they were made on
   * @param bands where low and mid lift end
   * @param cam for the cam's mean
   * @param valveTried whether another valve is what was tried between two tests
   */
  public static Comparison of(
      ReducedTest reference,
      ReducedTest test,
      Noise noise,
      Bands bands,
      CamLift cam,
      BiPredicate<FlowTest, FlowTest> valveTried) {
    List<SetUpDifference> differences =
        SetUpDifference.between(
            reference.test(), test.test(), () -> valveTried.test(reference.test(), test.test()));
    boolean ranked = differences.stream().noneMatch(SetUpDifference::spoils);
    List<Line> lines = new ArrayList<>();
    Map<Band, List<Line>> byBand = new EnumMap<>(Band.class);
    List<Double> scatters = new ArrayList<>();
    List<Double> alone = new ArrayList<>();
    Map<Band, List<Double>> bandScatters = new EnumMap<>(Band.class);
    double head = reference.test().setUp().valve().headDiameterMm();
    for (ReducedTest.Lift before : reference.lifts()) {
      Optional<Partner> after = Partner.of(before.liftMm(), test);
      if (after.isEmpty() || !(before.meanM3s() > 0)) {
        alone.add(before.liftMm());
        continue;
      }
      double scatter = noise.scatter(before.flowsM3s().size(), after.get().readings());
      double limit =
          Math.hypot(
              noise.limit(before.flowsM3s().size(), after.get().readings()),
              after.get().bendM3s() / before.meanM3s());
      double change = after.get().flowM3s() / before.meanM3s() - 1;
      Line line =
          new Line(
              before.liftMm(),
              before.meanM3s(),
              after.get().flowM3s(),
              limit * before.meanM3s(),
              after.get().between(),
              verdict(change, limit, ranked));
      lines.add(line);
      scatter = Math.hypot(scatter, after.get().bendM3s() / before.meanM3s());
      scatters.add(scatter);
      Band band = bands.of(before.liftMm(), head);
      byBand.computeIfAbsent(band, b -> new ArrayList<>()).add(line);
      bandScatters.computeIfAbsent(band, b -> new ArrayList<>()).add(scatter);
    }
    for (ReducedTest.Lift after : test.lifts()) {
      boolean past =
          reference.lifts().isEmpty() || after.liftMm() > reference.lifts().getLast().liftMm();
      if (reference.at(after.liftMm()).isEmpty()
          && (past || lines.stream().noneMatch(Line::between))) {
        alone.add(after.liftMm());
      }
    }
    Map<Band, Mean> means = new EnumMap<>(Band.class);
    byBand.forEach((band, in) -> means.put(band, mean(in, bandScatters.get(band), ranked)));
    OptionalDouble before = reference.camMeanM3s(cam);
    OptionalDouble after = test.camMeanM3s(cam);
    return new Comparison(
        reference,
        test,
        differences,
        noise,
        lines,
        alone.stream().sorted().toList(),
        means,
        lines.isEmpty() ? Optional.empty() : Optional.of(mean(lines, scatters, ranked)),
        before.isPresent() && after.isPresent()
            ? OptionalDouble.of(after.getAsDouble() / before.getAsDouble() - 1)
            : OptionalDouble.empty());
  }

  /**
   * What a test flowed at another's lift: a reading there, or the smooth curve between two of its
   * readings.
   *
   * @param readings how many stand behind it
   * @param bendM3s what the curve between can be wrong by; 0 for a reading
   */
  private record Partner(double flowM3s, int readings, double bendM3s, boolean between) {

    static Optional<Partner> of(double liftMm, ReducedTest test) {
      Optional<ReducedTest.Lift> read = test.at(liftMm);
      if (read.isPresent()) {
        return read.map(l -> new Partner(l.meanM3s(), l.flowsM3s().size(), 0, false));
      }
      return SmoothCurve.of(test)
          .at(liftMm)
          .filter(SmoothCurve.Value::inside)
          .map(v -> new Partner(v.flowM3s(), 1, v.bendM3s(), true));
    }
  }

  private static Verdict verdict(double change, double limit, boolean ranked) {
    if (!ranked) {
      return Verdict.UNRANKED;
    }
    return Math.abs(change) <= limit ? Verdict.WITHIN : change > 0 ? Verdict.GAIN : Verdict.LOSS;
  }

  private static Mean mean(List<Line> lines, List<Double> scatters, boolean ranked) {
    double share = lines.stream().mapToDouble(Line::share).average().orElseThrow();
    double limit = Noise.ofMean(scatters);
    return new Mean(
        lines.stream().mapToDouble(Line::changeM3s).average().orElseThrow(),
        share,
        limit,
        lines.size(),
        verdict(share, limit, ranked));
  }
}
