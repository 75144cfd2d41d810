package finebore.job;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.flow.Bands;
import finebore.quantity.Quantity;
import finebore.units.Unit;
import finebore.units.Units;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * How flow is looked at.
 *
 * @param liftsMm rising lifts, mm; 1 to 60 of them
 * @param depressionPa pressure difference, Pa
 * @param bands where low and mid lift end
 */
@RecordBuilder
public record TestPlan(List<Double> liftsMm, double depressionPa, Bands bands)
    implements TestPlanBuilder.With {

  /** Most lifts of a plan. */
  public static final int MOST_LIFTS = 60;

  public TestPlan {
    liftsMm = List.copyOf(liftsMm);
    if (liftsMm.isEmpty() || liftsMm.size() > MOST_LIFTS) {
      throw RuleViolation.of("liftsOfPlan").with("value", Term.count(liftsMm.size()));
    }
    double before = 0;
    for (double lift : liftsMm) {
      Quantity.LIFT.check(lift);
      if (lift <= before) {
        throw RuleViolation.of("liftsRise")
            .with("value", Term.length(lift))
            .with("before", Term.length(before));
      }
      before = lift;
    }
    Quantity.DEPRESSION.check(depressionPa);
  }

  /**
   * The usual lifts to past a cam's: every millimetre, or 0.050 in and then every 0.100 in; common
   * practice, no source.
   */
  public static TestPlan usual(Units units, double camLiftMm) {
    List<Double> lifts = new ArrayList<>();
    double step = units == Units.MM ? 1 : Unit.INCH.toBase(0.1);
    if (units == Units.INCH) {
      lifts.add(Unit.INCH.toBase(0.05));
    }
    for (int k = 1; lifts.isEmpty() || lifts.getLast() <= camLiftMm; k++) {
      lifts.add(k * step);
    }
    return new TestPlan(lifts, Unit.INCH_OF_WATER.toBase(28), Bands.USUAL);
  }
}
