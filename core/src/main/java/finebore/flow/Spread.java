package finebore.flow;

import finebore.flow.Bands.Band;

/**
 * How far what the model says may lie from the truth: a standard deviation as a share of the flow,
 * for each band.
 */
public record Spread(double low, double mid, double high) {

  /** Nothing learnt yet. */
  public static final Spread UNLEARNT =
      new Spread(FlowChange.MODEL_SPREAD, FlowChange.MODEL_SPREAD, FlowChange.MODEL_SPREAD);

  public double of(Band band) {
    return switch (band) {
      case LOW -> low;
      case MID -> mid;
      case HIGH -> high;
    };
  }
}
