package finebore.room;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What stands round a valve and may be in the way of its air. Lengths in mm, heights from the head
 * face up out of the head, places along and across the head from the bore's centre.
 *
 * @param alongMm the valve's axis at the head face
 * @param acrossMm the same across the head, toward the exhaust side
 * @param leanAlongDeg lean of its axis along the head: how it goes aside as it opens
 * @param leanAcrossDeg lean toward the exhaust side
 * @param boreMm bore of the cylinder, or of a fixture, from the head face up
 * @param chamber the chamber's wall, where it was measured
 * @param neighbours valves beside it, shut
 */
public record Room(
    double alongMm,
    double acrossMm,
    double leanAlongDeg,
    double leanAcrossDeg,
    double boreMm,
    Optional<ChamberWall> chamber,
    List<Neighbour> neighbours) {

  /**
   * A valve beside it, shut: where its head lies then.
   *
   * @param topMm height of its head's edge
   */
  public record Neighbour(double alongMm, double acrossMm, double headMm, double topMm) {}

  /** Edges of two shut heads lie side by side over about this height, mm. */
  private static final double EDGE_THICK_MM = 2;

  /** Lifts at which two heads are held against each other. */
  private static final int STEPS = 50;

  /** What is nearest in a direction. */
  public enum Nearest {
    NOTHING,
    CHAMBER,
    BORE,
    NEIGHBOUR
  }

  /**
   * The narrowest way out past the valve's edge in a direction.
   *
   * @param outwardMm from the edge square away from the axis; below 0 past what it is
   * @param distanceMm the shortest way to it; 0 where it touches
   * @param perRadianMm2 the area that leaves, for each radian of the circle; infinite for no wall
   */
  public record Gap(Nearest what, double outwardMm, double distanceMm, double perRadianMm2) {

    static final Gap FREE =
        new Gap(
            Nearest.NOTHING,
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY,
            Double.POSITIVE_INFINITY);

    static Gap to(Nearest what, double edgeMm, double outward, double beside) {
      double distance =
          beside == 0 ? Math.max(0, outward) : Math.hypot(Math.max(0, outward), beside);
      return new Gap(what, outward, distance, distance * (edgeMm + Math.max(0, outward) / 2));
    }

    static Gap smaller(Gap a, Gap b) {
      return b.perRadianMm2() < a.perRadianMm2() ? b : a;
    }
  }

  public Room {
    neighbours = List.copyOf(neighbours);
  }

  /** The same in another bore. */
  public Room inBore(double diameterMm) {
    return new Room(
        alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, diameterMm, chamber, neighbours);
  }

  /** The same with another chamber wall. */
  public Room withChamber(Optional<ChamberWall> changed) {
    return new Room(alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, boreMm, changed, neighbours);
  }

  /** How far along the head a point of the axis lies, mm. */
  public double alongAt(double heightMm) {
    return alongMm + heightMm * Math.tan(Math.toRadians(leanAlongDeg));
  }

  /** The same across it. */
  public double acrossAt(double heightMm) {
    return acrossMm + heightMm * Math.tan(Math.toRadians(leanAcrossDeg));
  }

  /**
   * The narrowest way past the edge of a head.
   *
   * @param edgeMm radius of the head
   * @param heightMm of its edge, along the axis
   */
  public Gap gap(int direction, double edgeMm, double heightMm) {
    double angle = Around.angleRad(direction);
    double ux = Math.sin(angle);
    double uy = Math.cos(angle);
    double height = edgeHeightMm(direction, edgeMm, heightMm);
    double x = alongAt(heightMm);
    double y = acrossAt(heightMm);
    double toBore = toCircle(x, y, ux, uy, boreMm / 2) - edgeMm;
    Gap nearest = Gap.to(Nearest.BORE, edgeMm, toBore, Math.max(0, -height));
    if (chamber.isPresent()) {
      double toWall = chamber.get().atMm(direction) - asideMm(direction, heightMm) - edgeMm;
      double past = height > 0 ? height : Math.max(0, -chamber.get().depthAtMm(direction) - height);
      nearest = Gap.smaller(nearest, Gap.to(Nearest.CHAMBER, edgeMm, toWall, past));
    }
    for (Neighbour other : neighbours) {
      Optional<Double> to =
          toDisc(x - other.alongMm(), y - other.acrossMm(), ux, uy, other.headMm() / 2);
      if (to.isPresent()) {
        nearest =
            Gap.smaller(
                nearest,
                Gap.to(
                    Nearest.NEIGHBOUR,
                    edgeMm,
                    to.get() - edgeMm,
                    Math.max(0, height - other.topMm())));
      }
    }
    return nearest;
  }

  /** Height of a head's edge: the side that a leaning valve leans to lies deeper. */
  double edgeHeightMm(int direction, double edgeMm, double heightMm) {
    double angle = Around.angleRad(direction);
    return heightMm
        - edgeMm
            * (Math.sin(angle) * Math.sin(Math.toRadians(leanAlongDeg))
                + Math.cos(angle) * Math.sin(Math.toRadians(leanAcrossDeg)));
  }

  /** How far toward a direction the middle of a head at a height lies from the axis at the face. */
  public double asideMm(int direction, double heightMm) {
    double angle = Around.angleRad(direction);
    return heightMm
        * (Math.tan(Math.toRadians(leanAlongDeg)) * Math.sin(angle)
            + Math.tan(Math.toRadians(leanAcrossDeg)) * Math.cos(angle));
  }

  /**
   * The least that lies between the edge of a head and the bore's wall while it goes from one
   * height to another, seen along the bore; below 0 past it.
   */
  public double leastToBoreMm(double edgeMm, double fromMm, double toMm) {
    // What moves in a straight line is furthest from the centre at one of its ends.
    double far =
        Math.max(
            Math.hypot(alongAt(fromMm), acrossAt(fromMm)),
            Math.hypot(alongAt(toMm), acrossAt(toMm)));
    return boreMm / 2 - far - edgeMm;
  }

  /**
   * The least between the edge of a head and a neighbour that is shut, on the way to a lift: side
   * by side first, and over its head where this one leans that way; below 0 where the two meet.
   * Empty without a neighbour.
   *
   * @param shutMm height of its edge on its seat
   */
  public OptionalDouble leastToNeighbourMm(double edgeMm, double shutMm, double liftMm) {
    return neighbours.stream().mapToDouble(n -> least(n, edgeMm, shutMm, liftMm)).min();
  }

  private double least(Neighbour other, double edgeMm, double shutMm, double liftMm) {
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k <= STEPS; k++) {
      double lift = liftMm * k / STEPS;
      double beside =
          Math.hypot(
                  alongAt(shutMm + lift) - other.alongMm(),
                  acrossAt(shutMm + lift) - other.acrossMm())
              - edgeMm
              - other.headMm() / 2;
      double over = Math.max(0, lift - EDGE_THICK_MM);
      double apart =
          beside >= 0 ? Math.hypot(beside, over) : over > 0 ? Math.max(beside, over) : beside;
      least = Math.min(least, apart);
    }
    return least;
  }

  /** From the axis at the head face to a circle about the bore's centre, in a direction. */
  public double toCircleFromAxis(int direction, double radiusMm) {
    double angle = Around.angleRad(direction);
    return toCircle(alongMm, acrossMm, Math.sin(angle), Math.cos(angle), radiusMm);
  }

  /** From the axis at the head face to a disc, in a direction; empty where the ray passes it. */
  public OptionalDouble toDiscFromAxis(
      int direction, double discAlongMm, double discAcrossMm, double radiusMm) {
    double angle = Around.angleRad(direction);
    return toDisc(
            alongMm - discAlongMm,
            acrossMm - discAcrossMm,
            Math.sin(angle),
            Math.cos(angle),
            radiusMm)
        .map(OptionalDouble::of)
        .orElseGet(OptionalDouble::empty);
  }

  /** From a point inside a circle about 0 to its edge; below 0 from outside it. */
  private static double toCircle(double x, double y, double ux, double uy, double radius) {
    double along = x * ux + y * uy;
    double beside = x * x + y * y - along * along;
    double half = radius * radius - beside;
    return half <= 0 ? -along : Math.sqrt(half) - along;
  }

  /** From a point outside a disc about 0 to where a ray meets it. */
  private static Optional<Double> toDisc(double x, double y, double ux, double uy, double radius) {
    double along = x * ux + y * uy;
    double half = radius * radius - (x * x + y * y - along * along);
    if (half < 0 || along >= 0) {
      return Optional.empty();
    }
    return Optional.of(-along - Math.sqrt(half));
  }
}
