package finebore.desk.measure;

import finebore.bench.BenchBook;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Edits in a window on a head of 32 valves with many flow tests, and how long it takes to open such
 * a job: {@code 500 5000} are the numbers of tests.
 */
public final class BigJob extends Application {

  private static final int EDITS = 200;
  private static final int WARM = 40;

  private Recovery recovery;

  @Override
  public void start(Stage stage) throws IOException, FileProblem {
    Theme.loadFonts();
    DeskFolder folder = new DeskFolder(Files.createTempDirectory("finebore-measure"));
    recovery = new Recovery(folder);
    JobSession session = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    MainWindow window =
        new MainWindow(
            stage,
            folder,
            session,
            recovery,
            FilePicker.ofSystem(stage, session::words),
            Theme.PAPER);
    stage.show();
    for (String tests : getParameters().getRaw().subList(1, getParameters().getRaw().size())) {
      Job job = big(Integer.parseInt(tests));
      Path file = Files.createTempFile("finebore-big", JobFile.EXTENSION);
      JobFile.write(JobDocument.fresh(job), file);
      long began = System.nanoTime();
      JobDocument read = JobFile.read(file);
      double parsed = (System.nanoTime() - began) / 1e6;
      session.load(read, Optional.empty());
      window.scene().getRoot().layout();
      System.out.printf(
          Locale.ROOT,
          "%s tests, 32 valves, %.1f MB: open %.0f ms, of which reading %.0f ms%n",
          tests,
          Files.size(file) / 1e6,
          (System.nanoTime() - began) / 1e6,
          parsed);
      Files.delete(file);
      for (String station : List.of("plan", "prove", "ladder")) {
        window.show(station);
        window.scene().getRoot().layout();
        edits(tests + " tests, " + station + ", a cut's width", session, window, true);
        edits(tests + " tests, " + station + ", a reading", session, window, false);
      }
      System.gc();
      Runtime runtime = Runtime.getRuntime();
      System.out.printf(
          Locale.ROOT,
          "%s tests: %.0f MB in use%n",
          tests,
          (runtime.totalMemory() - runtime.freeMemory()) / 1e6);
    }
    Platform.exit();
  }

  private void edits(String what, JobSession session, MainWindow window, boolean plan) {
    double[] ms = new double[EDITS];
    for (int k = -WARM; k < EDITS; k++) {
      double by = 0.5 * Math.cos(k / 20.0);
      long began = System.nanoTime();
      if (plan) {
        session.editPairing("measure", p -> p.withSeat(p.seat().withThroatDiameter(35 + by)));
      } else {
        session.edit("measure", j -> read(j, 2 + by));
      }
      window.scene().getRoot().layout();
      if (k >= 0) {
        ms[k] = (System.nanoTime() - began) / 1e6;
      }
      // A hand pauses longer than the recovery copy takes.
      recovery.settle();
    }
    Arrays.sort(ms);
    System.out.printf(
        Locale.ROOT,
        "%s: median %.1f ms, 99 %% %.1f ms%n",
        what,
        ms[EDITS / 2],
        ms[EDITS * 99 / 100]);
  }

  /** With another remark at a lift of the last test. */
  private static Job read(Job job, double value) {
    FlowTest last = job.bench().tests().getLast();
    LiftReadings lift = last.lifts().getFirst().withRemarks(String.valueOf(value));
    return job.withBench(job.bench().with(last.with(lift)));
  }

  /** The demo with sixteen cylinders, every seat measured a little differently. */
  private static Job big(int tests) {
    Job demo = JobFile.demo();
    Job job = demo.withEngine(demo.engine().withCylinders(16));
    int k = 0;
    for (SeatPlace place : job.engine().seats()) {
      double throat = place.port() == Port.INTAKE ? 33.2 : 27.6;
      job =
          job.withHead(
              job.head()
                  .withReadings(place.label(), demo.head().readingsOf(place.port().letter() + "1"))
                  .withReading(
                      place.label(), Measure.THROAT_12, OptionalDouble.of(throat + 0.01 * ++k)));
    }
    List<FlowTest> all = new ArrayList<>();
    List<FlowTest> ran = demo.bench().tests().stream().filter(t -> !t.lifts().isEmpty()).toList();
    for (int id = 1; id <= tests; id++) {
      FlowTest like = ran.get(id % ran.size());
      all.add(
          like.withId(id)
              .withName("test " + id)
              .withAfter(id == 1 ? Optional.empty() : Optional.of(id - 1)));
    }
    return job.withBench(new BenchBook(demo.bench().ranges(), all));
  }
}
