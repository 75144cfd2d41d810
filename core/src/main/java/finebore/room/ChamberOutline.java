package finebore.room;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LinearRing;
import org.locationtech.jts.operation.valid.IsSimpleOp;

/**
 * A chamber's outline on the head face, traced or read from a drawing: a closed line that does not
 * cross itself.
 *
 * @param cylinder whose, from 1
 * @param corners 4 to 2000 of them in order, the last not repeating the first
 */
public record ChamberOutline(int cylinder, List<Corner> corners) {

  public static final int FEWEST = 4;
  public static final int MOST = 2000;

  private static final GeometryFactory GEOMETRY = new GeometryFactory();

  /** Places closer than this are the same, mm. */
  private static final double SAME_MM = 1e-6;

  /**
   * A corner, mm from the bore's centre.
   *
   * @param alongMm along the head
   * @param acrossMm toward the exhaust side
   */
  public record Corner(double alongMm, double acrossMm) {
    public Corner {
      Quantity.OUTLINE_ALONG.check(alongMm);
      Quantity.OUTLINE_ACROSS.check(acrossMm);
    }

    double to(Corner other) {
      return Math.hypot(other.alongMm - alongMm, other.acrossMm - acrossMm);
    }
  }

  public ChamberOutline {
    Quantity.CYLINDERS.check(cylinder);
    corners = distinct(corners);
    if (corners.size() < FEWEST || corners.size() > MOST) {
      throw RuleViolation.of("outlineSize")
          .with("fewest", Term.count(FEWEST))
          .with("most", Term.count(MOST))
          .with("value", Term.count(corners.size()));
    }
    IsSimpleOp simple = new IsSimpleOp(ring(corners));
    if (!simple.isSimple()) {
      Coordinate at = simple.getNonSimpleLocation();
      throw RuleViolation.of("outlineCrosses")
          .with("along", Term.length(at.x))
          .with("across", Term.length(at.y));
    }
  }

  /** Without corners that say the one before over again. */
  private static List<Corner> distinct(List<Corner> corners) {
    List<Corner> kept = new ArrayList<>();
    for (Corner corner : corners) {
      if (kept.isEmpty() || kept.getLast().to(corner) > SAME_MM) {
        kept.add(corner);
      }
    }
    if (kept.size() > 1 && kept.getLast().to(kept.getFirst()) <= SAME_MM) {
      kept.removeLast();
    }
    return List.copyOf(kept);
  }

  private static LinearRing ring(List<Corner> corners) {
    List<Coordinate> line = new ArrayList<>();
    corners.forEach(c -> line.add(new Coordinate(c.alongMm(), c.acrossMm())));
    line.add(line.getFirst());
    return GEOMETRY.createLinearRing(line.toArray(Coordinate[]::new));
  }

  /** What it encloses, mm2. */
  public double areaMm2() {
    return GEOMETRY.createPolygon(ring(corners)).getArea();
  }

  /**
   * From a place within it to where it is first met in a direction, mm; empty from outside.
   *
   * @param direction as {@link Around} counts them
   */
  public OptionalDouble fromMm(double alongMm, double acrossMm, int direction) {
    double angle = Around.angleRad(direction);
    double ux = Math.sin(angle);
    double uy = Math.cos(angle);
    double least = Double.POSITIVE_INFINITY;
    int met = 0;
    for (int k = 0; k < corners.size(); k++) {
      Corner a = corners.get(k);
      Corner b = corners.get((k + 1) % corners.size());
      double besideA = beside(a, alongMm, acrossMm, ux, uy);
      double besideB = beside(b, alongMm, acrossMm, ux, uy);
      // A corner on the line itself belongs to one side, so that it is met once.
      if (besideA >= 0 != besideB >= 0) {
        double way = besideA / (besideA - besideB);
        double out =
            (a.alongMm() + way * (b.alongMm() - a.alongMm()) - alongMm) * ux
                + (a.acrossMm() + way * (b.acrossMm() - a.acrossMm()) - acrossMm) * uy;
        if (out > 0) {
          met++;
          least = Math.min(least, out);
        }
      }
    }
    return met % 2 == 1 ? OptionalDouble.of(least) : OptionalDouble.empty();
  }

  private static double beside(Corner c, double x, double y, double ux, double uy) {
    return (c.alongMm() - x) * uy - (c.acrossMm() - y) * ux;
  }
}
