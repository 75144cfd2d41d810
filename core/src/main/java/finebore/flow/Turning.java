package finebore.flow;

import finebore.section.Point;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.List;

/**
 * How a wall turns away from the stream on one side of the gate, corner by corner.
 *
 * <p>Walking along the wall from the gate, the deviation is the angle between wall and stream,
 * positive where the wall falls away from it. Each corner adds its turn at its distance s along the
 * wall.
 *
 * @param corners in order of distance
 */
record Turning(List<Corner> corners) {

  /**
   * One turn of the wall.
   *
   * @param at where
   * @param distanceMm distance along the wall from the gate
   * @param turn change of the deviation there, radians
   * @param segment the stretch of the profile that begins there, going away from the gate
   */
  record Corner(Point at, double distanceMm, double turn, int segment) {}

  /**
   * A walk along a wall, away from the gate.
   *
   * @param wall the profile
   * @param segment stretch that holds the gate's edge
   * @param from the gate's edge
   * @param step +1 to walk toward the profile's end, -1 toward its start
   */
  record Walk(Profile wall, int segment, Point from, int step) {}

  /**
   * The stream at the gate.
   *
   * @param angle direction, radians, pointing downstream
   * @param upstream whether the walk goes against it
   * @param away +1 where a wall that turns counter-clockwise of the stream falls away from it, else
   *     -1
   */
  record Stream(double angle, boolean upstream, int away) {

    double deviation(Point from, Point to) {
      double dr = upstream ? from.r() - to.r() : to.r() - from.r();
      double dz = upstream ? from.z() - to.z() : to.z() - from.z();
      double turn = Math.atan2(dz, dr) - angle;
      return away * Math.atan2(Math.sin(turn), Math.cos(turn));
    }
  }

  /** The wall as it is, as far as the reach, mm. */
  static Turning of(Walk walk, Stream stream, double reachMm) {
    return between(places(walk, reachMm), stream);
  }

  /**
   * The wall as the stream sees it: stretched taut over its corners, so that a hollow between two
   * of them is bridged and every turn left falls away from the stream.
   */
  static Turning taut(Walk walk, Stream stream, double reachMm) {
    List<Corner> kept = new ArrayList<>();
    for (Corner place : places(walk, reachMm)) {
      while (kept.size() >= 2
          && stream.deviation(kept.get(kept.size() - 2).at(), kept.getLast().at())
              >= stream.deviation(kept.getLast().at(), place.at())) {
        kept.removeLast();
      }
      kept.add(place);
    }
    Turning turning = between(kept, stream);
    List<Corner> turns = new ArrayList<>();
    double deviation = 0;
    for (Corner corner : turning.corners()) {
      double now = deviation + corner.turn();
      double turn = Math.max(0, now) - Math.max(0, deviation);
      deviation = now;
      if (turn > 0) {
        turns.add(new Corner(corner.at(), corner.distanceMm(), turn, corner.segment()));
      }
    }
    return new Turning(turns);
  }

  /**
   * The corners of the walk, with the last place reached at the end; turns are not filled in yet.
   */
  private static List<Corner> places(Walk walk, double reachMm) {
    List<Corner> places = new ArrayList<>();
    Profile wall = walk.wall();
    Point at = walk.from();
    double distance = 0;
    for (int k = walk.segment();
        k >= 0 && k < wall.segmentCount() && distance < reachMm;
        k += walk.step()) {
      Point whole = walk.step() > 0 ? wall.end(k) : wall.start(k);
      double left = reachMm - distance;
      double length = at.distanceTo(whole);
      Point next = length > left ? at.toward(whole, left / length) : whole;
      if (length > 1e-9) {
        places.add(new Corner(at, distance, 0, k));
        distance += Math.min(length, left);
        at = next;
      }
    }
    places.add(new Corner(at, distance, 0, -1));
    return places;
  }

  private static Turning between(List<Corner> places, Stream stream) {
    List<Corner> corners = new ArrayList<>();
    double before = 0;
    for (int k = 0; k + 1 < places.size(); k++) {
      Corner place = places.get(k);
      double deviation = stream.deviation(place.at(), places.get(k + 1).at());
      corners.add(new Corner(place.at(), place.distanceMm(), deviation - before, place.segment()));
      before = deviation;
    }
    return new Turning(corners);
  }

  /**
   * Weight of a corner at a distance, for a mean over the window that tapers to nothing at its end.
   */
  static double weight(double distanceMm, double windowMm) {
    double left = Math.max(0, 1 - distanceMm / windowMm);
    return left * left;
  }

  /** Mean deviation over the window, radians. */
  double mean(double windowMm) {
    double sum = 0;
    for (Corner corner : corners) {
      sum += corner.turn() * weight(corner.distanceMm(), windowMm);
    }
    return sum;
  }

  /** The whole turn, radians. */
  double total() {
    return mean(Double.POSITIVE_INFINITY);
  }

  /**
   * Radius that the corners act as, mm. Corners closer than the scale act as one: their turns pair
   * up with weight exp(-distance / scale), and the sum over pairs, divided by the square of the
   * whole turn, is compared with that of an arc. Merging two corners changes it smoothly.
   */
  double radius(double windowMm, double scaleMm) {
    double total = 0;
    double pairs = 0;
    for (Corner a : corners) {
      double wa = a.turn() * weight(a.distanceMm(), windowMm);
      total += wa;
      for (Corner b : corners) {
        double wb = b.turn() * weight(b.distanceMm(), windowMm);
        pairs += wa * wb * Math.exp(-Math.abs(a.distanceMm() - b.distanceMm()) / scaleMm);
      }
    }
    if (total < 1e-9) {
      return 0;
    }
    return arcOverScale(Math.min(1, pairs / (total * total))) * scaleMm / (Math.PI / 2);
  }

  /**
   * Share of the turn that the stream does not follow, 0 to 1: it leaves a corner the more, the
   * sharper it is. A corner is as sharp as its own turn and its neighbours' by exp(-distance /
   * scale) together.
   *
   * @param limit turn at which a corner sheds 1 - 1/e of its share, radians
   * @param power how suddenly that comes
   */
  double shed(double scaleMm, double limit, double power) {
    double total = 0;
    double lost = 0;
    for (Corner a : corners) {
      double sharp = 0;
      for (Corner b : corners) {
        sharp += b.turn() * Math.exp(-Math.abs(a.distanceMm() - b.distanceMm()) / scaleMm);
      }
      total += a.turn();
      lost -= a.turn() * Math.expm1(-Math.pow(sharp / limit, power));
    }
    return total > 0 ? lost / total : 0;
  }

  /** Solves 2/x (1 - (1 - exp(-x))/x) = share for x, the arc's length over the scale. */
  private static double arcOverScale(double share) {
    double low = 0;
    double high = 1e4;
    for (int k = 0; k < 45; k++) {
      double x = (low + high) / 2;
      double value = x < 1e-6 ? 1 : 2 / x * (1 + Math.expm1(-x) / x);
      if (value > share) {
        low = x;
      } else {
        high = x;
      }
    }
    return (low + high) / 2;
  }
}
