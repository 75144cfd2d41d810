package finebore.desk;

import finebore.code.RuleViolation;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.session.ShopRack;
import finebore.desk.session.ShopShelf;
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

  /**
   * What the window begins with.
   *
   * @param problem what is the matter with the last job, where something is
   */
  record Start(
      JobSession session, Optional<Path> file, boolean welcome, Optional<FileProblem> problem) {}

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
    Start start = document.isPresent() ? given(document.get(), file) : lastJob(folder);
    JobSession session = start.session();
    session.speak(language.orElseGet(folder::language));
    session.usePractices(
        PracticeFiles.with(
            folder.practices(), e -> LOG.log(Level.WARNING, session.words().say(e), e)));
    start.file().ifPresent(folder::keepRecent);
    Thread.ofVirtual().start(() -> Leavings.cleanUp(folder.folders()));
    Toolkit.await();
    Platform.runLater(() -> show(folder, session, start.welcome(), start.problem()));
  }

  private static void show(
      DeskFolder folder, JobSession session, boolean welcome, Optional<FileProblem> problem) {
    Theme.loadFonts();
    Stage stage = new Stage();
    Recovery recovery = new Recovery(folder);
    ShopRack rack = ShopRack.in(folder);
    session.useRack(rack.cutters());
    ShopShelf shelf = ShopShelf.in(folder);
    session.useShelf(shelf.valves());
    MainWindow window =
        new MainWindow(
            stage,
            folder,
            session,
            recovery,
            FilePicker.ofSystem(stage, session::words),
            folder.theme());
    rack.problem().map(session.words()::say).ifPresent(window::tell);
    shelf.problem().map(session.words()::say).ifPresent(window::tell);
    if (welcome) {
      window.welcome();
    }
    problem.map(session.words()::say).ifPresent(window::tell);
    stage.show();
    if ("1".equals(System.getenv("FINEBORE_TIMING"))) {
      StartTiming.report("window");
    }
    window.offer(recovery.lost());
  }

  private static Start given(JobDocument document, Optional<Path> file) throws FileProblem {
    try {
      return new Start(new JobSession(document, file), file, false, Optional.empty());
    } catch (RuleViolation e) {
      throw FileProblem.within(file.orElse(Path.of("")), e);
    }
  }

  /** The last job that can be shown; the welcome where none can. What is wrong is said. */
  static Start lastJob(DeskFolder folder) {
    Optional<FileProblem> problem = Optional.empty();
    for (Path file : folder.recent()) {
      try {
        Start start = given(JobFile.read(file), Optional.of(file));
        return new Start(start.session(), start.file(), false, problem);
      } catch (FileProblem e) {
        problem = problem.or(() -> Optional.of(e));
      }
    }
    JobSession demo = new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
    return new Start(demo, Optional.empty(), true, problem);
  }
}
