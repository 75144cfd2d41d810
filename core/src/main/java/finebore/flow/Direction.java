package finebore.flow;

import finebore.code.Coded;
import java.util.Locale;

/** Which way the air goes through the seat. */
public enum Direction implements Coded {
  /** From the port into the chamber. */
  INTAKE,
  /** From the chamber into the port. */
  EXHAUST;

  @Override
  public String code() {
    return "direction." + name().toLowerCase(Locale.ROOT);
  }
}
