package finebore.desk.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChangeWordsTest {

  /** What comes to nothing has no sign. */
  @ParameterizedTest
  @CsvSource({
    "0.0123, +1.2 %",
    "-0.0123, \u22121.2 %",
    "0.0006, +0.1 %",
    "-0.0006, \u22120.1 %",
    "0.0004, 0.0 %",
    "-0.0004, 0.0 %",
    "0, 0.0 %"
  })
  void changesHaveTheirSign(double share, String words) {
    assertThat(ChangeWords.share(share)).isEqualTo(words);
  }
}
