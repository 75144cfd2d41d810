package finebore.desk.plan;

import finebore.cutting.Cutting;
import finebore.cutting.Operation;
import finebore.cutting.Settings;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.job.Group;
import finebore.job.Plan;
import finebore.practice.Finding;
import finebore.practice.PlanFindings;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
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
  private final ToggleButton asFound = end("As found", "operation-0", OptionalInt.of(0));
  private final ToggleButton finished = end("Finished", "operation-all", OptionalInt.empty());
  private List<Object> structure = List.of();
  private List<Object> variantsShown = List.of();

  OperationsPane(JobSession session) {
    super(6);
    this.session = session;
    setId("operations");
    ready = new ReadyBox(session);
    follows.setWrapText(true);
    follows.getStyleClass().addAll("small", "muted");
    exception.setId("exception");
    exception.getStyleClass().add("small");
    HBox rule = new HBox(6, follows, exception);
    rule.setAlignment(Pos.CENTER_LEFT);
    HBox.setHgrow(follows, Priority.ALWAYS);
    follows.setMaxWidth(Double.MAX_VALUE);
    exception.setMinWidth(Region.USE_PREF_SIZE);
    MenuButton add = new MenuButton("Add an operation");
    add.setId("add-operation");
    for (NewOperation kind : NewOperation.values()) {
      MenuItem item = new MenuItem(kind.words());
      item.setId("add-" + kind.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
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
  private void add(NewOperation kind) {
    int place = session.lookedAfter().orElse(plan().operations().size());
    session.editPlan("", p -> p.withOperation(place, kind.make(session.work().get())));
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
            ? work.place().label() + " has a plan of its own"
            : "Plan of all " + work.port().word() + " seats");
    exception.setText(own ? "Follow the others" : "Make an exception");
    exception.setTooltip(
        new Tooltip(
            own
                ? "Drops this seat's own plan; it follows its group again"
                : "Gives " + work.place().label() + " a plan of its own"));
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
      button.setTooltip(new Tooltip("Makes variant " + Group.planName(k) + " the plan"));
      button.setOnAction(
          e ->
              session.edit(
                  "",
                  job -> {
                    Group g = job.group(work.port());
                    return job.withGroup(work.port(), g.withPlans(g.plans(), index));
                  }));
      buttons.add(button);
    }
    if (group.plans().size() < Group.MOST_PLANS) {
      buttons.add(
          small(
              "+",
              "add-variant",
              "Keeps this plan and goes on with a copy",
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
              "Drops variant " + Group.planName(group.chosen()),
              () ->
                  session.edit(
                      "",
                      job -> job.withGroup(work.port(), job.group(work.port()).withoutVariant()))));
    }
    Label word = new Label("VARIANT");
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
    shown.forEach(c -> c.show(work));
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
        Button up = small("▲", name + "-up", "Earlier", () -> move(-1));
        up.setDisable(place == 0);
        Button down = small("▼", name + "-down", "Later", () -> move(1));
        down.setDisable(place == last);
        head.getChildren()
            .addAll(up, down, small("✕", name + "-remove", "Leave it out", this::remove));
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

    void show(SeatView work) {
      Cutting.Step step = work.plan().cutting().steps().get(place);
      UnitSystem units = work.job().units();
      title.setText((place + 1) + "  " + step.operation().title());
      summary.setText(
          String.join(
              ", ",
              Settings.of(step.operation(), work.plan().cutting().wanted(), step.depthMm(), units)
                  .stream()
                  .limit(4)
                  .map(s -> s.value())
                  .toList()));
      summary.setVisible(editors.isEmpty());
      summary.setManaged(editors.isEmpty());
      outcome.setText(outcome(step, units));
      String wrong =
          !step.problem().isEmpty()
              ? "✗ " + step.problem()
              : step.hangsUpMm().isPresent()
                  ? "✗ hangs up: open the throat to "
                      + units.lengthText(step.hangsUpMm().getAsDouble())
                      + " first"
                  : "";
      problem.setText(wrong);
      problem.setVisible(!wrong.isEmpty());
      problem.setManaged(!wrong.isEmpty());
      editors.forEach(e -> e.show(step.operation(), step));
    }
  }

  private static String outcome(Cutting.Step step, UnitSystem units) {
    List<String> words = new ArrayList<>();
    long all = step.cameIn().size();
    if (all > 0) {
      long came = step.cameIn().stream().filter(c -> c.shownMm() > 0).count();
      words.add(came + " of " + all + (all == 1 ? " cut shows" : " cuts show"));
      for (Cutting.CameIn cut : step.cameIn()) {
        if (cut.shownMm() <= 0) {
          words.add(cut.cut().spoken() + " never touches");
        } else if (cut.mostMm() - cut.leastMm() > 0.02) {
          words.add(
              cut.cut().spoken()
                  + " "
                  + units.shortLength(cut.leastMm())
                  + " to "
                  + units.lengthText(cut.mostMm()));
        }
      }
    }
    step.cleanUp()
        .ifPresent(
            clean -> {
              clean.sealingMm().ifPresent(mm -> words.add("goes clean at " + units.lengthText(mm)));
              if (all > 1) {
                clean.allMm().ifPresent(mm -> words.add("every cut at " + units.lengthText(mm)));
              }
            });
    double removed = step.removedMm3() / 1000;
    words.add(
        step.removedMm3() < 0.01
            ? "takes nothing"
            : "takes " + UnitSystem.fixed(removed, removed < 0.1 ? 3 : 2) + " cm³");
    if (step.addedMm3() > 0) {
      words.add("puts in " + UnitSystem.fixed(step.addedMm3() / 1000, 2) + " cm³");
    }
    return String.join("; ", words);
  }

  /** Findings that keep the plan from being marked ready. */
  static List<Finding> blockers(SeatView work) {
    return work.showFound() ? List.of() : PlanFindings.blockers(work.findings());
  }
}
