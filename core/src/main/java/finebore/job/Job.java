package finebore.job;

import finebore.units.UnitSystem;

/**
 * A whole job. Immutable: every edit makes a new one.
 *
 * @param name the engine or customer's word for it
 * @param purpose what it is to be used for, free text
 * @param units how its numbers are shown
 * @param practice id of the practice its findings follow
 * @param engine the engine
 * @param intake all intake seats
 * @param exhaust all exhaust seats
 * @param test how flow is looked at
 * @param notes free text
 */
public record Job(
    String name,
    String purpose,
    UnitSystem units,
    String practice,
    Engine engine,
    Group intake,
    Group exhaust,
    TestPlan test,
    String notes) {

  public Job {
    if (name.isBlank() || name.length() > 200) {
      throw new IllegalArgumentException(
          "job name must have 1 to 200 characters, had " + name.length());
    }
  }

  public Group group(Port port) {
    return port == Port.INTAKE ? intake : exhaust;
  }

  public Job withGroup(Port port, Group changed) {
    return port == Port.INTAKE
        ? new Job(name, purpose, units, practice, engine, changed, exhaust, test, notes)
        : new Job(name, purpose, units, practice, engine, intake, changed, test, notes);
  }

  public Job withPlanned(Port port, Pairing planned) {
    return withGroup(port, group(port).withPlanned(planned));
  }

  public Job withUnits(UnitSystem changed) {
    return new Job(name, purpose, changed, practice, engine, intake, exhaust, test, notes);
  }

  public Job withPractice(String changed) {
    return new Job(name, purpose, units, changed, engine, intake, exhaust, test, notes);
  }

  public Job withEngine(Engine changed) {
    return new Job(name, purpose, units, practice, changed, intake, exhaust, test, notes);
  }

  public Job withNotes(String changed) {
    return new Job(name, purpose, units, practice, engine, intake, exhaust, test, changed);
  }

  public Job withTest(TestPlan changed) {
    return new Job(name, purpose, units, practice, engine, intake, exhaust, changed, notes);
  }

  public Job withName(String changedName, String changedPurpose) {
    return new Job(
        changedName, changedPurpose, units, practice, engine, intake, exhaust, test, notes);
  }
}
