package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class UnfoldingTest {

  private final double[][] r = new double[11][9];
  private final double[][] z = new double[11][9];

  UnfoldingTest() {
    for (int i = 0; i < 11; i++) {
      for (int j = 0; j < 9; j++) {
        r[i][j] = j + 0.1 * i;
        z[i][j] = i;
      }
    }
  }

  private double leastArea() {
    double least = Double.MAX_VALUE;
    for (int i = 0; i < 10; i++) {
      for (int j = 0; j < 8; j++) {
        least = Math.min(least, Unfolding.area(r, z, i, j));
      }
    }
    return least;
  }

  @Test
  void measuresCells() {
    assertThat(Unfolding.area(r, z, 4, 4)).isCloseTo(1, within(1e-12));
    r[5][4] = 7;
    z[5][4] = 7;
    assertThat(Unfolding.area(r, z, 4, 4)).isCloseTo(0.85, within(1e-12));
    assertThat(Unfolding.area(r, z, 5, 4)).isCloseTo(-1.15, within(1e-12));
  }

  @Test
  void leavesAGoodGridAlone() {
    double before = r[5][4];
    assertThat(Unfolding.mend(r, z)).isZero();
    assertThat(r[5][4]).isEqualTo(before);
  }

  /** A node moved over its neighbours comes back between them; what is far off stays. */
  @ParameterizedTest
  @CsvSource({
    "5, 4, 2.3, 0.4",
    "5, 4, -2.3, 0.4",
    "5, 4, 0.2, 1.8",
    "1, 1, 1.5, 1.5",
    "9, 7, -2, 0"
  })
  void straightensLinesThatCross(int i, int j, double dr, double dz) {
    double far = z[i > 5 ? 1 : 9][j > 5 ? 1 : 7];
    r[i][j] += dr;
    z[i][j] += dz;
    assertThat(leastArea()).isLessThan(0.1);
    assertThat(Unfolding.mend(r, z)).isZero();
    assertThat(leastArea()).isGreaterThan(0.5);
    assertThat(z[i > 5 ? 1 : 9][j > 5 ? 1 : 7]).isCloseTo(far, within(0.01));
  }

  /** The edge belongs to the metal and is not moved. */
  @Test
  void tellsWhatItCannotMend() {
    z[0][4] = 3.5;
    r[0][4] = 6.5;
    double edge = z[0][4];
    assertThat(Unfolding.mend(r, z)).isPositive();
    assertThat(z[0][4]).isEqualTo(edge);
  }
}
