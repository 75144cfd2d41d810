package finebore.formats;

import finebore.code.Term;
import finebore.formats.OutlineFile.Circle;
import finebore.formats.OutlineFile.Drawn;
import finebore.formats.Polyline.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lines, arcs, polylines and circles of an ASCII DXF drawing (Autodesk's published DXF reference).
 * It has to name its unit ($INSUNITS), and to hold no blocks.
 */
final class DxfOutline {

  /** A group of the file: its code and its value. */
  private record Group(int code, String value) {}

  private final String name;
  private final List<Polyline> lines = new ArrayList<>();
  private final List<Circle> circles = new ArrayList<>();

  private DxfOutline(String name) {
    this.name = name;
  }

  static Drawn read(String text, String name) throws FileProblem {
    return new DxfOutline(name).read(text);
  }

  private Drawn read(String text) throws FileProblem {
    List<Group> groups = groups(text);
    double perUnit = perUnitMm(groups);
    int at = section(groups, "ENTITIES");
    while (at < groups.size() && !isEnd(groups.get(at))) {
      int next = at + 1;
      while (next < groups.size() && groups.get(next).code() != 0) {
        next++;
      }
      List<Group> entity = groups.subList(at, next);
      if (entity.getFirst().value().equals("POLYLINE")) {
        next = polyline(groups, at, next);
      } else {
        entity(entity);
      }
      at = next;
    }
    return new Drawn(lines, circles, perUnit, Optional.of(new Place(0, 0)));
  }

  private List<Group> groups(String text) throws FileProblem {
    List<String> rows = text.lines().toList();
    List<Group> groups = new ArrayList<>();
    for (int k = 0; k + 1 < rows.size(); k += 2) {
      try {
        groups.add(new Group(Integer.parseInt(rows.get(k).strip()), rows.get(k + 1).strip()));
      } catch (NumberFormatException e) {
        throw damaged(k + 1, rows.get(k));
      }
    }
    return groups;
  }

  private FileProblem damaged(int line, String found) {
    String shown = found.length() > 40 ? found.substring(0, 40) : found;
    return new FileProblem(
        FileProblem.of("dxfLine", name)
            .with("line", Term.count(line))
            .with("found", Term.quote(shown)));
  }

  private double perUnitMm(List<Group> groups) throws FileProblem {
    for (int k = 0; k + 1 < groups.size(); k++) {
      if (groups.get(k).code() == 9 && groups.get(k).value().equals("$INSUNITS")) {
        switch (groups.get(k + 1).value()) {
          case "1" -> {
            return 25.4;
          }
          case "4" -> {
            return 1;
          }
          case "5" -> {
            return 10;
          }
          default -> {
            // As good as none.
          }
        }
      }
    }
    throw new FileProblem(FileProblem.of("dxfNoUnit", name));
  }

  private int section(List<Group> groups, String wanted) throws FileProblem {
    for (int k = 0; k + 1 < groups.size(); k++) {
      if (groups.get(k).value().equals("SECTION") && groups.get(k + 1).value().equals(wanted)) {
        return k + 2;
      }
    }
    throw new FileProblem(FileProblem.of("dxfNoLines", name));
  }

  private static boolean isEnd(Group group) {
    return group.value().equals("ENDSEC") || group.value().equals("EOF");
  }

  private void entity(List<Group> entity) throws FileProblem {
    switch (entity.getFirst().value()) {
      case "LINE" -> {
        Polyline line = new Polyline();
        line.add(number(entity, 10), number(entity, 20));
        line.add(number(entity, 11), number(entity, 21));
        lines.add(line);
      }
      case "ARC" -> {
        double from = Math.toRadians(number(entity, 50));
        double by = (Math.toRadians(number(entity, 51)) - from) % (2 * Math.PI);
        Polyline line = new Polyline();
        line.arc(
            number(entity, 10),
            number(entity, 20),
            number(entity, 40),
            from,
            by <= 0 ? by + 2 * Math.PI : by);
        lines.add(line);
      }
      case "CIRCLE" -> {
        Circle circle = new Circle(number(entity, 10), number(entity, 20), number(entity, 40));
        circles.add(circle);
        Polyline line = new Polyline();
        line.arc(circle.x(), circle.y(), circle.radius(), 0, 2 * Math.PI);
        lines.add(line);
      }
      case "LWPOLYLINE" -> light(entity);
      case "INSERT" -> throw new FileProblem(FileProblem.of("dxfBlocks", name));
      default -> {
        // Words, dimensions and hatches are no outline.
      }
    }
  }

  private double number(List<Group> entity, int code) throws FileProblem {
    for (Group group : entity) {
      if (group.code() == code) {
        return number(group);
      }
    }
    throw new FileProblem(
        FileProblem.of("dxfMissing", name)
            .with("entity", Term.quote(entity.getFirst().value()))
            .with("code", Term.count(code)));
  }

  private double number(Group group) throws FileProblem {
    try {
      double value = Double.parseDouble(group.value());
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Told below.
    }
    throw new FileProblem(
        FileProblem.of("dxfNumber", name)
            .with("code", Term.count(group.code()))
            .with("found", Term.quote(group.value())));
  }

  /** All corners in one entity, each perhaps with the bulge of the arc that follows it. */
  private void light(List<Group> entity) throws FileProblem {
    List<Place> places = new ArrayList<>();
    List<Double> bulges = new ArrayList<>();
    boolean isClosed = false;
    double x = 0;
    for (Group group : entity) {
      switch (group.code()) {
        case 70 -> isClosed = ((int) number(group) & 1) == 1;
        case 10 -> x = number(group);
        case 20 -> {
          places.add(new Place(x, number(group)));
          bulges.add(0.0);
        }
        case 42 -> {
          if (!bulges.isEmpty()) {
            bulges.set(bulges.size() - 1, number(group));
          }
        }
        default -> {
          // Widths and layers.
        }
      }
    }
    add(places, bulges, isClosed);
  }

  /** A corner to an entity, up to the end of the sequence. */
  private int polyline(List<Group> groups, int from, int first) throws FileProblem {
    boolean isClosed =
        groups.subList(from, first).stream()
            .filter(g -> g.code() == 70)
            .findFirst()
            .map(g -> g.value().matches("\\d+") && (Integer.parseInt(g.value()) & 1) == 1)
            .orElse(false);
    List<Place> places = new ArrayList<>();
    List<Double> bulges = new ArrayList<>();
    int at = first;
    while (at < groups.size() && groups.get(at).value().equals("VERTEX")) {
      int next = at + 1;
      while (next < groups.size() && groups.get(next).code() != 0) {
        next++;
      }
      List<Group> vertex = groups.subList(at, next);
      places.add(new Place(number(vertex, 10), number(vertex, 20)));
      bulges.add(vertex.stream().anyMatch(g -> g.code() == 42) ? number(vertex, 42) : 0.0);
      at = next;
    }
    add(places, bulges, isClosed);
    // The end of the sequence has groups of its own.
    while (at < groups.size() && groups.get(at).value().equals("SEQEND")) {
      at++;
      while (at < groups.size() && groups.get(at).code() != 0) {
        at++;
      }
    }
    return at;
  }

  private void add(List<Place> places, List<Double> bulges, boolean isClosed) {
    if (places.size() < 2) {
      return;
    }
    Polyline line = new Polyline();
    line.add(places.getFirst().x(), places.getFirst().y());
    for (int k = 1; k < places.size(); k++) {
      line.bulgeTo(places.get(k), bulges.get(k - 1));
    }
    if (isClosed) {
      line.bulgeTo(places.getFirst(), bulges.getLast());
    }
    lines.add(line);
  }
}
