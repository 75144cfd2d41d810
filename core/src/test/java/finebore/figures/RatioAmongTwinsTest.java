package finebore.figures;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.GroupOutcome;
import finebore.planning.SeatOutcome;
import finebore.study.ReadingKind;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Seats of one cylinder that follow one plan share a chamber. */
class RatioAmongTwinsTest {

  /** The ratio is the same whether a seat is looked at alone or with those beside it. */
  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void theRatioOfASeatIsTheSameAloneAndAmongItsGroup(long seed) {
    Job job = MadeUpHead.of(seed);
    for (SeatPlace first : job.plans()) {
      GroupOutcome group = GroupOutcome.of(job, first);
      for (SeatOutcome seat : group.seats()) {
        SeatOutcome alone = SeatOutcome.of(job, seat.place(), job.planOf(seat.place()));
        assertThat(seat.reading(ReadingKind.COMPRESSION).isPresent())
            .isEqualTo(alone.reading(ReadingKind.COMPRESSION).isPresent());
        seat.reading(ReadingKind.COMPRESSION)
            .ifPresent(
                ratio ->
                    assertThat(ratio)
                        .isCloseTo(
                            alone.reading(ReadingKind.COMPRESSION).orElseThrow(), within(1e-6)));
      }
    }
  }
}
