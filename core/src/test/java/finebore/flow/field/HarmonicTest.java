package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.DoubleBinaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class HarmonicTest {

  private static final double[] X = {0, 0.2, 0.5, 0.9, 1.6, 1.9, 2.5, 3};
  private static final double[] Y = {0, 0.1, 0.3, 0.6, 0.8, 1};

  private static double[][] on(DoubleBinaryOperator f, double[] y) {
    return IntStream.range(0, X.length)
        .mapToObj(i -> IntStream.range(0, y.length).mapToDouble(j -> f.applyAsDouble(X[i], y[j])))
        .map(row -> row.toArray())
        .toArray(double[][]::new);
  }

  private static void comesBack(DoubleBinaryOperator f, double[] y) {
    double[][] whole = on(f, y);
    double[][] v = on(f, y);
    for (int i = 1; i < X.length - 1; i++) {
      for (int j = 1; j < y.length - 1; j++) {
        v[i][j] = Double.NaN;
      }
    }
    Harmonic.fill(v, X, y);
    for (int i = 0; i < X.length; i++) {
      assertThat(v[i]).containsExactly(whole[i], within(1e-5));
    }
  }

  /** Five-point differences are exact for it, on uneven lines too. */
  @Test
  void fillsInWhatIsHarmonic() {
    comesBack((x, y) -> 3 + 2 * x - y + 0.5 * x * y + x * x - y * y, Y);
  }

  @Test
  void fillsInASingleLine() {
    comesBack((x, y) -> 1 + x + 2 * y - x * y, new double[] {0, 0.4, 1});
  }
}
