package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.job.Engine.SeatPlace;
import org.junit.jupiter.api.Test;

/** Whatever fails at a seat is told by the seat's name. */
class OfSeatTest {

  private static final SeatPlace SEAT = Samples.job().engine().seats().getFirst();

  @Test
  void aFailureNamesItsSeat() {
    IllegalStateException cause = new IllegalStateException("side location conflict");
    assertThatThrownBy(
            () ->
                OfSeat.working(
                    SEAT,
                    () -> {
                      throw cause;
                    }))
        .isInstanceOfSatisfying(
            RuleViolation.class,
            e -> {
              assertThat(e.violated().code()).isEqualTo("rule.cannotBeWorkedOut");
              assertThat(e.violated().terms())
                  .containsEntry("seat", Term.quote("I1"))
                  .containsEntry("cause", Term.quote("side location conflict"));
            })
        .hasCause(cause);
  }

  @Test
  void aRuleThatIsBrokenIsLeftAsItIs() {
    RuleViolation rule = RuleViolation.of("frame.line");
    assertThatThrownBy(
            () ->
                OfSeat.working(
                    SEAT,
                    () -> {
                      throw rule;
                    }))
        .isSameAs(rule);
    assertThat(OfSeat.<Integer>working(SEAT, () -> 3)).isEqualTo(3);
  }
}
