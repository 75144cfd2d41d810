package finebore.desk.cut;

import finebore.code.Term;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.finding.Severity;
import finebore.machine.PlungeEffect;
import finebore.machine.RunStep;
import finebore.practice.Finding;
import finebore.units.Dimension;
import finebore.units.Units;
import finebore.words.Words;
import finebore.work.StepKind;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.beans.binding.Bindings;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What a step is set to: what is open about it, its first figures large, the rest in lines. */
final class StepFigures {

  /** So many figures of a step stand large; the rest is there to be looked up. */
  private static final int LARGE = 3;

  private final JobSession session;
  private final WorkSession work;
  private final FlowPane large = new FlowPane(26, 6);
  private final VBox small = new VBox(2);
  private final VBox findings = new VBox(2);

  StepFigures(JobSession session, WorkSession work) {
    this.session = session;
    this.work = work;
    large.setId("cut-large");
    small.setId("cut-small");
    findings.setId("cut-findings");
    findings.managedProperty().bind(Bindings.isNotEmpty(findings.getChildren()));
  }

  Node findings() {
    return findings;
  }

  Node large() {
    return large;
  }

  Node small() {
    return small;
  }

  void clear() {
    large.getChildren().clear();
    small.getChildren().clear();
    findings.getChildren().clear();
  }

  void show(RunStep step) {
    Words words = session.words();
    large.getChildren().clear();
    small.getChildren().clear();
    Set<RunStep.Line> first = first(step);
    for (RunStep.Line line : step.lines()) {
      if (first.contains(line)) {
        large.getChildren().add(largeLine(words.say(line.name()), words.term(line.value())));
      } else {
        small.getChildren().add(smallLine(words.say(line.name()), words.term(line.value())));
      }
    }
    findings
        .getChildren()
        .setAll(
            work.sheet().findings(step, session.practice()).stream().map(this::finding).toList());
    effects(step, words);
    step.check()
        .ifPresent(c -> small.getChildren().add(smallLine(words.text("cut.check"), words.say(c))));
  }

  /** What is set and how far it goes stands large; where a step has neither, its first figures. */
  private static Set<RunStep.Line> first(RunStep step) {
    List<RunStep.Line> figures =
        step.lines().stream()
            .filter(l -> l.value() instanceof Term.Figure || l.value() instanceof Term.Quote)
            .toList();
    List<RunStep.Line> set =
        figures.stream()
            .filter(
                l ->
                    l.name().code().startsWith("run.")
                        || l.name().code().startsWith("sheet.depth."))
            .toList();
    List<RunStep.Line> first = set.size() > 1 ? set : figures;
    return new LinkedHashSet<>(first.subList(0, Math.min(LARGE, first.size())));
  }

  /** What the plan leaves open here stands before anything is set. */
  private Node finding(Finding finding) {
    Words words = session.words();
    Label label =
        new Label(
            (finding.severity() == Severity.FAULT ? "✗ " : "! ")
                + words.label(finding.severity())
                + ": "
                + words.say(finding.what()));
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().addAll(finding.severity().key(), "cut-line");
    return label;
  }

  private static VBox largeLine(String name, String value) {
    Label what = new Label(name);
    what.getStyleClass().add("cut-name");
    Label figure = new Label(value);
    figure.getStyleClass().addAll("figure", "cut-figure");
    figure.setMinWidth(Region.USE_PREF_SIZE);
    return new VBox(0, what, figure);
  }

  private static HBox smallLine(String name, String value) {
    Label what = new Label(name);
    what.getStyleClass().addAll("muted", "cut-line");
    what.setMinWidth(210);
    what.setMaxWidth(210);
    what.setWrapText(true);
    Label figure = new Label(value);
    figure.getStyleClass().add("cut-line");
    figure.setWrapText(true);
    figure.setMinHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(figure, Priority.ALWAYS);
    return new HBox(8, what, figure);
  }

  /** What a hundredth more of plunge does, where it is a form that is plunged. */
  private void effects(RunStep step, Words words) {
    if (step.kind() != StepKind.FORM) {
      return;
    }
    double by = session.job().units() == Units.MM ? 0.01 : 0.0127;
    work.sheet()
        .outcome(step.seat())
        .flatMap(seat -> PlungeEffect.of(session.job(), seat, step.operation().orElseThrow(), by))
        .ifPresent(
            e ->
                small
                    .getChildren()
                    .add(
                        smallLine(
                            words.text("cut.plunge", "by", words.units().lengthText(e.plungeMm())),
                            words.text(
                                "cut.plunge.does",
                                "valve",
                                words.figure(Dimension.FINE_LENGTH, e.valveMm()),
                                "diameter",
                                words.figure(Dimension.FINE_LENGTH, e.diameterMm()),
                                "width",
                                words.figure(Dimension.FINE_LENGTH, e.widthMm())))));
  }
}
