package finebore.flow;

import finebore.flow.estimate.Estimate;
import finebore.section.Place;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The effective area at one lift, and what holds the air up.
 *
 * <p>Resistances are R = 1/A^2. That of seat and valve together is what the {@link Estimate} learnt
 * from solved air; the port behind adds its K_port / A^2 of the throat that it was found with. How
 * the seat's part is shared out is reckoned from the throat to the gate, one {@link Mechanism}
 * after the other, and then brought to that sum:
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
 * </ul>
 *
 * @param area the smallest frustum and the effective area
 * @param contraction how far the jet narrows at the gate, 1 for not at all
 * @param filled how far the stream fills the passage past the gate: 1 attached, 0 a free jet
 * @param parts the loss budget, largest first; shares add up to 1
 */
public record Losses(EffectiveArea area, double contraction, double filled, List<Loss> parts) {

  public Losses {
    parts = List.copyOf(parts);
  }

  public Gate gate() {
    return area.gate();
  }

  public double effectiveAreaMm2() {
    return area.mm2();
  }

  /** Discharge coefficient on the gate; can pass 1 where a widening passage recovers pressure. */
  public double gateCoefficient() {
    return area.mm2() / area.gate().areaMm2();
  }

  /**
   * What stays the same at every lift.
   *
   * @param sealing index of the sealing cut
   * @param throatAreaMm2 throat less stem, mm2
   * @param portAreaMm2 the same of the seat whose port it is: its loss is told in velocity heads
   *     there, and does not fall when another throat is cut
   * @param open share of a gate that the walls round the valve leave, above 0
   */
  public record Setting(
      int sealing,
      double throatAreaMm2,
      double portAreaMm2,
      Direction direction,
      LossCoefficients coefficients,
      Sectors sectors,
      Calibration calibration,
      ToDoubleFunction<Gate> open) {

    /** With nothing round the valve. */
    public Setting(
        int sealing,
        double throatAreaMm2,
        double portAreaMm2,
        Direction direction,
        LossCoefficients coefficients,
        Sectors sectors,
        Calibration calibration) {
      this(
          sealing,
          throatAreaMm2,
          portAreaMm2,
          direction,
          coefficients,
          sectors,
          calibration,
          gate -> 1);
    }

    /** Resistance of the port, 1/mm4. */
    public double portPerMm4() {
      return direction.portPerMm4(calibration.portLoss(), portAreaMm2);
    }

    /** What seat and valve alone would pass, mm2. */
    public double aloneMm2(EffectiveArea area) {
      double root = factor() / area.mm2();
      return factor() / Math.sqrt(root * root - portPerMm4());
    }

    /** What every area is multiplied by. */
    double factor() {
      return calibration.factor() * sectors.mean();
    }
  }

  /**
   * Works out one lift.
   *
   * @param metal wall of the head, from the chamber to the port
   * @param valve wall of the valve at its lifted height
   */
  public static Losses at(Profile metal, Profile valve, Setting setting) {
    Gate smallest = Gate.between(metal, valve);
    List<Gate> curtains =
        Gate.curtainsBetween(
            metal, setting.sealing(), valve, setting.coefficients().gates().near());
    List<Passage> works =
        curtains.stream().map(c -> Passage.of(metal, valve, setting, smallest, c)).toList();
    double[] weights = weights(curtains, metal, setting.coefficients().gates());
    double sum = Arrays.stream(weights).sum();
    List<Loss> parts = new ArrayList<>();
    double contraction = 0;
    double filled = 0;
    for (int i = 0; i < weights.length; i++) {
      double weight = weights[i] / sum;
      works.get(i).found().forEach(l -> gather(parts, l, weight));
      contraction += weight * works.get(i).contraction();
      filled += weight * works.get(i).filled();
    }
    Estimate.Answer learnt = learnt(metal, valve, setting, smallest);
    double seat = 1 / (learnt.areaMm2() * learnt.areaMm2());
    double shared =
        parts.stream().filter(l -> !isOutside(l)).mapToDouble(Loss::resistancePerMm4).sum();
    double open = setting.open().applyAsDouble(smallest);
    double walls = seat / (open * open) - seat;
    if (walls > 0) {
      parts.add(
          new Loss(
              Loss.Cause.WALL,
              Place.on(valve.surfaces().get(smallest.valveSegment())),
              smallest.onValve(),
              walls,
              0));
    }
    double total = seat + walls + setting.portPerMm4();
    List<Loss> budget =
        parts.stream()
            .map(l -> isOutside(l) ? l : l.times(seat / shared))
            .filter(l -> l.resistancePerMm4() != 0)
            .map(l -> l.withShareOf(total))
            .sorted(Comparator.comparingDouble(Loss::share).reversed())
            .toList();
    return new Losses(area(smallest, learnt, setting), contraction, filled, budget);
  }

  /** Whether a loss is none of the seat's and valve's own. */
  private static boolean isOutside(Loss loss) {
    return loss.cause() == Loss.Cause.PORT || loss.cause() == Loss.Cause.WALL;
  }

  /** Gate and effective area alone, without the budget: a tenth of the work. */
  public static EffectiveArea areaAt(Profile metal, Profile valve, Setting setting) {
    Gate gate = Gate.between(metal, valve);
    return area(gate, learnt(metal, valve, setting, gate), setting);
  }

  private static EffectiveArea area(Gate gate, Estimate.Answer seat, Setting setting) {
    double open = setting.open().applyAsDouble(gate) * seat.areaMm2();
    double resistance = 1 / (open * open) + setting.portPerMm4();
    return new EffectiveArea(gate, setting.factor() / Math.sqrt(resistance), seat.isKnown());
  }

  private static Estimate.Answer learnt(
      Profile metal, Profile valve, Setting setting, Gate smallest) {
    Estimate estimate =
        setting.direction() == Direction.INTAKE ? Estimate.ofIntake() : Estimate.ofExhaust();
    return estimate.at(metal, setting.sealing(), valve, smallest.areaMm2());
  }

  /**
   * Weights of gates that are nearly the smallest. Those at almost the same place share the weight
   * of one, and a stretch that is short against the gap hardly counts, so that gates that grow into
   * each other and stretches that come and go change nothing suddenly.
   */
  private static double[] weights(List<Gate> gates, Profile metal, LossCoefficients.Gates k) {
    double[] bare =
        gates.stream().mapToDouble(g -> weight(g, gates.getFirst(), metal, k)).toArray();
    double[] weights = new double[bare.length];
    for (int i = 0; i < bare.length; i++) {
      double shared = 0;
      for (int j = 0; j < bare.length; j++) {
        double apart =
            gates.get(i).onMetal().distanceTo(gates.get(j).onMetal())
                + gates.get(i).onValve().distanceTo(gates.get(j).onValve());
        shared +=
            Math.exp(-apart / (k.apart() * gates.get(i).gapMm())) * Math.min(1, bare[j] / bare[i]);
      }
      weights[i] = bare[i] / shared;
    }
    return weights;
  }

  private static double weight(Gate gate, Gate smallest, Profile metal, LossCoefficients.Gates k) {
    double stretch = metal.length(gate.metalSegment()) / (k.apart() * gate.gapMm());
    return Math.exp(-(gate.areaMm2() / smallest.areaMm2() - 1) / (k.near() / 4))
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
}
