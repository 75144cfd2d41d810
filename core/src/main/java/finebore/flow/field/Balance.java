package finebore.flow.field;

/**
 * Momentum and mass on one mesh: finite volumes, both speeds and pressure in the cells' middles
 * (Ferziger and Peric, Computational Methods for Fluid Dynamics, from memory).
 *
 * <p>What passes a face upwind is drawn on to it with van Leer's limiter; the pressure is found by
 * SIMPLEC (van Doormaal and Raithby 1984, from memory), and flow through faces as Rhie and Chow
 * (1983, from memory) have it.
 */
final class Balance {

  private final Stream s;
  private final Mesh mesh;
  private final double relaxation;
  private final double[] sharp;
  private final Lines speeds;
  private final Multigrid pressure;
  private final double[] sourceU;
  private final double[] sourceW;
  private final double[] diagonal;
  private final double[] neighbours;
  private final double[] pull;
  private final double[] correction;
  private final double[] missing;
  private final double[] left;
  private double momentumLeft;
  private double massLeft;

  /**
   * @param relaxation share of a new speed taken over in one round
   * @param fine size of cells, m, up to which speeds are drawn on to faces in full
   */
  Balance(Stream stream, double relaxation, double fine) {
    s = stream;
    mesh = stream.mesh;
    sharp = new double[mesh.faces];
    for (int k = 0; k < mesh.faces; k++) {
      double size = Math.sqrt(Math.max(mesh.area[mesh.from[k]], mesh.area[mesh.to[k]]));
      sharp[k] = Math.clamp(2 - size / fine, 0, 1);
    }
    this.relaxation = relaxation;
    speeds = new Lines(mesh.along, mesh.across);
    pressure = new Multigrid(mesh.along, mesh.across);
    sourceU = new double[mesh.cells];
    sourceW = new double[mesh.cells];
    diagonal = new double[mesh.cells];
    neighbours = new double[mesh.cells];
    pull = new double[mesh.cells];
    correction = new double[mesh.cells];
    missing = new double[mesh.cells];
    left = new double[mesh.cells];
  }

  /** Sum of what the momentum of all cells lacked before the last round, N a radian. */
  double momentumLeft() {
    return momentumLeft;
  }

  /** Sum of what mass the cells lack after it, kg/s a radian. */
  double massLeft() {
    return massLeft;
  }

  /** One round: speeds from the pressure, pressure from the flow that is too much. */
  void round() {
    s.slopesOfPressure();
    s.slopesOfSpeeds();
    assemble();
    momentumLeft = leftOver();
    relaxAndSolve();
    flowThroughFaces();
    correct();
  }

  private void assemble() {
    speeds.clear();
    for (int c = 0; c < mesh.cells; c++) {
      sourceU[c] = -s.pr[c] * mesh.volume[c];
      sourceW[c] = -s.pz[c] * mesh.volume[c];
      neighbours[c] = 0;
    }
    for (int k = 0; k < mesh.faces; k++) {
      face(k);
    }
    for (int c = 0; c < mesh.cells; c++) {
      diagonal[c] = neighbours[c];
    }
    for (int k = 0; k < mesh.edges; k++) {
      edge(k);
    }
    if (mesh.round) {
      for (int c = 0; c < mesh.cells; c++) {
        // The stress round the axis pulls inward. Both speeds share one matrix, so that for the
        // other one it stands on both sides.
        double hoop = 2 * (s.viscosity + s.eddy[c]) * mesh.area[c] / mesh.r[c];
        diagonal[c] += hoop;
        sourceW[c] += hoop * s.w[c];
      }
    }
  }

  private void face(int k) {
    int a = mesh.from[k];
    int b = mesh.to[k];
    double nr = mesh.normalR[k];
    double nz = mesh.normalZ[k];
    double dr = mesh.wayR[k];
    double dz = mesh.wayZ[k];
    double share = mesh.share[k];
    double radius = mesh.radius[k];
    double mu = s.viscosity + s.faceEddy[k];
    double through = mesh.through[k];
    double spread = mu * radius * through;
    double flow = s.flow[k];
    double toA = spread + Math.max(0, -flow);
    double toB = spread + Math.max(0, flow);
    if (k < mesh.acrossFaces) {
      speeds.east[a] = toA;
      speeds.west[b] = toB;
    } else {
      speeds.north[a] = toA;
      speeds.south[b] = toB;
    }
    neighbours[a] += toA;
    neighbours[b] += toB;

    double fur = s.ur[a] + share * (s.ur[b] - s.ur[a]);
    double fuz = s.uz[a] + share * (s.uz[b] - s.uz[a]);
    double fwr = s.wr[a] + share * (s.wr[b] - s.wr[a]);
    double fwz = s.wz[a] + share * (s.wz[b] - s.wz[a]);
    double cr = nr - through * dr;
    double cz = nz - through * dz;
    double mr = mu * radius;
    // What lines that are not square pass too, and the transposed part of the stress.
    double du = mr * (fur * cr + fuz * cz + fur * nr + fwr * nz);
    double dw = mr * (fwr * cr + fwz * cz + fuz * nr + fwz * nz);

    boolean onward = flow >= 0;
    int up = onward ? a : b;
    double w = sharp[k] * (onward ? share : 1 - share);
    double sign = onward ? 1 : -1;
    double ahead = sign * (s.u[b] - s.u[a]);
    double behind = 2 * sign * (s.ur[up] * dr + s.uz[up] * dz) - ahead;
    du -= flow * w * limited(ahead, behind);
    ahead = sign * (s.w[b] - s.w[a]);
    behind = 2 * sign * (s.wr[up] * dr + s.wz[up] * dz) - ahead;
    dw -= flow * w * limited(ahead, behind);

    sourceU[a] += du;
    sourceU[b] -= du;
    sourceW[a] += dw;
    sourceW[b] -= dw;
  }

  /** Van Leer's slope: smooth, and none where the slopes before and behind differ in sign. */
  static double limited(double ahead, double behind) {
    double product = ahead * behind;
    return product <= 0 ? 0 : 2 * product / (ahead + behind);
  }

  private void edge(int k) {
    int c = mesh.edgeCell[k];
    double nr = mesh.edgeNormalR[k];
    double nz = mesh.edgeNormalZ[k];
    double length = Math.sqrt(nr * nr + nz * nz);
    double surface = length * mesh.edgeRadius[k];
    if (surface == 0) {
      return;
    }
    switch (mesh.edge[k]) {
      case WALL -> {
        double drag = s.wallViscosity[k] * surface / mesh.clear[k];
        double square = (s.u[c] * nr + s.w[c] * nz) / (length * length);
        diagonal[c] += drag;
        sourceU[c] += drag * square * nr;
        sourceW[c] += drag * square * nz;
      }
      case MIRROR -> {
        double drag = 2 * (s.viscosity + s.eddy[c]) * surface / mesh.clear[k];
        double square = (s.u[c] * nr + s.w[c] * nz) / (length * length);
        diagonal[c] += drag;
        sourceU[c] += drag * (s.u[c] - square * nr);
        sourceW[c] += drag * (s.w[c] - square * nz);
      }
      case FED -> {
        double give =
            Math.max(0, -s.edgeFlow[k]) + (s.viscosity + s.eddy[c]) * surface / mesh.clear[k];
        diagonal[c] += give;
        sourceU[c] += give * s.edgeU(k);
        sourceW[c] += give * s.edgeW(k);
      }
      case OPEN, DRAWN -> {
        double give = Math.max(0, -s.edgeFlow[k]);
        diagonal[c] += give;
        sourceU[c] += give * s.edgeU(k);
        sourceW[c] += give * s.edgeW(k);
      }
    }
  }

  private double leftOver() {
    for (int c = 0; c < mesh.cells; c++) {
      speeds.middle[c] = diagonal[c];
    }
    speeds.residual(s.u, sourceU, left);
    double sum = 0;
    for (double v : left) {
      sum += Math.abs(v);
    }
    speeds.residual(s.w, sourceW, left);
    for (double v : left) {
      sum += Math.abs(v);
    }
    return sum;
  }

  private void relaxAndSolve() {
    for (int c = 0; c < mesh.cells; c++) {
      double held = diagonal[c] * (1 - relaxation) / relaxation;
      speeds.middle[c] = diagonal[c] + held;
      sourceU[c] += held * s.u[c];
      sourceW[c] += held * s.w[c];
      pull[c] = mesh.volume[c] / speeds.middle[c];
      // SIMPLEC: the neighbours' corrections are taken to be alike.
      neighbours[c] = mesh.volume[c] / (speeds.middle[c] - neighbours[c]);
    }
    for (int sweep = 0; sweep < 2; sweep++) {
      boolean forward = sweep % 2 == 0;
      speeds.sweepAcross(s.u, sourceU, forward);
      speeds.sweepAlong(s.u, sourceU, forward);
      speeds.sweepAcross(s.w, sourceW, forward);
      speeds.sweepAlong(s.w, sourceW, forward);
    }
  }

  private void flowThroughFaces() {
    double[] missing = this.missing;
    java.util.Arrays.fill(missing, 0);
    Lines matrix = pressure.matrix();
    matrix.clear();
    for (int k = 0; k < mesh.faces; k++) {
      int a = mesh.from[k];
      int b = mesh.to[k];
      double share = mesh.share[k];
      double nr = mesh.normalR[k];
      double nz = mesh.normalZ[k];
      double dr = mesh.wayR[k];
      double dz = mesh.wayZ[k];
      double through = s.density * mesh.radius[k] * mesh.through[k];
      double pull = this.pull[a] + share * (this.pull[b] - this.pull[a]);
      double fu = s.u[a] + share * (s.u[b] - s.u[a]);
      double fw = s.w[a] + share * (s.w[b] - s.w[a]);
      double slope =
          (s.pr[a] + share * (s.pr[b] - s.pr[a])) * dr
              + (s.pz[a] + share * (s.pz[b] - s.pz[a])) * dz;
      double flow =
          s.density * mesh.radius[k] * (fu * nr + fw * nz)
              - pull * through * (s.p[b] - s.p[a] - slope);
      s.flow[k] = flow;
      missing[a] -= flow;
      missing[b] += flow;
      double give = (neighbours[a] + share * (neighbours[b] - neighbours[a])) * through;
      if (k < mesh.acrossFaces) {
        matrix.east[a] = give;
        matrix.west[b] = give;
      } else {
        matrix.north[a] = give;
        matrix.south[b] = give;
      }
      matrix.middle[a] += give;
      matrix.middle[b] += give;
    }
    for (int k = 0; k < mesh.edges; k++) {
      int c = mesh.edgeCell[k];
      if (mesh.edge[k] == Mesh.Edge.OPEN) {
        matrix.middle[c] += neighbours[c] * openThrough(k);
        s.edgeFlow[k] = openFlow(k);
      }
      missing[c] -= s.edgeFlow[k];
    }
  }

  private double openThrough(int k) {
    int c = mesh.edgeCell[k];
    double nr = mesh.edgeNormalR[k];
    double nz = mesh.edgeNormalZ[k];
    double way = nr * (mesh.edgeR[k] - mesh.r[c]) + nz * (mesh.edgeZ[k] - mesh.z[c]);
    return s.density * mesh.edgeRadius[k] * (nr * nr + nz * nz) / way;
  }

  private double openFlow(int k) {
    int c = mesh.edgeCell[k];
    double nr = mesh.edgeNormalR[k];
    double nz = mesh.edgeNormalZ[k];
    double dr = mesh.edgeR[k] - mesh.r[c];
    double dz = mesh.edgeZ[k] - mesh.z[c];
    return s.density * mesh.edgeRadius[k] * (s.u[c] * nr + s.w[c] * nz)
        - pull[c] * openThrough(k) * (s.edgeP[k] - s.p[c] - s.pr[c] * dr - s.pz[c] * dz);
  }

  private void correct() {
    Lines matrix = pressure.matrix();
    pressure.prepare();
    java.util.Arrays.fill(correction, 0);
    pressure.solve(correction, missing, PRESSURE, PRESSURE_ROUNDS);
    for (int k = 0; k < mesh.faces; k++) {
      int a = mesh.from[k];
      int b = mesh.to[k];
      double give = k < mesh.acrossFaces ? matrix.east[a] : matrix.north[a];
      s.flow[k] += give * (correction[a] - correction[b]);
    }
    s.push(correction, s.pr, s.pz);
    for (int k = 0; k < mesh.edges; k++) {
      int c = mesh.edgeCell[k];
      if (mesh.edge[k] == Mesh.Edge.OPEN) {
        s.edgeFlow[k] += neighbours[c] * openThrough(k) * correction[c];
        double square =
            mesh.edgeNormalR[k] * mesh.edgeNormalR[k] + mesh.edgeNormalZ[k] * mesh.edgeNormalZ[k];
        double surface = s.density * Math.sqrt(square) * mesh.edgeRadius[k];
        double speed = Math.min(0, s.edgeFlow[k]) / surface;
        // Air drawn in from rest has spent pressure on its speed.
        s.edgeP[k] = -0.5 * s.density * speed * speed;
      } else {
        s.edgePush(k, correction[c], s.pr, s.pz);
      }
    }
    for (int c = 0; c < mesh.cells; c++) {
      s.u[c] -= neighbours[c] * s.pr[c];
      s.w[c] -= neighbours[c] * s.pz[c];
      s.p[c] += correction[c];
    }
    massLeft = 0;
    java.util.Arrays.fill(missing, 0);
    for (int k = 0; k < mesh.faces; k++) {
      missing[mesh.from[k]] -= s.flow[k];
      missing[mesh.to[k]] += s.flow[k];
    }
    for (int k = 0; k < mesh.edges; k++) {
      missing[mesh.edgeCell[k]] -= s.edgeFlow[k];
    }
    for (double v : missing) {
      massLeft += Math.abs(v);
    }
  }

  /** How far one round's mass is to be put right, and in how many steps at most. */
  private static final double PRESSURE = 0.02;

  private static final int PRESSURE_ROUNDS = 12;
}
