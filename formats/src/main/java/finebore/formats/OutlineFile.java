package finebore.formats;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.formats.Polyline.Place;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.units.Unit;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Reads a chamber's outline out of a list of points, a DXF or an SVG drawing. Of several closed
 * lines the largest is taken that is no larger than the bore and not the bore itself. Across the
 * head, toward the exhaust side, is up in the drawing; along it is to the right.
 *
 * <p>A circle of the bore's diameter in the drawing says where the bore's centre is. Without one
 * that is the origin of a list or a DXF, while an SVG has none that means anything and is refused.
 */
public final class OutlineFile {

  /** What can be read. */
  public static final List<String> ENDINGS = List.of("csv", "txt", "dxf", "svg");

  private static final long MOST_BYTES = 16L << 20;

  /** A circle is the bore's when its diameter is as close as this share. */
  private static final double SAME_BORE = 0.005;

  /** Ends of a line closer than this meet, mm. */
  private static final double MEETS_MM = 0.05;

  private OutlineFile() {}

  /** A circle of a drawing, in its own unit. */
  record Circle(double x, double y, double radius) {}

  /**
   * What a drawing holds.
   *
   * @param perUnitMm mm for each of its units
   * @param origin the place that is the bore's centre if no circle says so
   */
  record Drawn(
      List<Polyline> lines, List<Circle> circles, double perUnitMm, Optional<Place> origin) {}

  /**
   * Reads an outline.
   *
   * @param cylinder whose it is
   * @param boreMm the cylinder's bore
   * @param usual the unit of a list that names none
   * @throws FileProblem naming the file, what is wrong and what was expected
   */
  public static ChamberOutline read(Path file, int cylinder, double boreMm, Unit usual)
      throws FileProblem {
    String name = file.getFileName().toString();
    String ending = name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT);
    if (!ENDINGS.contains(ending)) {
      throw new FileProblem(
          FileProblem.of("notAnOutline", file)
              .with("endings", Term.quote(String.join(", ", ENDINGS))));
    }
    String text = SafeFile.text(file, MOST_BYTES);
    Drawn drawn =
        switch (ending) {
          case "dxf" -> DxfOutline.read(text, name);
          case "svg" -> SvgOutline.read(text, name);
          default -> PointsOutline.read(text, name, usual);
        };
    try {
      return outline(drawn, name, cylinder, boreMm);
    } catch (RuleViolation e) {
      throw FileProblem.within(file, e);
    }
  }

  private static ChamberOutline outline(Drawn drawn, String name, int cylinder, double boreMm)
      throws FileProblem {
    Place centre = centre(drawn, name, boreMm);
    double near = MEETS_MM / drawn.perUnitMm();
    List<Polyline> closed =
        joined(drawn.lines(), near).stream().filter(l -> l.isClosed(near)).toList();
    // A line that stands alone is meant, however large it is.
    Optional<Polyline> meant =
        closed.stream()
            .filter(l -> closed.size() == 1 || !isBore(l, drawn, boreMm))
            .max(Comparator.comparingDouble(Polyline::area));
    if (meant.isEmpty()) {
      throw new FileProblem(FileProblem.of("noClosedLine", name));
    }
    return new ChamberOutline(cylinder, corners(meant.get(), centre, drawn.perUnitMm()));
  }

  private static List<Corner> corners(Polyline line, Place centre, double perUnitMm) {
    List<Corner> corners = new ArrayList<>();
    for (Place p : line.places()) {
      corners.add(new Corner(perUnitMm * (p.x() - centre.x()), perUnitMm * (p.y() - centre.y())));
    }
    return corners;
  }

  /** A line larger than the bore is no chamber; one that runs along its circle is the bore. */
  private static boolean isBore(Polyline line, Drawn drawn, double boreMm) {
    double area = line.area() * drawn.perUnitMm() * drawn.perUnitMm();
    return area > Math.PI / 4 * boreMm * boreMm * (1 + 2 * SAME_BORE)
        || drawn.circles().stream()
            .filter(c -> isBore(c, drawn, boreMm))
            .anyMatch(
                c ->
                    line.places().stream()
                        .allMatch(
                            p ->
                                Math.abs(p.to(new Place(c.x(), c.y())) - c.radius())
                                    <= SAME_BORE * c.radius()));
  }

  private static boolean isBore(Circle circle, Drawn drawn, double boreMm) {
    return Math.abs(2 * circle.radius() * drawn.perUnitMm() - boreMm) <= SAME_BORE * boreMm;
  }

  private static Place centre(Drawn drawn, String name, double boreMm) throws FileProblem {
    Optional<Place> bore =
        drawn.circles().stream()
            .filter(c -> isBore(c, drawn, boreMm))
            .findFirst()
            .map(c -> new Place(c.x(), c.y()));
    if (bore.or(drawn::origin).isEmpty()) {
      throw new FileProblem(FileProblem.of("noBore", name).with("bore", Term.length(boreMm)));
    }
    return bore.or(drawn::origin).get();
  }

  /** Lines whose ends meet as one. */
  private static List<Polyline> joined(List<Polyline> lines, double near) {
    List<Polyline> open = new ArrayList<>(lines.stream().filter(l -> !l.isClosed(near)).toList());
    List<Polyline> all = new ArrayList<>(lines.stream().filter(l -> l.isClosed(near)).toList());
    while (!open.isEmpty()) {
      Polyline one = new Polyline();
      open.removeFirst().places().forEach(p -> one.add(p.x(), p.y()));
      boolean grown = true;
      while (grown && !one.isClosed(near)) {
        grown = false;
        for (Polyline other : open) {
          List<Place> places = other.places();
          boolean forth = places.getFirst().to(one.last()) <= near;
          boolean back = places.getLast().to(one.last()) <= near;
          if (forth || back) {
            List<Place> next = forth ? places : places.reversed();
            next.stream().skip(1).forEach(p -> one.add(p.x(), p.y()));
            open.remove(other);
            grown = true;
            break;
          }
        }
      }
      all.add(one);
    }
    return all;
  }
}
