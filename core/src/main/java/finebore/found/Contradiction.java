package finebore.found;

import finebore.code.Message;
import finebore.code.Term;
import java.util.Locale;

/**
 * Two readings that cannot both be right. The first is set aside until it is mended; nothing else
 * waits for it.
 *
 * @param kind which two
 * @param measure the reading that is set aside
 * @param value its value, mm
 * @param otherValue value of what it is held against, mm
 */
public record Contradiction(Kind kind, Measure measure, double value, double otherValue) {

  /** How two readings can contradict each other. */
  public enum Kind {
    THROAT_PAST_SEAT,
    WIDER_THAN_ROOM,
    RING_WITHIN_VALVE,
    RING_WITHIN_SEAT,
    RING_FLOOR_ABOVE_SEAT
  }

  /** Both readings and what is wrong between them. */
  public Message message() {
    return Message.of("contradiction." + kind.name().toLowerCase(Locale.ROOT))
        .with("measure", measure)
        .with("value", Term.length(value))
        .with("other", Term.length(otherValue));
  }
}
