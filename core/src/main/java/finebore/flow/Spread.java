package finebore.flow;

import finebore.flow.Bands.Band;

/**
 * How far what the model says may lie from the truth: a standard deviation as a share of the flow,
 * for each band.
 */
public record Spread(double low, double mid, double high) {

  /**
   * Nothing learnt from a bench yet: what two thirds of single changes lie within, of seats the
   * estimate was not fitted to, and how far the solver's closures are apart on such changes, both
   * together (docs/model.md).
   */
  public static final Spread UNLEARNT = new Spread(0.025, 0.018, 0.014);

  public double of(Band band) {
    return switch (band) {
      case LOW -> low;
      case MID -> mid;
      case HIGH -> high;
    };
  }
}
