package finebore.desk.shell;

import finebore.desk.found.FoundStation;
import finebore.desk.plan.PlanStation;
import finebore.desk.prove.ProveStation;
import finebore.desk.session.BenchSession;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.formats.JobFile;
import finebore.job.Job;
import finebore.units.UnitSystem;
import java.io.File;
import java.nio.file.Path;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** The window: what stands along the top and the left, the station, and what happens to files. */
public final class MainWindow {

  private final Stage stage;
  private final DeskFolder folder;
  private final JobSession session;
  private final Recovery recovery;
  private final StackPane root = new StackPane();
  private final BorderPane frame = new BorderPane();
  private final Scene scene;
  private final PlanStation plan;
  private final FoundStation found;
  private final ProveStation prove;
  private final BenchSession bench;
  private final ToggleButton foundButton = station("Found", "Found station (1)");
  private final ToggleButton planButton = station("Plan", "Plan station (2)");
  private final ToggleButton proveButton = station("Prove", "Prove station (4)");
  private final SeatStrip seats;
  private final Label jobTitle = new Label();
  private final Tooltip jobTip = new Tooltip();
  private final MenuButton jobMenu = new MenuButton("Job");
  private final ToggleButton millimetres = new ToggleButton("mm");
  private final ToggleButton inches = new ToggleButton("in");
  private final Banner banner = new Banner();
  private final JobFiles files;
  private final ShortcutSheet sheet = new ShortcutSheet(this::hideSheet);
  private Optional<Welcome> welcome = Optional.empty();
  private boolean stationKey;
  private Station station = Station.PLAN;
  private Theme theme;
  private double textScale;

  /** The window on a job; the job can be another later. */
  public MainWindow(
      Stage stage,
      DeskFolder folder,
      JobSession session,
      Recovery recovery,
      FilePicker picker,
      Theme theme) {
    this.stage = stage;
    this.folder = folder;
    this.session = session;
    this.recovery = recovery;
    this.theme = theme;
    this.textScale = folder.textScale();
    this.seats = new SeatStrip(session, this::palette);
    this.plan = new PlanStation(session, this::palette, () -> textScale);
    this.found = new FoundStation(session, this::palette, () -> textScale);
    this.bench = new BenchSession(session, folder);
    this.prove = new ProveStation(session, bench, chooser(picker), this::palette, () -> textScale);
    this.files =
        new JobFiles(
            session,
            folder,
            recovery,
            picker,
            banner,
            this::takeTyping,
            bench::leave,
            this::opened,
            () -> welcome.isEmpty());
    frame.setTop(new VBox(topBar(), banner));
    frame.setLeft(rail());
    frame.setCenter(plan);
    root.getChildren().add(frame);
    scene = new Scene(root, 1280, 800);
    look();
    scene.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    scene.addEventFilter(KeyEvent.KEY_TYPED, this::typed);
    session.work().addListener((o, was, is) -> show());
    session.changed().addListener((o, was, is) -> show());
    session.file().addListener((o, was, is) -> show());
    session.work().addListener((o, was, is) -> recovery.keep(session));
    show();
    scene.setOnDragOver(this::draggedOver);
    scene.setOnDragDropped(this::dropped);
    stage.setScene(scene);
    stage.setMinWidth(900);
    stage.setMinHeight(600);
    stage.setOnCloseRequest(
        e -> {
          if (!files.mayLeave()) {
            e.consume();
          } else {
            bench.leave();
            recovery.close();
          }
        });
  }

  private Palette palette() {
    return theme.palette();
  }

  public Scene scene() {
    return scene;
  }

  public PlanStation plan() {
    return plan;
  }

  public ProveStation prove() {
    return prove;
  }

  private ProveStation.Chooser chooser(FilePicker picker) {
    return new ProveStation.Chooser() {
      @Override
      public Optional<Path> table() {
        return picker.table();
      }

      @Override
      public Optional<Path> saveTable() {
        return picker.saveTable(files.fileName());
      }

      @Override
      public Optional<Path> picture() {
        return picker.picture();
      }
    };
  }

  /** The stations there are. */
  private enum Station {
    FOUND,
    PLAN,
    PROVE
  }

  /**
   * Shows a view by its name: found, plan, within the plan variants or suggest, and prove, within
   * it those of {@link ProveStation#VIEWS}.
   */
  public void show(String view) {
    boolean proves = ProveStation.VIEWS.contains(view);
    showStation(view.equals("found") ? Station.FOUND : proves ? Station.PROVE : Station.PLAN);
    if (proves) {
      prove.show(view);
    } else {
      plan.show(view);
    }
  }

  private void showStation(Station show) {
    station = show;
    found.setShown(show == Station.FOUND);
    prove.setShown(show == Station.PROVE);
    foundButton.setSelected(show == Station.FOUND);
    planButton.setSelected(show == Station.PLAN);
    proveButton.setSelected(show == Station.PROVE);
    if (welcome.isEmpty()) {
      frame.setCenter(
          switch (show) {
            case FOUND -> found;
            case PLAN -> plan;
            case PROVE -> prove;
          });
    }
  }

  private void look() {
    theme.applyTo(scene, textScale);
    seats.paint();
    plan.restyle();
    found.restyle();
    prove.restyle();
  }

  private HBox topBar() {
    jobTitle.getStyleClass().add("title");
    jobTitle.setId("job-title");
    jobTitle.setTooltip(jobTip);
    jobTitle.setMinWidth(60);
    jobMenu.setId("job-menu");
    jobMenu.setOnShowing(e -> fillJobMenu());
    fillJobMenu();
    for (ToggleButton unit : new ToggleButton[] {millimetres, inches}) {
      unit.setId("units-" + unit.getText());
      unit.setTooltip(new Tooltip("Inches or millimetres (U)"));
      unit.setMinWidth(Region.USE_PREF_SIZE);
      unit.setOnAction(
          e -> {
            if ((session.units() == UnitSystem.METRIC) != (unit == millimetres)) {
              session.switchUnits();
            }
            show();
          });
    }
    HBox units = new HBox(millimetres, inches);
    units.setMinWidth(Region.USE_PREF_SIZE);
    units.setAlignment(Pos.CENTER);
    Button undo = button("↶", "undo", "Undo (Ctrl Z)", session::undo);
    undo.disableProperty().bind(session.canUndo().not());
    Button redo = button("↷", "redo", "Redo (Ctrl Shift Z)", session::redo);
    redo.disableProperty().bind(session.canRedo().not());
    Region left = new Region();
    Region right = new Region();
    HBox.setHgrow(left, Priority.ALWAYS);
    HBox.setHgrow(right, Priority.ALWAYS);
    jobMenu.setMinWidth(Region.USE_PREF_SIZE);
    HBox bar = new HBox(8, jobMenu, jobTitle, left, seats, right, units, undo, redo);
    bar.setAlignment(Pos.CENTER_LEFT);
    bar.getStyleClass().add("top-bar");
    return bar;
  }

  private static Button button(String words, String id, String tip, Runnable action) {
    Button button = new Button(words);
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.setOnAction(e -> action.run());
    return button;
  }

  private static ToggleButton station(String words, String tip) {
    ToggleButton station = new ToggleButton(words);
    station.setId("station-" + words.toLowerCase(java.util.Locale.ROOT));
    station.getStyleClass().add("rail-button");
    station.setTooltip(new Tooltip(tip));
    return station;
  }

  private VBox rail() {
    foundButton.setOnAction(e -> goTo(Station.FOUND));
    planButton.setOnAction(e -> goTo(Station.PLAN));
    proveButton.setOnAction(e -> goTo(Station.PROVE));
    planButton.setSelected(true);
    Region gap = new Region();
    VBox.setVgrow(gap, Priority.ALWAYS);
    Button look = button("◐", "theme", "Dark or paper look (Ctrl D)", this::switchTheme);
    look.getStyleClass().add("rail-button");
    Button keys = button("F1", "help", "Keys (F1)", this::showSheet);
    keys.getStyleClass().add("rail-button");
    VBox rail = new VBox(6, foundButton, planButton, proveButton, gap, look, keys);
    rail.getStyleClass().add("rail");
    return rail;
  }

  private void fillJobMenu() {
    Menu recent = new Menu("Recent jobs");
    for (Path file : folder.recent()) {
      MenuItem item = item(file.getFileName().toString(), () -> files.openFile(file));
      item.setMnemonicParsing(false);
      recent.getItems().add(item);
    }
    recent.setDisable(recent.getItems().isEmpty());
    jobMenu
        .getItems()
        .setAll(
            item("New   (Ctrl N)", files::newJob),
            item("Open ...   (Ctrl O)", files::open),
            recent,
            demos(),
            new SeparatorMenuItem(),
            item("Save   (Ctrl S)", files::save),
            item("Save as ...   (Ctrl Shift S)", files::saveAs),
            item("Write the cut sheet ...   (Ctrl K)", files::cutSheet),
            new SeparatorMenuItem(),
            item("Larger text   (Ctrl +)", () -> scaleText(0.1)),
            item("Smaller text   (Ctrl −)", () -> scaleText(-0.1)),
            item("Close", this::close));
  }

  private Menu demos() {
    Menu demos = new Menu("Demo jobs");
    for (String name : JobFile.demoNames()) {
      demos.getItems().add(item(JobFile.demo(name).name(), () -> files.openDemo(name)));
    }
    return demos;
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }

  private void show() {
    Job job = session.job();
    jobTitle.setText(
        job.name()
            + (job.purpose().isBlank() ? "" : ", " + job.purpose())
            + (session.changed().get() ? " *" : ""));
    jobTip.setText(
        session.file().get().map(Path::toString).orElse("not in a file yet")
            + (session.changed().get() ? "; changed since" : ""));
    millimetres.setSelected(job.units() == UnitSystem.METRIC);
    inches.setSelected(job.units() == UnitSystem.INCH);
    stage.setTitle(job.name() + (session.changed().get() ? " *" : "") + " - Fine Bore");
  }

  private void key(KeyEvent e) {
    if (root.getChildren().contains(sheet)) {
      return;
    }
    if (e.getCode() == KeyCode.F1) {
      showSheet();
      e.consume();
    } else if (e.isShortcutDown()) {
      controlKey(e);
    } else if (takesPlainKeys() && !e.isAltDown()) {
      plainKey(e);
    }
  }

  private void controlKey(KeyEvent e) {
    switch (e.getCode()) {
      case Z -> {
        takeTyping();
        if (e.isShiftDown()) {
          session.redo();
        } else {
          session.undo();
        }
      }
      case Y -> session.redo();
      case N -> files.newJob();
      case O -> files.open();
      case S -> {
        takeTyping();
        if (e.isShiftDown()) {
          files.saveAs();
        } else {
          files.save();
        }
      }
      case K -> files.cutSheet();
      case T, I, E -> {
        if (station != Station.PROVE || welcome.isPresent()) {
          return;
        }
        takeTyping();
        switch (e.getCode()) {
          case T -> prove.newTest();
          case I -> prove.importTable();
          default -> prove.exportTests();
        }
      }
      case D -> switchTheme();
      case PLUS, EQUALS, ADD -> scaleText(0.1);
      case MINUS, SUBTRACT -> scaleText(-0.1);
      default -> {
        return;
      }
    }
    e.consume();
  }

  /** What is being typed counts before the job is saved or undone. */
  private void takeTyping() {
    if (scene.getFocusOwner() instanceof TextInputControl field) {
      root.requestFocus();
      field.requestFocus();
    }
  }

  private boolean takesPlainKeys() {
    return !(scene.getFocusOwner() instanceof TextInputControl)
        && welcome.isEmpty()
        && !root.getChildren().contains(sheet);
  }

  /** Brackets stand on different keys, some behind AltGr, so it is what was typed that counts. */
  private void typed(KeyEvent e) {
    if (stationKey) {
      // The key that went to a station is not a reading.
      stationKey = false;
      e.consume();
      return;
    }
    if (takesPlainKeys() && (e.getCharacter().equals("[") || e.getCharacter().equals("]"))) {
      session.step(e.getCharacter().equals("[") ? -1 : 1);
      e.consume();
    }
  }

  private void plainKey(KeyEvent e) {
    if (e.getCode() == KeyCode.U) {
      session.switchUnits();
    } else if (e.getCode() == KeyCode.P) {
      session.showFound(false);
    } else if (e.getCode() == KeyCode.O) {
      session.showFound(true);
    } else if (e.getCode() == KeyCode.PAGE_UP || e.getCode() == KeyCode.PAGE_DOWN) {
      session.scrub(e.getCode() == KeyCode.PAGE_UP ? -1 : 1);
    } else if (stationOf(e.getCode()).isPresent()) {
      stationKey = true;
      goTo(stationOf(e.getCode()).get());
    } else {
      return;
    }
    e.consume();
  }

  private static Optional<Station> stationOf(KeyCode key) {
    return switch (key) {
      case DIGIT1, NUMPAD1 -> Optional.of(Station.FOUND);
      case DIGIT2, NUMPAD2 -> Optional.of(Station.PLAN);
      case DIGIT4, NUMPAD4 -> Optional.of(Station.PROVE);
      default -> Optional.empty();
    };
  }

  /** Goes to a station and puts the keyboard where its work begins. */
  private void goTo(Station to) {
    showStation(to);
    switch (to) {
      case FOUND -> found.focus();
      case PLAN -> plan.section().requestFocus();
      case PROVE -> prove.focus();
    }
  }

  private void showSheet() {
    if (!root.getChildren().contains(sheet)) {
      root.getChildren().add(sheet);
    }
  }

  private void hideSheet() {
    root.getChildren().remove(sheet);
    plan.section().requestFocus();
  }

  /** A job or a table dragged onto the window is taken up. */
  private void draggedOver(DragEvent e) {
    if (e.getDragboard().hasFiles()) {
      e.acceptTransferModes(TransferMode.COPY);
    }
    e.consume();
  }

  private void dropped(DragEvent e) {
    e.getDragboard().getFiles().stream().findFirst().map(File::toPath).ifPresent(this::takeFile);
    e.setDropCompleted(true);
    e.consume();
  }

  /** Opens a job, or takes a table of flow tests in, by what the file is. */
  public void takeFile(Path file) {
    if (file.getFileName().toString().endsWith(".json")) {
      files.openFile(file);
    } else if (welcome.isPresent()) {
      tell("Open a job first: " + file.getFileName() + " is taken for a table of flow tests.");
    } else {
      showStation(Station.PROVE);
      prove.importTable(file);
    }
  }

  private void switchTheme() {
    theme = theme.other();
    folder.keepTheme(theme);
    look();
  }

  private void scaleText(double by) {
    textScale = Math.clamp(Math.round((textScale + by) * 10) / 10.0, 1, 1.5);
    folder.keepTextScale(textScale);
    look();
  }

  /** Offers the demo job, a new one or a file in place of the station. */
  public void welcome() {
    Welcome offer =
        new Welcome(files::openDemo, files::newJob, files::open, folder.recent(), files::openFile);
    welcome = Optional.of(offer);
    frame.setCenter(offer);
    seats.setVisible(false);
    jobTitle.setVisible(false);
    stage.setTitle("Fine Bore");
    offer.focus();
  }

  private void opened() {
    endWelcome();
    plan.section().fit();
  }

  private void endWelcome() {
    welcome = Optional.empty();
    showStation(station);
    seats.setVisible(true);
    jobTitle.setVisible(true);
  }

  /** Offers work that an earlier run could not save. */
  public void offer(Recovery.Lost lost) {
    Button restore = new Button("Take it up");
    restore.setId("recover");
    restore.setOnAction(
        e -> {
          banner.clear();
          if (files.mayLeave()) {
            endWelcome();
            bench.leave();
            session.load(lost.document(), lost.file());
            session.markUnsaved();
            recovery.keep(session);
            recovery.settle();
            recovery.discard(lost);
          }
        });
    Button drop = new Button("Drop it");
    drop.setId("drop-recovery");
    drop.setOnAction(
        e -> {
          recovery.discard(lost);
          banner.clear();
        });
    banner.say(
        "Work on \""
            + lost.document().job().name()
            + "\" was not saved when the program last ended.",
        Banner.Kind.OFFER,
        restore,
        drop);
  }

  /** Says something above the station. */
  public void tell(String words) {
    banner.say(words, Banner.Kind.PROBLEM);
  }

  /** Opens a job file; one that cannot be taken is said so and the open job stays. */
  public void openFile(Path file) {
    files.openFile(file);
  }

  private void close() {
    if (files.mayLeave()) {
      bench.leave();
      recovery.close();
      stage.hide();
    }
  }
}
