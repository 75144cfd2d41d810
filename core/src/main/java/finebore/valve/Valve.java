package finebore.valve;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.seat.Cut;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * A poppet valve.
 *
 * @param headDiameterMm head diameter at the margin
 * @param marginMm height of the margin, from the face to the chamber side
 * @param faceAngleDeg face angle, 15 to 70 degrees from the plane of the head
 * @param faceWidthMm width along the face
 * @param backCuts cuts behind the face, from the face toward the stem; may be empty
 * @param underhead the underside
 * @param stemDiameterMm stem diameter
 * @param edgeRadiusMm radius at the chamber edge of the margin, 0 for a sharp one
 */
@RecordBuilder
public record Valve(
    double headDiameterMm,
    double marginMm,
    double faceAngleDeg,
    double faceWidthMm,
    List<Cut> backCuts,
    Underhead underhead,
    double stemDiameterMm,
    double edgeRadiusMm)
    implements ValveBuilder.With {

  public Valve {
    backCuts = List.copyOf(backCuts);
    Quantity.VALVE_HEAD.check(headDiameterMm);
    Quantity.MARGIN.check(marginMm);
    Quantity.FACE_ANGLE.check(faceAngleDeg);
    Quantity.FACE_WIDTH.check(faceWidthMm);
    Quantity.STEM.check(stemDiameterMm);
    Quantity.MARGIN_EDGE_RADIUS.check(edgeRadiusMm);
    double reach =
        faceWidthMm * Math.cos(Math.toRadians(faceAngleDeg))
            + backCuts.stream().mapToDouble(Cut::projectedMm).sum();
    double room = (headDiameterMm - stemDiameterMm) / 2;
    if (reach >= room) {
      throw RuleViolation.of("faceReachesStem")
          .with("reach", Term.length(reach))
          .with("room", Term.length(room));
    }
    if (edgeRadiusMm > marginMm) {
      throw RuleViolation.of("edgeRadiusWithinMargin")
          .with("margin", Term.length(marginMm))
          .with("value", Term.length(edgeRadiusMm));
    }
  }

  public Valve withFace(double angleDeg, double widthMm) {
    return withFaceAngleDeg(angleDeg).withFaceWidthMm(widthMm);
  }

  /**
   * Head thickness where the underhead's cone meets the stem, mm: what moves when a cut behind the
   * face gets wider or steeper, for margin and face stay.
   */
  public double thicknessAtStemMm() {
    double deep = faceWidthMm * Math.sin(Math.toRadians(faceAngleDeg));
    double out = faceWidthMm * Math.cos(Math.toRadians(faceAngleDeg));
    for (Cut cut : backCuts) {
      deep += cut.heightMm();
      out += cut.projectedMm();
    }
    double run = (headDiameterMm - stemDiameterMm) / 2 - out;
    return marginMm + deep + run * Math.tan(Math.toRadians(underhead.angleDeg()));
  }

  /** This valve with one back cut replaced. */
  public Valve withBackCut(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(backCuts);
    changed.set(index, cut);
    return withBackCuts(changed);
  }
}
