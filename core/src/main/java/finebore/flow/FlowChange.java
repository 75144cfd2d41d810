package finebore.flow;

import finebore.flow.Bands.Band;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;

/**
 * One flow curve held against another at the same lifts.
 *
 * @param steps each lift
 * @param bands mean change over each band that has lifts
 * @param camMeanM3s change of the mean over the cam's opening, m3/s
 * @param camMeanShare the same as a share of the reference
 */
public record FlowChange(
    List<Step> steps, Map<Band, Mean> bands, double camMeanM3s, double camMeanShare) {

  /** One lift: both flows in m3/s, and the band it lies in. */
  public record Step(double liftMm, double referenceM3s, double newM3s, Band band) {

    public double changeM3s() {
      return newM3s - referenceM3s;
    }

    public double share() {
      return changeM3s() / referenceM3s;
    }
  }

  /** A mean change over a band: in m3/s, as a share, over how many lifts. */
  public record Mean(double changeM3s, double share, int lifts) {}

  public FlowChange {
    steps = List.copyOf(steps);
    bands = Collections.unmodifiableMap(new TreeMap<>(bands));
  }

  /**
   * Compares two curves.
   *
   * @throws IllegalArgumentException if their lifts differ
   */
  public static FlowChange between(
      FlowCurve reference, FlowCurve changed, Bands bands, double valveDiameterMm, CamLift cam) {
    if (reference.points().size() != changed.points().size()) {
      throw new IllegalArgumentException(
          "lifts: " + reference.points().size() + ", " + changed.points().size());
    }
    List<Step> steps = new ArrayList<>();
    for (int k = 0; k < reference.points().size(); k++) {
      LiftPoint a = reference.points().get(k);
      LiftPoint b = changed.points().get(k);
      if (a.liftMm() != b.liftMm()) {
        throw new IllegalArgumentException("lift: " + a.liftMm() + ", " + b.liftMm());
      }
      steps.add(
          new Step(a.liftMm(), a.flowM3s(), b.flowM3s(), bands.of(a.liftMm(), valveDiameterMm)));
    }
    double before = reference.camMean(cam);
    double gain = changed.camMean(cam) - before;
    return new FlowChange(steps, means(steps), gain, gain / before);
  }

  /**
   * The same with what is better known of some lifts in place of what was reckoned.
   *
   * @param shares change of the flow at a lift, mm, as a share
   * @param cam for the mean over its opening
   */
  public FlowChange with(Map<Double, Double> shares, CamLift cam) {
    List<Step> counted =
        steps.stream()
            .map(
                s ->
                    new Step(
                        s.liftMm(),
                        s.referenceM3s(),
                        shares.containsKey(s.liftMm())
                            ? s.referenceM3s() * (1 + shares.get(s.liftMm()))
                            : s.newM3s(),
                        s.band()))
            .toList();
    double[] lifts = counted.stream().mapToDouble(Step::liftMm).toArray();
    double before = camMean(cam, lifts, counted, Step::referenceM3s);
    double gain = camMean(cam, lifts, counted, Step::newM3s) - before;
    return new FlowChange(counted, means(counted), gain, gain / before);
  }

  private static double camMean(
      CamLift cam, double[] lifts, List<Step> steps, ToDoubleFunction<Step> flow) {
    double[] flows = steps.stream().mapToDouble(flow).toArray();
    return cam.meanOf(lift -> FlowCurve.between(lifts, flows, lift));
  }

  private static Map<Band, Mean> means(List<Step> steps) {
    Map<Band, Mean> means = new EnumMap<>(Band.class);
    for (Band band : Band.values()) {
      List<Step> in = steps.stream().filter(s -> s.band() == band).toList();
      if (!in.isEmpty()) {
        means.put(
            band,
            new Mean(
                in.stream().mapToDouble(Step::changeM3s).average().orElseThrow(),
                in.stream().mapToDouble(Step::share).average().orElseThrow(),
                in.size()));
      }
    }
    return means;
  }
}
