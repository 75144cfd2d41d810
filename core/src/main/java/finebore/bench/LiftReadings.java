package finebore.bench;

import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;

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
    Map<PortPlace, Double> speedsMs,
    Map<PortPlace, Double> probeDropsM3s,
    String remarks) {

  /** Where in the port something was measured. */
  public enum PortPlace implements Coded {
    ROOF,
    FLOOR,
    LEFT,
    RIGHT,
    SHORT_SIDE,
    PINCH;

    /** Its name in ids. */
    public String key() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    @Override
    public String code() {
      return "spot." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** Most repeats at a lift. */
  public static final int MOST_REPEATS = 30;

  public LiftReadings {
    readings = List.copyOf(readings);
    speedsMs = Collections.unmodifiableMap(new TreeMap<>(speedsMs));
    probeDropsM3s = Collections.unmodifiableMap(new TreeMap<>(probeDropsM3s));
    Quantity.LIFT.check(liftMm);
    if (readings.size() > MOST_REPEATS) {
      throw RuleViolation.of("repeatsAtLift")
          .with("most", Term.count(MOST_REPEATS))
          .with("value", Term.count(readings.size()));
    }
    Quantity.SWIRL.check(swirlRpm);
    speedsMs.values().forEach(v -> Quantity.AIR_SPEED.check(v));
    probeDropsM3s.values().forEach(v -> Quantity.PROBE_DROP.check(v));
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

  public LiftReadings withSpeed(PortPlace place, OptionalDouble speed) {
    return new LiftReadings(
        liftMm, readings, noisy, swirlRpm, with(speedsMs, place, speed), probeDropsM3s, remarks);
  }

  public LiftReadings withProbeDrop(PortPlace place, OptionalDouble drop) {
    return new LiftReadings(
        liftMm, readings, noisy, swirlRpm, speedsMs, with(probeDropsM3s, place, drop), remarks);
  }

  private static Map<PortPlace, Double> with(
      Map<PortPlace, Double> all, PortPlace place, OptionalDouble value) {
    Map<PortPlace, Double> changed = new EnumMap<>(PortPlace.class);
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
