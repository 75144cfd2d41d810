package finebore.job;

import finebore.flow.CamLift;
import finebore.section.Bounds;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * All intakes or all exhausts of a head: as found, the plans for them, and the cam that lifts them.
 *
 * @param found as measured; stands in for what was not measured of a single seat
 * @param plans the variants A, B, C; one at least, three at most
 * @param chosen which of them is the plan, an index
 * @param cam lift at the valve
 * @param axisFromBoreMm distance from the valve's axis to the cylinder's, if measured
 * @param retainerToSealMm clearance from spring retainer to stem seal with the found valve closed,
 *     if measured
 */
public record Group(
    Pairing found,
    List<Plan> plans,
    int chosen,
    CamLift cam,
    OptionalDouble axisFromBoreMm,
    OptionalDouble retainerToSealMm) {

  /** More variants than this cannot stand side by side. */
  public static final int MOST_PLANS = 3;

  public Group {
    plans = List.copyOf(plans);
    if (plans.isEmpty() || plans.size() > MOST_PLANS) {
      throw new IllegalArgumentException(
          "a group needs 1 to " + MOST_PLANS + " plans, had " + plans.size());
    }
    if (chosen < 0 || chosen >= plans.size()) {
      throw new IllegalArgumentException(
          "the chosen plan must be one of " + plans.size() + ", was number " + (chosen + 1));
    }
    axisFromBoreMm.ifPresent(
        mm -> Bounds.check("distance from valve axis to bore axis", mm, 0, 250, "mm"));
    retainerToSealMm.ifPresent(mm -> Bounds.check("retainer to seal clearance", mm, 0, 60, "mm"));
  }

  /** A group with one plan, brought in by the usual operations. */
  public static Group of(
      Pairing found,
      Pairing wanted,
      CamLift cam,
      OptionalDouble axisFromBoreMm,
      OptionalDouble retainerToSealMm) {
    return new Group(found, List.of(Plan.usual(wanted)), 0, cam, axisFromBoreMm, retainerToSealMm);
  }

  /** The name of a variant: A, B or C. */
  public static String planName(int index) {
    return String.valueOf((char) ('A' + index));
  }

  public Plan plan() {
    return plans.get(chosen);
  }

  /** Seat and valve that the chosen plan wants. */
  public Pairing planned() {
    return plan().wanted();
  }

  public Group withFound(Pairing changed) {
    return new Group(changed, plans, chosen, cam, axisFromBoreMm, retainerToSealMm);
  }

  public Group withPlanned(Pairing changed) {
    return withPlan(plan().withWanted(changed));
  }

  /** With another plan in place of the chosen one. */
  public Group withPlan(Plan changed) {
    List<Plan> others = new ArrayList<>(plans);
    others.set(chosen, changed);
    return withPlans(others, chosen);
  }

  public Group withPlans(List<Plan> changed, int choose) {
    return new Group(found, changed, choose, cam, axisFromBoreMm, retainerToSealMm);
  }

  /** With a copy of the chosen plan as a further variant, which becomes the chosen one. */
  public Group withVariant() {
    List<Plan> more = new ArrayList<>(plans);
    more.add(plan().withReady(false));
    return withPlans(more, more.size() - 1);
  }

  /** Without the chosen variant. */
  public Group withoutVariant() {
    List<Plan> fewer = new ArrayList<>(plans);
    fewer.remove(chosen);
    return withPlans(fewer, Math.max(0, chosen - 1));
  }

  public Group withCam(CamLift changed) {
    return new Group(found, plans, chosen, changed, axisFromBoreMm, retainerToSealMm);
  }

  public Group withAxisFromBore(OptionalDouble changed) {
    return new Group(found, plans, chosen, cam, changed, retainerToSealMm);
  }

  public Group withRetainerToSeal(OptionalDouble changed) {
    return new Group(found, plans, chosen, cam, axisFromBoreMm, changed);
  }
}
