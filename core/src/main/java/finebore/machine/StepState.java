package finebore.machine;

import finebore.code.Coded;
import finebore.job.Job;
import finebore.work.WorkEntry;
import finebore.work.WorkIndex;
import java.util.Locale;
import java.util.Optional;

/** How far a step has come. */
public enum StepState implements Coded {
  WAITING,
  /** Someone has said that something is wrong. */
  PROBLEM,
  /** Done, and all that was read is within its limits. */
  DONE,
  /** Done, and something that was read is not. */
  OUT_OF_LIMIT,
  /** What is out of its limit was accepted, with a reason. */
  ACCEPTED;

  @Override
  public String code() {
    return "stepState." + name().toLowerCase(Locale.ROOT);
  }

  /** Whether the work can go on past it. */
  public boolean isPast() {
    return this == DONE || this == ACCEPTED;
  }

  /** How far a step of a job has come. */
  public static StepState of(Job job, RunStep step) {
    return of(WorkIndex.of(job.log()), step);
  }

  /** How far a step has come, by a history that was looked through before. */
  public static StepState of(WorkIndex log, RunStep step) {
    Optional<WorkEntry> last = log.lastOf(step.id());
    WorkEntry.Kind said = last.map(WorkEntry::kind).orElse(WorkEntry.Kind.REOPENED);
    return switch (said) {
      case REOPENED, READ -> WAITING;
      case PROBLEM -> PROBLEM;
      case DONE -> isWithin(log, step) ? DONE : OUT_OF_LIMIT;
      case ACCEPTED -> isStale(log, step, last.orElseThrow()) ? OUT_OF_LIMIT : ACCEPTED;
    };
  }

  private static boolean isWithin(WorkIndex log, RunStep step) {
    return step.targets().stream()
        .allMatch(
            t -> {
              var value = log.value(step.seat().label(), t.what());
              return value.isEmpty() || t.allows(value.getAsDouble());
            });
  }

  /** Whether something was read anew, and is out, since it was accepted. */
  private static boolean isStale(WorkIndex log, RunStep step, WorkEntry accepted) {
    return !isWithin(log, step)
        && step.targets().stream()
            .flatMap(t -> log.entry(step.seat().label(), t.what()).stream())
            .anyMatch(e -> e.number() > accepted.number());
  }
}
