package finebore.bench;

import finebore.flow.Calibration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * Port loss and overall factor fitted to a test by least squares: A = f / sqrt(1/A0^2 + K p), with
 * A0 the model's effective area without a port and p what one velocity head of port loss adds.
 *
 * @param calibration what was fitted
 * @param portLossError standard error of the port loss; 0 where it ran against its bound
 * @param factorError standard error of the factor
 * @param spread standard deviation of what is left, as a share of the flow
 * @param lifts how many went in
 * @param bound whether the port loss would have been less than none and was held at none
 */
public record PortFit(
    Calibration calibration,
    double portLossError,
    double factorError,
    double spread,
    int lifts,
    boolean bound) {

  /** Two figures are fitted; with fewer lifts nothing is left to tell how well. */
  public static final int LEAST_LIFTS = 4;

  /**
   * One lift.
   *
   * @param aloneMm2 effective area of the model without a port, mm2
   * @param perLoss 1/A^2 that one velocity head of port loss adds, 1/mm4
   * @param measuredMm2 effective area measured, mm2
   */
  public record Sample(double aloneMm2, double perLoss, double measuredMm2) {

    double model(double portLoss) {
      return 1 / Math.sqrt(1 / (aloneMm2 * aloneMm2) + portLoss * perLoss);
    }
  }

  /**
   * Fits. Shares of the flow are made small, so that low lifts count as much as high ones.
   *
   * @param test number of the test the samples are from
   * @return empty with too few lifts, or where no sensible port comes out
   */
  public static Optional<PortFit> to(List<Sample> samples, int test) {
    if (samples.size() < LEAST_LIFTS) {
      return Optional.empty();
    }
    Optimum best =
        new LevenbergMarquardtOptimizer()
            .optimize(
                new LeastSquaresBuilder()
                    .start(new double[] {Calibration.UNCALIBRATED.portLoss(), 1})
                    .model(model(samples))
                    .target(new double[samples.size()])
                    .maxEvaluations(500)
                    .maxIterations(500)
                    .build());
    double portLoss = best.getPoint().getEntry(0);
    double factor = best.getPoint().getEntry(1);
    int freedom = samples.size() - 2;
    if (portLoss < 0) {
      return alone(samples, test);
    }
    if (!(portLoss < 100 && factor > 0.2 && factor < 5)) {
      return Optional.empty();
    }
    double spread = Math.sqrt(best.getResiduals().dotProduct(best.getResiduals()) / freedom);
    RealVector errors = best.getSigma(1e-14).mapMultiply(spread);
    return Optional.of(
        new PortFit(
            new Calibration(portLoss, factor, OptionalInt.of(test)),
            errors.getEntry(0),
            errors.getEntry(1),
            spread,
            samples.size(),
            false));
  }

  /** Without any port: only the factor, whose least squares is a mean. */
  private static Optional<PortFit> alone(List<Sample> samples, int test) {
    double up = 0;
    double down = 0;
    for (Sample s : samples) {
      double share = s.model(0) / s.measuredMm2();
      up += share;
      down += share * share;
    }
    double factor = up / down;
    if (!(factor > 0.2 && factor < 5)) {
      return Optional.empty();
    }
    double squares =
        samples.stream()
            .mapToDouble(s -> Math.pow(factor * s.model(0) / s.measuredMm2() - 1, 2))
            .sum();
    double spread = Math.sqrt(squares / (samples.size() - 1));
    return Optional.of(
        new PortFit(
            new Calibration(0, factor, OptionalInt.of(test)),
            0,
            spread / Math.sqrt(down),
            spread,
            samples.size(),
            true));
  }

  /** Misses as shares of what was measured, and how they change with port loss and factor. */
  private static MultivariateJacobianFunction model(List<Sample> samples) {
    return point -> {
      double portLoss = point.getEntry(0);
      double factor = point.getEntry(1);
      RealVector misses = new ArrayRealVector(samples.size());
      RealMatrix slopes = MatrixUtils.createRealMatrix(samples.size(), 2);
      for (int k = 0; k < samples.size(); k++) {
        Sample s = samples.get(k);
        // On the way the fit may try less than no loss; past a full pipe it cannot.
        double inverse =
            Math.max(
                1 / (s.aloneMm2() * s.aloneMm2()) + portLoss * s.perLoss(),
                1e-3 / (s.aloneMm2() * s.aloneMm2()));
        double area = 1 / Math.sqrt(inverse);
        misses.setEntry(k, factor * area / s.measuredMm2() - 1);
        slopes.setEntry(
            k, 0, -0.5 * factor * s.perLoss() * Math.pow(inverse, -1.5) / s.measuredMm2());
        slopes.setEntry(k, 1, area / s.measuredMm2());
      }
      return new Pair<>(misses, slopes);
    };
  }
}
