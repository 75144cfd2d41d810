package finebore.flow;

import finebore.flow.Loss.Cause;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface.Part;

/**
 * The turn out of the throat, and the lip where it ends; what the lip adds beyond all the losses
 * before it is its part of the budget.
 */
final class ThroatTurn implements Mechanism {

  @Override
  public void addTo(Passage p) {
    LossCoefficients k = p.k();
    Profile metal = p.metal();
    Gate curtain = p.curtain();
    Turning.Walk toThroat = new Turning.Walk(metal, curtain.metalSegment(), curtain.onMetal(), 1);
    Turning turning =
        Turning.taut(toThroat, new Turning.Stream(leaving(p), true, 1), toThroatEnd(p));
    double d = Math.min(turning.total(), Math.PI);
    double throatArea = p.setting().throatAreaMm2();
    // A stream that still speeds up on its way to the gate turns almost for nothing.
    double coasting = Math.pow(curtain.areaMm2() / throatArea, 2);
    double turnLoss =
        k.turn() * (1 - Math.cos(d)) * Math.min(coasting, 1) / (throatArea * throatArea);
    p.spread(Cause.BEND, turning, metal, 1, Double.POSITIVE_INFINITY, turnLoss);
    double before = p.resistance();
    double lip = lip(p, turning, d);
    double merge = k.lip().merge();
    double joined = Math.pow(Math.pow(before, merge) + Math.pow(lip, merge), 1 / merge);
    p.spread(Cause.LIP, turning, metal, 1, Double.POSITIVE_INFINITY, joined - before);
  }

  /** Resistance of the lip alone, 1/mm4. */
  private static double lip(Passage p, Turning turning, double d) {
    LossCoefficients.Lip k = p.k().lip();
    double area =
        Math.min(
            Gate.lipBetween(p.metal(), p.setting().sealing(), p.valve()).areaMm2(),
            p.setting().throatAreaMm2());
    Point edge = throatEdge(p.metal());
    double gap = area / (2 * Math.PI * edge.r());
    double shed = turning.shed(k.scale() * gap, k.turn(), k.power());
    double c = 1 - k.weight() * (1 - Contraction.coefficient(d)) * shed;
    double run = edge.distanceTo(p.curtain().onMetal());
    double filled = run > 0 ? Math.exp(-gap / (k.land() * run)) : 0;
    return JetNarrowing.notFilled(c, filled) / (area * area);
  }

  /**
   * Direction of the stream past the seat, outward. At high lift the gate lies ever flatter, but
   * the stream does not.
   */
  private static double leaving(Passage p) {
    Profile metal = p.metal();
    double outward = p.isIntake() ? p.stream() : p.stream() + Math.PI;
    double seatAngle = 0;
    for (int i = 0; i < metal.segmentCount(); i++) {
      if (metal.surfaces().get(i).part() == Part.CUT
          && metal.surfaces().get(i).index() == p.setting().sealing()) {
        seatAngle =
            Math.atan2(
                metal.start(i).z() - metal.end(i).z(), metal.start(i).r() - metal.end(i).r());
      }
    }
    return Math.max(Math.atan2(Math.sin(outward), Math.cos(outward)), seatAngle * p.k().leaving());
  }

  /**
   * Length of wall from the gate to where the throat ends; the bowl behind it belongs to the port.
   */
  private static double toThroatEnd(Passage p) {
    Profile metal = p.metal();
    double length = 0;
    Point at = p.curtain().onMetal();
    for (int i = p.curtain().metalSegment(); i < metal.segmentCount(); i++) {
      if (metal.surfaces().get(i).part() == Part.BOWL && length > 0) {
        break;
      }
      length += at.distanceTo(metal.end(i));
      at = metal.end(i);
    }
    // A hair short, so that the walk does not look round the corner.
    return length * (1 - 1e-9);
  }

  private static Point throatEdge(Profile metal) {
    for (int i = 0; i < metal.segmentCount(); i++) {
      Part part = metal.surfaces().get(i).part();
      if (part == Part.THROAT || part == Part.BOWL) {
        return metal.start(i);
      }
    }
    return metal.points().getLast();
  }
}
