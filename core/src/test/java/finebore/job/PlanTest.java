package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.Samples;
import finebore.cutting.Blend;
import finebore.cutting.CutForm;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.UsualOperations;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.quantity.Setting;
import finebore.seat.Bowl;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlanTest {

  private static final Operation BLEND = new Blend(Blend.Side.PORT, 0.75, 1.5);

  private static Plan plan() {
    return Plan.usual(Samples.pairing());
  }

  @Test
  void aUsualPlanBringsTheWantedSeatInThroatFirst() {
    assertThat(plan().operations()).isEqualTo(UsualOperations.asPlanned());
    assertThat(plan().operations().getFirst()).isInstanceOf(OpenThroat.class);
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
    // An id is a name that lasts: moving keeps it, and what is put in gets one of its own.
    assertThat(more.withOperationMoved(1, 2).idAt(3)).isEqualTo(more.idAt(1));
    assertThat(more.steps()).extracting(Plan.PlannedStep::id).doesNotHaveDuplicates();
    assertThat(plan().withOperationAt(0, BLEND).operations().getFirst()).isEqualTo(BLEND);
  }

  @Test
  void anyChangeTakesTheMarkOff() {
    Plan ready = plan().withReady(true);
    assertThat(ready.ready()).isTrue();
    assertThat(ready.withWanted(Samples.pairing()).ready()).isFalse();
    assertThat(ready.withOperation(0, BLEND).ready()).isFalse();
    assertThat(ready.withOverrule(drilled("I1", 1)).ready()).isFalse();
    assertThat(ready.withoutOverrule(drilled("I1", 1)).ready()).isFalse();
  }

  @Test
  void whatIsChangedInTheWantedSeatIsFollowedAgain() {
    OptionalDouble open = OptionalDouble.empty();
    OptionalDouble own = OptionalDouble.of(36);
    Plan set =
        plan()
            .withOperations(
                List.of(
                    new OpenThroat(own, 4, own),
                    new CutForm("A4", OptionalDouble.of(41), new Plunge.ToDepth(9)),
                    new OpenBowl(own, open),
                    BLEND));
    var seat = Samples.pairing().seat();
    var pairing = Samples.pairing();
    Plan throat = set.following(pairing.withSeat(seat.withThroatDiameter(37)));
    assertThat(throat.operations().getFirst()).isEqualTo(new OpenThroat(open, 4, own));
    assertThat(throat.operations().subList(1, 4)).isEqualTo(set.operations().subList(1, 4));
    Plan deeper = set.following(pairing.withSeat(seat.withDepthMm(10.3)));
    assertThat(deeper.operations().get(1))
        .isEqualTo(new CutForm("A4", OptionalDouble.of(41), new Plunge.AsPlanned()));
    Plan moved = set.following(pairing.withSeat(seat.withOutsideDiameterMm(41.5)));
    assertThat(moved.operations().get(1)).isEqualTo(new CutForm("A4", open, new Plunge.ToDepth(9)));
    Plan bowl = set.following(pairing.withSeat(seat.withBowl(new Bowl(39, seat.bowlDepthMm()))));
    assertThat(bowl.operations().get(2)).isEqualTo(new OpenBowl(open, open));
    assertThat(set.following(pairing).operations()).isEqualTo(set.operations());
  }

  private static Overrule drilled(String seat, int operation) {
    return new Overrule(
        FindingCode.THROUGH_TO_WATER,
        seat,
        Subject.operation(operation),
        0.4,
        plan().operationOf(Subject.operation(operation)),
        "drilled");
  }

  @Test
  void anOverruleHoldsForOneFaultOfOneThingAtOneSeat() {
    Overrule one = drilled("I1", 1);
    assertThat(one.isOf(FindingCode.THROUGH_TO_WATER, "I1", Subject.operation(1))).isTrue();
    assertThat(one.isOf(FindingCode.THROUGH_TO_WATER, "I2", Subject.operation(1))).isFalse();
    assertThat(one.isOf(FindingCode.THROUGH_TO_WATER, "I1", Subject.operation(2))).isFalse();
    assertThat(one.isOf(FindingCode.PAST_RING, "I1", Subject.operation(1))).isFalse();
    Plan once = plan().withOverrule(one);
    Overrule other = drilled("I2", 1);
    assertThat(once.withOverrule(other).overrules()).containsExactly(one, other);
    Overrule again =
        new Overrule(one.code(), "I1", one.subject(), 0.5, one.operation(), "measured twice");
    assertThat(once.withOverrule(again).overrules()).containsExactly(again);
    assertThat(once.withoutOverrule(one).overrules()).isEmpty();
    assertThatThrownBy(
            () -> new Overrule(one.code(), "I1", one.subject(), 1, one.operation(), "  "))
        .hasMessageContaining("overruleReason");
  }

  @Test
  void anOverruleExpiresWhenTheFaultGrowsOrItsOperationChanges() {
    Overrule accepted = drilled("I1", 1);
    Optional<Operation> same = accepted.operation();
    assertThat(accepted.state(0.4, same)).isEqualTo(Overrule.State.HOLDS);
    assertThat(accepted.state(0.3, same)).isEqualTo(Overrule.State.HOLDS);
    assertThat(accepted.state(0.401, same)).isEqualTo(Overrule.State.WORSE);
    assertThat(accepted.state(0.4, Optional.of(BLEND))).isEqualTo(Overrule.State.CHANGED);
    assertThat(accepted.state(0.4, Optional.empty())).isEqualTo(Overrule.State.CHANGED);
  }

  @Test
  void anIdThatAnOverruleNamesIsNotGivenOutAgain() {
    Plan three = plan().withOverrule(drilled("I1", 3));
    Plan without = three.withoutOperation(2).withOperation(2, BLEND);
    assertThat(without.idAt(2)).isEqualTo(4);
  }

  @Test
  void aPlanWithoutEndIsRefused() {
    List<Operation> many = new ArrayList<>(Collections.nCopies(41, BLEND));
    assertThatThrownBy(() -> plan().withOperations(many))
        .hasMessageContaining("rule.operationsInPlan");
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
    assertThat(changed.withChosen(0).planned()).isEqualTo(group.planned());
    assertThat(changed.withoutVariant()).isEqualTo(group);
    assertThat(Group.planName(2)).isEqualTo("C");
    Group three = two.withVariant();
    assertThatThrownBy(three::withVariant).hasMessageContaining("plansInGroup");
    assertThatThrownBy(() -> group.withChosen(3)).hasMessageContaining("chosenPlan");
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

  static Stream<Setting<Head>> figures() {
    return Head.FIGURES.stream();
  }

  @ParameterizedTest
  @MethodSource("figures")
  void eachFigureOfAHeadIsItsOwn(Setting<Head> figure) {
    double value = figure.quantity().min() + 1.5;
    Head head = figure.on(Head.UNKNOWN, OptionalDouble.of(value));
    for (Setting<Head> other : Head.FIGURES) {
      assertThat(other.of(head).isPresent()).isEqualTo(other.id().equals(figure.id()));
    }
    assertThat(figure.of(head)).hasValue(value);
    assertThat(figure.on(head, OptionalDouble.empty())).isEqualTo(Head.UNKNOWN);
    double below = figure.quantity().min() - 1;
    assertThatThrownBy(() -> figure.on(Head.UNKNOWN, OptionalDouble.of(below)))
        .hasMessageContaining(figure.quantity().code());
  }

  @Test
  void skimIsWhatIsGoneAndWhatIsLeft() {
    Head head =
        Head.UNKNOWN
            .withNewThicknessMm(OptionalDouble.of(69.85))
            .withThicknessMm(OptionalDouble.of(69.5));
    // 2.75 in when new is 69.85 mm; less means it has been skimmed (common practice, no source).
    assertThat(head.skimmedMm().orElseThrow()).isEqualTo(69.85 - 69.5);
    assertThat(head.skimLeftMm()).isEmpty();
    assertThat(head.withLeastThicknessMm(OptionalDouble.of(69.2)).skimLeftMm().orElseThrow())
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
    assertThat(job.withHead(job.head().withLayout(Optional.of(measured))).layout())
        .isEqualTo(measured);
    assertThatThrownBy(() -> new HeadLayout(0, 100, 90, 80, 25, 5, 14, 10, -12))
        .hasMessageContaining("quantity.cylindersPerHead");
  }

  @Test
  void anOperationIsFoundByItsLastingName() {
    Plan plan = plan().withOperation(1, BLEND).withOperationMoved(1, 1);
    for (int k = 0; k < plan.steps().size(); k++) {
      Subject subject = Subject.operation(plan.idAt(k));
      assertThat(plan.placeOf(subject)).isEqualTo(k + 1);
      assertThat(plan.operationOf(subject)).contains(plan.operations().get(k));
    }
    assertThat(plan.placeOf(Subject.operation(999))).isZero();
    assertThat(plan.operationOf(Subject.operation(999))).isEmpty();
    assertThat(plan.operationOf(Subject.WHOLE)).isEmpty();
  }

  @Test
  void overrulesOfOldFilesAndOwnOnesGoOneByOne() {
    OldOverrule first = new OldOverrule("seat larger than valve", "race only");
    OldOverrule second = new OldOverrule("operation 1", "done so before");
    Plan bare = plan();
    Plan old =
        new Plan(bare.wanted(), bare.steps(), List.of(), List.of(first, second), false, false);
    assertThat(old.withoutOld(first).toConfirm()).containsExactly(second);
    assertThat(old.withoutOld(second).toConfirm()).containsExactly(first);
    Plan both = plan().withOverrule(drilled("I1", 1)).withOverrule(drilled("I2", 1));
    assertThat(both.overrules()).hasSize(2);
    assertThat(both.withoutOverrule(drilled("I1", 1)).overrules())
        .containsExactly(drilled("I2", 1));
  }

  /** One seat of each plan: of the kind, and each exception for itself. */
  @Test
  void everyPlanOfAJobIsToldOnce() {
    Job single = Samples.job();
    Job job = single.withEngine(single.engine().withCylinders(3));
    assertThat(job.plans()).extracting(s -> s.label()).containsExactly("I1", "E1");
    var i2 = job.engine().seats().stream().filter(s -> s.label().equals("I2")).findFirst();
    Job own = job.withException(i2.orElseThrow(), job.planOf(i2.orElseThrow()));
    assertThat(own.plans()).extracting(s -> s.label()).containsExactly("I1", "I2", "E1");
    assertThat(own.alike(i2.orElseThrow())).extracting(s -> s.label()).containsExactly("I2");
    assertThat(own.alike(own.engine().seats().getFirst()))
        .extracting(s -> s.label())
        .containsExactly("I1", "I3");
  }
}
