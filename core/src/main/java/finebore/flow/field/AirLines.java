package finebore.flow.field;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.operation.linemerge.LineMerger;

/**
 * Lines that air follows, and water that stands dead beside them.
 *
 * <p>The stream function is the flow between a grid corner and the valve, over all that passes, so
 * it is exact to what the solver balanced. Air between 0 and 1 passes; what lies outside goes round
 * and round beside a wall, or is drawn along by the jet in the open.
 */
public final class AirLines {

  /** Share of the flow that must go round for water to count as dead. */
  private static final double ROUND = 2e-4;

  /** Dead water shorter than this along its wall is not told, in valve radii. */
  private static final double SHORTEST = 0.008;

  private static final GeometryFactory GEOMETRY = new GeometryFactory();

  private final AirFlow flow;
  private final double[][] stream;

  /** Looked for once: a picture asks for it at every repaint. */
  private List<DeadWater> deadWater;

  /**
   * Air that goes round beside a wall.
   *
   * @param surface the surface it lies against most
   * @param onValve whether that is the valve's
   * @param lengthMm how much of the wall it covers
   * @param share flow that goes round in it, over all that passes
   * @param outline the line between it and the air that passes
   */
  public record DeadWater(
      Surface surface, boolean onValve, double lengthMm, double share, List<List<Point>> outline) {}

  private AirLines(AirFlow flow, double[][] stream) {
    this.flow = flow;
    this.stream = stream;
  }

  public static AirLines of(AirFlow flow) {
    Stream s = flow.stream();
    int n = flow.along();
    int m = flow.across();
    double[][] stream = new double[n + 1][m + 1];
    double all = 0;
    for (int j = 0; j < m; j++) {
      all -= s.edgeFlow[2 * n + j];
    }
    // Along the valve first: only open air lets anything through.
    for (int i = 0; i < n; i++) {
      stream[i + 1][0] = stream[i][0] - s.edgeFlow[i] / all;
    }
    for (int i = 0; i <= n; i++) {
      for (int j = 0; j < m; j++) {
        double through =
            i == 0
                ? -s.edgeFlow[2 * n + j]
                : i == n ? s.edgeFlow[2 * n + m + j] : s.flow[(i - 1) * m + j];
        stream[i][j + 1] = stream[i][j] + through / all;
      }
    }
    return new AirLines(flow, stream);
  }

  /** Whether air of a cell has come through the valve, and is not still or drawn in. */
  public boolean passes(int i, int j) {
    double middle = (stream[i][j] + stream[i + 1][j] + stream[i][j + 1] + stream[i + 1][j + 1]) / 4;
    return middle > ROUND && middle < 1 - ROUND;
  }

  /** Lines that part the flow evenly. */
  public List<List<Point>> streamlines(int count) {
    List<List<Point>> lines = new ArrayList<>();
    for (int k = 1; k <= count; k++) {
      lines.addAll(contour((k - 0.5) / count, (i, j) -> true));
    }
    return lines;
  }

  /** Which cells a contour is drawn in. */
  private interface Cells {
    boolean has(int i, int j);
  }

  private List<List<Point>> contour(double level, Cells cells) {
    List<List<Point>> pieces = new ArrayList<>();
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        if (cells.has(i, j)) {
          crossing(i, j, level, pieces);
        }
      }
    }
    return joined(pieces);
  }

  private void crossing(int i, int j, double level, List<List<Point>> into) {
    int[][] corners = {{i, j}, {i + 1, j}, {i + 1, j + 1}, {i, j + 1}};
    List<Point> cuts = new ArrayList<>();
    for (int k = 0; k < 4; k++) {
      // Both cells of an edge go along it the same way, and come to the same place on it.
      int[] a = corners[k < 2 ? k : (k + 1) % 4];
      int[] b = corners[k < 2 ? k + 1 : k];
      double va = stream[a[0]][a[1]] - level;
      double vb = stream[b[0]][b[1]] - level;
      if (va < 0 != vb < 0) {
        cuts.add(flow.corner(a[0], a[1]).toward(flow.corner(b[0], b[1]), va / (va - vb)));
      }
    }
    for (int k = 0; k + 1 < cuts.size(); k += 2) {
      into.add(List.of(cuts.get(k), cuts.get(k + 1)));
    }
  }

  /** Pieces end to end. */
  private static List<List<Point>> joined(List<List<Point>> pieces) {
    LineMerger merger = new LineMerger();
    for (List<Point> piece : pieces) {
      Coordinate from = at(piece.getFirst());
      Coordinate to = at(piece.getLast());
      if (!from.equals2D(to)) {
        merger.add(GEOMETRY.createLineString(new Coordinate[] {from, to}));
      }
    }
    List<List<Point>> lines = new ArrayList<>();
    for (Object line : merger.getMergedLineStrings()) {
      lines.add(
          Arrays.stream(((LineString) line).getCoordinates())
              .map(c -> new Point(c.x, c.y))
              .toList());
    }
    return lines;
  }

  private static Coordinate at(Point p) {
    return new Coordinate(p.r(), p.z());
  }

  /** Dead water beside valve and head, the longest first. */
  public List<DeadWater> deadWater() {
    if (deadWater == null) {
      deadWater = List.copyOf(lookForDeadWater());
    }
    return deadWater;
  }

  private List<DeadWater> lookForDeadWater() {
    List<DeadWater> found = new ArrayList<>();
    int n = flow.along();
    int m = flow.across();
    boolean[][] seen = new boolean[n][m];
    // Right at a wall hardly anything moves: what goes round is told a little off it.
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < m; j++) {
        for (boolean onValve : new boolean[] {true, false}) {
          if (!seen[i][j] && goesRound(i, j, onValve)) {
            gather(i, j, onValve, seen).ifPresent(found::add);
          }
        }
      }
    }
    found.sort(Comparator.comparingDouble(DeadWater::lengthMm).reversed());
    return found;
  }

  private boolean goesRound(int i, int j, boolean onValve) {
    double middle = (stream[i][j] + stream[i + 1][j] + stream[i][j + 1] + stream[i + 1][j + 1]) / 4;
    return onValve ? middle < -ROUND : middle > 1 + ROUND;
  }

  private Optional<DeadWater> gather(int i0, int j0, boolean onValve, boolean[][] seen) {
    int n = flow.along();
    int m = flow.across();
    boolean[][] mine = new boolean[n][m];
    Deque<int[]> open = new ArrayDeque<>(List.of(new int[] {i0, j0}));
    seen[i0][j0] = true;
    mine[i0][j0] = true;
    double share = 0;
    SortedSet<Integer> beside = new TreeSet<>();
    boolean reachesOpen = false;
    while (!open.isEmpty()) {
      int[] c = open.pop();
      int i = c[0];
      int j = c[1];
      for (int[] corner : new int[][] {{i, j}, {i + 1, j}, {i, j + 1}, {i + 1, j + 1}}) {
        double beyond = stream[corner[0]][corner[1]];
        share = Math.max(share, onValve ? -beyond : beyond - 1);
      }
      if (flow.stream().mesh.edge[onValve ? i : n + i] == Mesh.Edge.WALL) {
        beside.add(i);
      }
      reachesOpen |= i == n - 1;
      for (int[] next : new int[][] {{i - 1, j}, {i + 1, j}, {i, j - 1}, {i, j + 1}}) {
        int a = next[0];
        int b = next[1];
        if (a >= 0 && a < n && b >= 0 && b < m && !seen[a][b] && goesRound(a, b, onValve)) {
          seen[a][b] = true;
          mine[a][b] = true;
          open.push(next);
        }
      }
    }
    double length = 0;
    Point middle = null;
    double longest = 0;
    int side = onValve ? 0 : m;
    for (int i : beside) {
      double piece = flow.corner(i, side).distanceTo(flow.corner(i + 1, side));
      length += piece;
      if (piece > longest) {
        longest = piece;
        middle = flow.corner(i, side).toward(flow.corner(i + 1, side), 0.5);
      }
    }
    if (reachesOpen || middle == null || length < SHORTEST * flow.question().headRadiusMm()) {
      return Optional.empty();
    }
    Profile wall = onValve ? flow.question().valve() : flow.question().wall();
    List<List<Point>> outline =
        contour(
            onValve ? 0 : 1,
            (i, j) -> {
              for (int a = Math.max(0, i - 1); a <= Math.min(n - 1, i + 1); a++) {
                for (int b = Math.max(0, j - 1); b <= Math.min(m - 1, j + 1); b++) {
                  if (mine[a][b]) {
                    return true;
                  }
                }
              }
              return false;
            });
    return Optional.of(
        new DeadWater(surfaceAt(wall, beside, side), onValve, length, share, outline));
  }

  /** The surface that most of the wall beside dead water is. */
  private Surface surfaceAt(Profile wall, Collection<Integer> beside, int side) {
    Map<Surface, Double> covered = new HashMap<>();
    for (int i : beside) {
      Point a = flow.corner(i, side);
      Point b = flow.corner(i + 1, side);
      Point middle = a.toward(b, 0.5);
      int nearest = 0;
      for (int k = 1; k < wall.segmentCount(); k++) {
        if (wall.distance(k, middle) < wall.distance(nearest, middle)) {
          nearest = k;
        }
      }
      // An arc is many stretches of one surface.
      covered.merge(wall.surfaces().get(nearest), a.distanceTo(b), Double::sum);
    }
    return Collections.max(covered.entrySet(), Map.Entry.comparingByValue()).getKey();
  }
}
