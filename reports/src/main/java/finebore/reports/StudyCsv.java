package finebore.reports;

import finebore.cutting.Cutting;
import finebore.cutting.Seating;
import finebore.flow.FlowChange;
import finebore.flow.LiftPoint;
import finebore.flow.Loss;
import finebore.flow.field.AirChange;
import finebore.formats.TableText;
import finebore.practice.Finding;
import finebore.reports.StudyFacts.OfSeat;
import finebore.seat.ShownCut;
import finebore.study.Reading;
import finebore.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A study as CSV: one row for each reading, cut, lift, loss and finding of each seat. Numbers are
 * in the core's units, so that they mean the same whatever the job shows.
 */
public final class StudyCsv {

  private final StudyFacts facts;
  private final Words words;
  private final CSVPrinter csv;

  private StudyCsv(StudyFacts facts, Words words, CSVPrinter csv) {
    this.facts = facts;
    this.words = words;
    this.csv = csv;
  }

  public static String of(StudyFacts facts, Words words) {
    StringBuilder out = new StringBuilder();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("seat", "section", "item", "lift_mm", "value", "unit", "remark")
            .get();
    try (CSVPrinter csv = new CSVPrinter(out, format)) {
      StudyCsv study = new StudyCsv(facts, words, csv);
      for (OfSeat seat : facts.seats()) {
        study.seat(seat);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void row(
      OfSeat seat, String section, String item, Object lift, Object value, String unit, Object more)
      throws IOException {
    csv.printRecord(
        seat.place().label(),
        section,
        item,
        lift,
        TableText.figureOrText(value),
        unit,
        TableText.figureOrText(more));
  }

  private void seat(OfSeat seat) throws IOException {
    operations(seat);
    for (Reading reading : seat.study().readings()) {
      row(
          seat,
          "reading",
          reading.kind().key(),
          "",
          reading.value(),
          reading.kind().dimension().unit(),
          remark(reading));
    }
    contact(seat);
    for (ShownCut shown : seat.study().seat().shown()) {
      String item = "cut" + (shown.index() + 1);
      row(seat, "cut", item + ".angle", "", shown.cut().angleDeg(), "deg", "");
      row(seat, "cut", item + ".asked", "", shown.cut().widthMm(), "mm", "");
      row(seat, "cut", item + ".shown", "", shown.shownMm(), "mm", "");
    }
    if (seat.study().curve().isPresent()) {
      List<LiftPoint> points = seat.study().curve().get().points();
      for (int k = 0; k < points.size(); k++) {
        if (seat.isKnown(k)) {
          lift(seat, points.get(k), seat.areaMm2(k), seat.flowM3s(k));
        } else {
          LiftPoint p = points.get(k);
          row(seat, "lift", "gate", p.liftMm(), p.gate().areaMm2(), "mm2", "unlike");
        }
      }
    }
    if (seat.change().isPresent()) {
      change(seat, seat.change().get());
    }
    for (Finding finding : seat.findings()) {
      row(
          seat,
          "finding",
          finding.code().key(),
          "",
          finding.extent(),
          finding.severity().key(),
          words.say(finding.what()));
    }
  }

  private void operations(OfSeat seat) throws IOException {
    if (seat.plan().isEmpty()) {
      return;
    }
    List<Cutting.Step> steps = seat.plan().get().cutting().steps();
    for (int k = 0; k < steps.size(); k++) {
      Cutting.Step step = steps.get(k);
      String item = (k + 1) + "." + step.operation().key();
      if (step.depthMm().isPresent()) {
        row(seat, "operation", item + ".depth", "", step.depthMm().getAsDouble(), "mm", "");
      }
      OptionalDouble clean =
          step.cleanUp().isPresent() ? step.cleanUp().get().sealingMm() : OptionalDouble.empty();
      if (clean.isPresent()) {
        row(seat, "operation", item + ".cleanUp", "", clean.getAsDouble(), "mm", "");
      }
      row(seat, "operation", item + ".removed", "", step.removedMm3(), "mm3", "");
    }
  }

  private void contact(OfSeat seat) throws IOException {
    if (seat.study().seating() instanceof Seating.Seated(double rest, Seating.Contact contact)) {
      row(seat, "contact", "rest", "", rest, "mm", "");
      row(seat, "contact", "insideDiameter", "", contact.insideDiameterMm(), "mm", "");
      row(seat, "contact", "outsideDiameter", "", contact.outsideDiameterMm(), "mm", "");
      row(seat, "contact", "fromMargin", "", contact.fromMarginMm(), "mm", "");
      row(seat, "contact", "fromInnerEdge", "", contact.fromInnerEdgeMm(), "mm", "");
    } else {
      row(seat, "contact", "fallsThrough", "", "", "", words.text("report.fallsThrough"));
    }
  }

  private void lift(OfSeat seat, LiftPoint p, double areaMm2, double flowM3s) throws IOException {
    double lift = p.liftMm();
    String place = words.say(p.gate().message());
    row(seat, "lift", "gate", lift, p.gate().areaMm2(), "mm2", place);
    row(seat, "lift", "effectiveArea", lift, areaMm2, "mm2", "");
    row(seat, "lift", "curtainCoefficient", lift, areaMm2 / p.curtainMm2(), "1", "");
    row(seat, "lift", "flow", lift, flowM3s, "m3/s", Spoken.calibrated(facts.confidence(), words));
    if (seat.study().calibration().isHeldAtNone()) {
      return;
    }
    for (Loss loss : seat.study().lossesAt(lift).parts()) {
      row(seat, "loss", loss.cause().code(), lift, loss.share(), "1", words.name(loss.cause()));
    }
  }

  private void change(OfSeat seat, FlowChange change) throws IOException {
    for (FlowChange.Step step : change.steps()) {
      if (!step.isKnown()) {
        continue;
      }
      row(seat, "change", "flow", step.liftMm(), step.changeM3s(), "m3/s", step.band().key());
      AirChange.WallPart walls = seat.wallPart(step.liftMm());
      if (walls.share() != 0) {
        row(seat, "change", "walls", step.liftMm(), walls.share(), "1", "");
        row(seat, "change", "wallsOff", step.liftMm(), walls.off(), "1", "");
      }
      Optional<AirChange> solved = seat.solved().at(step.liftMm());
      if (solved.isPresent()) {
        String clear =
            (solved.get().isClear() ? "clear" : "unclear")
                + (solved.get().waves() ? " waving" : "");
        row(seat, "change", "solvedEven", step.liftMm(), solved.get().even(), "1", clear);
        row(seat, "change", "solvedTransport", step.liftMm(), solved.get().transport(), "1", clear);
        if (!Double.isNaN(solved.get().full())) {
          row(seat, "change", "solvedFull", step.liftMm(), solved.get().full(), "1", clear);
        }
      }
    }
    for (var band : change.bands().entrySet()) {
      row(seat, "band", band.getKey().key(), "", band.getValue().changeM3s(), "m3/s", "");
    }
    if (change.hasCamMean()) {
      row(seat, "band", "cam", "", change.camMeanM3s(), "m3/s", "");
    }
  }

  private String remark(Reading reading) {
    return facts
        .practice()
        .wanted(facts.port(), reading.kind())
        .map(
            r ->
                words.text(r.holds(reading.value()) ? "report.ok" : "report.out")
                    + " "
                    + limit(r.min())
                    + " "
                    + limit(r.max()))
        .orElse("");
  }

  private static String limit(OptionalDouble limit) {
    return limit.isPresent() ? String.valueOf(limit.getAsDouble()) : "-";
  }
}
