package finebore.flow;

import finebore.flow.estimate.Estimate;
import finebore.section.Profile;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;

/**
 * The effective area at one lift, and what holds the air up.
 *
 * <p>Resistances are R = 1/A^2. That of seat and valve together is what the {@link Estimate} learnt
 * from solved air; walls beside the valve take their share of the gate away, and the port behind
 * adds its K_port / A^2 of the throat that it was found with.
 *
 * @param area the smallest frustum and the effective area
 * @param parts the loss budget, largest first; shares add up to 1, and what costs nothing is left
 *     out
 */
public record Losses(EffectiveArea area, List<Loss> parts) {

  public Losses {
    parts = List.copyOf(parts);
  }

  public Gate gate() {
    return area.gate();
  }

  public double effectiveAreaMm2() {
    return area.mm2();
  }

  /**
   * What stays the same at every lift.
   *
   * @param sealing index of the sealing cut
   * @param portAreaMm2 throat less stem of the seat whose port it is, mm2: its loss is told in
   *     velocity heads there, and does not fall when another throat is cut
   * @param open share of a gate that the walls round the valve leave, above 0
   */
  public record Setting(
      int sealing,
      double portAreaMm2,
      Direction direction,
      Sectors sectors,
      Calibration calibration,
      ToDoubleFunction<Gate> open) {

    /** With nothing round the valve. */
    public Setting(
        int sealing,
        double portAreaMm2,
        Direction direction,
        Sectors sectors,
        Calibration calibration) {
      this(sealing, portAreaMm2, direction, sectors, calibration, gate -> 1);
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
    Gate gate = Gate.between(metal, valve);
    Estimate.Answer learnt = learnt(metal, valve, setting, gate);
    double open = setting.open().applyAsDouble(gate);
    double seat = perMm4(learnt.areaMm2());
    Map<Loss.Cause, Double> each = new EnumMap<>(Loss.Cause.class);
    each.put(Loss.Cause.SEAT, seat);
    each.put(Loss.Cause.WALL, perMm4(open * learnt.areaMm2()) - seat);
    each.put(Loss.Cause.PORT, setting.portPerMm4());
    double total = each.values().stream().mapToDouble(Double::doubleValue).sum();
    return new Losses(
        area(gate, learnt, open, setting),
        each.entrySet().stream()
            .filter(e -> e.getValue() > 0)
            .map(e -> new Loss(e.getKey(), e.getValue(), e.getValue() / total))
            .sorted(Comparator.comparingDouble(Loss::share).reversed())
            .toList());
  }

  /** Gate and effective area alone. */
  public static EffectiveArea areaAt(Profile metal, Profile valve, Setting setting) {
    Gate gate = Gate.between(metal, valve);
    Estimate.Answer learnt = learnt(metal, valve, setting, gate);
    return area(gate, learnt, setting.open().applyAsDouble(gate), setting);
  }

  private static EffectiveArea area(Gate gate, Estimate.Answer seat, double open, Setting setting) {
    double resistance = perMm4(open * seat.areaMm2()) + setting.portPerMm4();
    return new EffectiveArea(gate, setting.factor() / Math.sqrt(resistance), seat.isKnown());
  }

  private static double perMm4(double areaMm2) {
    return 1 / (areaMm2 * areaMm2);
  }

  private static Estimate.Answer learnt(
      Profile metal, Profile valve, Setting setting, Gate smallest) {
    Estimate estimate =
        setting.direction() == Direction.INTAKE ? Estimate.ofIntake() : Estimate.ofExhaust();
    return estimate.at(metal, setting.sealing(), valve, smallest.areaMm2());
  }
}
