package finebore.formats;

import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.bench.UnitMixUp;
import finebore.calibration.NextTest;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Imported readings in a job as tests of their own.
 *
 * @param job with them
 * @param tests the new ones
 * @param refused tests that could not be taken, and why
 * @param questions tests whose flows look as if they were in the wrong unit
 */
public record TestTaking(
    Job job, List<FlowTest> tests, List<Message> refused, List<Question> questions) {

  /** A test that is to be asked about. */
  public record Question(FlowTest test, UnitMixUp mixUp) {

    /** What was read, what was expected, and what is asked. */
    public Message message() {
      return Message.of("import.mixUp")
          .with("test", Term.quote(test.name()))
          .with("ratio", new Term.Figure(finebore.units.Dimension.RATIO, mixUp.ratio()))
          .with("read", Term.quote(mixUp.read().symbol()))
          .with("meant", Term.quote(mixUp.meant().symbol()));
    }
  }

  public TestTaking {
    tests = List.copyOf(tests);
    refused = List.copyOf(refused);
    questions = List.copyOf(questions);
  }

  /**
   * Adds the tests. Each is set up like the last one of its kind, for a table does not tell.
   *
   * @param place the seat where the table names none; one that the head does not have is refused
   */
  public static TestTaking into(
      Job job, TestImport.Result result, SeatPlace place, TestedState state) {
    Job grown = job;
    List<Message> refused = new ArrayList<>();
    List<Integer> ids = new ArrayList<>();
    for (TestImport.Imported imported : result.tests()) {
      Optional<SeatPlace> seat =
          imported.seat().isEmpty() ? Optional.of(place) : seat(job, imported.seat().get());
      if (seat.isEmpty()) {
        refused.add(
            Message.of("import.noSuchSeat")
                .with("test", Term.quote(imported.name()))
                .with("seat", Term.quote(imported.seat().orElse("")))
                .with(
                    "seats",
                    Term.quote(
                        String.join(
                            ", ", job.engine().seats().stream().map(SeatPlace::label).toList()))));
        continue;
      }
      try {
        FlowTest test =
            NextTest.of(
                    grown, seat.get(), state, imported.name(), PredictionConfidence.UNCALIBRATED)
                .withLifts(imported.lifts());
        // What is imported was measured before; a prediction made now would be none.
        grown = grown.withBench(grown.bench().with(test.withPredicted(List.of())));
        ids.add(test.id());
      } catch (RuleViolation e) {
        refused.add(
            Message.of("import.cannotBe")
                .with("test", Term.quote(imported.name()))
                .with("problem", Term.phrase(e.violated())));
      }
    }
    Job whole = grown;
    TestBook book = TestBook.of(whole);
    List<FlowTest> tests = ids.stream().map(id -> whole.bench().test(id).orElseThrow()).toList();
    List<Question> questions =
        tests.stream()
            .flatMap(t -> book.unitMixUp(t).map(m -> new Question(t, m)).stream())
            .toList();
    return new TestTaking(whole, tests, refused, questions);
  }

  private static Optional<SeatPlace> seat(Job job, String label) {
    return job.engine().seats().stream().filter(s -> s.label().equals(label)).findFirst();
  }
}
