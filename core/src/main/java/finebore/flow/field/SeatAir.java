package finebore.flow.field;

import finebore.flow.Direction;
import finebore.flow.field.AirSpace.Kind;
import finebore.flow.field.AirSpace.Side;
import finebore.section.Point;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.List;

/**
 * The air space between a lifted valve and its seat, as it is solved: the port below, half a room
 * above the head face, the roof cut off a little way out so that a stream along it gets away.
 *
 * <p>Lengths are multiples of the valve's radius: where the head ends and how far the open and the
 * port reach does not depend on the valve's size.
 */
final class SeatAir {

  /** Where the roof ends. */
  private static final double ROOF = 1.25;

  /** Least of it past the outermost edge of the cuts. */
  private static final double ROOF_PAST_CUTS = 0.12;

  /** How far the open reaches, out and up. */
  private static final double OPEN_OUT = 3;

  private static final double OPEN_UP = 2.5;

  /** How far below the seat the port is fed: 30 mm for a valve of 42; streams out need more. */
  private static final double PORT_IN = 30.0 / 21;

  private static final double PORT_OUT = 60.0 / 21;

  private static final int FAR_STEPS = 16;

  private SeatAir() {}

  /**
   * Lays the space out.
   *
   * @param wall the head's wall from the chamber to the port, mm
   * @param valve the lifted valve's wall from its chamber edge to its stem, mm
   * @param headR radius of the valve's head, mm
   */
  static AirSpace of(Profile wall, Profile valve, double headR, Direction direction) {
    double sealingZ = heightAtThroatOfRoof(wall, headR);
    double portZ = sealingZ - headR * (direction == Direction.INTAKE ? PORT_IN : PORT_OUT);
    List<Point> outer = new ArrayList<>();
    List<Kind> outerKinds = new ArrayList<>();
    double roofR = Math.max(ROOF * headR, outermostCut(wall) + ROOF_PAST_CUTS * headR);
    List<Point> fromPort = upTo(wall.points().reversed(), portZ);
    double cutR = outermostCut(wall);
    outer.add(fromPort.getFirst());
    for (int k = 1; k < fromPort.size(); k++) {
      Point a = outer.getLast();
      Point b = fromPort.get(k);
      boolean ends = b.r() >= roofR;
      Point to = ends && b.r() > a.r() ? a.toward(b, (roofR - a.r()) / (b.r() - a.r())) : b;
      if (a.distanceTo(to) > SHORTEST * headR) {
        outerKinds.add(a.r() < cutR - 1e-9 ? Kind.WALL : Kind.ROOF);
        outer.add(to);
      }
      if (ends) {
        break;
      }
    }
    Point roofEnd = outer.getLast();
    if (roofEnd.r() < roofR - 1e-9) {
      outer.add(new Point(roofR, roofEnd.z()));
      outerKinds.add(Kind.ROOF);
      roofEnd = outer.getLast();
    }
    double farR = Math.max(OPEN_OUT * headR, roofEnd.r() + headR);
    outer.add(new Point(farR, roofEnd.z()));
    outerKinds.add(Kind.OPEN);

    List<Point> inner = new ArrayList<>();
    List<Kind> innerKinds = new ArrayList<>();
    for (Point p : upTo(valve.points().reversed(), portZ)) {
      if (inner.isEmpty() || inner.getLast().distanceTo(p) > SHORTEST * headR) {
        if (!inner.isEmpty()) {
          innerKinds.add(Kind.WALL);
        }
        inner.add(p);
      }
    }
    double topZ = inner.getLast().z();
    inner.add(new Point(0, topZ));
    innerKinds.add(Kind.WALL);
    double farZ = Math.max(topZ, roofEnd.z()) + OPEN_UP * headR;
    inner.add(new Point(0, farZ));
    innerKinds.add(Kind.MIRROR);

    List<Point> far = new ArrayList<>();
    for (int k = 1; k < FAR_STEPS; k++) {
      double a = Math.PI / 2 * k / FAR_STEPS;
      far.add(new Point(farR * Math.sin(a), roofEnd.z() + (farZ - roofEnd.z()) * Math.cos(a)));
    }
    return new AirSpace(new Side(inner, innerKinds), new Side(outer, outerKinds), far);
  }

  /** Stretches below this are left out, in valve radii. */
  private static final double SHORTEST = 1e-5;

  /** Height of the wall below the valve's edge, mm: about where the seat is. */
  private static double heightAtThroatOfRoof(Profile wall, double headR) {
    double z = wall.topAt(headR);
    return Double.isNaN(z) ? wall.points().getFirst().z() : z;
  }

  private static double outermostCut(Profile wall) {
    double r = 0;
    for (int k = 0; k < wall.segmentCount(); k++) {
      switch (wall.surfaces().get(k).part()) {
        case HEAD_FACE, ROOF -> {}
        default -> r = Math.max(r, Math.max(wall.start(k).r(), wall.end(k).r()));
      }
    }
    return r;
  }

  /** A wall that comes up from the port, cut off or drawn on to begin at a height. */
  private static List<Point> upTo(List<Point> fromPort, double portZ) {
    List<Point> points = new ArrayList<>();
    Point first = fromPort.getFirst();
    if (first.z() > portZ + 1e-9) {
      points.add(new Point(first.r(), portZ));
      points.addAll(fromPort);
      return points;
    }
    for (int k = 1; k < fromPort.size(); k++) {
      Point a = fromPort.get(k - 1);
      Point b = fromPort.get(k);
      if (points.isEmpty() && b.z() > portZ) {
        points.add(a.toward(b, (portZ - a.z()) / (b.z() - a.z())));
      }
      if (!points.isEmpty()) {
        points.add(b);
      }
    }
    return points;
  }
}
