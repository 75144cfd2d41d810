package finebore.desk.controls;

import java.util.function.Consumer;
import javafx.scene.control.Toggle;
import javafx.scene.control.ToggleGroup;

/** Toggles of which one is always chosen. */
public final class Tabs {

  private Tabs() {}

  /**
   * Keeps one toggle of a group chosen.
   *
   * @param chosen told of another one
   */
  public static void keepOne(ToggleGroup group, Consumer<Toggle> chosen) {
    group
        .selectedToggleProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                group.selectToggle(was);
              } else {
                chosen.accept(is);
              }
            });
  }
}
