package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.SetUpDifference;
import finebore.bench.SetUpDifference.Item;
import finebore.desk.session.ProveState;
import finebore.desk.session.ProveState.Shown;
import finebore.job.Job;
import finebore.words.Words;
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
    Words words = shown.words();
    Optional<FlowTest> test = shown.test();
    Optional<FlowTest> last =
        test.flatMap(FlowTest::after).flatMap(id -> shown.job().bench().test(id));
    if (test.isEmpty()) {
      asked = Set.of();
      return;
    }
    if (last.isEmpty()) {
      asked = Set.of();
      say(words.text("checklist.beginning"), "muted");
      return;
    }
    Job job = shown.job();
    List<SetUpDifference> differences = SetUpDifference.between(last.get(), test.get());
    say(words.text("checklist.same", "test", ProveWords.name(last.get(), job)), "heading");
    Set<String> now = new HashSet<>();
    EnumSet<Item> same = EnumSet.complementOf(EnumSet.of(Item.AIR, Item.DIRECTION));
    for (SetUpDifference difference : differences) {
      same.remove(difference.item());
      if (difference.item() != Item.AIR) {
        now.add(ask(difference, words));
      }
    }
    asked = now;
    for (Item item : same) {
      say("✓ " + words.say(SetUpDifference.same(item, last.get())), "muted");
    }
  }

  private void say(String words, String style) {
    Label label = new Label(words);
    label.setWrapText(true);
    label.setMinHeight(Region.USE_PREF_SIZE);
    label.getStyleClass().add(style);
    getChildren().add(label);
  }

  private String ask(SetUpDifference difference, Words words) {
    String said = words.say(difference.message());
    String key = difference.test().id() + " " + said;
    boolean valve = difference.item() == Item.VALVE;
    if (valve && difference.test().valveIsTheChange()) {
      accepted.add(key);
    }
    CheckBox yes = new CheckBox(words.text("checklist.yes", "difference", said));
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
      say("   " + words.text("checklist.spoils"), "small");
    }
    return key;
  }
}
