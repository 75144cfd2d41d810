package finebore.reports;

import finebore.flow.Direction;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirLines.DeadWater;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;

/** What solved air says, in sentences: area, jet, dead water, and what the picture cannot show. */
public final class AirWords {

  /** Dead water named at most. */
  private static final int MOST = 3;

  private AirWords() {}

  /** One line each. */
  public static List<String> of(AirFlow flow, Words words) {
    List<String> lines = new ArrayList<>(List.of(figure(flow, words)));
    List<DeadWater> waters = named(AirLines.of(flow));
    List<String> named = new ArrayList<>();
    for (DeadWater water : waters) {
      named.add(
          words.text(
              "air.deadWater",
              "number",
              named.size() + 1,
              "surface",
              words.say(water.surface().message()),
              "length",
              words.figure(Dimension.LENGTH, water.lengthMm())));
    }
    lines.add(named.isEmpty() ? words.text("air.noDeadWater") : String.join(" ", named));
    lines.add(words.text("air.limits"));
    return lines;
  }

  /** The dead water that is named, in its order. */
  static List<DeadWater> named(AirLines lines) {
    List<DeadWater> waters = lines.deadWater();
    return waters.subList(0, Math.min(MOST, waters.size()));
  }

  /** The figure and where the jet goes. */
  public static String figure(AirFlow flow, Words words) {
    String area =
        words.text(
            "air.figure",
            "area",
            words.figure(Dimension.AREA, flow.effectiveAreaMm2()),
            "turbulence",
            words.label(flow.question().turbulence()),
            "fineness",
            words.label(flow.question().fineness()));
    if (flow.settled().waves()) {
      area +=
          " " + words.text("air.waves", "swing", UnitSystem.fixed(100 * flow.settled().swing(), 1));
    }
    if (flow.question().direction() == Direction.EXHAUST) {
      return area;
    }
    double angle = flow.jetAngleDeg();
    return area
        + " "
        + (angle < ALONG_ROOF
            ? words.text("air.jetAlongRoof")
            : words.text("air.jetFree", "angle", UnitSystem.fixed(angle, 0)));
  }

  /** A jet below this angle lies along the roof, degrees. */
  private static final double ALONG_ROOF = 20;
}
