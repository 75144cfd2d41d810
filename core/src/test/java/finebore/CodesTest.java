package finebore;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.calibration.FlowArea;
import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.machine.ReadingDoubt;
import finebore.machine.StepState;
import finebore.seal.GuideState;
import finebore.seal.LappedRing;
import finebore.seal.SealVerdict;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Stream;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Names by which things are known in files and to the words: each its own, and found again. */
class CodesTest {

  static Stream<Class<? extends Coded>> coded() {
    return Stream.of(
        FlowArea.class,
        ReadingDoubt.class,
        StepState.class,
        GuideState.class,
        LappedRing.Verdict.class,
        SealVerdict.class,
        ReadBack.class,
        ShopFigure.class,
        StepKind.class,
        WorkEntry.Kind.class);
  }

  @ParameterizedTest
  @MethodSource("coded")
  void everyCodeIsItsOwnAndOfItsFamily(Class<? extends Coded> kind) {
    Coded[] all = kind.getEnumConstants();
    assertThat(all).extracting(Coded::code).doesNotHaveDuplicates();
    assertThat(all)
        .extracting(Coded::code)
        .allMatch(code -> code.matches("[a-z][A-Za-z]*\\.[a-z][A-Za-z0-9_]*"));
    assertThat(Arrays.stream(all).map(c -> c.code().replaceFirst("\\..*", "")).distinct())
        .hasSize(1);
  }

  private static <E> void isFoundAgain(
      E[] all, Function<E, String> key, Function<String, Optional<E>> of) {
    assertThat(all).extracting(key).doesNotHaveDuplicates().allMatch(k -> !k.isBlank());
    for (E one : all) {
      assertThat(of.apply(key.apply(one))).contains(one);
    }
    assertThat(of.apply("none")).isEmpty();
  }

  @Test
  void whatIsReadBackAndSetIsFoundAgainByItsName() {
    isFoundAgain(ReadBack.values(), ReadBack::key, ReadBack::of);
    isFoundAgain(ShopFigure.values(), ShopFigure::key, ShopFigure::of);
    isFoundAgain(StepKind.values(), StepKind::key, StepKind::of);
    assertThat(WorkEntry.Kind.values())
        .extracting(WorkEntry.Kind::key)
        .containsExactly("done", "read", "problem", "accepted", "reopened");
    assertThat(GuideState.values()).extracting(GuideState::key).containsExactly("dry", "oiled");
    assertThat(Arrays.stream(StepKind.values()).filter(StepKind::isValveWork))
        .containsExactly(StepKind.FACE, StepKind.BACK_CUT, StepKind.UNDERHEAD, StepKind.EDGE);
  }

  @Test
  void textsAndFiguresOfTheShopAreHeldToTheirBounds() {
    String longest = String.join("", Collections.nCopies(400, "x"));
    ShopSettings shop = ShopSettings.USUAL.withTexts(longest, "b", "c", "d");
    assertThat(shop.name()).isEqualTo(longest);
    assertThat(shop.address() + shop.customer() + shop.currency()).isEqualTo("bcd");
    refused("entryText", () -> ShopSettings.USUAL.withTexts("a", "b", "c", longest + "x"));
    refused(
        "stepMinutes",
        () -> new ShopSettings("", "", "", "", Map.of(), Map.of(StepKind.FORM, 601.0), Map.of()));
    refused(
        "stepMinutes",
        () -> new ShopSettings("", "", "", "", Map.of(), Map.of(), Map.of(StepKind.FORM, -1.0)));
    ShopSettings set = ShopSettings.USUAL.with(ShopFigure.SLIVER, OptionalDouble.of(0.4));
    assertThat(set.value(ShopFigure.SLIVER)).isEqualTo(0.4);
    assertThat(set.with(ShopFigure.SLIVER, OptionalDouble.empty())).isEqualTo(ShopSettings.USUAL);
    refused("entryText", () -> entry(longest + "x", "a", "b"));
    refused("entryText", () -> entry("a", longest + "x", "b"));
    refused("entryText", () -> entry("a", "b", longest + "x"));
    assertThat(entry(longest, longest, longest).who()).isEqualTo(longest);
    refused("rule.outside", () -> new WorkEntry.Taken(ReadBack.SEAT_DEPTH, -1, ""));
  }

  private static WorkEntry entry(String who, String reason, String gauge) {
    return new WorkEntry(
        1,
        Instant.EPOCH,
        who,
        "I1",
        "I1:1",
        WorkEntry.Kind.READ,
        Optional.of(new WorkEntry.Taken(ReadBack.THROAT, 35, gauge)),
        reason,
        OptionalInt.empty());
  }

  private static void refused(String rule, ThrowingCallable made) {
    assertThatThrownBy(made).isInstanceOf(RuleViolation.class).hasMessageContaining(rule);
  }
}
