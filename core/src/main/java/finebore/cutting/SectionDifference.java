package finebore.cutting;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import java.util.ArrayList;
import java.util.List;

/**
 * What lies between two walls of a head in section: metal that goes from the one to the other, and
 * metal that the other would need and is not there.
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

  /** Slivers smaller than this are not drawn, mm2. */
  private static final double SLIVER_MM2 = 1e-6;

  public SectionDifference {
    removed = List.copyOf(removed);
    missing = List.copyOf(missing);
  }

  /** Compares a wall as found with one as planned; both from the chamber to the port. */
  public static SectionDifference between(Profile found, Profile planned) {
    double outer = 10 + Math.max(maxR(found), maxR(planned));
    double bottom = Math.max(minZ(found), minZ(planned));
    Region before = metal(found, outer, bottom);
    Region after = metal(planned, outer, bottom);
    Region gone = before.minus(after);
    Region wanted = after.minus(before);
    return new SectionDifference(
        outlines(gone), outlines(wanted), gone.volumeMm3(), wanted.areaMm2());
  }

  private static double maxR(Profile profile) {
    return profile.points().stream().mapToDouble(Point::r).max().orElseThrow();
  }

  private static double minZ(Profile profile) {
    return profile.points().stream().mapToDouble(Point::z).min().orElseThrow();
  }

  /** The metal outside a wall, out to a radius and down to the height both walls reach. */
  private static Region metal(Profile wall, double outer, double bottom) {
    List<Point> outline = new ArrayList<>(wall.points());
    outline.addFirst(new Point(outer, wall.points().getFirst().z()));
    outline.add(new Point(outer, wall.points().getLast().z()));
    return Region.inside(outline).and(Region.box(0, outer, bottom, 1000));
  }

  private static List<List<Point>> outlines(Region region) {
    return region.pieces().stream()
        .filter(piece -> piece.areaMm2() > SLIVER_MM2)
        .flatMap(piece -> piece.outlines().stream())
        .toList();
  }
}
