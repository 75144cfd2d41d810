package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.CutSheet.Setting;
import finebore.cutting.Operation.Blend;
import finebore.cutting.Operation.BlendSide;
import finebore.cutting.Operation.CutAngle;
import finebore.cutting.Operation.CutForm;
import finebore.cutting.Operation.CutUnder;
import finebore.cutting.Operation.FitRing;
import finebore.cutting.Operation.OpenBowl;
import finebore.cutting.Operation.OpenThroat;
import finebore.cutting.Operation.SingleTool;
import finebore.cutting.Operation.SweepChamber;
import finebore.found.Ring;
import finebore.units.UnitSystem;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SettingsTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Plunge PLANNED = new Plunge.AsPlanned();

  private static List<Setting> settings(Operation operation) {
    return Settings.of(
        operation, Samples.fourAngles(0.89), OptionalDouble.of(10.2), UnitSystem.METRIC);
  }

  private static String value(Operation operation, String name) {
    return settings(operation).stream()
        .filter(s -> s.name().equals(name))
        .map(Setting::value)
        .findFirst()
        .orElse("none");
  }

  @Test
  void openSettingsAreThoseOfTheWantedSeat() {
    assertThat(value(new OpenThroat(OPEN, 0, OPEN), "Throat diameter")).isEqualTo("37.38 mm");
    assertThat(value(new CutForm("", OPEN, PLANNED), "Seat outside diameter, by the pointer"))
        .isEqualTo("41.25 mm");
    assertThat(value(new OpenBowl(OPEN, OPEN), "Bowl diameter")).isEqualTo("37.38 mm");
  }

  @Test
  void setOnesAreTheirOwn() {
    OptionalDouble set = OptionalDouble.of(36.5);
    assertThat(value(new OpenThroat(set, 3, OPEN), "Throat diameter")).isEqualTo("36.50 mm");
    assertThat(value(new OpenThroat(set, 3, OPEN), "Taper")).isEqualTo("3°");
    assertThat(value(new OpenThroat(set, 0, OPEN), "Taper")).isEqualTo("none");
    assertThat(value(new CutForm("A4", set, PLANNED), "Cutter")).isEqualTo("A4");
    assertThat(value(new CutForm("", set, PLANNED), "Cutter")).isEqualTo("none");
    assertThat(value(new OpenBowl(set, OPEN), "Bowl diameter")).isEqualTo("36.50 mm");
  }

  @Test
  void singleCutsSweepsAndHandWorkSayWhatIsSet() {
    Operation cut = new CutAngle(SingleTool.BLADE, 60, 39.5, PLANNED);
    assertThat(value(cut, "Angle")).isEqualTo("60°, blade");
    assertThat(value(cut, "Its outer edge at")).isEqualTo("39.50 mm");
    Operation sweep = new SweepChamber(15, 50, OPEN);
    assertThat(value(sweep, "Out to")).isEqualTo("50.00 mm");
    assertThat(value(sweep, "Its inner edge below the head face")).isEqualTo("10.20 mm");
    assertThat(value(new CutUnder(12.5, OPEN, 4, 0), "Leans in")).isEqualTo("12.5°");
    assertThat(value(new CutUnder(12.5, OPEN, 4, 0), "Radius")).isEqualTo("none");
    assertThat(value(new CutUnder(12.5, OPEN, 4, 3), "Radius")).isEqualTo("3.00 mm");
    assertThat(value(new Blend(BlendSide.PORT, 0.75, 1.5), "Keep off the sealing face"))
        .isEqualTo("0.75 mm");
  }

  @Test
  void aRingsBoreIsSmallerByItsFit() {
    FitRing fit = new FitRing(new Ring(43, 33, 14, 8, 0.1, "sintered"));
    assertThat(value(fit, "Counterbore")).isEqualTo("42.90 mm for a 43.00 mm ring");
    assertThat(value(fit, "Press fit on the diameter")).isEqualTo("0.10 mm");
    assertThat(value(fit, "Material")).isEqualTo("sintered");
    assertThat(value(new FitRing(new Ring(43, 33, 14, 8, 0.1, "")), "Material")).isEqualTo("none");
  }

  @Test
  void plungesAreSaidAsAMachinistSetsThem() {
    assertThat(Settings.plunge(PLANNED, UnitSystem.METRIC)).isEqualTo("as planned");
    assertThat(Settings.plunge(new Plunge.ToDepth(8.4), UnitSystem.METRIC))
        .isEqualTo("depth stop at 8.40 mm");
    assertThat(Settings.plunge(new Plunge.UntilClean(0, false), UnitSystem.METRIC))
        .isEqualTo("until the seat is clean");
    assertThat(Settings.plunge(new Plunge.UntilClean(0.1, true), UnitSystem.METRIC))
        .isEqualTo("until every cut is clean and 0.10 mm more");
    assertThat(Settings.plunge(new Plunge.ToDepth(8.4), UnitSystem.INCH))
        .isEqualTo("depth stop at 0.331 in");
  }

  static Stream<Operation> operations() {
    return Stream.of(
        new OpenThroat(OPEN, 0, OPEN),
        new CutForm("", OPEN, PLANNED),
        new CutAngle(SingleTool.STONE, 45, 40, PLANNED),
        new SweepChamber(15, 50, OPEN),
        new CutUnder(12, OPEN, 3, 0),
        new OpenBowl(OPEN, OPEN),
        new Blend(BlendSide.CHAMBER, 0.3, 1),
        new FitRing(new Ring(43, 33, 14, 8, 0.1, "")));
  }

  @ParameterizedTest
  @MethodSource("operations")
  void everyOperationHasATitleACheckAndACaution(Operation operation) {
    assertThat(operation.title()).isNotBlank();
    assertThat(CutSheet.check(operation)).isNotBlank();
    assertThat(CutSheet.caution(operation)).isNotBlank();
    assertThat(settings(operation))
        .isNotEmpty()
        .allSatisfy(s -> assertThat(s.value()).isNotBlank());
  }
}
