package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.CutForm;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SectionDifference;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.CutSheet.Line;
import finebore.planning.CutSheet.Step;
import finebore.units.Dimension;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import finebore.work.StepKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** The cut sheet of two cylinders whose first seat was found 0.3 mm deeper than the second. */
class CutSheetTest {

  private static final Job JOB = twoCylinders();

  private static Job twoCylinders() {
    Job job = Samples.job(Samples.WORN, Samples.TRUED, SeatReadings.NONE);
    Job two =
        job.withEngine(
            new Engine(2, 1, 1, 86, 86, 6500, OptionalDouble.empty(), OptionalDouble.empty()));
    return two.withHead(two.head().withReading("I1", Measure.SEAT_DEPTH, OptionalDouble.of(7.3)));
  }

  private static SeatPlace place(Job job) {
    return job.engine().seats().getFirst();
  }

  private static Plan plan(Operation... operations) {
    return JOB.planOf(place(JOB)).withOperations(List.of(operations));
  }

  private static CutSheet sheet(Plan plan) {
    return CutSheet.of(GroupOutcome.of(JOB, place(JOB), plan));
  }

  private static Operation to(double depthMm) {
    return new CutForm("", OptionalDouble.empty(), new Plunge.ToDepth(depthMm));
  }

  private static Operation untilClean(double more) {
    return new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(more, false));
  }

  private static List<Double> figures(Step step, String line) {
    return line(step, line).perSeat().stream()
        .map(t -> ((Term.Figure) t.orElseThrow()).value())
        .toList();
  }

  private static Line line(Step step, String code) {
    return step.lines().stream()
        .filter(l -> l.name().code().equals(code))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> phrases(Line line) {
    return line.perSeat().stream()
        .map(t -> ((Term.Phrase) t.orElseThrow()).message().code())
        .toList();
  }

  private static List<StepKind> kinds(CutSheet sheet) {
    return sheet.steps().stream().map(Step::kind).toList();
  }

  private static void assertNear(List<Double> figures, double first, double second) {
    assertThat(figures.get(0)).isCloseTo(first, within(1e-6));
    assertThat(figures.get(1)).isCloseTo(second, within(1e-6));
  }

  @Test
  void whatDiffersStandsPerSeat() {
    CutSheet sheet = sheet(plan(to(7.5)));
    Step cut = sheet.steps().getFirst();
    assertNear(figures(cut, "sheet.depth.cutForm"), 7.5, 7.5);
    assertNear(figures(cut, "sheet.cleansUp"), 7.3, 7.0);
    assertNear(figures(cut, "sheet.pastCleanUp"), 0.2, 0.5);
    List<Double> removed = figures(cut, "sheet.removes");
    assertThat(removed.get(0)).isPositive().isLessThan(removed.get(1));
    assertThat(line(cut, "sheet.depth.cutForm").isSame()).isTrue();
    assertThat(line(cut, "sheet.cleansUp").isSame()).isFalse();
  }

  @Test
  void oneStopForSeatsThatCleanUpAtDifferentDepthsIsADecision() {
    assertThat(sheet(plan(to(7.5))).oneDepth()).contains(new Plunge.ToDepth(7.5));
    assertThat(sheet(plan(to(7.2), to(7.5))).oneDepth()).contains(new Plunge.ToDepth(7.5));
    CutSheet each = sheet(plan(untilClean(0.05)));
    assertThat(each.oneDepth()).isEmpty();
    assertNear(figures(each.steps().getFirst(), "sheet.depth.cutForm"), 7.35, 7.05);
    Job alike = JOB.withHead(JOB.head().withReadings("I1", SeatReadings.NONE));
    assertThat(CutSheet.of(GroupOutcome.of(alike, place(alike), plan(to(7.5)))).oneDepth())
        .isEmpty();
  }

  @Test
  void anOperationThatTakesNothingStandsThereAndSaysSo() {
    Step second = sheet(plan(to(7.5), to(7.5))).steps().get(1);
    assertThat(second.number()).isEqualTo(2);
    assertThat(phrases(line(second, "sheet.removes"))).containsOnly("sheet.nothing");
    // A hundredth of a millimetre is something.
    Step little = sheet(plan(to(7.5), to(7.51))).steps().get(1);
    assertThat(line(little, "sheet.removes").perSeat().getFirst().orElseThrow())
        .isInstanceOf(Term.Figure.class);
  }

  @Test
  void aCutThatIsNotReachedNeverTouches() {
    // The 45 starts at 7.4 where it is wanted; only above the found metal nothing is met.
    Step cut = sheet(plan(to(6.0))).steps().getFirst();
    List<Line> shows =
        cut.lines().stream().filter(l -> l.name().code().equals("sheet.shows")).toList();
    assertThat(shows).hasSize(3);
    assertThat(phrases(shows.get(1))).containsOnly("sheet.neverTouches");
    Step deep = sheet(plan(to(7.5))).steps().getFirst();
    Line sealing =
        deep.lines().stream().filter(l -> l.name().code().equals("sheet.shows")).toList().get(1);
    assertThat(sealing.perSeat().getFirst().orElseThrow()).isInstanceOf(Term.Figure.class);
  }

  @Test
  void aValveIsNewWhereItsHeadDiffersByMoreThanTheShopsTolerance() {
    Valve valve = Samples.VALVE_39;
    assertThat(kinds(sheet(plan(to(7.5)))))
        .containsExactly(StepKind.FORM, StepKind.FACE, StepKind.BACK_CUT, StepKind.ASSEMBLY);
    assertThat(kinds(withValve(valve.withHeadDiameterMm(39.049)))).doesNotContain(StepKind.VALVE);
    CutSheet other = withValve(valve.withHeadDiameterMm(39.051));
    assertThat(kinds(other)).contains(StepKind.VALVE);
    Step step = other.steps().get(1);
    assertNear(figures(step, "quantity.valveHead"), 39.051, 39.051);
    assertNear(figures(step, "sheet.insteadOf"), 39, 39);
  }

  @Test
  void aFaceOfAnotherAngleIsCutAnew() {
    assertThat(faceCheck(sheet(plan(to(7.5))))).isEqualTo("sheet.face.check");
    assertThat(faceCheck(withValve(Samples.VALVE_39.withFaceAngleDeg(45.009))))
        .isEqualTo("sheet.face.check");
    assertThat(faceCheck(withValve(Samples.VALVE_39.withFaceAngleDeg(44.5))))
        .isEqualTo("sheet.face.newAngle");
  }

  private static String faceCheck(CutSheet sheet) {
    return sheet.steps().stream()
        .filter(s -> s.kind() == StepKind.FACE)
        .flatMap(s -> s.check().stream())
        .findFirst()
        .orElseThrow()
        .code();
  }

  private static CutSheet withValve(Valve valve) {
    Plan plan = plan(to(7.5));
    return sheet(plan.withWanted(new Pairing(plan.wanted().seat(), valve)));
  }

  @Test
  void linesAreTheSameToAMachinistWithinHalfAThousandth() {
    assertThat(line(Term.length(8.22), Term.length(8.2204)).isSame()).isTrue();
    assertThat(line(Term.length(8.22), Term.length(8.2206)).isSame()).isFalse();
    assertThat(line(Term.length(8), new Term.Figure(Dimension.ANGLE, 8)).isSame()).isFalse();
    assertThat(line(Term.quote("a"), Term.quote("a")).isSame()).isTrue();
    assertThat(line(Term.quote("a"), Term.quote("b")).isSame()).isFalse();
    assertThat(line(Term.length(8), Term.quote("8")).isSame()).isFalse();
    assertThat(line(Term.quote("8"), Term.length(8)).isSame()).isFalse();
    Message name = Message.of("sheet.cleansUp");
    assertThat(new Line(name, List.of(Optional.of(Term.length(8)), Optional.empty())).isSame())
        .isFalse();
    assertThat(new Line(name, List.of(Optional.empty(), Optional.empty())).isSame()).isTrue();
  }

  private static Line line(Term first, Term second) {
    return new Line(Message.of("sheet.cleansUp"), List.of(Optional.of(first), Optional.of(second)));
  }

  @Test
  void aSeatWithoutAReadingIsNotTheSame() {
    OptionalDouble none = OptionalDouble.empty();
    OptionalDouble one = OptionalDouble.of(1);
    assertThat(GroupOutcome.isSame(List.of(none, none))).isTrue();
    assertThat(GroupOutcome.isSame(List.of(one, none))).isFalse();
    assertThat(GroupOutcome.isSame(List.of(none, one))).isFalse();
    assertThat(GroupOutcome.isSame(List.of(one, OptionalDouble.of(1.0004)))).isTrue();
    assertThat(GroupOutcome.isSame(List.of(one, OptionalDouble.of(0.9994)))).isFalse();
  }

  @Test
  void whatOneOperationTookAndWhatAllDid() {
    Plan plan = plan(to(7.45), to(7.55));
    Job job = JOB.withPlan(place(JOB), plan);
    PlanStudy study = Samples.planned(job);
    SectionDifference first = study.difference(1);
    SectionDifference second = study.difference(2);
    SectionDifference all = study.difference(-1);
    assertThat(study.difference(0).removedMm3()).isZero();
    assertThat(first.removedMm3()).isPositive();
    assertThat(second.removedMm3()).isPositive().isNotEqualTo(first.removedMm3());
    assertThat(first.removedMm3() + second.removedMm3()).isCloseTo(all.removedMm3(), within(1e-3));
    assertThat(study.after(1).fit().seat().profile())
        .isNotEqualTo(study.after(2).fit().seat().profile());
    assertThat(study.metal()).isEqualTo(job.foundSeat(place(job)));
  }
}
