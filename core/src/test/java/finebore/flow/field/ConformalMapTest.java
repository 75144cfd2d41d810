package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.flow.field.AirSpace.Side;
import finebore.section.Point;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Channels whose rectangle stands in books; it only places grid lines, a hundredth will do. */
class ConformalMapTest {

  private static ConformalMap of(List<Point> inner, List<Point> outer) {
    return ConformalMap.of(new AirSpace(Side.wall(inner), Side.wall(outer), List.of()));
  }

  @Test
  void aRectangleIsItself() {
    ConformalMap map =
        of(List.of(new Point(1, 0), new Point(1, 3)), List.of(new Point(2, 0), new Point(2, 3)));
    assertThat(map.modulus()).isCloseTo(3, withinPercentage(1.5));
    assertThat(map.inner().at(0.5).distanceTo(new Point(1, 1.5))).isLessThan(0.005);
    assertThat(map.outer().at(0.25).distanceTo(new Point(2, 0.75))).isLessThan(0.01);
    assertThat(map.port().at(0.3).distanceTo(new Point(1.3, 0))).isLessThan(0.01);
    assertThat(map.far().at(0.7).distanceTo(new Point(1.7, 3))).isLessThan(0.01);
  }

  private static List<Point> arc(double radius) {
    return IntStream.rangeClosed(-20, 20)
        .mapToDouble(k -> Math.PI / 80 * k)
        .mapToObj(a -> new Point(4 + radius * Math.cos(a), radius * Math.sin(a)))
        .toList();
  }

  /** A quarter of a ring: its angle over the logarithm of its radii. */
  @Test
  void aRingUnrolls() {
    ConformalMap map = of(arc(1), arc(2));
    assertThat(map.modulus()).isCloseTo(Math.PI / 2 / Math.log(2), withinPercentage(0.3));
    assertThat(map.inner().at(0.5).distanceTo(new Point(5, 0))).isLessThan(0.01);
    double[] corners = map.outer().corners();
    for (int k = 0; k < corners.length; k++) {
      assertThat(corners[k]).isCloseTo(k / 40.0, within(0.005));
    }
    // Along the ends the stream goes with the logarithm of the radius.
    assertThat(map.port().at(0.5).distanceTo(arc(Math.sqrt(2)).getFirst())).isLessThan(0.01);
  }

  /** A square corner counts as 0.559 squares (Hall, Thin Solid Films 1, 1967, from memory). */
  @Test
  void aSquareCornerCountsAsALittleMoreThanHalfASquare() {
    ConformalMap map =
        of(
            List.of(new Point(1, -3), new Point(1, 1), new Point(5, 1)),
            List.of(new Point(2, -3), new Point(2, 0), new Point(5, 0)));
    assertThat(map.modulus()).isCloseTo(6.559, withinPercentage(0.8));
    assertThat(map.inner().corners()[1]).isCloseTo(0.5, within(0.005));
    assertThat(map.outer().corners()[1]).isCloseTo(0.5, within(0.005));
  }

  @Test
  void goesStraightBetweenPlaces() {
    double[] places = {0, 1, 3};
    double[] values = {5, 7, 8};
    assertThat(ConformalMap.interpolate(places, values, 1)).isEqualTo(7);
    assertThat(ConformalMap.interpolate(places, values, 0.25)).isEqualTo(5.5);
    assertThat(ConformalMap.interpolate(places, values, 2)).isEqualTo(7.5);
    assertThat(ConformalMap.interpolate(places, values, 4)).isEqualTo(8.5);
    assertThat(ConformalMap.interpolate(places, values, -1)).isEqualTo(3);
  }
}
