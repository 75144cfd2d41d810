package finebore.study;

import finebore.bench.FlowTest;
import finebore.flow.LiftPoint;
import java.util.Optional;
import java.util.OptionalDouble;

/** The areas that discharge coefficients and mean speeds are named after. */
public enum FlowArea {
  /** pi D L of the tested valve. */
  CURTAIN("curtain"),
  /** The tested valve's head. */
  VALVE("valve"),
  /** Throat less stem, as the model has it. */
  THROAT("throat"),
  /** The smallest frustum between seat and valve, as the model has it. */
  GATE("gate");

  private final String words;

  FlowArea(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /**
   * The area at a lift, mm2; empty where the model is asked for a lift it was not worked out at.
   *
   * @param study the model of the tested seat
   */
  public OptionalDouble mm2(FlowTest test, double liftMm, Optional<SeatStudy> study) {
    double head = test.setUp().valve().headDiameterMm();
    return switch (this) {
      case CURTAIN -> OptionalDouble.of(Math.PI * head * liftMm);
      case VALVE -> OptionalDouble.of(Math.PI / 4 * head * head);
      case THROAT ->
          study
              .map(s -> OptionalDouble.of(SeatStudy.throatAreaMm2(s.pairing())))
              .orElse(OptionalDouble.empty());
      case GATE ->
          study
              .flatMap(SeatStudy::curve)
              .flatMap(
                  c ->
                      c.points().stream()
                          .filter(p -> Math.abs(p.liftMm() - liftMm) < FlowTest.SAME_LIFT_MM)
                          .findFirst())
              .map((LiftPoint p) -> OptionalDouble.of(p.losses().gate().areaMm2()))
              .orElse(OptionalDouble.empty());
    };
  }
}
