package finebore.flow.estimate;

import finebore.section.Profile;
import java.util.List;

/**
 * The effective area of a section at one lift in microseconds: the gate's area times a coefficient
 * learnt from solved air.
 *
 * <p>What was learnt is the logarithm of effective area over gate area, as the mean of a few {@link
 * Network}s. Where a section is unlike anything they were shown, their word counts less, down to
 * none: then only the gate is left, at the mean coefficient of all that was solved.
 */
public final class Estimate {

  /** How far past what they were shown a section may lie, in spreads, and count as like it. */
  private static final double MOST_PAST = 0.3;

  /** How far the networks may be apart, of the logarithm, where they know a section. */
  private static final double MOST_APART = 0.05;

  /** How far past what they were shown the networks' word comes to nothing, in spreads. */
  private static final double REACH = 4;

  /** Lifts over head diameter that were solved lie from 0.02 to 0.5; so far past it is believed. */
  private static final double LEAST_LIFT = 0.015;

  private static final double MOST_LIFT = 0.55;

  /** A stream that turns right back through a sharp hole fills half of it (Borda). */
  private static final double LEAST = Math.log(0.5);

  private final List<Network> networks;
  private final double[] least;
  private final double[] most;
  private final double[] middle;
  private final double[] spread;
  private final double meanLog;

  /**
   * @param networks what the mean is taken of; they take numbers less middle over spread
   * @param least smallest of each number that they were shown
   * @param most largest
   * @param middle mean of each
   * @param spread standard deviation of each
   * @param meanLog mean of what they were to give
   */
  public Estimate(
      List<Network> networks,
      double[] least,
      double[] most,
      double[] middle,
      double[] spread,
      double meanLog) {
    this.networks = List.copyOf(networks);
    this.least = least.clone();
    this.most = most.clone();
    this.middle = middle.clone();
    this.spread = spread.clone();
    this.meanLog = meanLog;
  }

  /** That for air that goes in. */
  public static Estimate ofIntake() {
    return Learnt.INTAKE;
  }

  /** That for air that goes out. */
  public static Estimate ofExhaust() {
    return Learnt.EXHAUST;
  }

  /**
   * What it gives.
   *
   * @param areaMm2 effective area of seat and valve alone, mm2
   * @param past how far its numbers lie past those of the sections that were learnt from, in
   *     spreads, together
   * @param apart standard deviation of what the networks say, of the logarithm: where nothing told
   *     them, each goes its own way
   */
  public record Answer(double areaMm2, double past, double apart) {

    /** Whether the section is like those it was learnt from; if not, it is no figure to go by. */
    public boolean isKnown() {
      return past <= MOST_PAST && apart <= MOST_APART;
    }
  }

  /** Whether a lift over head diameter is like those it was learnt from. */
  public static boolean knowsLift(double liftOverHead) {
    return liftOverHead >= LEAST_LIFT && liftOverHead <= MOST_LIFT;
  }

  /**
   * Works out one lift.
   *
   * @param metal wall of the head, from the chamber to the port
   * @param sealing index of the sealing cut
   * @param valve wall of the valve at its lifted height
   * @param gateMm2 smallest frustum between them, mm2
   */
  public Answer at(Profile metal, int sealing, Profile valve, double gateMm2) {
    return at(SectionShape.of(metal, sealing, valve, gateMm2), gateMm2);
  }

  /** The same from the numbers of the section. */
  public Answer at(double[] shape, double gateMm2) {
    double[] x = new double[shape.length];
    double beyond = 0;
    for (int k = 0; k < x.length; k++) {
      double past = Math.max(0, Math.max(least[k] - shape[k], shape[k] - most[k])) / spread[k];
      beyond += past * past;
      x[k] = (shape[k] - middle[k]) / spread[k];
    }
    double weight = Math.max(0, 1 - beyond / (REACH * REACH));
    double log = 0;
    double squares = 0;
    for (Network network : networks) {
      double one = network.at(x);
      log += one / networks.size();
      squares += one * one / networks.size();
    }
    double said = Math.max(LEAST, meanLog + weight * (log - meanLog));
    double apart = Math.sqrt(Math.max(0, squares - log * log));
    return new Answer(gateMm2 * Math.exp(said), Math.sqrt(beyond), apart);
  }
}
