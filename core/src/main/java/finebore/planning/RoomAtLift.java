package finebore.planning;

import finebore.cutting.TakeWallBack;
import finebore.flow.Direction;
import finebore.flow.Gate;
import finebore.job.Job;
import finebore.room.Around;
import finebore.room.Room;
import finebore.room.Shroud;
import finebore.room.WallBack;
import finebore.study.SeatFit;
import finebore.work.ShopFigure;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What stands round a valve at one lift.
 *
 * @param edgeMm radius of its head
 * @param heightMm of its edge, along its axis from the head face
 * @param shroud what the walls leave in each direction
 * @param back how far the chamber's wall would go back; empty where it was not measured
 * @param gain of the seat with the whole wall {@link #STEP_MM} further back, as a share; empty
 *     likewise
 */
public record RoomAtLift(
    double edgeMm, double heightMm, Shroud shroud, List<WallBack> back, OptionalDouble gain) {

  /** The wall is tried so much further back, mm. */
  public static final double STEP_MM = 0.1;

  public RoomAtLift {
    back = List.copyOf(back);
  }

  /**
   * Looks round a valve; empty where it falls through its seat.
   *
   * @param job whose fire ring and margin stop a wall
   * @param liftMm above 0
   */
  public static Optional<RoomAtLift> of(
      Job job, Room room, SeatFit fit, Direction direction, double liftMm) {
    return fit.restMm().isEmpty()
        ? Optional.empty()
        : Optional.of(of(job, room, fit, direction, liftMm, fit.restMm().getAsDouble() + liftMm));
  }

  /** A wall that has less to go is left alone, mm. */
  public static final double SLIGHT_MM = 0.05;

  /**
   * The operation that takes the wall back where it costs, but never past the limit: over the
   * shortest way round the clock that has it all, to tenths of an hour and of a millimetre. Empty
   * where there is nothing to take.
   */
  public Optional<TakeWallBack> wanted() {
    List<Integer> where =
        IntStream.range(0, back.size())
            .filter(d -> back.get(d).takeMm() >= SLIGHT_MM)
            .boxed()
            .toList();
    if (where.isEmpty()) {
      return Optional.empty();
    }
    int gapAfter = where.size() - 1;
    int widest = where.getFirst() + Around.DIRECTIONS - where.getLast();
    for (int k = 0; k + 1 < where.size(); k++) {
      if (where.get(k + 1) - where.get(k) > widest) {
        widest = where.get(k + 1) - where.get(k);
        gapAfter = k;
      }
    }
    double from = Around.hour(where.get((gapAfter + 1) % where.size()));
    double to = Around.hour(where.get(gapAfter));
    double most =
        where.stream()
            .mapToDouble(d -> back.get(d).nowMm() + back.get(d).takeMm())
            .max()
            .orElseThrow();
    double limit = where.stream().mapToDouble(d -> back.get(d).limitMm()).min().orElseThrow();
    return Optional.of(
        new TakeWallBack(
            Math.floor(10 * from) / 10,
            widest <= 1 ? from : Math.min(12, Math.ceil(10 * to) / 10),
            Math.floor(10 * Math.min(most, limit)) / 10));
  }

  private static RoomAtLift of(
      Job job, Room room, SeatFit fit, Direction direction, double liftMm, double heightMm) {
    double edge = fit.pairing().valve().headDiameterMm() / 2;
    double gate = Gate.between(fit.seat().profile(), fit.valveAt(liftMm)).areaMm2();
    Shroud shroud = Shroud.of(room, edge, heightMm, gate, direction);
    if (room.chamber().isEmpty()) {
      return new RoomAtLift(edge, heightMm, shroud, List.of(), OptionalDouble.empty());
    }
    Room further = room.withChamber(room.chamber().map(wall -> wall.takenBack(STEP_MM)));
    return new RoomAtLift(
        edge,
        heightMm,
        shroud,
        WallBack.of(
            room,
            edge,
            heightMm,
            gate,
            direction,
            job.layout().fireRingMm(),
            job.shop().value(ShopFigure.FIRE_RING_MARGIN)),
        OptionalDouble.of(
            Shroud.of(further, edge, heightMm, gate, direction).share() / shroud.share() - 1));
  }
}
