package finebore.seat;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The cuts of a seat from the chamber to the port, one of which seals.
 *
 * @param cuts at least one
 * @param sealing index of the sealing cut
 */
public record CutStack(List<Cut> cuts, int sealing) {

  public CutStack {
    cuts = List.copyOf(cuts);
    if (cuts.isEmpty()) {
      throw RuleViolation.of("seatNeedsCut");
    }
    if (sealing < 0 || sealing >= cuts.size()) {
      throw RuleViolation.of("sealingCutIsOne")
          .with("cuts", Term.count(cuts.size()))
          .with("value", Term.count(sealing + 1));
    }
    Quantity.SEALING_ANGLE.check(cuts.get(sealing).angleDeg());
  }

  public Cut sealingCut() {
    return cuts.get(sealing);
  }

  /** How far the end of the last cut lies below the seat's outside edge, mm. */
  public double heightMm() {
    return cuts.stream().skip(sealing).mapToDouble(Cut::heightMm).sum();
  }

  /** With one cut replaced. */
  public CutStack with(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(cuts);
    changed.set(index, cut);
    return new CutStack(changed, sealing);
  }

  /** With a cut added before the given place; the sealing cut stays the same cut. */
  public CutStack withInserted(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(cuts);
    changed.add(index, cut);
    return new CutStack(changed, index <= sealing ? sealing + 1 : sealing);
  }

  /**
   * Without one cut. When the sealing cut goes, the neighbour nearest in angle takes its place.
   *
   * @throws RuleViolation if it is the only cut
   */
  public CutStack without(int index) {
    List<Cut> changed = new ArrayList<>(cuts);
    Cut gone = changed.remove(index);
    if (index != sealing) {
      return new CutStack(changed, index < sealing ? sealing - 1 : sealing);
    }
    int nearest = 0;
    for (int k = 1; k < changed.size(); k++) {
      if (Math.abs(changed.get(k).angleDeg() - gone.angleDeg())
          < Math.abs(changed.get(nearest).angleDeg() - gone.angleDeg())) {
        nearest = k;
      }
    }
    return new CutStack(changed, nearest);
  }

  /** With two cuts exchanged; the sealing cut stays the same cut. */
  public CutStack withSwapped(int a, int b) {
    List<Cut> changed = new ArrayList<>(cuts);
    Collections.swap(changed, a, b);
    return new CutStack(changed, sealing == a ? b : sealing == b ? a : sealing);
  }
}
