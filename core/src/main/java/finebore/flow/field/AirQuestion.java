package finebore.flow.field;

import finebore.flow.Direction;
import finebore.section.Profile;

/**
 * What air to work out.
 *
 * @param wall the head's wall from the chamber to the port, mm
 * @param valve the lifted valve's wall, from its chamber edge to its stem, mm
 * @param headRadiusMm radius of the valve's head
 * @param direction into the cylinder, or out of it
 * @param turbulence how it is closed
 * @param fineness how fine the grid is
 */
public record AirQuestion(
    Profile wall,
    Profile valve,
    double headRadiusMm,
    Direction direction,
    Turbulence turbulence,
    Fineness fineness) {

  public AirQuestion {
    if (!(headRadiusMm > 0)) {
      throw new IllegalArgumentException("headRadiusMm: " + headRadiusMm);
    }
  }

  public AirQuestion with(Turbulence other) {
    return new AirQuestion(wall, valve, headRadiusMm, direction, other, fineness);
  }

  public AirQuestion with(Fineness other) {
    return new AirQuestion(wall, valve, headRadiusMm, direction, turbulence, other);
  }

  /** Least distance between valve and head, mm. */
  public double gapMm() {
    return gapMm(wall, valve);
  }

  /** Least distance between two walls, mm. */
  public static double gapMm(Profile wall, Profile valve) {
    double least = Double.MAX_VALUE;
    for (int k = 0; k < wall.segmentCount(); k++) {
      for (var p : valve.points()) {
        least = Math.min(least, wall.distance(k, p));
      }
    }
    for (int k = 0; k < valve.segmentCount(); k++) {
      for (var p : wall.points()) {
        least = Math.min(least, valve.distance(k, p));
      }
    }
    return least;
  }
}
