package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Five-point systems of the grid, against the same solved as one full matrix. */
class LinesTest {

  /** A matrix whose lines go well together, not the same both ways. */
  static Lines uneven(int along, int across) {
    Random random = new Random(11);
    Lines lines = new Lines(along, across);
    for (int c = 0; c < along * across; c++) {
      lines.west[c] = c >= across ? 0.2 + random.nextDouble() : 0;
      lines.east[c] = c < (along - 1) * across ? 0.3 + random.nextDouble() : 0;
      lines.south[c] = c % across > 0 ? 0.4 + random.nextDouble() : 0;
      lines.north[c] = c % across < across - 1 ? 0.1 + random.nextDouble() : 0;
      lines.middle[c] = 0.5 + lines.west[c] + lines.east[c] + lines.south[c] + lines.north[c];
    }
    return lines;
  }

  static double[] right(int cells) {
    return new Random(12).doubles(cells, -1, 1).toArray();
  }

  /** The answer, by elimination in the full matrix. */
  static double[] exact(Lines lines, double[] right) {
    int n = lines.along * lines.across;
    double[][] full = new double[n][n];
    for (int i = 0; i < lines.along; i++) {
      for (int j = 0; j < lines.across; j++) {
        int c = i * lines.across + j;
        full[c][c] = lines.middle[c];
        couple(full, c, i > 0, c - lines.across, lines.west[c]);
        couple(full, c, i < lines.along - 1, c + lines.across, lines.east[c]);
        couple(full, c, j > 0, c - 1, lines.south[c]);
        couple(full, c, j < lines.across - 1, c + 1, lines.north[c]);
      }
    }
    return new LUDecomposition(new Array2DRowRealMatrix(full))
        .getSolver()
        .solve(new ArrayRealVector(right))
        .toArray();
  }

  private static void couple(double[][] full, int row, boolean is, int column, double by) {
    if (is) {
      full[row][column] = -by;
    }
  }

  @ParameterizedTest
  @CsvSource({"true, true", "true, false", "false, true", "false, false"})
  void everySweepLeadsToTheAnswer(boolean isAcross, boolean forward) {
    Lines lines = uneven(6, 5);
    double[] right = right(30);
    double[] x = new double[30];
    for (int sweep = 0; sweep < 80; sweep++) {
      if (isAcross) {
        lines.sweepAcross(x, right, forward);
      } else {
        lines.sweepAlong(x, right, forward);
      }
    }
    assertThat(x).containsExactly(exact(lines, right), within(1e-9));
  }

  /** A line knows its neighbours as they are: the last one a sweep comes to is right. */
  @ParameterizedTest
  @CsvSource({"true, true", "true, false", "false, true", "false, false"})
  void theLastLineOfASweepFits(boolean isAcross, boolean forward) {
    Lines lines = uneven(6, 5);
    double[] right = right(30);
    double[] x = right(30);
    double[] left = new double[30];
    if (isAcross) {
      lines.sweepAcross(x, right, forward);
    } else {
      lines.sweepAlong(x, right, forward);
    }
    lines.residual(x, right, left);
    for (int i = 0; i < 6; i++) {
      for (int j = 0; j < 5; j++) {
        int line = isAcross ? i : j;
        int last = isAcross ? 5 : 4;
        boolean fits = line == (forward ? last : 0);
        assertThat(Math.abs(left[i * 5 + j]) < 1e-12).as(i + " " + j).isEqualTo(fits);
      }
    }
  }

  @Test
  void aSingleLineIsSolvedAtOnce() {
    double[] right = right(7);
    double[] x = new double[7];
    uneven(1, 7).sweepAcross(x, right, true);
    assertThat(x).containsExactly(exact(uneven(1, 7), right), within(1e-12));
    uneven(7, 1).sweepAlong(x, right, true);
    assertThat(x).containsExactly(exact(uneven(7, 1), right), within(1e-12));
  }

  @Test
  void nothingIsLeftOfTheAnswer() {
    Lines lines = uneven(6, 5);
    double[] right = right(30);
    double[] left = new double[30];
    lines.residual(exact(lines, right), right, left);
    assertThat(left).containsExactly(new double[30], within(1e-12));
    double[] none = new double[30];
    lines.residual(none, right, left);
    assertThat(left).containsExactly(right, within(0.0));
  }

  @Test
  void isClearedAllOver() {
    Lines lines = uneven(3, 4);
    lines.clear();
    for (double[] part :
        new double[][] {lines.middle, lines.west, lines.east, lines.south, lines.north}) {
      assertThat(Arrays.stream(part).map(Math::abs).sum()).isZero();
    }
  }
}
