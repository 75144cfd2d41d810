package finebore.flow.estimate;

import java.util.ArrayList;
import java.util.List;

/** The estimates that were learnt, read from the numbers that the fitting program wrote. */
final class Learnt {

  static final Estimate INTAKE = read(IntakeNumbers.TEXT);
  static final Estimate EXHAUST = read(ExhaustNumbers.TEXT);

  private Learnt() {}

  /**
   * Lines, in whatever parts: meanLog; least; most; middle; spread; then for each layer its size
   * and its rows.
   */
  static Estimate read(String[] parts) {
    String[] lines = String.join("", parts).split("\n");
    int at = 0;
    double meanLog = numbers(lines[at++])[0];
    double[] least = numbers(lines[at++]);
    double[] most = numbers(lines[at++]);
    double[] middle = numbers(lines[at++]);
    double[] spread = numbers(lines[at++]);
    List<Network> networks = new ArrayList<>();
    List<double[][]> layers = new ArrayList<>();
    while (at < lines.length) {
      double[][] rows = new double[(int) numbers(lines[at++])[0]][];
      for (int k = 0; k < rows.length; k++) {
        rows[k] = numbers(lines[at++]);
      }
      layers.add(rows);
      if (rows.length == 1) {
        networks.add(new Network(layers));
        layers = new ArrayList<>();
      }
    }
    return new Estimate(networks, least, most, middle, spread, meanLog);
  }

  private static double[] numbers(String line) {
    String[] words = line.split(" ");
    double[] numbers = new double[words.length];
    for (int k = 0; k < words.length; k++) {
      numbers[k] = Double.parseDouble(words[k]);
    }
    return numbers;
  }
}
