package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.code.Coded;
import finebore.flow.Bands.Band;
import finebore.flow.CamLift.Step;
import finebore.flow.Sectors.Sector;
import finebore.section.Place;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What flow is reckoned with, each limit just inside and just outside. */
class FlowLimitsTest {

  private record Limit(String what, DoubleFunction<Object> made, double inside, double outside) {
    @Override
    public String toString() {
      return what + " " + inside + ", not " + outside;
    }
  }

  private static Calibration port(double loss, double factor) {
    return new Calibration(loss, factor, OptionalInt.empty());
  }

  private static TestConditions air(double depressionPa, double density) {
    return new TestConditions(depressionPa, density, 100_000);
  }

  /** So many lines over 240 degrees. */
  private static List<Step> rising(int lines) {
    return IntStream.range(0, lines).mapToObj(k -> new Step(240.0 * k / lines, 5)).toList();
  }

  private static Sectors circle(double share, double rest) {
    return new Sectors(List.of(new Sector("one", share, 1), new Sector("rest", rest, 1)));
  }

  static Stream<Limit> limits() {
    return Stream.of(
        new Limit("low lift ends above", v -> new Bands(v, 0.25), 1e-6, 0),
        new Limit("low lift ends below mid", v -> new Bands(v, 0.25), 0.2499, 0.25),
        new Limit("mid lift ends below", v -> new Bands(0.12, v), 1.999, 2),
        new Limit("port loss from", v -> port(v, 1), 0, -1e-9),
        new Limit("port loss below", v -> port(v, 1), 99.99, 100),
        new Limit("factor above", v -> port(1, v), 0.2001, 0.2),
        new Limit("factor below", v -> port(1, v), 4.999, 5),
        new Limit("share above", v -> circle(v, 1 - v), 1e-9, 0),
        new Limit("share up to", v -> new Sectors(List.of(new Sector("", v, 1))), 1, 1 + 1e-8),
        new Limit("shares together", v -> circle(0.5, v), 0.5 + 5e-10, 0.5 + 2e-9),
        new Limit("shares together", v -> circle(0.5, v), 0.5 - 5e-10, 0.5 - 2e-9),
        new Limit("discharge from", v -> new Sector("", 1, v), 0, -1e-9),
        new Limit("discharge up to", v -> new Sector("", 1, v), 1, 1 + 1e-9),
        new Limit("depression above", v -> air(v, 1.2), 1e-6, 0),
        new Limit("depression below the room", v -> air(v, 1.2), 99_999, 100_000),
        new Limit("density above", v -> air(7000, v), 0.501, 0.5),
        new Limit("density below", v -> air(7000, v), 1.999, 2),
        new Limit("lines of a cam from", v -> CamLift.measured(rising((int) v)), 5, 4),
        new Limit("lines of a cam up to", v -> CamLift.measured(rising((int) v)), 1500, 1501),
        new Limit("cam degrees rise", v -> CamLift.measured(turned(v)), 40.001, 40),
        new Limit("lift as in the table", v -> table().withMaxLiftMm(v), 8 + 9e-7, 8 + 1.1e-6),
        new Limit(
            "duration as in the table", v -> table().withDurationDeg(v), 160 - 9e-7, 160 - 1.1e-6));
  }

  private static CamLift table() {
    return CamLift.measured(turned(80));
  }

  /** The third line at a place of its own. */
  private static List<Step> turned(double deg) {
    return List.of(
        new Step(0, 0), new Step(40, 3), new Step(deg, 8), new Step(120, 8), new Step(160, 1));
  }

  @ParameterizedTest
  @MethodSource("limits")
  void justInsideIsTakenAndJustOutsideIsNot(Limit limit) {
    assertThatCode(() -> limit.made().apply(limit.inside())).doesNotThrowAnyException();
    assertThatThrownBy(() -> limit.made().apply(limit.outside()))
        .isInstanceOf(IllegalArgumentException.class);
  }

  @Test
  void aBandBeginsWhereTheOneBelowEnds() {
    Bands bands = new Bands(0.12, 0.25);
    assertThat(bands.of(4.799, 40)).isEqualTo(Band.LOW);
    assertThat(bands.of(4.8, 40)).isEqualTo(Band.MID);
    assertThat(bands.of(9.999, 40)).isEqualTo(Band.MID);
    assertThat(bands.of(10, 40)).isEqualTo(Band.HIGH);
    assertThat(Bands.USUAL).isEqualTo(bands);
    assertThat(Band.MID.key()).isEqualTo("mid");
  }

  /**
   * An expanding gas passes less than one that does not, by the first term of the nozzle's series:
   * 3 / (4 gamma) of the pressure's share; worked out by hand.
   */
  @Test
  void airExpandsFromATenthOfTheRoomOn() {
    double plain = 1e-6 * Math.sqrt(2 * 10_000 / 1.2);
    assertThat(air(10_000, 1.2).flow(1)).isCloseTo(plain, within(1e-12 * plain));
    double above = 1e-6 * Math.sqrt(2 * 10_001 / 1.2);
    assertThat(air(10_001, 1.2).flow(1) / above).isCloseTo(1 - 0.75 / 1.4 * 0.1, within(3e-3));
  }

  @ParameterizedTest
  @CsvSource({"0, 0.5625", "80, 0.625", "119, 0.746875"})
  void aCamIsHighestInTheMiddleOfItsTop(double third, double part) {
    // The top lasts from the third line, or the fourth alone, to the fourth.
    List<Step> steps =
        List.of(
            new Step(0, 0),
            new Step(40, third == 0 ? 8 : 3),
            new Step(third == 0 ? 60 : third, third == 0 ? 7 : 8),
            new Step(third == 0 ? 140 : 120, 8),
            new Step(160, 1));
    assertThat(CamLift.measured(steps).peakPart()).isCloseTo(part, within(1e-12));
    assertThat(new CamLift(10, 270).peakPart()).isEqualTo(0.5);
  }

  /** Norton's 3-4-5 polynomial: 10 x^3 - 15 x^4 + 6 x^5; its square's mean is 181 / 462. */
  @Test
  void aCamWithoutATableIsA345Polynomial() {
    CamLift cam = new CamLift(8, 250);
    assertThat(cam.liftAt(0.1)).isCloseTo(8 * 0.05792, within(1e-12));
    assertThat(cam.liftAt(0.4)).isCloseTo(8 * 0.94208, within(1e-12));
    assertThat(cam.meanOf(lift -> lift)).isCloseTo(4, within(1e-9));
    assertThat(cam.meanOf(lift -> lift * lift)).isCloseTo(64 * 181.0 / 462, within(1e-4));
    assertThat(cam.liftAt(-1)).isZero();
    assertThat(cam.liftAt(2)).isZero();
  }

  @Test
  void aTableIsReadAtItsEndsAndBeyond() {
    CamLift cam = table();
    assertThat(cam.liftAt(-0.5)).isZero();
    assertThat(cam.liftAt(1.5)).isEqualTo(1);
    assertThat(cam.liftAt(0.25)).isEqualTo(3);
    assertThat(cam.liftAt(0.875)).isCloseTo(4.5, within(1e-12));
  }

  @Test
  void seatAndValveAloneAreWhatIsLeftWithoutThePort() {
    Losses.Setting setting =
        new Losses.Setting(
            0,
            900,
            Direction.EXHAUST,
            Sectors.BENT_PORT,
            new Calibration(1.5, 1.1, OptionalInt.of(3)));
    double factor = 1.1 * (0.5 + 0.5 * 0.65 / 0.72);
    double behind = factor / Math.sqrt(1 / (400.0 * 400) + 2.5 / (900.0 * 900));
    Gate gate = Gate.between(wall(), lifted());
    assertThat(setting.aloneMm2(new EffectiveArea(gate, behind, true)))
        .isCloseTo(factor * 400, within(1e-9));
  }

  @Test
  void everythingHasItsCode() {
    assertThat(
            Stream.<Coded>of(
                Band.HIGH, Direction.EXHAUST, Loss.Cause.WALL, InSeries.Part.values()[0]))
        .extracting(Coded::code)
        .startsWith("band.high", "direction.exhaust", "loss.wall")
        .allMatch(c -> c.matches("[a-zA-Z]+\\.[a-zA-Z_]+"));
  }

  private static Profile wall() {
    return new Profile.Builder(new Point(30, 0), Tolerance.FINE)
        .to(new Point(20, 0), Surface.of(Trace.HEAD_FACE))
        .to(new Point(19, -1), Surface.cut(0, 45))
        .to(new Point(18, -3), Surface.cut(1, 60))
        .to(new Point(18, -10), Surface.of(Trace.THROAT))
        .build();
  }

  private static Profile lifted() {
    return valve(0, 3);
  }

  /** A disc with a rim of no height. */
  private static Profile valve(double below, double radius) {
    return new Profile.Builder(new Point(radius, 12), Tolerance.FINE)
        .to(new Point(radius, 8 - below), Surface.of(Trace.MARGIN))
        .to(new Point(2, 8 - below), Surface.of(Trace.UNDERHEAD))
        .build();
  }

  /** Right over a corner the gate ends at it, and is spoken of as of the edge. */
  @Test
  void theGateIsNamedByTheEdgeThatItEndsAt() {
    Gate gate = Gate.between(wall(), valve(5, 19.2));
    assertThat(gate.onMetal()).isEqualTo(new Point(20, 0));
    assertThat(gate.metalPlace())
        .isEqualTo(Place.edge(Surface.of(Trace.HEAD_FACE), Surface.cut(0, 45)));
    assertThat(gate.valvePlace())
        .isEqualTo(Place.edge(Surface.of(Trace.MARGIN), Surface.of(Trace.UNDERHEAD)));
    assertThat(gate.gapMm()).isCloseTo(Math.hypot(0.8, 3), within(1e-12));
    assertThat(gate.areaMm2()).isCloseTo(Math.PI * 39.2 * Math.hypot(0.8, 3), within(1e-9));
    assertThat(gate.message().code()).isEqualTo("place.gap");
  }
}
