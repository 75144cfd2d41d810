package finebore.planning;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.Port;
import finebore.room.AxisPlace;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;

/**
 * Where the valves of one cylinder lie, from whatever was measured: both coordinates as they were
 * read, or else the places that fit the distances best. Of places that are each other's mirror
 * image, which no distance tells apart, those near where the valves are drawn usually are taken.
 */
public final class SeatPlaces {

  /**
   * A distance that was read, beside what follows from the places.
   *
   * @param measure what was read; of what was said of all seats at once, the one nearest to it
   */
  public record Told(SeatPlace seat, Measure measure, double measuredMm, double followsMm) {}

  /** A distance between two valves, or from one to the bore, where other is the seat itself. */
  private record Distance(
      SeatPlace seat,
      SeatPlace other,
      Measure measure,
      double readMm,
      ToDoubleFunction<double[]> follows) {}

  /** A place that is out by more than so many times its readings is not told by them. */
  private static final double MOST_MAGNIFIED = 10;

  /** To begin with, mm. */
  private static final double AWAY_MM = 2;

  private final Job job;
  private final List<SeatPlace> seats;
  private final double[] edges;
  private final double[] asideAlong;
  private final double[] asideAcross;

  /** Along and across of each seat in turn. */
  private final double[] drawn;

  /** Coordinates of valves that lack one at least. */
  private final List<Integer> free = new ArrayList<>();

  private final List<Distance> distances = new ArrayList<>();
  private final List<PlaceFit.Read> alone = new ArrayList<>();
  private final Map<SeatPlace, AxisPlace> places = new HashMap<>();
  private final Map<SeatPlace, Double> workedOut = new HashMap<>();
  private final double[] at;

  private SeatPlaces(Job job, int cylinder) {
    this.job = job;
    seats = job.engine().seats().stream().filter(s -> s.cylinder() == cylinder).toList();
    drawn = new double[2 * seats.size()];
    edges = new double[seats.size()];
    asideAlong = new double[seats.size()];
    asideAcross = new double[seats.size()];
    for (int k = 0; k < seats.size(); k++) {
      coordinates(k, job.head().readingsOf(seats.get(k).label()));
      distances(k, job.head().readingsOf(seats.get(k).label()));
    }
    double[] solved = drawn;
    if (!free.isEmpty() && isReadOfOne()) {
      heads();
      drawWhatIsNotRead();
      List<PlaceFit.Read> read = new ArrayList<>(alone);
      distances.forEach(d -> read.add(new PlaceFit.Read(d.readMm(), d.follows())));
      PlaceFit fit = new PlaceFit(drawn, free, read);
      solved = fit.solved();
      for (int k = 0; k < seats.size(); k++) {
        double magnified =
            free.contains(2 * k) && solved != drawn
                ? fit.magnified(solved, 2 * k, 2 * k + 1)
                : Double.POSITIVE_INFINITY;
        if (magnified <= MOST_MAGNIFIED) {
          workedOut.put(seats.get(k), magnified);
        }
      }
    }
    for (int k = 0; k < seats.size(); k++) {
      if (!free.contains(2 * k) || workedOut.containsKey(seats.get(k))) {
        places.put(seats.get(k), new AxisPlace(solved[2 * k], solved[2 * k + 1]));
      }
    }
    at = solved;
  }

  /** Those of a cylinder. */
  public static SeatPlaces of(Job job, int cylinder) {
    return new SeatPlaces(job, cylinder);
  }

  /** A valve's axis; empty where what was read does not tell it. */
  public Optional<AxisPlace> at(SeatPlace seat) {
    return Optional.ofNullable(places.get(seat));
  }

  /** Whether a place was worked out of distances. */
  public boolean isWorkedOut(SeatPlace seat) {
    return workedOut.containsKey(seat);
  }

  /**
   * How many times what the readings are out by comes back in a place that was worked out; 1 for
   * one that was read.
   */
  public double magnified(SeatPlace seat) {
    return workedOut.getOrDefault(seat, 1.0);
  }

  /** Whether there are distances that do not yet tell its place. */
  public boolean lacksOne(SeatPlace seat) {
    return isReadOfOne() && !places.containsKey(seat);
  }

  /** Every distance whose valves have a place. */
  public List<Told> told() {
    heads();
    return distances.stream()
        .filter(d -> places.containsKey(d.seat()) && places.containsKey(d.other()))
        .map(d -> new Told(d.seat(), d.measure(), d.readMm(), d.follows().applyAsDouble(at)))
        .toList();
  }

  /** What is said of all cylinders at once never tells how their valves are turned. */
  private boolean isReadOfOne() {
    return free.size() < drawn.length
        || !alone.isEmpty()
        || distances.stream()
            .anyMatch(d -> d.measure() != Measure.AXIS_ALONG && d.measure() != Measure.AXIS_ACROSS);
  }

  /** Whether the cylinder lies the other way round than it is drawn usually, by what was read. */
  private double[] mirrored() {
    double[] best = {1, 1};
    double least = Double.POSITIVE_INFINITY;
    for (double[] way : new double[][] {{1, 1}, {-1, 1}, {1, -1}, {-1, -1}}) {
      double off = 0;
      for (SeatPlace seat : seats) {
        SeatReadings readings = job.head().readingsOf(seat.label());
        AxisPlace usual = UsualPlace.of(job, seat);
        OptionalDouble along = readings.value(Measure.AXIS_ALONG);
        OptionalDouble across = readings.value(Measure.AXIS_ACROSS);
        off += Math.abs(along.orElse(0) - (along.isPresent() ? way[0] * usual.alongMm() : 0));
        off += Math.abs(across.orElse(0) - (across.isPresent() ? way[1] * usual.acrossMm() : 0));
      }
      if (off < least) {
        least = off;
        best = way;
      }
    }
    return best;
  }

  private void drawWhatIsNotRead() {
    double[] way = mirrored();
    for (int i : free) {
      SeatPlace seat = seats.get(i / 2);
      Measure coordinate = i % 2 == 0 ? Measure.AXIS_ALONG : Measure.AXIS_ACROSS;
      if (job.head().readingsOf(seat.label()).value(coordinate).isEmpty()) {
        AxisPlace usual = awayFromPlug(UsualPlace.of(job, seat));
        drawn[i] = way[i % 2] * (i % 2 == 0 ? usual.alongMm() : usual.acrossMm());
      }
    }
  }

  private void coordinates(int k, SeatReadings readings) {
    OptionalDouble along = readings.value(Measure.AXIS_ALONG);
    OptionalDouble across = readings.value(Measure.AXIS_ACROSS);
    along.ifPresent(mm -> drawn[2 * k] = mm);
    across.ifPresent(mm -> drawn[2 * k + 1] = mm);
    if (along.isEmpty() || across.isEmpty()) {
      free.add(2 * k);
      free.add(2 * k + 1);
      along.ifPresent(mm -> alone.add(new PlaceFit.Read(mm, p -> p[2 * k])));
      across.ifPresent(mm -> alone.add(new PlaceFit.Read(mm, p -> p[2 * k + 1])));
    }
  }

  /** Distances along a line do not say to which side of it a valve lies; the plug does. */
  private AxisPlace awayFromPlug(AxisPlace usual) {
    double along = usual.alongMm() - job.layout().plugXMm();
    double across = usual.acrossMm() - job.layout().plugYMm();
    double far = Math.max(AWAY_MM, Math.hypot(along, across));
    return new AxisPlace(
        usual.alongMm() + AWAY_MM * along / far, usual.acrossMm() + AWAY_MM * across / far);
  }

  private void distances(int k, SeatReadings readings) {
    double bore = job.engine().boreMm();
    add(
        k,
        k,
        Measure.GAP_TO_BORE,
        readings.value(Measure.GAP_TO_BORE),
        p -> bore / 2 - Math.hypot(shutX(p, k), shutY(p, k)) - edges[k]);
    add(
        k,
        k,
        Measure.AXIS_ACROSS,
        job.group(seats.get(k).port()).axisFromBoreMm(),
        p -> Math.hypot(p[2 * k], p[2 * k + 1]));
    for (int j = 0; j < seats.size(); j++) {
      if (j != k) {
        pair(k, j, readings);
      }
    }
  }

  private void pair(int k, int j, SeatReadings readings) {
    SeatPlace other = seats.get(j);
    boolean intake = other.port() == Port.INTAKE;
    int which = other.ofItsKind();
    if (which < Measure.EDGE_TO_INTAKE.size()) {
      Measure toEdge = (intake ? Measure.EDGE_TO_INTAKE : Measure.EDGE_TO_EXHAUST).get(which);
      add(k, j, toEdge, readings.value(toEdge), p -> apart(p, k, j) - edges[k] - edges[j]);
      Measure centres =
          (intake ? Measure.CENTRES_TO_INTAKE : Measure.CENTRES_TO_EXHAUST).get(which);
      add(k, j, centres, readings.value(centres), p -> apart(p, k, j));
    }
    // One distance is said of every intake and its exhaust, at the head face.
    if (seats.size() == 2) {
      add(
          k,
          j,
          Measure.AXIS_ALONG,
          job.engine().valveSpacingMm(),
          p -> Math.hypot(p[2 * k] - p[2 * j], p[2 * k + 1] - p[2 * j + 1]));
    }
  }

  private void add(
      int k, int j, Measure measure, OptionalDouble read, ToDoubleFunction<double[]> follows) {
    read.ifPresent(
        mm -> distances.add(new Distance(seats.get(k), seats.get(j), measure, mm, follows)));
  }

  /** What distances between heads are worked out with: looked up once, for it takes the seats. */
  private void heads() {
    for (int k = 0; k < seats.size(); k++) {
      SeatPlace seat = seats.get(k);
      Lean lean = job.leanOf(seat);
      double shut = SeatRoom.shutMm(job, seat);
      edges[k] = job.foundValve(seat).headDiameterMm() / 2;
      asideAlong[k] = lean.alongMm(shut);
      asideAcross[k] = lean.acrossMm(shut);
    }
  }

  /** Where the middle of a head lies while it is shut. */
  private double shutX(double[] p, int k) {
    return p[2 * k] + asideAlong[k];
  }

  private double shutY(double[] p, int k) {
    return p[2 * k + 1] + asideAcross[k];
  }

  private double apart(double[] p, int k, int j) {
    return Math.hypot(shutX(p, k) - shutX(p, j), shutY(p, k) - shutY(p, j));
  }
}
