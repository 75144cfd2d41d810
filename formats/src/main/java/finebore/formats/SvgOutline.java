package finebore.formats;

import finebore.code.Term;
import finebore.formats.OutlineFile.Circle;
import finebore.formats.OutlineFile.Drawn;
import finebore.formats.Polyline.Place;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;

/**
 * Polygons, polylines, paths and circles of an SVG drawing (W3C, SVG 1.1), y turned up. It has to
 * say how large it is: a width in mm, cm or in, with a view box where its units are not those.
 */
final class SvgOutline {

  /** x' = a x + c y + e, y' = b x + d y + f. */
  private record Turned(double a, double b, double c, double d, double e, double f) {
    static final Turned NOT = new Turned(1, 0, 0, 1, 0, 0);

    Turned then(Turned t) {
      return new Turned(
          a * t.a + c * t.b,
          b * t.a + d * t.b,
          a * t.c + c * t.d,
          b * t.c + d * t.d,
          a * t.e + c * t.f + e,
          b * t.e + d * t.f + f);
    }

    Place on(Place p) {
      return new Place(a * p.x() + c * p.y() + e, -(b * p.x() + d * p.y() + f));
    }

    double scale() {
      return Math.sqrt(Math.abs(a * d - b * c));
    }
  }

  private static final Pattern LENGTH = Pattern.compile("([0-9.]+)\\s*(mm|cm|in)");
  private static final Pattern TURN = Pattern.compile("(\\w+)\\s*\\(([^)]*)\\)");

  private final String name;
  private final List<Polyline> lines = new ArrayList<>();
  private final List<Circle> circles = new ArrayList<>();

  private SvgOutline(String name) {
    this.name = name;
  }

  static Drawn read(String text, String name) throws FileProblem {
    return new SvgOutline(name).read(text);
  }

  private Drawn read(String text) throws FileProblem {
    Element root = parse(text).getDocumentElement();
    if (!"svg".equals(root.getLocalName())) {
      throw problem("svgNone");
    }
    double perUnit = perUnitMm(root);
    walk(root, Turned.NOT);
    return new Drawn(lines, circles, perUnit, Optional.empty());
  }

  private FileProblem problem(String what) {
    return new FileProblem(FileProblem.of(what, name));
  }

  private Document parse(String text) throws FileProblem {
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      factory.setNamespaceAware(true);
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      // Nothing is fetched for a drawing.
      factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
      factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
      factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
      var builder = factory.newDocumentBuilder();
      builder.setErrorHandler(null);
      return builder.parse(new InputSource(new StringReader(text)));
    } catch (SAXException | IOException e) {
      throw new FileProblem(FileProblem.of("damaged", name).with("cause", FileProblem.cause(e)), e);
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException(e);
    }
  }

  private double perUnitMm(Element root) throws FileProblem {
    Matcher width = LENGTH.matcher(root.getAttribute("width").strip());
    if (!width.matches()) {
      throw problem("svgNoUnit");
    }
    double mm =
        number(width.group(1))
            * switch (width.group(2)) {
              case "in" -> 25.4;
              case "cm" -> 10;
              default -> 1;
            };
    List<Double> box = numbers(root.getAttribute("viewBox"));
    double across = box.size() == 4 ? box.get(2) : number(width.group(1));
    if (!(across > 0 && mm > 0)) {
      throw problem("svgNoUnit");
    }
    return mm / across;
  }

  private double number(String text) throws FileProblem {
    try {
      double value = Double.parseDouble(text);
      if (Double.isFinite(value)) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Told below.
    }
    throw new FileProblem(FileProblem.of("svgNumber", name).with("found", Term.quote(text)));
  }

  private double number(Element of, String attribute) throws FileProblem {
    return of.getAttribute(attribute).isBlank() ? 0 : number(of.getAttribute(attribute).strip());
  }

  private List<Double> numbers(String text) throws FileProblem {
    List<Double> all = new ArrayList<>();
    for (String word : text.strip().split("[\\s,]+")) {
      if (!word.isEmpty()) {
        all.add(number(word));
      }
    }
    return all;
  }

  private void walk(Element element, Turned outer) throws FileProblem {
    Turned here = outer.then(turned(element.getAttribute("transform")));
    switch (String.valueOf(element.getLocalName())) {
      case "polygon", "polyline" -> points(element, here);
      case "circle" -> circle(element, here);
      case "path" ->
          lines.addAll(new SvgPath(element.getAttribute("d"), name).lines(p -> here.on(p)));
      case "defs", "symbol", "clipPath", "pattern", "marker" -> {
        return;
      }
      default -> {
        // Words and groups; what is in a group follows.
      }
    }
    for (Node child = element.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element inner) {
        walk(inner, here);
      }
    }
  }

  private void points(Element element, Turned here) throws FileProblem {
    List<Double> all = numbers(element.getAttribute("points"));
    Polyline line = new Polyline();
    for (int k = 0; k + 1 < all.size(); k += 2) {
      Place p = here.on(new Place(all.get(k), all.get(k + 1)));
      line.add(p.x(), p.y());
    }
    if (line.places().size() > 1) {
      if ("polygon".equals(element.getLocalName())) {
        line.add(line.places().getFirst().x(), line.places().getFirst().y());
      }
      lines.add(line);
    }
  }

  private void circle(Element element, Turned here) throws FileProblem {
    Place middle = here.on(new Place(number(element, "cx"), number(element, "cy")));
    double radius = number(element, "r") * here.scale();
    circles.add(new Circle(middle.x(), middle.y(), radius));
    Polyline line = new Polyline();
    line.arc(middle.x(), middle.y(), radius, 0, 2 * Math.PI);
    lines.add(line);
  }

  private Turned turned(String text) throws FileProblem {
    Turned all = Turned.NOT;
    Matcher one = TURN.matcher(text);
    while (one.find()) {
      List<Double> n = numbers(one.group(2));
      double first = n.isEmpty() ? 0 : n.getFirst();
      double second = n.size() > 1 ? n.get(1) : 0;
      double angle = Math.toRadians(first);
      all =
          all.then(
              switch (one.group(1)) {
                case "translate" -> new Turned(1, 0, 0, 1, first, second);
                case "scale" -> new Turned(first, 0, 0, n.size() > 1 ? second : first, 0, 0);
                case "rotate" ->
                    new Turned(
                        Math.cos(angle), Math.sin(angle), -Math.sin(angle), Math.cos(angle), 0, 0);
                case "matrix" -> {
                  if (n.size() != 6) {
                    throw problem("svgTurn");
                  }
                  yield new Turned(n.get(0), n.get(1), n.get(2), n.get(3), n.get(4), n.get(5));
                }
                default -> throw problem("svgTurn");
              });
    }
    return all;
  }
}
