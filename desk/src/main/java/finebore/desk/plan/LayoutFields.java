package finebore.desk.plan;

import finebore.desk.controls.FieldGrid;
import finebore.desk.controls.NumberField.Kind;
import finebore.desk.session.JobSession;
import finebore.job.HeadLayout;
import finebore.job.Job;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import javafx.scene.layout.VBox;

/** Where things lie in the head; the first number typed makes the layout a measured one. */
final class LayoutFields extends VBox {

  LayoutFields(JobSession session) {
    FieldGrid grid = new FieldGrid(session);
    add(
        grid,
        "Cylinders a head",
        Kind.NUMBER,
        HeadLayout::cylindersPerHead,
        (l, n) -> {
          if (n != Math.rint(n)) {
            throw new IllegalArgumentException(
                "cylinders in one head must be a whole number, was " + n);
          }
          return new HeadLayout(
              n.intValue(),
              l.boreSpacingMm(),
              l.fireRingMm(),
              l.valveLineDeg(),
              l.plugXMm(),
              l.plugYMm(),
              l.plugMm(),
              l.intakeTiltDeg(),
              l.exhaustTiltDeg());
        });
    add(
        grid,
        "Bore spacing",
        Kind.LENGTH,
        HeadLayout::boreSpacingMm,
        (l, mm) ->
            new HeadLayout(
                l.cylindersPerHead(),
                mm,
                l.fireRingMm(),
                l.valveLineDeg(),
                l.plugXMm(),
                l.plugYMm(),
                l.plugMm(),
                l.intakeTiltDeg(),
                l.exhaustTiltDeg()));
    add(
        grid,
        "Fire ring Ø",
        Kind.LENGTH,
        HeadLayout::fireRingMm,
        (l, mm) ->
            new HeadLayout(
                l.cylindersPerHead(),
                l.boreSpacingMm(),
                mm,
                l.valveLineDeg(),
                l.plugXMm(),
                l.plugYMm(),
                l.plugMm(),
                l.intakeTiltDeg(),
                l.exhaustTiltDeg()));
    add(
        grid,
        "Intake to exhaust, 90: across",
        Kind.ANGLE,
        HeadLayout::valveLineDeg,
        (l, deg) ->
            new HeadLayout(
                l.cylindersPerHead(),
                l.boreSpacingMm(),
                l.fireRingMm(),
                deg,
                l.plugXMm(),
                l.plugYMm(),
                l.plugMm(),
                l.intakeTiltDeg(),
                l.exhaustTiltDeg()));
    add(
        grid,
        "Plug along",
        Kind.LENGTH,
        HeadLayout::plugXMm,
        (l, mm) -> withPlug(l, mm, l.plugYMm(), l.plugMm()));
    add(
        grid,
        "Plug across",
        Kind.LENGTH,
        HeadLayout::plugYMm,
        (l, mm) -> withPlug(l, l.plugXMm(), mm, l.plugMm()));
    add(
        grid,
        "Plug thread",
        Kind.LENGTH,
        HeadLayout::plugMm,
        (l, mm) -> withPlug(l, l.plugXMm(), l.plugYMm(), mm));
    add(
        grid,
        "Intake guides lean",
        Kind.ANGLE,
        HeadLayout::intakeTiltDeg,
        (l, deg) -> withTilt(l, deg, l.exhaustTiltDeg()));
    add(
        grid,
        "Exhaust guides lean",
        Kind.ANGLE,
        HeadLayout::exhaustTiltDeg,
        (l, deg) -> withTilt(l, l.intakeTiltDeg(), deg));
    getChildren().add(grid);
  }

  private static HeadLayout withPlug(HeadLayout l, double x, double y, double thread) {
    return new HeadLayout(
        l.cylindersPerHead(),
        l.boreSpacingMm(),
        l.fireRingMm(),
        l.valveLineDeg(),
        x,
        y,
        thread,
        l.intakeTiltDeg(),
        l.exhaustTiltDeg());
  }

  private static HeadLayout withTilt(HeadLayout l, double intake, double exhaust) {
    return new HeadLayout(
        l.cylindersPerHead(),
        l.boreSpacingMm(),
        l.fireRingMm(),
        l.valveLineDeg(),
        l.plugXMm(),
        l.plugYMm(),
        l.plugMm(),
        intake,
        exhaust);
  }

  private static void add(
      FieldGrid grid,
      String name,
      Kind kind,
      ToDoubleFunction<HeadLayout> value,
      BiFunction<HeadLayout, Double, HeadLayout> with) {
    grid.job(
        name,
        kind,
        (Job j) -> value.applyAsDouble(j.layout()),
        (j, read) -> j.withHead(j.head().withLayout(with.apply(j.layout(), read))));
  }
}
