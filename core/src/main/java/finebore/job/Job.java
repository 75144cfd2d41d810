package finebore.job;

import finebore.bench.BenchBook;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * A whole job. Immutable: every edit makes a new one. Plans that nobody has set anything of follow
 * the head as found in whatever job they are in.
 *
 * @param identity what it is called
 * @param settings how it is looked at
 * @param engine the engine
 * @param head what was measured of the head
 * @param intake all intake seats
 * @param exhaust all exhaust seats
 * @param exceptions plans of single seats that do not follow their group, by label
 * @param bench flow tests and the ranges of the bench
 * @param log what was done and read at the machine; only ever grows
 * @param shop how the shop works, and what stands at the head of its card
 */
@RecordBuilder
public record Job(
    JobIdentity identity,
    JobSettings settings,
    Engine engine,
    Head head,
    Group intake,
    Group exhaust,
    Map<String, Plan> exceptions,
    BenchBook bench,
    WorkLog log,
    ShopSettings shop)
    implements JobBuilder.With {

  public Job {
    intake = following(intake, engine, head, Port.INTAKE);
    exhaust = following(exhaust, engine, head, Port.EXHAUST);
    exceptions = Map.copyOf(exceptions);
  }

  /** A group whose untouched plans are what its seats were found to be. */
  private static Group following(Group group, Engine engine, Head head, Port port) {
    if (group.plans().stream().noneMatch(Plan::follows)) {
      return group;
    }
    List<String> labels =
        engine.seats().stream().filter(s -> s.port() == port).map(SeatPlace::label).toList();
    Pairing typical = TypicalSeat.of(group.found(), head, labels);
    return group.withPlans(group.plans().stream().map(p -> p.withFound(typical)).toList());
  }

  public String name() {
    return identity.name();
  }

  public String purpose() {
    return identity.purpose();
  }

  public String notes() {
    return identity.notes();
  }

  public Units units() {
    return settings.units();
  }

  public String practice() {
    return settings.practice();
  }

  public TestPlan test() {
    return settings.test();
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

  /** All seats of one kind. */
  public List<SeatPlace> seats(Port port) {
    return engine.seats().stream().filter(s -> s.port() == port).toList();
  }

  /** The seats that follow the same plan as a seat, itself among them. */
  public List<SeatPlace> alike(SeatPlace seat) {
    return isException(seat)
        ? List.of(seat)
        : seats(seat.port()).stream().filter(s -> !isException(s)).toList();
  }

  /** One seat of each plan there is: the first that follows it. */
  public List<SeatPlace> plans() {
    List<SeatPlace> first = new ArrayList<>();
    for (Port port : Port.values()) {
      seats(port).stream().filter(s -> !isException(s)).findFirst().ifPresent(first::add);
      seats(port).stream().filter(this::isException).forEach(first::add);
    }
    return first;
  }

  /** A seat as found, with its readings. */
  public FoundSeat foundSeat(SeatPlace place) {
    return FoundSeat.of(
        group(place.port()).found().seat(),
        head.readingsOf(place.label()),
        foundValve(place).headDiameterMm());
  }

  /** The valve that was found on a seat, with what was measured of it. */
  public Valve foundValve(SeatPlace place) {
    return TypicalSeat.valve(
        group(place.port()).found().valve(), List.of(head.readingsOf(place.label())));
  }

  /** What seats of a kind were found to be like, from all readings of them. */
  public Pairing typical(Port port) {
    return TypicalSeat.of(
        group(port).found(), head, seats(port).stream().map(SeatPlace::label).toList());
  }

  /** Where things lie in the head, as measured or as taken from the bore. */
  public HeadLayout layout() {
    return head.layout().orElseGet(() -> HeadLayout.about(engine));
  }

  /** How a seat's valve leans: as read of itself, or as all of its kind do. */
  public Lean leanOf(SeatPlace place) {
    SeatReadings readings = head.readingsOf(place.label());
    HeadLayout layout = layout();
    boolean isIntake = place.port() == Port.INTAKE;
    return new Lean(
        readings
            .value(Measure.LEAN_ALONG)
            .orElse(isIntake ? layout.intakeCantDeg() : layout.exhaustCantDeg()),
        readings
            .value(Measure.LEAN_ACROSS)
            .orElse(isIntake ? layout.intakeTiltDeg() : layout.exhaustTiltDeg()));
  }

  public Job withUnits(Units changed) {
    return withSettings(settings.withUnits(changed));
  }

  public Job withPractice(String changed) {
    return withSettings(settings.withPractice(changed));
  }

  public Job withTest(TestPlan changed) {
    return withSettings(settings.withTest(changed));
  }

  public Job withName(String changed) {
    return withIdentity(identity.withName(changed));
  }

  public Job withPurpose(String changed) {
    return withIdentity(identity.withPurpose(changed));
  }

  public Job withNotes(String changed) {
    return withIdentity(identity.withNotes(changed));
  }

  public Job withGroup(Port port, Group changed) {
    return port == Port.INTAKE ? withIntake(changed) : withExhaust(changed);
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
}
