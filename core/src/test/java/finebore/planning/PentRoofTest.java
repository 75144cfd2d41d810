package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.found.Measure;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.room.Room;
import finebore.sizes.SizeLimit;
import finebore.sizes.SizeRoom;
import finebore.valve.Valve;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Rotation;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/**
 * A four-valve cylinder under a pent roof whose valves lie at places made up first: what a caliper
 * finds on it is sampled in space, given to the program, and the places come back.
 */
class PentRoofTest {

  private static final double BORE = 92;
  private static final double LEAN = 22;
  private static final Map<String, double[]> PLACES =
      Map.of(
          "I1a", new double[] {-18.4, -15.2},
          "I1b", new double[] {18.6, -15.1},
          "E1a", new double[] {-16.3, 16.2},
          "E1b", new double[] {16.1, 16.4});

  private static final Job JOB = job();

  private static Job job() {
    Job job =
        Samples.job()
            .withEngine(
                new Engine(
                    1, 2, 2, BORE, 86, 6500, OptionalDouble.empty(), OptionalDouble.empty()));
    job = job.withIntake(headed(job.intake(), 34)).withExhaust(headed(job.exhaust(), 29));
    return job.withHead(
        job.head().withLayout(Optional.of(new HeadLayout(1, 100, 98, 90, 0, 0, 14, LEAN, -LEAN))));
  }

  private static finebore.job.Group headed(finebore.job.Group group, double headMm) {
    Valve valve = group.found().valve().withHeadDiameterMm(headMm);
    var pairing =
        group
            .found()
            .withValve(valve)
            .withSeat(
                group
                    .found()
                    .seat()
                    .withThroatDiameter(0.85 * headMm)
                    .withBowl(0.9 * headMm, group.found().seat().bowlDepthMm())
                    .withOutsideDiameterMm(headMm - 0.5));
    return group
        .withFound(pairing)
        .withPlans(java.util.List.of(Plans.of(pairing)))
        .withChosen(0)
        .withAxisFromBoreMm(OptionalDouble.empty());
  }

  private static final class Plans {
    static finebore.job.Plan of(finebore.valve.Pairing pairing) {
      return finebore.job.Plan.usual(pairing);
    }
  }

  private static SeatPlace seat(String label) {
    return JOB.engine().seats().stream()
        .filter(s -> s.label().equals(label))
        .findFirst()
        .orElseThrow();
  }

  /** The edge that is seen, in space, in small steps. */
  private static Vector3D[] rim(String label) {
    double[] at = PLACES.get(label);
    Valve valve = JOB.foundValve(seat(label));
    double lean = label.startsWith("I") ? LEAN : -LEAN;
    Vector3D axis = new Vector3D(0, Math.tan(Math.toRadians(lean)), 1).normalize();
    Rotation turn = new Rotation(Vector3D.PLUS_K, axis);
    double out = -JOB.foundSeat(seat(label)).seat().depthMm() + valve.marginMm();
    Vector3D middle = new Vector3D(at[0], at[1], 0).add(axis.scalarMultiply(out));
    Vector3D[] points = new Vector3D[1440];
    for (int k = 0; k < points.length; k++) {
      double angle = 2 * Math.PI * k / points.length;
      points[k] =
          turn.applyTo(new Vector3D(Math.cos(angle), Math.sin(angle), 0))
              .scalarMultiply(valve.headDiameterMm() / 2)
              .add(middle);
    }
    return points;
  }

  private static double toBore(String label) {
    double far = 0;
    for (Vector3D p : rim(label)) {
      far = Math.max(far, Math.hypot(p.getX(), p.getY()));
    }
    return BORE / 2 - far;
  }

  private static double between(String a, String b) {
    double least = Double.POSITIVE_INFINITY;
    Vector3D[] others = rim(b);
    for (Vector3D p : rim(a)) {
      for (Vector3D q : others) {
        least = Math.min(least, p.distance(q));
      }
    }
    return least;
  }

  private static Job with(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  private static Job calipered() {
    Job job = JOB;
    for (String label : PLACES.keySet()) {
      job = with(job, label, Measure.GAP_TO_BORE, toBore(label));
    }
    job = with(job, "I1a", Measure.EDGE_TO_INTAKE_B, between("I1a", "I1b"));
    job = with(job, "E1a", Measure.EDGE_TO_EXHAUST_B, between("E1a", "E1b"));
    job = with(job, "I1a", Measure.EDGE_TO_EXHAUST_A, between("I1a", "E1a"));
    job = with(job, "I1b", Measure.EDGE_TO_EXHAUST_B, between("I1b", "E1b"));
    job = with(job, "I1a", Measure.EDGE_TO_EXHAUST_B, between("I1a", "E1b"));
    return with(job, "I1a", Measure.AXIS_ALONG, PLACES.get("I1a")[0]);
  }

  /** Upright valves, ten distances, no coordinate: what is free is said, and what settles it. */
  @Test
  void distancesAloneLeaveTheCylinderFreeToTurn() {
    Job upright = JOB.withHead(Head.UNKNOWN);
    double[][] at = {{-18.4, -15.2}, {18.6, -15.1}, {-16.3, 16.2}, {16.1, 16.4}};
    List<String> labels = List.of("I1a", "I1b", "E1a", "E1b");
    List<List<Measure>> centres = List.of(Measure.CENTRES_TO_INTAKE, Measure.CENTRES_TO_EXHAUST);
    Job job = upright;
    for (int k = 0; k < 4; k++) {
      double radius = job.foundValve(seat(labels.get(k))).headDiameterMm() / 2;
      job =
          with(
              job,
              labels.get(k),
              Measure.GAP_TO_BORE,
              BORE / 2 - radius - Math.hypot(at[k][0], at[k][1]));
      for (int other = k + 1; other < 4; other++) {
        job =
            with(
                job,
                labels.get(k),
                centres.get(other / 2).get(other % 2),
                Math.hypot(at[k][0] - at[other][0], at[k][1] - at[other][1]));
      }
    }
    SeatPlaces free = SeatPlaces.of(job, 1);
    assertThat(free.turnsFree()).isTrue();
    assertThat(labels).allMatch(l -> free.lacksOne(seat(l)));
    // One distance less, and more than the turn is free.
    Job less =
        job.withHead(
            job.head()
                .withReading("I1a", Measure.GAP_TO_BORE, OptionalDouble.empty())
                .withReading("I1b", Measure.GAP_TO_BORE, OptionalDouble.empty())
                .withReading("E1a", Measure.GAP_TO_BORE, OptionalDouble.empty()));
    assertThat(SeatPlaces.of(less, 1).turnsFree()).isFalse();

    SeatPlaces one = SeatPlaces.of(with(job, "E1b", Measure.AXIS_ALONG, 16.1), 1);
    assertThat(one.turnsFree()).isFalse();
    for (int k = 0; k < 4; k++) {
      var told = one.at(seat(labels.get(k))).orElseThrow();
      assertThat(told.alongMm()).isCloseTo(at[k][0], within(0.01));
      assertThat(told.acrossMm()).isCloseTo(at[k][1], within(0.01));
    }
    // The choice bends nothing that a coordinate tells.
    Job both = with(job.withHead(job.head().withSymmetric(true)), "E1b", Measure.AXIS_ALONG, 16.1);
    assertThat(SeatPlaces.of(both, 1).takenAsSymmetric()).isFalse();
    labels.forEach(l -> assertThat(SeatPlaces.of(both, 1).at(seat(l))).isEqualTo(one.at(seat(l))));
    // Turned by what brings the pairs level: their distances stay what was read.
    SeatPlaces symmetric = SeatPlaces.of(job.withHead(job.head().withSymmetric(true)), 1);
    assertThat(symmetric.takenAsSymmetric()).isTrue();
    assertThat(symmetric.turnsFree()).isFalse();
    double level = 0;
    for (int k = 0; k < 4; k += 2) {
      var a = symmetric.at(seat(labels.get(k))).orElseThrow();
      var b = symmetric.at(seat(labels.get(k + 1))).orElseThrow();
      level += a.acrossMm() - b.acrossMm();
      assertThat(Math.hypot(a.alongMm() - b.alongMm(), a.acrossMm() - b.acrossMm()))
          .isCloseTo(Math.hypot(at[k][0] - at[k + 1][0], at[k][1] - at[k + 1][1]), within(0.01));
    }
    assertThat(level).isCloseTo(0, within(1e-3));
  }

  @Test
  void exactCaliperReadingsGiveThePlacesBack() {
    Job job = calipered();
    SeatPlaces places = SeatPlaces.of(job, 1);
    for (var place : PLACES.entrySet()) {
      var at = places.at(seat(place.getKey())).orElseThrow();
      assertThat(at.alongMm()).as(place.getKey()).isCloseTo(place.getValue()[0], within(0.01));
      assertThat(at.acrossMm()).as(place.getKey()).isCloseTo(place.getValue()[1], within(0.01));
    }
    assertThat(places.told())
        .allSatisfy(t -> assertThat(t.followsMm()).isCloseTo(t.measuredMm(), within(0.01)));
  }

  /** The largest head just touches: a sampled one of that size does, on its way to the lift. */
  @Test
  void theLargestHeadIsTheOneThatTouchesTheBore() {
    Job job = calipered();
    SeatPlace seat = seat("I1a");
    SizeLimit limit =
        SizeRoom.of(job, 1, Samples.practice()).limits().stream()
            .filter(l -> l.kind() == SizeLimit.Kind.BORE && l.where().equals("I1a"))
            .findFirst()
            .orElseThrow();
    Room room = SeatRoom.found(job, seat).orElseThrow();
    Valve valve = job.planOf(seat).wanted().valve();
    double kept =
        Samples.practice()
            .wanted(finebore.job.Port.INTAKE, finebore.study.ReadingKind.BORE_WALL)
            .flatMap(r -> r.min().stream().boxed().findFirst())
            .orElse(0.0);
    double lift = job.intake().cam().maxLiftMm();
    assertThat(
            room.head(limit.mostMm() / 2, SeatRoom.shutMm(job, seat), valve.marginMm())
                .leastToBoreMm(BORE, lift))
        .isCloseTo(kept, within(0.01));
  }

  /** A gap that was read stands again where it was read, whichever way the valve leans. */
  @Test
  void aWallIsWhereItWasRead() {
    Job job = calipered();
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k += 3) {
      job = with(job, "I1b", Measure.CHAMBER_WALL.get(k), 1 + 0.13 * k);
    }
    Room room = SeatRoom.found(job, seat("I1b")).orElseThrow();
    var seen = SeatRoom.headAsFound(job, seat("I1b"), room).seen();
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k += 3) {
      double angle = 2 * Math.PI * k / Measure.CHAMBER_WALL.size();
      double to =
          room.chamber()
              .orElseThrow()
              .fromMm(seen.alongMm() - room.alongMm(), seen.acrossMm() - room.acrossMm(), angle);
      assertThat(to - seen.reachMm(Math.sin(angle), Math.cos(angle)))
          .as("hour " + k / 2.0)
          .isCloseTo(1 + 0.13 * k, within(1e-6));
    }
  }
}
