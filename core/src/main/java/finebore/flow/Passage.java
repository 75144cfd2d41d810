package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Place;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.List;

/** The way of the air past one gate, and the losses found on it. */
final class Passage {

  private final Profile metal;
  private final Profile valve;
  private final Losses.Setting setting;
  private final Gate smallest;
  private final Gate curtain;
  private final double stream;
  private final double land;
  private final double filled;
  private final List<Loss> found = new ArrayList<>();
  private double contraction = 1;

  private Passage(
      Profile metal, Profile valve, Losses.Setting setting, Gate smallest, Gate curtain) {
    this.metal = metal;
    this.valve = valve;
    this.setting = setting;
    this.smallest = smallest;
    this.curtain = curtain;
    this.stream = streamThrough(curtain);
    this.land = Math.min(land(true), land(false));
    this.filled = land > 0 ? Math.exp(-gap() / (k().landScale() * land)) : 0;
  }

  /**
   * Adds everything up that a passage loses.
   *
   * @param smallest the smallest gate of all
   * @param curtain the gate at the seat that the passage leads through
   */
  static Passage of(
      Profile metal, Profile valve, Losses.Setting setting, Gate smallest, Gate curtain) {
    Passage passage = new Passage(metal, valve, setting, smallest, curtain);
    Mechanism.ALL.forEach(m -> m.addTo(passage));
    return passage;
  }

  Profile metal() {
    return metal;
  }

  Profile valve() {
    return valve;
  }

  Losses.Setting setting() {
    return setting;
  }

  LossCoefficients k() {
    return setting.coefficients();
  }

  boolean isIntake() {
    return setting.direction() == Direction.INTAKE;
  }

  Gate smallest() {
    return smallest;
  }

  Gate curtain() {
    return curtain;
  }

  /** Distance between the edges of the gate at the seat, mm. */
  double gap() {
    return curtain.gapMm();
  }

  /** Resistance of one velocity head at the gate, 1/mm4. */
  double perGate() {
    return 1 / (curtain.areaMm2() * curtain.areaMm2());
  }

  /** The surface of the head that the gate stands on. */
  Place gateSurface() {
    return Place.on(metal.surfaces().get(curtain.metalSegment()));
  }

  /** Direction of the stream through the gate, radians from upright. */
  double stream() {
    return stream;
  }

  /** Length of wall past the gate that still guides the stream, mm; the shorter of both sides. */
  double land() {
    return land;
  }

  /** How far the stream fills the passage past the gate: 1 attached, 0 a free jet. */
  double filled() {
    return filled;
  }

  /** How far the jet narrows, 1 for not at all. */
  double contraction() {
    return contraction;
  }

  void contractsTo(double share) {
    contraction = share;
  }

  List<Loss> found() {
    return found;
  }

  /** What has been found so far in sum, 1/mm4. */
  double resistance() {
    return found.stream().mapToDouble(Loss::resistancePerMm4).sum();
  }

  void add(Cause cause, Place place, Point at, double resistance) {
    found.add(new Loss(cause, place, at, resistance, 0));
  }

  /** Shares a loss out among the corners that make it. */
  void spread(
      Cause cause, Turning turning, Profile wall, int step, double window, double resistance) {
    double total = turning.mean(window);
    for (Turning.Corner corner : turning.corners()) {
      double part = corner.turn() * Turning.weight(corner.distanceMm(), window) / total;
      add(cause, cornerPlace(wall, corner, step), corner.at(), resistance * part);
    }
  }

  /** A corner is named by the two surfaces that meet there. */
  private Place cornerPlace(Profile wall, Turning.Corner corner, int step) {
    Surface after = wall.surfaces().get(corner.segment());
    int before = corner.segment() - step;
    boolean atCorner =
        before >= 0 && before < wall.segmentCount() && !corner.at().equals(curtain.onMetal());
    Surface other = atCorner ? wall.surfaces().get(before) : after;
    return Place.between(Place.Kind.TURN, other, after);
  }

  /** Direction of the stream through a gate, square to it; outward for intake, inward otherwise. */
  private double streamThrough(Gate gate) {
    Point p = gate.onMetal();
    Point q = gate.onValve();
    double outward = Math.atan2(p.r() - q.r(), q.z() - p.z());
    return isIntake() ? outward : outward + Math.PI;
  }

  /**
   * Both profiles run from the chamber to the port, so against the stream is forward for intake.
   */
  int upstreamStep() {
    return isIntake() ? 1 : -1;
  }

  /** Along a wall from the gate. */
  Turning.Walk walk(boolean seatSide, int step) {
    return seatSide
        ? new Turning.Walk(metal, curtain.metalSegment(), curtain.onMetal(), step)
        : new Turning.Walk(valve, curtain.valveSegment(), curtain.onValve(), step);
  }

  /**
   * Going against the stream, the seat's wall falls away where it turns counter-clockwise for
   * intake; going with the stream, or on the other wall, or the other way, each flips it.
   */
  Turning.Stream streamOn(boolean seatSide, boolean upstream) {
    int away = (seatSide == isIntake()) == upstream ? 1 : -1;
    return new Turning.Stream(stream, upstream, away);
  }

  private double land(boolean seatSide) {
    Turning.Walk walk = walk(seatSide, -upstreamStep());
    double length = 0;
    Point at = walk.from();
    for (int i = walk.segment(); i >= 0 && i < walk.wall().segmentCount(); i += walk.step()) {
      Part part = walk.wall().surfaces().get(i).part();
      boolean guides =
          part == Part.CUT || part == Part.FACE || part == Part.BACK_CUT || part == Part.UNDERHEAD;
      if (!guides) {
        break;
      }
      Point next = walk.step() > 0 ? walk.wall().end(i) : walk.wall().start(i);
      length += at.distanceTo(next);
      at = next;
    }
    return length;
  }
}
