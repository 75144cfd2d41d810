package finebore.found;

import finebore.code.Coded;
import finebore.quantity.Quantity;
import finebore.units.Dimension;
import java.util.List;

/**
 * What a gauge reads of a seat as found, in the order of the hand: all throats first, then all
 * widths. The key is the name in files.
 */
public enum Measure implements Coded {
  THROAT_12("throat12", Quantity.THROAT),
  THROAT_130("throat130", Quantity.THROAT),
  THROAT_3("throat3", Quantity.THROAT),
  THROAT_430("throat430", Quantity.THROAT),
  SEAT_WIDTH("seatWidth", Quantity.FOUND_SEAT_WIDTH),
  SEAT_ANGLE("seatAngle", Quantity.SEALING_ANGLE),
  SEAT_OUTSIDE("seatOutside", Quantity.SEAT_OUTSIDE),
  SEAT_DEPTH("seatDepth", Quantity.SEAT_DEPTH),
  BOWL_DIAMETER("bowl", Quantity.BOWL),
  BOWL_DEPTH("bowlDepth", Quantity.BOWL_DEPTH),
  ROOF_ANGLE("roofAngle", Quantity.ROOF_ANGLE),
  RUNOUT("runout", Quantity.RUNOUT),
  RUNOUT_CLOCK("runoutClock", Quantity.RUNOUT_CLOCK),
  CORE_SHIFT("ledge", Quantity.CORE_SHIFT),
  CORE_SHIFT_CLOCK("ledgeClock", Quantity.CORE_SHIFT_CLOCK),
  RING_OUTSIDE("ringOutside", Quantity.RING_OUTSIDE),
  RING_DEPTH("ringDepth", Quantity.FOUND_RING_FLOOR),
  RING_FIT("ringFit", Quantity.RING_FIT),
  NEIGHBOUR_RING("neighbourRing", Quantity.NEIGHBOUR_RING),
  WALL_SEAT("wallSeat", Quantity.WALL),
  WALL_THROAT("wallThroat", Quantity.WALL),
  WALL_BOWL("wallBowl", Quantity.WALL),
  VALVE_HEAD("valveHead", Quantity.VALVE_HEAD),
  GUIDE_CLEARANCE("guideClearance", Quantity.GUIDE_CLEARANCE),
  VALVE_LENGTH("valveLength", Quantity.VALVE_LENGTH),
  SPRING_HEIGHT("springHeight", Quantity.SPRING_HEIGHT),
  PISTON_CLEARANCE("pistonClearance", Quantity.PISTON_CLEARANCE),
  VALVE_CLEARANCE("valveClearance", Quantity.VALVE_CLEARANCE),
  MANIFOLD_FLOW("manifoldFlow", Quantity.RUNNER_FLOW),
  THROTTLE_FLOW("throttleFlow", Quantity.RUNNER_FLOW),
  AXIS_ALONG("axisAlong", Quantity.AXIS_ALONG),
  AXIS_ACROSS("axisAcross", Quantity.AXIS_ACROSS),
  LEAN_ALONG("leanAlong", Quantity.LEAN_ALONG),
  LEAN_ACROSS("leanAcross", Quantity.LEAN_ACROSS),
  GAP_TO_BORE("gapToBore", Quantity.GAP_TO_BORE),
  CHAMBER_DEPTH("chamberDepth", Quantity.CHAMBER_DEPTH),
  WALL_12("chamberWall12", Quantity.GAP_TO_CHAMBER),
  WALL_130("chamberWall130", Quantity.GAP_TO_CHAMBER),
  WALL_3("chamberWall3", Quantity.GAP_TO_CHAMBER),
  WALL_430("chamberWall430", Quantity.GAP_TO_CHAMBER),
  WALL_6("chamberWall6", Quantity.GAP_TO_CHAMBER),
  WALL_730("chamberWall730", Quantity.GAP_TO_CHAMBER),
  WALL_9("chamberWall9", Quantity.GAP_TO_CHAMBER),
  WALL_1030("chamberWall1030", Quantity.GAP_TO_CHAMBER),
  WALL_1230("chamberWall1230", Quantity.GAP_TO_CHAMBER),
  WALL_1("chamberWall1", Quantity.GAP_TO_CHAMBER),
  WALL_2("chamberWall2", Quantity.GAP_TO_CHAMBER),
  WALL_230("chamberWall230", Quantity.GAP_TO_CHAMBER),
  WALL_330("chamberWall330", Quantity.GAP_TO_CHAMBER),
  WALL_4("chamberWall4", Quantity.GAP_TO_CHAMBER),
  WALL_5("chamberWall5", Quantity.GAP_TO_CHAMBER),
  WALL_530("chamberWall530", Quantity.GAP_TO_CHAMBER),
  WALL_630("chamberWall630", Quantity.GAP_TO_CHAMBER),
  WALL_7("chamberWall7", Quantity.GAP_TO_CHAMBER),
  WALL_8("chamberWall8", Quantity.GAP_TO_CHAMBER),
  WALL_830("chamberWall830", Quantity.GAP_TO_CHAMBER),
  WALL_930("chamberWall930", Quantity.GAP_TO_CHAMBER),
  WALL_10("chamberWall10", Quantity.GAP_TO_CHAMBER),
  WALL_11("chamberWall11", Quantity.GAP_TO_CHAMBER),
  WALL_1130("chamberWall1130", Quantity.GAP_TO_CHAMBER);

  /** Gaps from the valve's edge to the chamber wall, by half hours of the clock from 12. */
  public static final List<Measure> CHAMBER_WALL =
      List.of(
          WALL_12, WALL_1230, WALL_1, WALL_130, WALL_2, WALL_230, WALL_3, WALL_330, WALL_4,
          WALL_430, WALL_5, WALL_530, WALL_6, WALL_630, WALL_7, WALL_730, WALL_8, WALL_830, WALL_9,
          WALL_930, WALL_10, WALL_1030, WALL_11, WALL_1130);

  private final String key;
  private final Quantity quantity;

  Measure(String key, Quantity quantity) {
    this.key = key;
    this.quantity = quantity;
  }

  public String key() {
    return key;
  }

  @Override
  public String code() {
    return "measure." + key;
  }

  /** What kind of number it is, and within which bounds. */
  public Quantity quantity() {
    return quantity;
  }

  public Dimension dimension() {
    return quantity.dimension();
  }

  /** Whether it is one of the diameters across the throat. */
  public boolean isThroat() {
    return compareTo(THROAT_430) <= 0;
  }

  /** Whether it says where things lie in the plan of the head: cylinders may be mirrored. */
  public boolean isOfPlan() {
    return compareTo(AXIS_ALONG) >= 0;
  }

  /** Whether it is read only where a wall turns too fast for every hour and a half. */
  public boolean isFine() {
    return compareTo(WALL_1230) >= 0;
  }

  /** Clock position of a throat diameter, hours. */
  double throatClock() {
    return switch (this) {
      case THROAT_12 -> 0;
      case THROAT_130 -> 1.5;
      case THROAT_3 -> 3;
      case THROAT_430 -> 4.5;
      default -> throw new IllegalStateException(name());
    };
  }
}
