package finebore.cutting;

import finebore.quantity.Quantity;
import finebore.section.Point;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Plunges a form cutter with the cuts of the wanted seat.
 *
 * @param cutter its name in the rack, empty for one ground to the plan
 * @param seatDiameterMm seat outside diameter set by the pointer; open: the wanted seat's
 * @param plunge how far
 */
public record CutForm(String cutter, OptionalDouble seatDiameterMm, Plunge plunge)
    implements Operation {

  /** A cutter ground to the plan, to where the wanted seat lies. */
  public static final CutForm AS_WANTED =
      new CutForm("", OptionalDouble.empty(), new Plunge.AsPlanned());

  private static final List<OperationSetting<?>> SETTINGS =
      List.of(
          new OperationSetting.Text<>(
              CutForm.class,
              "cutter",
              CutForm::cutter,
              (o, name) -> new CutForm(name, o.seatDiameterMm, o.plunge)),
          OperationSetting.open(
              CutForm.class,
              "pointerMm",
              Quantity.POINTER,
              CutForm::seatDiameterMm,
              (o, mm) -> new CutForm(o.cutter, mm, o.plunge),
              seat -> OptionalDouble.of(seat.outsideDiameterMm())),
          new OperationSetting.Depth<>(
              CutForm.class,
              CutForm::plunge,
              (o, plunge) -> new CutForm(o.cutter, o.seatDiameterMm, plunge)));

  public CutForm {
    Quantity.POINTER.check(seatDiameterMm);
  }

  @Override
  public String key() {
    return "cutForm";
  }

  @Override
  public List<OperationSetting<?>> settings() {
    return SETTINGS;
  }

  @Override
  public CutForm set(SettingValues v) {
    return new CutForm(v.typed("cutter"), v.open("pointerMm"), v.plunge());
  }

  @Override
  public void carryOut(Workpiece on) {
    Form form =
        Form.of(
            on.wanted().cuts(),
            on.wanted().sealing(),
            seatDiameterMm.orElse(on.wanted().outsideDiameterMm()));
    CleanUp clean = CleanUp.of(form, on.walls());
    double depth = on.depth(plunge, clean, on.wanted().depthMm());
    List<Point> points = form.at(depth);
    OptionalDouble hangsUp =
        on.standsWithin(points.getLast())
            ? OptionalDouble.of(2 * form.innerR())
            : OptionalDouble.empty();
    on.cut(
        Workpiece.Stroke.of(this, depth).with(clean).with(on.wanted().cuts()).withHangUp(hangsUp),
        Tool.plunged(points, on.surfaces(on.wanted().cuts())));
  }
}
