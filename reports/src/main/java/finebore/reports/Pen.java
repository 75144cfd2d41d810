package finebore.reports;

import finebore.section.Point;
import java.util.List;

/** What a picture of air is drawn with; points in the section's millimetres. */
public interface Pen {

  /**
   * Fills an outline.
   *
   * @param rgb red, green and blue
   */
  void fill(List<Point> outline, int rgb);

  /**
   * Draws a line.
   *
   * @param width in pixels
   * @param dashed whether it is broken
   */
  void line(List<Point> points, int rgb, double width, boolean dashed);

  /** Writes a number beside a place, with a line to it. */
  void number(Point at, int number);
}
