package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.Operation;
import finebore.cutting.Operation.Blend;
import finebore.cutting.Operation.BlendSide;
import finebore.cutting.Plunge;
import finebore.found.Ring;
import finebore.job.Pairing;
import finebore.job.Plan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class CureTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Seat WANTED = Samples.fourAngles(0.89);
  private static final Plan PLAN = Plan.usual(Samples.pairing());

  private static String words(Cure cure) {
    return cure.words(UnitSystem.METRIC);
  }

  private static Cure add(Operation operation) {
    return new Cure.AddOperation(1, operation, WANTED);
  }

  @Test
  void aCureOfTheSeatChangesWhatIsWantedAndLeavesTheOperations() {
    Plan cured = new Cure.Throat(36).applyTo(PLAN);
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
    Operation blend = new Blend(BlendSide.PORT, 0.75, 1.5);
    Plan added = add(blend).applyTo(PLAN);
    assertThat(added.operations().get(1)).isEqualTo(blend);
    assertThat(added.wanted()).isEqualTo(PLAN.wanted());
    Pairing pairing = Samples.pairing();
    assertThat(add(blend).applyTo(pairing)).isSameAs(pairing);
    Plan changed = new Cure.ChangeOperation(0, blend, WANTED).applyTo(PLAN);
    assertThat(changed.operations()).hasSize(3);
    assertThat(changed.operations().getFirst()).isEqualTo(blend);
    // A place past the end is the end.
    assertThat(new Cure.AddOperation(9, blend, WANTED).applyTo(PLAN).operations().getLast())
        .isEqualTo(blend);
    Plan other = PLAN.withOperation(0, blend);
    assertThat(new Cure.OtherPlan(other, "the suggestion").applyTo(PLAN)).isEqualTo(other);
  }

  @Test
  void curesOfOperationsAreSaidInWords() {
    assertThat(words(add(new Operation.OpenThroat(OptionalDouble.of(35.64), 0, OPEN))))
        .isEqualTo("open the throat to 35.64 mm first");
    assertThat(words(add(new Operation.CutForm("", OPEN, new Plunge.UntilClean(0, false)))))
        .isEqualTo("plunge until the seat is clean");
    assertThat(words(add(new Operation.SweepChamber(15, 50, OPEN))))
        .isEqualTo("sweep the chamber at 15° out to 50.00 mm");
    assertThat(words(add(new Blend(BlendSide.PORT, 0.75, 1.5))))
        .isEqualTo("blend the port side, 1.50 mm radius, keeping 0.75 mm off the face");
    assertThat(words(add(new Operation.CutUnder(12.5, OPEN, 3, 0))))
        .isEqualTo("lean the cut under the seat in by 12.5°");
    assertThat(words(add(new Operation.FitRing(new Ring(43, 33, 14, 8, 0.1, "")))))
        .isEqualTo("fit a ring of 43.00 mm");
    assertThat(
            words(
                add(
                    new Operation.CutAngle(
                        Operation.SingleTool.STONE, 60, 40, new Plunge.AsPlanned()))))
        .isEqualTo("cut 60°");
    assertThat(words(add(new Operation.OpenBowl(OPEN, OPEN)))).isEqualTo("open the bowl");
    assertThat(words(new Cure.OtherPlan(PLAN, "the suggestion"))).isEqualTo("the suggestion");
  }

  @Test
  void aClockPositionIsSpoken() {
    assertThat(PlanFindings.clockText(3)).isEqualTo("3 o'clock");
    assertThat(PlanFindings.clockText(12)).isEqualTo("12 o'clock");
    assertThat(PlanFindings.clockText(0)).isEqualTo("12 o'clock");
    assertThat(PlanFindings.clockText(1.5)).isEqualTo("1:30");
    assertThat(PlanFindings.clockText(4.999)).isEqualTo("5 o'clock");
  }
}
