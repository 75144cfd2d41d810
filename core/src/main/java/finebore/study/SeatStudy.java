package finebore.study;

import finebore.cutting.Seating;
import finebore.flow.Calibration;
import finebore.flow.FlowCurve;
import finebore.flow.Losses;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.room.WallShare;
import finebore.seat.SeatSection;
import finebore.section.Profile;
import finebore.valve.Pairing;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything that follows from one valve on one seat: contact, readings and flow. It knows of no
 * job.
 *
 * @param fit the valve on the seat
 * @param readings what can be read off, in the order of {@link ReadingKind}
 * @param setting what flow was worked out with
 * @param curve flow at the setting's lifts; empty when the valve falls through
 */
public record SeatStudy(
    SeatFit fit, List<Reading> readings, FlowSetting setting, Optional<FlowCurve> curve) {

  public SeatStudy {
    readings = readings.stream().sorted(Comparator.comparing(Reading::kind)).toList();
  }

  /** Every reading that follows from a valve on a seat alone. */
  public static List<Reading> readingsOf(SeatFit fit) {
    return AllSeatReadings.of(fit);
  }

  /** Studies a valve on a seat, with what can be read off the two alone. */
  public static SeatStudy of(SeatFit fit, FlowSetting setting) {
    return new SeatStudy(fit, AllSeatReadings.of(fit), setting, fit.curve(setting));
  }

  /** With further readings. */
  public SeatStudy with(List<Reading> more) {
    List<Reading> all = new ArrayList<>(readings);
    all.addAll(more);
    return new SeatStudy(fit, all, setting, curve);
  }

  public Pairing pairing() {
    return fit.pairing();
  }

  public SeatSection seat() {
    return fit.seat();
  }

  public ValveSection valve() {
    return fit.valve();
  }

  public Seating seating() {
    return fit.seating();
  }

  public Optional<Seating.Seated> seated() {
    return fit.seated();
  }

  public Calibration calibration() {
    return setting.calibration();
  }

  /** A reading, if there is one of that kind. */
  public OptionalDouble reading(ReadingKind kind) {
    return Reading.of(readings, kind);
  }

  /** The valve's wall lifted off its seat. */
  public Profile valveAt(double liftMm) {
    return fit.valveAt(liftMm);
  }

  /** Resistance of the port behind, 1/mm4, as the losses have it. */
  public double portPerMm4() {
    return fit.portPerMm4(setting);
  }

  /** What walls leave of the seat's flow at a lift above 0. */
  public WallShare wallsAt(double liftMm) {
    return fit.wallsAt(liftMm, setting);
  }

  /** The air between valve and seat at a lift above 0, to be solved. */
  public AirQuestion airAt(double liftMm, Turbulence turbulence, Fineness fineness) {
    return new AirQuestion(
        seat().profile(),
        valveAt(liftMm),
        pairing().valve().headDiameterMm() / 2,
        setting.direction(),
        turbulence,
        fineness);
  }

  /** Gate, effective area and losses at any lift above 0, as the curve has them at its lifts. */
  public Losses lossesAt(double liftMm) {
    return fit.lossesAt(liftMm, setting);
  }
}
