package finebore.planning;

import finebore.job.Job;
import finebore.job.Port;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** The room a valve's head has to its neighbour and to the cylinder wall, axes as parallel. */
public final class ValveRoom {

  private ValveRoom() {}

  /** Gap to the neighbour of the other kind as planned, mm; negative is an overlap. */
  public static OptionalDouble neighbourMm(Job job, Port port, double headMm) {
    double other = job.group(port.other()).planned().valve().headDiameterMm();
    OptionalDouble spacing = job.engine().valveSpacingMm();
    return spacing.isPresent()
        ? OptionalDouble.of(spacing.getAsDouble() - (headMm + other) / 2)
        : spacing;
  }

  /** Gap to the cylinder wall, mm; negative is past it. */
  public static OptionalDouble boreWallMm(Job job, Port port, double headMm) {
    OptionalDouble axis = job.group(port).axisFromBoreMm();
    return axis.isPresent()
        ? OptionalDouble.of((job.engine().boreMm() - headMm) / 2 - axis.getAsDouble())
        : axis;
  }

  /** Both as readings, where they are known. */
  public static List<Reading> readings(Job job, Port port, double headMm) {
    List<Reading> readings = new ArrayList<>();
    neighbourMm(job, port, headMm)
        .ifPresent(mm -> readings.add(new Reading(ReadingKind.NEIGHBOUR, mm)));
    boreWallMm(job, port, headMm)
        .ifPresent(mm -> readings.add(new Reading(ReadingKind.BORE_WALL, mm)));
    return readings;
  }
}
