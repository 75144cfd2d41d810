package finebore.instruments;

import finebore.code.RuleViolation;
import finebore.instruments.BenchLink.LinkLost;
import finebore.units.Dimension;
import finebore.units.Unit;
import java.time.Duration;
import java.util.List;
import java.util.Optional;

/**
 * Listens to hand gauges that send a line when their key is pressed (docs/instruments.md). A line
 * that is damaged, or of which the unit is not known, is passed over and counted.
 */
public final class GaugePort implements AutoCloseable {

  private static final List<Dimension> MEASURED = List.of(Dimension.LENGTH, Dimension.BAROMETER);

  private final BenchLink link;
  private int damaged;

  /** Listens on a line. */
  public GaugePort(BenchLink link) {
    this.link = link;
  }

  /** The next reading; empty when none came in time. */
  public Optional<GaugeReading> next(Duration timeout) throws LinkLost {
    Optional<String> line = link.receive(timeout);
    if (line.isEmpty()) {
      return Optional.empty();
    }
    Optional<GaugeReading> reading = Frame.of(line.get()).flatMap(GaugePort::reading);
    if (reading.isEmpty()) {
      damaged++;
    }
    return reading;
  }

  /** Lines passed over so far. */
  public int damaged() {
    return damaged;
  }

  private static Optional<GaugeReading> reading(Frame frame) {
    if (!frame.command().equals("READING")) {
      return Optional.empty();
    }
    try {
      String symbol = frame.values().getOrDefault("unit", "");
      for (Dimension dimension : MEASURED) {
        for (Unit unit : Unit.of(dimension)) {
          if (unit.symbol().equals(symbol)) {
            return Optional.of(
                new GaugeReading(
                    frame.values().getOrDefault("gauge", ""),
                    (int) frame.number("count"),
                    dimension,
                    unit.toBase(frame.number("value"))));
          }
        }
      }
      return Optional.empty();
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }

  @Override
  public void close() {
    link.close();
  }
}
