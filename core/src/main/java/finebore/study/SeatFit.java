package finebore.study;

import finebore.cutting.Seating;
import finebore.flow.CamLift;
import finebore.flow.EffectiveArea;
import finebore.flow.FlowCurve;
import finebore.flow.Gate;
import finebore.flow.LiftPoint;
import finebore.flow.Losses;
import finebore.flow.Sectors;
import finebore.flow.TestConditions;
import finebore.flow.estimate.Estimate;
import finebore.room.Shroud;
import finebore.room.WallShare;
import finebore.seat.SeatSection;
import finebore.section.Profile;
import finebore.section.Tolerance;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A valve let down on a seat: both in section, and where the one rests on the other.
 *
 * @param pairing seat and valve
 * @param seat the seat's section
 * @param valve the valve's section, at height 0
 * @param seating where the valve rests
 */
public record SeatFit(Pairing pairing, SeatSection seat, ValveSection valve, Seating seating) {

  /** Lets a valve down on a seat as it lies in the metal. */
  public static SeatFit of(SeatSection seat, Valve onIt) {
    ValveSection valve = ValveSection.of(onIt, Tolerance.FINE);
    return new SeatFit(
        new Pairing(seat.seat(), onIt),
        seat,
        valve,
        Seating.of(seat, valve, Seating.INK_FILM_MM, Tolerance.FINE));
  }

  /** The same where the seat has all the metal it asks for. */
  public static SeatFit of(Pairing pairing) {
    return of(SeatSection.of(pairing.seat(), Tolerance.FINE), pairing.valve());
  }

  /** Where the valve rests and touches, if it does. */
  public Optional<Seating.Seated> seated() {
    return seating instanceof Seating.Seated s ? Optional.of(s) : Optional.empty();
  }

  /** Height at which the valve rests, mm; empty when it falls through. */
  public OptionalDouble restMm() {
    return seating instanceof Seating.Seated s
        ? OptionalDouble.of(s.restMm())
        : OptionalDouble.empty();
  }

  /** The valve's wall lifted off its seat. */
  public Profile valveAt(double liftMm) {
    return valve.profile().raised(restMm().orElse(0) + liftMm);
  }

  /** Throat less stem, mm2. */
  public double throatAreaMm2() {
    return throatAreaMm2(pairing.seat().throatDiameterMm(), pairing.valve().stemDiameterMm());
  }

  /** Throat less stem, mm2. */
  public static double throatAreaMm2(double throatMm, double stemMm) {
    double stem = Math.min(stemMm, 0.9 * throatMm);
    return Math.PI / 4 * (throatMm * throatMm - stem * stem);
  }

  /** Gate, effective area and losses at a lift above 0. */
  public Losses lossesAt(double liftMm, FlowSetting setting) {
    return Losses.at(seat.profile(), valveAt(liftMm), lossesIn(setting, liftMm));
  }

  /** Gate and effective area alone at a lift above 0. */
  public EffectiveArea areaAt(double liftMm, FlowSetting setting) {
    EffectiveArea area = Losses.areaAt(seat.profile(), valveAt(liftMm), lossesIn(setting, liftMm));
    return Estimate.knowsLift(liftMm / pairing.valve().headDiameterMm())
        ? area
        : new EffectiveArea(area.gate(), area.mm2(), false);
  }

  /** What seat and valve alone would pass, without the port behind, mm2. */
  public double aloneMm2(EffectiveArea area, FlowSetting setting) {
    return lossesIn(setting, 0).aloneMm2(area);
  }

  /** Resistance of the port behind, 1/mm4. */
  public double portPerMm4(FlowSetting setting) {
    return lossesIn(setting, 0).portPerMm4();
  }

  private Losses.Setting lossesIn(FlowSetting setting, double liftMm) {
    return new Losses.Setting(
        pairing.seat().sealing(),
        setting.portAreaMm2().orElse(throatAreaMm2()),
        setting.direction(),
        Sectors.BENT_PORT,
        setting.calibration(),
        gate -> shroud(gate, liftMm, setting).map(Shroud::share).orElse(1.0));
  }

  /** What the walls round the valve leave of a gate at a lift; empty where none were measured. */
  public Optional<Shroud> shroud(Gate gate, double liftMm, FlowSetting setting) {
    return shroud(gate, liftMm, setting, Shroud.EXPONENT);
  }

  private Optional<Shroud> shroud(Gate gate, double liftMm, FlowSetting setting, double exponent) {
    return setting
        .room()
        .map(
            room ->
                Shroud.of(
                    room,
                    pairing.valve().headDiameterMm() / 2,
                    restMm().orElse(0) + liftMm,
                    gate.areaMm2(),
                    exponent));
  }

  /**
   * What the walls leave of the seat's flow at a lift, 0 to 1, and what they may at the extremes.
   */
  public WallShare wallsAt(double liftMm, FlowSetting setting) {
    if (setting.room().isEmpty()) {
      return WallShare.NONE;
    }
    Gate gate = Gate.between(seat.profile(), valveAt(liftMm));
    return new WallShare(
        shroud(gate, liftMm, setting).orElseThrow().share(),
        Shroud.EXPONENTS.stream()
            .map(e -> shroud(gate, liftMm, setting, e).orElseThrow().share())
            .toList());
  }

  /** Flow at rising lifts; empty when the valve falls through. */
  public Optional<FlowCurve> curve(FlowSetting setting) {
    if (seated().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new FlowCurve(
            points(setting.liftsMm(), setting),
            points(setting.cam().map(CamLift::lifts).orElse(List.of()), setting)));
  }

  private List<LiftPoint> points(List<Double> liftsMm, FlowSetting setting) {
    TestConditions conditions = TestConditions.USUAL.withDepression(setting.depressionPa());
    double head = pairing.valve().headDiameterMm();
    List<LiftPoint> points = new ArrayList<>();
    for (double lift : liftsMm) {
      EffectiveArea area = areaAt(lift, setting);
      points.add(new LiftPoint(lift, area, Math.PI * head * lift, conditions.flow(area.mm2())));
    }
    return points;
  }
}
