package finebore.desk;

import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.session.ShopRack;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.words.Language;
import java.nio.file.Path;
import java.util.Optional;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Platform;
import javafx.stage.Stage;

/** Opens the desk's window. */
final class DeskStart {

  private record Start(Optional<JobDocument> document, Optional<Path> file) {}

  private static final Logger LOG = Logger.getLogger(DeskStart.class.getName());

  private DeskStart() {}

  /**
   * Opens the window on a job; without one on the last job, or on an offer of the demo.
   *
   * @throws FileProblem if no window can open
   */
  static void open(Optional<JobDocument> document, Optional<Path> file, Optional<Language> language)
      throws FileProblem {
    DeskFolder folder = DeskFolder.ofUser();
    Start start = document.isPresent() ? new Start(document, file) : lastJob(folder);
    JobSession session =
        new JobSession(
            start.document().orElseGet(() -> JobDocument.fresh(JobFile.demo())), start.file());
    session.speak(language.orElseGet(folder::language));
    session.usePractices(
        PracticeFiles.with(
            folder.practices(), e -> LOG.log(Level.WARNING, session.words().say(e), e)));
    start.file().ifPresent(folder::keepRecent);
    Toolkit.await();
    Platform.runLater(() -> show(folder, session, start.document().isEmpty()));
  }

  private static void show(DeskFolder folder, JobSession session, boolean welcome) {
    Theme.loadFonts();
    Stage stage = new Stage();
    Recovery recovery = new Recovery(folder);
    ShopRack rack = ShopRack.in(folder);
    session.useRack(rack.cutters());
    MainWindow window =
        new MainWindow(
            stage,
            folder,
            session,
            recovery,
            FilePicker.ofSystem(stage, session::words),
            folder.theme());
    rack.problem().map(session.words()::say).ifPresent(window::tell);
    if (welcome) {
      window.welcome();
    }
    stage.show();
    if ("1".equals(System.getenv("FINEBORE_TIMING"))) {
      StartTiming.report("window");
    }
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
}
