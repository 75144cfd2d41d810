package finebore.formats;

import java.util.ArrayList;
import java.util.List;

/** A line of a drawing as it is read, curves as chords; in the file's own unit. */
final class Polyline {

  /** A place on the drawing. */
  record Place(double x, double y) {
    double to(Place other) {
      return Math.hypot(other.x - x, other.y - y);
    }
  }

  /** Chords of a curve are no longer than this of a turn. */
  private static final double STEP_RAD = Math.toRadians(4);

  private static final int CHORDS = 24;

  private final List<Place> places = new ArrayList<>();

  void add(double x, double y) {
    places.add(new Place(x, y));
  }

  Place last() {
    return places.getLast();
  }

  List<Place> places() {
    return places;
  }

  boolean isEmpty() {
    return places.isEmpty();
  }

  /** Whether it ends where it began. */
  boolean isClosed(double within) {
    return places.size() > 2 && places.getFirst().to(places.getLast()) <= within;
  }

  /** Part of a circle, from an angle by another, rad. */
  void arc(double x, double y, double radius, double from, double by) {
    int steps = Math.max(1, (int) Math.ceil(Math.abs(by) / STEP_RAD));
    for (int k = 0; k <= steps; k++) {
      double angle = from + by * k / steps;
      add(x + radius * Math.cos(angle), y + radius * Math.sin(angle));
    }
  }

  /**
   * To a place along an arc whose bulge is the tangent of a quarter of its angle (Autodesk's DXF
   * reference).
   */
  void bulgeTo(Place to, double bulge) {
    if (bulge == 0 || last().to(to) == 0) {
      add(to.x(), to.y());
      return;
    }
    Place from = last();
    double angle = 4 * Math.atan(bulge);
    double chord = from.to(to);
    double radius = chord / 2 / Math.sin(angle / 2);
    double middleX = (from.x() + to.x()) / 2;
    double middleY = (from.y() + to.y()) / 2;
    double off = radius * Math.cos(angle / 2);
    double cx = middleX - off * (to.y() - from.y()) / chord;
    double cy = middleY + off * (to.x() - from.x()) / chord;
    places.removeLast();
    arc(cx, cy, Math.abs(radius), Math.atan2(from.y() - cy, from.x() - cx), angle);
  }

  /** To a place along a cubic curve with two handles. */
  void cubicTo(Place a, Place b, Place to) {
    Place from = last();
    for (int k = 1; k <= CHORDS; k++) {
      double t = (double) k / CHORDS;
      double s = 1 - t;
      add(
          s * s * s * from.x() + 3 * s * s * t * a.x() + 3 * s * t * t * b.x() + t * t * t * to.x(),
          s * s * s * from.y()
              + 3 * s * s * t * a.y()
              + 3 * s * t * t * b.y()
              + t * t * t * to.y());
    }
  }

  /** To a place along a quadratic curve with one handle. */
  void quadTo(Place a, Place to) {
    Place from = last();
    cubicTo(
        new Place(from.x() + 2 * (a.x() - from.x()) / 3, from.y() + 2 * (a.y() - from.y()) / 3),
        new Place(to.x() + 2 * (a.x() - to.x()) / 3, to.y() + 2 * (a.y() - to.y()) / 3),
        to);
  }

  /** Area that it encloses, whichever way round. */
  double area() {
    double twice = 0;
    for (int k = 0; k < places.size(); k++) {
      Place a = places.get(k);
      Place b = places.get((k + 1) % places.size());
      twice += a.x() * b.y() - b.x() * a.y();
    }
    return Math.abs(twice) / 2;
  }
}
