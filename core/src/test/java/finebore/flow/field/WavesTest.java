package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WavesTest {

  private static double[] areas(int count, double swing, double period, double begin, double rise) {
    return IntStream.range(0, count)
        .mapToDouble(
            k -> 100 * (1 + swing * Math.sin(2 * Math.PI * (k + begin) / period) + rise * k))
        .toArray();
  }

  /** Wherever in a wave the window begins and ends: that would be worth up to 0.6 %. */
  @ParameterizedTest
  @CsvSource({"70, 0", "70, 20", "70, 55", "51, 7", "93, 40", "20, 3"})
  void theMeanIsOverWholeWaves(double period, double begin) {
    double[] areas = areas(300, 0.03, period, begin, 0);
    Waves waves = Waves.of(areas, 300, 240);
    assertThat(waves.mean()).isCloseTo(100, within(0.13));
    assertThat(waves.swing()).isCloseTo(0.03, within(3e-4));
    assertThat(waves.drift()).isLessThan(0.003);
  }

  /** One that creeps on has no mean that stands. */
  @Test
  void aCreepIsTold() {
    assertThat(Waves.of(areas(300, 0.002, 40, 0, 6e-5), 300, 240).drift())
        .isGreaterThan(AirSolver.MOST_DRIFT);
    assertThat(Waves.of(areas(300, 0, 40, 0, 1e-4), 300, 240).drift())
        .isGreaterThan(AirSolver.MOST_DRIFT);
  }

  @Test
  void tooFewAreNone() {
    assertThat(Waves.of(new double[10], 10, 20).swing()).isEqualTo(1);
    double[] broken = areas(300, 0.01, 40, 0, 0);
    broken[250] = Double.NaN;
    assertThat(Waves.of(broken, 300, 240).swing()).isEqualTo(1);
  }
}
