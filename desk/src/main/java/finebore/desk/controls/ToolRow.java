package finebore.desk.controls;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.layout.FlowPane;

/** Tools that stand in one row where there is room, and take no more of it than they need. */
public final class ToolRow extends FlowPane {

  private static final double GAP = 10;
  private static final double BETWEEN_ROWS = 4;

  public ToolRow(Node... tools) {
    super(GAP, BETWEEN_ROWS, tools);
    setAlignment(Pos.CENTER_LEFT);
    setRowValignment(VPos.CENTER);
    setMinWidth(0);
  }

  @Override
  protected double computePrefWidth(double height) {
    Insets insets = getInsets();
    double width = insets.getLeft() + insets.getRight() - GAP;
    for (Node tool : getManagedChildren()) {
      width += snapSizeX(tool.prefWidth(-1)) + GAP;
    }
    return snapSizeX(Math.max(0, width));
  }
}
