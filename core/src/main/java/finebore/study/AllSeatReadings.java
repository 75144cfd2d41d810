package finebore.study;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** Every reading that follows from a valve on a seat alone. */
final class AllSeatReadings {

  private static final List<SeatReading> ALL =
      List.of(
          new ThroatRatio(),
          new ThroatAreaRatio(),
          new SeatWidth(),
          new ContactWidth(),
          new ContactCentre(),
          new FaceWidth(),
          new Margin(),
          new Interference(),
          new Overhang(),
          new ValveHeight(),
          new LastCut(),
          new AngleStep(),
          new BackCutAngle(),
          new BowlRatio(),
          new CurtainLift());

  private AllSeatReadings() {}

  /** Those that there are. */
  static List<Reading> of(SeatFit fit) {
    return ALL.stream()
        .flatMap(
            r -> {
              OptionalDouble value = r.of(fit);
              return value.isPresent()
                  ? Stream.of(new Reading(r.kind(), value.getAsDouble()))
                  : Stream.empty();
            })
        .toList();
  }
}
