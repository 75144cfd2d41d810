package finebore.cutting;

import finebore.quantity.Quantity;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Opens the throat with a throat cutter.
 *
 * @param diameterMm diameter at its end; open: the wanted throat
 * @param taperDeg how far its side leans out toward the chamber, from the guide axis
 * @param depthMm depth of its end below the head face; open: through the found and the wanted
 *     throat
 */
public record OpenThroat(OptionalDouble diameterMm, double taperDeg, OptionalDouble depthMm)
    implements Operation {

  /** To the wanted throat, upright. */
  public static final OpenThroat AS_WANTED =
      new OpenThroat(OptionalDouble.empty(), 0, OptionalDouble.empty());

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          OperationSetting.open(
              OpenThroat.class,
              "throatMm",
              Quantity.THROAT_CUTTER,
              OpenThroat::diameterMm,
              (o, mm) -> new OpenThroat(mm, o.taperDeg, o.depthMm),
              seat -> OptionalDouble.of(seat.throatDiameterMm())),
          OperationSetting.number(
              OpenThroat.class,
              "taperDeg",
              Quantity.THROAT_TAPER,
              OpenThroat::taperDeg,
              (o, deg) -> new OpenThroat(o.diameterMm, deg, o.depthMm)),
          OperationSetting.open(
              OpenThroat.class,
              "throatEndMm",
              Quantity.THROAT_CUT_DEPTH,
              OpenThroat::depthMm,
              (o, mm) -> new OpenThroat(o.diameterMm, o.taperDeg, mm),
              seat -> OptionalDouble.empty()));

  public OpenThroat {
    Quantity.THROAT_CUTTER.check(diameterMm);
    Quantity.THROAT_TAPER.check(taperDeg);
    Quantity.THROAT_CUT_DEPTH.check(depthMm);
  }

  @Override
  public String key() {
    return "openThroat";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public OpenThroat set(SettingValues v) {
    return new OpenThroat(v.open("throatMm"), v.number("taperDeg"), v.open("throatEndMm"));
  }

  @Override
  public void carryOut(Workpiece on) {
    double end = depthMm.orElseGet(on::throughThroatMm);
    double diameter = diameterMm.orElse(on.wanted().throatDiameterMm());
    on.cut(this, end, Tool.tapered(diameter, taperDeg, -end, Surface.of(Trace.THROAT)));
  }
}
