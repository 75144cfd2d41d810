package finebore.desk.controls;

import finebore.desk.session.JobSession;
import finebore.job.Job;
import finebore.quantity.Setting;
import finebore.valve.Pairing;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * Fields of settings in columns, each with its name above it, kept up to date with the session.
 * Where the text is so large, or the window so small, that figures would be cut off, there are
 * fewer columns.
 */
public final class FieldGrid extends GridPane {

  /** A field and how it comes up to date. */
  private record Bound(Runnable show) {}

  private static final double GAP_PX = 10;

  private final JobSession session;
  private final int most;
  private int columns;
  private final List<Bound> fields = new ArrayList<>();

  /** As wide as a column must be for a figure and its unit, in the size of the text. */
  private final Region narrowest = new Region();

  public FieldGrid(JobSession session) {
    this(session, 2);
  }

  /** With so many fields beside each other. */
  public FieldGrid(JobSession session, int columns) {
    this.session = session;
    this.most = columns;
    setHgap(GAP_PX);
    setVgap(5);
    columns(columns);
    narrowest.setStyle("-fx-min-width: 6.3em;");
    narrowest.setManaged(false);
    narrowest.setVisible(false);
    getChildren().add(narrowest);
    narrowest.minWidthProperty().addListener((o, was, is) -> fit());
    widthProperty().addListener((o, was, is) -> fit());
    session.work().addListener((o, was, is) -> show());
  }

  private void columns(int count) {
    columns = count;
    getColumnConstraints().clear();
    for (int k = 0; k < count; k++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(100.0 / count);
      column.setHgrow(Priority.ALWAYS);
      getColumnConstraints().add(column);
    }
  }

  private void fit() {
    double least = narrowest.getMinWidth() + GAP_PX;
    if (getWidth() <= 0 || least <= GAP_PX) {
      return;
    }
    int fits = Math.clamp((int) ((getWidth() + GAP_PX) / least), 1, most);
    if (fits != columns) {
      columns(fits);
      List<Node> nodes = getManagedChildren();
      for (int k = 0; k < nodes.size(); k++) {
        setConstraints(nodes.get(k), k % columns, k / columns);
      }
    }
  }

  /** Adds a field for a setting of the valve or seat looked at. */
  public FieldGrid pairing(Setting<Pairing> setting) {
    return add(
        setting,
        s -> setting.of(s.work().get().pairing()),
        (gesture, value) -> session.editPairing(gesture, p -> setting.on(p, value)));
  }

  /** Adds a field for a setting of the job. */
  public FieldGrid job(Setting<Job> setting) {
    return part(setting, j -> j, (job, changed) -> changed);
  }

  /** Adds a field for a setting of a part of the job. */
  public <T> FieldGrid part(
      Setting<T> setting, Function<Job, T> part, BiFunction<Job, T, Job> with) {
    return add(
        setting,
        s -> setting.of(part.apply(s.work().get().job())),
        (gesture, value) ->
            session.edit(gesture, j -> with.apply(j, setting.on(part.apply(j), value))));
  }

  private FieldGrid add(
      Setting<?> setting,
      Function<JobSession, OptionalDouble> value,
      EntryCell.Taker<OptionalDouble> taker) {
    return number(setting, session.words().label(setting), () -> value.apply(session), taker);
  }

  /** Adds a field for a number that is taken and shown in a way of its own. */
  public FieldGrid number(
      Setting<?> setting,
      String name,
      Supplier<OptionalDouble> value,
      EntryCell.Taker<OptionalDouble> taker) {
    Grammar<OptionalDouble> grammar =
        setting.empty() == Setting.Empty.NEVER
            ? Grammar.number(setting.quantity())
            : Grammar.optional(setting.quantity());
    EntryField<OptionalDouble> field =
        EntryField.of("field-" + setting.id(), grammar, session::words, session.messages(), taker)
            .named(name)
            .onGestureEnd(session::endGesture);
    if (setting.empty() == Setting.Empty.UNKNOWN) {
      field.prompt(session.say("ui.unknown"));
    }
    return add(field, () -> field.show(value.get()));
  }

  /** Adds a field for anything else that can be typed. */
  public <T> FieldGrid field(
      String id,
      String name,
      Grammar<T> grammar,
      Supplier<T> value,
      EntryCell.Taker<T> taker,
      String prompt) {
    EntryField<T> field =
        new EntryField<>("field-" + id, grammar, session::words, session.messages(), taker)
            .named(name)
            .prompt(prompt);
    return add(field, () -> field.show(value.get()));
  }

  /** Adds a choice, or whatever else stands among the fields. */
  public FieldGrid add(Node node, Runnable show) {
    add(node, fields.size() % columns, fields.size() / columns);
    // A name on two lines does not push its field below the others.
    GridPane.setFillHeight(node, false);
    GridPane.setValignment(node, VPos.BOTTOM);
    fields.add(new Bound(show));
    show.run();
    return this;
  }

  /** Brings every field up to date. */
  public void show() {
    fields.forEach(f -> f.show().run());
  }
}
