package finebore.study;

import finebore.code.Coded;
import finebore.units.Dimension;
import java.util.Optional;
import java.util.stream.Stream;

/** Everything that is read off a seat, its valve and its plan. The key is the name in files. */
public enum ReadingKind implements Coded {
  THROAT_RATIO("throatRatio", Dimension.SHARE),
  THROAT_AREA_RATIO("throatAreaRatio", Dimension.SHARE),
  SEAT_WIDTH("seatWidth", Dimension.LENGTH),
  CONTACT_WIDTH("contactWidth", Dimension.LENGTH),
  CONTACT_CENTRE("contactCentre", Dimension.SHARE),
  FACE_WIDTH("faceWidth", Dimension.LENGTH),
  MARGIN("margin", Dimension.LENGTH),
  INTERFERENCE("interference", Dimension.ANGLE),
  OVERHANG("overhang", Dimension.LENGTH),
  VALVE_HEIGHT("valveHeight", Dimension.LENGTH),
  SINK("sink", Dimension.LENGTH),
  RETAINER("retainerToSeal", Dimension.LENGTH),
  LAST_CUT("lastCutAngle", Dimension.ANGLE),
  ANGLE_STEP("angleStep", Dimension.ANGLE),
  BACK_CUT("backCutAngle", Dimension.ANGLE),
  BOWL_RATIO("bowlRatio", Dimension.SHARE),
  CURTAIN_LIFT("curtainLift", Dimension.LENGTH),
  NEIGHBOUR("neighbourGap", Dimension.LENGTH),
  BORE_WALL("boreWallGap", Dimension.LENGTH),
  PISTON("pistonClearance", Dimension.LENGTH),
  VALVES("valveClearance", Dimension.LENGTH),
  CLEAN_UP("cleanUp", Dimension.LENGTH),
  PAST_CLEAN("pastClean", Dimension.LENGTH),
  SPACER("springSpacer", Dimension.LENGTH),
  TIP_GRIND("tipGrind", Dimension.LENGTH),
  SPRING_HEIGHT("springHeight", Dimension.LENGTH),
  RING_WALL("ringWall", Dimension.LENGTH),
  RING_FLOOR("ringFloor", Dimension.LENGTH),
  WATER("wallToWater", Dimension.LENGTH),
  BRIDGE("ringBridge", Dimension.LENGTH),
  FIRE_RING("fireRingGap", Dimension.LENGTH),
  REMOVED("removedVolume", Dimension.VOLUME),
  CHAMBER("chamberChange", Dimension.VOLUME),
  COMPRESSION("compressionRatio", Dimension.RATIO);

  private final String key;
  private final Dimension dimension;

  ReadingKind(String key, Dimension dimension) {
    this.key = key;
    this.dimension = dimension;
  }

  /** The kind of a key in a file, if it is one. */
  public static Optional<ReadingKind> of(String key) {
    return Stream.of(values()).filter(k -> k.key.equals(key)).findFirst();
  }

  public String key() {
    return key;
  }

  @Override
  public String code() {
    return "reading." + key;
  }

  public Dimension dimension() {
    return dimension;
  }
}
