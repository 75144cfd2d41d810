package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.NextTest;
import finebore.calibration.PredictionConfidence;
import finebore.code.Message;
import finebore.code.Term;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Two people at one job. */
class JobMergeTest {

  private static final Job BASE =
      read(Samples.job().withEngine(Samples.job().engine().withCylinders(2)), "I1", 37.4);

  private static Job read(Job job, String seat, double throat) {
    return job.withHead(job.head().withReading(seat, Measure.THROAT_12, OptionalDouble.of(throat)));
  }

  private static Job tested(Job job, String name) {
    SeatPlace place = job.engine().seats().getFirst();
    FlowTest test =
        NextTest.of(
            job, place, TestedState.AS_FOUND, name, PredictionConfidence.of(job, place.port()));
    return job.withBench(job.bench().with(test.withPredicted(List.of())));
  }

  private static JobMerge merged(Job mine, Job theirs) {
    return JobMerge.of(Optional.of(BASE), mine, theirs);
  }

  @Test
  void readingsOfDifferentSeatsComeTogether() {
    Job mine = read(BASE, "I2", 37.8);
    Job theirs = read(BASE, "E1", 31.2).withNotes("theirs");
    JobMerge merged = merged(mine, theirs);
    assertThat(merged.both()).isEmpty();
    assertThat(merged.job())
        .isEqualTo(read(read(BASE, "I2", 37.8), "E1", 31.2).withNotes("theirs"));
    assertThat(merged(theirs, mine).job()).isEqualTo(merged.job());
  }

  @Test
  void whatBothReadIsNamedAndMineStands() {
    JobMerge merged = merged(read(BASE, "I1", 37.9), read(BASE, "I1", 38.3));
    assertThat(merged.job()).isEqualTo(read(BASE, "I1", 37.9));
    assertThat(merged.both())
        .containsExactly(
            Message.of("merge.reading")
                .with("seat", Term.quote("I1"))
                .with("measure", Measure.THROAT_12));
    assertThat(merged(read(BASE, "I1", 38.3), read(BASE, "I1", 38.3)).both()).isEmpty();
  }

  @Test
  void aReadingTakenBackStaysTakenBack() {
    Job gone =
        BASE.withHead(BASE.head().withReading("I1", Measure.THROAT_12, OptionalDouble.empty()));
    assertThat(merged(gone, BASE.withName("Other")).job()).isEqualTo(gone.withName("Other"));
    assertThat(merged(BASE.withName("Other"), gone).job()).isEqualTo(gone.withName("Other"));
  }

  @Test
  void plansOfSeatsAndGroupsComeTogether() {
    SeatPlace second = BASE.seats(Port.INTAKE).getLast();
    Plan own = Plan.usual(Samples.pairing());
    Job mine = BASE.withException(second, own);
    Job theirs =
        BASE.withGroup(Port.EXHAUST, BASE.exhaust().withAxisFromBoreMm(OptionalDouble.of(21.5)));
    JobMerge merged = merged(mine, theirs);
    assertThat(merged.both()).isEmpty();
    assertThat(merged.job()).isEqualTo(theirs.withException(second, own));
    Plan other = Plan.usual(Samples.pairing().withValve(Samples.plainValve()));
    JobMerge both = merged(mine, BASE.withException(second, other));
    assertThat(both.job()).isEqualTo(mine);
    assertThat(both.both())
        .containsExactly(Message.of("merge.exception").with("seat", Term.quote("I2")));
  }

  @Test
  void testsMadeByBothAreAllKept() {
    Job base = tested(BASE, "found");
    Job mine = tested(tested(base, "mine"), "mine after");
    Job theirs = tested(base, "theirs");
    JobMerge merged = JobMerge.of(Optional.of(base), mine, theirs);
    assertThat(merged.both()).isEmpty();
    assertThat(merged.job().bench().tests())
        .extracting(FlowTest::name)
        .containsExactlyInAnyOrder("found", "theirs", "mine", "mine after");
    FlowTest own = named(merged.job(), "mine");
    FlowTest after = named(merged.job(), "mine after");
    assertThat(own.after()).contains(named(merged.job(), "found").id());
    assertThat(after.after()).contains(own.id());
    assertThat(named(merged.job(), "theirs").id()).isEqualTo(named(theirs, "theirs").id());
  }

  private static FlowTest named(Job job, String name) {
    return job.bench().tests().stream()
        .filter(t -> t.name().equals(name))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aTestBothChangedIsNamedAndOneThatOneTookOutIsOut() {
    Job base = tested(tested(BASE, "a"), "b");
    FlowTest a = named(base, "a");
    Job mine = base.withBench(base.bench().with(a.withRemarks("mine")));
    Job theirs = base.withBench(base.bench().with(a.withRemarks("theirs")));
    JobMerge merged = JobMerge.of(Optional.of(base), mine, theirs);
    assertThat(named(merged.job(), "a").remarks()).isEqualTo("mine");
    assertThat(merged.both())
        .containsExactly(Message.of("merge.test").with("test", Term.quote("a")));
    Job without = base.withBench(base.bench().without(a.id()));
    JobMerge out = JobMerge.of(Optional.of(base), base.withName("Other"), without);
    assertThat(out.job().bench().tests()).extracting(FlowTest::name).containsExactly("b");
    assertThat(out.both()).isEmpty();
  }

  @Test
  void withoutABaseEveryDifferenceIsNamed() {
    JobMerge merged = JobMerge.of(Optional.empty(), read(BASE, "I1", 37.9), BASE.withName("Other"));
    assertThat(merged.job()).isEqualTo(read(BASE, "I1", 37.9));
    assertThat(merged.both())
        .extracting(Message::code)
        .containsExactly("merge.name", "merge.reading");
  }
}
