package finebore.cutting;

import finebore.section.Point;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.util.PolygonExtracter;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

/**
 * What lies between two walls of a head in section, by the overlay of JTS: metal that goes from the
 * one to the other, and metal that the other would need and is not there.
 *
 * @param removed outlines of the metal that goes, mm
 * @param missing outlines of metal that is wanted but not there, mm
 * @param removedMm3 volume of the metal that goes, all round, mm3
 * @param missingAreaMm2 section of what is missing, mm2
 */
public record SectionDifference(
    List<List<Point>> removed,
    List<List<Point>> missing,
    double removedMm3,
    double missingAreaMm2) {

  private static final GeometryFactory FACTORY = new GeometryFactory();

  public SectionDifference {
    removed = List.copyOf(removed);
    missing = List.copyOf(missing);
  }

  /** Compares a wall as found with one as planned; both from the chamber to the port. */
  public static SectionDifference between(Profile found, Profile planned) {
    double outer = 10 + Math.max(maxR(found), maxR(planned));
    double bottom = Math.max(minZ(found), minZ(planned));
    Geometry before = metal(found, outer, bottom);
    Geometry after = metal(planned, outer, bottom);
    Geometry gone = overlay(before, after, OverlayNG.DIFFERENCE);
    Geometry wanted = overlay(after, before, OverlayNG.DIFFERENCE);
    // Pappus: volume = 2 pi times the centroid's radius times the area.
    double volume = gone.isEmpty() ? 0 : 2 * Math.PI * gone.getCentroid().getX() * gone.getArea();
    return new SectionDifference(outlines(gone), outlines(wanted), volume, wanted.getArea());
  }

  private static double maxR(Profile profile) {
    return profile.points().stream().mapToDouble(Point::r).max().orElseThrow();
  }

  private static double minZ(Profile profile) {
    return profile.points().stream().mapToDouble(Point::z).min().orElseThrow();
  }

  /** The metal outside a wall, out to a radius and down to the height both walls reach. */
  private static Geometry metal(Profile wall, double outer, double bottom) {
    List<Coordinate> ring = new ArrayList<>();
    ring.add(new Coordinate(outer, wall.points().getFirst().z()));
    for (Point p : wall.points()) {
      ring.add(new Coordinate(p.r(), p.z()));
    }
    ring.add(new Coordinate(outer, wall.points().getLast().z()));
    ring.add(ring.getFirst());
    Geometry whole = FACTORY.createPolygon(ring.toArray(Coordinate[]::new));
    Geometry window = FACTORY.toGeometry(new Envelope(0, outer, bottom, 1000));
    return overlay(whole, window, OverlayNG.INTERSECTION);
  }

  private static List<List<Point>> outlines(Geometry geometry) {
    List<List<Point>> outlines = new ArrayList<>();
    for (int k = 0; k < geometry.getNumGeometries(); k++) {
      if (geometry.getGeometryN(k) instanceof Polygon polygon && polygon.getArea() > 1e-6) {
        List<Point> outline = new ArrayList<>();
        for (Coordinate c : polygon.getExteriorRing().getCoordinates()) {
          outline.add(new Point(c.getX(), c.getY()));
        }
        outlines.add(List.copyOf(outline));
      }
    }
    return outlines;
  }

  /**
   * An overlay of which only the areas are kept; walls that merely touch would leave lines and
   * points too.
   */
  private static Geometry overlay(Geometry a, Geometry b, int operation) {
    Geometry whole = OverlayNGRobust.overlay(a, b, operation);
    List<Polygon> areas = new ArrayList<>();
    for (Object polygon : PolygonExtracter.getPolygons(whole)) {
      areas.add((Polygon) polygon);
    }
    return FACTORY.createMultiPolygon(areas.toArray(Polygon[]::new));
  }
}
