package finebore.desk.session;

import finebore.code.Message;
import finebore.instruments.BenchLink.LinkLost;
import finebore.instruments.GaugePort;
import finebore.instruments.GaugeReading;
import finebore.instruments.SerialLink;
import finebore.instruments.SimulatedGauge;
import finebore.work.ReadBack;
import java.time.Duration;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * The gauge in the machinist's hand: one on a serial port, or simulated ones. What types like a
 * keyboard needs nothing here: it writes into the field.
 */
public final class GaugeSession {

  /** How far a hand is off what was planned, mm; invented, for the simulated gauges. */
  private static final double HAND_MM = 0.015;

  private final Map<SimulatedGauge.Kind, SimulatedGauge> simulated =
      new EnumMap<>(SimulatedGauge.Kind.class);
  private Optional<GaugePort> port = Optional.empty();
  private String portName = "";
  private Optional<SimulatedGauge.Fault> next = Optional.empty();
  private Optional<Message> trouble = Optional.empty();
  private boolean inches;
  private int lastCount = -1;
  private String lastGauge = "";

  /** The serial ports of this machine. */
  public List<String> ports() {
    return SerialLink.ports();
  }

  /** Listens on a port; an empty name is the simulated gauges. */
  public void choose(String name) {
    port.ifPresent(GaugePort::close);
    port = Optional.empty();
    portName = name;
    trouble = Optional.empty();
    if (!name.isEmpty()) {
      try {
        port = Optional.of(new GaugePort(SerialLink.open(name)));
      } catch (LinkLost e) {
        trouble = Optional.of(e.loss());
      }
    }
  }

  public boolean isSimulated() {
    return portName.isEmpty();
  }

  /** What is wrong with the line, if anything. */
  public Optional<Message> trouble() {
    return trouble;
  }

  /** Lets the next simulated reading go wrong. */
  public void fail(SimulatedGauge.Fault fault) {
    next = Optional.of(fault);
  }

  /** Presses the unit key of the simulated gauges: they show and send the other unit. */
  public void switchUnit() {
    inches = !inches;
    simulated.values().forEach(SimulatedGauge::switchUnit);
  }

  /** Zeroes the simulated gauges. */
  public void zero() {
    simulated.values().forEach(SimulatedGauge::zero);
  }

  private SimulatedGauge fresh(SimulatedGauge.Kind kind) {
    SimulatedGauge gauge = new SimulatedGauge(kind, kind.ordinal() + 7L);
    if (inches) {
      gauge.switchUnit();
    }
    return gauge;
  }

  /** What a gauge sent by itself, if it did. */
  public Optional<GaugeReading> poll() {
    if (port.isEmpty()) {
      return Optional.empty();
    }
    try {
      return port.get().next(Duration.ofMillis(1));
    } catch (LinkLost e) {
      trouble = Optional.of(e.loss());
      port.get().close();
      port = Optional.empty();
      return Optional.empty();
    }
  }

  /**
   * Presses the key of a simulated gauge on a seat.
   *
   * @param expected what the plan says is there; nothing is read where it says nothing
   */
  public Optional<GaugeReading> press(String seat, ReadBack what, OptionalDouble expected) {
    trouble = Optional.empty();
    if (expected.isEmpty()) {
      return Optional.empty();
    }
    SimulatedGauge gauge = simulated.computeIfAbsent(kind(what), this::fresh);
    next.ifPresent(gauge::fail);
    boolean lost = next.equals(Optional.of(SimulatedGauge.Fault.LOST_LINK));
    next = Optional.empty();
    double off = HAND_MM * new Random(31L * seat.hashCode() + what.ordinal()).nextGaussian();
    gauge.press(Math.max(0, expected.getAsDouble() + off));
    GaugePort line = new GaugePort(gauge);
    try {
      Optional<GaugeReading> reading = line.next(Duration.ZERO);
      if (reading.isEmpty()) {
        trouble = Optional.of(Message.of("gauge.garbage"));
      }
      return reading;
    } catch (LinkLost e) {
      trouble = Optional.of(e.loss());
      if (lost) {
        gauge.reopen();
      }
      return Optional.empty();
    }
  }

  private static SimulatedGauge.Kind kind(ReadBack what) {
    return switch (what) {
      case SEAT_RUNOUT -> SimulatedGauge.Kind.RUNOUT_DIAL;
      case SEAT_DEPTH, VALVE_DEPTH, GUIDE_HEIGHT -> SimulatedGauge.Kind.DEPTH_GAUGE;
      default -> SimulatedGauge.Kind.CALIPER;
    };
  }

  /** Whether the very same was sent before; it counts as sent from then on. */
  public boolean isRepeated(GaugeReading reading) {
    boolean again = reading.count() == lastCount && reading.gauge().equals(lastGauge);
    lastCount = reading.count();
    lastGauge = reading.gauge();
    return again;
  }

  /** Lets go of the line. */
  public void close() {
    port.ifPresent(GaugePort::close);
    port = Optional.empty();
  }
}
