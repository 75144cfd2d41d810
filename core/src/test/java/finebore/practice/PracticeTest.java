package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.Samples;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Overrule;
import finebore.job.Port;
import finebore.study.ReadingKind;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Practices by name and port, and findings by what they say and whether they hold a plan up. */
class PracticeTest {

  private static final Range NARROW = Samples.range(1.0, 1.5);
  private static final Range WIDE = Samples.range(1.5, 2.0);

  private static final Practice HILLS =
      new Practice(
          "hills",
          "Hills",
          "steep ones",
          Map.of(ReadingKind.SEAT_WIDTH, NARROW),
          Map.of(ReadingKind.SEAT_WIDTH, WIDE));

  @Test
  void intakesAndExhaustsHaveTheirOwnRanges() {
    assertThat(HILLS.wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH)).contains(NARROW);
    assertThat(HILLS.wanted(Port.EXHAUST, ReadingKind.SEAT_WIDTH)).contains(WIDE);
    assertThat(HILLS.wanted(Port.INTAKE, ReadingKind.THROAT_RATIO)).isEmpty();
    Practice changed = HILLS.with(Port.INTAKE, ReadingKind.THROAT_RATIO, Optional.of(WIDE));
    assertThat(changed.wanted(Port.INTAKE, ReadingKind.THROAT_RATIO)).contains(WIDE);
    assertThat(changed.wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH)).contains(NARROW);
    assertThat(changed.exhaust()).isEqualTo(HILLS.exhaust());
    Practice less = HILLS.with(Port.EXHAUST, ReadingKind.SEAT_WIDTH, Optional.empty());
    assertThat(less.exhaust()).isEmpty();
    assertThat(less.intake()).isEqualTo(HILLS.intake());
  }

  @Test
  void aPracticeIsKnownByItsIdAndSpokenOfByItsName() {
    assertThat(HILLS.code()).isEqualTo("practice.hills");
    assertThat(HILLS.term()).isEqualTo(new Term.Name(HILLS, "Hills"));
    Practice copy = HILLS.named("plains", "Plains");
    assertThat(copy.id()).isEqualTo("plains");
    assertThat(copy.name()).isEqualTo("Plains");
    assertThat(copy.intake()).isEqualTo(HILLS.intake());
    assertThat(copy.about()).isEqualTo("steep ones");
    assertThat(HILLS.named("a", "x".repeat(60)).name()).hasSize(60);
    assertThatThrownBy(() -> HILLS.named("a", "x".repeat(61)))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("practiceName");
    assertThatThrownBy(() -> HILLS.named("a", " ")).hasMessageContaining("practiceName");
  }

  @Test
  void aPracticeThatIsNotHereWantsNothingAndSaysSo() {
    Practice gone = Practice.notInstalled("valleys");
    assertThat(gone.installed()).isFalse();
    assertThat(gone.wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH)).isEmpty();
    assertThat(gone.term())
        .isEqualTo(
            Term.phrase(
                Message.of("practiceNotInstalled").with("practice", Term.quote("valleys"))));
    assertThat(Practice.notInstalled(" ").name()).isEqualTo("?");
    assertThat(Practice.notInstalled("y".repeat(99)).name()).hasSize(60);
    assertThat(Practice.notInstalled("y".repeat(99)).id()).hasSize(99);
  }

  private static Finding finding(FindingCode code, Severity severity) {
    return Finding.of(code, "I1", Subject.WHOLE, severity, Basis.GEOMETRY);
  }

  /** Faults hold a plan up, and a reading that is missing, until somebody overrules them. */
  @ParameterizedTest
  @CsvSource({
    "SQUARE_STEP, FAULT, true",
    "SQUARE_STEP, CAUTION, false",
    "SQUARE_STEP, NOTE, false",
    "READING_MISSING, CAUTION, true",
    "READING_MISSING, NOTE, true"
  })
  void whatHoldsAPlanUp(FindingCode code, Severity severity, boolean blocks) {
    Finding finding = finding(code, severity);
    assertThat(finding.blocks()).isEqualTo(blocks);
    Overrule overrule =
        new Overrule(code, "I1", Subject.WHOLE, 1, Optional.empty(), "looked at twice");
    assertThat(finding.withOverruled(Optional.of(overrule)).blocks()).isFalse();
  }

  @Test
  void aFindingSaysWhatWithItsFigures() {
    Cure cure = new Cure.OtherThroat(36);
    Finding finding =
        finding(FindingCode.SQUARE_STEP, Severity.CAUTION)
            .with("step", Term.length(0.4))
            .with("practice", Message.of("x"))
            .with("kind", ReadingKind.SEAT_WIDTH)
            .by(0.4)
            .curedBy(Optional.of(cure));
    String code = FindingCode.SQUARE_STEP.code();
    Map<String, Term> terms =
        Map.of(
            "step", Term.length(0.4),
            "practice", Term.phrase(Message.of("x")),
            "kind", Term.name(ReadingKind.SEAT_WIDTH));
    assertThat(finding.what()).isEqualTo(new Message(code + ".what", terms));
    assertThat(finding.why()).isEqualTo(new Message(code + ".why", terms));
    assertThat(finding.extent()).isEqualTo(0.4);
    assertThat(finding.cure()).contains(cure);
    assertThat(finding(FindingCode.SQUARE_STEP, Severity.NOTE).extent()).isEqualTo(1);
  }
}
