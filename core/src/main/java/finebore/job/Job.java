package finebore.job;

import finebore.bench.BenchBook;
import finebore.job.Engine.SeatPlace;
import finebore.units.UnitSystem;
import java.util.Map;
import java.util.TreeMap;

/**
 * A whole job. Immutable: every edit makes a new one.
 *
 * @param name the engine or customer's word for it
 * @param purpose what it is to be used for, free text
 * @param units how its numbers are shown
 * @param practice id of the practice its findings follow
 * @param engine the engine
 * @param head what was measured of the head
 * @param intake all intake seats
 * @param exhaust all exhaust seats
 * @param exceptions plans of single seats that do not follow their group, by label
 * @param test how flow is looked at
 * @param bench flow tests and the ranges of the bench
 * @param notes free text
 */
public record Job(
    String name,
    String purpose,
    UnitSystem units,
    String practice,
    Engine engine,
    Head head,
    Group intake,
    Group exhaust,
    Map<String, Plan> exceptions,
    TestPlan test,
    BenchBook bench,
    String notes) {

  public Job {
    exceptions = Map.copyOf(exceptions);
    if (name.isBlank() || name.length() > 200) {
      throw new IllegalArgumentException(
          "job name must have 1 to 200 characters, had " + name.length());
    }
  }

  public Group group(Port port) {
    return port == Port.INTAKE ? intake : exhaust;
  }

  /** The plan a seat follows: its own, or its group's. */
  public Plan planOf(SeatPlace seat) {
    return exceptions.getOrDefault(seat.label(), group(seat.port()).plan());
  }

  public boolean isException(SeatPlace seat) {
    return exceptions.containsKey(seat.label());
  }

  /** Where things lie in the head, as measured or as taken from the bore. */
  public HeadLayout layout() {
    return head.layout().orElseGet(() -> HeadLayout.about(engine));
  }

  public Job withGroup(Port port, Group changed) {
    return port == Port.INTAKE
        ? new Job(
            name,
            purpose,
            units,
            practice,
            engine,
            head,
            changed,
            exhaust,
            exceptions,
            test,
            bench,
            notes)
        : new Job(
            name,
            purpose,
            units,
            practice,
            engine,
            head,
            intake,
            changed,
            exceptions,
            test,
            bench,
            notes);
  }

  public Job withPlanned(Port port, Pairing planned) {
    return withGroup(port, group(port).withPlanned(planned));
  }

  /** With another plan for a seat: its own where it is an exception, its group's otherwise. */
  public Job withPlan(SeatPlace seat, Plan changed) {
    return isException(seat)
        ? withException(seat, changed)
        : withGroup(seat.port(), group(seat.port()).withPlan(changed));
  }

  /** With a plan of its own for a seat. */
  public Job withException(SeatPlace seat, Plan plan) {
    Map<String, Plan> changed = new TreeMap<>(exceptions);
    changed.put(seat.label(), plan);
    return withExceptions(changed);
  }

  /** With a seat following its group again. */
  public Job withoutException(SeatPlace seat) {
    Map<String, Plan> changed = new TreeMap<>(exceptions);
    changed.remove(seat.label());
    return withExceptions(changed);
  }

  private Job withExceptions(Map<String, Plan> changed) {
    return new Job(
        name, purpose, units, practice, engine, head, intake, exhaust, changed, test, bench, notes);
  }

  public Job withUnits(UnitSystem changed) {
    return new Job(
        name,
        purpose,
        changed,
        practice,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        notes);
  }

  public Job withPractice(String changed) {
    return new Job(
        name,
        purpose,
        units,
        changed,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        notes);
  }

  public Job withEngine(Engine changed) {
    return new Job(
        name,
        purpose,
        units,
        practice,
        changed,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        notes);
  }

  public Job withHead(Head changed) {
    return new Job(
        name,
        purpose,
        units,
        practice,
        engine,
        changed,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        notes);
  }

  public Job withNotes(String changed) {
    return new Job(
        name,
        purpose,
        units,
        practice,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        changed);
  }

  public Job withTest(TestPlan changed) {
    return new Job(
        name,
        purpose,
        units,
        practice,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        changed,
        bench,
        notes);
  }

  public Job withBench(BenchBook changed) {
    return new Job(
        name,
        purpose,
        units,
        practice,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        changed,
        notes);
  }

  public Job withName(String changedName, String changedPurpose) {
    return new Job(
        changedName,
        changedPurpose,
        units,
        practice,
        engine,
        head,
        intake,
        exhaust,
        exceptions,
        test,
        bench,
        notes);
  }
}
