package finebore.flow;

import finebore.code.Coded;
import java.util.Locale;

/** Which way the air goes through the seat. */
public enum Direction implements Coded {
  /** From the port into the chamber. */
  INTAKE,
  /** From the chamber into the port. */
  EXHAUST;

  /**
   * Resistance of the port behind a seat, 1/mm4. Air that leaves through a port loses what its
   * speed there is worth, one velocity head (Borda and Carnot), besides what the port itself costs.
   *
   * @param loss the port's own, in velocity heads
   * @param areaMm2 throat less stem that the heads are told of, mm2
   */
  public double portPerMm4(double loss, double areaMm2) {
    return (loss + (this == EXHAUST ? 1 : 0)) / (areaMm2 * areaMm2);
  }

  @Override
  public String code() {
    return "direction." + name().toLowerCase(Locale.ROOT);
  }
}
