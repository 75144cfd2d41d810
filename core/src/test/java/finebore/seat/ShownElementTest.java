package finebore.seat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;

class ShownElementTest {

  private static final Arc ARC = new Arc(55, 75, 5);

  private static List<ShownElement> shown(double throatMm) {
    CutStack stack = new CutStack(List.of(new Cut(30, 0.8), new Cut(45, 1.3), ARC), 1);
    Seat seat =
        new Seat(stack, 39, 9, new Throat(throatMm, 3), new Bowl(Math.max(36, throatMm), 14), 0);
    return SeatSection.of(seat, Tolerance.FINE).shownElements();
  }

  /** Width of the arc's foot: 45 of 1.3 and R 5 from 55 to 75 in from 39 mm. */
  private static final double WHOLE =
      39
          - 2
              * (1.3 * Math.sqrt(0.5)
                  + 5 * (Math.sin(Math.toRadians(75)) - Math.sin(Math.toRadians(55))));

  @Test
  void anArcShowsAsOneElementWithItsChordsTogether() {
    List<ShownElement> all = shown(WHOLE - 0.5);
    assertThat(all).hasSize(3);
    ShownElement arc = all.get(2);
    assertThat(arc.element()).isEqualTo(ARC);
    assertThat(arc.index()).isEqualTo(2);
    assertThat(arc.firstCut()).isEqualTo(2);
    // Four chords of 5 degrees.
    assertThat(arc.askedMm()).isCloseTo(8 * 5 * Math.sin(Math.toRadians(2.5)), within(1e-9));
    assertThat(arc.shownMm()).isCloseTo(arc.askedMm(), within(1e-9));
    assertThat(arc.isShort()).isFalse();
    assertThat(arc.neverTouches()).isFalse();
    assertThat(all.get(0).askedMm()).isEqualTo(0.8);
    assertThat(all.get(1).firstCut()).isEqualTo(1);
  }

  @Test
  void anArcThatTheThroatHasTakenIsShortOrGone() {
    // The last chord lies at 72.5 degrees: 0.04 and 0.06 mm of it are 0.024 and 0.036 mm across.
    double across = 2 * Math.cos(Math.toRadians(72.5));
    assertThat(shown(WHOLE + 0.04 * across).get(2).isShort()).isFalse();
    assertThat(shown(WHOLE + 0.06 * across).get(2).isShort()).isTrue();
    ShownElement gone = shown(38).get(2);
    assertThat(gone.shownMm()).isZero();
    assertThat(gone.neverTouches()).isTrue();
    assertThat(gone.isShort()).isTrue();
  }

  @Test
  void anArcTurnsWithItsSeatButNotPastUpright() {
    assertThat(ARC.turned(5)).isEqualTo(new Arc(60, 80, 5));
    assertThat(ARC.turned(-10)).isEqualTo(new Arc(45, 65, 5));
    assertThat(new Arc(70, 88, 3).turned(10)).isEqualTo(new Arc(80, 90, 3));
    assertThat(new Arc(70, 88, 3).turned(30)).isEqualTo(new Arc(89, 90, 3));
    assertThat(ARC.withFrom(50)).isEqualTo(new Arc(50, 75, 5));
    assertThat(ARC.withTo(70)).isEqualTo(new Arc(55, 70, 5));
    assertThat(ARC.withRadius(6)).isEqualTo(new Arc(55, 75, 6));
  }
}
