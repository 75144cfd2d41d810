package finebore.desk.prove;

import finebore.bench.BenchRange;
import finebore.bench.Comparison;
import finebore.bench.Comparison.Mean;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReducedTest;
import finebore.bench.SuspectReading;
import finebore.calibration.ModelFit;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.Score;
import finebore.desk.session.ProveState.Shown;
import finebore.desk.theme.Palette;
import finebore.flow.Bands.Band;
import finebore.flow.Direction;
import finebore.job.Job;
import finebore.planning.AirDemand;
import finebore.reports.CompareReport;
import finebore.reports.Spoken;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The comparison in words: what differs in the set-ups first, then what came of it. */
final class ComparePane extends BorderPane {

  private final VBox lines = new VBox(3);
  private final CompareStrip strip;

  ComparePane(Supplier<Palette> palette, Supplier<Double> textScale, String name) {
    setId("compare-pane");
    strip = new CompareStrip(palette, textScale, name);
    lines.setStyle("-fx-padding: 6 10 6 10;");
    ScrollPane words = new ScrollPane(lines);
    words.setFitToWidth(true);
    words.prefWidthProperty().bind(widthProperty().multiply(0.46));
    words.setMinWidth(0);
    setCenter(strip);
    setRight(words);
  }

  void restyle() {
    strip.requestLayout();
  }

  void show(Shown shown) {
    lines.getChildren().clear();
    strip.show(shown);
    if (shown.test().isEmpty()) {
      say(shown.words().text("compare.noTest"), "muted");
      return;
    }
    shown
        .mixUp()
        .ifPresent(
            m ->
                say(
                    "? "
                        + shown
                            .words()
                            .text(
                                "compare.mixUp",
                                "ratio",
                                UnitSystem.fixed(m.ratio(), 2),
                                "read",
                                m.read().symbol(),
                                "meant",
                                m.meant().symbol()),
                    "fault"));
    shown.comparison().ifPresentOrElse(c -> compare(c, shown), () -> alone(shown));
    about(shown);
  }

  private Label say(String words, String style) {
    Label label = new Label(words);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().add(style);
    lines.getChildren().add(label);
    return label;
  }

  private void compare(Comparison c, Shown shown) {
    Job job = shown.job();
    Words words = shown.words();
    say(
            words.text(
                "compare.title",
                "test",
                ProveWords.name(c.test().test(), job),
                "reference",
                ProveWords.name(c.reference().test(), job)),
            "title")
        .setId("compare-title");
    for (var difference : c.differences()) {
      say(
          (difference.spoils() ? "\u2717 " : "\u00b7 ") + words.say(difference.message()),
          difference.spoils() ? "fault" : "muted");
    }
    if (!c.isRanked()) {
      say(words.text("compare.notRanked.long"), "fault").setId("not-ranked");
    }
    CompareReport.fixture(job, c, words)
        .ifPresent(l -> say("\u00b7 " + l, "muted").setId("fixture"));
    FlowPane means = new FlowPane(14, 2);
    for (Band band : Band.values()) {
      if (c.bands().containsKey(band)) {
        means.getChildren().add(mean(words.label(band), band.key(), c.bands().get(band)));
      }
    }
    c.whole()
        .ifPresent(m -> means.getChildren().add(mean(words.text("compare.whole"), "whole", m)));
    if (c.camShare().isPresent()) {
      Label cam =
          new Label(
              words.text(
                  "plan.overCam",
                  "change",
                  UnitSystem.signed(100 * c.camShare().getAsDouble(), 1) + " %"));
      cam.getStyleClass().add("figure");
      means.getChildren().add(cam);
    }
    lines.getChildren().add(means);
    CompareReport.limits(c, words).forEach(l -> say("\u00b7 " + l, "muted"));
  }

  private static Label mean(String name, String id, Mean mean) {
    Label label =
        new Label(
            name
                + " "
                + ProveWords.share(mean)
                + " (\u00b1"
                + UnitSystem.fixed(100 * mean.limitShare(), 1)
                + " %)");
    label.setId("mean-" + id);
    label.getStyleClass().addAll("figure", ProveWords.style(mean.verdict()));
    return label;
  }

  private void alone(Shown shown) {
    say(
        shown
            .words()
            .text(
                "compare.noReference",
                "test",
                ProveWords.name(shown.test().orElseThrow(), shown.job())),
        "title");
  }

  private void about(Shown shown) {
    Words words = shown.words();
    UnitSystem units = shown.units();
    FlowTest test = shown.test().orElseThrow();
    ReducedTest own = shown.book().reduced(test);
    for (SuspectReading suspect : shown.suspects()) {
      say("? " + Spoken.suspect(suspect, words), "caution");
    }
    own.backsUpFromMm(shown.book().noise(test))
        .ifPresent(
            mm ->
                say(
                    "! "
                        + words.text(
                            own.isReadTwiceAt(mm) ? "compare.backsUp" : "compare.backsUp.twice",
                            "test",
                            test.name(),
                            "lift",
                            units.lengthText(mm)),
                    "caution"));
    rechecks(shown).forEach(w -> say("! " + w, "caution"));
    means(own, shown).ifPresent(w -> say("\u00b7 " + w, "muted"));
    power(own, shown).ifPresent(w -> say("\u00b7 " + w, "muted"));
    ratio(shown, own).ifPresent(w -> say("\u00b7 " + w, "muted"));
    say("\u00b7 " + score(shown), "muted");
    String seen =
        test.lifts().stream()
            .filter(l -> !l.remarks().isBlank())
            .map((LiftReadings l) -> units.lengthText(l.liftMm()) + ": " + l.remarks())
            .collect(Collectors.joining("; "));
    if (!seen.isEmpty()) {
      say("\u00b7 " + words.text("compare.seen", "what", seen), "muted");
    }
    if (!test.remarks().isBlank()) {
      say("\u00b7 " + test.remarks(), "muted");
    }
  }

  /** Ranges that this test was read on and that ask for their plates. */
  private static List<String> rechecks(Shown shown) {
    FlowTest test = shown.test().orElseThrow();
    List<String> words = new ArrayList<>();
    for (BenchRange range : shown.job().bench().ranges()) {
      boolean used =
          test.lifts().stream()
              .flatMap(l -> l.readings().stream())
              .anyMatch(r -> r.range().equals(Optional.of(range.name())));
      if (used) {
        range.recheck(test.date(), test.air()).map(shown.words()::say).ifPresent(words::add);
      }
    }
    return words;
  }

  /** Mean flow of each band, of all lifts and over the cam. */
  private static Optional<String> means(ReducedTest own, Shown shown) {
    Job job = shown.job();
    Words words = shown.words();
    UnitSystem units = shown.units();
    List<String> parts = new ArrayList<>();
    for (Band band : Band.values()) {
      own.meanM3s(band, job.test().bands())
          .ifPresent(m -> parts.add(words.name(band) + " " + units.flowNumber(m)));
    }
    own.meanM3s()
        .ifPresent(m -> parts.add(words.text("compare.whole") + " " + units.flowNumber(m)));
    own.camMeanM3s(job.group(shown.port()).cam())
        .ifPresent(m -> parts.add(words.text("plan.overCam", "change", units.flowNumber(m))));
    return parts.isEmpty()
        ? Optional.empty()
        : Optional.of(
            words.text(
                "compare.means", "means", String.join(", ", parts), "unit", units.flow().symbol()));
  }

  /** Flow to power, and the flow a target needs; common practice holds at 28 in of water. */
  private static Optional<String> power(ReducedTest own, Shown shown) {
    Job job = shown.job();
    Words words = shown.words();
    OptionalDouble peak = own.peakM3s();
    if (own.test().setUp().direction() != Direction.INTAKE || peak.isEmpty()) {
      return Optional.empty();
    }
    int ports = job.engine().cylinders() * job.engine().intakesPerCylinder();
    String said =
        words.text(
            "compare.power",
            "flow",
            shown.units().flowText(peak.getAsDouble()),
            "power",
            UnitSystem.fixed(
                AirDemand.powerForFlow(
                    AirDemand.at28(peak.getAsDouble(), own.depressionPa()), ports),
                0));
    if (job.engine().targetHp().isPresent()) {
      double target = job.engine().targetHp().getAsDouble();
      said +=
          "; "
              + words.text(
                  "compare.power.target",
                  "power",
                  UnitSystem.fixed(target, 0),
                  "flow",
                  shown
                      .units()
                      .flowText(
                          AirDemand.flowForPower(target, ports)
                              / AirDemand.at28(1, own.depressionPa())));
    }
    return Optional.of(said + " (" + words.text("basis.common_practice") + ").");
  }

  private static Optional<String> ratio(Shown shown, ReducedTest own) {
    if (own.test().setUp().direction() != Direction.EXHAUST) {
      return Optional.empty();
    }
    Optional<ReducedTest> intake =
        shown.job().bench().last(Direction.INTAKE).map(shown.book()::reduced);
    String at =
        intake
            .map(
                i ->
                    own.lifts().stream()
                        .filter(l -> own.ratioTo(i, l.liftMm()).isPresent())
                        .map(
                            l ->
                                shown.units().shortLength(l.liftMm())
                                    + ": "
                                    + UnitSystem.fixed(
                                        100 * own.ratioTo(i, l.liftMm()).getAsDouble(), 0)
                                    + " %")
                        .collect(Collectors.joining(", ")))
            .orElse("");
    return at.isEmpty()
        ? Optional.empty()
        : Optional.of(
            shown
                .words()
                .text(
                    "compare.ratio",
                    "intake",
                    intake.orElseThrow().test().name(),
                    "unit",
                    shown.units().length().symbol(),
                    "at",
                    at));
  }

  private static String score(Shown shown) {
    Words words = shown.words();
    Score score = shown.confidence().score();
    String model =
        words.text(
            "compare.model",
            "state",
            Spoken.calibrated(shown.confidence(), words) + fit(shown.confidence(), words));
    List<String> parts = new ArrayList<>();
    for (Band band : Band.values()) {
      Score.Figures f = score.bands().get(band);
      if (f != null) {
        parts.add(
            words.name(band)
                + " "
                + UnitSystem.signed(100 * f.bias(), 1)
                + " \u00b1 "
                + UnitSystem.fixed(100 * f.spread(), 1)
                + " %");
      }
    }
    return parts.isEmpty()
        ? model
        : model + " " + words.text("compare.score", "bands", String.join(", ", parts));
  }

  /** What the calibration gave, with its standard errors. */
  private static String fit(PredictionConfidence confidence, Words words) {
    return confidence
        .fit()
        .map(ModelFit::fit)
        .map(
            f ->
                "; "
                    + words.text(
                        f.bound() ? "compare.fit.bound" : "compare.fit",
                        "port",
                        UnitSystem.fixed(f.calibration().portLoss(), 2),
                        "portError",
                        UnitSystem.fixed(f.portLossError(), 2),
                        "factor",
                        UnitSystem.fixed(f.calibration().factor(), 3),
                        "factorError",
                        UnitSystem.fixed(f.factorError(), 3)))
        .orElse("");
  }
}
