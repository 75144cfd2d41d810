package finebore.cutting;

import finebore.code.Coded;
import finebore.quantity.Quantity;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Surface.Trace;
import java.util.ArrayList;
import java.util.List;

/**
 * Rounds the corners on one side of the seat by hand.
 *
 * @param side which side
 * @param keepOffMm how far it stays from the sealing face
 * @param radiusMm radius of the roll
 */
public record Blend(Side side, double keepOffMm, double radiusMm) implements Operation {

  /** Which side of the seat. */
  public enum Side implements Coded {
    PORT("port", Trace.BLEND_BELOW),
    CHAMBER("chamber", Trace.BLEND_ABOVE);

    private final String key;
    private final Trace trace;

    Side(String key, Trace trace) {
      this.key = key;
      this.trace = trace;
    }

    public String key() {
      return key;
    }

    @Override
    public String code() {
      return "side." + key;
    }
  }

  /** A line is scribed about this far from the face, mm; common practice, no source. */
  public static final double USUAL_KEEP_OFF_MM = 0.75;

  /** A usual blend below the seat. */
  public static final Blend PORT_SIDE = new Blend(Side.PORT, USUAL_KEEP_OFF_MM, 1.5);

  /** A usual blend above the seat. */
  public static final Blend CHAMBER_SIDE = new Blend(Side.CHAMBER, 0.3, 1);

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          new OperationSetting.Choice<>(
              Blend.class,
              "side",
              List.of(Side.values()),
              Blend::side,
              (o, side) -> new Blend(side, o.keepOffMm, o.radiusMm)),
          OperationSetting.number(
              Blend.class,
              "keepOffMm",
              Quantity.KEEP_OFF,
              Blend::keepOffMm,
              (o, mm) -> new Blend(o.side, mm, o.radiusMm)),
          OperationSetting.number(
              Blend.class,
              "blendRadiusMm",
              Quantity.BLEND_RADIUS,
              Blend::radiusMm,
              (o, mm) -> new Blend(o.side, o.keepOffMm, mm)));

  public Blend {
    Quantity.KEEP_OFF.check(keepOffMm);
    Quantity.BLEND_RADIUS.check(radiusMm);
  }

  @Override
  public String key() {
    return "blend";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public Blend set(SettingValues v) {
    return new Blend(
        v.choice("side", Side.class), v.number("keepOffMm"), v.number("blendRadiusMm"));
  }

  @Override
  public void carryOut(Workpiece on) {
    Profile edge =
        new Profile(List.of(new Point(0, 500), new Point(1, 500)), List.of(Surface.of(side.trace)));
    // By hand, to what is there: a blend decides no depth, so the mean stands for all sides.
    on.shape(
        Workpiece.Stroke.byHand(this),
        (metal, isMean) -> {
          if (!isMean) {
            return metal;
          }
          Region whole = metal.region();
          Region gone = whole.and(band(on, metal.wall())).minus(whole.opened(radiusMm));
          return gone.isEmpty()
              ? metal
              : metal.rebuilt(whole.minus(gone), edge, on.stepNumber(), metal.ring());
        });
  }

  /** Where a blend may work: on its side of the sealing face, as far off as is kept. */
  private Region band(Workpiece on, Profile wall) {
    int sealing = on.sealingCut();
    List<Integer> stretches = new ArrayList<>();
    for (int k = 0; k < wall.segmentCount(); k++) {
      Surface surface = wall.surfaces().get(k);
      if (surface.part() == Part.CUT && surface.index() == sealing) {
        stretches.add(k);
      }
    }
    if (stretches.isEmpty()) {
      return Region.EMPTY;
    }
    Point outer = wall.start(stretches.getFirst());
    Point inner = wall.end(stretches.getLast());
    double far = wall.points().getFirst().r();
    double bottom = wall.points().getLast().z();
    return side == Side.PORT
        ? Region.box(0, far - 2 * radiusMm, bottom + 2 * radiusMm, inner.z() - keepOffMm)
        : Region.box(outer.r() + keepOffMm, far - 2 * radiusMm, outer.z() - 2, 100);
  }
}
