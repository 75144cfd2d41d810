package finebore.flow.field;

import finebore.section.Point;
import java.util.List;

/**
 * The room the air has in the section plane: a channel between two walls, from an end in the port
 * to an end in the open.
 *
 * <p>Both sides run from the port to the open. Their lengths are in whatever unit the points are.
 *
 * @param inner the side next to the axis: stem, valve, and the axis beyond it
 * @param outer the side of the head: port, throat, cuts, roof, and the open beyond it
 * @param far points between the sides' last points, from the inner to the outer; the end in the
 *     open
 */
public record AirSpace(Side inner, Side outer, List<Point> far) {

  /** What air meets on a stretch of a side. */
  public enum Kind {
    /** Metal: the air stands still on it. */
    WALL,
    /** Metal beside the jet's way out, where it may lie down on it. */
    ROOF,
    /** A line of symmetry: nothing passes, nothing drags. */
    MIRROR,
    /** Open air at rest: still pressure. */
    OPEN
  }

  /**
   * One side.
   *
   * @param points two or more, no two neighbours alike
   * @param kinds one fewer: what stands between points k and k + 1
   */
  public record Side(List<Point> points, List<Kind> kinds) {

    public Side {
      points = List.copyOf(points);
      kinds = List.copyOf(kinds);
      if (points.size() < 2 || kinds.size() != points.size() - 1) {
        throw new IllegalArgumentException("points: " + points.size() + ", kinds: " + kinds.size());
      }
    }

    /** A side that is one wall. */
    public static Side wall(List<Point> points) {
      return new Side(points, java.util.Collections.nCopies(points.size() - 1, Kind.WALL));
    }

    /** How far the side turns at an inner point, radians; to the left is above 0. */
    double turnAt(int k) {
      Point a = points.get(k - 1);
      Point b = points.get(k);
      Point c = points.get(k + 1);
      double ur = b.r() - a.r();
      double uz = b.z() - a.z();
      double vr = c.r() - b.r();
      double vz = c.z() - b.z();
      return Math.atan2(ur * vz - uz * vr, ur * vr + uz * vz);
    }

    /** Whether a grid line has to end at a point: it turns there, or another kind begins. */
    boolean isCorner(int k) {
      return k == 0
          || k == points.size() - 1
          || kinds.get(k) != kinds.get(k - 1)
          || Math.abs(turnAt(k)) > CORNER;
    }

    /** Length along the side up to each of its points. */
    double[] lengths() {
      double[] s = new double[points.size()];
      for (int k = 1; k < s.length; k++) {
        s[k] = s[k - 1] + points.get(k - 1).distanceTo(points.get(k));
      }
      return s;
    }
  }

  /** A turn below this is one of a drawn arc, radians. */
  private static final double CORNER = Math.toRadians(8.5);

  public AirSpace {
    far = List.copyOf(far);
  }
}
