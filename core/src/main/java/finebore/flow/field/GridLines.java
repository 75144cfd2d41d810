package finebore.flow.field;

import finebore.flow.field.AirSpace.Kind;
import finebore.flow.field.AirSpace.Side;
import finebore.section.Point;

/**
 * Grid lines through an air space: where they end on its sides, and the nodes between.
 *
 * <p>Lines across are spread by the room there is: close where the channel is narrow, at most three
 * times as long as wide elsewhere. Each corner of a side gets a line of its own, the nearest one;
 * the lines beside it move by less than their spacing. Nodes inside are harmonic in the rectangle
 * of the {@link ConformalMap}, which keeps lines square to each other.
 *
 * @param r distance of the nodes from the axis; first index along, second across from the inner
 *     side
 * @param z their heights
 * @param inner what stands between nodes i and i + 1 of the inner side
 * @param outer the same of the outer side
 */
record GridLines(double[][] r, double[][] z, Kind[] inner, Kind[] outer) {

  /** Samples of the channel's width. */
  private static final int SAMPLES = 400;

  /** Length over width of the cells in the narrows, and elsewhere. */
  private static final double NARROW = 1.3;

  private static final double WIDE = 3;

  /** How much wider than its narrowest a place may be to count as narrows. */
  private static final double NARROWS = 4;

  /** How fast cells may grow along. */
  private static final double GROWTH = 0.15;

  /** Cells along the shortest stretch between two corners. */
  private static final double CELLS_OF_A_STRETCH = 3;

  /** Spacing in the middle over that at the walls. */
  private static final double TO_WALLS = 1.6;

  /**
   * Lays lines.
   *
   * @param across cells from side to side
   * @throws AirNotSolved when lines cross
   */
  static GridLines of(AirSpace space, int across) {
    ConformalMap map = ConformalMap.of(space);
    double[] along = along(map, space, across);
    int n = along.length - 1;
    double[] innerPlaces = places(map.inner(), space.inner(), along, map.modulus());
    double[] outerPlaces = places(map.outer(), space.outer(), along, map.modulus());
    double[] stream = across(across);
    double[][] r = new double[n + 1][across + 1];
    double[][] z = new double[n + 1][across + 1];
    for (int i = 0; i <= n; i++) {
      set(r, z, i, 0, map.inner().along(innerPlaces[i]));
      set(r, z, i, across, map.outer().along(outerPlaces[i]));
    }
    for (int j = 1; j < across; j++) {
      set(r, z, 0, j, map.port().at(stream[j]));
      set(r, z, n, j, map.far().at(stream[j]));
    }
    Harmonic.fill(r, along, stream);
    Harmonic.fill(z, along, stream);
    int folds = Unfolding.mend(r, z);
    if (folds > 0) {
      throw new AirNotSolved(AirNotSolved.Why.GRID_FOLDS, folds);
    }
    return new GridLines(
        r, z, kinds(space.inner(), innerPlaces), kinds(space.outer(), outerPlaces));
  }

  private static void set(double[][] r, double[][] z, int i, int j, Point p) {
    r[i][j] = p.r();
    z[i][j] = p.z();
  }

  /** Closer at the walls, from 0 to 1. */
  private static double[] across(int cells) {
    double[] stream = new double[cells + 1];
    for (int j = 0; j <= cells; j++) {
      stream[j] = 0.5 * (1 + Math.tanh(TO_WALLS * (2.0 * j / cells - 1)) / Math.tanh(TO_WALLS));
    }
    return stream;
  }

  /** Places of the lines along the rectangle, in its widths. */
  private static double[] along(ConformalMap map, AirSpace space, int across) {
    double length = map.modulus();
    double[] x = new double[SAMPLES + 1];
    double[] spacing = new double[SAMPLES + 1];
    double narrowest = Double.MAX_VALUE;
    double[] width = new double[SAMPLES + 1];
    for (int k = 0; k <= SAMPLES; k++) {
      x[k] = length * k / SAMPLES;
      double share = (double) k / SAMPLES;
      width[k] = map.inner().at(share).distanceTo(map.outer().at(share));
      narrowest = Math.min(narrowest, width[k]);
    }
    for (int k = 0; k <= SAMPLES; k++) {
      double share = Math.clamp((width[k] / narrowest - NARROWS) / NARROWS, 0, 1);
      spacing[k] = (NARROW + share * (WIDE - NARROW)) / across;
    }
    refine(map.inner(), space.inner(), x, spacing);
    refine(map.outer(), space.outer(), x, spacing);
    double step = length / SAMPLES;
    for (int k = 1; k <= SAMPLES; k++) {
      spacing[k] = Math.min(spacing[k], spacing[k - 1] + GROWTH * step);
    }
    for (int k = SAMPLES - 1; k >= 0; k--) {
      spacing[k] = Math.min(spacing[k], spacing[k + 1] + GROWTH * step);
    }
    double[] lines = new double[SAMPLES + 1];
    for (int k = 1; k <= SAMPLES; k++) {
      lines[k] = lines[k - 1] + step / 2 * (1 / spacing[k] + 1 / spacing[k - 1]);
    }
    int n = (int) Math.ceil(lines[SAMPLES]);
    double[] along = new double[n + 1];
    for (int i = 0; i <= n; i++) {
      along[i] = ConformalMap.interpolate(lines, x, lines[SAMPLES] * i / n);
    }
    along[n] = length;
    return along;
  }

  /** Keeps a few cells on each stretch between corners. */
  private static void refine(ConformalMap.Trace trace, Side side, double[] x, double[] spacing) {
    double length = x[SAMPLES];
    double from = 0;
    for (int k = 1; k < side.points().size(); k++) {
      if (!side.isCorner(k)) {
        continue;
      }
      double to = length * trace.corners()[k];
      double cells = (to - from) / CELLS_OF_A_STRETCH;
      int first = (int) Math.floor(from / length * SAMPLES);
      int last = Math.min(SAMPLES, (int) Math.ceil(to / length * SAMPLES));
      for (int s = first; s <= last; s++) {
        spacing[s] = Math.min(spacing[s], Math.max(cells, length / SAMPLES / 4));
      }
      from = to;
    }
  }

  /** Lengths along a side where the lines end, each corner at the end of one. */
  private static double[] places(
      ConformalMap.Trace trace, Side side, double[] along, double modulus) {
    int n = along.length - 1;
    double[] index = new double[n + 1];
    for (int i = 0; i <= n; i++) {
      index[i] = i;
    }
    double[] lengths = side.lengths();
    double[] places = new double[n + 1];
    int line = 0;
    double at = 0;
    double corner = 0;
    int cornersLeft = 0;
    for (int k = 1; k < side.points().size(); k++) {
      cornersLeft += side.isCorner(k) ? 1 : 0;
    }
    for (int k = 1; k < side.points().size(); k++) {
      if (!side.isCorner(k)) {
        continue;
      }
      cornersLeft--;
      double exact =
          ConformalMap.interpolate(along, index, Math.min(modulus, modulus * trace.corners()[k]));
      int to = k == side.points().size() - 1 ? n : (int) Math.round(exact);
      to = Math.clamp(to, line + 1, n - cornersLeft);
      for (int i = line; i <= to; i++) {
        double share = (double) (i - line) / (to - line);
        double place = at + share * (exact - at);
        double s = trace.lengthAt(ConformalMap.interpolate(index, along, place) / modulus);
        places[i] = s;
      }
      stretchTo(places, line, to, corner, lengths[k]);
      line = to;
      at = exact;
      corner = lengths[k];
    }
    return places;
  }

  /** Moves places between two lines so that they begin and end at two corners. */
  private static void stretchTo(double[] places, int from, int to, double begin, double end) {
    double first = places[from];
    double last = places[to];
    for (int i = from; i <= to; i++) {
      double share =
          last > first ? (places[i] - first) / (last - first) : (double) (i - from) / (to - from);
      places[i] = begin + share * (end - begin);
    }
  }

  private static Kind[] kinds(Side side, double[] places) {
    double[] lengths = side.lengths();
    Kind[] kinds = new Kind[places.length - 1];
    int k = 0;
    for (int i = 0; i < kinds.length; i++) {
      double middle = (places[i] + places[i + 1]) / 2;
      while (k < lengths.length - 2 && lengths[k + 1] < middle) {
        k++;
      }
      kinds[i] = side.kinds().get(k);
    }
    return kinds;
  }
}
