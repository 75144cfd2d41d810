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
import java.util.List;
import java.util.Map;
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

  /** Each speaks of what it changes, by the figures it changes it to. */
  @Test
  void everyCureSaysWhatItDoes() {
    Cut sixty = new Cut(60, 1.4);
    Map<Cure, Message> said =
        Map.of(
            new Cure.ValveDiameter(43), Message.of("cure.valve").with("head", Term.length(43)),
            new Cure.OtherThroat(36), Message.of("cure.throat").with("throat", Term.length(36)),
            new Cure.SeatOutside(41),
                Message.of("cure.seatOutside").with("outside", Term.length(41)),
            new Cure.AddCut(0, new Cut(15, 0.8)),
                Message.of("cure.addCut")
                    .with("angle", Term.angle(15))
                    .with("width", Term.length(0.8)),
            new Cure.BackCut(1.3, new Cut(30, 0.9)),
                Message.of("cure.backCut")
                    .with("angle", Term.angle(30))
                    .with("width", Term.length(0.9))
                    .with("face", Term.length(1.3)),
            new Cure.ChangeCut(2, sixty, new Cut(60, 1)), changed("Width", 60, 1),
            new Cure.ChangeCut(2, sixty, new Cut(58, 1.4)), changed("Angle", 58, 1.4),
            new Cure.ChangeCut(2, sixty, new Cut(58, 1)), changed("AngleWidth", 58, 1));
    said.forEach((cure, message) -> assertThat(cure.message()).isEqualTo(message));
    Message other = Message.of("cure.suggestion");
    assertThat(new Cure.OtherPlan(PLAN, other).message()).isEqualTo(other);
    Operation blend = new Blend(Blend.Side.PORT, 0.75, 1.5);
    assertThat(new Cure.ChangeOperation(1, blend, WANTED).message())
        .isEqualTo(add(blend).message());
  }

  private static Message changed(String what, double angle, double width) {
    return Message.of("cure.change" + what)
        .with("before", Term.angle(60))
        .with("angle", Term.angle(angle))
        .with("width", Term.length(width));
  }

  @Test
  void everyCureChangesThatOneThing() {
    Pairing pairing = Samples.pairing();
    Seat seat = pairing.seat();
    assertThat(new Cure.ChangeCut(2, seat.cuts().get(2), new Cut(58, 1)).applyTo(pairing))
        .isEqualTo(pairing.withSeat(seat.withCut(2, new Cut(58, 1))));
    assertThat(new Cure.AddCut(0, new Cut(15, 0.8)).applyTo(pairing).seat().cuts().getFirst())
        .isEqualTo(new Cut(15, 0.8));
    // The bowl opens with the throat where it would be the smaller, and stays otherwise.
    double bowl = seat.bowlDiameterMm();
    assertThat(new Cure.OtherThroat(bowl - 1).applyTo(pairing).seat().bowlDiameterMm())
        .isEqualTo(bowl);
    Seat opened = new Cure.OtherThroat(bowl + 1).applyTo(pairing).seat();
    assertThat(opened.bowlDiameterMm()).isEqualTo(bowl + 1);
    assertThat(opened.bowlDepthMm()).isEqualTo(seat.bowlDepthMm());
    assertThat(opened.throatDiameterMm()).isEqualTo(bowl + 1);
    // The first back cut is ground over, further ones stay.
    Cut new30 = new Cut(30, 0.9);
    Pairing ground = new Cure.BackCut(1.3, new30).applyTo(pairing);
    assertThat(ground.valve().backCuts()).containsExactly(new30);
    assertThat(ground.valve().faceWidthMm()).isEqualTo(1.3);
    assertThat(ground.valve().faceAngleDeg()).isEqualTo(pairing.valve().faceAngleDeg());
    Pairing plain = pairing.withValve(Samples.plainValve());
    assertThat(new Cure.BackCut(1.3, new30).applyTo(plain).valve().backCuts())
        .containsExactly(new30);
    Cut second = new Cut(22, 0.5);
    Pairing two = pairing.withValve(pairing.valve().withBackCuts(List.of(new Cut(28, 1), second)));
    assertThat(new Cure.BackCut(1.3, new30).applyTo(two).valve().backCuts())
        .containsExactly(new30, second);
  }

  /** What was found on a seat as left is about the same cut of the wanted one, wherever it is. */
  @Test
  void aCureIsMovedToTheCutThatItIsAbout() {
    Cut top = new Cut(30, 1);
    Cut seat = new Cut(45, 1.2);
    Cut low = new Cut(60, 1.4);
    Seat wanted = WANTED.withCuts(List.of(new Cut(15, 0.5), top, seat, low, low), 2);
    Seat left = WANTED.withCuts(List.of(top, seat, low), 1);
    assertThat(new Cure.ChangeCut(0, top, new Cut(32, 1)).movedTo(wanted, left))
        .contains(new Cure.ChangeCut(1, top, new Cut(32, 1)));
    // Of two alike it is the nearer one.
    assertThat(new Cure.ChangeCut(2, low, new Cut(62, 1)).movedTo(wanted, left))
        .contains(new Cure.ChangeCut(3, low, new Cut(62, 1)));
    assertThat(new Cure.ChangeCut(4, low, new Cut(62, 1)).movedTo(wanted, left))
        .contains(new Cure.ChangeCut(4, low, new Cut(62, 1)));
    assertThat(new Cure.ChangeCut(0, new Cut(31, 1), top).movedTo(wanted, left)).isEmpty();
    assertThat(new Cure.AddCut(0, top).movedTo(wanted, left)).contains(new Cure.AddCut(0, top));
    assertThat(new Cure.AddCut(2, low).movedTo(wanted, left)).contains(new Cure.AddCut(3, low));
    Seat strange = WANTED.withCuts(List.of(new Cut(31, 1), seat, low), 1);
    assertThat(new Cure.AddCut(1, low).movedTo(wanted, strange)).isEmpty();
    Cure throat = new Cure.OtherThroat(36);
    assertThat(throat.movedTo(wanted, left)).contains(throat);
  }
}
