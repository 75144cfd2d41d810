package finebore.desk.plan;

import finebore.desk.controls.Ink;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.found.WaterReading;
import finebore.reports.Spelled;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.ShownElement;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.valve.Valve;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * Draws the dimensions of a section: seat and throat in a column on the right, the valve's on the
 * left.
 */
final class DimensionPainter {

  private record Label(String text, Color colour, boolean strong) {}

  private final Sheet sheet;
  private final GraphicsContext g;
  private final SeatView work;
  private final ViewFrame frame;

  /** Lines to water may lie under the labels; the cuts may not. */
  private static final double COVERED_PX = 110;

  private final Palette palette;

  DimensionPainter(Sheet sheet) {
    this.sheet = sheet;
    this.g = sheet.g();
    this.work = sheet.work();
    this.frame = sheet.frame();
    this.palette = sheet.palette();
  }

  void paint(double liftMm) {
    column(seatLabels(), true);
    column(valveLabels(liftMm), false);
  }

  private String words(String key, Object... named) {
    return work.words().text(key, named);
  }

  private String mm(double lengthMm) {
    return work.units().shortLength(lengthMm);
  }

  private List<Leaders.Wanted<Label>> seatLabels() {
    List<Leaders.Wanted<Label>> labels = new ArrayList<>();
    UnitSystem units = work.units();
    Profile wall = work.shown().seat().profile();
    Point lastEnd = work.shown().seat().outsideEdge();
    CutStack stack = work.shown().seat().seat().stack();
    for (ShownElement shown : work.shown().seat().shownElements()) {
      boolean seals = shown.index() == stack.sealingElement();
      String angle =
          shown.element() instanceof Arc arc
              ? Spelled.element(arc, work.words())
              : work.words().term(shown.element().term());
      int segment = segmentOf(wall, shown);
      if (segment < 0) {
        if (shown.askedMm() > 0) {
          labels.add(want(lastEnd, words("label.never", "angle", angle), palette.amber(), false));
        }
        continue;
      }
      Color colour = seals ? palette.blue() : shown.isShort() ? palette.amber() : palette.text();
      labels.add(
          want(
              wall.start(segment).toward(wall.end(segment), 0.5),
              words(
                  (shown.isShort()
                          ? "label.short"
                          : shown.element() instanceof Arc ? "label.arc" : "label.cut")
                      + (seals ? ".seals" : ""),
                  "angle",
                  angle,
                  "width",
                  mm(shown.shownMm()),
                  "asked",
                  mm(shown.askedMm())),
              colour,
              seals));
      if (shown.index() >= stack.sealingElement()) {
        lastEnd = wall.end(segment);
      }
    }
    labels.add(
        want(
            work.shown().seat().outsideEdge(),
            words("label.seat", "diameter", mm(work.shown().pairing().seat().outsideDiameterMm())),
            palette.text(),
            false));
    for (int k = 0; k < wall.segmentCount(); k++) {
      if (wall.surfaces().get(k).part() == Part.THROAT) {
        double throat = work.shown().pairing().seat().throatDiameterMm();
        double share = work.shown().reading(ReadingKind.THROAT_RATIO).orElseThrow();
        labels.add(
            want(
                wall.start(k).toward(wall.end(k), 0.5),
                words(
                    "label.throat",
                    "diameter",
                    mm(throat),
                    "share",
                    UnitSystem.fixed(100 * share, 1)),
                palette.text(),
                false));
      }
    }
    water(labels);
    bridge().ifPresent(labels::add);
    work.shown()
        .seated()
        .ifPresent(
            s ->
                labels.add(
                    want(
                        s.contact().inner().toward(s.contact().outer(), 0.35),
                        words("label.contact", "width", units.lengthText(s.contact().widthMm())),
                        palette.blue(),
                        false)));
    return labels;
  }

  /** The wall before the water where it was read. */
  private void water(List<Leaders.Wanted<Label>> labels) {
    Profile wall = work.shown().seat().profile();
    for (WaterReading reading : work.plan().metal().water()) {
      Point at = reading.line().get(1);
      double left = Region.distance(wall.points(), List.of(at));
      labels.add(limited(at, "label.water", left, ReadingKind.WATER));
    }
  }

  /** The metal before the neighbour's ring, where this seat has one as well. */
  private Optional<Leaders.Wanted<Label>> bridge() {
    OptionalDouble bridge = work.planned().reading(ReadingKind.BRIDGE);
    if (bridge.isEmpty() || work.showFound()) {
      return Optional.empty();
    }
    return work.plan()
        .cutting()
        .metal()
        .ring()
        .map(
            r ->
                limited(
                    new Point(r.outsideDiameterMm() / 2, r.floorZ() + 0.5 * r.heightMm()),
                    "label.nextRing",
                    bridge.getAsDouble(),
                    ReadingKind.BRIDGE));
  }

  private Leaders.Wanted<Label> limited(Point at, String what, double mm, ReadingKind kind) {
    boolean low =
        work.practice()
            .wanted(work.port(), kind)
            .filter(r -> !r.holds(mm) && !r.isAbove(mm))
            .isPresent();
    return want(
        at,
        words(low ? what + ".thin" : what, "length", mm(mm)),
        low ? palette.vermilion() : palette.text(),
        low);
  }

  /** The stretch of the wall that a cut is, or the middle one of an arc; -1 where none shows. */
  private static int segmentOf(Profile wall, ShownElement shown) {
    int last = shown.firstCut() + shown.element().cuts().size() - 1;
    int[] own =
        IntStream.range(0, wall.segmentCount())
            .filter(
                k -> {
                  Surface surface = wall.surfaces().get(k);
                  return surface.part() == Part.CUT
                      && surface.index() >= shown.firstCut()
                      && surface.index() <= last;
                })
            .toArray();
    return own.length == 0 ? -1 : own[own.length / 2];
  }

  private List<Leaders.Wanted<Label>> valveLabels(double liftMm) {
    List<Leaders.Wanted<Label>> labels = new ArrayList<>();
    Valve valve = work.shown().pairing().valve();
    Profile wall = work.shown().valveAt(liftMm);
    for (int k = 0; k < wall.segmentCount(); k++) {
      Point mid = wall.start(k).toward(wall.end(k), 0.5);
      switch (wall.surfaces().get(k).part()) {
        case MARGIN ->
            labels.add(
                want(
                    mid,
                    words("label.margin", "height", mm(valve.marginMm())),
                    palette.text(),
                    false));
        case FACE ->
            labels.add(
                want(
                    mid,
                    words(
                        "label.face",
                        "angle",
                        work.words().figure(Dimension.ANGLE, valve.faceAngleDeg()),
                        "width",
                        mm(valve.faceWidthMm())),
                    palette.text(),
                    false));
        case BACK_CUT -> {
          Cut cut = valve.backCuts().get(wall.surfaces().get(k).index());
          labels.add(
              want(
                  mid,
                  words(
                      "label.backCut",
                      "angle",
                      work.words().figure(Dimension.ANGLE, cut.angleDeg()),
                      "width",
                      mm(cut.widthMm())),
                  palette.text(),
                  false));
        }
        default -> {}
      }
    }
    labels.add(
        want(
            wall.points().getFirst(),
            words("label.valve", "diameter", mm(valve.headDiameterMm())),
            palette.text(),
            true));
    return labels;
  }

  private Leaders.Wanted<Label> want(Point at, String text, Color colour, boolean strong) {
    return new Leaders.Wanted<>(frame.x(at.r()), frame.y(at.z()), new Label(text, colour, strong));
  }

  /** As many as have a place one under the other; those that matter most stay. */
  private List<Leaders.Wanted<Label>> fitting(List<Leaders.Wanted<Label>> wanted, double gap) {
    int room = (int) ((sheet.height() - sheet.text() * 4) / gap);
    if (wanted.size() <= room) {
      return wanted;
    }
    List<Leaders.Wanted<Label>> strong = wanted.stream().filter(w -> w.label().strong()).toList();
    List<Leaders.Wanted<Label>> kept = new ArrayList<>(strong);
    wanted.stream()
        .filter(w -> !w.label().strong())
        .limit(Math.max(0, room - strong.size()))
        .forEach(kept::add);
    return kept;
  }

  private void column(List<Leaders.Wanted<Label>> wanted, boolean right) {
    List<Leaders.Wanted<Label>> visible =
        wanted.stream()
            .filter(
                w ->
                    w.anchorY() > -20
                        && w.anchorY() < sheet.height() + 20
                        && w.anchorX() > -20
                        && w.anchorX() < sheet.width() + 20)
            .toList();
    double gap = sheet.text() * 1.75;
    visible = fitting(visible, gap);
    double widest = visible.stream().mapToDouble(w -> measure(w.label())).max().orElse(0);
    double reach = visible.stream().mapToDouble(Leaders.Wanted::anchorX).max().orElse(0);
    double nearest = visible.stream().mapToDouble(Leaders.Wanted::anchorX).min().orElse(0);
    boolean covers =
        right ? sheet.width() - widest - 20 < reach - COVERED_PX : widest + 20 > nearest;
    if (covers) {
      // Labels that would lie over what they name help nobody; the numbers stand in the columns.
      return;
    }
    double x =
        right
            ? Math.max(
                Math.min(reach + 46, sheet.width() - widest - 14), sheet.width() - widest - 60)
            : 12;
    for (Leaders.Placed<Label> placed :
        Leaders.place(visible, gap, sheet.text() * 1.6, sheet.height() - sheet.text() * 3)) {
      Label label = placed.wanted().label();
      double w = measure(label);
      double edge = right ? x - 6 : x + w + 6;
      double knee = right ? edge - 14 : edge + 14;
      g.setStroke(label.colour());
      g.setLineWidth(1);
      g.strokePolyline(
          new double[] {placed.wanted().anchorX(), knee, edge},
          new double[] {placed.wanted().anchorY(), placed.y(), placed.y()},
          3);
      g.setFill(label.colour());
      g.fillOval(placed.wanted().anchorX() - 2.5, placed.wanted().anchorY() - 2.5, 5, 5);
      g.setFill(palette.panel().deriveColor(0, 1, 1, 0.92));
      g.fillRoundRect(x - 5, placed.y() - sheet.text() * 0.8, w + 10, sheet.text() * 1.6, 4, 4);
      g.setFill(label.colour());
      g.setFont(label.strong() ? Theme.boldFigures(sheet.text()) : Theme.figures(sheet.text()));
      g.setTextAlign(TextAlignment.LEFT);
      g.setTextBaseline(VPos.CENTER);
      Ink.write(g, label.text(), x, placed.y());
    }
  }

  private double measure(Label label) {
    return Ink.width(
        label.strong() ? Theme.boldFigures(sheet.text()) : Theme.figures(sheet.text()),
        label.text());
  }
}
