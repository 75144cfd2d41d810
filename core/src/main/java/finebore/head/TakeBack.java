package finebore.head;

import finebore.head.HeadPlan.Spot;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.RoomAtLift;
import finebore.planning.SeatOutcome;
import finebore.planning.SeatRoom;
import finebore.room.Around;
import finebore.room.ChamberWall;
import finebore.room.Room;
import finebore.room.WallBack;
import finebore.space.ValveHead;
import finebore.study.SeatFit;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;

/**
 * Taking the walls of a cylinder's chamber back to where they cost nothing at a lift, and what that
 * does to the chamber.
 *
 * @param seats every valve of the cylinder whose place is known
 * @param volumeMm3 metal that goes
 * @param ratioNow compression ratio as found, where known
 * @param ratioAfter with the walls taken back and nothing else done
 * @param skimMm what the head would have to be skimmed so that the ratio is what it was; empty
 *     where the walls are no one chamber
 */
public record TakeBack(
    List<OfSeat> seats,
    double volumeMm3,
    OptionalDouble ratioNow,
    OptionalDouble ratioAfter,
    OptionalDouble skimMm) {

  /**
   * One valve.
   *
   * @param head as planned, on its seat as found
   * @param depthMm of the chamber beside it
   * @param back by direction; empty where its wall was not measured
   */
  public record OfSeat(
      SeatPlace place, Room room, ValveHead head, double depthMm, List<WallBack> back) {
    public OfSeat {
      back = List.copyOf(back);
    }

    /** The wall as far back as is wanted; only where it was measured. */
    public ChamberWall wanted() {
      NavigableMap<Double, Double> to = new TreeMap<>();
      for (int d = 0; d < back.size(); d++) {
        to.put(Around.hour(d), targetMm(back.get(d)));
      }
      return room.chamber().orElseThrow().withFromAxis(to);
    }

    private List<Spot> outline(ToDoubleFunction<WallBack> fromAxis) {
      return HeadPlan.round(
          new Spot(room.alongMm(), room.acrossMm()), d -> fromAxis.applyAsDouble(back.get(d)));
    }
  }

  public TakeBack {
    seats = List.copyOf(seats);
  }

  /**
   * The cylinder of a seat; empty where nobody has measured where its valve lies.
   *
   * @param liftMm above 0
   */
  public static Optional<TakeBack> of(Job job, SeatPlace seat, double liftMm) {
    List<OfSeat> seats =
        job.engine().seats().stream()
            .filter(s -> s.cylinder() == seat.cylinder())
            .flatMap(s -> SeatRoom.found(job, s).map(r -> of(job, s, r, liftMm)).stream())
            .toList();
    return seats.stream().noneMatch(s -> s.place().equals(seat))
        ? Optional.empty()
        : Optional.of(of(job, seats));
  }

  private static OfSeat of(Job job, SeatPlace place, Room room, double liftMm) {
    SeatFit fit = SeatOutcome.of(job, place, job.planOf(place)).cut().fit();
    return new OfSeat(
        place,
        room,
        room.head(
            fit.pairing().valve().headDiameterMm() / 2,
            SeatRoom.shutMm(job, place),
            fit.pairing().valve().marginMm()),
        room.chamber().map(ChamberWall::meanDepthMm).orElseGet(() -> SeatRoom.depthMm(job, place)),
        RoomAtLift.of(job, place, room, fit, liftMm).map(RoomAtLift::back).orElse(List.of()));
  }

  private static TakeBack of(Job job, List<OfSeat> seats) {
    List<OfSeat> walled = walled(seats);
    double depth = walled.stream().mapToDouble(OfSeat::depthMm).average().orElse(0);
    OptionalDouble now = areaMm2(walled, WallBack::nowMm);
    OptionalDouble after = areaMm2(walled, TakeBack::targetMm);
    double volume =
        now.isPresent() && after.isPresent()
            ? (after.getAsDouble() - now.getAsDouble()) * depth
            : 0;
    OptionalDouble ratio = job.head().compressionRatio();
    double swept = job.engine().sweptMm3();
    OptionalDouble ratioAfter =
        ratio.isPresent()
            ? OptionalDouble.of(1 + swept / (swept / (ratio.getAsDouble() - 1) + volume))
            : ratio;
    return new TakeBack(
        seats,
        volume,
        ratio,
        ratioAfter,
        after.isPresent() && volume > 0
            ? OptionalDouble.of(volume / after.getAsDouble())
            : OptionalDouble.empty());
  }

  private static List<OfSeat> walled(List<OfSeat> seats) {
    return seats.stream().filter(s -> !s.back().isEmpty()).toList();
  }

  private static OptionalDouble areaMm2(List<OfSeat> walled, ToDoubleFunction<WallBack> fromAxis) {
    return HeadPlan.together(walled.stream().map(s -> s.outline(fromAxis)).toList()).stream()
        .mapToDouble(TakeBack::areaMm2)
        .findFirst();
  }

  /** Of a closed line. */
  static double areaMm2(List<Spot> line) {
    double twice = 0;
    for (int k = 0; k < line.size(); k++) {
      Spot a = line.get(k);
      Spot b = line.get((k + 1) % line.size());
      twice += a.x() * b.y() - b.x() * a.y();
    }
    return Math.abs(twice) / 2;
  }

  /** How far back a wall is to go, from the valve's axis. */
  public static double targetMm(WallBack wall) {
    return wall.nowMm() + (wall.takeMm() < RoomAtLift.SLIGHT_MM ? 0 : wall.takeMm());
  }

  /** The chamber as it is: one line, or one for each valve where their walls do not meet. */
  public List<List<Spot>> chamberNow() {
    return lines(WallBack::nowMm);
  }

  /** The chamber with its walls taken back. */
  public List<List<Spot>> chamberAfter() {
    return lines(TakeBack::targetMm);
  }

  private List<List<Spot>> lines(ToDoubleFunction<WallBack> fromAxis) {
    List<List<Spot>> each = walled(seats).stream().map(s -> s.outline(fromAxis)).toList();
    return HeadPlan.together(each).map(List::of).orElse(each);
  }
}
