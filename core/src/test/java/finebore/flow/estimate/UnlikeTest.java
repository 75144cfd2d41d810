package finebore.flow.estimate;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.Gate;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.study.FlowSetting;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Where it was told nothing it says so, and where it says nothing of the kind it can be believed.
 */
class UnlikeTest {

  private static SeatFit seat(double head, double angle, double underhead, double fillet) {
    Seat seat =
        Seat.of(
            List.of(new Cut(angle - 15, 1), new Cut(angle, 1.4), new Cut(angle + 14, 1.4)),
            1,
            0.985 * head,
            1.5,
            0.86 * head,
            0.1 * head,
            0.95 * head,
            0.55 * head,
            0);
    Valve valve =
        new Valve(
            head, 1.3, angle, 2.2, List.of(), new Underhead(underhead, fillet), 0.17 * head, 0);
    return SeatFit.of(new Pairing(seat, valve));
  }

  /** Seats and lifts far from all that was solved. */
  @Test
  void farFromAllThatWasSolvedItSaysSo() {
    for (Direction direction : Direction.values()) {
      assertThat(isKnown(24, 0.2, direction)).isFalse();
      assertThat(isKnown(40, 0.0149 * 40, direction)).isFalse();
      assertThat(isKnown(40, 4, direction)).isTrue();
      assertThat(isKnown(40, 10, direction)).isTrue();
      assertThat(isKnown(40, 0.551 * 40, direction)).isFalse();
    }
  }

  private static boolean isKnown(double head, double liftMm, Direction direction) {
    FlowSetting alone =
        new FlowSetting(
            direction,
            List.of(),
            Optional.empty(),
            7000,
            Calibration.SEAT_ALONE,
            OptionalDouble.empty(),
            Optional.empty());
    return seat(head, 45, 15, 8).areaAt(liftMm, alone).isKnown();
  }

  private static Estimate.Answer said(SeatFit fit, double liftMm, Direction direction) {
    double gate = Gate.between(fit.seat().profile(), fit.valveAt(liftMm)).areaMm2();
    Estimate estimate = direction == Direction.INTAKE ? Estimate.ofIntake() : Estimate.ofExhaust();
    return estimate.at(fit.seat().profile(), 1, fit.valveAt(liftMm), gate);
  }

  /** Past 60 degrees nothing was solved. */
  @ParameterizedTest
  @CsvSource({"3, INTAKE", "8, INTAKE", "3, EXHAUST", "8, EXHAUST"})
  void steeperSeatsThanAnyAreUnlike(double lift, Direction direction) {
    for (double angle : new double[] {66, 70}) {
      assertThat(said(seat(40, angle, 25, 12), lift, direction).isKnown()).isFalse();
    }
  }

  /** A tulip of 60 degrees: 17 to 19 % under the solver before such seats were learnt. */
  @ParameterizedTest
  @CsvSource({"3, INTAKE", "8, INTAKE", "3, EXHAUST", "8, EXHAUST"})
  void aTulipIsKnown(double lift, Direction direction) {
    SeatFit fit = seat(40, 60, 35, 12);
    Estimate.Answer said = said(fit, lift, direction);
    double solved =
        AirSolver.solve(
                new AirQuestion(
                    fit.seat().profile(),
                    fit.valveAt(lift),
                    20,
                    direction,
                    Turbulence.EVEN,
                    Fineness.COARSE))
            .effectiveAreaMm2();
    assertThat(said.isKnown()).isTrue();
    assertThat(said.areaMm2() / solved).isBetween(0.94, 1.06);
  }
}
