package finebore.planning;

import finebore.flow.Direction;
import finebore.flow.Gate;
import finebore.job.Job;
import finebore.room.Room;
import finebore.room.Shroud;
import finebore.room.WallBack;
import finebore.study.SeatFit;
import finebore.work.ShopFigure;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

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
