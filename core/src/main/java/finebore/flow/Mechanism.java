package finebore.flow;

import java.util.List;

/** One way in which a passage holds the air up, or gives pressure back. */
@FunctionalInterface
interface Mechanism {

  /**
   * In the order in which the air meets them; the turn out of the throat joins what all before it
   * come to.
   */
  List<Mechanism> ALL =
      List.of(
          new GateHead(),
          new JetNarrowing(),
          new LandFriction(),
          new Recovery(),
          new Ridges(),
          new ThroatTurn(),
          new PortLoss());

  /** Adds what it finds in a passage to the passage's losses. */
  void addTo(Passage passage);
}
