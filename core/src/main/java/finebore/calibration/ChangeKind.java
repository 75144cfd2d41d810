package finebore.calibration;

import finebore.flow.Bands.Band;
import finebore.flow.Direction;
import finebore.flow.Spread;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * What sets two seats apart, and how far the estimate was off by such a change on seats that it was
 * not fitted to: what two thirds lie within at low, mid and high lift, as a share of the flow. For
 * exhausts, of which few were kept out, the larger of both directions (docs/model.md; printed by
 * the fitting program).
 */
public enum ChangeKind {
  THROAT(new Spread(0.0081, 0.0125, 0.0081), new Spread(0.0143, 0.0125, 0.0230)),
  SEAT_WIDTH(new Spread(0.0105, 0.0069, 0.0045), new Spread(0.0105, 0.0069, 0.0080)),
  /** What lies above the seat, how deep the seat lies in its roof included. */
  TOP_CUT(new Spread(0.0117, 0.0050, 0.0022), new Spread(0.0117, 0.0056, 0.0048)),
  LOWER_CUT(new Spread(0.0231, 0.0136, 0.0077), new Spread(0.0231, 0.0136, 0.0121)),
  NO_LOWER_CUT(new Spread(0.0309, 0.0174, 0.0105), new Spread(0.0309, 0.0174, 0.0174)),
  BACK_CUT(new Spread(0.0160, 0.0086, 0.0030), new Spread(0.0449, 0.0131, 0.0068)),
  NO_BACK_CUT(new Spread(0.0167, 0.0093, 0.0017), new Spread(0.0167, 0.0176, 0.0041)),
  UNDERHEAD(new Spread(0.0069, 0.0061, 0.0036), new Spread(0.0146, 0.0108, 0.0089)),
  MARGIN(new Spread(0.0019, 0.0022, 0.0011), new Spread(0.0024, 0.0041, 0.0034)),
  SEAT_OUTSIDE(new Spread(0.0066, 0.0033, 0.0035), new Spread(0.0075, 0.0066, 0.0082)),
  /** Another valve or another seat angle: as between any two seats, each on its own gate. */
  ANOTHER_SEAT(new Spread(0.0441, 0.0278, 0.0199), new Spread(0.0455, 0.0494, 0.0475));

  /** How far the solver's closures are apart on one change. */
  private static final Spread CLOSURES = new Spread(0.020, 0.015, 0.006);

  /** Several changes at once lie within this many times their bands in quadrature. */
  private static final Spread SEVERAL_IN = new Spread(1.04, 1.02, 1.00);

  private static final Spread SEVERAL_OUT = new Spread(1.00, 1.03, 1.16);

  private static final double SAME_MM = 0.005;
  private static final double SAME_DEG = 0.05;

  private final Spread intake;
  private final Spread exhaust;

  ChangeKind(Spread intake, Spread exhaust) {
    this.intake = intake;
    this.exhaust = exhaust;
  }

  /** What two thirds of the errors lie within, without what the closures are apart. */
  Spread of(Direction direction) {
    return direction == Direction.INTAKE ? intake : exhaust;
  }

  /**
   * The band round a change of several kinds: their own in quadrature, but never more than between
   * any two seats; and what the closures are apart. Nothing changed, nothing is uncertain.
   */
  public static Spread spread(Set<ChangeKind> kinds, Direction direction) {
    return kinds.isEmpty()
        ? new Spread(0, 0, 0)
        : new Spread(
            of(kinds, direction, Band.LOW),
            of(kinds, direction, Band.MID),
            of(kinds, direction, Band.HIGH));
  }

  private static double of(Set<ChangeKind> kinds, Direction direction, Band band) {
    double squares =
        kinds.stream().mapToDouble(k -> k.of(direction).of(band)).map(s -> s * s).sum();
    Spread several = direction == Direction.INTAKE ? SEVERAL_IN : SEVERAL_OUT;
    double together = Math.sqrt(squares) * (kinds.size() > 1 ? several.of(band) : 1);
    return Math.hypot(Math.min(together, ANOTHER_SEAT.of(direction).of(band)), CLOSURES.of(band));
  }

  /** What sets one valve on its seat apart from another. */
  public static Set<ChangeKind> between(Pairing before, Pairing after) {
    Set<ChangeKind> kinds = EnumSet.noneOf(ChangeKind.class);
    seats(before.seat(), after.seat(), kinds);
    valves(before.valve(), after.valve(), kinds);
    return kinds;
  }

  private static void seats(Seat before, Seat after, Set<ChangeKind> kinds) {
    if (differ(before, after, Seat::throatDiameterMm, Seat::throatLengthMm)
        || differ(before, after, Seat::bowlDiameterMm, Seat::bowlDepthMm)) {
      kinds.add(THROAT);
    }
    Cut seat = before.sealingCut();
    Cut now = after.sealingCut();
    if (Math.abs(seat.angleDeg() - now.angleDeg()) > SAME_DEG) {
      kinds.add(ANOTHER_SEAT);
    }
    if (Math.abs(seat.widthMm() - now.widthMm()) > SAME_MM) {
      kinds.add(SEAT_WIDTH);
    }
    if (!alike(above(before), above(after)) || differ(before, after, Seat::depthMm)) {
      kinds.add(TOP_CUT);
    }
    if (!alike(below(before), below(after))) {
      kinds.add(below(before).isEmpty() || below(after).isEmpty() ? NO_LOWER_CUT : LOWER_CUT);
    }
    if (differ(before, after, Seat::outsideDiameterMm)) {
      kinds.add(SEAT_OUTSIDE);
    }
  }

  private static void valves(Valve before, Valve after, Set<ChangeKind> kinds) {
    if (differ(before, after, Valve::headDiameterMm)
        || Math.abs(before.faceAngleDeg() - after.faceAngleDeg()) > SAME_DEG) {
      kinds.add(ANOTHER_SEAT);
    }
    if (!alike(before.backCuts(), after.backCuts()) || differ(before, after, Valve::faceWidthMm)) {
      kinds.add(
          after.backCuts().isEmpty() && !before.backCuts().isEmpty() ? NO_BACK_CUT : BACK_CUT);
    }
    if (Math.abs(before.underhead().angleDeg() - after.underhead().angleDeg()) > SAME_DEG
        || Math.abs(before.underhead().filletRadiusMm() - after.underhead().filletRadiusMm())
            > SAME_MM) {
      kinds.add(UNDERHEAD);
    }
    if (differ(before, after, Valve::marginMm, Valve::edgeRadiusMm)) {
      kinds.add(MARGIN);
    }
  }

  @SafeVarargs
  private static <T> boolean differ(T a, T b, ToDoubleFunction<T>... lengths) {
    for (ToDoubleFunction<T> length : lengths) {
      if (Math.abs(length.applyAsDouble(a) - length.applyAsDouble(b)) > SAME_MM) {
        return true;
      }
    }
    return false;
  }

  private static List<Element> above(Seat seat) {
    return seat.stack().elements().subList(0, seat.stack().sealingElement());
  }

  private static List<Element> below(Seat seat) {
    List<Element> all = seat.stack().elements();
    return all.subList(seat.stack().sealingElement() + 1, all.size());
  }

  private static boolean alike(List<? extends Element> a, List<? extends Element> b) {
    if (a.size() != b.size()) {
      return false;
    }
    for (int k = 0; k < a.size(); k++) {
      boolean same =
          a.get(k) instanceof Cut one && b.get(k) instanceof Cut other
              ? Math.abs(one.angleDeg() - other.angleDeg()) <= SAME_DEG
                  && Math.abs(one.widthMm() - other.widthMm()) <= SAME_MM
              : a.get(k).equals(b.get(k));
      if (!same) {
        return false;
      }
    }
    return true;
  }
}
