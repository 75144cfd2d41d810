package finebore.desk.prove;

import finebore.bench.BenchRange;
import finebore.bench.Comparison;
import finebore.bench.Comparison.Mean;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.ReducedTest;
import finebore.bench.SuspectReading;
import finebore.desk.session.ProveState.Shown;
import finebore.flow.Bands.Band;
import finebore.flow.Direction;
import finebore.formats.CompareReport;
import finebore.job.Job;
import finebore.study.AirDemand;
import finebore.study.ModelFit;
import finebore.study.PredictionConfidence;
import finebore.study.Score;
import finebore.study.TestedSeat;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The comparison in words: what differs in the set-ups first, then what came of it. */
final class ComparePane extends ScrollPane {

  private final VBox lines = new VBox(3);

  ComparePane() {
    setId("compare-pane");
    setFitToWidth(true);
    lines.setStyle("-fx-padding: 6 10 6 10;");
    setContent(lines);
  }

  void show(Shown shown) {
    lines.getChildren().clear();
    if (shown.test().isEmpty()) {
      say("No test yet. \"New test\" begins one, set up like the last.", "muted");
      return;
    }
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

  private static String name(ReducedTest test, Job job) {
    return job.bench().numberOf(test.test()) + " " + test.test().name();
  }

  private void compare(Comparison c, Shown shown) {
    Job job = shown.job();
    say(name(c.test(), job) + "  against  " + name(c.reference(), job), "title")
        .setId("compare-title");
    for (var difference : c.differences()) {
      say(
          (difference.spoils() ? "✗ " : "· ") + difference.words(job.units()),
          difference.spoils() ? "fault" : "muted");
    }
    if (!c.isRanked()) {
      say(
              "Not ranked: these two were not set up alike. The figures stand, the verdict does not.",
              "fault")
          .setId("not-ranked");
    }
    FlowPane means = new FlowPane(14, 2);
    for (Band band : Band.values()) {
      if (c.bands().containsKey(band)) {
        means.getChildren().add(mean(band.name().toLowerCase(Locale.ROOT), c.bands().get(band)));
      }
    }
    c.whole().ifPresent(m -> means.getChildren().add(mean("all", m)));
    if (c.camShare().isPresent()) {
      Label cam = new Label("cam " + UnitSystem.signed(100 * c.camShare().getAsDouble(), 1) + " %");
      cam.getStyleClass().add("figure");
      means.getChildren().add(cam);
    }
    lines.getChildren().add(means);
    CompareReport.limits(c).forEach(l -> say("· " + l, "muted"));
  }

  private static Label mean(String name, Mean mean) {
    Label label =
        new Label(
            name
                + " "
                + ProveWords.share(mean)
                + " (±"
                + UnitSystem.fixed(100 * mean.limitShare(), 1)
                + ")");
    label.setId("mean-" + name);
    label.getStyleClass().addAll("figure", ProveWords.style(mean.verdict()));
    return label;
  }

  private void alone(Shown shown) {
    FlowTest test = shown.test().orElseThrow();
    say(shown.job().bench().numberOf(test) + " " + test.name() + ", held against nothing", "title");
  }

  private void about(Shown shown) {
    Job job = shown.job();
    UnitSystem units = job.units();
    FlowTest test = shown.test().orElseThrow();
    ReducedTest own = shown.book().reduced(test);
    for (SuspectReading doubt : shown.doubts()) {
      say("? " + shown.book().words(doubt), "caution");
    }
    own.backsUpFromMm(shown.book().noise(test))
        .ifPresent(mm -> say("! Backs up from " + units.lengthText(mm) + ".", "caution"));
    rechecks(shown).forEach(w -> say("! " + w, "caution"));
    means(own, job).ifPresent(w -> say("· " + w, "muted"));
    power(own, job).ifPresent(w -> say("· " + w, "muted"));
    ratio(shown, own).ifPresent(w -> say("· " + w, "muted"));
    score(shown).ifPresent(w -> say("· " + w, "muted"));
    String seen =
        test.lifts().stream()
            .filter(l -> !l.remarks().isBlank())
            .map((LiftReadings l) -> units.lengthText(l.liftMm()) + ": " + l.remarks())
            .collect(Collectors.joining("; "));
    if (!seen.isEmpty()) {
      say("· Seen at " + seen, "muted");
    }
    if (!test.remarks().isBlank()) {
      say("· " + test.remarks(), "muted");
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
        range.recheck(test.date(), test.air()).ifPresent(words::add);
      }
    }
    return words;
  }

  /** Mean flow of each band, of all lifts and over the cam. */
  private static Optional<String> means(ReducedTest own, Job job) {
    List<String> parts = new ArrayList<>();
    for (Band band : Band.values()) {
      own.meanM3s(band, job.test().bands())
          .ifPresent(
              m ->
                  parts.add(
                      band.name().toLowerCase(Locale.ROOT) + " " + job.units().flowNumber(m)));
    }
    own.meanM3s().ifPresent(m -> parts.add("all " + job.units().flowNumber(m)));
    own.camMeanM3s(job.group(TestedSeat.port(own.test().setUp().direction())).cam())
        .ifPresent(m -> parts.add("over the cam " + job.units().flowNumber(m)));
    return parts.isEmpty()
        ? Optional.empty()
        : Optional.of(
            "Mean flow: " + String.join(", ", parts) + " " + job.units().flow().symbol() + ".");
  }

  /** Flow to power, and the flow a target needs; common practice holds at 28 in of water. */
  private static Optional<String> power(ReducedTest own, Job job) {
    OptionalDouble peak = own.peakM3s();
    if (own.test().setUp().direction() != Direction.INTAKE || peak.isEmpty()) {
      return Optional.empty();
    }
    int ports = job.engine().cylinders() * job.engine().intakesPerCylinder();
    String words =
        "Peak "
            + job.units().flowText(peak.getAsDouble())
            + " is good for about "
            + UnitSystem.fixed(
                AirDemand.powerForFlow(
                    AirDemand.at28(peak.getAsDouble(), own.depressionPa()), ports),
                0)
            + " hp";
    if (job.engine().targetHp().isPresent()) {
      double target = job.engine().targetHp().getAsDouble();
      words +=
          "; "
              + UnitSystem.fixed(target, 0)
              + " hp needs "
              + job.units()
                  .flowText(
                      AirDemand.flowForPower(target, ports)
                          / AirDemand.at28(1, own.depressionPa()));
    }
    return Optional.of(words + " (common practice).");
  }

  private static Optional<String> ratio(Shown shown, ReducedTest own) {
    if (own.test().setUp().direction() != Direction.EXHAUST) {
      return Optional.empty();
    }
    Optional<ReducedTest> intake =
        shown.job().bench().last(Direction.INTAKE).map(shown.book()::reduced);
    String words =
        intake
            .map(
                i ->
                    own.lifts().stream()
                        .filter(l -> own.ratioTo(i, l.liftMm()).isPresent())
                        .map(
                            l ->
                                shown.job().units().shortLength(l.liftMm())
                                    + ": "
                                    + UnitSystem.fixed(
                                        100 * own.ratioTo(i, l.liftMm()).getAsDouble(), 0)
                                    + " %")
                        .collect(Collectors.joining(", ")))
            .orElse("");
    return words.isEmpty()
        ? Optional.empty()
        : Optional.of("Exhaust of intake (" + intake.orElseThrow().test().name() + ") at " + words);
  }

  private static Optional<String> score(Shown shown) {
    Score score = shown.outlook().score();
    String model = "The model is " + shown.outlook().words() + fit(shown.outlook()) + ".";
    if (score.misses().isEmpty()) {
      return Optional.of(model);
    }
    List<String> parts = new ArrayList<>();
    for (Band band : Band.values()) {
      Score.Figures f = score.bands().get(band);
      if (f != null) {
        parts.add(
            band.name().toLowerCase(Locale.ROOT)
                + " "
                + UnitSystem.signed(100 * f.bias(), 1)
                + " ± "
                + UnitSystem.fixed(100 * f.spread(), 1)
                + " %");
      }
    }
    return Optional.of(
        model
            + " The bench came out against what was predicted: "
            + String.join(", ", parts)
            + ".");
  }

  /** What the calibration gave, with its standard errors. */
  private static String fit(PredictionConfidence outlook) {
    return outlook
        .fit()
        .map(ModelFit::fit)
        .map(
            f ->
                ": port loss "
                    + UnitSystem.fixed(f.calibration().portLoss(), 2)
                    + (f.bound()
                        ? ", held at none"
                        : " ± " + UnitSystem.fixed(f.portLossError(), 2))
                    + ", factor "
                    + UnitSystem.fixed(f.calibration().factor(), 3)
                    + " ± "
                    + UnitSystem.fixed(f.factorError(), 3))
        .orElse("");
  }
}
