package finebore.cutting;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.List;

/**
 * Found metal or the mark of a tool that stands in the way of the air beside the cuts: in the
 * chamber a wall that turns up out of a cut, in the throat a wall that turns flat under one.
 *
 * @param inChamber whether it stands over the seat, otherwise under it
 * @param at the corner it stands on
 * @param heightMm how far it stands up, along the guide in the chamber, on the radius in the throat
 * @param turnDeg how sharply the wall turns there
 * @param surface what stands there
 */
public record LeftoverEdge(
    boolean inChamber, Point at, double heightMm, double turnDeg, Surface surface) {

  /** Less than this is not seen and not felt, mm. */
  private static final double SEEN_MM = 0.05;

  /** Stretches shorter than this are burrs. */
  private static final Tolerance BURR = new Tolerance(0.02);

  /** Turns smaller than this lead the air on, degrees. */
  private static final double SHARP_DEG = 5;

  /** A hand leads a blend out into what it meets; a turn smaller than this there is none. */
  private static final double BLENDED_DEG = 12;

  /** Whether a blend lies on either side of where a stretch begins. */
  private static boolean isBlended(Profile wall, int k) {
    return wall.surfaces().get(k).trace() == Trace.BLEND_BELOW
        || wall.surfaces().get(k - 1).trace() == Trace.BLEND_BELOW;
  }

  /** What stands about the sealing cut of a wall, from the seat outward and then inward. */
  public static List<LeftoverEdge> of(Profile exact, int sealingCut) {
    Profile wall = withoutBurrs(exact);
    int first = -1;
    int last = -1;
    for (int k = 0; k < wall.segmentCount(); k++) {
      Surface surface = wall.surfaces().get(k);
      if (surface.part() == Part.CUT && surface.index() == sealingCut) {
        first = first < 0 ? k : first;
        last = k;
      }
    }
    List<LeftoverEdge> witnesses = new ArrayList<>();
    if (first < 0) {
      return witnesses;
    }
    for (int k = first - 1; k >= 0; k--) {
      double turn = slope(wall, k) - slope(wall, k + 1);
      if (turn > SHARP_DEG) {
        int top = k;
        double steepest = turn;
        // It ends where the wall has lain back by half again.
        while (top > 0
            && slope(wall, top - 1) - slope(wall, k + 1) > Math.max(SHARP_DEG, steepest / 2)) {
          top--;
          steepest = Math.max(steepest, slope(wall, top) - slope(wall, k + 1));
        }
        double height = wall.start(top).z() - wall.end(k).z();
        if (height > SEEN_MM) {
          witnesses.add(new LeftoverEdge(true, wall.end(k), height, turn, wall.surfaces().get(k)));
        }
        k = top;
      }
    }
    for (int k = last + 1; k < wall.segmentCount(); k++) {
      if (wall.surfaces().get(k).part() == Part.BOWL) {
        break;
      }
      double turn = slope(wall, k - 1) - slope(wall, k);
      if (turn > (isBlended(wall, k) ? BLENDED_DEG : SHARP_DEG)) {
        int end = k;
        double flattest = turn;
        while (end < wall.segmentCount() - 1
            && slope(wall, k - 1) - slope(wall, end + 1) > Math.max(SHARP_DEG, flattest / 2)) {
          end++;
          flattest = Math.max(flattest, slope(wall, k - 1) - slope(wall, end));
        }
        double stands = wall.start(k).r() - wall.end(end).r();
        if (stands > SEEN_MM) {
          witnesses.add(
              new LeftoverEdge(false, wall.start(k), stands, turn, wall.surfaces().get(k)));
        }
        k = end;
      }
    }
    return witnesses;
  }

  /** A wall without stretches too short to be seen. */
  private static Profile withoutBurrs(Profile wall) {
    Profile.Builder smooth = new Profile.Builder(wall.points().getFirst(), BURR);
    for (int k = 0; k < wall.segmentCount(); k++) {
      smooth.to(wall.end(k), wall.surfaces().get(k));
    }
    return smooth.build();
  }

  /** Slope of a stretch from flat, degrees: 45 falls inward, 90 is upright, past it undercuts. */
  private static double slope(Profile wall, int k) {
    Point a = wall.start(k);
    Point b = wall.end(k);
    return Math.toDegrees(Math.atan2(a.z() - b.z(), a.r() - b.r()));
  }
}
