package finebore.desk.session;

import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.cutting.SectionDifference;
import finebore.drawing.SectionScene;
import finebore.flow.Calibration;
import finebore.flow.FlowChange;
import finebore.flow.Spread;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.reports.GroupFindings;
import finebore.rules.FlowFindings;
import finebore.rules.SeatFindings;
import finebore.seat.Cut;
import finebore.seat.ShownCut;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;

/**
 * All that the screens show of one seat, worked out in one go.
 *
 * @param job the job, or the previewed one
 * @param words sentences in the job's units
 * @param place the seat
 * @param showFound whether the found state is the one looked at
 * @param steps how many operations have been carried out in what is looked at
 * @param practice whose ranges and findings
 * @param plan the seat's plan worked out
 * @param followers what that plan makes of every seat that follows it
 * @param shown study of the state looked at
 * @param difference metal between what was before and what is looked at
 * @param findings of the found state or of the whole plan
 * @param book the job's flow tests, reduced
 * @param confidence how far the model may be trusted for this kind of seat
 */
public record SeatView(
    Job job,
    Words words,
    SeatPlace place,
    boolean showFound,
    int steps,
    Practice practice,
    PlanStudy plan,
    GroupFindings followers,
    SeatStudy shown,
    SectionDifference difference,
    List<Finding> findings,
    TestBook book,
    PredictionConfidence confidence) {

  /** What the level of its flow rests on. */
  public Calibration calibration() {
    return shown().calibration();
  }

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
   * @param before what was worked out last; what does not hang on the plan is taken over where only
   *     that has changed
   */
  public static SeatView of(
      Job job, Words words, Practice practice, View view, Optional<SeatView> before) {
    Plan follows = job.planOf(view.place());
    Optional<SeatView> there = before.filter(b -> b.place().equals(view.place()));
    Optional<SeatView> same =
        there.filter(b -> b.job().withPlan(view.place(), follows).equals(job));
    Optional<SeatView> sameMetal = there.filter(b -> b.job().withBench(job.bench()).equals(job));
    TestBook book = TestBook.of(job, before.map(SeatView::book));
    PredictionConfidence confidence =
        same.map(SeatView::confidence)
            .orElseGet(
                () ->
                    PredictionConfidence.of(
                        book,
                        view.place().port(),
                        sameMetal
                            .filter(b -> b.job().bench().ranges().equals(job.bench().ranges()))
                            .flatMap(b -> b.confidence().fit())));
    SeatStudy found =
        same.map(SeatView::found)
            .or(
                () ->
                    sameMetal
                        .map(SeatView::found)
                        .filter(f -> f.setting().calibration().equals(confidence.calibration())))
            .orElseGet(() -> PlanStudy.asFound(job, view.place(), confidence.calibration()));
    GroupOutcome group =
        sameMetal
            .map(b -> b.followers().group().in(job))
            .or(() -> same.map(b -> b.followers().group().with(job, follows)))
            .orElseGet(() -> GroupOutcome.of(job, view.place(), follows));
    GroupFindings followers = GroupFindings.of(group, practice);
    PlanStudy plan = PlanStudy.of(group.of(view.place()).orElseThrow(), found);
    int all = plan.cutting().steps().size();
    int steps = Math.min(view.steps().orElse(all), all);
    SeatStudy shown = view.found() ? found : steps == all ? plan.finished() : plan.after(steps);
    List<Finding> findings =
        view.found()
            ? SeatFindings.of(
                view.place().label(), view.place().port(), shown.fit(), shown.readings(), practice)
            : Stream.concat(followers.of(view.place()).stream(), FlowFindings.of(plan).stream())
                .toList();
    return new SeatView(
        job,
        words,
        view.place(),
        view.found(),
        steps,
        practice,
        plan,
        followers,
        shown,
        plan.difference(view.steps().isPresent() ? steps : -1),
        findings,
        book,
        confidence);
  }

  /** What is looked at, to be drawn with the valve at a lift. */
  public SectionScene scene(double liftMm) {
    return showFound
        ? SectionScene.found(plan.outcome(), shown.fit(), liftMm)
        : SectionScene.after(plan.outcome(), steps, shown.fit(), difference, liftMm);
  }

  /** How far the plan's flow may lie from what is said, as a share, for each band. */
  public Spread spread() {
    return confidence.spread(plan.found(), plan.finished());
  }

  public UnitSystem units() {
    return words.units();
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
