package finebore.calibration;

import finebore.flow.Bands.Band;
import finebore.flow.Calibration;
import finebore.flow.Spread;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import java.util.Optional;

/**
 * How far the model may be trusted in a job: what it was calibrated on, how its predictions came
 * out, and the band to be shown round them.
 *
 * @param fit the calibration, if a test lets one be made
 * @param score of predictions past
 */
public record PredictionConfidence(Optional<ModelFit> fit, Score score) {

  /** Nothing on the bench yet. */
  public static final PredictionConfidence UNCALIBRATED =
      new PredictionConfidence(Optional.empty(), Score.NONE);

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
    return new PredictionConfidence(fit, Score.of(book, port, fit));
  }

  /** Standard deviation of the flow after a change of any kind, as a share, for each band. */
  public Spread spread() {
    return spread(Spread.UNLEARNT);
  }

  /**
   * The same after a change that is known.
   *
   * @param before what the model is calibrated on, or the flow is compared with
   */
  public Spread spread(SeatStudy before, SeatStudy after) {
    return spread(
        ChangeKind.spread(
            ChangeKind.between(before.pairing(), after.pairing()), after.setting().direction()));
  }

  private Spread spread(Spread assumed) {
    return fit.isEmpty()
        ? assumed
        : new Spread(
            learnt(Band.LOW, assumed), learnt(Band.MID, assumed), learnt(Band.HIGH, assumed));
  }

  /** Root of the mean square of what was assumed and what was missed by, by their numbers. */
  private double learnt(Band band, Spread of) {
    double assumed = Math.hypot(fit.orElseThrow().fit().spread(), of.of(band));
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

  /**
   * Standard deviation of a predicted flow, as a share.
   *
   * @param change of the flow against what the model is calibrated on
   */
  public double spreadOfFlow(Band band, Spread change) {
    return isCalibrated() ? spread(change).of(band) : UNCALIBRATED_FLOW;
  }
}
