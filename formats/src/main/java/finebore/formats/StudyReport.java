package finebore.formats;

import finebore.cutting.CutSheet;
import finebore.cutting.Cutting;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.Seating;
import finebore.cutting.Settings;
import finebore.flow.FlowChange;
import finebore.flow.LiftPoint;
import finebore.flow.Loss;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Finding;
import finebore.practice.Findings;
import finebore.practice.PlanFindings;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.AirDemand;
import finebore.study.PlanStudy;
import finebore.study.PredictionConfidence;
import finebore.study.Reading;
import finebore.study.SeatStudy;
import finebore.units.UnitSystem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Everything a study of one seat says, as text, CSV or JSON.
 *
 * <p>Text is for reading, in the job's units. CSV and JSON carry mm, mm2, m3/s, degrees and
 * fractions, so that they mean the same whatever the job shows.
 */
public final class StudyReport {

  /** Which state of the seat. */
  public enum State {
    FOUND,
    PLANNED
  }

  private final Job job;
  private final SeatPlace seat;
  private final Port port;
  private final State state;
  private final Practice practice;
  private final PredictionConfidence outlook;
  private final SeatStudy study;
  private final Optional<PlanStudy> plan;
  private final Optional<FlowChange> change;
  private final List<Finding> findings;

  /** A report on the first seat of a group that follows the group's plan. */
  public StudyReport(Job job, Port port, State state) {
    this(
        job,
        job.engine().seats().stream()
            .filter(s -> s.port() == port)
            .min(Comparator.comparing(job::isException))
            .orElseThrow(),
        state);
  }

  /** A report on one seat, with what was measured of it. */
  public StudyReport(Job job, SeatPlace seat, State state) {
    this.job = job;
    this.seat = seat;
    this.port = seat.port();
    this.state = state;
    this.practice = PracticeFiles.orDefault(job.practice());
    this.outlook = PredictionConfidence.of(job, port);
    PlanStudy whole =
        PlanStudy.of(
            job,
            seat,
            job.planOf(seat),
            Optional.of(SeatStudy.asFound(job, seat, outlook.calibration())));
    if (state == State.FOUND) {
      this.study = whole.found();
      this.plan = Optional.empty();
      this.change = Optional.empty();
      this.findings = Findings.of(study, practice, port, job.units());
    } else {
      this.study = whole.finished();
      this.plan = Optional.of(whole);
      this.change = whole.change();
      this.findings = PlanFindings.of(whole, practice, job.units());
    }
  }

  private String title() {
    return job.name()
        + ", "
        + port.word()
        + (job.isException(seat) ? " seat " + seat.label() + ", an exception, as " : " seats as ")
        + state.name().toLowerCase(Locale.ROOT);
  }

  /** For reading. */
  public String text() {
    UnitSystem units = job.units();
    StringBuilder out = new StringBuilder();
    line(out, title());
    line(
        out,
        "practice: %s; depression %s; %s",
        practice.name(),
        units.pressureText(job.test().depressionPa()),
        outlook.words() + (outlook.isCalibrated() ? "" : ": trust the change, not the figure"));
    plan.ifPresent(
        p -> {
          operations(out, p);
          witnesses(out, p);
        });
    line(out, "");
    line(out, "READINGS");
    for (Reading reading : study.readings()) {
      Optional<Range> range = practice.wanted(port, reading.kind());
      String wanted =
          range
              .map(
                  r ->
                      (r.holds(reading.value()) ? "ok     " : "OUT    ")
                          + reading.kind().quantity().text(r.min(), units)
                          + " to "
                          + reading.kind().quantity().text(r.max(), units)
                          + " ("
                          + r.basis()
                          + ")")
              .orElse("");
      line(out, "  %-22s %12s   %s", reading.kind().label(), reading.text(units), wanted);
    }
    contact(out, units);
    cuts(out, units);
    curve(out, units);
    demand(out, units);
    line(out, "");
    line(out, "FINDINGS");
    if (findings.isEmpty()) {
      line(out, "  none");
    }
    for (Finding finding : findings) {
      line(
          out,
          "  %s, %s: %s %s (%s)",
          finding.severity().word(),
          finding.where(),
          finding.what(),
          finding.why(),
          finding.basis());
      finding.cure().ifPresent(cure -> line(out, "      would mend it: %s", cure.words(units)));
    }
    return out.toString();
  }

  private void operations(StringBuilder out, PlanStudy whole) {
    line(out, "");
    line(out, "OPERATIONS");
    int number = 1;
    for (Cutting.Step step : whole.cutting().steps()) {
      line(
          out,
          "%3d  %-22s takes %s cm3",
          number++,
          step.operation().title(),
          String.format(Locale.ROOT, "%.3f", step.removedMm3() / 1000));
      for (CutSheet.Setting setting :
          Settings.of(step.operation(), whole.cutting().wanted(), step.depthMm(), job.units())) {
        line(out, "       %-42s %s", setting.name(), setting.value());
      }
    }
  }

  /** Old metal and tool marks that stand beside the cuts. */
  private void witnesses(StringBuilder out, PlanStudy whole) {
    line(out, "");
    line(out, "STANDING BESIDE THE CUTS");
    if (whole.witnesses().isEmpty()) {
      line(out, "  nothing");
    }
    for (LeftoverEdge witness : whole.witnesses()) {
      line(
          out,
          "  %s: %s high at %s, turning %s°, %s",
          witness.inChamber() ? "over the seat" : "in the throat",
          job.units().lengthText(witness.heightMm()),
          job.units().lengthText(2 * witness.at().r()),
          UnitSystem.fixed(witness.turnDeg(), 0),
          witness.surface().name());
    }
  }

  private static void line(StringBuilder out, String format, Object... values) {
    out.append(
            values.length == 0
                ? format
                : String.format(Locale.ROOT, format, values).stripTrailing())
        .append('\n');
  }

  private void contact(StringBuilder out, UnitSystem units) {
    line(out, "");
    line(out, "CONTACT");
    switch (study.seating()) {
      case Seating.FallsThrough() -> line(out, "  the valve falls through the throat");
      case Seating.Seated(double rest, Seating.Contact contact) -> {
        line(out, "  valve at %s to the head face", units.lengthText(rest));
        line(
            out,
            "  ring %s to %s, %s wide, on %s",
            units.lengthText(contact.insideDiameterMm()),
            units.lengthText(contact.outsideDiameterMm()),
            units.lengthText(contact.widthMm()),
            contact.on().isEmpty() ? "an edge" : contact.on().getFirst().name());
        line(
            out,
            "  on the valve face %s from the margin, %s from the inner edge, centre at %s",
            units.lengthText(contact.fromMarginMm()),
            units.lengthText(contact.fromInnerEdgeMm()),
            UnitSystem.fixed(100 * contact.centre(), 0) + " %");
      }
    }
  }

  private void cuts(StringBuilder out, UnitSystem units) {
    line(out, "");
    line(out, "CUTS, chamber to port");
    study
        .seat()
        .shown()
        .forEach(
            s ->
                line(
                    out,
                    "  %5s°  %10s asked  %10s showing%s",
                    finebore.seat.Cut.angleText(s.cut().angleDeg()),
                    units.lengthText(s.cut().widthMm()),
                    units.lengthText(s.shownMm()),
                    s.neverTouches()
                        ? "  never touches"
                        : s.index() == study.pairing().seat().sealing() ? "  seals" : ""));
  }

  private void curve(StringBuilder out, UnitSystem units) {
    if (study.curve().isEmpty()) {
      return;
    }
    line(out, "");
    line(out, "FLOW AT EACH LIFT");
    line(
        out,
        "  %8s %5s %9s %9s %7s %9s%s  gate",
        "lift " + units.length().symbol(),
        "L/D",
        "gate mm2",
        "eff. mm2",
        "Cd curt.",
        units.flow().symbol(),
        change.isPresent() ? String.format("%9s %7s", "change", "%") : "");
    double head = study.pairing().valve().headDiameterMm();
    for (int k = 0; k < study.curve().get().points().size(); k++) {
      LiftPoint p = study.curve().get().points().get(k);
      int at = k;
      line(
          out,
          "  %8s %5.3f %9.1f %9.1f %7.3f %9s%s  %s",
          units.shortLength(p.liftMm()),
          p.liftMm() / head,
          p.losses().gate().areaMm2(),
          p.losses().effectiveAreaMm2(),
          p.curtainCoefficient(),
          units.flowNumber(p.flowM3s()),
          change
              .map(
                  c ->
                      String.format(
                          Locale.ROOT,
                          "%9s %7s",
                          UnitSystem.signed(
                              units.flow().fromBase(c.steps().get(at).changeM3s()), 1),
                          UnitSystem.signed(100 * c.steps().get(at).share(), 1)))
              .orElse(""),
          p.losses().gate().place());
    }
    change.ifPresent(c -> bands(out, units, c));
    line(out, "");
    line(out, "WHERE THE AIR IS HELD UP, share of the whole");
    for (LiftPoint p : study.curve().get().points()) {
      // A blend is many small corners; they count as the one thing they are.
      Map<String, Double> shares = new LinkedHashMap<>();
      for (Loss loss : p.losses().parts()) {
        shares.merge(loss.cause().words() + " (" + loss.place() + ") ", loss.share(), Double::sum);
      }
      List<String> parts = new ArrayList<>();
      shares.forEach(
          (what, share) -> {
            if (Math.abs(share) >= 0.02) {
              parts.add(what + UnitSystem.fixed(100 * share, 0) + " %");
            }
          });
      line(out, "  %8s  %s", units.shortLength(p.liftMm()), String.join("; ", parts));
    }
  }

  private void bands(StringBuilder out, UnitSystem units, FlowChange c) {
    line(out, "");
    line(
        out,
        "CHANGE AGAINST FOUND, give or take about %s %% of the flow at low, %s %% at mid, %s %% at high"
            + " lift",
        UnitSystem.fixed(100 * outlook.spread().low(), 1),
        UnitSystem.fixed(100 * outlook.spread().mid(), 1),
        UnitSystem.fixed(100 * outlook.spread().high(), 1));
    for (finebore.flow.Bands.Band band : finebore.flow.Bands.Band.values()) {
      if (c.bands().containsKey(band)) {
        FlowChange.Mean mean = c.bands().get(band);
        line(
            out,
            "  %-5s lift  %8s %s  %7s %%  over %d lifts",
            band.name().toLowerCase(Locale.ROOT),
            UnitSystem.signed(units.flow().fromBase(mean.changeM3s()), 1),
            units.flow().symbol(),
            UnitSystem.signed(100 * mean.share(), 1),
            mean.lifts());
      }
    }
    line(
        out,
        "  over the cam %8s %s  %7s %%",
        UnitSystem.signed(units.flow().fromBase(c.camMeanM3s()), 1),
        units.flow().symbol(),
        UnitSystem.signed(100 * c.camMeanShare(), 1));
  }

  private void demand(StringBuilder out, UnitSystem units) {
    if (port != Port.INTAKE || study.curve().isEmpty()) {
      return;
    }
    line(out, "");
    line(out, "WHAT THE ENGINE ASKS");
    double z =
        AirDemand.machIndex(
            job.engine(), study.pairing().valve().headDiameterMm(), study.curve().get());
    line(
        out,
        "  mean inlet Mach index %.2f at %.0f rpm (filling falls beyond %.1f; Taylor, from memory)",
        z,
        job.engine().rpm(),
        AirDemand.MACH_INDEX_LIMIT);
    job.engine()
        .targetHp()
        .ifPresent(
            hp ->
                line(
                    out,
                    "  %.0f hp need %s in each cylinder at 28 inH2O (0.257 hp per cfm, common practice, no source)",
                    hp,
                    units.flowText(AirDemand.flowForPower(hp, job.engine().cylinders()))));
  }

  /** One row per reading, cut, lift, loss and finding: section, item, value, unit, remark. */
  public String csv() {
    StringBuilder out = new StringBuilder();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("section", "item", "lift_mm", "value", "unit", "remark")
            .get();
    try (CSVPrinter csv = new CSVPrinter(out, format)) {
      if (plan.isPresent()) {
        for (Cutting.Step step : plan.get().cutting().steps()) {
          csv.printRecord(
              "operation", step.operation().title(), "", step.removedMm3(), "mm3", "removed");
        }
      }
      for (Reading reading : study.readings()) {
        csv.printRecord(
            "reading", reading.kind().key(), "", reading.value(), unit(reading), remark(reading));
      }
      if (study.seating() instanceof Seating.Seated(double rest, Seating.Contact contact)) {
        csv.printRecord("contact", "rest", "", rest, "mm", "");
        csv.printRecord("contact", "insideDiameter", "", contact.insideDiameterMm(), "mm", "");
        csv.printRecord("contact", "outsideDiameter", "", contact.outsideDiameterMm(), "mm", "");
        csv.printRecord("contact", "fromMargin", "", contact.fromMarginMm(), "mm", "");
        csv.printRecord("contact", "fromInnerEdge", "", contact.fromInnerEdgeMm(), "mm", "");
      } else {
        csv.printRecord(
            "contact", "fallsThrough", "", "", "", "the valve falls through the throat");
      }
      for (var shown : study.seat().shown()) {
        csv.printRecord(
            "cut",
            shown.cut().spoken(),
            "",
            shown.shownMm(),
            "mm",
            "asked " + shown.cut().widthMm());
      }
      if (study.curve().isPresent()) {
        for (LiftPoint p : study.curve().get().points()) {
          csv.printRecord(
              "lift",
              "gate",
              p.liftMm(),
              p.losses().gate().areaMm2(),
              "mm2",
              p.losses().gate().place());
          csv.printRecord(
              "lift", "effectiveArea", p.liftMm(), p.losses().effectiveAreaMm2(), "mm2", "");
          csv.printRecord(
              "lift", "curtainCoefficient", p.liftMm(), p.curtainCoefficient(), "1", "");
          csv.printRecord("lift", "flow", p.liftMm(), p.flowM3s(), "m3/s", outlook.words());
          for (Loss loss : p.losses().parts()) {
            csv.printRecord(
                "loss", loss.cause().words(), p.liftMm(), loss.share(), "1", loss.place());
          }
        }
      }
      if (change.isPresent()) {
        for (FlowChange.Step step : change.get().steps()) {
          csv.printRecord(
              "change",
              "flow",
              step.liftMm(),
              step.changeM3s(),
              "m3/s",
              step.band().name().toLowerCase(Locale.ROOT));
        }
        for (var band : change.get().bands().entrySet()) {
          csv.printRecord(
              "band",
              band.getKey().name().toLowerCase(Locale.ROOT),
              "",
              band.getValue().changeM3s(),
              "m3/s",
              "");
        }
        csv.printRecord("band", "cam", "", change.get().camMeanM3s(), "m3/s", "");
      }
      for (Finding finding : findings) {
        csv.printRecord(
            "finding",
            finding.where(),
            "",
            "",
            "",
            finding.severity().word() + ": " + finding.what());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String unit(Reading reading) {
    return switch (reading.kind().quantity()) {
      case LENGTH -> "mm";
      case ANGLE -> "deg";
      case SHARE, NUMBER -> "1";
      case VOLUME -> "mm3";
    };
  }

  private String remark(Reading reading) {
    return practice
        .wanted(port, reading.kind())
        .map(r -> (r.holds(reading.value()) ? "within " : "outside ") + r.min() + " to " + r.max())
        .orElse("");
  }

  /** The same as a tree. */
  public String json() {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    ObjectNode root = mapper.createObjectNode();
    root.put("job", job.name());
    root.put("group", port.word());
    root.put("seat", seat.label());
    root.put("state", state.name().toLowerCase(Locale.ROOT));
    root.put("practice", practice.id());
    root.put("calibrated", outlook.isCalibrated());
    plan.ifPresent(
        p -> {
          ArrayNode operations = root.putArray("operations");
          for (Cutting.Step step : p.cutting().steps()) {
            ObjectNode n = operations.addObject();
            n.put("title", step.operation().title());
            step.depthMm().ifPresent(mm -> n.put("depthMm", mm));
            n.put("removedMm3", step.removedMm3());
            ArrayNode cuts = n.putArray("cameIn");
            step.cameIn()
                .forEach(
                    c ->
                        cuts.addObject()
                            .put("angleDeg", c.cut().angleDeg())
                            .put("widthMm", c.cut().widthMm())
                            .put("shownMm", c.shownMm())
                            .put("leastMm", c.leastMm()));
          }
        });
    plan.ifPresent(
        p -> {
          ArrayNode witnesses = root.putArray("witnesses");
          p.witnesses()
              .forEach(
                  w ->
                      witnesses
                          .addObject()
                          .put("place", w.inChamber() ? "chamber" : "throat")
                          .put("surface", w.surface().name())
                          .put("diameterMm", 2 * w.at().r())
                          .put("heightMm", w.heightMm())
                          .put("turnDeg", w.turnDeg()));
        });
    ObjectNode readings = root.putObject("readings");
    for (Reading reading : study.readings()) {
      ObjectNode n = readings.putObject(reading.kind().key());
      n.put("value", reading.value());
      n.put("unit", unit(reading));
      practice
          .wanted(port, reading.kind())
          .ifPresent(
              r ->
                  n.put("min", r.min())
                      .put("max", r.max())
                      .put("basis", r.basis())
                      .put("within", r.holds(reading.value())));
    }
    study
        .seated()
        .ifPresent(
            s -> {
              ObjectNode n = root.putObject("contact");
              n.put("restMm", s.restMm());
              n.put("insideDiameterMm", s.contact().insideDiameterMm());
              n.put("outsideDiameterMm", s.contact().outsideDiameterMm());
              n.put("widthMm", s.contact().widthMm());
              n.put("fromMarginMm", s.contact().fromMarginMm());
              n.put("fromInnerEdgeMm", s.contact().fromInnerEdgeMm());
              n.put("centre", s.contact().centre());
              n.put("onSealingCut", s.contact().intendedShare());
            });
    ArrayNode cuts = root.putArray("cuts");
    study
        .seat()
        .shown()
        .forEach(
            s ->
                cuts.addObject()
                    .put("angleDeg", s.cut().angleDeg())
                    .put("widthMm", s.cut().widthMm())
                    .put("shownMm", s.shownMm()));
    study
        .curve()
        .ifPresent(c -> c.points().forEach(p -> liftNode(root.withArray("lifts").addObject(), p)));
    change.ifPresent(
        c -> {
          ObjectNode n = root.putObject("change");
          c.bands()
              .forEach(
                  (band, mean) ->
                      n.putObject(band.name().toLowerCase(Locale.ROOT))
                          .put("m3PerS", mean.changeM3s())
                          .put("share", mean.share()));
          n.putObject("cam").put("m3PerS", c.camMeanM3s()).put("share", c.camMeanShare());
          ArrayNode steps = n.putArray("lifts");
          c.steps()
              .forEach(
                  s ->
                      steps
                          .addObject()
                          .put("liftMm", s.liftMm())
                          .put("m3PerS", s.changeM3s())
                          .put("share", s.share()));
        });
    ArrayNode list = root.putArray("findings");
    for (Finding finding : findings) {
      ObjectNode n = list.addObject();
      n.put("severity", finding.severity().word());
      n.put("where", finding.where());
      n.put("what", finding.what());
      n.put("why", finding.why());
      n.put("basis", finding.basis());
      finding.cure().ifPresent(cure -> n.put("cure", cure.words(job.units())));
    }
    return mapper.writeValueAsString(root) + "\n";
  }

  private static void liftNode(ObjectNode n, LiftPoint p) {
    n.put("liftMm", p.liftMm());
    n.put("gateMm2", p.losses().gate().areaMm2());
    n.put("gatePlace", p.losses().gate().place());
    n.put("effectiveMm2", p.losses().effectiveAreaMm2());
    n.put("curtainCoefficient", p.curtainCoefficient());
    n.put("flowM3PerS", p.flowM3s());
    ArrayNode losses = n.putArray("losses");
    for (Loss loss : p.losses().parts()) {
      losses
          .addObject()
          .put("cause", loss.cause().words())
          .put("place", loss.place())
          .put("share", loss.share());
    }
  }
}
