package finebore.formats;

import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.study.NextTest;
import finebore.study.PredictionConfidence;
import java.util.Optional;

/** Puts imported readings into a job as tests of their own. */
public final class TestTaking {

  private TestTaking() {}

  /**
   * Adds the tests. Each is set up like the last one of its kind, for a table does not tell.
   *
   * @param place the seat where the table names none that the head has
   */
  public static Job into(Job job, TestImport.Result result, SeatPlace place, TestedState state) {
    Job grown = job;
    for (TestImport.Imported imported : result.tests()) {
      SeatPlace seat =
          imported
              .seat()
              .flatMap(
                  label ->
                      job.engine().seats().stream()
                          .filter(s -> s.label().equals(label))
                          .findFirst())
              .orElse(place);
      FlowTest test =
          NextTest.of(grown, seat, state, PredictionConfidence.of(grown, seat.port()))
              .withName(imported.name())
              .withLifts(imported.lifts());
      // What is imported was measured before; a prediction made now would be none.
      grown = grown.withBench(grown.bench().with(test.withPredicted(java.util.List.of())));
    }
    return grown;
  }

  /** The first test that an import has added, if it added any. */
  public static Optional<FlowTest> firstNew(Job before, Job after) {
    return after.bench().tests().stream()
        .filter(t -> before.bench().test(t.id()).isEmpty())
        .findFirst();
  }
}
