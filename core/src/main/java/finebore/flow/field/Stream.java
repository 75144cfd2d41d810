package finebore.flow.field;

/**
 * A state of flow on a mesh: speeds, pressure, flow through faces and eddy viscosity.
 *
 * <p>SI units; the air's density does not change.
 */
final class Stream {

  final Mesh mesh;

  /** Density, kg/m3. */
  final double density;

  /** Viscosity of the air itself, Pa s. */
  double viscosity;

  /** Speed that the flow's pressure gives to still air, m/s. */
  double speed;

  final double[] u;
  final double[] w;
  final double[] p;

  /** Eddy viscosity in the cells, Pa s. */
  final double[] eddy;

  /** Eddy viscosity on the faces between cells, Pa s. */
  final double[] faceEddy;

  /** Mass through each face a second, from its first cell to its second; and out of each edge. */
  final double[] flow;

  final double[] edgeFlow;

  /** Still pressure on each edge face. */
  final double[] edgeP;

  /** What a wall drags with: stress times distance over speed, Pa s. */
  final double[] wallViscosity;

  /** What the turbulence model carries along, if it carries something, m2/s. */
  final double[] carried;

  final double[] pr;
  final double[] pz;
  final double[] ur;
  final double[] uz;
  final double[] wr;
  final double[] wz;

  Stream(Mesh mesh, double density, double viscosity) {
    this.mesh = mesh;
    this.density = density;
    this.viscosity = viscosity;
    int cells = mesh.cells;
    u = new double[cells];
    w = new double[cells];
    p = new double[cells];
    eddy = new double[cells];
    carried = new double[cells];
    faceEddy = new double[mesh.faces];
    flow = new double[mesh.faces];
    edgeFlow = new double[mesh.edges];
    edgeP = new double[mesh.edges];
    wallViscosity = new double[mesh.edges];
    pr = new double[cells];
    pz = new double[cells];
    ur = new double[cells];
    uz = new double[cells];
    wr = new double[cells];
    wz = new double[cells];
  }

  /** Speed along r on an edge face. */
  double edgeU(int k) {
    return edgeSpeed(k, true);
  }

  /** Speed along z on an edge face. */
  double edgeW(int k) {
    return edgeSpeed(k, false);
  }

  private double edgeSpeed(int k, boolean isU) {
    int c = mesh.edgeCell[k];
    double own = isU ? u[c] : w[c];
    double nr = mesh.edgeNormalR[k];
    double nz = mesh.edgeNormalZ[k];
    double square = nr * nr + nz * nz;
    return switch (mesh.edge[k]) {
      case WALL -> 0;
      case MIRROR -> own - (u[c] * nr + w[c] * nz) / square * (isU ? nr : nz);
      case FED -> edgeFlow[k] / (density * square * mesh.edgeRadius[k]) * (isU ? nr : nz);
      case OPEN ->
          edgeFlow[k] < 0
              ? edgeFlow[k] / (density * square * mesh.edgeRadius[k]) * (isU ? nr : nz)
              : own;
      case DRAWN -> own;
    };
  }

  /**
   * Takes over another state, place for place of the grids: the same share of the way along and
   * across. Flow through the edges stays as it is.
   */
  void startFrom(Stream other) {
    Mesh theirs = other.mesh;
    for (int i = 0; i < mesh.along; i++) {
      double x = Math.clamp((i + 0.5) / mesh.along * theirs.along - 0.5, 0, theirs.along - 1.0);
      int west = Math.min((int) x, theirs.along - 2);
      for (int j = 0; j < mesh.across; j++) {
        double y =
            Math.clamp((j + 0.5) / mesh.across * theirs.across - 0.5, 0, theirs.across - 1.0);
        int south = Math.min((int) y, theirs.across - 2);
        int at = west * theirs.across + south;
        int c = i * mesh.across + j;
        u[c] = between(other.u, at, theirs.across, x - west, y - south);
        w[c] = between(other.w, at, theirs.across, x - west, y - south);
        p[c] = between(other.p, at, theirs.across, x - west, y - south);
        carried[c] = between(other.carried, at, theirs.across, x - west, y - south);
        eddy[c] = between(other.eddy, at, theirs.across, x - west, y - south);
      }
    }
    for (int k = 0; k < mesh.faces; k++) {
      int a = mesh.from[k];
      int b = mesh.to[k];
      double share = mesh.share[k];
      flow[k] =
          density
              * mesh.radius[k]
              * ((u[a] + share * (u[b] - u[a])) * mesh.normalR[k]
                  + (w[a] + share * (w[b] - w[a])) * mesh.normalZ[k]);
    }
  }

  /** Lets nothing pass through walls, of which some may have been open. */
  void stopAtWalls() {
    for (int k = 0; k < mesh.edges; k++) {
      if (mesh.edge[k] == Mesh.Edge.WALL) {
        edgeFlow[k] = 0;
      }
    }
  }

  private static double between(double[] v, int at, int across, double x, double y) {
    double near = v[at] + y * (v[at + 1] - v[at]);
    double beyond = v[at + across] + y * (v[at + across + 1] - v[at + across]);
    return near + x * (beyond - near);
  }

  /** Slopes of the speeds, from what passes each cell's faces (Green and Gauss). */
  void slopesOfSpeeds() {
    slopes(u, ur, uz);
    slopes(w, wr, wz);
    for (int k = 0; k < mesh.edges; k++) {
      int c = mesh.edgeCell[k];
      double us = edgeU(k) / mesh.area[c];
      double ws = edgeW(k) / mesh.area[c];
      ur[c] += us * mesh.edgeNormalR[k];
      uz[c] += us * mesh.edgeNormalZ[k];
      wr[c] += ws * mesh.edgeNormalR[k];
      wz[c] += ws * mesh.edgeNormalZ[k];
    }
  }

  /** Slopes of the pressure; on walls it goes on as beside them. */
  void slopesOfPressure() {
    for (int k = 0; k < mesh.edges; k++) {
      if (mesh.edge[k] != Mesh.Edge.OPEN) {
        int c = mesh.edgeCell[k];
        edgeP[k] = p[c] + pr[c] * (mesh.edgeR[k] - mesh.r[c]) + pz[c] * (mesh.edgeZ[k] - mesh.z[c]);
      }
    }
    push(p, pr, pz);
    for (int k = 0; k < mesh.edges; k++) {
      edgePush(k, edgeP[k], pr, pz);
    }
  }

  /**
   * What a pressure in the cells pushes each with, a cubic metre: exactly what their neighbours get
   * the other way, so that no momentum is lost between them. Faces at the edge are still missing.
   */
  void push(double[] v, double[] alongR, double[] alongZ) {
    gather(v, true, alongR, alongZ);
    for (int c = 0; c < mesh.cells; c++) {
      double inverse = 1 / mesh.volume[c];
      // The sides of the slice push outward.
      alongR[c] = (alongR[c] - (mesh.round ? v[c] * mesh.area[c] : 0)) * inverse;
      alongZ[c] *= inverse;
    }
  }

  /** Adds what a pressure on a face at the edge pushes its cell with. */
  void edgePush(int k, double value, double[] alongR, double[] alongZ) {
    int c = mesh.edgeCell[k];
    double push = value * mesh.edgeRadius[k] / mesh.volume[c];
    alongR[c] += push * mesh.edgeNormalR[k];
    alongZ[c] += push * mesh.edgeNormalZ[k];
  }

  /** The part of the slopes that comes from faces between cells. */
  void slopes(double[] v, double[] alongR, double[] alongZ) {
    gather(v, false, alongR, alongZ);
    for (int c = 0; c < mesh.cells; c++) {
      double inverse = 1 / mesh.area[c];
      alongR[c] *= inverse;
      alongZ[c] *= inverse;
    }
  }

  /** Sums values on the faces times their normals, as they stand in the section or turned round. */
  private void gather(double[] v, boolean turned, double[] alongR, double[] alongZ) {
    java.util.Arrays.fill(alongR, 0);
    java.util.Arrays.fill(alongZ, 0);
    for (int k = 0; k < mesh.faces; k++) {
      int a = mesh.from[k];
      int b = mesh.to[k];
      double value = (v[a] + mesh.share[k] * (v[b] - v[a])) * (turned ? mesh.radius[k] : 1);
      double r = value * mesh.normalR[k];
      double z = value * mesh.normalZ[k];
      alongR[a] += r;
      alongZ[a] += z;
      alongR[b] -= r;
      alongZ[b] -= z;
    }
  }
}
