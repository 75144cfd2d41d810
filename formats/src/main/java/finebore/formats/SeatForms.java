package finebore.formats;

import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.RecordForm;
import finebore.formats.json.UnionForm;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.function.Function;

/** Seats and valves in files. */
final class SeatForms {

  private SeatForms() {}

  private static final class CutForm<T> extends RecordForm<T> {
    private final Field<Double> angleDeg;
    private final Field<Double> widthMm;
    private final Function<Cut, T> made;

    CutForm(Class<T> as) {
      super("cut");
      angleDeg = field("angleDeg", Forms.number(Quantity.CUT_ANGLE), c -> ((Cut) c).angleDeg());
      widthMm = field("widthMm", Forms.number(Quantity.CUT_WIDTH), c -> ((Cut) c).widthMm());
      made = as::cast;
    }

    @Override
    protected T of(Values v) {
      return made.apply(new Cut(v.of(angleDeg), v.of(widthMm)));
    }
  }

  /** A conical cut, by its angle and width. */
  static final Form<Cut> CUT = new CutForm<>(Cut.class);

  private static final RecordForm<Element> ARC =
      new RecordForm<>("arc") {
        private final Field<Double> fromDeg =
            field("fromDeg", Forms.number(Quantity.ARC_FROM), e -> ((Arc) e).fromDeg());
        private final Field<Double> toDeg =
            field("toDeg", Forms.number(Quantity.ARC_TO), e -> ((Arc) e).toDeg());
        private final Field<Double> radiusMm =
            field("radiusMm", Forms.number(Quantity.ARC_RADIUS), e -> ((Arc) e).radiusMm());

        @Override
        protected Element of(Values v) {
          return new Arc(v.of(fromDeg), v.of(toDeg), v.of(radiusMm));
        }
      };

  /** Elements of a seat's or a cutter's profile: cuts, and arcs as arcs. */
  static final Form<List<Element>> PROFILE =
      Forms.<Element>list(
              UnionForm.either(
                  "radiusMm",
                  new UnionForm.Case<>("cut", new CutForm<>(Element.class), e -> e instanceof Cut),
                  new UnionForm.Case<>("arc", ARC, e -> e instanceof Arc)))
          .of(1, Integer.MAX_VALUE);

  /** A seat. */
  static final Form<Seat> SEAT =
      new RecordForm<>("seat") {
        private final Field<List<Element>> cuts = field("cuts", PROFILE, s -> s.stack().elements());
        private final Field<Integer> sealingCut =
            field(
                "sealingCut",
                Forms.whole(1, Integer.MAX_VALUE),
                s -> s.stack().sealingElement() + 1);
        private final Field<Double> outsideMm =
            field(
                "outsideDiameterMm", Forms.number(Quantity.SEAT_OUTSIDE), Seat::outsideDiameterMm);
        private final Field<Double> depthMm =
            field("depthMm", Forms.number(Quantity.SEAT_DEPTH), Seat::depthMm);
        private final Field<Double> throatMm =
            field("throatDiameterMm", Forms.number(Quantity.THROAT), Seat::throatDiameterMm);
        private final Field<Double> throatLengthMm =
            field("throatLengthMm", Forms.number(Quantity.THROAT_LENGTH), Seat::throatLengthMm);
        private final Field<Double> bowlMm =
            field("bowlDiameterMm", Forms.number(Quantity.BOWL), Seat::bowlDiameterMm);
        private final Field<Double> bowlDepthMm =
            field("bowlDepthMm", Forms.number(Quantity.BOWL_DEPTH), Seat::bowlDepthMm);
        private final Field<Double> roofDeg =
            field("roofAngleDeg", Forms.number(Quantity.ROOF_ANGLE), Seat::roofAngleDeg);

        @Override
        protected Seat of(Values v) {
          return Seat.of(
              v.of(cuts),
              v.of(sealingCut) - 1,
              v.of(outsideMm),
              v.of(depthMm),
              v.of(throatMm),
              v.of(throatLengthMm),
              v.of(bowlMm),
              v.of(bowlDepthMm),
              v.of(roofDeg));
        }
      };

  private static final Form<Underhead> UNDERHEAD =
      new RecordForm<>("") {
        private final Field<Double> angleDeg =
            field("angleDeg", Forms.number(Quantity.UNDERHEAD_ANGLE), Underhead::angleDeg);
        private final Field<Double> filletMm =
            field(
                "filletRadiusMm",
                Forms.number(Quantity.UNDERHEAD_RADIUS),
                Underhead::filletRadiusMm);

        @Override
        protected Underhead of(Values v) {
          return new Underhead(v.of(angleDeg), v.of(filletMm));
        }
      };

  /** A valve. */
  static final Form<Valve> VALVE =
      new RecordForm<>("valve") {
        private final Field<Double> headMm =
            field("headDiameterMm", Forms.number(Quantity.VALVE_HEAD), Valve::headDiameterMm);
        private final Field<Double> marginMm =
            field("marginMm", Forms.number(Quantity.MARGIN), Valve::marginMm);
        private final Field<Double> faceDeg =
            field("faceAngleDeg", Forms.number(Quantity.FACE_ANGLE), Valve::faceAngleDeg);
        private final Field<Double> faceMm =
            field("faceWidthMm", Forms.number(Quantity.FACE_WIDTH), Valve::faceWidthMm);
        private final Field<List<Cut>> backCuts =
            field("backCuts", Forms.list(CUT), Valve::backCuts);
        private final Field<Underhead> underhead = field("underhead", UNDERHEAD, Valve::underhead);
        private final Field<Double> stemMm =
            field("stemDiameterMm", Forms.number(Quantity.STEM), Valve::stemDiameterMm);
        private final Field<Double> edgeMm =
            field("edgeRadiusMm", Forms.number(Quantity.MARGIN_EDGE_RADIUS), Valve::edgeRadiusMm);

        @Override
        protected Valve of(Values v) {
          return new Valve(
              v.of(headMm),
              v.of(marginMm),
              v.of(faceDeg),
              v.of(faceMm),
              v.of(backCuts),
              v.of(underhead),
              v.of(stemMm),
              v.of(edgeMm));
        }
      };

  /** A seat with its valve. */
  static final Form<Pairing> PAIRING =
      new RecordForm<>("pairing") {
        private final Field<Seat> seat = field("seat", SEAT, Pairing::seat);
        private final Field<Valve> valve = field("valve", VALVE, Pairing::valve);

        @Override
        protected Pairing of(Values v) {
          return new Pairing(v.of(seat), v.of(valve));
        }
      };
}
