package finebore.flow;

import finebore.flow.Loss.Cause;

/** The speed the air needs to pass the gate at all. */
final class GateHead implements Mechanism {

  @Override
  public void addTo(Passage p) {
    Gate gate = p.smallest();
    p.add(Cause.GATE, gate.place(), gate.onMetal(), 1 / (gate.areaMm2() * gate.areaMm2()));
  }
}
