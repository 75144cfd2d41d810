package finebore.planning;

import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.work.ReadBack;
import java.util.OptionalDouble;

/** Bore of a seat's guide, and how much of it a stem leaves. */
public final class GuideBore {

  private GuideBore() {}

  /**
   * As read at the machine, otherwise the stem and the clearance that was found, mm; empty while
   * neither is known.
   */
  public static OptionalDouble mm(Job job, SeatPlace place) {
    OptionalDouble read = job.log().value(place.label(), ReadBack.GUIDE_BORE);
    return read.isPresent() ? read : foundMm(job, place);
  }

  /** By the found valve's stem and the clearance that was read. */
  public static OptionalDouble foundMm(Job job, SeatPlace place) {
    OptionalDouble clearance = job.head().readingsOf(place.label()).value(Measure.GUIDE_CLEARANCE);
    return clearance.isPresent()
        ? OptionalDouble.of(job.foundValve(place).stemDiameterMm() + clearance.getAsDouble())
        : clearance;
  }

  /** What the stem that will run in it has: the planned one in a bore that was read, mm. */
  public static OptionalDouble clearanceMm(Job job, SeatPlace place) {
    OptionalDouble read = job.log().value(place.label(), ReadBack.GUIDE_BORE);
    return read.isPresent()
        ? OptionalDouble.of(
            read.getAsDouble() - job.planOf(place).wanted().valve().stemDiameterMm())
        : job.head().readingsOf(place.label()).value(Measure.GUIDE_CLEARANCE);
  }
}
