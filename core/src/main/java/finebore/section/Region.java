package finebore.section;

import finebore.code.RuleViolation;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.algorithm.locate.SimplePointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.PrecisionModel;
import org.locationtech.jts.geom.TopologyException;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.geom.util.PolygonExtracter;
import org.locationtech.jts.noding.snap.SnappingNoder;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.distance.DistanceOp;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * An area of the section plane, perhaps in several pieces, by the overlay of JTS.
 *
 * <p>Only areas are kept: walls that merely touch would leave lines and points too. Overlay is
 * exact to rounding; {@link #opened} draws arcs as chords that stray by less than 0.9 % of their
 * radius.
 */
public final class Region {

  private static final GeometryFactory FACTORY = new GeometryFactory();

  /** Pieces smaller than this are rounding, mm2. */
  private static final double NOTHING_MM2 = 1e-9;

  /** Points nearer to each other than this are one, mm. */
  private static final double SAME_MM = 1e-9;

  /** Chords of a quarter circle where corners are rounded. */
  private static final int ARC_CHORDS = 6;

  /** Points are snapped to a hundred thousandth of a millimetre. */
  private static final PrecisionModel SNAPPED = new PrecisionModel(1e5);

  /** Nothing at all. */
  public static final Region EMPTY = new Region(FACTORY.createMultiPolygon());

  private final Geometry shape;

  private Region(Geometry shape) {
    this.shape = shape;
  }

  /** The area inside an outline, mm; the outline need not repeat its first point. */
  public static Region inside(List<Point> outline) {
    Coordinate[] ring = new Coordinate[outline.size() + 1];
    for (int k = 0; k < outline.size(); k++) {
      ring[k] = coordinate(outline.get(k));
    }
    ring[outline.size()] = ring[0].copy();
    return areas(FACTORY.createPolygon(ring));
  }

  /** A rectangle. */
  public static Region box(double r1, double r2, double z1, double z2) {
    return inside(
        List.of(new Point(r1, z1), new Point(r2, z1), new Point(r2, z2), new Point(r1, z2)));
  }

  public Region minus(Region other) {
    return overlay(other, OverlayNG.DIFFERENCE);
  }

  public Region and(Region other) {
    return overlay(other, OverlayNG.INTERSECTION);
  }

  public Region plus(Region other) {
    return overlay(other, OverlayNG.UNION);
  }

  /**
   * Overlays as exactly as can be. Walls that all but coincide are taken as one, as exact noding
   * fails on them; outlines that cross themselves are mended first and the points snapped further
   * where that is what it takes.
   *
   * @throws RuleViolation if even that gives no areas
   */
  private Region overlay(Region other, int operation) {
    try {
      return areas(
          OverlayNG.overlay(shape, other.shape, operation, null, new SnappingNoder(SAME_MM)));
    } catch (TopologyException e) {
      return overlayRobust(other, operation);
    }
  }

  private Region overlayRobust(Region other, int operation) {
    try {
      return areas(OverlayNGRobust.overlay(shape, other.shape, operation));
    } catch (TopologyException e) {
      return overlayMended(other, operation);
    }
  }

  private Region overlayMended(Region other, int operation) {
    try {
      Geometry mine = GeometryFixer.fix(shape);
      Geometry theirs = GeometryFixer.fix(other.shape);
      return areas(OverlayNG.overlay(mine, theirs, operation, SNAPPED));
    } catch (TopologyException | IllegalArgumentException e) {
      throw RuleViolation.of("sectionCrosses");
    }
  }

  /**
   * What is left when a disc of a radius must be able to touch every place from within: convex
   * corners are rounded and what is thinner than the disc goes; nothing is added but for rounding.
   */
  public Region opened(double radiusMm) {
    try {
      Geometry shrunk = BufferOp.bufferOp(shape, -radiusMm, ARC_CHORDS);
      return areas(BufferOp.bufferOp(shrunk, radiusMm, ARC_CHORDS));
    } catch (TopologyException e) {
      throw RuleViolation.of("sectionCrosses");
    }
  }

  public boolean isEmpty() {
    return shape.isEmpty();
  }

  public double areaMm2() {
    return shape.getArea();
  }

  /** Volume of the body that the area sweeps round the guide axis, by Pappus, mm3. */
  public double volumeMm3() {
    return isEmpty() ? 0 : 2 * Math.PI * shape.getCentroid().getX() * shape.getArea();
  }

  /** The pieces, the largest first. */
  public List<Region> pieces() {
    List<Region> pieces = new ArrayList<>();
    for (int k = 0; k < shape.getNumGeometries(); k++) {
      pieces.add(areas(shape.getGeometryN(k)));
    }
    pieces.sort((a, b) -> Double.compare(b.areaMm2(), a.areaMm2()));
    return pieces;
  }

  /** Outer outline of each piece; the first point is not repeated. */
  public List<List<Point>> outlines() {
    List<List<Point>> outlines = new ArrayList<>();
    for (int k = 0; k < shape.getNumGeometries(); k++) {
      Coordinate[] ring = ((Polygon) shape.getGeometryN(k)).getExteriorRing().getCoordinates();
      List<Point> outline = new ArrayList<>();
      for (int i = 0; i < ring.length - 1; i++) {
        outline.add(new Point(ring[i].getX(), ring[i].getY()));
      }
      outlines.add(List.copyOf(outline));
    }
    return outlines;
  }

  /** Whether a point lies inside or on the edge. */
  public boolean holds(Point point) {
    return SimplePointInAreaLocator.isContained(coordinate(point), shape);
  }

  /** Shortest distance from this area to a chain of points, mm; 0 where they touch or overlap. */
  public double distanceTo(List<Point> chain) {
    return DistanceOp.distance(shape, line(chain));
  }

  /** Shortest distance between two chains of points, mm. */
  public static double distance(List<Point> a, List<Point> b) {
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < Math.max(1, a.size() - 1); i++) {
      Coordinate a1 = coordinate(a.get(i));
      Coordinate a2 = coordinate(a.get(Math.min(i + 1, a.size() - 1)));
      for (int k = 0; k < Math.max(1, b.size() - 1); k++) {
        Coordinate b1 = coordinate(b.get(k));
        Coordinate b2 = coordinate(b.get(Math.min(k + 1, b.size() - 1)));
        least = Math.min(least, Distance.segmentToSegment(a1, a2, b1, b2));
      }
    }
    return least;
  }

  private static Geometry line(List<Point> chain) {
    return chain.size() == 1
        ? FACTORY.createPoint(coordinate(chain.getFirst()))
        : FACTORY.createLineString(
            chain.stream().map(Region::coordinate).toArray(Coordinate[]::new));
  }

  private static Coordinate coordinate(Point p) {
    return new Coordinate(p.r(), p.z());
  }

  private static Region areas(Geometry geometry) {
    List<Polygon> areas = new ArrayList<>();
    for (Object polygon : PolygonExtracter.getPolygons(geometry)) {
      if (((Polygon) polygon).getArea() > NOTHING_MM2) {
        areas.add((Polygon) polygon);
      }
    }
    return new Region(FACTORY.createMultiPolygon(areas.toArray(Polygon[]::new)));
  }

  @Override
  public String toString() {
    return shape.toText();
  }
}
