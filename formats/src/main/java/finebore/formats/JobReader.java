package finebore.formats;

import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.job.Engine;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.JobIdentity;
import finebore.job.JobSettings;
import finebore.job.OldOverrule;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.job.Plan.PlannedStep;
import finebore.job.TestPlan;
import finebore.seat.Seat;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Reads a job out of a JSON tree. */
final class JobReader {

  private JobReader() {}

  static Job read(Node root) {
    return root.at("job").build(JobReader::job);
  }

  private static Job job(Node n) {
    return new Job(
        new JobIdentity(n.at("name").text(), n.at("purpose").text(), n.at("notes").text()),
        new JobSettings(
            n.at("units").oneOf(Units.values(), Units::key),
            n.at("practice").text(),
            n.at("test").build(JobReader::test)),
        n.at("engine").build(JobReader::engine),
        n.at("head").build(HeadJson::read),
        n.at("intake").build(JobReader::group),
        n.at("exhaust").build(JobReader::group),
        exceptions(n.at("exceptions")),
        n.at("bench").build(BenchJson::read),
        n.at("log").build(WorkJson::readLog),
        n.at("shop").build(WorkJson::readShop));
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
        n.at("valveSpacingMm").optionalNumber(),
        new Pistons(
            n.at("rodMm").optionalNumber(),
            n.at("deckMm").optionalNumber(),
            n.at("gasketMm").optionalNumber()));
  }

  private static Group group(Node n) {
    return new Group(
        n.at("found").build(JobReader::pairing),
        n.at("plans").list(p -> p.build(JobReader::plan)),
        n.at("chosenPlan").whole() - 1,
        n.at("cam").build(JobReader::cam),
        n.at("axisFromBoreMm").optionalNumber(),
        n.at("retainerToSealMm").optionalNumber(),
        new PistonSide(
            n.at("camCentreDeg").optionalNumber(),
            n.at("lashMm").optionalNumber(),
            n.at("pocketDepthMm").optionalNumber(),
            n.at("pocketRadiusMm").optionalNumber(),
            n.at("pocketAngleDeg").optionalNumber()));
  }

  private static CamLift cam(Node n) {
    return new CamLift(
        n.at("maxLiftMm").number(),
        n.at("durationDeg").number(),
        n.at("table").isAbsent()
            ? List.of()
            : n.at("table")
                .list(
                    s ->
                        s.build(
                            r ->
                                new CamLift.Step(
                                    r.at("crankDeg").number(), r.at("liftMm").number()))));
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
        n.at("operations")
            .list(
                o ->
                    new PlannedStep(
                        o.build(i -> i.at("id").whole()), o.build(OperationJson::read))),
        n.at("overrules").list(o -> o.build(OverruleJson::read)),
        n.at("toConfirm")
            .list(o -> o.build(r -> new OldOverrule(r.at("where").text(), r.at("reason").text()))),
        n.at("followsFound").flag(),
        n.at("ready").flag());
  }

  private static Pairing pairing(Node n) {
    return new Pairing(n.at("seat").build(JobReader::seat), n.at("valve").build(JobReader::valve));
  }

  private static Seat seat(Node n) {
    return Seat.of(
        ElementJson.read(n.at("cuts")),
        n.at("sealingCut").whole() - 1,
        n.at("outsideDiameterMm").number(),
        n.at("depthMm").number(),
        n.at("throatDiameterMm").number(),
        n.at("throatLengthMm").number(),
        n.at("bowlDiameterMm").number(),
        n.at("bowlDepthMm").number(),
        n.at("roofAngleDeg").number());
  }

  static Valve valve(Node n) {
    return new Valve(
        n.at("headDiameterMm").number(),
        n.at("marginMm").number(),
        n.at("faceAngleDeg").number(),
        n.at("faceWidthMm").number(),
        n.at("backCuts").list(c -> c.build(ElementJson::cut)),
        n.at("underhead")
            .build(u -> new Underhead(u.at("angleDeg").number(), u.at("filletRadiusMm").number())),
        n.at("stemDiameterMm").number(),
        n.at("edgeRadiusMm").number());
  }

  private static TestPlan test(Node n) {
    return new TestPlan(
        n.at("liftsMm").list(Node::number),
        n.at("depressionPa").number(),
        n.at("bands").build(b -> new Bands(b.at("lowTo").number(), b.at("midTo").number())));
  }
}
