package finebore.desk.plan;

import finebore.desk.controls.Tabs;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What stands below the section: findings, the variants side by side, or suggestions. */
final class BelowPane extends VBox {

  private static final double FINDINGS_PX = 174;
  private static final double WIDE_PX = 252;

  /** No more than this share of the window. */
  private static final double SHARE = 0.315;

  private final JobSession session;
  private final FindingsPane findings;
  private final VariantsPane variants;
  private final SuggestPane suggest;
  private final ToggleButton findingsTab = new ToggleButton();
  private final ToggleButton variantsTab = new ToggleButton();
  private final ToggleButton suggestTab = new ToggleButton();

  BelowPane(JobSession session, Supplier<Palette> palette) {
    this.session = session;
    findings = new FindingsPane(session);
    variants = new VariantsPane(session, palette);
    suggest = new SuggestPane(session);
    getStyleClass().add("findings-box");
    ToggleGroup group = new ToggleGroup();
    for (ToggleButton tab : new ToggleButton[] {findingsTab, variantsTab, suggestTab}) {
      tab.setToggleGroup(group);
    }
    findingsTab.setId("below-findings");
    variantsTab.setId("below-variants");
    suggestTab.setId("below-suggest");
    suggestTab.setText(session.say("below.suggest"));
    findingsTab.setTooltip(new Tooltip(session.say("below.findings.tip")));
    variantsTab.setTooltip(new Tooltip(session.say("below.variants.tip")));
    suggestTab.setTooltip(new Tooltip(session.say("below.suggest.tip")));
    findingsTab.setSelected(true);
    Tabs.keepOne(group, tab -> show());
    HBox tabs = new HBox(2, findingsTab, variantsTab, suggestTab);
    tabs.getStyleClass().add("tabs");
    tabs.setStyle("-fx-padding: 4 10 2 10;");
    getChildren().addAll(tabs, findings);
    setMinHeight(110);
    VBox.setVgrow(findings, Priority.ALWAYS);
    VBox.setVgrow(variants, Priority.ALWAYS);
    VBox.setVgrow(suggest, Priority.ALWAYS);
    session.work().addListener((o, was, is) -> follow(is));
    sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                is.heightProperty().addListener((height, before, now) -> fit());
                fit();
              }
            });
    show();
  }

  private void show() {
    Node wanted =
        variantsTab.isSelected() ? variants : suggestTab.isSelected() ? suggest : findings;
    if (getChildren().get(1) != wanted) {
      getChildren().set(1, wanted);
    }
    fit();
    follow(session.work().get());
  }

  /** Leaves the section its room in a small window. */
  private void fit() {
    boolean small = getChildren().get(1) == findings;
    double station = getScene() == null ? Double.POSITIVE_INFINITY : getScene().getHeight();
    setPrefHeight(Math.min(small ? FINDINGS_PX : WIDE_PX, SHARE * station));
  }

  private void follow(SeatView work) {
    findingsTab.setText(session.say("below.findings", "count", work.findings().size()));
    variantsTab.setText(session.say("below.variants", "count", work.group().plans().size()));
    if (variantsTab.isSelected()) {
      variants.show(work);
    }
    suggest.show(work);
  }

  /** Shows a part by its name; a search begins at once. */
  void show(String view) {
    if (view.equals("variants")) {
      variantsTab.setSelected(true);
    } else if (view.equals("suggest")) {
      suggestTab.setSelected(true);
      suggest.start();
    }
  }
}
