package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.seat.Seat;
import finebore.section.Point;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Sweeps the chamber over the seat.
 *
 * @param angleDeg rise outward
 * @param reachDiameterMm how far out
 * @param startDiameterMm where it touches the seat; open: the top of the wanted seat's cuts
 */
public record SweepChamber(double angleDeg, double reachDiameterMm, OptionalDouble startDiameterMm)
    implements Operation {

  /** A shallow sweep of a usual reach; common practice, no source. */
  public static final SweepChamber USUAL = new SweepChamber(15, 60, OptionalDouble.empty());

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          OperationSetting.number(
              SweepChamber.class,
              "sweepDeg",
              Quantity.SWEEP_ANGLE,
              SweepChamber::angleDeg,
              (o, deg) -> new SweepChamber(deg, o.reachDiameterMm, o.startDiameterMm)),
          OperationSetting.number(
              SweepChamber.class,
              "reachDiameterMm",
              Quantity.SWEEP_REACH,
              SweepChamber::reachDiameterMm,
              (o, mm) -> new SweepChamber(o.angleDeg, mm, o.startDiameterMm)),
          OperationSetting.open(
              SweepChamber.class,
              "startDiameterMm",
              Quantity.SWEEP_START,
              SweepChamber::startDiameterMm,
              (o, mm) -> new SweepChamber(o.angleDeg, o.reachDiameterMm, mm),
              seat -> OptionalDouble.of(topDiameterMm(seat))));

  public SweepChamber {
    Quantity.SWEEP_ANGLE.check(angleDeg);
    Quantity.SWEEP_REACH.check(reachDiameterMm);
    Quantity.SWEEP_START.check(startDiameterMm);
  }

  @Override
  public String key() {
    return "sweepChamber";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public SweepChamber set(SettingValues v) {
    return new SweepChamber(
        v.number("sweepDeg"), v.number("reachDiameterMm"), v.open("startDiameterMm"));
  }

  private static double topDiameterMm(Seat wanted) {
    Form top = Form.of(wanted.cuts(), wanted.sealing(), wanted.outsideDiameterMm());
    return 2 * top.points().getFirst().r();
  }

  @Override
  public void carryOut(Workpiece on) {
    double startR = startDiameterMm.orElseGet(() -> topDiameterMm(on.wanted())) / 2;
    double reachR = reachDiameterMm / 2;
    if (reachR <= startR) {
      throw RuleViolation.of("sweepReach")
          .with("start", Term.length(2 * startR))
          .with("value", Term.length(2 * reachR));
    }
    // It just touches the seat where it starts, as the seat stands there now.
    double startZ = Workpiece.topAt(on.wall(), startR - 1e-6);
    double rise = (reachR - startR) * Math.tan(Math.toRadians(angleDeg));
    on.cut(
        this,
        -startZ,
        Tool.plunged(
            List.of(new Point(reachR, startZ + rise), new Point(startR, startZ)),
            List.of(Surface.of(Trace.SWEPT_CHAMBER))));
  }
}
