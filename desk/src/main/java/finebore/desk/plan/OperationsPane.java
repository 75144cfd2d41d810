package finebore.desk.plan;

import finebore.code.Term;
import finebore.cutting.Cutting;
import finebore.cutting.Operation;
import finebore.cutting.OperationSetting;
import finebore.cutting.TakeWallBack;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Group;
import finebore.job.Plan;
import finebore.planning.GroupOutcome;
import finebore.planning.SeatOutcome;
import finebore.seat.CutStack;
import finebore.seat.Seat;
import finebore.units.Dimension;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * The operations of the plan as a stack of cards. Choosing one shows the metal as it is after it;
 * the card tells what came in and holds its settings.
 */
final class OperationsPane extends VBox {

  private final JobSession session;
  private final FlowPane variants = new FlowPane(4, 4);
  private final Label follows = new Label();
  private final Button exception = new Button();
  private final ReadyBox ready;
  private final VBox cards = new VBox(4);
  private final List<Card> shown = new ArrayList<>();
  private final ToggleButton asFound;
  private final ToggleButton finished;
  private List<Object> structure = List.of();
  private List<Object> variantsShown = List.of();

  OperationsPane(JobSession session) {
    super(6);
    this.session = session;
    setId("operations");
    asFound = end(session.say("operations.asFound"), "operation-0", OptionalInt.of(0));
    finished = end(session.say("operations.finished"), "operation-all", OptionalInt.empty());
    ready = new ReadyBox(session);
    follows.setWrapText(true);
    follows.setMinHeight(USE_PREF_SIZE);
    follows.getStyleClass().addAll("small", "muted");
    exception.setId("exception");
    exception.getStyleClass().add("small");
    HBox rule = new HBox(6, follows, exception);
    rule.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(follows, Priority.ALWAYS);
    follows.setMaxWidth(Double.MAX_VALUE);
    exception.setMinWidth(Region.USE_PREF_SIZE);
    MenuButton add = new MenuButton(session.say("operations.add"));
    add.setId("add-operation");
    for (Operation kind : Operation.kinds()) {
      MenuItem item = new MenuItem(session.words().label(kind));
      item.setId("add-" + kind.key());
      item.setOnAction(e -> add(kind));
      add.getItems().add(item);
    }
    VBox stack = new VBox(4, asFound, cards, finished, add);
    ScrollPane scroll = new ScrollPane(stack);
    scroll.setFitToWidth(true);
    VBox.setVgrow(scroll, Priority.ALWAYS);
    getChildren().addAll(variants, rule, ready, scroll);
    session.work().addListener((o, was, is) -> show(is));
    show(session.work().get());
  }

  private ToggleButton end(String words, String id, OptionalInt look) {
    ToggleButton button = new ToggleButton(words);
    button.setId(id);
    button.setMaxWidth(Double.MAX_VALUE);
    button.setOnAction(e -> session.lookAfter(look));
    return button;
  }

  /** Puts an operation in after the chosen one, or last, and chooses it. */
  private void add(Operation kind) {
    int place = session.lookedAfter().orElse(plan().operations().size());
    session.editPlan("", p -> p.withOperation(place, NewOperation.of(kind, session.work().get())));
    session.lookAfter(OptionalInt.of(place + 1));
  }

  private Plan plan() {
    return session.work().get().plan().plan();
  }

  private void show(SeatView work) {
    showVariants(work);
    boolean own = work.job().isException(work.place());
    follows.setText(
        own
            ? session.say("operations.own", "seat", work.place().label())
            : session.say(
                "operations.shared",
                "port",
                work.port(),
                "seats",
                String.join(
                    " ",
                    session.group().group().seats().stream()
                        .map(s -> s.place().label())
                        .toList())));
    exception.setText(session.say(own ? "operations.follow" : "operations.except"));
    exception.setTooltip(
        new Tooltip(
            session.say(
                own ? "operations.follow.tip" : "operations.except.tip",
                "seat",
                work.place().label())));
    exception.setOnAction(
        e ->
            session.edit(
                "",
                job ->
                    own
                        ? job.withoutException(work.place())
                        : job.withException(
                            work.place(), job.planOf(work.place()).withReady(false))));
    ready.show(work);
    OptionalInt looked = work.showFound() ? OptionalInt.of(0) : session.lookedAfter();
    asFound.setSelected(looked.isPresent() && looked.getAsInt() == 0);
    finished.setSelected(looked.isEmpty());
    showCards(work, looked);
  }

  private void showVariants(SeatView work) {
    Group group = work.group();
    boolean own = work.job().isException(work.place());
    List<Object> now = List.of(work.place(), group.chosen(), group.plans().size(), own);
    if (now.equals(variantsShown)) {
      return;
    }
    variantsShown = now;
    List<Node> buttons = new ArrayList<>();
    for (int k = 0; k < group.plans().size(); k++) {
      int index = k;
      ToggleButton button = new ToggleButton(Group.planName(k));
      button.setId("variant-" + Group.planName(k));
      button.setSelected(k == group.chosen());
      button.setTooltip(new Tooltip(session.say("variants.choose.tip", "name", Group.planName(k))));
      button.setOnAction(
          e ->
              session.edit(
                  "", job -> job.withGroup(work.port(), job.group(work.port()).withChosen(index))));
      buttons.add(button);
    }
    if (group.plans().size() < Group.MOST_PLANS) {
      buttons.add(
          small(
              "+",
              "add-variant",
              session.say("variants.add.tip"),
              () ->
                  session.edit(
                      "",
                      job -> job.withGroup(work.port(), job.group(work.port()).withVariant()))));
    }
    if (group.plans().size() > 1) {
      buttons.add(
          small(
              "✕",
              "drop-variant",
              session.say("variants.drop.tip", "name", Group.planName(group.chosen())),
              () ->
                  session.edit(
                      "",
                      job -> job.withGroup(work.port(), job.group(work.port()).withoutVariant()))));
    }
    Label word = new Label(session.say("variants.heading"));
    word.getStyleClass().add("heading");
    buttons.addFirst(word);
    buttons.forEach(b -> b.setDisable(own));
    variants.getChildren().setAll(buttons);
  }

  static Button small(String sign, String id, String tip, Runnable action) {
    Button button = new Button(sign);
    button.setId(id);
    button.getStyleClass().add("icon-button");
    button.setAccessibleText(tip);
    button.setTooltip(new Tooltip(tip));
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(e -> action.run());
    return button;
  }

  private void showCards(SeatView work, OptionalInt looked) {
    List<Operation> operations = work.plan().plan().operations();
    List<Object> wanted = new ArrayList<>(operations.stream().map(Object::getClass).toList());
    wanted.add(looked);
    wanted.add(work.place());
    if (!wanted.equals(structure)) {
      structure = wanted;
      shown.clear();
      for (int k = 0; k < operations.size(); k++) {
        shown.add(new Card(k, looked.isPresent() && looked.getAsInt() == k + 1));
      }
      cards.getChildren().setAll(shown);
    }
    GroupOutcome group = session.group().group();
    shown.forEach(c -> c.show(work, group));
  }

  /** One operation. */
  private final class Card extends VBox {
    private final int place;
    private final ToggleButton title = new ToggleButton();
    private final Label summary = new Label();
    private final Label outcome = new Label();
    private final Label problem = new Label();
    private final List<SettingsEditor> editors = new ArrayList<>();

    Card(int place, boolean open) {
      super(2);
      this.place = place;
      String name = "operation-" + (place + 1);
      getStyleClass().add("card");
      title.setId(name);
      title.setSelected(open);
      title.setMaxWidth(Double.MAX_VALUE);
      title.setAlignment(Pos.CENTER_LEFT);
      HBox.setHgrow(title, Priority.ALWAYS);
      title.setOnAction(
          e -> session.lookAfter(open ? OptionalInt.empty() : OptionalInt.of(place + 1)));
      HBox head = new HBox(3, title);
      head.setAlignment(Pos.CENTER_LEFT);
      if (open) {
        int last = plan().operations().size() - 1;
        Button up = small("▲", name + "-up", session.say("operations.earlier"), () -> move(-1));
        up.setDisable(place == 0);
        Button down = small("▼", name + "-down", session.say("operations.later"), () -> move(1));
        down.setDisable(place == last);
        head.getChildren()
            .addAll(up, down, small("✕", name + "-remove", session.say("ui.remove"), this::remove));
      }
      for (Label label : List.of(summary, outcome, problem)) {
        label.setWrapText(true);
        label.setMinHeight(USE_PREF_SIZE);
        label.getStyleClass().add("small");
      }
      summary.getStyleClass().add("muted");
      outcome.setId(name + "-outcome");
      problem.getStyleClass().add("fault");
      getChildren().addAll(head, summary, outcome, problem);
      if (open) {
        editors.add(new SettingsEditor(session, place));
        getChildren().addAll(editors);
      }
    }

    private void move(int by) {
      session.editPlan("", p -> p.withOperationMoved(place, by));
      session.lookAfter(OptionalInt.of(place + 1 + by));
    }

    private void remove() {
      session.editPlan("", p -> p.withoutOperation(place));
      session.lookAfter(OptionalInt.empty());
    }

    void show(SeatView work, GroupOutcome group) {
      Cutting.Step step = work.plan().cutting().steps().get(place);
      Words words = work.words();
      title.setText((place + 1) + "  " + words.label(step.operation()));
      summary.setText(summary(step.operation(), work.plan().plan().wanted().seat(), words));
      summary.setVisible(editors.isEmpty());
      summary.setManaged(editors.isEmpty());
      // A card that is closed tells of the seat looked at, an open one of all that follow the plan.
      outcome.setText(
          editors.isEmpty()
              ? outcome(step, group.plan().wanted().seat().stack(), words)
              : outcome(place, group, words));
      String wrong =
          step.problem()
              .map(problem -> "\u2717 " + words.say(problem))
              .or(
                  () ->
                      step.hangsUpMm().isPresent()
                          ? Optional.of(
                              "\u2717 "
                                  + words.text(
                                      "operations.hangsUp",
                                      "throat",
                                      words.units().lengthText(step.hangsUpMm().getAsDouble())))
                          : Optional.empty())
              .orElse("");
      problem.setText(wrong);
      problem.setVisible(!wrong.isEmpty());
      problem.setManaged(!wrong.isEmpty());
      editors.forEach(SettingsEditor::show);
    }
  }

  /** What an operation does at each seat that follows the plan; once where it does the same. */
  private static String outcome(int place, GroupOutcome group, Words words) {
    Map<String, List<String>> same = new LinkedHashMap<>();
    for (SeatOutcome seat : group.seats()) {
      same.computeIfAbsent(
              outcome(
                  seat.cut().cutting().steps().get(place),
                  group.plan().wanted().seat().stack(),
                  words),
              k -> new ArrayList<>())
          .add(seat.place().label());
    }
    List<String> parts = new ArrayList<>();
    same.forEach(
        (text, seats) ->
            parts.add((group.seats().size() > 1 ? String.join(" ", seats) + ": " : "") + text));
    return String.join("\n", parts);
  }

  private static String outcome(Cutting.Step step, CutStack wanted, Words words) {
    List<String> parts = new ArrayList<>();
    List<Cutting.ElementIn> elements = step.elementsIn(wanted);
    int all = elements.size();
    if (all > 0) {
      int came = (int) elements.stream().filter(c -> c.shownMm() > 0).count();
      parts.add(words.text("operations.shows", "came", came, "all", all));
      for (Cutting.ElementIn cut : elements) {
        String angle = words.term(cut.element().term());
        if (cut.shownMm() <= 0) {
          parts.add(words.text("operations.never", "cut", angle));
        } else if (cut.mostMm() - cut.leastMm() > 0.02) {
          parts.add(
              words.text(
                  "operations.uneven",
                  "cut",
                  angle,
                  "least",
                  words.units().shortLength(cut.leastMm()),
                  "most",
                  words.units().lengthText(cut.mostMm())));
        }
      }
    }
    step.cleanUp()
        .ifPresent(
            clean -> {
              clean.sealingMm().ifPresent(mm -> parts.add(depth("operations.clean", mm, words)));
              if (all > 1) {
                clean.allMm().ifPresent(mm -> parts.add(depth("operations.allClean", mm, words)));
              }
            });
    parts.add(
        step.removedMm3() < 0.01
            ? words.text(
                step.operation() instanceof TakeWallBack
                    ? "operations.wallNothing"
                    : "operations.removesNothing")
            : words.text(
                "operations.removes", "volume", words.figure(Dimension.VOLUME, step.removedMm3())));
    if (step.addedMm3() > 0) {
      parts.add(
          words.text("operations.adds", "volume", words.figure(Dimension.VOLUME, step.addedMm3())));
    }
    return String.join("; ", parts);
  }

  private static String depth(String key, double mm, Words words) {
    return words.text(key, "depth", words.units().lengthText(mm));
  }

  /** Its settings that are not what the plan has anyway, each with its name. */
  private static String summary(Operation operation, Seat wanted, Words words) {
    List<String> parts = new ArrayList<>();
    for (OperationSetting<?> setting : operation.settings()) {
      List<Term> terms = setting.term(operation, wanted);
      if (!terms.isEmpty() && !words.term(terms.getFirst()).isBlank()) {
        parts.add(words.label(setting) + " " + words.term(terms.getFirst()));
      }
    }
    return String.join(", ", parts.subList(0, Math.min(3, parts.size())));
  }
}
