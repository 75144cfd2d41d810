package finebore.valve;

import finebore.seat.Cut;
import finebore.section.Bounds;
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
public record Valve(
    double headDiameterMm,
    double marginMm,
    double faceAngleDeg,
    double faceWidthMm,
    List<Cut> backCuts,
    Underhead underhead,
    double stemDiameterMm,
    double edgeRadiusMm) {

  public Valve {
    backCuts = List.copyOf(backCuts);
    Bounds.check("valve head diameter", headDiameterMm, 8, 200, "mm");
    Bounds.check("margin", marginMm, 0, 20, "mm");
    Bounds.check("valve face angle", faceAngleDeg, 15, 70, "degrees");
    Bounds.check("valve face width", faceWidthMm, 0.05, 20, "mm");
    Bounds.check("stem diameter", stemDiameterMm, 2, 30, "mm");
    Bounds.check("margin edge radius", edgeRadiusMm, 0, 10, "mm");
    double reach =
        faceWidthMm * Math.cos(Math.toRadians(faceAngleDeg))
            + backCuts.stream().mapToDouble(Cut::projectedMm).sum();
    double room = (headDiameterMm - stemDiameterMm) / 2;
    if (reach >= room) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "face and back cuts reach in %.2f mm on the radius, but there are only %.2f mm between head and stem",
              reach,
              room));
    }
    if (edgeRadiusMm > marginMm) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "margin edge radius must not be larger than the margin %.3f mm, was %.3f mm",
              marginMm,
              edgeRadiusMm));
    }
  }

  public Valve withHeadDiameter(double mm) {
    return new Valve(
        mm, marginMm, faceAngleDeg, faceWidthMm, backCuts, underhead, stemDiameterMm, edgeRadiusMm);
  }

  public Valve withMargin(double mm) {
    return new Valve(
        headDiameterMm,
        mm,
        faceAngleDeg,
        faceWidthMm,
        backCuts,
        underhead,
        stemDiameterMm,
        edgeRadiusMm);
  }

  public Valve withFace(double angleDeg, double widthMm) {
    return new Valve(
        headDiameterMm,
        marginMm,
        angleDeg,
        widthMm,
        backCuts,
        underhead,
        stemDiameterMm,
        edgeRadiusMm);
  }

  public Valve withBackCuts(List<Cut> cuts) {
    return new Valve(
        headDiameterMm,
        marginMm,
        faceAngleDeg,
        faceWidthMm,
        cuts,
        underhead,
        stemDiameterMm,
        edgeRadiusMm);
  }

  /** This valve with one back cut replaced. */
  public Valve withBackCut(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(backCuts);
    changed.set(index, cut);
    return withBackCuts(changed);
  }

  public Valve withUnderhead(Underhead form) {
    return new Valve(
        headDiameterMm,
        marginMm,
        faceAngleDeg,
        faceWidthMm,
        backCuts,
        form,
        stemDiameterMm,
        edgeRadiusMm);
  }

  public Valve withStemDiameter(double mm) {
    return new Valve(
        headDiameterMm, marginMm, faceAngleDeg, faceWidthMm, backCuts, underhead, mm, edgeRadiusMm);
  }

  public Valve withEdgeRadius(double mm) {
    return new Valve(
        headDiameterMm,
        marginMm,
        faceAngleDeg,
        faceWidthMm,
        backCuts,
        underhead,
        stemDiameterMm,
        mm);
  }
}
