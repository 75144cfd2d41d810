package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.Blend;
import finebore.cutting.Operation;
import finebore.job.Plan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class CureTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Seat WANTED = Samples.fourAngles(0.89);
  private static final Plan PLAN = Plan.usual(Samples.pairing());

  private static Cure add(Operation operation) {
    return new Cure.AddOperation(1, operation, WANTED);
  }

  @Test
  void aCureOfTheSeatChangesWhatIsWantedAndLeavesTheOperations() {
    Plan cured = new Cure.OtherThroat(36).applyTo(PLAN);
    assertThat(cured.wanted().seat().throatDiameterMm()).isEqualTo(36);
    assertThat(cured.operations()).isEqualTo(PLAN.operations());
    assertThat(new Cure.ValveDiameter(43).applyTo(PLAN).wanted().valve().headDiameterMm())
        .isEqualTo(43);
    assertThat(new Cure.SeatOutside(41).applyTo(PLAN).wanted().seat().outsideDiameterMm())
        .isEqualTo(41);
    assertThat(new Cure.AddCut(0, new Cut(15, 0.8)).applyTo(PLAN).wanted().seat().cuts())
        .hasSize(5);
  }

  @Test
  void aCureOfTheOperationsLeavesTheWantedSeat() {
    Operation blend = new Blend(Blend.Side.PORT, 0.75, 1.5);
    Plan added = add(blend).applyTo(PLAN);
    assertThat(added.operations().get(1)).isEqualTo(blend);
    assertThat(added.wanted()).isEqualTo(PLAN.wanted());
    Pairing pairing = Samples.pairing();
    assertThat(add(blend).applyTo(pairing)).isSameAs(pairing);
    Plan changed = new Cure.ChangeOperation(PLAN.idAt(0), blend, WANTED).applyTo(PLAN);
    assertThat(changed.operations()).hasSize(3);
    assertThat(changed.operations().getFirst()).isEqualTo(blend);
    // A place past the end is the end.
    assertThat(new Cure.AddOperation(9, blend, WANTED).applyTo(PLAN).operations().getLast())
        .isEqualTo(blend);
    Plan other = PLAN.withOperation(0, blend);
    assertThat(new Cure.OtherPlan(other, Message.of("cure.suggestion")).applyTo(PLAN))
        .isEqualTo(other);
  }

  @Test
  void aChangedOperationIsFoundByItsIdWhereverItHasBeenMovedTo() {
    Operation blend = new Blend(Blend.Side.PORT, 0.75, 1.5);
    Cure cure = new Cure.ChangeOperation(PLAN.idAt(0), blend, WANTED);
    Plan moved = PLAN.withOperationMoved(0, 2);
    assertThat(cure.applyTo(moved).operations().getLast()).isEqualTo(blend);
    assertThat(cure.applyTo(PLAN.withoutOperation(0))).isEqualTo(PLAN.withoutOperation(0));
  }

  @Test
  void curesOfOperationsCarryTheirSettings() {
    Message message = add(new Blend(Blend.Side.PORT, 0.75, 1.5)).message();
    assertThat(message.code()).isEqualTo("cure.blend");
    assertThat(message.terms())
        .containsEntry("blendRadiusMm", Term.length(1.5))
        .containsEntry("keepOffMm", Term.length(0.75));
  }
}
