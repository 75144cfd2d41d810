package finebore.formats;

import finebore.code.Term;
import finebore.formats.Polyline.Place;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The path data of an SVG path (W3C, SVG 1.1, section 8.3), curves as chords. */
final class SvgPath {

  private static final Pattern WORD =
      Pattern.compile("([A-Za-z])|([-+]?(?:\\d+\\.?\\d*|\\.\\d+)(?:[eE][-+]?\\d+)?)");

  private final String name;
  private final List<String> words = new ArrayList<>();
  private final List<Polyline> lines = new ArrayList<>();
  private Polyline line = new Polyline();
  private int at;
  private Place pen = new Place(0, 0);
  private Place begun = new Place(0, 0);
  private Place handle = new Place(0, 0);
  private char before = 'M';

  SvgPath(String data, String name) {
    this.name = name;
    Matcher word = WORD.matcher(data);
    while (word.find()) {
      words.add(word.group());
    }
  }

  /** Its lines, each place put where it belongs. */
  List<Polyline> lines(UnaryOperator<Place> put) throws FileProblem {
    char command = 'M';
    while (at < words.size()) {
      String word = words.get(at);
      if (Character.isLetter(word.charAt(0))) {
        command = word.charAt(0);
        at++;
      } else if (command == 'M' || command == 'm') {
        // Further pairs after a move are lines.
        command = command == 'M' ? 'L' : 'l';
      }
      step(command);
      before = Character.toUpperCase(command);
    }
    end();
    List<Polyline> placed = new ArrayList<>();
    for (Polyline one : lines) {
      Polyline moved = new Polyline();
      one.places().stream().map(put).forEach(p -> moved.add(p.x(), p.y()));
      placed.add(moved);
    }
    return placed;
  }

  private void end() {
    if (line.places().size() > 1) {
      lines.add(line);
    }
    line = new Polyline();
  }

  private double next() throws FileProblem {
    if (at >= words.size() || Character.isLetter(words.get(at).charAt(0))) {
      throw new FileProblem(
          FileProblem.of("svgPath", name)
              .with("found", Term.quote(at < words.size() ? words.get(at) : "")));
    }
    return Double.parseDouble(words.get(at++));
  }

  private Place place(boolean relative) throws FileProblem {
    double x = next();
    double y = next();
    return relative ? new Place(pen.x() + x, pen.y() + y) : new Place(x, y);
  }

  private void to(Place p) {
    line.add(p.x(), p.y());
    pen = p;
  }

  private void step(char command) throws FileProblem {
    boolean relative = Character.isLowerCase(command);
    switch (Character.toUpperCase(command)) {
      case 'M' -> {
        end();
        to(place(relative));
        begun = pen;
      }
      case 'L' -> to(place(relative));
      case 'H' -> to(new Place(next() + (relative ? pen.x() : 0), pen.y()));
      case 'V' -> to(new Place(pen.x(), next() + (relative ? pen.y() : 0)));
      case 'C' -> cubic(place(relative), place(relative), place(relative));
      case 'S' ->
          cubic(
              before == 'C' || before == 'S' ? mirrored() : pen, place(relative), place(relative));
      case 'Q' -> quad(place(relative), place(relative));
      case 'T' -> quad(before == 'Q' || before == 'T' ? mirrored() : pen, place(relative));
      case 'A' -> arc(relative);
      case 'Z' -> {
        to(begun);
        end();
        line.add(begun.x(), begun.y());
      }
      default ->
          throw new FileProblem(
              FileProblem.of("svgPath", name).with("found", Term.quote(String.valueOf(command))));
    }
  }

  private Place mirrored() {
    return new Place(2 * pen.x() - handle.x(), 2 * pen.y() - handle.y());
  }

  private void cubic(Place a, Place b, Place to) {
    line.cubicTo(a, b, to);
    handle = b;
    pen = to;
  }

  private void quad(Place a, Place to) {
    line.quadTo(a, to);
    handle = a;
    pen = to;
  }

  /** An arc of an ellipse by its ends (appendix F.6.5). */
  private void arc(boolean relative) throws FileProblem {
    double rx = Math.abs(next());
    double ry = Math.abs(next());
    double turn = Math.toRadians(next());
    boolean large = next() != 0;
    boolean sweep = next() != 0;
    Place to = place(relative);
    if (rx == 0 || ry == 0 || pen.to(to) == 0) {
      to(to);
      return;
    }
    double dx = (pen.x() - to.x()) / 2;
    double dy = (pen.y() - to.y()) / 2;
    double x = Math.cos(turn) * dx + Math.sin(turn) * dy;
    double y = -Math.sin(turn) * dx + Math.cos(turn) * dy;
    double grow = Math.max(1, Math.sqrt(x * x / (rx * rx) + y * y / (ry * ry)));
    rx *= grow;
    ry *= grow;
    double rest = rx * rx * y * y + ry * ry * x * x;
    double way = Math.sqrt(Math.max(0, (rx * rx * ry * ry - rest) / rest));
    if (large == sweep) {
      way = -way;
    }
    double cx = way * rx * y / ry;
    double cy = -way * ry * x / rx;
    double middleX = Math.cos(turn) * cx - Math.sin(turn) * cy + (pen.x() + to.x()) / 2;
    double middleY = Math.sin(turn) * cx + Math.cos(turn) * cy + (pen.y() + to.y()) / 2;
    double from = Math.atan2((y - cy) / ry, (x - cx) / rx);
    double by = Math.atan2((-y - cy) / ry, (-x - cx) / rx) - from;
    if (sweep && by < 0) {
      by += 2 * Math.PI;
    } else if (!sweep && by > 0) {
      by -= 2 * Math.PI;
    }
    Polyline round = new Polyline();
    round.arc(0, 0, 1, from, by);
    for (Place p : round.places().subList(1, round.places().size())) {
      double px = rx * p.x();
      double py = ry * p.y();
      line.add(
          middleX + Math.cos(turn) * px - Math.sin(turn) * py,
          middleY + Math.sin(turn) * px + Math.cos(turn) * py);
    }
    pen = to;
  }
}
