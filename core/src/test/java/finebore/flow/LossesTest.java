package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.Samples;
import finebore.cutting.Seating;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Profile;
import finebore.section.Tolerance;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LossesTest {

  private static final Map<String, Pairing> VARIANTS =
      Map.of(
          "A", new Pairing(Samples.fourAngles(0.89), Samples.backCutValve()),
          "B", new Pairing(Samples.fourAngles(0.89), Samples.plainValve()),
          "C", new Pairing(Samples.oneSharpAngle(), Samples.plainValve()),
          "E", new Pairing(Samples.fourAngles(0.93), Samples.backCutValve()),
          "F", new Pairing(Samples.fourAngles(0.89), Samples.backCutValve()));

  private static Losses losses(Pairing pairing, Profile metal, double lift, Direction direction) {
    ValveSection valve = ValveSection.of(pairing.valve(), Tolerance.FINE);
    Seating.Seated s =
        (Seating.Seated)
            Seating.of(
                SeatSection.of(pairing.seat(), Tolerance.FINE), valve, 0.005, Tolerance.FINE);
    return Losses.at(
        metal,
        valve.profile().raised(s.restMm() + lift),
        new Losses.Setting(
            pairing.seat().sealing(),
            SeatFit.of(pairing).throatAreaMm2(),
            direction,
            Sectors.EVEN,
            Calibration.SEAT_ALONE));
  }

  /**
   * What the model said when this was written, so that neither direction changes unnoticed: intake
   * and exhaust pass the same corners the other way about. It proves nothing about the model.
   */
  @ParameterizedTest
  @CsvSource({"1, 79.123, 82.061", "3, 253.917, 283.835", "8, 639.821, 780.734"})
  void bothDirectionsStayWhatTheyAre(double lift, double intake, double exhaust) {
    Pairing pairing = VARIANTS.get("B");
    assertThat(losses(pairing, metal(pairing), lift, Direction.INTAKE).effectiveAreaMm2())
        .isCloseTo(intake, within(0.01));
    assertThat(losses(pairing, metal(pairing), lift, Direction.EXHAUST).effectiveAreaMm2())
        .isCloseTo(exhaust, within(0.01));
  }

  private static Profile metal(Pairing pairing) {
    return SeatSection.of(pairing.seat(), Tolerance.FINE).profile();
  }

  private static double area(Pairing pairing, double lift) {
    return losses(pairing, metal(pairing), lift, Direction.INTAKE).effectiveAreaMm2();
  }

  private static double area(String variant, double lift) {
    Pairing pairing = VARIANTS.get(variant);
    Profile metal =
        variant.equals("F") ? GateTest.Ridges.beside(metal(pairing), 0.5, 1) : metal(pairing);
    return losses(pairing, metal, lift, Direction.INTAKE).effectiveAreaMm2();
  }

  @Test
  void theBudgetAddsUpToTheWhole() {
    for (Direction direction : Direction.values()) {
      for (double lift : new double[] {0.3, 1, 3, 6, 10}) {
        for (Pairing pairing : VARIANTS.values()) {
          Losses losses = losses(pairing, metal(pairing), lift, direction);
          assertThat(losses.parts().stream().mapToDouble(Loss::share).sum())
              .isCloseTo(1, within(1e-9));
          double total = losses.parts().stream().mapToDouble(Loss::resistancePerMm4).sum();
          assertThat(1 / Math.sqrt(total)).isCloseTo(losses.effectiveAreaMm2(), within(1e-6));
        }
      }
    }
  }

  /** A wall that leaves nine tenths of the gate, and a port of known loss: by hand. */
  @Test
  void wallsAndPortAddTheirOwn() {
    Pairing pairing = VARIANTS.get("B");
    double throat = 900;
    Losses.Setting setting =
        new Losses.Setting(
            pairing.seat().sealing(),
            throat,
            Direction.EXHAUST,
            Sectors.EVEN,
            new Calibration(2.0, 1.0, OptionalInt.empty()),
            gate -> 0.9);
    Profile valve = SeatFit.of(pairing).valveAt(6);
    Losses alone = losses(pairing, metal(pairing), 6, Direction.EXHAUST);
    Losses behind = Losses.at(metal(pairing), valve, setting);
    // The setting of the one alone has the velocity head that air leaves a port with.
    double port = SeatFit.of(pairing).throatAreaMm2();
    double seat = 1 / Math.pow(alone.effectiveAreaMm2(), 2) - 1 / (port * port);
    Map<Loss.Cause, Double> each =
        behind.parts().stream().collect(Collectors.toMap(Loss::cause, Loss::resistancePerMm4));
    assertThat(each.get(Loss.Cause.SEAT)).isCloseTo(seat, withinPercentage(1e-6));
    assertThat(each.get(Loss.Cause.WALL)).isCloseTo(seat / 0.81 - seat, withinPercentage(1e-6));
    assertThat(each.get(Loss.Cause.PORT)).isCloseTo(3 / (throat * throat), withinPercentage(1e-6));
    assertThat(behind.parts()).isSortedAccordingTo(Comparator.comparing(l -> -l.share()));
    assertThat(losses(pairing, metal(pairing), 6, Direction.INTAKE).parts())
        .extracting(Loss::cause)
        .containsExactly(Loss.Cause.SEAT);
  }

  @Test
  void aBackCutGainsAtLowAndMidLift() {
    Pairing plain = VARIANTS.get("B");
    Pairing cut = plain.withValve(Samples.backCutValve());
    assertThat(area(cut, 2)).isGreaterThan(area(plain, 2));
    assertThat(area(cut, 5)).isGreaterThan(area(plain, 5));
  }

  @Test
  void aNarrowerSeatWithASixtyBelowGains() {
    Seat wide =
        Seat.of(List.of(new Cut(30, 1), new Cut(45, 2.2)), 1, 41.25, 10, 37.38, 10, 37.38, 20, 0);
    Seat narrow =
        Seat.of(
            List.of(new Cut(30, 1), new Cut(45, 1.2), new Cut(60, 1.4)),
            1,
            41.25,
            10,
            37.38,
            10,
            37.38,
            20,
            0);
    for (double lift : new double[] {2, 3, 5}) {
      assertThat(area(new Pairing(narrow, Samples.backCutValve()), lift))
          .isGreaterThan(area(new Pairing(wide, Samples.backCutValve()), lift));
    }
  }

  @Test
  void aRidgeCloseAboveTheSeatLosesAtMidLift() {
    assertThat(area("F", 5)).isLessThan(0.97 * area("A", 5));
  }

  @Test
  void anUnblendedStepUnderTheSeatLoses() {
    Pairing blended = VARIANTS.get("A");
    Seat stepped = Samples.fourAngles(0.89).withCuts(List.of(new Cut(30, 1), new Cut(45, 1.2)), 1);
    for (double lift : new double[] {5, 8}) {
      assertThat(area(blended.withSeat(stepped), lift)).isLessThan(0.95 * area(blended, lift));
    }
  }

  @Test
  void aSteeperSeatLosesLow() {
    Valve steepValve = Samples.backCutValve().withFace(55, 1.6).withBackCut(0, new Cut(40, 1.5));
    Seat steep = Samples.fourAngles(0.89).withCut(1, new Cut(55, 1.2)).withCut(2, new Cut(65, 1.4));
    assertThat(area(new Pairing(steep, steepValve), 2)).isLessThan(area("A", 2));
  }

  @Test
  void aBiggerValveOverTheSameSmallThroatGainsNothingAtHighLift() {
    Seat small = Samples.fourAngles(0.80);
    Seat under = small.withOutsideDiameterMm(42.75);
    double gain =
        area(new Pairing(under, Samples.backCutValve().withHeadDiameterMm(43.5)), 11)
            / area(new Pairing(small, Samples.backCutValve()), 11);
    assertThat(gain).isLessThan(1.01);
  }

  @Test
  void aBiggerThroatGainsAtHighLiftWhereItIsTheLimit() {
    assertThat(area(new Pairing(Samples.fourAngles(0.89), Samples.backCutValve()), 11))
        .isGreaterThan(
            1.05 * area(new Pairing(Samples.fourAngles(0.84), Samples.backCutValve()), 11));
  }

  @Test
  void aPortBehindTheThroatCostsMostAtHighLift() {
    Pairing pairing = VARIANTS.get("A");
    ValveSection valve = ValveSection.of(pairing.valve(), Tolerance.FINE);
    double[] left = new double[2];
    double[] lifts = {2, 10};
    for (int k = 0; k < 2; k++) {
      Losses with =
          Losses.at(
              metal(pairing),
              valve.profile().raised(-9.625 + lifts[k]),
              new Losses.Setting(
                  1,
                  SeatFit.of(pairing).throatAreaMm2(),
                  Direction.INTAKE,
                  Sectors.EVEN,
                  Calibration.UNCALIBRATED));
      left[k] = with.effectiveAreaMm2() / area(pairing, lifts[k]);
    }
    assertThat(left[0]).isBetween(0.98, 1.0);
    assertThat(left[1]).isBetween(0.7, 0.95);
  }

  /**
   * A head that its port holds back: K = 5 in velocity heads of the throat as found. Opening the
   * throat does not open the port, so that little is left of what the seat gains.
   */
  @Test
  void aPortThatHoldsBackIsNotOpenedByAThroat() {
    Pairing narrow = VARIANTS.get("A");
    Pairing wide = narrow.withSeat(narrow.seat().withThroatDiameter(0.93 * 42));
    Calibration tight = new Calibration(5, 1, OptionalInt.empty());
    double port = SeatFit.of(narrow).throatAreaMm2();
    double alone = behind(wide, 0, port) / behind(narrow, 0, port);
    double held = behind(wide, tight.portLoss(), port) / behind(narrow, tight.portLoss(), port);
    double opened =
        behind(wide, tight.portLoss(), SeatFit.of(wide).throatAreaMm2())
            / behind(narrow, tight.portLoss(), port);
    assertThat(held - 1).isLessThan(0.35 * Math.max(0.01, alone - 1) + 0.005);
    assertThat(opened - held).isGreaterThan(0.05);
  }

  private static double behind(Pairing pairing, double portLoss, double portAreaMm2) {
    ValveSection valve = ValveSection.of(pairing.valve(), Tolerance.FINE);
    Seating.Seated s =
        (Seating.Seated)
            Seating.of(
                SeatSection.of(pairing.seat(), Tolerance.FINE), valve, 0.005, Tolerance.FINE);
    return Losses.at(
            metal(pairing),
            valve.profile().raised(s.restMm() + 11),
            new Losses.Setting(
                pairing.seat().sealing(),
                portAreaMm2,
                Direction.INTAKE,
                Sectors.EVEN,
                new Calibration(portLoss, 1, OptionalInt.empty())))
        .effectiveAreaMm2();
  }

  @Test
  void cutsOfNoWidthStillGiveAFlow() {
    Pairing pairing = VARIANTS.get("A");
    for (int k = 0; k < 4; k++) {
      Seat seat = pairing.seat().withCut(k, pairing.seat().cuts().get(k).withWidth(0));
      assertThat(area(pairing.withSeat(seat), 3)).isPositive();
    }
    Seat none = pairing.seat();
    for (int k = 0; k < 4; k++) {
      none = none.withCut(k, none.cuts().get(k).withWidth(0));
    }
    assertThat(area(pairing.withSeat(none), 3)).isPositive();
  }
}
