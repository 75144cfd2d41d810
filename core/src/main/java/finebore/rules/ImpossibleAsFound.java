package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.SeatRoom;
import finebore.planning.ValveRoom;
import finebore.practice.Finding;
import finebore.room.Room;
import finebore.study.SeatFit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What was read of seats and valves that cannot be. */
final class ImpossibleAsFound implements HeadRule {

  private static final List<SeatRule> OF_SEATS =
      List.of(new ThroatWithinStem(), new ValveFallsThrough(), new SeatBelowBowl());

  @Override
  public List<Finding> of(HeadCase head) {
    List<Finding> found = new ArrayList<>();
    Job job = head.job();
    for (SeatPlace place : job.engine().seats()) {
      if (job.head().readingsOf(place.label()).isEmpty()) {
        continue;
      }
      SeatFit fit = SeatFit.of(job.foundSeat(place).section(), job.foundValve(place));
      SeatCase seat =
          new SeatCase(
              place.label(),
              place.port(),
              fit,
              List.of(),
              head.practice(),
              Set.of(),
              fit.pairing());
      OF_SEATS.forEach(rule -> found.addAll(rule.of(seat)));
      double own = fit.pairing().valve().headDiameterMm();
      negative(found, place, FindingCode.HEAD_PAST_BORE, ValveRoom.of(job, place).boreWallMm(own));
      if (place.port() == Port.INTAKE || SeatRoom.found(job, place).isPresent()) {
        negative(found, place, FindingCode.HEADS_OVERLAP, apart(job, place, own));
      }
    }
    return found;
  }

  /** Room between an intake's head and its exhaust neighbour's, both as found. */
  private static OptionalDouble apart(Job job, SeatPlace place, double headMm) {
    Optional<Room> room = SeatRoom.found(job, place);
    if (room.isPresent() && !room.get().neighbours().isEmpty()) {
      return room.get()
          .leastToNeighbourMm(
              SeatRoom.headAsFound(job, place, room.get()),
              job.group(place.port()).cam().maxLiftMm());
    }
    OptionalDouble spacing = job.engine().valveSpacingMm();
    OptionalDouble other =
        job.seats(Port.EXHAUST).stream()
            .filter(s -> s.cylinder() == place.cylinder())
            .mapToDouble(s -> job.foundValve(s).headDiameterMm())
            .max();
    return spacing.isPresent() && other.isPresent()
        ? OptionalDouble.of(spacing.getAsDouble() - (headMm + other.getAsDouble()) / 2)
        : OptionalDouble.empty();
  }

  private static void negative(
      List<Finding> found, SeatPlace place, FindingCode code, OptionalDouble room) {
    if (room.isPresent() && room.getAsDouble() <= 0) {
      found.add(
          Finding.of(code, place.label(), Subject.WHOLE, Severity.FAULT, Basis.READINGS)
              .with("past", Term.length(-room.getAsDouble()))
              .by(-room.getAsDouble()));
    }
  }
}
