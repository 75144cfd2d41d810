package finebore.instruments;

import finebore.code.RuleViolation;
import finebore.code.Term;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * One line of the bench's protocol: words, then an asterisk and a checksum of four hexadecimal
 * digits (docs/instruments.md).
 *
 * @param text the words
 */
public record Frame(String text) {

  /** Longer lines are noise. */
  private static final int LONGEST = 1000;

  public Frame {
    if (text.isEmpty() || text.length() > LONGEST || !isPlain(text)) {
      throw RuleViolation.of("frame.line");
    }
  }

  private static boolean isPlain(String text) {
    return text.chars().allMatch(c -> c >= ' ' && c <= '~' && c != '*');
  }

  /** As sent, without the end of the line. */
  public String line() {
    return text + "*" + checksum(text);
  }

  /** Reads a line; what does not agree with its checksum is empty. */
  public static Optional<Frame> of(String line) {
    int star = line.lastIndexOf('*');
    if (star < 1 || star > LONGEST || !isPlain(line.substring(0, star))) {
      return Optional.empty();
    }
    String text = line.substring(0, star);
    return line.substring(star + 1).strip().equals(checksum(text))
        ? Optional.of(new Frame(text))
        : Optional.empty();
  }

  /** CRC-16/CCITT-FALSE: polynomial 0x1021, begun with 0xFFFF. */
  static String checksum(String text) {
    int crc = 0xFFFF;
    for (byte b : text.getBytes(StandardCharsets.US_ASCII)) {
      crc ^= (b & 0xFF) << 8;
      for (int k = 0; k < 8; k++) {
        crc = (crc & 0x8000) != 0 ? crc << 1 ^ 0x1021 : crc << 1;
      }
      crc &= 0xFFFF;
    }
    return String.format(Locale.ROOT, "%04X", crc);
  }

  /** The words in order; key=value pairs among them are left out. */
  public String[] words() {
    return java.util.Arrays.stream(text.split(" "))
        .filter(w -> !w.contains("="))
        .toArray(String[]::new);
  }

  /** The first word that is no pair; nothing where all are. */
  String command() {
    String[] words = words();
    return words.length > 0 ? words[0] : "";
  }

  /** The key=value pairs among the words. */
  public Map<String, String> values() {
    Map<String, String> values = new LinkedHashMap<>();
    for (String word : text.split(" ")) {
      int at = word.indexOf('=');
      if (at > 0) {
        values.put(word.substring(0, at), word.substring(at + 1));
      }
    }
    return values;
  }

  /**
   * A number among the values.
   *
   * @throws RuleViolation naming the key when it is missing or no number
   */
  public double number(String key) {
    String value = values().get(key);
    try {
      double number = value == null ? Double.NaN : Double.parseDouble(value);
      if (Double.isFinite(number)) {
        return number;
      }
    } catch (NumberFormatException e) {
      // Said below, as for what is missing.
    }
    throw RuleViolation.of("frame.number")
        .with("key", Term.quote(key))
        .with("value", Term.quote(value == null ? "" : value));
  }
}
