package finebore.job;

import finebore.flow.Bands;
import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.seat.Bowl;
import finebore.seat.Seat;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** The numbers of a job that a user sets, in the order of the hand; each declared once. */
public final class Figures {

  /** Of a seat and its throat and bowl; its cuts are a list of their own. */
  public static final List<Setting<Pairing>> SEAT =
      List.of(
          seat(
              "seatOutsideMm",
              Quantity.SEAT_OUTSIDE,
              Seat::outsideDiameterMm,
              Seat::withOutsideDiameterMm),
          seat("seatDepthMm", Quantity.SEAT_DEPTH, Seat::depthMm, Seat::withDepthMm),
          seat("throatMm", Quantity.THROAT, Seat::throatDiameterMm, Seat::withThroatDiameter),
          seat(
              "throatLengthMm",
              Quantity.THROAT_LENGTH,
              Seat::throatLengthMm,
              Seat::withThroatLength),
          seat(
              "bowlMm",
              Quantity.BOWL,
              Seat::bowlDiameterMm,
              (s, mm) -> s.withBowl(new Bowl(mm, s.bowlDepthMm()))),
          seat(
              "bowlDepthMm",
              Quantity.BOWL_DEPTH,
              Seat::bowlDepthMm,
              (s, mm) -> s.withBowl(new Bowl(s.bowlDiameterMm(), mm))),
          seat("roofAngleDeg", Quantity.ROOF_ANGLE, Seat::roofAngleDeg, Seat::withRoofAngleDeg));

  /** Of a valve's head and stem; its back cuts are a list of their own. */
  public static final List<Setting<Pairing>> VALVE =
      List.of(
          valve(
              "valveHeadMm", Quantity.VALVE_HEAD, Valve::headDiameterMm, Valve::withHeadDiameterMm),
          valve("marginMm", Quantity.MARGIN, Valve::marginMm, Valve::withMarginMm),
          valve("faceAngleDeg", Quantity.FACE_ANGLE, Valve::faceAngleDeg, Valve::withFaceAngleDeg),
          valve("faceWidthMm", Quantity.FACE_WIDTH, Valve::faceWidthMm, Valve::withFaceWidthMm),
          valve("stemMm", Quantity.STEM, Valve::stemDiameterMm, Valve::withStemDiameterMm),
          valve(
              "edgeRadiusMm",
              Quantity.MARGIN_EDGE_RADIUS,
              Valve::edgeRadiusMm,
              Valve::withEdgeRadiusMm));

  /** Of a valve's underhead. */
  public static final List<Setting<Pairing>> UNDERHEAD =
      List.of(
          valve(
              "underheadAngleDeg",
              Quantity.UNDERHEAD_ANGLE,
              v -> v.underhead().angleDeg(),
              (v, deg) -> v.withUnderhead(new Underhead(deg, v.underhead().filletRadiusMm()))),
          valve(
              "underheadRadiusMm",
              Quantity.UNDERHEAD_RADIUS,
              v -> v.underhead().filletRadiusMm(),
              (v, mm) -> v.withUnderhead(new Underhead(v.underhead().angleDeg(), mm))));

  /** Of the engine. */
  public static final List<Setting<Engine>> ENGINE =
      List.of(
          engine(
              "cylinders",
              Quantity.CYLINDERS,
              Engine::cylinders,
              (e, n) -> e.withCylinders(n.intValue())),
          engine(
              "intakesPerCylinder",
              Quantity.INTAKES_PER_CYLINDER,
              Engine::intakesPerCylinder,
              (e, n) -> e.withIntakesPerCylinder(n.intValue())),
          engine(
              "exhaustsPerCylinder",
              Quantity.EXHAUSTS_PER_CYLINDER,
              Engine::exhaustsPerCylinder,
              (e, n) -> e.withExhaustsPerCylinder(n.intValue())),
          engine("rpm", Quantity.ENGINE_SPEED, Engine::rpm, Engine::withRpm),
          engine("boreMm", Quantity.BORE, Engine::boreMm, Engine::withBoreMm),
          engine("strokeMm", Quantity.STROKE, Engine::strokeMm, Engine::withStrokeMm),
          Setting.optional(
              "targetHp",
              "figure.targetHp",
              Quantity.TARGET_POWER,
              Engine::targetHp,
              Engine::withTargetHp),
          Setting.optional(
              "valveSpacingMm",
              "figure.valveSpacingMm",
              Quantity.VALVE_SPACING,
              Engine::valveSpacingMm,
              Engine::withValveSpacingMm));

  /** Of what carries the piston past the valves. */
  public static final List<Setting<Engine>> PISTONS =
      List.of(
          pistons("rodMm", Quantity.ROD, Pistons::rodMm, Pistons::withRodMm),
          pistons("deckMm", Quantity.DECK, Pistons::deckMm, Pistons::withDeckMm),
          pistons("gasketMm", Quantity.GASKET, Pistons::gasketMm, Pistons::withGasketMm));

  /** Of the way flow is looked at. */
  public static final List<Setting<TestPlan>> TEST =
      List.of(
          test(
              "depressionPa",
              Quantity.DEPRESSION,
              TestPlan::depressionPa,
              TestPlan::withDepressionPa),
          test(
              "lowTo",
              Quantity.BAND_LIMIT,
              t -> t.bands().lowTo(),
              (t, n) -> t.withBands(new Bands(n, t.bands().midTo()))),
          test(
              "midTo",
              Quantity.BAND_LIMIT,
              t -> t.bands().midTo(),
              (t, n) -> t.withBands(new Bands(t.bands().lowTo(), n))));

  /** Of where things lie in the head. */
  public static final List<Setting<HeadLayout>> LAYOUT =
      List.of(
          layout(
              "cylindersPerHead",
              Quantity.CYLINDERS_PER_HEAD,
              HeadLayout::cylindersPerHead,
              (l, n) -> l.withCylindersPerHead(n.intValue())),
          layout(
              "boreSpacingMm",
              Quantity.BORE_SPACING,
              HeadLayout::boreSpacingMm,
              HeadLayout::withBoreSpacingMm),
          layout(
              "fireRingMm", Quantity.FIRE_RING, HeadLayout::fireRingMm, HeadLayout::withFireRingMm),
          layout(
              "valveLineDeg",
              Quantity.VALVE_LINE,
              HeadLayout::valveLineDeg,
              HeadLayout::withValveLineDeg),
          layout("plugXMm", Quantity.PLUG_ALONG, HeadLayout::plugXMm, HeadLayout::withPlugXMm),
          layout("plugYMm", Quantity.PLUG_ACROSS, HeadLayout::plugYMm, HeadLayout::withPlugYMm),
          layout("plugMm", Quantity.PLUG_THREAD, HeadLayout::plugMm, HeadLayout::withPlugMm),
          layout(
              "intakeTiltDeg",
              Quantity.INTAKE_LEAN,
              HeadLayout::intakeTiltDeg,
              HeadLayout::withIntakeTiltDeg),
          layout(
              "exhaustTiltDeg",
              Quantity.EXHAUST_LEAN,
              HeadLayout::exhaustTiltDeg,
              HeadLayout::withExhaustTiltDeg),
          layout(
              "intakeCantDeg",
              Quantity.INTAKE_CANT,
              HeadLayout::intakeCantDeg,
              HeadLayout::withIntakeCantDeg),
          layout(
              "exhaustCantDeg",
              Quantity.EXHAUST_CANT,
              HeadLayout::exhaustCantDeg,
              HeadLayout::withExhaustCantDeg));

  private Figures() {}

  private static Setting<Pairing> seat(
      String id,
      Quantity quantity,
      ToDoubleFunction<Seat> get,
      BiFunction<Seat, Double, Seat> with) {
    return Setting.number(
        id,
        "figure." + id,
        quantity,
        p -> get.applyAsDouble(p.seat()),
        (p, value) -> p.withSeat(with.apply(p.seat(), value)));
  }

  private static Setting<Pairing> valve(
      String id,
      Quantity quantity,
      ToDoubleFunction<Valve> get,
      BiFunction<Valve, Double, Valve> with) {
    return Setting.number(
        id,
        "figure." + id,
        quantity,
        p -> get.applyAsDouble(p.valve()),
        (p, value) -> p.withValve(with.apply(p.valve(), value)));
  }

  private static Setting<Engine> engine(
      String id,
      Quantity quantity,
      ToDoubleFunction<Engine> get,
      BiFunction<Engine, Double, Engine> with) {
    return Setting.number(id, "figure." + id, quantity, get, with);
  }

  private static Setting<Engine> pistons(
      String id,
      Quantity quantity,
      Function<Pistons, OptionalDouble> get,
      BiFunction<Pistons, OptionalDouble, Pistons> with) {
    return Setting.optional(
        id,
        "figure." + id,
        quantity,
        e -> get.apply(e.pistons()),
        (e, value) -> e.withPistons(with.apply(e.pistons(), value)));
  }

  private static Setting<TestPlan> test(
      String id,
      Quantity quantity,
      ToDoubleFunction<TestPlan> get,
      BiFunction<TestPlan, Double, TestPlan> with) {
    return Setting.number(id, "figure." + id, quantity, get, with);
  }

  private static Setting<HeadLayout> layout(
      String id,
      Quantity quantity,
      ToDoubleFunction<HeadLayout> get,
      BiFunction<HeadLayout, Double, HeadLayout> with) {
    return Setting.number(id, "figure." + id, quantity, get, with);
  }
}
