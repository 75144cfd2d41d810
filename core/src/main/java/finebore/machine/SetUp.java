package finebore.machine;

import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import java.util.OptionalDouble;

/** Figures for setting a machine up that follow from what was read of a seat. */
public final class SetUp {

  private SetUp() {}

  /**
   * Face that a back cut up to the lapped ring leaves: from the margin to the ring's inner edge,
   * and a sliver more; empty while the ring was not read.
   */
  public static OptionalDouble faceLeftOfRingMm(Job job, SeatOutcome seat) {
    OptionalDouble inside = job.log().value(seat.place().label(), ReadBack.RING_INSIDE);
    if (inside.isEmpty()) {
      return inside;
    }
    return OptionalDouble.of(
        alongFaceMm(seat, inside.getAsDouble()) + job.shop().value(ShopFigure.SLIVER));
  }

  /** From the margin along the planned valve's face to a diameter, mm. */
  static double alongFaceMm(SeatOutcome seat, double diameterMm) {
    var valve = seat.plan().wanted().valve();
    return (valve.headDiameterMm() - diameterMm)
        / 2
        / Math.cos(Math.toRadians(valve.faceAngleDeg()));
  }

  /** Diameter on the planned valve's face so far from its margin, mm. */
  public static double diameterAtMm(SeatOutcome seat, double fromMarginMm) {
    var valve = seat.plan().wanted().valve();
    return valve.headDiameterMm()
        - 2 * fromMarginMm * Math.cos(Math.toRadians(valve.faceAngleDeg()));
  }
}
