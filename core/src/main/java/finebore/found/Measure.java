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
  PORT_CLOCK("portClock", Quantity.PORT_CLOCK),
  GAP_TO_BORE("gapToBore", Quantity.GAP_TO_BORE),
  EDGE_TO_INTAKE_A("edgeToIntakeA", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  EDGE_TO_INTAKE_B("edgeToIntakeB", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  EDGE_TO_INTAKE_C("edgeToIntakeC", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  EDGE_TO_EXHAUST_A("edgeToExhaustA", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  EDGE_TO_EXHAUST_B("edgeToExhaustB", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  EDGE_TO_EXHAUST_C("edgeToExhaustC", Quantity.EDGE_TO_EDGE, Rows.DISTANCES),
  CENTRES_TO_INTAKE_A("centresToIntakeA", Quantity.CENTRES_APART, Rows.DISTANCES),
  CENTRES_TO_INTAKE_B("centresToIntakeB", Quantity.CENTRES_APART, Rows.DISTANCES),
  CENTRES_TO_INTAKE_C("centresToIntakeC", Quantity.CENTRES_APART, Rows.DISTANCES),
  CENTRES_TO_EXHAUST_A("centresToExhaustA", Quantity.CENTRES_APART, Rows.DISTANCES),
  CENTRES_TO_EXHAUST_B("centresToExhaustB", Quantity.CENTRES_APART, Rows.DISTANCES),
  CENTRES_TO_EXHAUST_C("centresToExhaustC", Quantity.CENTRES_APART, Rows.DISTANCES),
  CHAMBER_DEPTH("chamberDepth", Quantity.CHAMBER_DEPTH),
  DEPTH_12("chamberDepth12", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_130("chamberDepth130", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_3("chamberDepth3", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_430("chamberDepth430", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_6("chamberDepth6", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_730("chamberDepth730", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_9("chamberDepth9", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  DEPTH_1030("chamberDepth1030", Quantity.CHAMBER_DEPTH, Rows.DEPTHS),
  WALL_12("chamberWall12", Quantity.GAP_TO_CHAMBER),
  WALL_130("chamberWall130", Quantity.GAP_TO_CHAMBER),
  WALL_3("chamberWall3", Quantity.GAP_TO_CHAMBER),
  WALL_430("chamberWall430", Quantity.GAP_TO_CHAMBER),
  WALL_6("chamberWall6", Quantity.GAP_TO_CHAMBER),
  WALL_730("chamberWall730", Quantity.GAP_TO_CHAMBER),
  WALL_9("chamberWall9", Quantity.GAP_TO_CHAMBER),
  WALL_1030("chamberWall1030", Quantity.GAP_TO_CHAMBER),
  WALL_1230("chamberWall1230", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_1("chamberWall1", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_2("chamberWall2", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_230("chamberWall230", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_330("chamberWall330", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_4("chamberWall4", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_5("chamberWall5", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_530("chamberWall530", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_630("chamberWall630", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_7("chamberWall7", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_8("chamberWall8", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_830("chamberWall830", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_930("chamberWall930", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_10("chamberWall10", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_11("chamberWall11", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  WALL_1130("chamberWall1130", Quantity.GAP_TO_CHAMBER, Rows.HALF_HOURS),
  DEPTH_1230("chamberDepth1230", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_1("chamberDepth1", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_2("chamberDepth2", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_230("chamberDepth230", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_330("chamberDepth330", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_4("chamberDepth4", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_5("chamberDepth5", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_530("chamberDepth530", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_630("chamberDepth630", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_7("chamberDepth7", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_8("chamberDepth8", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_830("chamberDepth830", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_930("chamberDepth930", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_10("chamberDepth10", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_11("chamberDepth11", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  DEPTH_1130("chamberDepth1130", Quantity.CHAMBER_DEPTH, Rows.HALF_DEPTHS),
  WATER_12("water12", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_130("water130", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_3("water3", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_430("water430", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_6("water6", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_730("water730", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_9("water9", Quantity.METAL_TO_WATER, Rows.WATER),
  WATER_1030("water1030", Quantity.METAL_TO_WATER, Rows.WATER);

  /** Gaps from the valve's edge to the chamber wall, by half hours of the clock from 12. */
  public static final List<Measure> CHAMBER_WALL =
      List.of(
          WALL_12, WALL_1230, WALL_1, WALL_130, WALL_2, WALL_230, WALL_3, WALL_330, WALL_4,
          WALL_430, WALL_5, WALL_530, WALL_6, WALL_630, WALL_7, WALL_730, WALL_8, WALL_830, WALL_9,
          WALL_930, WALL_10, WALL_1030, WALL_11, WALL_1130);

  /** Depths of the chamber at the wall, likewise. */
  public static final List<Measure> DEPTHS_BY_CLOCK =
      List.of(
          DEPTH_12,
          DEPTH_1230,
          DEPTH_1,
          DEPTH_130,
          DEPTH_2,
          DEPTH_230,
          DEPTH_3,
          DEPTH_330,
          DEPTH_4,
          DEPTH_430,
          DEPTH_5,
          DEPTH_530,
          DEPTH_6,
          DEPTH_630,
          DEPTH_7,
          DEPTH_730,
          DEPTH_8,
          DEPTH_830,
          DEPTH_9,
          DEPTH_930,
          DEPTH_10,
          DEPTH_1030,
          DEPTH_11,
          DEPTH_1130);

  /** Metal between the chamber wall and the water, by eighths of the clock from 12. */
  public static final List<Measure> WATER =
      List.of(WATER_12, WATER_130, WATER_3, WATER_430, WATER_6, WATER_730, WATER_9, WATER_1030);

  /** What is read with a caliper from edge to edge to the intakes of the same cylinder, a first. */
  public static final List<Measure> EDGE_TO_INTAKE =
      List.of(EDGE_TO_INTAKE_A, EDGE_TO_INTAKE_B, EDGE_TO_INTAKE_C);

  public static final List<Measure> EDGE_TO_EXHAUST =
      List.of(EDGE_TO_EXHAUST_A, EDGE_TO_EXHAUST_B, EDGE_TO_EXHAUST_C);

  /** From the middle of one head to that of another, both shut. */
  public static final List<Measure> CENTRES_TO_INTAKE =
      List.of(CENTRES_TO_INTAKE_A, CENTRES_TO_INTAKE_B, CENTRES_TO_INTAKE_C);

  public static final List<Measure> CENTRES_TO_EXHAUST =
      List.of(CENTRES_TO_EXHAUST_A, CENTRES_TO_EXHAUST_B, CENTRES_TO_EXHAUST_C);

  /** When a row of the sheet of readings is wanted. */
  public enum Rows {
    ALWAYS,
    /** Places told by distances from valve to valve. */
    DISTANCES,
    /** Where a chamber is not as deep all round. */
    DEPTHS,
    /** Where a wall turns too fast for every hour and a half. */
    HALF_HOURS,
    HALF_DEPTHS,
    /** Before a wall is taken back. */
    WATER
  }

  private final String key;
  private final Quantity quantity;
  private final Rows rows;

  Measure(String key, Quantity quantity) {
    this(key, quantity, Rows.ALWAYS);
  }

  Measure(String key, Quantity quantity, Rows rows) {
    this.key = key;
    this.quantity = quantity;
    this.rows = rows;
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

  /** When its row is wanted. */
  public Rows rows() {
    return rows;
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
