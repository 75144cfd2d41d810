package finebore.section;

/**
 * A point of the section plane.
 *
 * @param r distance from the guide axis, mm
 * @param z height, mm; 0 is the head face, up is toward the piston
 */
public record Point(double r, double z) {

  public Point {
    if (!Double.isFinite(r) || !Double.isFinite(z)) {
      throw new IllegalArgumentException("point: " + r + ", " + z);
    }
  }

  /** Distance to another point, mm. */
  public double distanceTo(Point other) {
    double dr = other.r - r;
    double dz = other.z - z;
    // No length in a head overflows, and Math.hypot takes twenty times as long.
    return Math.sqrt(dr * dr + dz * dz);
  }

  /** This point moved by (dr, dz) mm. */
  public Point plus(double dr, double dz) {
    return new Point(r + dr, z + dz);
  }

  /** The point a fraction t of the way to another; t = 0 is this point. */
  public Point toward(Point other, double t) {
    return new Point(r + t * (other.r - r), z + t * (other.z - z));
  }

  @Override
  public String toString() {
    return String.format(java.util.Locale.ROOT, "(%.4f, %.4f)", r, z);
  }
}
