package finebore.flow.field;

/**
 * The one-equation transport model of Spalart and Allmaras (La Recherche Aerospatiale 1, 1994;
 * constants from memory), with walls by Spalding's law: beside a wall the carried viscosity is
 * kappa times friction speed times distance, which the model itself has from the wall to the
 * logarithmic region.
 */
final class SpalartAllmaras implements Closure {

  private static final double SIGMA = 2.0 / 3;
  private static final double CB1 = 0.1355;
  private static final double CB2 = 0.622;
  private static final double CW1 = CB1 / (WallLaw.KAPPA * WallLaw.KAPPA) + (1 + CB2) / SIGMA;
  private static final double CW2 = 0.3;
  private static final double CW3 = 2;
  private static final double CV1 = 7.1;

  /** What air at rest and air fed in carries, in viscosities of the air. */
  private static final double OUTSIDE = 3;

  private static final double RELAXATION = 0.7;

  private final Lines lines;
  private final double[] source;
  private final double[] slopeR;
  private final double[] slopeZ;
  private final double[] friction;
  private boolean begun;

  SpalartAllmaras(Mesh mesh) {
    lines = new Lines(mesh.along, mesh.across);
    source = new double[mesh.cells];
    slopeR = new double[mesh.cells];
    slopeZ = new double[mesh.cells];
    friction = new double[mesh.cells];
  }

  @Override
  public void update(Stream s) {
    double air = s.viscosity / s.density;
    if (!begun) {
      begun = true;
      boolean warm = false;
      for (double v : s.carried) {
        warm |= v > 0;
      }
      if (!warm) {
        java.util.Arrays.fill(s.carried, 10 * air);
      }
    }
    WallLaw.update(s, friction);
    assemble(s, air);
    for (int sweep = 0; sweep < 2; sweep++) {
      lines.sweepAcross(s.carried, source, sweep == 0);
      lines.sweepAlong(s.carried, source, sweep == 0);
    }
    for (int c = 0; c < s.mesh.cells; c++) {
      s.carried[c] = Math.max(s.carried[c], 1e-3 * air);
      s.eddy[c] = s.density * eddy(s.carried[c], air);
    }
    for (int k = 0; k < s.mesh.faces; k++) {
      s.faceEddy[k] = between(s, s.mesh.from[k], s.mesh.to[k], air) - s.viscosity;
    }
  }

  /**
   * Viscosity that a layer between two cells has as a whole. What is carried grows evenly off a
   * wall, the eddy viscosity far from evenly, and layers resist one after the other: their slips
   * add up (Simpson's rule on 1 / viscosity).
   */
  private static double between(Stream s, int a, int b, double air) {
    double middle = s.density * eddy((s.carried[a] + s.carried[b]) / 2, air);
    return 6
        / (1 / (s.viscosity + s.eddy[a])
            + 4 / (s.viscosity + middle)
            + 1 / (s.viscosity + s.eddy[b]));
  }

  private static double eddy(double carried, double air) {
    double x = carried / air;
    double cube = x * x * x;
    return carried * cube / (cube + CV1 * CV1 * CV1);
  }

  private void assemble(Stream s, double air) {
    Mesh mesh = s.mesh;
    double[] v = s.carried;
    lines.clear();
    java.util.Arrays.fill(source, 0);
    s.slopes(v, slopeR, slopeZ);
    for (int k = 0; k < mesh.edges; k++) {
      int c = mesh.edgeCell[k];
      double edge = mesh.edge[k] == Mesh.Edge.WALL ? 0 : v[c];
      slopeR[c] += edge / mesh.area[c] * mesh.edgeNormalR[k];
      slopeZ[c] += edge / mesh.area[c] * mesh.edgeNormalZ[k];
    }
    for (int k = 0; k < mesh.faces; k++) {
      face(s, k, air);
    }
    for (int k = 0; k < mesh.edges; k++) {
      edge(s, k, air);
    }
    for (int c = 0; c < mesh.cells; c++) {
      turnover(s, c, air);
    }
  }

  private void face(Stream s, int k, double air) {
    Mesh mesh = s.mesh;
    int a = mesh.from[k];
    int b = mesh.to[k];
    double share = mesh.share[k];
    double carried = s.carried[a] + share * (s.carried[b] - s.carried[a]);
    double spread = (air + carried) / SIGMA * mesh.radius[k] * mesh.through[k];
    double flow = s.flow[k] / s.density;
    double toA = spread + Math.max(0, -flow);
    double toB = spread + Math.max(0, flow);
    if (k < mesh.acrossFaces) {
      lines.east[a] = toA;
      lines.west[b] = toB;
    } else {
      lines.north[a] = toA;
      lines.south[b] = toB;
    }
    lines.middle[a] += toA;
    lines.middle[b] += toB;
    boolean onward = flow >= 0;
    int up = onward ? a : b;
    double sign = onward ? 1 : -1;
    double ahead = sign * (s.carried[b] - s.carried[a]);
    double behind = 2 * sign * (slopeR[up] * mesh.wayR[k] + slopeZ[up] * mesh.wayZ[k]) - ahead;
    double extra = -flow * (onward ? share : 1 - share) * Balance.limited(ahead, behind);
    source[a] += extra;
    source[b] -= extra;
  }

  private void edge(Stream s, int k, double air) {
    Mesh mesh = s.mesh;
    int c = mesh.edgeCell[k];
    double inward = Math.max(0, -s.edgeFlow[k]) / s.density;
    lines.middle[c] += inward;
    source[c] += inward * OUTSIDE * air;
  }

  /** Made by shear, destroyed near walls. */
  private void turnover(Stream s, int c, double air) {
    Mesh mesh = s.mesh;
    double d = mesh.wallDistance[c];
    double v = s.carried[c];
    double volume = mesh.volume[c];
    double x = v / air;
    double cube = x * x * x;
    double fv1 = cube / (cube + CV1 * CV1 * CV1);
    double fv2 = 1 - x / (1 + x * fv1);
    double spin = Math.abs(s.uz[c] - s.wr[c]);
    double scale = WallLaw.KAPPA * WallLaw.KAPPA * d * d;
    double shear = Math.max(spin + v * fv2 / scale, 0.3 * spin);
    double ratio = shear > 0 ? Math.min(v / (shear * scale), 10) : 10;
    double g = ratio + CW2 * (Math.pow(ratio, 6) - ratio);
    double six = Math.pow(CW3, 6);
    double fw = g * Math.pow((1 + six) / (Math.pow(g, 6) + six), 1.0 / 6);
    double steep = slopeR[c] * slopeR[c] + slopeZ[c] * slopeZ[c];
    source[c] += volume * (CB1 * shear * v + CB2 / SIGMA * steep);
    lines.middle[c] += volume * CW1 * fw * v / (d * d);
    double held = lines.middle[c] * (1 - RELAXATION) / RELAXATION;
    lines.middle[c] += held;
    source[c] += held * v;
    if (friction[c] > 0) {
      // Beside a wall the value is known.
      double much = 1e6 * lines.middle[c];
      lines.middle[c] += much;
      source[c] += much * WallLaw.KAPPA * friction[c] * d;
    }
  }
}
