package finebore.formats;

import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.room.ChamberOutline;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What was measured of a head as JSON; a reading that was not taken is null. */
final class HeadJson {

  private HeadJson() {}

  static Head read(Node n) {
    Map<String, SeatReadings> readings = new LinkedHashMap<>();
    n.at("seats")
        .list(s -> s)
        .forEach(s -> readings.put(s.at("seat").text(), s.build(HeadJson::seat)));
    Node layout = n.at("layout");
    return new Head(
        n.at("newThicknessMm").optionalNumber(),
        n.at("thicknessMm").optionalNumber(),
        n.at("leastThicknessMm").optionalNumber(),
        n.at("chamberCc").optionalNumber(),
        n.at("compressionRatio").optionalNumber(),
        layout.isAbsent() ? Optional.empty() : Optional.of(layout.build(HeadJson::layout)),
        n.at("bankDeg").optionalNumber(),
        n.at("intakeFaceDeg").optionalNumber(),
        n.at("chambers").isAbsent()
            ? List.of()
            : n.at("chambers").list(c -> c.build(HeadJson::chamber)),
        n.at("photographs").isAbsent()
            ? List.of()
            : n.at("photographs").list(p -> p.build(HeadJson::photograph)),
        readings);
  }

  private static SeatReadings seat(Node n) {
    Map<Measure, Double> values = new EnumMap<>(Measure.class);
    for (Measure measure : Measure.values()) {
      n.at(measure.key()).optionalNumber().ifPresent(v -> values.put(measure, v));
    }
    return new SeatReadings(values, n.at("ringMaterial").text());
  }

  private static ChamberOutline chamber(Node n) {
    return new ChamberOutline(
        n.at("cylinder").whole(), n.at("outline").list(p -> p.build(HeadJson::corner)));
  }

  private static ChamberOutline.Corner corner(Node n) {
    return new ChamberOutline.Corner(n.at("alongMm").number(), n.at("acrossMm").number());
  }

  private static FacePhotograph photograph(Node n) {
    return new FacePhotograph(
        n.at("cylinder").whole(),
        n.at("file").text(),
        n.at("seen").list(p -> new Squared.Pixel(p.at("x").number(), p.at("y").number())),
        n.at("are").list(p -> p.build(HeadJson::corner)));
  }

  private static HeadLayout layout(Node n) {
    return new HeadLayout(
        n.at("cylindersPerHead").whole(),
        n.at("boreSpacingMm").number(),
        n.at("fireRingMm").number(),
        n.at("valveLineDeg").number(),
        n.at("plugXMm").number(),
        n.at("plugYMm").number(),
        n.at("plugMm").number(),
        n.at("intakeTiltDeg").number(),
        n.at("exhaustTiltDeg").number(),
        n.at("intakeCantDeg").number(),
        n.at("exhaustCantDeg").number());
  }

  private static void corners(ArrayNode line, List<ChamberOutline.Corner> corners) {
    corners.forEach(
        c -> line.addObject().put("alongMm", c.alongMm()).put("acrossMm", c.acrossMm()));
  }

  static ObjectNode write(Head head) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    JobWriter.optional(n, "newThicknessMm", head.newThicknessMm());
    JobWriter.optional(n, "thicknessMm", head.thicknessMm());
    JobWriter.optional(n, "leastThicknessMm", head.leastThicknessMm());
    JobWriter.optional(n, "chamberCc", head.chamberCc());
    JobWriter.optional(n, "compressionRatio", head.compressionRatio());
    if (head.layout().isPresent()) {
      HeadLayout layout = head.layout().get();
      ObjectNode l = n.putObject("layout");
      l.put("cylindersPerHead", layout.cylindersPerHead());
      l.put("boreSpacingMm", layout.boreSpacingMm());
      l.put("fireRingMm", layout.fireRingMm());
      l.put("valveLineDeg", layout.valveLineDeg());
      l.put("plugXMm", layout.plugXMm());
      l.put("plugYMm", layout.plugYMm());
      l.put("plugMm", layout.plugMm());
      l.put("intakeTiltDeg", layout.intakeTiltDeg());
      l.put("exhaustTiltDeg", layout.exhaustTiltDeg());
      l.put("intakeCantDeg", layout.intakeCantDeg());
      l.put("exhaustCantDeg", layout.exhaustCantDeg());
    } else {
      n.putNull("layout");
    }
    JobWriter.optional(n, "bankDeg", head.bankDeg());
    JobWriter.optional(n, "intakeFaceDeg", head.intakeFaceDeg());
    ArrayNode chambers = n.putArray("chambers");
    for (ChamberOutline outline : head.chambers()) {
      ObjectNode c = chambers.addObject();
      c.put("cylinder", outline.cylinder());
      corners(c.putArray("outline"), outline.corners());
    }
    ArrayNode photographs = n.putArray("photographs");
    for (FacePhotograph photograph : head.photographs()) {
      ObjectNode p = photographs.addObject();
      p.put("cylinder", photograph.cylinder());
      p.put("file", photograph.file());
      ArrayNode seen = p.putArray("seen");
      photograph.seen().forEach(s -> seen.addObject().put("x", s.x()).put("y", s.y()));
      corners(p.putArray("are"), photograph.are());
    }
    ArrayNode seats = n.putArray("seats");
    new TreeMap<>(head.readings())
        .forEach(
            (label, readings) -> {
              ObjectNode s = seats.addObject();
              s.put("seat", label);
              for (Measure measure : Measure.values()) {
                JobWriter.optional(s, measure.key(), readings.value(measure));
              }
              s.put("ringMaterial", readings.ringMaterial());
            });
    return n;
  }
}
