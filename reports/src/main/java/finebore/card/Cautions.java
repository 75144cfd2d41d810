package finebore.card;

import finebore.work.StepKind;
import java.util.List;

/** What can hurt at the machine and on the road, by the keys of the languages' files. */
public final class Cautions {

  /** All of them, as they stand on a card. */
  public static final List<String> ALL =
      List.of(
          "caution.protection",
          "caution.spindle",
          "caution.burr",
          "caution.standing",
          "caution.solvent",
          "caution.ring",
          "caution.edge",
          "caution.wall",
          "caution.clearance",
          "caution.law");

  private Cautions() {}

  /** Those that a kind of work calls for at its place, besides what its own step says. */
  public static List<String> of(StepKind kind) {
    return switch (kind) {
      case GUIDE -> List.of("caution.standing", "caution.spindle");
      case FIT_RING -> List.of("caution.spindle");
      case THROAT, SWEEP, WALL_BACK -> List.of("caution.spindle", "caution.protection");
      case FORM -> List.of("caution.wall");
      case ANGLE -> List.of("caution.spindle", "caution.wall");
      case UNDERCUT -> List.of("caution.spindle", "caution.protection", "caution.wall");
      case BOWL -> List.of("caution.burr", "caution.protection");
      case BLEND -> List.of("caution.protection", "caution.wall");
      case CONTACT -> List.of("caution.solvent");
      case VALVE, FACE, BACK_CUT, UNDERHEAD, EDGE -> List.of("caution.protection", "caution.edge");
      case ASSEMBLY -> List.of("caution.edge");
      case SEAL -> List.of("caution.solvent", "caution.clearance");
    };
  }
}
