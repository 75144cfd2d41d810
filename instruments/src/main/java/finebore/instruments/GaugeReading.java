package finebore.instruments;

import finebore.units.Dimension;

/**
 * What a hand gauge sent when its key was pressed.
 *
 * @param gauge its name
 * @param count how often its key was pressed since it was switched on; the same again is the same
 *     reading sent twice
 * @param dimension what kind of number
 * @param value in the core's unit
 */
public record GaugeReading(String gauge, int count, Dimension dimension, double value) {}
