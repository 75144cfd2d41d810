package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Place;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * The effective area at one lift, and what holds the air up.
 *
 * <p>Resistances R = 1/A^2 are built up from the throat to the gate:
 *
 * <ul>
 *   <li>Each wall before the gate that turns away from the stream narrows the jet: {@link
 *       Contraction} of its mean deviation over about a gap's length, relieved by {@link
 *       RoundedInlet} as its corners come to act as a radius ({@link Turning}).
 *   <li>Past the gate, a land that is long against the gap lets the stream fill the passage again,
 *       so only (1/c - 1)^2 is lost; without one it leaves as a jet, 1/c^2 - 1. This is the change
 *       of regime J. B. Heywood describes for valve discharge coefficients (Internal Combustion
 *       Engine Fundamentals, section 6.3.2, from memory). A filled passage that widens gives part
 *       of the pressure back.
 *   <li>A wall past the gate that turns into the stream is a ridge.
 *   <li>The lip where the throat ends narrows the stream in the same way. What is narrowed there
 *       and has not filled by the gate passes the gate as it is, so the two join as (R_gate^p +
 *       R_lip^p)^(1/p): the narrower place counts most.
 *   <li>The port behind adds K_port / A_throat^2.
 * </ul>
 *
 * @param gate the smallest frustum
 * @param effectiveAreaMm2 area that ideal flow would need, mm2
 * @param contraction how far the jet narrows at the gate, 1 for not at all
 * @param filled how far the stream fills the passage past the gate: 1 attached, 0 a free jet
 * @param parts the loss budget, largest first; shares add up to 1
 */
public record Losses(
    Gate gate, double effectiveAreaMm2, double contraction, double filled, List<Loss> parts) {

  public Losses {
    parts = List.copyOf(parts);
  }

  /** Discharge coefficient on the gate; can pass 1 where a widening passage recovers pressure. */
  public double gateCoefficient() {
    return effectiveAreaMm2 / gate.areaMm2();
  }

  /**
   * What stays the same at every lift.
   *
   * @param sealing index of the sealing cut
   * @param throatAreaMm2 throat less stem, mm2
   */
  public record Setting(
      int sealing,
      double throatAreaMm2,
      Direction direction,
      LossCoefficients coefficients,
      Sectors sectors,
      Calibration calibration) {}

  /**
   * Works out one lift.
   *
   * @param metal wall of the head, from the chamber to the port
   * @param valve wall of the valve at its lifted height
   */
  public static Losses at(Profile metal, Profile valve, Setting setting) {
    Gate smallest = Gate.between(metal, valve);
    List<Gate> curtains = Gate.curtainsBetween(metal, setting.sealing(), valve, NEAR);
    List<Passage> works =
        curtains.stream().map(c -> new Passage(metal, valve, setting, smallest, c)).toList();
    double[] weights = weights(curtains, metal);
    double sum = Arrays.stream(weights).sum();
    List<Loss> parts = new ArrayList<>();
    double contraction = 0;
    double filled = 0;
    for (int i = 0; i < weights.length; i++) {
      double weight = weights[i] / sum;
      works.get(i).found.forEach(l -> gather(parts, l, weight));
      contraction += weight * works.get(i).contraction;
      filled += weight * works.get(i).filled;
    }
    double total = parts.stream().mapToDouble(Loss::resistancePerMm4).sum();
    double factor = setting.calibration().factor() * setting.sectors().mean();
    List<Loss> budget =
        parts.stream()
            .filter(l -> l.resistancePerMm4() != 0)
            .map(l -> l.withShareOf(total))
            .sorted(Comparator.comparingDouble(Loss::share).reversed())
            .toList();
    return new Losses(smallest, factor / Math.sqrt(total), contraction, filled, budget);
  }

  /**
   * Weights of gates that are nearly the smallest. Those at almost the same place share the weight
   * of one, and a stretch that is short against the gap hardly counts, so that gates that grow into
   * each other and stretches that come and go change nothing suddenly.
   */
  private static double[] weights(List<Gate> gates, Profile metal) {
    double[] bare = gates.stream().mapToDouble(g -> weight(g, gates.getFirst(), metal)).toArray();
    double[] weights = new double[bare.length];
    for (int i = 0; i < bare.length; i++) {
      double shared = 0;
      for (int j = 0; j < bare.length; j++) {
        double apart =
            gates.get(i).onMetal().distanceTo(gates.get(j).onMetal())
                + gates.get(i).onValve().distanceTo(gates.get(j).onValve());
        shared += Math.exp(-apart / (0.1 * gates.get(i).gapMm())) * Math.min(1, bare[j] / bare[i]);
      }
      weights[i] = bare[i] / shared;
    }
    return weights;
  }

  private static double weight(Gate gate, Gate smallest, Profile metal) {
    double stretch = metal.length(gate.metalSegment()) / (0.1 * gate.gapMm());
    return Math.exp(-(gate.areaMm2() / smallest.areaMm2() - 1) / (NEAR / 4))
        * -Math.expm1(-stretch);
  }

  /** Adds a weighted loss to those of the same cause at the same place. */
  private static void gather(List<Loss> parts, Loss loss, double weight) {
    double resistance = weight * loss.resistancePerMm4();
    for (int i = 0; i < parts.size(); i++) {
      Loss other = parts.get(i);
      if (other.cause() == loss.cause()
          && other.at().equals(loss.at())
          && other.place().soundsLike(loss.place())) {
        parts.set(i, other.plus(resistance));
        return;
      }
    }
    parts.add(new Loss(loss.cause(), loss.place(), loss.at(), resistance, 0));
  }

  /**
   * Gates at the seat that are larger than the smallest by up to this share count too, the less the
   * larger: as geometry changes the smallest can leap from one corner to another, and the losses
   * must not.
   */
  private static final double NEAR = 0.08;

  private static final class Passage {
    private final Profile metal;
    private final Profile valve;
    private final Setting setting;
    private final LossCoefficients k;
    private final boolean intake;
    private final Gate smallest;
    private final Gate curtain;
    private final double gap;
    private final double stream;
    private final double perGate;
    private final List<Loss> found = new ArrayList<>();
    private double contraction;
    private double filled;

    Passage(Profile metal, Profile valve, Setting setting, Gate smallest, Gate curtain) {
      this.metal = metal;
      this.valve = valve;
      this.setting = setting;
      this.k = setting.coefficients();
      this.intake = setting.direction() == Direction.INTAKE;
      this.smallest = smallest;
      this.curtain = curtain;
      this.gap = curtain.gapMm();
      this.stream = streamThrough(curtain);
      this.perGate = 1 / (curtain.areaMm2() * curtain.areaMm2());
      addUp();
    }

    /**
     * Direction of the stream through a gate, square to it; outward for intake, inward for exhaust.
     */
    private double streamThrough(Gate gate) {
      Point p = gate.onMetal();
      Point q = gate.onValve();
      double outward = Math.atan2(p.r() - q.r(), q.z() - p.z());
      return intake ? outward : outward + Math.PI;
    }

    private void addUp() {
      add(
          Cause.GATE,
          smallest.place(),
          smallest.onMetal(),
          1 / (smallest.areaMm2() * smallest.areaMm2()));
      double window = k.window() * gap;
      Turning seatTurning = Turning.taut(walkUpstream(true), streamOn(true, true), window);
      Turning valveTurning = Turning.taut(walkUpstream(false), streamOn(false, true), window);
      double seatLoss = k.seatWeight() * narrowing(seatTurning, window);
      double valveLoss = k.valveWeight() * narrowing(valveTurning, window);
      double c = 1 - seatLoss - valveLoss;

      double land = Math.min(land(true), land(false));
      filled = land > 0 ? Math.exp(-gap / (k.landScale() * land)) : 0;
      double narrowed = notFilled(c, filled) - (1 - filled);
      if (seatLoss + valveLoss > 0) {
        double seatShare = seatLoss / (seatLoss + valveLoss);
        spread(
            Cause.SEAT_CORNER,
            seatTurning,
            metal,
            upstreamStep(),
            window,
            narrowed * seatShare * perGate);
        spread(
            Cause.VALVE_CORNER,
            valveTurning,
            valve,
            upstreamStep(),
            window,
            narrowed * (1 - seatShare) * perGate);
      }
      add(
          Cause.FRICTION,
          Place.on(metal.surfaces().get(curtain.metalSegment())),
          curtain.onMetal(),
          k.friction() * land / gap * perGate);
      add(
          Cause.RECOVERY,
          Place.on(metal.surfaces().get(curtain.metalSegment())),
          curtain.onMetal(),
          -filled * k.recovery() * widening(land) * perGate);
      ridges();
      turnOutOfThroat();
      double perThroat = 1 / (setting.throatAreaMm2() * setting.throatAreaMm2());
      add(
          Cause.PORT,
          Place.behind(metal.surfaces().getLast()),
          metal.points().getLast(),
          setting.calibration().portLoss() * perThroat);
      contraction = c;
    }

    /**
     * Velocity heads lost past a contraction, the jet's own included as far as the passage is not
     * filled.
     */
    private static double notFilled(double c, double filled) {
      return (1 - filled) / (c * c) + filled * (1 / c - 1) * (1 / c - 1);
    }

    private void add(Cause cause, Place place, Point at, double resistance) {
      found.add(new Loss(cause, place, at, resistance, 0));
    }

    /**
     * Both profiles run from the chamber to the port, so against the stream is forward for intake.
     */
    private int upstreamStep() {
      return intake ? 1 : -1;
    }

    private Turning.Walk walkUpstream(boolean seatSide) {
      return walk(seatSide, upstreamStep());
    }

    private Turning.Walk walk(boolean seatSide, int step) {
      return seatSide
          ? new Turning.Walk(metal, curtain.metalSegment(), curtain.onMetal(), step)
          : new Turning.Walk(valve, curtain.valveSegment(), curtain.onValve(), step);
    }

    /**
     * Going against the stream, the seat's wall falls away where it turns counter-clockwise for
     * intake; going with the stream, or on the other wall, or the other way, each flips it.
     */
    private Turning.Stream streamOn(boolean seatSide, boolean upstream) {
      int away = (seatSide == intake) == upstream ? 1 : -1;
      return new Turning.Stream(stream, upstream, away);
    }

    private double narrowing(Turning turning, double window) {
      double d = Math.min(turning.mean(window), Math.PI);
      double radius = turning.radius(window, k.cornerScale() * gap);
      return (1 - Contraction.coefficient(d)) * RoundedInlet.left(k.relief() * radius / gap);
    }

    private void spread(
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

    /** Length of wall past the gate that still guides the stream, mm. */
    private double land(boolean seatSide) {
      Turning.Walk walk = walk(seatSide, -upstreamStep());
      double land = 0;
      Point at = walk.from();
      for (int i = walk.segment(); i >= 0 && i < walk.wall().segmentCount(); i += walk.step()) {
        Part part = walk.wall().surfaces().get(i).part();
        boolean guides =
            part == Part.CUT
                || part == Part.FACE
                || part == Part.BACK_CUT
                || part == Part.UNDERHEAD;
        if (!guides) {
          break;
        }
        Point next = walk.step() > 0 ? walk.wall().end(i) : walk.wall().start(i);
        land += at.distanceTo(next);
        at = next;
      }
      return land;
    }

    /** 1 - (area before / area after)^2 along the land. */
    private double widening(double land) {
      Point p = along(walk(true, -upstreamStep()), land);
      Point q = along(walk(false, -upstreamStep()), land);
      double ratio = curtain.areaMm2() / Math.max(Gate.frustum(p, q), curtain.areaMm2());
      return 1 - ratio * ratio;
    }

    private static Point along(Turning.Walk walk, double lengthMm) {
      Point at = walk.from();
      double left = lengthMm;
      for (int i = walk.segment(); i >= 0 && i < walk.wall().segmentCount(); i += walk.step()) {
        Point next = walk.step() > 0 ? walk.wall().end(i) : walk.wall().start(i);
        double length = at.distanceTo(next);
        if (length >= left) {
          return length < 1e-12 ? at : at.toward(next, left / length);
        }
        left -= length;
        at = next;
      }
      return at;
    }

    /** Walls past the gate that stand up into the stream. */
    private void ridges() {
      Turning wall = Turning.of(walk(true, -upstreamStep()), streamOn(true, false), 3 * gap + 3);
      double away = 0;
      for (Turning.Corner corner : wall.corners()) {
        away += corner.turn();
        double into = Math.min(-away, Math.PI / 2);
        if (corner.turn() >= 0 || into <= 0 || corner.distanceMm() == 0) {
          continue;
        }
        Point top = intake ? metal.start(corner.segment()) : metal.end(corner.segment());
        double height = corner.at().distanceTo(top) * Math.sin(into);
        Gate over = Gate.overStretch(metal, corner.segment(), valve);
        double pinch = Math.min(curtain.areaMm2() / over.areaMm2(), 1.2);
        double blocked = -Math.expm1(-height / (0.3 * gap));
        double detached = 1 / (1 + Math.pow(gap / (k.ridgeDetach() * corner.distanceMm()), 8));
        double loss = k.ridge() * Math.sin(into) * Math.pow(pinch, 4) * blocked * detached;
        add(Cause.RIDGE, Place.on(metal.surfaces().get(corner.segment())), top, loss * perGate);
      }
    }

    /**
     * The turn out of the throat, and the lip where it ends; what the lip adds beyond the gate
     * alone is its part of the budget.
     */
    private void turnOutOfThroat() {
      Turning.Walk toThroat = new Turning.Walk(metal, curtain.metalSegment(), curtain.onMetal(), 1);
      Turning turning =
          Turning.taut(toThroat, new Turning.Stream(leaving(), true, 1), toThroatEnd());
      double d = Math.min(turning.total(), Math.PI);
      double throatArea = setting.throatAreaMm2();
      // A stream that still speeds up on its way to the gate turns almost for nothing.
      double coasting = Math.pow(curtain.areaMm2() / throatArea, 2);
      double turnLoss =
          k.turn() * (1 - Math.cos(d)) * Math.min(coasting, 1) / (throatArea * throatArea);
      spread(Cause.BEND, turning, metal, 1, Double.POSITIVE_INFINITY, turnLoss);

      double area =
          Math.min(Gate.lipBetween(metal, setting.sealing(), valve).areaMm2(), throatArea);
      Point edge = throatEdge();
      double lipGap = area / (2 * Math.PI * edge.r());
      double shed = turning.shed(k.lipScale() * lipGap, k.lipTurn(), k.lipPower());
      double c = 1 - k.lipWeight() * (1 - Contraction.coefficient(d)) * shed;
      double run = edge.distanceTo(curtain.onMetal());
      double filled = run > 0 ? Math.exp(-lipGap / (k.lipLand() * run)) : 0;
      double lipResistance = notFilled(c, filled) / (area * area);
      double gateResistance = found.stream().mapToDouble(Loss::resistancePerMm4).sum();
      double joined =
          Math.pow(
              Math.pow(gateResistance, k.merge()) + Math.pow(lipResistance, k.merge()),
              1 / k.merge());
      spread(Cause.LIP, turning, metal, 1, Double.POSITIVE_INFINITY, joined - gateResistance);
    }

    /**
     * Direction of the stream past the seat, outward. At high lift the gate lies ever flatter, but
     * the stream does not: it leaves no flatter than half the seat's angle (fitted with the rest).
     */
    private double leaving() {
      double outward = intake ? stream : stream + Math.PI;
      double seatAngle = 0;
      for (int i = 0; i < metal.segmentCount(); i++) {
        if (metal.surfaces().get(i).part() == Part.CUT
            && metal.surfaces().get(i).index() == setting.sealing()) {
          seatAngle =
              Math.atan2(
                  metal.start(i).z() - metal.end(i).z(), metal.start(i).r() - metal.end(i).r());
        }
      }
      return Math.max(Math.atan2(Math.sin(outward), Math.cos(outward)), seatAngle / 2);
    }

    /**
     * Length of wall from the gate to where the throat ends; the bowl behind it belongs to the
     * port.
     */
    private double toThroatEnd() {
      double length = 0;
      Point at = curtain.onMetal();
      for (int i = curtain.metalSegment(); i < metal.segmentCount(); i++) {
        if (metal.surfaces().get(i).part() == Part.BOWL && length > 0) {
          break;
        }
        length += at.distanceTo(metal.end(i));
        at = metal.end(i);
      }
      // A hair short, so that the walk does not look round the corner.
      return length * (1 - 1e-9);
    }

    private Point throatEdge() {
      for (int i = 0; i < metal.segmentCount(); i++) {
        Part part = metal.surfaces().get(i).part();
        if (part == Part.THROAT || part == Part.BOWL) {
          return metal.start(i);
        }
      }
      return metal.points().getLast();
    }
  }
}
