package finebore.desk.shell;

import finebore.bench.FlowTest;
import finebore.code.RuleViolation;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.Banner.Kind;
import finebore.formats.ChangedUnderneath;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.JobPictures;
import finebore.formats.NamedTwice;
import finebore.formats.NamedTwice.Choice;
import finebore.formats.NewJob;
import finebore.formats.SafeFile;
import finebore.job.JobMerge;
import finebore.reports.CutSheets;
import finebore.room.FacePhotograph;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.control.Button;

/**
 * What the window does with files: new, open, save, cut sheet. Whatever fails is said and changes
 * nothing.
 */
final class JobFiles {

  private final JobSession session;
  private final DeskFolder folder;
  private final Recovery recovery;
  private final FilePicker picker;
  private final Banner banner;
  private final Runnable takeTyping;
  private final Runnable leaving;
  private final Runnable opened;
  private final Runnable begun;
  private final BooleanSupplier inUse;

  /**
   * The actions on a session.
   *
   * @param takeTyping makes what is being typed count
   * @param leaving called before another job is taken up
   * @param opened called when another job is open
   * @param begun called when it is a new one
   * @param inUse whether the session's job is what the user sees, and not the welcome
   */
  JobFiles(
      JobSession session,
      DeskFolder folder,
      Recovery recovery,
      FilePicker picker,
      Banner banner,
      Runnable takeTyping,
      Runnable leaving,
      Runnable opened,
      Runnable begun,
      BooleanSupplier inUse) {
    this.session = session;
    this.folder = folder;
    this.recovery = recovery;
    this.picker = picker;
    this.banner = banner;
    this.takeTyping = takeTyping;
    this.leaving = leaving;
    this.opened = opened;
    this.begun = begun;
    this.inUse = inUse;
  }

  /** Whether the open job may be left: it is saved, or the user says so. */
  boolean mayLeave() {
    takeTyping.run();
    if (!session.changed().get() || !inUse.getAsBoolean()) {
      return true;
    }
    return switch (picker.unsaved(session.job().name())) {
      case SAVE -> save();
      case DROP -> true;
      case STAY -> false;
    };
  }

  private void take(JobDocument document, Optional<Path> file) {
    banner.clear();
    leaving.run();
    session.load(document, file);
    file.ifPresent(folder::keepRecent);
    opened.run();
  }

  void newJob() {
    if (mayLeave()) {
      take(
          JobDocument.fresh(NewJob.of(session.job().units(), session.say("job.newName"))),
          Optional.empty());
      begun.run();
    }
  }

  void openDemo(String name) {
    if (mayLeave()) {
      take(JobDocument.fresh(JobFile.demo(name)), Optional.empty());
    }
  }

  void open() {
    picker.open().ifPresent(this::openFile);
  }

  /** Opens a job file; one that cannot be taken is said so and the open job stays. */
  void openFile(Path file) {
    open(file, () -> JobFile.read(file));
  }

  private void open(Path file, Choice choice) {
    open(file, () -> JobFile.read(file, choice));
  }

  /** Reads a job. */
  private interface Read {
    JobDocument read() throws FileProblem;
  }

  private void open(Path file, Read read) {
    said(
        file,
        () -> {
          try {
            JobDocument document = read.read();
            if (mayLeave()) {
              take(document, Optional.of(file));
            }
          } catch (NamedTwice e) {
            banner.say(
                session.words().say(e),
                Kind.OFFER,
                choice("take-first", "twice.first", () -> open(file, Choice.FIRST)),
                choice("take-last", "twice.last", () -> open(file, Choice.LAST)),
                choice("take-none", "twice.none", banner::clear));
          }
        });
  }

  /** Something that is done with a file. */
  private interface Work {
    void done() throws FileProblem;
  }

  /** Does something with a file and says what goes wrong; false where something does. */
  private boolean said(Path file, Work work) {
    try {
      work.done();
      return true;
    } catch (ChangedUnderneath e) {
      askOf(file);
    } catch (FileProblem e) {
      banner.say(session.words().say(e), Kind.PROBLEM);
    } catch (RuleViolation e) {
      banner.say(session.words().say(FileProblem.within(file, e)), Kind.PROBLEM);
    }
    return false;
  }

  boolean save() {
    return session.file().get().map(this::saveTo).orElseGet(this::saveAs);
  }

  boolean saveAs() {
    return picker.save(fileName()).map(JobFiles::withExtension).map(this::saveTo).orElse(false);
  }

  /** Some choosers add the last part of the ending by themselves, some nothing. */
  private static Path withExtension(Path file) {
    String name = file.getFileName().toString();
    return name.endsWith(JobFile.EXTENSION)
        ? file
        : file.resolveSibling(name.replaceFirst("\\.json$", "") + JobFile.EXTENSION);
  }

  private boolean saveTo(Path file) {
    return said(
        file,
        () -> {
          takePicturesAlong(file);
          session.save(file);
          folder.keepRecent(file);
          recovery.keep(session);
          banner.clear();
        });
  }

  /** Somebody else has saved the job meanwhile: nothing is written until the user says how. */
  private void askOf(Path file) {
    banner.say(
        session.say("conflict.changed"),
        Kind.OFFER,
        choice("conflict-merge", "conflict.merge", () -> said(file, () -> merge(file))),
        choice("conflict-reload", "conflict.reload", () -> said(file, () -> reload(file))),
        choice("conflict-save-as", "conflict.saveAs", this::saveAs));
  }

  private Button choice(String id, String words, Runnable action) {
    return banner.choice(id, session.say(words), action);
  }

  private void reload(Path file) throws FileProblem {
    JobDocument theirs = JobFile.read(file);
    session.takeTheirs(theirs, theirs.job());
    banner.say(session.say("conflict.reloaded"), Kind.DONE);
  }

  private void merge(Path file) throws FileProblem {
    JobDocument theirs = JobFile.read(file);
    JobMerge merged = JobMerge.of(session.base(), session.job(), theirs.job());
    String said = session.say("conflict.merged");
    if (!merged.both().isEmpty()) {
      Path kept = besides(file);
      JobFile.write(theirs, kept);
      said =
          session.say(
              "conflict.mergedBoth",
              "what",
              String.join(", ", merged.both().stream().map(session.words()::say).toList()),
              "file",
              kept.getFileName().toString());
    }
    session.takeTheirs(theirs, merged.job());
    banner.say(said, Kind.DONE);
  }

  /** A name beside a job's that nothing has yet. */
  private static Path besides(Path file) {
    String stem = file.getFileName().toString().replaceFirst("\\.finebore\\.json$|\\.json$", "");
    Path free = file.resolveSibling(stem + "-theirs" + JobFile.EXTENSION);
    for (int k = 2; Files.exists(free); k++) {
      free = file.resolveSibling(stem + "-theirs-" + k + JobFile.EXTENSION);
    }
    return free;
  }

  /** A job saved elsewhere takes its pictures along. */
  private void takePicturesAlong(Path to) throws FileProblem {
    if (session.file().get().isPresent()) {
      JobPictures.takeAlong(
          session.file().get().get(),
          to,
          Stream.concat(
                  session.job().bench().tests().stream()
                      .flatMap(t -> t.pictures().stream())
                      .map(FlowTest.Picture::file),
                  session.job().head().photographs().stream().map(FacePhotograph::file))
              .toList());
    }
  }

  String fileName() {
    return session.job().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9.]+", "-");
  }

  /**
   * Writes the air that is shown.
   *
   * @param written what a file of a name would hold
   */
  void air(Function<String, Optional<byte[]>> written) {
    picker
        .saveAir(fileName())
        .ifPresent(
            file ->
                written
                    .apply(file.getFileName().toString())
                    .ifPresent(bytes -> write(file, bytes)));
  }

  /** Asks where something goes out to, and writes it. */
  void export(String ending, Supplier<byte[]> content) {
    picker.saveExport(fileName(), ending).ifPresent(file -> write(file, content.get()));
  }

  private void write(Path file, byte[] bytes) {
    try {
      SafeFile.write(file, bytes, false);
      banner.say(session.say("cli.wrote", "file", file.toString()), Kind.DONE);
    } catch (FileProblem e) {
      banner.say(session.words().say(e), Kind.PROBLEM);
    }
  }

  void cutSheet() {
    picker
        .saveCutSheet(fileName())
        .ifPresent(
            file -> {
              CutSheets sheets = new CutSheets(session.job(), session.words(), session.practice());
              boolean csv = file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".csv");
              String text = csv ? sheets.csv() : sheets.text();
              write(file, text.getBytes(StandardCharsets.UTF_8));
            });
  }
}
