package finebore.desk.controls;

import finebore.desk.session.Messages;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;

/** The place where a station says what was refused or understood; it keeps its height. */
public final class MessageLine extends Label {

  private static final double LINES = 2.8;

  /** Least width for words, pixels. */
  private static final double WORDS = 300;

  public MessageLine(String id, Messages messages) {
    setId(id);
    setWrapText(true);
    setAlignment(Pos.TOP_LEFT);
    setMaxWidth(Double.MAX_VALUE);
    getStyleClass().addAll("message-line", "muted");
    Tooltip whole = new Tooltip();
    messages
        .said()
        .addListener(
            (o, was, is) -> {
              setText(is.text());
              whole.setText(is.text());
              setTooltip(is.text().isEmpty() ? null : whole);
              Styles.state(this, is.kind() == Messages.Kind.REFUSED ? "fault" : "muted");
            });
    fontProperty()
        .addListener(
            (o, was, is) -> {
              setMinHeight(LINES * is.getSize());
              setPrefHeight(LINES * is.getSize());
              setMaxHeight(LINES * is.getSize());
            });
  }

  /** This line where otherwise stands what is always so; neither moves what lies about them. */
  public StackPane inPlaceOf(Node usual) {
    usual.visibleProperty().bind(textProperty().isEmpty());
    StackPane place = new StackPane(usual, this);
    place.setAlignment(Pos.TOP_LEFT);
    return place;
  }

  /** This line on the free end of a bar of tools; it stays where the tools need a second row. */
  public HBox beside(ToolRow tools) {
    setMinWidth(WORDS);
    setPrefWidth(WORDS);
    HBox.setHgrow(this, Priority.ALWAYS);
    HBox bar = new HBox(12, tools, this);
    bar.setAlignment(Pos.CENTER_LEFT);
    bar.getStyleClass().add("top-bar");
    return bar;
  }
}
