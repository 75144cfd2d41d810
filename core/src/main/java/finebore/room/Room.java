package finebore.room;

import finebore.space.Rim;
import finebore.space.ValveHead;
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
 * @param neighbours heads of the valves beside it, shut
 * @param portSide how its port lies round it
 */
public record Room(
    double alongMm,
    double acrossMm,
    double leanAlongDeg,
    double leanAcrossDeg,
    double boreMm,
    Optional<ChamberWall> chamber,
    List<ValveHead> neighbours,
    PortSide portSide) {

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
        alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, diameterMm, chamber, neighbours, portSide);
  }

  /** The same with another chamber wall. */
  public Room withChamber(Optional<ChamberWall> changed) {
    return new Room(
        alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, boreMm, changed, neighbours, portSide);
  }

  /** A head on its axis: a plate whose edge on the seat's side lies so high along the axis. */
  public ValveHead head(double edgeMm, double heightMm, double marginMm) {
    return new ValveHead(
        alongMm, acrossMm, leanAlongDeg, leanAcrossDeg, edgeMm, heightMm, marginMm);
  }

  /** Its edge on the seat's side. */
  public Rim rim(double edgeMm, double heightMm) {
    return head(edgeMm, heightMm, 0).rim(0, 0);
  }

  /**
   * The narrowest way past the edge of a head, from its edge on the seat's side, in plan and by the
   * heights there.
   *
   * @param edgeMm radius of the head
   * @param heightMm of its edge, along the axis
   */
  public Gap gap(int direction, double edgeMm, double heightMm) {
    return gap(rim(edgeMm, heightMm), Around.angleRad(direction));
  }

  /** The same of an edge in space, toward an angle of the clock. */
  Gap gap(Rim rim, double angle) {
    double ux = Math.sin(angle);
    double uy = Math.cos(angle);
    double reach = rim.reachMm(ux, uy);
    double height = rim.heightMm(ux, uy);
    double x = rim.alongMm();
    double y = rim.acrossMm();
    double toBore = toCircle(x, y, ux, uy, boreMm / 2) - reach;
    Gap nearest = Gap.to(Nearest.BORE, reach, toBore, Math.max(0, -height));
    if (chamber.isPresent()) {
      nearest = Gap.smaller(nearest, toWall(chamber.get(), rim, angle));
    }
    for (ValveHead other : neighbours) {
      Rim top = other.seen();
      OptionalDouble to = top.metMm(x, y, ux, uy);
      if (to.isPresent()) {
        double out = to.getAsDouble();
        double over = Math.max(0, height - top.planeMm(x + out * ux, y + out * uy));
        nearest = Gap.smaller(nearest, Gap.to(Nearest.NEIGHBOUR, reach, out - reach, over));
      }
    }
    return nearest;
  }

  private Gap toWall(ChamberWall wall, Rim rim, double angle) {
    double reach = rim.reachMm(Math.sin(angle), Math.cos(angle));
    double height = rim.heightMm(Math.sin(angle), Math.cos(angle));
    double to = wall.fromMm(rim.alongMm() - alongMm, rim.acrossMm() - acrossMm, angle);
    return Gap.to(Nearest.CHAMBER, reach, to - reach, past(wall, angle, height));
  }

  /** How far an edge at a height lies over the wall or under its foot. */
  static double past(ChamberWall wall, double angle, double height) {
    return height > 0
        ? height
        : Math.max(0, -wall.depthAtHourMm(ChamberWall.hourOf(angle)) - height);
  }

  /**
   * The least between a head and the neighbours that are shut, on its way to a lift; below 0 where
   * two meet. Empty without a neighbour.
   */
  public OptionalDouble leastToNeighbourMm(ValveHead head, double liftMm) {
    return neighbours.stream().mapToDouble(n -> head.leastToShutMm(n, liftMm)).min();
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
