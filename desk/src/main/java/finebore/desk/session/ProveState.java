package finebore.desk.session;

import finebore.bench.BenchBook;
import finebore.bench.Comparison;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.SuspectReading;
import finebore.bench.UnitMixUp;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.calibration.TestedSeat;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Which flow test is looked at and against which, and all that follows from the two. */
public final class ProveState {

  private final StudiedTests studies = new StudiedTests();
  private final JobSession session;
  private final ReadOnlyObjectWrapper<Shown> shown = new ReadOnlyObjectWrapper<>();
  private OptionalInt test = OptionalInt.empty();
  private OptionalInt reference = OptionalInt.empty();
  private double liftMm;
  private boolean visible;
  private TestBook book;

  /** More rows than this are no sheet any more. */
  private static final int MOST_ROWS = 60;

  public ProveState(JobSession session) {
    this.session = session;
    session.work().addListener((o, was, is) -> refresh());
    session
        .seat()
        .addListener(
            (o, was, is) -> {
              if (was.port() != is.port()) {
                test = OptionalInt.empty();
                reference = OptionalInt.empty();
              }
            });
  }

  /**
   * What the Prove station shows.
   *
   * @param words sentences in the job's units
   * @param tests of the kind of seat looked at, in the order they were made
   * @param test the one looked at
   * @param reference the one it is held against
   * @param liftMm the lift looked at
   * @param liftsMm the rows: the job's lifts and those of the two tests
   * @param study the model of the tested seat, at these lifts
   * @param referenceStudy the same of the reference
   * @param predicted frozen with the test, or made now where nothing was
   * @param suspects readings to be looked at again
   * @param mixUp whether its flows look as if they were in the wrong unit
   */
  public record Shown(
      Job job,
      Words words,
      Port port,
      TestBook book,
      PredictionConfidence confidence,
      List<FlowTest> tests,
      Optional<FlowTest> test,
      Optional<FlowTest> reference,
      Optional<Comparison> comparison,
      double liftMm,
      List<Double> liftsMm,
      Optional<SeatStudy> study,
      Optional<SeatStudy> referenceStudy,
      List<FlowTest.Predicted> predicted,
      List<SuspectReading> suspects,
      Optional<UnitMixUp> mixUp) {

    public UnitSystem units() {
      return words.units();
    }

    /** What is noted at the lift looked at, or nothing yet. */
    public LiftReadings atLift() {
      return test.map(t -> t.noted(liftMm)).orElseGet(() -> LiftReadings.of(liftMm, List.of()));
    }

    /** The same at another lift. */
    Shown at(double otherMm) {
      return otherMm == liftMm
          ? this
          : new Shown(
              job,
              words,
              port,
              book,
              confidence,
              tests,
              test,
              reference,
              comparison,
              otherMm,
              liftsMm,
              study,
              referenceStudy,
              predicted,
              suspects,
              mixUp);
    }

    /** Head of the valve tested, or of the one that was found. */
    public double headDiameterMm() {
      return test.map(t -> t.setUp().valve().headDiameterMm())
          .orElseGet(() -> job.group(port).found().valve().headDiameterMm());
    }
  }

  public ReadOnlyObjectProperty<Shown> shown() {
    return shown.getReadOnlyProperty();
  }

  /** Begins to follow the job: nothing is worked out for a station nobody looks at. */
  public void setVisible(boolean is) {
    visible = is;
    refresh();
  }

  public void select(int id) {
    test = OptionalInt.of(id);
    refresh();
  }

  public void against(int id) {
    reference = OptionalInt.of(id);
    refresh();
  }

  public void lookAt(double lift) {
    if (lift != liftMm) {
      liftMm = lift;
      refresh();
    }
  }

  /** Changes the flow tests of the job. */
  public void edit(UnaryOperator<BenchBook> change) {
    session.edit("", job -> job.withBench(change.apply(job.bench())));
  }

  /** Changes the test looked at. */
  public void editTest(UnaryOperator<FlowTest> change) {
    shown
        .get()
        .test()
        .ifPresent(
            t -> edit(book -> book.test(t.id()).map(o -> book.with(change.apply(o))).orElse(book)));
  }

  /** Changes what is noted at the lift looked at. */
  public void editLift(UnaryOperator<LiftReadings> change) {
    double lift = liftMm;
    editTest(t -> t.with(change.apply(t.noted(lift))));
  }

  private void refresh() {
    if (visible) {
      shown.set(now());
    }
  }

  private Shown now() {
    Job job = session.job();
    Port port = session.seat().get().port();
    // A look at another lift or test changes no test, so none is reduced again.
    SeatView work = session.work().get();
    boolean worked = work.job() == job || work.job().equals(job);
    if (worked) {
      book = work.book();
    } else if (book == null || !book.job().equals(job)) {
      book = TestBook.of(job, Optional.ofNullable(book));
    }
    PredictionConfidence confidence =
        worked ? work.confidence() : PredictionConfidence.of(book, port, Optional.empty());
    List<FlowTest> tests =
        job.bench().tests().stream()
            .filter(t -> t.setUp().direction() == port.direction())
            .toList();
    Optional<FlowTest> looked =
        find(tests, test)
            .or(() -> tests.isEmpty() ? Optional.empty() : Optional.of(tests.getLast()));
    Optional<FlowTest> against =
        find(tests, reference)
            .or(() -> looked.flatMap(FlowTest::after).flatMap(id -> job.bench().test(id)))
            .or(() -> tests.stream().findFirst())
            .filter(r -> looked.isPresent() && r.id() != looked.get().id());
    List<Double> rows = rows(job, looked, against);
    if (rows.stream().noneMatch(l -> Math.abs(l - liftMm) < FlowTest.SAME_LIFT_MM)) {
      liftMm = rows.getFirst();
    }
    Shown before = shown.get();
    boolean same =
        before != null
            && before.book() == book
            && before.test().equals(looked)
            && before.reference().equals(against)
            && before.liftsMm().equals(rows)
            && before.words().language().equals(session.words().language());
    if (same) {
      return before.at(liftMm);
    }
    return new Shown(
        job,
        session.words(),
        port,
        book,
        confidence,
        tests,
        looked,
        against,
        looked.flatMap(t -> against.map(r -> book.compare(r, t))),
        liftMm,
        rows,
        looked.flatMap(t -> studies.of(job, t.setUp(), rows, confidence.calibration())),
        against.flatMap(t -> studies.of(job, t.setUp(), rows, confidence.calibration())),
        looked
            .map(
                t ->
                    t.predicted().isEmpty()
                        ? TestedSeat.predict(job, t.setUp(), rows, confidence)
                        : t.predicted())
            .orElse(List.of()),
        looked.map(t -> book.suspects(t, confidence.calibration())).orElse(List.of()),
        looked.flatMap(book::unitMixUp));
  }

  private static List<Double> rows(Job job, Optional<FlowTest> looked, Optional<FlowTest> against) {
    TreeSet<Double> lifts = new TreeSet<>(job.test().liftsMm());
    looked.ifPresent(t -> add(lifts, t));
    against.ifPresent(t -> add(lifts, t));
    return new ArrayList<>(lifts).subList(0, Math.min(MOST_ROWS, lifts.size()));
  }

  private static void add(TreeSet<Double> lifts, FlowTest test) {
    for (LiftReadings lift : test.lifts()) {
      if (lifts.stream().noneMatch(l -> Math.abs(l - lift.liftMm()) < FlowTest.SAME_LIFT_MM)) {
        lifts.add(lift.liftMm());
      }
    }
  }

  private static Optional<FlowTest> find(List<FlowTest> tests, OptionalInt id) {
    return tests.stream().filter(t -> id.isPresent() && t.id() == id.getAsInt()).findFirst();
  }
}
