package finebore.formats;

import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
import java.util.List;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The elements of a seat's or a cutter's profile as JSON: cuts by angle and width, arcs as arcs.
 */
final class ElementJson {

  private ElementJson() {}

  static List<Element> read(Node list) {
    return list.list(e -> e.build(ElementJson::element));
  }

  private static Element element(Node n) {
    return n.at("radiusMm").isAbsent()
        ? cut(n)
        : new Arc(n.at("fromDeg").number(), n.at("toDeg").number(), n.at("radiusMm").number());
  }

  static Cut cut(Node n) {
    return new Cut(n.at("angleDeg").number(), n.at("widthMm").number());
  }

  static void write(List<? extends Element> elements, ArrayNode into) {
    elements.forEach(e -> write(e, into.addObject()));
  }

  private static void write(Element element, ObjectNode into) {
    switch (element) {
      case Cut(double deg, double mm) -> into.put("angleDeg", deg).put("widthMm", mm);
      case Arc(double from, double to, double radius) ->
          into.put("fromDeg", from).put("toDeg", to).put("radiusMm", radius);
    }
  }
}
