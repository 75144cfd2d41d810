package finebore.words;

import finebore.units.Dimension;
import finebore.units.Unit;
import finebore.units.Units;
import java.util.Locale;

/** The two ways a shop writes its numbers. */
public enum UnitSystem {
  /** Millimetres, litres per second, kilopascals. */
  METRIC(Unit.MM, 3, 2, Unit.LITRE_PER_SECOND, Unit.KILOPASCAL, 0.01, Unit.HECTOPASCAL, 1) {
    @Override
    public Unit speed() {
      return Unit.METRE_PER_SECOND;
    }

    @Override
    public double temperatureFrom(double celsius) {
      return celsius;
    }

    @Override
    public double temperatureToC(double shown) {
      return shown;
    }

    @Override
    public String temperatureUnit() {
      return "°C";
    }
  },
  /** Inches, cubic feet per minute, inches of water. */
  INCH(Unit.INCH, 4, 3, Unit.CFM, Unit.INCH_OF_WATER, 0.0127, Unit.INCH_OF_MERCURY, 2) {
    @Override
    public Unit speed() {
      return Unit.FOOT_PER_SECOND;
    }

    @Override
    public double temperatureFrom(double celsius) {
      return celsius * 9 / 5 + 32;
    }

    @Override
    public double temperatureToC(double shown) {
      return (shown - 32) * 5 / 9;
    }

    @Override
    public String temperatureUnit() {
      return "°F";
    }
  };

  /** The system that a job's units stand for. */
  public static UnitSystem of(Units units) {
    return units == Units.MM ? METRIC : INCH;
  }

  private final Unit length;
  private final int lengthDigits;
  private final int shortDigits;
  private final Unit flow;
  private final Unit pressure;
  private final double nudgeMm;
  private final Unit barometer;
  private final int barometerDigits;

  UnitSystem(
      Unit length,
      int lengthDigits,
      int shortDigits,
      Unit flow,
      Unit pressure,
      double nudgeMm,
      Unit barometer,
      int barometerDigits) {
    this.length = length;
    this.lengthDigits = lengthDigits;
    this.shortDigits = shortDigits;
    this.flow = flow;
    this.pressure = pressure;
    this.nudgeMm = nudgeMm;
    this.barometer = barometer;
    this.barometerDigits = barometerDigits;
  }

  /** Unit of air speeds. */
  public abstract Unit speed();

  /** Degrees C as the system shows them. */
  public abstract double temperatureFrom(double celsius);

  /** What the system shows in degrees C. */
  public abstract double temperatureToC(double shown);

  /** As printed behind a temperature. */
  public abstract String temperatureUnit();

  /** Unit of the room's pressure. */
  public Unit barometer() {
    return barometer;
  }

  /** The room's pressure as a number, without a unit. */
  public String barometerNumber(double pa) {
    return trimmed(barometer.fromBase(pa), barometerDigits);
  }

  /** A temperature to a tenth of a degree, without a unit. */
  public String temperatureNumber(double celsius) {
    return trimmed(temperatureFrom(celsius), 1);
  }

  /** A speed in m/s, to a tenth, without a unit. */
  public String speedNumber(double metresPerSecond) {
    return trimmed(speed().fromBase(metresPerSecond), 1);
  }

  public Unit length() {
    return length;
  }

  public Unit flow() {
    return flow;
  }

  public Unit pressure() {
    return pressure;
  }

  /** The smallest step of a nudge key: 0.01 mm or 0.0005 in, in mm. */
  public double nudgeMm() {
    return nudgeMm;
  }

  /** An area in mm2 in the square of the system's length. */
  private double areaFrom(double mm2) {
    return length.fromBase(length.fromBase(mm2));
  }

  /** A length for an entry field: to the micrometre or tenth of a thou, without a unit. */
  public String lengthNumber(double mm) {
    return trimmed(length.fromBase(mm), lengthDigits);
  }

  /** A length to read at a glance: hundredths of a mm or thou, without a unit. */
  public String shortLength(double mm) {
    return fixed(length.fromBase(mm), shortDigits);
  }

  /** A length to read at a glance, with its unit. */
  public String lengthText(double mm) {
    return shortLength(mm) + " " + length.symbol();
  }

  /** A volume flow in m3/s as a number to one decimal, without a unit. */
  public String flowNumber(double m3PerS) {
    return fixed(flow.fromBase(m3PerS), 1);
  }

  public String flowText(double m3PerS) {
    return flowNumber(m3PerS) + " " + flow.symbol();
  }

  /** A pressure to two decimals, without a unit. */
  public String pressureNumber(double pa) {
    return trimmed(pressure.fromBase(pa), 2);
  }

  public String pressureText(double pa) {
    return pressureNumber(pa) + " " + pressure.symbol();
  }

  /** A number with a fixed count of decimals; never "-0.00". */
  public static String fixed(double value, int digits) {
    String text = String.format(Locale.ROOT, "%." + digits + "f", value);
    boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
    return zero && text.startsWith("-") ? text.substring(1) : text;
  }

  /** A number with a fixed count of decimals and always a sign, save for a plain zero. */
  public static String signed(double value, int digits) {
    String text = fixed(value, digits);
    boolean zero = text.chars().noneMatch(c -> c >= '1' && c <= '9');
    return zero || text.startsWith("-") ? text : "+" + text;
  }

  private static String trimmed(double value, int digits) {
    String text = fixed(value, digits);
    return text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
  }

  /** A number of a dimension for an entry field: without its unit, to the digits one can set. */
  public String entry(Dimension dimension, double value) {
    return switch (dimension) {
      case LENGTH, FINE_LENGTH -> lengthNumber(value);
      case FLOW -> trimmed(flow.fromBase(value), this == INCH ? 1 : 2);
      case PRESSURE -> pressureNumber(value);
      case BAROMETER -> barometerNumber(value);
      case TEMPERATURE -> temperatureNumber(value);
      case SPEED -> speedNumber(value);
      case SHARE -> trimmed(100 * value, 2);
      case VOLUME -> trimmed(value / 1000, 3);
      case AREA -> trimmed(areaFrom(value), this == INCH ? 4 : 2);
      case ANGLE, CLOCK, RATIO, CAPACITY, PERCENT, POWER, CRANK, MINUTES, SECONDS, MONEY ->
          trimmed(value, 2);
      case COUNT, TURNS -> trimmed(value, 0);
    };
  }

  /** The unit behind a number of a dimension; nothing where it has none. */
  public String unit(Dimension dimension) {
    return switch (dimension) {
      case LENGTH, FINE_LENGTH -> length.symbol();
      case ANGLE, CRANK -> "°";
      case CLOCK -> "h";
      case FLOW -> flow.symbol();
      case PRESSURE -> pressure.symbol();
      case BAROMETER -> barometer.symbol();
      case TEMPERATURE -> temperatureUnit();
      case SPEED -> speed().symbol();
      case SHARE, PERCENT -> "%";
      case AREA -> length.symbol() + "²";
      case VOLUME, CAPACITY -> "cm³";
      case TURNS -> "rpm";
      case POWER -> "hp";
      case MINUTES -> "min";
      case SECONDS -> "s";
      case RATIO, COUNT, MONEY -> "";
    };
  }

  /** A number of a dimension to read at a glance, with its unit. */
  public String text(Dimension dimension, double value) {
    String number =
        switch (dimension) {
          case LENGTH -> shortLength(value);
          case FINE_LENGTH -> fixed(length.fromBase(value), this == INCH ? 4 : 3);
          case FLOW -> flowNumber(value);
          case SHARE -> fixed(100 * value, 1);
          case RATIO, CAPACITY, MONEY -> fixed(value, 2);
          case MINUTES -> fixed(value, 0);
          case SECONDS -> fixed(value, 1);
          case VOLUME -> fixed(value / 1000, Math.abs(value) < 100 ? 3 : 2);
          case AREA -> fixed(areaFrom(value), this == INCH ? 3 : 0);
          case PERCENT -> fixed(value, 1);
          default -> entry(dimension, value);
        };
    String unit = unit(dimension);
    boolean close = dimension == Dimension.ANGLE || dimension == Dimension.CRANK || unit.isEmpty();
    return number + (close ? "" : " ") + unit;
  }

  /** The smallest step of a nudge key for a dimension, in the core's unit. */
  public double nudge(Dimension dimension, double value) {
    return switch (dimension) {
      case LENGTH -> nudgeMm;
      case FINE_LENGTH -> nudgeMm / 10;
      case ANGLE, CLOCK, CRANK -> 0.5;
      case PRESSURE -> pressure.toBase(0.1);
      case BAROMETER -> barometer.toBase(0.1);
      case FLOW -> flow.toBase(0.1);
      case SHARE -> 0.001;
      case TURNS -> 50;
      case VOLUME -> 10;
      case TEMPERATURE, SPEED, CAPACITY, PERCENT -> 0.1;
      case RATIO -> 0.01;
      case AREA -> this == INCH ? length.toBase(length.toBase(0.001)) : 1;
      case COUNT, POWER, MINUTES, MONEY -> 1;
      case SECONDS -> 0.5;
    };
  }
}
