package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Place;
import finebore.section.Point;

/** Walls past the gate that stand up into the stream. */
final class Ridges implements Mechanism {

  @Override
  public void addTo(Passage p) {
    LossCoefficients.Ridge k = p.k().ridge();
    Turning wall =
        Turning.of(
            p.walk(true, -p.upstreamStep()),
            p.streamOn(true, false),
            k.reachGaps() * p.gap() + k.reachMm());
    double away = 0;
    for (Turning.Corner corner : wall.corners()) {
      away += corner.turn();
      double into = Math.min(-away, Math.PI / 2);
      if (corner.turn() < 0 && into > 0 && corner.distanceMm() != 0) {
        add(p, k, corner, into);
      }
    }
  }

  private static void add(Passage p, LossCoefficients.Ridge k, Turning.Corner corner, double into) {
    Point top = p.isIntake() ? p.metal().start(corner.segment()) : p.metal().end(corner.segment());
    double height = corner.at().distanceTo(top) * Math.sin(into);
    Gate over = Gate.overStretch(p.metal(), corner.segment(), p.valve());
    double pinch = Math.min(p.curtain().areaMm2() / over.areaMm2(), k.pinchMost());
    double blocked = -Math.expm1(-height / (k.height() * p.gap()));
    double detached =
        1 / (1 + Math.pow(p.gap() / (k.detach() * corner.distanceMm()), k.detachPower()));
    double loss = k.loss() * Math.sin(into) * Math.pow(pinch, k.pinchPower()) * blocked * detached;
    p.add(
        Cause.RIDGE, Place.on(p.metal().surfaces().get(corner.segment())), top, loss * p.perGate());
  }
}
