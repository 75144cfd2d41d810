package finebore.formats.campaign;

import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.cutting.Cutter;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.Plunge;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Figures;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.GroupOutcome;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.rules.PlanFindings;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.UnaryOperator;

/**
 * A job as a user makes it: a demo job, and then one edit after another by the ways the program
 * has, settings at their bounds often. What is refused leaves the job as it was.
 */
final class AnyEdits {

  private static final List<Practice> PRACTICES = PracticeFiles.all();
  private static final List<Cutter> RACK = RackFile.shipped();

  private final Random random;
  private Job job;

  private AnyEdits(long seed, Job job) {
    random = new Random(seed);
    this.job = job;
  }

  /** A demo job after so many edits, of which some were refused. */
  static Job of(long seed, int edits) {
    List<String> names = JobFile.demoNames();
    return on(JobFile.demo(names.get((int) (seed % names.size()))), seed, edits);
  }

  /** A job after so many more edits. */
  static Job on(Job job, long seed, int edits) {
    AnyEdits user = new AnyEdits(seed, job);
    for (int k = 0; k < edits; k++) {
      user.edit();
    }
    return user.job;
  }

  private <T> T any(List<T> list) {
    return list.get(random.nextInt(list.size()));
  }

  private double any(Quantity quantity) {
    return switch (random.nextInt(4)) {
      case 0 -> quantity.min();
      case 1 -> quantity.max();
      default -> quantity.min() + random.nextDouble() * (quantity.max() - quantity.min());
    };
  }

  /** Near what it is, or anywhere. */
  private OptionalDouble other(Quantity quantity, OptionalDouble now, boolean maybeNone) {
    if (maybeNone && random.nextInt(4) == 0) {
      return OptionalDouble.empty();
    }
    if (now.isEmpty() || random.nextInt(3) == 0) {
      return OptionalDouble.of(any(quantity));
    }
    double nudged = now.getAsDouble() * (0.8 + 0.4 * random.nextDouble());
    return OptionalDouble.of(Math.clamp(nudged, quantity.min(), quantity.max()));
  }

  private void edit() {
    Job before = job;
    try {
      switch (random.nextInt(12)) {
        case 0 -> job = job.withEngine(set(Figures.ENGINE, job.engine()));
        case 1 -> job = job.withEngine(set(Figures.PISTONS, job.engine()));
        case 2 -> job = job.withHead(set(Head.FIGURES, job.head()));
        case 3 -> layout();
        case 4 -> group(random.nextBoolean() ? Group.FIGURES : Group.PISTON_SIDE);
        case 5 -> reading();
        case 6 -> plan(p -> p.following(pairing(p.wanted())));
        case 7 -> plan(this::stack);
        case 8 -> plan(p -> p.withOperation(random.nextInt(p.steps().size() + 1), operation()));
        case 9 -> plan(this::changed);
        case 10 -> cure();
        default -> job = job.withTest(set(Figures.TEST, job.test()));
      }
    } catch (RuleViolation e) {
      job = before;
    }
  }

  private <T> T set(List<Setting<T>> settings, T thing) {
    Setting<T> setting = any(settings);
    return setting.on(
        thing,
        other(setting.quantity(), setting.of(thing), setting.empty() != Setting.Empty.NEVER));
  }

  private void layout() {
    job =
        job.withHead(
            job.head().withLayout(java.util.Optional.of(set(Figures.LAYOUT, job.layout()))));
  }

  private void group(List<Setting<Group>> settings) {
    SeatPlace place = any(job.engine().seats());
    job = job.withGroup(place.port(), set(settings, job.group(place.port())));
  }

  private void reading() {
    Measure measure = any(List.of(Measure.values()));
    String seat = any(job.engine().seats()).label();
    OptionalDouble now = job.head().readingsOf(seat).value(measure);
    job = job.withHead(job.head().withReading(seat, measure, other(measure.quantity(), now, true)));
  }

  private void plan(UnaryOperator<Plan> change) {
    SeatPlace place = any(job.engine().seats());
    Plan changed = change.apply(job.planOf(place));
    job = random.nextInt(6) == 0 ? job.withException(place, changed) : job.withPlan(place, changed);
  }

  private Pairing pairing(Pairing pairing) {
    return set(any(List.of(Figures.SEAT, Figures.VALVE, Figures.UNDERHEAD)), pairing);
  }

  /** Another stack: of the rack, or with an element that was put in, taken out or exchanged. */
  private Plan stack(Plan plan) {
    Seat seat = plan.wanted().seat();
    Valve valve = plan.wanted().valve();
    CutStack stack = seat.stack();
    int at = random.nextInt(stack.elements().size());
    Pairing changed =
        switch (random.nextInt(6)) {
          case 0 -> {
            Cutter cutter = any(RACK);
            yield plan.wanted().withSeat(seat.withCuts(cutter.elements(), cutter.sealing()));
          }
          case 1 ->
              plan.wanted()
                  .withSeat(
                      seat.withStack(
                          stack.withInserted(random.nextInt(stack.cuts().size() + 1), cut())));
          case 2 -> plan.wanted().withSeat(seat.withStack(stack.without(at)));
          case 3 ->
              plan.wanted()
                  .withSeat(
                      seat.withStack(
                          stack.withElement(
                              at,
                              new Arc(
                                  any(Quantity.CUT_ANGLE),
                                  any(Quantity.CUT_ANGLE),
                                  any(Quantity.ARC_RADIUS)))));
          case 4 -> plan.wanted().withSeat(seat.withStack(stack.withElement(at, cut())));
          default -> {
            List<Cut> backCuts = new ArrayList<>(valve.backCuts());
            backCuts.add(cut());
            yield plan.wanted().withValve(valve.withBackCuts(backCuts));
          }
        };
    return plan.following(changed);
  }

  private Cut cut() {
    return new Cut(any(Quantity.CUT_ANGLE), any(Quantity.CUT_WIDTH));
  }

  private Operation operation() {
    Operation operation = any(Operation.kinds());
    for (int k = random.nextInt(8); k > 0; k--) {
      operation = set(operation);
    }
    return operation;
  }

  private Plan changed(Plan plan) {
    if (plan.steps().isEmpty()) {
      return plan;
    }
    int at = random.nextInt(plan.steps().size());
    return random.nextInt(4) == 0
        ? plan.withoutOperation(at)
        : plan.withOperationAt(at, set(plan.operations().get(at)));
  }

  /** As the editor does: one setting at a time. */
  private Operation set(Operation operation) {
    return switch (any(operation.settings())) {
      case OperationSetting.Number<?> number -> {
        Setting<?> setting = number.setting();
        boolean open = setting.empty() != Setting.Empty.NEVER;
        yield number.on(operation, other(setting.quantity(), number.set(operation), open));
      }
      case OperationSetting.Choice<?, ?> choice ->
          choice.on(operation, (Coded) any(choice.values()));
      case OperationSetting.Text<?> text ->
          text.on(operation, any(List.of("", "A4", "  two  words", "\"quoted\"\n\u00e4\u4e16")));
      case OperationSetting.Depth<?> depth ->
          depth.on(
              operation,
              switch (random.nextInt(3)) {
                case 0 -> new Plunge.AsPlanned();
                case 1 -> new Plunge.ToDepth(any(Quantity.DEPTH_STOP));
                default -> new Plunge.UntilClean(any(Quantity.PAST_CLEAN_UP), random.nextBoolean());
              });
    };
  }

  /** One that the program proposes. */
  private void cure() {
    SeatPlace place = any(job.engine().seats());
    Practice practice = any(PRACTICES);
    Job now = job;
    List<Cure> cures =
        GroupOutcome.of(now, place).of(place).stream()
            .flatMap(o -> PlanFindings.of(o, practice).stream())
            .map(Finding::cure)
            .flatMap(java.util.Optional::stream)
            .toList();
    if (!cures.isEmpty()) {
      job = job.withPlan(place, any(cures).applyTo(job.planOf(place)));
    }
  }
}
