package finebore.space;

import java.util.OptionalDouble;

/**
 * A round edge of a valve's head in space: a circle square to an axis that leans. Lengths in mm,
 * heights from the head face up out of the head, places along and across the head from the bore's
 * centre.
 *
 * <p>In plan it is an ellipse: toward a direction u it reaches R / sqrt(1 + s^2), where s = u . t
 * and t are the tangents of the lean along and across, and there lies s times as much below its
 * middle. All of it is exact; what is nearest to something is found by golden section to a
 * hundredth of a micrometre.
 *
 * @param alongMm its middle
 * @param acrossMm the same across
 * @param heightMm of its middle
 * @param slopeAlong tangent of the axis' lean along the head
 * @param slopeAcross the same across
 * @param radiusMm of the circle
 */
public record Rim(
    double alongMm,
    double acrossMm,
    double heightMm,
    double slopeAlong,
    double slopeAcross,
    double radiusMm) {

  /** A place in space, mm. */
  public record Place(double alongMm, double acrossMm, double heightMm) {

    /** The shortest way to another. */
    double to(Place other) {
      double x = other.alongMm - alongMm;
      double y = other.acrossMm - acrossMm;
      double z = other.heightMm - heightMm;
      return Math.sqrt(x * x + y * y + z * z);
    }
  }

  /** Times that two edges are carried on to each other's nearest place. */
  private static final int ROUNDS = 200;

  private static final double SAME_MM = 1e-9;

  /** About another place. */
  public Rim at(double along, double across) {
    return new Rim(along, across, heightMm, slopeAlong, slopeAcross, radiusMm);
  }

  /** Of another radius. */
  public Rim withRadius(double mm) {
    return new Rim(alongMm, acrossMm, heightMm, slopeAlong, slopeAcross, mm);
  }

  /** How far it reaches in plan from its middle, toward a direction of length 1. */
  public double reachMm(double ux, double uy) {
    double slope = ux * slopeAlong + uy * slopeAcross;
    return radiusMm / Math.sqrt(1 + slope * slope);
  }

  /** Height of the edge toward a direction: the side that the axis leans to lies deeper. */
  public double heightMm(double ux, double uy) {
    return heightMm - reachMm(ux, uy) * (ux * slopeAlong + uy * slopeAcross);
  }

  /**
   * The place of its edge toward a direction in plan.
   *
   * @param angleRad from across, toward along: the clock's
   */
  public Place toward(double angleRad) {
    double ux = Math.sin(angleRad);
    double uy = Math.cos(angleRad);
    double reach = reachMm(ux, uy);
    return new Place(
        alongMm + reach * ux,
        acrossMm + reach * uy,
        heightMm - reach * (ux * slopeAlong + uy * slopeAcross));
  }

  /** How far its edge comes from the bore's axis, seen along it. */
  public double farthestMm() {
    if (isUpright()) {
      return Math.hypot(alongMm, acrossMm) + radiusMm;
    }
    return -Nearest.round(
        angle -> {
          Place place = toward(angle);
          return -Math.hypot(place.alongMm, place.acrossMm);
        });
  }

  /** How near its edge comes to the bore's axis, seen along it; below 0 where it takes it in. */
  public double nearestMm() {
    double near =
        Nearest.round(
            angle -> {
              Place place = toward(angle);
              return Math.hypot(place.alongMm, place.acrossMm);
            });
    double middle = Math.hypot(alongMm, acrossMm);
    boolean within = middle < SAME_MM || reachMm(-alongMm / middle, -acrossMm / middle) > middle;
    return within ? -near : near;
  }

  /** The angle of the clock at which its edge is farthest from the bore's axis, rad. */
  public double farthestRad() {
    return Nearest.whereRound(
        angle -> {
          Place place = toward(angle);
          return -Math.hypot(place.alongMm, place.acrossMm);
        });
  }

  /**
   * The least between it and the wall of a bore about 0, seen along the bore: past the head face
   * that is the shortest way, and every valve comes out of the face on its way. Below 0 by how far
   * it stands past the wall.
   */
  public double gapToBoreMm(double boreMm) {
    return boreMm / 2 - farthestMm();
  }

  private boolean isUpright() {
    return slopeAlong == 0 && slopeAcross == 0;
  }

  /** Where two edges come nearest. */
  public record Between(Place here, Place there, double mm) {}

  /**
   * The shortest way between its edge and another, as a caliper finds it; where the two overlap in
   * plan by more than one lies over the other, by how much more, below 0.
   */
  public Between to(Rim other) {
    double x = other.alongMm - alongMm;
    double y = other.acrossMm - acrossMm;
    double apart = Math.sqrt(x * x + y * y);
    double ux = apart < SAME_MM ? 1 : x / apart;
    double uy = apart < SAME_MM ? 0 : y / apart;
    Place here = toward(Math.atan2(ux, uy));
    Place there = other.toward(Math.atan2(-ux, -uy));
    double beside = apart - reachMm(ux, uy) - other.reachMm(ux, uy);
    double over = Math.abs(there.heightMm - here.heightMm);
    if (beside + over <= 0) {
      return new Between(here, there, beside + over);
    }
    double mm = here.to(there);
    for (int k = 0; k < ROUNDS; k++) {
      here = nearestTo(there);
      there = other.nearestTo(here);
      double now = here.to(there);
      if (mm - now < SAME_MM) {
        return new Between(here, there, now);
      }
      mm = now;
    }
    return new Between(here, there, mm);
  }

  /**
   * From a place outside it to where a level ray of a direction of length 1 meets it in plan; empty
   * where the ray passes it.
   */
  public OptionalDouble metMm(double along, double across, double ux, double uy) {
    double x = along - alongMm;
    double y = across - acrossMm;
    double slope = ux * slopeAlong + uy * slopeAcross;
    double aside = x * slopeAlong + y * slopeAcross;
    double square = 1 + slope * slope;
    double half = x * ux + y * uy + aside * slope;
    double rest = x * x + y * y + aside * aside - radiusMm * radiusMm;
    double root = half * half - square * rest;
    return root < 0 || half >= 0
        ? OptionalDouble.empty()
        : OptionalDouble.of((-half - Math.sqrt(root)) / square);
  }

  /** Height of its plane over a place in plan. */
  public double planeMm(double along, double across) {
    return heightMm - (along - alongMm) * slopeAlong - (across - acrossMm) * slopeAcross;
  }

  /** The place of its edge that is nearest to a place: straight below it on its plane, and out. */
  private Place nearestTo(Place place) {
    double norm = Math.sqrt(1 + slopeAlong * slopeAlong + slopeAcross * slopeAcross);
    double ax = slopeAlong / norm;
    double ay = slopeAcross / norm;
    double az = 1 / norm;
    double x = place.alongMm - alongMm;
    double y = place.acrossMm - acrossMm;
    double z = place.heightMm - heightMm;
    double above = x * ax + y * ay + z * az;
    x -= above * ax;
    y -= above * ay;
    z -= above * az;
    double out = Math.sqrt(x * x + y * y + z * z);
    double times = out < SAME_MM ? 0 : radiusMm / out;
    return new Place(alongMm + times * x, acrossMm + times * y, heightMm + times * z);
  }
}
