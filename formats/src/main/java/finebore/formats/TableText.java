package finebore.formats;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.regex.Pattern;

/**
 * Tables as text: read in whatever encoding other programs write them, and written so that no
 * spreadsheet takes a remark for a formula.
 */
public final class TableText {

  /** A table of readings is a few thousand rows. */
  private static final long MOST_BYTES = 32L << 20;

  /** A number and at most a unit behind it: nothing that could be worked out. */
  private static final Pattern FIGURE =
      Pattern.compile("[-+]?[0-9.]+( ?[\\p{L}%\u00b0\u00b2\u00b3/]+)?");

  private TableText() {}

  /**
   * Reads a table: UTF-16 where it begins with its mark, UTF-8 where it is that, Latin-1 otherwise.
   *
   * @throws FileProblem if it is no plain file, too long, or cannot be read
   */
  public static String read(Path file) throws FileProblem {
    byte[] bytes = SafeFile.read(file, MOST_BYTES);
    if (begins(bytes, 0xFE, 0xFF) || begins(bytes, 0xFF, 0xFE)) {
      return new String(bytes, StandardCharsets.UTF_16);
    }
    try {
      return StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
    } catch (CharacterCodingException e) {
      // Windows' own Latin-1, where the machine knows it: it differs in signs only.
      Charset latin =
          Charset.isSupported("windows-1252")
              ? Charset.forName("windows-1252")
              : StandardCharsets.ISO_8859_1;
      return new String(bytes, latin);
    }
  }

  private static boolean begins(byte[] bytes, int first, int second) {
    return bytes.length > 1 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
  }

  /** A text as a cell: an apostrophe stands before what a spreadsheet would work out. */
  public static String cell(String text) {
    return text.matches("(?s)[=+\\-@\t\r'].*") ? "'" + text : text;
  }

  /** A figure with its unit, or a sentence, as a cell. */
  public static Object figureOrText(Object value) {
    return value instanceof String text && !FIGURE.matcher(text).matches() ? cell(text) : value;
  }

  /** The text that {@link #cell} made a cell of. */
  static String text(String cell) {
    return cell.matches("(?s)'[=+\\-@\t\r'].*") ? cell.substring(1) : cell;
  }
}
