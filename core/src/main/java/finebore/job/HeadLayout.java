package finebore.job;

import finebore.section.Bounds;

/**
 * Where things lie in the plan view of the head, seen from the chamber. Each bore has its own
 * origin, x along the head, y toward the exhaust side.
 *
 * @param cylindersPerHead how many cylinders one head covers, 1 to 16
 * @param boreSpacingMm between neighbouring bores
 * @param fireRingMm inside diameter of the gasket's fire ring
 * @param valveLineDeg direction from an intake to its exhaust: 0 along the head, 90 across it
 * @param plugXMm plug from the bore's centre, along the head
 * @param plugYMm plug from the bore's centre, across the head
 * @param plugMm thread diameter of the plug
 * @param intakeTiltDeg lean of the intake guides from upright
 * @param exhaustTiltDeg lean of the exhaust guides
 */
public record HeadLayout(
    int cylindersPerHead,
    double boreSpacingMm,
    double fireRingMm,
    double valveLineDeg,
    double plugXMm,
    double plugYMm,
    double plugMm,
    double intakeTiltDeg,
    double exhaustTiltDeg) {

  public HeadLayout {
    Bounds.check("cylinders in one head", cylindersPerHead, 1, 16, "");
    Bounds.check("bore spacing", boreSpacingMm, 20, 800, "mm");
    Bounds.check("fire ring diameter", fireRingMm, 15, 600, "mm");
    Bounds.check("direction from intake to exhaust", valveLineDeg, 0, 180, "degrees");
    Bounds.check("plug along the head", plugXMm, -200, 200, "mm");
    Bounds.check("plug across the head", plugYMm, -200, 200, "mm");
    Bounds.check("plug thread", plugMm, 5, 40, "mm");
    Bounds.check("tilt of the intake guides", intakeTiltDeg, -60, 60, "degrees");
    Bounds.check("tilt of the exhaust guides", exhaustTiltDeg, -60, 60, "degrees");
  }

  /** What is taken while nobody has measured it: drawn from the bore. */
  public static HeadLayout about(Engine engine) {
    double bore = engine.boreMm();
    return new HeadLayout(engine.cylinders(), bore * 1.1, bore + 2, 90, 0.3 * bore, 0, 14, 0, 0);
  }

  /** With other bores: how many a head covers, and how far apart. */
  public HeadLayout withBores(int perHead, double spacingMm) {
    return new HeadLayout(
        perHead,
        spacingMm,
        fireRingMm,
        valveLineDeg,
        plugXMm,
        plugYMm,
        plugMm,
        intakeTiltDeg,
        exhaustTiltDeg);
  }

  public HeadLayout withFireRing(double mm) {
    return new HeadLayout(
        cylindersPerHead,
        boreSpacingMm,
        mm,
        valveLineDeg,
        plugXMm,
        plugYMm,
        plugMm,
        intakeTiltDeg,
        exhaustTiltDeg);
  }

  /** With the valves of a cylinder turned, and their guides leaning otherwise. */
  public HeadLayout withValves(double lineDeg, double intakeDeg, double exhaustDeg) {
    return new HeadLayout(
        cylindersPerHead,
        boreSpacingMm,
        fireRingMm,
        lineDeg,
        plugXMm,
        plugYMm,
        plugMm,
        intakeDeg,
        exhaustDeg);
  }

  public HeadLayout withPlug(double xMm, double yMm, double threadMm) {
    return new HeadLayout(
        cylindersPerHead,
        boreSpacingMm,
        fireRingMm,
        valveLineDeg,
        xMm,
        yMm,
        threadMm,
        intakeTiltDeg,
        exhaustTiltDeg);
  }
}
