package finebore.job;

import finebore.flow.Bands;
import finebore.units.Unit;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;

/**
 * How flow is looked at.
 *
 * @param liftsMm rising lifts, mm; 1 to 60 of them
 * @param depressionPa pressure difference, Pa
 * @param bands where low and mid lift end
 */
public record TestPlan(List<Double> liftsMm, double depressionPa, Bands bands) {

  public TestPlan {
    liftsMm = List.copyOf(liftsMm);
    if (liftsMm.isEmpty() || liftsMm.size() > 60) {
      throw new IllegalArgumentException("a test needs 1 to 60 lifts, had " + liftsMm.size());
    }
    double before = 0;
    for (double lift : liftsMm) {
      if (!(lift > before && lift <= 60)) {
        throw new IllegalArgumentException(
            "lifts must rise from above 0 to at most 60 mm; " + lift + " follows " + before);
      }
      before = lift;
    }
    if (!(depressionPa > 100 && depressionPa < 60_000)) {
      throw new IllegalArgumentException("depression must be 100 to 60000 Pa, was " + depressionPa);
    }
  }

  public TestPlan withLifts(List<Double> changed) {
    return new TestPlan(changed, depressionPa, bands);
  }

  public TestPlan withDepression(double pa) {
    return new TestPlan(liftsMm, pa, bands);
  }

  public TestPlan withBands(Bands changed) {
    return new TestPlan(liftsMm, depressionPa, changed);
  }

  /**
   * The usual lifts to past a cam's: every millimetre, or 0.050 in and then every 0.100 in; common
   * practice, no source.
   */
  public static TestPlan usual(UnitSystem units, double camLiftMm) {
    List<Double> lifts = new ArrayList<>();
    double step = units == UnitSystem.METRIC ? 1 : Unit.INCH.toBase(0.1);
    if (units == UnitSystem.INCH) {
      lifts.add(Unit.INCH.toBase(0.05));
    }
    for (int k = 1; lifts.isEmpty() || lifts.getLast() <= camLiftMm; k++) {
      lifts.add(k * step);
    }
    return new TestPlan(lifts, Unit.INCH_OF_WATER.toBase(28), Bands.USUAL);
  }
}
