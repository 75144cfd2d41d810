package finebore.flow.field;

import finebore.flow.Direction;
import finebore.section.Point;
import java.util.Optional;

/**
 * The air between a lifted valve and its seat, worked out.
 *
 * <p>Cells are numbered along the stream and across it from the valve to the head. Speeds and
 * pressures are told for the usual test pressure, 28 inches of water.
 */
public final class AirFlow {

  /**
   * How it settled.
   *
   * @param rounds of the solver
   * @param momentumLeft what the momentum of all cells lacks, over the jet's
   * @param massLeft what their mass lacks, over the flow
   * @param unrest half of how far the area still swings, over its mean
   * @param waves whether the air waves without end, so that the area is the mean over whole waves;
   *     if not, it stands, and neither momentum nor mass lack a thousandth
   */
  public record Settled(
      int rounds, double momentumLeft, double massLeft, double unrest, boolean waves) {

    /** By how much the area may be off for its waving, as a share; 0 where it stands. */
    public double swing() {
      return waves ? unrest : 0;
    }
  }

  private final AirQuestion question;
  private final Stream stream;
  private final double scale;
  private final double effectiveAreaMm2;
  private final Settled settled;

  AirFlow(
      AirQuestion question, Stream stream, double scale, double effectiveAreaMm2, Settled settled) {
    this.question = question;
    this.stream = stream;
    this.scale = scale;
    this.effectiveAreaMm2 = effectiveAreaMm2;
    this.settled = settled;
  }

  Stream stream() {
    return stream;
  }

  public AirQuestion question() {
    return question;
  }

  /** Area that frictionless flow of the same pressure would need, mm2; the port is not in it. */
  public double effectiveAreaMm2() {
    return effectiveAreaMm2;
  }

  public Settled settled() {
    return settled;
  }

  /** Cells along the stream. */
  public int along() {
    return stream.mesh.along;
  }

  /** Cells across it. */
  public int across() {
    return stream.mesh.across;
  }

  /** A corner of the grid, mm; i up to {@link #along()}, j up to {@link #across()}. */
  public Point corner(int i, int j) {
    GridLines lines = stream.mesh.lines;
    return new Point(lines.r()[i][j] / scale, lines.z()[i][j] / scale);
  }

  /** The middle of a cell, mm. */
  public Point middle(int i, int j) {
    int c = i * across() + j;
    return new Point(stream.mesh.r[c] / scale, stream.mesh.z[c] / scale);
  }

  /** Speed away from the axis in a cell, m/s. */
  public double outward(int i, int j) {
    return stream.u[i * across() + j] * AirSolver.SPEED / stream.speed;
  }

  /** Speed toward the chamber in a cell, m/s. */
  public double upward(int i, int j) {
    return stream.w[i * across() + j] * AirSolver.SPEED / stream.speed;
  }

  public double speed(int i, int j) {
    return Math.hypot(outward(i, j), upward(i, j));
  }

  /** Pressure in a cell against the still air in the open, Pa. */
  public double pressure(int i, int j) {
    double factor = AirSolver.SPEED / stream.speed;
    return stream.p[i * across() + j] * factor * factor;
  }

  /** Pressure with that of the speed, Pa. */
  public double totalPressure(int i, int j) {
    double speed = speed(i, j);
    return pressure(i, j) + 0.5 * AirSolver.DENSITY * speed * speed;
  }

  /** Share of the pressure lost on the way to a cell, 0 to 1; air drawn in from outside is none. */
  public double lost(int i, int j) {
    double given = AirSolver.DENSITY / 2 * AirSolver.SPEED * AirSolver.SPEED;
    boolean in = question.direction() == Direction.INTAKE;
    double left = in ? totalPressure(i, j) / given : 1 + totalPressure(i, j) / given;
    return Math.clamp(1 - left, 0, 1);
  }

  /**
   * The cell a point lies in.
   *
   * @return its places along and across; empty where there is no air
   */
  public Optional<int[]> cellAt(Point p) {
    for (int i = 0; i < along(); i++) {
      for (int j = 0; j < across(); j++) {
        if (holds(i, j, p)) {
          return Optional.of(new int[] {i, j});
        }
      }
    }
    return Optional.empty();
  }

  private boolean holds(int i, int j, Point p) {
    Point[] corners = {corner(i, j), corner(i, j + 1), corner(i + 1, j + 1), corner(i + 1, j)};
    boolean inside = false;
    for (int k = 0; k < 4; k++) {
      Point a = corners[k];
      Point b = corners[(k + 1) % 4];
      if (a.z() > p.z() != b.z() > p.z()
          && p.r() < a.r() + (p.z() - a.z()) / (b.z() - a.z()) * (b.r() - a.r())) {
        inside = !inside;
      }
    }
    return inside;
  }

  /**
   * Where the jet goes as it leaves the roof's end: degrees above a right angle to the axis, the
   * mean of what passes weighted by its momentum. NaN for air that goes out: its jet is in the
   * port, and what is drawn in along the roof has no state of its own.
   */
  public double jetAngleDeg() {
    if (question.direction() == Direction.EXHAUST) {
      return Double.NaN;
    }
    Mesh mesh = stream.mesh;
    int end = 0;
    while (end < mesh.along - 1 && mesh.edge[mesh.along + end] != Mesh.Edge.OPEN) {
      end++;
    }
    double out = 0;
    double up = 0;
    for (int j = 0; j < mesh.across; j++) {
      int c = Math.min(end, mesh.along - 2) * mesh.across + j;
      double flow = Math.max(0, stream.flow[c]);
      out += flow * stream.u[c];
      up += flow * stream.w[c];
    }
    return Math.toDegrees(Math.atan2(up, out));
  }
}
