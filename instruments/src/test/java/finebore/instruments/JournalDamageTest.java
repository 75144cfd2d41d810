package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.bench.CheckPlate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Journals cut off or spoilt anywhere: what is read from them was written, and a run goes on. */
class JournalDamageTest {

  @TempDir private Path folder;
  private Path journal;
  private List<Taken> all;
  private byte[] whole;

  private static final BenchRun.Listener SILENT =
      new BenchRun.Listener() {
        @Override
        public void sample(Sample sample, double settled) {}

        @Override
        public void taken(Taken taken) {}

        @Override
        public void plate(String range, CheckPlate plate, Sample reading) {}
      };

  private BenchRun.Outcome run() {
    return new BenchRun(
            new FlowBench(
                new SimulatedLink(new SimulatedBench(lift -> 60 * lift, 9)), Duration.ofMillis(50)),
            new RunJournal.Plan(4, List.of(1.0, 2.0, 3.0), 2, 7000),
            journal,
            BenchRun.Pace.NONE,
            SILENT)
        .run();
  }

  @BeforeEach
  void writeOne() throws IOException {
    journal = folder.resolve("whole.run");
    assertThat(run().done()).isTrue();
    all = RunJournal.read(journal).orElseThrow().taken();
    whole = Files.readAllBytes(journal);
    assertThat(all).hasSize(7);
  }

  @Test
  void cutOffAnywhereItHoldsWhatWasWhole() throws IOException {
    Random chance = new Random(12);
    int kept = 0;
    for (int k = 0; k < 200; k++) {
      Path cut = folder.resolve("cut.run");
      Files.write(cut, Arrays.copyOf(whole, chance.nextInt(whole.length)));
      Optional<RunJournal.Contents> read = RunJournal.read(cut);
      read.ifPresent(
          contents -> {
            assertThat(contents.taken()).isEqualTo(all.subList(0, contents.taken().size()));
            assertThat(contents.damaged()).isLessThanOrEqualTo(1);
          });
      kept += read.isPresent() ? 1 : 0;
    }
    assertThat(kept).isGreaterThan(120);
  }

  @Test
  void aSpoiltByteCostsOnlyItsLine() throws IOException {
    Random chance = new Random(13);
    int kept = 0;
    for (int k = 0; k < 200; k++) {
      byte[] spoilt = whole.clone();
      int at = chance.nextInt(spoilt.length);
      spoilt[at] = (byte) (33 + chance.nextInt(90));
      Path file = folder.resolve("spoilt.run");
      Files.write(file, spoilt);
      Optional<RunJournal.Contents> read = RunJournal.read(file);
      read.ifPresent(
          contents -> {
            assertThat(all).containsAll(contents.taken());
            assertThat(contents.taken().size()).isGreaterThanOrEqualTo(all.size() - 2);
          });
      kept += read.isPresent() ? 1 : 0;
    }
    assertThat(kept).isGreaterThan(120);
  }

  @Test
  void aRunGoesOnFromAnyCut() throws IOException {
    Random chance = new Random(14);
    for (int k = 0; k < 20; k++) {
      Files.write(journal, Arrays.copyOf(whole, chance.nextInt(whole.length)));
      assertThat(run().done()).isTrue();
      RunJournal.Contents kept = RunJournal.read(journal).orElseThrow();
      assertThat(kept.finished()).isTrue();
      assertThat(kept.taken())
          .extracting(t -> t.liftMm() + " " + t.repeat())
          .containsExactlyInAnyOrder("0.0 1", "1.0 1", "1.0 2", "2.0 1", "2.0 2", "3.0 1", "3.0 2");
    }
  }

  @Test
  void whatCannotBeWrittenDownStopsTheRunWithWords() throws IOException {
    journal = folder.resolve("no such folder").resolve("a.run");
    BenchRun.Outcome outcome = run();
    assertThat(outcome.done()).isFalse();
    assertThat(outcome.trouble().orElseThrow().code()).isEqualTo("bench.journal");
    assertThat(RunJournal.read(journal)).isEmpty();
  }

  @Test
  void aWholeLineThatMakesNoSenseCountsAsDamaged() throws IOException {
    String strange =
        new Frame("TAKEN repeat=one lift=2").line()
            + "\n"
            + new Frame("RUN lifts=low").line()
            + "\n"
            + new Frame("a=b").line()
            + "\n";
    Files.writeString(journal, strange + Files.readString(journal));
    RunJournal.Contents kept = RunJournal.read(journal).orElseThrow();
    assertThat(kept.taken()).isEqualTo(all);
    assertThat(kept.damaged()).isEqualTo(3);
    assertThat(run().done()).isTrue();
  }

  @Test
  void aPlanMakesSense() {
    assertThatThrownBy(() -> new RunJournal.Plan(1, List.of(), 2, 7000))
        .hasMessageContaining("rule.run.plan");
    assertThatThrownBy(() -> new RunJournal.Plan(1, List.of(1.0), 0, 7000))
        .hasMessageContaining("rule.run.plan");
  }
}
