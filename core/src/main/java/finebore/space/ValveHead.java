package finebore.space;

import java.util.function.DoubleUnaryOperator;

/**
 * A valve's head where it rests: a flat round plate on a leaning axis. Heights from the head face
 * up out of the head, toward the piston.
 *
 * @param alongMm its axis at the head face, along the head from the bore's centre
 * @param acrossMm the same across the head
 * @param leanAlongDeg lean of its axis along the head: how it goes aside as it opens
 * @param leanAcrossDeg the same across
 * @param radiusMm of the head
 * @param restMm height of its edge on the seat, along the axis
 * @param marginMm thickness of its edge, toward the piston
 */
public record ValveHead(
    double alongMm,
    double acrossMm,
    double leanAlongDeg,
    double leanAcrossDeg,
    double radiusMm,
    double restMm,
    double marginMm) {

  /** A direction or a place. */
  private record Vector(double x, double y, double z) {

    Vector plus(double times, Vector v) {
      return new Vector(x + times * v.x, y + times * v.y, z + times * v.z);
    }

    double dot(Vector v) {
      return x * v.x + y * v.y + z * v.z;
    }

    Vector cross(Vector v) {
      return new Vector(y * v.z - z * v.y, z * v.x - x * v.z, x * v.y - y * v.x);
    }

    Vector unit() {
      double length = Math.sqrt(dot(this));
      return new Vector(x / length, y / length, z / length);
    }
  }

  private static final int LIFTS = 20;

  /** Of another radius. */
  public ValveHead withRadius(double mm) {
    return new ValveHead(alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, mm, restMm, marginMm);
  }

  /** About another place. */
  public ValveHead at(double along, double across) {
    return new ValveHead(along, across, leanAlongDeg, leanAcrossDeg, radiusMm, restMm, marginMm);
  }

  /**
   * One of the edges of its head.
   *
   * @param liftMm along the axis, from its seat
   * @param overSeatMm how far toward the chamber from the edge on the seat's side: 0, or the margin
   */
  public Rim rim(double liftMm, double overSeatMm) {
    double slopeAlong = Math.tan(Math.toRadians(leanAlongDeg));
    double slopeAcross = Math.tan(Math.toRadians(leanAcrossDeg));
    double height =
        (restMm + liftMm + overSeatMm)
            / Math.sqrt(1 + slopeAlong * slopeAlong + slopeAcross * slopeAcross);
    return new Rim(
        alongMm + height * slopeAlong,
        acrossMm + height * slopeAcross,
        height,
        slopeAlong,
        slopeAcross,
        radiusMm);
  }

  /** The edge toward the chamber while it is shut: the one that is seen, and a caliper touches. */
  public Rim seen() {
    return rim(0, marginMm);
  }

  /**
   * The least between both its edges and the wall of a bore that stands on the head face, from its
   * seat to a lift; below 0 past it.
   */
  public double leastToBoreMm(double boreMm, double liftMm) {
    return leastOver(
        liftMm,
        lift ->
            Math.min(rim(lift, 0).gapToBoreMm(boreMm), rim(lift, marginMm).gapToBoreMm(boreMm)));
  }

  /** The least between it, on its way to a lift, and another that is shut; below 0 within it. */
  public double leastToShutMm(ValveHead other, double liftMm) {
    return leastOver(liftMm, lift -> clearanceMm(lift, other, 0));
  }

  /**
   * How far its edges come from the bore's axis, seen along it, as long as something of them lies
   * within the head: shut, and until its upper edge has come out of the face.
   */
  public double farthestInHeadMm(double liftMm) {
    double far = rim(0, marginMm).farthestMm();
    far = Math.max(far, rim(0, 0).farthestMm());
    double out = Math.clamp(-restMm, 0, liftMm);
    return Math.max(far, rim(out, 0).farthestMm());
  }

  private static double leastOver(double liftMm, DoubleUnaryOperator byLift) {
    double least = Double.POSITIVE_INFINITY;
    int where = 0;
    for (int k = 0; k <= LIFTS; k++) {
      double mm = byLift.applyAsDouble(liftMm * k / LIFTS);
      if (mm < least) {
        least = mm;
        where = k;
      }
    }
    double step = liftMm / LIFTS;
    double at =
        Nearest.between(
            Math.max(0, (where - 1) * step), Math.min(liftMm, (where + 1) * step), 1e-4, byLift);
    return Math.min(least, byLift.applyAsDouble(at));
  }

  /** The same so much deeper in the head. */
  public ValveHead deeper(double mm) {
    return new ValveHead(
        alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, radiusMm, restMm - mm, marginMm);
  }

  /** Its lean from upright, whichever way, rad. */
  public double leanRad() {
    return Math.atan(
        Math.hypot(
            Math.tan(Math.toRadians(leanAlongDeg)), Math.tan(Math.toRadians(leanAcrossDeg))));
  }

  private Vector axis() {
    return new Vector(
            Math.tan(Math.toRadians(leanAlongDeg)), Math.tan(Math.toRadians(leanAcrossDeg)), 1)
        .unit();
  }

  private Vector edgeMiddle(double liftMm) {
    return new Vector(alongMm, acrossMm, 0).plus(restMm + liftMm, axis());
  }

  /**
   * The shortest way between two heads, mm; below 0 where one stands in the other.
   *
   * @param liftMm of this one
   * @param otherLiftMm of the other
   */
  public double clearanceMm(double liftMm, ValveHead other, double otherLiftMm) {
    return Math.min(edgesTo(liftMm, other, otherLiftMm), other.edgesTo(otherLiftMm, this, liftMm));
  }

  /** From both edges of this one's rim to the other, a solid plate. */
  private double edgesTo(double liftMm, ValveHead other, double otherLiftMm) {
    Vector axis = axis();
    Vector u = (Math.abs(axis.x) < 0.9 ? new Vector(1, 0, 0) : new Vector(0, 1, 0)).cross(axis);
    Vector first = u.unit();
    Vector second = axis.cross(first);
    Vector otherAxis = other.axis();
    Vector otherMiddle = other.edgeMiddle(otherLiftMm);
    double least = Double.POSITIVE_INFINITY;
    for (double up : new double[] {0, marginMm}) {
      Vector middle = edgeMiddle(liftMm).plus(up, axis);
      DoubleUnaryOperator at =
          angle ->
              other.wayTo(
                  otherMiddle,
                  otherAxis,
                  middle
                      .plus(radiusMm * Math.cos(angle), first)
                      .plus(radiusMm * Math.sin(angle), second));
      least = Math.min(least, Nearest.round(at));
    }
    return least;
  }

  /** From a point to this head where its edge's middle and axis are so; below 0 within it. */
  private double wayTo(Vector middle, Vector axis, Vector point) {
    Vector from = point.plus(-1, middle);
    double height = from.dot(axis);
    double out = Math.sqrt(Math.max(0, from.dot(from) - height * height)) - radiusMm;
    double past = Math.max(-height, height - marginMm);
    if (out < 0 && past < 0) {
      return Math.max(out, past);
    }
    double aside = Math.max(0, out);
    double above = Math.max(0, past);
    // Millimetres need no hypot, which takes most of the time here.
    return Math.sqrt(aside * aside + above * above);
  }
}
