package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.code.Message;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.study.ReadingKind;
import finebore.work.ReadBack;
import finebore.work.StepKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
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

  private static RunStep step(ReadBack what, OptionalDouble wanted) {
    return new RunStep(
        "I1:any",
        I1,
        StepKind.FORM,
        "any",
        Message.of("step"),
        Optional.empty(),
        OptionalInt.empty(),
        List.of(),
        List.of(new RunStep.Target(what, wanted, OptionalDouble.empty(), OptionalDouble.empty())),
        Optional.empty(),
        Optional.empty());
  }

  /** A millimetre, and of what is large a twentieth, is no jump; nor is it the other unit. */
  @ParameterizedTest
  @CsvSource({
    "10, 11, ",
    "10, 9, ",
    "10, 11.001, JUMP",
    "10, 8.999, JUMP",
    "40, 42, ",
    "40, 42.001, JUMP",
    "40, 37.999, JUMP",
    "40, 1.6535, OTHER_UNIT",
    "40, 1.6536, JUMP",
    "40, 1016, OTHER_UNIT",
    "40, 1066.7, OTHER_UNIT",
    "40, 1066.9, JUMP",
    "10, 0.4330, OTHER_UNIT",
    "10, 0.4332, JUMP",
    "-8, -8.9, ",
    "-30, -31.4, ",
    "-30, -31.6, JUMP"
  })
  void aJumpIsToldFromTheOtherUnit(double wanted, double value, ReadingDoubt doubt) {
    assertThat(
            ReadingDoubt.of(
                BARE,
                step(ReadBack.SEAT_DEPTH, OptionalDouble.of(wanted)),
                ReadBack.SEAT_DEPTH,
                value,
                false))
        .isEqualTo(Optional.ofNullable(doubt));
  }

  @Test
  void whatTheGaugeSendsTwiceIsAskedAboutFirst() {
    RunStep step = step(ReadBack.SEAT_DEPTH, OptionalDouble.of(10));
    assertThat(ReadingDoubt.of(BARE, step, ReadBack.SEAT_DEPTH, 10, true))
        .contains(ReadingDoubt.REPEATED);
    assertThat(ReadingDoubt.of(BARE, step, ReadBack.SEAT_DEPTH, 99, true))
        .contains(ReadingDoubt.REPEATED);
    assertThat(ReadingDoubt.of(BARE, step, ReadBack.SEAT_DEPTH, 10, false)).isEmpty();
    assertThat(ReadingDoubt.inOtherUnit(1.6, 40)).isCloseTo(40.64, within(1e-9));
    assertThat(ReadingDoubt.inOtherUnit(1000, 40)).isCloseTo(39.370079, within(1e-6));
    assertThat(ReadingDoubt.REPEATED.code()).isEqualTo("readingDoubt.repeated");
  }

  /** Where the plan wants nothing, the last of its kind and port is the measure. */
  @Test
  void withoutAPlanTheLastOneLikeItIsTheMeasure() {
    RunStep step = step(ReadBack.SPRING_HEIGHT, OptionalDouble.empty());
    assertThat(ReadingDoubt.of(BARE, step, ReadBack.SPRING_HEIGHT, 70, false)).isEmpty();
    Job job = with(BARE, "I2", ReadBack.SPRING_HEIGHT, 38);
    job = with(job, "I3", ReadBack.SPRING_HEIGHT, 40);
    job = with(job, "E1", ReadBack.SPRING_HEIGHT, 60);
    job = with(job, "I4", ReadBack.SEAT_DEPTH, 9);
    assertThat(ReadingDoubt.expected(job, step, ReadBack.SPRING_HEIGHT)).hasValue(40);
    assertThat(ReadingDoubt.of(job, step, ReadBack.SPRING_HEIGHT, 42, false)).isEmpty();
    assertThat(ReadingDoubt.of(job, step, ReadBack.SPRING_HEIGHT, 60, false))
        .contains(ReadingDoubt.JUMP);
    // Pressures are no lengths: they are held against each other where a seal is judged.
    RunStep vacuum = step(ReadBack.VACUUM_DRY, OptionalDouble.of(40_000));
    assertThat(ReadingDoubt.of(job, vacuum, ReadBack.VACUUM_DRY, 80_000, false)).isEmpty();
  }

  /** Small readings jump by 0.15 mm or by half; the other unit comes within half. */
  @ParameterizedTest
  @CsvSource({
    "0.20, 0.35, ",
    "0.20, 0.3501, JUMP",
    "0.20, 0.0501, ",
    "0.20, 0.0499, JUMP",
    "0.20, 0.0039, JUMP",
    "0.20, 0.00394, OTHER_UNIT",
    "1.00, 1.5, ",
    "1.00, 1.5001, JUMP",
    "1.00, 0.059, OTHER_UNIT",
    "1.00, 0.0592, JUMP",
    "1.00, 0.0198, OTHER_UNIT",
    "1.00, 0.0196, JUMP",
    "1.00, 38, OTHER_UNIT",
    "1.00, 38.2, JUMP",
    "1.00, 12.71, OTHER_UNIT",
    "1.00, 12.69, JUMP"
  })
  void aSmallJumpIsToldFromTheOtherUnit(double before, double value, ReadingDoubt doubt) {
    Job read = with(BARE, "I1", ReadBack.SEAT_RUNOUT, before);
    assertThat(doubt(read, ReadBack.SEAT_RUNOUT, value)).isEqualTo(Optional.ofNullable(doubt));
  }

  /** A seat's own reading goes before its neighbours', and other kinds count for nothing. */
  @Test
  void aSealIsHeldAgainstItsOwnSeatFirst() {
    Job job = with(BARE, "I1", ReadBack.SEAT_RUNOUT, 0.9);
    job = with(job, "I1", ReadBack.RING_PLACE_3, 0.2);
    job = with(job, "I2", ReadBack.SEAT_RUNOUT, 0.02);
    assertThat(ReadingDoubt.expectedOfSeal(job, SEAT, ReadBack.SEAT_RUNOUT)).hasValue(0.9);
    assertThat(ReadingDoubt.expectedOfSeal(job, SEAT, ReadBack.RING_PLACE_12)).hasValue(0.2);
    // The best oiled one of a port, its own or not, tells what the pump can do.
    job = with(job, "I2", ReadBack.VACUUM_OILED, 70_000);
    job = with(job, "I1", ReadBack.VACUUM_OILED, 50_000);
    job = with(job, "E1", ReadBack.VACUUM_OILED, 80_000);
    job = with(job, "I3", ReadBack.VACUUM_DRY, 90_000);
    assertThat(ReadingDoubt.expectedOfSeal(job, SEAT, ReadBack.VACUUM_DRY)).hasValue(70_000);
    assertThat(doubt(job, ReadBack.VACUUM_OILED, 87_500)).isEmpty();
    assertThat(doubt(job, ReadBack.VACUUM_OILED, 87_501)).contains(ReadingDoubt.JUMP);
    // How fast a vacuum falls has no measure, even where one was read before.
    job = with(job, "I1", ReadBack.FALL_DRY, 3);
    assertThat(doubt(job, ReadBack.FALL_DRY, 300)).isEmpty();
  }
}
