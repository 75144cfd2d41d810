package finebore.reports;

import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.job.Engine.SeatPlace;
import finebore.job.Overrule;
import finebore.planning.GroupOutcome;
import finebore.planning.SeatOutcome;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.rules.PlanFindings;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is found of every seat of a group; what is the same at several is said once, with all their
 * labels.
 *
 * @param perSeat findings of each seat, in the group's order
 */
public record GroupFindings(GroupOutcome group, List<List<Finding>> perSeat) {

  /** A sentence and the seats it holds for. */
  public record Said(
      Severity severity, String seats, String what, String why, String basis, Finding first) {}

  public static GroupFindings of(GroupOutcome group, Practice practice) {
    return new GroupFindings(
        group, group.seats().parallelStream().map(s -> PlanFindings.of(s, practice)).toList());
  }

  /** What is found of one of the seats. */
  public List<Finding> of(SeatPlace place) {
    for (int k = 0; k < perSeat.size(); k++) {
      if (group.seats().get(k).place().equals(place)) {
        return perSeat.get(k);
      }
    }
    throw new IllegalArgumentException("no seat " + place.label() + " in this group");
  }

  /** Findings that a plan cannot be cut without knowing: faults and cautions, the gravest first. */
  public List<Said> open(Words words) {
    return said(words).stream().filter(s -> s.severity() != Severity.NOTE).toList();
  }

  /** Those about an operation. */
  public List<Said> about(Subject operation, Words words) {
    return open(words).stream().filter(s -> s.first().subject().equals(operation)).toList();
  }

  /** All of them in words. */
  public List<Said> said(Words words) {
    Map<String, List<Finding>> same = new LinkedHashMap<>();
    for (Severity severity : Severity.values()) {
      for (List<Finding> findings : perSeat) {
        for (Finding finding : findings) {
          if (finding.severity() == severity) {
            same.computeIfAbsent(finding.code() + words.say(finding.what()), k -> new ArrayList<>())
                .add(finding);
          }
        }
      }
    }
    return same.values().stream().map(all -> said(all, words)).toList();
  }

  private static Said said(List<Finding> all, Words words) {
    Finding first = all.getFirst();
    String why = words.say(first.why());
    String overruled =
        first
            .overruled()
            .map(o -> " " + words.text("finding.overruled", "reason", o.reason()))
            .orElse("");
    return new Said(
        first.severity(),
        String.join(" ", all.stream().map(Finding::seat).distinct().toList()),
        words.say(first.what()),
        why + overruled,
        words.text(first.basis().code(), "source", first.basis().source()),
        first);
  }

  /** What keeps the plan from being marked ready, over all its seats. */
  public List<Finding> blockers() {
    return perSeat.stream().flatMap(f -> PlanFindings.blockers(f).stream()).toList();
  }

  /** Overrules of the plan that hold no more, and why. */
  public Map<Overrule, Overrule.State> expired() {
    Map<Overrule, Overrule.State> expired = new LinkedHashMap<>();
    for (Overrule overrule : group.plan().overrules()) {
      Overrule.State state = state(overrule);
      if (state != Overrule.State.HOLDS) {
        expired.put(overrule, state);
      }
    }
    return expired;
  }

  private Overrule.State state(Overrule overrule) {
    for (int k = 0; k < perSeat.size(); k++) {
      SeatOutcome seat = group.seats().get(k);
      if (seat.place().label().equals(overrule.seat())) {
        return PlanFindings.state(overrule, perSeat.get(k), group.plan());
      }
    }
    return Overrule.State.GONE;
  }
}
