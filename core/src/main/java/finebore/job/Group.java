package finebore.job;

import finebore.flow.CamLift;
import finebore.section.Bounds;
import java.util.OptionalDouble;

/**
 * All intakes or all exhausts of a head: as found, as planned, and the cam that lifts them.
 *
 * @param found as measured
 * @param planned as it is to become
 * @param cam lift at the valve
 * @param axisFromBoreMm distance from the valve's axis to the cylinder's, if measured
 * @param retainerToSealMm clearance from spring retainer to stem seal with the found valve closed,
 *     if measured
 */
public record Group(
    Pairing found,
    Pairing planned,
    CamLift cam,
    OptionalDouble axisFromBoreMm,
    OptionalDouble retainerToSealMm) {

  public Group {
    axisFromBoreMm.ifPresent(
        mm -> Bounds.check("distance from valve axis to bore axis", mm, 0, 250, "mm"));
    retainerToSealMm.ifPresent(mm -> Bounds.check("retainer to seal clearance", mm, 0, 60, "mm"));
  }

  public Group withFound(Pairing changed) {
    return new Group(changed, planned, cam, axisFromBoreMm, retainerToSealMm);
  }

  public Group withPlanned(Pairing changed) {
    return new Group(found, changed, cam, axisFromBoreMm, retainerToSealMm);
  }

  public Group withCam(CamLift changed) {
    return new Group(found, planned, changed, axisFromBoreMm, retainerToSealMm);
  }

  public Group withAxisFromBore(OptionalDouble changed) {
    return new Group(found, planned, cam, changed, retainerToSealMm);
  }

  public Group withRetainerToSeal(OptionalDouble changed) {
    return new Group(found, planned, cam, axisFromBoreMm, changed);
  }
}
