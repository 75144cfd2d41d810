package finebore.job;

import finebore.code.RuleViolation;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.Throat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.Collection;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * What seats of a kind were found to be like: for each reading the middle of all that were taken,
 * for what nobody has measured the kind as it was described.
 */
final class TypicalSeat {

  private TypicalSeat() {}

  /** Seat and valve of a kind, from the readings of the seats of those labels. */
  static Pairing of(Pairing kind, Head head, Collection<String> labels) {
    List<SeatReadings> readings = labels.stream().map(head::readingsOf).toList();
    try {
      return new Pairing(seat(kind.seat(), readings), valve(kind.valve(), readings));
    } catch (RuleViolation e) {
      // Readings that cannot be together are named where they are taken; the kind stands till then.
      return kind;
    }
  }

  /** A valve with the middle of the heads that were measured. */
  static Valve valve(Valve kind, List<SeatReadings> readings) {
    return kind.withHeadDiameterMm(
        middle(readings, Measure.VALVE_HEAD).orElse(kind.headDiameterMm()));
  }

  private static Seat seat(Seat kind, List<SeatReadings> readings) {
    Cut seal = kind.sealingCut();
    return new Seat(
        kind.stack()
            .with(
                kind.sealing(),
                new Cut(
                    middle(readings, Measure.SEAT_ANGLE).orElse(seal.angleDeg()),
                    middle(readings, Measure.SEAT_WIDTH).orElse(seal.widthMm()))),
        middle(readings, Measure.SEAT_OUTSIDE).orElse(kind.outsideDiameterMm()),
        middle(readings, Measure.SEAT_DEPTH).orElse(kind.depthMm()),
        new Throat(throat(readings).orElse(kind.throatDiameterMm()), kind.throatLengthMm()),
        new Bowl(
            middle(readings, Measure.BOWL_DIAMETER).orElse(kind.bowlDiameterMm()),
            middle(readings, Measure.BOWL_DEPTH).orElse(kind.bowlDepthMm())),
        middle(readings, Measure.ROOF_ANGLE).orElse(kind.roofAngleDeg()));
  }

  private static OptionalDouble throat(List<SeatReadings> readings) {
    return middle(
        readings.stream()
            .flatMap(
                r ->
                    Stream.of(Measure.values())
                        .filter(Measure::isThroat)
                        .flatMap(m -> r.value(m).stream().boxed())));
  }

  private static OptionalDouble middle(List<SeatReadings> readings, Measure measure) {
    return middle(readings.stream().flatMap(r -> r.value(measure).stream().boxed()));
  }

  private static OptionalDouble middle(Stream<Double> values) {
    List<Double> sorted = values.sorted().toList();
    int half = sorted.size() / 2;
    return sorted.isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(
            sorted.size() % 2 == 1
                ? sorted.get(half)
                : (sorted.get(half - 1) + sorted.get(half)) / 2);
  }
}
