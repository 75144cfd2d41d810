package finebore.job;

import finebore.units.Units;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How a job is looked at.
 *
 * @param units how its numbers are shown
 * @param practice id of the practice its findings follow
 * @param test how flow is looked at
 */
@RecordBuilder
public record JobSettings(Units units, String practice, TestPlan test)
    implements JobSettingsBuilder.With {}
