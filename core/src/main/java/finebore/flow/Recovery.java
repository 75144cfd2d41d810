package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Point;

/** A filled passage that widens along its land gives part of the pressure back. */
final class Recovery implements Mechanism {

  @Override
  public void addTo(Passage p) {
    p.add(
        Cause.RECOVERY,
        p.gateSurface(),
        p.curtain().onMetal(),
        -p.filled() * p.k().recovery() * widening(p) * p.perGate());
  }

  /** 1 - (area before / area after)^2 along the land. */
  private static double widening(Passage p) {
    Point seat = along(p.walk(true, -p.upstreamStep()), p.land());
    Point valve = along(p.walk(false, -p.upstreamStep()), p.land());
    double area = p.curtain().areaMm2();
    double ratio = area / Math.max(Gate.frustum(seat, valve), area);
    return 1 - ratio * ratio;
  }

  private static Point along(Turning.Walk walk, double lengthMm) {
    Point at = walk.from();
    double left = lengthMm;
    for (int i = walk.segment(); i >= 0 && i < walk.wall().segmentCount(); i += walk.step()) {
      Point next = walk.step() > 0 ? walk.wall().end(i) : walk.wall().start(i);
      double length = at.distanceTo(next);
      if (length >= left) {
        return length < 1e-12 ? at : at.toward(next, left / length);
      }
      left -= length;
      at = next;
    }
    return at;
  }
}
