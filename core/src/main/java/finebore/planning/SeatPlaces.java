package finebore.planning;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.Port;
import finebore.room.AxisPlace;
import finebore.space.Rim;
import finebore.space.ValveHead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

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

  /** What a distance was read between. */
  private enum Kind {
    EDGE_TO_BORE,
    AXIS_TO_CENTRE,
    EDGES,
    CENTRES,
    AXES
  }

  /** A distance between two valves, or from one to the bore, where other is the seat itself. */
  private record Distance(int seat, int other, Kind kind, Measure measure, double readMm) {}

  /** A place that is out by more than so many times its readings is not told by them. */
  private static final double MOST_MAGNIFIED = 10;

  /** To begin with, mm. */
  private static final double AWAY_MM = 2;

  private final Job job;
  private final List<SeatPlace> seats;

  /** The edge of each head that is seen, shut, its axis at the bore's centre. */
  private final Rim[] seen;

  /** Along and across of each seat in turn. */
  private final double[] drawn;

  /** Coordinates of valves that lack one at least. */
  private final List<Integer> free = new ArrayList<>();

  private final List<Distance> distances = new ArrayList<>();
  private final List<PlaceFit.Read> alone = new ArrayList<>();
  private final Map<SeatPlace, AxisPlace> places = new HashMap<>();
  private final Map<SeatPlace, Double> workedOut = new HashMap<>();
  private final double[] at;
  private boolean turnsFree;
  private boolean takenAsSymmetric;

  private SeatPlaces(Job job, int cylinder) {
    this.job = job;
    seats = job.engine().seats().stream().filter(s -> s.cylinder() == cylinder).toList();
    drawn = new double[2 * seats.size()];
    seen = new Rim[seats.size()];
    for (int k = 0; k < seats.size(); k++) {
      coordinates(k, job.head().readingsOf(seats.get(k).label()));
      distances(k, job.head().readingsOf(seats.get(k).label()));
    }
    double[] solved = drawn;
    if (!free.isEmpty() && isReadOfOne()) {
      heads();
      drawWhatIsNotRead();
      List<PlaceFit.Read> read = new ArrayList<>(alone);
      distances.forEach(d -> read.add(new PlaceFit.Read(d.readMm(), way(d))));
      takenAsSymmetric =
          job.head().symmetric()
              && job.engine().hasPairs()
              && alone.isEmpty()
              && free.size() == drawn.length;
      if (takenAsSymmetric) {
        read.add(mirrorImages());
      }
      PlaceFit fit = new PlaceFit(drawn, free, read);
      solved = fit.solved();
      workedOut.putAll(toldBy(fit, solved));
      turnsFree = !isToldWhole(workedOut) && isToldWhole(held(read, solved));
    }
    for (int k = 0; k < seats.size(); k++) {
      if (!free.contains(2 * k) || workedOut.containsKey(seats.get(k))) {
        places.put(seats.get(k), new AxisPlace(solved[2 * k], solved[2 * k + 1]));
      }
    }
    at = solved;
  }

  /** Seats that a fit tells, and how many times what the readings are out by comes back. */
  private Map<SeatPlace, Double> toldBy(PlaceFit fit, double[] solved) {
    Map<SeatPlace, Double> told = new HashMap<>();
    for (int k = 0; k < seats.size(); k++) {
      double magnified =
          free.contains(2 * k) && solved != drawn
              ? fit.magnified(solved, 2 * k, 2 * k + 1)
              : Double.POSITIVE_INFINITY;
      if (magnified <= MOST_MAGNIFIED) {
        told.put(seats.get(k), magnified);
      }
    }
    return told;
  }

  private boolean isToldWhole(Map<SeatPlace, Double> told) {
    return IntStream.range(0, seats.size())
        .allMatch(k -> !free.contains(2 * k) || told.containsKey(seats.get(k)));
  }

  /** What would be told if the cylinder were held against turning about its bore. */
  private Map<SeatPlace, Double> held(List<PlaceFit.Read> read, double[] solved) {
    double[] turn = new double[drawn.length];
    for (int k = 0; k < seats.size(); k++) {
      double far = Math.max(AWAY_MM, Math.hypot(solved[2 * k], solved[2 * k + 1]));
      turn[2 * k] = -solved[2 * k + 1] / far;
      turn[2 * k + 1] = solved[2 * k] / far;
    }
    List<PlaceFit.Read> more = new ArrayList<>(read);
    more.add(new PlaceFit.Read(0, new PlaceFit.Sum(turn)));
    return toldBy(new PlaceFit(drawn, free, more), solved);
  }

  /**
   * Two valves of a kind are each other's image in the line across the head through the bore: they
   * lie as far across. One condition for all pairs together, so that it turns the cylinder and
   * bends no reading.
   */
  private PlaceFit.Read mirrorImages() {
    double[] across = new double[drawn.length];
    for (Port port : Port.values()) {
      List<Integer> of =
          IntStream.range(0, seats.size())
              .filter(k -> seats.get(k).port() == port)
              .boxed()
              .toList();
      if (of.size() == 2) {
        // Both kinds turn the same way when the cylinder turns.
        boolean reversed = drawn[2 * of.getFirst()] > drawn[2 * of.getLast()];
        across[2 * of.getFirst() + 1] = reversed ? -1 : 1;
        across[2 * of.getLast() + 1] = reversed ? 1 : -1;
      }
    }
    return new PlaceFit.Read(0, new PlaceFit.Sum(across));
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

  /**
   * Whether all that is not told is how the cylinder is turned: its valves lie fixed to each other
   * and to the bore, and free to turn about it as one.
   */
  public boolean turnsFree() {
    return turnsFree;
  }

  /** Whether how the cylinder is turned is a choice: nothing that was read tells it. */
  public boolean takenAsSymmetric() {
    return takenAsSymmetric;
  }

  /** Every distance whose valves have a place. */
  public List<Told> told() {
    heads();
    return distances.stream()
        .filter(
            d ->
                places.containsKey(seats.get(d.seat())) && places.containsKey(seats.get(d.other())))
        .map(d -> new Told(seats.get(d.seat()), d.measure(), d.readMm(), way(d).at(at)))
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
      along.ifPresent(mm -> alone.add(new PlaceFit.Read(mm, new PlaceFit.Coordinate(2 * k))));
      across.ifPresent(mm -> alone.add(new PlaceFit.Read(mm, new PlaceFit.Coordinate(2 * k + 1))));
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
    add(k, k, Kind.EDGE_TO_BORE, Measure.GAP_TO_BORE, readings.value(Measure.GAP_TO_BORE));
    OptionalDouble axis = job.group(seats.get(k).port()).axisFromBoreMm();
    add(k, k, Kind.AXIS_TO_CENTRE, Measure.AXIS_ACROSS, axis);
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
      add(k, j, Kind.EDGES, toEdge, readings.value(toEdge));
      Measure centres =
          (intake ? Measure.CENTRES_TO_INTAKE : Measure.CENTRES_TO_EXHAUST).get(which);
      add(k, j, Kind.CENTRES, centres, readings.value(centres));
    }
    // One distance is said of every intake and its exhaust, at the head face.
    if (seats.size() == 2) {
      add(k, j, Kind.AXES, Measure.AXIS_ALONG, job.engine().valveSpacingMm());
    }
  }

  private void add(int k, int j, Kind kind, Measure measure, OptionalDouble read) {
    read.ifPresent(mm -> distances.add(new Distance(k, j, kind, measure, mm)));
  }

  /** How a distance follows from the places: between the edges that are seen, or at the face. */
  private PlaceFit.Way way(Distance d) {
    int k = d.seat();
    int j = d.other();
    return switch (d.kind()) {
      case EDGE_TO_BORE -> new PlaceFit.EdgeToBore(k, seen[k], job.engine().boreMm());
      case AXIS_TO_CENTRE -> new PlaceFit.Distance(k, -1, 0, 0, 0);
      case EDGES -> new PlaceFit.EdgeToEdge(k, j, seen[k], seen[j]);
      case CENTRES ->
          new PlaceFit.Distance(
              k,
              j,
              seen[k].alongMm() - seen[j].alongMm(),
              seen[k].acrossMm() - seen[j].acrossMm(),
              seen[k].heightMm() - seen[j].heightMm());
      case AXES -> new PlaceFit.Distance(k, j, 0, 0, 0);
    };
  }

  /** What distances between heads are worked out with: looked up once, for it takes the seats. */
  private void heads() {
    for (int k = 0; k < seats.size(); k++) {
      SeatPlace seat = seats.get(k);
      Lean lean = job.leanOf(seat);
      Valve valve = job.foundValve(seat);
      seen[k] =
          new ValveHead(
                  0,
                  0,
                  lean.alongDeg(),
                  lean.acrossDeg(),
                  valve.headDiameterMm() / 2,
                  SeatRoom.shutMm(job, seat),
                  valve.marginMm())
              .seen();
    }
  }
}
