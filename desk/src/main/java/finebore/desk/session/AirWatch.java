package finebore.desk.session;

import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.formats.AirStore;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
import finebore.planning.SolvedChange.Questions;
import finebore.study.SeatStudy;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Predicate;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * Solves the air that is looked at, on threads of its own: one for the picture, coarse and then
 * full, two for the lifts of the strip, of which one waits while there is a picture to be solved.
 * What is asked last is done first; what nobody looks at any more is dropped.
 */
public final class AirWatch {

  private static final Logger LOG = Logger.getLogger(AirWatch.class.getName());

  /** Pictures kept, and figures kept. */
  private static final int PICTURES = 24;

  private static final int FIGURES = 4000;

  /** Threads at work at a time. */
  private static final int AT_ONCE = 2;

  private static final int CURVE = 16;

  /** Lines a job brings along at most: some curves of all its seats. */
  private static final int BROUGHT = 2000;

  /**
   * What there is to see.
   *
   * @param flow the newest, if there is one
   * @param lines its lines
   * @param whyNot why there is none
   * @param working whether a better one is on its way
   */
  public record Answer(
      Optional<AirFlow> flow,
      Optional<AirLines> lines,
      Optional<AirNotSolved.Why> whyNot,
      boolean working) {

    static final Answer NONE =
        new Answer(Optional.empty(), Optional.empty(), Optional.empty(), false);

    static Answer working(Optional<AirFlow> sofar) {
      return new Answer(sofar, sofar.map(AirLines::of), Optional.empty(), true);
    }
  }

  /** A solved flow, or why it could not be. */
  private record Solved(Optional<AirFlow> flow, Optional<AirNotSolved.Why> why) {}

  /**
   * A plan to be compared with the seat as found.
   *
   * @param todo all that it asks for, the closure to go by for every lift first, the full grid last
   */
  private record Pair(SeatStudy found, SeatStudy planned, List<Double> liftsMm, List<Todo> todo) {

    static Pair of(SeatStudy found, SeatStudy planned, List<Double> liftsMm) {
      List<List<Todo>> inTurn = List.of(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
      for (double lift : liftsMm) {
        Questions asked = Questions.of(found, planned, lift);
        for (int k = 0; k < asked.found().size(); k++) {
          inTurn.get(k).add(new Todo(lift, asked.found().get(k)));
          inTurn.get(k).add(new Todo(lift, asked.planned().get(k)));
        }
      }
      return new Pair(found, planned, liftsMm, inTurn.stream().flatMap(List::stream).toList());
    }
  }

  /** What is to be solved for the strip next. */
  private record Todo(double liftMm, AirQuestion question) {}

  private final ReadOnlyObjectWrapper<Answer> answer = new ReadOnlyObjectWrapper<>(Answer.NONE);
  private final ReadOnlyObjectWrapper<SolvedChange> change =
      new ReadOnlyObjectWrapper<>(SolvedChange.NONE);
  private final ReadOnlyIntegerWrapper news = new ReadOnlyIntegerWrapper();
  private final Map<AirQuestion, Solved> pictures = kept(PICTURES);
  private final Map<AirQuestion, SolvedArea> areas = kept(FIGURES);

  /** Flows of the strip by lift, mm: what the next edit begins from. */
  private final Map<Double, AirFlow> last = kept(CURVE);

  /** Lifts of the strip that are being solved, mm. */
  private final Set<Double> inHand = new HashSet<>();

  private final Path file;
  private Optional<AirStore> store = Optional.empty();
  private Optional<AirQuestion> picture = Optional.empty();
  private Optional<Pair> strip = Optional.empty();
  private List<Pair> others = List.of();
  private List<String> brought = List.of();
  private boolean begun;
  private volatile int asked;
  private volatile int curveAsked;

  /**
   * @param file where solved areas are kept; it need not be there
   */
  public AirWatch(Path file) {
    this.file = file;
  }

  /** Threads wait for the first question. */
  private void begin() {
    if (!begun) {
      begun = true;
      AirStore kept = AirStore.in(file);
      kept.takeAll(brought);
      store = Optional.of(kept);
      Thread.ofPlatform().daemon().name("air-picture").start(() -> forever(this::nextPicture));
      for (int k = 0; k < AT_ONCE; k++) {
        Thread.ofPlatform().daemon().name("air-strip-" + k).start(() -> forever(this::nextLift));
      }
    }
  }

  private static <K, V> Map<K, V> kept(int most) {
    return new LinkedHashMap<>(16, 0.75f, true) {
      private static final long serialVersionUID = 1L;

      @Override
      protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
        return size() > most;
      }
    };
  }

  /** Takes up solved air that a job brought along. */
  public synchronized void take(List<String> lines) {
    brought = lines;
    areas.clear();
    store.ifPresent(s -> s.takeAll(lines));
  }

  /** Solved air of the job looked at, for it to bring along. */
  public synchronized List<String> lines() {
    List<String> own = store.map(s -> s.lines(areas.keySet())).orElse(List.of());
    return Stream.concat(own.stream(), brought.stream()).distinct().limit(BROUGHT).toList();
  }

  /** What is known of the picture that was asked for. */
  public ReadOnlyObjectProperty<Answer> answer() {
    return answer.getReadOnlyProperty();
  }

  /** The plan against the found seat, as far as it is solved. */
  public ReadOnlyObjectProperty<SolvedChange> change() {
    return change.getReadOnlyProperty();
  }

  /** Grows whenever something has been solved for the strip or for other plans. */
  public ReadOnlyIntegerProperty news() {
    return news.getReadOnlyProperty();
  }

  /** What is known of any plan against the seat as found. */
  public synchronized SolvedChange known(PlanStudy plan) {
    begin();
    return plan.solved(this::kept);
  }

  /** What is in the store is looked up there once. */
  private SolvedArea kept(AirQuestion question) {
    if (!areas.containsKey(question)) {
      store.orElseThrow().solved(question).ifPresent(area -> areas.put(question, area));
    }
    return areas.getOrDefault(question, SolvedArea.NONE);
  }

  /** Whether nothing that was asked for is still on its way. */
  public synchronized boolean isDone() {
    return picture.map(pictures::containsKey).orElse(true) && missing(t -> true).isEmpty();
  }

  /** Whether every lift of the strip has been tried. */
  public synchronized boolean isStripDone() {
    return missing(strip.stream(), t -> true).isEmpty();
  }

  /** Looks at nothing. */
  public synchronized void rest() {
    picture = Optional.empty();
    strip = Optional.empty();
    others = List.of();
    asked++;
    curveAsked++;
    answer.set(Answer.NONE);
    change.set(SolvedChange.NONE);
  }

  /**
   * Asks for a picture.
   *
   * @param shown the study looked at; its valve must rest on its seat
   * @param liftMm above 0
   */
  public synchronized void look(SeatStudy shown, double liftMm) {
    AirQuestion question = shown.airAt(liftMm, Turbulence.EVEN, Fineness.FULL);
    if (picture.equals(Optional.of(question))) {
      return;
    }
    begin();
    picture = Optional.of(question);
    asked++;
    Solved full = pictures.get(question);
    Solved coarse = pictures.get(question.with(Fineness.COARSE));
    if (full != null) {
      tell(full, false);
    } else {
      answer.set(Answer.working(Optional.ofNullable(coarse).flatMap(Solved::flow)));
      notifyAll();
    }
  }

  /**
   * Asks for the strip.
   *
   * @param liftMm lifts near it are done first
   */
  public synchronized void compare(
      SeatStudy found, SeatStudy planned, List<Double> liftsMm, double liftMm) {
    begin();
    List<Double> nearest =
        liftsMm.stream().sorted(Comparator.comparingDouble(l -> Math.abs(l - liftMm))).toList();
    strip = Optional.of(Pair.of(found, planned, nearest));
    curveAsked++;
    change.set(known());
    notifyAll();
  }

  /** Asks for other plans of the seat as well, once the strip is done; none is as good as rest. */
  public synchronized void compareAlso(List<PlanStudy> plans) {
    others =
        plans.stream()
            .filter(p -> p.found().seated().isPresent() && p.finished().seated().isPresent())
            .map(p -> Pair.of(p.found(), p.finished(), p.cut().job().test().liftsMm()))
            .toList();
    if (!others.isEmpty()) {
      begin();
      notifyAll();
    }
  }

  private synchronized SolvedChange known() {
    return strip
        .map(
            p ->
                SolvedChange.of(
                    p.found(),
                    p.planned(),
                    p.liftsMm(),
                    q -> areas.getOrDefault(q, SolvedArea.NONE)))
        .orElse(SolvedChange.NONE);
  }

  private interface Step {
    void take() throws InterruptedException;
  }

  private static void forever(Step step) {
    try {
      while (true) {
        try {
          step.take();
        } catch (RuntimeException e) {
          LOG.log(Level.WARNING, "the air was not solved", e);
        }
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  private void nextPicture() throws InterruptedException {
    AirQuestion question;
    int number;
    synchronized (this) {
      while (picture.isEmpty() || pictures.containsKey(picture.get())) {
        wait();
      }
      number = asked;
      AirQuestion full = picture.get();
      AirQuestion coarse = full.with(Fineness.COARSE);
      question = pictures.containsKey(coarse) ? full : coarse;
    }
    Optional<Solved> solved = solve(question, Optional.empty(), () -> asked != number);
    synchronized (this) {
      if (solved.isEmpty()) {
        return;
      }
      pictures.put(question, solved.get());
      notifyAll();
      if (asked == number) {
        Solved told = solved.get();
        boolean more = question.fineness() == Fineness.COARSE;
        Platform.runLater(
            () -> {
              synchronized (this) {
                if (asked == number) {
                  tell(told, more);
                }
              }
            });
      }
    }
  }

  private void tell(Solved solved, boolean more) {
    answer.set(
        new Answer(
            solved.flow(),
            solved.flow().map(AirLines::of),
            more ? Optional.empty() : solved.why(),
            more));
  }

  private void nextLift() throws InterruptedException {
    Todo todo;
    int number;
    synchronized (this) {
      Optional<Todo> next = free();
      while (next.isEmpty()) {
        wait();
        next = free();
      }
      todo = next.get();
      inHand.add(todo.liftMm());
      number = curveAsked;
    }
    try {
      Optional<SolvedArea> area = area(todo, number);
      synchronized (this) {
        area.ifPresent(a -> note(todo.question(), a, number));
      }
    } finally {
      synchronized (this) {
        inHand.remove(todo.liftMm());
        notifyAll();
      }
    }
  }

  /**
   * What a thread of the strip may take up now: of one lift one at a time, so that planned begins
   * from found.
   */
  private Optional<Todo> free() {
    boolean drawing = picture.isPresent() && !pictures.containsKey(picture.get());
    return inHand.size() >= (drawing ? AT_ONCE - 1 : AT_ONCE)
        ? Optional.empty()
        : missing(todo -> !inHand.contains(todo.liftMm()));
  }

  private Optional<SolvedArea> area(Todo todo, int number) {
    AirQuestion question = todo.question();
    Optional<SolvedArea> kept = store.orElseThrow().solved(question);
    if (kept.isPresent()) {
      return kept;
    }
    Optional<SolvedArea> area =
        pictured(question)
            .or(() -> solveNear(todo, () -> curveAsked != number))
            .map(s -> s.flow().map(SolvedArea::of).orElse(SolvedArea.NONE));
    area.ifPresent(a -> keep(question, a));
    return area;
  }

  private void note(AirQuestion question, SolvedArea area, int number) {
    areas.put(question, area);
    SolvedChange known = known();
    Platform.runLater(
        () -> {
          synchronized (this) {
            if (curveAsked == number) {
              change.set(known);
            }
            news.set(news.get() + 1);
          }
        });
  }

  /** What has been solved for a picture need not be solved again. */
  private synchronized Optional<Solved> pictured(AirQuestion question) {
    return Optional.ofNullable(pictures.get(question));
  }

  private void keep(AirQuestion question, SolvedArea area) {
    try {
      store.orElseThrow().keep(question, area);
    } catch (IOException e) {
      LOG.log(Level.FINE, "solved air is not kept", e);
    }
  }

  private Optional<Todo> missing(Predicate<Todo> wanted) {
    return missing(Stream.concat(strip.stream(), others.stream()), wanted);
  }

  private Optional<Todo> missing(Stream<Pair> pairs, Predicate<Todo> wanted) {
    return pairs
        .flatMap(p -> p.todo().stream())
        .filter(t -> !areas.containsKey(t.question()))
        .filter(wanted)
        .findFirst();
  }

  /**
   * Solves one for the strip, from the flow solved last at its lift. Transport begins evenly: it
   * can come to rest a little apart from another start. The full grid begins by itself: a jet may
   * have been left in a state that it would not take there.
   */
  private Optional<Solved> solveNear(Todo todo, BooleanSupplier dropped) {
    if (todo.question().turbulence() != Turbulence.EVEN
        || todo.question().fineness() == Fineness.FULL) {
      return solve(todo.question(), Optional.empty(), dropped);
    }
    Optional<AirFlow> near;
    synchronized (this) {
      near =
          Optional.ofNullable(last.get(todo.liftMm()))
              .filter(f -> f.question().direction() == todo.question().direction());
    }
    Optional<Solved> solved = solve(todo.question(), near, dropped);
    synchronized (this) {
      solved.flatMap(Solved::flow).ifPresent(f -> last.put(todo.liftMm(), f));
    }
    return solved;
  }

  /** Solves one; empty when it is not wanted any more. */
  private static Optional<Solved> solve(
      AirQuestion question, Optional<AirFlow> start, BooleanSupplier dropped) {
    try {
      AirFlow flow = AirSolver.solve(question, start, dropped);
      return Optional.of(new Solved(Optional.of(flow), Optional.empty()));
    } catch (AirNotSolved e) {
      return e.why() == AirNotSolved.Why.STOPPED
          ? Optional.empty()
          : Optional.of(new Solved(Optional.empty(), Optional.of(e.why())));
    }
  }
}
