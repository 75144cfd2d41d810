package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.code.Coded;
import finebore.flow.LiftPoint;
import finebore.study.SeatStudy;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/** The areas that discharge coefficients and mean speeds are named after. */
public enum FlowArea implements Coded {
  /** pi D L of the tested valve. */
  CURTAIN,
  /** The tested valve's head. */
  VALVE,
  /** Throat less stem, as the model has it. */
  THROAT,
  /** The smallest frustum between seat and valve, as the model has it. */
  GATE;

  @Override
  public String code() {
    return "area." + name().toLowerCase(Locale.ROOT);
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
          study.map(s -> OptionalDouble.of(s.fit().throatAreaMm2())).orElse(OptionalDouble.empty());
      case GATE ->
          study
              .flatMap(SeatStudy::curve)
              .flatMap(
                  c ->
                      c.points().stream()
                          .filter(p -> Math.abs(p.liftMm() - liftMm) < FlowTest.SAME_LIFT_MM)
                          .findFirst())
              .map((LiftPoint p) -> OptionalDouble.of(p.gate().areaMm2()))
              .orElse(OptionalDouble.empty());
    };
  }
}
