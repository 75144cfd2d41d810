package finebore.job;

import finebore.found.Measure;
import finebore.quantity.Quantity;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What of the engine the seats depend on.
 *
 * @param cylinders how many, 1 to 16
 * @param intakesPerCylinder intake valves in each, 1 to 4
 * @param exhaustsPerCylinder exhaust valves in each, 1 to 4
 * @param boreMm cylinder bore
 * @param strokeMm stroke
 * @param rpm speed of peak power
 * @param targetHp power aimed at, if any
 * @param valveSpacingMm distance between the axes of an intake and its exhaust neighbour, if
 *     measured
 * @param pistons what carries the piston past the valves, as far as it is known
 */
@RecordBuilder
public record Engine(
    int cylinders,
    int intakesPerCylinder,
    int exhaustsPerCylinder,
    double boreMm,
    double strokeMm,
    double rpm,
    OptionalDouble targetHp,
    OptionalDouble valveSpacingMm,
    Pistons pistons)
    implements EngineBuilder.With {

  public Engine {
    Quantity.CYLINDERS.check(cylinders);
    Quantity.INTAKES_PER_CYLINDER.check(intakesPerCylinder);
    Quantity.EXHAUSTS_PER_CYLINDER.check(exhaustsPerCylinder);
    Quantity.BORE.check(boreMm);
    Quantity.STROKE.check(strokeMm);
    Quantity.ENGINE_SPEED.check(rpm);
    Quantity.TARGET_POWER.check(targetHp);
    Quantity.VALVE_SPACING.check(valveSpacingMm);
  }

  /** An engine of whose pistons nothing is known. */
  public Engine(
      int cylinders,
      int intakesPerCylinder,
      int exhaustsPerCylinder,
      double boreMm,
      double strokeMm,
      double rpm,
      OptionalDouble targetHp,
      OptionalDouble valveSpacingMm) {
    this(
        cylinders,
        intakesPerCylinder,
        exhaustsPerCylinder,
        boreMm,
        strokeMm,
        rpm,
        targetHp,
        valveSpacingMm,
        Pistons.UNKNOWN);
  }

  /** Swept volume of one cylinder, mm3. */
  public double sweptMm3() {
    return Math.PI / 4 * boreMm * boreMm * strokeMm;
  }

  public int valvesPerCylinder(Port port) {
    return port == Port.INTAKE ? intakesPerCylinder : exhaustsPerCylinder;
  }

  /**
   * Whether its cylinders have what a reading is about: not the distance to a third intake of two.
   */
  public boolean has(Measure measure) {
    for (List<Measure> to : List.of(Measure.EDGE_TO_INTAKE, Measure.CENTRES_TO_INTAKE)) {
      if (to.contains(measure)) {
        return to.indexOf(measure) < intakesPerCylinder;
      }
    }
    for (List<Measure> to : List.of(Measure.EDGE_TO_EXHAUST, Measure.CENTRES_TO_EXHAUST)) {
      if (to.contains(measure)) {
        return to.indexOf(measure) < exhaustsPerCylinder;
      }
    }
    return true;
  }

  /** Whether there are two valves of a kind to a cylinder. */
  public boolean hasPairs() {
    return intakesPerCylinder == 2 || exhaustsPerCylinder == 2;
  }

  /**
   * Every seat in the head, cylinder by cylinder: I1 E1 I2 E2, or I1a I1b E1a E1b with several of a
   * kind.
   */
  public List<SeatPlace> seats() {
    List<SeatPlace> seats = new ArrayList<>();
    for (int cylinder = 1; cylinder <= cylinders; cylinder++) {
      for (Port port : Port.values()) {
        int count = valvesPerCylinder(port);
        for (int k = 0; k < count; k++) {
          String suffix = count == 1 ? "" : String.valueOf((char) ('a' + k));
          seats.add(new SeatPlace(port.letter() + cylinder + suffix, port, cylinder));
        }
      }
    }
    return seats;
  }

  /** One seat of the head: its label, kind and cylinder from 1. */
  public record SeatPlace(String label, Port port, int cylinder) {

    /** Which of its kind in its cylinder, from 0. */
    public int ofItsKind() {
      char last = label.charAt(label.length() - 1);
      return Character.isDigit(last) ? 0 : last - 'a';
    }
  }
}
