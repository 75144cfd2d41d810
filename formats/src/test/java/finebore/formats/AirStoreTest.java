package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.flow.Calibration;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.study.SeatStudy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
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
    assertThat(store.area(at(3))).isEmpty();
    store.keep(at(3), 231.25);
    store.keep(at(0.001), Double.NaN);
    AirStore again = AirStore.in(file);
    assertThat(again.area(at(3))).hasValue(231.25);
    assertThat(again.area(at(0.001)).orElseThrow()).isNaN();
    assertThat(again.area(at(3.00001))).isEmpty();
    assertThat(again.area(at(3).with(Turbulence.TRANSPORT))).isEmpty();
    assertThat(again.area(at(3).with(Fineness.FULL))).isEmpty();
  }

  @Test
  void aDamagedOrMissingFileIsNoHarm() throws IOException {
    AirStore.in(file).keep(at(3), 231.25);
    Files.writeString(
        file, "nonsense\n0123456789abcdef0123456789abcdef,-4\n0123", StandardOpenOption.APPEND);
    assertThat(AirStore.in(file).area(at(3))).hasValue(231.25);
    Files.write(file, new byte[] {0, (byte) 0xff, 3});
    assertThat(AirStore.in(file).area(at(3))).isEmpty();
    Files.delete(file);
    AirStore store = AirStore.in(file);
    store.keep(at(4), 300);
    assertThat(AirStore.in(file).area(at(4))).hasValue(300);
  }
}
