package finebore.job;

import finebore.quantity.Quantity;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.OptionalDouble;

/**
 * When a kind of valve opens, and what the piston has for it, as far as it is known.
 *
 * @param camCentreDeg crank degrees from top dead centre in the overlap to the greatest lift: after
 *     it for intakes, before it for exhausts
 * @param lashMm lash at the valve, running
 * @param pocketDepthMm from the crown to the floor of the piston's pocket, under the valve's axis
 * @param pocketRadiusMm of the pocket
 * @param pocketAngleDeg lean of its floor, the way the valve leans
 * @param pocketWallDeg lean of its wall, the way the valve leans; along the valve where not known
 */
@RecordBuilder
public record PistonSide(
    OptionalDouble camCentreDeg,
    OptionalDouble lashMm,
    OptionalDouble pocketDepthMm,
    OptionalDouble pocketRadiusMm,
    OptionalDouble pocketAngleDeg,
    OptionalDouble pocketWallDeg)
    implements PistonSideBuilder.With {

  public static final PistonSide UNKNOWN =
      new PistonSide(
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty());

  public PistonSide {
    Quantity.CAM_CENTRE.check(camCentreDeg);
    Quantity.LASH.check(lashMm);
    Quantity.POCKET_DEPTH.check(pocketDepthMm);
    Quantity.POCKET_RADIUS.check(pocketRadiusMm);
    Quantity.POCKET_ANGLE.check(pocketAngleDeg);
    Quantity.POCKET_WALL.check(pocketWallDeg);
  }

  /** With a pocket of whose wall nobody has said how it leans. */
  public PistonSide(
      OptionalDouble camCentreDeg,
      OptionalDouble lashMm,
      OptionalDouble pocketDepthMm,
      OptionalDouble pocketRadiusMm,
      OptionalDouble pocketAngleDeg) {
    this(
        camCentreDeg,
        lashMm,
        pocketDepthMm,
        pocketRadiusMm,
        pocketAngleDeg,
        OptionalDouble.empty());
  }
}
