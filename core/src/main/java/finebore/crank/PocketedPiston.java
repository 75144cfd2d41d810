package finebore.crank;

import finebore.space.Nearest;
import finebore.space.ValveHead;

/**
 * A crown with a round pocket at one place of the crank, and what a valve's head keeps from it: the
 * shortest way in space from either edge of the head to crown, wall, floor and the pocket's rim,
 * and from that rim to the head. In the plane of the valve's lean, which the pocket shares: x the
 * way the valve leans, y square to it, z toward the piston, from where its axis meets the head
 * face.
 */
final class PocketedPiston {

  private static final int ROUNDS = 8;

  private final double crownMm;
  private final double middleMm;
  private final double radiusMm;
  private final double floorMm;
  private final double floorSin;
  private final double floorCos;
  private final double wallSin;
  private final double wallCos;

  /**
   * A piston.
   *
   * @param crownMm from the head face to the crown
   * @param middleMm x of the pocket's middle at the crown
   * @param wallRad lean of the pocket's wall
   */
  PocketedPiston(double crownMm, double middleMm, Piston.Pocket pocket, double wallRad) {
    this.crownMm = crownMm;
    this.middleMm = middleMm;
    radiusMm = pocket.radiusMm();
    floorMm = crownMm + pocket.depthMm();
    double floor = Math.toRadians(pocket.angleDeg());
    floorSin = Math.sin(floor);
    floorCos = Math.cos(floor);
    wallSin = Math.sin(wallRad);
    wallCos = Math.cos(wallRad);
  }

  /** The shortest way to a head, mm; below 0 by how far one would stand in the other. */
  double clearanceMm(ValveHead valve, double liftMm) {
    double lean = valve.leanRad();
    double sin = Math.sin(lean);
    double cos = Math.cos(lean);
    double radius = valve.radiusMm();
    double least = Double.POSITIVE_INFINITY;
    for (double over : new double[] {0, valve.marginMm()}) {
      double out = valve.restMm() + liftMm + over;
      least =
          Math.min(
              least,
              Nearest.least(
                  a ->
                      wayTo(
                          out * sin + radius * Math.cos(a) * cos,
                          radius * Math.sin(a),
                          out * cos - radius * Math.cos(a) * sin)));
    }
    double edge = valve.restMm() + liftMm;
    double rim =
        Nearest.least(
            a -> {
              double x = middleMm + radiusMm / wallCos * Math.cos(a);
              double y = radiusMm * Math.sin(a);
              double along = x * sin + crownMm * cos - edge;
              double aside = x * cos - crownMm * sin;
              return plate(
                  Math.sqrt(aside * aside + y * y) - radius,
                  Math.max(-along, along - valve.marginMm()));
            });
    return Math.min(least, rim);
  }

  /** From a place to a plate, by how far it lies outside its edge and past its faces. */
  private static double plate(double out, double past) {
    if (out < 0 && past < 0) {
      return Math.max(out, past);
    }
    double aside = Math.max(0, out);
    double above = Math.max(0, past);
    return Math.sqrt(aside * aside + above * above);
  }

  /** The shortest way from a place to the piston's metal; below 0 within it. */
  private double wayTo(double x, double y, double z) {
    double fromX = x - middleMm;
    double fromZ = z - crownMm;
    double along = fromX * wallSin + fromZ * wallCos;
    double aside = fromX - along * wallSin;
    double asideZ = fromZ - along * wallCos;
    double radial = Math.sqrt(aside * aside + y * y + asideZ * asideZ);
    double toFloor = -(fromX * floorSin + (z - floorMm) * floorCos);
    boolean within = radial < radiusMm;
    if (fromZ > 0 && !(within && toFloor > 0)) {
      double in = within ? Math.min(fromZ, -toFloor) : Math.min(fromZ, radial - radiusMm);
      return -in;
    }
    double least = toRim(fromX, y, fromZ);
    if (fromZ <= 0 && !isOverPocket(fromX, y)) {
      least = Math.min(least, -fromZ);
    }
    if (toFloor > 0 && isWithin(fromX + toFloor * floorSin, y, fromZ + toFloor * floorCos)) {
      least = Math.min(least, toFloor);
    }
    if (within && radial > 0) {
      double on = radiusMm / radial;
      double wallZ = asideZ * on + along * wallCos;
      double wallX = aside * on + along * wallSin;
      boolean isWall =
          wallZ > 0 && -(wallX * floorSin + (wallZ + crownMm - floorMm) * floorCos) > 0;
      if (isWall) {
        least = Math.min(least, radiusMm - radial);
      }
    }
    return least;
  }

  private boolean isWithin(double fromX, double y, double fromZ) {
    double along = fromX * wallSin + fromZ * wallCos;
    double aside = fromX - along * wallSin;
    double asideZ = fromZ - along * wallCos;
    return aside * aside + y * y + asideZ * asideZ < radiusMm * radiusMm;
  }

  private boolean isOverPocket(double fromX, double y) {
    double across = fromX * wallCos;
    return across * across + y * y < radiusMm * radiusMm;
  }

  /** To the pocket's rim on the crown, an ellipse where its wall leans. */
  private double toRim(double fromX, double y, double fromZ) {
    double a = radiusMm / wallCos;
    double b = radiusMm;
    double angle = Math.atan2(y, fromX * b / a);
    for (int k = 0; k < ROUNDS && a != b; k++) {
      double sin = Math.sin(angle);
      double cos = Math.cos(angle);
      double slope = (fromX - a * cos) * a * sin - (y - b * sin) * b * cos;
      double bend =
          a * a * sin * sin
              + b * b * cos * cos
              + (fromX - a * cos) * a * cos
              + (y - b * sin) * b * sin;
      if (bend <= 0) {
        break;
      }
      angle -= slope / bend;
    }
    double dx = fromX - a * Math.cos(angle);
    double dy = y - b * Math.sin(angle);
    return Math.sqrt(dx * dx + dy * dy + fromZ * fromZ);
  }
}
