package finebore.desk.session;

import finebore.bench.BenchBook;
import finebore.bench.SetUp;
import finebore.calibration.TestedSeat;
import finebore.flow.Calibration;
import finebore.job.Job;
import finebore.study.SeatStudy;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** Studies of tested seats, kept while nothing they hang on has changed: a reading is no metal. */
final class StudiedTests {

  private static final int KEPT = 8;

  private final Deque<Kept> kept = new ArrayDeque<>();

  /** A study and all that it hangs on; the job without its flow tests. */
  private record Kept(
      Job bare,
      SetUp setUp,
      List<Double> liftsMm,
      Calibration calibration,
      Optional<SeatStudy> study) {
    boolean isOf(Job job, SetUp asked, List<Double> lifts, Calibration port) {
      return setUp.equals(asked)
          && liftsMm.equals(lifts)
          && calibration.equals(port)
          && bare.equals(job);
    }
  }

  Optional<SeatStudy> of(Job job, SetUp setUp, List<Double> liftsMm, Calibration calibration) {
    Job bare = job.withBench(BenchBook.EMPTY);
    for (Kept one : kept) {
      if (one.isOf(bare, setUp, liftsMm, calibration)) {
        return one.study();
      }
    }
    Optional<SeatStudy> study = TestedSeat.study(job, setUp, liftsMm, calibration);
    kept.addFirst(new Kept(bare, setUp, liftsMm, calibration, study));
    if (kept.size() > KEPT) {
      kept.removeLast();
    }
    return study;
  }
}
