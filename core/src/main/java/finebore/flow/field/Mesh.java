package finebore.flow.field;

import finebore.flow.field.AirSpace.Kind;
import java.util.ArrayList;
import java.util.List;

/**
 * Cells and their faces: a grid of quadrilaterals in the section, turned round the axis by one
 * radian, or one metre thick where it is plane.
 *
 * <p>Cell (i, j) is number i * across + j; i runs from the port to the open, j from the inner side
 * to the outer. Faces between cells come first those across the stream, the one after cell c with
 * number c, then those along it. Lengths are metres, areas square metres a radian.
 */
final class Mesh {

  /** What air meets on a face at the edge of the grid. */
  enum Edge {
    WALL,
    MIRROR,
    OPEN,
    /** Air passes at a given rate, inward. */
    FED,
    /** Air leaves at a given rate. */
    DRAWN
  }

  /** Cosine below which a line that crosses a face slantwise counts as no more slanted. */
  private static final double SLANTED = 0.3;

  final int along;
  final int across;
  final int cells;
  final boolean round;
  final double[] r;
  final double[] z;

  /** Area in the section, and volume. */
  final double[] area;

  final double[] volume;

  /** Faces between cells: from, to, normal times length in the section, and radius. */
  final int faces;

  final int acrossFaces;
  final int[] from;
  final int[] to;
  final double[] normalR;
  final double[] normalZ;
  final double[] radius;

  /** Length of the face over the way between its cells, as square to it as the lines are. */
  final double[] through;

  /** Share of the second cell in a value on the face; way from cell to cell. */
  final double[] share;

  final double[] wayR;
  final double[] wayZ;

  /** Faces at the edge of the grid: inner side, outer side, port, open. */
  final int edges;

  final int[] edgeCell;
  final Edge[] edge;
  final double[] edgeNormalR;
  final double[] edgeNormalZ;
  final double[] edgeRadius;
  final double[] edgeR;
  final double[] edgeZ;

  /** Way from the cell's middle square to the face. */
  final double[] clear;

  /** Distance of each cell's middle from the nearest wall. */
  final double[] wallDistance;

  final GridLines lines;

  private final List<Integer> roof = new ArrayList<>();

  /**
   * Measures a grid.
   *
   * @param lines in metres
   * @param round whether it is turned round r = 0, or plane
   * @param portEnd what the end in the port is
   * @param farEnd what the other end is
   */
  Mesh(GridLines lines, boolean round, Edge portEnd, Edge farEnd) {
    this.lines = lines;
    this.round = round;
    double[][] nr = lines.r();
    double[][] nz = lines.z();
    along = nr.length - 1;
    across = nr[0].length - 1;
    cells = along * across;
    r = new double[cells];
    z = new double[cells];
    area = new double[cells];
    volume = new double[cells];
    for (int i = 0; i < along; i++) {
      for (int j = 0; j < across; j++) {
        middle(nr, nz, i, j);
      }
    }
    acrossFaces = (along - 1) * across;
    faces = acrossFaces + along * (across - 1);
    from = new int[faces];
    to = new int[faces];
    normalR = new double[faces];
    normalZ = new double[faces];
    radius = new double[faces];
    through = new double[faces];
    share = new double[faces];
    wayR = new double[faces];
    wayZ = new double[faces];
    int k = 0;
    for (int i = 0; i < along - 1; i++) {
      for (int j = 0; j < across; j++) {
        face(k++, i * across + j, (i + 1) * across + j, i + 1, j, i + 1, j + 1, true);
      }
    }
    for (int i = 0; i < along; i++) {
      for (int j = 0; j < across - 1; j++) {
        face(k++, i * across + j, i * across + j + 1, i, j + 1, i + 1, j + 1, false);
      }
    }
    edges = 2 * along + 2 * across;
    edgeCell = new int[edges];
    edge = new Edge[edges];
    edgeNormalR = new double[edges];
    edgeNormalZ = new double[edges];
    edgeRadius = new double[edges];
    edgeR = new double[edges];
    edgeZ = new double[edges];
    clear = new double[edges];
    k = 0;
    for (int i = 0; i < along; i++) {
      edge(k++, i * across, i, 0, i + 1, 0, false, -1, of(lines.inner()[i]));
    }
    for (int i = 0; i < along; i++) {
      if (lines.outer()[i] == Kind.ROOF) {
        roof.add(k);
      }
      edge(k++, i * across + across - 1, i, across, i + 1, across, false, 1, of(lines.outer()[i]));
    }
    for (int j = 0; j < across; j++) {
      edge(k++, j, 0, j, 0, j + 1, true, -1, portEnd);
    }
    for (int j = 0; j < across; j++) {
      edge(k++, (along - 1) * across + j, along, j, along, j + 1, true, 1, farEnd);
    }
    wallDistance = wallDistances();
  }

  /**
   * Opens a share of the roof to still air, that farthest out, and shuts the rest.
   *
   * @param share 1 and above for all of it, 0 for none
   */
  void openRoof(double share) {
    for (int n = 0; n < roof.size(); n++) {
      edge[roof.get(n)] = n < (1 - share) * roof.size() ? Edge.WALL : Edge.OPEN;
    }
  }

  private static Edge of(Kind kind) {
    return switch (kind) {
      case WALL, ROOF -> Edge.WALL;
      case MIRROR -> Edge.MIRROR;
      case OPEN -> Edge.OPEN;
    };
  }

  private void middle(double[][] nr, double[][] nz, int i, int j) {
    int c = i * across + j;
    double[] pr = {nr[i][j], nr[i][j + 1], nr[i + 1][j + 1], nr[i + 1][j]};
    double[] pz = {nz[i][j], nz[i][j + 1], nz[i + 1][j + 1], nz[i + 1][j]};
    double twice = 0;
    double mr = 0;
    double mz = 0;
    for (int a = 0; a < 4; a++) {
      int b = (a + 1) % 4;
      double cross = pr[a] * pz[b] - pr[b] * pz[a];
      twice += cross;
      mr += (pr[a] + pr[b]) * cross;
      mz += (pz[a] + pz[b]) * cross;
    }
    area[c] = Math.abs(twice) / 2;
    r[c] = mr / (3 * twice);
    z[c] = mz / (3 * twice);
    volume[c] = area[c] * (round ? r[c] : 1);
  }

  private void face(int k, int a, int b, int ia, int ja, int ib, int jb, boolean isAcross) {
    double ar = lines.r()[ia][ja];
    double az = lines.z()[ia][ja];
    double br = lines.r()[ib][jb];
    double bz = lines.z()[ib][jb];
    from[k] = a;
    to[k] = b;
    normalR[k] = isAcross ? az - bz : bz - az;
    normalZ[k] = isAcross ? br - ar : ar - br;
    radius[k] = round ? (ar + br) / 2 : 1;
    double fr = (ar + br) / 2;
    double fz = (az + bz) / 2;
    wayR[k] = r[b] - r[a];
    wayZ[k] = z[b] - z[a];
    double square = normalR[k] * normalR[k] + normalZ[k] * normalZ[k];
    double way = Math.sqrt(wayR[k] * wayR[k] + wayZ[k] * wayZ[k]);
    double onto = normalR[k] * wayR[k] + normalZ[k] * wayZ[k];
    through[k] = square / Math.max(onto, SLANTED * Math.sqrt(square) * way);
    double near = Math.abs((fr - r[a]) * normalR[k] + (fz - z[a]) * normalZ[k]);
    double beyond = Math.abs((fr - r[b]) * normalR[k] + (fz - z[b]) * normalZ[k]);
    share[k] = near / (near + beyond);
  }

  private void edge(
      int k, int cell, int ia, int ja, int ib, int jb, boolean isEnd, int sign, Edge kind) {
    double ar = lines.r()[ia][ja];
    double az = lines.z()[ia][ja];
    double br = lines.r()[ib][jb];
    double bz = lines.z()[ib][jb];
    edgeCell[k] = cell;
    edge[k] = kind;
    edgeNormalR[k] = sign * (isEnd ? az - bz : bz - az);
    edgeNormalZ[k] = sign * (isEnd ? br - ar : ar - br);
    edgeRadius[k] = round ? (ar + br) / 2 : 1;
    edgeR[k] = (ar + br) / 2;
    edgeZ[k] = (az + bz) / 2;
    double length = Math.sqrt(edgeNormalR[k] * edgeNormalR[k] + edgeNormalZ[k] * edgeNormalZ[k]);
    clear[k] =
        Math.abs((edgeR[k] - r[cell]) * edgeNormalR[k] + (edgeZ[k] - z[cell]) * edgeNormalZ[k])
            / length;
    clear[k] = Math.max(clear[k], 1e-3 * Math.sqrt(area[cell]));
  }

  private double[] wallDistances() {
    double[] nearest = new double[cells];
    java.util.Arrays.fill(nearest, Double.MAX_VALUE);
    for (int k = 0; k < 2 * along; k++) {
      if (edge[k] != Edge.WALL) {
        continue;
      }
      // The face lies square to its normal, half of it on each side of its middle.
      double hr = -edgeNormalZ[k] / 2;
      double hz = edgeNormalR[k] / 2;
      double square = hr * hr + hz * hz;
      for (int c = 0; c < cells; c++) {
        double dr = r[c] - edgeR[k];
        double dz = z[c] - edgeZ[k];
        double t = Math.clamp((dr * hr + dz * hz) / square, -1, 1);
        double er = dr - t * hr;
        double ez = dz - t * hz;
        nearest[c] = Math.min(nearest[c], er * er + ez * ez);
      }
    }
    for (int c = 0; c < cells; c++) {
      nearest[c] = Math.sqrt(nearest[c]);
    }
    return nearest;
  }
}
