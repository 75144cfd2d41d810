package finebore.flow;

/** Which way the air goes through the seat. */
public enum Direction {
  /** From the port into the chamber. */
  INTAKE,
  /** From the chamber into the port. */
  EXHAUST
}
