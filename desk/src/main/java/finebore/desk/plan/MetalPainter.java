package finebore.desk.plan;

import finebore.cutting.Cutting;
import finebore.cutting.Metal;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.found.Ring;
import finebore.found.WaterReading;
import finebore.section.Point;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;

/**
 * Draws what besides the iron matters to a cut: the insert ring, the water behind the wall, the
 * neighbour's ring, and the band the old seat runs out by.
 */
final class MetalPainter {

  private final Sheet sheet;
  private final GraphicsContext g;
  private final SeatView work;
  private final ViewFrame frame;
  private final Palette palette;

  MetalPainter(Sheet sheet) {
    this.sheet = sheet;
    this.g = sheet.g();
    this.work = sheet.work();
    this.frame = sheet.frame();
    this.palette = sheet.palette();
  }

  /** Over the iron: ring and neighbour. */
  void rings() {
    metal()
        .ringRegion()
        .outlines()
        .forEach(
            outline -> {
              sheet.path(outline, true);
              g.setFill(palette.iron());
              g.fill();
              g.setFill(Hatch.of(palette.edge(), false, 5, 1));
              g.fill();
              g.setStroke(palette.edge());
              g.setLineWidth(1.4);
              g.stroke();
            });
    neighbour();
  }

  private Metal metal() {
    return work.plan().cutting().metalAfter(work.showFound() ? 0 : work.steps());
  }

  /** The neighbouring ring as far off as the bridge between the two is wide. */
  private void neighbour() {
    Optional<Ring> ring = metal().ring();
    var bridge = work.plan().finished().reading(ReadingKind.BRIDGE);
    if (ring.isEmpty() || bridge.isEmpty() || work.showFound()) {
      return;
    }
    double from = ring.get().outsideDiameterMm() / 2 + bridge.getAsDouble();
    double top = ring.get().floorZ() + ring.get().heightMm();
    List<Point> box =
        List.of(
            new Point(from, top),
            new Point(from + 3, top),
            new Point(from + 3, ring.get().floorZ()),
            new Point(from, ring.get().floorZ()));
    sheet.path(box, true);
    g.setFill(Hatch.of(palette.muted(), false, 5, 1));
    g.fill();
    g.setStroke(palette.muted());
    g.setLineWidth(1);
    g.stroke();
  }

  /** The jacket where it was read. */
  void water() {
    for (WaterReading reading : work.plan().metal().water()) {
      List<Point> line = reading.line();
      g.setStroke(palette.blue());
      g.setLineWidth(2);
      g.setLineDashes(2, 5);
      sheet.path(line, false);
      g.stroke();
      g.setLineDashes();
    }
  }

  /** Where the found wall stands on its sides: the nearest and the furthest. */
  void runout() {
    List<Cutting.Side> sides = work.plan().cutting().sides();
    if (sides.size() < 2) {
      return;
    }
    List<Point> near = sides.get(1).metal().wall().points();
    List<Point> far = sides.get(1 + (sides.size() - 1) / 2).metal().wall().points();
    List<Point> band = new ArrayList<>(near);
    band.addAll(far.reversed());
    sheet.path(band, true);
    g.setFill(palette.amber().deriveColor(0, 1, 1, 0.16));
    g.fill();
    g.setStroke(palette.amber());
    g.setLineWidth(1);
    g.setLineDashes(5, 4);
    sheet.path(near, false);
    g.stroke();
    sheet.path(far, false);
    g.stroke();
    g.setLineDashes();
  }
}
