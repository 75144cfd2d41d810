package finebore.planning;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.room.Room;
import finebore.space.ValveHead;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The room that a seat has for a valve's head to its neighbours and to the cylinder wall: at the
 * lift at which it is least, where the place of its axis was measured; otherwise by distances of
 * axes that are taken as parallel. Worked out once for a seat, it can be asked for many heads.
 *
 * @param room as planned, where the place was measured
 * @param shutMm height of the head's edge on its seat
 * @param marginMm of the head as planned
 * @param liftMm the cam's
 * @param boreMm of the cylinder
 * @param spacingMm from an intake's axis to its exhaust's, where that was measured
 * @param otherHeadMm head of the other kind as planned
 * @param axisMm from the bore's centre, where that was measured
 */
public record ValveRoom(
    Optional<Room> room,
    double shutMm,
    double marginMm,
    double liftMm,
    double boreMm,
    OptionalDouble spacingMm,
    double otherHeadMm,
    OptionalDouble axisMm) {

  /** Of a seat of a job, its neighbours as planned. */
  public static ValveRoom of(Job job, SeatPlace place) {
    return new ValveRoom(
        SeatRoom.planned(job, place, job.planOf(place)),
        SeatRoom.shutMm(job, place),
        job.planOf(place).wanted().valve().marginMm(),
        job.group(place.port()).cam().maxLiftMm(),
        job.engine().boreMm(),
        job.engine().valveSpacingMm(),
        job.group(place.port().other()).planned().valve().headDiameterMm(),
        job.group(place.port()).axisFromBoreMm());
  }

  private ValveHead head(double headMm) {
    return room.get().head(headMm / 2, shutMm, marginMm);
  }

  /** Gap to the nearest neighbour, mm; negative is an overlap. */
  public OptionalDouble neighbourMm(double headMm) {
    if (room.isPresent() && !room.get().neighbours().isEmpty()) {
      return room.get().leastToNeighbourMm(head(headMm), liftMm);
    }
    return spacingMm.isPresent()
        ? OptionalDouble.of(spacingMm.getAsDouble() - (headMm + otherHeadMm) / 2)
        : spacingMm;
  }

  /** Gap to the cylinder wall, mm; negative is past it. */
  public OptionalDouble boreWallMm(double headMm) {
    if (room.isPresent()) {
      return OptionalDouble.of(head(headMm).leastToBoreMm(boreMm, liftMm));
    }
    return axisMm.isPresent()
        ? OptionalDouble.of((boreMm - headMm) / 2 - axisMm.getAsDouble())
        : axisMm;
  }

  /** Both as readings, where they are known. */
  public List<Reading> readings(double headMm) {
    List<Reading> readings = new ArrayList<>();
    neighbourMm(headMm).ifPresent(mm -> readings.add(new Reading(ReadingKind.NEIGHBOUR, mm)));
    boreWallMm(headMm).ifPresent(mm -> readings.add(new Reading(ReadingKind.BORE_WALL, mm)));
    return readings;
  }
}
