package finebore.machine;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.work.ReadBack;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One reading of all seats of a kind against each other.
 *
 * @param what was read
 * @param seats those of which it was read, in the order of the head
 * @param unread those of which it was not
 */
public record Alike(ReadBack what, List<SeatValue> seats, List<String> unread) {

  /** A reading of one seat. */
  public record SeatValue(String seat, double value) {}

  public Alike {
    seats = List.copyOf(seats);
    unread = List.copyOf(unread);
  }

  /** What is compared at the machine. */
  public static final List<ReadBack> COMPARED =
      List.of(ReadBack.SEAT_DEPTH, ReadBack.SEAT_WIDTH, ReadBack.THROAT, ReadBack.VALVE_DEPTH);

  /** Compares the seats of a kind. */
  public static Alike of(Job job, Port port, ReadBack what) {
    List<SeatValue> seats = new ArrayList<>();
    List<String> unread = new ArrayList<>();
    for (SeatPlace place : job.seats(port)) {
      var value = job.log().value(place.label(), what);
      if (value.isPresent()) {
        seats.add(new SeatValue(place.label(), value.getAsDouble()));
      } else {
        unread.add(place.label());
      }
    }
    return new Alike(what, seats, unread);
  }

  /** The largest: of depths the deepest seat, to which the others would have to be brought. */
  public Optional<SeatValue> largest() {
    return seats.stream().max(Comparator.comparingDouble(SeatValue::value));
  }

  public Optional<SeatValue> smallest() {
    return seats.stream().min(Comparator.comparingDouble(SeatValue::value));
  }

  /** Largest less smallest; 0 with fewer than two. */
  public double spread() {
    return seats.size() < 2
        ? 0
        : largest().orElseThrow().value() - smallest().orElseThrow().value();
  }

  /** What is still to be cut at each seat to bring all to the depth of the deepest. */
  public List<SeatValue> toLevel() {
    double deepest = largest().map(SeatValue::value).orElse(0.0);
    return seats.stream().map(s -> new SeatValue(s.seat(), deepest - s.value())).toList();
  }
}
