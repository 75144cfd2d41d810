package finebore.planning;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.CleanUp;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.FitRing;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.Plunge;
import finebore.cutting.TakeWallBack;
import finebore.finding.Subject;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.valve.Valve;
import finebore.work.ShopFigure;
import finebore.work.StepKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * The work on all seats that follow a plan, in order: every operation with its settings and what it
 * does to each seat, then what is done to the valves. What differs between the seats stands per
 * seat; an operation that removes nothing stands there too and says so.
 *
 * @param group the seats
 * @param steps in order
 */
public record CutSheet(GroupOutcome group, List<Step> steps) {

  /** A change smaller than this is not worth a set-up, mm. */
  private static final double NEGLIGIBLE_MM = 0.005;

  /** An operation that removes less than this from a seat removes nothing, mm3. */
  private static final double NOTHING_MM3 = 0.01;

  /**
   * One step of the work.
   *
   * @param number from 1; operations keep the numbers they have in the plan
   * @param kind what kind of work
   * @param title what is done
   * @param subject the operation, for the findings that belong to it; empty for valve work
   * @param lines what to set and what comes of it
   * @param check what to read back or look for; empty where nothing is said
   * @param caution what can hurt or ruin; empty where nothing is said
   */
  public record Step(
      int number,
      StepKind kind,
      Message title,
      Optional<Subject> subject,
      List<Line> lines,
      Optional<Message> check,
      Optional<Message> caution) {
    public Step {
      lines = List.copyOf(lines);
    }
  }

  /**
   * One line of a step.
   *
   * @param name what it is
   * @param perSeat its value at each seat, in the group's order; empty where a seat has none
   */
  public record Line(Message name, List<Optional<Term>> perSeat) {
    public Line {
      perSeat = List.copyOf(perSeat);
    }

    /** Whether all seats have the same value to a machinist. */
    public boolean isSame() {
      Optional<Term> first = perSeat.getFirst();
      return perSeat.stream().allMatch(t -> isSame(first, t));
    }

    private static boolean isSame(Optional<Term> a, Optional<Term> b) {
      if (a.isPresent()
          && b.isPresent()
          && a.get() instanceof Term.Figure(Dimension one, double x)
          && b.get() instanceof Term.Figure(Dimension other, double y)) {
        return one == other
            && GroupOutcome.isSame(List.of(OptionalDouble.of(x), OptionalDouble.of(y)));
      }
      return a.equals(b);
    }
  }

  public CutSheet {
    steps = List.copyOf(steps);
  }

  /** Lists the work on a group of seats. */
  public static CutSheet of(GroupOutcome group) {
    List<Step> steps = new ArrayList<>();
    for (int k = 0; k < group.plan().steps().size(); k++) {
      steps.add(operation(group, k));
    }
    valveWork(group, steps);
    return new CutSheet(group, steps);
  }

  private static Step operation(GroupOutcome group, int place) {
    Operation operation = group.plan().operations().get(place);
    List<Cutting.Step> done = group.steps(place);
    List<Line> lines = new ArrayList<>();
    for (OperationSetting<?> setting : operation.settings()) {
      List<Term> terms = setting.term(operation, group.plan().wanted().seat());
      if (!terms.isEmpty()) {
        lines.add(same(group, Message.of(setting.code()), terms.getFirst()));
      }
    }
    if (operation instanceof FitRing fit) {
      lines.add(same(group, Message.of("sheet.counterbore"), Term.length(fit.counterboreMm())));
    }
    lines.add(each(done, Message.of("sheet.depth." + operation.key()), s -> length(s.depthMm())));
    lines.add(each(done, Message.of("sheet.cleansUp"), s -> length(cleanMm(s))));
    lines.add(each(done, Message.of("sheet.pastCleanUp"), s -> length(pastMm(s))));
    lines.addAll(cameIn(group, done));
    lines.add(each(done, Message.of("sheet.removes"), CutSheet::removed));
    if (operation instanceof TakeWallBack taken) {
      lines.add(
          new Line(
              Message.of("sheet.wallRule"),
              group.seats().stream().map(s -> length(WallsTaken.ruleMm(s.cut(), taken))).toList()));
    }
    lines.removeIf(line -> line.perSeat().stream().allMatch(Optional::isEmpty));
    return new Step(
        place + 1,
        StepKind.of(operation.key()).orElseThrow(),
        Message.of(operation),
        Optional.of(Subject.operation(group.plan().idAt(place))),
        lines,
        Optional.of(Message.of(operation.code() + ".check")),
        Optional.of(Message.of(operation.code() + ".caution")));
  }

  private static OptionalDouble cleanMm(Cutting.Step step) {
    return step.cleanUp().map(CleanUp::sealingMm).orElse(OptionalDouble.empty());
  }

  private static OptionalDouble pastMm(Cutting.Step step) {
    OptionalDouble clean = cleanMm(step);
    return clean.isPresent() && step.depthMm().isPresent()
        ? OptionalDouble.of(step.depthMm().getAsDouble() - clean.getAsDouble())
        : OptionalDouble.empty();
  }

  /**
   * What is left showing of each cut and arc that an operation makes: the least and the most round
   * a seat that is not round.
   */
  private static List<Line> cameIn(GroupOutcome group, List<Cutting.Step> done) {
    CutStack wanted = group.plan().wanted().seat().stack();
    List<Cutting.ElementIn> first = done.getFirst().elementsIn(wanted);
    return IntStream.range(0, first.size())
        .mapToObj(
            k ->
                each(
                    done,
                    Message.of("sheet.shows").with("cut", first.get(k).element().term()),
                    step ->
                        step.elementsIn(wanted).stream().skip(k).findFirst().map(CutSheet::shown)))
        .toList();
  }

  private static Term shown(Cutting.ElementIn came) {
    if (came.mostMm() <= 0) {
      return Term.phrase(Message.of("sheet.neverTouches"));
    }
    return came.mostMm() - came.leastMm() < NEGLIGIBLE_MM
        ? Term.length(came.shownMm())
        : Term.phrase(
            Message.of("sheet.uneven")
                .with("least", Term.length(came.leastMm()))
                .with("most", Term.length(came.mostMm())));
  }

  private static Optional<Term> removed(Cutting.Step step) {
    if (step.problem().isPresent()) {
      return Optional.of(Term.phrase(Message.of("sheet.notDone")));
    }
    return Optional.of(
        step.removedMm3() < NOTHING_MM3 && step.addedMm3() < NOTHING_MM3
            ? Term.phrase(Message.of("sheet.nothing"))
            : new Term.Figure(Dimension.VOLUME, step.removedMm3()));
  }

  /** Whether one depth stop is set for seats that clean up at different depths. */
  public Optional<Plunge> oneDepth() {
    boolean differs = !GroupOutcome.isSame(group.readings(ReadingKind.CLEAN_UP));
    return group.plan().operations().stream()
        .filter(CutForm.class::isInstance)
        .map(o -> ((CutForm) o).plunge())
        .filter(p -> differs && !(p instanceof Plunge.UntilClean))
        .reduce((a, b) -> b);
  }

  /**
   * Whether a seat gets another valve: its own is off the planned head by more than the shop's
   * tolerance.
   */
  public static boolean isOtherValve(CutStudy cut) {
    double planned = cut.plan().wanted().valve().headDiameterMm();
    double off = Math.abs(planned - cut.foundValve().headDiameterMm());
    return off > cut.job().shop().value(ShopFigure.VALVE_TOLERANCE) + 1e-9;
  }

  /** A length of the seats that get another valve; nothing of those that keep theirs. */
  private static Line ofOthers(
      GroupOutcome group, String code, ToDoubleFunction<SeatOutcome> lengthMm) {
    return new Line(
        Message.of(code),
        group.seats().stream()
            .map(
                s ->
                    isOtherValve(s.cut())
                        ? Optional.<Term>of(Term.length(lengthMm.applyAsDouble(s)))
                        : Optional.<Term>empty())
            .toList());
  }

  private static void valveWork(GroupOutcome group, List<Step> steps) {
    Valve planned = group.plan().wanted().valve();
    List<Valve> found = group.seats().stream().map(s -> s.cut().foundValve()).toList();
    if (group.seats().stream().anyMatch(s -> isOtherValve(s.cut()))) {
      steps.add(
          new Step(
              steps.size() + 1,
              StepKind.VALVE,
              Message.of("sheet.otherValve"),
              Optional.empty(),
              List.of(
                  ofOthers(group, "quantity.valveHead", s -> planned.headDiameterMm()),
                  ofOthers(group, "sheet.insteadOf", s -> s.cut().foundValve().headDiameterMm())),
              Optional.of(Message.of("sheet.otherValve.check")),
              Optional.of(Message.of("sheet.otherValve.caution"))));
    }
    boolean reface =
        found.stream().anyMatch(v -> Math.abs(planned.faceAngleDeg() - v.faceAngleDeg()) > 0.01);
    steps.add(
        new Step(
            steps.size() + 1,
            StepKind.FACE,
            Message.of("sheet.face"),
            Optional.empty(),
            List.of(
                same(group, Message.of("quantity.faceAngle"), Term.angle(planned.faceAngleDeg())),
                same(group, Message.of("sheet.marginLeft"), Term.length(planned.marginMm()))),
            Optional.of(Message.of(reface ? "sheet.face.newAngle" : "sheet.face.check")),
            Optional.of(Message.of("sheet.face.caution"))));
    for (Cut cut : planned.backCuts()) {
      steps.add(
          new Step(
              steps.size() + 1,
              StepKind.BACK_CUT,
              Message.of("sheet.backCut").with("angle", Term.angle(cut.angleDeg())),
              Optional.empty(),
              List.of(
                  same(group, Message.of("sheet.faceLeft"), Term.length(planned.faceWidthMm())),
                  same(group, Message.of("quantity.cutWidth"), Term.length(cut.widthMm()))),
              Optional.of(Message.of("sheet.backCut.check")),
              Optional.empty()));
    }
    steps.add(assembly(group, steps.size() + 1));
  }

  /** What is read back with the valve in, and what brings spring and valve gear back. */
  private static Step assembly(GroupOutcome group, int number) {
    List<Line> lines = new ArrayList<>();
    lines.add(reading(group, ReadingKind.VALVE_HEIGHT, CutSheet::height));
    lines.add(reading(group, ReadingKind.SINK, v -> Term.length(v)));
    lines.add(reading(group, ReadingKind.SPACER, v -> Term.length(v)));
    lines.add(reading(group, ReadingKind.TIP_GRIND, v -> Term.length(v)));
    lines.add(reading(group, ReadingKind.RETAINER, v -> Term.length(v)));
    lines.removeIf(line -> line.perSeat().stream().allMatch(Optional::isEmpty));
    return new Step(
        number,
        StepKind.ASSEMBLY,
        Message.of("sheet.lap"),
        Optional.empty(),
        lines,
        Optional.of(Message.of("sheet.lap.check")),
        Optional.of(Message.of("sheet.lap.caution")));
  }

  /** A height over the head face in words: 7.98 mm below the face. */
  public static Term height(double mm) {
    return Term.phrase(
        Message.of(mm < 0 ? "height.below" : "height.above")
            .with("value", Term.length(Math.abs(mm))));
  }

  private static Line reading(GroupOutcome group, ReadingKind kind, Function<Double, Term> term) {
    return new Line(
        Message.of((Coded) kind),
        group.readings(kind).stream()
            .map(v -> v.isPresent() ? Optional.of(term.apply(v.getAsDouble())) : none())
            .toList());
  }

  private static Optional<Term> none() {
    return Optional.empty();
  }

  private static Line same(GroupOutcome group, Message name, Term value) {
    return new Line(name, group.seats().stream().map(s -> Optional.of(value)).toList());
  }

  private static Line each(
      List<Cutting.Step> done, Message name, Function<Cutting.Step, Optional<Term>> value) {
    return new Line(name, done.stream().map(value).toList());
  }

  private static Optional<Term> length(OptionalDouble mm) {
    return mm.isPresent() ? Optional.of(Term.length(mm.getAsDouble())) : Optional.empty();
  }
}
