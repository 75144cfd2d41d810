package finebore.finding;

import finebore.code.Coded;

/**
 * Everything that can be found of a head, a seat or a plan. The key is its name in files and the
 * languages' files, and never changes.
 */
public enum FindingCode implements Coded {
  // Valve on seat.
  VALVE_FALLS_THROUGH("valveFallsThrough"),
  TOUCHES_ELSEWHERE("touchesElsewhere"),
  SEAT_LARGER_THAN_VALVE("seatLargerThanValve"),
  CONTACT_PAST_FACE("contactPastFace"),
  SQUARE_STEP("squareStep"),
  CUTS_COME_SHORT("cutsComeShort"),
  CUT_ABOVE_COMES_SHORT("cutAboveComesShort"),
  OUT_OF_RANGE("outOfRange"),
  NO_BACK_CUT("noBackCut"),
  // Operations and what they leave.
  CANNOT_BE_CARRIED_OUT("cannotBeCarriedOut"),
  HANGS_UP("hangsUp"),
  NEVER_TOUCHES("neverTouches"),
  DOES_NOT_CLEAN_UP("doesNotCleanUp"),
  LEANS_TOO_FAR("leansTooFar"),
  THROUGH_TO_WATER("throughToWater"),
  PAST_RING("pastRing"),
  THROUGH_RING_FLOOR("throughRingFloor"),
  PAST_FIRE_RING("pastFireRing"),
  WALL_INTO_WATER("wallIntoWater"),
  WALL_INTO_PLUG("wallIntoPlug"),
  RINGS_MEET("ringsMeet"),
  THROAT_LARGER_ALREADY("throatLargerAlready"),
  METAL_LACKING("metalLacking"),
  RIDGE_OVER_SEAT("ridgeOverSeat"),
  LEDGE_IN_THROAT("ledgeInThroat"),
  // What it is judged by.
  PRACTICE_NOT_INSTALLED("practiceNotInstalled"),
  // Flow.
  PORT_HOLDS_BACK("portHoldsBack"),
  UNLIKE_SOLVED("unlikeSolved"),
  // Readings.
  READING_MISSING("readingMissing"),
  READINGS_CONTRADICT("readingsContradict"),
  OUT_OF_FAMILY("outOfFamily"),
  THROATS_OUT_OF_FAMILY("throatsOutOfFamily"),
  GUIDE_WORN("guideWorn"),
  GUIDE_NOT_RENEWED("guideNotRenewed"),
  PLACES_DISAGREE("placesDisagree"),
  VALVE_PAST_FIRE_RING("valvePastFireRing"),
  OUTSIDE_OUTLINE("outsideOutline"),
  THIN_WALL("thinWall"),
  // What cannot be.
  THROAT_WITHIN_STEM("throatWithinStem"),
  HEADS_OVERLAP("headsOverlap"),
  HEAD_PAST_BORE("headPastBore"),
  HITS_PISTON("hitsPiston"),
  VALVES_HIT("valvesHit"),
  SEAT_BELOW_BOWL("seatBelowBowl"),
  // The head as a whole.
  HEAD_TOO_THIN("headTooThin"),
  HEAD_THICKER_THAN_NEW("headThickerThanNew"),
  HEAD_SKIMMED("headSkimmed");

  private final String key;

  FindingCode(String key) {
    this.key = key;
  }

  public String key() {
    return key;
  }

  @Override
  public String code() {
    return "finding." + key;
  }
}
