package finebore.desk.record;

import finebore.card.CardPart;
import finebore.card.CardSize;
import finebore.card.JobCard;
import finebore.card.JobCard.Issued;
import finebore.card.ScribeSheet;
import finebore.code.Message;
import finebore.code.Term;
import finebore.desk.controls.MessageLine;
import finebore.desk.controls.Tabs;
import finebore.desk.controls.ToolRow;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.drawing.JobDrawings;
import finebore.drawing.Scribe;
import finebore.formats.FileProblem;
import finebore.formats.ReadingsTable;
import finebore.formats.TableText;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.work.WorkLog;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.InstantSource;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What goes out with the head and what stays: the card as it prints, files, history, times. */
public final class RecordStation extends BorderPane {

  /** Where files go to and come from. */
  public interface Files {

    /**
     * Asks for a file and writes it.
     *
     * @param ending of the file, without a point
     */
    void save(String ending, Supplier<byte[]> content);

    /** A table of readings to read. */
    Optional<Path> table();
  }

  private final JobSession session;
  private final WorkSession work;
  private final Files files;
  private final InstantSource clock;
  private final CardView card;
  private final ShopPane shop;
  private final HistoryPane history;
  private final Set<CardPart> parts = EnumSet.copyOf(CardPart.usual());
  private final ChoiceBox<String> paper = new ChoiceBox<>();
  private final ToggleGroup tabs = new ToggleGroup();
  private final VBox beside = new VBox();
  private final VBox include = new VBox(6);
  private boolean visible;

  public RecordStation(JobSession session, WorkSession work, Files files, InstantSource clock) {
    this.session = session;
    this.work = work;
    this.files = files;
    this.clock = clock;
    setId("record-station");
    card = new CardView(session, work, this::issued);
    shop = new ShopPane(session);
    history = new HistoryPane(session, work);
    paper.setId("record-paper");
    paper.setAccessibleText(session.say("record.paper"));
    for (CardSize size : CardSize.values()) {
      paper.getItems().add(session.say("record.paper." + size.key()));
    }
    paper.getSelectionModel().selectFirst();
    paper.getSelectionModel().selectedIndexProperty().addListener((o, was, is) -> card.refresh());
    MessageLine told = new MessageLine("record-message", session.messages());
    setTop(told.beside(toolbar()));
    setCenter(card);
    parts();
    HBox bar =
        new HBox(
            2,
            toggle("record.include", "record-tab-include"),
            toggle("record.shop", "record-tab-shop"),
            toggle("record.history", "record-tab-history"));
    bar.getStyleClass().add("tabs");
    tabs.getToggles().getFirst().setSelected(true);
    Tabs.keepOne(tabs, t -> tab());
    ScrollPane scroll = new ScrollPane(beside);
    scroll.setFitToWidth(true);
    VBox right = new VBox(8, bar, scroll);
    VBox.setVgrow(scroll, javafx.scene.layout.Priority.ALWAYS);
    right.getStyleClass().addAll("column", "right-column");
    right.prefWidthProperty().bind(widthProperty().multiply(0.42));
    setRight(right);
    tab();
    session.work().addListener((o, was, is) -> refresh());
  }

  private ToggleButton toggle(String key, String id) {
    ToggleButton button = new ToggleButton(session.say(key));
    button.setId(id);
    button.setToggleGroup(tabs);
    button.setMinWidth(Region.USE_PREF_SIZE);
    return button;
  }

  private ToolRow toolbar() {
    Button pdf = new Button(session.say("record.pdf"));
    pdf.setId("record-pdf");
    pdf.setTooltip(new Tooltip(session.say("record.pdf.tip")));
    pdf.setOnAction(e -> files.save("pdf", this::pdf));
    MenuButton more = new MenuButton(session.say("record.files"));
    more.setId("record-files");
    more.getItems()
        .setAll(
            item("record-dxf", "record.dxf", () -> files.save("dxf", () -> dxf(false))),
            item("record-cutter", "record.cutter", () -> files.save("dxf", () -> dxf(true))),
            item("record-svg", "record.svg", () -> files.save("svg", this::svg)),
            item("record-scribe-pdf", "record.scribe", () -> scribe("pdf")),
            item("record-scribe-svg", "record.scribeSvg", () -> scribe("svg")),
            item("record-scribe-dxf", "record.scribeDxf", () -> scribe("dxf")),
            item("record-csv", "record.csv", () -> files.save("csv", this::csv)),
            item("record-csv-in", "record.csvIn", this::readTable));
    Label of = new Label(session.say("record.paper"));
    HBox size = new HBox(6, of, paper);
    size.setAlignment(Pos.CENTER_LEFT);
    return new ToolRow(pdf, size, more);
  }

  private MenuItem item(String id, String key, Runnable action) {
    MenuItem item = new MenuItem(session.say(key));
    item.setId(id);
    item.setOnAction(e -> action.run());
    return item;
  }

  private void parts() {
    Label always = new Label(session.say("record.always"));
    always.setWrapText(true);
    always.setMinHeight(Region.USE_PREF_SIZE);
    always.getStyleClass().add("muted");
    include.getChildren().add(always);
    for (CardPart part : CardPart.values()) {
      CheckBox box = new CheckBox(session.words().label(part));
      box.setId("record-part-" + part.key());
      box.setSelected(parts.contains(part));
      box.setOnAction(
          e -> {
            if (box.isSelected()) {
              parts.add(part);
            } else {
              parts.remove(part);
            }
            card.refresh();
          });
      include.getChildren().add(box);
    }
  }

  private void tab() {
    int at = tabs.getToggles().indexOf(tabs.getSelectedToggle());
    beside.getChildren().setAll(List.of(include, shop, history).get(at));
    refresh();
  }

  private Issued issued() {
    CardSize size = CardSize.values()[Math.max(0, paper.getSelectionModel().getSelectedIndex())];
    ZoneId zone = ZoneId.systemDefault();
    return new Issued(LocalDate.ofInstant(clock.instant(), zone), zone, size, parts);
  }

  private byte[] pdf() {
    return JobCard.pdf(session.job(), session.words(), session.practice(), work.sheet(), issued());
  }

  private byte[] dxf(boolean cutter) {
    return JobDrawings.dxf(session.job(), session.seat().get(), session.words(), cutter)
        .getBytes(StandardCharsets.US_ASCII);
  }

  private byte[] svg() {
    return JobDrawings.svg(session.job(), session.seat().get(), session.words(), 0)
        .getBytes(StandardCharsets.UTF_8);
  }

  /** The chamber to be scribed, for a wall that is to cost nothing at the cam's lift. */
  private void scribe(String ending) {
    SeatPlace seat = session.seat().get();
    double lift = session.job().group(seat.port()).cam().maxLiftMm();
    Optional<Scribe> scribe = Scribe.of(session.job(), seat, lift, session.words());
    if (scribe.isEmpty()) {
      session
          .messages()
          .refuse(
              "record-scribe",
              session
                  .words()
                  .say(Message.of("scribe.unknown").with("seat", Term.quote(seat.label()))));
      return;
    }
    files.save(
        ending,
        () ->
            ScribeSheet.file(
                scribe.get(),
                session.job(),
                seat.cylinder(),
                session.words(),
                issued().size(),
                ending));
  }

  private byte[] csv() {
    return ReadingsTable.csv(session.job()).getBytes(StandardCharsets.UTF_8);
  }

  private void readTable() {
    files.table().ifPresent(this::readTable);
  }

  /** Takes the readings of a table into the job; what is wrong with it is said, and none taken. */
  public void readTable(Path file) {
    try {
      WorkLog.Hand hand = new WorkLog.Hand(clock.instant(), work.who());
      ReadingsTable.In in = ReadingsTable.read(session.job(), TableText.read(file), hand);
      Job taken = in.job();
      session.edit("", job -> job.withHead(taken.head()));
      session.log(log -> taken.log());
      session
          .messages()
          .note(
              "record-csv-in",
              session.say("record.csvIn.taken", "found", in.found(), "machine", in.atMachine()));
    } catch (FileProblem e) {
      session.messages().refuse("record-csv-in", session.words().say(e));
    }
  }

  /** Pages beside the card that can be shown by name. */
  public static final List<String> VIEWS = List.of("record", "shop", "history");

  /** Shows a page beside the card, by its name in {@link #VIEWS}. */
  public void show(String view) {
    tabs.selectToggle(tabs.getToggles().get(VIEWS.indexOf(view)));
  }

  /** Begins to follow the job: nothing is built for a station nobody looks at. */
  public void setShown(boolean is) {
    visible = is;
    refresh();
  }

  /** Puts the keyboard on what is done here most. */
  public void focus() {
    javafx.application.Platform.runLater(() -> lookup("#record-pdf").requestFocus());
  }

  private void refresh() {
    if (visible) {
      shop.show();
      history.show();
      card.refresh();
    }
  }

  /** Whether the card that is shown is made. */
  public boolean isCardShown() {
    return card.isUpToDate();
  }
}
