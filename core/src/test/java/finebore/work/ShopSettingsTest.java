package finebore.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.code.RuleViolation;
import java.util.Arrays;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a shop sets for itself, and the names things have in files. */
class ShopSettingsTest {

  private static final ShopSettings SHOP =
      ShopSettings.USUAL
          .with(ShopFigure.LEAST_VACUUM, OptionalDouble.of(61_000))
          .withEach(StepKind.FORM, OptionalDouble.of(7))
          .withSetUp(StepKind.FORM, OptionalDouble.of(11));

  @Test
  void whatIsSetCountsUntilItIsTakenBack() {
    assertThat(SHOP.value(ShopFigure.LEAST_VACUUM)).isEqualTo(61_000);
    assertThat(SHOP.value(ShopFigure.MOST_RUNOUT)).isEqualTo(ShopFigure.MOST_RUNOUT.usual());
    assertThat(SHOP.eachMinutes(StepKind.FORM)).isEqualTo(7);
    assertThat(SHOP.setUpMinutes(StepKind.FORM)).isEqualTo(11);
    assertThat(SHOP.eachMinutes(StepKind.THROAT)).isEqualTo(StepKind.THROAT.eachMinutes());
    // One more beside what is set already.
    ShopSettings more = SHOP.with(ShopFigure.MOST_RUNOUT, OptionalDouble.of(0.02));
    assertThat(more.value(ShopFigure.LEAST_VACUUM)).isEqualTo(61_000);
    assertThat(more.sealLimits().mostRunoutMm()).isEqualTo(0.02);
    ShopSettings back =
        SHOP.with(ShopFigure.LEAST_VACUUM, OptionalDouble.empty())
            .withEach(StepKind.FORM, OptionalDouble.empty())
            .withSetUp(StepKind.FORM, OptionalDouble.empty());
    assertThat(back).isEqualTo(ShopSettings.USUAL);
  }

  @Test
  void textsAreAsLongAsTheCardCanHold() {
    String longest = "x".repeat(ShopSettings.LONGEST);
    ShopSettings named = SHOP.withTexts("A", "B", longest, "D");
    assertThat(named.customer()).isEqualTo(longest);
    assertThat(named.currency()).isEqualTo("D");
    assertThat(named.value(ShopFigure.LEAST_VACUUM)).isEqualTo(61_000);
    assertThatThrownBy(() -> SHOP.withTexts("A", longest + "x", "C", "D"))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("entryText");
  }

  @Test
  void figuresAndTimesKeepToTheirBounds() {
    assertThatThrownBy(() -> SHOP.with(ShopFigure.LEAST_VACUUM, OptionalDouble.of(-1)))
        .isInstanceOf(RuleViolation.class);
    assertThatThrownBy(() -> SHOP.withEach(StepKind.FORM, OptionalDouble.of(-1)))
        .isInstanceOf(RuleViolation.class);
    assertThatThrownBy(() -> SHOP.withSetUp(StepKind.FORM, OptionalDouble.of(-1)))
        .isInstanceOf(RuleViolation.class);
  }

  @Test
  void everyNameInFilesLeadsBackToWhatItNames() {
    for (ReadBack what : ReadBack.values()) {
      assertThat(ReadBack.of(what.key())).contains(what);
      assertThat(what.code()).isEqualTo("readBack." + what.key());
    }
    for (ShopFigure figure : ShopFigure.values()) {
      assertThat(ShopFigure.of(figure.key())).contains(figure);
      assertThat(figure.code()).isEqualTo("shopFigure." + figure.key());
    }
    for (StepKind kind : StepKind.values()) {
      assertThat(StepKind.of(kind.key())).contains(kind);
      assertThat(kind.code()).isEqualTo("stepKind." + kind.key());
    }
    assertThat(ReadBack.of("nothing")).isEmpty();
    assertThat(ShopFigure.of("nothing")).isEmpty();
    assertThat(Arrays.stream(StepKind.values()).filter(StepKind::isValveWork))
        .containsExactlyInAnyOrder(
            StepKind.FACE, StepKind.BACK_CUT, StepKind.UNDERHEAD, StepKind.EDGE);
    assertThat(WorkEntry.Kind.REOPENED.code()).isEqualTo("workEntry.reopened");
    assertThat(Map.of(WorkEntry.Kind.READ.key(), 1)).containsKey("read");
  }
}
