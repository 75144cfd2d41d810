package finebore.bench;

import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.SetUp.Inlet;
import finebore.bench.SetUp.TestedValve;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;

/** The numbers of a flow test that a user sets, each declared once. */
public final class TestFigures {

  /** What stood on the bench. */
  public static final List<Setting<FlowTest>> SET_UP =
      List.of(
          Setting.number(
              "testedValveMm",
              "figure.testedValveMm",
              Quantity.TESTED_VALVE,
              t -> t.setUp().valve().headDiameterMm(),
              (t, mm) -> t.withSetUp(t.setUp().withValve(valve(t.setUp().valve(), mm)))),
          setUp("fixtureBoreMm", Quantity.FIXTURE_BORE, SetUp::boreMm, SetUp::withBoreMm),
          setUp(
              "inletRadiusMm",
              Quantity.INLET_RADIUS,
              s -> s.inlet().radiusMm(),
              (s, mm) -> s.withInlet(new Inlet(s.inlet().kind(), mm))),
          setUp(
              "testDepressionPa",
              Quantity.DEPRESSION,
              SetUp::depressionPa,
              SetUp::withDepressionPa),
          setUp("leakageM3s", Quantity.LEAKAGE, SetUp::leakageM3s, SetUp::withLeakageM3s));

  /** The air of the room. */
  public static final List<Setting<FlowTest>> AIR =
      List.of(
          air(
              "temperatureC",
              Quantity.AIR_TEMPERATURE,
              Air::temperatureC,
              (a, c) -> new Air(Quantity.AIR_TEMPERATURE.check(c), a.pressurePa(), a.humidity())),
          air(
              "roomPressurePa",
              Quantity.AIR_PRESSURE,
              Air::pressurePa,
              (a, pa) -> new Air(a.temperatureC(), Quantity.AIR_PRESSURE.check(pa), a.humidity())),
          air(
              "humidity",
              Quantity.HUMIDITY,
              Air::humidity,
              (a, share) ->
                  new Air(a.temperatureC(), a.pressurePa(), Quantity.HUMIDITY.check(share))));

  /** How the charge turned at a lift. */
  public static final Setting<LiftReadings> SWIRL =
      Setting.optional(
          "swirlRpm",
          "figure.swirlRpm",
          Quantity.SWIRL,
          LiftReadings::swirlRpm,
          LiftReadings::withSwirl);

  private TestFigures() {}

  /** Speed of the air at a place of the port. */
  public static Setting<LiftReadings> speed(PortPlace place) {
    return Setting.optional(
        "speed-" + place.key(),
        "figure.speed",
        Quantity.AIR_SPEED,
        l -> present(l.speedsMs().get(place)),
        (l, value) -> l.withSpeed(place, value));
  }

  /** What a ball held at a place of the port takes from the flow. */
  public static Setting<LiftReadings> probeDrop(PortPlace place) {
    return Setting.optional(
        "drop-" + place.key(),
        "figure.probeDrop",
        Quantity.PROBE_DROP,
        l -> present(l.probeDropsM3s().get(place)),
        (l, value) -> l.withProbeDrop(place, value));
  }

  private static OptionalDouble present(Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** Another head is another valve: what was known of its shape holds no more. */
  private static TestedValve valve(TestedValve before, double headMm) {
    return new TestedValve(headMm, before.name());
  }

  private static Setting<FlowTest> setUp(
      String id,
      Quantity quantity,
      java.util.function.Function<SetUp, OptionalDouble> get,
      BiFunction<SetUp, OptionalDouble, SetUp> with) {
    return Setting.optional(
        id,
        "figure." + id,
        quantity,
        t -> get.apply(t.setUp()),
        (t, value) -> t.withSetUp(with.apply(t.setUp(), value)));
  }

  /** Where one of the three is typed first, the others begin at a usual room's. */
  private static Setting<FlowTest> air(
      String id, Quantity quantity, ToDoubleFunction<Air> get, BiFunction<Air, Double, Air> with) {
    return Setting.optional(
        id,
        "figure." + id,
        quantity,
        t ->
            t.air().isPresent()
                ? OptionalDouble.of(get.applyAsDouble(t.air().get()))
                : OptionalDouble.empty(),
        (t, value) ->
            t.withAir(
                value.isEmpty()
                    ? Optional.empty()
                    : Optional.of(with.apply(t.air().orElse(Air.USUAL), value.getAsDouble()))));
  }
}
