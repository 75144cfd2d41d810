package finebore.sizes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.finding.Basis;
import finebore.flow.Calibration;
import finebore.flow.InSeries;
import finebore.flow.Loss;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.planning.PlanStudy;
import finebore.planning.PortRatio;
import finebore.planning.SeatInSeries;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.seat.Seat;
import finebore.sizes.ShelfFit.RingNeed;
import finebore.sizes.SizeLimit.Kind;
import finebore.sizes.SizeLimit.Known;
import finebore.study.ReadingKind;
import finebore.units.Unit;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
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
              assertThat(l.message().code()).isEqualTo("sizeLimit.parallel");
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
    assertThat(room.limits()).allMatch(l -> l.known() == Known.MEASURED);
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
  void aBiggerHeadGivesWhatIsSolvedWithEitherThroat() {
    NextSize next = NextSize.of(Samples.planned(JOB), PRACTICE, 44).orElseThrow();
    // The sample practice allows 0.90.
    assertThat(next.throatMm()).isCloseTo(0.9 * 44, within(1e-9));
    assertThat(next.sameThroat().orElseThrow().camMeanShare()).isPositive();
    // Solved at 11 mm of lift without a port (even closure, coarse): 8.7 % and 8.3 %.
    assertThat(next.sameThroat().orElseThrow().steps().getLast().share())
        .isCloseTo(0.087, within(0.03));
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share())
        .isCloseTo(0.083, within(0.03));
    assertThat(next.holdsBack())
        .extracting(Loss::cause)
        .containsExactly(Loss.Cause.SEAT, Loss.Cause.PORT);
    NextSize none = NextSize.of(Samples.planned(JOB), PRACTICE, 42).orElseThrow();
    assertThat(none.sameThroat().orElseThrow().camMeanShare()).isZero();
    assertThat(none.givesNothing()).isTrue();
  }

  /**
   * 1.60 in over 1.27 in gains most when the bowl is opened, too; common practice. Solved without a
   * port (even closure, full grid) it is 14 % with the same throat and 21 % with the larger one.
   */
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
    assertThat(next.thatThroat().orElseThrow().steps().getLast().share()).isGreaterThan(1.4 * same);
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

  /** Outside 41.25 to 43.25; 45, 60 and 75 of 1.2, 1.4 and 1.5 reach 1.9367 in. */
  @Test
  void cutsMoveOutWithTheHeadAndTheLastOneMeetsTheThroatAsBefore() {
    Pairing planned = Samples.pairing();
    Valve valve = planned.valve().withHeadDiameterMm(44);
    double throat = planned.seat().throatDiameterMm();
    Seat same = Resized.of(planned, valve, throat).orElseThrow().seat();
    assertThat(same.outsideDiameterMm()).isCloseTo(43.25, within(1e-12));
    double reach = 1.2 * Math.cos(Math.PI / 4) + 1.4 * 0.5 + 1.5 * Math.cos(Math.toRadians(75));
    double further = (43.25 - throat) / 2 - reach;
    assertThat(same.cuts().getLast().widthMm())
        .isCloseTo(1.5 + further / Math.cos(Math.toRadians(75)), within(1e-9));
    assertThat(same.cuts().subList(0, 3)).isEqualTo(planned.seat().cuts().subList(0, 3));
    assertThat(same.bowlDiameterMm()).isEqualTo(planned.seat().bowlDiameterMm());
    Seat opened = Resized.of(planned, valve, throat + 1.7).orElseThrow().seat();
    assertThat(opened.bowlDiameterMm())
        .isCloseTo(planned.seat().bowlDiameterMm() + 1.7, within(1e-12));
    assertThat(opened.cuts().getLast().widthMm()).isLessThan(same.cuts().getLast().widthMm());
    // The other way nothing is made narrower.
    Seat smaller = Resized.of(planned, valve.withHeadDiameterMm(41), throat).orElseThrow().seat();
    assertThat(smaller.cuts()).isEqualTo(planned.seat().cuts());
    // An upright last cut has no way across to grow by.
    Pairing sharp = planned.withSeat(Samples.oneSharpAngle());
    assertThat(
            Resized.of(sharp, valve, sharp.seat().throatDiameterMm()).orElseThrow().seat().cuts())
        .isEqualTo(sharp.seat().cuts());
    assertThat(Resized.of(planned, valve, 60)).isEmpty();
  }

  @Test
  void ringsNeedTheirWallsAndABridge() {
    Practice walls = keeping(ReadingKind.RING_WALL, 1.5);
    // Each seat lies 0.75 inside its head, its ring 3 outside the seat.
    assertThat(limit(SizeRoom.of(JOB, 1, walls), Kind.RINGS, "I1, E1").mostMm())
        .isCloseTo(44 - 2.25, within(1e-9));
    Practice both =
        walls
            .with(Port.INTAKE, ReadingKind.BRIDGE, Optional.of(Range.of(0.4, 9, Basis.GEOMETRY)))
            .with(Port.EXHAUST, ReadingKind.BRIDGE, Optional.of(Range.of(0.3, 9, Basis.GEOMETRY)));
    SizeLimit rings = limit(SizeRoom.of(JOB, 1, both), Kind.RINGS, "I1, E1");
    assertThat(rings.mostMm()).isCloseTo(44 - 2.25 - 0.4, within(1e-9));
    assertThat(rings.kind().yields()).isTrue();
    assertThat(rings.message().terms().get("limit").toString()).contains("sizeLimit.rings");
    assertThat(rings.kind().code()).isEqualTo("sizeLimit.rings");
  }

  /** One that leans toward the other is nearest fully open, the other still shut. */
  @Test
  void neighboursAreHeldWhereTheyComeNearest() {
    Job leaning = read(placed(), "I1", Measure.LEAN_ACROSS, 15);
    double depth = leaning.foundSeat(I1).seat().depthMm();
    double open = -21 + (10.5 - depth) * Math.tan(Math.toRadians(15));
    assertThat(limit(SizeRoom.of(leaning, 1, PRACTICE), Kind.NEIGHBOUR, "I1, E1").mostMm())
        .isCloseTo(22 - open, within(1e-9));
    Job away = read(placed(), "I1", Measure.LEAN_ACROSS, -15);
    double shut = -21 + depth * Math.tan(Math.toRadians(15));
    assertThat(limit(SizeRoom.of(away, 1, PRACTICE), Kind.NEIGHBOUR, "I1, E1").mostMm())
        .isCloseTo(22 - shut, within(1e-9));
  }

  private static Job twoIntakes() {
    Job job = JOB.withEngine(JOB.engine().withIntakesPerCylinder(2).withCylinders(2));
    for (int c = 1; c <= 2; c++) {
      job =
          read(
              read(job, "I" + c + "a", Measure.AXIS_ALONG, c == 1 ? -17 : -16),
              "I" + c + "a",
              Measure.AXIS_ACROSS,
              -14);
      job =
          read(
              read(job, "I" + c + "b", Measure.AXIS_ALONG, 18),
              "I" + c + "b",
              Measure.AXIS_ACROSS,
              -14);
      job = read(read(job, "E" + c, Measure.AXIS_ALONG, 0), "E" + c, Measure.AXIS_ACROSS, 21);
    }
    var found = job.intake().found();
    return job.withIntake(
        job.intake().withFound(small(found)).withPlanned(small(job.intake().planned())));
  }

  private static Pairing small(Pairing pairing) {
    return new Pairing(
        pairing.seat().withThroatDiameter(28).withOutsideDiameterMm(31.4).withBowl(28, 20),
        pairing.valve().withHeadDiameterMm(32));
  }

  private static PlanStudy study(Job job, SeatPlace seat) {
    return PlanStudy.of(
        job, seat, job.planOf(seat), PlanStudy.asFound(job, seat, Calibration.UNCALIBRATED));
  }

  @Test
  void twoOfAKindHoldEachOtherAndTheTightestCylinderIsNamed() {
    Job job = twoIntakes();
    SizeLimit pair = limit(SizeRoom.of(job, 1, PRACTICE), Kind.NEIGHBOUR, "I1a, I1b");
    assertThat(pair.perIntake()).isEqualTo(1);
    assertThat(pair.perExhaust()).isZero();
    assertThat(pair.mostMm()).isCloseTo(35, within(1e-9));
    SeatPlace seat = job.engine().seats().getFirst();
    PlanStudy study = study(job, seat);
    SizeStudy sizes =
        SizeStudy.of(study, PRACTICE, List.of(shelf(35, 7, 110), shelf(32.5, 7, 110), exhaust()));
    assertThat(sizes.shelf().stream().map(v -> v.fit().valve().headMm()))
        .containsExactly(32.5, 35.0);
    assertThat(sizes.intakeMm()).isEqualTo(32);
    assertThat(sizes.exhaustMm()).isEqualTo(42);
    assertThat(sizes.areaRatio(job)).isCloseTo(42.0 * 42 / (2 * 32 * 32), within(1e-12));
    assertThat(sizes.largestIntake().orElseThrow().by().message().terms().toString())
        .contains("I1");
    assertThat(sizes.tighter().orElseThrow().cylinder()).isEqualTo(2);
    assertThat(sizes.wanted()).isPresent();
    assertThat(sizes.machIndex()).isPresent();
    assertThat(sizes.next().orElseThrow().headMm()).isEqualTo(33);
    // Of each slope one that holds and one that yields, the nearest.
    assertThat(sizes.limits()).hasSizeLessThanOrEqualTo(6);
    assertThat(sizes.limits())
        .allSatisfy(
            shown ->
                assertThat(sizes.room().limits())
                    .filteredOn(
                        l ->
                            l.perIntake() == shown.perIntake()
                                && l.kind().yields() == shown.kind().yields())
                    .allMatch(l -> l.leftMm(32, 42) >= shown.leftMm(32, 42)));
    SeatPlace out = job.seats(Port.EXHAUST).getFirst();
    SizeStudy other = SizeStudy.of(study(job, out), PRACTICE, List.of(exhaust()));
    assertThat(other.wanted()).isEmpty();
    assertThat(other.machIndex()).isEmpty();
    assertThat(other.shelf()).hasSize(1);
  }

  private static ShelfValve exhaust() {
    return new ShelfValve("out", Port.EXHAUST, Samples.plainValve(), 110, 20);
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
  void whatStandsInSeriesIsAtTheJobsDepression() {
    Job job = read(read(JOB, "I1", Measure.MANIFOLD_FLOW, 0.08), "I1", Measure.THROTTLE_FLOW, 0.1);
    var curve = Samples.found(job).curve().orElseThrow();
    SeatInSeries at28 = SeatInSeries.of(job, I1, curve);
    assertThat(at28.lifts()).hasSize(curve.points().size());
    InSeries high = at28.lifts().getLast().series();
    assertThat(high.passages())
        .extracting(InSeries.Passage::part)
        .containsExactly(InSeries.Part.PORT, InSeries.Part.MANIFOLD, InSeries.Part.THROTTLE);
    assertThat(high.passages().get(1).aloneM3s()).isCloseTo(0.08, within(1e-9));
    assertThat(high.passages().getFirst().aloneM3s()).isEqualTo(curve.points().getLast().flowM3s());
    // At a quarter of the depression half of it flows.
    Job quarter = job.withTest(job.test().withDepressionPa(7 * 249.08891));
    assertThat(SeatInSeries.measured(quarter, I1).getFirst().aloneM3s())
        .isCloseTo(0.04, within(1e-9));
    assertThat(SeatInSeries.measured(JOB, I1)).isEmpty();
    assertThat(InSeries.Part.THROTTLE.code()).isEqualTo("series.throttle");
    assertThat(PortRatio.of(JOB.engine(), curve, curve)).allMatch(r -> r.share() == 1);
    assertThat(
            PortRatio.of(
                    JOB.engine().withExhaustsPerCylinder(2).withIntakesPerCylinder(3), curve, curve)
                .getFirst()
                .share())
        .isCloseTo(2.0 / 3, within(1e-12));
  }

  @Test
  void theChamberWallIsNearestWhereItWasReadNearest() {
    Job job = placed();
    for (Measure wall : Measure.CHAMBER_WALL) {
      job = read(job, "I1", wall, 3);
    }
    job = read(job, "I1", Measure.CHAMBER_DEPTH, 9);
    double head = job.foundValve(I1).headDiameterMm();
    assertThat(limit(SizeRoom.of(job, 1, PRACTICE), Kind.CHAMBER_WALL, "I1").mostMm())
        .isCloseTo(head + 2 * 3, within(1e-6));
    Job near = read(job, "I1", Measure.WALL_3, 1.6);
    SizeLimit wall = limit(SizeRoom.of(near, 1, PRACTICE), Kind.CHAMBER_WALL, "I1");
    assertThat(wall.mostMm()).isCloseTo(head + 2 * 1.6, within(1e-6));
    assertThat(wall.kind().yields()).isTrue();
  }

  @Test
  void thePlugLiesOffTheAxisBothWays() {
    HeadLayout layout = new HeadLayout(1, 100, 88, 90, 24, 5, 14, 0, 0);
    Job job = placed().withHead(placed().head().withLayout(Optional.of(layout)));
    SizeRoom room = SizeRoom.of(job, 1, PRACTICE);
    assertThat(limit(room, Kind.PLUG, "I1").mostMm())
        .isCloseTo(2 * (Math.hypot(24, 26) - 7), within(1e-9));
    assertThat(limit(room, Kind.PLUG, "E1").mostMm())
        .isCloseTo(2 * (Math.hypot(24, 17) - 7), within(1e-9));
    assertThat(SizeRoom.of(placed(), 1, PRACTICE).limits())
        .extracting(SizeLimit::kind)
        .doesNotContain(Kind.PLUG, Kind.FIRE_RING);
  }

  @Test
  void oneSpacingIsSaidOfOnePairAlone() {
    Practice keeping = keeping(ReadingKind.BORE_WALL, 0.8);
    assertThat(limit(SizeRoom.of(JOB, 1, keeping), Kind.BORE, "I1").mostMm())
        .isCloseTo(2 * (43 - 20 - 0.8), within(1e-9));
    Job two = JOB.withEngine(JOB.engine().withIntakesPerCylinder(2));
    assertThat(SizeRoom.of(two, 1, PRACTICE).limits())
        .extracting(SizeLimit::kind)
        .containsOnly(Kind.BORE);
  }

  @Test
  void whatIsBrokenIsToldTheWorstFirstAndBothHeadsGrowTheirOwnWay() {
    SizeRoom room = SizeRoom.of(JOB, 1, PRACTICE);
    // 46 a bore's head, 44 both on average.
    List<SizeLimit> broken = room.broken(47, 60);
    assertThat(broken.stream().map(l -> l.leftMm(47, 60)).toList())
        .isSorted()
        .hasSizeGreaterThan(2)
        .doesNotHaveDuplicates();
    assertThat(broken.getFirst().where()).isEqualTo("E1");
    SizeRoom.Largest both = room.largest(42, 40, 1, 0.5).orElseThrow();
    // (44 - 41) / 0.75 = 4, and 46 - 42 = 4 as well; the first of them is named.
    assertThat(both.intakeMm()).isCloseTo(46, within(1e-9));
    assertThat(both.exhaustMm()).isCloseTo(42, within(1e-9));
    assertThat(both.by().kind()).isEqualTo(Kind.BORE);
  }

  @Test
  void whatYieldsToACutterIsToldAndDoesNotRuleOut() {
    Practice walls = keeping(ReadingKind.RING_WALL, 1.5);
    ShelfFit fit = ShelfFit.of(JOB, I1, SizeRoom.of(JOB, 1, walls), walls, shelf(42, 7, 110));
    assertThat(fit.broken()).extracting(SizeLimit::kind).containsExactly(Kind.RINGS);
    assertThat(fit.fits()).isTrue();
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
        fit.price());
  }

  @Test
  void theNearestLimitOfEachSlopeIsShown() {
    Job job = twoIntakes();
    SeatPlace seat = job.engine().seats().getFirst();
    PlanStudy study = study(job, seat);
    SizeStudy sizes =
        SizeStudy.of(study, PRACTICE, List.of(shelf(34.5, 7, 110), shelf(29.9, 7, 110)));
    // 2.1 and 2.5 from the planned head of 32.
    assertThat(sizes.shelf().stream().map(v -> v.fit().valve().headMm()))
        .containsExactly(29.9, 34.5);
    List<SizeLimit> nearest = new ArrayList<>();
    for (double share : new double[] {0, 0.5, 1}) {
      for (boolean yields : new boolean[] {false, true}) {
        SizeLimit best = null;
        for (SizeLimit l : sizes.room().limits()) {
          if (l.perIntake() == share
              && l.kind().yields() == yields
              && (best == null || l.leftMm(32, 42) < best.leftMm(32, 42))) {
            best = l;
          }
        }
        if (best != null) {
          nearest.add(best);
        }
      }
    }
    assertThat(sizes.limits()).isEqualTo(nearest).hasSizeGreaterThan(3);
    Job three = job.withEngine(job.engine().withExhaustsPerCylinder(3));
    assertThat(sizes.areaRatio(three)).isCloseTo(3 * 42.0 * 42 / (2 * 32 * 32), within(1e-12));
  }
}
