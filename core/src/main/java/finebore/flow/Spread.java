package finebore.flow;

import finebore.flow.Bands.Band;

/**
 * How far what the model says may lie from the truth: a standard deviation as a share of the flow,
 * for each band.
 */
public record Spread(double low, double mid, double high) {

  /**
   * Nothing learnt from a bench yet, and the change not known: what two thirds of single changes
   * lie within, of seats the estimate was not fitted to, and how far the solver's closures are
   * apart on such changes, both together, of the two directions the worse (docs/model.md).
   */
  public static final Spread UNLEARNT = new Spread(0.028, 0.022, 0.019);

  public double of(Band band) {
    return switch (band) {
      case LOW -> low;
      case MID -> mid;
      case HIGH -> high;
    };
  }
}
