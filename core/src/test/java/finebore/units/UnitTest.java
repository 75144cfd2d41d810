package finebore.units;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Factors of the shop's units: NIST Special Publication 811, appendix B.8, from memory. */
class UnitTest {

  @ParameterizedTest
  @CsvSource({
    "MM, 3.5, 3.5",
    "CM, 3.5, 35",
    "INCH, 1, 25.4",
    "THOU, 40, 1.016",
    "CUBIC_METRE_PER_SECOND, 0.1, 0.1",
    "LITRE_PER_SECOND, 100, 0.1",
    "CFM, 1, 4.719474e-4",
    "PASCAL_UNIT, 12, 12",
    "KILOPASCAL, 7, 7000",
    "INCH_OF_WATER, 1, 249.0889",
    "INCH_OF_WATER, 28, 6974.489",
    "HECTOPASCAL, 1013.25, 101325",
    "INCH_OF_MERCURY, 1, 3386.389",
    "METRE_PER_SECOND, 8, 8",
    "FOOT_PER_SECOND, 100, 30.48",
    "CELSIUS, -40, -40",
    "FAHRENHEIT, -40, -40",
    "FAHRENHEIT, 68, 20",
    "FAHRENHEIT, 212, 100"
  })
  void comesToAsMuchInTheCoresUnit(Unit unit, double value, double base) {
    assertThat(unit.toBase(value)).isCloseTo(base, within(1e-6 * Math.abs(base)));
    assertThat(unit.fromBase(base)).isCloseTo(value, within(1e-6 * Math.abs(value)));
  }

  @ParameterizedTest
  @EnumSource(Unit.class)
  void goesThereAndBack(Unit unit) {
    for (double value : new double[] {-17.25, 0, 0.001, 3, 1234.5}) {
      assertThat(unit.fromBase(unit.toBase(value))).isCloseTo(value, within(1e-9));
    }
  }

  /** What a file without a unit means is the core's own. */
  @ParameterizedTest
  @EnumSource(Dimension.class)
  void theCoresOwnUnitComesFirst(Dimension dimension) {
    List<Unit> units = Unit.of(dimension);
    if (!units.isEmpty()) {
      assertThat(units.getFirst().toBase(7.25)).isEqualTo(7.25);
      assertThat(units.getFirst().symbol()).isEqualTo(dimension.unit());
    }
    assertThat(units.stream().map(Unit::symbol)).doesNotHaveDuplicates();
  }

  @Test
  void thousandthsAreLengthsToo() {
    assertThat(Unit.of(Dimension.FINE_LENGTH)).isEqualTo(Unit.of(Dimension.LENGTH));
    assertThat(Unit.of(Dimension.LENGTH)).contains(Unit.INCH, Unit.THOU).doesNotContain(Unit.CFM);
    assertThat(Unit.of(Dimension.ANGLE)).isEmpty();
    assertThat(Unit.of(Dimension.PRESSURE)).doesNotContain(Unit.INCH_OF_MERCURY);
    assertThat(Unit.of(Dimension.BAROMETER)).contains(Unit.INCH_OF_MERCURY);
  }

  @Test
  void jobsAreShownInOneOfTwo() {
    assertThat(Units.of("mm")).contains(Units.MM);
    assertThat(Units.of("inch")).contains(Units.INCH);
    assertThat(Units.of("cubit")).isEmpty();
    assertThat(Units.MM.other()).isEqualTo(Units.INCH);
    assertThat(Units.INCH.other()).isEqualTo(Units.MM);
    assertThat(Units.of(Units.INCH.key())).contains(Units.INCH);
  }
}
