package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.Air;
import finebore.bench.BenchBook;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.PlateCheck;
import finebore.bench.SetUp;
import finebore.code.Term;
import finebore.flow.Direction;
import finebore.instruments.BenchLink.LinkLost;
import finebore.quantity.Quantity;
import finebore.units.Unit;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** The stand-in bench, the driver that speaks with it, and benches that answer badly. */
class SimulatedBenchTest {

  private static final double PA = Unit.INCH_OF_WATER.toBase(28);

  private final SimulatedBench bench = new SimulatedBench(lift -> 70 * lift, 3);
  private final FlowBench driver = new FlowBench(new SimulatedLink(bench), Duration.ofMillis(50));

  private String answer(String command) {
    return bench
        .answer(new Frame("7 " + command).line())
        .flatMap(Frame::of)
        .map(Frame::text)
        .orElse("");
  }

  @Test
  void answersWhatItCanAndRefusesTheRest() {
    assertThat(answer("HELLO")).startsWith("7 OK protocol=1 name=simulated ranges=1,2,3,4,5");
    assertThat(answer("LIFT 3.000")).isEqualTo("7 OK lift=3.000");
    assertThat(answer("LIFT deep")).isEqualTo("7 ERR lift");
    assertThat(answer("LIFT 400")).isEqualTo("7 ERR lift");
    assertThat(answer("RANGE 9")).isEqualTo("7 ERR no such range");
    assertThat(answer("DEPRESSION -1")).isEqualTo("7 ERR depression");
    assertThat(answer("FIXTURE PLATE 9")).isEqualTo("7 ERR no such fixture");
    assertThat(answer("DANCE")).isEqualTo("7 ERR unknown command");
    assertThat(bench.answer("7 READ*0000")).isEmpty();
    assertThat(bench.answer("garbage")).isEmpty();
  }

  private Sample settled() throws BenchTrouble {
    Sample sample = driver.read();
    for (int k = 0; k < 40; k++) {
      sample = driver.read();
    }
    return sample;
  }

  @Test
  void itsNeedleFollowsLiftRangeAndBlower() throws BenchTrouble {
    assertThat(driver.hello().ranges()).containsExactly("1", "2", "3", "4", "5");
    driver.depression(PA);
    driver.range("5");
    driver.lift(5);
    double wide = settled().percent();
    assertThat(driver.read().air().pressurePa()).isEqualTo(100_600);
    driver.range("4");
    assertThat(settled().percent()).isCloseTo(2 * wide, within(0.05 * wide));
    driver.range("1");
    assertThat(settled().percent()).isEqualTo(110);
    driver.range("5");
    driver.depression(PA / 4);
    assertThat(settled().percent()).isCloseTo(wide / 2, within(0.03 * wide));
    driver.off();
    assertThat(settled().percent()).isLessThan(0.1);
  }

  @Test
  void itLeaksWhenShut() throws BenchTrouble {
    driver.hello();
    driver.depression(PA);
    driver.range("1");
    driver.lift(0);
    assertThat(settled().percent()).isBetween(1.0, 6.0);
  }

  @Test
  void itsPlatesReadAboutWhatIsStampedOnThem() throws BenchTrouble {
    driver.hello();
    driver.depression(PA);
    for (String range : driver.ranges()) {
      CheckPlate plate = driver.plate(range);
      driver.range(range);
      Sample sample = settled();
      PlateCheck check =
          new PlateCheck(
              LocalDate.EPOCH, plate, sample.percent(), sample.depressionPa(), Optional.empty());
      assertThat(sample.percent()).isCloseTo(75, within(2.0));
      assertThat(plate.flowM3s(PA / 4)).isCloseTo(plate.flowM3s(PA) / 2, within(1e-9));
      assertThat(check.fullFlowM3s())
          .isCloseTo(plate.flowM3s(PA) / 0.75, within(0.02 * plate.flowM3s(PA)));
    }
  }

  @Test
  void itsMeterDriftsAsItWarmsUp() throws BenchTrouble {
    driver.hello();
    driver.depression(PA);
    driver.plate("3");
    driver.range("3");
    double cold = mean();
    for (int k = 0; k < 12_000; k++) {
      driver.read();
    }
    double warm = mean();
    assertThat(cold / warm - 1).isBetween(0.002, 0.009);
  }

  private double mean() throws BenchTrouble {
    settled();
    double sum = 0;
    for (int k = 0; k < 400; k++) {
      sum += driver.read().percent();
    }
    return sum / 400;
  }

  /** A bench that gives the answers it was told to. */
  private static final class Told implements BenchLink {
    private final Deque<String> answers = new ArrayDeque<>();
    private String last = "";

    Told(String... lines) {
      answers.addAll(java.util.List.of(lines));
    }

    @Override
    public void send(String line) {
      last = line.substring(0, line.indexOf(' '));
    }

    @Override
    public Optional<String> receive(Duration timeout) {
      return Optional.ofNullable(answers.poll())
          .map(words -> words.replace("#", last))
          .map(words -> words.startsWith("raw ") ? words.substring(4) : new Frame(words).line());
    }

    @Override
    public void reopen() throws LinkLost {}

    @Override
    public void close() {
      answers.clear();
    }
  }

  private static FlowBench told(String... lines) {
    return new FlowBench(new Told(lines), Duration.ofMillis(20));
  }

  @Test
  void aBenchOfAnotherKindIsToldApart() {
    assertThatThrownBy(() -> told("# OK protocol=2").hello())
        .isInstanceOf(BenchTrouble.class)
        .hasMessageContaining("bench.protocol");
    assertThatThrownBy(() -> told("# ERR door open").off()).hasMessageContaining("bench.refuses");
    assertThatThrownBy(() -> told("# OK lift=high").lift(3)).hasMessageContaining("bench.nonsense");
    assertThatThrownBy(() -> told().off()).hasMessageContaining("bench.silent");
  }

  @Test
  void whatABenchReadsIsReadHoweverOddAndMarked() throws Exception {
    Sample sample =
        told("# OK lift=1 range=1 percent=150 depression=50 temperature=900 pressure=1 humidity=1")
            .read();
    assertThat(sample.percent()).isEqualTo(150);
    assertThat(sample.air().oddity().orElseThrow().terms())
        .containsEntry("quantity", Term.name(Quantity.AIR_TEMPERATURE));
    FlowTest test = Takings.into(EMPTY, Taken.of(1, 1, List.of(sample)), BenchBook.EMPTY);
    assertThat(test.at(1).orElseThrow().readings())
        .singleElement()
        .satisfies(r -> assertThat(r.oddity()).isPresent());
  }

  private static final FlowTest EMPTY =
      FlowTest.empty(
          1,
          "odd",
          new SetUp(
              "bench",
              "I1",
              Direction.INTAKE,
              SetUp.TestedState.AS_FOUND,
              new SetUp.TestedValve(38, "found"),
              OptionalDouble.of(86),
              SetUp.Inlet.radius(12),
              Optional.empty(),
              OptionalDouble.of(7000),
              OptionalDouble.of(0)));

  @Test
  void lateAndGarbledAnswersArePassedOver() throws BenchTrouble {
    assertThat(told("99 OK lift=7.000", "raw ~~~~", "# OK lift=3.000").lift(3)).isEqualTo(3);
  }

  @Test
  void aTestIsFilledFromWhatWasTakenOnceOnly() {
    FlowTest test = TruthTest.test();
    Air air = new Air(21, 100_000, 0.5);
    Taken leak = new Taken(0, 1, "1", 4, 7000, air);
    Taken first = new Taken(2, 1, "2", 70, 7000, air);
    BenchBook book =
        BenchBook.EMPTY.withCheck(
            "1",
            new PlateCheck(
                LocalDate.EPOCH, new CheckPlate.Stamped(0.005, 7000), 50, 7000, Optional.empty()));
    FlowTest filled = Takings.into(Takings.into(test, leak, book), first, book);
    assertThat(filled.setUp().leakageM3s().orElseThrow()).isCloseTo(0.0004, within(1e-12));
    assertThat(filled.air()).contains(air);
    assertThat(filled.at(2).orElseThrow().readings()).containsExactly(first.reading());
    assertThat(Takings.into(filled, first, book)).isEqualTo(filled);
    Taken second = new Taken(2, 2, "2", 70.1, 7000, air);
    assertThat(Takings.into(filled, second, book).at(2).orElseThrow().readings()).hasSize(2);
    assertThat(Takings.into(test, leak, BenchBook.EMPTY).setUp().leakageM3s()).isEmpty();
  }
}
