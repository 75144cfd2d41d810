package finebore.desk;

import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.stage.Stage;

/** The desktop application. */
public final class FineBoreApp extends Application {

  private record Start(Optional<JobDocument> document, Optional<Path> file) {}

  private static Start start = new Start(Optional.empty(), Optional.empty());

  /** Opens the window on a job; without one on the last job, or on an offer of the demo. */
  static void open(Optional<JobDocument> document, Optional<Path> file) {
    start = new Start(document, file);
    launch(FineBoreApp.class);
  }

  @Override
  public void start(Stage stage) {
    Theme.loadFonts();
    DeskFolder folder = DeskFolder.ofUser();
    Recovery recovery = new Recovery(folder);
    Start wanted = start.document().isPresent() ? start : lastJob(folder);
    JobDocument document = wanted.document().orElseGet(() -> JobDocument.fresh(JobFile.demo()));
    JobSession session = new JobSession(document, wanted.file());
    MainWindow window =
        new MainWindow(
            stage, folder, session, recovery, FilePicker.ofSystem(stage), folder.theme());
    wanted.file().ifPresent(folder::keepRecent);
    if (wanted.document().isEmpty()) {
      window.welcome();
    }
    stage.show();
    reportStart();
    recovery.lost().ifPresent(window::offer);
  }

  private static Start lastJob(DeskFolder folder) {
    for (Path file : folder.recent()) {
      try {
        return new Start(Optional.of(JobFile.read(file)), Optional.of(file));
      } catch (FileProblem e) {
        // The last job cannot be read any more; the one before it, or the welcome, stands in.
        continue;
      }
    }
    return new Start(Optional.empty(), Optional.empty());
  }

  /**
   * With FINEBORE_TIMING=1: says how long it took from the start of the process to the second
   * frame, and ends.
   */
  private static void reportStart() {
    if (!"1".equals(System.getenv("FINEBORE_TIMING"))) {
      return;
    }
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        frames++;
        if (frames == 2) {
          Instant began = ProcessHandle.current().info().startInstant().orElse(Instant.now());
          System.out.println(
              "window up after " + Duration.between(began, Instant.now()).toMillis() + " ms");
          javafx.application.Platform.exit();
        }
      }
    }.start();
  }
}
