package finebore.reports;

import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirLines.DeadWater;
import finebore.section.Point;
import java.util.List;

/** The air in a section: cells coloured by a layer, streamlines, outlines of dead water. */
public final class AirSketch {

  /** Streamlines that part the flow evenly. */
  private static final int STREAMLINES = 12;

  private static final int WHITE = 0xffffff;
  private static final int RED = 0xff5533;

  private AirSketch() {}

  /** Draws it. */
  public static void draw(AirFlow flow, AirLines lines, AirColours.Layer layer, Pen pen) {
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        List<Point> cell =
            List.of(
                flow.corner(i, j),
                flow.corner(i + 1, j),
                flow.corner(i + 1, j + 1),
                flow.corner(i, j + 1));
        pen.fill(cell, AirColours.of(AirColours.share(flow, layer, i, j)));
      }
    }
    for (List<Point> line : lines.streamlines(STREAMLINES)) {
      pen.line(line, WHITE, 0.9, false);
    }
    for (DeadWater water : lines.deadWater()) {
      for (List<Point> line : water.outline()) {
        pen.line(line, RED, 2, true);
      }
    }
  }
}
