package finebore.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.code.RuleViolation;
import finebore.code.Term;
import java.util.Arrays;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class QuantityTest {

  @ParameterizedTest
  @EnumSource(Quantity.class)
  void letsPassWhatLiesWithinItsBoundsAndNamesTheRest(Quantity quantity) {
    double step = 1e-6 * Math.max(1, quantity.max() - quantity.min());
    assertThat(quantity.check(quantity.min())).isEqualTo(quantity.min());
    assertThat(quantity.check(quantity.max())).isEqualTo(quantity.max());
    assertThat(quantity.allows(quantity.min())).isTrue();
    assertThat(quantity.allows(quantity.max())).isTrue();
    for (double wrong : new double[] {quantity.min() - step, quantity.max() + step, Double.NaN}) {
      assertThat(quantity.allows(wrong)).isFalse();
      assertThatThrownBy(() -> quantity.check(wrong))
          .isInstanceOfSatisfying(
              RuleViolation.class,
              e ->
                  assertThat(e.violated().terms())
                      .containsEntry("quantity", Term.name(quantity))
                      .containsEntry("value", new Term.Figure(quantity.dimension(), wrong))
                      .containsEntry("min", new Term.Figure(quantity.dimension(), quantity.min()))
                      .containsEntry("max", new Term.Figure(quantity.dimension(), quantity.max())));
    }
    assertThat(quantity.code()).isEqualTo("quantity." + quantity.key());
  }

  @Test
  void keysTellThemApart() {
    assertThat(Arrays.stream(Quantity.values()).map(Quantity::key)).doesNotHaveDuplicates();
  }

  @Test
  void nothingSetIsNothingWrong() {
    assertThat(Quantity.THROAT.check(OptionalDouble.empty())).isEmpty();
    assertThat(Quantity.THROAT.check(OptionalDouble.of(34))).hasValue(34);
    assertThatThrownBy(() -> Quantity.THROAT.check(OptionalDouble.of(1)))
        .hasMessageContaining("quantity.throat");
  }

  /** A thing with one number that may be missing. */
  private record Thing(OptionalDouble mm) {}

  @Test
  void aSettingReadsChangesAndRefuses() {
    Setting<Thing> optional =
        Setting.optional("throatMm", "x", Quantity.THROAT, Thing::mm, (t, v) -> new Thing(v));
    Thing none = new Thing(OptionalDouble.empty());
    assertThat(optional.of(none)).isEmpty();
    assertThat(optional.of(optional.on(none, OptionalDouble.of(35.5)))).hasValue(35.5);
    assertThatThrownBy(() -> optional.on(none, OptionalDouble.of(201)))
        .isInstanceOf(RuleViolation.class);
    assertThat(optional.empty()).isEqualTo(Setting.Empty.UNKNOWN);
    Setting<Thing> number =
        Setting.number(
            "throatMm",
            "x",
            Quantity.THROAT,
            t -> t.mm().orElse(0),
            (t, v) -> new Thing(OptionalDouble.of(v)));
    assertThat(number.empty()).isEqualTo(Setting.Empty.NEVER);
    assertThat(number.on(none, OptionalDouble.of(36)).mm()).hasValue(36);
    assertThat(number.named("other").id()).isEqualTo("other");
    assertThat(number.named("other").of(new Thing(OptionalDouble.of(33)))).hasValue(33);
    Setting<Thing> following =
        Setting.following("throatMm", "x", Quantity.THROAT, Thing::mm, (t, v) -> new Thing(v));
    assertThat(following.empty()).isEqualTo(Setting.Empty.FOLLOWS);
    assertThat(following.on(new Thing(OptionalDouble.of(33)), OptionalDouble.empty()).mm())
        .isEmpty();
  }
}
