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
import finebore.code.Message;
import finebore.flow.Direction;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Flow tests and the bench's ranges as JSON. */
final class BenchJson {

  private BenchJson() {}

  static BenchBook read(Node n) {
    return new BenchBook(
        n.at("ranges").list(r -> r.build(BenchJson::range)),
        n.at("tests").list(t -> t.build(BenchJson::test)));
  }

  private static BenchRange range(Node n) {
    return new BenchRange(n.at("name").text(), n.at("checks").list(c -> c.build(BenchJson::check)));
  }

  private static PlateCheck check(Node n) {
    Node plate = n.at("plate");
    CheckPlate checkPlate =
        plate.build(
            p ->
                p.at("boreMm").isAbsent()
                    ? new CheckPlate.Stamped(p.at("stampedM3s").number(), p.at("atPa").number())
                    : new CheckPlate.Measured(p.at("boreMm").number()));
    return new PlateCheck(
        date(n.at("date")),
        checkPlate,
        n.at("percent").number(),
        n.at("depressionPa").number(),
        optional(n.at("air"), BenchJson::air));
  }

  private static FlowTest test(Node n) {
    return new FlowTest(
        n.at("id").whole(),
        n.at("name").text(),
        n.at("date").isAbsent() ? Optional.empty() : Optional.of(date(n.at("date"))),
        n.at("setUp").build(BenchJson::setUp),
        optional(n.at("air"), BenchJson::air),
        n.at("after").isAbsent() ? Optional.empty() : Optional.of(n.at("after").whole()),
        n.at("changed").text(),
        n.at("valveIsTheChange").flag(),
        n.at("lifts").list(l -> l.build(BenchJson::lift)),
        n.at("predicted")
            .list(
                p ->
                    p.build(
                        q ->
                            new FlowTest.Predicted(
                                q.at("liftMm").number(),
                                q.at("flowM3s").number(),
                                q.at("spread").number()))),
        n.at("pictures")
            .list(
                p -> p.build(q -> new FlowTest.Picture(q.at("file").text(), q.at("words").text()))),
        n.at("remarks").text());
  }

  private static SetUp setUp(Node n) {
    return new SetUp(
        n.at("bench").text(),
        n.at("seat").text(),
        n.at("direction").oneOf(Direction.values(), BenchJson::name),
        n.at("state")
            .build(
                s ->
                    new TestedState(
                        s.at("kind").oneOf(TestedState.Kind.values(), BenchJson::name),
                        s.at("operations").whole())),
        n.at("valve")
            .build(
                v ->
                    new TestedValve(
                        v.at("headDiameterMm").number(),
                        v.at("name").text(),
                        optional(v.at("shape"), JobReader::valve))),
        n.at("boreMm").optionalNumber(),
        n.at("inlet")
            .build(
                i ->
                    new Inlet(
                        i.at("kind").oneOf(Inlet.Kind.values(), BenchJson::name),
                        i.at("radiusMm").optionalNumber())),
        optional(
            n.at("pipe"), p -> new Pipe(p.at("diameterMm").number(), p.at("lengthMm").number())),
        n.at("depressionPa").optionalNumber(),
        n.at("leakageM3s").optionalNumber());
  }

  private static Air air(Node n) {
    return new Air(
        n.at("temperatureC").number(), n.at("pressurePa").number(), n.at("humidity").number());
  }

  private static LiftReadings lift(Node n) {
    return new LiftReadings(
        n.at("liftMm").number(),
        n.at("readings").list(r -> r.build(BenchJson::reading)),
        n.at("noisy").flag(),
        n.at("swirlRpm").optionalNumber(),
        places(n.at("speeds"), "speedMs"),
        places(n.at("probe"), "dropM3s"),
        n.at("remarks").text());
  }

  private static BenchReading reading(Node n) {
    return new BenchReading(
        n.at("value").number(),
        n.at("range").isAbsent() ? Optional.empty() : Optional.of(n.at("range").text()),
        n.at("depressionPa").optionalNumber(),
        n.at("temperatureC").optionalNumber());
  }

  private static Map<PortPlace, Double> places(Node n, String value) {
    Map<PortPlace, Double> places = new EnumMap<>(PortPlace.class);
    n.list(p -> p)
        .forEach(
            p ->
                places.put(
                    p.at("place").oneOf(PortPlace.values(), BenchJson::name),
                    p.at(value).number()));
    return places;
  }

  private static LocalDate date(Node n) {
    try {
      return LocalDate.parse(n.text());
    } catch (DateTimeParseException e) {
      throw n.misfit(Message.of("expected.day"));
    }
  }

  private static <T> Optional<T> optional(Node n, Function<Node, T> reader) {
    return n.isAbsent() ? Optional.empty() : Optional.of(n.build(reader));
  }

  private static String name(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  static ObjectNode write(BenchBook book) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    ArrayNode ranges = n.putArray("ranges");
    for (BenchRange range : book.ranges()) {
      ArrayNode checks = ranges.addObject().put("name", range.name()).putArray("checks");
      range.checks().forEach(c -> checks.add(check(c)));
    }
    ArrayNode tests = n.putArray("tests");
    book.tests().forEach(t -> tests.add(test(t)));
    return n;
  }

  private static ObjectNode check(PlateCheck check) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("date", check.date().toString());
    ObjectNode plate = n.putObject("plate");
    switch (check.plate()) {
      case CheckPlate.Stamped p ->
          plate.put("stampedM3s", p.stampedM3s()).put("atPa", p.atPa()).putNull("boreMm");
      case CheckPlate.Measured p ->
          plate.putNull("stampedM3s").putNull("atPa").put("boreMm", p.boreMm());
    }
    n.put("percent", check.percent());
    n.put("depressionPa", check.depressionPa());
    air(n, check.air());
    return n;
  }

  private static void air(ObjectNode n, Optional<Air> air) {
    if (air.isEmpty()) {
      n.putNull("air");
      return;
    }
    n.putObject("air")
        .put("temperatureC", air.get().temperatureC())
        .put("pressurePa", air.get().pressurePa())
        .put("humidity", air.get().humidity());
  }

  private static ObjectNode test(FlowTest test) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("id", test.id());
    n.put("name", test.name());
    n.put("date", test.date().map(LocalDate::toString).orElse(null));
    n.set("setUp", setUp(test.setUp()));
    air(n, test.air());
    n.put("after", test.after().orElse(null));
    n.put("changed", test.changed());
    n.put("valveIsTheChange", test.valveIsTheChange());
    ArrayNode lifts = n.putArray("lifts");
    test.lifts().forEach(l -> lifts.add(lift(l)));
    ArrayNode predicted = n.putArray("predicted");
    test.predicted()
        .forEach(
            p ->
                predicted
                    .addObject()
                    .put("liftMm", p.liftMm())
                    .put("flowM3s", p.flowM3s())
                    .put("spread", p.spread()));
    ArrayNode pictures = n.putArray("pictures");
    test.pictures()
        .forEach(p -> pictures.addObject().put("file", p.file()).put("words", p.words()));
    n.put("remarks", test.remarks());
    return n;
  }

  private static ObjectNode setUp(SetUp setUp) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("bench", setUp.bench());
    n.put("seat", setUp.seat());
    n.put("direction", name(setUp.direction()));
    n.putObject("state")
        .put("kind", name(setUp.state().kind()))
        .put("operations", setUp.state().operations());
    ObjectNode valve = n.putObject("valve");
    valve.put("headDiameterMm", setUp.valve().headDiameterMm());
    valve.put("name", setUp.valve().name());
    if (setUp.valve().shape().isPresent()) {
      valve.set("shape", JobWriter.valve(setUp.valve().shape().get()));
    } else {
      valve.putNull("shape");
    }
    JobWriter.optional(n, "boreMm", setUp.boreMm());
    ObjectNode inlet = n.putObject("inlet").put("kind", name(setUp.inlet().kind()));
    JobWriter.optional(inlet, "radiusMm", setUp.inlet().radiusMm());
    if (setUp.pipe().isPresent()) {
      n.putObject("pipe")
          .put("diameterMm", setUp.pipe().get().diameterMm())
          .put("lengthMm", setUp.pipe().get().lengthMm());
    } else {
      n.putNull("pipe");
    }
    JobWriter.optional(n, "depressionPa", setUp.depressionPa());
    JobWriter.optional(n, "leakageM3s", setUp.leakageM3s());
    return n;
  }

  /** A lift as JSON, as the job file and the journal of a bench run have it. */
  static ObjectNode lift(LiftReadings lift) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("liftMm", lift.liftMm());
    ArrayNode readings = n.putArray("readings");
    lift.readings().forEach(r -> readings.add(reading(r)));
    n.put("noisy", lift.noisy());
    JobWriter.optional(n, "swirlRpm", lift.swirlRpm());
    places(n.putArray("speeds"), "speedMs", lift.speedsMs());
    places(n.putArray("probe"), "dropM3s", lift.probeDropsM3s());
    n.put("remarks", lift.remarks());
    return n;
  }

  private static ObjectNode reading(BenchReading reading) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    n.put("value", reading.value());
    n.put("range", reading.range().orElse(null));
    JobWriter.optional(n, "depressionPa", reading.depressionPa());
    JobWriter.optional(n, "temperatureC", reading.temperatureC());
    return n;
  }

  private static void places(ArrayNode list, String value, Map<PortPlace, Double> places) {
    for (PortPlace place : PortPlace.values()) {
      if (places.containsKey(place)) {
        list.addObject().put("place", name(place)).put(value, places.get(place));
      }
    }
  }
}
