package finebore.sizes;

import static finebore.sizes.SizeSamples.I1;
import static finebore.sizes.SizeSamples.JOB;
import static finebore.sizes.SizeSamples.PRACTICE;
import static finebore.sizes.SizeSamples.exhaust;
import static finebore.sizes.SizeSamples.keeping;
import static finebore.sizes.SizeSamples.read;
import static finebore.sizes.SizeSamples.shelf;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.sizes.ShelfFit.RingNeed;
import finebore.sizes.SizeLimit.Kind;
import finebore.study.ReadingKind;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** What a valve off the shelf needs. */
class ShelfFitTest {

  @Test
  void aShelfValveSaysWhatItNeeds() {
    Job job = read(JOB, "I1", Measure.VALVE_LENGTH, 110);
    SizeRoom room = SizeRoom.of(job, 1, PRACTICE);
    ShelfFit fit = ShelfFit.of(job, I1, room, PRACTICE, shelf(43, 8, 109.4));
    assertThat(fit.fits()).isTrue();
    assertThat(fit.stemMm()).isCloseTo(1, within(1e-12));
    double found = job.foundSeat(I1).seat().throatDiameterMm();
    // The practice wants 0.87 at least.
    assertThat(fit.openMm()).isCloseTo(Math.max(0, 0.87 * 43 - found), within(1e-9));
    assertThat(fit.ring()).isEqualTo(RingNeed.NONE);
    assertThat(fit.lowerMm()).isPresent();
    assertThat(fit.tipMm().orElseThrow())
        .isCloseTo(109.4 - 110 + fit.lowerMm().getAsDouble(), within(1e-12));
    assertThat(ShelfFit.of(JOB, I1, room, PRACTICE, shelf(43, 8, 109.4)).tipMm()).isEmpty();
  }

  /** On a 45 degree seat that stays where it is, a head 2 mm bigger sits 1 mm higher. */
  @Test
  void aBiggerHeadGivesASunkSeatBack() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    double own = ShelfFit.of(JOB, I1, room, PRACTICE, shelf(42, 7, 110)).lowerMm().orElseThrow();
    ShelfFit bigger = ShelfFit.of(JOB, I1, room, PRACTICE, shelf(44, 7, 110));
    assertThat(own).isBetween(-0.3, 0.5);
    assertThat(bigger.lowerMm().orElseThrow()).isLessThan(own - 0.5);
    assertThat(bigger.reclaims()).isTrue();
  }

  @Test
  void tooBigAThroatAndTooBigAHeadAreSaid() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    ShelfFit small = ShelfFit.of(JOB, I1, room, PRACTICE, shelf(38, 7, 110));
    assertThat(small.ring()).isEqualTo(RingNeed.THROAT_TOO_BIG);
    ShelfFit big = ShelfFit.of(JOB, I1, room, PRACTICE, shelf(47, 7, 110));
    assertThat(big.fits()).isFalse();
    assertThat(big.broken().getFirst().kind()).isIn(Kind.BORE, Kind.NEIGHBOUR, Kind.RINGS);
    assertThatThrownBy(() -> new ShelfValve(" ", Port.INTAKE, Samples.plainValve(), 110, 1))
        .isInstanceOf(RuleViolation.class);
    assertThatThrownBy(() -> shelf(42, 7, 20)).hasMessageContaining("valveLength");
  }

  @Test
  void aRingThatWouldBeTooThinIsNeededAnew() {
    Practice walls = keeping(ReadingKind.RING_WALL, 1.5);
    for (String seat : new String[] {"I1"}) {
      // A 43 head has its seat at 42.25: walls of 1.475 and 1.525.
      Job thin = read(read(JOB, seat, Measure.RING_OUTSIDE, 45.2), seat, Measure.RING_DEPTH, 18);
      Job good = read(read(JOB, seat, Measure.RING_OUTSIDE, 45.3), seat, Measure.RING_DEPTH, 18);
      SizeRoom room = SizeRoom.of(JOB, 1, walls);
      assertThat(ShelfFit.of(thin, I1, room, walls, shelf(43, 7, 110)).ring())
          .isEqualTo(RingNeed.RING_TOO_THIN);
      assertThat(ShelfFit.of(good, I1, room, walls, shelf(43, 7, 110)).ring())
          .isEqualTo(RingNeed.NONE);
    }
  }

  @Test
  void aValveIsHeldToItsOwnLimitsBesideTheOtherHead() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    Pairing planned = JOB.exhaust().planned();
    // An exhaust of 46.5 is past its bore and leaves the intake 41.5.
    Job job =
        JOB.withPlanned(Port.EXHAUST, planned.withValve(planned.valve().withHeadDiameterMm(46.5)));
    assertThat(ShelfFit.of(job, I1, room, PRACTICE, shelf(41, 7, 110)).broken())
        .extracting(SizeLimit::where)
        .doesNotContain("E1");
    assertThat(ShelfFit.of(job, I1, room, PRACTICE, shelf(42, 7, 110)).broken())
        .extracting(SizeLimit::where)
        .contains("I1, E1")
        .doesNotContain("E1");
    Valve big = Samples.plainValve().withHeadDiameterMm(46.5);
    SeatPlace out = JOB.seats(Port.EXHAUST).getFirst();
    ShelfFit exhaust =
        ShelfFit.of(JOB, out, room, PRACTICE, new ShelfValve("out", Port.EXHAUST, big, 110, 20));
    assertThat(exhaust.broken()).extracting(SizeLimit::where).contains("E1", "I1, E1");
  }

  @Test
  void aSeatThatCannotBeCutNeedsARing() {
    Practice any = PRACTICE.with(Port.INTAKE, ReadingKind.THROAT_RATIO, Optional.empty());
    SizeRoom room = SizeRoom.of(JOB, 1, any);
    ShelfFit none = ShelfFit.of(JOB, I1, room, any, shelf(37.5, 7, 110));
    assertThat(none.ring()).isEqualTo(RingNeed.NO_METAL);
    assertThat(none.lowerMm()).isEmpty();
    assertThat(none.reclaims()).isFalse();
    Job measured = read(JOB, "I1", Measure.VALVE_LENGTH, 110);
    assertThat(ShelfFit.of(measured, I1, room, any, shelf(37.5, 7, 110)).tipMm()).isEmpty();
  }

  @Test
  void aSunkSeatIsGivenBackByATenth() {
    ShelfFit fit = ShelfFit.of(JOB, I1, SizeRoom.of(JOB, 1, PRACTICE), PRACTICE, shelf(42, 7, 110));
    assertThat(higher(fit, 0.1).reclaims()).isTrue();
    assertThat(higher(fit, 0.099).reclaims()).isFalse();
    assertThat(higher(fit, -1).reclaims()).isFalse();
  }

  private static ShelfFit higher(ShelfFit fit, double mm) {
    return new ShelfFit(
        fit.valve(),
        fit.broken(),
        fit.stemMm(),
        fit.throatMm(),
        fit.openMm(),
        fit.ring(),
        OptionalDouble.of(-mm),
        fit.tipMm(),
        fit.price(),
        fit.isMeasured());
  }
}
