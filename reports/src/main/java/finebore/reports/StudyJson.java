package finebore.reports;

import finebore.cutting.Cutting;
import finebore.flow.FlowChange;
import finebore.flow.LiftPoint;
import finebore.flow.Loss;
import finebore.flow.field.AirChange;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.reports.StudyFacts.OfSeat;
import finebore.study.Reading;
import finebore.words.Words;
import java.util.Locale;
import java.util.OptionalDouble;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A study as JSON, each seat for itself. Numbers are in the core's units; what is spoken of has its
 * code, and words beside it.
 */
public final class StudyJson {

  private final StudyFacts facts;
  private final Words words;

  private StudyJson(StudyFacts facts, Words words) {
    this.facts = facts;
    this.words = words;
  }

  public static String of(StudyFacts facts, Words words) {
    return new StudyJson(facts, words).json();
  }

  private String json() {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    ObjectNode root = mapper.createObjectNode();
    root.put("job", facts.job().name());
    root.put("group", facts.port().key());
    root.put("state", facts.state().name().toLowerCase(Locale.ROOT));
    root.put("practice", facts.practice().id());
    root.put("calibrated", facts.confidence().isCalibrated());
    ArrayNode seats = root.putArray("seats");
    facts.seats().forEach(s -> seat(seats.addObject(), s));
    return mapper.writeValueAsString(root) + "\n";
  }

  private void seat(ObjectNode n, OfSeat seat) {
    n.put("seat", seat.place().label());
    n.put("exception", facts.job().isException(seat.place()));
    seat.plan().ifPresent(p -> plan(n, p));
    ObjectNode readings = n.putObject("readings");
    seat.study().readings().forEach(r -> reading(readings.putObject(r.kind().key()), r));
    seat.study()
        .seated()
        .ifPresent(
            s ->
                n.putObject("contact")
                    .put("restMm", s.restMm())
                    .put("insideDiameterMm", s.contact().insideDiameterMm())
                    .put("outsideDiameterMm", s.contact().outsideDiameterMm())
                    .put("widthMm", s.contact().widthMm())
                    .put("fromMarginMm", s.contact().fromMarginMm())
                    .put("fromInnerEdgeMm", s.contact().fromInnerEdgeMm())
                    .put("centre", s.contact().centre())
                    .put("onSealingCut", s.contact().intendedShare()));
    ArrayNode cuts = n.putArray("cuts");
    seat.study()
        .seat()
        .shown()
        .forEach(
            s ->
                cuts.addObject()
                    .put("angleDeg", s.cut().angleDeg())
                    .put("widthMm", s.cut().widthMm())
                    .put("shownMm", s.shownMm()));
    ArrayNode lifts = n.putArray("lifts");
    seat.study()
        .curve()
        .ifPresent(
            c -> {
              for (int k = 0; k < c.points().size(); k++) {
                lift(lifts.addObject(), seat, c.points().get(k), k);
              }
            });
    seat.change().ifPresent(c -> change(n.putObject("change"), c, seat));
    ArrayNode findings = n.putArray("findings");
    seat.findings().forEach(f -> finding(findings.addObject(), f));
  }

  private void plan(ObjectNode n, PlanStudy plan) {
    ArrayNode operations = n.putArray("operations");
    for (int k = 0; k < plan.cutting().steps().size(); k++) {
      Cutting.Step step = plan.cutting().steps().get(k);
      ObjectNode o = operations.addObject();
      o.put("id", plan.plan().idAt(k));
      o.put("operation", step.operation().key());
      optional(o, "depthMm", step.depthMm());
      optional(
          o,
          "cleanUpMm",
          step.cleanUp().isPresent() ? step.cleanUp().get().sealingMm() : OptionalDouble.empty());
      o.put("removedMm3", step.removedMm3());
      step.problem().ifPresent(p -> o.put("problem", words.say(p)));
      ArrayNode cuts = o.putArray("cameIn");
      step.cameIn()
          .forEach(
              c ->
                  cuts.addObject()
                      .put("angleDeg", c.cut().angleDeg())
                      .put("widthMm", c.cut().widthMm())
                      .put("shownMm", c.shownMm())
                      .put("leastMm", c.leastMm())
                      .put("mostMm", c.mostMm()));
    }
    ArrayNode leftovers = n.putArray("leftovers");
    plan.cut()
        .leftovers()
        .forEach(
            e ->
                leftovers
                    .addObject()
                    .put("place", e.inChamber() ? "chamber" : "throat")
                    .put("surface", e.surface().trace().code())
                    .put("diameterMm", 2 * e.at().r())
                    .put("heightMm", e.heightMm())
                    .put("turnDeg", e.turnDeg()));
  }

  private static void optional(ObjectNode n, String field, OptionalDouble value) {
    if (value.isPresent()) {
      n.put(field, value.getAsDouble());
    }
  }

  private void reading(ObjectNode n, Reading reading) {
    n.put("value", reading.value());
    n.put("unit", reading.kind().dimension().unit());
    facts
        .practice()
        .wanted(facts.port(), reading.kind())
        .ifPresent(
            r -> {
              optional(n, "min", r.min());
              optional(n, "max", r.max());
              n.put("basis", words.text(r.basis().code(), "source", r.basis().source()));
              n.put("within", r.holds(reading.value()));
            });
  }

  private void lift(ObjectNode n, OfSeat seat, LiftPoint p, int at) {
    n.put("liftMm", p.liftMm());
    n.put("gateMm2", p.gate().areaMm2());
    n.put("gatePlace", words.say(p.gate().message()));
    if (!seat.isKnown(at)) {
      n.put("unlike", true);
      return;
    }
    n.put("effectiveMm2", seat.areaMm2(at));
    n.put("curtainCoefficient", seat.areaMm2(at) / p.curtainMm2());
    n.put("flowM3PerS", seat.flowM3s(at));
    if (seat.study().calibration().isHeldAtNone()) {
      n.put("portHeldAtNone", true);
      return;
    }
    ArrayNode losses = n.putArray("losses");
    for (Loss loss : seat.study().lossesAt(p.liftMm()).parts()) {
      losses.addObject().put("cause", loss.cause().code()).put("share", loss.share());
    }
  }

  private static void change(ObjectNode n, FlowChange c, OfSeat seat) {
    c.bands()
        .forEach(
            (band, mean) ->
                n.putObject(band.key()).put("m3PerS", mean.changeM3s()).put("share", mean.share()));
    if (c.hasCamMean()) {
      n.putObject("cam").put("m3PerS", c.camMeanM3s()).put("share", c.camMeanShare());
    }
    ArrayNode steps = n.putArray("lifts");
    c.steps().stream()
        .filter(FlowChange.Step::isKnown)
        .forEach(
            s -> {
              ObjectNode step =
                  steps
                      .addObject()
                      .put("liftMm", s.liftMm())
                      .put("m3PerS", s.changeM3s())
                      .put("share", s.share());
              AirChange.WallPart walls = seat.wallPart(s.liftMm());
              if (walls.share() != 0) {
                step.putObject("walls").put("share", walls.share()).put("off", walls.off());
              }
              seat.solved().at(s.liftMm()).ifPresent(a -> solved(step.putObject("solved"), a));
            });
  }

  private static void solved(ObjectNode n, AirChange change) {
    n.put("evenShare", change.even()).put("transportShare", change.transport());
    if (!Double.isNaN(change.full())) {
      n.put("fullShare", change.full());
    }
    n.put("clear", change.isClear());
    if (change.waves()) {
      n.put("swing", change.swing());
    }
  }

  private void finding(ObjectNode n, Finding finding) {
    n.put("finding", finding.code().key());
    n.put("severity", finding.severity().key());
    n.putObject("subject")
        .put("kind", finding.subject().kind().key())
        .put("id", finding.subject().id());
    n.put("extent", finding.extent());
    n.put("what", words.say(finding.what()));
    n.put("why", words.say(finding.why()));
    n.put("basis", words.text(finding.basis().code(), "source", finding.basis().source()));
    finding.cure().ifPresent(cure -> n.put("cure", words.say(cure.message())));
    finding.overruled().ifPresent(o -> n.put("overruled", o.reason()));
  }
}
