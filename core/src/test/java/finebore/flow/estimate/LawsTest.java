package finebore.flow.estimate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.flow.Direction;
import finebore.study.SeatFit;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;

/** What any flow through a seat keeps to, whatever was learnt. */
class LawsTest {

  private static final double HEAD_AT = AnyFit.LENGTHS + AnyFit.ANGLES;

  private static double head(SeatFit fit) {
    return fit.pairing().valve().headDiameterMm();
  }

  /**
   * A thousandth of the valve's diameter, in twenty steps: slopes may be steep at the lowest lifts,
   * but nothing leaps.
   */
  @Property(tries = 60)
  void nothingLeapsWithALength(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll @IntRange(max = AnyFit.LENGTHS - 1) int length,
      @ForAll @DoubleRange(min = 0.02, max = 0.3) double lift) {
    double[] n = AnyFit.numbers(seed);
    leapsNowhere(n, length, n[(int) HEAD_AT] / 1000, lift);
  }

  @Property(tries = 60)
  void nothingLeapsWithAnAngle(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll @IntRange(max = AnyFit.ANGLES - 1) int angle,
      @ForAll @DoubleRange(min = 0.02, max = 0.3) double lift) {
    leapsNowhere(AnyFit.numbers(seed), AnyFit.LENGTHS + angle, 0.05, lift);
  }

  @Property(tries = 60)
  void nothingLeapsWithLift(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll Direction direction,
      @ForAll @DoubleRange(min = 0.02, max = 0.58) double lift) {
    Optional<SeatFit> fit = AnyFit.fit(AnyFit.numbers(seed));
    if (fit.isEmpty()) {
      return;
    }
    double head = head(fit.get());
    double before = AnyFit.area(fit.get(), lift * head, direction, 0).mm2();
    for (int k = 1; k <= 40; k++) {
      double next = AnyFit.area(fit.get(), (lift + k * 2.5e-5) * head, direction, 0).mm2();
      assertThat(next).isCloseTo(before, within(0.003 * before));
      before = next;
    }
  }

  private static void leapsNowhere(double[] numbers, int which, double by, double lift) {
    double[] n = numbers.clone();
    Optional<SeatFit> fit = AnyFit.fit(n);
    if (fit.isEmpty()) {
      return;
    }
    double before = AnyFit.alone(fit.get(), lift * head(fit.get()));
    for (int k = 1; k <= STEPS; k++) {
      n[which] = numbers[which] + by * k / STEPS;
      Optional<SeatFit> next = AnyFit.fit(n);
      if (next.isEmpty()) {
        return;
      }
      double area = AnyFit.alone(next.get(), lift * head(next.get()));
      assertThat(area).isCloseTo(before, within(0.003 * before));
      before = area;
    }
  }

  private static final int STEPS = 20;

  /** Widths that come to nothing are as if they had not been. */
  @Property(tries = 60)
  void nothingLeapsThroughAWidthOfZero(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll @DoubleRange(min = 0.02, max = 0.3) double lift) {
    for (int width : new int[] {1, 3, 7}) {
      double[] n = AnyFit.numbers(seed);
      n[width] = 1e-4;
      Optional<SeatFit> with = AnyFit.fit(n);
      n[width] = 0;
      Optional<SeatFit> without = AnyFit.fit(n);
      if (with.isPresent() && without.isPresent()) {
        double none = AnyFit.alone(without.get(), lift * head(without.get()));
        assertThat(AnyFit.alone(with.get(), lift * head(with.get())))
            .isCloseTo(none, within(0.003 * none));
      }
    }
  }

  /**
   * Near L/D 0.11 the jet of some seats leaves the wall, and the solver itself falls there, by 1 to
   * 3 per cent in four of them; of all 5,001 the estimate falls on 25 by more than 0.1 per cent,
   * and by 0.9 at most.
   */
  @Property(tries = 60)
  void theFlowDoesNotFallWithLiftButWhereItIsSolvedSo(@ForAll @IntRange(max = 5000) int seed) {
    Optional<SeatFit> fit = AnyFit.fit(AnyFit.numbers(seed));
    if (fit.isEmpty()) {
      return;
    }
    double most = 0;
    for (double lift = 0.02; lift <= 0.32; lift += 0.005) {
      double area = AnyFit.alone(fit.get(), lift * head(fit.get()));
      assertThat(area).as("at L/D " + lift).isGreaterThan(0.99 * most);
      most = Math.max(most, area);
    }
  }

  @Property(tries = 60)
  void aWiderPortNeverCostsFlow(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll Direction direction,
      @ForAll @DoubleRange(min = 0.01, max = 0.3) double lift,
      @ForAll @DoubleRange(min = 0.1, max = 8) double loss) {
    Optional<SeatFit> fit = AnyFit.fit(AnyFit.numbers(seed));
    if (fit.isEmpty()) {
      return;
    }
    double mm = lift * head(fit.get());
    double behind = AnyFit.area(fit.get(), mm, direction, loss).mm2();
    double wider = AnyFit.area(fit.get(), mm, direction, 0.9 * loss).mm2();
    assertThat(wider).isGreaterThan(behind);
    assertThat(AnyFit.area(fit.get(), mm, direction, 0).mm2()).isGreaterThan(wider);
  }

  /** Half the gate is what a sharp hole that turns the stream right back would pass (Borda). */
  @Property(tries = 60)
  void noStreamIsNarrowedToLessThanHalf(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll Direction direction,
      @ForAll @DoubleRange(min = 0.01, max = 0.4) double lift) {
    AnyFit.fit(AnyFit.numbers(seed))
        .ifPresent(
            fit -> {
              var area = AnyFit.area(fit, lift * head(fit), direction, 0);
              assertThat(area.mm2() / area.gate().areaMm2()).isBetween(0.5, 2.0);
            });
  }

  /** A seat and valve drawn to another scale pass as much for their size. */
  @Property(tries = 30)
  void theSizeOfTheDrawingSaysNothing(
      @ForAll @IntRange(max = 5000) int seed,
      @ForAll @DoubleRange(min = 0.03, max = 0.3) double lift) {
    double[] n = AnyFit.numbers(seed);
    double[] inches = n.clone();
    for (int k = 0; k < AnyFit.LENGTHS; k++) {
      inches[k] *= SCALE;
    }
    inches[(int) HEAD_AT] *= SCALE;
    // The seat's depth below the face is no part of either flow: it stays.
    Optional<SeatFit> fit = AnyFit.fit(n);
    Optional<SeatFit> larger = AnyFit.fit(inches);
    if (fit.isPresent() && larger.isPresent()) {
      double one = AnyFit.alone(fit.get(), lift * head(fit.get()));
      double other = AnyFit.alone(larger.get(), lift * head(larger.get()));
      assertThat(other / (SCALE * SCALE)).isCloseTo(one, within(0.002 * one));
    }
  }

  private static final double SCALE = 1.05;
}
