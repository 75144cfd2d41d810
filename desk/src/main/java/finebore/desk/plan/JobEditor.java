package finebore.desk.plan;

import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.flow.Bands;
import finebore.flow.CamLift;
import finebore.formats.PracticeFiles;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.practice.Practice;
import finebore.study.AirDemand;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;

/** The job itself: its name, practice, engine and cams. */
final class JobEditor extends VBox {

  private final JobSession session;
  private final TextField name = new TextField();
  private final TextField purpose = new TextField();
  private final ComboBox<Practice> practice = new ComboBox<>();
  private final TextArea notes = new TextArea();
  private final Label problem = new Label();
  private final Label demand = new Label();

  JobEditor(JobSession session) {
    super(6);
    this.session = session;
    setId("job-editor");
    name.setId("job-name");
    purpose.setId("job-purpose");
    problem.getStyleClass().addAll("small", "fault");
    problem.setWrapText(true);
    problem.managedProperty().bind(problem.textProperty().isNotEmpty());
    demand.setWrapText(true);
    demand.setMinHeight(USE_PREF_SIZE);
    demand.setId("air-demand");
    for (TextField field : new TextField[] {name, purpose}) {
      field.setOnAction(e -> takeNames());
      field
          .focusedProperty()
          .addListener(
              (o, was, is) -> {
                if (!is) {
                  takeNames();
                }
              });
    }
    notes.setId("job-notes");
    notes.setPrefRowCount(4);
    notes.setWrapText(true);
    notes
        .focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                session.edit("", job -> job.withNotes(notes.getText()));
              }
            });
    practice.setId("practice");
    practice.setMaxWidth(Double.MAX_VALUE);
    practice.getItems().setAll(PracticeFiles.all());
    practice.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Practice p) {
            return p == null ? "" : p.name();
          }

          @Override
          public Practice fromString(String text) {
            return practice.getValue();
          }
        });
    practice.setOnAction(
        e -> {
          if (practice.getValue() != null) {
            session.edit("", job -> job.withPractice(practice.getValue().id()));
          }
        });
    Button lifts = new Button("Usual lifts for this cam");
    lifts.setId("usual-lifts");
    lifts.setOnAction(e -> session.edit("", JobEditor::usualLifts));
    getChildren()
        .addAll(
            heading("JOB"),
            small("Name"),
            name,
            small("Purpose"),
            purpose,
            problem,
            heading("PRACTICE"),
            practice,
            heading("ENGINE"),
            engineFields(),
            heading("CAM AND CLEARANCE, of the group looked at"),
            groupFields(),
            heading("FLOW TEST"),
            testFields(),
            lifts,
            heading("NOTES"),
            notes,
            heading("WHAT THE ENGINE ASKS"),
            demand,
            heading("HEAD LAYOUT, from the bore until measured"),
            new LayoutFields(session));
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private static Job usualLifts(Job job) {
    double lift = Math.max(job.intake().cam().maxLiftMm(), job.exhaust().cam().maxLiftMm());
    return job.withTest(job.test().withLifts(TestPlan.usual(job.units(), lift).liftsMm()));
  }

  private static Label heading(String words) {
    Label label = new Label(words);
    label.getStyleClass().add("heading");
    return label;
  }

  private static Label small(String words) {
    Label label = new Label(words);
    label.getStyleClass().addAll("muted", "small");
    return label;
  }

  private void takeNames() {
    try {
      session.edit("", job -> job.withName(name.getText().strip(), purpose.getText().strip()));
      problem.setText("");
    } catch (IllegalArgumentException e) {
      problem.setText("✗ " + e.getMessage() + "; still \"" + session.job().name() + "\"");
    }
  }

  private void show() {
    Job job = session.work().get().job();
    if (!name.isFocused()) {
      name.setText(job.name());
    }
    if (!purpose.isFocused()) {
      purpose.setText(job.purpose());
    }
    if (!notes.isFocused()) {
      notes.setText(job.notes());
    }
    practice.setValue(PracticeFiles.orDefault(job.practice()));
    demand.setText(demandText(job));
  }

  private String demandText(Job job) {
    var work = session.work().get();
    StringBuilder text = new StringBuilder();
    job.engine()
        .targetHp()
        .ifPresent(
            hp ->
                text.append(String.format(java.util.Locale.ROOT, "%.0f hp need ", hp))
                    .append(
                        job.units().flowText(AirDemand.flowForPower(hp, job.engine().cylinders())))
                    .append(
                        " in each cylinder at 28 inH2O (0.257 hp per cfm; common practice, no source). "));
    if (work.port() == Port.INTAKE && work.shown().curve().isPresent()) {
      double z =
          AirDemand.machIndex(
              job.engine(), work.pairing().valve().headDiameterMm(), work.shown().curve().get());
      text.append(
          String.format(
              java.util.Locale.ROOT,
              "Mean inlet Mach index %.2f at %.0f rpm; filling falls beyond %.1f (Taylor, from memory).",
              z,
              job.engine().rpm(),
              AirDemand.MACH_INDEX_LIMIT));
    }
    return text.toString();
  }

  private FieldGrid engineFields() {
    return new FieldGrid(session)
        .job(
            "Cylinders",
            Kind.NUMBER,
            j -> j.engine().cylinders(),
            (j, n) -> j.withEngine(j.engine().withCylinders(whole("cylinders", n))))
        .job(
            "Intakes each",
            Kind.NUMBER,
            j -> j.engine().intakesPerCylinder(),
            (j, n) ->
                j.withEngine(
                    j.engine().withValves(whole("intakes", n), j.engine().exhaustsPerCylinder())))
        .job(
            "Exhausts each",
            Kind.NUMBER,
            j -> j.engine().exhaustsPerCylinder(),
            (j, n) ->
                j.withEngine(
                    j.engine().withValves(j.engine().intakesPerCylinder(), whole("exhausts", n))))
        .job(
            "rpm at peak",
            Kind.NUMBER,
            j -> j.engine().rpm(),
            (j, n) -> j.withEngine(j.engine().withRpm(n)))
        .job(
            "Bore",
            Kind.LENGTH,
            j -> j.engine().boreMm(),
            (j, mm) -> j.withEngine(j.engine().withBoreAndStroke(mm, j.engine().strokeMm())))
        .job(
            "Stroke",
            Kind.LENGTH,
            j -> j.engine().strokeMm(),
            (j, mm) -> j.withEngine(j.engine().withBoreAndStroke(j.engine().boreMm(), mm)))
        .job(
            "Target hp, 0: none",
            Kind.NUMBER,
            j -> j.engine().targetHp().orElse(0),
            (j, hp) -> j.withEngine(j.engine().withTargetHp(optional(hp))))
        .job(
            "Valve spacing, 0: none",
            Kind.LENGTH,
            j -> j.engine().valveSpacingMm().orElse(0),
            (j, mm) -> j.withEngine(j.engine().withValveSpacing(optional(mm))));
  }

  private FieldGrid testFields() {
    return new FieldGrid(session)
        .job(
            "Depression",
            Kind.PRESSURE,
            j -> j.test().depressionPa(),
            (j, pa) -> j.withTest(j.test().withDepression(pa)))
        .job(
            "Low lift to L/D",
            Kind.NUMBER,
            j -> j.test().bands().lowTo(),
            (j, n) -> j.withTest(j.test().withBands(new Bands(n, j.test().bands().midTo()))))
        .job(
            "Mid lift to L/D",
            Kind.NUMBER,
            j -> j.test().bands().midTo(),
            (j, n) -> j.withTest(j.test().withBands(new Bands(j.test().bands().lowTo(), n))));
  }

  private static int whole(String field, double value) {
    if (value != Math.rint(value)) {
      throw new IllegalArgumentException(field + " must be a whole number, was " + value);
    }
    return (int) value;
  }

  private static OptionalDouble optional(double value) {
    return value == 0 ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  private FieldGrid groupFields() {
    FieldGrid grid = new FieldGrid(session);
    group(
        grid,
        "Cam lift at valve",
        Kind.LENGTH,
        g -> g.cam().maxLiftMm(),
        (g, mm) -> g.withCam(new CamLift(mm, g.cam().durationDeg())));
    group(
        grid,
        "Duration, crank",
        Kind.ANGLE,
        g -> g.cam().durationDeg(),
        (g, deg) -> g.withCam(new CamLift(g.cam().maxLiftMm(), deg)));
    group(
        grid,
        "Axis from bore, 0: none",
        Kind.LENGTH,
        g -> g.axisFromBoreMm().orElse(0),
        (g, mm) -> g.withAxisFromBore(optional(mm)));
    group(
        grid,
        "Retainer to seal, 0: none",
        Kind.LENGTH,
        g -> g.retainerToSealMm().orElse(0),
        (g, mm) -> g.withRetainerToSeal(optional(mm)));
    return grid;
  }

  private void group(
      FieldGrid grid,
      String label,
      Kind kind,
      ToDoubleFunction<Group> value,
      BiFunction<Group, Double, Group> change) {
    grid.job(
        label,
        kind,
        j -> value.applyAsDouble(j.group(port())),
        (j, read) -> j.withGroup(port(), change.apply(j.group(port()), read)));
  }

  private Port port() {
    return session.seat().get().port();
  }
}
