package finebore.job;

import finebore.section.Bounds;
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
 */
public record Engine(
    int cylinders,
    int intakesPerCylinder,
    int exhaustsPerCylinder,
    double boreMm,
    double strokeMm,
    double rpm,
    OptionalDouble targetHp,
    OptionalDouble valveSpacingMm) {

  public Engine {
    Bounds.check("cylinders", cylinders, 1, 16, "");
    Bounds.check("intake valves per cylinder", intakesPerCylinder, 1, 4, "");
    Bounds.check("exhaust valves per cylinder", exhaustsPerCylinder, 1, 4, "");
    Bounds.check("bore", boreMm, 20, 500, "");
    Bounds.check("stroke", strokeMm, 10, 800, "");
    Bounds.check("rpm", rpm, 100, 30_000, "");
    targetHp.ifPresent(hp -> Bounds.check("target power", hp, 1, 20_000, ""));
    valveSpacingMm.ifPresent(mm -> Bounds.check("valve spacing", mm, 5, 300, ""));
  }

  public Engine withCylinders(int changed) {
    return new Engine(
        changed,
        intakesPerCylinder,
        exhaustsPerCylinder,
        boreMm,
        strokeMm,
        rpm,
        targetHp,
        valveSpacingMm);
  }

  public Engine withValves(int intakes, int exhausts) {
    return new Engine(
        cylinders, intakes, exhausts, boreMm, strokeMm, rpm, targetHp, valveSpacingMm);
  }

  public Engine withRpm(double changed) {
    return new Engine(
        cylinders,
        intakesPerCylinder,
        exhaustsPerCylinder,
        boreMm,
        strokeMm,
        changed,
        targetHp,
        valveSpacingMm);
  }

  public Engine withBoreAndStroke(double bore, double stroke) {
    return new Engine(
        cylinders,
        intakesPerCylinder,
        exhaustsPerCylinder,
        bore,
        stroke,
        rpm,
        targetHp,
        valveSpacingMm);
  }

  public Engine withTargetHp(OptionalDouble changed) {
    return new Engine(
        cylinders,
        intakesPerCylinder,
        exhaustsPerCylinder,
        boreMm,
        strokeMm,
        rpm,
        changed,
        valveSpacingMm);
  }

  public Engine withValveSpacing(OptionalDouble changed) {
    return new Engine(
        cylinders,
        intakesPerCylinder,
        exhaustsPerCylinder,
        boreMm,
        strokeMm,
        rpm,
        targetHp,
        changed);
  }

  public int valvesPerCylinder(Port port) {
    return port == Port.INTAKE ? intakesPerCylinder : exhaustsPerCylinder;
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
  public record SeatPlace(String label, Port port, int cylinder) {}
}
