package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.finding.FindingCode;
import finebore.found.Measure;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.practice.Finding;
import finebore.rules.HeadFindings;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Places of valves from distances, held against plain geometry of places made up first. */
class SeatPlacesTest {

  private static final double BORE = 86;

  /** A valve each, 42 and 33 mm; nothing read. */
  private static final Job TWO = job(1, 1);

  private static final Job FOUR = job(2, 2);

  private static Job job(int intakes, int exhausts) {
    Job job =
        Samples.job()
            .withEngine(
                new Engine(
                    1,
                    intakes,
                    exhausts,
                    BORE,
                    86,
                    6500,
                    OptionalDouble.empty(),
                    OptionalDouble.empty()));
    return job.withIntake(job.intake().withAxisFromBoreMm(OptionalDouble.empty()))
        .withExhaust(job.exhaust().withAxisFromBoreMm(OptionalDouble.empty()));
  }

  private static Job read(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  private static SeatPlace seat(Job job, String label) {
    return job.engine().seats().stream()
        .filter(s -> s.label().equals(label))
        .findFirst()
        .orElseThrow();
  }

  /** Valves in line along the head, the plug across it. */
  private static Job inLine(Job job) {
    return job.withHead(
        job.head().withLayout(Optional.of(new HeadLayout(1, 95, 90, 0, 0, 25, 14, 0, 0))));
  }

  private static double radius(Job job, String label) {
    return job.foundValve(seat(job, label)).headDiameterMm() / 2;
  }

  private static double gap(Job job, String label, double x, double y) {
    return BORE / 2 - Math.sqrt(x * x + y * y) - radius(job, label);
  }

  private static void assertAt(Job job, String label, double x, double y) {
    SeatPlaces places = SeatPlaces.of(job, 1);
    var at = places.at(seat(job, label)).orElseThrow();
    assertThat(at.alongMm()).as(label).isCloseTo(x, within(2e-3));
    assertThat(at.acrossMm()).as(label).isCloseTo(y, within(2e-3));
    assertThat(places.isWorkedOut(seat(job, label))).isTrue();
    assertThat(places.lacksOne(seat(job, label))).isFalse();
  }

  @Test
  void bothCoordinatesAreTakenAsTheyWereRead() {
    Job job = read(read(TWO, "I1", Measure.AXIS_ALONG, 3.25), "I1", Measure.AXIS_ACROSS, -17.5);
    SeatPlaces places = SeatPlaces.of(job, 1);
    assertThat(places.at(seat(job, "I1")).orElseThrow().alongMm()).isEqualTo(3.25);
    assertThat(places.at(seat(job, "I1")).orElseThrow().acrossMm()).isEqualTo(-17.5);
    assertThat(places.isWorkedOut(seat(job, "I1"))).isFalse();
    assertThat(places.at(seat(job, "E1"))).isEmpty();
    assertThat(places.lacksOne(seat(job, "E1"))).isTrue();
    assertThat(places.told()).isEmpty();
  }

  @Test
  void oneCoordinateAndThreeDistancesTellBothValves() {
    // Intake at (-17, -6), exhaust at (20, -8), the plug on the other side.
    double apart = Math.hypot(37, 2);
    Job job = read(inLine(TWO), "I1", Measure.AXIS_ALONG, -17);
    job = read(job, "I1", Measure.GAP_TO_BORE, gap(job, "I1", -17, -6));
    job = read(job, "E1", Measure.GAP_TO_BORE, gap(job, "E1", 20, -8));
    assertThat(SeatPlaces.of(job, 1).at(seat(job, "E1"))).isEmpty();
    assertThat(SeatPlaces.of(job, 1).lacksOne(seat(job, "E1"))).isTrue();
    assertAt(job, "I1", -17, -6);
    Job caliper =
        read(job, "I1", Measure.EDGE_TO_EXHAUST_A, apart - radius(job, "I1") - radius(job, "E1"));
    assertAt(caliper, "I1", -17, -6);
    assertAt(caliper, "E1", 20, -8);
    // From the exhaust, or between the centres, is as good.
    Job other = read(job, "E1", Measure.CENTRES_TO_INTAKE_A, apart);
    assertAt(other, "E1", 20, -8);
  }

  @Test
  void whatIsSaidOfAllCylindersNeverTellsHowTheValvesAreTurned() {
    Job line = inLine(TWO);
    Job job =
        line.withEngine(line.engine().withValveSpacingMm(OptionalDouble.of(Math.hypot(37, 2))))
            .withIntake(line.intake().withAxisFromBoreMm(OptionalDouble.of(Math.hypot(17, 6))))
            .withExhaust(line.exhaust().withAxisFromBoreMm(OptionalDouble.of(Math.hypot(20, 8))));
    SeatPlaces places = SeatPlaces.of(job, 1);
    assertThat(places.at(seat(job, "I1"))).isEmpty();
    assertThat(places.lacksOne(seat(job, "I1"))).isFalse();
    // With one coordinate it does.
    Job turned = read(job, "I1", Measure.AXIS_ALONG, -17);
    assertAt(turned, "I1", -17, -6);
    assertAt(turned, "E1", 20, -8);
  }

  @Test
  void valvesInOneLineWithTheBoreAreNotToldByDistancesAlongIt() {
    Job job = read(read(TWO, "I1", Measure.AXIS_ALONG, 0), "I1", Measure.AXIS_ACROSS, -19);
    job = read(job, "E1", Measure.GAP_TO_BORE, gap(job, "E1", 0, 20));
    job = read(job, "E1", Measure.CENTRES_TO_INTAKE_A, 39);
    assertThat(SeatPlaces.of(job, 1).at(seat(job, "E1"))).isEmpty();
    assertThat(SeatPlaces.of(job, 1).lacksOne(seat(job, "E1"))).isTrue();
    assertAt(read(job, "E1", Measure.AXIS_ALONG, 0), "E1", 0, 20);
  }

  @Test
  void distancesAreReadWhereTheHeadsLieShutNotAtTheFace() {
    Job leaning =
        TWO.withHead(
            TWO.head()
                .withLayout(
                    Optional.of(TWO.layout().withIntakeTiltDeg(-12).withExhaustTiltDeg(14))));
    double deepI = leaning.foundSeat(seat(leaning, "I1")).seat().depthMm();
    double deepE = leaning.foundSeat(seat(leaning, "E1")).seat().depthMm();
    // At the face (0, -20) and (0, 21); under it, where the heads lie, nearer to the middle.
    double outI = leaning.foundValve(seat(leaning, "I1")).marginMm() - deepI;
    double outE = leaning.foundValve(seat(leaning, "E1")).marginMm() - deepE;
    double leanI = Math.toRadians(-12);
    double leanE = Math.toRadians(14);
    double shutI = -20 + outI * Math.sin(leanI);
    double shutE = 21 + outE * Math.sin(leanE);
    double higher = outE * Math.cos(leanE) - outI * Math.cos(leanI);
    Job job = read(leaning, "I1", Measure.AXIS_ALONG, 0);
    job =
        read(
            job, "I1", Measure.GAP_TO_BORE, BORE / 2 + shutI - radius(job, "I1") * Math.cos(leanI));
    job = read(job, "E1", Measure.AXIS_ALONG, 0);
    job = read(job, "E1", Measure.CENTRES_TO_INTAKE_A, Math.hypot(shutE - shutI, higher));
    assertAt(job, "I1", 0, -20);
    assertAt(job, "E1", 0, 21);
  }

  @Test
  void fourValvesFromOnePlaceAndACaliper() {
    double[][] at = {{-19, -16}, {18.5, -15.5}, {-16, 18}, {15.5, 17}};
    List<String> labels = List.of("I1a", "I1b", "E1a", "E1b");
    Job job = read(read(FOUR, "I1a", Measure.AXIS_ALONG, -19), "I1a", Measure.AXIS_ACROSS, -16);
    for (int k = 1; k < 4; k++) {
      double apart = Math.hypot(at[k][0] - at[0][0], at[k][1] - at[0][1]);
      Measure edge =
          List.of(Measure.EDGE_TO_INTAKE_B, Measure.EDGE_TO_EXHAUST_A, Measure.EDGE_TO_EXHAUST_B)
              .get(k - 1);
      job = read(job, "I1a", edge, apart - radius(job, "I1a") - radius(job, labels.get(k)));
      job =
          read(
              job, labels.get(k), Measure.GAP_TO_BORE, gap(job, labels.get(k), at[k][0], at[k][1]));
    }
    // Diagonally across the bore both readings lie in one direction: that place is not told.
    assertThat(SeatPlaces.of(job, 1).at(seat(job, "E1b"))).isEmpty();
    assertThat(SeatPlaces.of(job, 1).lacksOne(seat(job, "E1b"))).isTrue();
    double apart = Math.hypot(at[3][0] - at[1][0], at[3][1] - at[1][1]);
    job =
        read(job, "E1b", Measure.EDGE_TO_INTAKE_B, apart - radius(job, "E1b") - radius(job, "I1b"));
    for (int k = 1; k < 4; k++) {
      assertAt(job, labels.get(k), at[k][0], at[k][1]);
    }
    assertThat(SeatPlaces.of(job, 1).told())
        .hasSize(7)
        .allSatisfy(t -> assertThat(t.followsMm()).isCloseTo(t.measuredMm(), within(1e-4)));
  }

  @ParameterizedTest
  @CsvSource({"0.49, false", "-0.49, false", "0.51, true", "-0.51, true"})
  void aCaliperThatDoesNotFitThePlacesIsNamed(double off, boolean isNamed) {
    Job job = read(read(TWO, "I1", Measure.AXIS_ALONG, 0), "I1", Measure.AXIS_ACROSS, -19);
    job = read(read(job, "E1", Measure.AXIS_ALONG, 0), "E1", Measure.AXIS_ACROSS, 21);
    double bridge = 40 - radius(job, "I1") - radius(job, "E1");
    job = read(job, "E1", Measure.EDGE_TO_INTAKE_A, bridge + off);
    List<Finding> found =
        HeadFindings.of(job, Samples.practice()).stream()
            .filter(f -> f.code() == FindingCode.PLACES_DISAGREE)
            .toList();
    assertThat(found).hasSize(isNamed ? 1 : 0);
    if (isNamed) {
      assertThat(found.getFirst().seat()).isEqualTo("E1");
      assertThat(found.getFirst().subject().id()).isEqualTo("edgeToIntakeA");
      assertThat(found.getFirst().extent()).isCloseTo(0.51, within(1e-9));
    }
  }

  @Test
  void distancesThatContradictEachOtherAreNamedThoughTheyTellThePlaces() {
    Job job = read(read(TWO, "I1", Measure.AXIS_ALONG, 0), "I1", Measure.AXIS_ACROSS, -19);
    job = read(job, "E1", Measure.AXIS_ALONG, 0);
    job = read(job, "E1", Measure.GAP_TO_BORE, gap(job, "E1", 0, 20));
    job = read(job, "E1", Measure.CENTRES_TO_INTAKE_A, 42);
    // 20 by the one and 23 by the other, the mean of both.
    assertAt(job, "E1", 0, 21.5);
    assertThat(HeadFindings.of(job, Samples.practice()))
        .filteredOn(f -> f.code() == FindingCode.PLACES_DISAGREE)
        .hasSize(2);
  }

  /** The head the other way round: what one coordinate says turns the others along. */
  @Test
  void aMirroredCylinderIsMirroredWhole() {
    double apart = Math.hypot(37, 2);
    Job job = read(inLine(TWO), "I1", Measure.AXIS_ALONG, 17);
    job = read(job, "I1", Measure.GAP_TO_BORE, gap(job, "I1", 17, -6));
    job = read(job, "E1", Measure.GAP_TO_BORE, gap(job, "E1", -20, -8));
    job = read(job, "E1", Measure.CENTRES_TO_INTAKE_A, apart);
    assertAt(job, "I1", 17, -6);
    assertAt(job, "E1", -20, -8);
    // The plug on the other side: so are the valves.
    Job under =
        job.withHead(
            job.head().withLayout(Optional.of(new HeadLayout(1, 95, 90, 0, 0, -25, 14, 0, 0))));
    assertAt(under, "I1", 17, 6);
    assertAt(under, "E1", -20, 8);
  }

  @Test
  void whatReadingsAreOutByComesBackLargerWhereTheyLieInOneLine() {
    Job job = read(read(TWO, "E1", Measure.AXIS_ALONG, 0), "E1", Measure.AXIS_ACROSS, 20);
    // Square to each other: as much as both readings are out by.
    Job square = read(job, "I1", Measure.AXIS_ALONG, 0);
    square = read(square, "I1", Measure.GAP_TO_BORE, gap(square, "I1", 0, -19));
    assertThat(SeatPlaces.of(square, 1).magnified(seat(job, "I1")))
        .isCloseTo(Math.sqrt(2), within(1e-3));
    assertThat(SeatPlaces.of(square, 1).magnified(seat(job, "E1"))).isEqualTo(1);
    // Ten degrees apart, and then five: more than can be borne.
    assertThat(magnified(10)).isBetween(7.9, 8.5);
    assertThat(magnified(5)).isNaN();
  }

  /** Two readings of the intake's place that differ in direction by so much. */
  private static double magnified(double degrees) {
    double x = -19 * Math.sin(Math.toRadians(degrees));
    double y = -19 * Math.cos(Math.toRadians(degrees));
    Job job = read(read(TWO, "E1", Measure.AXIS_ALONG, x), "E1", Measure.AXIS_ACROSS, y + 40);
    job = read(job, "I1", Measure.GAP_TO_BORE, gap(job, "I1", x, y));
    job = read(job, "I1", Measure.CENTRES_TO_EXHAUST_A, 40);
    SeatPlaces places = SeatPlaces.of(job, 1);
    return places.isWorkedOut(seat(job, "I1")) ? places.magnified(seat(job, "I1")) : Double.NaN;
  }

  /** Begun on the wrong side of the bore the distances still lead to the one place that fits. */
  @Test
  void distancesLeadThereFromAfar() {
    Job job = read(read(FOUR, "I1a", Measure.AXIS_ALONG, -19), "I1a", Measure.AXIS_ACROSS, -16);
    job = read(read(job, "E1a", Measure.AXIS_ALONG, 16), "E1a", Measure.AXIS_ACROSS, 18);
    job = read(read(job, "E1b", Measure.AXIS_ALONG, -15), "E1b", Measure.AXIS_ACROSS, 17);
    job = read(job, "I1b", Measure.CENTRES_TO_INTAKE_A, Math.hypot(19 + 18, -16 + 15));
    job = read(job, "I1b", Measure.CENTRES_TO_EXHAUST_A, Math.hypot(16 - 18, 18 + 15));
    job = read(job, "I1b", Measure.CENTRES_TO_EXHAUST_B, Math.hypot(-15 - 18, 17 + 15));
    assertAt(job, "I1b", 18, -15);
  }
}
