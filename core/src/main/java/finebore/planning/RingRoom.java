package finebore.planning;

import finebore.cutting.FitRing;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Job;
import finebore.job.Port;
import java.util.Optional;
import java.util.OptionalDouble;

/** Metal between neighbouring insert rings. */
final class RingRoom {

  private RingRoom() {}

  /**
   * Metal between a seat's ring and its neighbour's, mm: from the spacing of the valves where both
   * rings are known, otherwise from the reading taken; negative is an overlap.
   */
  static OptionalDouble bridgeMm(CutStudy cut) {
    Optional<Ring> own = cut.cutting().metal().ring();
    if (own.isEmpty()) {
      return OptionalDouble.empty();
    }
    Job job = cut.job();
    Optional<Ring> other = ringOf(job, cut.place().port().other(), cut.place().cylinder());
    if (other.isPresent() && job.engine().valveSpacingMm().isPresent()) {
      return OptionalDouble.of(
          job.engine().valveSpacingMm().getAsDouble()
              - (own.get().outsideDiameterMm() + other.get().outsideDiameterMm()) / 2);
    }
    OptionalDouble read = job.head().readingsOf(cut.place().label()).value(Measure.NEIGHBOUR_RING);
    double before =
        cut.metal().ring().map(Ring::outsideDiameterMm).orElse(own.get().outsideDiameterMm());
    double grown = (own.get().outsideDiameterMm() - before) / 2;
    return read.isPresent() ? OptionalDouble.of(read.getAsDouble() - grown) : read;
  }

  /** The ring that a seat of a kind in the same cylinder has or is to have. */
  private static Optional<Ring> ringOf(Job job, Port port, int cylinder) {
    return job.seats(port).stream()
        .filter(s -> s.cylinder() == cylinder)
        .findFirst()
        .flatMap(
            seat ->
                job.planOf(seat).operations().stream()
                    .filter(FitRing.class::isInstance)
                    .map(o -> ((FitRing) o).ring())
                    .reduce((a, b) -> b)
                    .or(() -> job.foundSeat(seat).ring()));
  }
}
