package finebore.formats;

import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Pairing;
import finebore.job.Plan;
import finebore.job.TestPlan;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.UnitSystem;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.LinkedHashMap;
import java.util.Map;

/** Reads a job out of a JSON tree. */
final class JobReader {

  private JobReader() {}

  static Job read(Node root) {
    return root.at("job").build(JobReader::job);
  }

  private static Job job(Node n) {
    return new Job(
        n.at("name").text(),
        n.at("purpose").text(),
        n.at("units").oneOf(UnitSystem.values(), JobWriter::unitsName),
        n.at("practice").text(),
        n.at("engine").build(JobReader::engine),
        n.at("head").build(HeadJson::read),
        n.at("intake").build(JobReader::group),
        n.at("exhaust").build(JobReader::group),
        exceptions(n.at("exceptions")),
        n.at("test").build(JobReader::test),
        n.at("bench").build(BenchJson::read),
        n.at("notes").text());
  }

  private static Engine engine(Node n) {
    return new Engine(
        n.at("cylinders").whole(),
        n.at("intakesPerCylinder").whole(),
        n.at("exhaustsPerCylinder").whole(),
        n.at("boreMm").number(),
        n.at("strokeMm").number(),
        n.at("rpm").number(),
        n.at("targetHp").optionalNumber(),
        n.at("valveSpacingMm").optionalNumber());
  }

  private static Group group(Node n) {
    return new Group(
        n.at("found").build(JobReader::pairing),
        n.at("plans").list(p -> p.build(JobReader::plan)),
        n.at("chosenPlan").whole() - 1,
        n.at("cam")
            .build(c -> new CamLift(c.at("maxLiftMm").number(), c.at("durationDeg").number())),
        n.at("axisFromBoreMm").optionalNumber(),
        n.at("retainerToSealMm").optionalNumber());
  }

  private static Map<String, Plan> exceptions(Node n) {
    Map<String, Plan> exceptions = new LinkedHashMap<>();
    n.list(e -> e)
        .forEach(e -> exceptions.put(e.at("seat").text(), e.at("plan").build(JobReader::plan)));
    return exceptions;
  }

  private static Plan plan(Node n) {
    return new Plan(
        pairing(n),
        n.at("operations").list(o -> o.build(OperationJson::read)),
        n.at("overrules")
            .list(o -> o.build(r -> new Overrule(r.at("where").text(), r.at("reason").text()))),
        n.at("ready").flag());
  }

  private static Pairing pairing(Node n) {
    return new Pairing(n.at("seat").build(JobReader::seat), n.at("valve").build(JobReader::valve));
  }

  private static Seat seat(Node n) {
    return new Seat(
        n.at("cuts").list(c -> c.build(JobReader::cut)),
        n.at("sealingCut").whole() - 1,
        n.at("outsideDiameterMm").number(),
        n.at("depthMm").number(),
        n.at("throatDiameterMm").number(),
        n.at("throatLengthMm").number(),
        n.at("bowlDiameterMm").number(),
        n.at("bowlDepthMm").number(),
        n.at("roofAngleDeg").number());
  }

  private static Valve valve(Node n) {
    return new Valve(
        n.at("headDiameterMm").number(),
        n.at("marginMm").number(),
        n.at("faceAngleDeg").number(),
        n.at("faceWidthMm").number(),
        n.at("backCuts").list(c -> c.build(JobReader::cut)),
        n.at("underhead")
            .build(u -> new Underhead(u.at("angleDeg").number(), u.at("filletRadiusMm").number())),
        n.at("stemDiameterMm").number(),
        n.at("edgeRadiusMm").number());
  }

  private static Cut cut(Node n) {
    return new Cut(n.at("angleDeg").number(), n.at("widthMm").number());
  }

  private static TestPlan test(Node n) {
    return new TestPlan(
        n.at("liftsMm").list(Node::number),
        n.at("depressionPa").number(),
        n.at("bands").build(b -> new Bands(b.at("lowTo").number(), b.at("midTo").number())));
  }
}
