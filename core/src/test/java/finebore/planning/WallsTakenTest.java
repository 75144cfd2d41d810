package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.cutting.TakeWallBack;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.practice.Finding;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.room.ChamberWall;
import finebore.room.Room;
import finebore.rules.PlanFindings;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WallsTakenTest {

  private static final SeatPlace I1 = Samples.job().engine().seats().getFirst();

  /** The 42 mm valve 20 mm off the middle of an 86 bore, its wall 1.5 mm away, 9 deep. */
  private static Job job() {
    Job job = Samples.job();
    job = read(job, Measure.AXIS_ALONG, 0);
    job = read(job, Measure.AXIS_ACROSS, -20);
    job = read(job, Measure.CHAMBER_DEPTH, 9);
    for (Measure wall : Measure.CHAMBER_WALL) {
      job = read(job, wall, 1.5);
    }
    return job.withHead(
        job.head()
            .withLayout(Optional.of(new HeadLayout(1, 100, 90, 90, 20, 0, 14, 0, 0)))
            .withCompressionRatio(OptionalDouble.of(10)));
  }

  private static Job read(Job job, Measure measure, double value) {
    return job.withHead(job.head().withReading("I1", measure, OptionalDouble.of(value)));
  }

  private static Plan with(Job job, TakeWallBack... taken) {
    return job.planOf(I1).withOperations(List.of(taken));
  }

  private static ChamberWall planned(Job job, Plan plan) {
    return SeatRoom.planned(job, I1, plan).flatMap(Room::chamber).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "3, 6, 4.5, true",
    "3, 6, 3, true",
    "3, 6, 6, true",
    "3, 6, 6.01, false",
    "3, 6, 2.99, false",
    "10, 2, 0, true",
    "10, 2, 11.9, true",
    "10, 2, 2.1, false",
    "0, 12, 7, true",
    "5, 5, 11, true"
  })
  void itWorksClockwiseFromWhereItBegins(double from, double to, double hour, boolean is) {
    assertThat(new TakeWallBack(from, to, 25).isAt(hour)).isEqualTo(is);
  }

  @Test
  void theWallGoesBackWhereItIsTakenAndNowhereElse() {
    Job job = job();
    ChamberWall wall = planned(job, with(job, new TakeWallBack(3, 6, 24)));
    assertThat(wall.atMm(27)).isEqualTo(24);
    assertThat(wall.atMm(0)).isCloseTo(22.5, within(1e-12));
    // What already stands further back stays.
    assertThat(planned(job, with(job, new TakeWallBack(3, 6, 22))).atMm(27))
        .isCloseTo(22.5, within(1e-12));
  }

  /** A ring of metal: pi (24^2 - 22.5^2) x 9 for all round. */
  @Test
  void chamberAndRatioFollow() {
    Job job = job();
    Plan plan = with(job, new TakeWallBack(0, 12, 24));
    SeatOutcome before = SeatOutcome.of(job, I1, with(job));
    SeatOutcome after = SeatOutcome.of(job, I1, plan);
    double ring = Math.PI * (24 * 24 - 22.5 * 22.5) * 9;
    double grown =
        after.reading(ReadingKind.CHAMBER).orElseThrow()
            - before.reading(ReadingKind.CHAMBER).orElseThrow();
    assertThat(grown).isCloseTo(ring, within(1e-6));
    double swept = Math.PI / 4 * 86 * 86 * 86;
    double change = before.reading(ReadingKind.CHAMBER).orElseThrow();
    // E1 follows a plan of its own that changes nothing.
    assertThat(after.reading(ReadingKind.COMPRESSION).orElseThrow())
        .isCloseTo(1 + swept / (swept / 9 + change + ring), within(1e-6));
    // The seat's section is as it was.
    assertThat(after.cut().fit().restMm()).isEqualTo(before.cut().fit().restMm());
    assertThat(
            after.reading(ReadingKind.REMOVED).orElseThrow()
                - before.reading(ReadingKind.REMOVED).orElseThrow())
        .isCloseTo(ring, within(1e-6));
  }

  /** A quarter of the clock is a quarter of the ring, told at the operation and at the chamber. */
  @ParameterizedTest
  @CsvSource({"3, 6, 3", "10.2, 1.4, 3.2", "2.02, 2.05, 0.03", "0, 12, 12"})
  void whatAnOperationTakesEndsWhereItEnds(double from, double to, double hours) {
    Job job = job();
    Plan plan = with(job, new TakeWallBack(from, to, 24));
    SeatOutcome after = SeatOutcome.of(job, I1, plan);
    double ring = Math.PI * (24 * 24 - 22.5 * 22.5) * 9;
    assertThat(after.cut().cutting().steps().getFirst().removedMm3())
        .isCloseTo(ring * hours / 12, within(0.01));
    double grown =
        after.reading(ReadingKind.CHAMBER).orElseThrow()
            - SeatOutcome.of(job, I1, with(job)).reading(ReadingKind.CHAMBER).orElseThrow();
    assertThat(grown).isCloseTo(ring * hours / 12, within(0.01));
    // A second cut of the same takes nothing more, one that overlaps only what is left.
    Plan twice = with(job, new TakeWallBack(from, to, 24), new TakeWallBack(from, to, 24));
    assertThat(SeatOutcome.of(job, I1, twice).cut().cutting().steps().get(1).removedMm3())
        .isCloseTo(0, within(1e-6));
  }

  @Test
  void pastTheFireRingIsAFault() {
    Job job = job();
    // At 6 the ring is 45 - 20 = 25 from the axis.
    assertThat(codes(job, new TakeWallBack(5, 7, 24.9))).doesNotContain(FindingCode.PAST_FIRE_RING);
    assertThat(codes(job, new TakeWallBack(5, 7, 25.1))).contains(FindingCode.PAST_FIRE_RING);
    assertThat(codes(job, new TakeWallBack(11, 1, 25.1)))
        .doesNotContain(FindingCode.PAST_FIRE_RING);
  }

  private static List<FindingCode> codes(Job job, TakeWallBack taken) {
    return PlanFindings.of(SeatOutcome.of(job, I1, with(job, taken)), Samples.practice()).stream()
        .map(Finding::code)
        .toList();
  }

  @Test
  void takingAWallBackNeverCostsFlow() {
    Job job = job();
    var found = Samples.found(job);
    double least = -1;
    for (double mm : new double[] {22.5, 23, 24, 25}) {
      var study = PlanStudy.of(job, I1, with(job, new TakeWallBack(0, 12, mm)), found);
      double flow = study.finished().curve().orElseThrow().flowAt(11);
      assertThat(flow).isGreaterThanOrEqualTo(least);
      least = flow;
    }
  }

  @Test
  void whatIsProposedTakesTheWallWhereItCosts() {
    Job job = job();
    var fit = SeatOutcome.of(job, I1, with(job)).cut().fit();
    RoomAtLift at =
        RoomAtLift.of(job, I1, SeatRoom.found(job, I1).orElseThrow(), fit, 10.5).orElseThrow();
    TakeWallBack wanted = at.wanted().orElseThrow();
    for (int d = 0; d < at.back().size(); d++) {
      if (at.back().get(d).takeMm() >= RoomAtLift.SLIGHT_MM) {
        assertThat(wanted.isAt(d / 6.0)).as("direction %d", d).isTrue();
      }
      if (wanted.isAt(d / 6.0)) {
        assertThat(wanted.wallMm()).isLessThanOrEqualTo(at.back().get(d).limitMm());
      }
    }
    assertThat(codes(job, wanted)).doesNotContain(FindingCode.PAST_FIRE_RING);
  }

  private static ChamberOutline circle(double across, double radius, int corners) {
    List<Corner> line = new ArrayList<>();
    for (int k = 0; k < corners; k++) {
      double angle = 2 * Math.PI * k / corners;
      line.add(new Corner(radius * Math.sin(angle), across + radius * Math.cos(angle)));
    }
    return new ChamberOutline(1, line);
  }

  @Test
  void aTracedOutlineIsTheWallRoundEachValve() {
    Job job = job();
    // The same wall as the gaps say, as a circle of 720 corners about the valve.
    Job traced = job.withHead(job.head().withChamber(1, Optional.of(circle(-20, 22.5, 720))));
    ChamberWall wall = SeatRoom.found(traced, I1).flatMap(Room::chamber).orElseThrow();
    for (int d = 0; d < 72; d++) {
      assertThat(wall.atMm(d)).isCloseTo(22.5, within(1e-3));
    }
    assertThat(traced.head().chamber(1).orElseThrow().areaMm2())
        .isCloseTo(Math.PI * 22.5 * 22.5, within(0.1));
    // Without gaps too.
    Job bare = Samples.job();
    bare = read(read(bare, Measure.AXIS_ALONG, 0), Measure.AXIS_ACROSS, -20);
    bare = bare.withHead(bare.head().withChamber(1, Optional.of(circle(0, 43, 4))));
    assertThat(SeatRoom.found(bare, I1).flatMap(Room::chamber).orElseThrow().atMm(36))
        .isCloseTo(23, within(1e-9));
    // A valve outside it has no wall from it.
    Job outside = bare.withHead(bare.head().withChamber(1, Optional.of(circle(30, 20, 12))));
    assertThat(SeatRoom.found(outside, I1).flatMap(Room::chamber)).isEmpty();
  }

  @Test
  void aValveOutsideItsOutlineAndGapsThatDoNotFitItAreNamed() {
    Job job = job();
    Job traced = job.withHead(job.head().withChamber(1, Optional.of(circle(-20, 22.5, 720))));
    assertThat(ofPlaces(traced)).isEmpty();
    // The gap of 1.5 against one of 1.99, and of 2.01.
    Job near = job.withHead(job.head().withChamber(1, Optional.of(circle(-20, 22.99, 720))));
    assertThat(ofPlaces(near)).isEmpty();
    Job off = job.withHead(job.head().withChamber(1, Optional.of(circle(-20, 23.02, 720))));
    assertThat(ofPlaces(off)).hasSize(24).containsOnly(FindingCode.PLACES_DISAGREE);
    Job outside = job.withHead(job.head().withChamber(1, Optional.of(circle(30, 10, 24))));
    assertThat(ofPlaces(outside)).containsExactly(FindingCode.OUTSIDE_OUTLINE);
  }

  private static List<FindingCode> ofPlaces(Job job) {
    return finebore.rules.HeadFindings.of(job, Samples.practice()).stream()
        .filter(f -> f.seat().equals("I1"))
        .map(Finding::code)
        .filter(c -> c == FindingCode.PLACES_DISAGREE || c == FindingCode.OUTSIDE_OUTLINE)
        .toList();
  }

  @Test
  void anOutlineThatCannotBeSaysWhy() {
    Corner a = new Corner(0, 0);
    Corner b = new Corner(10, 0);
    Corner c = new Corner(10, 10);
    Corner d = new Corner(0, 10);
    assertThat(new ChamberOutline(1, List.of(a, b, b, c, d, a)).corners())
        .containsExactly(a, b, c, d);
    assertThatThrownBy(() -> new ChamberOutline(1, List.of(a, c, b, d)))
        .isInstanceOf(RuleViolation.class)
        .hasMessageContaining("outlineCrosses");
    assertThatThrownBy(() -> new ChamberOutline(1, List.of(a, b, c, a)))
        .hasMessageContaining("outlineSize");
    assertThatThrownBy(() -> new Corner(301, 0)).hasMessageContaining("outlineAlong");
    Job job = Samples.job();
    ChamberOutline one = new ChamberOutline(1, List.of(a, b, c, d));
    assertThatThrownBy(() -> job.head().withChambers(List.of(one, one)))
        .hasMessageContaining("outlineTwice");
    assertThat(
            job.head().withChamber(1, Optional.of(one)).withChamber(1, Optional.empty()).chambers())
        .isEmpty();
  }

  @Test
  void aWallUnderTheMouseComesToTheSameAsOneThatIsTyped() {
    Job job = job();
    Plan before = with(job, new TakeWallBack(3, 6, 23));
    Plan after = with(job, new TakeWallBack(4, 7, 24));
    Job changed = job.withPlan(I1, after);
    SeatOutcome pulled = SeatOutcome.of(job, I1, before).with(changed, after);
    assertThat(pulled).isEqualTo(SeatOutcome.of(changed, I1, after));
    assertThat(pulled.reading(ReadingKind.FIRE_RING))
        .isNotEqualTo(SeatOutcome.of(job, I1, before).reading(ReadingKind.FIRE_RING));
    var cutting = SeatOutcome.of(job, I1, before).cut().cutting();
    assertThat(cutting.withWalls(List.of())).isEmpty();
    assertThat(cutting.withWalls(List.of(finebore.cutting.SweepChamber.USUAL))).isEmpty();
  }
}
