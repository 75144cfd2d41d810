package finebore.desk.found;

import finebore.desk.controls.NumberField;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.job.Head;
import finebore.job.Head.Figure;
import finebore.job.Job;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** What is read of the head as a whole; 0 stands for not measured. */
final class HeadFigures extends FlowPane {

  private final JobSession session;
  private final Map<Figure, NumberField> fields = new EnumMap<>(Figure.class);
  private final Label skim = new Label();

  HeadFigures(JobSession session) {
    super(10, 4);
    this.session = session;
    setId("head-figures");
    setAlignment(Pos.CENTER_LEFT);
    field(Figure.NEW_THICKNESS, "Thick when new", Kind.LENGTH);
    field(Figure.THICKNESS, "Thickness now", Kind.LENGTH);
    field(Figure.LEAST_THICKNESS, "At least", Kind.LENGTH);
    field(Figure.CHAMBER, "Chamber, cm³", Kind.NUMBER);
    field(Figure.COMPRESSION, "Compression", Kind.NUMBER);
    skim.setId("skim");
    skim.getStyleClass().add("small");
    getChildren().add(skim);
  }

  private void field(Figure figure, String name, Kind kind) {
    NumberField field =
        new NumberField(
            name,
            kind,
            session::units,
            (gesture, value) ->
                session.edit(
                    gesture,
                    job ->
                        job.withHead(
                            job.head()
                                .with(
                                    figure,
                                    value == 0
                                        ? OptionalDouble.empty()
                                        : OptionalDouble.of(value)))),
            session::endGesture);
    field.setPrefWidth(104);
    Label label = new Label(name);
    label.getStyleClass().addAll("small", "muted");
    fields.put(figure, field);
    getChildren().add(new VBox(1, label, field));
  }

  void show(Job job) {
    Head head = job.head();
    fields.forEach((figure, field) -> field.show(head.figure(figure).orElse(0)));
    String skimmed =
        head.skimmedMm().isPresent()
            ? "skimmed " + job.units().lengthText(head.skimmedMm().getAsDouble())
            : "";
    String left =
        head.skimLeftMm().isPresent()
            ? "skim left " + job.units().lengthText(head.skimLeftMm().getAsDouble())
            : "skim left not known";
    skim.setText(skimmed.isEmpty() ? left : skimmed + "\n" + left);
  }
}
