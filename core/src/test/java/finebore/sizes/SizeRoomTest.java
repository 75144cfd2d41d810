package finebore.sizes;

import static finebore.sizes.SizeSamples.I1;
import static finebore.sizes.SizeSamples.JOB;
import static finebore.sizes.SizeSamples.PRACTICE;
import static finebore.sizes.SizeSamples.exhaust;
import static finebore.sizes.SizeSamples.keeping;
import static finebore.sizes.SizeSamples.read;
import static finebore.sizes.SizeSamples.shelf;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.finding.Basis;
import finebore.flow.Calibration;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.sizes.SizeLimit.Kind;
import finebore.sizes.SizeLimit.Known;
import finebore.space.ValveHead;
import finebore.study.ReadingKind;
import finebore.valve.Pairing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What holds the heads of two valves: bore, plug, chamber, each other. */
class SizeRoomTest {

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
    assertThat(limit(room, Kind.BORE, "I1").mostMm()).isCloseTo(2 * (43 - 21 - 0.8), within(1e-5));
    assertThat(limit(room, Kind.NEIGHBOUR, "I1, E1").mostMm()).isCloseTo(43, within(1e-5));
    // The fire ring of 88 less the shop's margin of 1.
    assertThat(limit(room, Kind.FIRE_RING, "I1").mostMm())
        .isCloseTo(2 * (44 - 21 - 1), within(1e-5));
    assertThat(limit(room, Kind.PLUG, "I1").mostMm())
        .isCloseTo(2 * (Math.hypot(21, 24) - 7), within(1e-5));
    assertThat(room.limits()).allMatch(l -> l.known() == Known.MEASURED);
  }

  /** A valve that leans outward comes nearer to the bore as it opens. */
  @Test
  void aLeaningValvesLimitIsWhereItGetsTo() {
    Job leaning = read(placed(), "I1", Measure.LEAN_ACROSS, -15);
    double shut = -leaning.foundSeat(I1).seat().depthMm();
    double sin = Math.sin(Math.toRadians(15));
    double cos = Math.cos(Math.toRadians(15));
    double out = shut + 10.5 + leaning.planOf(I1).wanted().valve().marginMm();
    SizeRoom room = SizeRoom.of(leaning, 1, PRACTICE);
    assertThat(limit(room, Kind.BORE, "I1").mostMm())
        .isCloseTo(2 * (43 - 21 - out * sin) / cos, within(1e-5));
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
    assertThat(new SizeRoom(1, java.util.List.of(), java.util.List.of()).largest(1, 1, 1, 1))
        .isEmpty();
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

  /** Of the size that just fits, either touches the other somewhere on its way and no more. */
  @ParameterizedTest
  @ValueSource(doubles = {15, -15})
  void neighboursAreHeldWhereTheyComeNearest(double lean) {
    Job leaning = read(placed(), "I1", Measure.LEAN_ACROSS, lean);
    SeatPlace exhaustSeat = leaning.seats(Port.EXHAUST).getFirst();
    double most = limit(SizeRoom.of(leaning, 1, PRACTICE), Kind.NEIGHBOUR, "I1, E1").mostMm();
    double mean =
        (leaning.planOf(I1).wanted().valve().headDiameterMm()
                + leaning.planOf(exhaustSeat).wanted().valve().headDiameterMm())
            / 2;
    ValveHead intake = head(leaning, I1, -21, lean, most - mean);
    ValveHead exhaust = head(leaning, exhaustSeat, 22, 0, most - mean);
    assertThat(Math.min(intake.leastToShutMm(exhaust, 10.5), exhaust.leastToShutMm(intake, 10.5)))
        .isCloseTo(0, within(1e-3));
  }

  private static ValveHead head(Job job, SeatPlace seat, double across, double lean, double more) {
    var valve = job.planOf(seat).wanted().valve();
    return new ValveHead(
        0,
        across,
        0,
        lean,
        (valve.headDiameterMm() + more) / 2,
        -job.foundSeat(seat).seat().depthMm(),
        valve.marginMm());
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
        .isCloseTo(2 * (Math.hypot(24, 26) - 7), within(1e-5));
    assertThat(limit(room, Kind.PLUG, "E1").mostMm())
        .isCloseTo(2 * (Math.hypot(24, 17) - 7), within(1e-5));
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

  /** Where nobody has measured anything, all that is known is that both stand in one bore. */
  @Test
  void roomNobodyMeasuredIsNoRoom() {
    Job job =
        Samples.job()
            .withHead(Head.UNKNOWN)
            .withIntake(Samples.job().intake().withAxisFromBoreMm(OptionalDouble.empty()))
            .withExhaust(Samples.job().exhaust().withAxisFromBoreMm(OptionalDouble.empty()));
    job = job.withEngine(job.engine().withBoreMm(84).withValveSpacingMm(OptionalDouble.empty()));
    SizeRoom room = SizeRoom.of(job, 1, Samples.practice());
    assertThat(room.isMeasured(Port.INTAKE)).isFalse();
    assertThat(room.isMeasured(Port.EXHAUST)).isFalse();
    assertThat(room.unmeasured()).hasSize(3);
    assertThat(room.broken(51.3, 36)).hasSize(1);
    assertThat(room.broken(48.001, 36)).hasSize(1);
    assertThat(room.broken(47.999, 36)).isEmpty();
    assertThat(room.largest(42, 36, 1, 0).orElseThrow().intakeMm()).isCloseTo(48, within(1e-9));
    // With the axes' distances it is measured, and they hold first.
    Job told =
        job.withEngine(job.engine().withValveSpacingMm(OptionalDouble.of(42)))
            .withIntake(job.intake().withAxisFromBoreMm(OptionalDouble.of(20)))
            .withExhaust(job.exhaust().withAxisFromBoreMm(OptionalDouble.of(22)));
    SizeRoom known = SizeRoom.of(told, 1, Samples.practice());
    assertThat(known.unmeasured()).isEmpty();
    assertThat(known.isMeasured(Port.INTAKE)).isTrue();
    assertThat(known.largest(42, 36, 1, 0).orElseThrow().by().known())
        .isEqualTo(SizeLimit.Known.PARALLEL);
  }

  /** A leaning head reaches less far across the bore. */
  @Test
  void leaningHeadsReachLessFar() {
    Job job = Samples.job().withHead(Head.UNKNOWN);
    job = job.withEngine(job.engine().withValveSpacingMm(OptionalDouble.empty()));
    HeadLayout layout = new HeadLayout(1, 100, 88, 90, 24, 5, 14, 25, -20);
    Job leaning = job.withHead(job.head().withLayout(Optional.of(layout)));
    SizeLimit bore =
        SizeRoom.of(leaning, 1, Samples.practice()).limits().stream()
            .filter(l -> l.known() == SizeLimit.Known.BORE_ALONE)
            .findFirst()
            .orElseThrow();
    assertThat(bore.perIntake()).isCloseTo(Math.cos(Math.toRadians(25)) / 2, within(1e-12));
    assertThat(bore.perExhaust()).isCloseTo(Math.cos(Math.toRadians(20)) / 2, within(1e-12));
    assertThat(bore.mostMm()).isEqualTo(job.engine().boreMm() / 2);
  }
}
