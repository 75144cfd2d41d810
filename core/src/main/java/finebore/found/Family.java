package finebore.found;

import finebore.units.Dimension;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Readings that stand apart from those of the other seats of the same kind.
 *
 * <p>A reading is out of family when it lies further from the median than three and a half scaled
 * median absolute deviations (B. Iglewicz and D. C. Hoaglin, How to Detect and Handle Outliers,
 * 1993, from memory) and further than a gauge could be wrong by.
 */
public final class Family {

  /** Fewer readings than this make no family. */
  private static final int FEWEST = 3;

  private static final double SCALED_DEVIATIONS = 3.5;

  /** From median absolute deviation to standard deviation, for a normal spread. */
  private static final double TO_SIGMA = 1.4826;

  private Family() {}

  /**
   * One reading out of family.
   *
   * @param seat label of the seat
   * @param measure what was read
   * @param value mm or degrees
   * @param median of all seats of its kind
   */
  public record Outlier(String seat, Measure measure, double value, double median) {}

  /** Finds them. */
  public static List<Outlier> outliers(Map<String, SeatReadings> seats) {
    List<Outlier> outliers = new ArrayList<>();
    for (Measure measure : Measure.values()) {
      if (measure.dimension() == Dimension.CLOCK || measure.isOfPlan()) {
        continue;
      }
      Map<String, Double> values = new LinkedHashMap<>();
      seats.forEach((label, r) -> r.value(measure).ifPresent(v -> values.put(label, v)));
      if (values.size() < FEWEST) {
        continue;
      }
      double median = median(List.copyOf(values.values()));
      double deviation =
          median(values.values().stream().map(v -> Math.abs(v - median)).toList()) * TO_SIGMA;
      double limit = Math.max(SCALED_DEVIATIONS * deviation, gaugeError(measure));
      values.forEach(
          (label, v) -> {
            if (Math.abs(v - median) > limit) {
              outliers.add(new Outlier(label, measure, v, median));
            }
          });
    }
    return outliers;
  }

  /** What a hand and a gauge can be wrong by; common practice, no source. */
  private static double gaugeError(Measure measure) {
    return switch (measure) {
      case SEAT_ANGLE, ROOF_ANGLE -> 2;
      case WALL_SEAT, WALL_THROAT, WALL_BOWL, BOWL_DIAMETER, BOWL_DEPTH, NEIGHBOUR_RING -> 0.5;
      case GUIDE_CLEARANCE, RING_FIT -> 0.02;
      case RUNOUT -> 0.1;
      case SPRING_HEIGHT -> 0.3;
      default -> 0.2;
    };
  }

  static double median(List<Double> values) {
    List<Double> sorted = values.stream().sorted().toList();
    int half = sorted.size() / 2;
    return sorted.size() % 2 == 1
        ? sorted.get(half)
        : (sorted.get(half - 1) + sorted.get(half)) / 2;
  }
}
