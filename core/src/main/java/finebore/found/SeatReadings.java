package finebore.found;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What was read off one seat as found; what is not there was not measured.
 *
 * @param values mm, degrees or hours by {@link Measure}
 * @param ringMaterial what its insert is of, empty when unknown or without one
 */
public record SeatReadings(Map<Measure, Double> values, String ringMaterial) {

  /** A seat nobody has measured. */
  public static final SeatReadings NONE = new SeatReadings(Map.of(), "");

  public SeatReadings {
    values = Map.copyOf(values);
    values.forEach((measure, value) -> measure.quantity().check(value));
  }

  public OptionalDouble value(Measure measure) {
    Double value = values.get(measure);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /**
   * With a reading taken, or taken back.
   *
   * @throws finebore.code.RuleViolation if the reading cannot be
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

  /**
   * What a plan rests on and nobody has measured: throat, seat outside, depth below the face, seat
   * width, valve and guide. Of the throat one diameter is enough.
   */
  public List<Measure> missing() {
    List<Measure> missing = new ArrayList<>();
    if (Stream.of(Measure.values()).noneMatch(m -> m.isThroat() && values.containsKey(m))) {
      missing.add(Measure.THROAT_12);
    }
    Stream.of(
            Measure.SEAT_OUTSIDE,
            Measure.SEAT_DEPTH,
            Measure.SEAT_WIDTH,
            Measure.VALVE_HEAD,
            Measure.GUIDE_CLEARANCE)
        .filter(m -> !values.containsKey(m))
        .forEach(missing::add);
    return missing;
  }

  public boolean isEmpty() {
    return values.isEmpty() && ringMaterial.isBlank();
  }
}
