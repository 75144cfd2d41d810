package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.Cutter;
import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.sizes.ShelfValve;
import finebore.study.FlowSetting;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Resized;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * From the lowest lifts to 0.6 of the head the estimate leaps nowhere, either way: on every seat of
 * the demos as found and planned, with every cutter of the rack and every valve of the shelf.
 */
class NoLeapTest {

  private static final double STEP = 0.0025;
  private static final double NEXT = 0.0005;
  private static final double MOST = 0.01;

  private static List<Pairing> pairings() {
    List<Pairing> all = new ArrayList<>();
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      for (SeatPlace place : job.engine().seats()) {
        all.add(new Pairing(job.foundSeat(place).seat(), job.foundValve(place)));
        all.add(job.planOf(place).wanted());
      }
    }
    for (Port port : Port.values()) {
      Job job = JobFile.demo();
      Pairing wanted = job.planOf(job.seats(port).getFirst()).wanted();
      for (Cutter cutter : RackFile.shipped()) {
        all.add(wanted.withSeat(wanted.seat().withCuts(cutter.elements(), cutter.sealing())));
      }
      for (ShelfValve valve : ShelfFile.shipped()) {
        Resized.of(wanted, valve.valve(), 0.86 * valve.headMm()).ifPresent(all::add);
      }
    }
    return all.stream().distinct().toList();
  }

  @ParameterizedTest
  @EnumSource
  void theEstimateLeapsNowhere(Direction direction) {
    List<String> leaps = new ArrayList<>();
    for (Pairing pairing : pairings()) {
      SeatFit fit = SeatFit.of(pairing);
      if (fit.seated().isEmpty()) {
        continue;
      }
      FlowSetting alone =
          new FlowSetting(
              direction,
              List.of(),
              Optional.empty(),
              7000,
              Calibration.SEAT_ALONE,
              OptionalDouble.empty(),
              Optional.empty());
      double head = pairing.valve().headDiameterMm();
      for (double at = 0.02; at <= 0.6; at += STEP) {
        double before = fit.areaAt(at * head, alone).mm2() / at;
        double after = fit.areaAt((at + NEXT) * head, alone).mm2() / (at + NEXT);
        if (Math.abs(after / before - 1) > MOST) {
          leaps.add(
              String.format(
                  "head %.2f at L/D %.4f: %.1f %%", head, at, 100 * (after / before - 1)));
        }
      }
    }
    assertThat(leaps).isEmpty();
  }
}
