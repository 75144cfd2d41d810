package finebore.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.seat.Cut;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.algorithm.Intersection;
import org.locationtech.jts.geom.Coordinate;

/** The back cut that leaves a wanted face, by the crossing of two lines that JTS finds. */
class BackCutTest {

  private static final Valve VALVE = Samples.pairing().valve().withBackCuts(List.of());

  private static Coordinate inward(Coordinate from, double angleDeg, double along) {
    double angle = Math.toRadians(angleDeg);
    return new Coordinate(from.x - along * Math.cos(angle), from.y - along * Math.sin(angle));
  }

  /** Where the face ends, and the cuts behind it. */
  private static Coordinate underheadBegins(Valve valve) {
    Coordinate at =
        inward(
            new Coordinate(valve.headDiameterMm() / 2, 0),
            valve.faceAngleDeg(),
            valve.faceWidthMm());
    for (Cut cut : valve.backCuts()) {
      at = inward(at, cut.angleDeg(), cut.widthMm());
    }
    return at;
  }

  private static double width(Valve valve, double faceMm, double angleDeg) {
    Coordinate edge = new Coordinate(valve.headDiameterMm() / 2, 0);
    Coordinate start = inward(edge, valve.faceAngleDeg(), faceMm);
    Coordinate under = underheadBegins(valve);
    Coordinate met =
        Intersection.intersection(
            start,
            inward(start, angleDeg, 1),
            under,
            inward(under, valve.underhead().angleDeg(), 1));
    return start.distance(met);
  }

  private static Cut cut(Valve valve, double faceMm, double angleDeg) {
    Optional<Cure> cure = Cure.BackCut.leaving(valve, faceMm, angleDeg);
    return ((Cure.BackCut) cure.orElseThrow()).cut();
  }

  @ParameterizedTest
  @CsvSource({"1.35, 30", "1.2, 30", "1.4, 27", "1.1, 35"})
  void reachesToTheUnderhead(double faceMm, double angleDeg) {
    Cut cut = cut(VALVE, faceMm, angleDeg);
    assertThat(cut.angleDeg()).isEqualTo(angleDeg);
    assertThat(cut.widthMm()).isCloseTo(width(VALVE, faceMm, angleDeg), within(1e-9));
    assertThat(cut.widthMm()).isPositive();
  }

  @Test
  void anOldBackCutIsCutOver() {
    Valve cutBefore = VALVE.withBackCuts(List.of(new Cut(30, 0.7)));
    Cut cut = cut(cutBefore, 1.2, 28);
    assertThat(cut.widthMm()).isCloseTo(width(cutBefore, 1.2, 28), within(1e-9));
    assertThat(cut.widthMm()).isNotCloseTo(width(VALVE, 1.2, 28), within(1e-3));
  }

  @Test
  void thereIsNoneThatNeverComesToTheUnderhead() {
    double under = VALVE.underhead().angleDeg();
    assertThat(Cure.BackCut.leaving(VALVE, 1.2, under)).isEmpty();
    assertThat(Cure.BackCut.leaving(VALVE, 1.2, under - 1)).isEmpty();
    // Nearly along it the cut would be wider than anybody grinds, or reach the stem.
    assertThat(Cure.BackCut.leaving(VALVE, 1.2, under + 0.5)).isEmpty();
    // A face wider than there is leaves nothing to cut.
    assertThat(Cure.BackCut.leaving(VALVE, VALVE.faceWidthMm() + 0.1, 30)).isEmpty();
  }

  /** Nobody grinds one wider than 10 mm. */
  @Test
  void aWideOneIsNotProposed() {
    double least = VALVE.underhead().angleDeg();
    double narrow = Double.NaN;
    for (double angle = least + 0.05; angle < 45; angle += 0.05) {
      if (Cure.BackCut.leaving(VALVE, 1.2, angle).isPresent()) {
        narrow = angle;
        break;
      }
    }
    double room =
        VALVE.headDiameterMm() / 2
            - 1.2 * Math.cos(Math.toRadians(VALVE.faceAngleDeg()))
            - VALVE.stemDiameterMm() / 2;
    double reach = Math.cos(Math.toRadians(narrow)) * width(VALVE, 1.2, narrow);
    assertThat(reach < 0.9 * room && width(VALVE, 1.2, narrow) <= 10).isTrue();
    double flatter = narrow - 0.05;
    double before = Math.cos(Math.toRadians(flatter)) * width(VALVE, 1.2, flatter);
    assertThat(before >= 0.9 * room || width(VALVE, 1.2, flatter) > 10).isTrue();
  }

  /** On a small head: just short of nine tenths of the way to the stem, and just past it. */
  @Test
  void aCutThatComesTooNearTheStemIsNotProposed() {
    Valve small = VALVE.withHeadDiameterMm(24).withUnderhead(new Underhead(16, 6));
    double room =
        12 - 1.2 * Math.cos(Math.toRadians(VALVE.faceAngleDeg())) - VALVE.stemDiameterMm() / 2;
    double low = 16.01;
    double high = 40;
    for (int k = 0; k < 60; k++) {
      double angle = (low + high) / 2;
      boolean near = Math.cos(Math.toRadians(angle)) * width(small, 1.2, angle) > 0.9 * room;
      low = near ? angle : low;
      high = near ? high : angle;
    }
    assertThat(width(small, 1.2, high)).isLessThan(9);
    assertThat(Cure.BackCut.leaving(small, 1.2, high + 1e-6)).isPresent();
    assertThat(Cure.BackCut.leaving(small, 1.2, low - 1e-6)).isEmpty();
  }

  /** On a large head there is room to the stem: the width alone stops it. */
  @Test
  void tenMillimetresIsTheWidest() {
    Valve large = VALVE.withHeadDiameterMm(60).withUnderhead(new Underhead(16, 6));
    double low = 16.01;
    double high = 40;
    for (int k = 0; k < 60; k++) {
      double angle = (low + high) / 2;
      boolean wide = width(large, 1.2, angle) > 10;
      low = wide ? angle : low;
      high = wide ? high : angle;
    }
    assertThat(Cure.BackCut.leaving(large, 1.2, high + 1e-6)).isPresent();
    assertThat(Cure.BackCut.leaving(large, 1.2, low - 1e-6)).isEmpty();
  }
}
