package finebore.formats;

import finebore.job.Job;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job together with the file it came from, so that fields this version does not know survive.
 *
 * @param job the job
 * @param source the tree as read; empty for a new job
 */
public record JobDocument(Job job, Source source) {

  /** The tree a job was read from, kept out of sight. */
  public static final class Source {
    private final ObjectNode tree;

    Source(ObjectNode tree) {
      this.tree = tree;
    }

    ObjectNode tree() {
      return tree;
    }
  }

  /** A job that no file holds yet. */
  public static JobDocument fresh(Job job) {
    return new JobDocument(job, new Source(JsonNodeFactory.instance.objectNode()));
  }

  public JobDocument withJob(Job changed) {
    return new JobDocument(changed, source);
  }
}
