package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.found.Ring;
import finebore.quantity.Quantity;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;

/**
 * Counterbores for a new insert ring and presses it in: the one operation that adds metal.
 *
 * @param ring the new ring; its press fit is taken up by the bore
 */
public record FitRing(Ring ring) implements Operation {

  /** A ring of a usual size, to begin with. */
  public static final FitRing USUAL = new FitRing(new Ring(44, 36, 14, 8, 0.1, ""));

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          number(
              "ringOutsideMm",
              Quantity.RING_OUTSIDE,
              Ring::outsideDiameterMm,
              Ring::withOutsideDiameterMm),
          number(
              "ringBoreMm", Quantity.RING_BORE, Ring::insideDiameterMm, Ring::withInsideDiameterMm),
          number("ringFloorMm", Quantity.RING_FLOOR, Ring::floorMm, Ring::withFloorMm),
          number("ringHeightMm", Quantity.RING_HEIGHT, Ring::heightMm, Ring::withHeightMm),
          number("ringFitMm", Quantity.RING_FIT, Ring::fitMm, Ring::withFitMm),
          new OperationSetting.Text<>(
              FitRing.class,
              "ringMaterial",
              o -> o.ring.material(),
              (o, material) -> new FitRing(o.ring.withMaterial(material))));

  private static OperationSetting<FitRing> number(
      String id,
      Quantity quantity,
      ToDoubleFunction<Ring> get,
      BiFunction<Ring, Double, Ring> with) {
    return OperationSetting.number(
        FitRing.class,
        id,
        quantity,
        o -> get.applyAsDouble(o.ring),
        (o, mm) -> new FitRing(with.apply(o.ring, mm)));
  }

  @Override
  public String key() {
    return "fitRing";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public FitRing set(SettingValues v) {
    return new FitRing(
        new Ring(
            v.number("ringOutsideMm"),
            v.number("ringBoreMm"),
            v.number("ringFloorMm"),
            v.number("ringHeightMm"),
            v.number("ringFitMm"),
            v.typed("ringMaterial")));
  }

  @Override
  public void carryOut(Workpiece on) {
    double far = 2 * on.wall().points().getFirst().r();
    if (ring.outsideDiameterMm() >= far) {
      throw RuleViolation.of("ringWithinHead")
          .with("most", Term.length(far))
          .with("value", Term.length(ring.outsideDiameterMm()));
    }
    Surface side = Surface.of(Trace.COUNTERBORE);
    Tool bore = Tool.tapered(ring.outsideDiameterMm(), 0, ring.floorZ(), side);
    double inR = ring.insideDiameterMm() / 2;
    double outR = ring.outsideDiameterMm() / 2;
    double topZ = ring.floorZ() + ring.heightMm();
    Profile edge =
        new Profile(
            List.of(
                new Point(outR, 500),
                new Point(outR, topZ),
                new Point(inR, topZ),
                new Point(inR, ring.floorZ()),
                new Point(0, ring.floorZ())),
            List.of(
                side,
                Surface.of(Trace.RING_TOP),
                Surface.of(Trace.RING_BORE),
                Surface.of(Trace.COUNTERBORE_FLOOR)));
    on.shape(
        Workpiece.Stroke.of(this, ring.floorMm()),
        (metal, isMean) -> {
          Region area = metal.region().minus(bore.area()).plus(ring.blank());
          return metal.rebuilt(area, edge, on.stepNumber(), Optional.of(ring));
        });
  }

  /** Diameter of the bore that the ring is pressed into, mm. */
  public double counterboreMm() {
    return ring.outsideDiameterMm() - ring.fitMm();
  }
}
