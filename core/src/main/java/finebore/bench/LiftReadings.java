package finebore.bench;

import finebore.section.Bounds;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * Everything noted at one lift. Repeats are kept, not averaged away.
 *
 * @param liftMm lift
 * @param readings each repeat, in order
 * @param noisy whether the port was loud or rough there
 * @param swirlRpm swirl, its sign the direction
 * @param speedsMs local air speed by place, m/s
 * @param probeDropsM3s by how much the flow drops when a ball sits at a place, m3/s
 * @param remarks what was seen: wet patterns, whistles
 */
public record LiftReadings(
    double liftMm,
    List<BenchReading> readings,
    boolean noisy,
    OptionalDouble swirlRpm,
    Map<Place, Double> speedsMs,
    Map<Place, Double> probeDropsM3s,
    String remarks) {

  /** Where in the port something was measured. */
  public enum Place {
    ROOF("roof"),
    FLOOR("floor"),
    LEFT("left"),
    RIGHT("right"),
    SHORT_SIDE("short side"),
    PINCH("pinch");

    private final String words;

    Place(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  private static final int MOST_REPEATS = 30;

  public LiftReadings {
    readings = List.copyOf(readings);
    speedsMs = Map.copyOf(speedsMs);
    probeDropsM3s = Map.copyOf(probeDropsM3s);
    Bounds.check("lift", liftMm, 0.01, 60, "mm");
    if (readings.size() > MOST_REPEATS) {
      throw new IllegalArgumentException(
          "a lift takes at most " + MOST_REPEATS + " repeats, had " + readings.size());
    }
    swirlRpm.ifPresent(rpm -> Bounds.check("swirl", rpm, -20_000, 20_000, "rpm"));
    speedsMs.values().forEach(v -> Bounds.check("local air speed", v, 0, 400, "m/s"));
    probeDropsM3s.values().forEach(v -> Bounds.check("drop with the ball", v, -1, 1, "m3/s"));
  }

  /** A lift with readings and nothing else. */
  public static LiftReadings of(double liftMm, List<BenchReading> readings) {
    return new LiftReadings(
        liftMm, readings, false, OptionalDouble.empty(), Map.of(), Map.of(), "");
  }

  public LiftReadings withReadings(List<BenchReading> changed) {
    return new LiftReadings(liftMm, changed, noisy, swirlRpm, speedsMs, probeDropsM3s, remarks);
  }

  public LiftReadings withReading(BenchReading further) {
    List<BenchReading> more = new ArrayList<>(readings);
    more.add(further);
    return withReadings(more);
  }

  public LiftReadings withNoisy(boolean changed) {
    return new LiftReadings(liftMm, readings, changed, swirlRpm, speedsMs, probeDropsM3s, remarks);
  }

  public LiftReadings withSwirl(OptionalDouble changed) {
    return new LiftReadings(liftMm, readings, noisy, changed, speedsMs, probeDropsM3s, remarks);
  }

  public LiftReadings withRemarks(String changed) {
    return new LiftReadings(liftMm, readings, noisy, swirlRpm, speedsMs, probeDropsM3s, changed);
  }

  public LiftReadings withSpeed(Place place, OptionalDouble speed) {
    return new LiftReadings(
        liftMm, readings, noisy, swirlRpm, with(speedsMs, place, speed), probeDropsM3s, remarks);
  }

  public LiftReadings withProbeDrop(Place place, OptionalDouble drop) {
    return new LiftReadings(
        liftMm, readings, noisy, swirlRpm, speedsMs, with(probeDropsM3s, place, drop), remarks);
  }

  private static Map<Place, Double> with(
      Map<Place, Double> all, Place place, OptionalDouble value) {
    Map<Place, Double> changed = new EnumMap<>(Place.class);
    changed.putAll(all);
    if (value.isPresent()) {
      changed.put(place, value.getAsDouble());
    } else {
      changed.remove(place);
    }
    return changed;
  }

  /** Whether nothing is noted here. */
  public boolean isEmpty() {
    return readings.isEmpty()
        && !noisy
        && swirlRpm.isEmpty()
        && speedsMs.isEmpty()
        && probeDropsM3s.isEmpty()
        && remarks.isBlank();
  }
}
