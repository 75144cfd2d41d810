package finebore.desk.job;

import finebore.code.RuleViolation;
import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.Named;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Figures;
import finebore.job.Job;
import finebore.job.Port;
import finebore.job.TestPlan;
import finebore.planning.AirDemand;
import finebore.practice.Practice;
import finebore.words.MachWords;
import finebore.words.UnitSystem;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;

/** The job itself: its name, practice, how flow is looked at, and notes. */
final class JobEditor extends VBox {

  private final JobSession session;
  private final TextField name = new TextField();
  private final TextField purpose = new TextField();
  private final ComboBox<Practice> practice = new ComboBox<>();
  private final TextArea notes = new TextArea();
  private final Label demand = new Label();

  JobEditor(JobSession session, Runnable toShop) {
    super(6);
    this.session = session;
    setId("job-editor");
    name.setId("job-name");
    purpose.setId("job-purpose");
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
    practice.setConverter(new Named<>(p -> session.words().term(p.term())));
    practice.setOnAction(
        e -> {
          if (practice.getValue() != null && !practice.getValue().equals(session.practice())) {
            session.edit("", job -> job.withPractice(practice.getValue().id()));
          }
        });
    Button lifts = new Button(session.say("job.usualLifts"));
    lifts.setId("usual-lifts");
    lifts.setOnAction(e -> session.edit("", JobEditor::usualLifts));
    Button practices = new Button(session.say("job.practices"));
    practices.setId("edit-practices");
    practices.setOnAction(e -> toShop.run());
    getChildren()
        .addAll(
            heading("job.heading"),
            small("job.name"),
            name,
            small("job.purpose"),
            purpose,
            heading("job.practice"),
            practice,
            practices,
            heading("job.test"),
            test(),
            new LiftsField(session),
            lifts,
            heading("job.notes"),
            notes,
            heading("job.demand"),
            demand,
            heading("job.layout"),
            new LayoutFields(session));
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private static Job usualLifts(Job job) {
    double lift = Math.max(job.intake().cam().maxLiftMm(), job.exhaust().cam().maxLiftMm());
    return job.withTest(job.test().withLiftsMm(TestPlan.usual(job.units(), lift).liftsMm()));
  }

  private Label heading(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().add("heading");
    return label;
  }

  private Label small(String key) {
    Label label = new Label(session.say(key));
    label.getStyleClass().addAll("muted", "small");
    return label;
  }

  private void takeNames() {
    try {
      session.edit(
          "", job -> job.withName(name.getText().strip()).withPurpose(purpose.getText().strip()));
      session.messages().clear("job-name");
    } catch (RuleViolation e) {
      session
          .messages()
          .refuse(
              "job-name",
              session.say(
                  "ui.refused.still",
                  "name",
                  session.say("job.name"),
                  "why",
                  session.words().say(e),
                  "value",
                  session.job().name()));
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
    List<Practice> practices = session.practices();
    if (!practice.getItems().equals(practices)) {
      practice.getItems().setAll(practices);
    }
    practice.setValue(session.practice());
    demand.setText(demandText(job));
  }

  private String demandText(Job job) {
    SeatView work = session.work().get();
    StringBuilder text = new StringBuilder();
    job.engine()
        .targetHp()
        .ifPresent(
            hp ->
                text.append(
                        session.say(
                            "report.power",
                            "power",
                            UnitSystem.fixed(hp, 0),
                            "flow",
                            session
                                .units()
                                .flowText(AirDemand.flowForPower(hp, job.engine().cylinders()))))
                    .append(". "));
    if (work.port() == Port.INTAKE && work.shown().curve().isPresent()) {
      text.append(
          MachWords.sentence(
              session.words(),
              job.engine(),
              AirDemand.machIndex(
                  job.engine(),
                  job.intake().cam(),
                  work.pairing().valve().headDiameterMm(),
                  work.shown().curve().get()),
              work.calibration()));
    }
    return text.toString();
  }

  private FieldGrid test() {
    FieldGrid grid = new FieldGrid(session);
    Figures.TEST.forEach(s -> grid.part(s, Job::test, Job::withTest));
    return grid;
  }
}
