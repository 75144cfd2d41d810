package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.cutting.CutAngle.SingleTool;
import finebore.found.FoundSeat;
import finebore.found.Ring;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.section.Point;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Operations whose shapes and volumes can be worked by hand: Pappus, a cone, an arc's chords. */
class ByClosedFormulasTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  /** One worn 45 of 2 mm from (19, -8) over a flat shoulder to a straight throat of 34. */
  private static final Seat WORN = CuttingTest.worn();

  private static final double SHOULDER_R = 19 - Math.sqrt(2);
  private static final double SHOULDER_Z = -8 - Math.sqrt(2);

  private static final Seat WANTED = CuttingTest.wanted();

  private static Cutting cut(Operation... operations) {
    return Cutting.of(FoundSeat.plain(WORN), WANTED, List.of(operations));
  }

  /** Volume of what a closed line in the section plane turns to round the axis (Green, Pappus). */
  private static double turned(double... rz) {
    double sum = 0;
    int n = rz.length / 2;
    for (int k = 0; k < n; k++) {
      double r1 = rz[2 * k];
      double r2 = rz[2 * ((k + 1) % n)];
      sum += (r1 * r1 + r1 * r2 + r2 * r2) * (rz[2 * ((k + 1) % n) + 1] - rz[2 * k + 1]);
    }
    return Math.abs(Math.PI / 3 * sum);
  }

  private static double tan(double deg) {
    return Math.tan(Math.toRadians(deg));
  }

  @Test
  void anUndercutIsACone() {
    Cutting cutting = cut(new CutUnder(12, OptionalDouble.of(36), 3, OPEN));
    double volume =
        turned(18, -9, SHOULDER_R, SHOULDER_Z, 17, SHOULDER_Z, 17, -12, 18 - 3 * tan(12), -12);
    assertThat(cutting.steps().getFirst().removedMm3()).isCloseTo(volume, within(1e-6 * volume));
    assertThat(cutting.steps().getFirst().depthMm()).hasValue(9);
    // Without a diameter it begins where the last cut ends.
    Cutting below = cut(new CutUnder(12, OPEN, 2, OPEN));
    double under =
        turned(
            SHOULDER_R,
            SHOULDER_Z,
            17,
            SHOULDER_Z,
            17,
            SHOULDER_Z - 2,
            SHOULDER_R - 2 * tan(12),
            SHOULDER_Z - 2);
    assertThat(below.steps().getFirst().removedMm3()).isCloseTo(under, within(1e-6 * under));
  }

  /**
   * From the last wanted cut's 60 to a lean of 12 in chords of at most 5 degrees, then straight.
   */
  @Test
  void aRoundUndercutIsChordsOfItsRadius() {
    CutUnder round = new CutUnder(12, OptionalDouble.of(36), 3, OptionalDouble.of(4));
    Cutting.Step step = cut(round).steps().getFirst();
    double chord = 2 * 4 * Math.sin(Math.toRadians(4.5) / 2);
    double[] angles = {62.25, 66.75, 71.25, 75.75, 78};
    double arc = 4 * (0.5 - Math.sin(Math.toRadians(12)));
    assertThat(step.cameIn()).hasSize(5);
    for (int k = 0; k < 5; k++) {
      assertThat(step.cameIn().get(k).cut().angleDeg()).isCloseTo(angles[k], within(1e-9));
      double width = k < 4 ? chord : (3 - arc) / Math.cos(Math.toRadians(12));
      assertThat(step.cameIn().get(k).cut().widthMm()).isCloseTo(width, within(1e-9));
    }
    // A low one ends on the radius.
    Cutting.Step low =
        cut(new CutUnder(12, OptionalDouble.of(36), 1, OptionalDouble.of(4))).steps().getFirst();
    assertThat(low.cameIn()).hasSize(4);
    double height = low.cameIn().stream().mapToDouble(c -> c.cut().heightMm()).sum();
    assertThat(height).isCloseTo(1, within(1e-9));
    assertThat(low.cameIn().getLast().cut().widthMm()).isLessThan(chord);
  }

  /**
   * A corner of 90 degrees rounded to R loses (1 - pi/4) R2, whose middle lies 0.2234 R inside. Six
   * chords for a quarter circle take 4.2 % more.
   */
  @ParameterizedTest
  @CsvSource({"0.4, 0", "0.25, 0", "0.4, 1"})
  void aBlendTakesWhatARadiusLeavesOfACorner(double radius, double keepOff) {
    Cutting cutting = cut(new Blend(Blend.Side.PORT, keepOff, radius));
    double area = (1 - Math.PI / 4) * radius * radius;
    double middle = 17 + radius * (10 - 3 * Math.PI) / (3 * (4 - Math.PI));
    double volume = keepOff > 0 ? 0 : 2 * Math.PI * middle * area;
    assertThat(cutting.steps().getFirst().removedMm3())
        .isCloseTo(volume, within(0.042 * volume + 0.06));
    assertThat(cutting.steps().getFirst().depthMm()).isEmpty();
  }

  /** The edge of the seat in its roof turns by 35 degrees; half of its corner lies outside. */
  @Test
  void aBlendAboveTakesTheEdgeInTheChamber() {
    double half = Math.toRadians(35) / 2;
    double whole = 2 * Math.PI * 19 * (Math.tan(half) - half);
    double taken = cut(new Blend(Blend.Side.CHAMBER, 0, 1)).steps().getFirst().removedMm3();
    assertThat(taken).isBetween(0.4 * whole, whole);
    assertThat(cut(new Blend(Blend.Side.CHAMBER, 1, 1)).removedMm3()).isLessThan(1e-6);
  }

  /** A 30 and a 31: the seat wants 0.6 mm of the one, and of the other nobody said how much. */
  @ParameterizedTest
  @CsvSource({"30, 0.6", "31, 0.5"})
  void aSingleCutIsCleanOverTheWidthThatIsWanted(double angle, double band) {
    Cutting.Step step =
        cut(new CutAngle(SingleTool.STONE, angle, 38, new Plunge.UntilClean(0.1, false)))
            .steps()
            .getFirst();
    double in = band * Math.cos(Math.toRadians(angle));
    double clean = 8 + in - band * Math.sin(Math.toRadians(angle));
    assertThat(step.cleanUp().orElseThrow().sealingMm().orElseThrow())
        .isCloseTo(clean, within(1e-6));
    assertThat(step.depthMm().orElseThrow()).isCloseTo(clean + 0.1, within(1e-6));
    Cutting.Step planned =
        cut(new CutAngle(SingleTool.BLADE, angle, 38, new Plunge.AsPlanned())).steps().getFirst();
    // In the line of the plan's 30, whose lower end lies 19.2 out and 8.3 deep; the plan has no 31.
    double line = angle == 30 ? 8.3 + 0.2 * Math.tan(Math.toRadians(30)) : 8;
    assertThat(planned.depthMm().orElseThrow()).isCloseTo(line, within(1e-9));
  }

  /** From the wanted throat's end a cone out to the bowl, then straight on. */
  @Test
  void aBowlIsAConeAndACylinder() {
    double throatEnd = 8.3 + 1.2 * Math.sin(Math.PI / 4) + Math.sin(Math.PI / 3) + 4;
    Cutting cutting = cut(new OpenBowl(OptionalDouble.of(37), OptionalDouble.of(16)));
    assertThat(cutting.finished().profile().points())
        .anyMatch(p -> p.distanceTo(new Point(17.8, -throatEnd)) < 1e-6)
        .anyMatch(p -> p.distanceTo(new Point(18.5, -16)) < 1e-6);
    assertThat(cutting.steps().getFirst().depthMm()).hasValue(16);
    // Above the throat's end it does not reach: the cone is flat there.
    Cutting high = cut(new OpenBowl(OptionalDouble.of(37), OptionalDouble.of(10)));
    assertThat(high.finished().profile().points())
        .anyMatch(p -> p.distanceTo(new Point(18.5, -throatEnd)) < 1e-6);
    // A bowl no wider than the throat is a cylinder.
    Cutting narrow = cut(new OpenBowl(OptionalDouble.of(35), OptionalDouble.of(16)));
    assertThat(narrow.finished().profile().points())
        .anyMatch(p -> p.distanceTo(new Point(17.5, -throatEnd)) < 1e-6);
  }

  @Test
  void aRingFillsItsCounterboreAndMustFitTheHead() {
    Ring ring = new Ring(42, 33, 15, 7, 0.12, "bronze");
    Cutting cutting = cut(new FitRing(ring));
    assertThat(cutting.metal().ringRegion().volumeMm3())
        .isCloseTo(Math.PI / 4 * (42 * 42 - 33 * 33) * 7, within(1e-3));
    assertThat(new FitRing(ring).counterboreMm()).isCloseTo(41.88, within(1e-12));
    assertThat(cutting.steps().getFirst().depthMm()).hasValue(15);
    double far = 2 * cut().finished().profile().points().getFirst().r();
    Ring wide = new Ring(Math.min(220, far), 33, 15, 7, 0.1, "");
    assertThat(cut(new FitRing(wide)).steps().getFirst().problem())
        .hasValueSatisfying(p -> assertThat(p.code()).isEqualTo("rule.ringWithinHead"));
    assertThat(cut(new FitRing(wide.withOutsideDiameterMm(far - 0.5))).steps().getFirst().problem())
        .isEmpty();
  }

  @Test
  void aRingToBeginWithIsALittleLargerOrOfAUsualWall() {
    Ring old = new Ring(42, 33, 15, 7, 0.12, "bronze");
    assertThat(UsualOperations.ring(WANTED, Optional.of(old)))
        .isEqualTo(new Ring(42.5, 33, 15, 7, 0.12, "bronze"));
    Ring usual = UsualOperations.ring(WANTED, Optional.empty());
    assertThat(usual.outsideDiameterMm()).isEqualTo(43);
    assertThat(usual.insideDiameterMm()).isCloseTo(34.6, within(1e-12));
    assertThat(usual.floorMm()).isCloseTo(WANTED.lowestMm() + 3, within(1e-12));
    assertThat(usual.heightMm()).isCloseTo(usual.floorMm() - 8.3 + 1, within(1e-12));
    assertThat(usual.fitMm()).isEqualTo(0.1);
  }

  @ParameterizedTest
  @CsvSource({
    "2, 9, 2, true",
    "2, 9, 9, true",
    "2, 9, 5.5, true",
    "2, 9, 1.99, false",
    "2, 9, 9.01, false",
    "10, 1.5, 12, true",
    "10, 1.5, 0, true",
    "10, 1.5, 1.5, true",
    "10, 1.5, 1.51, false",
    "10, 1.5, 9.99, false",
    "10, 1.5, 10, true",
    "0, 12, 7, true",
    "3, 3, 9, true"
  })
  void aWallIsTakenBackClockwiseFromOneHourToAnother(
      double from, double to, double hour, boolean there) {
    assertThat(new TakeWallBack(from, to, 25).isAt(hour)).isEqualTo(there);
  }

  @Test
  void theWallLeavesTheSeatAsItIs() {
    Cutting.Step step = cut(new TakeWallBack(2, 9, 25)).steps().getFirst();
    assertThat(step.removedMm3() + step.addedMm3()).isZero();
    assertThat(step.problem()).isEmpty();
  }

  static List<Operation> kinds() {
    return Operation.kinds();
  }

  /** Each setting changes what it says, and nothing else. */
  @ParameterizedTest
  @MethodSource("kinds")
  void everySettingIsItsOwn(Operation usual) {
    assertThat(usual.key()).matches("[a-z][A-Za-z]+");
    assertThat(usual.settings())
        .isNotEmpty()
        .extracting(OperationSetting::id)
        .doesNotHaveDuplicates();
    for (OperationSetting<?> setting : usual.settings()) {
      Operation changed = changed(usual, setting);
      assertThat(changed).as(setting.id()).isNotEqualTo(usual);
      for (OperationSetting<?> other : usual.settings()) {
        assertThat(value(changed, other).equals(value(usual, other)))
            .as("%s after %s", other.id(), setting.id())
            .isEqualTo(other != setting);
      }
    }
  }

  private static Object value(Operation operation, OperationSetting<?> setting) {
    return switch (setting) {
      case OperationSetting.Number<?> number -> number.set(operation);
      case OperationSetting.Choice<?, ?> choice -> choice.value(operation);
      case OperationSetting.Text<?> text -> text.value(operation);
      case OperationSetting.Depth<?> depth -> depth.value(operation);
    };
  }

  private static Operation changed(Operation usual, OperationSetting<?> setting) {
    return switch (setting) {
      case OperationSetting.Number<?> number -> {
        double is = number.set(usual).orElse(number.setting().quantity().min());
        boolean most = is + 0.01 > number.setting().quantity().max();
        OptionalDouble next = OptionalDouble.of(most ? is - 0.01 : is + 0.01);
        Operation changed = number.on(usual, next);
        assertThat(number.set(changed)).isEqualTo(next);
        assertThat(number.value(changed, WANTED)).isEqualTo(next);
        yield changed;
      }
      case OperationSetting.Choice<?, ?> choice -> {
        Coded other =
            choice.values().stream()
                .filter(v -> v != choice.value(usual))
                .findFirst()
                .orElseThrow();
        yield choice.on(usual, other);
      }
      case OperationSetting.Text<?> text -> text.on(usual, "x");
      case OperationSetting.Depth<?> depth -> depth.on(usual, new Plunge.ToDepth(7.77));
    };
  }

  /** An open setting is what the wanted seat has, and is open again when that changes. */
  @Test
  void anOpenSettingFollowsTheWantedSeat() {
    OperationSetting.Number<?> throat =
        (OperationSetting.Number<?>) OpenThroat.AS_WANTED.settings().getFirst();
    assertThat(throat.set(OpenThroat.AS_WANTED)).isEmpty();
    assertThat(throat.value(OpenThroat.AS_WANTED, WANTED)).hasValue(35.6);
    Operation set = throat.on(OpenThroat.AS_WANTED, OptionalDouble.of(35));
    assertThat(throat.following(set, WANTED, WANTED.withDepthMm(9))).isEqualTo(set);
    assertThat(throat.following(set, WANTED, WANTED.withThroatDiameter(35.7)))
        .isEqualTo(OpenThroat.AS_WANTED);
    assertThat(throat.term(set, WANTED)).hasSize(1);
  }

  @Test
  void aCuttersProfileIsAnglesByAPointAndArcsByChords() {
    Cutter cutter =
        new Cutter("A", "", List.of(new Cut(30, 1), new Arc(40, 50, 5), new Cut(45, 1.5)), 2);
    List<Point> outline = cutter.outline();
    assertThat(outline).hasSize(3 + Cutter.DRAWN_CHORDS);
    assertThat(outline.get(1).r()).isCloseTo(-Math.cos(Math.toRadians(30)), within(1e-12));
    assertThat(outline.get(1).z()).isCloseTo(0.5, within(1e-12));
    Point end = outline.get(1 + Cutter.DRAWN_CHORDS);
    double in = 5 * (Math.sin(Math.toRadians(50)) - Math.sin(Math.toRadians(40)));
    double down = 5 * (Math.cos(Math.toRadians(40)) - Math.cos(Math.toRadians(50)));
    assertThat(end.r()).isCloseTo(outline.get(1).r() - in, within(1e-9));
    assertThat(end.z()).isCloseTo(0.5 + down, within(1e-9));
    assertThat(outline.getLast().distanceTo(end)).isCloseTo(1.5, within(1e-12));
    int chords = new Arc(40, 50, 5).cuts().size();
    assertThat(cutter.sealingCut()).isEqualTo(1 + chords);
    assertThat(cutter.cuts()).hasSize(2 + chords);
    assertThat(cutter.cuts().get(cutter.sealingCut())).isEqualTo(new Cut(45, 1.5));
    assertThat(cutter.sealingAngleDeg()).isEqualTo(45);
  }

  @Test
  void aCutterMustHaveANameAnAngleAndASealingOne() {
    List<Cut> cuts = List.of(new Cut(30, 1), new Cut(45, 1.5));
    assertThat(new Cutter("x".repeat(80), "", List.copyOf(cuts), 1).sealing()).isEqualTo(1);
    refused("cutterName", "x".repeat(81), 1);
    refused("cutterName", " ", 1);
    refused("sealingElement", "A", 2);
    refused("sealingElement", "A", -1);
    assertThatThrownBy(() -> new Cutter("A", "", List.of(), 0))
        .hasMessageContaining("cutterNeedsAngle");
    assertThatThrownBy(() -> new Cutter("A", "", List.of(new Arc(30, 40, 3)), 0))
        .hasMessageContaining("sealingElement");
    assertThatThrownBy(() -> new Cutter("A", "", List.of(new Cut(9.9, 1)), 0))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("rule.outside");
  }

  private static void refused(String rule, String name, int sealing) {
    assertThatThrownBy(
            () -> new Cutter(name, "", List.of(new Cut(30, 1), new Cut(45, 1.5)), sealing))
        .hasMessageContaining(rule);
  }

  @Test
  void sidesAndToolsHaveNames() {
    assertThat(Arrays.stream(Blend.Side.values()).map(Blend.Side::key))
        .containsExactly("port", "chamber");
    assertThat(Blend.Side.CHAMBER.code()).isEqualTo("side.chamber");
    assertThat(Arrays.stream(SingleTool.values()).map(SingleTool::key))
        .containsExactly("stone", "blade");
    assertThat(SingleTool.BLADE.code()).isEqualTo("tool.blade");
  }
}
