package finebore.bench;

import finebore.flow.TestConditions;
import finebore.section.Bounds;

/** A plate with a known hole, put on a bench to see what it reads. */
public sealed interface CheckPlate {

  /** Its flow at a depression and the standard air, m3/s. */
  double flowM3s(double depressionPa);

  /**
   * A plate with its flow stamped on it.
   *
   * @param stampedM3s that flow, at the standard air
   * @param atPa the depression it holds for
   */
  record Stamped(double stampedM3s, double atPa) implements CheckPlate {
    public Stamped {
      Bounds.check("stamped flow", stampedM3s, 1e-5, 5, "m3/s");
      Bounds.check("depression of the stamped flow", atPa, 100, 60_000, "Pa");
    }

    @Override
    public double flowM3s(double depressionPa) {
      return stampedM3s * Math.sqrt(depressionPa / atPa);
    }
  }

  /**
   * A plate reckoned from the hole it was measured to have.
   *
   * @param boreMm diameter of its sharp-edged hole
   */
  record Measured(double boreMm) implements CheckPlate {
    public Measured {
      Bounds.check("plate hole", boreMm, 2, 300, "mm");
    }

    @Override
    public double flowM3s(double depressionPa) {
      TestConditions air = TestConditions.USUAL;
      return OrificePlate.inWall(boreMm).flow(depressionPa, air.densityKgM3(), air.pressurePa());
    }
  }
}
