package finebore.desk.controls;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/**
 * Room on a drawing that words have taken: who asks first gets it, and nobody writes over it. Words
 * are taken for a row of discs along their middle, so that they may stand at any angle.
 */
public final class KeepClear {

  /** What is kept free about a line's middle, in heights of its letters. */
  private static final double REACH = 0.55;

  private record Disc(double x, double y, double reach) {}

  /** A straight line from one place to another, px. Its ends are apart. */
  public record Line(Point2D from, Point2D to) {

    /** How far a place is from it, px. */
    public double distance(Point2D at) {
      Point2D way = to.subtract(from);
      double share = at.subtract(from).dotProduct(way) / way.dotProduct(way);
      return at.distance(from.add(way.multiply(Math.clamp(share, 0, 1))));
    }
  }

  private final double left;
  private final double top;
  private final double right;
  private final double bottom;
  private final List<Disc> taken = new ArrayList<>();
  private final List<Line> lines = new ArrayList<>();

  /** Words stay within a rectangle of the drawing, px. */
  public KeepClear(double left, double top, double right, double bottom) {
    this.left = left;
    this.top = top;
    this.right = right;
    this.bottom = bottom;
  }

  /** Keeps everyone off a place, such as a dot. */
  public void keepOff(double x, double y, double reach) {
    taken.add(new Disc(x, y, reach));
  }

  /** Notes a line that is drawn, on which words are hard to read. */
  public void keepOff(Line line) {
    lines.add(line);
  }

  /** Whether words at a place would lie on none of the lines. */
  public boolean isOffLines(
      Font font, String words, double x, double y, double angleDeg, TextAlignment align) {
    return discs(font, words, x, y, angleDeg, align).stream()
        .allMatch(
            d -> lines.stream().allMatch(l -> l.distance(new Point2D(d.x(), d.y())) >= d.reach()));
  }

  /** Takes the room of words that are written whatever stands there. */
  public void write(Font font, String words, double x, double y, TextAlignment align) {
    taken.addAll(discs(font, words, x, y, 0, align));
  }

  /**
   * Takes room for words, if it is free and within the rectangle.
   *
   * @param x where they are anchored, px
   * @param y their middle, px
   * @param angleDeg how they are turned about that place, clockwise
   * @return whether they have it
   */
  public boolean take(
      Font font, String words, double x, double y, double angleDeg, TextAlignment align) {
    List<Disc> discs = discs(font, words, x, y, angleDeg, align);
    boolean free =
        discs.stream().allMatch(d -> isWithin(d) && taken.stream().noneMatch(t -> meet(d, t)));
    if (free) {
      taken.addAll(discs);
    }
    return free;
  }

  private static List<Disc> discs(
      Font font, String words, double x, double y, double angleDeg, TextAlignment align) {
    double width = Ink.width(font, words);
    double reach = REACH * font.getSize();
    double from =
        switch (align) {
          case CENTER -> -width / 2;
          case RIGHT -> -width;
          default -> 0;
        };
    double across = Math.cos(Math.toRadians(angleDeg));
    double down = Math.sin(Math.toRadians(angleDeg));
    int count = Math.max(2, (int) Math.ceil(width / reach));
    List<Disc> discs = new ArrayList<>();
    for (int k = 0; k <= count; k++) {
      double along = from + width * k / count;
      discs.add(new Disc(x + along * across, y + along * down, reach));
    }
    return discs;
  }

  private boolean isWithin(Disc d) {
    return d.x() >= left && d.x() <= right && d.y() >= top && d.y() <= bottom;
  }

  private static boolean meet(Disc a, Disc b) {
    return Math.hypot(a.x() - b.x(), a.y() - b.y()) < a.reach() + b.reach();
  }
}
