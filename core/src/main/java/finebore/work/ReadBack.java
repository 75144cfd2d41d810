package finebore.work;

import finebore.code.Coded;
import finebore.quantity.Quantity;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is read of a seat while it is worked on. The key is the name in files. */
public enum ReadBack implements Coded {
  GUIDE_BORE("guideBore", Quantity.GUIDE_BORE),
  GUIDE_HEIGHT("guideHeight", Quantity.GUIDE_HEIGHT),
  COUNTERBORE("counterbore", Quantity.COUNTERBORE),
  THROAT("throat", Quantity.THROAT),
  POINTER("pointer", Quantity.POINTER),
  SEAT_DEPTH("seatDepth", Quantity.SEAT_EDGE_DEPTH),
  SEAT_WIDTH("seatWidth", Quantity.CUT_SEAT_WIDTH),
  RING_INSIDE("ringInside", Quantity.RING_INSIDE),
  RING_OUTSIDE("ringOutside", Quantity.RING_OUTER),
  BOWL("bowl", Quantity.BOWL),
  MARGIN("margin", Quantity.MARGIN),
  FACE_WIDTH("faceWidth", Quantity.FACE_WIDTH),
  VALVE_DEPTH("valveDepth", Quantity.VALVE_DEPTH),
  SPRING_HEIGHT("springHeight", Quantity.SPRING_HEIGHT),
  SEAT_RUNOUT("seatRunout", Quantity.SEAT_RUNOUT),
  RING_WIDTH_12("ringWidth12", Quantity.LAPPED_WIDTH),
  RING_WIDTH_3("ringWidth3", Quantity.LAPPED_WIDTH),
  RING_WIDTH_6("ringWidth6", Quantity.LAPPED_WIDTH),
  RING_WIDTH_9("ringWidth9", Quantity.LAPPED_WIDTH),
  RING_PLACE_12("ringPlace12", Quantity.LAPPED_FROM_MARGIN),
  RING_PLACE_3("ringPlace3", Quantity.LAPPED_FROM_MARGIN),
  RING_PLACE_6("ringPlace6", Quantity.LAPPED_FROM_MARGIN),
  RING_PLACE_9("ringPlace9", Quantity.LAPPED_FROM_MARGIN),
  AMBIENT("ambient", Quantity.AIR_PRESSURE),
  VACUUM_DRY("vacuumDry", Quantity.VACUUM),
  FALL_DRY("fallDry", Quantity.VACUUM_FALL),
  VACUUM_OILED("vacuumOiled", Quantity.VACUUM),
  FALL_OILED("fallOiled", Quantity.VACUUM_FALL);

  /** Widths of the lapped ring by clock position, as in {@link finebore.seal.LappedRing}. */
  public static final List<ReadBack> RING_WIDTHS =
      List.of(RING_WIDTH_12, RING_WIDTH_3, RING_WIDTH_6, RING_WIDTH_9);

  /** Places of the lapped ring by clock position. */
  public static final List<ReadBack> RING_PLACES =
      List.of(RING_PLACE_12, RING_PLACE_3, RING_PLACE_6, RING_PLACE_9);

  private final String key;
  private final Quantity quantity;

  ReadBack(String key, Quantity quantity) {
    this.key = key;
    this.quantity = quantity;
  }

  public static Optional<ReadBack> of(String key) {
    return Stream.of(values()).filter(r -> r.key.equals(key)).findFirst();
  }

  public String key() {
    return key;
  }

  public Quantity quantity() {
    return quantity;
  }

  @Override
  public String code() {
    return "readBack." + key;
  }
}
