package finebore.sizes;

import finebore.code.RuleViolation;
import finebore.job.Port;
import finebore.quantity.Quantity;
import finebore.valve.Valve;

/**
 * A valve that can be had.
 *
 * @param name what the shop calls it, not empty
 * @param port what it is made for
 * @param valve its shape
 * @param lengthMm from the tip to the chamber side of its head
 * @param price of one, in the shop's money
 */
public record ShelfValve(String name, Port port, Valve valve, double lengthMm, double price) {

  public ShelfValve {
    if (name.isBlank()) {
      throw RuleViolation.of("shelfValveName");
    }
    Quantity.VALVE_LENGTH.check(lengthMm);
    Quantity.VALVE_PRICE.check(price);
  }

  public double headMm() {
    return valve.headDiameterMm();
  }
}
