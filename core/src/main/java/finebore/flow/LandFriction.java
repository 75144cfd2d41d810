package finebore.flow;

import finebore.flow.Loss.Cause;

/** Rubbing along the land past the gate. */
final class LandFriction implements Mechanism {

  @Override
  public void addTo(Passage p) {
    p.add(
        Cause.FRICTION,
        p.gateSurface(),
        p.curtain().onMetal(),
        p.k().friction() * p.land() / p.gap() * p.perGate());
  }
}
