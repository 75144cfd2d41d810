package finebore.flow.field;

/**
 * A matrix that couples each cell of a grid with its four neighbours, and line relaxation with it.
 *
 * <p>Row c reads: middle[c] x[c] = right[c] + sum of neighbour[c] x[neighbour].
 */
final class Lines {

  final int along;
  final int across;
  final double[] middle;
  final double[] west;
  final double[] east;
  final double[] south;
  final double[] north;
  private final double[] upper;
  private final double[] value;

  Lines(int along, int across) {
    this.along = along;
    this.across = across;
    int cells = along * across;
    middle = new double[cells];
    west = new double[cells];
    east = new double[cells];
    south = new double[cells];
    north = new double[cells];
    upper = new double[Math.max(along, across)];
    value = new double[Math.max(along, across)];
  }

  void clear() {
    java.util.Arrays.fill(middle, 0);
    java.util.Arrays.fill(west, 0);
    java.util.Arrays.fill(east, 0);
    java.util.Arrays.fill(south, 0);
    java.util.Arrays.fill(north, 0);
  }

  /** One pass over the lines across the stream, from the port on or back to it. */
  void sweepAcross(double[] x, double[] right, boolean forward) {
    for (int turn = 0; turn < along; turn++) {
      int i = forward ? turn : along - 1 - turn;
      int first = i * across;
      for (int j = 0; j < across; j++) {
        int c = first + j;
        double b = right[c];
        if (i > 0) {
          b += west[c] * x[c - across];
        }
        if (i < along - 1) {
          b += east[c] * x[c + across];
        }
        double pivot = middle[c];
        if (j > 0) {
          pivot -= south[c] * upper[j - 1];
          b += south[c] * value[j - 1];
        }
        double inverse = 1 / pivot;
        upper[j] = north[c] * inverse;
        value[j] = b * inverse;
      }
      double next = value[across - 1];
      x[first + across - 1] = next;
      for (int j = across - 2; j >= 0; j--) {
        next = value[j] + upper[j] * next;
        x[first + j] = next;
      }
    }
  }

  /** One pass over the lines along the stream, from the inner side on or back to it. */
  void sweepAlong(double[] x, double[] right, boolean forward) {
    for (int turn = 0; turn < across; turn++) {
      int j = forward ? turn : across - 1 - turn;
      for (int i = 0; i < along; i++) {
        int c = i * across + j;
        double b = right[c];
        if (j > 0) {
          b += south[c] * x[c - 1];
        }
        if (j < across - 1) {
          b += north[c] * x[c + 1];
        }
        double pivot = middle[c];
        if (i > 0) {
          pivot -= west[c] * upper[i - 1];
          b += west[c] * value[i - 1];
        }
        double inverse = 1 / pivot;
        upper[i] = east[c] * inverse;
        value[i] = b * inverse;
      }
      double next = value[along - 1];
      x[(along - 1) * across + j] = next;
      for (int i = along - 2; i >= 0; i--) {
        next = value[i] + upper[i] * next;
        x[i * across + j] = next;
      }
    }
  }

  /** What a guess leaves over: right + neighbours - middle x. */
  void residual(double[] x, double[] right, double[] into) {
    for (int i = 0; i < along; i++) {
      for (int j = 0; j < across; j++) {
        int c = i * across + j;
        double b = right[c] - middle[c] * x[c];
        if (i > 0) {
          b += west[c] * x[c - across];
        }
        if (i < along - 1) {
          b += east[c] * x[c + across];
        }
        if (j > 0) {
          b += south[c] * x[c - 1];
        }
        if (j < across - 1) {
          b += north[c] * x[c + 1];
        }
        into[c] = b;
      }
    }
  }
}
