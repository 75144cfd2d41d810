package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.SetUpDifference;
import finebore.bench.SetUpDifference.Item;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.job.Job;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * What must be the same as last time, before a run. It is filled from last time; whatever differs
 * asks for a yes.
 */
final class Checklist extends VBox {

  private final ProveState state;
  private final Runnable changed;
  private final Set<String> accepted = new HashSet<>();
  private Set<String> asked = Set.of();

  Checklist(ProveState state, Runnable changed) {
    super(3);
    this.state = state;
    this.changed = changed;
    setId("checklist");
  }

  /** Whether everything that differs has its yes. */
  boolean isAnswered() {
    return accepted.containsAll(asked);
  }

  void show(Shown shown) {
    getChildren().clear();
    Optional<FlowTest> test = shown.test();
    Optional<FlowTest> last =
        test.flatMap(FlowTest::after).flatMap(id -> shown.job().bench().test(id));
    if (test.isEmpty()) {
      asked = Set.of();
      return;
    }
    if (last.isEmpty()) {
      asked = Set.of();
      say("Nothing to be the same as: this test is a beginning. See to its set-up.", "muted");
      return;
    }
    Job job = shown.job();
    List<SetUpDifference> differences = SetUpDifference.between(last.get(), test.get());
    say(
        "The same as in " + job.bench().numberOf(last.get()) + " " + last.get().name() + "?",
        "heading");
    Set<String> now = new HashSet<>();
    EnumSet<Item> same = EnumSet.complementOf(EnumSet.of(Item.AIR, Item.DIRECTION));
    for (SetUpDifference difference : differences) {
      same.remove(difference.item());
      if (difference.item() != Item.AIR) {
        now.add(ask(difference, job));
      }
    }
    asked = now;
    for (Item item : same) {
      say(
          "✓ "
              + new SetUpDifference(item, last.get(), test.get(), false)
                  .words(job.units())
                  .replaceFirst(", then .*$", ""),
          "muted");
    }
  }

  private void say(String words, String style) {
    Label label = new Label(words);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().add(style);
    getChildren().add(label);
  }

  private String ask(SetUpDifference difference, Job job) {
    String words = difference.words(job.units());
    String key = difference.test().id() + " " + words;
    boolean valve = difference.item() == Item.VALVE;
    if (valve && difference.test().valveIsTheChange()) {
      accepted.add(key);
    }
    CheckBox yes = new CheckBox("Yes: " + words);
    yes.setId("yes-" + difference.item().name().toLowerCase(java.util.Locale.ROOT));
    yes.setWrapText(true);
    yes.setMinHeight(Region.USE_PREF_SIZE);
    yes.getStyleClass().add(difference.spoils() ? "caution" : "note");
    yes.setSelected(accepted.contains(key));
    yes.setOnAction(
        e -> {
          if (yes.isSelected()) {
            accepted.add(key);
          } else {
            accepted.remove(key);
          }
          if (valve) {
            // A valve that is meant to differ is the step itself.
            state.editTest(t -> t.withStep(t.after(), t.changed(), yes.isSelected()));
          }
          changed.run();
        });
    getChildren().add(yes);
    if (difference.spoils()) {
      say("   With this the two will not be ranked.", "small");
    }
    return key;
  }
}
