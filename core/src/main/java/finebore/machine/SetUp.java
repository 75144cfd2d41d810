package finebore.machine;

import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import java.util.OptionalDouble;

/** Figures for setting a machine up that follow from what was read of a seat. */
public final class SetUp {

  private SetUp() {}

  /**
   * Bore of a seat's guide: as read at the machine, otherwise the stem and the clearance that was
   * found; empty while neither is known.
   */
  public static OptionalDouble guideBoreMm(Job job, SeatPlace place) {
    OptionalDouble read = job.log().value(place.label(), ReadBack.GUIDE_BORE);
    if (read.isPresent()) {
      return read;
    }
    OptionalDouble clearance = job.head().readingsOf(place.label()).value(Measure.GUIDE_CLEARANCE);
    return clearance.isPresent()
        ? OptionalDouble.of(job.foundValve(place).stemDiameterMm() + clearance.getAsDouble())
        : clearance;
  }

  /** Whether the guide's bore was read at the machine. */
  public static boolean isGuideRead(Job job, SeatPlace place) {
    return job.log().value(place.label(), ReadBack.GUIDE_BORE).isPresent();
  }

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
