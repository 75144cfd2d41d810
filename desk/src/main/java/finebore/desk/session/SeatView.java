package finebore.desk.session;

import finebore.cutting.SectionDifference;
import finebore.flow.FlowChange;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Pairing;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.practice.Findings;
import finebore.practice.PlanFindings;
import finebore.practice.Practice;
import finebore.seat.Cut;
import finebore.seat.ShownCut;
import finebore.study.PlanStudy;
import finebore.study.PredictionConfidence;
import finebore.study.SeatStudy;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * All that the screens show of one seat, worked out in one go.
 *
 * @param job the job, or the previewed one
 * @param place the seat
 * @param showFound whether the found state is the one looked at
 * @param steps how many operations have been carried out in what is looked at
 * @param practice whose ranges and findings
 * @param plan the seat's plan worked out
 * @param shown study of the state looked at
 * @param difference metal between what was before and what is looked at
 * @param findings of the found state or of the whole plan
 * @param outlook how far the model may be trusted for this kind of seat
 */
public record SeatView(
    Job job,
    SeatPlace place,
    boolean showFound,
    int steps,
    Practice practice,
    PlanStudy plan,
    SeatStudy shown,
    SectionDifference difference,
    List<Finding> findings,
    PredictionConfidence outlook) {

  /**
   * What is looked at.
   *
   * @param place the seat
   * @param found whether as found
   * @param steps after how many operations; empty for all of them
   */
  public record View(SeatPlace place, boolean found, OptionalInt steps) {}

  /**
   * Works a seat out.
   *
   * @param before what was worked out last; its found study is taken over where only the plan has
   *     changed
   */
  public static SeatView of(Job job, View view, Optional<SeatView> before) {
    Practice practice = PracticeFiles.orDefault(job.practice());
    Plan follows = job.planOf(view.place());
    Optional<SeatView> same =
        before
            .filter(b -> b.place().equals(view.place()))
            .filter(b -> b.job().withPlan(view.place(), follows).equals(job));
    PredictionConfidence outlook =
        same.map(SeatView::outlook)
            .orElseGet(() -> PredictionConfidence.of(job, view.place().port()));
    Optional<SeatStudy> known =
        same.map(b -> b.plan().found()).or(() -> found(job, view.place(), outlook));
    PlanStudy plan = PlanStudy.of(job, view.place(), follows, known);
    int all = plan.cutting().steps().size();
    int steps = Math.min(view.steps().orElse(all), all);
    SeatStudy shown =
        view.found() ? plan.found() : steps == all ? plan.finished() : plan.after(job, steps);
    List<Finding> findings =
        view.found()
            ? Findings.of(shown, practice, view.place().port(), job.units())
            : PlanFindings.of(plan, practice, job.units());
    return new SeatView(
        job,
        view.place(),
        view.found(),
        steps,
        practice,
        plan,
        shown,
        plan.difference(view.steps().isPresent() ? steps : -1),
        findings,
        outlook);
  }

  /** The seat as found, with the port that the outlook knows already. */
  private static Optional<SeatStudy> found(Job job, SeatPlace place, PredictionConfidence outlook) {
    return Optional.of(SeatStudy.asFound(job, place, outlook.calibration()));
  }

  public Port port() {
    return place.port();
  }

  /** Seat and valve that the editors change: as found, or as wanted. */
  public Pairing pairing() {
    return showFound ? group().found() : plan.plan().wanted();
  }

  /** Study of the seat as found. */
  public SeatStudy found() {
    return plan.found();
  }

  /** Study of what all operations leave. */
  public SeatStudy planned() {
    return plan.finished();
  }

  /** Flow of the finished seat against the found one. */
  public Optional<FlowChange> change() {
    return plan.change();
  }

  public Group group() {
    return job.group(port());
  }

  /** Whether not all operations have been carried out in what is looked at. */
  public boolean isScrubbed() {
    return !showFound && steps < plan.cutting().steps().size();
  }

  /** What is left showing of a cut of the edited seat; empty while nothing has cut it. */
  public Optional<ShownCut> shownOf(int cut) {
    for (ShownCut shown : shown.seat().shown()) {
      if (wantedCut(shown.index()).equals(OptionalInt.of(cut))) {
        return Optional.of(shown);
      }
    }
    return Optional.empty();
  }

  /** Which cut of the wanted seat a cut that is looked at is, if it is one. */
  public OptionalInt wantedCut(int shownCut) {
    Cut cut = shown.seat().seat().cuts().get(shownCut);
    List<Cut> wanted = pairing().seat().cuts();
    boolean same = shownCut < wanted.size() && wanted.get(shownCut).equals(cut);
    int at = same ? shownCut : wanted.indexOf(cut);
    return at < 0 ? OptionalInt.empty() : OptionalInt.of(at);
  }
}
