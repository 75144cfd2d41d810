package finebore.formats;

import finebore.bench.BenchBook;
import finebore.cutting.UsualOperations;
import finebore.job.Head;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Brings the tree of an older job file up to the present version. */
final class OlderVersions {

  private OlderVersions() {}

  static void bringUp(ObjectNode root, int version) {
    if (version >= JobFile.VERSION || !(root.get("job") instanceof ObjectNode job)) {
      return;
    }
    if (version < 2) {
      fromFirst(job);
    }
    // From 2: there were no flow tests.
    if (!job.has("bench")) {
      job.set("bench", BenchJson.write(BenchBook.EMPTY));
    }
    root.put("version", JobFile.VERSION);
  }

  /**
   * From 1: a group's planned seat and valve become its one plan, brought in by the usual
   * operations; of the head nothing is known.
   */
  private static void fromFirst(ObjectNode job) {
    for (String name : new String[] {"intake", "exhaust"}) {
      if (job.get(name) instanceof ObjectNode group
          && group.get("planned") instanceof ObjectNode planned
          && !group.has("plans")) {
        group.remove("planned");
        ObjectNode plan = group.putArray("plans").addObject();
        for (var field : planned.properties()) {
          plan.set(field.getKey(), field.getValue());
        }
        ArrayNode operations = plan.putArray("operations");
        UsualOperations.asPlanned().forEach(o -> operations.add(OperationJson.write(o)));
        plan.putArray("overrules");
        plan.put("ready", false);
        group.put("chosenPlan", 1);
      }
    }
    if (!job.has("head")) {
      JsonNode head = HeadJson.write(Head.UNKNOWN);
      job.set("head", head);
    }
    if (!job.has("exceptions")) {
      job.putArray("exceptions");
    }
  }
}
