package finebore.job;

import finebore.quantity.Quantity;
import io.soabase.recordbuilder.core.RecordBuilder;

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
 * @param intakeCantDeg lean of the intake guides along the head, 0 unless the valves are canted
 * @param exhaustCantDeg lean of the exhaust guides along the head
 */
@RecordBuilder
public record HeadLayout(
    int cylindersPerHead,
    double boreSpacingMm,
    double fireRingMm,
    double valveLineDeg,
    double plugXMm,
    double plugYMm,
    double plugMm,
    double intakeTiltDeg,
    double exhaustTiltDeg,
    double intakeCantDeg,
    double exhaustCantDeg)
    implements HeadLayoutBuilder.With {

  public HeadLayout {
    Quantity.CYLINDERS_PER_HEAD.check(cylindersPerHead);
    Quantity.BORE_SPACING.check(boreSpacingMm);
    Quantity.FIRE_RING.check(fireRingMm);
    Quantity.VALVE_LINE.check(valveLineDeg);
    Quantity.PLUG_ALONG.check(plugXMm);
    Quantity.PLUG_ACROSS.check(plugYMm);
    Quantity.PLUG_THREAD.check(plugMm);
    Quantity.INTAKE_LEAN.check(intakeTiltDeg);
    Quantity.EXHAUST_LEAN.check(exhaustTiltDeg);
    Quantity.INTAKE_CANT.check(intakeCantDeg);
    Quantity.EXHAUST_CANT.check(exhaustCantDeg);
  }

  /** A head whose guides do not lean along it. */
  public HeadLayout(
      int cylindersPerHead,
      double boreSpacingMm,
      double fireRingMm,
      double valveLineDeg,
      double plugXMm,
      double plugYMm,
      double plugMm,
      double intakeTiltDeg,
      double exhaustTiltDeg) {
    this(
        cylindersPerHead,
        boreSpacingMm,
        fireRingMm,
        valveLineDeg,
        plugXMm,
        plugYMm,
        plugMm,
        intakeTiltDeg,
        exhaustTiltDeg,
        0,
        0);
  }

  /** What is taken while nobody has measured it: drawn from the bore. */
  public static HeadLayout about(Engine engine) {
    double bore = engine.boreMm();
    return new HeadLayout(engine.cylinders(), bore * 1.1, bore + 2, 90, 0.3 * bore, 0, 14, 0, 0);
  }
}
