package finebore.job;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.CutForm;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.UsualOperations;
import finebore.finding.Subject;
import finebore.valve.Pairing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntUnaryOperator;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What is to become of a seat: the seat and valve wanted, and the operations that bring them in.
 *
 * @param wanted seat and valve; open settings of the operations are taken from it
 * @param steps the operations in the order of the work, each with an id that lasts
 * @param overrules faults accepted with a reason
 * @param toConfirm overrules of an older file
 * @param follows whether nobody has set anything yet, so that it follows the head as found
 * @param ready whether someone has marked it ready to cut; any change takes the mark off
 */
public record Plan(
    Pairing wanted,
    List<PlannedStep> steps,
    List<Overrule> overrules,
    List<OldOverrule> toConfirm,
    boolean follows,
    boolean ready) {

  /** More operations than this are a mistake. */
  public static final int MOST_OPERATIONS = 40;

  /**
   * An operation of a plan.
   *
   * @param id its number in the plan, which it keeps wherever it is moved to and which no other
   *     operation gets after it
   */
  public record PlannedStep(int id, Operation operation) {}

  public Plan {
    steps = List.copyOf(steps);
    overrules = List.copyOf(overrules);
    toConfirm = List.copyOf(toConfirm);
    if (steps.size() > MOST_OPERATIONS) {
      throw RuleViolation.of("operationsInPlan")
          .with("most", Term.count(MOST_OPERATIONS))
          .with("value", Term.count(steps.size()));
    }
    if (steps.stream().mapToInt(PlannedStep::id).distinct().count() < steps.size()) {
      throw RuleViolation.of("operationIdsDiffer");
    }
  }

  /** A plan of operations numbered from 1. */
  public static Plan of(Pairing wanted, List<Operation> operations) {
    return new Plan(wanted, numbered(operations, k -> k + 1), List.of(), List.of(), false, false);
  }

  /** A plan that brings a pairing in by the usual operations. */
  public static Plan usual(Pairing wanted) {
    return of(wanted, UsualOperations.asPlanned());
  }

  /** A plan that trues up what was found, and follows it until someone sets something. */
  public static Plan asFound(Pairing found) {
    List<Operation> operations =
        List.of(
            OpenThroat.AS_WANTED,
            new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(0, false)),
            OpenBowl.AS_WANTED);
    return new Plan(found, of(found, operations).steps, List.of(), List.of(), true, false);
  }

  private static List<PlannedStep> numbered(List<Operation> operations, IntUnaryOperator id) {
    return IntStream.range(0, operations.size())
        .mapToObj(k -> new PlannedStep(id.applyAsInt(k), operations.get(k)))
        .toList();
  }

  /** The operations in the order of the work. */
  public List<Operation> operations() {
    return steps.stream().map(PlannedStep::operation).toList();
  }

  /** The id of the operation at a place. */
  public int idAt(int place) {
    return steps.get(place).id();
  }

  /** The operation that a finding's subject names, if the plan has it. */
  public Optional<Operation> operationOf(Subject subject) {
    return steps.stream()
        .filter(s -> subject.isOperation(s.id()))
        .map(PlannedStep::operation)
        .findFirst();
  }

  /** Place of the operation that a subject names, from 1; 0 where the plan has it no more. */
  public int placeOf(Subject subject) {
    return IntStream.range(0, steps.size())
        .filter(k -> subject.isOperation(steps.get(k).id()))
        .map(k -> k + 1)
        .findFirst()
        .orElse(0);
  }

  /** Larger than every id that was ever given out and still stands anywhere in the plan. */
  private int nextId() {
    IntStream given =
        overrules.stream()
            .map(Overrule::subject)
            .filter(s -> s.kind() == Subject.Kind.OPERATION)
            .mapToInt(s -> Integer.parseInt(s.id()));
    return IntStream.concat(steps.stream().mapToInt(PlannedStep::id), given).max().orElse(0) + 1;
  }

  public Plan withWanted(Pairing changed) {
    return new Plan(changed, steps, overrules, toConfirm, false, false);
  }

  /** With what was found as the wanted seat and valve, while nobody has set anything. */
  public Plan withFound(Pairing found) {
    return follows ? new Plan(found, steps, overrules, toConfirm, true, false) : this;
  }

  /**
   * With another wanted pairing that the operations follow: where it differs in a size that an
   * operation has set for itself, that setting is opened again, or the change would show nowhere.
   */
  public Plan following(Pairing changed) {
    return withWanted(changed)
        .withSteps(
            steps.stream()
                .map(
                    s ->
                        new PlannedStep(
                            s.id(), s.operation().following(wanted.seat(), changed.seat())))
                .toList());
  }

  /** With other operations altogether, which get ids of their own. */
  public Plan withOperations(List<Operation> changed) {
    int next = nextId();
    return withSteps(numbered(changed, k -> next + k));
  }

  private Plan withSteps(List<PlannedStep> changed) {
    return new Plan(wanted, changed, overrules, toConfirm, false, false);
  }

  public Plan withReady(boolean changed) {
    return new Plan(wanted, steps, overrules, toConfirm, follows, changed);
  }

  /** With an operation put in before a place. */
  public Plan withOperation(int place, Operation operation) {
    List<PlannedStep> changed = new ArrayList<>(steps);
    changed.add(place, new PlannedStep(nextId(), operation));
    return withSteps(changed);
  }

  /** With an operation set otherwise. */
  public Plan withOperationAt(int place, Operation operation) {
    List<PlannedStep> changed = new ArrayList<>(steps);
    changed.set(place, new PlannedStep(idAt(place), operation));
    return withSteps(changed);
  }

  public Plan withoutOperation(int place) {
    List<PlannedStep> changed = new ArrayList<>(steps);
    changed.remove(place);
    return withSteps(changed);
  }

  /** With an operation moved up or down by one. */
  public Plan withOperationMoved(int place, int by) {
    List<PlannedStep> changed = new ArrayList<>(steps);
    changed.add(place + by, changed.remove(place));
    return withSteps(changed);
  }

  /** With a fault accepted; an earlier reason for the same one is replaced. */
  public Plan withOverrule(Overrule overrule) {
    List<Overrule> changed =
        Stream.concat(
                overrules.stream()
                    .filter(o -> !o.isOf(overrule.code(), overrule.seat(), overrule.subject())),
                Stream.of(overrule))
            .toList();
    return new Plan(wanted, steps, changed, toConfirm, follows, false);
  }

  public Plan withoutOverrule(Overrule overrule) {
    List<Overrule> changed = overrules.stream().filter(o -> !o.equals(overrule)).toList();
    return new Plan(wanted, steps, changed, toConfirm, follows, false);
  }

  /** Without an overrule of an older file. */
  public Plan withoutOld(OldOverrule overrule) {
    List<OldOverrule> changed = toConfirm.stream().filter(o -> !o.equals(overrule)).toList();
    return new Plan(wanted, steps, overrules, changed, follows, false);
  }
}
