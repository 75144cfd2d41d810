package finebore.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A 30 and a 45 over an arc of four chords and a 90; the 45 seals. */
class CutStackTest {

  private static final Cut TOP = new Cut(30, 1);
  private static final Cut SEAT = new Cut(45, 1.5);
  private static final Arc ARC = new Arc(60, 80, 6);
  private static final Cut LAST = new Cut(90, 2);
  private static final CutStack STACK = new CutStack(List.of(TOP, SEAT, ARC, LAST), 1);

  @Test
  void anArcCountsAsItsChordsForWhoeverWorksWithCuts() {
    assertThat(ARC.cuts()).extracting(Cut::angleDeg).containsExactly(62.5, 67.5, 72.5, 77.5);
    assertThat(STACK.cuts()).hasSize(7);
    assertThat(STACK.sealing()).isEqualTo(1);
    assertThat(STACK.elementOf(1)).isEqualTo(1);
    assertThat(STACK.elementOf(2)).isEqualTo(2);
    assertThat(STACK.elementOf(5)).isEqualTo(2);
    assertThat(STACK.elementOf(6)).isEqualTo(3);
    assertThat(STACK.firstCutOf(3)).isEqualTo(6);
    assertThat(STACK.isOfArc(5)).isTrue();
    assertThat(STACK.isOfArc(6)).isFalse();
    // The drop of an arc is R (cos from - cos to).
    double drop = 6 * (Math.cos(Math.toRadians(60)) - Math.cos(Math.toRadians(80)));
    assertThat(STACK.heightMm()).isCloseTo(1.5 * Math.sin(Math.PI / 4) + drop + 2, within(1e-9));
  }

  @Test
  void theSealingCutStaysTheSameWhereverTheArcLies() {
    CutStack above = STACK.withSwapped(0, 2);
    assertThat(above.elements()).containsExactly(ARC, SEAT, TOP, LAST);
    assertThat(above.sealingElement()).isEqualTo(1);
    assertThat(above.sealing()).isEqualTo(4);
    assertThat(above.sealingCut()).isEqualTo(SEAT);
    assertThat(STACK.withSwapped(1, 2).sealing()).isEqualTo(5);
    assertThat(STACK.without(0).sealingCut()).isEqualTo(SEAT);
    assertThat(above.without(0).sealingCut()).isEqualTo(SEAT);
    assertThat(STACK.without(2).cuts()).containsExactly(TOP, SEAT, LAST);
  }

  @Test
  void onlyACutSealsAndTheNearestTakesItsPlace() {
    assertThat(STACK.without(1).sealingCut()).isEqualTo(TOP);
    assertThatThrownBy(() -> new CutStack(List.of(ARC, LAST), 0))
        .hasMessageContaining("sealingCutIsOne");
    assertThatThrownBy(() -> new CutStack(List.of(SEAT, ARC), 0).without(0))
        .hasMessageContaining("sealingCutIsOne");
    assertThatThrownBy(() -> STACK.sealedBy(2)).hasMessageContaining("sealingCutIsOne");
    assertThatThrownBy(() -> STACK.sealedBy(3)).hasMessageContaining("sealingAngle");
    assertThatThrownBy(() -> new CutStack(List.of(), 0)).hasMessageContaining("seatNeedsCut");
  }

  @Test
  void aChordChangedLaysItsArcOutAsCuts() {
    CutStack changed = STACK.with(3, new Cut(66, 0.7));
    assertThat(changed.elements()).hasSize(7).allMatch(Cut.class::isInstance);
    assertThat(changed.cuts().get(3)).isEqualTo(new Cut(66, 0.7));
    assertThat(changed.cuts().get(4)).isEqualTo(ARC.cuts().get(2));
    assertThat(STACK.with(1, new Cut(46, 1.5)).elements()).contains(ARC);
  }

  @Test
  void aCutIsInsertedBeforeTheOneGiven() {
    Cut more = new Cut(55, 0.8);
    assertThat(STACK.withInserted(2, more).elements()).containsExactly(TOP, SEAT, more, ARC, LAST);
    assertThat(STACK.withInserted(1, more).sealingCut()).isEqualTo(SEAT);
    assertThat(STACK.withInserted(6, more).elements()).containsExactly(TOP, SEAT, ARC, more, LAST);
    assertThat(STACK.withInserted(7, more).elements().getLast()).isEqualTo(more);
    CutStack within = STACK.withInserted(4, more);
    assertThat(within.cuts()).hasSize(8);
    assertThat(within.cuts().get(4)).isEqualTo(more);
    assertThat(within.elements()).doesNotContain(ARC);
  }

  @Test
  void chordsOfAKnownArcAreTheArcAgain() {
    assertThat(CutStack.folded(STACK.cuts(), 1, List.of(ARC))).isEqualTo(STACK);
    assertThat(CutStack.folded(STACK.cuts(), 1, List.of()).elements()).hasSize(7);
    List<Cut> apart = new ArrayList<>(STACK.cuts());
    apart.add(4, new Cut(70, 0.2));
    assertThat(CutStack.folded(apart, 1, List.of(ARC)).elements()).doesNotContain(ARC);
    assertThat(CutStack.folded(STACK.cuts(), 3, List.of(ARC)).sealingCut())
        .isEqualTo(ARC.cuts().get(1));
  }

  @Test
  void anArcAboveTheSeatLaidOutMovesTheSealAlong() {
    CutStack above = STACK.withSwapped(0, 2);
    CutStack changed = above.with(1, new Cut(66, 0.7));
    assertThat(changed.elements()).hasSize(7).allMatch(Cut.class::isInstance);
    assertThat(changed.sealing()).isEqualTo(4);
    assertThat(changed.sealingCut()).isEqualTo(SEAT);
    assertThat(above.arcs()).containsExactly(ARC);
    assertThat(changed.arcs()).isEmpty();
  }

  /** Of two as near in angle the first one takes the seal. */
  @Test
  void theNearestInAngleTakesTheSeal() {
    CutStack stack = new CutStack(List.of(new Cut(35, 1), SEAT, new Cut(55, 1), new Cut(50, 1)), 1);
    assertThat(stack.without(1).sealingCut()).isEqualTo(new Cut(50, 1));
    CutStack even = new CutStack(List.of(new Cut(40, 1), SEAT, new Cut(50, 1)), 1);
    assertThat(even.without(1).sealingCut()).isEqualTo(new Cut(40, 1));
    assertThat(even.sealedBy(2).sealingCut()).isEqualTo(new Cut(50, 1));
  }

  @Test
  void stacksAreAlikeByTheirElementsAndSeal() {
    CutStack same = new CutStack(List.of(TOP, SEAT, ARC, LAST), 1);
    assertThat(same).isEqualTo(STACK).hasSameHashCodeAs(STACK);
    assertThat(same.sealedBy(0)).isNotEqualTo(STACK);
    assertThat(same.withSwapped(2, 3)).isNotEqualTo(STACK);
    assertThat(STACK.sealedBy(0).hashCode()).isNotEqualTo(STACK.hashCode());
    assertThat(STACK.toString()).endsWith(", sealing 2");
  }

  /**
   * An arc whose chords would take the sealing cut in stays chords, just beside it it is folded.
   */
  @Test
  void anArcNeverTakesTheSealIn() {
    List<Cut> cuts = STACK.cuts();
    assertThat(CutStack.folded(cuts, 2, List.of(ARC)).arcs()).isEmpty();
    assertThat(CutStack.folded(cuts, 4, List.of(ARC)).arcs()).isEmpty();
    assertThat(CutStack.folded(cuts, 1, List.of(ARC)).arcs()).hasSize(1);
  }
}
