package finebore.planning;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.job.Engine.SeatPlace;
import java.util.function.Supplier;

/** Work on one seat, whose failure is told by the seat's name whoever asked for it. */
final class OfSeat {

  private OfSeat() {}

  /**
   * Does the work.
   *
   * @throws RuleViolation as the work throws it, or, of whatever else goes wrong, one that names
   *     the seat and the cause
   */
  static <T> T working(SeatPlace place, Supplier<T> work) {
    try {
      return work.get();
    } catch (RuleViolation e) {
      throw e;
    } catch (RuntimeException e) {
      RuleViolation named =
          RuleViolation.of("cannotBeWorkedOut")
              .with("seat", Term.quote(place.label()))
              .with("cause", Term.quote(String.valueOf(e.getMessage())));
      named.initCause(e);
      throw named;
    }
  }
}
