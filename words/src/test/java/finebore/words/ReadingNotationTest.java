package finebore.words;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchReading;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

class ReadingNotationTest {

  @Property(tries = 200)
  void whatIsWrittenCanBeTypedAgain(
      @ForAll @IntRange(min = 1, max = 400_000) int flowMl,
      @ForAll @DoubleRange(min = 1, max = 110) double percent,
      @ForAll UnitSystem units)
      throws NotationException {
    double flow = flowMl * 1e-6;
    List<BenchReading> readings =
        List.of(BenchReading.flow(flow), BenchReading.percent(percent, "4 big"));
    String text = ReadingNotation.text(readings, units);
    List<BenchReading> typed = ReadingNotation.read(text, units, List.of());
    assertThat(typed).hasSize(2);
    assertThat(typed.getFirst().value()).isCloseTo(flow, within(units.flow().toBase(0.051)));
    assertThat(typed.getLast().value()).isCloseTo(percent, within(0.0051));
    assertThat(typed.getLast().range()).contains("4 big");
    // What is not changed keeps every digit and what came with it.
    assertThat(ReadingNotation.read(text, units, readings)).isEqualTo(readings);
  }
}
