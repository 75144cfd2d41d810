package finebore.cutting;

import finebore.code.Coded;
import finebore.seat.Seat;
import java.util.List;

/**
 * One operation of a plan, with its tool and settings. A setting that is left open takes the value
 * of the wanted seat, so that no number stands in two places.
 *
 * <p>Each is one class: its settings, declared once for screen, sheet and file, and what its tool
 * does to the metal.
 */
public sealed interface Operation extends Coded
    permits OpenThroat,
        CutForm,
        CutAngle,
        SweepChamber,
        TakeWallBack,
        CutUnder,
        OpenBowl,
        Blend,
        FitRing {

  /** Every kind of operation with settings to begin with, in the usual order of the work. */
  static List<Operation> kinds() {
    return List.of(
        FitRing.USUAL,
        OpenThroat.AS_WANTED,
        CutForm.AS_WANTED,
        CutAngle.USUAL,
        SweepChamber.USUAL,
        TakeWallBack.USUAL,
        CutUnder.USUAL,
        OpenBowl.AS_WANTED,
        Blend.PORT_SIDE);
  }

  /** Its kind in files. */
  String key();

  @Override
  default String code() {
    return "operation." + key();
  }

  /** What can be set of it, in the order a machinist sets it. */
  List<OperationSetting<?>> settings();

  /**
   * The same kind of operation with all of its settings at once.
   *
   * @throws finebore.code.RuleViolation if they cannot be so together
   */
  Operation set(SettingValues values);

  /** Carries it out; throws a RuleViolation where that cannot be. */
  void carryOut(Workpiece on);

  /**
   * With the settings opened again that stood for a size in which the wanted seat has changed, or
   * the change would show nowhere.
   */
  default Operation following(Seat before, Seat after) {
    Operation follows = this;
    for (OperationSetting<?> setting : settings()) {
      follows = setting.following(follows, before, after);
    }
    return follows;
  }
}
