package finebore.desk.plan;

import finebore.section.Point;

/**
 * Where the section plane lies on the screen.
 *
 * @param scale pixels per mm
 * @param originX pixel column of the guide axis
 * @param originY pixel row of the head face
 */
record ViewFrame(double scale, double originX, double originY) {

  private static final double MIN_SCALE = 2;
  private static final double MAX_SCALE = 4000;

  double x(double r) {
    return originX + r * scale;
  }

  double y(double z) {
    return originY - z * scale;
  }

  double r(double x) {
    return (x - originX) / scale;
  }

  double z(double y) {
    return (originY - y) / scale;
  }

  ViewFrame panned(double dx, double dy) {
    return new ViewFrame(scale, originX + dx, originY + dy);
  }

  /** Zoomed by a factor with the point under (x, y) staying where it is. */
  ViewFrame zoomed(double factor, double x, double y) {
    double next = Math.clamp(scale * factor, MIN_SCALE, MAX_SCALE);
    double by = next / scale;
    return new ViewFrame(next, x - (x - originX) * by, y - (y - originY) * by);
  }

  /** A frame that shows the rectangle between two corners in the middle of a screen rectangle. */
  static ViewFrame fitting(Point low, Point high, double x, double y, double width, double height) {
    double scale =
        Math.clamp(
            Math.min(width / (high.r() - low.r()), height / (high.z() - low.z())),
            MIN_SCALE,
            MAX_SCALE);
    double midR = (low.r() + high.r()) / 2;
    double midZ = (low.z() + high.z()) / 2;
    return new ViewFrame(scale, x + width / 2 - midR * scale, y + height / 2 + midZ * scale);
  }
}
