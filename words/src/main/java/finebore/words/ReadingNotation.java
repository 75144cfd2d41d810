package finebore.words;

import finebore.bench.BenchReading;
import finebore.code.RuleViolation;
import finebore.units.Unit;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Readings the way they are typed: {@code 101.2}, {@code 48 l/s}, {@code 63.2 % 3} for 63.2 % of
 * range 3, and repeats with a semicolon between them.
 */
public final class ReadingNotation {

  private static final Pattern PERCENT = Pattern.compile("^(.*?)%\\s*(?:of\\s*)?(\\S.*)$");

  private ReadingNotation() {}

  /**
   * Reads what was typed into a cell; nothing is no reading.
   *
   * @param before readings that stood there: one that is typed the same keeps what came with it
   * @throws NotationException if it cannot be understood
   * @throws RuleViolation if it cannot be
   */
  public static List<BenchReading> read(String typed, UnitSystem units, List<BenchReading> before)
      throws NotationException {
    List<BenchReading> readings = new ArrayList<>();
    for (String one : typed.split(";")) {
      if (one.isBlank()) {
        continue;
      }
      int at = readings.size();
      boolean same = at < before.size() && text(before.get(at), units).equals(one.strip());
      readings.add(same ? before.get(at) : usual(read(one, units)));
    }
    return readings;
  }

  /** A bench may say what it likes; a hand that types it has slipped. */
  private static BenchReading usual(BenchReading typed) {
    typed
        .oddity()
        .ifPresent(
            o -> {
              throw new RuleViolation(o);
            });
    return typed;
  }

  private static BenchReading read(String one, UnitSystem units) throws NotationException {
    if (one.contains("%")) {
      Matcher parts = PERCENT.matcher(one.strip());
      if (!parts.matches()) {
        throw Notation.unread(one, "notation.range");
      }
      return BenchReading.percent(Notation.number(parts.group(1)), parts.group(2).strip());
    }
    return BenchReading.flow(Notation.flow(one, units));
  }

  /** One reading as it would be typed. */
  public static String text(BenchReading reading, UnitSystem units) {
    return reading
        .range()
        .map(range -> plain(reading.value(), 2) + " % " + range)
        .orElseGet(() -> plain(units.flow().fromBase(reading.value()), digits(units)));
  }

  /** A tenth of a cfm is less than a tenth of a l/s. */
  private static int digits(UnitSystem units) {
    return units.flow() == Unit.CFM ? 1 : 2;
  }

  /** Readings as they would be typed. */
  public static String text(List<BenchReading> readings, UnitSystem units) {
    return readings.stream().map(r -> text(r, units)).collect(Collectors.joining("; "));
  }

  private static String plain(double value, int digits) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(digits, RoundingMode.HALF_EVEN);
    return (rounded.signum() == 0 ? BigDecimal.ZERO : rounded.stripTrailingZeros()).toPlainString();
  }
}
