package finebore.job;

import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.UsualOperations;
import finebore.seat.Seat;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What is to become of a seat: the seat and valve wanted, and the operations that bring them in.
 *
 * @param wanted seat and valve; open settings of the operations are taken from it
 * @param operations in the order of the work
 * @param overrules limits passed with a reason
 * @param ready whether someone has marked it ready to cut; any change takes the mark off
 */
public record Plan(
    Pairing wanted, List<Operation> operations, List<Overrule> overrules, boolean ready) {

  /** More operations than this are a mistake. */
  private static final int MOST = 40;

  public Plan {
    operations = List.copyOf(operations);
    overrules = List.copyOf(overrules);
    if (operations.size() > MOST) {
      throw new IllegalArgumentException(
          "a plan takes at most " + MOST + " operations, had " + operations.size());
    }
  }

  /** A plan that brings a pairing in by the usual operations. */
  public static Plan usual(Pairing wanted) {
    return new Plan(wanted, UsualOperations.asPlanned(), List.of(), false);
  }

  public Plan withWanted(Pairing changed) {
    return new Plan(changed, operations, overrules, false);
  }

  /**
   * With another wanted pairing that the operations follow: where it differs in a size that an
   * operation has set for itself, that setting is opened again, or the change would show nowhere.
   */
  public Plan following(Pairing changed) {
    Seat before = wanted.seat();
    Seat after = changed.seat();
    List<Operation> follow = new ArrayList<>();
    for (Operation operation : operations) {
      follow.add(
          switch (operation) {
            case Operation.OpenThroat open
                when before.throatDiameterMm() != after.throatDiameterMm() ->
                new Operation.OpenThroat(OptionalDouble.empty(), open.taperDeg(), open.depthMm());
            case Operation.CutForm form -> following(form, before, after);
            case Operation.OpenBowl bowl when before.bowlDiameterMm() != after.bowlDiameterMm() ->
                new Operation.OpenBowl(OptionalDouble.empty(), bowl.depthMm());
            default -> operation;
          });
    }
    return withWanted(changed).withOperations(follow);
  }

  private static Operation following(Operation.CutForm form, Seat before, Seat after) {
    boolean moved = before.outsideDiameterMm() != after.outsideDiameterMm();
    boolean deeper = before.depthMm() != after.depthMm();
    return new Operation.CutForm(
        form.cutter(),
        moved ? OptionalDouble.empty() : form.seatDiameterMm(),
        deeper ? new Plunge.AsPlanned() : form.plunge());
  }

  public Plan withOperations(List<Operation> changed) {
    return new Plan(wanted, changed, overrules, false);
  }

  public Plan withReady(boolean changed) {
    return new Plan(wanted, operations, overrules, changed);
  }

  /** With an operation put in before a place. */
  public Plan withOperation(int place, Operation operation) {
    List<Operation> changed = new ArrayList<>(operations);
    changed.add(place, operation);
    return withOperations(changed);
  }

  /** With an operation in place of another. */
  public Plan withOperationAt(int place, Operation operation) {
    List<Operation> changed = new ArrayList<>(operations);
    changed.set(place, operation);
    return withOperations(changed);
  }

  public Plan withoutOperation(int place) {
    List<Operation> changed = new ArrayList<>(operations);
    changed.remove(place);
    return withOperations(changed);
  }

  /** With an operation moved up or down by one. */
  public Plan withOperationMoved(int place, int by) {
    List<Operation> changed = new ArrayList<>(operations);
    changed.add(place + by, changed.remove(place));
    return withOperations(changed);
  }

  /** With a limit passed; an earlier reason at the same place is replaced. */
  public Plan withOverrule(Overrule overrule) {
    List<Overrule> changed = new ArrayList<>(withoutOverrule(overrule.where()).overrules());
    changed.add(overrule);
    return new Plan(wanted, operations, changed, false);
  }

  public Plan withoutOverrule(String where) {
    return new Plan(
        wanted,
        operations,
        overrules.stream().filter(o -> !o.where().equals(where)).toList(),
        false);
  }
}
