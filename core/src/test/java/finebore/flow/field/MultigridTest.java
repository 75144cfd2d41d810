package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The pressure's system, against the same solved as one full matrix. */
class MultigridTest {

  /** Coefficients as different as cells of a seat's grid are, open at the far end. */
  private static Multigrid system(int along, int across) {
    Random random = new Random(5);
    Multigrid grid = new Multigrid(along, across);
    Lines m = grid.matrix();
    for (int i = 0; i < along; i++) {
      for (int j = 0; j < across; j++) {
        int c = i * across + j;
        if (i < along - 1) {
          join(m, c, c + across, true, 0.1 + random.nextDouble());
        } else {
          m.middle[c] += 1;
        }
        if (j < across - 1) {
          join(m, c, c + 1, false, 3 + 5 * random.nextDouble());
        }
      }
    }
    grid.prepare();
    return grid;
  }

  private static void join(Lines m, int a, int b, boolean isAlong, double by) {
    (isAlong ? m.east : m.north)[a] = by;
    (isAlong ? m.west : m.south)[b] = by;
    m.middle[a] += by;
    m.middle[b] += by;
  }

  /** In so few rounds only with coarse grids that fit the fine one. */
  @ParameterizedTest
  @CsvSource({"4, 4, 3", "5, 7, 7", "13, 9, 10", "40, 8, 17", "33, 17, 16"})
  void comesToTheAnswerInAFewRounds(int along, int across, int rounds) {
    Multigrid grid = system(along, across);
    double[] right = LinesTest.right(along * across);
    double[] x = new double[along * across];
    int took = grid.solve(x, right, 1e-10, 60);
    assertThat(x).containsExactly(LinesTest.exact(grid.matrix(), right), within(1e-7));
    assertThat(took).isEqualTo(rounds);
  }

  /** It goes as far as it is told, from where it is told. */
  @ParameterizedTest
  @CsvSource({"1e-2", "1e-5"})
  void stopsWhereItIsNearEnough(double tolerance) {
    Multigrid grid = system(13, 9);
    double[] right = LinesTest.right(117);
    double[] start = LinesTest.right(117);
    double[] x = start.clone();
    int took = grid.solve(x, right, tolerance, 60);
    assertThat(size(grid, x, right) / size(grid, start, right)).isBetween(0.0, tolerance);
    double[] sooner = start.clone();
    assertThat(grid.solve(sooner, right, tolerance, took - 1)).isEqualTo(took - 1);
    assertThat(size(grid, sooner, right) / size(grid, start, right)).isGreaterThan(tolerance);
    assertThat(grid.solve(x, right, 1, 60)).isZero();
  }

  private static double size(Multigrid grid, double[] x, double[] right) {
    double[] left = new double[x.length];
    grid.matrix().residual(x, right, left);
    double sum = 0;
    for (double v : left) {
      sum += v * v;
    }
    return Math.sqrt(sum);
  }
}
