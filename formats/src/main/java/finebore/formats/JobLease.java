package finebore.formats;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Says beside a job file who has it open and since when, on a shared folder too. Whoever has it
 * open renews it now and then; one that has not been renewed for a while belongs to a program that
 * died. Times are those of the folder's own system, so that clocks that differ do no harm. It stops
 * nobody: what was changed meanwhile is noticed at the save.
 */
public final class JobLease {

  /** How often a lease is to be renewed. */
  public static final Duration RENEWED_EVERY = Duration.ofSeconds(60);

  private static final Duration DEAD = RENEWED_EVERY.multipliedBy(3);
  private static final long MOST_BYTES = 1 << 16;

  private final Path file;
  private final Holder me;

  /**
   * Who has a job open.
   *
   * @param run which run of the program
   * @param who name of the user
   * @param where name of the machine
   * @param since when it was opened
   */
  public record Holder(String run, String who, String where, Instant since) {}

  /** A lease of a job file, not taken yet. */
  public JobLease(Path job, Holder me) {
    this.file =
        job.toAbsolutePath().resolveSibling(SafeFile.withEnding("." + job.getFileName(), ".open"));
    this.me = me;
  }

  /**
   * Takes the lease, or renews it.
   *
   * @return who else has the job open; the lease is theirs then
   */
  public Optional<Holder> renew() {
    try {
      Optional<Holder> other = holder().filter(h -> !h.run().equals(me.run()));
      if (other.isEmpty()) {
        SafeFile.write(file, text().getBytes(StandardCharsets.UTF_8), false);
      }
      return other;
    } catch (FileProblem e) {
      // A folder that takes no lease takes no job either; that is said at the save.
      return Optional.empty();
    }
  }

  /** Gives the lease back, if it is held. */
  public void giveBack() {
    try {
      if (holder().filter(h -> h.run().equals(me.run())).isPresent()) {
        Files.deleteIfExists(file);
      }
    } catch (FileProblem | IOException e) {
      // It will be taken for dead after a while.
      return;
    }
  }

  private Optional<Holder> holder() throws FileProblem {
    try {
      Instant renewed = Files.getLastModifiedTime(file).toInstant();
      if (renewed.isBefore(nowOfFolder().minus(DEAD))) {
        return Optional.empty();
      }
      JsonNode node = JsonMapper.shared().readTree(SafeFile.text(file, MOST_BYTES));
      return Optional.of(
          new Holder(
              node.path("run").asString(""),
              node.path("who").asString(""),
              node.path("where").asString(""),
              Instant.ofEpochSecond(node.path("since").asLong(0))));
    } catch (NoSuchFileException | JacksonException e) {
      return Optional.empty();
    } catch (IOException e) {
      throw FileProblem.unreadable(file, e);
    }
  }

  /** The time as the folder's system has it. */
  private Instant nowOfFolder() throws IOException {
    Path probe = Files.createTempFile(file.getParent(), ".finebore-", ".part");
    try {
      return Files.getLastModifiedTime(probe).toInstant();
    } finally {
      Files.deleteIfExists(probe);
    }
  }

  private String text() {
    ObjectNode node = JsonMapper.shared().createObjectNode();
    node.put("run", me.run()).put("who", me.who()).put("where", me.where());
    node.put("since", me.since().getEpochSecond());
    return JsonMapper.shared().writeValueAsString(node);
  }
}
