package finebore.quantity;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.units.Dimension;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Every number a user enters or a file carries, with its dimension and the bounds within which it
 * can be at all. Declared here once for screen, files, commands and the records that hold it. What
 * is good practice within the bounds is for practices to say.
 *
 * <p>Bounds keep typing mistakes out, no more; common practice, no source.
 */
public enum Quantity implements Coded {
  // Cuts and seats.
  CUT_ANGLE("cutAngle", Dimension.ANGLE, 0, 90),
  CUT_WIDTH("cutWidth", Dimension.LENGTH, 0, 50),
  SEALING_ANGLE("sealingAngle", Dimension.ANGLE, 10, 75),
  SEAT_OUTSIDE("seatOutside", Dimension.LENGTH, 5, 200),
  SEAT_DEPTH("seatDepth", Dimension.LENGTH, 0, 60),
  THROAT("throat", Dimension.LENGTH, 3, 200),
  THROAT_LENGTH("throatLength", Dimension.LENGTH, 0, 60),
  BOWL("bowl", Dimension.LENGTH, 3, 250),
  BOWL_DEPTH("bowlDepth", Dimension.LENGTH, 0, 100),
  ROOF_ANGLE("roofAngle", Dimension.ANGLE, 0, 80),
  // Valves.
  UNDERHEAD_ANGLE("underheadAngle", Dimension.ANGLE, 0, 70),
  UNDERHEAD_RADIUS("underheadRadius", Dimension.LENGTH, 0, 60),
  VALVE_HEAD("valveHead", Dimension.LENGTH, 8, 200),
  MARGIN("margin", Dimension.LENGTH, 0, 20),
  FACE_ANGLE("faceAngle", Dimension.ANGLE, 15, 70),
  FACE_WIDTH("faceWidth", Dimension.LENGTH, 0.05, 20),
  STEM("stem", Dimension.LENGTH, 2, 30),
  VALVE_LENGTH("valveLength", Dimension.LENGTH, 30, 500),
  MARGIN_EDGE_RADIUS("marginEdgeRadius", Dimension.LENGTH, 0, 10),
  // Head and engine.
  AXIS_FROM_BORE("axisFromBore", Dimension.LENGTH, 0, 250),
  RETAINER_TO_SEAL("retainerToSeal", Dimension.LENGTH, 0, 60),
  HEAD_THICKNESS_NEW("headThicknessNew", Dimension.LENGTH, 10, 500),
  HEAD_THICKNESS("headThickness", Dimension.LENGTH, 10, 500),
  HEAD_THICKNESS_LEAST("headThicknessLeast", Dimension.LENGTH, 10, 500),
  CHAMBER("chamber", Dimension.CAPACITY, 1, 2000),
  COMPRESSION("compression", Dimension.RATIO, 3, 30),
  CYLINDERS_PER_HEAD("cylindersPerHead", Dimension.COUNT, 1, 16),
  BORE_SPACING("boreSpacing", Dimension.LENGTH, 20, 800),
  FIRE_RING("fireRing", Dimension.LENGTH, 15, 600),
  VALVE_LINE("valveLine", Dimension.ANGLE, 0, 180),
  PLUG_ALONG("plugAlong", Dimension.LENGTH, -200, 200),
  PLUG_ACROSS("plugAcross", Dimension.LENGTH, -200, 200),
  PLUG_THREAD("plugThread", Dimension.LENGTH, 5, 40),
  INTAKE_LEAN("intakeLean", Dimension.ANGLE, -60, 60),
  EXHAUST_LEAN("exhaustLean", Dimension.ANGLE, -60, 60),
  INTAKE_CANT("intakeCant", Dimension.ANGLE, -60, 60),
  EXHAUST_CANT("exhaustCant", Dimension.ANGLE, -60, 60),
  CYLINDERS("cylinders", Dimension.COUNT, 1, 16),
  INTAKES_PER_CYLINDER("intakesPerCylinder", Dimension.COUNT, 1, 4),
  EXHAUSTS_PER_CYLINDER("exhaustsPerCylinder", Dimension.COUNT, 1, 4),
  BORE("bore", Dimension.LENGTH, 20, 500),
  STROKE("stroke", Dimension.LENGTH, 10, 800),
  ENGINE_SPEED("engineSpeed", Dimension.TURNS, 100, 30_000),
  TARGET_POWER("targetPower", Dimension.POWER, 1, 20_000),
  VALVE_SPACING("valveSpacing", Dimension.LENGTH, 5, 300),
  CAM_LIFT("camLift", Dimension.LENGTH, 0.5, 50),
  CAM_DURATION("camDuration", Dimension.CRANK, 60, 500),
  CAM_TABLE_DEGREE("camTableDegree", Dimension.CRANK, -720, 1440),
  CAM_TABLE_LIFT("camTableLift", Dimension.LENGTH, 0, 50),
  BANK("bank", Dimension.ANGLE, 0, 180),
  INTAKE_FACE("intakeFace", Dimension.ANGLE, -20, 45),
  ROD("rod", Dimension.LENGTH, 20, 1500),
  DECK("deck", Dimension.LENGTH, -20, 60),
  GASKET("gasket", Dimension.LENGTH, 0.05, 10),
  CAM_CENTRE("camCentre", Dimension.CRANK, 60, 180),
  LASH("lash", Dimension.LENGTH, 0, 2),
  POCKET_DEPTH("pocketDepth", Dimension.LENGTH, 0, 40),
  POCKET_RADIUS("pocketRadius", Dimension.LENGTH, 4, 120),
  POCKET_ANGLE("pocketAngle", Dimension.ANGLE, 0, 60),
  POCKET_WALL("pocketWall", Dimension.ANGLE, 0, 60),
  // Cutters and operations.
  ARC_FROM("arcFrom", Dimension.ANGLE, 0, 90),
  ARC_TO("arcTo", Dimension.ANGLE, 0, 90),
  ARC_RADIUS("arcRadius", Dimension.LENGTH, 0.1, 100),
  THROAT_CUTTER("throatCutter", Dimension.LENGTH, 3, 200),
  THROAT_TAPER("throatTaper", Dimension.ANGLE, 0, 45),
  THROAT_CUT_DEPTH("throatCutDepth", Dimension.LENGTH, 0, 100),
  POINTER("pointer", Dimension.LENGTH, 5, 200),
  SINGLE_CUT_ANGLE("singleCutAngle", Dimension.ANGLE, 5, 85),
  SINGLE_CUT_EDGE("singleCutEdge", Dimension.LENGTH, 5, 220),
  SWEEP_ANGLE("sweepAngle", Dimension.ANGLE, 0, 60),
  SWEEP_REACH("sweepReach", Dimension.LENGTH, 5, 300),
  SWEEP_START("sweepStart", Dimension.LENGTH, 5, 300),
  OUTLINE_ALONG("outlineAlong", Dimension.LENGTH, -300, 300),
  OUTLINE_ACROSS("outlineAcross", Dimension.LENGTH, -300, 300),
  PHOTOGRAPH_PLACE("photographPlace", Dimension.RATIO, 0, 1),
  WALL_CLOCK("wallClock", Dimension.CLOCK, 0, 12),
  WALL_RADIUS("wallRadius", Dimension.LENGTH, 4, 250),
  UNDERCUT_LEAN("undercutLean", Dimension.ANGLE, 0, 45),
  UNDERCUT_START("undercutStart", Dimension.LENGTH, 3, 200),
  UNDERCUT_HEIGHT("undercutHeight", Dimension.LENGTH, 0.1, 40),
  UNDERCUT_RADIUS("undercutRadius", Dimension.LENGTH, 0, 60),
  OPENED_BOWL("openedBowl", Dimension.LENGTH, 3, 250),
  OPENED_BOWL_DEPTH("openedBowlDepth", Dimension.LENGTH, 0, 150),
  KEEP_OFF("keepOff", Dimension.LENGTH, 0, 20),
  BLEND_RADIUS("blendRadius", Dimension.LENGTH, 0.05, 30),
  DEPTH_STOP("depthStop", Dimension.LENGTH, 0, 80),
  PAST_CLEAN_UP("pastCleanUp", Dimension.LENGTH, 0, 5),
  RING_OUTSIDE("ringOutside", Dimension.LENGTH, 8, 220),
  RING_BORE("ringBore", Dimension.LENGTH, 3, 219.5),
  RING_FLOOR("ringFloor", Dimension.LENGTH, 0.5, 80),
  RING_HEIGHT("ringHeight", Dimension.LENGTH, 0.5, 60),
  RING_FIT("ringFit", Dimension.LENGTH, 0, 0.5),
  DISCHARGE("discharge", Dimension.RATIO, 0, 1),
  // Readings of a seat as found.
  FOUND_SEAT_WIDTH("foundSeatWidth", Dimension.LENGTH, 0, 15),
  RUNOUT("runout", Dimension.LENGTH, 0, 3),
  PORT_CLOCK("portClock", Dimension.CLOCK, 0, 12),
  RUNOUT_CLOCK("runoutClock", Dimension.CLOCK, 0, 12),
  CORE_SHIFT("coreShift", Dimension.LENGTH, 0, 8),
  CORE_SHIFT_CLOCK("coreShiftClock", Dimension.CLOCK, 0, 12),
  FOUND_RING_FLOOR("foundRingFloor", Dimension.LENGTH, 0, 80),
  NEIGHBOUR_RING("neighbourRing", Dimension.LENGTH, -5, 60),
  WALL("wall", Dimension.LENGTH, 0.1, 40),
  GUIDE_CLEARANCE("guideClearance", Dimension.LENGTH, 0, 1),
  SPRING_HEIGHT("springHeight", Dimension.LENGTH, 10, 90),
  PISTON_CLEARANCE("pistonClearance", Dimension.LENGTH, -10, 60),
  VALVE_CLEARANCE("valveClearance", Dimension.LENGTH, -10, 60),
  RUNNER_FLOW("runnerFlow", Dimension.FLOW, 1e-4, 5),
  LEAN_ALONG("leanAlong", Dimension.ANGLE, -60, 60),
  LEAN_ACROSS("leanAcross", Dimension.ANGLE, -60, 60),
  AXIS_ALONG("axisAlong", Dimension.LENGTH, -250, 250),
  AXIS_ACROSS("axisAcross", Dimension.LENGTH, -250, 250),
  GAP_TO_BORE("gapToBore", Dimension.LENGTH, -30, 150),
  EDGE_TO_EDGE("edgeToEdge", Dimension.LENGTH, -10, 200),
  CENTRES_APART("centresApart", Dimension.LENGTH, 5, 300),
  CHAMBER_DEPTH("chamberDepth", Dimension.LENGTH, 0, 80),
  GAP_TO_CHAMBER("gapToChamber", Dimension.LENGTH, 0, 150),
  METAL_TO_WATER("metalToWater", Dimension.LENGTH, 0.1, 60),
  // Flow tests.
  LIFT("lift", Dimension.LENGTH, 0.01, 60),
  BAND_LIMIT("bandLimit", Dimension.SHARE, 0, 2),
  SWIRL("swirl", Dimension.TURNS, -20_000, 20_000),
  AIR_SPEED("airSpeed", Dimension.SPEED, 0, 400),
  PROBE_DROP("probeDrop", Dimension.FLOW, -1, 1),
  AIR_TEMPERATURE("airTemperature", Dimension.TEMPERATURE, -20, 60),
  AIR_PRESSURE("airPressure", Dimension.BAROMETER, 50_000, 115_000),
  HUMIDITY("humidity", Dimension.SHARE, 0, 1),
  READING_PERCENT("readingPercent", Dimension.PERCENT, 0, 130),
  READING_FLOW("readingFlow", Dimension.FLOW, 0, 5),
  DEPRESSION("depression", Dimension.PRESSURE, 100, 60_000),
  READING_DEPRESSION("readingDepression", Dimension.PRESSURE, 100, 60_000),
  READING_TEMPERATURE("readingTemperature", Dimension.TEMPERATURE, -20, 60),
  PLATE_READING("plateReading", Dimension.PERCENT, 1, 130),
  PLATE_DEPRESSION("plateDepression", Dimension.PRESSURE, 100, 60_000),
  STAMPED_FLOW("stampedFlow", Dimension.FLOW, 1e-5, 5),
  STAMPED_AT("stampedAt", Dimension.PRESSURE, 100, 60_000),
  PLATE_HOLE("plateHole", Dimension.LENGTH, 2, 300),
  FIXTURE_BORE("fixtureBore", Dimension.LENGTH, 20, 500),
  LEAKAGE("leakage", Dimension.FLOW, 0, 1),
  OPERATIONS_DONE("operationsDone", Dimension.COUNT, 0, 40),
  TESTED_VALVE("testedValve", Dimension.LENGTH, 5, 150),
  INLET_RADIUS("inletRadius", Dimension.LENGTH, 0.5, 200),
  PIPE_DIAMETER("pipeDiameter", Dimension.LENGTH, 5, 200),
  PIPE_LENGTH("pipeLength", Dimension.LENGTH, 5, 3000),
  REPEATS("repeats", Dimension.COUNT, 1, 10),
  // Readings at the machine.
  GUIDE_BORE("guideBore", Dimension.FINE_LENGTH, 2, 31),
  GUIDE_HEIGHT("guideHeight", Dimension.LENGTH, 0, 80),
  COUNTERBORE("counterbore", Dimension.FINE_LENGTH, 8, 220),
  SEAT_EDGE_DEPTH("seatEdgeDepth", Dimension.LENGTH, 0, 80),
  VALVE_DEPTH("valveDepth", Dimension.LENGTH, -20, 60),
  CUT_SEAT_WIDTH("cutSeatWidth", Dimension.LENGTH, 0, 15),
  RING_INSIDE("lappedRingInside", Dimension.LENGTH, 3, 200),
  RING_OUTER("lappedRingOutside", Dimension.LENGTH, 3, 200),
  LAPPED_WIDTH("lappedWidth", Dimension.LENGTH, 0, 15),
  LAPPED_FROM_MARGIN("lappedFromMargin", Dimension.LENGTH, 0, 20),
  SEAT_RUNOUT("seatRunout", Dimension.FINE_LENGTH, 0, 3),
  VACUUM("vacuum", Dimension.BAROMETER, 0, 110_000),
  VACUUM_FALL("vacuumFall", Dimension.SECONDS, 0, 600),
  // What a shop sets for its own work.
  STEP_MINUTES("stepMinutes", Dimension.MINUTES, 0, 600),
  HOURLY_RATE("hourlyRate", Dimension.MONEY, 0, 100_000),
  VALVE_PRICE("valvePrice", Dimension.MONEY, 0, 100_000),
  START_INSIDE("startInside", Dimension.LENGTH, 0, 5),
  PILOT_STEP("pilotStep", Dimension.FINE_LENGTH, 0.001, 1),
  PILOT_CLEARANCE("pilotClearance", Dimension.FINE_LENGTH, 0, 0.2),
  PILOT_LENGTH("pilotLength", Dimension.LENGTH, 5, 300),
  PILOT_OVERHANG("pilotOverhang", Dimension.LENGTH, 0, 300),
  SLIVER("sliver", Dimension.LENGTH, 0, 2),
  FIRE_RING_MARGIN("fireRingMargin", Dimension.LENGTH, 0, 10),
  WATER_MARGIN("waterMargin", Dimension.LENGTH, 0, 20),
  PLUG_MARGIN("plugMargin", Dimension.LENGTH, 0, 20),
  SHOP_TOLERANCE("shopTolerance", Dimension.LENGTH, 0.001, 5);

  private final String key;
  private final Dimension dimension;
  private final double min;
  private final double max;

  Quantity(String key, Dimension dimension, double min, double max) {
    this.key = key;
    this.dimension = dimension;
    this.min = min;
    this.max = max;
  }

  /** Its name in files and messages' codes. */
  public String key() {
    return key;
  }

  @Override
  public String code() {
    return "quantity." + key;
  }

  public Dimension dimension() {
    return dimension;
  }

  /** Lowest it can be, in the dimension's core unit. */
  public double min() {
    return min;
  }

  /** Highest it can be. */
  public double max() {
    return max;
  }

  public boolean allows(double value) {
    return value >= min && value <= max;
  }

  /**
   * Lets a value pass that can be.
   *
   * @throws RuleViolation naming the quantity, the value and its bounds
   */
  public double check(double value) {
    return checkWithin(value, min, max);
  }

  /**
   * A value that was carried through another unit: what rounding put past a bound is that bound.
   */
  public double unrounded(double value) {
    double slight = 1e-12 * Math.max(Math.abs(min), Math.abs(max));
    if (Math.abs(value - max) <= slight) {
      return max;
    }
    return Math.abs(value - min) <= slight ? min : value;
  }

  /** What is odd about a value that was read and is kept whatever it is; empty for a usual one. */
  public Optional<Message> oddity(double value) {
    return allows(value) ? Optional.empty() : Optional.of(outside(value, min, max));
  }

  /**
   * Lets a value pass that was read: whatever it is, as long as it is a number.
   *
   * @throws RuleViolation naming the quantity and the value
   */
  public double checkRead(double value) {
    if (!Double.isFinite(value)) {
      throw new RuleViolation(outside(value, min, max));
    }
    return value;
  }

  /** Checks a value that may be missing. */
  public OptionalDouble check(OptionalDouble value) {
    value.ifPresent(this::check);
    return value;
  }

  /** Checks against narrower bounds that depend on something else. */
  public double checkWithin(double value, double least, double most) {
    if (!(value >= least && value <= most)) {
      throw new RuleViolation(outside(value, least, most));
    }
    return value;
  }

  private Message outside(double value, double least, double most) {
    return Message.of("rule.outside")
        .with("quantity", this)
        .with("value", new Term.Figure(dimension, value))
        .with("min", new Term.Figure(dimension, least))
        .with("max", new Term.Figure(dimension, most));
  }
}
