package finebore.machine;

import finebore.Samples;
import finebore.found.Measure;
import finebore.job.Engine;
import finebore.job.Job;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.work.ReadBack;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.time.Instant;
import java.util.OptionalDouble;

/** A four-cylinder head with worn seats that are to be cut deeper, for tests of the machine. */
final class MachineJob {

  static final WorkLog.Hand HAND = new WorkLog.Hand(Instant.parse("2026-03-16T08:00:00Z"), "M.");

  private MachineJob() {}

  static Job job() {
    Job single = Samples.job();
    Engine four = new Engine(4, 1, 1, 86, 86, 6500, OptionalDouble.empty(), OptionalDouble.of(44));
    Seat found = Samples.fourAngles(0.86).withDepthMm(9.6).withBowl(0.88 * 42, 20);
    Pairing worn = new Pairing(found, Samples.plainValve());
    Job job =
        single
            .withEngine(four)
            .withIntake(single.intake().withFound(worn))
            .withExhaust(single.exhaust().withFound(worn));
    for (String label : new String[] {"I1", "I2", "I3", "I4"}) {
      job =
          job.withHead(
              job.head().withReading(label, Measure.GUIDE_CLEARANCE, OptionalDouble.of(0.04)));
    }
    return job.withHead(job.head().withReading("I3", Measure.SEAT_DEPTH, OptionalDouble.of(9.9)));
  }

  static Job read(Job job, String seat, String step, ReadBack what, double value) {
    return job.withLog(job.log().with(HAND, seat, step, new Taken(what, value, "caliper"), ""));
  }

  static Job said(Job job, String step, Kind kind) {
    String seat = step.substring(0, step.indexOf(':'));
    return job.withLog(job.log().with(HAND, seat, step, kind, "because"));
  }
}
