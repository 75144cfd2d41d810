package finebore.planning;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.room.Room;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The room a valve's head has to its neighbours and to the cylinder wall: at the lift at which it
 * is least, where the place of its axis was measured; otherwise by distances of axes that are taken
 * as parallel.
 */
public final class ValveRoom {

  private ValveRoom() {}

  /** Gap to the nearest neighbour as planned, mm; negative is an overlap. */
  public static OptionalDouble neighbourMm(Job job, SeatPlace place, double headMm) {
    Optional<Room> room = SeatRoom.planned(job, place, job.planOf(place));
    if (room.isPresent() && !room.get().neighbours().isEmpty()) {
      return room.get()
          .leastToNeighbourMm(headMm / 2, SeatRoom.shutMm(job, place), liftMm(job, place));
    }
    double other = job.group(place.port().other()).planned().valve().headDiameterMm();
    OptionalDouble spacing = job.engine().valveSpacingMm();
    return spacing.isPresent()
        ? OptionalDouble.of(spacing.getAsDouble() - (headMm + other) / 2)
        : spacing;
  }

  /** Gap to the cylinder wall, mm; negative is past it. */
  public static OptionalDouble boreWallMm(Job job, SeatPlace place, double headMm) {
    Optional<Room> room = SeatRoom.found(job, place);
    if (room.isPresent()) {
      // Only above the head face is there a wall to meet.
      double top = Math.max(0, SeatRoom.shutMm(job, place) + liftMm(job, place));
      return OptionalDouble.of(room.get().leastToBoreMm(headMm / 2, 0, top));
    }
    OptionalDouble axis = job.group(place.port()).axisFromBoreMm();
    return axis.isPresent()
        ? OptionalDouble.of((job.engine().boreMm() - headMm) / 2 - axis.getAsDouble())
        : axis;
  }

  private static double liftMm(Job job, SeatPlace place) {
    return job.group(place.port()).cam().maxLiftMm();
  }

  /** Both as readings, where they are known. */
  public static List<Reading> readings(Job job, SeatPlace place, double headMm) {
    List<Reading> readings = new ArrayList<>();
    neighbourMm(job, place, headMm)
        .ifPresent(mm -> readings.add(new Reading(ReadingKind.NEIGHBOUR, mm)));
    boreWallMm(job, place, headMm)
        .ifPresent(mm -> readings.add(new Reading(ReadingKind.BORE_WALL, mm)));
    return readings;
  }
}
