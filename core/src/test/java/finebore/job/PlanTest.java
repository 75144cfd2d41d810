package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.Samples;
import finebore.cutting.Operation;
import finebore.cutting.Operation.Blend;
import finebore.cutting.Operation.BlendSide;
import finebore.cutting.Plunge;
import finebore.cutting.UsualOperations;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head.Figure;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PlanTest {

  private static final Operation BLEND = new Blend(BlendSide.PORT, 0.75, 1.5);

  private static Plan plan() {
    return Plan.usual(Samples.pairing());
  }

  @Test
  void aUsualPlanBringsTheWantedSeatInThroatFirst() {
    assertThat(plan().operations()).isEqualTo(UsualOperations.asPlanned());
    assertThat(plan().operations().getFirst()).isInstanceOf(Operation.OpenThroat.class);
    assertThat(plan().ready()).isFalse();
  }

  @Test
  void operationsArePutInChangedMovedAndLeftOut() {
    Plan more = plan().withOperation(1, BLEND);
    assertThat(more.operations()).hasSize(4);
    assertThat(more.operations().get(1)).isEqualTo(BLEND);
    assertThat(more.withOperationMoved(1, 2).operations().get(3)).isEqualTo(BLEND);
    assertThat(more.withOperationMoved(1, -1).operations().getFirst()).isEqualTo(BLEND);
    assertThat(more.withoutOperation(1)).isEqualTo(plan());
    assertThat(plan().withOperationAt(0, BLEND).operations().getFirst()).isEqualTo(BLEND);
  }

  @Test
  void anyChangeTakesTheMarkOff() {
    Plan ready = plan().withReady(true);
    assertThat(ready.ready()).isTrue();
    assertThat(ready.withWanted(Samples.pairing()).ready()).isFalse();
    assertThat(ready.withOperation(0, BLEND).ready()).isFalse();
    assertThat(ready.withOverrule(new Overrule("water", "drilled")).ready()).isFalse();
    assertThat(ready.withoutOverrule("water").ready()).isFalse();
  }

  @Test
  void whatIsChangedInTheWantedSeatIsFollowedAgain() {
    OptionalDouble open = OptionalDouble.empty();
    OptionalDouble own = OptionalDouble.of(36);
    Plan set =
        plan()
            .withOperations(
                List.of(
                    new Operation.OpenThroat(own, 4, own),
                    new Operation.CutForm("A4", OptionalDouble.of(41), new Plunge.ToDepth(9)),
                    new Operation.OpenBowl(own, open),
                    BLEND));
    var seat = Samples.pairing().seat();
    var pairing = Samples.pairing();
    Plan throat = set.following(pairing.withSeat(seat.withThroat(37)));
    assertThat(throat.operations().getFirst()).isEqualTo(new Operation.OpenThroat(open, 4, own));
    assertThat(throat.operations().subList(1, 4)).isEqualTo(set.operations().subList(1, 4));
    Plan deeper = set.following(pairing.withSeat(seat.withDepth(10.3)));
    assertThat(deeper.operations().get(1))
        .isEqualTo(new Operation.CutForm("A4", OptionalDouble.of(41), new Plunge.AsPlanned()));
    Plan moved = set.following(pairing.withSeat(seat.withOutsideDiameter(41.5)));
    assertThat(moved.operations().get(1))
        .isEqualTo(new Operation.CutForm("A4", open, new Plunge.ToDepth(9)));
    Plan bowl = set.following(pairing.withSeat(seat.withBowl(39, seat.bowlDepthMm())));
    assertThat(bowl.operations().get(2)).isEqualTo(new Operation.OpenBowl(open, open));
    assertThat(set.following(pairing).operations()).isEqualTo(set.operations());
  }

  @Test
  void overrulesAreKeptByPlaceAndNeedAReason() {
    Plan once = plan().withOverrule(new Overrule("water", "drilled"));
    Plan again = once.withOverrule(new Overrule("water", "measured twice"));
    assertThat(again.overrules()).containsExactly(new Overrule("water", "measured twice"));
    assertThat(again.withOverrule(new Overrule("seat", "lapped")).overrules()).hasSize(2);
    assertThat(again.withoutOverrule("water").overrules()).isEmpty();
    assertThatThrownBy(() -> new Overrule("water", "  "))
        .hasMessageContaining("reason for overruling must have 1 to 500 characters");
  }

  @Test
  void aPlanWithoutEndIsRefused() {
    List<Operation> many = new ArrayList<>(Collections.nCopies(41, BLEND));
    assertThatThrownBy(() -> plan().withOperations(many))
        .hasMessage("a plan takes at most 40 operations, had 41");
  }

  @Test
  void variantsAreCopiesAndOneIsChosen() {
    Group group = Samples.job().intake();
    Group two = group.withVariant();
    assertThat(two.plans()).hasSize(2);
    assertThat(two.chosen()).isEqualTo(1);
    Group changed = two.withPlanned(Samples.pairing().withSeat(Samples.fourAngles(0.87)));
    assertThat(changed.plans().getFirst()).isEqualTo(group.plan());
    assertThat(changed.planned().seat().throatDiameterMm()).isEqualTo(0.87 * 42);
    assertThat(changed.withPlans(changed.plans(), 0).planned()).isEqualTo(group.planned());
    assertThat(changed.withoutVariant()).isEqualTo(group);
    assertThat(Group.planName(2)).isEqualTo("C");
    Group three = two.withVariant();
    assertThatThrownBy(three::withVariant).hasMessageContaining("1 to 3 plans, had 4");
    assertThatThrownBy(() -> group.withPlans(group.plans(), 3)).hasMessageContaining("number 4");
  }

  @Test
  void anExceptionFollowsItsOwnPlanUntilItIsDropped() {
    Job job = Samples.job();
    SeatPlace seat = job.engine().seats().getFirst();
    Job own = job.withException(seat, plan().withOperations(List.of(BLEND)));
    assertThat(own.isException(seat)).isTrue();
    assertThat(own.planOf(seat).operations()).containsExactly(BLEND);
    Job changed = own.withPlan(seat, plan());
    assertThat(changed.intake()).isEqualTo(job.intake());
    assertThat(changed.planOf(seat)).isEqualTo(plan());
    assertThat(changed.withoutException(seat)).isEqualTo(job);
    Job group = job.withPlan(seat, plan().withOperations(List.of(BLEND)));
    assertThat(group.exceptions()).isEmpty();
    assertThat(group.intake().plan().operations()).containsExactly(BLEND);
  }

  @ParameterizedTest
  @EnumSource(Figure.class)
  void eachFigureOfAHeadIsItsOwn(Figure figure) {
    double value =
        switch (figure) {
          case NEW_THICKNESS, THICKNESS, LEAST_THICKNESS -> 80;
          case CHAMBER -> 42;
          case COMPRESSION -> 9.5;
        };
    Head head = Head.UNKNOWN.with(figure, OptionalDouble.of(value));
    for (Figure other : Figure.values()) {
      assertThat(head.figure(other).isPresent()).isEqualTo(other == figure);
    }
    assertThat(head.with(figure, OptionalDouble.empty())).isEqualTo(Head.UNKNOWN);
    assertThatThrownBy(() -> Head.UNKNOWN.with(figure, OptionalDouble.of(-1)))
        .hasMessageContaining("was -1");
  }

  @Test
  void skimIsWhatIsGoneAndWhatIsLeft() {
    Head head =
        Head.UNKNOWN
            .with(Figure.NEW_THICKNESS, OptionalDouble.of(69.85))
            .with(Figure.THICKNESS, OptionalDouble.of(69.5));
    // 2.75 in when new is 69.85 mm; less means it has been skimmed (common practice, no source).
    assertThat(head.skimmedMm().orElseThrow()).isEqualTo(69.85 - 69.5);
    assertThat(head.skimLeftMm()).isEmpty();
    assertThat(
            head.with(Figure.LEAST_THICKNESS, OptionalDouble.of(69.2)).skimLeftMm().orElseThrow())
        .isEqualTo(69.5 - 69.2);
  }

  @Test
  void readingsBelongToTheirSeat() {
    Head head = Head.UNKNOWN.withReading("I1", Measure.SEAT_WIDTH, OptionalDouble.of(2.1));
    assertThat(head.readingsOf("I1").value(Measure.SEAT_WIDTH)).hasValue(2.1);
    assertThat(head.readingsOf("E1")).isEqualTo(SeatReadings.NONE);
    assertThat(head.withReading("I1", Measure.SEAT_WIDTH, OptionalDouble.empty()))
        .isEqualTo(Head.UNKNOWN);
  }

  @Test
  void aLayoutNobodyMeasuredIsTakenFromTheBore() {
    Job job = Samples.job();
    HeadLayout layout = job.layout();
    assertThat(layout.boreSpacingMm()).isGreaterThan(job.engine().boreMm());
    HeadLayout measured = new HeadLayout(2, 100, 90, 80, 25, 5, 14, 10, -12);
    assertThat(job.withHead(job.head().withLayout(measured)).layout()).isEqualTo(measured);
    assertThatThrownBy(() -> new HeadLayout(0, 100, 90, 80, 25, 5, 14, 10, -12))
        .hasMessage("cylinders in one head must be 1 to 16, was 0");
  }
}
