package finebore.found;

import finebore.quantity.Quantity;
import finebore.section.Region;
import io.soabase.recordbuilder.core.RecordBuilder;

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
@RecordBuilder
public record Ring(
    double outsideDiameterMm,
    double insideDiameterMm,
    double floorMm,
    double heightMm,
    double fitMm,
    String material)
    implements RingBuilder.With {

  /** A ring thinner than this on the diameter is none, mm. */
  private static final double LEAST_WALL_MM = 0.5;

  public Ring {
    Quantity.RING_OUTSIDE.check(outsideDiameterMm);
    Quantity.RING_BORE.checkWithin(
        insideDiameterMm, Quantity.RING_BORE.min(), outsideDiameterMm - LEAST_WALL_MM);
    Quantity.RING_FLOOR.check(floorMm);
    Quantity.RING_HEIGHT.check(heightMm);
    Quantity.RING_FIT.check(fitMm);
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
