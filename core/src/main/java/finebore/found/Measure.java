package finebore.found;

import finebore.section.Bounds;

/**
 * What a gauge reads of a seat as found, in the order of the hand: all throats first, then all
 * widths. The key is the name in files.
 */
public enum Measure {
  THROAT_12("throat12", "Throat 12-6", "Snap gauge across 12 and 6 o'clock", Kind.LENGTH, 3, 200),
  THROAT_130("throat130", "Throat 1½-7½", "Snap gauge across 1:30 and 7:30", Kind.LENGTH, 3, 200),
  THROAT_3("throat3", "Throat 3-9", "Snap gauge across 3 and 9 o'clock", Kind.LENGTH, 3, 200),
  THROAT_430("throat430", "Throat 4½-10½", "Snap gauge across 4:30 and 10:30", Kind.LENGTH, 3, 200),
  SEAT_WIDTH("seatWidth", "Seat width", "Width of the old seat, along the cut", Kind.LENGTH, 0, 15),
  SEAT_ANGLE("seatAngle", "Seat angle", "Angle of the old seat", Kind.ANGLE, 10, 75),
  SEAT_OUTSIDE(
      "seatOutside", "Seat outside", "Diameter at its chamber-side edge", Kind.LENGTH, 5, 200),
  SEAT_DEPTH(
      "seatDepth", "Below face", "Depth gauge, outside edge to the head face", Kind.LENGTH, 0, 60),
  BOWL_DIAMETER("bowl", "Bowl", "Diameter of the bowl under the throat", Kind.LENGTH, 3, 250),
  BOWL_DEPTH(
      "bowlDepth",
      "Bowl below seat",
      "Seat's outside edge to where the bowl is measured",
      Kind.LENGTH,
      0,
      100),
  ROOF_ANGLE(
      "roofAngle", "Roof angle", "Rise of the chamber roof beside the seat", Kind.ANGLE, 0, 80),
  RUNOUT(
      "runout",
      "Seat off guide",
      "Offset of the old seat's centre from the guide: half of what a dial on the pilot swings",
      Kind.LENGTH,
      0,
      3),
  RUNOUT_CLOCK("runoutClock", "... toward", "Clock position it is off toward", Kind.CLOCK, 0, 12),
  LEDGE(
      "ledge",
      "Core ledge",
      "How far the bowl stands in under the throat on one side",
      Kind.LENGTH,
      0,
      8),
  LEDGE_CLOCK("ledgeClock", "... at", "Clock position of the ledge", Kind.CLOCK, 0, 12),
  RING_OUTSIDE(
      "ringOutside", "Ring outside", "Outside diameter of the insert", Kind.LENGTH, 8, 220),
  RING_DEPTH("ringDepth", "Ring floor", "Head face to the insert's floor", Kind.LENGTH, 0, 80),
  RING_FIT("ringFit", "Ring fit", "Press fit of the insert, on the diameter", Kind.LENGTH, 0, 0.5),
  NEIGHBOUR_RING(
      "neighbourRing", "To next ring", "Metal to the neighbouring insert", Kind.LENGTH, -5, 60),
  WALL_SEAT("wallSeat", "Wall at seat", "Sonic gauge behind the lower cuts", Kind.LENGTH, 0.1, 40),
  WALL_THROAT("wallThroat", "Wall at throat", "Sonic gauge in the throat", Kind.LENGTH, 0.1, 40),
  WALL_BOWL("wallBowl", "Wall at bowl", "Sonic gauge in the bowl", Kind.LENGTH, 0.1, 40),
  GUIDE_CLEARANCE(
      "guideClearance", "Guide clearance", "Stem to guide, on the diameter", Kind.LENGTH, 0, 1),
  SPRING_HEIGHT("springHeight", "Spring height", "Installed spring height", Kind.LENGTH, 10, 90);

  /** What kind of number a measure is. */
  public enum Kind {
    /** Millimetres. */
    LENGTH,
    /** Degrees. */
    ANGLE,
    /** Hours on a clock face, 12 toward the top of the head's plan, seen from the chamber. */
    CLOCK
  }

  private final String key;
  private final String label;
  private final String how;
  private final Kind kind;
  private final double min;
  private final double max;

  Measure(String key, String label, String how, Kind kind, double min, double max) {
    this.key = key;
    this.label = label;
    this.how = how;
    this.kind = kind;
    this.min = min;
    this.max = max;
  }

  public String key() {
    return key;
  }

  public String label() {
    return label;
  }

  /** How it is taken, in a line. */
  public String how() {
    return how;
  }

  public Kind kind() {
    return kind;
  }

  /** Whether it is one of the diameters across the throat. */
  public boolean isThroat() {
    return compareTo(THROAT_430) <= 0;
  }

  /** Clock position of a throat diameter, hours. */
  double throatClock() {
    return switch (this) {
      case THROAT_12 -> 0;
      case THROAT_130 -> 1.5;
      case THROAT_3 -> 3;
      case THROAT_430 -> 4.5;
      default -> throw new IllegalStateException(this + " is not a throat diameter");
    };
  }

  /** Its name where a sentence needs more than the column's heading. */
  public String inWords() {
    return switch (this) {
      case RUNOUT_CLOCK -> "Clock position of the seat's offset";
      case LEDGE_CLOCK -> "Clock position of the core ledge";
      case SEAT_DEPTH -> "Seat below the head face";
      default -> label;
    };
  }

  /**
   * Lets a reading pass that can be.
   *
   * @throws IllegalArgumentException naming the measure, what was expected and the value
   */
  public void check(double value) {
    String unit =
        switch (kind) {
          case LENGTH -> "mm";
          case ANGLE -> "degrees";
          case CLOCK -> "o'clock";
        };
    Bounds.check(inWords(), value, min, max, unit);
  }
}
