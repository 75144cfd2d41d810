package finebore.desk.plan;

import finebore.calibration.PlannedRatios;
import finebore.calibration.RunnerTests;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.flow.FlowCurve;
import finebore.flow.InSeries;
import finebore.flow.InSeries.Part;
import finebore.flow.InSeries.Passage;
import finebore.job.Job;
import finebore.planning.PortRatio;
import finebore.planning.SeatInSeries;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.TextAlignment;

/**
 * The port looked at with what stands before or behind it: what all of it flows, which part holds
 * it back, and what the valve still pays; beside it what the exhausts flow against the intakes.
 */
final class SeriesPane extends VBox {

  private final GridPane table = new GridPane();
  private final Label said = new Label();

  SeriesPane(JobSession session) {
    super(4);
    setId("series");
    setStyle("-fx-padding: 2 10 6 10;");
    said.setId("series-text");
    said.setWrapText(true);
    said.setMinHeight(Region.USE_PREF_SIZE);
    table.setHgap(18);
    table.setVgap(1);
    table.setId("series-table");
    VBox content = new VBox(4, said, table);
    ScrollPane scroll = new ScrollPane(content);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
    getChildren().add(scroll);
  }

  void show(SeatView work) {
    table.getChildren().clear();
    Words words = work.words();
    Optional<FlowCurve> curve = work.planned().curve();
    if (curve.isEmpty()) {
      said.setText(words.text("plan.noFlow"));
      return;
    }
    Job job = work.job();
    SeatInSeries series = SeatInSeries.of(job, work.place(), curve.get());
    List<Passage> others = SeatInSeries.measured(job, work.place());
    List<PortRatio> ratios = PlannedRatios.of(work.book(), work.plan());
    heads(words, others);
    for (int k = 0; k < series.lifts().size(); k++) {
      row(k + 1, words, series.lifts().get(k), others, ratios.isEmpty() ? null : ratios.get(k));
    }
    said.setText(String.join(" ", said(work, series, others)));
  }

  private void heads(Words words, List<Passage> others) {
    List<String> heads = new ArrayList<>();
    heads.add(words.text("series.lift", "unit", words.units().length().symbol()));
    heads.add(words.text("series.flow", "part", words.label(Part.PORT), "unit", unit(words)));
    if (!others.isEmpty()) {
      others.forEach(
          p ->
              heads.add(
                  words.text("series.flow", "part", words.label(p.part()), "unit", unit(words))));
      heads.add(words.text("series.together", "unit", unit(words)));
      heads.add(words.text("series.pays"));
      heads.add(words.text("series.narrowest"));
    }
    heads.add(words.text("series.ratio"));
    for (int k = 0; k < heads.size(); k++) {
      Label head = new Label(heads.get(k));
      head.getStyleClass().addAll("small", "muted");
      head.setMinWidth(Region.USE_PREF_SIZE);
      head.setTextAlignment(TextAlignment.RIGHT);
      GridPane.setHalignment(head, HPos.RIGHT);
      table.add(head, k, 0);
    }
  }

  private static String unit(Words words) {
    return words.units().flow().symbol();
  }

  private void row(
      int row, Words words, SeatInSeries.AtLift at, List<Passage> others, PortRatio ratio) {
    UnitSystem units = words.units();
    InSeries series = at.series();
    List<String> cells = new ArrayList<>();
    cells.add(units.lengthNumber(at.liftMm()));
    cells.add(units.flowNumber(series.passages().getFirst().aloneM3s()));
    if (!others.isEmpty()) {
      others.forEach(p -> cells.add(units.flowNumber(p.aloneM3s())));
      cells.add(units.flowNumber(series.togetherM3s()));
      cells.add(
          words.text("series.paysShare", "share", UnitSystem.fixed(series.share(Part.PORT), 2)));
      cells.add(
          words.text(
              "series.holds",
              "part",
              words.label(series.narrowest()),
              "share",
              percent(series.share(series.narrowest()))));
    }
    cells.add(ratio == null ? "\u2013" : percent(ratio.share()) + " %");
    for (int k = 0; k < cells.size(); k++) {
      Label cell = new Label(cells.get(k));
      cell.getStyleClass().add("figure");
      cell.setMinWidth(Region.USE_PREF_SIZE);
      cell.setId("series-" + row + "-" + k);
      GridPane.setHalignment(cell, HPos.RIGHT);
      table.add(cell, k, row);
    }
  }

  private static String percent(double share) {
    return UnitSystem.fixed(100 * share, 0);
  }

  private static List<String> said(SeatView work, SeatInSeries series, List<Passage> others) {
    Words words = work.words();
    List<String> lines = new ArrayList<>();
    if (others.isEmpty()) {
      lines.add(words.text("series.none", "seat", work.place().label()));
    } else {
      double lift = work.group().cam().maxLiftMm();
      SeatInSeries.AtLift at =
          series.lifts().stream()
              .filter(l -> l.liftMm() <= lift)
              .reduce((a, b) -> b)
              .orElse(series.lifts().getFirst());
      lines.add(
          words.text(
              "series.said",
              "seat",
              work.place().label(),
              "lift",
              words.units().lengthText(at.liftMm()),
              "together",
              words.units().flowText(at.series().togetherM3s()),
              "part",
              words.label(at.series().narrowest()),
              "share",
              percent(at.series().share(at.series().narrowest())),
              "pays",
              UnitSystem.fixed(at.series().share(Part.PORT), 2)));
    }
    tested(work).ifPresent(lines::add);
    lines.add(
        words.text(
            "series.schools",
            "from",
            percent(PortRatio.QUOTED_FROM),
            "to",
            percent(PortRatio.QUOTED_TO)));
    return lines;
  }

  /** What tests with and without the part say, at the highest lift both have. */
  private static Optional<String> tested(SeatView work) {
    Words words = work.words();
    return RunnerTests.of(work.book(), work.place())
        .map(
            tests ->
                words.text(
                    tests.partM3s().isPresent() ? "series.tested" : "series.testedGives",
                    "with",
                    tests.with().name(),
                    "without",
                    tests.without().name(),
                    "lift",
                    words.units().lengthText(tests.liftMm()),
                    "together",
                    words.units().flowText(tests.togetherM3s()),
                    "alone",
                    words.units().flowText(tests.aloneM3s()),
                    "part",
                    tests.partM3s().isPresent()
                        ? words.units().flowText(tests.partM3s().getAsDouble())
                        : ""));
  }
}
