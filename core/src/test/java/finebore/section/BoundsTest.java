package finebore.section;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BoundsTest {

  @ParameterizedTest
  @CsvSource({
    "-0.1, 'margin must be 0 to 20 mm, was -0.1'",
    "20.5, 'margin must be 0 to 20 mm, was 20.5'",
    "NaN, 'margin must be 0 to 20 mm, was NaN'",
    "33.33333333, 'margin must be 0 to 20 mm, was 33.3333'",
    "1000, 'margin must be 0 to 20 mm, was 1000'",
  })
  void namesFieldRangeAndValue(double value, String message) {
    assertThatThrownBy(() -> Bounds.check("margin", value, 0, 20, "mm"))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessage(message);
  }

  @Test
  void theEndsBelongToIt() {
    assertThatCode(() -> Bounds.check("margin", 0, 0, 20, "mm")).doesNotThrowAnyException();
    assertThatCode(() -> Bounds.check("margin", 20, 0, 20, "mm")).doesNotThrowAnyException();
    assertThatThrownBy(() -> Bounds.check("cylinders", 17, 1, 16, ""))
        .hasMessage("cylinders must be 1 to 16, was 17");
  }
}
