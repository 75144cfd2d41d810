package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.SeatOutcome;
import finebore.seal.LappedRing;
import finebore.seal.SealVerdict;
import finebore.seal.VacuumReading;
import finebore.study.ReadingKind;
import finebore.valve.Valve;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What was written down of a port's seal, judged against the shop's limits and the other ports. */
class PortSealTest {

  private static final Job BARE = MachineJob.job();

  private static Job with(Job job, String seat, Map<ReadBack, Double> readings) {
    Job changed = job;
    for (Map.Entry<ReadBack, Double> one : readings.entrySet()) {
      changed = MachineJob.read(changed, seat, seat + ":seal", one.getKey(), one.getValue());
    }
    return changed;
  }

  private static PortSeal of(Job job, String seat) {
    return PortSeal.all(job, RunSheet.of(job)).stream()
        .filter(p -> p.seat().label().equals(seat))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void readingsGoToTheirOwnPortAndGuide() {
    Job job =
        with(
            BARE,
            "I2",
            Map.of(
                ReadBack.VACUUM_DRY, 40_000.0,
                ReadBack.FALL_DRY, 2.5,
                ReadBack.VACUUM_OILED, 70_000.0,
                ReadBack.FALL_OILED, 9.5,
                ReadBack.AMBIENT, 99_000.0));
    PortSeal port = of(job, "I2");
    assertThat(port.dry()).contains(new VacuumReading(40_000, OptionalDouble.of(2.5), 99_000));
    assertThat(port.oiled()).contains(new VacuumReading(70_000, OptionalDouble.of(9.5), 99_000));
    assertThat(of(job, "I1").dry()).isEmpty();
    assertThat(of(job, "I1").verdict()).isEqualTo(SealVerdict.NOT_TESTED);
    Job other = with(BARE, "E1", Map.of(ReadBack.VACUUM_DRY, 50_000.0));
    assertThat(of(other, "E1").dry())
        .contains(new VacuumReading(50_000, OptionalDouble.empty(), VacuumReading.STANDARD_PA));
  }

  /** A port that holds enough is still weak when the others, without it, hold far more. */
  @Test
  void aPortIsHeldAgainstTheOthersAndNotAgainstItself() {
    double least = BARE.shop().value(ShopFigure.LEAST_VACUUM);
    Map<ReadBack, Double> weak = Map.of(ReadBack.VACUUM_DRY, least * 1.01, ReadBack.FALL_DRY, 60.0);
    Map<ReadBack, Double> oiled =
        Map.of(
            ReadBack.VACUUM_DRY, least * 0.5,
            ReadBack.VACUUM_OILED, least * 1.5,
            ReadBack.FALL_OILED, 60.0);
    Job job = with(BARE, "I1", weak);
    for (String seat : List.of("I2", "I3", "I4")) {
      job = with(job, seat, oiled);
    }
    assertThat(of(job, "I1").verdict()).isEqualTo(SealVerdict.WEAKER_THAN_OTHERS);
    assertThat(PortSeal.verdictOf(job, "I1")).isEqualTo(SealVerdict.WEAKER_THAN_OTHERS);
    assertThat(of(job, "I2").verdict()).isEqualTo(SealVerdict.GUIDE);
    Job alike = with(BARE, "I1", weak);
    for (String seat : List.of("I2", "I3", "I4")) {
      alike = with(alike, seat, weak);
    }
    assertThat(of(alike, "I1").verdict()).isEqualTo(SealVerdict.SEALS);
  }

  @Test
  void runoutAtTheShopsLimitIsWithinIt() {
    double most = BARE.shop().sealLimits().mostRunoutMm();
    for (double off : new double[] {0, 5e-10}) {
      Job job = with(BARE, "I3", Map.of(ReadBack.SEAT_RUNOUT, most + off));
      assertThat(of(job, "I3").runoutMm()).hasValue(most + off);
      assertThat(of(job, "I3").runoutAllowed()).isTrue();
    }
    assertThat(
            of(with(BARE, "I3", Map.of(ReadBack.SEAT_RUNOUT, most + 1.5e-9)), "I3").runoutAllowed())
        .isFalse();
    assertThat(
            of(with(BARE, "I3", Map.of(ReadBack.SEAT_RUNOUT, most + 0.001)), "I3").runoutAllowed())
        .isFalse();
    assertThat(of(BARE, "I3").runoutAllowed()).isTrue();
  }

  /** The ring must lie where the plan's own contact lies, within the shop's tolerance. */
  @Test
  void theLappedRingIsHeldAgainstTheContactOfItsSeat() {
    SeatPlace place = BARE.engine().seats().getFirst();
    SeatOutcome outcome = SeatOutcome.of(BARE, place, BARE.planOf(place));
    double width = outcome.reading(ReadingKind.CONTACT_WIDTH).orElseThrow();
    double outer = outcome.cut().fit().seated().orElseThrow().contact().fromMarginMm();
    double tolerance = BARE.shop().value(ShopFigure.WIDTH_TOLERANCE);
    assertThat(ring(width, outer)).isEqualTo(LappedRing.Verdict.EVEN);
    assertThat(ring(width, outer - tolerance + 0.001)).isEqualTo(LappedRing.Verdict.EVEN);
    assertThat(ring(width, outer - tolerance - 0.001))
        .isEqualTo(LappedRing.Verdict.OFF_SEALING_CUT);
    assertThat(ring(width, outer + tolerance - 0.001)).isEqualTo(LappedRing.Verdict.EVEN);
    assertThat(ring(width, outer + tolerance + 0.001))
        .isEqualTo(LappedRing.Verdict.OFF_SEALING_CUT);
  }

  /** A valve that falls through leaves no contact: then no place of the ring is wrong. */
  @Test
  void withoutAContactOnlyTheRingItselfIsJudged() {
    SeatPlace place = BARE.engine().seats().getFirst();
    Plan plan = BARE.planOf(place);
    Valve small = plan.wanted().valve().withHeadDiameterMm(30);
    Job job = BARE.withPlan(place, plan.withWanted(plan.wanted().withValve(small)));
    assertThat(SeatOutcome.of(job, place, job.planOf(place)).cut().fit().seated()).isEmpty();
    assertThat(ring(job, 1.2, 0.1)).isEqualTo(LappedRing.Verdict.EVEN);
    assertThat(ring(job, 1.2, 9)).isEqualTo(LappedRing.Verdict.EVEN);
  }

  private static LappedRing.Verdict ring(double width, double place) {
    return ring(BARE, width, place);
  }

  private static LappedRing.Verdict ring(Job bare, double width, double place) {
    Job job = bare;
    for (int k = 0; k < 4; k++) {
      job =
          with(
              job,
              "I1",
              Map.of(ReadBack.RING_WIDTHS.get(k), width, ReadBack.RING_PLACES.get(k), place));
    }
    return of(job, "I1").ringVerdict();
  }
}
