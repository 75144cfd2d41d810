package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.data.Offset.offset;

import finebore.instruments.BenchLink.LinkLost;
import finebore.instruments.SimulatedGauge.Fault;
import finebore.instruments.SimulatedGauge.Kind;
import finebore.units.Dimension;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Hand gauges: what they send, how they scatter, and what goes wrong. */
class GaugeTest {

  private static Optional<GaugeReading> press(SimulatedGauge gauge, GaugePort port, double mm)
      throws LinkLost {
    gauge.press(mm);
    return port.next(Duration.ZERO);
  }

  @ParameterizedTest
  @EnumSource(Kind.class)
  void readsNearWhatIsThereInWholeSteps(Kind kind) throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(kind, 3);
    GaugePort port = new GaugePort(gauge);
    List<Double> values = new ArrayList<>();
    for (int k = 1; k <= 200; k++) {
      GaugeReading reading = press(gauge, port, 8.25).orElseThrow();
      assertThat(reading.count()).isEqualTo(k);
      assertThat(reading.gauge()).isEqualTo(kind.gaugeName());
      assertThat(reading.dimension()).isEqualTo(Dimension.LENGTH);
      values.add(reading.value());
    }
    double step = kind == Kind.RUNOUT_DIAL ? 0.002 : 0.01;
    assertThat(values)
        .allSatisfy(v -> assertThat(Math.abs(v / step - Math.rint(v / step))).isLessThan(1e-6));
    assertThat(values.stream().mapToDouble(v -> v).average().orElseThrow())
        .isCloseTo(8.25, offset(0.02));
    assertThat(values.stream().distinct().count()).isGreaterThan(2);
  }

  /** The zero creeps; setting it on the master takes that off. */
  @Test
  void theZeroCreepsUntilItIsSet() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.RUNOUT_DIAL, 11);
    GaugePort port = new GaugePort(gauge);
    for (int k = 0; k < 4000; k++) {
      press(gauge, port, 1);
    }
    double crept = mean(gauge, port);
    gauge.zero();
    double set = mean(gauge, port);
    assertThat(Math.abs(crept - 1)).isGreaterThan(0.008);
    assertThat(set).isCloseTo(1, offset(0.006));
  }

  private static double mean(SimulatedGauge gauge, GaugePort port) {
    return IntStream.range(0, 20)
        .mapToDouble(
            k -> {
              try {
                return press(gauge, port, 1).orElseThrow().value();
              } catch (LinkLost e) {
                throw new AssertionError(e);
              }
            })
        .average()
        .orElseThrow();
  }

  @Test
  void inInchesItSaysSo() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.CALIPER, 3);
    gauge.switchUnit();
    assertThat(press(gauge, new GaugePort(gauge), 25.4).orElseThrow().value())
        .isCloseTo(25.4, offset(0.04));
  }

  @Test
  void theWrongUnitIsAFactorOff() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.CALIPER, 3);
    gauge.fail(Fault.WRONG_UNIT);
    GaugePort port = new GaugePort(gauge);
    assertThat(press(gauge, port, 25.4).orElseThrow().value()).isCloseTo(1, offset(0.002));
    assertThat(press(gauge, port, 25.4).orElseThrow().value()).isCloseTo(25.4, offset(0.04));
  }

  @Test
  void garbageIsPassedOverAndCounted() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.CALIPER, 3);
    GaugePort port = new GaugePort(gauge);
    gauge.fail(Fault.GARBAGE);
    assertThat(press(gauge, port, 8)).isEmpty();
    assertThat(port.damaged()).isEqualTo(1);
    assertThat(press(gauge, port, 8)).isPresent();
  }

  @Test
  void theSameReadingTwiceHasTheSameCount() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.CALIPER, 3);
    GaugePort port = new GaugePort(gauge);
    GaugeReading first = press(gauge, port, 8).orElseThrow();
    gauge.fail(Fault.REPEATED);
    assertThat(press(gauge, port, 9)).contains(first);
  }

  @Test
  void aLostCableIsLostUntilItIsPutIn() throws LinkLost {
    SimulatedGauge gauge = new SimulatedGauge(Kind.CALIPER, 3);
    GaugePort port = new GaugePort(gauge);
    gauge.fail(Fault.LOST_LINK);
    gauge.press(8);
    assertThatThrownBy(() -> port.next(Duration.ZERO)).isInstanceOf(LinkLost.class);
    gauge.reopen();
    assertThat(press(gauge, port, 8)).isPresent();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "READING gauge=x count=1 value=8.2 unit=furlong",
        "READING gauge=x count=1 value=wide unit=mm",
        "READING gauge=x value=8.2 unit=mm",
        "HELLO gauge=x count=1 value=8.2 unit=mm"
      })
  void aLineThatSaysNothingIsNoReading(String text) throws LinkLost {
    SimulatedLink link = new SimulatedLink(line -> Optional.of(new Frame(text).line()));
    link.send("any");
    GaugePort port = new GaugePort(link);
    assertThat(port.next(Duration.ZERO)).isEmpty();
    assertThat(port.damaged()).isEqualTo(1);
  }

  @Test
  void aVacuumCanBeReadOffALineToo() throws LinkLost {
    SimulatedLink link =
        new SimulatedLink(
            line -> Optional.of(new Frame("READING gauge=v count=1 value=21 unit=inHg").line()));
    link.send("any");
    GaugeReading reading = new GaugePort(link).next(Duration.ZERO).orElseThrow();
    assertThat(reading.dimension()).isEqualTo(Dimension.BAROMETER);
    assertThat(reading.value()).isCloseTo(71_114.169, offset(0.001));
  }
}
