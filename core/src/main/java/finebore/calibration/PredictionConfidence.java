package finebore.calibration;

import finebore.flow.Bands.Band;
import finebore.flow.Calibration;
import finebore.flow.Spread;
import finebore.job.Job;
import finebore.job.Port;
import java.util.Optional;

/**
 * How far the model may be trusted in a job: what it was calibrated on, how its predictions came
 * out, and the band to be shown round them.
 *
 * @param fit the calibration, if a test lets one be made
 * @param score of predictions past
 * @param spread standard deviation of a predicted flow, as a share, for each band
 */
public record PredictionConfidence(Optional<ModelFit> fit, Score score, Spread spread) {

  /** Nothing on the bench yet. */
  public static final PredictionConfidence UNCALIBRATED =
      new PredictionConfidence(Optional.empty(), Score.NONE, Spread.UNLEARNT);

  /**
   * What was assumed beforehand counts like so many misses; a choice: two bands' worth of lifts
   * outweigh it.
   */
  private static final double PRIOR_LIFTS = 5;

  /**
   * Spread of a flow, not of a change, while nothing is calibrated: absolute values of the model
   * are good to about this (docs/model.md).
   */
  private static final double UNCALIBRATED_FLOW = 0.15;

  /** The outlook of a job's intakes or exhausts. */
  public static PredictionConfidence of(Job job, Port port) {
    return of(TestBook.of(job), port, Optional.empty());
  }

  /**
   * The same of tests that are reduced already.
   *
   * @param known calibration of a job that differs by readings of other tests alone
   */
  public static PredictionConfidence of(TestBook book, Port port, Optional<ModelFit> known) {
    if (book.job().bench().tests().isEmpty()) {
      return UNCALIBRATED;
    }
    Optional<ModelFit> fit = ModelFit.of(book.job(), port, known);
    Score score = Score.of(book, port, fit);
    if (fit.isEmpty()) {
      return new PredictionConfidence(fit, score, Spread.UNLEARNT);
    }
    double left = fit.get().fit().spread();
    return new PredictionConfidence(
        fit,
        score,
        new Spread(
            learnt(score, Band.LOW, left),
            learnt(score, Band.MID, left),
            learnt(score, Band.HIGH, left)));
  }

  /** Root of the mean square of what was assumed and what was missed by, by their numbers. */
  private static double learnt(Score score, Band band, double left) {
    double assumed = Math.hypot(left, Spread.UNLEARNT.of(band));
    Score.Figures figures = score.bands().get(band);
    if (figures == null) {
      return assumed;
    }
    return Math.sqrt(
        (PRIOR_LIFTS * assumed * assumed + figures.lifts() * figures.meanSquare())
            / (PRIOR_LIFTS + figures.lifts()));
  }

  public Calibration calibration() {
    return fit.map(f -> f.fit().calibration()).orElse(Calibration.UNCALIBRATED);
  }

  public boolean isCalibrated() {
    return calibration().isCalibrated();
  }

  /** Standard deviation of a predicted flow, as a share. */
  public double spreadOfFlow(Band band) {
    return isCalibrated() ? spread.of(band) : UNCALIBRATED_FLOW;
  }
}
