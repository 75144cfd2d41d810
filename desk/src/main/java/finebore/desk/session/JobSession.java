package finebore.desk.session;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.Cutter;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.formats.ShelfFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.practice.Cure;
import finebore.practice.Practice;
import finebore.reports.GroupFindings;
import finebore.sizes.ShelfValve;
import finebore.valve.Pairing;
import finebore.words.Language;
import finebore.words.UnitSystem;
import finebore.words.Words;
import finebore.work.WorkLog;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * The job that is open: its edits, its file, which seat and state is looked at, and a cure being
 * tried.
 *
 * <p>Every edit makes a new job and works everything out anew; whoever shows something listens to
 * {@link #work}.
 */
public final class JobSession {

  private static final Logger LOG = Logger.getLogger(JobSession.class.getName());

  private ReadOnlyObjectWrapper<SeatView> work = new ReadOnlyObjectWrapper<>();
  private ReadOnlyObjectWrapper<SeatPlace> seat = new ReadOnlyObjectWrapper<>();
  private ReadOnlyObjectWrapper<Optional<Cure>> tried =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private ReadOnlyObjectWrapper<Optional<Path>> file =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private ReadOnlyBooleanWrapper changed = new ReadOnlyBooleanWrapper();
  private ReadOnlyBooleanWrapper canUndo = new ReadOnlyBooleanWrapper();
  private ReadOnlyBooleanWrapper canRedo = new ReadOnlyBooleanWrapper();
  private JobDocument document;
  private Supplier<List<String>> solvedAir = List::of;
  private UndoHistory edits;
  private Job saved;
  private Optional<Job> base = Optional.empty();
  private boolean showFound;
  private OptionalInt steps = OptionalInt.empty();
  private List<Cutter> rack = RackFile.shipped();
  private List<ShelfValve> shelf = ShelfFile.shipped();
  private Messages messages = new Messages();
  private Language language = Language.ENGLISH;
  private List<Practice> practices = PracticeFiles.all();
  private int generation;

  public JobSession(JobDocument document, Optional<Path> file) {
    load(document, file);
  }

  /**
   * Takes up another job; undo begins anew.
   *
   * @throws finebore.code.RuleViolation if it cannot be worked out; the job stays as it was
   */
  public void load(JobDocument opened, Optional<Path> from) {
    // Worked out first: a job that cannot be shown leaves everything as it is.
    SeatPlace first = opened.job().engine().seats().getFirst();
    SeatView ahead = workOf(opened.job(), new SeatView.View(first, false, OptionalInt.empty()));
    generation++;
    document = opened;
    messages.clear();
    edits = new UndoHistory(opened.job());
    saved = opened.job();
    base = Optional.of(opened.job());
    showFound = false;
    steps = OptionalInt.empty();
    tried.set(Optional.empty());
    file.set(from);
    seat.set(first);
    publish(ahead);
  }

  /** Grows with every job that is taken up, so that what was begun for another can tell. */
  public int generation() {
    return generation;
  }

  /** Tells jobs of the same name apart: by their file, where they have one. */
  public String jobMark() {
    return file.get()
        .map(f -> Integer.toHexString(f.toAbsolutePath().normalize().hashCode()))
        .orElse("unsaved");
  }

  /** Marks the job as not saved, for one that came back after a crash. */
  public void markUnsaved() {
    saved = null;
    base = Optional.empty();
    refresh();
  }

  public ReadOnlyObjectProperty<SeatView> work() {
    return work.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<SeatPlace> seat() {
    return seat.getReadOnlyProperty();
  }

  /** The cure that is being tried, if any. */
  public ReadOnlyObjectProperty<Optional<Cure>> tried() {
    return tried.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Path>> file() {
    return file.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty changed() {
    return changed.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty canUndo() {
    return canUndo.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty canRedo() {
    return canRedo.getReadOnlyProperty();
  }

  public Job job() {
    return edits.job();
  }

  public UnitSystem units() {
    return UnitSystem.of(job().units());
  }

  /** Sentences in the user's language and the job's units. */
  public Words words() {
    return Words.of(language, job().units());
  }

  /** A sentence with names and values in turn. */
  public String say(String key, Object... named) {
    return words().text(key, named);
  }

  public Language language() {
    return language;
  }

  /**
   * Speaks another language from now on. Whoever showed something is no longer told of anything: it
   * is to be built anew.
   */
  public void speak(Language changed) {
    language = changed;
    work = new ReadOnlyObjectWrapper<>(work.get());
    seat = new ReadOnlyObjectWrapper<>(seat.get());
    tried = new ReadOnlyObjectWrapper<>(tried.get());
    file = new ReadOnlyObjectWrapper<>(file.get());
    this.changed = new ReadOnlyBooleanWrapper(this.changed.get());
    canUndo = new ReadOnlyBooleanWrapper(canUndo.get());
    canRedo = new ReadOnlyBooleanWrapper(canRedo.get());
    messages = new Messages();
    refresh();
  }

  /** What is said to the hand that types. */
  public Messages messages() {
    return messages;
  }

  /** The practices to choose from, those of the shop among them. */
  public List<Practice> practices() {
    return practices;
  }

  public void usePractices(List<Practice> changed) {
    practices = List.copyOf(changed);
    refresh();
  }

  /** The practice the job follows; where it is not here, one that wants nothing and says so. */
  public Practice practice() {
    return practice(job());
  }

  private Practice practice(Job of) {
    return PracticeFiles.named(of.practice(), practices);
  }

  /** Where the solved air comes from that a saved job brings along. */
  public void setSolvedAir(Supplier<List<String>> lines) {
    solvedAir = lines;
  }

  /** The job with what its file held besides. */
  public JobDocument document() {
    return document.withJob(job());
  }

  /**
   * Changes the job.
   *
   * @param gesture name of the drag or run of nudges the change belongs to, empty for a change of
   *     its own
   * @throws finebore.code.RuleViolation if the changed job cannot be; the job stays as it was
   */
  public void edit(String gesture, UnaryOperator<Job> change) {
    Job next = change.apply(job());
    if (next.equals(job())) {
      return;
    }
    // Worked out first: what cannot be worked out does not become the job.
    SeatView ahead = workOf(next);
    tried.set(Optional.empty());
    edits.edit(next, gesture);
    publish(ahead);
  }

  /**
   * Adds to what was done at the machine. It only ever grows: undo passes it by.
   *
   * @throws finebore.code.RuleViolation if a line cannot be; nothing is added then
   */
  public void log(UnaryOperator<WorkLog> change) {
    Job next = job().withLog(change.apply(job().log()));
    SeatView ahead = workOf(next);
    edits.note(next);
    publish(ahead);
  }

  /** Changes valve and seat of the state looked at, for all seats of the group. */
  public void editPairing(String gesture, UnaryOperator<Pairing> change) {
    edit(
        gesture,
        job -> {
          if (!showFound) {
            Plan plan = job.planOf(seat.get());
            return job.withPlan(seat.get(), plan.following(change.apply(plan.wanted())));
          }
          var group = job.group(seat.get().port());
          return job.withGroup(seat.get().port(), group.withFound(change.apply(group.found())));
        });
  }

  /** Changes the plan of the seat looked at: its own, or its group's. */
  public void editPlan(String gesture, UnaryOperator<Plan> change) {
    edit(gesture, job -> job.withPlan(seat.get(), change.apply(job.planOf(seat.get()))));
  }

  /** After how many operations the metal is looked at; empty is after all of them. */
  public OptionalInt lookedAfter() {
    return steps;
  }

  /** The cutters to choose from. */
  public List<Cutter> rack() {
    return rack;
  }

  /** Takes a shop's own cutters. */
  public void useRack(List<Cutter> cutters) {
    rack = List.copyOf(cutters);
  }

  /** The valves on the shelf. */
  public List<ShelfValve> shelf() {
    return shelf;
  }

  /** Takes a shop's own valves. */
  public void useShelf(List<ShelfValve> valves) {
    shelf = List.copyOf(valves);
  }

  /** What the plan looked at makes of every seat that follows it. */
  public GroupFindings group() {
    return work.get().followers();
  }

  /** Goes one operation back or on; past the last stands the finished metal. */
  public void scrub(int by) {
    int all = work.get().plan().cutting().steps().size();
    int next = (showFound ? 0 : steps.orElse(all + 1)) + by;
    lookAfter(next > all ? OptionalInt.empty() : OptionalInt.of(Math.max(0, next)));
  }

  /** Looks at the metal after so many operations; empty is after all of them. */
  public void lookAfter(OptionalInt operations) {
    steps = operations;
    if (showFound) {
      showFound(false);
    } else {
      refresh();
    }
  }

  public void endGesture() {
    edits.endGesture();
  }

  public void undo() {
    if (tried.get().isPresent()) {
      putBack();
      return;
    }
    edits.undo().ifPresent(job -> refresh());
  }

  public void redo() {
    tried.set(Optional.empty());
    edits.redo().ifPresent(job -> refresh());
  }

  public boolean isShowingFound() {
    return showFound;
  }

  public void showFound(boolean show) {
    tried.set(Optional.empty());
    showFound = show;
    refresh();
  }

  public void select(SeatPlace place) {
    tried.set(Optional.empty());
    steps = OptionalInt.empty();
    seat.set(place);
    refresh();
  }

  /** Goes to the next or previous seat of the head, round and round. */
  public void step(int by) {
    List<SeatPlace> seats = job().engine().seats();
    int at = seats.indexOf(seat.get());
    select(seats.get(Math.floorMod(at + by, seats.size())));
  }

  public void switchUnits() {
    edit("", job -> job.withUnits(job.units().other()));
  }

  /** Shows what a cure would do, without changing the job. */
  public void tryCure(Cure cure) {
    tried.set(Optional.of(cure));
    refresh();
  }

  /** Makes the tried cure a change of the job. */
  public void keepTried() {
    tried
        .get()
        .ifPresent(
            cure -> {
              if (showFound) {
                editPairing("", cure::applyTo);
              } else {
                editPlan("", cure::applyTo);
              }
            });
  }

  /** Drops the tried cure. */
  public void putBack() {
    tried.set(Optional.empty());
    refresh();
  }

  /**
   * Saves to a file, which the job belongs to from then on.
   *
   * @throws finebore.formats.ChangedUnderneath if it is the job's own file and somebody else has
   *     written it; nothing changes then
   * @throws FileProblem if it cannot be written; nothing changes then
   */
  public void save(Path to) throws FileProblem {
    boolean own = file.get().equals(Optional.of(to));
    JobDocument held = document().withSolvedAir(solvedAir.get());
    document = own ? JobFile.save(held, to) : JobFile.write(held, to);
    file.set(Optional.of(to));
    saved = job();
    base = Optional.of(saved);
    refresh();
  }

  /**
   * Takes up what somebody else has written to the job's file meanwhile. What stood here before can
   * be had back by undo.
   *
   * @param theirs the file as it is now
   * @param merged what the job is to be; unsaved where that is something else
   */
  public void takeTheirs(JobDocument theirs, Job merged) {
    edit("", job -> merged);
    document = theirs;
    saved = theirs.job();
    base = Optional.of(saved);
    refresh();
  }

  /** The job as its file held it when it was opened or saved last, where that is known. */
  public Optional<Job> base() {
    return base;
  }

  private void refresh() {
    publish(workOf(tried.get().map(this::withCure).orElse(job())));
  }

  private Job withCure(Cure cure) {
    if (!showFound) {
      return job().withPlan(seat.get(), cure.applyTo(job().planOf(seat.get())));
    }
    var group = job().group(seat.get().port());
    return job().withGroup(seat.get().port(), group.withFound(cure.applyTo(group.found())));
  }

  /** The seat looked at, or the first where the job has it no more. */
  private SeatPlace seatIn(Job shown) {
    List<SeatPlace> seats = shown.engine().seats();
    return seats.contains(seat.get()) ? seat.get() : seats.getFirst();
  }

  private SeatView workOf(Job shown) {
    return workOf(shown, new SeatView.View(seatIn(shown), showFound, steps));
  }

  /** Whatever goes wrong with the working out is a refusal, and nothing has changed. */
  private SeatView workOf(Job shown, SeatView.View view) {
    try {
      return SeatView.of(
          shown,
          Words.of(language, shown.units()),
          practice(shown),
          view,
          Optional.ofNullable(work.get()));
    } catch (RuleViolation e) {
      throw e;
    } catch (RuntimeException e) {
      LOG.log(Level.SEVERE, "a job cannot be worked out", e);
      throw RuleViolation.of("cannotBeWorkedOut")
          .with("seat", Term.quote(view.place().label()))
          .with("cause", Term.quote(String.valueOf(e.getMessage())));
    }
  }

  private void publish(SeatView next) {
    seat.set(seatIn(next.job()));
    changed.set(!job().equals(saved));
    canUndo.set(edits.canUndo() || tried.get().isPresent());
    canRedo.set(edits.canRedo());
    work.set(next);
  }
}
