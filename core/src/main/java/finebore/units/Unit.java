package finebore.units;

import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.SECOND;

import java.util.List;
import javax.measure.MetricPrefix;

/**
 * The units of the shop, each with its factor to the unit the program computes in: mm, m3/s, Pa,
 * m/s.
 *
 * <p>Factors come from JSR-385 definitions: the inch is 25.4 mm by definition, the conventional
 * inch of water 249.08891 Pa and of mercury 3386.389 Pa (NIST Special Publication 811, appendix
 * B.8, from memory).
 */
public enum Unit {
  MM("mm", MetricPrefix.MILLI(METRE), MetricPrefix.MILLI(METRE)),
  CM("cm", MetricPrefix.CENTI(METRE), MetricPrefix.MILLI(METRE)),
  INCH("in", METRE.multiply(0.0254), MetricPrefix.MILLI(METRE)),
  THOU("thou", METRE.multiply(0.0000254), MetricPrefix.MILLI(METRE)),
  CUBIC_METRE_PER_SECOND("m3/s", CUBIC_METRE.divide(SECOND), CUBIC_METRE.divide(SECOND)),
  LITRE_PER_SECOND("l/s", LITRE.divide(SECOND), CUBIC_METRE.divide(SECOND)),
  CFM("cfm", CUBIC_METRE.multiply(0.028316846592).divide(MINUTE), CUBIC_METRE.divide(SECOND)),
  PASCAL_UNIT("Pa", PASCAL, PASCAL),
  KILOPASCAL("kPa", MetricPrefix.KILO(PASCAL), PASCAL),
  INCH_OF_WATER("inH2O", PASCAL.multiply(249.08891), PASCAL),
  HECTOPASCAL("hPa", MetricPrefix.HECTO(PASCAL), PASCAL),
  INCH_OF_MERCURY("inHg", PASCAL.multiply(3386.389), PASCAL),
  METRE_PER_SECOND("m/s", METRE.divide(SECOND), METRE.divide(SECOND)),
  FOOT_PER_SECOND("ft/s", METRE.multiply(0.3048).divide(SECOND), METRE.divide(SECOND)),
  CELSIUS("C", 1, 0),
  FAHRENHEIT("F", 5.0 / 9, 32);

  private final String symbol;
  private final double toBase;
  private final double zero;

  Unit(String symbol, double toBase, double zero) {
    this.symbol = symbol;
    this.toBase = toBase;
    this.zero = zero;
  }

  Unit(String symbol, javax.measure.Unit<?> unit, javax.measure.Unit<?> base) {
    this.symbol = symbol;
    this.toBase = factor(unit, base);
    this.zero = 0;
  }

  private static double factor(javax.measure.Unit<?> unit, javax.measure.Unit<?> base) {
    try {
      return unit.getConverterToAny(base).convert(1.0);
    } catch (javax.measure.IncommensurableException e) {
      throw new IllegalStateException(unit.toString(), e);
    }
  }

  /** As printed behind a number. */
  public String symbol() {
    return symbol;
  }

  /** A number of this unit in the core unit. */
  public double toBase(double value) {
    return (value - zero) * toBase;
  }

  /** A number of the core unit in this unit. */
  public double fromBase(double base) {
    return base / toBase + zero;
  }

  /** The units a dimension may be written in, the core's own first; none where it has no unit. */
  public static List<Unit> of(Dimension dimension) {
    return switch (dimension) {
      case LENGTH, FINE_LENGTH -> List.of(MM, CM, INCH, THOU);
      case FLOW -> List.of(CUBIC_METRE_PER_SECOND, LITRE_PER_SECOND, CFM);
      case PRESSURE -> List.of(PASCAL_UNIT, KILOPASCAL, INCH_OF_WATER);
      case BAROMETER -> List.of(PASCAL_UNIT, HECTOPASCAL, KILOPASCAL, INCH_OF_MERCURY);
      case SPEED -> List.of(METRE_PER_SECOND, FOOT_PER_SECOND);
      case TEMPERATURE -> List.of(CELSIUS, FAHRENHEIT);
      default -> List.of();
    };
  }
}
