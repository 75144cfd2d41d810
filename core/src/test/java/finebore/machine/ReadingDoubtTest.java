package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.study.ReadingKind;
import finebore.work.ReadBack;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is questioned before it is kept. */
class ReadingDoubtTest {

  private static final Job BARE = MachineJob.job();
  private static final SeatPlace I1 = BARE.engine().seats().getFirst();
  private static final SeatOutcome SEAT = SeatOutcome.of(BARE, I1, BARE.planOf(I1));

  private static Job with(Job job, String seat, ReadBack what, double value) {
    return MachineJob.read(job, seat, seat + ":seal", what, value);
  }

  private static Optional<ReadingDoubt> doubt(Job job, ReadBack what, double value) {
    return ReadingDoubt.ofSeal(job, SEAT, what, value);
  }

  @Test
  void aRingIsHeldAgainstTheContactUntilOneWasRead() {
    double contact = SEAT.reading(ReadingKind.CONTACT_WIDTH).orElseThrow();
    assertThat(doubt(BARE, ReadBack.RING_WIDTH_12, contact * 1.49)).isEmpty();
    assertThat(doubt(BARE, ReadBack.RING_WIDTH_12, contact * 1.51)).contains(ReadingDoubt.JUMP);
    assertThat(doubt(BARE, ReadBack.RING_WIDTH_12, contact / 25.4))
        .contains(ReadingDoubt.OTHER_UNIT);
    Job read = with(BARE, "I1", ReadBack.RING_WIDTH_6, 3);
    assertThat(doubt(read, ReadBack.RING_WIDTH_12, 3.2)).isEmpty();
    assertThat(doubt(read, ReadBack.RING_WIDTH_12, contact * 0.9)).contains(ReadingDoubt.JUMP);
  }

  @Test
  void anotherPortsReadingIsNoMeasure() {
    Job read = with(BARE, "E1", ReadBack.SEAT_RUNOUT, 0.02);
    assertThat(doubt(read, ReadBack.SEAT_RUNOUT, 0.5)).isEmpty();
    Job own = with(BARE, "I2", ReadBack.SEAT_RUNOUT, 0.02);
    assertThat(doubt(own, ReadBack.SEAT_RUNOUT, 0.169)).isEmpty();
    assertThat(doubt(own, ReadBack.SEAT_RUNOUT, 0.171)).contains(ReadingDoubt.JUMP);
    assertThat(doubt(own, ReadBack.SEAT_RUNOUT, 0.508)).contains(ReadingDoubt.OTHER_UNIT);
  }

  @ParameterizedTest
  @CsvSource({"74000, false", "76000, true", "100, false"})
  void aPortMayLeakButNotHoldFarMoreThanTheBest(double heldPa, boolean questioned) {
    Job read =
        with(with(BARE, "I2", ReadBack.VACUUM_OILED, 60000), "I2", ReadBack.VACUUM_DRY, 9000);
    assertThat(doubt(read, ReadBack.VACUUM_DRY, heldPa).isPresent()).isEqualTo(questioned);
    assertThat(doubt(read, ReadBack.FALL_DRY, heldPa)).isEmpty();
  }

  @Test
  void theRoomsPressureIsOneForBothPorts() {
    Job read = with(BARE, "E2", ReadBack.AMBIENT, 101_000);
    assertThat(doubt(read, ReadBack.AMBIENT, 98_001)).isEmpty();
    assertThat(doubt(read, ReadBack.AMBIENT, 97_999)).contains(ReadingDoubt.JUMP);
    assertThat(doubt(read, ReadBack.AMBIENT, 104_001)).contains(ReadingDoubt.JUMP);
  }
}
