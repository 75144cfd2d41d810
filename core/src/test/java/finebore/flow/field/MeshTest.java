package finebore.flow.field;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.flow.field.AirSpace.Kind;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

class MeshTest {

  /** Three cells along, two across, between r = 1 and 3, sheared by 0.5 up over its width. */
  private static GridLines sheared() {
    double[][] r = new double[4][3];
    double[][] z = new double[4][3];
    for (int i = 0; i < 4; i++) {
      for (int j = 0; j < 3; j++) {
        r[i][j] = 1 + j;
        z[i][j] = 2 * i + 0.25 * j;
      }
    }
    return new GridLines(
        r,
        z,
        new Kind[] {Kind.WALL, Kind.WALL, Kind.MIRROR},
        new Kind[] {Kind.WALL, Kind.ROOF, Kind.ROOF});
  }

  @Test
  void isMeasuredByHand() {
    Mesh mesh = new Mesh(sheared(), true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    assertThat(mesh.cells).isEqualTo(6);
    assertThat(mesh.faces).isEqualTo(4 + 3);
    assertThat(mesh.area).containsExactly(new double[] {2, 2, 2, 2, 2, 2}, within(1e-12));
    assertThat(mesh.r[2]).isCloseTo(1.5, within(1e-12));
    assertThat(mesh.z[2]).isCloseTo(3.125, within(1e-12));
    assertThat(mesh.volume[3]).isCloseTo(5, within(1e-12));
    // The face on from cell 1: from (2, 2.25) to (3, 2.5).
    assertThat(mesh.from[1]).isEqualTo(1);
    assertThat(mesh.to[1]).isEqualTo(3);
    assertThat(mesh.normalR[1]).isCloseTo(-0.25, within(1e-12));
    assertThat(mesh.normalZ[1]).isCloseTo(1, within(1e-12));
    assertThat(mesh.radius[1]).isCloseTo(2.5, within(1e-12));
    assertThat(mesh.share[1]).isCloseTo(0.5, within(1e-12));
    assertThat(mesh.wayR[1]).isCloseTo(0, within(1e-12));
    assertThat(mesh.wayZ[1]).isCloseTo(2, within(1e-12));
    // Square of its length over its way along it.
    assertThat(mesh.through[1]).isCloseTo((1 + 0.0625) / 2, within(1e-12));
    // The face across from cell 2 to 3: upright at r = 2, the way (1, 0.25).
    int k = mesh.acrossFaces + 1;
    assertThat(mesh.from[k]).isEqualTo(2);
    assertThat(mesh.to[k]).isEqualTo(3);
    assertThat(mesh.normalR[k]).isCloseTo(2, within(1e-12));
    assertThat(mesh.normalZ[k]).isCloseTo(0, within(1e-12));
    assertThat(mesh.through[k]).isCloseTo(2, within(1e-12));
  }

  @Test
  void isAMetreThickWherePlane() {
    Mesh mesh = new Mesh(sheared(), false, Mesh.Edge.FED, Mesh.Edge.OPEN);
    assertThat(mesh.volume).containsExactly(mesh.area, within(1e-12));
    assertThat(Arrays.stream(mesh.radius).allMatch(v -> v == 1)).isTrue();
    assertThat(Arrays.stream(mesh.edgeRadius).allMatch(v -> v == 1)).isTrue();
  }

  @Test
  void itsEdgesFaceOutward() {
    Mesh mesh = new Mesh(sheared(), true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    assertThat(mesh.edge)
        .containsExactly(
            Mesh.Edge.WALL,
            Mesh.Edge.WALL,
            Mesh.Edge.MIRROR,
            Mesh.Edge.WALL,
            Mesh.Edge.WALL,
            Mesh.Edge.WALL,
            Mesh.Edge.FED,
            Mesh.Edge.FED,
            Mesh.Edge.OPEN,
            Mesh.Edge.OPEN);
    assertThat(mesh.edgeCell).containsExactly(0, 2, 4, 1, 3, 5, 0, 1, 4, 5);
    assertThat(mesh.edgeNormalR[0]).isCloseTo(-2, within(1e-12));
    assertThat(mesh.edgeNormalR[4]).isCloseTo(2, within(1e-12));
    assertThat(mesh.edgeNormalZ[6]).isCloseTo(-1, within(1e-12));
    assertThat(mesh.edgeNormalZ[9]).isCloseTo(1, within(1e-12));
    assertThat(mesh.edgeR[9]).isCloseTo(2.5, within(1e-12));
    assertThat(mesh.edgeZ[9]).isCloseTo(6.375, within(1e-12));
    assertThat(mesh.edgeRadius[4]).isCloseTo(3, within(1e-12));
    assertThat(mesh.clear[0]).isCloseTo(0.5, within(1e-12));
    // Half a cell up, on a face that leans by a quarter.
    assertThat(mesh.clear[9]).isCloseTo(1 / Math.sqrt(1.0625), within(1e-12));
  }

  /** What goes round a cell closes: its faces' normals add up to none. */
  @Test
  void everyCellIsClosed() {
    Mesh mesh = new Mesh(sheared(), true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    double[] r = new double[mesh.cells];
    double[] z = new double[mesh.cells];
    for (int k = 0; k < mesh.faces; k++) {
      r[mesh.from[k]] += mesh.normalR[k];
      r[mesh.to[k]] -= mesh.normalR[k];
      z[mesh.from[k]] += mesh.normalZ[k];
      z[mesh.to[k]] -= mesh.normalZ[k];
    }
    for (int k = 0; k < mesh.edges; k++) {
      r[mesh.edgeCell[k]] += mesh.edgeNormalR[k];
      z[mesh.edgeCell[k]] += mesh.edgeNormalZ[k];
    }
    assertThat(r).containsExactly(new double[mesh.cells], within(1e-12));
    assertThat(z).containsExactly(new double[mesh.cells], within(1e-12));
  }

  /** The mirror is no wall: the last cell's nearest one is beside its neighbour. */
  @Test
  void knowsHowFarItsWallsAre() {
    Mesh mesh = new Mesh(sheared(), true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    assertThat(mesh.wallDistance[2]).isCloseTo(0.5, within(1e-12));
    assertThat(mesh.wallDistance[3]).isCloseTo(0.5, within(1e-12));
    // Cell 4 lies at (1.5, 5.125), the inner wall ends at (1, 4).
    assertThat(mesh.wallDistance[4]).isCloseTo(Math.hypot(0.5, 1.125), within(1e-12));
  }

  @Test
  void theRoofOpensFromFarOut() {
    Mesh mesh = new Mesh(sheared(), true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    mesh.openRoof(1);
    assertThat(Arrays.copyOfRange(mesh.edge, 3, 6))
        .containsExactly(Mesh.Edge.WALL, Mesh.Edge.OPEN, Mesh.Edge.OPEN);
    mesh.openRoof(0.5);
    assertThat(Arrays.copyOfRange(mesh.edge, 3, 6))
        .containsExactly(Mesh.Edge.WALL, Mesh.Edge.WALL, Mesh.Edge.OPEN);
    mesh.openRoof(0);
    assertThat(mesh.edge[5]).isEqualTo(Mesh.Edge.WALL);
  }
}
