package finebore.desk.shop;

import finebore.desk.controls.EntryField;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.desk.session.Shop;
import finebore.finding.Basis;
import finebore.formats.FileProblem;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The practices to choose from; those of the shop's own can be changed. */
final class PracticesPane extends BorderPane {

  private static final int COLUMNS_OF_PORT = 3;
  private static final double LIST_PX = 200;

  private final JobSession session;
  private final Shop shop;
  private final Changes changes;
  private final ListView<Practice> list = new ListView<>();
  private final Label how = new Label();
  private final EntryField<String> name;
  private final EntryField<String> about;
  private final Button use = new Button();
  private final Button remove = new Button();
  private final GridPane grid = new GridPane();
  private final List<Limits> limits = new ArrayList<>();
  private final List<Label> names = new ArrayList<>();
  private String chosen;

  PracticesPane(JobSession session, Shop shop, ShopSheet.Chooser chooser, Changes changes) {
    this.session = session;
    this.shop = shop;
    this.changes = changes;
    chosen = session.practice().id();
    list.setId("practices");
    list.setCellFactory(l -> new Named());
    list.setPrefWidth(LIST_PX);
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && !is.id().equals(chosen)) {
                chosen = is.id();
                show();
              }
            });
    button(use, "use-practice", () -> session.edit("", j -> j.withPractice(chosen)));
    Button copy = new Button();
    button(copy, "copy-practice", this::copy);
    button(remove, "remove-practice", () -> shop.remove(practice()));
    Button share = new Button();
    button(share, "share-practice", () -> share(chooser));
    Button take = new Button();
    button(take, "take-practice", () -> take(chooser));
    VBox left = new VBox(6, list, use, copy, remove, share, take);
    VBox.setVgrow(list, Priority.ALWAYS);
    left.setStyle("-fx-padding: 0 12 0 0;");
    name = text("practice-name", "shop.practice.name", (p, s) -> p.named(p.id(), s));
    about = text("practice-about", "shop.practice.about", Practice::withAbout);
    how.setWrapText(true);
    how.setMinHeight(USE_PREF_SIZE);
    how.getStyleClass().addAll("small", "muted");
    how.setId("practice-how");
    build();
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    setLeft(left);
    setCenter(new VBox(6, how, name, about, scroll));
    show();
  }

  void focus() {
    list.requestFocus();
  }

  private void button(Button button, String id, Changes.Change change) {
    button.setId(id);
    button.setText(session.say("shop." + id));
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(e -> changes.make(id, change));
  }

  private EntryField<String> text(
      String id, String key, BiFunction<Practice, String, Practice> with) {
    return new EntryField<>(
            "field-" + id,
            Grammar.text(),
            session::words,
            session.messages(),
            (gesture, text) ->
                changes.typed(id, () -> shop.keep(with.apply(practice(), text.strip()))))
        .named(session.say(key));
  }

  /** The practice looked at; the first where it is gone. */
  private Practice practice() {
    return shop.practices().stream()
        .filter(p -> p.id().equals(chosen))
        .findFirst()
        .orElseGet(() -> shop.practices().getFirst());
  }

  private void copy() throws FileProblem {
    Practice from = practice();
    chosen =
        shop.copy(
                from.withAbout(about(from)),
                session.say("shop.copyOf", "practice", session.words().term(from.term())))
            .id();
  }

  /** What a practice is for: those that ship say it in the reader's language. */
  private String about(Practice practice) {
    return shop.isOwn(practice) ? practice.about() : session.words().of(practice, "about");
  }

  private void share(ShopSheet.Chooser chooser) throws FileProblem {
    var file = chooser.savePractice(practice().id());
    if (file.isPresent()) {
      shop.share(practice(), file.get());
      session
          .messages()
          .note("share-practice", session.say("shop.shared", "file", file.get().toString()));
    }
  }

  private void take(ShopSheet.Chooser chooser) throws FileProblem {
    var file = chooser.practice();
    if (file.isPresent()) {
      chosen = shop.take(file.get()).id();
    }
  }

  private void build() {
    grid.setHgap(8);
    grid.setVgap(3);
    // Clear of the bar that scrolls it.
    grid.setPadding(new Insets(0, 10, 0, 0));
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    wide.setMinWidth(130);
    grid.getColumnConstraints().add(wide);
    int column = 1;
    for (Port port : Port.values()) {
      Label head = new Label(session.words().of(port, "group").toUpperCase(Locale.ROOT));
      head.getStyleClass().add("heading");
      grid.add(head, column, 0, COLUMNS_OF_PORT, 1);
      column = heads(column);
    }
    int row = 2;
    for (ReadingKind kind : ReadingKind.values()) {
      Label label = new Label();
      label.setWrapText(true);
      names.add(label);
      grid.add(label, 0, row);
      column = 1;
      for (Port port : Port.values()) {
        Limits of = new Limits(port, kind);
        grid.add(of.min, column, row);
        grid.add(of.max, column + 1, row);
        grid.add(new StackPane(of.basis, of.shippedBasis), column + 2, row);
        limits.add(of);
        column += COLUMNS_OF_PORT;
      }
      row++;
    }
  }

  private int heads(int from) {
    int column = from;
    for (String key : List.of("shop.atLeast", "shop.atMost", "shop.restsOn")) {
      Label head = new Label(session.say(key));
      head.getStyleClass().addAll("small", "muted");
      head.setMinWidth(Region.USE_PREF_SIZE);
      grid.add(head, column, 1);
      column++;
    }
    return column;
  }

  void show() {
    List<Practice> all = shop.practices();
    if (!list.getItems().equals(all)) {
      list.getItems().setAll(all);
    }
    Practice shown = practice();
    chosen = shown.id();
    list.getSelectionModel().select(shown);
    boolean own = shop.isOwn(shown);
    boolean used = session.practice().id().equals(shown.id());
    use.setDisable(used);
    remove.setDisable(!own);
    how.setText(
        session.say(own ? "shop.practice.own" : "shop.practice.shipped")
            + (used ? " " + session.say("shop.practice.used") : ""));
    name.show(own ? shown.name() : session.words().term(shown.term()));
    about.show(about(shown));
    name.setDisable(!own);
    about.setDisable(!own);
    Words words = session.words();
    for (int k = 0; k < names.size(); k++) {
      ReadingKind kind = ReadingKind.values()[k];
      String unit = words.units().unit(kind.dimension());
      names.get(k).setText(words.label(kind) + (unit.isEmpty() ? "" : ", " + unit));
    }
    limits.forEach(l -> l.show(shown, own));
  }

  /** The name of a practice in the list. */
  private final class Named extends ListCell<Practice> {
    @Override
    protected void updateItem(Practice item, boolean empty) {
      super.updateItem(item, empty);
      setText(
          empty || item == null
              ? ""
              : session.words().term(item.term())
                  + (session.practice().id().equals(item.id()) ? "  \u2713" : ""));
    }
  }

  /** What is wanted of a reading of intakes, or of exhausts. */
  private final class Limits {
    private final Port port;
    private final ReadingKind kind;
    private final EntryField<OptionalDouble> min;
    private final EntryField<OptionalDouble> max;
    private final EntryField<Optional<Basis>> basis;

    /** The same where nothing can be typed: it may take two lines. */
    private final Label shippedBasis = new Label();

    Limits(Port port, ReadingKind kind) {
      this.port = port;
      this.kind = kind;
      min =
          limit(
              "min",
              "shop.atLeast",
              value -> Range.own(value, range().map(Range::max).orElse(OptionalDouble.empty())));
      max =
          limit(
              "max",
              "shop.atMost",
              value -> Range.own(range().map(Range::min).orElse(OptionalDouble.empty()), value));
      basis =
          new EntryField<>(
                  id("basis"),
                  new OfBasis(),
                  session::words,
                  session.messages(),
                  (gesture, read) ->
                      take(range().map(r -> r.restingOn(read.orElse(Basis.OWN_PRACTICE)))))
              .namedBeside(name("shop.restsOn"))
              .withoutUnit();
      basis.cell().setPrefColumnCount(15);
      shippedBasis.setWrapText(true);
      shippedBasis.getStyleClass().addAll("muted", "rests-on");
      shippedBasis.visibleProperty().bind(basis.visibleProperty().not());
      for (Node either : List.of(basis, shippedBasis)) {
        either.managedProperty().bind(either.visibleProperty());
      }
    }

    private EntryField<OptionalDouble> limit(
        String what, String key, Function<OptionalDouble, Optional<Range>> with) {
      EntryField<OptionalDouble> field =
          EntryField.of(
                  id(what),
                  Grammar.figure(kind.dimension()),
                  session::words,
                  session.messages(),
                  (gesture, value) -> take(with.apply(value)))
              .namedBeside(name(key))
              .withoutUnit();
      field.cell().setPrefColumnCount(5);
      // A figure that is cut off is another figure.
      field.cell().setMinWidth(Region.USE_PREF_SIZE);
      // Beside what may take two lines.
      field.setAlignment(Pos.CENTER_LEFT);
      return field;
    }

    private void take(Optional<Range> range) {
      changes.typed(id("range"), () -> shop.keep(practice().with(port, kind, range)));
    }

    private String id(String what) {
      return "field-" + port.key() + "-" + kind.key() + "-" + what;
    }

    private String name(String key) {
      return session.words().of(port, "group")
          + ", "
          + session.words().name(kind)
          + ", "
          + session.say(key);
    }

    private Optional<Range> range() {
      return practice().wanted(port, kind);
    }

    void show(Practice shown, boolean own) {
      Optional<Range> range = shown.wanted(port, kind);
      min.show(range.map(Range::min).orElse(OptionalDouble.empty()));
      max.show(range.map(Range::max).orElse(OptionalDouble.empty()));
      basis.show(range.map(Range::basis));
      min.setDisable(!own);
      max.setDisable(!own);
      basis.setVisible(own);
      basis.setDisable(range.isEmpty());
      shippedBasis.setText(basis.cell().getText());
    }
  }

  /** What a range rests on: one of the usual grounds by its name, or a source. */
  private final class OfBasis implements Grammar<Optional<Basis>> {
    @Override
    public boolean isWords() {
      return true;
    }

    @Override
    public Optional<Basis> read(String text, UnitSystem units) {
      if (text.isBlank()) {
        return Optional.empty();
      }
      return Optional.of(
          Stream.of(Basis.OWN_PRACTICE, Basis.COMMON_PRACTICE, Basis.GEOMETRY)
              .filter(b -> session.words().label(b).equalsIgnoreCase(text.strip()))
              .findFirst()
              .orElseGet(() -> Basis.source(text.strip())));
    }

    @Override
    public String written(Optional<Basis> value, UnitSystem units) {
      return value
          .map(b -> b.kind() == Basis.Kind.SOURCE ? b.source() : session.words().label(b))
          .orElse("");
    }
  }
}
