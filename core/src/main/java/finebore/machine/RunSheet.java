package finebore.machine;

import finebore.finding.Severity;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.planning.SeatOutcome;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The whole work on a head, step by step and seat by seat, in the order in which it is to be done:
 * each seat's own order, all of one tool before the next, and with each tool first the seat that
 * has most metal to lose.
 *
 * @param steps in order
 * @param groups what the plans make of every seat
 */
public record RunSheet(List<RunStep> steps, List<GroupOutcome> groups) {

  public RunSheet {
    steps = List.copyOf(steps);
    groups = List.copyOf(groups);
  }

  /** Works the sheet of a job out. */
  public static RunSheet of(Job job) {
    return of(job, GroupOutcome.all(job));
  }

  /** The same from plans that are already carried out. */
  public static RunSheet of(Job job, List<GroupOutcome> groups) {
    List<SeatOutcome> seats =
        groups.stream()
            .flatMap(g -> g.seats().stream())
            .sorted(Comparator.comparingDouble(RunSheet::metalToLoseMm).reversed())
            .toList();
    Map<GroupOutcome, CutSheet> sheets = new IdentityHashMap<>();
    groups.forEach(g -> sheets.put(g, CutSheet.of(g)));
    List<List<RunStep>> queues = new ArrayList<>();
    for (SeatOutcome seat : seats) {
      GroupOutcome group =
          groups.stream().filter(g -> g.of(seat.place()).isPresent()).findFirst().orElseThrow();
      queues.add(SeatSteps.of(job, sheets.get(group), seat));
    }
    return new RunSheet(ToolOrder.of(queues), groups);
  }

  /**
   * How far a seat may be cut past its clean-up until it lies where it is planned: a slip costs
   * least where that is most. Seats without a form cut come last.
   */
  static double metalToLoseMm(SeatOutcome seat) {
    double clean = seat.reading(ReadingKind.CLEAN_UP).orElse(Double.POSITIVE_INFINITY);
    return Double.isInfinite(clean) ? Double.NEGATIVE_INFINITY : -clean;
  }

  public Optional<RunStep> step(String id) {
    return steps.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  public List<RunStep> of(SeatPlace seat) {
    return steps.stream().filter(s -> s.seat().equals(seat)).toList();
  }

  public Optional<SeatOutcome> outcome(SeatPlace seat) {
    return groups.stream().flatMap(g -> g.of(seat).stream()).findFirst();
  }

  /** What is open about a step at its own seat: faults and cautions, the gravest first. */
  public List<Finding> findings(RunStep step, Practice practice) {
    return outcome(step.seat()).stream()
        .flatMap(seat -> PlanFindings.of(seat, practice).stream())
        .filter(f -> step.subject().equals(Optional.of(f.subject())))
        .filter(f -> f.severity() != Severity.NOTE)
        .toList();
  }

  /** How often another tool is fitted, the first one counted. */
  public int toolChanges() {
    int changes = 0;
    String fitted = "";
    for (RunStep step : steps) {
      if (!step.tool().equals(fitted)) {
        changes++;
        fitted = step.tool();
      }
    }
    return changes;
  }
}
