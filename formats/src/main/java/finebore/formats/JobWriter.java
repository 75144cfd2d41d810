package finebore.formats;

import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.OptionalDouble;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes a job as a JSON tree. */
final class JobWriter {

  private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

  private JobWriter() {}

  static ObjectNode write(Job job) {
    ObjectNode root = NODES.objectNode();
    root.put("format", JobFile.FORMAT);
    root.put("version", JobFile.VERSION);
    ObjectNode n = root.putObject("job");
    n.put("name", job.name());
    n.put("purpose", job.purpose());
    n.put("units", job.units().key());
    n.put("practice", job.practice());
    n.set("engine", engine(job.engine()));
    n.set("head", HeadJson.write(job.head()));
    n.set("intake", group(job.intake()));
    n.set("exhaust", group(job.exhaust()));
    ArrayNode exceptions = n.putArray("exceptions");
    new TreeMap<>(job.exceptions())
        .forEach((seat, plan) -> exceptions.addObject().put("seat", seat).set("plan", plan(plan)));
    n.set("test", test(job.test()));
    n.set("bench", BenchJson.write(job.bench()));
    n.set("log", WorkJson.write(job.log()));
    n.set("shop", WorkJson.write(job.shop()));
    n.put("notes", job.notes());
    return root;
  }

  private static ObjectNode engine(Engine engine) {
    ObjectNode n = NODES.objectNode();
    n.put("cylinders", engine.cylinders());
    n.put("intakesPerCylinder", engine.intakesPerCylinder());
    n.put("exhaustsPerCylinder", engine.exhaustsPerCylinder());
    n.put("boreMm", engine.boreMm());
    n.put("strokeMm", engine.strokeMm());
    n.put("rpm", engine.rpm());
    optional(n, "targetHp", engine.targetHp());
    optional(n, "valveSpacingMm", engine.valveSpacingMm());
    optional(n, "rodMm", engine.pistons().rodMm());
    optional(n, "deckMm", engine.pistons().deckMm());
    optional(n, "gasketMm", engine.pistons().gasketMm());
    return n;
  }

  private static ObjectNode group(Group group) {
    ObjectNode n = NODES.objectNode();
    n.set("found", pairing(group.found()));
    ArrayNode plans = n.putArray("plans");
    group.plans().forEach(p -> plans.add(plan(p)));
    n.put("chosenPlan", group.chosen() + 1);
    ObjectNode cam = n.putObject("cam");
    cam.put("maxLiftMm", group.cam().maxLiftMm());
    cam.put("durationDeg", group.cam().durationDeg());
    ArrayNode table = cam.putArray("table");
    group
        .cam()
        .table()
        .forEach(s -> table.addObject().put("crankDeg", s.crankDeg()).put("liftMm", s.liftMm()));
    optional(n, "axisFromBoreMm", group.axisFromBoreMm());
    optional(n, "retainerToSealMm", group.retainerToSealMm());
    optional(n, "camCentreDeg", group.pistonSide().camCentreDeg());
    optional(n, "lashMm", group.pistonSide().lashMm());
    optional(n, "pocketDepthMm", group.pistonSide().pocketDepthMm());
    optional(n, "pocketRadiusMm", group.pistonSide().pocketRadiusMm());
    optional(n, "pocketAngleDeg", group.pistonSide().pocketAngleDeg());
    return n;
  }

  private static ObjectNode plan(Plan plan) {
    ObjectNode n = pairing(plan.wanted());
    ArrayNode operations = n.putArray("operations");
    plan.steps().forEach(s -> operations.add(OperationJson.write(s.operation()).put("id", s.id())));
    ArrayNode overrules = n.putArray("overrules");
    plan.overrules().forEach(o -> overrules.add(OverruleJson.write(o)));
    ArrayNode old = n.putArray("toConfirm");
    plan.toConfirm()
        .forEach(o -> old.addObject().put("where", o.where()).put("reason", o.reason()));
    n.put("followsFound", plan.follows());
    n.put("ready", plan.ready());
    return n;
  }

  static void optional(ObjectNode n, String field, OptionalDouble value) {
    if (value.isPresent()) {
      n.put(field, value.getAsDouble());
    } else {
      n.putNull(field);
    }
  }

  private static ObjectNode pairing(Pairing pairing) {
    ObjectNode n = NODES.objectNode();
    n.set("seat", seat(pairing.seat()));
    n.set("valve", valve(pairing.valve()));
    return n;
  }

  private static ObjectNode seat(Seat seat) {
    ObjectNode n = NODES.objectNode();
    ElementJson.write(seat.stack().elements(), n.putArray("cuts"));
    n.put("sealingCut", seat.stack().sealingElement() + 1);
    n.put("outsideDiameterMm", seat.outsideDiameterMm());
    n.put("depthMm", seat.depthMm());
    n.put("throatDiameterMm", seat.throatDiameterMm());
    n.put("throatLengthMm", seat.throatLengthMm());
    n.put("bowlDiameterMm", seat.bowlDiameterMm());
    n.put("bowlDepthMm", seat.bowlDepthMm());
    n.put("roofAngleDeg", seat.roofAngleDeg());
    return n;
  }

  static ObjectNode valve(Valve valve) {
    ObjectNode n = NODES.objectNode();
    n.put("headDiameterMm", valve.headDiameterMm());
    n.put("marginMm", valve.marginMm());
    n.put("faceAngleDeg", valve.faceAngleDeg());
    n.put("faceWidthMm", valve.faceWidthMm());
    ElementJson.write(valve.backCuts(), n.putArray("backCuts"));
    ObjectNode under = n.putObject("underhead");
    under.put("angleDeg", valve.underhead().angleDeg());
    under.put("filletRadiusMm", valve.underhead().filletRadiusMm());
    n.put("stemDiameterMm", valve.stemDiameterMm());
    n.put("edgeRadiusMm", valve.edgeRadiusMm());
    return n;
  }

  private static ObjectNode test(TestPlan test) {
    ObjectNode n = NODES.objectNode();
    ArrayNode lifts = n.putArray("liftsMm");
    test.liftsMm().forEach(lifts::add);
    n.put("depressionPa", test.depressionPa());
    ObjectNode bands = n.putObject("bands");
    bands.put("lowTo", test.bands().lowTo());
    bands.put("midTo", test.bands().midTo());
    return n;
  }
}
