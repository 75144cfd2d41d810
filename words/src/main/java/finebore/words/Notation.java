package finebore.words;

import finebore.code.Message;
import finebore.code.Term;
import finebore.units.Dimension;
import finebore.units.Unit;
import java.util.Locale;
import java.util.Map;

/**
 * Reads numbers the way a shop writes them.
 *
 * <p>{@code 1.654}, {@code 42 mm}, {@code 60 thou}, {@code 1 21/32}, {@code 1 21/32"}, {@code
 * 0.89*42 mm}, {@code 42 + 0.5}, {@code (33.9+34.1)/2}; a decimal comma is taken as a decimal
 * point. A unit behind one number of an expression holds for the whole of it; without one the given
 * unit is meant.
 */
public final class Notation {

  private static final Map<String, Unit> LENGTHS =
      Map.of(
          "mm", Unit.MM, "cm", Unit.CM, "in", Unit.INCH, "inch", Unit.INCH, "\"", Unit.INCH, "thou",
          Unit.THOU, "th", Unit.THOU);
  private static final Map<String, Unit> FLOWS =
      Map.of("cfm", Unit.CFM, "l/s", Unit.LITRE_PER_SECOND, "m3/s", Unit.CUBIC_METRE_PER_SECOND);
  private static final Map<String, Unit> PRESSURES =
      Map.of(
          "pa",
          Unit.PASCAL_UNIT,
          "kpa",
          Unit.KILOPASCAL,
          "inh2o",
          Unit.INCH_OF_WATER,
          "in h2o",
          Unit.INCH_OF_WATER,
          "in",
          Unit.INCH_OF_WATER);
  private static final Map<String, Unit> BAROMETERS =
      Map.of(
          "hpa",
          Unit.HECTOPASCAL,
          "mbar",
          Unit.HECTOPASCAL,
          "kpa",
          Unit.KILOPASCAL,
          "pa",
          Unit.PASCAL_UNIT,
          "inhg",
          Unit.INCH_OF_MERCURY,
          "in",
          Unit.INCH_OF_MERCURY);
  private static final Map<String, Unit> SPEEDS =
      Map.of("m/s", Unit.METRE_PER_SECOND, "ft/s", Unit.FOOT_PER_SECOND);

  private Notation() {}

  /**
   * A length.
   *
   * @param text as typed
   * @param system whose unit is meant when none is written
   * @return mm
   * @throws NotationException if it cannot be understood
   */
  public static double length(String text, UnitSystem system) throws NotationException {
    return new Reader(text, LENGTHS, system == UnitSystem.METRIC ? "length.mm" : "length.inch")
        .read(system.length());
  }

  /** A flow in m3/s. */
  public static double flow(String text, UnitSystem system) throws NotationException {
    return new Reader(text, FLOWS, "flow").read(system.flow());
  }

  /** A pressure in Pa. */
  public static double pressure(String text, UnitSystem system) throws NotationException {
    return new Reader(text, PRESSURES, "pressure").read(system.pressure());
  }

  /** Pressure of the room in Pa. */
  public static double barometer(String text, UnitSystem system) throws NotationException {
    return new Reader(text, BAROMETERS, "barometer").read(system.barometer());
  }

  /** A speed in m/s. */
  public static double speed(String text, UnitSystem system) throws NotationException {
    return new Reader(text, SPEEDS, "speed").read(system.speed());
  }

  /** A temperature in degrees C: {@code 22}, {@code 22 C}, {@code 72 F}, {@code 72 °F}. */
  public static double temperature(String text, UnitSystem system) throws NotationException {
    String bare = text.strip();
    String number = bare.replaceAll("(?i)\\s*°?\\s*[cf]$", "");
    UnitSystem meant =
        number.equals(bare)
            ? system
            : bare.toLowerCase(Locale.ROOT).endsWith("f") ? UnitSystem.INCH : UnitSystem.METRIC;
    return meant.temperatureToC(new Reader(number, Map.of(), "temperature").read(null));
  }

  /** An angle in degrees: {@code 45}, {@code 44.5}, {@code 45 deg}, {@code 45°}. */
  public static double angle(String text) throws NotationException {
    String bare = text.strip().replaceAll("(?i)\\s*(°|deg)$", "");
    return new Reader(bare, Map.of(), "angle").read(null);
  }

  /** A bare number, for counts and ratios; a percent sign divides by 100. */
  public static double number(String text) throws NotationException {
    String bare = text.strip();
    boolean percent = bare.endsWith("%");
    double value =
        new Reader(percent ? bare.substring(0, bare.length() - 1) : bare, Map.of(), "number")
            .read(null);
    return percent ? value / 100 : value;
  }

  /** A number of a dimension, in the core's unit. */
  public static double read(Dimension dimension, String text, UnitSystem system)
      throws NotationException {
    return switch (dimension) {
      case LENGTH, FINE_LENGTH -> length(text, system);
      case ANGLE, CRANK -> angle(text);
      case FLOW -> flow(text, system);
      case PRESSURE -> pressure(text, system);
      case BAROMETER -> barometer(text, system);
      case SPEED -> speed(text, system);
      case TEMPERATURE -> temperature(text, system);
      case SHARE -> share(text);
      case VOLUME -> 1000 * number(text);
      case MINUTES -> number(text.strip().replaceAll("(?i)\\s*min$", ""));
      case SECONDS -> number(text.strip().replaceAll("(?i)\\s*s$", ""));
      case AREA -> system.length().toBase(system.length().toBase(number(text)));
      case CLOCK, RATIO, COUNT, CAPACITY, PERCENT, TURNS, POWER, MONEY -> number(text);
    };
  }

  /**
   * A share: "89" and "89 %" are the same, and so is "0.89", for no share is below 1.5 per cent.
   */
  private static double share(String text) throws NotationException {
    double value = number(text);
    boolean inPercent = !text.contains("%") && Math.abs(value) >= 1.5;
    return inPercent ? value / 100 : value;
  }

  /** One pass over the text; unit symbols are noted where they stand. */
  private static final class Reader {
    private final String source;
    private final String text;
    private final Map<String, Unit> units;
    private final String expected;
    private int at;
    private Unit seen;

    Reader(String source, Map<String, Unit> units, String expected) {
      this.source = source;
      this.text =
          source
              .strip()
              .toLowerCase(Locale.ROOT)
              .replace(',', '.')
              .replace('×', '*')
              .replace('″', '"');
      this.units = units;
      this.expected = expected;
    }

    double read(Unit assumed) throws NotationException {
      double value = sum();
      if (at < text.length() || !Double.isFinite(value)) {
        throw notUnderstood();
      }
      Unit unit = seen != null ? seen : assumed;
      return unit == null ? value : unit.toBase(value);
    }

    private double sum() throws NotationException {
      double value = product();
      while (true) {
        skipSpace();
        if (take('+')) {
          value += product();
        } else if (take('-')) {
          value -= product();
        } else {
          return value;
        }
      }
    }

    private double product() throws NotationException {
      double value = factor();
      while (true) {
        skipSpace();
        if (take('*')) {
          value *= factor();
        } else if (take('/')) {
          value /= factor();
        } else {
          return value;
        }
      }
    }

    private double factor() throws NotationException {
      skipSpace();
      if (take('-')) {
        return -factor();
      }
      if (take('(')) {
        double value = sum();
        skipSpace();
        if (!take(')')) {
          throw notUnderstood();
        }
        unit();
        return value;
      }
      double value = number();
      int mark = at;
      skipSpace();
      if (at > mark && at < text.length() && Character.isDigit(text.charAt(at))) {
        value += fraction();
      }
      unit();
      return value;
    }

    /** The fraction of "1 21/32". */
    private double fraction() throws NotationException {
      double top = number();
      skipSpace();
      if (!take('/')) {
        throw notUnderstood();
      }
      skipSpace();
      return top / number();
    }

    private double number() throws NotationException {
      int start = at;
      while (at < text.length() && (Character.isDigit(text.charAt(at)) || text.charAt(at) == '.')) {
        at++;
      }
      try {
        return Double.parseDouble(text.substring(start, at));
      } catch (NumberFormatException e) {
        throw notUnderstood();
      }
    }

    private void unit() throws NotationException {
      int mark = at;
      skipSpace();
      String found = "";
      for (String symbol : units.keySet()) {
        if (symbol.length() > found.length() && text.startsWith(symbol, at)) {
          found = symbol;
        }
      }
      if (found.isEmpty()) {
        at = mark;
        return;
      }
      Unit unit = units.get(found);
      if (seen != null && seen != unit) {
        throw new NotationException(
            Message.of("notation.mixed")
                .with("text", Term.quote(source.strip()))
                .with("first", Term.quote(seen.symbol()))
                .with("second", Term.quote(unit.symbol())));
      }
      seen = unit;
      at += found.length();
    }

    private void skipSpace() {
      while (at < text.length() && Character.isWhitespace(text.charAt(at))) {
        at++;
      }
    }

    private boolean take(char c) {
      if (at < text.length() && text.charAt(at) == c) {
        at++;
        return true;
      }
      return false;
    }

    private NotationException notUnderstood() {
      return unread(source, "notation." + expected);
    }
  }

  /** A text that cannot be read, and what was expected instead. */
  public static NotationException unread(String text, String expected) {
    return new NotationException(
        Message.of("notation.unread")
            .with(
                "text",
                text.isBlank()
                    ? Term.phrase(Message.of("notation.nothing"))
                    : Term.quote("\"" + text.strip() + "\""))
            .with("example", Term.phrase(Message.of(expected))));
  }
}
