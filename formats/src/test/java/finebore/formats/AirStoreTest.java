package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.flow.Calibration;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.study.SeatStudy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AirStoreTest {

  @TempDir private Path folder;
  private Path file;

  @BeforeEach
  void name() {
    file = folder.resolve("air.csv");
  }

  private static AirQuestion at(double lift) {
    Job job = JobFile.demo();
    SeatStudy found =
        PlanStudy.asFound(job, job.engine().seats().getFirst(), Calibration.SEAT_ALONE);
    return found.airAt(lift, Turbulence.EVEN, Fineness.COARSE);
  }

  @Test
  void whatWasSolvedComesBack() throws IOException {
    AirStore store = AirStore.in(file);
    assertThat(store.solved(at(3))).isEmpty();
    store.keep(at(3), new SolvedArea(231.25, -12.5, 0.0125));
    store.keep(at(0.001), SolvedArea.NONE);
    AirStore again = AirStore.in(file);
    assertThat(again.solved(at(3))).hasValue(new SolvedArea(231.25, -12.5, 0.0125));
    assertThat(again.solved(at(0.001)).orElseThrow().isSolved()).isFalse();
    assertThat(again.solved(at(3.00001))).isEmpty();
    assertThat(again.solved(at(3).with(Turbulence.TRANSPORT))).isEmpty();
    assertThat(again.solved(at(3).with(Fineness.FULL))).isEmpty();
  }

  /** A job brings its lines along, and another machine need not solve them again. */
  @Test
  void aJobBringsItsLines() throws IOException, FileProblem {
    AirStore store = AirStore.in(file);
    store.keep(at(3), new SolvedArea(231.25, 44));
    store.keep(at(4), SolvedArea.NONE);
    store.keep(at(5), new SolvedArea(300, 40));
    JobDocument document =
        JobDocument.fresh(JobFile.demo()).withSolvedAir(store.lines(List.of(at(3), at(4), at(6))));
    assertThat(document.solvedAir()).hasSize(2);
    Path job = folder.resolve("a.finebore.json");
    JobFile.write(document, job);
    JobDocument back = JobFile.read(job);
    AirStore other = AirStore.in(folder.resolve("other.csv"));
    other.takeAll(back.solvedAir());
    assertThat(other.solved(at(3))).hasValue(new SolvedArea(231.25, 44));
    assertThat(other.solved(at(4))).hasValue(SolvedArea.NONE);
    assertThat(other.solved(at(5))).isEmpty();
    // Lines that are none do not keep a job from opening, and are not written again.
    Files.writeString(
        job, Files.readString(job).replaceFirst("\"solvedAir\" : \\[", "$0 7, \"x,1\","));
    assertThat(JobFile.read(job).solvedAir()).hasSize(3).doesNotContain("7");
    JobFile.write(JobFile.read(job).withSolvedAir(List.of()), job);
    assertThat(Files.readString(job)).doesNotContain("solvedAir");
  }

  @Test
  void aDamagedOrMissingFileIsNoHarm() throws IOException {
    AirStore.in(file).keep(at(3), new SolvedArea(231.25, -12.5, 0.0125));
    Files.writeString(
        file,
        "nonsense\n0123456789abcdef0123456789abcdef,-4,3\n0123456789abcdef0123456789abcdef,4\n0123",
        StandardOpenOption.APPEND);
    assertThat(AirStore.in(file).solved(at(3))).hasValue(new SolvedArea(231.25, -12.5, 0.0125));
    Files.write(file, new byte[] {0, (byte) 0xff, 3});
    assertThat(AirStore.in(file).solved(at(3))).isEmpty();
    Files.delete(file);
    AirStore store = AirStore.in(file);
    store.keep(at(4), new SolvedArea(300, -12.5));
    assertThat(AirStore.in(file).solved(at(4))).hasValue(new SolvedArea(300, -12.5));
  }
}
