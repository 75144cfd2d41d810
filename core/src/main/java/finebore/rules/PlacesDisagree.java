package finebore.rules;

import finebore.code.Coded;
import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatPlaces;
import finebore.planning.SeatRoom;
import finebore.practice.Finding;
import finebore.quantity.Quantity;
import finebore.room.Room;
import finebore.space.Rim;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** A place that was measured in two ways that do not agree, or that cannot be. */
final class PlacesDisagree implements HeadRule {

  /** What two ways of measuring may be apart, mm; common practice, no source. */
  private static final double APART_MM = 0.5;

  @Override
  public List<Finding> of(HeadCase head) {
    Job job = head.job();
    List<Finding> found = new ArrayList<>();
    for (int cylinder = 1; cylinder <= job.engine().cylinders(); cylinder++) {
      for (SeatPlaces.Told told : SeatPlaces.of(job, cylinder).told()) {
        disagree(
            found, told.seat(), told.measure(), said(told), told.measuredMm(), told.followsMm());
      }
    }
    for (SeatPlace place : job.engine().seats()) {
      Optional<Room> room = SeatRoom.found(job, place);
      if (room.isEmpty()) {
        continue;
      }
      outline(found, job, place, room.get());
      double far =
          SeatRoom.headAsFound(job, place, room.get())
              .farthestInHeadMm(job.group(place.port()).cam().maxLiftMm());
      double past = far - job.layout().fireRingMm() / 2;
      if (past > 0) {
        found.add(
            Finding.of(
                    FindingCode.VALVE_PAST_FIRE_RING,
                    place.label(),
                    Subject.measure(Measure.AXIS_ALONG),
                    Severity.FAULT,
                    Basis.READINGS)
                .with("past", Term.length(past))
                .by(past));
      }
    }
    return found;
  }

  /** A chamber that was traced, against where the valve lies and the gaps that were read. */
  private static void outline(List<Finding> found, Job job, SeatPlace place, Room room) {
    if (job.head().chamber(place.cylinder()).isEmpty()) {
      return;
    }
    if (!SeatRoom.isWithinOutline(job, place)) {
      found.add(
          Finding.of(
              FindingCode.OUTSIDE_OUTLINE,
              place.label(),
              Subject.measure(Measure.AXIS_ALONG),
              Severity.FAULT,
              Basis.READINGS));
      return;
    }
    Rim seen = SeatRoom.headAsFound(job, place, room).seen();
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k++) {
      Measure measure = Measure.CHAMBER_WALL.get(k);
      OptionalDouble gap = job.head().readingsOf(place.label()).value(measure);
      double angle = 2 * Math.PI * k / Measure.CHAMBER_WALL.size();
      if (gap.isPresent() && room.chamber().isPresent()) {
        double follows =
            room.chamber()
                    .get()
                    .fromMm(
                        seen.alongMm() - room.alongMm(), seen.acrossMm() - room.acrossMm(), angle)
                - seen.reachMm(Math.sin(angle), Math.cos(angle));
        disagree(found, place, measure, measure, gap.getAsDouble(), follows);
      }
    }
  }

  /** What is said of all cylinders at once has a name of its own. */
  private static Coded said(SeatPlaces.Told told) {
    return switch (told.measure()) {
      case AXIS_ACROSS -> Quantity.AXIS_FROM_BORE;
      case AXIS_ALONG -> Quantity.VALVE_SPACING;
      default -> told.measure();
    };
  }

  private static void disagree(
      List<Finding> found,
      SeatPlace place,
      Measure what,
      Coded name,
      double measured,
      double follows) {
    double apart = Math.abs(measured - follows);
    if (apart > APART_MM) {
      found.add(
          Finding.of(
                  FindingCode.PLACES_DISAGREE,
                  place.label(),
                  Subject.measure(what),
                  Severity.CAUTION,
                  Basis.READINGS)
              .with("what", Term.name(name))
              .with("measured", Term.length(measured))
              .with("follows", Term.length(follows))
              .by(apart));
    }
  }
}
