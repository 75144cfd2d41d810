package finebore.formats;

import finebore.cutting.Operation;
import finebore.cutting.Operation.BlendSide;
import finebore.cutting.Operation.SingleTool;
import finebore.cutting.Plunge;
import finebore.found.Ring;
import java.util.OptionalDouble;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Operations and their settings as JSON; a setting left open is null. */
final class OperationJson {

  private enum Kind {
    OPEN_THROAT("openThroat"),
    CUT_FORM("cutForm"),
    CUT_ANGLE("cutAngle"),
    SWEEP_CHAMBER("sweepChamber"),
    CUT_UNDER("cutUnder"),
    OPEN_BOWL("openBowl"),
    BLEND("blend"),
    FIT_RING("fitRing");

    private final String key;

    Kind(String key) {
      this.key = key;
    }
  }

  private enum To {
    PLANNED("planned"),
    DEPTH("depth"),
    CLEAN("clean");

    private final String key;

    To(String key) {
      this.key = key;
    }
  }

  private OperationJson() {}

  static Operation read(Node n) {
    return switch (n.at("operation").oneOf(Kind.values(), k -> k.key)) {
      case OPEN_THROAT ->
          new Operation.OpenThroat(
              n.at("diameterMm").optionalNumber(),
              n.at("taperDeg").number(),
              n.at("depthMm").optionalNumber());
      case CUT_FORM ->
          new Operation.CutForm(
              n.at("cutter").text(),
              n.at("seatDiameterMm").optionalNumber(),
              n.at("plunge").build(OperationJson::plunge));
      case CUT_ANGLE ->
          new Operation.CutAngle(
              n.at("tool").oneOf(SingleTool.values(), SingleTool::word),
              n.at("angleDeg").number(),
              n.at("edgeDiameterMm").number(),
              n.at("plunge").build(OperationJson::plunge));
      case SWEEP_CHAMBER ->
          new Operation.SweepChamber(
              n.at("angleDeg").number(),
              n.at("reachDiameterMm").number(),
              n.at("startDiameterMm").optionalNumber());
      case CUT_UNDER ->
          new Operation.CutUnder(
              n.at("leanDeg").number(),
              n.at("fromDiameterMm").optionalNumber(),
              n.at("heightMm").number(),
              n.at("radiusMm").number());
      case OPEN_BOWL ->
          new Operation.OpenBowl(
              n.at("diameterMm").optionalNumber(), n.at("depthMm").optionalNumber());
      case BLEND ->
          new Operation.Blend(
              n.at("side").oneOf(BlendSide.values(), OperationJson::side),
              n.at("keepOffMm").number(),
              n.at("radiusMm").number());
      case FIT_RING -> new Operation.FitRing(n.at("ring").build(OperationJson::ring));
    };
  }

  private static Plunge plunge(Node n) {
    return switch (n.at("to").oneOf(To.values(), t -> t.key)) {
      case PLANNED -> new Plunge.AsPlanned();
      case DEPTH -> new Plunge.ToDepth(n.at("depthMm").number());
      case CLEAN -> new Plunge.UntilClean(n.at("extraMm").number(), n.at("allCuts").flag());
    };
  }

  private static Ring ring(Node n) {
    return new Ring(
        n.at("outsideDiameterMm").number(),
        n.at("insideDiameterMm").number(),
        n.at("floorMm").number(),
        n.at("heightMm").number(),
        n.at("fitMm").number(),
        n.at("material").text());
  }

  private static String side(BlendSide side) {
    return side == BlendSide.PORT ? "port" : "chamber";
  }

  static ObjectNode write(Operation operation) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    switch (operation) {
      case Operation.OpenThroat open -> {
        n.put("operation", Kind.OPEN_THROAT.key);
        JobWriter.optional(n, "diameterMm", open.diameterMm());
        n.put("taperDeg", open.taperDeg());
        JobWriter.optional(n, "depthMm", open.depthMm());
      }
      case Operation.CutForm form -> {
        n.put("operation", Kind.CUT_FORM.key);
        n.put("cutter", form.cutter());
        JobWriter.optional(n, "seatDiameterMm", form.seatDiameterMm());
        n.set("plunge", plunge(form.plunge()));
      }
      case Operation.CutAngle cut -> {
        n.put("operation", Kind.CUT_ANGLE.key);
        n.put("tool", cut.tool().word());
        n.put("angleDeg", cut.angleDeg());
        n.put("edgeDiameterMm", cut.edgeDiameterMm());
        n.set("plunge", plunge(cut.plunge()));
      }
      case Operation.SweepChamber sweep -> {
        n.put("operation", Kind.SWEEP_CHAMBER.key);
        n.put("angleDeg", sweep.angleDeg());
        n.put("reachDiameterMm", sweep.reachDiameterMm());
        JobWriter.optional(n, "startDiameterMm", sweep.startDiameterMm());
      }
      case Operation.CutUnder under -> {
        n.put("operation", Kind.CUT_UNDER.key);
        n.put("leanDeg", under.leanDeg());
        JobWriter.optional(n, "fromDiameterMm", under.fromDiameterMm());
        n.put("heightMm", under.heightMm());
        n.put("radiusMm", under.radiusMm());
      }
      case Operation.OpenBowl bowl -> {
        n.put("operation", Kind.OPEN_BOWL.key);
        JobWriter.optional(n, "diameterMm", bowl.diameterMm());
        JobWriter.optional(n, "depthMm", bowl.depthMm());
      }
      case Operation.Blend blend -> {
        n.put("operation", Kind.BLEND.key);
        n.put("side", side(blend.side()));
        n.put("keepOffMm", blend.keepOffMm());
        n.put("radiusMm", blend.radiusMm());
      }
      case Operation.FitRing(Ring ring) -> {
        n.put("operation", Kind.FIT_RING.key);
        ObjectNode r = n.putObject("ring");
        r.put("outsideDiameterMm", ring.outsideDiameterMm());
        r.put("insideDiameterMm", ring.insideDiameterMm());
        r.put("floorMm", ring.floorMm());
        r.put("heightMm", ring.heightMm());
        r.put("fitMm", ring.fitMm());
        r.put("material", ring.material());
      }
    }
    return n;
  }

  /** Always with every field, so that one that is not used is not taken for an unknown one. */
  private static ObjectNode plunge(Plunge plunge) {
    ObjectNode n = JsonNodeFactory.instance.objectNode();
    OptionalDouble depth = OptionalDouble.empty();
    OptionalDouble extra = OptionalDouble.empty();
    boolean all = false;
    switch (plunge) {
      case Plunge.AsPlanned() -> n.put("to", To.PLANNED.key);
      case Plunge.ToDepth(double mm) -> {
        n.put("to", To.DEPTH.key);
        depth = OptionalDouble.of(mm);
      }
      case Plunge.UntilClean(double mm, boolean allCuts) -> {
        n.put("to", To.CLEAN.key);
        extra = OptionalDouble.of(mm);
        all = allCuts;
      }
    }
    JobWriter.optional(n, "depthMm", depth);
    JobWriter.optional(n, "extraMm", extra);
    n.put("allCuts", all);
    return n;
  }
}
