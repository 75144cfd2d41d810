package finebore.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.units.Dimension;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class NotationTest {

  private static final Words SAID = Words.of(Language.ENGLISH, finebore.units.Units.MM);

  @ParameterizedTest
  @CsvSource({
    "42, 42",
    "42 mm, 42",
    "42mm, 42",
    "4.2 cm, 42",
    "60 thou, 1.524",
    "1.654 in, 42.0116",
    "1.654\", 42.0116",
    "1 21/32 in, 42.06875",
    "21/32 in, 16.66875",
    "0.89*42, 37.38",
    "0.89*42 mm, 37.38",
    "0.89 × 42 mm, 37.38",
    "42 + 0.5, 42.5",
    "42-0.5, 41.5",
    "(33.9+34.1)/2, 34",
    "'1,25', 1.25",
    "2*(1+0.5) mm, 3",
  })
  void readsLengthsInMillimetres(String text, double mm) throws NotationException {
    assertThat(Notation.length(text, UnitSystem.METRIC)).isCloseTo(mm, within(1e-9));
  }

  /** In the square of the length that the job is in, and back. */
  @ParameterizedTest
  @CsvSource({"METRIC, 322.58, 322.58", "INCH, 0.5, 322.58"})
  void readsAreasAsTheyAreWritten(UnitSystem system, String text, double mm2)
      throws NotationException {
    assertThat(Notation.read(Dimension.AREA, text, system)).isCloseTo(mm2, within(1e-9));
    assertThat(system.entry(Dimension.AREA, mm2)).isEqualTo(text);
  }

  @ParameterizedTest
  @CsvSource({
    "1.654, 42.0116",
    "1 21/32, 42.06875",
    "42 mm, 42",
    "0.89*1.65, 37.2999",
    "60 thou, 1.524"
  })
  void meansInchesWhenTheJobDoes(String text, double mm) throws NotationException {
    assertThat(Notation.length(text, UnitSystem.INCH)).isCloseTo(mm, within(1e-9));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "  ",
        "abc",
        "1..2",
        "42 furlongs",
        "1 21",
        "3 *",
        "(1",
        "1/0",
        "--",
        "1 2 3/4",
        "NaN",
        "1e400"
      })
  void saysWhatWasExpected(String text) {
    assertThatThrownBy(() -> Notation.length(text, UnitSystem.METRIC))
        .isInstanceOf(NotationException.class)
        .satisfies(
            e ->
                assertThat(SAID.say((NotationException) e))
                    .contains("expected a length such as 42"));
  }

  @Test
  void namesMixedUnits() {
    assertThatThrownBy(() -> Notation.length("42 mm + 1 in", UnitSystem.METRIC))
        .satisfies(
            e ->
                assertThat(SAID.say((NotationException) e))
                    .isEqualTo("\"42 mm + 1 in\" mixes mm and in; use one unit"));
  }

  @Test
  void readsAnglesFlowsAndPressures() throws NotationException {
    assertThat(Notation.angle("44.5")).isEqualTo(44.5);
    assertThat(Notation.angle("45°")).isEqualTo(45);
    assertThat(Notation.angle("45 deg")).isEqualTo(45);
    assertThat(Notation.number("89 %")).isCloseTo(0.89, within(1e-12));
    // 1 cfm is 0.4719474432 l/s: 0.3048^3 m3 a minute.
    assertThat(Notation.flow("300 cfm", UnitSystem.METRIC)).isCloseTo(0.14158423296, within(1e-12));
    assertThat(Notation.flow("120", UnitSystem.METRIC)).isCloseTo(0.12, within(1e-12));
    assertThat(Notation.pressure("28 inH2O", UnitSystem.METRIC))
        .isCloseTo(6974.48948, within(1e-6));
    assertThat(Notation.pressure("7 kPa", UnitSystem.INCH)).isCloseTo(7000, within(1e-9));
  }

  @Test
  void aNewHeadOfTwoAndThreeQuarterInchesIsSeventyMillimetresNearly() throws NotationException {
    assertThat(Notation.length("2.75 in", UnitSystem.METRIC)).isCloseTo(69.85, within(1e-9));
  }

  @Property
  void whatIsPrintedIsReadBack(@ForAll @DoubleRange(min = 0.01, max = 200) double mm)
      throws NotationException {
    assertThat(Notation.length(UnitSystem.METRIC.lengthNumber(mm), UnitSystem.METRIC))
        .isCloseTo(mm, within(0.0005 + 1e-9));
    assertThat(Notation.length(UnitSystem.INCH.lengthNumber(mm), UnitSystem.INCH))
        .isCloseTo(mm, within(0.00127 + 1e-9));
    assertThat(Notation.length(UnitSystem.INCH.lengthNumber(mm) + " in", UnitSystem.METRIC))
        .isCloseTo(mm, within(0.00127 + 1e-9));
  }

  @Test
  void printsNumbersOfTheShop() {
    assertThat(UnitSystem.METRIC.lengthText(1.234)).isEqualTo("1.23 mm");
    assertThat(UnitSystem.INCH.lengthText(25.4)).isEqualTo("1.000 in");
    assertThat(UnitSystem.METRIC.lengthNumber(39.85)).isEqualTo("39.85");
    assertThat(UnitSystem.METRIC.lengthNumber(40)).isEqualTo("40");
    assertThat(UnitSystem.fixed(-0.001, 2)).isEqualTo("0.00");
    assertThat(UnitSystem.signed(2.345, 1)).isEqualTo("+2.3");
    assertThat(UnitSystem.signed(-2.345, 1)).isEqualTo("-2.3");
    assertThat(UnitSystem.signed(-0.01, 1)).isEqualTo("0.0");
    assertThat(UnitSystem.INCH.pressureText(6974.48948)).isEqualTo("28 inH2O");
    assertThat(UnitSystem.METRIC.flowText(0.0735)).isEqualTo("73.5 l/s");
  }

  @ParameterizedTest
  @CsvSource({
    "22, METRIC, 22",
    "72, INCH, 22.2222",
    "72 F, METRIC, 22.2222",
    "22 °C, INCH, 22",
    "-4 c, METRIC, -4",
    "(20+22)/2, METRIC, 21"
  })
  void readsTemperatures(String typed, UnitSystem system, double celsius) throws NotationException {
    assertThat(Notation.temperature(typed, system)).isCloseTo(celsius, within(1e-4));
    assertThat(system.temperatureToC(system.temperatureFrom(celsius)))
        .isCloseTo(celsius, within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "1013.25, METRIC, 101325",
    "29.92, INCH, 101320.76",
    "1013.25 mbar, INCH, 101325",
    "101.325 kPa, INCH, 101325",
    "29.92 inHg, METRIC, 101320.76"
  })
  void readsTheBarometer(String typed, UnitSystem system, double pa) throws NotationException {
    assertThat(Notation.barometer(typed, system)).isCloseTo(pa, within(0.01));
  }

  @Test
  void readsSpeedsAndRefusesNonsenseByName() throws NotationException {
    assertThat(Notation.speed("300 ft/s", UnitSystem.METRIC)).isCloseTo(91.44, within(1e-9));
    assertThat(Notation.speed("90", UnitSystem.METRIC)).isEqualTo(90);
    assertThatThrownBy(() -> Notation.temperature("warm", UnitSystem.METRIC))
        .satisfies(
            e ->
                assertThat(SAID.say((NotationException) e))
                    .isEqualTo(
                        "Cannot read \"warm\"; expected a temperature such as 22 C or 72 F"));
    assertThatThrownBy(() -> Notation.barometer("high", UnitSystem.METRIC))
        .satisfies(
            e ->
                assertThat(SAID.say((NotationException) e))
                    .contains("expected a room pressure such as 1013 hPa or 29.9 inHg"));
    assertThat(UnitSystem.INCH.barometerNumber(101_325)).isEqualTo("29.92");
    assertThat(UnitSystem.METRIC.barometerNumber(101_320)).isEqualTo("1013.2");
    assertThat(UnitSystem.INCH.temperatureNumber(20)).isEqualTo("68");
    assertThat(UnitSystem.METRIC.speedNumber(91.44)).isEqualTo("91.4");
  }
}
