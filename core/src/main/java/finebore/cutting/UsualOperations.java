package finebore.cutting;

import finebore.found.Ring;
import finebore.seat.Seat;
import java.util.List;
import java.util.Optional;

/** The operations that bring a wanted seat in, in the order of the work. */
public final class UsualOperations {

  /** Repair rings come larger by this on the diameter, mm. */
  private static final double LARGER_MM = 0.5;

  private static final double WALL_MM = 2;
  private static final double UNDER_CUTS_MM = 3;

  private UsualOperations() {}

  /**
   * Throat before seat, then a form with the wanted cuts, then the bowl; every setting as the
   * wanted seat has it. What is there already takes nothing.
   */
  public static List<Operation> asPlanned() {
    return List.of(OpenThroat.AS_WANTED, CutForm.AS_WANTED, OpenBowl.AS_WANTED);
  }

  /**
   * A ring to begin with round a wanted seat: a little larger than the one that is there, or with a
   * usual wall and floor; common practice, no source.
   */
  public static Ring ring(Seat wanted, Optional<Ring> old) {
    if (old.isPresent()) {
      Ring there = old.get();
      return new Ring(
          there.outsideDiameterMm() + LARGER_MM,
          there.insideDiameterMm(),
          there.floorMm(),
          there.heightMm(),
          there.fitMm(),
          there.material());
    }
    double floor = wanted.lowestMm() + UNDER_CUTS_MM;
    return new Ring(
        Math.ceil(wanted.outsideDiameterMm() + 2 * WALL_MM),
        Math.max(3, wanted.throatDiameterMm() - 1),
        floor,
        floor - wanted.depthMm() + 1,
        0.1,
        "");
  }
}
