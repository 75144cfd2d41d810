package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.finding.Basis;
import finebore.study.ReadingKind;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class RangeTest {

  @Test
  void rangesHoldTheirEnds() {
    Range range = Samples.range(0.87, 0.9);
    assertThat(range.holds(0.87)).isTrue();
    assertThat(range.holds(0.9 + 1e-12)).isTrue();
    assertThat(range.holds(0.91)).isFalse();
    // A billionth is rounding, a little more is not.
    assertThat(range.holds(0.9 + 0.99e-9)).isTrue();
    assertThat(range.holds(0.9 + 1.02e-9)).isFalse();
    assertThatThrownBy(() -> Samples.range(2, 1)).hasMessageContaining("rangeRises");
  }

  @Test
  void noLimitIsNoLimit() {
    Range least = new Range(OptionalDouble.of(2), OptionalDouble.empty(), Basis.OWN_PRACTICE);
    assertThat(least.holds(1e9)).isTrue();
    assertThat(least.holds(1.99)).isFalse();
    assertThat(least.isAbove(1e9)).isFalse();
    assertThat(least.message(ReadingKind.WATER).code()).isEqualTo("range.atLeast");
    Range most = new Range(OptionalDouble.empty(), OptionalDouble.of(2), Basis.OWN_PRACTICE);
    assertThat(most.message(ReadingKind.WATER).code()).isEqualTo("range.atMost");
    assertThat(most.nearest(3)).isEqualTo(2);
    assertThatThrownBy(
            () -> new Range(OptionalDouble.empty(), OptionalDouble.empty(), Basis.OWN_PRACTICE))
        .hasMessageContaining("rangeNeedsLimit");
  }

  @Test
  void tellsTheLimitThatIsPassedAndByHowMuch() {
    Range range = Samples.range(0.87, 0.9);
    assertThat(range.isAbove(0.9)).isFalse();
    assertThat(range.isAbove(0.9001)).isTrue();
    assertThat(range.nearest(0.95)).isEqualTo(0.9);
    assertThat(range.nearest(0.8)).isEqualTo(0.87);
    assertThat(range.excess(0.95)).isCloseTo(0.05, within(1e-12));
    assertThat(range.excess(0.8)).isCloseTo(0.07, within(1e-12));
    assertThat(range.excess(0.88)).isNegative();
    assertThat(range.middle()).isCloseTo(0.885, within(1e-12));
    assertThat(range.message(ReadingKind.WATER).code()).isEqualTo("range.between");
    assertThat(range.message(ReadingKind.WATER).terms()).containsOnlyKeys("min", "max");
    Range least = new Range(OptionalDouble.of(2), OptionalDouble.empty(), Basis.GEOMETRY);
    assertThat(least.middle()).isEqualTo(2);
    assertThat(least.message(ReadingKind.WATER).terms()).containsOnlyKeys("min");
    Range most = new Range(OptionalDouble.empty(), OptionalDouble.of(3), Basis.GEOMETRY);
    assertThat(most.middle()).isEqualTo(3);
    assertThat(most.excess(2)).isEqualTo(-1);
    assertThat(most.message(ReadingKind.WATER).terms()).containsOnlyKeys("max");
    assertThat(Samples.range(2, 2).holds(2)).isTrue();
  }

  @Test
  void limitsThatTheShopHasSetRestOnItsOwnPractice() {
    assertThat(Range.own(OptionalDouble.empty(), OptionalDouble.empty())).isEmpty();
    Range own = Range.own(OptionalDouble.of(1), OptionalDouble.empty()).orElseThrow();
    assertThat(own.basis()).isEqualTo(Basis.OWN_PRACTICE);
    assertThat(Range.own(OptionalDouble.empty(), OptionalDouble.of(2))).isPresent();
    Range other = Range.of(0.87, 0.9, Basis.COMMON_PRACTICE).restingOn(Basis.GEOMETRY);
    assertThat(other).isEqualTo(Range.of(0.87, 0.9, Basis.GEOMETRY));
  }
}
