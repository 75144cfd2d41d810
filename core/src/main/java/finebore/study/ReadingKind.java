package finebore.study;

/** Everything that is read off a seat and its valve. The key is the name in files. */
public enum ReadingKind {
  THROAT_RATIO(
      "throatRatio",
      "Throat / valve",
      Quantity.SHARE,
      "Throat diameter as a share of the valve head diameter."),
  THROAT_AREA_RATIO(
      "throatAreaRatio",
      "Throat area",
      Quantity.SHARE,
      "Throat area less the stem as a share of the valve head's area."),
  SEAT_WIDTH(
      "seatWidth",
      "Seat width",
      Quantity.LENGTH,
      "Width of the sealing cut left showing in the head, along the cut."),
  CONTACT_WIDTH(
      "contactWidth",
      "Contact width",
      Quantity.LENGTH,
      "Width of the ring that touches, along the valve face."),
  CONTACT_CENTRE(
      "contactCentre",
      "Contact on face",
      Quantity.SHARE,
      "Middle of the contact on the face: 0 % at the margin, 100 % at the inner edge."),
  FACE_WIDTH(
      "faceWidth", "Face width", Quantity.LENGTH, "Width of the valve face, along the face."),
  MARGIN("margin", "Margin", Quantity.LENGTH, "Height of the valve's margin."),
  INTERFERENCE("interference", "Interference", Quantity.ANGLE, "Seat angle less valve face angle."),
  OVERHANG(
      "overhang",
      "Valve over seat",
      Quantity.LENGTH,
      "How far the valve head stands out past the seat's outside edge, on the radius."),
  VALVE_HEIGHT(
      "valveHeight",
      "Valve height",
      Quantity.LENGTH,
      "Height of the seated valve's margin edge; negative is below the head face."),
  SINK(
      "sink",
      "Sink",
      Quantity.LENGTH,
      "How much lower the valve sits than as found; the stem tip rises by as much."),
  RETAINER(
      "retainerToSeal",
      "Retainer to seal",
      Quantity.LENGTH,
      "Clearance left between spring retainer and stem seal at the cam's lift."),
  LAST_CUT(
      "lastCutAngle",
      "Last cut",
      Quantity.ANGLE,
      "Angle of the last cut showing before the throat."),
  ANGLE_STEP(
      "angleStep",
      "Largest step",
      Quantity.ANGLE,
      "Largest turn between neighbouring cuts of the seat."),
  BACK_CUT(
      "backCutAngle", "Back cut", Quantity.ANGLE, "Angle of the first cut behind the valve face."),
  BOWL_RATIO(
      "bowlRatio", "Bowl / throat", Quantity.SHARE, "Bowl diameter as a share of the throat."),
  CURTAIN_LIFT(
      "curtainLift",
      "Curtain = throat",
      Quantity.LENGTH,
      "Lift at which the curtain area pi D L equals the throat area less the stem."),
  NEIGHBOUR(
      "neighbourGap",
      "To neighbour",
      Quantity.LENGTH,
      "Gap between the heads of intake and exhaust neighbour, axes taken as parallel."),
  BORE_WALL(
      "boreWallGap",
      "To bore wall",
      Quantity.LENGTH,
      "Gap between valve head and cylinder wall, axes taken as parallel."),
  CLEAN_UP(
      "cleanUp",
      "Goes clean at",
      Quantity.LENGTH,
      "Depth below the head face at which the sealing cut shows all round over its whole width."),
  PAST_CLEAN(
      "pastClean",
      "Past clean",
      Quantity.LENGTH,
      "How much deeper than that the form is plunged; negative has not cleaned up all round."),
  SPACER(
      "springSpacer",
      "Spring spacer",
      Quantity.LENGTH,
      "Spacer under the spring that brings its height back; grinding as much off the stem tip brings the valve gear back."),
  SPRING_HEIGHT(
      "springHeight",
      "Spring height",
      Quantity.LENGTH,
      "Installed spring height as measured, and the sink, before a spacer."),
  RING_WALL(
      "ringWall",
      "Ring wall left",
      Quantity.LENGTH,
      "From the seat's outside edge to the outside of the insert, on the radius."),
  RING_FLOOR(
      "ringFloor",
      "Ring floor left",
      Quantity.LENGTH,
      "From the lowest cut down to the insert's floor."),
  WATER(
      "wallToWater",
      "Wall to water",
      Quantity.LENGTH,
      "Least distance to where the water jacket was read to lie; negative is broken through."),
  BRIDGE(
      "ringBridge",
      "Bridge of rings",
      Quantity.LENGTH,
      "Metal between this insert and its neighbour; negative is an overlap."),
  FIRE_RING(
      "fireRingGap",
      "To fire ring",
      Quantity.LENGTH,
      "From the outermost cut to the gasket's fire ring, on the side of the bore; negative is past it."),
  REMOVED(
      "removedVolume",
      "Metal removed",
      Quantity.VOLUME,
      "Volume that all operations take from this seat, less what a ring puts in."),
  CHAMBER(
      "chamberChange",
      "Chamber change",
      Quantity.VOLUME,
      "How much this seat and valve enlarge the chamber against the found ones."),
  COMPRESSION(
      "compressionRatio",
      "Compression",
      Quantity.NUMBER,
      "Compression ratio when every seat of a cylinder follows its plan.");

  private final String key;
  private final String label;
  private final Quantity quantity;
  private final String meaning;

  ReadingKind(String key, String label, Quantity quantity, String meaning) {
    this.key = key;
    this.label = label;
    this.quantity = quantity;
    this.meaning = meaning;
  }

  public String key() {
    return key;
  }

  public String label() {
    return label;
  }

  public Quantity quantity() {
    return quantity;
  }

  /** The label where it stands in a sentence and not in a list of readings. */
  public String inWords() {
    return switch (this) {
      case THROAT_AREA_RATIO -> "Throat area / valve";
      case NEIGHBOUR -> "Valve to neighbour";
      case BORE_WALL -> "Valve to bore wall";
      case PAST_CLEAN -> "Plunge past clean";
      case BRIDGE -> "Metal between the rings";
      case FIRE_RING -> "Cut to fire ring";
      default -> label;
    };
  }

  /** What it is, in a sentence. */
  public String meaning() {
    return meaning;
  }
}
