package finebore.benchmarks.air;

import finebore.flow.field.AirQuestion;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.study.SeatFit;

/**
 * A section at one lift in a few dozen numbers without dimension, none of which leaps when a length
 * changes a little or passes through nothing.
 *
 * <p>From the middle of the contact, which stays where it is on either wall, both walls are
 * followed both ways. At rising distances, in gaps and in head diameters, stands the direction of
 * the chord back to the contact, and how far the other wall is from there.
 */
final class SectionShape {

  private static final double[] IN_GAPS = {0.25, 0.5, 1, 2, 4};
  private static final double[] IN_HEADS = {0.02, 0.05, 0.1, 0.2};

  private SectionShape() {}

  static double[] of(Profile wall, SeatFit fit, double liftMm) {
    double head = fit.pairing().valve().headDiameterMm();
    Point on = fit.seated().orElseThrow().contact().inner();
    Point out = fit.seated().orElseThrow().contact().outer();
    Point contact = on.toward(out, 0.5);
    Profile valve = fit.valveAt(liftMm);
    Point lifted = contact.plus(0, liftMm);
    double gap = AirQuestion.gapMm(wall, valve);
    double[] x = new double[4 + 4 * (IN_GAPS.length + IN_HEADS.length) * 2];
    int k = 0;
    x[k++] = Math.log(gap / head);
    x[k++] = Math.log(gap / liftMm);
    x[k++] =
        fit.throatAreaMm2() / (Math.PI * head * gap) > 3
            ? 3
            : fit.throatAreaMm2() / (Math.PI * head * gap);
    x[k++] = fit.pairing().seat().throatDiameterMm() / head;
    for (int side = 0; side < 2; side++) {
      Profile mine = side == 0 ? wall : valve;
      Profile other = side == 0 ? valve : wall;
      Point from = side == 0 ? contact : lifted;
      for (int way = -1; way <= 1; way += 2) {
        for (double gaps : IN_GAPS) {
          k = station(mine, other, from, way, gaps * gap, gap, x, k);
        }
        for (double heads : IN_HEADS) {
          k = station(mine, other, from, way, heads * head, gap, x, k);
        }
      }
    }
    return x;
  }

  private static int station(
      Profile mine,
      Profile other,
      Point from,
      int way,
      double distance,
      double gap,
      double[] x,
      int k) {
    Point at = along(mine, from, way, distance);
    double dr = at.r() - from.r();
    double dz = at.z() - from.z();
    x[k] = Math.atan2(way * -dz, way * -dr);
    double clear = Double.MAX_VALUE;
    for (int s = 0; s < other.segmentCount(); s++) {
      clear = Math.min(clear, other.distance(s, at));
    }
    x[k + 1] = Math.log(clear / gap);
    return k + 2;
  }

  /** The point some way along a wall from the place nearest to a point. */
  private static Point along(Profile wall, Point from, int way, double distance) {
    int segment = 0;
    for (int s = 1; s < wall.segmentCount(); s++) {
      if (wall.distance(s, from) < wall.distance(segment, from)) {
        segment = s;
      }
    }
    Point at = from;
    double left = distance;
    for (int s = segment; s >= 0 && s < wall.segmentCount(); s += way) {
      Point end = way > 0 ? wall.end(s) : wall.start(s);
      double piece = at.distanceTo(end);
      if (piece >= left && piece > 0) {
        return at.toward(end, left / piece);
      }
      left -= piece;
      at = end;
    }
    return at;
  }
}
