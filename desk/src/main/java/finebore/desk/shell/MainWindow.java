package finebore.desk.shell;

import finebore.desk.cut.CutStation;
import finebore.desk.found.FoundStation;
import finebore.desk.job.JobStation;
import finebore.desk.plan.PlanStation;
import finebore.desk.prove.ProveStation;
import finebore.desk.record.RecordStation;
import finebore.desk.session.AirWatch;
import finebore.desk.session.BenchSession;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.GaugeSession;
import finebore.desk.session.JobSession;
import finebore.desk.session.OpenJob;
import finebore.desk.session.Recovery;
import finebore.desk.session.SealSession;
import finebore.desk.session.WorkSession;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.formats.JobLease.Holder;
import finebore.words.Language;
import java.io.File;
import java.nio.file.Path;
import java.time.InstantSource;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.DragEvent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.TransferMode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

/** The window: what stands along the top and the left, the station, and what is over them. */
public final class MainWindow {

  private final Stage stage;
  private final DeskFolder folder;
  private final JobSession session;
  private final Recovery recovery;
  private final OpenJob openJob;
  private final FilePicker picker;
  private final AirWatch air;
  private final BenchSession bench;
  private final WorkSession work;
  private final SealSession seal;
  private final GaugeSession gauges = new GaugeSession();
  private final Overlays overlays;
  private final StackPane root = new StackPane();
  private final BorderPane frame = new BorderPane();
  private final Scene scene;
  private Stations stations;
  private PlanStation plan;
  private FoundStation found;
  private ProveStation prove;
  private JobStation job;
  private CutStation cut;
  private RecordStation record;
  private SeatStrip seats;
  private TopBar top;
  private Banner banner;
  private JobFiles files;
  private Optional<Welcome> welcome = Optional.empty();
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
    this.air = new AirWatch(folder.solvedAir());
    air.take(session.document().solvedAir());
    session.setSolvedAir(air::lines);
    this.picker = picker;
    this.theme = theme;
    this.textScale = folder.textScale();
    this.bench = new BenchSession(session, folder);
    this.work = new WorkSession(session, InstantSource.system(), folder, this::settle);
    this.seal = new SealSession(session, work);
    this.openJob = new OpenJob();
    this.overlays = new Overlays(root, session, folder, picker, this::takeTyping);
    // The window decides how wide it is, whatever a station would like.
    frame.setMinSize(0, 0);
    root.getChildren().add(frame);
    scene = new Scene(root, 1280, 800);
    build();
    stations.show(stations.byId("plan"), true);
    Keys.on(scene, new KeyActions(), e -> overlays.isBare());
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
            leave();
          }
        });
  }

  /** Builds everything that is shown, in the session's language. */
  private void build() {
    banner = new Banner(session.say("top.closeMessage"));
    files =
        new JobFiles(
            session,
            folder,
            recovery,
            picker,
            banner,
            this::takeTyping,
            bench::leave,
            this::opened,
            () -> stations.goTo(stations.byId("job")),
            () -> welcome.isEmpty());
    seats = new SeatStrip(session, this::palette);
    plan = new PlanStation(session, air, this::palette, () -> textScale);
    plan.onSaveAir(() -> files.air(plan::airFile));
    found = new FoundStation(session, this::palette, () -> textScale);
    found.pickFrom(
        new FoundStation.Outlines() {
          @Override
          public Optional<Path> outline() {
            return picker.outline();
          }

          @Override
          public Optional<Path> picture() {
            return picker.picture();
          }
        });
    prove = new ProveStation(session, bench, work, seal, chooser(), this::palette, () -> textScale);
    cut = new CutStation(session, work, gauges, this::palette, () -> textScale);
    record = new RecordStation(session, work, exports(), InstantSource.system());
    job =
        new JobStation(
            session,
            this::palette,
            () -> textScale,
            () -> showShop("practices"),
            () -> stations.goTo(stations.byId("found")));
    stations =
        new Stations(
            frame,
            List.of(
                new Stations.Station("job", KeyCode.J, job, job::setShown, job::focus),
                new Stations.Station("found", KeyCode.DIGIT1, found, found::setShown, found::focus),
                new Stations.Station(
                    "plan", KeyCode.DIGIT2, plan, is -> {}, () -> plan.section().requestFocus()),
                new Stations.Station("cut", KeyCode.DIGIT3, cut, cut::setShown, cut::focus),
                new Stations.Station("prove", KeyCode.DIGIT4, prove, prove::setShown, prove::focus),
                new Stations.Station(
                    "record", KeyCode.DIGIT5, record, record::setShown, record::focus)),
            session.words());
    top =
        new TopBar(
            session,
            new JobMenu(
                session,
                folder,
                files,
                this::scaleText,
                this::speak,
                () -> showShop("practices"),
                this::close),
            seats);
    frame.setTop(new VBox(top, banner));
    frame.setLeft(rail());
    session.work().addListener((o, was, is) -> title());
    session.changed().addListener((o, was, is) -> title());
    session.work().addListener((o, was, is) -> recovery.keep(session));
    session.file().addListener((o, was, is) -> hold(is));
    hold(session.file().get());
    recovery.onTrouble(t -> Platform.runLater(() -> top.unguarded(t)));
    look();
    title();
  }

  /** Everything anew in another language; job, undo and station stay. */
  private void speak(Language language) {
    String station = stations.current().id();
    double lift = plan.section().liftProperty().get();
    // What is built anew must not go on listening to gauges in its old form.
    stations.current().shown().accept(false);
    session.speak(language);
    bench.forgetViews();
    folder.keepLanguage(language);
    build();
    plan.section().liftProperty().set(lift);
    stations.show(stations.byId(station), welcome.isEmpty());
    if (welcome.isPresent()) {
      welcome();
    }
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

  /** What was done at the machine is on disk before the work goes on. */
  private void settle() {
    recovery.keep(session);
    recovery.settle();
  }

  public CutStation cut() {
    return cut;
  }

  public RecordStation record() {
    return record;
  }

  private RecordStation.Files exports() {
    return new RecordStation.Files() {
      @Override
      public void save(String ending, Supplier<byte[]> content) {
        files.export(ending, content);
      }

      @Override
      public Optional<Path> table() {
        return picker.table();
      }
    };
  }

  private ProveStation.Chooser chooser() {
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

  /**
   * Shows a view by its name: job, found, cut, those of {@link RecordStation#VIEWS}, plan, within
   * the plan variants or suggest, prove, within it those of {@link ProveStation#VIEWS}, and over
   * them practices or cutters.
   */
  public void show(String view) {
    if (view.equals("practices") || view.equals("cutters")) {
      showShop(view);
      return;
    }
    boolean proves = ProveStation.VIEWS.contains(view);
    if (RecordStation.VIEWS.contains(view)) {
      stations.show(stations.byId("record"), welcome.isEmpty());
      record.show(view);
      return;
    }
    if (view.equals("chamber")) {
      stations.show(stations.byId("found"), welcome.isEmpty());
      found.showChamber();
      return;
    }
    boolean named = List.of("found", "job", "cut").contains(view);
    stations.show(stations.byId(named ? view : proves ? "prove" : "plan"), welcome.isEmpty());
    if (proves) {
      prove.show(view);
    } else if (!named) {
      plan.show(view);
    }
  }

  private void look() {
    theme.applyTo(scene, textScale);
    seats.paint();
    plan.restyle();
    found.restyle();
    prove.restyle();
    job.restyle();
    cut.restyle();
  }

  private VBox rail() {
    Region gap = new Region();
    VBox.setVgrow(gap, Priority.ALWAYS);
    Button look = TopBar.button("\u25d0", "theme", session.say("rail.look"), this::switchTheme);
    look.getStyleClass().add("rail-button");
    Button keys = TopBar.button("F1", "help", session.say("rail.keys"), overlays::showKeys);
    keys.getStyleClass().add("rail-button");
    VBox rail = new VBox(6);
    rail.getChildren().addAll(stations.buttons());
    rail.getChildren().addAll(gap, look, keys);
    rail.getStyleClass().add("rail");
    return rail;
  }

  private void title() {
    stage.setTitle(
        welcome.isPresent()
            ? "Fine Bore"
            : session.job().name() + (session.changed().get() ? " *" : "") + " - Fine Bore");
  }

  /** What the keys do; what is being typed counts before the job is saved or undone. */
  private final class KeyActions implements Keys.Actions {
    @Override
    public void help() {
      overlays.showKeys();
    }

    @Override
    public void undo() {
      takeTyping();
      session.undo();
    }

    @Override
    public void redo() {
      takeTyping();
      session.redo();
    }

    @Override
    public void newJob() {
      files.newJob();
    }

    @Override
    public void open() {
      files.open();
    }

    @Override
    public void save() {
      takeTyping();
      files.save();
    }

    @Override
    public void saveAs() {
      takeTyping();
      files.saveAs();
    }

    @Override
    public void cutSheet() {
      takeTyping();
      files.cutSheet();
    }

    @Override
    public void newTest() {
      inProve(prove::newTest);
    }

    @Override
    public void importTable() {
      inProve(prove::importTable);
    }

    @Override
    public void exportTests() {
      inProve(prove::exportTests);
    }

    private void inProve(Runnable action) {
      if (stations.isShown("prove") && welcome.isEmpty()) {
        takeTyping();
        action.run();
      }
    }

    @Override
    public void switchTheme() {
      MainWindow.this.switchTheme();
    }

    @Override
    public void scaleText(double by) {
      MainWindow.this.scaleText(by);
    }

    @Override
    public boolean goTo(KeyCode key) {
      Optional<Stations.Station> station = stations.byKey(key);
      if (station.isEmpty() || welcome.isPresent()) {
        return false;
      }
      takeTyping();
      stations.goTo(station.get());
      return true;
    }
  }

  private void takeTyping() {
    if (scene.getFocusOwner() instanceof TextInputControl field) {
      root.requestFocus();
      field.requestFocus();
    }
  }

  /** Shows what belongs to the shop over the station: practices or cutters. */
  public void showShop(String view) {
    overlays.showShop(view);
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
      tell(session.say("top.openFirst", "file", file.getFileName().toString()));
    } else {
      stations.show(stations.byId("prove"), true);
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
        new Welcome(
            session.words(),
            files::openDemo,
            files::newJob,
            files::open,
            folder.recent(),
            files::openFile);
    welcome = Optional.of(offer);
    frame.setCenter(offer);
    seats.setVisible(false);
    top.showTitle(false);
    title();
    offer.focus();
  }

  private void opened() {
    air.take(session.document().solvedAir());
    endWelcome();
    plan.section().fit();
  }

  private void endWelcome() {
    welcome = Optional.empty();
    stations.show(stations.current(), true);
    seats.setVisible(true);
    top.showTitle(true);
    title();
  }

  /** Offers work that earlier runs could not save, one after the other. */
  public void offer(Recovery.Found left) {
    new RecoveryOffer(session, recovery, banner, files::mayLeave, this::leaveJob).offer(left);
  }

  private void leaveJob() {
    endWelcome();
    bench.leave();
  }

  /** Says something above the station. */
  public void tell(String words) {
    banner.say(words, Banner.Kind.PROBLEM);
  }

  /** Opens a job file; one that cannot be taken is said so and the open job stays. */
  public void openFile(Path file) {
    files.openFile(file);
  }

  private void leave() {
    bench.leave();
    gauges.close();
    recovery.close();
    openJob.close();
  }

  private void hold(Optional<Path> file) {
    openJob.hold(file, other -> Platform.runLater(() -> openElsewhere(other)));
  }

  private void openElsewhere(Holder other) {
    banner.say(
        session.say(
            "open.elsewhere",
            "who",
            other.who(),
            "where",
            other.where(),
            "since",
            Moments.text(other.since())),
        Banner.Kind.OFFER);
  }

  private void close() {
    if (files.mayLeave()) {
      leave();
      stage.hide();
    }
  }
}
