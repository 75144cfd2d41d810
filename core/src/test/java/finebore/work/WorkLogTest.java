package finebore.work;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.code.RuleViolation;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** A history only grows. */
class WorkLogTest {

  private static WorkLog.Hand at(int minute) {
    return new WorkLog.Hand(Instant.parse("2026-03-16T08:%02d:00Z".formatted(minute)), "M.");
  }

  private static Taken depth(double mm) {
    return new Taken(ReadBack.SEAT_DEPTH, mm, "depth-gauge");
  }

  private static final WorkLog LOG =
      WorkLog.EMPTY
          .with(at(1), "I1", "I1:op2", depth(8.31), "")
          .with(at(2), "I1", "I1:op2", Kind.DONE, "")
          .with(at(3), "I2", "I2:op2", depth(8.44), "");

  @Test
  void aReadingIsCorrectedByAFurtherOne() {
    WorkLog corrected = LOG.with(at(4), "I1", "I1:op2", depth(8.13), " misread ");
    assertThat(corrected.entries()).hasSize(4).startsWith(LOG.entries().toArray(WorkEntry[]::new));
    assertThat(corrected.entries().getLast().corrects()).hasValue(1);
    assertThat(corrected.entries().getLast().reason()).isEqualTo("misread");
    assertThat(corrected.value("I1", ReadBack.SEAT_DEPTH)).hasValue(8.13);
    assertThat(corrected.value("I2", ReadBack.SEAT_DEPTH)).hasValue(8.44);
    assertThat(corrected.value("I1", ReadBack.THROAT)).isEmpty();
  }

  @Test
  void whatWasSaidLastOfAStepCounts() {
    assertThat(LOG.lastOf("I1:op2").map(WorkEntry::kind)).contains(Kind.DONE);
    assertThat(LOG.lastOf("I2:op2")).isEmpty();
    assertThat(
            LOG.with(at(5), "I1", "I1:op2", Kind.PROBLEM, "chatter")
                .lastOf("I1:op2")
                .map(WorkEntry::reason))
        .contains("chatter");
  }

  @Test
  void twoHistoriesThatBeganAlikeAreBothKept() {
    WorkLog mine = LOG.with(at(6), "I1", "", depth(8.30), "mine");
    WorkLog theirs = LOG.with(at(5), "I1", "", depth(8.29), "theirs");
    WorkLog both = mine.merged(theirs);
    assertThat(both.entries())
        .extracting(WorkEntry::reason)
        .containsExactly("", "", "", "theirs", "mine");
    assertThat(both.entries()).extracting(WorkEntry::number).containsExactly(1, 2, 3, 4, 5);
    assertThat(both.entries().get(3).corrects()).hasValue(1);
    assertThat(both.entries().get(4).corrects()).hasValue(4);
    assertThat(both.value("I1", ReadBack.SEAT_DEPTH)).hasValue(8.30);
    assertThat(LOG.merged(LOG)).isEqualTo(LOG);
  }

  @Test
  void whatCannotBeIsRefused() {
    WorkEntry first = LOG.entries().getFirst();
    assertThatThrownBy(() -> new WorkLog(List.of(first, first)))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("entriesRise");
    assertThatThrownBy(() -> depth(81)).isInstanceOf(RuleViolation.class);
    assertThat(depth(80).value()).isEqualTo(80);
    assertThatThrownBy(
            () ->
                new WorkEntry(
                    1,
                    first.at(),
                    "",
                    "I1",
                    "",
                    Kind.DONE,
                    Optional.of(depth(8)),
                    "",
                    OptionalInt.empty()))
        .hasMessageContaining("readingOfEntry");
    assertThatThrownBy(() -> LOG.with(at(7), "I1", "", Kind.PROBLEM, "x".repeat(401)))
        .hasMessageContaining("entryText");
    assertThatThrownBy(
            () ->
                new WorkEntry(
                    0,
                    first.at(),
                    "",
                    "I1",
                    "",
                    Kind.DONE,
                    Optional.empty(),
                    "",
                    OptionalInt.empty()))
        .hasMessageContaining("entryNumber");
  }

  @Test
  void aShopSetsItsOwnAndGoesBackToTheUsual() {
    ShopSettings own =
        ShopSettings.USUAL
            .with(ShopFigure.RATE, OptionalDouble.of(72))
            .withEach(StepKind.FORM, OptionalDouble.of(4));
    assertThat(own.value(ShopFigure.RATE)).isEqualTo(72);
    assertThat(own.eachMinutes(StepKind.FORM)).isEqualTo(4);
    assertThat(own.setUpMinutes(StepKind.FORM)).isEqualTo(10);
    assertThat(own.with(ShopFigure.RATE, OptionalDouble.empty()).value(ShopFigure.RATE))
        .isEqualTo(60);
    assertThatThrownBy(() -> ShopSettings.USUAL.with(ShopFigure.SLIVER, OptionalDouble.of(2.1)))
        .isInstanceOf(RuleViolation.class);
    // 20 inches of mercury (NIST SP 811) are 67,728 Pa.
    assertThat(ShopSettings.USUAL.sealLimits().leastHeldPa())
        .isCloseTo(67_727.78, org.assertj.core.data.Offset.offset(0.01));
  }
}
