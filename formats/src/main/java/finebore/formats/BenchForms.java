package finebore.formats;

import finebore.bench.Air;
import finebore.bench.BenchBook;
import finebore.bench.BenchRange;
import finebore.bench.BenchReading;
import finebore.bench.CheckPlate;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.PlateCheck;
import finebore.bench.SetUp;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.Pipe;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.flow.Direction;
import finebore.formats.json.Form;
import finebore.formats.json.Forms;
import finebore.formats.json.RecordForm;
import finebore.formats.json.UnionForm;
import finebore.formats.json.UnionForm.Case;
import finebore.quantity.Quantity;
import finebore.valve.Valve;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/** Flow tests and the bench's ranges in files. */
final class BenchForms {

  private BenchForms() {}

  private static <E extends Enum<E>> Form<E> oneOf(E[] values) {
    return Forms.oneOf(values, v -> v.name().toLowerCase(Locale.ROOT).replace('_', '-'));
  }

  /** What was read is kept as read, whatever it is. */
  private static final Form<Air> AIR =
      new RecordForm<>("air") {
        private final Field<Double> temperatureC =
            field("temperatureC", Forms.NUMBER, Air::temperatureC);
        private final Field<Double> pressurePa = field("pressurePa", Forms.NUMBER, Air::pressurePa);
        private final Field<Double> humidity = field("humidity", Forms.NUMBER, Air::humidity);

        @Override
        protected Air of(Values v) {
          return new Air(v.of(temperatureC), v.of(pressurePa), v.of(humidity));
        }
      };

  private static final RecordForm<CheckPlate> STAMPED =
      new RecordForm<>("") {
        private final Field<Double> flowM3s =
            field(
                "stampedM3s",
                Forms.number(Quantity.STAMPED_FLOW),
                p -> ((CheckPlate.Stamped) p).stampedM3s());
        private final Field<Double> atPa =
            field("atPa", Forms.number(Quantity.STAMPED_AT), p -> ((CheckPlate.Stamped) p).atPa());

        @Override
        protected CheckPlate of(Values v) {
          return new CheckPlate.Stamped(v.of(flowM3s), v.of(atPa));
        }
      };

  private static final RecordForm<CheckPlate> MEASURED =
      new RecordForm<>("") {
        private final Field<Double> boreMm =
            field(
                "boreMm",
                Forms.number(Quantity.PLATE_HOLE),
                p -> ((CheckPlate.Measured) p).boreMm());

        @Override
        protected CheckPlate of(Values v) {
          return new CheckPlate.Measured(v.of(boreMm));
        }
      };

  private static final Form<PlateCheck> CHECK =
      new RecordForm<>("") {
        private final Field<LocalDate> date = field("date", Forms.DAY, PlateCheck::date);
        private final Field<CheckPlate> plate =
            field(
                "plate",
                UnionForm.either(
                    "boreMm",
                    new Case<>("stamped", STAMPED, p -> p instanceof CheckPlate.Stamped),
                    new Case<>("measured", MEASURED, p -> p instanceof CheckPlate.Measured)),
                PlateCheck::plate);
        private final Field<Double> percent =
            field("percent", Forms.number(Quantity.PLATE_READING), PlateCheck::percent);
        private final Field<Double> depressionPa =
            field(
                "depressionPa", Forms.number(Quantity.PLATE_DEPRESSION), PlateCheck::depressionPa);
        private final Field<Optional<Air>> air = field("air", AIR.orNull(), PlateCheck::air);

        @Override
        protected PlateCheck of(Values v) {
          return new PlateCheck(
              v.of(date), v.of(plate), v.of(percent), v.of(depressionPa), v.of(air));
        }
      };

  private static final Form<BenchRange> RANGE =
      new RecordForm<>("") {
        private final Field<String> name =
            field("name", Forms.words(BenchRange.LONGEST_NAME), BenchRange::name);
        private final Field<List<PlateCheck>> checks =
            field("checks", Forms.list(CHECK), BenchRange::checks);

        @Override
        protected BenchRange of(Values v) {
          return new BenchRange(v.of(name), v.of(checks));
        }
      };

  private static final Form<BenchReading> READING =
      new RecordForm<>("") {
        private final Field<Double> value = field("value", Forms.NUMBER, BenchReading::value);
        private final Field<Optional<String>> range =
            field("range", Forms.TEXT.orNull(), BenchReading::range);
        private final Field<OptionalDouble> depressionPa =
            field("depressionPa", Forms.figure(Forms.NUMBER), BenchReading::depressionPa);
        private final Field<OptionalDouble> temperatureC =
            field("temperatureC", Forms.figure(Forms.NUMBER), BenchReading::temperatureC);

        @Override
        protected BenchReading of(Values v) {
          return new BenchReading(v.of(value), v.of(range), v.of(depressionPa), v.of(temperatureC));
        }
      };

  /** Figures by their place in the port. */
  private static Form<Map<PortPlace, Double>> places(String value, Quantity quantity) {
    Form<Map.Entry<PortPlace, Double>> entry =
        new RecordForm<>("") {
          private final Field<PortPlace> place =
              field("place", Forms.oneOf(PortPlace.values(), PortPlace::key), Map.Entry::getKey);
          private final Field<Double> figure =
              field(value, Forms.number(quantity), Map.Entry::getValue);

          @Override
          protected Map.Entry<PortPlace, Double> of(Values v) {
            return Map.entry(v.of(place), v.of(figure));
          }
        };
    return Forms.list(entry)
        .by("place")
        .as(
            list -> {
              Map<PortPlace, Double> places = new EnumMap<>(PortPlace.class);
              list.forEach(e -> places.put(e.getKey(), e.getValue()));
              return places;
            },
            map -> List.copyOf(new TreeMap<>(map).entrySet()));
  }

  private static final Form<LiftReadings> LIFT =
      new RecordForm<>("") {
        private final Field<Double> liftMm =
            field("liftMm", Forms.number(Quantity.LIFT), LiftReadings::liftMm);
        private final Field<List<BenchReading>> readings =
            field(
                "readings",
                Forms.list(READING).of(0, LiftReadings.MOST_REPEATS),
                LiftReadings::readings);
        private final Field<Boolean> noisy = field("noisy", Forms.FLAG, LiftReadings::noisy);
        private final Field<OptionalDouble> swirlRpm =
            field("swirlRpm", Forms.figure(Quantity.SWIRL), LiftReadings::swirlRpm);
        private final Field<Map<PortPlace, Double>> speeds =
            field("speeds", places("speedMs", Quantity.AIR_SPEED), LiftReadings::speedsMs);
        private final Field<Map<PortPlace, Double>> probe =
            field("probe", places("dropM3s", Quantity.PROBE_DROP), LiftReadings::probeDropsM3s);
        private final Field<String> remarks = field("remarks", Forms.TEXT, LiftReadings::remarks);

        @Override
        protected LiftReadings of(Values v) {
          return new LiftReadings(
              v.of(liftMm),
              v.of(readings),
              v.of(noisy),
              v.of(swirlRpm),
              v.of(speeds),
              v.of(probe),
              v.of(remarks));
        }
      };

  private static final Form<TestedState> STATE =
      new RecordForm<>("") {
        private final Field<TestedState.Kind> kind =
            field("kind", oneOf(TestedState.Kind.values()), TestedState::kind);
        private final Field<Integer> operations =
            field("operations", Forms.count(Quantity.OPERATIONS_DONE), TestedState::operations);

        @Override
        protected TestedState of(Values v) {
          return new TestedState(v.of(kind), v.of(operations));
        }
      };

  private static final Form<TestedValve> TESTED_VALVE =
      new RecordForm<>("") {
        private final Field<Double> headMm =
            field(
                "headDiameterMm", Forms.number(Quantity.TESTED_VALVE), TestedValve::headDiameterMm);
        private final Field<String> name = field("name", Forms.TEXT, TestedValve::name);
        private final Field<Optional<Valve>> shape =
            field("shape", SeatForms.VALVE.orNull(), TestedValve::shape);

        @Override
        protected TestedValve of(Values v) {
          return new TestedValve(v.of(headMm), v.of(name), v.of(shape));
        }
      };

  private static final Form<Inlet> INLET =
      new RecordForm<>("") {
        private final Field<Inlet.Kind> kind =
            field("kind", oneOf(Inlet.Kind.values()), Inlet::kind);
        private final Field<OptionalDouble> radiusMm =
            field("radiusMm", Forms.figure(Quantity.INLET_RADIUS), Inlet::radiusMm);

        @Override
        protected Inlet of(Values v) {
          return new Inlet(v.of(kind), v.of(radiusMm));
        }
      };

  private static final Form<Pipe> PIPE =
      new RecordForm<>("") {
        private final Field<Double> diameterMm =
            field("diameterMm", Forms.number(Quantity.PIPE_DIAMETER), Pipe::diameterMm);
        private final Field<Double> lengthMm =
            field("lengthMm", Forms.number(Quantity.PIPE_LENGTH), Pipe::lengthMm);

        @Override
        protected Pipe of(Values v) {
          return new Pipe(v.of(diameterMm), v.of(lengthMm));
        }
      };

  private static final Form<SetUp> SET_UP =
      new RecordForm<>("") {
        private final Field<String> bench = field("bench", Forms.TEXT, SetUp::bench);
        private final Field<String> seat = field("seat", Forms.TEXT, SetUp::seat);
        private final Field<Direction> direction =
            field("direction", oneOf(Direction.values()), SetUp::direction);
        private final Field<TestedState> state = field("state", STATE, SetUp::state);
        private final Field<TestedValve> valve = field("valve", TESTED_VALVE, SetUp::valve);
        private final Field<OptionalDouble> boreMm =
            field("boreMm", Forms.figure(Quantity.FIXTURE_BORE), SetUp::boreMm);
        private final Field<Inlet> inlet = field("inlet", INLET, SetUp::inlet);
        private final Field<Optional<Pipe>> pipe = field("pipe", PIPE.orNull(), SetUp::pipe);
        private final Field<OptionalDouble> depressionPa =
            field("depressionPa", Forms.figure(Quantity.DEPRESSION), SetUp::depressionPa);
        private final Field<OptionalDouble> leakageM3s =
            field("leakageM3s", Forms.figure(Quantity.LEAKAGE), SetUp::leakageM3s);

        @Override
        protected SetUp of(Values v) {
          return new SetUp(
              v.of(bench),
              v.of(seat),
              v.of(direction),
              v.of(state),
              v.of(valve),
              v.of(boreMm),
              v.of(inlet),
              v.of(pipe),
              v.of(depressionPa),
              v.of(leakageM3s));
        }
      };

  private static final Form<FlowTest.Predicted> PREDICTED =
      new RecordForm<>("") {
        private final Field<Double> liftMm =
            field("liftMm", Forms.NUMBER, FlowTest.Predicted::liftMm);
        private final Field<Double> flowM3s =
            field("flowM3s", Forms.NUMBER, FlowTest.Predicted::flowM3s);
        private final Field<Double> spread =
            field("spread", Forms.NUMBER, FlowTest.Predicted::spread);

        @Override
        protected FlowTest.Predicted of(Values v) {
          return new FlowTest.Predicted(v.of(liftMm), v.of(flowM3s), v.of(spread));
        }
      };

  private static final Form<FlowTest.Picture> PICTURE =
      new RecordForm<>("") {
        private final Field<String> file = field("file", Forms.TEXT, FlowTest.Picture::file);
        private final Field<String> words = field("words", Forms.TEXT, FlowTest.Picture::words);

        @Override
        protected FlowTest.Picture of(Values v) {
          return new FlowTest.Picture(v.of(file), v.of(words));
        }
      };

  private static final Form<FlowTest> TEST =
      new RecordForm<>("flowTest") {
        private final Field<Integer> id = field("id", Forms.WHOLE, FlowTest::id);
        private final Field<String> name =
            field("name", Forms.words(FlowTest.LONGEST_NAME), FlowTest::name);
        private final Field<Optional<LocalDate>> date =
            field("date", Forms.DAY.orNull(), FlowTest::date);
        private final Field<SetUp> setUp = field("setUp", SET_UP, FlowTest::setUp);
        private final Field<Optional<Air>> air = field("air", AIR.orNull(), FlowTest::air);
        private final Field<Optional<Integer>> after =
            field("after", Forms.WHOLE.orNull(), FlowTest::after);
        private final Field<String> changed = field("changed", Forms.TEXT, FlowTest::changed);
        private final Field<Boolean> valveIsTheChange =
            field("valveIsTheChange", Forms.FLAG, FlowTest::valveIsTheChange);
        private final Field<List<LiftReadings>> lifts =
            field("lifts", Forms.list(LIFT).of(0, FlowTest.MOST_LIFTS), FlowTest::lifts);
        private final Field<List<FlowTest.Predicted>> predicted =
            field("predicted", Forms.list(PREDICTED), FlowTest::predicted);
        private final Field<List<FlowTest.Picture>> pictures =
            field("pictures", Forms.list(PICTURE).by("file"), FlowTest::pictures);
        private final Field<String> remarks = field("remarks", Forms.TEXT, FlowTest::remarks);

        @Override
        protected FlowTest of(Values v) {
          return new FlowTest(
              v.of(id),
              v.of(name),
              v.of(date),
              v.of(setUp),
              v.of(air),
              v.of(after),
              v.of(changed),
              v.of(valveIsTheChange),
              v.of(lifts),
              v.of(predicted),
              v.of(pictures),
              v.of(remarks));
        }
      };

  /** Every flow test, and the ranges of the bench. */
  static final Form<BenchBook> BOOK =
      new RecordForm<>("bench") {
        private final Field<List<BenchRange>> ranges =
            field("ranges", Forms.list(RANGE).by("name"), BenchBook::ranges);
        private final Field<List<FlowTest>> tests =
            field("tests", Forms.list(TEST).by("id"), BenchBook::tests);

        @Override
        protected BenchBook of(Values v) {
          return new BenchBook(v.of(ranges), v.of(tests));
        }
      };
}
