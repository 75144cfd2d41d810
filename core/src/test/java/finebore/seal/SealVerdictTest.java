package finebore.seal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.code.RuleViolation;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Oil tells a guide from a seat; each verdict just inside and just outside its limit. */
class SealVerdictTest {

  private static final SealLimits LIMITS = new SealLimits(68_000, 5, 0.05);

  private static Optional<VacuumReading> held(Double pa) {
    return pa == null
        ? Optional.empty()
        : Optional.of(new VacuumReading(pa, OptionalDouble.empty(), VacuumReading.STANDARD_PA));
  }

  @ParameterizedTest
  @CsvSource({
    ", , NOT_TESTED",
    "68000, , SEALS",
    "67999, , OIL_AND_REPEAT",
    "67999, 68000, GUIDE",
    ", 68000, SEALS",
    ", 67999, SEAT_AT_LEAST",
    "50000, 51500, SEAT",
    "50000, 51501, BOTH",
    "50000, 67999, BOTH",
    "50000, 48500, SEAT",
    "50000, 48499, REPEAT_BOTH",
    "70000, 67899, REPEAT_BOTH"
  })
  void tellsGuideFromSeat(Double dry, Double oiled, SealVerdict verdict) {
    assertThat(SealVerdict.of(held(dry), held(oiled), LIMITS, List.of())).isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({"73600, SEALS", "73599, WEAKER_THAN_OTHERS"})
  void standsOutAmongTheOthers(double own, SealVerdict verdict) {
    List<VacuumReading> others =
        Stream.of(79_000.0, 80_000.0, 84_000.0).flatMap(pa -> held(pa).stream()).toList();
    assertThat(SealVerdict.of(held(own), Optional.empty(), LIMITS, others)).isEqualTo(verdict);
    // Two others say nothing of what is usual.
    assertThat(SealVerdict.of(held(own), Optional.empty(), LIMITS, others.subList(0, 2)))
        .isEqualTo(SealVerdict.SEALS);
  }

  /** At 900 hPa a pump holds less against the same leak: 68000 x 900 / 1013.25 = 60399 Pa. */
  @Test
  void theRoomIsAllowedFor() {
    VacuumReading enough = new VacuumReading(60_401, OptionalDouble.empty(), 90_000);
    VacuumReading tooLittle = new VacuumReading(60_397, OptionalDouble.empty(), 90_000);
    assertThat(LIMITS.allows(enough)).isTrue();
    assertThat(LIMITS.allows(tooLittle)).isFalse();
    assertThat(enough.atStandardPa()).isCloseTo(68_001.5, org.assertj.core.data.Offset.offset(1.0));
  }

  @Test
  void whatFallsTooSoonDoesNotSeal() {
    assertThat(LIMITS.allows(new VacuumReading(80_000, OptionalDouble.of(5), 101_325))).isTrue();
    assertThat(LIMITS.allows(new VacuumReading(80_000, OptionalDouble.of(4.9), 101_325))).isFalse();
  }

  @Test
  void whatCannotBeIsRefused() {
    assertThatThrownBy(() -> new VacuumReading(-1, OptionalDouble.empty(), 101_325))
        .isInstanceOf(RuleViolation.class);
    assertThatThrownBy(() -> new VacuumReading(1, OptionalDouble.of(601), 101_325))
        .isInstanceOf(RuleViolation.class);
    assertThatThrownBy(() -> new VacuumReading(1, OptionalDouble.empty(), 20_000))
        .isInstanceOf(RuleViolation.class);
  }

  @Test
  void whichMayLeaveTheShop() {
    assertThat(Stream.of(SealVerdict.values()).filter(SealVerdict::isGood))
        .containsExactly(SealVerdict.SEALS, SealVerdict.GUIDE, SealVerdict.WEAKER_THAN_OTHERS);
  }
}
