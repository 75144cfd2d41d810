package finebore.formats;

import finebore.bench.BenchBook;
import finebore.cutting.UsualOperations;
import finebore.job.Head;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.util.LinkedHashMap;
import java.util.Map;
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
      job.set("bench", BenchForms.BOOK.write(BenchBook.EMPTY));
    }
    fromThird(job);
    fromFourth(job);
    root.put("version", JobFile.VERSION);
  }

  /** Settings of operations that were called otherwise up to version 3, by kind of operation. */
  private static final Map<String, Map<String, String>> RENAMED =
      Map.of(
          "openThroat", Map.of("diameterMm", "throatMm", "depthMm", "throatEndMm"),
          "cutForm", Map.of("seatDiameterMm", "pointerMm"),
          "sweepChamber", Map.of("angleDeg", "sweepDeg"),
          "openBowl", Map.of("diameterMm", "bowlMm", "depthMm", "reachedMm"),
          "blend", Map.of("radiusMm", "blendRadiusMm"));

  private static final Map<String, String> RING =
      Map.of(
          "outsideDiameterMm", "ringOutsideMm",
          "insideDiameterMm", "ringBoreMm",
          "floorMm", "ringFloorMm",
          "heightMm", "ringHeightMm",
          "fitMm", "ringFitMm",
          "material", "ringMaterial");

  /**
   * From 3: operations had no ids, a ring was an object of its own, and an overrule named a part in
   * words, so it has to be confirmed anew.
   */
  private static void fromThird(ObjectNode job) {
    for (String name : new String[] {"intake", "exhaust"}) {
      if (job.get(name) instanceof ObjectNode group
          && group.get("plans") instanceof ArrayNode all) {
        all.forEach(OlderVersions::plan);
      }
    }
    if (job.get("exceptions") instanceof ArrayNode exceptions) {
      exceptions.forEach(e -> plan(e.get("plan")));
    }
  }

  /** From 4: nothing was written at the machine, and no guide leant along the head. */
  private static void fromFourth(ObjectNode job) {
    if (!job.has("log")) {
      job.set("log", WorkForms.LOG.write(WorkLog.EMPTY));
    }
    if (!job.has("shop")) {
      job.set("shop", WorkForms.SHOP.write(ShopSettings.USUAL));
    }
    if (job.path("head").get("layout") instanceof ObjectNode layout
        && !layout.has("intakeCantDeg")) {
      layout.put("intakeCantDeg", 0.0).put("exhaustCantDeg", 0.0);
    }
  }

  private static void plan(JsonNode node) {
    if (!(node instanceof ObjectNode plan)) {
      return;
    }
    if (!plan.has("toConfirm")) {
      JsonNode old = plan.remove("overrules");
      plan.set("toConfirm", old == null ? plan.arrayNode() : old);
      plan.putArray("overrules");
      plan.put("followsFound", false);
    }
    if (plan.get("operations") instanceof ArrayNode operations) {
      for (int k = 0; k < operations.size(); k++) {
        if (operations.get(k) instanceof ObjectNode operation && !operation.has("id")) {
          operation(operation);
          operation.put("id", k + 1);
        }
      }
    }
  }

  private static void operation(ObjectNode operation) {
    String kind = operation.path("operation").asString("");
    rename(operation, operation, RENAMED.getOrDefault(kind, Map.of()));
    if (kind.equals("fitRing") && operation.remove("ring") instanceof ObjectNode ring) {
      rename(ring, operation, RING);
    }
    boolean straight = operation.path("radiusMm").asDouble(1) == 0;
    if (kind.equals("cutUnder") && straight) {
      operation.putNull("radiusMm");
    }
  }

  private static void rename(ObjectNode from, ObjectNode to, Map<String, String> names) {
    Map<String, JsonNode> moved = new LinkedHashMap<>();
    names.forEach(
        (old, now) -> {
          if (from.has(old)) {
            moved.put(now, from.remove(old));
          }
        });
    moved.forEach(to::set);
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
        UsualOperations.asPlanned().forEach(o -> operations.add(OperationForms.OPERATION.write(o)));
        for (int k = 0; k < operations.size(); k++) {
          ((ObjectNode) operations.get(k)).put("id", k + 1);
        }
        plan.putArray("overrules");
        plan.put("ready", false);
        group.put("chosenPlan", 1);
      }
    }
    if (!job.has("head")) {
      job.set("head", HeadForms.HEAD.write(Head.UNKNOWN));
    }
    if (!job.has("exceptions")) {
      job.putArray("exceptions");
    }
  }
}
