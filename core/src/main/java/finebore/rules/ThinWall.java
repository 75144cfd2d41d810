package finebore.rules;

import finebore.code.Term;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.practice.Finding;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;

/** A wall that is thin before anything is cut. */
final class ThinWall implements HeadRule {

  private static final List<Measure> WALLS =
      List.of(Measure.WALL_SEAT, Measure.WALL_THROAT, Measure.WALL_BOWL);

  @Override
  public List<Finding> of(HeadCase head) {
    List<Finding> found = new ArrayList<>();
    for (SeatPlace place : head.job().engine().seats()) {
      SeatReadings readings = head.job().head().readingsOf(place.label());
      head.practice()
          .wanted(place.port(), ReadingKind.WATER)
          .filter(range -> range.min().isPresent())
          .ifPresent(range -> WALLS.forEach(wall -> thin(found, place, wall, readings, range)));
    }
    return found;
  }

  private static void thin(
      List<Finding> found, SeatPlace place, Measure wall, SeatReadings readings, Range range) {
    double least = range.min().getAsDouble();
    double mm = readings.value(wall).orElse(least);
    if (mm < least) {
      found.add(
          Finding.of(
                  FindingCode.THIN_WALL,
                  place.label(),
                  Subject.measure(wall),
                  Severity.CAUTION,
                  range.basis())
              .with("measure", wall)
              .with("wall", Term.length(mm))
              .with("least", Term.length(least))
              .by(least - mm));
    }
  }
}
