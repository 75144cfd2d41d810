package finebore.desk.plan;

import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.SweepChamber;
import finebore.cutting.TakeWallBack;
import finebore.cutting.UsualOperations;
import finebore.desk.session.SeatView;
import finebore.planning.RoomAtLift;
import finebore.planning.SeatRoom;
import finebore.room.Unshrouding;
import finebore.seat.Seat;
import finebore.work.ShopFigure;
import java.util.Optional;

/** Operations to begin with, their settings as the seat looked at suggests them. */
final class NewOperation {

  private NewOperation() {}

  /** An operation of a kind for a seat. */
  static Operation of(Operation kind, SeatView work) {
    Seat wanted = work.plan().plan().wanted().seat();
    return switch (kind) {
      case CutAngle cut ->
          new CutAngle(
              cut.tool(), wanted.sealingCut().angleDeg(), wanted.outsideDiameterMm(), cut.plunge());
      case SweepChamber sweep ->
          new SweepChamber(sweep.angleDeg(), reach(work), sweep.startDiameterMm());
      case TakeWallBack taken -> wallBack(work).orElse(taken);
      case FitRing fit -> new FitRing(UsualOperations.ring(wanted, work.plan().metal().ring()));
      case OpenThroat open -> open;
      case CutForm form -> form;
      case CutUnder under -> under;
      case OpenBowl bowl -> bowl;
      case Blend blend -> blend;
    };
  }

  /** Where the wall costs at the cam's lift, as far back as it then no longer does. */
  private static Optional<TakeWallBack> wallBack(SeatView work) {
    return SeatRoom.found(work.job(), work.place())
        .flatMap(
            room ->
                RoomAtLift.of(
                    work.job(),
                    work.place(),
                    room,
                    work.plan().cut().fit(),
                    work.group().cam().maxLiftMm()))
        .flatMap(RoomAtLift::wanted);
  }

  private static double reach(SeatView work) {
    Seat wanted = work.plan().plan().wanted().seat();
    double reach =
        Unshrouding.sweepDiameterMm(
            work.plan().plan().wanted().valve().headDiameterMm(),
            wanted.depthMm(),
            work.job().shop().value(ShopFigure.LONG_SIDE),
            wanted.outsideDiameterMm() + 4,
            work.job().layout().fireRingMm() / 2 - work.group().axisFromBoreMm().orElse(0));
    return Math.round(10 * reach) / 10.0;
  }
}
