package finebore.formats;

import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.KnownAir;
import finebore.flow.field.SolvedArea;
import finebore.section.Point;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collection;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Solved areas kept in a file, so that a section that has been solved once is not solved again. The
 * file may be deleted at any time.
 *
 * <p>Each line is a key, made from the exact section and the solver's version, an area, mm2, and
 * the jet's angle, degrees; a section that could not be solved stands there with "none". Lines that
 * make no sense are passed over.
 */
public final class AirStore {

  /** Lines kept; a file that has grown past it is begun anew. */
  private static final int MOST = 50_000;

  private static final long MOST_BYTES = 8_000_000;
  private static final String NONE = "none";

  private final Path file;
  private final Map<String, SolvedArea> areas = new HashMap<>();

  private AirStore(Path file) {
    this.file = file;
  }

  /** What a file holds; nothing where there is none or it cannot be read. */
  public static AirStore in(Path file) {
    AirStore store = new AirStore(file);
    try {
      if (Files.exists(file)) {
        SafeFile.text(file, MOST_BYTES).lines().forEach(store::take);
      }
    } catch (FileProblem e) {
      store.areas.clear();
    }
    return store;
  }

  /** What lines say that a job brought along; nothing is kept in any file. */
  public static KnownAir of(List<String> lines) {
    AirStore store = new AirStore(Path.of(""));
    store.takeAll(lines);
    return question -> store.solved(question).orElse(SolvedArea.NONE);
  }

  private void take(String line) {
    List<String> cells = List.of(line.split(",", -1));
    if (cells.size() < 2 || cells.get(0).length() != 32) {
      return;
    }
    if (cells.get(1).equals(NONE)) {
      areas.put(cells.get(0), SolvedArea.NONE);
      return;
    }
    try {
      double area = Double.parseDouble(cells.get(1));
      double jet = Double.parseDouble(cells.get(2));
      double swing = Double.parseDouble(cells.get(3));
      boolean known = Double.isNaN(jet) || Math.abs(jet) <= 180;
      if (cells.size() == 4 && area > 0 && area < 1e6 && known && swing >= 0 && swing < 1) {
        areas.put(cells.get(0), new SolvedArea(area, jet, swing));
      }
    } catch (NumberFormatException | IndexOutOfBoundsException e) {
      // A half-written line of a crash, or one of a former version: solved again.
    }
  }

  /** Takes up lines that a job brought along. */
  public synchronized void takeAll(List<String> lines) {
    lines.forEach(this::take);
  }

  /** The lines of some questions, for a job to bring along. */
  public synchronized List<String> lines(Collection<AirQuestion> questions) {
    return questions.stream()
        .map(AirStore::key)
        .filter(areas::containsKey)
        .map(k -> line(k, areas.get(k)))
        .distinct()
        .toList();
  }

  private static String line(String key, SolvedArea solved) {
    return key
        + ","
        + (solved.isSolved()
            ? String.format(
                Locale.ROOT, "%.6f,%.2f,%.6f", solved.areaMm2(), solved.jetDeg(), solved.swing())
            : NONE);
  }

  /** What was solved; {@link SolvedArea#NONE} where it could not be; empty where not tried. */
  public synchronized Optional<SolvedArea> solved(AirQuestion question) {
    return Optional.ofNullable(areas.get(key(question)));
  }

  /**
   * Keeps what was solved.
   *
   * @throws IOException when the file cannot be written; it is kept in memory all the same
   */
  public synchronized void keep(AirQuestion question, SolvedArea solved) throws IOException {
    if (areas.size() >= MOST) {
      areas.clear();
      Files.deleteIfExists(file);
    }
    String key = key(question);
    areas.put(key, solved);
    Files.writeString(
        file, line(key, solved) + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
  }

  private static String key(AirQuestion question) {
    StringBuilder text = new StringBuilder();
    text.append(AirSolver.VERSION)
        .append(' ')
        .append(question.direction())
        .append(' ')
        .append(question.turbulence())
        .append(' ')
        .append(question.fineness())
        .append(' ')
        .append(rounded(question.headRadiusMm()));
    question.wall().points().forEach(p -> add(text, p));
    text.append(" v");
    question.valve().points().forEach(p -> add(text, p));
    // Where the cuts end decides where the roof does.
    question.wall().surfaces().forEach(s -> text.append(' ').append(s.part()));
    try {
      byte[] hash =
          MessageDigest.getInstance("SHA-256")
              .digest(text.toString().getBytes(StandardCharsets.US_ASCII));
      return HexFormat.of().formatHex(hash, 0, 16);
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  private static void add(StringBuilder text, Point p) {
    text.append(' ').append(rounded(p.r())).append(' ').append(rounded(p.z()));
  }

  /** To a millionth of a millimetre: the tolerance of the section. */
  private static long rounded(double mm) {
    return Math.round(mm * 1e6);
  }
}
