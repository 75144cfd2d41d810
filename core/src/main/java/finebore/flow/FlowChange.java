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
 * @param overCam lifts over the cam's opening, whichever are listed
 * @param cam what opens the valve
 */
public record FlowChange(
    List<Step> steps, Map<Band, Mean> bands, List<CamStep> overCam, CamLift cam) {

  /**
   * One lift: both flows in m3/s, and the band it lies in.
   *
   * @param isKnown whether both sections are like those that the estimate knows, or solved; if not
   *     its figures count nowhere
   */
  public record Step(
      double liftMm, double referenceM3s, double newM3s, Band band, boolean isKnown) {

    public double changeM3s() {
      return newM3s - referenceM3s;
    }

    public double share() {
      return changeM3s() / referenceM3s;
    }
  }

  /** A mean change over a band: in m3/s, as a share, over how many lifts. */
  public record Mean(double changeM3s, double share, int lifts) {}

  /** A lift of the cam, and both flows in m3/s. */
  public record CamStep(double liftMm, double referenceM3s, double newM3s, boolean isKnown) {}

  public FlowChange {
    steps = List.copyOf(steps);
    bands = Collections.unmodifiableMap(new TreeMap<>(bands));
    overCam = List.copyOf(overCam);
  }

  /** Whether any lift of the cam is known, without which there is no mean over it. */
  public boolean hasCamMean() {
    return overCam.stream().anyMatch(CamStep::isKnown);
  }

  /** Change of the mean over the cam's opening, m3/s. */
  public double camMeanM3s() {
    return camMean(CamStep::newM3s) - camMean(CamStep::referenceM3s);
  }

  /** The same as a share of the reference. */
  public double camMeanShare() {
    return camMeanM3s() / camMean(CamStep::referenceM3s);
  }

  private double camMean(ToDoubleFunction<CamStep> flow) {
    List<CamStep> known = overCam.stream().filter(CamStep::isKnown).toList();
    return cam.mean(
        known.stream().mapToDouble(CamStep::liftMm).toArray(),
        known.stream().mapToDouble(flow).toArray());
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
          new Step(
              a.liftMm(),
              a.flowM3s(),
              b.flowM3s(),
              bands.of(a.liftMm(), valveDiameterMm),
              a.isKnown() && b.isKnown()));
    }
    return new FlowChange(steps, means(steps), overCam(reference, changed), cam);
  }

  private static List<CamStep> overCam(FlowCurve reference, FlowCurve changed) {
    List<CamStep> steps = new ArrayList<>();
    for (int k = 0; k < reference.overCam().size(); k++) {
      LiftPoint a = reference.overCam().get(k);
      LiftPoint b = changed.overCam().get(k);
      steps.add(new CamStep(a.liftMm(), a.flowM3s(), b.flowM3s(), a.isKnown() && b.isKnown()));
    }
    return steps;
  }

  /**
   * The same with what is better known of some lifts in place of what was reckoned. Over the cam it
   * counts by how far it lies off what was reckoned, straight from each listed lift to the next.
   *
   * @param shares change of the flow at a listed lift, mm, as a share
   */
  public FlowChange with(Map<Double, Double> shares) {
    List<Step> counted =
        steps.stream()
            .map(
                s ->
                    shares.containsKey(s.liftMm())
                        ? new Step(
                            s.liftMm(),
                            s.referenceM3s(),
                            s.referenceM3s() * (1 + shares.get(s.liftMm())),
                            s.band(),
                            true)
                        : s)
            .toList();
    return new FlowChange(
        counted, means(counted), overCam.stream().map(c -> corrected(c, counted)).toList(), cam);
  }

  private CamStep corrected(CamStep lift, List<Step> counted) {
    int above = 0;
    while (above < steps.size() - 1 && steps.get(above).liftMm() < lift.liftMm()) {
      above++;
    }
    int below = Math.max(0, above - 1);
    double from = steps.get(below).liftMm();
    double to = steps.get(above).liftMm();
    double way = to > from ? Math.clamp((lift.liftMm() - from) / (to - from), 0, 1) : 0;
    double off = (1 - way) * off(counted, below) + way * off(counted, above);
    boolean both = counted.get(below).isKnown() && counted.get(above).isKnown();
    return new CamStep(
        lift.liftMm(),
        lift.referenceM3s(),
        lift.newM3s() + off * lift.referenceM3s(),
        lift.isKnown() || both);
  }

  private double off(List<Step> counted, int at) {
    return counted.get(at).share() - steps.get(at).share();
  }

  private static Map<Band, Mean> means(List<Step> steps) {
    Map<Band, Mean> means = new EnumMap<>(Band.class);
    for (Band band : Band.values()) {
      List<Step> in = steps.stream().filter(s -> s.isKnown() && s.band() == band).toList();
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
