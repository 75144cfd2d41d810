package finebore.desk.job;

import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.MessageLine;
import finebore.desk.found.HeadPlanView;
import finebore.desk.session.JobSession;
import finebore.desk.theme.Palette;
import finebore.job.Figures;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.NewHead;
import finebore.job.Port;
import finebore.quantity.Setting;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * What is on the bench: engine, valves, cams and what the job is for, with a picture of the head
 * that grows while it is filled in. A new job begins here.
 */
public final class JobStation extends BorderPane {

  private static final int COLUMNS = 4;

  private final JobSession session;
  private final JobEditor editor;
  private final HeadPlanView plan;
  private final FieldGrid engine;
  private final Map<Port, CamTablePane> cams = new EnumMap<>(Port.class);

  public JobStation(
      JobSession session,
      Supplier<Palette> palette,
      Supplier<Double> textScale,
      Runnable toShop,
      Runnable toFound) {
    this.session = session;
    setId("job-station");
    editor = new JobEditor(session, toShop);
    plan = new HeadPlanView(session, palette, textScale, Set::of);
    engine = new FieldGrid(session, COLUMNS);
    Figures.ENGINE.forEach(s -> engine.part(s, Job::engine, Job::withEngine));
    Label title = new Label(session.say("job.title"));
    title.getStyleClass().add("title");
    for (Port port : Port.values()) {
      cams.put(port, new CamTablePane(session, port));
    }
    VBox bench = new VBox(6, title, heading(session.say("job.engine")), engine);
    for (Port port : Port.values()) {
      bench
          .getChildren()
          .addAll(
              heading(session.words().of(port, "group").toUpperCase(java.util.Locale.ROOT)),
              group(port),
              cams.get(port));
    }
    Label lean = new Label(session.say("job.grows"));
    lean.setWrapText(true);
    lean.setMinHeight(Region.USE_PREF_SIZE);
    lean.getStyleClass().addAll("small", "muted");
    FieldGrid tilt = new FieldGrid(session, COLUMNS);
    Figures.LAYOUT.stream()
        .filter(s -> s.id().endsWith("TiltDeg"))
        .forEach(s -> tilt.part(s, Job::layout, JobStation::withLayout));
    Button found = new Button(session.say("job.toFound"));
    found.setId("job-to-found");
    found.setMaxWidth(Double.MAX_VALUE);
    found.setOnAction(e -> toFound.run());
    plan.setPrefHeight(250);
    plan.setMinHeight(130);
    VBox.setVgrow(plan, Priority.ALWAYS);
    bench
        .getChildren()
        .addAll(
            new ClearanceFigures(session),
            heading(session.say("job.lean")),
            tilt,
            new MessageLine("job-message", session.messages()),
            lean,
            plan,
            found);
    bench.getStyleClass().add("column");
    ScrollPane middle = new ScrollPane(bench);
    middle.setFitToWidth(true);
    middle.setFitToHeight(true);
    ScrollPane right = new ScrollPane(editor);
    right.setFitToWidth(true);
    editor.getStyleClass().addAll("column", "right-column");
    right.prefWidthProperty().bind(widthProperty().multiply(0.4));
    setCenter(middle);
    setRight(right);
    session.work().addListener((o, was, is) -> plan.requestLayout());
  }

  static Job withLayout(Job job, finebore.job.HeadLayout layout) {
    return job.withHead(job.head().withLayout(java.util.Optional.of(layout)));
  }

  private Label heading(String text) {
    Label label = new Label(text);
    label.getStyleClass().add("heading");
    return label;
  }

  /** Valve, seat angle, cam and clearances of a kind of seat. */
  private FieldGrid group(Port port) {
    FieldGrid grid = new FieldGrid(session, COLUMNS);
    for (Setting<Group> setting : all()) {
      String id = port.key() + "-" + setting.id();
      grid.part(setting.named(id), j -> j.group(port), (j, g) -> j.withGroup(port, g));
    }
    grid.add(cams.get(port).opener(), () -> {});
    return grid;
  }

  private static List<Setting<Group>> all() {
    return java.util.stream.Stream.concat(NewHead.FIGURES.stream(), Group.FIGURES.stream())
        .toList();
  }

  /** Nothing is kept from a station nobody looks at: it is cheap. */
  public void setShown(boolean shown) {
    if (shown) {
      plan.requestLayout();
    }
  }

  /** Puts the keyboard on the first thing to fill in. */
  public void focus() {
    javafx.application.Platform.runLater(() -> editor.lookup("#job-name").requestFocus());
  }

  public void restyle() {
    plan.requestLayout();
  }
}
