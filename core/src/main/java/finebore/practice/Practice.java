package finebore.practice;

import finebore.job.Port;
import finebore.study.ReadingKind;
import java.util.Map;
import java.util.Optional;

/**
 * A school of practice: what it wants of intake and exhaust seats.
 *
 * @param id short name in files
 * @param name as shown
 * @param about one sentence on whom it is for
 * @param intake wanted ranges by reading
 * @param exhaust wanted ranges by reading
 */
public record Practice(
    String id,
    String name,
    String about,
    Map<ReadingKind, Range> intake,
    Map<ReadingKind, Range> exhaust) {

  public Practice {
    intake = Map.copyOf(intake);
    exhaust = Map.copyOf(exhaust);
  }

  public Optional<Range> wanted(Port port, ReadingKind kind) {
    return Optional.ofNullable((port == Port.INTAKE ? intake : exhaust).get(kind));
  }
}
