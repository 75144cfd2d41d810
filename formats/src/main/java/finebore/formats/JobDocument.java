package finebore.formats;

import finebore.job.Job;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.node.JsonNodeFactory;
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
    private volatile ObjectNode tree;
    private final Optional<FileStamp> stamp;

    Source(ObjectNode tree, Optional<FileStamp> stamp) {
      this.tree = tree;
      this.stamp = stamp;
    }

    /** The tree as read, as far as it is needed; empty for a new job. */
    ObjectNode tree() {
      return tree;
    }

    /**
     * Carries what this version does not know into a tree that is to be written. Most files have
     * nothing of the kind, and then nothing is kept of them from the first time on.
     */
    void carryInto(ObjectNode written) {
      if (UnknownFields.areIn(tree, written)) {
        UnknownFields.carry(tree, written);
      } else {
        tree = JsonNodeFactory.instance.objectNode();
      }
    }

    /** Its bytes; none where no file holds the job yet. */
    Optional<FileStamp> stamp() {
      return stamp;
    }
  }

  /** A job that no file holds yet. */
  public static JobDocument fresh(Job job) {
    return new JobDocument(
        job, List.of(), new Source(JsonNodeFactory.instance.objectNode(), Optional.empty()));
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
    return new JobDocument(job, solvedAir, new Source(source.tree(), Optional.of(stamp)));
  }
}
