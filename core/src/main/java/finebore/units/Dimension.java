package finebore.units;

/**
 * Kinds of number, each with the unit the core computes in. What a user sees and types is another
 * matter, and decided at the edge.
 */
public enum Dimension {
  LENGTH("mm"),
  /** Lengths of which thousandths of a millimetre count: fits and runout. */
  FINE_LENGTH("mm"),
  ANGLE("deg"),
  /** Hours on a clock face, 12 toward the top of the head's plan, seen from the chamber. */
  CLOCK("h"),
  /** A fraction, shown in per cent. */
  SHARE("1"),
  /** A ratio or a coefficient, shown as it is. */
  RATIO("1"),
  /** A whole number of things. */
  COUNT("1"),
  AREA("mm2"),
  /** Small volumes of metal. */
  VOLUME("mm3"),
  /** Volumes of a chamber. */
  CAPACITY("cm3"),
  FLOW("m3/s"),
  /** Pressure differences across a bench. */
  PRESSURE("Pa"),
  /** Pressure of the room. */
  BAROMETER("Pa"),
  TEMPERATURE("C"),
  SPEED("m/s"),
  /** A reading on a bench's scale. */
  PERCENT("%"),
  TURNS("rpm"),
  POWER("hp"),
  /** Angles of the crank. */
  CRANK("deg"),
  /** How long work takes. */
  MINUTES("min"),
  SECONDS("s"),
  /** In whatever currency the shop reckons. */
  MONEY("1");

  private final String unit;

  Dimension(String unit) {
    this.unit = unit;
  }

  /** The core's unit as files write it. */
  public String unit() {
    return unit;
  }
}
