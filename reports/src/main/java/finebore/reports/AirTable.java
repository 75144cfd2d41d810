package finebore.reports;

import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirLines.DeadWater;
import finebore.section.Point;
import finebore.words.Words;
import java.util.Locale;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Solved air as figures: every cell as CSV, or what it comes to as JSON. */
public final class AirTable {

  private AirTable() {}

  /** A row for each cell: place in mm, speeds in m/s, pressures in Pa. */
  public static String csv(AirFlow flow) {
    StringBuilder out =
        new StringBuilder("r_mm,z_mm,outward_m_s,upward_m_s,speed_m_s,pressure_pa,total_pa,lost\n");
    for (int i = 0; i < flow.along(); i++) {
      for (int j = 0; j < flow.across(); j++) {
        Point p = flow.middle(i, j);
        out.append(
            String.format(
                Locale.ROOT,
                "%.4f,%.4f,%.3f,%.3f,%.3f,%.1f,%.1f,%.4f%n",
                p.r(),
                p.z(),
                flow.outward(i, j),
                flow.upward(i, j),
                flow.speed(i, j),
                flow.pressure(i, j),
                flow.totalPressure(i, j),
                flow.lost(i, j)));
      }
    }
    return out.toString();
  }

  /**
   * What it comes to.
   *
   * @param seat label of the seat
   * @param state found or planned
   */
  public static String json(AirFlow flow, String seat, String state, double liftMm, Words words) {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    ObjectNode n = mapper.createObjectNode();
    n.put("seat", seat);
    n.put("state", state);
    n.put("lift_mm", liftMm);
    n.put("effective_area_mm2", flow.effectiveAreaMm2());
    n.put("turbulence", flow.question().turbulence().name().toLowerCase(Locale.ROOT));
    n.put("fineness", flow.question().fineness().name().toLowerCase(Locale.ROOT));
    n.put("cells", flow.along() * flow.across());
    n.put("rounds", flow.settled().rounds());
    n.put("momentum_left", flow.settled().momentumLeft());
    n.put("mass_left", flow.settled().massLeft());
    n.put("unrest", flow.settled().unrest());
    n.put("air_state", flow.settled().waves() ? "waving" : "settled");
    if (!Double.isNaN(flow.jetAngleDeg())) {
      n.put("jet_deg", flow.jetAngleDeg());
    }
    ArrayNode waters = n.putArray("dead_water");
    for (DeadWater water : AirLines.of(flow).deadWater()) {
      ObjectNode w = waters.addObject();
      w.put("surface", words.say(water.surface().message()));
      w.put("on", water.onValve() ? "valve" : "head");
      w.put("length_mm", water.lengthMm());
      w.put("share_of_flow", water.share());
    }
    n.put("limits", words.text("air.limits"));
    return mapper.writeValueAsString(n) + "\n";
  }
}
