package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Place;

/** The port behind the throat. */
final class PortLoss implements Mechanism {

  @Override
  public void addTo(Passage p) {
    p.add(
        Cause.PORT,
        Place.behind(p.metal().surfaces().getLast()),
        p.metal().points().getLast(),
        p.setting().portPerMm4());
  }
}
