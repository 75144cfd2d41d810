package finebore.room;

import finebore.code.RuleViolation;
import finebore.room.ChamberOutline.Corner;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * A photograph of the head face scaled and squared by four places on it: the projective map of a
 * plane (R. Hartley and A. Zisserman, Multiple View Geometry in Computer Vision, section 2.3, from
 * memory).
 */
public final class Squared {

  /** A place on the picture, in its pixels, y down. */
  public record Pixel(double x, double y) {}

  /** Any map that is told by less than this is told by nothing. */
  private static final double SINGULAR = 1e-9;

  private final double[] h;

  /** The other way, row by row. */
  private final double[][] back;

  private Squared(double[] h) {
    this.h = h;
    back =
        new LUDecomposition(
                new Array2DRowRealMatrix(
                    new double[][] {{h[0], h[1], h[2]}, {h[3], h[4], h[5]}, {h[6], h[7], 1}},
                    false),
                0)
            .getSolver()
            .getInverse()
            .getData();
  }

  /**
   * By four places, no three of them on a line.
   *
   * @return empty where they tell nothing
   */
  public static Optional<Squared> of(List<Pixel> seen, List<Corner> are) {
    // Pixels of about 1, so that nothing is lost to their size.
    double size =
        seen.stream().mapToDouble(p -> Math.max(Math.abs(p.x()), Math.abs(p.y()))).max().orElse(1);
    double[][] rows = new double[8][];
    double[] right = new double[8];
    for (int k = 0; k < 4; k++) {
      double x = seen.get(k).x() / size;
      double y = seen.get(k).y() / size;
      double u = are.get(k).alongMm();
      double v = are.get(k).acrossMm();
      rows[2 * k] = new double[] {x, y, 1, 0, 0, 0, -u * x, -u * y};
      rows[2 * k + 1] = new double[] {0, 0, 0, x, y, 1, -v * x, -v * y};
      right[2 * k] = u;
      right[2 * k + 1] = v;
    }
    DecompositionSolver solver =
        new LUDecomposition(new Array2DRowRealMatrix(rows, false), SINGULAR).getSolver();
    if (!solver.isNonSingular()) {
      return Optional.empty();
    }
    RealVector solved = solver.solve(new ArrayRealVector(right, false));
    double[] h = solved.toArray();
    double[][] map = {{h[0], h[1], h[2]}, {h[3], h[4], h[5]}, {h[6], h[7], 1}};
    if (!new LUDecomposition(new Array2DRowRealMatrix(map, false), SINGULAR)
        .getSolver()
        .isNonSingular()) {
      return Optional.empty();
    }
    for (int k : new int[] {0, 1, 3, 4, 6, 7}) {
      h[k] /= size;
    }
    return Optional.of(new Squared(h));
  }

  /** The four places of a bore at 12, 3, 6 and 9 o'clock, 12 toward the exhaust side. */
  public static List<Corner> quarters(double boreMm) {
    double r = boreMm / 2;
    return List.of(new Corner(0, r), new Corner(r, 0), new Corner(0, -r), new Corner(-r, 0));
  }

  /** Where a place of the head face is seen on the picture. */
  public Pixel seen(double alongMm, double acrossMm) {
    double w = back[2][0] * alongMm + back[2][1] * acrossMm + back[2][2];
    return new Pixel(
        (back[0][0] * alongMm + back[0][1] * acrossMm + back[0][2]) / w,
        (back[1][0] * alongMm + back[1][1] * acrossMm + back[1][2]) / w);
  }

  /**
   * Where a place of the picture lies on the head face.
   *
   * @throws RuleViolation if that is nowhere near the head
   */
  public Corner at(Pixel p) {
    double w = h[6] * p.x() + h[7] * p.y() + 1;
    return new Corner(
        (h[0] * p.x() + h[1] * p.y() + h[2]) / w, (h[3] * p.x() + h[4] * p.y() + h[5]) / w);
  }
}
