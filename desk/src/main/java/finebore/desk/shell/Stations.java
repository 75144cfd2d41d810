package finebore.desk.shell;

import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Region;

/** The stations there are, in the order of the rail, and which of them is shown. */
final class Stations {

  /**
   * A station.
   *
   * @param id names it for keys, files of words and whoever drives the window
   * @param key goes to it with Ctrl
   * @param view what is shown
   * @param shown told when it comes or goes, so that nothing is built that nobody looks at
   * @param focus puts the keyboard where its work begins
   */
  record Station(String id, KeyCode key, Region view, Consumer<Boolean> shown, Runnable focus) {}

  private final BorderPane frame;
  private final List<Station> all;
  private final List<ToggleButton> buttons;
  private Station current;

  /** The stations in a frame, with a button each. */
  Stations(BorderPane frame, List<Station> all, Words words) {
    this.frame = frame;
    this.all = List.copyOf(all);
    this.current = all.getFirst();
    // The window decides how large it is, whatever a station would like.
    all.forEach(s -> s.view().setMinSize(0, 0));
    this.buttons = all.stream().map(s -> button(s, words)).toList();
  }

  private ToggleButton button(Station station, Words words) {
    // The underscore marks the letter that goes there with Alt.
    ToggleButton button = new ToggleButton(words.text("station." + station.id()));
    button.setMnemonicParsing(true);
    button.setId("station-" + station.id());
    button.getStyleClass().add("rail-button");
    button.setTooltip(
        new Tooltip(
            words.text("station." + station.id() + ".tip")
                + " ("
                + words.text("keys.withCtrl", "key", station.key().getChar())
                + ")"));
    button.setOnAction(e -> goTo(station));
    return button;
  }

  List<ToggleButton> buttons() {
    return buttons;
  }

  Optional<Station> byKey(KeyCode key) {
    boolean numpad = key.isKeypadKey();
    return all.stream()
        .filter(s -> s.key() == key || numpad && key.getName().endsWith(s.key().getName()))
        .findFirst();
  }

  Station byId(String id) {
    return all.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
  }

  Station current() {
    return current;
  }

  boolean isShown(String id) {
    return current.id().equals(id);
  }

  /** Shows a station; where the frame holds something else for now, it waits its turn. */
  void show(Station station, boolean inFrame) {
    current = station;
    all.forEach(s -> s.shown().accept(s == station));
    for (int k = 0; k < all.size(); k++) {
      buttons.get(k).setSelected(all.get(k) == station);
    }
    if (inFrame) {
      frame.setCenter(station.view());
    }
  }

  /** Goes to a station and puts the keyboard where its work begins. */
  void goTo(Station station) {
    show(station, true);
    station.focus().run();
  }
}
