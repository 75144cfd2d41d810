package finebore.job;

/**
 * How a valve's axis leans from upright.
 *
 * @param alongDeg along the head: how the valve goes aside as it opens
 * @param acrossDeg toward the exhaust side
 */
public record Lean(double alongDeg, double acrossDeg) {}
