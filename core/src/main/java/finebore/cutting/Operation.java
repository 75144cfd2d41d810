package finebore.cutting;

import finebore.found.Ring;
import finebore.section.Bounds;
import java.util.OptionalDouble;

/**
 * One operation of a plan, with its tool and settings. A setting that is left open takes the value
 * of the wanted seat, so that no number stands in two places.
 */
public sealed interface Operation {

  /** What it is, in a few words. */
  String title();

  /**
   * Opens the throat with a throat cutter.
   *
   * @param diameterMm diameter at its end; open: the wanted throat
   * @param taperDeg how far its side leans out toward the chamber, from the guide axis
   * @param depthMm depth of its end below the head face; open: through the found and the wanted
   *     throat
   */
  record OpenThroat(OptionalDouble diameterMm, double taperDeg, OptionalDouble depthMm)
      implements Operation {
    public OpenThroat {
      diameterMm.ifPresent(mm -> Bounds.check("throat cutter diameter", mm, 3, 200, "mm"));
      Bounds.check("throat cutter taper", taperDeg, 0, 45, "degrees");
      depthMm.ifPresent(mm -> Bounds.check("throat cutter depth", mm, 0, 100, "mm"));
    }

    @Override
    public String title() {
      return "Open the throat";
    }
  }

  /**
   * Plunges a form cutter with the cuts of the wanted seat.
   *
   * @param cutter its name in the rack, empty for one ground to the plan
   * @param seatDiameterMm seat outside diameter set by the pointer; open: the wanted seat's
   * @param plunge how far
   */
  record CutForm(String cutter, OptionalDouble seatDiameterMm, Plunge plunge) implements Operation {
    public CutForm {
      seatDiameterMm.ifPresent(mm -> Bounds.check("seat diameter", mm, 5, 200, "mm"));
    }

    @Override
    public String title() {
      return "Form cut";
    }
  }

  /** What makes a single cut. */
  enum SingleTool {
    STONE("stone"),
    BLADE("blade");

    private final String word;

    SingleTool(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * Cuts one angle.
   *
   * @param tool stone or blade
   * @param angleDeg its angle
   * @param edgeDiameterMm the diameter its chamber-side edge is set to
   * @param plunge how far; as planned stops where the edge meets the wall
   */
  record CutAngle(SingleTool tool, double angleDeg, double edgeDiameterMm, Plunge plunge)
      implements Operation {
    public CutAngle {
      Bounds.check("angle of the cut", angleDeg, 5, 85, "degrees");
      Bounds.check("edge diameter of the cut", edgeDiameterMm, 5, 220, "mm");
    }

    @Override
    public String title() {
      return "Single cut";
    }
  }

  /**
   * Sweeps the chamber over the seat.
   *
   * @param angleDeg rise outward
   * @param reachDiameterMm how far out
   * @param startDiameterMm where it touches the seat; open: the top of the wanted seat's cuts
   */
  record SweepChamber(double angleDeg, double reachDiameterMm, OptionalDouble startDiameterMm)
      implements Operation {
    public SweepChamber {
      Bounds.check("sweep angle", angleDeg, 0, 60, "degrees");
      Bounds.check("sweep reach", reachDiameterMm, 5, 300, "mm");
      startDiameterMm.ifPresent(mm -> Bounds.check("sweep start", mm, 5, 300, "mm"));
    }

    @Override
    public String title() {
      return "Sweep the chamber";
    }
  }

  /**
   * Cuts under the seat by hand or with a radius tool.
   *
   * @param leanDeg how far its wall leans in from the guide axis at its end
   * @param fromDiameterMm where it begins; open: the inner edge of the last cut
   * @param heightMm how far down
   * @param radiusMm radius it comes in with; 0 is straight
   */
  record CutUnder(double leanDeg, OptionalDouble fromDiameterMm, double heightMm, double radiusMm)
      implements Operation {

    /** More than this only eats the wall; common practice, no source. */
    public static final double MOST_LEAN_DEG = 15;

    public CutUnder {
      Bounds.check("lean of the cut under the seat", leanDeg, 0, 45, "degrees");
      fromDiameterMm.ifPresent(mm -> Bounds.check("start of the cut", mm, 3, 200, "mm"));
      Bounds.check("height of the cut under the seat", heightMm, 0.1, 40, "mm");
      Bounds.check("radius of the cut under the seat", radiusMm, 0, 60, "mm");
    }

    @Override
    public String title() {
      return "Cut under the seat";
    }
  }

  /**
   * Opens the bowl below the throat.
   *
   * @param diameterMm its diameter; open: the wanted bowl
   * @param depthMm where it has reached that, below the head face; open: the wanted bowl
   */
  record OpenBowl(OptionalDouble diameterMm, OptionalDouble depthMm) implements Operation {
    public OpenBowl {
      diameterMm.ifPresent(mm -> Bounds.check("bowl diameter", mm, 3, 250, "mm"));
      depthMm.ifPresent(mm -> Bounds.check("bowl depth", mm, 0, 150, "mm"));
    }

    @Override
    public String title() {
      return "Open the bowl";
    }
  }

  /** Which side of the seat. */
  enum BlendSide {
    PORT("port side"),
    CHAMBER("chamber side");

    private final String word;

    BlendSide(String word) {
      this.word = word;
    }

    public String word() {
      return word;
    }
  }

  /**
   * Rounds the corners on one side of the seat by hand.
   *
   * @param side which side
   * @param keepOffMm how far it stays from the sealing face
   * @param radiusMm radius of the roll
   */
  record Blend(BlendSide side, double keepOffMm, double radiusMm) implements Operation {

    /** A line is scribed about this far from the face, mm; common practice, no source. */
    public static final double USUAL_KEEP_OFF_MM = 0.75;

    public Blend {
      Bounds.check("distance kept from the sealing face", keepOffMm, 0, 20, "mm");
      Bounds.check("blend radius", radiusMm, 0.05, 30, "mm");
    }

    @Override
    public String title() {
      return "Blend, " + side.word();
    }
  }

  /**
   * Counterbores for a new insert ring and presses it in: the one operation that adds metal.
   *
   * @param ring the new ring; its press fit is taken up by the bore
   */
  record FitRing(Ring ring) implements Operation {
    @Override
    public String title() {
      return "Fit a ring";
    }
  }
}
