package finebore.drawing;

import finebore.section.Point;
import java.util.List;

/**
 * A drawing to scale, in mm, for whatever draws it: screen, PDF, SVG or DXF. x runs from the
 * valve's axis outward, y up from the head face.
 *
 * @param items what is drawn, from the back to the front
 * @param window what is seen of the section itself
 * @param box everything, labels beside the window included
 */
public record Drawing(List<Item> items, Box window, Box box) {

  public Drawing {
    items = List.copyOf(items);
  }

  /** A rectangle, mm. */
  public record Box(double minX, double minY, double maxX, double maxY) {
    public double width() {
      return maxX - minX;
    }

    public double height() {
      return maxY - minY;
    }

    /** The same with more room on all sides. */
    public Box grown(double left, double bottom, double right, double top) {
      return new Box(minX - left, minY - bottom, maxX + right, maxY + top);
    }
  }

  /** One thing drawn. */
  public sealed interface Item permits Outline, Label {
    DrawingLayer layer();
  }

  /**
   * A corner of an outline and how it goes on from there.
   *
   * @param bulge tangent of a quarter of the arc's angle to the next corner, counterclockwise
   *     positive; 0 for a straight line
   */
  public record Vertex(double x, double y, double bulge) {

    /** Signed radius, centre and angles of the arc to another corner. */
    public ArcTo arcTo(Vertex end) {
      double chord = Math.hypot(end.x - x, end.y - y);
      double turn = 4 * Math.atan(bulge);
      double radius = chord / 2 / Math.sin(turn / 2);
      double off = radius * Math.cos(turn / 2);
      double nx = -(end.y - y) / chord;
      double ny = (end.x - x) / chord;
      return new ArcTo(
          (x + end.x) / 2 + off * nx, (y + end.y) / 2 + off * ny, Math.abs(radius), turn);
    }
  }

  /**
   * An arc.
   *
   * @param turnRad how far it turns, counterclockwise positive
   */
  public record ArcTo(double centreX, double centreY, double radius, double turnRad) {}

  /** Lines and arcs one after the other. */
  public record Outline(DrawingLayer layer, List<Vertex> vertices, boolean closed) implements Item {
    public Outline {
      vertices = List.copyOf(vertices);
    }

    /** A line from one point to another. */
    static Outline line(DrawingLayer layer, Point from, Point to) {
      return new Outline(
          layer, List.of(new Vertex(from.r(), from.z(), 0), new Vertex(to.r(), to.z(), 0)), false);
    }

    /** A wall with its arcs. */
    static Outline along(DrawingLayer layer, List<Point> points, boolean closed) {
      return new Outline(layer, Arcs.of(points), closed);
    }
  }

  /** Where a label stands about its place. */
  public enum Align {
    LEFT,
    MIDDLE,
    RIGHT
  }

  /**
   * Words beside a thing.
   *
   * @param y of the line they stand on
   * @param heightMm of a capital
   */
  public record Label(
      DrawingLayer layer, double x, double y, double heightMm, String text, Align align)
      implements Item {}
}
