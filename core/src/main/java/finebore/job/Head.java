package finebore.job;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.section.Bounds;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * What was measured of the head as it lies on the bench.
 *
 * @param newThicknessMm thickness when new, if known
 * @param thicknessMm thickness now, if measured
 * @param leastThicknessMm thinnest it may become, if known
 * @param chamberCc volume of one chamber, cm3, if measured
 * @param compressionRatio as found, if known
 * @param layout where things lie, if measured
 * @param readings of each seat by its label; seats nobody has measured are not in it
 */
public record Head(
    OptionalDouble newThicknessMm,
    OptionalDouble thicknessMm,
    OptionalDouble leastThicknessMm,
    OptionalDouble chamberCc,
    OptionalDouble compressionRatio,
    Optional<HeadLayout> layout,
    Map<String, SeatReadings> readings) {

  /** A head nobody has measured. */
  public static final Head UNKNOWN =
      new Head(
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          Optional.empty(),
          Map.of());

  /** One number read of the head as a whole. */
  public enum Figure {
    NEW_THICKNESS,
    THICKNESS,
    LEAST_THICKNESS,
    CHAMBER,
    COMPRESSION
  }

  public Head {
    readings = Map.copyOf(readings);
    newThicknessMm.ifPresent(mm -> Bounds.check("head thickness when new", mm, 10, 500, "mm"));
    thicknessMm.ifPresent(mm -> Bounds.check("head thickness", mm, 10, 500, "mm"));
    leastThicknessMm.ifPresent(mm -> Bounds.check("least head thickness", mm, 10, 500, "mm"));
    chamberCc.ifPresent(cc -> Bounds.check("chamber volume", cc, 1, 2000, "cm3"));
    compressionRatio.ifPresent(n -> Bounds.check("compression ratio", n, 3, 30, ""));
  }

  public SeatReadings readingsOf(String seat) {
    return readings.getOrDefault(seat, SeatReadings.NONE);
  }

  /** What has been skimmed off, mm. */
  public OptionalDouble skimmedMm() {
    return newThicknessMm.isPresent() && thicknessMm.isPresent()
        ? OptionalDouble.of(newThicknessMm.getAsDouble() - thicknessMm.getAsDouble())
        : OptionalDouble.empty();
  }

  /** What may still be skimmed, mm. */
  public OptionalDouble skimLeftMm() {
    return leastThicknessMm.isPresent() && thicknessMm.isPresent()
        ? OptionalDouble.of(thicknessMm.getAsDouble() - leastThicknessMm.getAsDouble())
        : OptionalDouble.empty();
  }

  public OptionalDouble figure(Figure figure) {
    return switch (figure) {
      case NEW_THICKNESS -> newThicknessMm;
      case THICKNESS -> thicknessMm;
      case LEAST_THICKNESS -> leastThicknessMm;
      case CHAMBER -> chamberCc;
      case COMPRESSION -> compressionRatio;
    };
  }

  public Head with(Figure figure, OptionalDouble value) {
    return new Head(
        figure == Figure.NEW_THICKNESS ? value : newThicknessMm,
        figure == Figure.THICKNESS ? value : thicknessMm,
        figure == Figure.LEAST_THICKNESS ? value : leastThicknessMm,
        figure == Figure.CHAMBER ? value : chamberCc,
        figure == Figure.COMPRESSION ? value : compressionRatio,
        layout,
        readings);
  }

  public Head withLayout(HeadLayout changed) {
    return new Head(
        newThicknessMm,
        thicknessMm,
        leastThicknessMm,
        chamberCc,
        compressionRatio,
        Optional.of(changed),
        readings);
  }

  /** With a reading of one seat taken, or taken back. */
  public Head withReading(String seat, Measure measure, OptionalDouble value) {
    return withReadings(seat, readingsOf(seat).with(measure, value));
  }

  public Head withReadings(String seat, SeatReadings changed) {
    Map<String, SeatReadings> all = new TreeMap<>(readings);
    if (changed.isEmpty()) {
      all.remove(seat);
    } else {
      all.put(seat, changed);
    }
    return new Head(
        newThicknessMm, thicknessMm, leastThicknessMm, chamberCc, compressionRatio, layout, all);
  }
}
