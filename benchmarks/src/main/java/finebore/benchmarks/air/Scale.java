package finebore.benchmarks.air;

import finebore.flow.estimate.SectionShape;
import java.util.Arrays;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * What the numbers of sections are measured by, and what they are to give.
 *
 * @param least smallest of each number
 * @param most largest
 * @param middle mean
 * @param spread standard deviation
 * @param meanLog mean of what they are to give
 * @param size its standard deviation
 */
record Scale(
    double[] least, double[] most, double[] middle, double[] spread, double meanLog, double size) {

  static Scale of(List<AirFit.Row> rows) {
    int count = SectionShape.COUNT;
    double[] least = new double[count];
    double[] most = new double[count];
    double[] middle = new double[count];
    double[] spread = new double[count];
    for (int d = 0; d < count; d++) {
      int at = d;
      double[] values = rows.stream().mapToDouble(r -> r.x()[at]).toArray();
      least[d] = Arrays.stream(values).min().orElseThrow();
      most[d] = Arrays.stream(values).max().orElseThrow();
      middle[d] = Arrays.stream(values).average().orElseThrow();
      spread[d] = Math.sqrt(spreadSquare(Arrays.stream(values), middle[d]) + 1e-12);
    }
    double meanLog = mean(rows);
    double size = Math.sqrt(spreadSquare(rows.stream().mapToDouble(AirFit.Row::target), meanLog));
    return new Scale(least, most, middle, spread, meanLog, size);
  }

  static double mean(List<AirFit.Row> rows) {
    return rows.stream().mapToDouble(AirFit.Row::target).average().orElseThrow();
  }

  private static double spreadSquare(DoubleStream values, double mean) {
    return values.map(v -> (v - mean) * (v - mean)).average().orElseThrow();
  }

  double[] normal(double[] raw) {
    double[] out = new double[raw.length];
    for (int d = 0; d < raw.length; d++) {
      out[d] = (raw[d] - middle[d]) / spread[d];
    }
    return out;
  }
}
