package finebore.work;

import finebore.code.Coded;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Kinds of work on one seat and its valve, in the order in which they must happen. The key is the
 * name in files.
 */
public enum StepKind implements Coded {
  GUIDE("guide", 8, 10),
  VALVE("valve", 1, 0),
  FACE("face", 3, 5),
  FIT_RING("fitRing", 12, 15),
  THROAT("openThroat", 3, 5),
  FORM("cutForm", 6, 10),
  CONTACT("contact", 3, 0),
  ANGLE("cutAngle", 4, 6),
  SWEEP("sweepChamber", 4, 8),
  WALL_BACK("takeWallBack", 12, 5),
  UNDERCUT("cutUnder", 4, 6),
  BOWL("openBowl", 8, 3),
  BLEND("blend", 10, 3),
  BACK_CUT("backCut", 2, 2),
  UNDERHEAD("underhead", 5, 3),
  EDGE("edge", 1, 1),
  ASSEMBLY("assembly", 4, 0),
  SEAL("seal", 2, 3);

  private final String key;
  private final double eachMinutes;
  private final double setUpMinutes;

  StepKind(String key, double eachMinutes, double setUpMinutes) {
    this.key = key;
    this.eachMinutes = eachMinutes;
    this.setUpMinutes = setUpMinutes;
  }

  /** The kind of an operation, or of a step that is none, by its key in files. */
  public static Optional<StepKind> of(String key) {
    return Stream.of(values()).filter(k -> k.key.equals(key)).findFirst();
  }

  public String key() {
    return key;
  }

  /** Time for one seat where the shop has not set its own, min; assumed, no source. */
  public double eachMinutes() {
    return eachMinutes;
  }

  /** Time to fit and set its tool where the shop has not set its own, min; assumed, no source. */
  public double setUpMinutes() {
    return setUpMinutes;
  }

  @Override
  public String code() {
    return "stepKind." + key;
  }

  /** Whether it is work on the valve and not on the head. */
  public boolean isValveWork() {
    return this == FACE || this == BACK_CUT || this == UNDERHEAD || this == EDGE;
  }
}
