package finebore.job;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.flow.CamLift;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.valve.Pairing;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;

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
 * @param pistonSide when the valves open, and what the piston has for them
 */
@RecordBuilder
public record Group(
    Pairing found,
    List<Plan> plans,
    int chosen,
    CamLift cam,
    OptionalDouble axisFromBoreMm,
    OptionalDouble retainerToSealMm,
    PistonSide pistonSide)
    implements GroupBuilder.With {

  /** More variants than this cannot stand side by side. */
  public static final int MOST_PLANS = 3;

  public Group {
    plans = List.copyOf(plans);
    if (plans.isEmpty() || plans.size() > MOST_PLANS) {
      throw RuleViolation.of("plansInGroup")
          .with("most", Term.count(MOST_PLANS))
          .with("value", Term.count(plans.size()));
    }
    if (chosen < 0 || chosen >= plans.size()) {
      throw RuleViolation.of("chosenPlan")
          .with("plans", Term.count(plans.size()))
          .with("value", Term.count(chosen + 1));
    }
    Quantity.AXIS_FROM_BORE.check(axisFromBoreMm);
    Quantity.RETAINER_TO_SEAL.check(retainerToSealMm);
  }

  /** A group with one plan, brought in by the usual operations. */
  public static Group of(
      Pairing found,
      Pairing wanted,
      CamLift cam,
      OptionalDouble axisFromBoreMm,
      OptionalDouble retainerToSealMm) {
    return new Group(
        found,
        List.of(Plan.usual(wanted)),
        0,
        cam,
        axisFromBoreMm,
        retainerToSealMm,
        PistonSide.UNKNOWN);
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

  public Group withPlanned(Pairing changed) {
    return withPlan(plan().withWanted(changed));
  }

  /** With another plan in place of the chosen one. */
  public Group withPlan(Plan changed) {
    List<Plan> others = new ArrayList<>(plans);
    others.set(chosen, changed);
    return withPlans(others, chosen);
  }

  /** With another of its plans as the one. */
  public Group withChosen(int place) {
    return withPlans(plans, place);
  }

  public Group withPlans(List<Plan> changed, int choose) {
    return new Group(found, changed, choose, cam, axisFromBoreMm, retainerToSealMm, pistonSide);
  }

  /** The numbers of a group that belong to no single seat. */
  public static final List<Setting<Group>> FIGURES =
      List.of(
          Setting.number(
              "maxLiftMm",
              "cam.lift",
              Quantity.CAM_LIFT,
              g -> g.cam.maxLiftMm(),
              (g, mm) -> g.withCam(g.cam.withMaxLiftMm(mm))),
          Setting.number(
              "durationDeg",
              "cam.duration",
              Quantity.CAM_DURATION,
              g -> g.cam.durationDeg(),
              (g, deg) -> g.withCam(g.cam.withDurationDeg(deg))),
          Setting.optional(
              "axisFromBoreMm",
              "group.axisFromBore",
              Quantity.AXIS_FROM_BORE,
              Group::axisFromBoreMm,
              Group::withAxisFromBoreMm),
          Setting.optional(
              "retainerToSealMm",
              "group.retainerToSeal",
              Quantity.RETAINER_TO_SEAL,
              Group::retainerToSealMm,
              Group::withRetainerToSealMm));

  /** When the valves open, and what the piston has for them. */
  public static final List<Setting<Group>> PISTON_SIDE =
      List.of(
          side(
              "camCentreDeg",
              Quantity.CAM_CENTRE,
              PistonSide::camCentreDeg,
              PistonSide::withCamCentreDeg),
          side("lashMm", Quantity.LASH, PistonSide::lashMm, PistonSide::withLashMm),
          side(
              "pocketDepthMm",
              Quantity.POCKET_DEPTH,
              PistonSide::pocketDepthMm,
              PistonSide::withPocketDepthMm),
          side(
              "pocketRadiusMm",
              Quantity.POCKET_RADIUS,
              PistonSide::pocketRadiusMm,
              PistonSide::withPocketRadiusMm),
          side(
              "pocketAngleDeg",
              Quantity.POCKET_ANGLE,
              PistonSide::pocketAngleDeg,
              PistonSide::withPocketAngleDeg),
          side(
              "pocketWallDeg",
              Quantity.POCKET_WALL,
              PistonSide::pocketWallDeg,
              PistonSide::withPocketWallDeg));

  private static Setting<Group> side(
      String id,
      Quantity quantity,
      Function<PistonSide, OptionalDouble> get,
      BiFunction<PistonSide, OptionalDouble, PistonSide> with) {
    return Setting.optional(
        id,
        "group." + id,
        quantity,
        g -> get.apply(g.pistonSide),
        (g, value) -> g.withPistonSide(with.apply(g.pistonSide, value)));
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
}
