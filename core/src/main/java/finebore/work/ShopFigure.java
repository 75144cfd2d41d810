package finebore.work;

import finebore.code.Coded;
import finebore.flow.Sectors;
import finebore.quantity.Quantity;
import finebore.units.Unit;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What a shop sets once for its own work; values to begin with are common practice, no source, or
 * assumed where that is not so.
 */
public enum ShopFigure implements Coded {
  RATE("rate", Quantity.HOURLY_RATE, 60),
  INTAKE_VALVE_PRICE("intakeValvePrice", Quantity.VALVE_PRICE, 25),
  EXHAUST_VALVE_PRICE("exhaustValvePrice", Quantity.VALVE_PRICE, 28),
  START_INSIDE("startInside", Quantity.START_INSIDE, 0.4),
  PILOT_STEP("pilotStep", Quantity.PILOT_STEP, 0.005),
  PILOT_LEAST_CLEARANCE("pilotLeastClearance", Quantity.PILOT_CLEARANCE, 0.002),
  PILOT_LENGTH("pilotLength", Quantity.PILOT_LENGTH, 40),
  PILOT_OVERHANG("pilotOverhang", Quantity.PILOT_OVERHANG, 30),
  SLIVER("sliver", Quantity.SLIVER, 0.1),
  DEPTH_TOLERANCE("depthTolerance", Quantity.SHOP_TOLERANCE, 0.05),
  WIDTH_TOLERANCE("widthTolerance", Quantity.SHOP_TOLERANCE, 0.1),
  THROAT_TOLERANCE("throatTolerance", Quantity.SHOP_TOLERANCE, 0.05),
  /** 20 inches of mercury. */
  LEAST_VACUUM("leastVacuum", Quantity.VACUUM, Unit.INCH_OF_MERCURY.toBase(20)),
  LEAST_FALL("leastFall", Quantity.VACUUM_FALL, 5),
  MOST_RUNOUT("mostRunout", Quantity.SEAT_RUNOUT, 0.05),
  FIRE_RING_MARGIN("fireRingMargin", Quantity.FIRE_RING_MARGIN, 1),
  WATER_MARGIN("waterMargin", Quantity.WATER_MARGIN, 3),
  PLUG_MARGIN("plugMargin", Quantity.PLUG_MARGIN, 2),
  VALVE_TOLERANCE("valveTolerance", Quantity.SHOP_TOLERANCE, 0.05),
  /** Wanted between retainer and stem seal at the cam's lift; common practice, no source. */
  RETAINER_GAP("retainerGap", Quantity.SHOP_TOLERANCE, 1.3),
  LONG_SIDE("longSide", Quantity.DISCHARGE, Sectors.LONG_SIDE),
  SHORT_SIDE("shortSide", Quantity.DISCHARGE, Sectors.SHORT_SIDE);

  private final String key;
  private final Quantity quantity;
  private final double usual;

  ShopFigure(String key, Quantity quantity, double usual) {
    this.key = key;
    this.quantity = quantity;
    this.usual = usual;
  }

  public static Optional<ShopFigure> of(String key) {
    return Stream.of(values()).filter(f -> f.key.equals(key)).findFirst();
  }

  public String key() {
    return key;
  }

  public Quantity quantity() {
    return quantity;
  }

  public double usual() {
    return usual;
  }

  @Override
  public String code() {
    return "shopFigure." + key;
  }
}
