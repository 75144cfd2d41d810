package finebore.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.PortFit.Sample;
import finebore.flow.TestConditions;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.math3.distribution.TDistribution;
import org.apache.commons.math3.fitting.leastsquares.LeastSquaresBuilder;
import org.apache.commons.math3.fitting.leastsquares.LevenbergMarquardtOptimizer;
import org.apache.commons.math3.linear.DiagonalMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.util.Pair;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Values from outside; each fixture names its source. */
class PublishedBenchValuesTest {

  private static JsonNode fixture(String name) {
    try (InputStream in = PublishedBenchValuesTest.class.getResourceAsStream(name + ".json")) {
      return JsonMapper.shared().readTree(in.readAllBytes());
    } catch (IOException e) {
      throw new AssertionError(name, e);
    }
  }

  private static double number(JsonNode node, String field) {
    return node.get(field).doubleValue();
  }

  @Test
  void moistAirIsAsDenseAsPublished() {
    JsonNode all = fixture("moist-air");
    for (JsonNode c : all.get("cases")) {
      double ours =
          new Air(number(c, "temperatureC"), number(c, "pressurePa"), number(c, "humidity"))
              .densityKgM3();
      double published = number(c, "densityKgM3");
      assertThat(ours)
          .as(all.get("source").stringValue() + c)
          .isCloseTo(published, within(published * number(all, "relativeTolerance")));
    }
  }

  @Test
  void vapourSaturatesAsPublished() {
    JsonNode all = fixture("saturated-vapour");
    for (JsonNode c : all.get("cases")) {
      double published = number(c, "pressurePa");
      assertThat(Air.saturationPa(number(c, "temperatureC") + 273.15))
          .as(all.get("source").stringValue() + c)
          .isCloseTo(published, within(published * number(all, "relativeTolerance")));
    }
  }

  private static OrificePlate plate(JsonNode c, OrificePlate.Taps taps) {
    return new OrificePlate(number(c, "boreMm"), number(c, "pipeMm"), taps);
  }

  @Test
  void platesDischargeAsPublished() {
    JsonNode all = fixture("orifice-plate");
    for (JsonNode c : all.get("coefficients")) {
      OrificePlate plate = plate(c, OrificePlate.Taps.valueOf(c.get("taps").stringValue()));
      assertThat(plate.coefficient(number(c, "reynolds")))
          .as(all.get("source").stringValue() + c)
          .isCloseTo(number(c, "coefficient"), within(number(c, "tolerance")));
    }
    for (JsonNode c : all.get("expansibility")) {
      assertThat(plate(c, OrificePlate.Taps.CORNER).expansibility(number(c, "pressureRatio")))
          .as(all.get("source").stringValue() + c)
          .isCloseTo(number(c, "expansibility"), within(number(c, "tolerance")));
    }
  }

  @Test
  void smallPipesAndNonsenseAreMinded() {
    // ISO 5167-2 adds 0.011 (0.75 - beta)(2.8 - D / 25.4 mm) below 71.12 mm; D = 50.8, beta = 0.5.
    double wide = new OrificePlate(40, 80, OrificePlate.Taps.CORNER).coefficient(1e6);
    double narrow = new OrificePlate(25.4, 50.8, OrificePlate.Taps.CORNER).coefficient(1e6);
    assertThat(narrow - wide).isCloseTo(0.011 * 0.25 * 0.8, within(1e-12));
    assertThatThrownBy(() -> new OrificePlate(40, 30, OrificePlate.Taps.CORNER))
        .hasMessageContaining("pipeWiderThanHole");
  }

  @Test
  void studentsTIsTheTablesAndTheOtherLibrarys() {
    for (JsonNode c : fixture("students-t").get("cases")) {
      int freedom = c.get("freedom").intValue();
      assertThat(Noise.quantile(freedom)).isCloseTo(number(c, "t"), within(5.1e-4));
      assertThat(Noise.quantile(freedom))
          .isCloseTo(new TDistribution(freedom).inverseCumulativeProbability(0.975), within(1e-7));
    }
  }

  private static double[] doubles(JsonNode list) {
    double[] all = new double[list.size()];
    for (int k = 0; k < all.length; k++) {
      all[k] = list.get(k).doubleValue();
    }
    return all;
  }

  /** The library's least squares and its standard errors, on a set that is hard on purpose. */
  @Test
  void leastSquaresAgreeWithCertifiedValues() {
    JsonNode set = fixture("misra1a");
    double[] x = doubles(set.get("x"));
    double[] y = doubles(set.get("y"));
    var optimum =
        new org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer()
            .optimize(
                new org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder()
                    .start(new double[] {500, 0.0001})
                    .target(y)
                    .maxEvaluations(1000)
                    .maxIterations(1000)
                    .model(
                        p -> {
                          double b1 = p.getEntry(0);
                          double b2 = p.getEntry(1);
                          var value = new ArrayRealVector(x.length);
                          var slope = MatrixUtils.createRealMatrix(x.length, 2);
                          for (int k = 0; k < x.length; k++) {
                            double e = Math.exp(-b2 * x[k]);
                            value.setEntry(k, b1 * (1 - e));
                            slope.setEntry(k, 0, 1 - e);
                            slope.setEntry(k, 1, b1 * x[k] * e);
                          }
                          return new Pair<>(value, slope);
                        })
                    .build());
    double scatter =
        Math.sqrt(optimum.getResiduals().dotProduct(optimum.getResiduals()) / (x.length - 2));
    for (int k = 0; k < 2; k++) {
      double certified = doubles(set.get("parameters"))[k];
      double error = doubles(set.get("errors"))[k];
      assertThat(optimum.getPoint().getEntry(k)).isCloseTo(certified, within(certified * 1e-6));
      assertThat(optimum.getSigma(1e-20).getEntry(k) * scatter)
          .isCloseTo(error, within(error * 1e-4));
    }
  }

  /** Our own fit against a second library that works its slopes out by differences. */
  @Test
  void portFitAgreesWithAnotherLibrary() {
    List<Sample> samples = new ArrayList<>();
    double[] alone = {80, 160, 240, 390, 600, 730};
    double[] measured = {71, 144, 210, 329, 452, 512};
    for (int k = 0; k < alone.length; k++) {
      samples.add(new Sample(alone[k], 1 / (1000.0 * 1000.0), measured[k]));
    }
    PortFit ours = PortFit.to(samples, 1).orElseThrow();
    var theirs =
        new LevenbergMarquardtOptimizer()
            .optimize(
                new LeastSquaresBuilder()
                    .start(new double[] {1, 1})
                    .target(new double[alone.length])
                    .weight(new DiagonalMatrix(new double[] {1, 1, 1, 1, 1, 1}))
                    .model(
                        p -> misses(p, alone, measured),
                        p -> {
                          double[][] slopes = new double[alone.length][2];
                          for (int j = 0; j < 2; j++) {
                            double[] up = p.clone();
                            double[] down = p.clone();
                            up[j] += 1e-6;
                            down[j] -= 1e-6;
                            for (int k = 0; k < alone.length; k++) {
                              slopes[k][j] =
                                  (misses(up, alone, measured)[k]
                                          - misses(down, alone, measured)[k])
                                      / 2e-6;
                            }
                          }
                          return slopes;
                        })
                    .maxEvaluations(500)
                    .maxIterations(500)
                    .build());
    assertThat(ours.calibration().portLoss())
        .isCloseTo(theirs.getPoint().getEntry(0), within(1e-5));
    assertThat(ours.calibration().factor()).isCloseTo(theirs.getPoint().getEntry(1), within(1e-6));
    double scatter =
        Math.sqrt(theirs.getResiduals().dotProduct(theirs.getResiduals()) / (alone.length - 2));
    assertThat(ours.spread()).isCloseTo(scatter, within(1e-8));
    assertThat(ours.portLossError())
        .isCloseTo(theirs.getSigma(1e-14).getEntry(0) * scatter, within(1e-5));
    assertThat(ours.factorError())
        .isCloseTo(theirs.getSigma(1e-14).getEntry(1) * scatter, within(1e-6));
  }

  private static double[] misses(double[] p, double[] alone, double[] measured) {
    double[] all = new double[alone.length];
    for (int k = 0; k < all.length; k++) {
      all[k] = p[1] / Math.sqrt(1 / (alone[k] * alone[k]) + p[0] * 1e-6) / measured[k] - 1;
    }
    return all;
  }

  @Test
  void airThatExpandsFollowsTheClosedForm() {
    // Saint-Venant and Wantzel: choked, m = A p0 sqrt(k / (R T0)) (2 / (k + 1))^((k + 1) / (2 (k -
    // 1))),
    // which is 0.6847 A p0 / sqrt(R T0) for k = 1.4 (J. B. Heywood, appendix C, from memory).
    TestConditions choked = new TestConditions(60_000, 1.2041, 101_325);
    double rt = 101_325 / 1.2041;
    double mass = 0.6847 * 1e-6 * 101_325 / Math.sqrt(rt);
    assertThat(choked.flow(1)).isCloseTo(mass / 1.2041, within(mass * 1e-4));
    // Below choking, m = A p0 / sqrt(R T0) r^(1/k) sqrt(2 k / (k - 1) (1 - r^((k - 1) / k))).
    TestConditions half = new TestConditions(25_000, 1.2041, 101_325);
    double r = 1 - 25_000 / 101_325.0;
    double closed =
        1e-6
            * 101_325
            / Math.sqrt(rt)
            * Math.pow(r, 1 / 1.4)
            * Math.sqrt(7 * (1 - Math.pow(r, 0.4 / 1.4)));
    assertThat(half.flow(1)).isCloseTo(closed / 1.2041, within(closed * 1e-9));
  }

  @Test
  void aPlateInTheWallFlowsAsItsEquationSays() {
    // beta = 0 leaves C = 0.5961 + 0.000521 (1e6 / Re_d)^0.7, and the first expansibility term.
    double reynolds = 4 * 1.2 * 0.1245 / (Math.PI * 0.05 * 1.82e-5);
    double c = 0.5961 + 0.000521 * Math.pow(1e6 / reynolds, 0.7);
    double plain = c * Math.PI / 4 * 0.05 * 0.05 * Math.sqrt(2 * 7000 / 1.2);
    double ours = OrificePlate.inWall(50).flow(7000, 1.2, 101_325);
    double expands = 1 - 0.351 * (1 - Math.pow(1 - 7000 / 101_325.0, 1 / 1.4));
    assertThat(ours).isCloseTo(plain * expands, within(plain * 1e-5));
    assertThat(new CheckPlate.Measured(50).flowM3s(7000))
        .isCloseTo(OrificePlate.inWall(50).flow(7000, 1.2041, 101_325), within(1e-12));
  }
}
