package finebore.room;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import finebore.code.RuleViolation;
import finebore.room.ChamberOutline.Corner;
import finebore.room.Squared.Pixel;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SquaredTest {

  /** A pinhole camera above the head, tilted and turned, in pixels. */
  private static Pixel seen(double along, double across, double tiltDeg, double turnDeg) {
    double tilt = Math.toRadians(tiltDeg);
    double turn = Math.toRadians(turnDeg);
    double x = along * Math.cos(turn) - across * Math.sin(turn);
    double y = along * Math.sin(turn) + across * Math.cos(turn);
    double depth = 300 + y * Math.sin(tilt);
    return new Pixel(2000 + 6000 * x / depth, 1500 - 6000 * y * Math.cos(tilt) / depth);
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "25, 0", "18, 73", "-30, 190"})
  void aTiltedPhotographIsSquaredByTheBore(double tilt, double turn) {
    List<Corner> bore = Squared.quarters(86);
    Squared squared =
        Squared.of(
                bore.stream().map(c -> seen(c.alongMm(), c.acrossMm(), tilt, turn)).toList(), bore)
            .orElseThrow();
    for (double[] at : new double[][] {{0, 0}, {31.5, -12.25}, {-20, 38}, {44, 44}}) {
      Corner is = squared.at(seen(at[0], at[1], tilt, turn));
      assertThat(is.alongMm()).isCloseTo(at[0], within(1e-6));
      assertThat(is.acrossMm()).isCloseTo(at[1], within(1e-6));
    }
  }

  @Test
  void placesOnALineTellNothing() {
    List<Pixel> line =
        List.of(new Pixel(0, 0), new Pixel(100, 100), new Pixel(200, 200), new Pixel(300, 300));
    assertThat(Squared.of(line, Squared.quarters(86))).isEmpty();
    Pixel one = new Pixel(10, 10);
    assertThat(Squared.of(List.of(one, one, one, one), Squared.quarters(86))).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"0, 0", "25, 40", "-30, 190"})
  void anyFourKnownPlacesDoAndLeadBackToThePhotograph(double tilt, double turn) {
    List<Corner> dowels =
        List.of(new Corner(-52, 47), new Corner(55, 41), new Corner(49, -50), new Corner(-3, -61));
    Squared squared =
        Squared.of(
                dowels.stream().map(c -> seen(c.alongMm(), c.acrossMm(), tilt, turn)).toList(),
                dowels)
            .orElseThrow();
    for (double[] at : new double[][] {{0, 0}, {31.5, -12.25}, {-20, 38}}) {
      Pixel on = seen(at[0], at[1], tilt, turn);
      assertThat(squared.at(on).alongMm()).isCloseTo(at[0], within(1e-6));
      assertThat(squared.at(on).acrossMm()).isCloseTo(at[1], within(1e-6));
      assertThat(squared.seen(at[0], at[1]).x()).isCloseTo(on.x(), within(1e-4));
      assertThat(squared.seen(at[0], at[1]).y()).isCloseTo(on.y(), within(1e-4));
    }
  }

  @Test
  void threeKnownPlacesOnALineTellNothing() {
    List<Pixel> square =
        List.of(new Pixel(0, 0), new Pixel(1, 0), new Pixel(1, 1), new Pixel(0, 1));
    List<Corner> line =
        List.of(new Corner(-40, 0), new Corner(0, 0), new Corner(40, 0), new Corner(0, 40));
    assertThat(Squared.of(square, line)).isEmpty();
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(() -> new FacePhotograph(1, "a.png", square, line));
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(() -> new FacePhotograph(1, " ", square, Squared.quarters(86)));
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(
            () -> new FacePhotograph(1, "a.png", square.subList(0, 3), Squared.quarters(86)));
    List<Pixel> outside = List.of(new Pixel(-0.1, 0), square.get(1), square.get(2), square.get(3));
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(() -> new FacePhotograph(1, "a.png", outside, Squared.quarters(86)));
  }
}
