package finebore.drawing;

import finebore.drawing.Drawing.Align;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.planning.SeatOutcome;
import finebore.seat.Seat;
import finebore.seat.ShownElement;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface.Part;
import finebore.study.SeatFit;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** The section of a seat as planned, with what was found and what goes, and its dimensions. */
public final class SectionDrawing {

  /** Metal is drawn out to here beyond the seat, and the port down to here below it, mm. */
  private static final double OUT_MM = 7;

  private static final double DOWN_MM = 9;

  private static final double UP_MM = 4;

  /** Height of a capital on paper, mm. */
  private static final double CAPITAL_MM = 2.1;

  /** Labels stand this far from the window on paper, mm. */
  private static final double BESIDE_MM = 3;

  /** A letter of that height takes at most this much of a line, mm. */
  private static final double LETTER_MM = 1.85;

  private final SeatOutcome seat;
  private final Words words;
  private final double scale;
  private final List<Item> items = new ArrayList<>();
  private final Box window;

  private SectionDrawing(SeatOutcome seat, Words words, double scale, Box window) {
    this.seat = seat;
    this.words = words;
    this.scale = scale;
    this.window = window;
  }

  /**
   * Draws a seat.
   *
   * @param scale how many times its size it is to be seen at, so that words come out legible
   * @param liftMm how far the valve stands open
   */
  public static Drawing of(SeatOutcome seat, Words words, double scale, double liftMm) {
    SectionDrawing drawing =
        new SectionDrawing(
            seat, words, scale, window(seat).grown(0, 0, 0, Math.max(0, liftMm - 1)));
    drawing.items.addAll(SectionScene.finished(seat, liftMm).items(drawing.window, true));
    drawing.dimensions();
    return new Drawing(
        drawing.items, drawing.window, drawing.window.grown(0, 0, drawing.labelsMm(), 0));
  }

  /** The same without dimensions, for a screen that says them elsewhere. */
  public static Drawing plain(SeatOutcome seat) {
    Box window = window(seat);
    return new Drawing(SectionScene.finished(seat, 0).items(window, true), window, window);
  }

  /**
   * What one operation takes away, and how far it has gone.
   *
   * @param place which operation, from 0
   * @param reachedMm depth below the head face that was read, where it was
   */
  public static Drawing step(SeatOutcome seat, int place, OptionalDouble reachedMm) {
    Box window = window(seat);
    List<Item> items = new ArrayList<>(SectionScene.operation(seat, place).items(window, true));
    reachedMm.ifPresent(
        mm ->
            items.add(
                Outline.line(
                    DrawingLayer.REACHED,
                    new Point(window.minX(), -mm),
                    new Point(window.maxX(), -mm))));
    return new Drawing(items, window, window);
  }

  private static Box window(SeatOutcome seat) {
    Seat wanted = seat.plan().wanted().seat();
    Seat found = seat.cut().metal().seat();
    double low = Math.max(wanted.lowestMm(), found.lowestMm()) + DOWN_MM;
    double valveTop =
        seat.cut().fit().restMm().orElse(-wanted.depthMm())
            + seat.plan().wanted().valve().marginMm();
    double top = Math.max(valveTop + 1, UP_MM - Math.min(wanted.depthMm(), found.depthMm()));
    return new Box(
        Math.max(0, wanted.throatDiameterMm() / 2 - 9),
        -low,
        wanted.outsideDiameterMm() / 2 + OUT_MM,
        top);
  }

  private void line(double x0, double y0, double x1, double y1) {
    items.add(Outline.line(DrawingLayer.DIMENSIONS, new Point(x0, y0), new Point(x1, y1)));
  }

  /** What a leader points at, and what it says. */
  private record Note(Point at, String text) {}

  private void dimensions() {
    List<Note> notes = new ArrayList<>();
    SeatFit fit = seat.cut().fit();
    Seat finished = fit.seat().seat();
    for (ShownElement shown : fit.seat().shownElements()) {
      if (shown.shownMm() > 0.005) {
        middle(shown)
            .ifPresent(
                p ->
                    notes.add(
                        new Note(
                            p,
                            words.term(shown.element().term()) + ", " + length(shown.shownMm()))));
      }
    }
    Point edge = fit.seat().outsideEdge();
    notes.add(
        new Note(
            edge,
            words.text(
                "drawing.seatEdge", "diameter", length(2 * edge.r()), "depth", length(-edge.z()))));
    throat(finished, notes);
    fit.seated()
        .map(s -> s.contact())
        .ifPresent(
            c ->
                notes.add(
                    new Note(
                        new Point(
                            (c.inner().r() + c.outer().r()) / 2,
                            (c.inner().z() + c.outer().z()) / 2),
                        words.text(
                            "drawing.contact",
                            "width",
                            length(c.widthMm()),
                            "inside",
                            length(c.insideDiameterMm()),
                            "outside",
                            length(c.outsideDiameterMm())))));
    place(notes);
  }

  private void throat(Seat finished, List<Note> notes) {
    double r = finished.throatDiameterMm() / 2;
    double z = -finished.depthMm() - finished.stack().heightMm() - finished.throatLengthMm() / 2;
    if (z > window.minY()) {
      notes.add(new Note(new Point(r, z), words.text("drawing.throat", "diameter", length(2 * r))));
    }
  }

  private String length(double mm) {
    return words.units().lengthText(mm);
  }

  private Optional<Point> middle(ShownElement shown) {
    Profile wall = seat.cut().fit().seat().profile();
    List<Point> ends = new ArrayList<>();
    for (int k = 0; k < wall.segmentCount(); k++) {
      int index = wall.surfaces().get(k).index();
      if (wall.surfaces().get(k).part() == Part.CUT
          && index >= shown.firstCut()
          && index < shown.firstCut() + shown.element().cuts().size()) {
        ends.add(wall.start(k));
        ends.add(wall.end(k));
      }
    }
    return ends.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new Point(
                (ends.getFirst().r() + ends.getLast().r()) / 2,
                (ends.getFirst().z() + ends.getLast().z()) / 2));
  }

  /** Room for the longest label beside the window. */
  private double labelsMm() {
    int longest =
        items.stream()
            .filter(Label.class::isInstance)
            .mapToInt(i -> ((Label) i).text().length())
            .max()
            .orElse(0);
    return (BESIDE_MM + LETTER_MM * longest) / scale;
  }

  /** Beside the window, one under the other in the order of what they point at. */
  private void place(List<Note> notes) {
    double capital = CAPITAL_MM / scale;
    double step = 2.1 * capital;
    List<Note> sorted =
        notes.stream()
            .sorted(Comparator.comparingDouble((Note n) -> n.at().z()).reversed())
            .toList();
    double middle = sorted.stream().mapToDouble(n -> n.at().z()).average().orElse(0);
    double top = Math.min(window.maxY() - capital, middle + step * (sorted.size() - 1) / 2.0);
    double x = window.maxX() + BESIDE_MM / scale;
    for (int k = 0; k < sorted.size(); k++) {
      Note note = sorted.get(k);
      double y = top - k * step;
      line(note.at().r(), note.at().z(), window.maxX() - 1 / scale, y + capital / 2);
      line(window.maxX() - 1 / scale, y + capital / 2, x - 0.8 / scale, y + capital / 2);
      items.add(new Label(DrawingLayer.DIMENSIONS, x, y, capital, note.text(), Align.LEFT));
    }
  }
}
