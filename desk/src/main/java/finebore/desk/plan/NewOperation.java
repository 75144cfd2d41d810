package finebore.desk.plan;

import finebore.cutting.Operation;
import finebore.cutting.Operation.Blend;
import finebore.cutting.Operation.BlendSide;
import finebore.cutting.Operation.SingleTool;
import finebore.cutting.Plunge;
import finebore.cutting.UsualOperations;
import finebore.desk.session.SeatView;
import finebore.head.Unshrouding;
import finebore.seat.Seat;
import java.util.OptionalDouble;

/** The operations that can be added, each with settings to begin with. */
enum NewOperation {
  OPEN_THROAT("Open the throat"),
  FORM_CUT("Form cut"),
  SINGLE_CUT("Single cut, stone or blade"),
  SWEEP("Sweep the chamber"),
  CUT_UNDER("Cut under the seat, by hand or radius"),
  OPEN_BOWL("Open the bowl"),
  BLEND_PORT("Blend, port side"),
  BLEND_CHAMBER("Blend, chamber side"),
  FIT_RING("Fit a ring");

  private final String words;

  NewOperation(String words) {
    this.words = words;
  }

  String words() {
    return words;
  }

  Operation make(SeatView work) {
    Seat wanted = work.plan().plan().wanted().seat();
    OptionalDouble open = OptionalDouble.empty();
    return switch (this) {
      case OPEN_THROAT -> new Operation.OpenThroat(open, 0, open);
      case FORM_CUT -> new Operation.CutForm("", open, new Plunge.AsPlanned());
      case SINGLE_CUT ->
          new Operation.CutAngle(
              SingleTool.STONE,
              wanted.sealingCut().angleDeg(),
              wanted.outsideDiameterMm(),
              new Plunge.UntilClean(0, false));
      case SWEEP -> new Operation.SweepChamber(15, reach(work), open);
      case CUT_UNDER -> new Operation.CutUnder(12.5, open, 4, 0);
      case OPEN_BOWL -> new Operation.OpenBowl(open, open);
      case BLEND_PORT -> new Blend(BlendSide.PORT, Blend.USUAL_KEEP_OFF_MM, 1.5);
      case BLEND_CHAMBER -> new Blend(BlendSide.CHAMBER, 0.3, 1);
      case FIT_RING ->
          new Operation.FitRing(UsualOperations.ring(wanted, work.plan().metal().ring()));
    };
  }

  private static double reach(SeatView work) {
    Seat wanted = work.plan().plan().wanted().seat();
    double reach =
        Unshrouding.sweepDiameterMm(
            work.plan().plan().wanted().valve().headDiameterMm(),
            wanted.depthMm(),
            wanted.outsideDiameterMm() + 4,
            work.job().layout().fireRingMm() / 2 - work.group().axisFromBoreMm().orElse(0));
    return Math.round(10 * reach) / 10.0;
  }
}
