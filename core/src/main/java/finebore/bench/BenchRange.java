package finebore.bench;

import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One range of a bench and what check plates told of it over time.
 *
 * @param name as on its selector
 * @param checks in order of their days
 */
public record BenchRange(String name, List<PlateCheck> checks) {

  /** A plate of 300 reading 300.6 is a good bench: past this it drifts; common practice. */
  public static final double DRIFT = 0.005;

  /** Air that has changed in density by more than this is other weather; common practice. */
  public static final double WEATHER = 0.01;

  /** Longest name, characters. */
  public static final int LONGEST_NAME = 40;

  /** A check older than this is to be made anew, days; common practice, no source. */
  public static final int OLD_DAYS = 90;

  public BenchRange {
    checks = checks.stream().sorted(Comparator.comparing(PlateCheck::date)).toList();
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw RuleViolation.of("rangeName").with("value", Term.count(name.length()));
    }
  }

  public BenchRange with(PlateCheck check) {
    List<PlateCheck> more = new ArrayList<>(checks);
    more.add(check);
    return new BenchRange(name, more);
  }

  /** The check that holds on a day: the last up to it, or the first after it. */
  public Optional<PlateCheck> checkFor(Optional<LocalDate> day) {
    return checks.stream()
        .filter(c -> day.isEmpty() || !c.date().isAfter(day.get()))
        .reduce((a, b) -> b)
        .or(() -> checks.stream().findFirst());
  }

  /** Flow of the whole range on a day, at the standard air, m3/s; empty without a check. */
  public OptionalDouble fullFlowM3s(Optional<LocalDate> day) {
    return checkFor(day)
        .map(c -> OptionalDouble.of(c.fullFlowM3s()))
        .orElse(OptionalDouble.empty());
  }

  /** Change of the range from the check before the last to the last, as a share. */
  public OptionalDouble drift() {
    if (checks.size() < 2) {
      return OptionalDouble.empty();
    }
    double before = checks.get(checks.size() - 2).fullFlowM3s();
    return OptionalDouble.of(checks.getLast().fullFlowM3s() / before - 1);
  }

  /** Why the range should be checked again before a test; empty when it need not be. */
  public Optional<Message> recheck(Optional<LocalDate> day, Optional<Air> air) {
    Optional<PlateCheck> check = checkFor(day);
    if (check.isEmpty()) {
      return Optional.of(why("never"));
    }
    if (air.isPresent() && check.get().air().isPresent()) {
      double change = air.get().densityKgM3() / check.get().air().get().densityKgM3() - 1;
      if (Math.abs(change) > WEATHER) {
        return Optional.of(
            why(change > 0 ? "denser" : "thinner").with("change", Term.share(Math.abs(change))));
      }
    }
    if (day.isPresent() && day.get().toEpochDay() - check.get().date().toEpochDay() > OLD_DAYS) {
      return Optional.of(why("old").with("day", Term.quote(check.get().date().toString())));
    }
    OptionalDouble drift = drift();
    if (drift.isPresent() && Math.abs(drift.getAsDouble()) > DRIFT) {
      return Optional.of(
          why(drift.getAsDouble() > 0 ? "driftedUp" : "driftedDown")
              .with("change", Term.share(Math.abs(drift.getAsDouble()))));
    }
    return Optional.empty();
  }

  private Message why(String reason) {
    return Message.of("recheck." + reason).with("range", Term.quote(name));
  }
}
