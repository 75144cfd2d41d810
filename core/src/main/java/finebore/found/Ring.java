package finebore.found;

import finebore.section.Bounds;
import finebore.section.Region;

/**
 * An insert ring in section.
 *
 * @param outsideDiameterMm diameter of its bore in the head
 * @param insideDiameterMm its own bore
 * @param floorMm depth of its floor below the head face
 * @param heightMm from its floor to its top
 * @param fitMm press fit on the diameter
 * @param material what it is of, free text
 */
public record Ring(
    double outsideDiameterMm,
    double insideDiameterMm,
    double floorMm,
    double heightMm,
    double fitMm,
    String material) {

  public Ring {
    Bounds.check("ring outside diameter", outsideDiameterMm, 8, 220, "mm");
    Bounds.check("ring inside diameter", insideDiameterMm, 3, outsideDiameterMm - 0.5, "mm");
    Bounds.check("ring floor below the head face", floorMm, 0.5, 80, "mm");
    Bounds.check("ring height", heightMm, 0.5, 60, "mm");
    Bounds.check("ring press fit", fitMm, 0, 0.5, "mm");
  }

  /** Height of its floor in the section, mm. */
  public double floorZ() {
    return -floorMm;
  }

  /** Its section before anything is cut out of it. */
  public Region blank() {
    return Region.box(insideDiameterMm / 2, outsideDiameterMm / 2, -floorMm, heightMm - floorMm);
  }
}
