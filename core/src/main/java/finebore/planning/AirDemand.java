package finebore.planning;

import finebore.flow.CamLift;
import finebore.flow.FlowCurve;
import finebore.flow.LiftPoint;
import finebore.job.Engine;
import finebore.job.Port;
import finebore.units.Unit;

/** What the engine asks of its valves. */
public final class AirDemand {

  /** Horsepower per cfm and cylinder at 28 in of water; common practice, no source. */
  public static final double HP_PER_CFM = 0.257;

  /**
   * Mean inlet Mach index past which volumetric efficiency falls (C. F. Taylor, The
   * Internal-Combustion Engine in Theory and Practice, from memory).
   */
  public static final double MACH_INDEX_LIMIT = 0.6;

  /** Speed of sound in air at 20 C, m/s. */
  private static final double SOUND_M_S = 343.2;

  private AirDemand() {}

  /** Flow at 28 in of water that a power needs of each cylinder, m3/s. */
  public static double flowForPower(double hp, int cylinders) {
    return Unit.CFM.toBase(hp / (HP_PER_CFM * cylinders));
  }

  /**
   * Flow at 28 in of water that a flow at another depression comes to: it goes with the root of the
   * depression.
   */
  public static double at28(double m3PerS, double depressionPa) {
    return m3PerS * Math.sqrt(Unit.INCH_OF_WATER.toBase(28) / depressionPa);
  }

  /** The other way round. */
  public static double from28(double m3PerS, double depressionPa) {
    return m3PerS * Math.sqrt(depressionPa / Unit.INCH_OF_WATER.toBase(28));
  }

  /** Power that a flow at 28 in of water is good for, hp. */
  public static double powerForFlow(double m3PerS, int cylinders) {
    return HP_PER_CFM * cylinders * Unit.CFM.fromBase(m3PerS);
  }

  /**
   * Mean inlet Mach index Z = (bore / valve)^2 (piston speed) / (Ci c), for several valves by their
   * joint area (Taylor, as above).
   *
   * @param curve the intake's flow; Ci is its effective area over the head's, as the mean over the
   *     cam's opening
   */
  public static double machIndex(
      Engine engine, CamLift cam, double headDiameterMm, FlowCurve curve) {
    double pistonSpeed = 2 * engine.strokeMm() / 1000 * engine.rpm() / 60;
    double headArea = Math.PI / 4 * headDiameterMm * headDiameterMm;
    double ci = curve.camMean(cam, LiftPoint::effectiveAreaMm2) / headArea;
    double areas =
        engine.boreMm()
            * engine.boreMm()
            / (engine.valvesPerCylinder(Port.INTAKE) * headDiameterMm * headDiameterMm);
    return areas * pistonSpeed / (ci * SOUND_M_S);
  }
}
