package finebore.sizes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.finding.Basis;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.sizes.ShelfFit.RingNeed;
import finebore.sizes.SizeLimit.Kind;
import finebore.sizes.SizeLimit.Known;
import finebore.study.ReadingKind;
import finebore.units.Unit;
import finebore.valve.Valve;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class SizesTest {

  private static final Job JOB = Samples.job();
  private static final SeatPlace I1 = JOB.engine().seats().getFirst();
  private static final Practice PRACTICE = Samples.practice();

  private static Practice keeping(ReadingKind kind, double least) {
    Optional<Range> range =
        Optional.of(new Range(OptionalDouble.of(least), OptionalDouble.empty(), Basis.GEOMETRY));
    return PRACTICE.with(Port.INTAKE, kind, range).with(Port.EXHAUST, kind, range);
  }

  private static Job read(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  /** The 42 mm pair in the 86 bore, 20.5 and 21 from its middle on the line across. */
  private static Job placed() {
    Job job = read(JOB, "I1", Measure.AXIS_ALONG, 0);
    job = read(job, "I1", Measure.AXIS_ACROSS, -21);
    job = read(job, "E1", Measure.AXIS_ALONG, 0);
    return read(job, "E1", Measure.AXIS_ACROSS, 22);
  }

  private static SizeLimit limit(SizeRoom room, Kind kind, String where) {
    return room.limits().stream()
        .filter(l -> l.kind() == kind && l.where().equals(where))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void distancesOfAxesGiveStraightLimits() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    // 86 bore, axis 20 off its middle: 2 (43 - 20); axes 44 apart: half of both heads.
    assertThat(limit(room, Kind.BORE, "I1").mostMm()).isEqualTo(46);
    assertThat(limit(room, Kind.NEIGHBOUR, "I1, E1"))
        .satisfies(
            l -> {
              assertThat(l.mostMm()).isEqualTo(44);
              assertThat(l.perIntake()).isEqualTo(0.5);
              assertThat(l.perExhaust()).isEqualTo(0.5);
              assertThat(l.known()).isEqualTo(Known.PARALLEL);
              assertThat(l.leftMm(46, 41)).isEqualTo(0.5);
            });
    SizeRoom apart = SizeRoom.of(JOB, 1, keeping(ReadingKind.NEIGHBOUR, 1.2));
    assertThat(limit(apart, Kind.NEIGHBOUR, "I1, E1").mostMm()).isCloseTo(42.8, within(1e-12));
  }

  @Test
  void measuredPlacesGiveMoreOfThem() {
    Job job =
        placed()
            .withHead(
                placed()
                    .head()
                    .withLayout(Optional.of(new HeadLayout(1, 100, 88, 90, 24, 0, 14, 0, 0))));
    SizeRoom room = SizeRoom.of(job, 1, keeping(ReadingKind.BORE_WALL, 0.8));
    assertThat(limit(room, Kind.BORE, "I1").mostMm()).isCloseTo(2 * (43 - 21 - 0.8), within(1e-9));
    assertThat(limit(room, Kind.NEIGHBOUR, "I1, E1").mostMm()).isCloseTo(43, within(1e-9));
    // The fire ring of 88 less the shop's margin of 1.
    assertThat(limit(room, Kind.FIRE_RING, "I1").mostMm())
        .isCloseTo(2 * (44 - 21 - 1), within(1e-9));
    assertThat(limit(room, Kind.PLUG, "I1").mostMm())
        .isCloseTo(2 * (Math.hypot(21, 24) - 7), within(1e-9));
    assertThat(SizeRoom.isMeasured(job, 1)).isTrue();
    assertThat(SizeRoom.isMeasured(JOB, 1)).isFalse();
  }

  /** A valve that leans outward comes nearer to the bore as it opens. */
  @Test
  void aLeaningValvesLimitIsWhereItGetsTo() {
    Job leaning = read(placed(), "I1", Measure.LEAN_ACROSS, -15);
    double shut = -leaning.foundSeat(I1).seat().depthMm();
    double out = Math.max(0, shut + 10.5);
    SizeRoom room = SizeRoom.of(leaning, 1, PRACTICE);
    assertThat(limit(room, Kind.BORE, "I1").mostMm())
        .isCloseTo(2 * (43 - 21 - out * Math.tan(Math.toRadians(15))), within(1e-9));
  }

  @Test
  void largestGoesUntilTheFirstLimitThatDoesNotYield() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    SizeRoom.Largest intake = room.largest(42, 40, 1, 0).orElseThrow();
    assertThat(intake.intakeMm()).isEqualTo(46);
    assertThat(intake.by().kind()).isEqualTo(Kind.BORE);
    SizeRoom.Largest both = room.largest(42, 42, 1, 1).orElseThrow();
    assertThat(both.intakeMm()).isEqualTo(44);
    assertThat(both.by().kind()).isEqualTo(Kind.NEIGHBOUR);
    assertThat(room.broken(44, 44)).noneMatch(l -> !l.kind().yields());
    assertThat(room.broken(44.01, 44)).anyMatch(l -> l.kind() == Kind.NEIGHBOUR);
    assertThat(new SizeRoom(1, java.util.List.of()).largest(1, 1, 1, 1)).isEmpty();
  }

  @Test
  void aBiggerHeadGivesMoreAtHighLiftWithTheThroatItAllows() {
    NextSize next = NextSize.of(Samples.planned(JOB), PRACTICE, 44).orElseThrow();
    // The sample practice allows 0.90.
    assertThat(next.throatMm()).isCloseTo(0.9 * 44, within(1e-9));
    assertThat(next.sameThroat().orElseThrow().camMeanShare()).isPositive();
    // Where the lift is high the throat counts.
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share())
        .isGreaterThan(next.sameThroat().orElseThrow().steps().getLast().share());
    assertThat(next.holdsBack()).isPresent();
    NextSize none = NextSize.of(Samples.planned(JOB), PRACTICE, 42).orElseThrow();
    assertThat(none.sameThroat().orElseThrow().camMeanShare()).isZero();
    assertThat(none.givesNothing()).isTrue();
  }

  /** 1.60 in over 1.27 in gains almost nothing until the bowl is opened; common practice. */
  @Test
  void aBigValveOverASmallHoleGivesLittle() {
    double throat = 1.27 * 25.4;
    var wanted = JOB.planOf(I1).wanted();
    Job small =
        JOB.withPlanned(
            Port.INTAKE,
            wanted
                .withValve(wanted.valve().withHeadDiameterMm(1.5 * 25.4))
                .withSeat(
                    wanted
                        .seat()
                        .withThroatDiameter(throat)
                        .withOutsideDiameterMm(1.5 * 25.4 - 0.75)
                        .withBowl(throat, 20)));
    NextSize next = NextSize.of(Samples.planned(small), PRACTICE, 1.6 * 25.4).orElseThrow();
    double same = next.sameThroat().orElseThrow().steps().getLast().share();
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share()).isGreaterThan(2 * same);
  }

  private static ShelfValve shelf(double head, double stem, double length) {
    Valve valve = Samples.plainValve().withHeadDiameterMm(head).withStemDiameterMm(stem);
    return new ShelfValve("Shelf " + head, Port.INTAKE, valve, length, 31);
  }

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

  /** 40 hp of one cylinder: 40 / 0.257 cfm at 28 in; common practice, no source. */
  @Test
  void wantedFlowIsThePowersAtTheCamsLift() {
    var curve = Samples.found(JOB).curve().orElseThrow();
    FlowWanted wanted = FlowWanted.of(JOB, curve).orElseThrow();
    double at28 = Unit.CFM.fromBase(AirDemand.at28(wanted.wantedM3s(), JOB.test().depressionPa()));
    assertThat(at28).isCloseTo(40 / 0.257, within(1e-9));
    double times = wanted.wantedM3s() / wanted.haveM3s();
    assertThat(wanted.points())
        .allSatisfy(p -> assertThat(p.wantedM3s()).isCloseTo(times * p.haveM3s(), within(1e-12)));
    assertThat(wanted.camMeanWantedM3s())
        .isCloseTo(times * curve.camMean(JOB.intake().cam()), within(1e-12));
    Job none = JOB.withEngine(JOB.engine().withTargetHp(OptionalDouble.empty()));
    assertThat(FlowWanted.of(none, curve)).isEmpty();
  }
}
