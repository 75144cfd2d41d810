package finebore.desk.session;

import finebore.job.Job;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/**
 * The states of a job that undo and redo walk through, as far back as its opening.
 *
 * <p>Edits that carry the same gesture, such as the steps of one drag, count as one.
 */
final class UndoHistory {

  private record State(Job job, String gesture) {}

  private final Deque<State> past = new ArrayDeque<>();
  private final Deque<State> future = new ArrayDeque<>();
  private State now;

  UndoHistory(Job job) {
    this.now = new State(job, "");
  }

  Job job() {
    return now.job();
  }

  /**
   * Takes a new state.
   *
   * @param gesture name of the gesture that the edit belongs to, empty for an edit of its own
   */
  void edit(Job job, String gesture) {
    boolean goesOn = !gesture.isEmpty() && gesture.equals(now.gesture());
    if (!goesOn) {
      past.push(now);
    }
    future.clear();
    now = new State(job, gesture);
  }

  /**
   * Takes a state that is no edit: what was done at the machine is history, and neither undone nor
   * redone.
   */
  void note(Job job) {
    now = new State(job, "");
  }

  /** An earlier or later state with the history as it is now. */
  private Job withLog(Job job) {
    return job.withLog(now.job().log());
  }

  /** Ends the gesture under way, so that the next edit stands on its own. */
  void endGesture() {
    now = new State(now.job(), "");
  }

  boolean canUndo() {
    return !past.isEmpty();
  }

  boolean canRedo() {
    return !future.isEmpty();
  }

  Optional<Job> undo() {
    if (past.isEmpty()) {
      return Optional.empty();
    }
    State next = new State(withLog(past.pop().job()), "");
    future.push(new State(now.job(), ""));
    now = next;
    return Optional.of(now.job());
  }

  Optional<Job> redo() {
    if (future.isEmpty()) {
      return Optional.empty();
    }
    State again = future.pop();
    State next = new State(withLog(again.job()), again.gesture());
    past.push(new State(now.job(), ""));
    now = next;
    return Optional.of(now.job());
  }
}
