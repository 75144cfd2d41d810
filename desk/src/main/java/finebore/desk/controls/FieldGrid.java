package finebore.desk.controls;

import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Number fields of a job in two columns, each with its name above it, kept up to date with the
 * session.
 */
public final class FieldGrid extends GridPane {

  private record Bound(NumberField field, ToDoubleFunction<JobSession> value) {}

  private final JobSession session;
  private final List<Bound> fields = new ArrayList<>();

  public FieldGrid(JobSession session) {
    this.session = session;
    setHgap(10);
    setVgap(5);
    for (int k = 0; k < 2; k++) {
      ColumnConstraints column = new ColumnConstraints();
      column.setPercentWidth(50);
      column.setHgrow(Priority.ALWAYS);
      getColumnConstraints().add(column);
    }
    session.work().addListener((o, was, is) -> show());
  }

  /** Adds a field for a number of the valve or seat looked at. */
  public FieldGrid pairing(
      String name,
      Kind kind,
      ToDoubleFunction<finebore.job.Pairing> value,
      BiFunction<finebore.job.Pairing, Double, finebore.job.Pairing> change) {
    return add(
        name,
        kind,
        s -> value.applyAsDouble(s.work().get().pairing()),
        (gesture, read) -> session.editPairing(gesture, p -> change.apply(p, read)));
  }

  /** Adds a field for a number of the job. */
  public FieldGrid job(
      String name, Kind kind, ToDoubleFunction<Job> value, BiFunction<Job, Double, Job> change) {
    return add(
        name,
        kind,
        s -> value.applyAsDouble(s.work().get().job()),
        (gesture, read) -> session.edit(gesture, j -> change.apply(j, read)));
  }

  private FieldGrid add(
      String name, Kind kind, ToDoubleFunction<JobSession> value, NumberField.Taker taker) {
    NumberField field = new NumberField(name, kind, session::units, taker, session::endGesture);
    Label label = new Label(name);
    label.getStyleClass().addAll("muted", "small");
    label.setLabelFor(field.textField());
    VBox cell = new VBox(1, label, field);
    add(cell, fields.size() % 2, fields.size() / 2);
    fields.add(new Bound(field, value));
    field.show(value.applyAsDouble(session));
    return this;
  }

  private void show() {
    fields.forEach(f -> f.field().show(f.value().applyAsDouble(session)));
  }
}
