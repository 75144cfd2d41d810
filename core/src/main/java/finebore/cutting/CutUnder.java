package finebore.cutting;

import finebore.quantity.Quantity;
import finebore.seat.Cut;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Cuts under the seat by hand or with a radius tool.
 *
 * @param leanDeg how far its wall leans in from the guide axis at its end
 * @param fromDiameterMm where it begins; open: the inner edge of the last cut
 * @param heightMm how far down
 * @param radiusMm radius it comes in with; empty is straight
 */
public record CutUnder(
    double leanDeg, OptionalDouble fromDiameterMm, double heightMm, OptionalDouble radiusMm)
    implements Operation {

  /** More than this only eats the wall; common practice, no source. */
  public static final double MOST_LEAN_DEG = 15;

  /** What most lean it by; common practice, no source. */
  public static final double USUAL_LEAN_DEG = 12.5;

  /** A straight cut of a usual lean and height. */
  public static final CutUnder USUAL =
      new CutUnder(USUAL_LEAN_DEG, OptionalDouble.empty(), 4, OptionalDouble.empty());

  /** Its radius is cut as chords that turn by no more than this, degrees. */
  private static final double CHORD_DEG = 5;

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          OperationSetting.number(
              CutUnder.class,
              "leanDeg",
              Quantity.UNDERCUT_LEAN,
              CutUnder::leanDeg,
              (o, deg) -> new CutUnder(deg, o.fromDiameterMm, o.heightMm, o.radiusMm)),
          OperationSetting.open(
              CutUnder.class,
              "fromDiameterMm",
              Quantity.UNDERCUT_START,
              CutUnder::fromDiameterMm,
              (o, mm) -> new CutUnder(o.leanDeg, mm, o.heightMm, o.radiusMm),
              seat -> OptionalDouble.empty()),
          OperationSetting.number(
              CutUnder.class,
              "heightMm",
              Quantity.UNDERCUT_HEIGHT,
              CutUnder::heightMm,
              (o, mm) -> new CutUnder(o.leanDeg, o.fromDiameterMm, mm, o.radiusMm)),
          OperationSetting.open(
              CutUnder.class,
              "radiusMm",
              Quantity.UNDERCUT_RADIUS,
              CutUnder::radiusMm,
              (o, mm) -> new CutUnder(o.leanDeg, o.fromDiameterMm, o.heightMm, mm),
              seat -> OptionalDouble.empty()));

  public CutUnder {
    Quantity.UNDERCUT_LEAN.check(leanDeg);
    Quantity.UNDERCUT_START.check(fromDiameterMm);
    Quantity.UNDERCUT_HEIGHT.check(heightMm);
    Quantity.UNDERCUT_RADIUS.check(radiusMm);
  }

  @Override
  public String key() {
    return "cutUnder";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public CutUnder set(SettingValues v) {
    return new CutUnder(
        v.number("leanDeg"), v.open("fromDiameterMm"), v.number("heightMm"), v.open("radiusMm"));
  }

  @Override
  public void carryOut(Workpiece on) {
    Profile wall = on.wall();
    double r = fromDiameterMm.orElseGet(() -> 2 * lastCutEnd(wall).r()) / 2;
    double z = Workpiece.topAt(wall, r);
    List<Cut> cuts = cuts(on.wanted().cuts().getLast().angleDeg());
    Form form = Form.of(cuts, 0, 2 * r);
    on.cut(Workpiece.Stroke.of(this, -z).with(cuts), Tool.plunged(form.at(-z), on.surfaces(cuts)));
  }

  /** The radius as chords, then what is straight. */
  private List<Cut> cuts(double lastAngleDeg) {
    double lean = Math.toRadians(leanDeg);
    List<Cut> cuts = new ArrayList<>();
    double left = heightMm;
    if (radiusMm.orElse(0) > 0) {
      double from = Math.toRadians(90 - lastAngleDeg);
      int chords = Math.max(1, (int) Math.ceil(Math.toDegrees(from - lean) / CHORD_DEG));
      for (int k = 0; k < chords && from > lean && left > 1e-9; k++) {
        double turn = (from - lean) / chords;
        double leans = from - (k + 0.5) * turn;
        double width = 2 * radiusMm.getAsDouble() * Math.sin(turn / 2);
        width = Math.min(width, left / Math.cos(leans));
        cuts.add(new Cut(90 - Math.toDegrees(leans), width));
        left -= width * Math.cos(leans);
      }
    }
    if (left > 1e-9) {
      cuts.add(new Cut(90 - leanDeg, left / Math.cos(lean)));
    }
    return cuts;
  }

  private static Point lastCutEnd(Profile wall) {
    for (int k = wall.segmentCount() - 1; k >= 0; k--) {
      if (wall.surfaces().get(k).part() == Part.CUT) {
        return wall.end(k);
      }
    }
    return wall.points().get(wall.segmentCount() - 1);
  }
}
