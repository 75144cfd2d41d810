package finebore.found;

import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What was read off one seat as found; what is not there was not measured.
 *
 * @param values mm, degrees or hours by {@link Measure.Kind}
 * @param ringMaterial what its insert is of, empty when unknown or without one
 */
public record SeatReadings(Map<Measure, Double> values, String ringMaterial) {

  /** A seat nobody has measured. */
  public static final SeatReadings NONE = new SeatReadings(Map.of(), "");

  public SeatReadings {
    values = Map.copyOf(values);
    values.forEach(Measure::check);
  }

  public OptionalDouble value(Measure measure) {
    Double value = values.get(measure);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /**
   * With a reading taken, or taken back.
   *
   * @throws IllegalArgumentException if the reading cannot be
   */
  public SeatReadings with(Measure measure, OptionalDouble value) {
    Map<Measure, Double> changed = new EnumMap<>(Measure.class);
    changed.putAll(values);
    if (value.isPresent()) {
      changed.put(measure, value.getAsDouble());
    } else {
      changed.remove(measure);
    }
    return new SeatReadings(changed, ringMaterial);
  }

  public SeatReadings withRingMaterial(String material) {
    return new SeatReadings(values, material);
  }

  public boolean isEmpty() {
    return values.isEmpty();
  }
}
