package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.bench.SetUpDifference;
import finebore.flow.Bands.Band;
import finebore.job.Job;
import finebore.job.Port;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How predictions that were frozen before a test came out.
 *
 * @param misses every lift that was predicted and then measured
 * @param bands bias and spread of each band that has misses
 */
public record Score(List<Miss> misses, Map<Band, Figures> bands) {

  public static final Score NONE = new Score(List.of(), Map.of());

  /** One lift: what was measured over what was predicted, less one. */
  public record Miss(int test, double liftMm, Band band, double share) {}

  /**
   * Misses of a band.
   *
   * @param bias their mean: above 0 the bench gave more than was predicted
   * @param spread their standard deviation about it; 0 for a single one
   * @param meanSquare mean of their squares
   */
  public record Figures(int lifts, double bias, double spread, double meanSquare) {}

  public Score {
    misses = List.copyOf(misses);
    bands = Collections.unmodifiableMap(new TreeMap<>(bands));
  }

  /**
   * Scores the predictions of a job's intakes or exhausts.
   *
   * @param fit the test it was calibrated on, which cannot tell how well it predicts; nor can one
   *     that was set up so differently that the two may not be ranked
   */
  public static Score of(TestBook book, Port port, Optional<ModelFit> fit) {
    Job job = book.job();
    List<Miss> misses = new ArrayList<>();
    for (FlowTest test : job.bench().tests()) {
      boolean counts = fit.map(f -> tells(f.test(), test)).orElse(true);
      if (test.setUp().direction() == port.direction() && counts && !test.predicted().isEmpty()) {
        add(misses, book, test);
      }
    }
    if (misses.isEmpty()) {
      return NONE;
    }
    Map<Band, Figures> bands = new EnumMap<>(Band.class);
    for (Band band : Band.values()) {
      double[] in =
          misses.stream().filter(m -> m.band() == band).mapToDouble(Miss::share).toArray();
      if (in.length > 0) {
        bands.put(band, figures(in));
      }
    }
    return new Score(misses, bands);
  }

  /** Whether a test tells how well another's calibration predicts: the model knows of no pipes. */
  private static boolean tells(FlowTest calibrating, FlowTest test) {
    return calibrating.id() != test.id()
        && SetUpDifference.between(calibrating, test).stream()
            .noneMatch(d -> d.spoils() && d.item() != SetUpDifference.Item.VALVE);
  }

  private static void add(List<Miss> misses, TestBook book, FlowTest test) {
    Job job = book.job();
    ReducedTest reduced = book.reduced(test);
    double head = test.setUp().valve().headDiameterMm();
    for (FlowTest.Predicted said : test.predicted()) {
      reduced
          .at(said.liftMm())
          .ifPresent(
              lift ->
                  misses.add(
                      new Miss(
                          test.id(),
                          said.liftMm(),
                          job.test().bands().of(said.liftMm(), head),
                          lift.meanM3s() / said.flowM3s() - 1)));
    }
  }

  private static Figures figures(double[] shares) {
    double bias = 0;
    double square = 0;
    for (double share : shares) {
      bias += share / shares.length;
      square += share * share / shares.length;
    }
    double about =
        shares.length > 1 ? (square - bias * bias) * shares.length / (shares.length - 1) : 0;
    return new Figures(shares.length, bias, Math.sqrt(Math.max(0, about)), square);
  }
}
