package finebore.formats;

import finebore.code.Term;
import finebore.formats.json.Node;
import finebore.job.Job;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentHashMap;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.cfg.JsonNodeFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The job file: JSON, described in docs/job-format.md and by the schema that ships with the
 * program.
 *
 * <p>A file is written beside its place, forced to disk and then moved over the old one, which is
 * kept as {@code .bak}: at every moment there is a whole file. Reading never changes what is open:
 * it gives a whole job or a {@link FileProblem}.
 */
public final class JobFile {

  /** The ending of a job file's name. */
  public static final String EXTENSION = ".finebore.json";

  static final String FORMAT = "finebore-job";
  static final int VERSION = 7;

  /** Larger than any real job by far; a file beyond it is not one. */
  private static final long MAX_BYTES = 64L << 20;

  private static final Map<String, Job> DEMOS = new ConcurrentHashMap<>();

  private static final JsonMapper MAPPER =
      JsonMapper.builder(
              JsonFactory.builder().enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION).build())
          .enable(SerializationFeature.INDENT_OUTPUT)
          // What this version does not know is written as it was read, to the last digit.
          .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
          .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
          .build();

  private JobFile() {}

  /**
   * Reads a job file.
   *
   * @throws FileProblem naming the file, the place and what was expected
   */
  public static JobDocument read(Path file) throws FileProblem {
    return read(file, Optional.empty());
  }

  /** Reads a job file in which one of two entries of the same name is to count. */
  public static JobDocument read(Path file, NamedTwice.Choice choice) throws FileProblem {
    return read(file, Optional.of(choice));
  }

  private static JobDocument read(Path file, Optional<NamedTwice.Choice> choice)
      throws FileProblem {
    byte[] bytes = SafeFile.read(file, MAX_BYTES);
    // Beside the parsing: of a large file it takes a fifth as long.
    CompletableFuture<FileStamp> stamp = CompletableFuture.supplyAsync(() -> FileStamp.of(bytes));
    return parse(SafeFile.text(file, bytes), file.toString(), choice).withStamp(stamp.join());
  }

  /** Reads a job from text; the name stands in messages. */
  public static JobDocument parse(String text, String name) throws FileProblem {
    return parse(text, name, Optional.empty());
  }

  private static JobDocument parse(String text, String name, Optional<NamedTwice.Choice> choice)
      throws FileProblem {
    JsonNode tree;
    try {
      tree = MAPPER.readTree(text);
    } catch (JacksonException e) {
      TokenStreamLocation at = e.getLocation();
      throw new FileProblem(
          FileProblem.of(at == null ? "damaged" : "damagedAt", name)
              .with("line", Term.count(at == null ? 0 : at.getLineNr()))
              .with("column", Term.count(at == null ? 0 : at.getColumnNr()))
              .with("cause", Term.quote(e.getOriginalMessage())),
          e);
    } catch (NumberFormatException e) {
      // An exponent of more digits than any number has; the parser does not say where.
      throw new FileProblem(
          FileProblem.of("damaged", name)
              .with("line", Term.count(0))
              .with("column", Term.count(0))
              .with("cause", Term.quote(e.getMessage())),
          e);
    }
    if (!(tree instanceof ObjectNode object)
        || !FORMAT.equals(object.path("format").asString(""))) {
      throw new FileProblem(FileProblem.of("notAJob", name).with("format", Term.quote(FORMAT)));
    }
    try {
      Node root = new Node(object, "");
      int version = root.at("version").whole();
      if (version > VERSION) {
        throw new FileProblem(
            FileProblem.of("newer", name)
                .with("most", Term.count(VERSION))
                .with("found", Term.count(version)));
      }
      if (version < 1) {
        throw new FileProblem(
            FileProblem.of("version", name)
                .with("most", Term.count(VERSION))
                .with("found", Term.count(version)));
      }
      NamedTwice.settle(object, name, choice);
      OlderVersions.bringUp(object, version);
      JobForms.Contents contents = JobForms.FILE.read(root);
      return new JobDocument(
          contents.job(),
          contents.solvedAir(),
          new JobDocument.Source(unknownOf(object), Optional.empty()));
    } catch (Node.Misfit e) {
      throw new FileProblem(FileProblem.of("within", name).with("problem", e.problem()), e);
    }
  }

  /** Most files have nothing that this version does not know, and then nothing is kept of them. */
  private static Optional<ObjectNode> unknownOf(ObjectNode read) {
    return JobForms.FILE.knowsAll(read) ? Optional.empty() : Optional.of(read);
  }

  /** The job as text, with the unknown fields it came with. */
  public static String text(JobDocument document) {
    JsonNode tree =
        JobForms.FILE.write(
            new JobForms.Contents(FORMAT, VERSION, document.job(), document.solvedAir()));
    document.source().unknown().ifPresent(read -> JobForms.FILE.carry(read, tree));
    return MAPPER.writeValueAsString(tree) + "\n";
  }

  /**
   * Writes a job file, whatever stands there; the last good one is kept beside it with the ending
   * .bak.
   *
   * @return the document as that file holds it
   * @throws FileProblem if it cannot be written; the old file is then untouched
   */
  public static JobDocument write(JobDocument document, Path file) throws FileProblem {
    return SavingLock.during(file, () -> writeHeld(document, file));
  }

  /**
   * Writes a job back to the file it came from.
   *
   * @return the document as that file holds it
   * @throws ChangedUnderneath if somebody else has written the file since; it is then untouched
   * @throws FileProblem if it cannot be written; the old file is then untouched
   */
  public static JobDocument save(JobDocument document, Path file) throws FileProblem {
    return SavingLock.during(
        file,
        () -> {
          if (Files.exists(file)) {
            FileStamp there = FileStamp.of(SafeFile.read(file, MAX_BYTES));
            if (!document.source().stamp().equals(Optional.of(there))) {
              throw new ChangedUnderneath(file);
            }
          }
          return writeHeld(document, file);
        });
  }

  private static JobDocument writeHeld(JobDocument document, Path file) throws FileProblem {
    byte[] bytes = text(document).getBytes(StandardCharsets.UTF_8);
    SafeFile.write(file, bytes, true);
    return document.withStamp(FileStamp.of(bytes));
  }

  /** Names of the demo jobs that ship with the program, the one to begin with first. */
  public static List<String> demoNames() {
    return List.of("skarn-1.6", "tuff-650", "gabbro-4.2", "dolerite-2.0");
  }

  /** The demo job to begin with. */
  public static Job demo() {
    return demo(demoNames().getFirst());
  }

  /** A demo job by its name, read once. */
  public static Job demo(String demo) {
    return DEMOS.computeIfAbsent(demo, JobFile::readDemo);
  }

  private static Job readDemo(String demo) {
    String name = "demo/" + demo + EXTENSION;
    try (InputStream in = JobFile.class.getResourceAsStream(name)) {
      return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8), name).job();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (FileProblem e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }
}
