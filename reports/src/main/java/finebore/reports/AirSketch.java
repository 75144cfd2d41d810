package finebore.reports;

import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirLines.DeadWater;
import finebore.section.Point;
import java.util.List;
import java.util.function.Predicate;

/** The air in a section: coloured by a layer, with streamlines and outlines of dead water. */
public final class AirSketch {

  /** Streamlines that part the flow evenly. */
  private static final int STREAMLINES = 12;

  private static final int WHITE = 0xffffff;
  private static final int RED = 0xff5533;

  /** Air that has not come through the valve, where only that counts. */
  private static final int STILL = 0x8a8f98;

  /** Cells longer than this are drawn in parts that change evenly, in valve radii. */
  private static final double LARGE = 0.012;

  private static final int MOST_PARTS = 5;

  private final AirFlow flow;
  private final AirLines lines;
  private final AirColours.Layer layer;
  private final Pen pen;
  private final double[][] corners;

  private AirSketch(AirFlow flow, AirLines lines, AirColours.Layer layer, Pen pen) {
    this.flow = flow;
    this.lines = lines;
    this.layer = layer;
    this.pen = pen;
    this.corners = corners();
  }

  /** Draws it. */
  public static void draw(AirFlow flow, AirLines lines, AirColours.Layer layer, Pen pen) {
    new AirSketch(flow, lines, layer, pen).draw();
  }

  /**
   * Numbers the dead water that {@link AirWords} names, in its order; drawn over the metal.
   *
   * @param shown what of the section is in sight: a number stands on what of its water is
   */
  public static void number(AirLines lines, Predicate<Point> shown, Pen pen) {
    List<DeadWater> waters = AirWords.named(lines);
    for (int k = 0; k < waters.size(); k++) {
      List<Point> outline = waters.get(k).outline().stream().flatMap(List::stream).toList();
      List<Point> seen = outline.stream().filter(shown).toList();
      pen.number(middle(seen.isEmpty() ? outline : seen), k + 1);
    }
  }

  private static Point middle(List<Point> points) {
    double r = points.stream().mapToDouble(Point::r).average().orElseThrow();
    double z = points.stream().mapToDouble(Point::z).average().orElseThrow();
    return new Point(r, z);
  }

  private double share(int i, int j) {
    return AirColours.share(flow, layer, i, j);
  }

  /** The scale's share at the grid's corners: the mean of the cells round each. */
  private double[][] corners() {
    double[][] sum = new double[flow.along() + 1][flow.across() + 1];
    int[][] count = new int[flow.along() + 1][flow.across() + 1];
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        double share = share(i, j);
        for (int a = i; a <= i + 1; a++) {
          for (int b = j; b <= j + 1; b++) {
            sum[a][b] += share;
            count[a][b]++;
          }
        }
      }
    }
    for (int a = 0; a < sum.length; a++) {
      for (int b = 0; b < sum[a].length; b++) {
        sum[a][b] /= count[a][b];
      }
    }
    return sum;
  }

  private void draw() {
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        cell(i, j);
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

  private void cell(int i, int j) {
    Point a = flow.corner(i, j);
    Point b = flow.corner(i + 1, j);
    Point c = flow.corner(i + 1, j + 1);
    Point d = flow.corner(i, j + 1);
    if (layer == AirColours.Layer.LOST && !lines.passes(i, j)) {
      pen.fill(List.of(a, b, c, d), STILL);
      return;
    }
    double size = Math.max(a.distanceTo(c), b.distanceTo(d));
    int parts = Math.clamp((long) (size / (LARGE * flow.question().headRadiusMm())), 1, MOST_PARTS);
    for (int m = 0; m < parts; m++) {
      for (int n = 0; n < parts; n++) {
        double x0 = (double) m / parts;
        double x1 = (m + 1.0) / parts;
        double y0 = (double) n / parts;
        double y1 = (n + 1.0) / parts;
        double x = (x0 + x1) / 2;
        double y = (y0 + y1) / 2;
        double near = corners[i][j] + y * (corners[i][j + 1] - corners[i][j]);
        double far = corners[i + 1][j] + y * (corners[i + 1][j + 1] - corners[i + 1][j]);
        pen.fill(
            List.of(
                a.toward(b, x0).toward(d.toward(c, x0), y0),
                a.toward(b, x1).toward(d.toward(c, x1), y0),
                a.toward(b, x1).toward(d.toward(c, x1), y1),
                a.toward(b, x0).toward(d.toward(c, x0), y1)),
            AirColours.of(near + x * (far - near)));
      }
    }
  }
}
