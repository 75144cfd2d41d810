package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Tolerance;
import java.util.List;
import org.junit.jupiter.api.Test;

class SectionDifferenceTest {

  private static SectionDifference between(Seat found, Seat planned) {
    return SectionDifference.between(
        SeatSection.of(found, Tolerance.FINE).profile(),
        SeatSection.of(planned, Tolerance.FINE).profile());
  }

  @Test
  void nothingChangesBetweenEqualSeats() {
    SectionDifference same = between(Samples.fourAngles(0.89), Samples.fourAngles(0.89));
    assertThat(same.removed()).isEmpty();
    assertThat(same.missing()).isEmpty();
    assertThat(same.removedMm3()).isZero();
  }

  @Test
  void aThroatOpenedByABoreRemovesATube() {
    Seat found = Seat.of(List.of(new Cut(45, 1)), 0, 40, 10, 36, 5, 36, 20, 0);
    Seat planned = found.withThroatDiameter(37).withBowl(37, 20);
    SectionDifference d = between(found, planned);
    // From the end of the 45 down to the lowest place both sections reach, 40 mm below the seat.
    double height = 40 - Math.sqrt(0.5);
    assertThat(d.removedMm3()).isCloseTo(Math.PI * (18.5 * 18.5 - 18 * 18) * height, within(1e-3));
    assertThat(d.missing()).isEmpty();
  }

  @Test
  void aDeeperSeatRemovesAFrustumRing() {
    Seat found = Seat.of(List.of(new Cut(45, 4)), 0, 40, 0, 30, 5, 30, 20, 0);
    Seat planned = found.withOutsideDiameterMm(41);
    // Outer cone at 45 degrees moved out by 0.5 mm: frustum volumes to the same depth, less each
    // other; the cut's
    // lower end moves out too, over the flat shoulder.
    double h = 4 * Math.sqrt(0.5);
    double r1 = 20;
    double r2 = 20.5;
    double cone1 = frustum(r1, r1 - h, h);
    double cone2 = frustum(r2, r2 - h, h);
    assertThat(between(found, planned).removedMm3()).isCloseTo(cone2 - cone1, within(1e-3));
  }

  private static double frustum(double r1, double r2, double h) {
    return Math.PI * h / 3 * (r1 * r1 + r1 * r2 + r2 * r2);
  }

  @Test
  void metalThatIsNotThereIsMissing() {
    SectionDifference d = between(Samples.fourAngles(0.90), Samples.fourAngles(0.88));
    assertThat(d.removed()).isEmpty();
    assertThat(d.missing()).isNotEmpty();
    assertThat(d.missingAreaMm2()).isGreaterThan(0.4 * 30);
  }
}
