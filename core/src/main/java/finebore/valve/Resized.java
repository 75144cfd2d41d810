package finebore.valve;

import finebore.code.RuleViolation;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A planned seat carried over to a head of another size. */
public final class Resized {

  /** A cut that goes less across than this is upright, mm. */
  private static final double UPRIGHT_MM = 1e-9;

  private Resized() {}

  /**
   * The same cuts moved out by as much as the head has grown; where they then end further from the
   * throat than before, the last one is made wider by that. The bowl grows with the throat. Empty
   * where seat and valve cannot be made so.
   *
   * @param throatMm the throat wanted
   */
  public static Optional<Pairing> of(Pairing planned, Valve valve, double throatMm) {
    Seat seat = planned.seat();
    double more = valve.headDiameterMm() - planned.valve().headDiameterMm();
    double outside = seat.outsideDiameterMm() + more;
    try {
      double further =
          shortMm(seat, outside, throatMm)
              - shortMm(seat, seat.outsideDiameterMm(), seat.throatDiameterMm());
      Seat moved = further > 0 ? widened(seat, further) : seat;
      moved =
          moved
              .withOutsideDiameterMm(outside)
              .withThroatDiameter(throatMm)
              .withBowl(
                  seat.bowlDiameterMm() + Math.max(0, throatMm - seat.throatDiameterMm()),
                  seat.bowlDepthMm());
      return Optional.of(new Pairing(moved, valve));
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }

  /** How far its cuts end short of a throat across the radius; 0 where they reach it. */
  private static double shortMm(Seat seat, double outsideMm, double throatMm) {
    double across =
        seat.cuts().subList(seat.sealing(), seat.cuts().size()).stream()
            .mapToDouble(Cut::projectedMm)
            .sum();
    return Math.max(0, (outsideMm - throatMm) / 2 - across);
  }

  /** The last cut wider by so much across the radius; an arc, or an upright cut, stays. */
  private static Seat widened(Seat seat, double acrossMm) {
    List<Element> elements = new ArrayList<>(seat.stack().elements());
    if (elements.size() - 1 > seat.stack().sealingElement()
        && elements.getLast() instanceof Cut last
        && last.projectedMm() > UPRIGHT_MM) {
      double each = last.projectedMm() / last.widthMm();
      elements.set(elements.size() - 1, new Cut(last.angleDeg(), last.widthMm() + acrossMm / each));
      return seat.withCuts(elements, seat.stack().sealingElement());
    }
    return seat;
  }
}
