package finebore.instruments;

import finebore.bench.Air;
import java.util.Locale;

/**
 * One look at the bench's needles.
 *
 * @param liftMm where its valve fixture stands
 * @param range the range it is in
 * @param percent of that range
 * @param depressionPa across the head
 * @param air of the room
 */
public record Sample(double liftMm, String range, double percent, double depressionPa, Air air) {

  static Sample of(Frame frame) {
    return new Sample(
        frame.number("lift"),
        frame.values().getOrDefault("range", "?"),
        frame.number("percent"),
        frame.number("depression"),
        new Air(frame.number("temperature"), frame.number("pressure"), frame.number("humidity")));
  }

  String words() {
    return String.format(
        Locale.ROOT,
        "lift=%.4f range=%s percent=%.3f depression=%.1f temperature=%.2f pressure=%.0f"
            + " humidity=%.3f",
        liftMm,
        range,
        percent,
        depressionPa,
        air.temperatureC(),
        air.pressurePa(),
        air.humidity());
  }
}
