package finebore.reports;

import finebore.flow.field.AirFlow;

/**
 * Colours for what air does: steps that look even, rise in brightness from first to last, and so
 * read in grey too. The colours are those of viridis (van der Walt and Smith, 2015, CC0; nine of
 * its steps, from memory), straight lines between them.
 */
public final class AirColours {

  private static final int[] STEPS = {
    0x440154, 0x472d7b, 0x3b528b, 0x2c728e, 0x21918c, 0x28ae80, 0x5ec962, 0xaddc30, 0xfde725
  };

  /** Speed at the end of the scale, m/s: the same in every picture, so that they compare. */
  public static final double FASTEST = 130;

  private AirColours() {}

  /** What is coloured. */
  public enum Layer {
    SPEED,
    LOST
  }

  /** Red, green and blue for a share of the scale, 0 to 1. */
  public static int of(double share) {
    double at = Math.clamp(share, 0, 1) * (STEPS.length - 1);
    int low = Math.min((int) at, STEPS.length - 2);
    double part = at - low;
    int rgb = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      double a = STEPS[low] >> shift & 0xff;
      double b = STEPS[low + 1] >> shift & 0xff;
      rgb |= (int) Math.round(a + part * (b - a)) << shift;
    }
    return rgb;
  }

  /** Where a cell stands on the scale of a layer. */
  public static double share(AirFlow flow, Layer layer, int i, int j) {
    return switch (layer) {
      case SPEED -> flow.speed(i, j) / FASTEST;
      case LOST -> flow.lost(i, j);
    };
  }
}
