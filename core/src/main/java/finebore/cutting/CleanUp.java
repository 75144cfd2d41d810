package finebore.cutting;

import finebore.section.Profile;
import java.util.List;
import java.util.OptionalDouble;

/**
 * How deep a form must go to show all round, over every side of the found seat. Depths are of the
 * seat's outside edge below the head face, mm.
 *
 * @param touchMm where it first touches anywhere
 * @param sealingMm where the sealing cut shows all round over its whole width; empty if it never
 *     touches
 * @param allMm where every cut that can touch does so
 * @param worstClock the side that comes in last, hours
 */
public record CleanUp(
    OptionalDouble touchMm, OptionalDouble sealingMm, OptionalDouble allMm, double worstClock) {

  /** A wall of the seat and the clock position it stands at. */
  public record Wall(double clock, Profile profile) {}

  /** Works it out. */
  public static CleanUp of(Form form, List<Wall> walls) {
    double touch = Double.POSITIVE_INFINITY;
    double sealing = Double.NEGATIVE_INFINITY;
    double all = Double.NEGATIVE_INFINITY;
    double worst = 12;
    for (Wall wall : walls) {
      for (int k = 0; k < form.cuts().size(); k++) {
        OptionalDouble clean = form.cleanDepth(k, wall.profile());
        touch = Math.min(touch, form.touchDepth(k, wall.profile()).orElse(touch));
        all = Math.max(all, clean.orElse(all));
        if (k == form.sealing() && clean.orElse(sealing) > sealing) {
          sealing = clean.getAsDouble();
          worst = wall.clock();
        }
      }
    }
    return new CleanUp(finite(touch), finite(sealing), finite(all), worst);
  }

  private static OptionalDouble finite(double value) {
    return Double.isInfinite(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
