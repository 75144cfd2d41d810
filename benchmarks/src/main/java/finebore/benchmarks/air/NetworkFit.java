package finebore.benchmarks.air;

import finebore.flow.estimate.Network;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Fits a {@link Network} by gradients in small batches (Adam: D. P. Kingma and J. Ba 2015, from
 * memory), with weights kept small, flow that falls with lift made dear, and what a change is worth
 * counted beside the level: a change is what the estimate is asked for.
 */
final class NetworkFit {

  private static final int[] HIDDEN = {24, 12};
  private static final int BATCH = 256;
  private static final int RISES = 64;
  private static final int CHANGES = 128;
  private static final double RATE = 3e-3;

  /** Chosen, as how small weights are kept is, on a quarter of the families that are fitted. */
  private static final double CHANGE = 4;

  private static final double FALLING = 20;

  private final List<double[][]> layers = new ArrayList<>();
  private final List<double[][]> gradient = new ArrayList<>();
  private final List<double[][]> mean = new ArrayList<>();
  private final List<double[][]> square = new ArrayList<>();
  private final Random random;

  private NetworkFit(int inputs, long seed) {
    random = new Random(seed);
    int in = inputs;
    for (int l = 0; l <= HIDDEN.length; l++) {
      int out = l < HIDDEN.length ? HIDDEN[l] : 1;
      double[][] w = new double[out][in + 1];
      for (double[] row : w) {
        for (int i = 0; i < in; i++) {
          row[i] = random.nextGaussian() / Math.sqrt(in);
        }
      }
      layers.add(w);
      gradient.add(new double[out][in + 1]);
      mean.add(new double[out][in + 1]);
      square.add(new double[out][in + 1]);
      in = out;
    }
  }

  /**
   * Fits one.
   *
   * @param small how small weights are kept
   */
  static Network fit(Lesson lesson, double small, int rounds, long seed) {
    double[][] x = lesson.x();
    double[] y = lesson.y();
    List<Lesson.Rise> rises = lesson.rises();
    List<Lesson.Change> changes = lesson.changes();
    NetworkFit fit = new NetworkFit(x[0].length, seed);
    for (int round = 0; round < rounds; round++) {
      for (double[][] g : fit.gradient) {
        for (double[] row : g) {
          java.util.Arrays.fill(row, 0);
        }
      }
      for (int k = 0; k < BATCH; k++) {
        int at = fit.random.nextInt(x.length);
        double[][] states = fit.forward(x[at]);
        fit.backward(states, 2 * (states[states.length - 1][0] - y[at]) / BATCH);
      }
      for (int k = 0; k < RISES && !rises.isEmpty(); k++) {
        Lesson.Rise rise = rises.get(fit.random.nextInt(rises.size()));
        double[][] low = fit.forward(rise.lower());
        double[][] high = fit.forward(rise.higher());
        double gain = rise.gateGain() + high[high.length - 1][0] - low[low.length - 1][0];
        if (gain < 0) {
          fit.backward(high, 2 * FALLING * gain / RISES);
          fit.backward(low, -2 * FALLING * gain / RISES);
        }
      }
      for (int k = 0; k < CHANGES && !changes.isEmpty(); k++) {
        Lesson.Change change = changes.get(fit.random.nextInt(changes.size()));
        double[][] before = fit.forward(x[change.before()]);
        double[][] after = fit.forward(x[change.after()]);
        double said = after[after.length - 1][0] - before[before.length - 1][0];
        double off = said - (y[change.after()] - y[change.before()]);
        fit.backward(after, 2 * CHANGE * off / CHANGES);
        fit.backward(before, -2 * CHANGE * off / CHANGES);
      }
      fit.step(RATE * Math.min(1, 2 * (1 - (double) round / rounds)), small, round + 1);
    }
    return new Network(fit.layers);
  }

  private double[][] forward(double[] x) {
    double[][] states = new double[layers.size() + 1][];
    states[0] = x;
    for (int l = 0; l < layers.size(); l++) {
      double[][] w = layers.get(l);
      double[] in = states[l];
      double[] out = new double[w.length];
      for (int o = 0; o < out.length; o++) {
        double sum = w[o][in.length];
        for (int i = 0; i < in.length; i++) {
          sum += w[o][i] * in[i];
        }
        out[o] = l < layers.size() - 1 ? Network.tangent(sum) : sum;
      }
      states[l + 1] = out;
    }
    return states;
  }

  private void backward(double[][] states, double slope) {
    double[] back = {slope};
    for (int l = layers.size() - 1; l >= 0; l--) {
      double[][] w = layers.get(l);
      double[][] g = gradient.get(l);
      double[] in = states[l];
      double[] next = new double[in.length];
      for (int o = 0; o < w.length; o++) {
        double b = back[o];
        for (int i = 0; i < in.length; i++) {
          g[o][i] += b * in[i];
          next[i] += b * w[o][i];
        }
        g[o][in.length] += b;
      }
      if (l > 0) {
        for (int i = 0; i < in.length; i++) {
          next[i] *= 1 - in[i] * in[i];
        }
      }
      back = next;
    }
  }

  private void step(double rate, double small, int round) {
    double fresh = 1 - Math.pow(0.9, round);
    double freshSquare = 1 - Math.pow(0.999, round);
    for (int l = 0; l < layers.size(); l++) {
      double[][] w = layers.get(l);
      for (int o = 0; o < w.length; o++) {
        for (int i = 0; i < w[o].length; i++) {
          boolean constant = i == w[o].length - 1;
          double g = gradient.get(l)[o][i] + (constant ? 0 : small * w[o][i]);
          double m = mean.get(l)[o][i] = 0.9 * mean.get(l)[o][i] + 0.1 * g;
          double s = square.get(l)[o][i] = 0.999 * square.get(l)[o][i] + 0.001 * g * g;
          w[o][i] -= rate * (m / fresh) / (Math.sqrt(s / freshSquare) + 1e-8);
        }
      }
    }
  }
}
