package finebore.machine;

import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.Blend;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.Port;
import finebore.machine.RunStep.Line;
import finebore.machine.RunStep.Target;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.planning.GuideBore;
import finebore.planning.SeatOutcome;
import finebore.study.ReadingKind;
import finebore.valve.Valve;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.StepKind;
import finebore.work.WorkEntry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** The steps of one seat in the order in which they must happen. */
final class SeatSteps {

  /** A bowl is opened by hand and checked with a template, mm; common practice, no source. */
  private static final double BOWL_TOLERANCE_MM = 0.25;

  /** A press fit does not forgive more, mm; common practice, no source. */
  private static final double COUNTERBORE_TOLERANCE_MM = 0.0125;

  /** Neighbouring rings with less between them are fitted one after the other; common practice. */
  private static final double NEAR_RING_MM = 0.25;

  private final Job job;
  private final GroupOutcome group;
  private final SeatOutcome seat;
  private final int index;
  private final List<RunStep> steps = new ArrayList<>();
  private int backCuts;

  private SeatSteps(Job job, GroupOutcome group, SeatOutcome seat) {
    this.job = job;
    this.group = group;
    this.seat = seat;
    this.index = group.seats().indexOf(seat);
  }

  static List<RunStep> of(Job job, CutSheet cutSheet, SeatOutcome seat) {
    GroupOutcome group = cutSheet.group();
    SeatSteps all = new SeatSteps(job, group, seat);
    List<CutSheet.Step> sheet = cutSheet.steps();
    int operations = group.plan().operations().size();
    List<CutSheet.Step> valve = sheet.subList(operations, sheet.size());
    all.guide();
    // The valve that will run is at hand and faced: pointer and lapped ring are read by it.
    valve.stream().filter(SeatSteps::makesReady).forEach(all::valveWork);
    for (int k = 0; k < operations; k++) {
      all.operation(k, sheet.get(k));
    }
    valve.stream().filter(step -> !makesReady(step)).forEach(all::valveWork);
    all.seal();
    return all.steps;
  }

  private static boolean makesReady(CutSheet.Step step) {
    return step.kind() == StepKind.VALVE || step.kind() == StepKind.FACE;
  }

  private double shop(ShopFigure figure) {
    return job.shop().value(figure);
  }

  private void add(
      StepKind kind,
      String key,
      String tool,
      Message title,
      OptionalInt operation,
      List<Line> lines,
      List<Target> targets,
      Optional<Message> check,
      Optional<Message> caution) {
    steps.add(
        new RunStep(
            seat.place().label() + ":" + key,
            seat.place(),
            kind,
            tool,
            title,
            operation.isPresent()
                ? Optional.of(Subject.operation(group.plan().idAt(operation.getAsInt())))
                : Optional.empty(),
            operation,
            lines,
            targets,
            check,
            caution));
  }

  /** Everything is referred to the guide, so it comes first. */
  private void guide() {
    List<Line> lines = new ArrayList<>();
    GuideBore.mm(job, seat.place())
        .ifPresent(bore -> lines.addAll(pilot(PilotFit.largest(bore, job.shop()))));
    OptionalDouble retainer = seat.reading(ReadingKind.RETAINER);
    retainer.ifPresent(mm -> lines.add(new Line(Message.of("run.retainer"), Term.length(mm))));
    double lower = Math.max(0, shop(ShopFigure.RETAINER_GAP) - retainer.orElse(Double.MAX_VALUE));
    if (lower > 0) {
      lines.add(new Line(Message.of("run.guideLower"), Term.length(lower)));
    }
    add(
        StepKind.GUIDE,
        StepKind.GUIDE.key(),
        StepKind.GUIDE.key(),
        Message.of(StepKind.GUIDE),
        OptionalInt.empty(),
        lines,
        List.of(Target.kept(ReadBack.GUIDE_BORE), guideHeight(lower)),
        Optional.of(Message.of("run.guide.check")),
        Optional.empty());
  }

  /** As it was read first, less what the retainer lacks; only kept until then. */
  private Target guideHeight(double lowerMm) {
    OptionalDouble found =
        job.log().entries().stream()
            .filter(e -> e.seat().equals(seat.place().label()))
            .flatMap(e -> e.taken().stream())
            .filter(t -> t.what() == ReadBack.GUIDE_HEIGHT)
            .mapToDouble(WorkEntry.Taken::value)
            .findFirst();
    if (found.isEmpty() || lowerMm == 0) {
      return Target.kept(ReadBack.GUIDE_HEIGHT);
    }
    double wanted = found.getAsDouble() - lowerMm;
    return new Target(
        ReadBack.GUIDE_HEIGHT,
        OptionalDouble.of(wanted),
        OptionalDouble.empty(),
        OptionalDouble.of(wanted));
  }

  private static List<Line> pilot(PilotFit pilot) {
    return List.of(
        new Line(Message.of("run.guideBore"), Term.fineLength(pilot.guideBoreMm())),
        new Line(Message.of("run.pilot"), Term.fineLength(pilot.pilotMm())),
        new Line(Message.of("run.pilotClearance"), Term.fineLength(pilot.clearanceMm())),
        new Line(Message.of("run.pilotRunout"), Term.fineLength(pilot.seatRunoutMm())));
  }

  private void operation(int place, CutSheet.Step sheet) {
    Operation operation = group.plan().operations().get(place);
    Cutting.Step done = group.steps(place).get(index);
    StepKind kind = StepKind.of(operation.key()).orElseThrow();
    List<Line> lines = new ArrayList<>();
    if (operation instanceof CutForm form) {
      lines.addAll(tilt());
      lines.add(new Line(Message.of("run.pointerBy"), Term.quote(seat.place().label())));
      lines.add(
          new Line(
              Message.of("run.startAt"),
              Term.length(pointerMm(form) - shop(ShopFigure.START_INSIDE))));
    }
    if (operation instanceof FitRing) {
      lines.add(new Line(Message.of("run.ringOrder"), Term.phrase(ringOrder())));
    }
    lines.addAll(own(sheet));
    if (operation instanceof Blend || operation instanceof OpenBowl) {
      lines.add(
          new Line(
              Message.of("run.template"),
              Term.length(group.plan().wanted().seat().throatDiameterMm())));
    }
    String key = "op" + group.plan().idAt(place);
    add(
        kind,
        key,
        tool(operation),
        sheet.title(),
        OptionalInt.of(place),
        lines,
        targets(operation, done),
        sheet.check(),
        sheet.caution());
    if (operation instanceof CutForm) {
      contact(place, key);
    }
  }

  private double pointerMm(CutForm form) {
    return form.seatDiameterMm().orElse(group.plan().wanted().seat().outsideDiameterMm());
  }

  private List<Line> tilt() {
    Lean lean = job.leanOf(seat.place());
    CantTilt tilt = CantTilt.of(lean.alongDeg(), lean.acrossDeg());
    if (tilt.leanDeg() == 0) {
      return List.of();
    }
    List<Line> lines = new ArrayList<>();
    lines.add(new Line(Message.of("run.tiltAcross"), Term.angle(tilt.acrossDeg())));
    if (tilt.alongDeg() != 0) {
      lines.add(new Line(Message.of("run.tiltAlong"), Term.angle(tilt.alongDeg())));
    }
    return lines;
  }

  /**
   * The exhaust ring sheds the heat and is kept whole: where rings come near each other it is
   * fitted last, so that what has to give way is the intake's.
   */
  private Message ringOrder() {
    OptionalDouble bridge = seat.reading(ReadingKind.BRIDGE);
    boolean near = bridge.isPresent() && bridge.getAsDouble() < NEAR_RING_MM;
    String which = seat.place().port() == Port.INTAKE ? "first" : "last";
    return Message.of("run.ringOrder." + (near ? which : "any"));
  }

  /** What the sheet says of this seat. */
  private List<Line> own(CutSheet.Step sheet) {
    return sheet.lines().stream()
        .filter(l -> l.perSeat().get(index).isPresent())
        .map(l -> new Line(l.name(), l.perSeat().get(index).get()))
        .toList();
  }

  /** The same tool with the same settings but its depth, which a stop sets for each seat. */
  private String tool(Operation operation) {
    StringBuilder tool = new StringBuilder(operation.key());
    for (OperationSetting<?> setting : operation.settings()) {
      if (!(setting instanceof OperationSetting.Depth<?>)) {
        tool.append(' ').append(setting.term(operation, group.plan().wanted().seat()));
      }
    }
    if (operation instanceof CutForm) {
      tool.append(' ').append(group.plan().wanted().seat().stack().elements());
    }
    return tool.toString();
  }

  private List<Target> targets(Operation operation, Cutting.Step done) {
    List<Target> targets = new ArrayList<>();
    switch (operation) {
      case FitRing ring ->
          targets.add(
              Target.about(ReadBack.COUNTERBORE, ring.counterboreMm(), COUNTERBORE_TOLERANCE_MM));
      case OpenThroat throat ->
          targets.add(
              Target.about(
                  ReadBack.THROAT,
                  throat.diameterMm().orElse(group.plan().wanted().seat().throatDiameterMm()),
                  shop(ShopFigure.THROAT_TOLERANCE)));
      case CutForm form -> {
        targets.add(
            new Target(
                ReadBack.POINTER,
                OptionalDouble.of(pointerMm(form) - shop(ShopFigure.START_INSIDE)),
                OptionalDouble.empty(),
                OptionalDouble.of(pointerMm(form))));
        done.depthMm()
            .ifPresent(
                mm ->
                    targets.add(
                        Target.about(ReadBack.SEAT_DEPTH, mm, shop(ShopFigure.DEPTH_TOLERANCE))));
        seat.reading(ReadingKind.SEAT_WIDTH)
            .ifPresent(
                mm ->
                    targets.add(
                        Target.about(ReadBack.SEAT_WIDTH, mm, shop(ShopFigure.WIDTH_TOLERANCE))));
      }
      case OpenBowl bowl ->
          targets.add(
              Target.about(
                  ReadBack.BOWL,
                  bowl.diameterMm().orElse(group.plan().wanted().seat().bowlDiameterMm()),
                  BOWL_TOLERANCE_MM));
      default -> {
        // Judged by the eye and the template.
      }
    }
    return targets;
  }

  /** See where it touches: after the form, before anything else is cut. */
  private void contact(int place, String key) {
    var contact = seat.cut().fit().seated().map(s -> s.contact());
    List<Target> targets =
        contact
            .map(
                c ->
                    List.of(
                        Target.about(
                            ReadBack.RING_OUTSIDE,
                            c.outsideDiameterMm(),
                            2 * shop(ShopFigure.WIDTH_TOLERANCE)),
                        Target.about(
                            ReadBack.RING_INSIDE,
                            c.insideDiameterMm(),
                            2 * shop(ShopFigure.WIDTH_TOLERANCE))))
            .orElse(List.of());
    List<Line> lines = new ArrayList<>();
    contact.ifPresent(
        c -> {
          lines.add(new Line(Message.of("run.ringFromMargin"), Term.length(c.fromMarginMm())));
          lines.add(new Line(Message.of("run.ringWidth"), Term.length(c.widthMm())));
        });
    add(
        StepKind.CONTACT,
        key + ".contact",
        tool(group.plan().operations().get(place)),
        Message.of(StepKind.CONTACT),
        OptionalInt.of(place),
        lines,
        targets,
        Optional.of(Message.of("run.contact.check")),
        Optional.empty());
  }

  private void valveWork(CutSheet.Step step) {
    Valve planned = group.plan().wanted().valve();
    switch (step.kind()) {
      case VALVE -> {
        if (CutSheet.isOtherValve(seat.cut())) {
          face(step, planned);
        }
      }
      case FACE -> face(step, planned);
      case BACK_CUT -> backCut(step, planned, ++backCuts);
      default -> {
        underhead(planned, seat.cut().foundValve());
        assembly(step);
      }
    }
  }

  private void face(CutSheet.Step step, Valve planned) {
    boolean other = step.kind() == StepKind.VALVE;
    List<Line> lines = new ArrayList<>(own(step));
    lines.add(new Line(Message.of("run.pair"), Term.quote(seat.place().label())));
    add(
        step.kind(),
        step.kind().key(),
        step.kind().key() + " " + planned.faceAngleDeg(),
        step.title(),
        OptionalInt.empty(),
        lines,
        other ? List.of() : List.of(Target.atLeast(ReadBack.MARGIN, planned.marginMm())),
        step.check(),
        step.caution());
  }

  /** Up to the inner edge of the lapped ring, less a sliver. */
  private void backCut(CutSheet.Step step, Valve planned, int number) {
    List<Line> lines = new ArrayList<>(own(step));
    double sliver = shop(ShopFigure.SLIVER);
    lines.add(new Line(Message.of("run.sliver"), Term.length(sliver)));
    OptionalDouble asLapped = SetUp.faceLeftOfRingMm(job, seat);
    asLapped.ifPresent(
        mm -> lines.add(new Line(Message.of("run.faceLeftByRing"), Term.length(mm))));
    double left = asLapped.orElse(planned.faceWidthMm());
    add(
        StepKind.BACK_CUT,
        StepKind.BACK_CUT.key() + number,
        StepKind.BACK_CUT.key() + " " + planned.backCuts().get(number - 1).angleDeg(),
        step.title(),
        OptionalInt.empty(),
        lines,
        number == 1
            ? List.of(Target.about(ReadBack.FACE_WIDTH, left, shop(ShopFigure.WIDTH_TOLERANCE)))
            : List.of(),
        step.check(),
        step.caution());
  }

  private void underhead(Valve planned, Valve found) {
    if (!planned.backCuts().isEmpty() || !planned.underhead().equals(found.underhead())) {
      add(
          StepKind.UNDERHEAD,
          StepKind.UNDERHEAD.key(),
          StepKind.UNDERHEAD.key(),
          Message.of(StepKind.UNDERHEAD),
          OptionalInt.empty(),
          List.of(
              new Line(
                  Message.of("quantity.underheadAngle"),
                  Term.angle(planned.underhead().angleDeg())),
              new Line(
                  Message.of("quantity.underheadRadius"),
                  Term.length(planned.underhead().filletRadiusMm()))),
          List.of(),
          Optional.of(Message.of("run.underhead.check")),
          Optional.of(Message.of("run.underhead.caution")));
    }
    if (planned.edgeRadiusMm() > 0) {
      add(
          StepKind.EDGE,
          StepKind.EDGE.key(),
          StepKind.EDGE.key() + " " + planned.edgeRadiusMm(),
          Message.of(StepKind.EDGE),
          OptionalInt.empty(),
          List.of(
              new Line(
                  Message.of("quantity.marginEdgeRadius"), Term.length(planned.edgeRadiusMm()))),
          List.of(),
          Optional.empty(),
          Optional.of(Message.of("run.edge.caution")));
    }
  }

  private void assembly(CutSheet.Step step) {
    List<Target> targets = new ArrayList<>();
    seat.reading(ReadingKind.VALVE_HEIGHT)
        .ifPresent(
            mm ->
                targets.add(
                    Target.about(ReadBack.VALVE_DEPTH, -mm, shop(ShopFigure.DEPTH_TOLERANCE))));
    if (job.head().readingsOf(seat.place().label()).value(Measure.SPRING_HEIGHT).isPresent()) {
      targets.add(Target.kept(ReadBack.SPRING_HEIGHT));
    }
    add(
        StepKind.ASSEMBLY,
        StepKind.ASSEMBLY.key(),
        StepKind.ASSEMBLY.key(),
        step.title(),
        OptionalInt.empty(),
        own(step),
        targets,
        step.check(),
        step.caution());
  }

  private void seal() {
    add(
        StepKind.SEAL,
        StepKind.SEAL.key(),
        StepKind.SEAL.key(),
        Message.of(StepKind.SEAL),
        OptionalInt.empty(),
        List.of(),
        List.of(
            Target.atMost(ReadBack.SEAT_RUNOUT, shop(ShopFigure.MOST_RUNOUT)),
            Target.kept(ReadBack.VACUUM_DRY)),
        Optional.of(Message.of("run.seal.check")),
        Optional.empty());
  }
}
