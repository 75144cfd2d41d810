package finebore.found;

/**
 * A value that stands in for a reading nobody took.
 *
 * @param measure what was not measured
 * @param value what is taken instead, mm, degrees or hours
 * @param basis why that
 */
public record Assumed(Measure measure, double value, String basis) {}
