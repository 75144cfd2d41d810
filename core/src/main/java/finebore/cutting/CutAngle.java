package finebore.cutting;

import finebore.code.Coded;
import finebore.quantity.Quantity;
import finebore.seat.Cut;
import java.util.List;

/**
 * Cuts one angle.
 *
 * @param tool stone or blade
 * @param angleDeg its angle
 * @param edgeDiameterMm the diameter its chamber-side edge is set to
 * @param plunge how far; as planned stops where the edge meets the wall
 */
public record CutAngle(SingleTool tool, double angleDeg, double edgeDiameterMm, Plunge plunge)
    implements Operation {

  /** What makes a single cut. */
  public enum SingleTool implements Coded {
    STONE("stone"),
    BLADE("blade");

    private final String key;

    SingleTool(String key) {
      this.key = key;
    }

    public String key() {
      return key;
    }

    @Override
    public String code() {
      return "tool." + key;
    }
  }

  /** A single cut that the wanted seat does not have counts as clean from this width on, mm. */
  private static final double NARROW_MM = 0.5;

  /** A 45 degree stone of a usual size. */
  public static final CutAngle USUAL =
      new CutAngle(SingleTool.STONE, 45, 40, new Plunge.UntilClean(0, false));

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          new OperationSetting.Choice<>(
              CutAngle.class,
              "tool",
              List.of(SingleTool.values()),
              CutAngle::tool,
              (o, tool) -> new CutAngle(tool, o.angleDeg, o.edgeDiameterMm, o.plunge)),
          OperationSetting.number(
              CutAngle.class,
              "angleDeg",
              Quantity.SINGLE_CUT_ANGLE,
              CutAngle::angleDeg,
              (o, deg) -> new CutAngle(o.tool, deg, o.edgeDiameterMm, o.plunge)),
          OperationSetting.number(
              CutAngle.class,
              "edgeDiameterMm",
              Quantity.SINGLE_CUT_EDGE,
              CutAngle::edgeDiameterMm,
              (o, mm) -> new CutAngle(o.tool, o.angleDeg, mm, o.plunge)),
          new OperationSetting.Depth<>(
              CutAngle.class,
              CutAngle::plunge,
              (o, plunge) -> new CutAngle(o.tool, o.angleDeg, o.edgeDiameterMm, plunge)));

  public CutAngle {
    Quantity.SINGLE_CUT_ANGLE.check(angleDeg);
    Quantity.SINGLE_CUT_EDGE.check(edgeDiameterMm);
  }

  @Override
  public String key() {
    return "cutAngle";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public CutAngle set(SettingValues v) {
    return new CutAngle(
        v.choice("tool", SingleTool.class),
        v.number("angleDeg"),
        v.number("edgeDiameterMm"),
        v.plunge());
  }

  /** A stone or blade: its cone runs on inward as far as there is metal. */
  @Override
  public void carryOut(Workpiece on) {
    double r = edgeDiameterMm / 2;
    double slope = Math.tan(Math.toRadians(angleDeg));
    double reach = Math.max(0.5, r - 1);
    Cut whole = new Cut(angleDeg, Math.min(50, reach / Math.cos(Math.atan(slope))));
    Form form = Form.of(List.of(whole), 0, edgeDiameterMm);
    Form band = Form.of(List.of(whole.withWidth(bandMm(on))), 0, edgeDiameterMm);
    CleanUp clean = CleanUp.of(band, on.walls());
    double planned = on.plannedMm(angleDeg, r).orElseGet(() -> -Workpiece.topAt(on.wall(), r));
    double depth = on.depth(plunge, clean, planned);
    // Its cone runs on; what is asked of it is the plan's cut.
    on.cut(
        Workpiece.Stroke.of(this, depth)
            .with(clean)
            .with(List.of(whole.withWidth(Math.min(whole.widthMm(), bandMm(on))))),
        Tool.plunged(form.at(depth), on.surfaces(List.of(whole))));
  }

  /** How wide a single cut must show to count as clean: as the wanted seat has it. */
  private double bandMm(Workpiece on) {
    return on.wanted().cuts().stream()
        .filter(c -> Math.abs(c.angleDeg() - angleDeg) < LeftSeat.SAME_ANGLE_DEG)
        .mapToDouble(Cut::widthMm)
        .findFirst()
        .orElse(NARROW_MM);
  }
}
