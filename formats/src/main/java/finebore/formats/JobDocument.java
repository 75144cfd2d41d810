package finebore.formats;

import finebore.job.Job;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job together with the file it came from, so that fields this version does not know survive and
 * a change by somebody else is noticed.
 *
 * @param job the job
 * @param solvedAir air that was solved of its seats, in lines of an {@link AirStore}
 * @param source what the file held when it was read or written last
 */
public record JobDocument(Job job, List<String> solvedAir, Source source) {

  public JobDocument {
    solvedAir = List.copyOf(solvedAir);
  }

  /** What a file held, kept out of sight. */
  public static final class Source {
    private final Optional<ObjectNode> unknown;
    private final Optional<FileStamp> stamp;

    Source(Optional<ObjectNode> unknown, Optional<FileStamp> stamp) {
      this.unknown = unknown;
      this.stamp = stamp;
    }

    /** The tree as read, where it has something that this version does not know. */
    Optional<ObjectNode> unknown() {
      return unknown;
    }

    /** Its bytes; none where no file holds the job yet. */
    Optional<FileStamp> stamp() {
      return stamp;
    }
  }

  /** A job that no file holds yet. */
  public static JobDocument fresh(Job job) {
    return new JobDocument(job, List.of(), new Source(Optional.empty(), Optional.empty()));
  }

  public JobDocument withJob(Job changed) {
    return new JobDocument(changed, solvedAir, source);
  }

  /** With air that was solved of its seats. */
  public JobDocument withSolvedAir(List<String> lines) {
    return new JobDocument(job, lines, source);
  }

  /** A short mark of the file's content, to be kept apart from the job; empty where it has none. */
  public String mark() {
    return source.stamp().map(FileStamp::digest).orElse("");
  }

  /** The same with a mark that was kept apart. */
  public JobDocument withMark(String mark) {
    return mark.isBlank() ? this : withStamp(new FileStamp(mark));
  }

  JobDocument withStamp(FileStamp stamp) {
    return new JobDocument(job, solvedAir, new Source(source.unknown(), Optional.of(stamp)));
  }
}
