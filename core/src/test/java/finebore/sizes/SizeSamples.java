package finebore.sizes;

import finebore.Samples;
import finebore.finding.Basis;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import finebore.valve.Valve;
import java.util.Optional;
import java.util.OptionalDouble;

/** What the tests of sizes share. */
final class SizeSamples {

  private SizeSamples() {}

  static final Job JOB = Samples.job();

  static final SeatPlace I1 = JOB.engine().seats().getFirst();

  static final Practice PRACTICE = Samples.practice();

  static Practice keeping(ReadingKind kind, double least) {
    Optional<Range> range =
        Optional.of(new Range(OptionalDouble.of(least), OptionalDouble.empty(), Basis.GEOMETRY));
    return PRACTICE.with(Port.INTAKE, kind, range).with(Port.EXHAUST, kind, range);
  }

  static Job read(Job job, String seat, Measure measure, double value) {
    return job.withHead(job.head().withReading(seat, measure, OptionalDouble.of(value)));
  }

  static ShelfValve shelf(double head, double stem, double length) {
    Valve valve = Samples.plainValve().withHeadDiameterMm(head).withStemDiameterMm(stem);
    return new ShelfValve("Shelf " + head, Port.INTAKE, valve, length, 31);
  }

  static ShelfValve exhaust() {
    return new ShelfValve("out", Port.EXHAUST, Samples.plainValve(), 110, 20);
  }
}
