package finebore.study;

import finebore.flow.Calibration;
import finebore.flow.Direction;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * What flow is worked out with.
 *
 * @param direction which way the air goes
 * @param liftsMm rising lifts, mm
 * @param depressionPa pressure difference, Pa
 * @param calibration of the port
 */
@RecordBuilder
public record FlowSetting(
    Direction direction, List<Double> liftsMm, double depressionPa, Calibration calibration)
    implements FlowSettingBuilder.With {

  public FlowSetting {
    liftsMm = List.copyOf(liftsMm);
  }
}
