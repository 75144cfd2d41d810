package finebore.seal;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.seal.LappedRing.Verdict;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rings as a machinist finds them, on a sealing cut from 0.5 to 1.9 mm off the margin. */
class LappedRingTest {

  private static final double OUTER = 0.5;
  private static final double INNER = 1.9;
  private static final double TOLERANCE = 0.1;

  private static List<OptionalDouble> all(double... values) {
    return DoubleStream.of(values).mapToObj(OptionalDouble::of).toList();
  }

  private static final List<OptionalDouble> NONE =
      List.of(
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty(),
          OptionalDouble.empty());

  @ParameterizedTest
  @CsvSource({
    "1.20, 1.22, 1.25, 1.21, EVEN_SOMEWHERE",
    "1.20, 1.20, 1.30, 1.20, EVEN_SOMEWHERE",
    "1.00, 1.20, 1.40, 1.20, OFF_AXIS",
    "1.20, 1.00, 1.20, 1.40, OFF_AXIS",
    "1.00, 1.40, 1.00, 1.40, NOT_ROUND",
    "1.20, 1.20, 0.00, 1.20, BROKEN"
  })
  void widthsTellTheShape(double at12, double at3, double at6, double at9, Verdict verdict) {
    assertThat(new LappedRing(all(at12, at3, at6, at9), NONE).verdict(OUTER, INNER, TOLERANCE))
        .isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({"0.40, EVEN", "0.39, OFF_SEALING_CUT", "0.80, EVEN", "0.81, OFF_SEALING_CUT"})
  void mustLieOnTheSealingCut(double fromMargin, Verdict verdict) {
    LappedRing ring = new LappedRing(all(1.2, 1.2, 1.2, 1.2), all(0.6, fromMargin, 0.6, 0.6));
    assertThat(ring.verdict(OUTER, INNER, TOLERANCE)).isEqualTo(verdict);
  }

  @Test
  void nothingReadIsNothingSaid() {
    assertThat(new LappedRing(NONE, NONE).verdict(OUTER, INNER, TOLERANCE))
        .isEqualTo(Verdict.NOT_READ);
  }
}
