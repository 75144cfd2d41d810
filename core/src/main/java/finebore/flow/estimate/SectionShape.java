package finebore.flow.estimate;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;

/**
 * A section at one lift in some dozens of numbers without dimension, none of which leaps when a
 * length changes a little or passes through nothing.
 *
 * <p>From the middle of the sealing cut, and from the place of the valve's face nearest to it, both
 * walls are followed both ways. Of the face, for the nearest of the whole valve leaps to the stem
 * where an exhaust stands far open. At rising distances, in gaps and in head diameters, stands the
 * direction of the chord back to where it began, and how far the other wall is from there.
 */
public final class SectionShape {

  private static final double[] IN_GAPS = {0.25, 0.5, 1, 2, 4};
  private static final double[] IN_HEADS = {0.02, 0.05, 0.1, 0.2, 0.35};
  private static final int WHOLE = 6;

  /** How many numbers there are. */
  public static final int COUNT = WHOLE + 4 * 2 * (IN_GAPS.length + IN_HEADS.length);

  private SectionShape() {}

  /**
   * Describes a section.
   *
   * @param metal wall of the head, from the chamber to the port, mm
   * @param sealing index of the sealing cut
   * @param valve wall of the valve at its lifted height, from the chamber edge to the stem, mm
   * @param gateMm2 smallest frustum between the two
   */
  public static double[] of(Profile metal, int sealing, Profile valve, double gateMm2) {
    Wall head = new Wall(metal);
    Wall lifted = new Wall(valve);
    double diameter = 2 * lifted.widest();
    Spot begin = head.middleOf(metal, sealing);
    Spot facing = lifted.nearestOf(valve, Part.FACE, begin.r, begin.z);
    double gap = gateMm2 / (Math.PI * (begin.r + facing.r));
    double throat = head.narrowest();
    double stem = lifted.r[lifted.r.length - 1];
    double[] x = new double[COUNT];
    x[0] = Math.log(gap / diameter);
    x[1] = Math.log(Math.hypot(begin.r - facing.r, begin.z - facing.z) / gap);
    x[2] = Math.atan2(facing.z - begin.z, begin.r - facing.r);
    x[3] = gateMm2 / (Math.PI * Math.max(throat * throat - stem * stem, 0.05 * throat * throat));
    x[4] = 2 * throat / diameter;
    x[5] = 2 * begin.r / diameter;
    int k = WHOLE;
    for (int way = -1; way <= 1; way += 2) {
      k = follow(head, lifted, begin, way, gap, diameter, x, k);
      k = follow(lifted, head, facing, way, gap, diameter, x, k);
    }
    return x;
  }

  private static int follow(
      Wall mine, Wall other, Spot from, int way, double gap, double diameter, double[] x, int k) {
    int at = k;
    for (double gaps : IN_GAPS) {
      station(mine, other, from, way, gaps * gap, gap, x, at);
      at += 2;
    }
    for (double heads : IN_HEADS) {
      station(mine, other, from, way, heads * diameter, gap, x, at);
      at += 2;
    }
    return at;
  }

  private static void station(
      Wall mine, Wall other, Spot from, int way, double distance, double gap, double[] x, int k) {
    Spot at = mine.along(from, way, distance);
    x[k] = Math.atan2(way * (from.z - at.z), way * (from.r - at.r));
    x[k + 1] = Math.log(Math.max(other.distance(at.r, at.z), 0.01 * gap) / gap);
  }

  /** A place on a wall. */
  private record Spot(int segment, double r, double z) {}

  /** A wall's points as plain numbers: this is asked for at every candidate of a search. */
  private static final class Wall {
    final double[] r;
    final double[] z;

    Wall(Profile profile) {
      int n = profile.points().size();
      r = new double[n];
      z = new double[n];
      for (int k = 0; k < n; k++) {
        Point p = profile.points().get(k);
        r[k] = p.r();
        z[k] = p.z();
      }
    }

    double widest() {
      double most = 0;
      for (double v : r) {
        most = Math.max(most, v);
      }
      return most;
    }

    double narrowest() {
      double least = Double.MAX_VALUE;
      for (double v : r) {
        least = Math.min(least, v);
      }
      return least;
    }

    /** Middle of what shows of a cut; where nothing does, of the lowest cut above it. */
    Spot middleOf(Profile profile, int cut) {
      int first = -1;
      int last = -1;
      for (int k = 0; k < profile.segmentCount(); k++) {
        Surface surface = profile.surfaces().get(k);
        if (surface.part() == Part.CUT && surface.index() == cut) {
          first = first < 0 ? k : first;
          last = k;
        }
      }
      if (first < 0) {
        first = 0;
        while (first < profile.segmentCount() - 1
            && profile.surfaces().get(first + 1).part() != Part.THROAT) {
          first++;
        }
        return new Spot(first, r[first + 1], z[first + 1]);
      }
      double length = 0;
      for (int k = first; k <= last; k++) {
        length += Math.hypot(r[k + 1] - r[k], z[k + 1] - z[k]);
      }
      return along(new Spot(first, r[first], z[first]), 1, length / 2);
    }

    /** Nearest place of a part: one straight stretch, so that it does not leap. */
    Spot nearestOf(Profile profile, Part part, double pr, double pz) {
      double least = Double.MAX_VALUE;
      Spot spot = null;
      for (int k = 0; k + 1 < r.length; k++) {
        if (profile.surfaces().get(k).part() != part) {
          continue;
        }
        double t = share(k, pr, pz);
        double nr = r[k] + t * (r[k + 1] - r[k]);
        double nz = z[k] + t * (z[k + 1] - z[k]);
        double square = (nr - pr) * (nr - pr) + (nz - pz) * (nz - pz);
        if (square < least) {
          least = square;
          spot = new Spot(k, nr, nz);
        }
      }
      return spot;
    }

    double distance(double pr, double pz) {
      double least = Double.MAX_VALUE;
      for (int k = 0; k + 1 < r.length; k++) {
        double t = share(k, pr, pz);
        double nr = r[k] + t * (r[k + 1] - r[k]) - pr;
        double nz = z[k] + t * (z[k + 1] - z[k]) - pz;
        least = Math.min(least, nr * nr + nz * nz);
      }
      return Math.sqrt(least);
    }

    private double share(int k, double pr, double pz) {
      double dr = r[k + 1] - r[k];
      double dz = z[k + 1] - z[k];
      double square = dr * dr + dz * dz;
      double t = square == 0 ? 0 : ((pr - r[k]) * dr + (pz - z[k]) * dz) / square;
      return t < 0 ? 0 : t > 1 ? 1 : t;
    }

    /** The place some way on, or the wall's end. */
    Spot along(Spot from, int way, double distance) {
      double atR = from.r;
      double atZ = from.z;
      double left = distance;
      for (int s = from.segment; s >= 0 && s + 1 < r.length; s += way) {
        int end = way > 0 ? s + 1 : s;
        double piece = Math.hypot(r[end] - atR, z[end] - atZ);
        if (piece >= left && piece > 0) {
          double t = left / piece;
          return new Spot(s, atR + t * (r[end] - atR), atZ + t * (z[end] - atZ));
        }
        left -= piece;
        atR = r[end];
        atZ = z[end];
      }
      return new Spot(from.segment, atR, atZ);
    }
  }
}
