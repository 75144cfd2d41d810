package finebore.study;

import finebore.flow.Calibration;
import finebore.flow.CamLift;
import finebore.flow.Direction;
import finebore.room.Room;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What flow is worked out with.
 *
 * @param direction which way the air goes
 * @param liftsMm rising lifts, mm
 * @param cam what opens the valve; empty where no mean over it is asked for
 * @param depressionPa pressure difference, Pa
 * @param calibration of the port
 * @param portAreaMm2 throat less stem of the seat whose port it is, mm2; empty for that of the seat
 *     itself
 * @param room what stands round the valve; empty where nobody has measured it, and then nothing
 */
@RecordBuilder
public record FlowSetting(
    Direction direction,
    List<Double> liftsMm,
    Optional<CamLift> cam,
    double depressionPa,
    Calibration calibration,
    OptionalDouble portAreaMm2,
    Optional<Room> room)
    implements FlowSettingBuilder.With {

  public FlowSetting {
    liftsMm = List.copyOf(liftsMm);
  }
}
