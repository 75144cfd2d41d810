package finebore.desk.controls;

import javafx.scene.Node;

/**
 * Changes to the style of a node that is shown, made only where they differ: styling anew is dear
 * in a drag.
 */
public final class Styles {

  private Styles() {}

  /** Sets the last style class, which tells a node's state. */
  public static void state(Node node, String styleClass) {
    var classes = node.getStyleClass();
    if (!classes.getLast().equals(styleClass)) {
      classes.set(classes.size() - 1, styleClass);
    }
  }

  /** Sets the inline style. */
  public static void inline(Node node, String style) {
    if (!style.equals(node.getStyle())) {
      node.setStyle(style);
    }
  }
}
