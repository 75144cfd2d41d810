package finebore.desk.found;

import finebore.code.RuleViolation;
import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.quantity.Quantity;
import finebore.room.ChamberOutline.Corner;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;

/**
 * By what a photograph is scaled and squared: the bore at four hours, or any four places whose
 * coordinates are known, such as dowels and bolt holes.
 */
final class KnownPlaces extends FlowPane {

  private static final String[] HOURS = {"12", "3", "6", "9"};

  private final JobSession session;
  private final ToggleButton own = new ToggleButton();
  private final GridPane grid = new GridPane();
  private final Label alongHeading = new Label();
  private final Label acrossHeading = new Label();
  private final OptionalDouble[] along = new OptionalDouble[FacePhotograph.KNOWN];
  private final OptionalDouble[] across = new OptionalDouble[FacePhotograph.KNOWN];
  private final List<EntryField<OptionalDouble>> fields = new ArrayList<>();
  private Runnable changed = () -> {};

  KnownPlaces(JobSession session) {
    super(6, 4);
    this.session = session;
    setId("known-places");
    Arrays.fill(along, OptionalDouble.empty());
    Arrays.fill(across, OptionalDouble.empty());
    own.setId("known-own");
    own.setText(session.say("known.own"));
    own.setTooltip(new Tooltip(session.say("known.own.tip")));
    grid.setHgap(6);
    grid.setVgap(2);
    grid.visibleProperty().bind(own.selectedProperty());
    grid.managedProperty().bind(grid.visibleProperty());
    heading(0, alongHeading);
    heading(1, acrossHeading);
    for (int k = 0; k < FacePhotograph.KNOWN; k++) {
      Label number = new Label(String.valueOf(k + 1));
      number.getStyleClass().add("figure");
      grid.add(number, k + 1, 0);
      grid.add(field("along", k, along, Quantity.OUTLINE_ALONG), k + 1, 1);
      grid.add(field("across", k, across, Quantity.OUTLINE_ACROSS), k + 1, 2);
    }
    own.setOnAction(e -> changed.run());
    getChildren().addAll(own, grid);
  }

  private void heading(int row, Label label) {
    label.getStyleClass().addAll("small", "muted");
    label.setMinWidth(USE_PREF_SIZE);
    grid.add(label, 0, row + 1);
  }

  private EntryField<OptionalDouble> field(
      String which, int k, OptionalDouble[] values, Quantity quantity) {
    EntryField<OptionalDouble> field =
        EntryField.of(
                "known-" + which + "-" + (k + 1),
                Grammar.optional(quantity),
                session::words,
                session.messages(),
                (gesture, value) -> {
                  values[k] = value;
                  changed.run();
                })
            .namedBeside(session.say("known." + which + ".name", "number", k + 1))
            .withoutUnit();
    field.cell().setPrefColumnCount(4);
    fields.add(field);
    field.show(values[k]);
    return field;
  }

  /** What is to happen when something else is known. */
  void onChange(Runnable action) {
    changed = action;
  }

  /** Begins with the places that a photograph of the cylinder had before, or with none. */
  void begin(int cylinder) {
    String unit = session.units().length().symbol();
    alongHeading.setText(session.say("known.along", "unit", unit));
    acrossHeading.setText(session.say("known.across", "unit", unit));
    Optional<FacePhotograph> before =
        session.job().head().photograph(cylinder).filter(p -> !p.are().equals(quarters()));
    own.setSelected(before.isPresent());
    for (int k = 0; k < FacePhotograph.KNOWN; k++) {
      int place = k;
      Optional<Corner> was = before.map(p -> p.are().get(place));
      along[k] = was.map(c -> OptionalDouble.of(c.alongMm())).orElse(OptionalDouble.empty());
      across[k] = was.map(c -> OptionalDouble.of(c.acrossMm())).orElse(OptionalDouble.empty());
      fields.get(2 * k).show(along[k]);
      fields.get(2 * k + 1).show(across[k]);
    }
  }

  private List<Corner> quarters() {
    return Squared.quarters(session.job().engine().boreMm());
  }

  /** What the next place to be clicked is. */
  String ask(int k) {
    return own.isSelected()
        ? session.say("trace.place", "number", k + 1)
        : session.say("trace.bore", "hour", HOURS[k]);
  }

  /** How a place is marked. */
  String mark(int k) {
    return own.isSelected() ? String.valueOf(k + 1) : HOURS[k];
  }

  /**
   * Where they lie.
   *
   * @throws RuleViolation if one has not been entered
   */
  List<Corner> places() {
    if (!own.isSelected()) {
      return quarters();
    }
    List<Corner> places = new ArrayList<>();
    for (int k = 0; k < FacePhotograph.KNOWN; k++) {
      if (along[k].isEmpty() || across[k].isEmpty()) {
        throw RuleViolation.of("knownPlace").with("number", finebore.code.Term.count(k + 1));
      }
      places.add(new Corner(along[k].getAsDouble(), across[k].getAsDouble()));
    }
    return places;
  }
}
