package finebore.desk.plan;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.head.SkimEffect;
import finebore.planning.SeatClearance;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What the valve looked at keeps from the piston and from the other valves over the crank. */
final class ClearancePane extends HBox {

  private final ClearanceChart chart;
  private final VBox lines = new VBox(3);

  ClearancePane(JobSession session, Supplier<Palette> palette, Supplier<Double> textScale) {
    super(10);
    setId("clearance");
    setStyle("-fx-padding: 2 10 4 10;");
    chart = new ClearanceChart(session.say("clearance.name"), palette, textScale);
    HBox.setHgrow(chart, Priority.ALWAYS);
    ScrollPane scroll = new ScrollPane(lines);
    scroll.setFitToWidth(true);
    scroll.prefWidthProperty().bind(widthProperty().multiply(0.46));
    scroll.setMinWidth(240);
    getChildren().addAll(chart, scroll);
  }

  void show(SeatView work) {
    List<SeatClearance> all = SeatClearance.of(work.plan().cut());
    chart.setVisible(!all.isEmpty());
    chart.setManaged(!all.isEmpty());
    chart.show(work, all);
    lines.getChildren().clear();
    for (SeatClearance clearance : all) {
      say("clearance-" + (clearance.other().isEmpty() ? "piston" : "valve"), of(work, clearance));
    }
    if (all.stream().noneMatch(c -> c.other().isEmpty())) {
      say("clearance-missing", work.words().text("clearance.missing"));
    }
    if (all.stream().allMatch(c -> c.other().isEmpty())) {
      say("clearance-no-valve", work.words().text("clearance.noValve"));
    }
    SkimEffect.of(work.plan().outcome())
        .ifPresent(skim -> say("clearance-skim", String.join(" ", skim(work.words(), skim))));
    Label caution = say("clearance-caution", work.words().text("clearance.caution"));
    caution.getStyleClass().add("caution");
  }

  private Label say(String id, String words) {
    Label label = new Label(words);
    label.setId(id);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    lines.getChildren().add(label);
    return label;
  }

  private String of(SeatView work, SeatClearance clearance) {
    Words words = work.words();
    boolean piston = clearance.other().isEmpty();
    List<String> parts = new ArrayList<>();
    parts.add(
        words.text(
            piston ? "clearance.piston" : "clearance.valve",
            "seat",
            work.place().label(),
            "other",
            clearance.other().orElse(""),
            "least",
            length(words, clearance.decidingMm()),
            "degree",
            degree(clearance.planned().least().crankDeg()),
            "basis",
            words.text(
                clearance.measuredMm().isPresent()
                    ? "clearance.measured"
                    : "clearance.estimated")));
    parts.add(
        words.text(
            "clearance.found",
            "found",
            length(words, clearance.measuredMm().orElse(clearance.found().least().mm())),
            "estimate",
            length(words, clearance.found().least().mm())));
    Optional<Range> wanted =
        work.practice().wanted(work.port(), piston ? ReadingKind.PISTON : ReadingKind.VALVES);
    wanted
        .filter(r -> r.min().isPresent())
        .ifPresent(
            r ->
                parts.add(
                    words.text(
                        "clearance.wanted", "wanted", length(words, r.min().getAsDouble()))));
    parts.add(
        words.text(
            "clearance.steps",
            "step",
            length(words, SeatClearance.STEP_MM),
            "deeper",
            signed(words, clearance.deeperMm()),
            "skim",
            signed(words, clearance.skimMm())));
    return String.join(" ", parts);
  }

  /** What the skim does that brings the compression ratio back. */
  private static List<String> skim(Words words, SkimEffect skim) {
    List<String> parts = new ArrayList<>();
    parts.add(
        words.text(
            "clearance.skim",
            "ratio",
            UnitSystem.fixed(skim.ratioFound(), 2),
            "planned",
            UnitSystem.fixed(skim.ratioPlanned(), 2),
            "skim",
            length(words, skim.skimMm()),
            "depth",
            length(words, skim.seatDepthMm())));
    skim.thicknessLeftMm()
        .ifPresent(
            mm ->
                parts.add(
                    words.text(
                        mm < 0 ? "clearance.skim.tooMuch" : "clearance.skim.leaves",
                        "left",
                        length(words, Math.abs(mm)))));
    if (skim.intakeFaceMm().isPresent()) {
      parts.add(
          words.text(
              "clearance.skim.bank",
              "face",
              length(words, skim.intakeFaceMm().getAsDouble()),
              "rails",
              length(words, skim.endRailMm().orElseThrow())));
    }
    return parts;
  }

  private static String degree(double deg) {
    return UnitSystem.fixed(Math.abs(deg), 0);
  }

  private static String length(Words words, double mm) {
    return words.figure(Dimension.LENGTH, mm);
  }

  private static String signed(Words words, double mm) {
    String sign = Math.abs(mm) < 0.005 ? "" : mm < 0 ? "\u2212" : "+";
    return sign + words.figure(Dimension.LENGTH, Math.abs(mm));
  }
}
