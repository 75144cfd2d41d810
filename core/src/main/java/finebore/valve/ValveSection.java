package finebore.valve;

import finebore.seat.Cut;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;

/**
 * A valve laid out in the section plane, from the chamber edge of its margin to its stem.
 *
 * <p>z = 0 is the margin edge of the face, so the seated height of the valve is the height of that
 * edge.
 *
 * @param valve the valve laid out
 * @param profile its wall; arcs are drawn as short straight stretches
 */
public record ValveSection(Valve valve, Profile profile) {

  private static final int ARC_STEPS = 8;

  /** Enough that no gate on the underhead's arc is off by 0.05 %. */
  private static final int FILLET_CHORDS = 28;

  /** How much stem is drawn below the face, in head diameters. */
  private static final double STEM = 1.6;

  public static ValveSection of(Valve valve, Tolerance tolerance) {
    double headR = valve.headDiameterMm() / 2;
    double edge = valve.edgeRadiusMm();
    Profile.Builder wall =
        new Profile.Builder(new Point(headR - edge, valve.marginMm()), tolerance);
    Surface edgeSurface = Surface.of(Trace.VALVE_EDGE);
    for (int k = 1; k <= ARC_STEPS && edge > 0; k++) {
      double a = Math.PI / 2 * (1 - (double) k / ARC_STEPS);
      wall.to(
          new Point(
              headR - edge + edge * Math.cos(a), valve.marginMm() - edge + edge * Math.sin(a)),
          edgeSurface);
    }
    wall.to(new Point(headR, 0), Surface.of(Trace.MARGIN));
    Cut face = new Cut(valve.faceAngleDeg(), valve.faceWidthMm());
    wall.to(wall.last().plus(-face.projectedMm(), -face.heightMm()), Surface.of(Trace.VALVE_FACE));
    for (int k = 0; k < valve.backCuts().size(); k++) {
      Cut cut = valve.backCuts().get(k);
      Trace trace = valve.backCuts().size() == 1 ? Trace.BACK_CUT : Trace.NUMBERED_BACK_CUT;
      wall.to(
          wall.last().plus(-cut.projectedMm(), -cut.heightMm()),
          new Surface(Part.BACK_CUT, k, trace, cut.angleDeg()));
    }
    underhead(valve, wall);
    Point bottom = new Point(valve.stemDiameterMm() / 2, -STEM * valve.headDiameterMm());
    wall.to(bottom, Surface.of(Trace.STEM));
    return new ValveSection(valve, wall.build());
  }

  /** The inner edge of the face, seated height 0 at the margin edge, mm. */
  public Point faceInnerEdge() {
    double a = Math.toRadians(valve.faceAngleDeg());
    return new Point(
        valve.headDiameterMm() / 2 - valve.faceWidthMm() * Math.cos(a),
        -valve.faceWidthMm() * Math.sin(a));
  }

  private static void underhead(Valve valve, Profile.Builder wall) {
    Surface surface = Surface.of(Trace.UNDERHEAD);
    double stemR = valve.stemDiameterMm() / 2;
    double slope = Math.toRadians(valve.underhead().angleDeg());
    Point from = wall.last();
    double run = from.r() - stemR;
    // The arc is tangent to cone and stem: its tangent points lie R tan((90 - slope)/2) from their
    // corner.
    double cone = run / Math.cos(slope);
    double tangent = Math.tan((Math.PI / 2 - slope) / 2);
    double radius = Math.min(valve.underhead().filletRadiusMm(), 0.95 * cone / tangent);
    Point corner = new Point(stemR, from.z() - run * Math.tan(slope));
    double t = radius * tangent;
    Point arcStart = corner.plus(t * Math.cos(slope), t * Math.sin(slope));
    wall.to(arcStart, surface);
    // Centre: straight out from the stem by the radius, at the height where the arc leaves the
    // stem.
    Point centre = new Point(stemR + radius, corner.z() - t);
    double startAngle = Math.PI / 2 + slope;
    double half = (Math.PI - startAngle) / FILLET_CHORDS / 2;
    for (int k = 1; k <= FILLET_CHORDS && radius > 0; k++) {
      double a = startAngle + 2 * half * k;
      // Corners as far outside the arc as middles lie inside it.
      double r = k < FILLET_CHORDS ? radius * 2 / (1 + Math.cos(half)) : radius;
      wall.to(centre.plus(r * Math.cos(a), r * Math.sin(a)), surface);
    }
    if (radius == 0) {
      wall.to(corner, surface);
    }
  }
}
