package finebore.flow.estimate;

import java.util.List;

/**
 * A few layers of sums and hyperbolic tangents: from the numbers of a {@link SectionShape} to one.
 *
 * @param layers weights of each layer, outputs by inputs, the last input being a constant 1; all
 *     but the last layer end in a tangent
 */
public record Network(List<double[][]> layers) {

  public Network {
    layers = List.copyOf(layers);
  }

  /** What it makes of some numbers. */
  public double at(double[] x) {
    double[] in = x;
    for (int l = 0; l < layers.size(); l++) {
      double[][] weights = layers.get(l);
      double[] out = new double[weights.length];
      for (int o = 0; o < out.length; o++) {
        double[] row = weights[o];
        double sum = row[in.length];
        for (int i = 0; i < in.length; i++) {
          sum += row[i] * in[i];
        }
        out[o] = l < layers.size() - 1 ? Math.tanh(sum) : sum;
      }
      in = out;
    }
    return in[0];
  }
}
