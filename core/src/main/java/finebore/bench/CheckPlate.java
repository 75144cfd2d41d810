package finebore.bench;

import finebore.flow.TestConditions;
import finebore.quantity.Quantity;

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
      Quantity.STAMPED_FLOW.check(stampedM3s);
      Quantity.STAMPED_AT.check(atPa);
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
      Quantity.PLATE_HOLE.check(boreMm);
    }

    @Override
    public double flowM3s(double depressionPa) {
      TestConditions air = TestConditions.USUAL;
      return OrificePlate.inWall(boreMm).flow(depressionPa, air.densityKgM3(), air.pressurePa());
    }
  }
}
