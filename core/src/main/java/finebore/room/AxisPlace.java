package finebore.room;

/**
 * Where a valve's axis meets the head face, mm from the bore's centre.
 *
 * @param alongMm along the head
 * @param acrossMm toward the exhaust side
 */
public record AxisPlace(double alongMm, double acrossMm) {}
