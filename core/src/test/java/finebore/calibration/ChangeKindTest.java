package finebore.calibration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.Direction;
import finebore.flow.Spread;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** What a change is, and the band round it. */
class ChangeKindTest {

  private static final Seat SEAT = Samples.fourAngles(0.86);
  private static final Valve VALVE = Samples.plainValve();

  private static Set<ChangeKind> of(Seat seat) {
    return ChangeKind.between(new Pairing(SEAT, VALVE), new Pairing(seat, VALVE));
  }

  private static Set<ChangeKind> of(Valve valve) {
    return ChangeKind.between(new Pairing(SEAT, VALVE), new Pairing(SEAT, valve));
  }

  @Test
  void everyChangeIsOfItsKindAndNoOther() {
    assertThat(of(SEAT)).isEmpty();
    assertThat(of(SEAT.withThroatDiameter(SEAT.throatDiameterMm() + 0.0049))).isEmpty();
    assertThat(of(SEAT.withThroatDiameter(SEAT.throatDiameterMm() + 0.0051)))
        .containsExactly(ChangeKind.THROAT);
    assertThat(of(SEAT.withBowl(SEAT.bowlDiameterMm() + 1, SEAT.bowlDepthMm())))
        .containsExactly(ChangeKind.THROAT);
    assertThat(of(SEAT.withOutsideDiameterMm(SEAT.outsideDiameterMm() + 0.1)))
        .containsExactly(ChangeKind.SEAT_OUTSIDE);
    assertThat(of(SEAT.withDepthMm(SEAT.depthMm() + 0.1))).containsExactly(ChangeKind.TOP_CUT);
    assertThat(of(VALVE.withMarginMm(VALVE.marginMm() + 0.1))).containsExactly(ChangeKind.MARGIN);
    assertThat(of(VALVE.withUnderhead(new Underhead(VALVE.underhead().angleDeg() + 1, 8))))
        .containsExactly(ChangeKind.UNDERHEAD);
    assertThat(of(VALVE.withHeadDiameterMm(VALVE.headDiameterMm() - 0.5)))
        .containsExactly(ChangeKind.ANOTHER_SEAT);
  }

  /** Lengths count from five thousandths, angles from a twentieth of a degree. */
  @Test
  void aChangeCountsFromWhatCanBeCut() {
    Map<ChangeKind, List<Function<Double, Set<ChangeKind>>>> lengths =
        Map.of(
            ChangeKind.THROAT,
            List.of(
                d -> of(SEAT.withThroatLength(SEAT.throatLengthMm() + d)),
                d -> of(SEAT.withBowl(SEAT.bowlDiameterMm(), SEAT.bowlDepthMm() + d))),
            ChangeKind.SEAT_WIDTH,
            List.of(d -> of(with(SEAT.sealing(), cut(SEAT.sealingCut(), 0, d)))),
            ChangeKind.TOP_CUT,
            List.of(d -> of(with(0, cut(SEAT.cuts().getFirst(), 0, d)))),
            ChangeKind.LOWER_CUT,
            List.of(d -> of(with(2, cut(SEAT.cuts().get(2), 0, -d)))),
            ChangeKind.SEAT_OUTSIDE,
            List.of(d -> of(SEAT.withOutsideDiameterMm(SEAT.outsideDiameterMm() - d))),
            ChangeKind.UNDERHEAD,
            List.of(d -> of(VALVE.withUnderhead(new Underhead(15, 8 + d)))),
            ChangeKind.MARGIN,
            List.of(
                d -> of(VALVE.withMarginMm(VALVE.marginMm() + d)),
                d -> of(VALVE.withEdgeRadiusMm(VALVE.edgeRadiusMm() + d))),
            ChangeKind.BACK_CUT,
            List.of(d -> of(VALVE.withFaceWidthMm(VALVE.faceWidthMm() - d))),
            ChangeKind.ANOTHER_SEAT,
            List.of(d -> of(VALVE.withHeadDiameterMm(VALVE.headDiameterMm() + d))));
    lengths.forEach((kind, changes) -> count(kind, changes, 0.0049, 0.0051));
    Map<ChangeKind, List<Function<Double, Set<ChangeKind>>>> angles =
        Map.of(
            ChangeKind.TOP_CUT,
            List.of(d -> of(with(0, cut(SEAT.cuts().getFirst(), d, 0)))),
            ChangeKind.LOWER_CUT,
            List.of(d -> of(with(2, cut(SEAT.cuts().get(2), d, 0)))),
            ChangeKind.UNDERHEAD,
            List.of(d -> of(VALVE.withUnderhead(new Underhead(15 - d, 8)))),
            ChangeKind.ANOTHER_SEAT,
            List.of(
                d -> of(with(SEAT.sealing(), cut(SEAT.sealingCut(), d, 0))),
                d -> of(VALVE.withFaceAngleDeg(VALVE.faceAngleDeg() - d))));
    angles.forEach((kind, changes) -> count(kind, changes, 0.049, 0.051));
  }

  private static void count(
      ChangeKind kind, List<Function<Double, Set<ChangeKind>>> changes, double no, double yes) {
    for (Function<Double, Set<ChangeKind>> change : changes) {
      assertThat(change.apply(no)).as("%s by %s", kind, no).isEmpty();
      assertThat(change.apply(yes)).as("%s by %s", kind, yes).containsExactly(kind);
    }
  }

  private static Cut cut(Cut cut, double deg, double mm) {
    return new Cut(cut.angleDeg() + deg, cut.widthMm() + mm);
  }

  /** An arc is alike only where it is the same arc. */
  @Test
  void anArcForACutIsAnotherCut() {
    List<Element> arc = new ArrayList<>(SEAT.stack().elements());
    arc.set(2, new Arc(50, 70, 4));
    Seat round = SEAT.withCuts(arc, SEAT.sealing());
    assertThat(of(round)).contains(ChangeKind.LOWER_CUT);
    assertThat(ChangeKind.between(new Pairing(round, VALVE), new Pairing(round, VALVE))).isEmpty();
    arc.set(2, new Arc(50, 70, 4.001));
    assertThat(
            ChangeKind.between(
                new Pairing(round, VALVE), new Pairing(SEAT.withCuts(arc, SEAT.sealing()), VALVE)))
        .containsExactly(ChangeKind.LOWER_CUT);
  }

  @Test
  void cutsAreToldByWhereTheyLie() {
    int seat = SEAT.sealing();
    List<Element> all = SEAT.stack().elements();
    assertThat(of(with(seat, new Cut(45, SEAT.sealingCut().widthMm() + 0.1))))
        .containsExactly(ChangeKind.SEAT_WIDTH);
    assertThat(of(with(seat, new Cut(46, SEAT.sealingCut().widthMm()))))
        .containsExactly(ChangeKind.ANOTHER_SEAT);
    assertThat(of(with(0, new Cut(28, 1)))).containsExactly(ChangeKind.TOP_CUT);
    assertThat(of(with(seat + 1, new Cut(61, 1)))).containsExactly(ChangeKind.LOWER_CUT);
    assertThat(of(SEAT.withCuts(all.subList(0, seat + 1), seat)))
        .containsExactly(ChangeKind.NO_LOWER_CUT);
  }

  @Test
  void aBackCutThatComesIsNotOneThatGoes() {
    Valve cut =
        VALVE.withFaceWidthMm(VALVE.faceWidthMm() - 0.5).withBackCuts(List.of(new Cut(30, 0.8)));
    assertThat(of(cut)).containsExactly(ChangeKind.BACK_CUT);
    assertThat(ChangeKind.between(new Pairing(SEAT, cut), new Pairing(SEAT, VALVE)))
        .containsExactly(ChangeKind.NO_BACK_CUT);
  }

  private static Seat with(int place, Cut cut) {
    List<Element> elements = new ArrayList<>(SEAT.stack().elements());
    elements.set(place, cut);
    return SEAT.withCuts(elements, SEAT.sealing());
  }

  @Test
  void bandsAddInQuadratureWithWhatTheClosuresAreApart() {
    assertThat(ChangeKind.spread(Set.of(), Direction.INTAKE)).isEqualTo(new Spread(0, 0, 0));
    Spread margin = ChangeKind.spread(Set.of(ChangeKind.MARGIN), Direction.INTAKE);
    assertThat(margin.low()).isCloseTo(Math.hypot(0.0019, 0.020), within(1e-12));
    Spread two =
        ChangeKind.spread(Set.of(ChangeKind.MARGIN, ChangeKind.UNDERHEAD), Direction.EXHAUST);
    assertThat(two.mid())
        .isCloseTo(Math.hypot(1.03 * Math.hypot(0.0041, 0.0108), 0.015), within(1e-12));
    // A back cut is the riskiest thing to say of an exhaust's low lift.
    assertThat(ChangeKind.spread(Set.of(ChangeKind.BACK_CUT), Direction.EXHAUST).low())
        .isGreaterThan(2.2 * ChangeKind.spread(Set.of(ChangeKind.MARGIN), Direction.EXHAUST).low());
  }

  @Test
  void allAtOnceIsNoWorseThanAnyTwoSeats() {
    for (Direction direction : Direction.values()) {
      Spread all = ChangeKind.spread(EnumSet.allOf(ChangeKind.class), direction);
      assertThat(all).isEqualTo(ChangeKind.spread(Set.of(ChangeKind.ANOTHER_SEAT), direction));
    }
  }

  /**
   * An arc above the sealing cut is one element and many chords: neither side mistakes the other.
   */
  @Test
  void arcsOverTheSealingCutCountAsOneElement() {
    List<Element> elements = new ArrayList<>(List.of(new Arc(15, 40, 3)));
    elements.addAll(SEAT.cuts().subList(SEAT.sealing(), SEAT.cuts().size()));
    Seat arced = SEAT.withCuts(elements, 1);
    assertThat(of(arced)).containsExactly(ChangeKind.TOP_CUT);
    List<Element> wider = new ArrayList<>(elements);
    wider.set(2, ((Cut) elements.get(2)).withWidth(((Cut) elements.get(2)).widthMm() + 0.2));
    assertThat(
            ChangeKind.between(
                new Pairing(arced, VALVE), new Pairing(SEAT.withCuts(wider, 1), VALVE)))
        .containsExactly(ChangeKind.LOWER_CUT);
    List<Element> narrower = new ArrayList<>(elements);
    narrower.set(0, new Arc(20, 40, 3));
    assertThat(
            ChangeKind.between(
                new Pairing(arced, VALVE), new Pairing(SEAT.withCuts(narrower, 1), VALVE)))
        .containsExactly(ChangeKind.TOP_CUT);
  }
}
