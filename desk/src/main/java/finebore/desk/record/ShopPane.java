package finebore.desk.record;

import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.quantity.Quantity;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What stands at the head of the card, the shop's own figures and its times. */
final class ShopPane extends VBox {

  private final JobSession session;
  private final List<Runnable> shows = new ArrayList<>();

  ShopPane(JobSession session) {
    super(8);
    this.session = session;
    setId("shop-pane");
    text(
        "name",
        ShopSettings::name,
        (s, t) -> s.withTexts(t, s.address(), s.customer(), s.currency()));
    text(
        "address",
        ShopSettings::address,
        (s, t) -> s.withTexts(s.name(), t, s.customer(), s.currency()));
    text(
        "customer",
        ShopSettings::customer,
        (s, t) -> s.withTexts(s.name(), s.address(), t, s.currency()));
    text(
        "currency",
        ShopSettings::currency,
        (s, t) -> s.withTexts(s.name(), s.address(), s.customer(), t));
    heading("record.figures");
    GridPane figures = grid();
    for (ShopFigure figure : ShopFigure.values()) {
      EntryField<OptionalDouble> field =
          number(
              "field-shop-" + figure.key(),
              figure.quantity(),
              (s, v) -> s.with(figure, v),
              s -> set(s.figures().get(figure)),
              figure.usual());
      field.named(session.words().label(figure));
      int at = figure.ordinal();
      figures.add(field, at % 2, at / 2);
    }
    getChildren().add(figures);
    heading("record.times");
    times();
  }

  private void heading(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().add("heading");
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    getChildren().add(label);
  }

  private static GridPane grid() {
    GridPane grid = new GridPane();
    grid.setHgap(12);
    grid.setVgap(6);
    return grid;
  }

  private void times() {
    GridPane times = grid();
    times.addRow(
        0,
        new Label(session.say("record.time.work")),
        new Label(session.say("record.time.each")),
        new Label(session.say("record.time.setUp")));
    for (StepKind kind : StepKind.values()) {
      Label name = new Label(session.words().label(kind));
      name.setWrapText(true);
      GridPane.setHgrow(name, Priority.ALWAYS);
      EntryField<OptionalDouble> each =
          number(
              "time-each-" + kind.key(),
              Quantity.STEP_MINUTES,
              (s, v) -> s.withEach(kind, v),
              s -> set(s.eachMinutes().get(kind)),
              kind.eachMinutes());
      EntryField<OptionalDouble> setUp =
          number(
              "time-setUp-" + kind.key(),
              Quantity.STEP_MINUTES,
              (s, v) -> s.withSetUp(kind, v),
              s -> set(s.setUpMinutes().get(kind)),
              kind.setUpMinutes());
      each.namedBeside(name.getText() + ", " + session.say("record.time.each"));
      setUp.namedBeside(name.getText() + ", " + session.say("record.time.setUp"));
      times.addRow(kind.ordinal() + 1, name, each, setUp);
    }
    getChildren().add(times);
  }

  private static OptionalDouble set(Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private EntryField<OptionalDouble> number(
      String id,
      Quantity quantity,
      BiFunction<ShopSettings, OptionalDouble, ShopSettings> with,
      Function<ShopSettings, OptionalDouble> get,
      double usual) {
    EntryField<OptionalDouble> field =
        EntryField.of(
            id,
            Grammar.optional(quantity),
            session::words,
            session.messages(),
            (gesture, value) ->
                session.edit(gesture, job -> job.withShop(with.apply(job.shop(), value))));
    field.onGestureEnd(session::endGesture);
    shows.add(
        () -> {
          field.prompt("(" + session.units().entry(quantity.dimension(), usual) + ")");
          field.show(get.apply(session.job().shop()));
        });
    return field;
  }

  private void text(
      String id,
      Function<ShopSettings, String> get,
      BiFunction<ShopSettings, String, ShopSettings> with) {
    EntryField<String> field =
        new EntryField<>(
            "field-shop-" + id,
            Grammar.text(),
            session::words,
            session.messages(),
            (gesture, value) ->
                session.edit(gesture, job -> job.withShop(with.apply(job.shop(), value))));
    field.named(session.say("record.shop." + id));
    shows.add(() -> field.show(get.apply(session.job().shop())));
    getChildren().add(field);
  }

  void show() {
    shows.forEach(Runnable::run);
  }
}
