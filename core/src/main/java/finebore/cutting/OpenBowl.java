package finebore.cutting;

import finebore.quantity.Quantity;
import finebore.section.Point;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Opens the bowl below the throat.
 *
 * @param diameterMm its diameter; open: the wanted bowl
 * @param depthMm where it has reached that, below the head face; open: the wanted bowl
 */
public record OpenBowl(OptionalDouble diameterMm, OptionalDouble depthMm) implements Operation {

  /** To the wanted bowl. */
  public static final OpenBowl AS_WANTED =
      new OpenBowl(OptionalDouble.empty(), OptionalDouble.empty());

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          OperationSetting.open(
              OpenBowl.class,
              "bowlMm",
              Quantity.OPENED_BOWL,
              OpenBowl::diameterMm,
              (o, mm) -> new OpenBowl(mm, o.depthMm),
              seat -> OptionalDouble.of(seat.bowlDiameterMm())),
          OperationSetting.open(
              OpenBowl.class,
              "reachedMm",
              Quantity.OPENED_BOWL_DEPTH,
              OpenBowl::depthMm,
              (o, mm) -> new OpenBowl(o.diameterMm, mm),
              seat -> OptionalDouble.empty()));

  public OpenBowl {
    Quantity.OPENED_BOWL.check(diameterMm);
    Quantity.OPENED_BOWL_DEPTH.check(depthMm);
  }

  @Override
  public String key() {
    return "openBowl";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public OpenBowl set(SettingValues v) {
    return new OpenBowl(v.open("bowlMm"), v.open("reachedMm"));
  }

  @Override
  public void carryOut(Workpiece on) {
    double diameter = diameterMm.orElse(on.wanted().bowlDiameterMm());
    double throatZ = on.wantedThroatEndZ();
    double depth = depthMm.orElse(on.wanted().depthMm() + on.wanted().bowlDepthMm());
    double endZ = Math.min(-depth, throatZ);
    double bottom = on.wall().points().getLast().z() - 1;
    double throatR = on.wanted().throatDiameterMm() / 2;
    Surface bowl = Surface.of(Trace.BOWL);
    List<Point> edge = new ArrayList<>(List.of(new Point(0, throatZ)));
    List<Surface> names = new ArrayList<>();
    edge.add(new Point(Math.min(throatR, diameter / 2), throatZ));
    names.add(bowl);
    if (edge.getLast().distanceTo(new Point(diameter / 2, endZ)) > 1e-6) {
      edge.add(new Point(diameter / 2, endZ));
      names.add(bowl);
    }
    edge.add(new Point(diameter / 2, bottom));
    names.add(bowl);
    on.cut(this, depth, Tool.closed(edge, names, new Point(0, bottom)));
  }
}
