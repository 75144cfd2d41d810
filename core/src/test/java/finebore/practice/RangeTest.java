package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

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
}
