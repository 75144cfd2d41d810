package finebore.job;

import finebore.code.RuleViolation;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.room.ChamberOutline;
import finebore.room.FacePhotograph;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
 * @param bankDeg angle between the banks of a V engine; nothing for one in line
 * @param intakeFaceDeg how far the intake face is from square to the head face, away from the other
 *     bank at the top
 * @param chambers outlines that were traced, each cylinder once
 * @param photographs of chambers, each cylinder once
 * @param symmetric whether two valves of a kind are taken to lie as each other's image in the line
 *     across the head, where nothing else tells how they are turned
 * @param readings of each seat by its label; seats nobody has measured are not in it
 */
@RecordBuilder
public record Head(
    OptionalDouble newThicknessMm,
    OptionalDouble thicknessMm,
    OptionalDouble leastThicknessMm,
    OptionalDouble chamberCc,
    OptionalDouble compressionRatio,
    Optional<HeadLayout> layout,
    OptionalDouble bankDeg,
    OptionalDouble intakeFaceDeg,
    List<ChamberOutline> chambers,
    List<FacePhotograph> photographs,
    boolean symmetric,
    Map<String, SeatReadings> readings)
    implements HeadBuilder.With {

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

  /** The numbers read of the head as a whole. */
  public static final List<Setting<Head>> FIGURES =
      List.of(
          Setting.optional(
              "newThicknessMm",
              "head.thicknessNew",
              Quantity.HEAD_THICKNESS_NEW,
              Head::newThicknessMm,
              Head::withNewThicknessMm),
          Setting.optional(
              "thicknessMm",
              "head.thickness",
              Quantity.HEAD_THICKNESS,
              Head::thicknessMm,
              Head::withThicknessMm),
          Setting.optional(
              "leastThicknessMm",
              "head.thicknessLeast",
              Quantity.HEAD_THICKNESS_LEAST,
              Head::leastThicknessMm,
              Head::withLeastThicknessMm),
          Setting.optional(
              "chamberCc", "head.chamber", Quantity.CHAMBER, Head::chamberCc, Head::withChamberCc),
          Setting.optional(
              "compressionRatio",
              "head.compression",
              Quantity.COMPRESSION,
              Head::compressionRatio,
              Head::withCompressionRatio),
          Setting.optional("bankDeg", "head.bank", Quantity.BANK, Head::bankDeg, Head::withBankDeg),
          Setting.optional(
              "intakeFaceDeg",
              "head.intakeFace",
              Quantity.INTAKE_FACE,
              Head::intakeFaceDeg,
              Head::withIntakeFaceDeg));

  /** A head whose chambers nobody has traced. */
  public Head(
      OptionalDouble newThicknessMm,
      OptionalDouble thicknessMm,
      OptionalDouble leastThicknessMm,
      OptionalDouble chamberCc,
      OptionalDouble compressionRatio,
      Optional<HeadLayout> layout,
      Map<String, SeatReadings> readings) {
    this(
        newThicknessMm,
        thicknessMm,
        leastThicknessMm,
        chamberCc,
        compressionRatio,
        layout,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        List.of(),
        List.of(),
        false,
        readings);
  }

  public Head {
    readings = Map.copyOf(readings);
    chambers = List.copyOf(chambers);
    if (chambers.stream().map(ChamberOutline::cylinder).distinct().count() < chambers.size()) {
      throw RuleViolation.of("outlineTwice");
    }
    photographs = List.copyOf(photographs);
    if (photographs.stream().map(FacePhotograph::cylinder).distinct().count()
        < photographs.size()) {
      throw RuleViolation.of("photographTwice");
    }
    Quantity.BANK.check(bankDeg);
    Quantity.INTAKE_FACE.check(intakeFaceDeg);
    Quantity.HEAD_THICKNESS_NEW.check(newThicknessMm);
    Quantity.HEAD_THICKNESS.check(thicknessMm);
    Quantity.HEAD_THICKNESS_LEAST.check(leastThicknessMm);
    Quantity.CHAMBER.check(chamberCc);
    Quantity.COMPRESSION.check(compressionRatio);
  }

  public SeatReadings readingsOf(String seat) {
    return readings.getOrDefault(seat, SeatReadings.NONE);
  }

  /** The outline of a cylinder's chamber, where it was traced. */
  public Optional<ChamberOutline> chamber(int cylinder) {
    return chambers.stream().filter(c -> c.cylinder() == cylinder).findFirst();
  }

  /** With a chamber's outline, or without one. */
  public Head withChamber(int cylinder, Optional<ChamberOutline> outline) {
    List<ChamberOutline> changed =
        new ArrayList<>(chambers.stream().filter(c -> c.cylinder() != cylinder).toList());
    outline.ifPresent(changed::add);
    changed.sort(Comparator.comparing(ChamberOutline::cylinder));
    return withChambers(changed);
  }

  /** The photograph of a cylinder's chamber, where there is one. */
  public Optional<FacePhotograph> photograph(int cylinder) {
    return photographs.stream().filter(p -> p.cylinder() == cylinder).findFirst();
  }

  /** With a chamber's photograph, or without one. */
  public Head withPhotograph(int cylinder, Optional<FacePhotograph> photograph) {
    List<FacePhotograph> changed =
        new ArrayList<>(photographs.stream().filter(p -> p.cylinder() != cylinder).toList());
    photograph.ifPresent(changed::add);
    changed.sort(Comparator.comparing(FacePhotograph::cylinder));
    return withPhotographs(changed);
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
    return withReadings(all);
  }
}
