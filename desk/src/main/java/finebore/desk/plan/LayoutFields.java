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
          return l.withBores(n.intValue(), l.boreSpacingMm());
        });
    add(
        grid,
        "Bore spacing",
        Kind.LENGTH,
        HeadLayout::boreSpacingMm,
        (l, mm) -> l.withBores(l.cylindersPerHead(), mm));
    add(grid, "Fire ring Ø", Kind.LENGTH, HeadLayout::fireRingMm, HeadLayout::withFireRing);
    add(
        grid,
        "Intake to exhaust, 90: across",
        Kind.ANGLE,
        HeadLayout::valveLineDeg,
        (l, deg) -> l.withValves(deg, l.intakeTiltDeg(), l.exhaustTiltDeg()));
    add(
        grid,
        "Plug along",
        Kind.LENGTH,
        HeadLayout::plugXMm,
        (l, mm) -> l.withPlug(mm, l.plugYMm(), l.plugMm()));
    add(
        grid,
        "Plug across",
        Kind.LENGTH,
        HeadLayout::plugYMm,
        (l, mm) -> l.withPlug(l.plugXMm(), mm, l.plugMm()));
    add(
        grid,
        "Plug thread",
        Kind.LENGTH,
        HeadLayout::plugMm,
        (l, mm) -> l.withPlug(l.plugXMm(), l.plugYMm(), mm));
    add(
        grid,
        "Intake guides lean",
        Kind.ANGLE,
        HeadLayout::intakeTiltDeg,
        (l, deg) -> l.withValves(l.valveLineDeg(), deg, l.exhaustTiltDeg()));
    add(
        grid,
        "Exhaust guides lean",
        Kind.ANGLE,
        HeadLayout::exhaustTiltDeg,
        (l, deg) -> l.withValves(l.valveLineDeg(), l.intakeTiltDeg(), deg));
    getChildren().add(grid);
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
