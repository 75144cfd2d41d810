package finebore.formats;

import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.RecordForm;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.quantity.Quantity;
import finebore.room.ChamberOutline;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** What was measured of a head in files; a reading that was not taken is null. */
final class HeadForms {

  private HeadForms() {}

  private static final Form<Map.Entry<String, SeatReadings>> SEAT =
      new RecordForm<>("seatReadings") {
        private final Field<String> seat = field("seat", Forms.TEXT, Map.Entry::getKey);
        private final Map<Measure, Field<OptionalDouble>> measures = new EnumMap<>(Measure.class);

        {
          for (Measure measure : Measure.values()) {
            measures.put(
                measure,
                field(
                    measure.key(),
                    Forms.figure(measure.quantity()),
                    e -> e.getValue().value(measure)));
          }
        }

        private final Field<String> ringMaterial =
            field("ringMaterial", Forms.TEXT, e -> e.getValue().ringMaterial());

        @Override
        protected Map.Entry<String, SeatReadings> of(Values v) {
          Map<Measure, Double> values = new EnumMap<>(Measure.class);
          measures.forEach((m, field) -> v.of(field).ifPresent(mm -> values.put(m, mm)));
          return Map.entry(v.of(seat), new SeatReadings(values, v.of(ringMaterial)));
        }
      };

  private static Map<String, SeatReadings> bySeat(List<Map.Entry<String, SeatReadings>> entries) {
    Map<String, SeatReadings> readings = new LinkedHashMap<>();
    entries.forEach(e -> readings.put(e.getKey(), e.getValue()));
    return readings;
  }

  private static final Form<ChamberOutline.Corner> CORNER =
      new RecordForm<>("") {
        private final Field<Double> alongMm =
            field("alongMm", Forms.number(Quantity.OUTLINE_ALONG), ChamberOutline.Corner::alongMm);
        private final Field<Double> acrossMm =
            field(
                "acrossMm", Forms.number(Quantity.OUTLINE_ACROSS), ChamberOutline.Corner::acrossMm);

        @Override
        protected ChamberOutline.Corner of(Values v) {
          return new ChamberOutline.Corner(v.of(alongMm), v.of(acrossMm));
        }
      };

  private static final Form<ChamberOutline> CHAMBER =
      new RecordForm<>("") {
        private final Field<Integer> cylinder =
            field("cylinder", Forms.count(Quantity.CYLINDERS), ChamberOutline::cylinder);
        private final Field<List<ChamberOutline.Corner>> outline =
            field(
                "outline",
                Forms.list(CORNER).of(ChamberOutline.FEWEST, ChamberOutline.MOST),
                ChamberOutline::corners);

        @Override
        protected ChamberOutline of(Values v) {
          return new ChamberOutline(v.of(cylinder), v.of(outline));
        }
      };

  private static final Form<Squared.Pixel> PIXEL =
      new RecordForm<>("") {
        private final Field<Double> x =
            field("x", Forms.number(Quantity.PHOTOGRAPH_PLACE), Squared.Pixel::x);
        private final Field<Double> y =
            field("y", Forms.number(Quantity.PHOTOGRAPH_PLACE), Squared.Pixel::y);

        @Override
        protected Squared.Pixel of(Values v) {
          return new Squared.Pixel(v.of(x), v.of(y));
        }
      };

  private static final Form<FacePhotograph> PHOTOGRAPH =
      new RecordForm<>("") {
        private final Field<Integer> cylinder =
            field("cylinder", Forms.count(Quantity.CYLINDERS), FacePhotograph::cylinder);
        private final Field<String> file = field("file", Forms.WORDS, FacePhotograph::file);
        private final Field<List<Squared.Pixel>> seen =
            field(
                "seen",
                Forms.list(PIXEL).of(FacePhotograph.KNOWN, FacePhotograph.KNOWN),
                FacePhotograph::seen);
        private final Field<List<ChamberOutline.Corner>> are =
            field(
                "are",
                Forms.list(CORNER).of(FacePhotograph.KNOWN, FacePhotograph.KNOWN),
                FacePhotograph::are);

        @Override
        protected FacePhotograph of(Values v) {
          return new FacePhotograph(v.of(cylinder), v.of(file), v.of(seen), v.of(are));
        }
      };

  private static final Form<HeadLayout> LAYOUT =
      new RecordForm<>("layout") {
        private final Field<Integer> cylinders =
            field(
                "cylindersPerHead",
                Forms.count(Quantity.CYLINDERS_PER_HEAD),
                HeadLayout::cylindersPerHead);
        private final Field<Double> spacingMm =
            field("boreSpacingMm", Forms.number(Quantity.BORE_SPACING), HeadLayout::boreSpacingMm);
        private final Field<Double> fireRingMm =
            field("fireRingMm", Forms.number(Quantity.FIRE_RING), HeadLayout::fireRingMm);
        private final Field<Double> valveLineDeg =
            field("valveLineDeg", Forms.number(Quantity.VALVE_LINE), HeadLayout::valveLineDeg);
        private final Field<Double> plugXMm =
            field("plugXMm", Forms.number(Quantity.PLUG_ALONG), HeadLayout::plugXMm);
        private final Field<Double> plugYMm =
            field("plugYMm", Forms.number(Quantity.PLUG_ACROSS), HeadLayout::plugYMm);
        private final Field<Double> plugMm =
            field("plugMm", Forms.number(Quantity.PLUG_THREAD), HeadLayout::plugMm);
        private final Field<Double> intakeTiltDeg =
            field("intakeTiltDeg", Forms.number(Quantity.INTAKE_LEAN), HeadLayout::intakeTiltDeg);
        private final Field<Double> exhaustTiltDeg =
            field(
                "exhaustTiltDeg", Forms.number(Quantity.EXHAUST_LEAN), HeadLayout::exhaustTiltDeg);
        private final Field<Double> intakeCantDeg =
            field("intakeCantDeg", Forms.number(Quantity.INTAKE_CANT), HeadLayout::intakeCantDeg);
        private final Field<Double> exhaustCantDeg =
            field(
                "exhaustCantDeg", Forms.number(Quantity.EXHAUST_CANT), HeadLayout::exhaustCantDeg);

        @Override
        protected HeadLayout of(Values v) {
          return new HeadLayout(
              v.of(cylinders),
              v.of(spacingMm),
              v.of(fireRingMm),
              v.of(valveLineDeg),
              v.of(plugXMm),
              v.of(plugYMm),
              v.of(plugMm),
              v.of(intakeTiltDeg),
              v.of(exhaustTiltDeg),
              v.of(intakeCantDeg),
              v.of(exhaustCantDeg));
        }
      };

  /** A head. */
  static final Form<Head> HEAD =
      new RecordForm<>("head") {
        private final Field<OptionalDouble> newThicknessMm =
            field(
                "newThicknessMm", Forms.figure(Quantity.HEAD_THICKNESS_NEW), Head::newThicknessMm);
        private final Field<OptionalDouble> thicknessMm =
            field("thicknessMm", Forms.figure(Quantity.HEAD_THICKNESS), Head::thicknessMm);
        private final Field<OptionalDouble> leastThicknessMm =
            field(
                "leastThicknessMm",
                Forms.figure(Quantity.HEAD_THICKNESS_LEAST),
                Head::leastThicknessMm);
        private final Field<OptionalDouble> chamberCc =
            field("chamberCc", Forms.figure(Quantity.CHAMBER), Head::chamberCc);
        private final Field<OptionalDouble> compression =
            field("compressionRatio", Forms.figure(Quantity.COMPRESSION), Head::compressionRatio);
        private final Field<Optional<HeadLayout>> layout =
            field("layout", LAYOUT.orNull(), Head::layout);
        private final Field<OptionalDouble> bankDeg =
            field("bankDeg", Forms.figure(Quantity.BANK), Head::bankDeg);
        private final Field<OptionalDouble> intakeFaceDeg =
            field("intakeFaceDeg", Forms.figure(Quantity.INTAKE_FACE), Head::intakeFaceDeg);
        private final Field<List<ChamberOutline>> chambers =
            field("chambers", Forms.list(CHAMBER).by("cylinder").orNone(), Head::chambers);
        private final Field<List<FacePhotograph>> photographs =
            field("photographs", Forms.list(PHOTOGRAPH).by("cylinder").orNone(), Head::photographs);
        private final Field<Optional<Boolean>> symmetric =
            field(
                "symmetric",
                Forms.FLAG.orNull(),
                h -> h.symmetric() ? Optional.of(true) : Optional.empty());
        private final Field<Map<String, SeatReadings>> seats =
            field(
                "seats",
                Forms.list(SEAT)
                    .by("seat")
                    .as(HeadForms::bySeat, m -> List.copyOf(new TreeMap<>(m).entrySet())),
                Head::readings);

        @Override
        protected Head of(Values v) {
          return new Head(
              v.of(newThicknessMm),
              v.of(thicknessMm),
              v.of(leastThicknessMm),
              v.of(chamberCc),
              v.of(compression),
              v.of(layout),
              v.of(bankDeg),
              v.of(intakeFaceDeg),
              v.of(chambers),
              v.of(photographs),
              v.of(symmetric).orElse(false),
              v.of(seats));
        }
      };
}
