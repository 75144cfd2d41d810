package finebore.cutting;

import java.util.List;
import java.util.OptionalDouble;

/** The operations that bring a wanted seat in, in the order of the work. */
public final class UsualOperations {

  private UsualOperations() {}

  /**
   * Throat before seat, then a form with the wanted cuts, then the bowl; every setting as the
   * wanted seat has it. What is there already takes nothing.
   */
  public static List<Operation> asPlanned() {
    OptionalDouble open = OptionalDouble.empty();
    return List.of(
        new Operation.OpenThroat(open, 0, open),
        new Operation.CutForm("", open, new Plunge.AsPlanned()),
        new Operation.OpenBowl(open, open));
  }
}
