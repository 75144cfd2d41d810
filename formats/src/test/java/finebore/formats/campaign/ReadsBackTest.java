package finebore.formats.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.FitRing;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.ReadingsTable;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.JobMerge;
import finebore.job.Plan;
import finebore.quantity.Quantity;
import finebore.work.WorkLog;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Whatever the program can make, it reads back. */
class ReadsBackTest {

  private static final WorkLog.Hand HAND = new WorkLog.Hand(Instant.EPOCH, "");

  @Test
  void whateverEditsMakeIsReadBack() {
    assertThat(failures(1, 150)).isEmpty();
  }

  @Test
  @Tag("long")
  void whateverEditsMakeIsReadBackAtLength() {
    assertThat(failures(1_000_000, Integer.getInteger("finebore.jobs", 30_000))).isEmpty();
  }

  private static List<String> failures(long from, int jobs) {
    List<String> failed = new ArrayList<>();
    for (long seed = from; seed < from + jobs; seed++) {
      try {
        Job base = AnyEdits.of(seed, 20);
        Job job = AnyEdits.on(base, -2 * seed, 20);
        if (!readBack(job).equals(job)) {
          failed.add(seed + ": written and read, it is another job");
        }
        if (!sameReadings(job)) {
          failed.add(seed + ": readings do not come back from their table");
        }
        Job theirs = AnyEdits.on(base, -2 * seed - 1, 10);
        JobMerge merged = JobMerge.of(Optional.of(base), job, theirs);
        if (!readBack(merged.job()).equals(merged.job())) {
          failed.add(seed + ": merged, written and read, it is another job");
        }
      } catch (FileProblem | RuntimeException e) {
        String said = e.toString();
        failed.add(seed + ": " + said.substring(0, Math.min(200, said.length())));
      }
    }
    return failed.subList(0, Math.min(20, failed.size()));
  }

  private static Job readBack(Job job) throws FileProblem {
    return JobFile.parse(JobFile.text(JobDocument.fresh(job)), "x").job();
  }

  private static boolean sameReadings(Job job) throws FileProblem {
    Job bare = job.withHead(job.head().withReadings(Map.of())).withLog(WorkLog.EMPTY);
    Job back = ReadingsTable.read(bare, ReadingsTable.csv(job), HAND).job();
    for (SeatPlace seat : job.engine().seats()) {
      for (Measure measure : Measure.values()) {
        OptionalDouble before = job.head().readingsOf(seat.label()).value(measure);
        OptionalDouble after = back.head().readingsOf(seat.label()).value(measure);
        if (before.isPresent() != after.isPresent()
            || before.isPresent()
                && Math.abs(before.getAsDouble() - after.getAsDouble())
                    > 1e-9 * (1 + Math.abs(before.getAsDouble()))) {
          return false;
        }
      }
    }
    return true;
  }

  /** A ring need not go with the one its settings begin at: each figure at and near its bounds. */
  @Test
  void everyRingIsReadBack() throws FileProblem {
    Job job = JobFile.demo();
    SeatPlace seat = job.engine().seats().getFirst();
    double most = Quantity.RING_OUTSIDE.max();
    double least = Quantity.RING_OUTSIDE.min();
    for (double outside : List.of(least, 20.0, 36.4, 36.49, 36.5, 36.51, 44.0, most)) {
      for (double wall : List.of(0.5, 0.51, 3.0, outside - Quantity.RING_BORE.min())) {
        double bore = outside - wall;
        if (bore < Quantity.RING_BORE.min() || bore > Quantity.RING_BORE.max()) {
          continue;
        }
        FitRing ring = new FitRing(new Ring(outside, bore, 14, 8, 0.1, "hard"));
        Plan plan = job.planOf(seat).withOperation(0, ring);
        assertThat(readBack(job.withPlan(seat, plan)).planOf(seat).operations().getFirst())
            .isEqualTo(ring);
      }
    }
  }
}
