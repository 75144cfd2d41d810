package finebore.flow;

/**
 * The area that ideal flow would need to pass what a seat passes at one lift, port and all.
 *
 * @param gate the smallest frustum
 * @param mm2 the area, mm2
 * @param isKnown whether the section is like those that were solved; if not, the area leans on the
 *     gate alone
 */
public record EffectiveArea(Gate gate, double mm2, boolean isKnown) {}
