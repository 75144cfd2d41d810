package finebore.desk.plan;

import finebore.desk.controls.Tabs;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * What stands below the section: findings, the variants side by side, suggestions, clearances over
 * the crank, or the port with what stands in series with it.
 */
final class BelowPane extends VBox {

  private static final double FINDINGS_PX = 174;
  private static final double WIDE_PX = 252;

  /** No more than this share of the window. */
  private static final double SHARE = 0.315;

  /** What can stand there, each with the name it is asked for by. */
  private enum Part {
    FINDINGS,
    VARIANTS,
    SUGGEST,
    CLEARANCE,
    SERIES;

    String id() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private final JobSession session;
  private final AirOverlay air;
  private final VariantsPane variants;
  private final SuggestPane suggest;
  private final ClearancePane clearance;
  private final SeriesPane series;
  private final Map<Part, Region> panes = new EnumMap<>(Part.class);
  private final Map<Part, ToggleButton> tabs = new EnumMap<>(Part.class);

  BelowPane(
      JobSession session, AirOverlay air, Supplier<Palette> palette, Supplier<Double> textScale) {
    this.session = session;
    this.air = air;
    variants = new VariantsPane(session, air, palette);
    suggest = new SuggestPane(session);
    clearance = new ClearancePane(session, palette, textScale);
    series = new SeriesPane(session);
    panes.put(Part.FINDINGS, new FindingsPane(session));
    // In a small window the cards are higher than their place.
    ScrollPane cards = new ScrollPane(variants);
    cards.setFitToWidth(true);
    cards.setFocusTraversable(false);
    panes.put(Part.VARIANTS, cards);
    panes.put(Part.SUGGEST, suggest);
    panes.put(Part.CLEARANCE, clearance);
    panes.put(Part.SERIES, series);
    getStyleClass().add("findings-box");
    ToggleGroup group = new ToggleGroup();
    HBox bar = new HBox(2);
    for (Part part : Part.values()) {
      ToggleButton tab = new ToggleButton(session.say("below." + part.id(), "count", 0));
      tab.setToggleGroup(group);
      tab.setId("below-" + part.id());
      tab.setTooltip(new Tooltip(session.say("below." + part.id() + ".tip")));
      tabs.put(part, tab);
      bar.getChildren().add(tab);
      VBox.setVgrow(panes.get(part), Priority.ALWAYS);
    }
    tabs.get(Part.FINDINGS).setSelected(true);
    Tabs.keepOne(group, tab -> show());
    bar.getStyleClass().add("tabs");
    bar.setStyle("-fx-padding: 4 10 2 10;");
    getChildren().addAll(bar, panes.get(Part.FINDINGS));
    setMinHeight(110);
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

  private Part shown() {
    return tabs.entrySet().stream()
        .filter(e -> e.getValue().isSelected())
        .map(Map.Entry::getKey)
        .findFirst()
        .orElse(Part.FINDINGS);
  }

  private void show() {
    Node wanted = panes.get(shown());
    if (getChildren().get(1) != wanted) {
      getChildren().set(1, wanted);
    }
    fit();
    follow(session.work().get());
  }

  /** Leaves the section its room in a small window. */
  private void fit() {
    double station = getScene() == null ? Double.POSITIVE_INFINITY : getScene().getHeight();
    setPrefHeight(Math.min(shown() == Part.FINDINGS ? FINDINGS_PX : WIDE_PX, SHARE * station));
  }

  private void follow(SeatView work) {
    tabs.get(Part.FINDINGS).setText(session.say("below.findings", "count", work.findings().size()));
    tabs.get(Part.VARIANTS)
        .setText(session.say("below.variants", "count", work.group().plans().size()));
    if (shown() != Part.VARIANTS) {
      air.alsoAsk(List.of());
    }
    switch (shown()) {
      case VARIANTS -> variants.show(work);
      case CLEARANCE -> clearance.show(work);
      case SERIES -> series.show(work);
      case FINDINGS, SUGGEST -> {
        // These follow by themselves, or show only what was looked for.
      }
    }
    suggest.show(work);
  }

  /** Shows a part by its name; a search begins at once. */
  void show(String view) {
    for (Part part : Part.values()) {
      if (part.id().equals(view)) {
        tabs.get(part).setSelected(true);
      }
    }
    if (view.equals(Part.SUGGEST.id())) {
      suggest.start();
    }
  }
}
