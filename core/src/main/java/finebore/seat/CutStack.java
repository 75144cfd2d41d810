package finebore.seat;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * The cuts and arcs of a seat from the chamber to the port, one cut of which seals. Whoever works
 * with metal or air takes them as cuts, an arc as its chords.
 */
public final class CutStack {

  private final List<Element> elements;
  private final int sealingElement;
  private final List<Cut> cuts;
  private final int sealing;

  /**
   * A stack of elements.
   *
   * @param elements at least one
   * @param sealingElement index of the sealing one, which is a cut
   */
  public CutStack(List<? extends Element> elements, int sealingElement) {
    this.elements = List.copyOf(elements);
    this.sealingElement = sealingElement;
    if (elements.isEmpty()) {
      throw RuleViolation.of("seatNeedsCut");
    }
    if (sealingElement < 0
        || sealingElement >= elements.size()
        || !(elements.get(sealingElement) instanceof Cut seal)) {
      throw RuleViolation.of("sealingCutIsOne")
          .with("cuts", Term.count(elements.size()))
          .with("value", Term.count(sealingElement + 1));
    }
    Quantity.SEALING_ANGLE.check(seal.angleDeg());
    this.cuts = this.elements.stream().flatMap(e -> e.cuts().stream()).toList();
    this.sealing = firstCutOf(sealingElement);
  }

  /**
   * A stack of cuts in which the chords of known arcs are those arcs again, where they lie side by
   * side and unchanged.
   *
   * @param sealing index of the sealing cut
   */
  public static CutStack folded(List<Cut> cuts, int sealing, Collection<Arc> known) {
    List<Element> elements = new ArrayList<>();
    int sealingElement = 0;
    int at = 0;
    while (at < cuts.size()) {
      int from = at;
      Optional<Arc> arc =
          known.stream()
              .filter(a -> startsWith(cuts.subList(from, cuts.size()), a.cuts()))
              .filter(a -> sealing < from || sealing >= from + a.cuts().size())
              .findFirst();
      if (at == sealing) {
        sealingElement = elements.size();
      }
      elements.add(arc.isPresent() ? arc.get() : cuts.get(at));
      at += arc.map(a -> a.cuts().size()).orElse(1);
    }
    return new CutStack(elements, sealingElement);
  }

  private static boolean startsWith(List<Cut> cuts, List<Cut> first) {
    return cuts.size() >= first.size() && cuts.subList(0, first.size()).equals(first);
  }

  /** Its arcs, chamber first. */
  public List<Arc> arcs() {
    return elements.stream().filter(Arc.class::isInstance).map(Arc.class::cast).toList();
  }

  /** What it is made of, chamber first. */
  public List<Element> elements() {
    return elements;
  }

  /** Index of the sealing one among the elements. */
  public int sealingElement() {
    return sealingElement;
  }

  /** All its cuts, chamber first, arcs as chords. */
  public List<Cut> cuts() {
    return cuts;
  }

  /** Index of the sealing cut among the cuts. */
  public int sealing() {
    return sealing;
  }

  public Cut sealingCut() {
    return cuts.get(sealing);
  }

  /** Index of the first cut of an element. */
  public int firstCutOf(int element) {
    return elements.subList(0, element).stream().mapToInt(e -> e.cuts().size()).sum();
  }

  /** Index of the element that holds a cut. */
  public int elementOf(int cut) {
    int element = 0;
    for (int end = elements.getFirst().cuts().size();
        end <= cut;
        end += elements.get(element).cuts().size()) {
      element++;
    }
    return element;
  }

  /** Whether a cut is a chord of an arc. */
  public boolean isOfArc(int cut) {
    return elements.get(elementOf(cut)) instanceof Arc;
  }

  /** How far the end of the last cut lies below the seat's outside edge, mm. */
  public double heightMm() {
    return cuts.stream().skip(sealing).mapToDouble(Cut::heightMm).sum();
  }

  /** With one element replaced. */
  public CutStack withElement(int element, Element other) {
    List<Element> changed = new ArrayList<>(elements);
    changed.set(element, other);
    return new CutStack(changed, sealingElement);
  }

  /** With one cut replaced; an arc it is a chord of becomes single cuts. */
  public CutStack with(int cut, Cut other) {
    CutStack plain = inCutsAt(cut);
    return plain.withElement(plain.elementOf(cut), other);
  }

  /**
   * With a cut added before the given one; the sealing cut stays the same cut. An arc it comes into
   * the middle of becomes single cuts.
   */
  public CutStack withInserted(int cut, Cut other) {
    boolean end = cut == cuts.size();
    boolean within = !end && firstCutOf(elementOf(cut)) != cut;
    CutStack plain = within ? inCutsAt(cut) : this;
    int at = end ? elements.size() : plain.elementOf(cut);
    List<Element> changed = new ArrayList<>(plain.elements);
    changed.add(at, other);
    return new CutStack(
        changed, at <= plain.sealingElement ? plain.sealingElement + 1 : plain.sealingElement);
  }

  /** With the arc that holds a cut laid out as single cuts. */
  private CutStack inCutsAt(int cut) {
    int at = elementOf(cut);
    List<Cut> chords = elements.get(at).cuts();
    List<Element> changed = new ArrayList<>(elements);
    changed.remove(at);
    changed.addAll(at, chords);
    int more = at < sealingElement ? chords.size() - 1 : 0;
    return new CutStack(changed, sealingElement + more);
  }

  /**
   * Without one element. When the sealing cut goes, the cut nearest in angle takes its place.
   *
   * @throws RuleViolation if it is the only cut
   */
  public CutStack without(int element) {
    List<Element> changed = new ArrayList<>(elements);
    Element gone = changed.remove(element);
    if (element != sealingElement) {
      return new CutStack(changed, element < sealingElement ? sealingElement - 1 : sealingElement);
    }
    double angle = ((Cut) gone).angleDeg();
    int nearest = -1;
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k < changed.size(); k++) {
      if (changed.get(k) instanceof Cut cut && Math.abs(cut.angleDeg() - angle) < least) {
        nearest = k;
        least = Math.abs(cut.angleDeg() - angle);
      }
    }
    return new CutStack(changed, nearest);
  }

  /** With two elements exchanged; the sealing cut stays the same cut. */
  public CutStack withSwapped(int a, int b) {
    List<Element> changed = new ArrayList<>(elements);
    Collections.swap(changed, a, b);
    return new CutStack(
        changed, sealingElement == a ? b : sealingElement == b ? a : sealingElement);
  }

  /** With another cut sealing. */
  public CutStack sealedBy(int element) {
    return new CutStack(elements, element);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof CutStack that
        && elements.equals(that.elements)
        && sealingElement == that.sealingElement;
  }

  @Override
  public int hashCode() {
    return 31 * elements.hashCode() + sealingElement;
  }

  @Override
  public String toString() {
    return elements + ", sealing " + (sealingElement + 1);
  }
}
