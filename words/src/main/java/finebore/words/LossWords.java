package finebore.words;

import finebore.flow.Calibration;
import finebore.flow.Loss;
import java.util.List;
import java.util.stream.Collectors;

/** What holds the air up, in a line. */
public final class LossWords {

  /** Less than this rounds to nothing. */
  private static final double WORTH_SAYING = 0.005;

  private LossWords() {}

  /** Each part with its share, the largest first; none where the port was held at none. */
  public static String of(List<Loss> parts, Calibration calibration, Words words) {
    if (calibration.isHeldAtNone()) {
      return words.text("losses.heldAtNone", "test", calibration.source().orElseThrow());
    }
    return parts.stream()
        .filter(l -> l.share() >= WORTH_SAYING)
        .map(l -> words.name(l.cause()) + " " + UnitSystem.fixed(100 * l.share(), 0) + " %")
        .collect(Collectors.joining(", "));
  }
}
