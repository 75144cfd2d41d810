package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.BenchBook;
import finebore.bench.CheckPlate;
import finebore.bench.PlateCheck;
import finebore.code.Message;
import finebore.code.Term;
import finebore.instruments.SimulatedBench.Fault;
import finebore.units.Unit;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A run on the simulated bench, and everything that can go wrong with one. */
class BenchRunTest {

  private static final double PA = Unit.INCH_OF_WATER.toBase(28);
  private static final List<Double> LIFTS = List.of(1.0, 2.0, 4.0, 6.0, 9.0);

  @TempDir private Path folder;

  private final SimulatedBench bench = new SimulatedBench(lift -> 75 * lift, 7);

  private RunJournal.Plan plan(int repeats) {
    return new RunJournal.Plan(3, LIFTS, repeats, PA);
  }

  private Path journal() {
    return folder.resolve("a" + RunJournal.EXTENSION);
  }

  /** Keeps what a run tells. */
  static class Told implements BenchRun.Listener {
    final List<Sample> samples = new ArrayList<>();
    final List<Taken> taken = new ArrayList<>();
    BenchBook book = BenchBook.EMPTY;
    Consumer<Taken> onTaken = t -> {};

    @Override
    public void sample(Sample sample, double settled) {
      samples.add(sample);
    }

    @Override
    public void taken(Taken reading) {
      taken.add(reading);
      onTaken.accept(reading);
    }

    @Override
    public void plate(String range, CheckPlate plate, Sample reading) {
      book =
          book.withCheck(
              range,
              new PlateCheck(
                  LocalDate.of(2026, 5, 4),
                  plate,
                  reading.percent(),
                  reading.depressionPa(),
                  Optional.of(reading.air())));
    }
  }

  private BenchRun run(BenchLink link, RunJournal.Plan plan, Told told) {
    return new BenchRun(
        new FlowBench(link, Duration.ofMillis(200)), plan, journal(), BenchRun.Pace.NONE, told);
  }

  private RunJournal.Contents kept() throws IOException {
    return RunJournal.read(journal()).orElseThrow();
  }

  @Test
  void aRunReadsWhatIsThere() throws IOException {
    Told told = new Told();
    BenchRun run = run(new SimulatedLink(bench), plan(2), told);
    assertThat(run.checkPlates()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(told.book.ranges()).hasSize(5);
    assertThat(run.run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(told.taken).hasSize(1 + 2 * LIFTS.size());
    double leak = flow(told, told.taken.getFirst());
    for (Taken taken : told.taken.subList(1, told.taken.size())) {
      double truth = bench.truth(taken.liftMm(), PA);
      assertThat(flow(told, taken) - leak)
          .as("at %s mm", taken.liftMm())
          .isCloseTo(truth, within(0.015 * truth));
      assertThat(taken.percent()).isBetween(15.0, 97.0);
    }
    assertThat(kept().finished()).isTrue();
    assertThat(kept().taken()).isEqualTo(told.taken);
    assertThat(kept().samples()).isGreaterThan(12 * told.taken.size());
    assertThat(kept().damaged()).isZero();
    assertThat(kept().plan().liftsMm()).isEqualTo(LIFTS);
  }

  /** As the book makes a flow of it, at the standard depression. */
  private static double flow(Told told, Taken taken) {
    double full =
        told.book.range(taken.range()).orElseThrow().fullFlowM3s(Optional.empty()).orElseThrow();
    return taken.percent() / 100 * full * Math.sqrt(PA / taken.depressionPa());
  }

  /**
   * Counts what goes wrong on a link: no answer, noise, a fixture that is not where it was sent.
   */
  private static final class Watched implements BenchLink {
    private final SimulatedLink link;
    private Frame asked = new Frame("0");
    private int faults;

    Watched(SimulatedLink link) {
      this.link = link;
    }

    @Override
    public void send(String line) {
      asked = Frame.of(line).orElseThrow();
      link.send(line);
    }

    @Override
    public Optional<String> receive(Duration timeout) {
      Optional<String> line = link.receive(timeout);
      Optional<Frame> frame = line.flatMap(Frame::of);
      boolean stuck =
          frame.isPresent()
              && asked.text().contains(" LIFT ")
              && frame.get().number("lift") != Double.parseDouble(asked.words()[2]);
      if (frame.isEmpty() || stuck) {
        faults++;
      }
      return line;
    }

    @Override
    public void reopen() {
      link.reopen();
    }

    @Override
    public void close() {
      link.close();
    }
  }

  @Test
  void aRunWithoutFaultsMeetsNone() {
    Watched link = new Watched(new SimulatedLink(bench));
    assertThat(run(link, plan(1), new Told()).run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(link.faults).isZero();
  }

  @ParameterizedTest
  @EnumSource(Fault.class)
  void aFaultThatPassesIsSurvived(Fault fault) throws IOException {
    for (int k = 5; k < 100; k += 13) {
      bench.plan(fault, k);
    }
    Told told = new Told();
    assertThat(run(new SimulatedLink(bench), plan(1), told).run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(kept().taken())
        .extracting(Taken::liftMm)
        .containsExactly(0.0, 1.0, 2.0, 4.0, 6.0, 9.0);
    for (Taken taken : told.taken.subList(1, 6)) {
      assertThat(taken.percent()).isBetween(15.0, 97.0);
    }
  }

  @Test
  void aJammedFixtureStopsTheRunWithWordsAndLosesNothing() throws IOException {
    Told told = new Told();
    told.onTaken =
        t -> {
          if (t.liftMm() == 4) {
            bench.jam();
          }
        };
    BenchRun.Outcome outcome = run(new SimulatedLink(bench), plan(1), told).run();
    assertThat(outcome.done()).isFalse();
    assertThat(outcome.trouble().orElseThrow().code()).isEqualTo("bench.fixture");
    assertThat(outcome.trouble().orElseThrow().terms()).containsEntry("wanted", Term.length(6));
    assertThat(kept().taken()).hasSize(4);
    bench.free();
    assertThat(run(new SimulatedLink(bench), plan(1), told).run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(told.taken).extracting(Taken::liftMm).containsExactly(0.0, 1.0, 2.0, 4.0, 6.0, 9.0);
  }

  @Test
  void aRunThatIsStoppedGoesOnWhereItWas() throws IOException {
    Told told = new Told();
    BenchRun first = run(new SimulatedLink(bench), plan(1), told);
    told.onTaken =
        t -> {
          if (t.liftMm() == 2) {
            first.stop();
          }
        };
    assertThat(first.run()).isEqualTo(BenchRun.Outcome.STOPPED);
    assertThat(kept().finished()).isFalse();
    assertThat(kept().taken()).hasSize(3);
    assertThat(run(new SimulatedLink(bench), plan(1), told).run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(told.taken).hasSize(6);
  }

  @Test
  void aBenchThatIsGoneIsSaidToBe() {
    BenchLink dead =
        new BenchLink() {
          @Override
          public void send(String line) throws LinkLost {
            throw new LinkLost(Message.of("serial.gone").with("port", Term.quote("A")));
          }

          @Override
          public Optional<String> receive(Duration timeout) {
            return Optional.empty();
          }

          @Override
          public void reopen() {}

          @Override
          public void close() {}
        };
    assertThat(run(dead, plan(1), new Told()).run().trouble().orElseThrow())
        .isEqualTo(
            Message.of("bench.lost")
                .with("why", Message.of("serial.gone").with("port", Term.quote("A"))));
  }

  @Test
  void aNeedleThatNeverRestsIsNotRead() throws IOException {
    SimulatedBench wild =
        new SimulatedBench(
            new java.util.function.DoubleUnaryOperator() {
              private int n;

              @Override
              public double applyAsDouble(double lift) {
                return lift <= 0 ? 0 : 75 * lift * (n++ % 8 < 4 ? 1 : 1.4);
              }
            },
            7);
    Told told = new Told();
    assertThat(run(new SimulatedLink(wild), plan(1), told).run().trouble().orElseThrow().code())
        .isEqualTo("bench.restless");
    assertThat(kept().taken()).hasSize(1);
  }

  @Test
  void aLineIsTakenOnlyWhole() {
    Frame frame = new Frame("7 READ");
    // CRC-16/CCITT-FALSE of the nine digits, as every catalogue of checksums has it.
    assertThat(Frame.checksum("123456789")).isEqualTo("29B1");
    assertThat(Frame.of(frame.line())).contains(frame);
    assertThat(Frame.of(frame.line().replace('7', '8'))).isEmpty();
    assertThat(Frame.of("")).isEmpty();
    assertThat(Frame.of("\u0007\u00ff*0000")).isEmpty();
    assertThatThrownBy(() -> new Frame("a*b")).hasMessageContaining("rule.frame.line");
    assertThatThrownBy(() -> new Frame("READ lift=x").number("lift"))
        .hasMessageContaining("rule.frame.number");
  }

  @Test
  void aTornLineCostsOnlyItself() throws IOException {
    Told told = new Told();
    run(new SimulatedLink(bench), plan(1), told).run();
    byte[] whole = Files.readAllBytes(journal());
    int last = new String(whole, StandardCharsets.US_ASCII).lastIndexOf("TAKEN");
    Files.write(journal(), java.util.Arrays.copyOf(whole, last + 20));
    assertThat(kept().taken()).hasSize(5);
    assertThat(kept().damaged()).isEqualTo(1);
    assertThat(run(new SimulatedLink(bench), plan(1), told).run()).isEqualTo(BenchRun.Outcome.DONE);
    assertThat(kept().taken()).extracting(Taken::liftMm).contains(9.0).hasSize(6);
  }

  @Test
  void aNeedleRestsWhenItNeitherSwingsNorCreeps() {
    Settling settling = new Settling();
    assertThat(settling.share()).isZero();
    for (int k = 0; k < Settling.WINDOW; k++) {
      settling.add(at(60 + 0.05 * (k % 2)));
    }
    assertThat(settling.isSettled()).isTrue();
    for (int k = 0; k < Settling.WINDOW; k++) {
      settling.add(at(60 + 0.08 * k));
    }
    assertThat(settling.isSettled()).isFalse();
    assertThat(settling.share()).isBetween(0.1, 0.99);
  }

  private static Sample at(double percent) {
    return new Sample(3, "2", percent, PA, new finebore.bench.Air(20, 101_325, 0.4));
  }
}
