package finebore.drawing;

import finebore.cutting.Seating.Contact;
import finebore.drawing.Drawing.Align;
import finebore.drawing.Drawing.Box;
import finebore.drawing.Drawing.Item;
import finebore.drawing.Drawing.Label;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
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

  private SectionDrawing(SeatOutcome seat, Words words, double scale) {
    this.seat = seat;
    this.words = words;
    this.scale = scale;
    this.window = window(seat);
  }

  /**
   * Draws a seat.
   *
   * @param scale how many times its size it is to be seen at, so that words come out legible
   */
  public static Drawing of(SeatOutcome seat, Words words, double scale) {
    return new SectionDrawing(seat, words, scale).draw(true);
  }

  /** The same without dimensions, for a screen that says them elsewhere. */
  public static Drawing plain(SeatOutcome seat, Words words) {
    return new SectionDrawing(seat, words, 1).draw(false);
  }

  /**
   * What one operation takes away, and how far it has gone.
   *
   * @param place which operation, from 0
   * @param reachedMm depth below the head face that was read, where it was
   */
  public static Drawing step(SeatOutcome seat, Words words, int place, OptionalDouble reachedMm) {
    return new SectionDrawing(seat, words, 1).drawStep(place, reachedMm);
  }

  private Drawing drawStep(int place, OptionalDouble reachedMm) {
    Profile before = seat.cut().cutting().metalAfter(place).wall();
    Profile after = seat.cut().cutting().metalAfter(place + 1).wall();
    items.add(new Outline(DrawingLayer.REMOVED, metal(before), true));
    items.add(new Outline(DrawingLayer.METAL, metal(after), true));
    items.add(open(DrawingLayer.FOUND, before));
    items.add(open(DrawingLayer.PLANNED, seat.cut().fit().seat().profile()));
    items.add(open(DrawingLayer.FINISHED, after));
    reachedMm.ifPresent(mm -> line(DrawingLayer.CONTACT, window.minX(), -mm, window.maxX(), -mm));
    return new Drawing(items, window, window);
  }

  private void reached(double mm) {
    line(DrawingLayer.CONTACT, window.minX(), -mm, window.maxX(), -mm);
    items.add(
        new Label(
            DrawingLayer.CONTACT,
            window.minX() + 0.4,
            -mm + 0.35,
            0.6,
            words.text("drawing.reached", "depth", length(mm)),
            Align.LEFT));
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

  private Drawing draw(boolean dimensions) {
    Profile found = seat.cut().metal().section().profile();
    Profile finished = seat.cut().fit().seat().profile();
    items.add(new Outline(DrawingLayer.REMOVED, metal(found), true));
    items.add(new Outline(DrawingLayer.METAL, metal(finished), true));
    items.add(open(DrawingLayer.FOUND, found));
    items.add(open(DrawingLayer.PLANNED, seat.cut().ideal().profile()));
    seat.cut().fit().restMm().ifPresent(this::valve);
    items.add(open(DrawingLayer.FINISHED, finished));
    seat.cut().fit().seated().ifPresent(s -> contact(s.contact()));
    if (window.minX() == 0) {
      line(DrawingLayer.AXIS, 0, window.minY(), 0, window.maxY());
    }
    if (!dimensions) {
      return new Drawing(items, window, window);
    }
    dimensions();
    return new Drawing(items, window, window.grown(0, 0, labelsMm(), 0));
  }

  private static Outline open(DrawingLayer layer, Profile wall) {
    return new Outline(layer, Arcs.of(wall.points()), false);
  }

  /** Metal outside a wall, closed past the window. */
  private List<Vertex> metal(Profile wall) {
    List<Vertex> outline = new ArrayList<>(Arcs.of(wall.points()));
    double far =
        Math.max(window.maxX(), wall.points().stream().mapToDouble(Point::r).max().orElse(0)) + 1;
    Point last = wall.points().getLast();
    outline.add(new Vertex(far, last.z(), 0));
    outline.add(new Vertex(far, wall.points().getFirst().z(), 0));
    return outline;
  }

  private void valve(double restMm) {
    SeatFit fit = seat.cut().fit();
    List<Vertex> outline = new ArrayList<>(Arcs.of(fit.valve().profile().raised(restMm).points()));
    Vertex last = outline.getLast();
    outline.add(new Vertex(0, last.y(), 0));
    outline.add(new Vertex(0, outline.getFirst().y(), 0));
    items.add(new Outline(DrawingLayer.VALVE, outline, true));
  }

  private void contact(Contact contact) {
    line(
        DrawingLayer.CONTACT,
        contact.outer().r(),
        contact.outer().z(),
        contact.inner().r(),
        contact.inner().z());
  }

  private void line(DrawingLayer layer, double x0, double y0, double x1, double y1) {
    items.add(new Outline(layer, List.of(new Vertex(x0, y0, 0), new Vertex(x1, y1, 0)), false));
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
      line(
          DrawingLayer.DIMENSIONS,
          note.at().r(),
          note.at().z(),
          window.maxX() - 1 / scale,
          y + capital / 2);
      line(
          DrawingLayer.DIMENSIONS,
          window.maxX() - 1 / scale,
          y + capital / 2,
          x - 0.8 / scale,
          y + capital / 2);
      items.add(new Label(DrawingLayer.DIMENSIONS, x, y, capital, note.text(), Align.LEFT));
    }
  }
}
