package finebore.desk.plan;

import finebore.desk.controls.NumberField;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.RadioButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The stack of cuts, chamber at the top: angle, width, order, which one seals. */
final class CutStackEditor extends VBox {

  private final JobSession session;
  private final List<Row> rows = new ArrayList<>();
  private final Label heading = new Label();
  private final VBox list = new VBox(4);
  private final ToggleGroup sealing = new ToggleGroup();

  CutStackEditor(JobSession session) {
    super(4);
    this.session = session;
    setId("cut-stack");
    Button add = new Button("Add a cut");
    add.setId("add-cut");
    add.setTooltip(new Tooltip("Adds a cut below the last one, 15° steeper, 1 mm wide"));
    add.setOnAction(e -> add());
    heading.getStyleClass().add("heading");
    getChildren().addAll(heading, list, add);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private Seat seat() {
    return session.work().get().pairing().seat();
  }

  private void edit(String gesture, UnaryOperator<Seat> change) {
    session.editPairing(gesture, p -> p.withSeat(change.apply(p.seat())));
  }

  private void add() {
    edit(
        "",
        seat -> {
          double angle = Math.min(90, seat.cuts().getLast().angleDeg() + 15);
          return seat.withCutInserted(seat.cuts().size(), new Cut(angle, 1));
        });
    rows.getLast().width.textField().requestFocus();
  }

  private void show() {
    Seat seat = seat();
    heading.setText("CUTS, chamber to port: angle °, width " + session.units().length().symbol());
    while (rows.size() < seat.cuts().size()) {
      rows.add(new Row(rows.size()));
    }
    while (rows.size() > seat.cuts().size()) {
      rows.removeLast();
    }
    if (!list.getChildren().equals(rows)) {
      list.getChildren().setAll(rows);
    }
    for (int k = 0; k < rows.size(); k++) {
      rows.get(k).show(seat, session.work().get().shownOf(k));
    }
  }

  private final class Row extends VBox {
    private final int index;
    private final RadioButton seals = new RadioButton();
    private final NumberField angle;
    private final NumberField width;
    private final Button up;
    private final Button down;
    private final Button remove;
    private final Label remark = new Label();

    Row(int index) {
      this.index = index;
      String name = "Cut " + (index + 1);
      angle =
          new NumberField(
              name + " angle", Kind.ANGLE, session::units, this::takeAngle, session::endGesture);
      width =
          new NumberField(
              name + " width", Kind.LENGTH, session::units, this::takeWidth, session::endGesture);
      angle.withoutUnit().textField().setPrefColumnCount(3);
      width.withoutUnit();
      up = button("▲", name + " up", () -> edit("", s -> s.withCutsSwapped(index, index - 1)));
      down = button("▼", name + " down", () -> edit("", s -> s.withCutsSwapped(index, index + 1)));
      remove = button("✕", name + " remove", () -> edit("", s -> s.withoutCut(index)));
      seals.setToggleGroup(sealing);
      seals.setId("cut-" + (index + 1) + "-seals");
      seals.setAccessibleText(name + " seals");
      seals.setTooltip(new Tooltip("The cut that carries the valve"));
      seals.setOnAction(e -> seal());
      seals.setStyle("-fx-padding: 4 0 0 0;");
      HBox.setHgrow(width, Priority.ALWAYS);
      HBox line = new HBox(3, seals, angle, width, up, down, remove);
      line.setAlignment(Pos.TOP_LEFT);
      remark.getStyleClass().addAll("small", "caution");
      getChildren().addAll(line, remark);
    }

    private Button button(String sign, String name, Runnable action) {
      Button button = new Button(sign);
      button.getStyleClass().add("icon-button");
      button.setMinWidth(USE_PREF_SIZE);
      button.setId(name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-'));
      button.setAccessibleText(name);
      button.setTooltip(new Tooltip(name));
      button.setOnAction(e -> action.run());
      return button;
    }

    private void takeAngle(String gesture, double deg) {
      edit(gesture, s -> s.withCut(index, s.cuts().get(index).withAngle(deg)));
    }

    private void takeWidth(String gesture, double mm) {
      edit(gesture, s -> s.withCut(index, s.cuts().get(index).withWidth(mm)));
    }

    private void seal() {
      try {
        edit("", s -> s.withSealing(index));
      } catch (IllegalArgumentException e) {
        remark.setText("✗ " + e.getMessage());
        remark.setVisible(true);
        remark.setManaged(true);
        CutStackEditor.this.rows.get(seat().sealing()).seals.setSelected(true);
      }
    }

    private String words(ShownCut shown) {
      return shown.neverTouches()
          ? "never touches"
          : shown.isShort() ? session.units().lengthText(shown.shownMm()) + " of it shows" : "";
    }

    void show(Seat seat, Optional<ShownCut> came) {
      Cut cut = seat.cuts().get(index);
      angle.show(cut.angleDeg());
      width.show(cut.widthMm());
      seals.setSelected(seat.sealing() == index);
      up.setDisable(index == 0);
      down.setDisable(index == seat.cuts().size() - 1);
      remove.setDisable(seat.cuts().size() == 1);
      String words = came.map(this::words).orElse("");
      remark.setText(words);
      remark.setVisible(!words.isEmpty());
      remark.setManaged(!words.isEmpty());
    }
  }
}
