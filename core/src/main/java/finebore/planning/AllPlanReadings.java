package finebore.planning;

import finebore.study.Reading;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Every reading that follows from a plan carried out on a seat. */
final class AllPlanReadings {

  private static final List<PlanReading> ALL =
      List.of(
          new Sink(),
          new RetainerToSeal(),
          new Neighbour(),
          new BoreWall(),
          new PistonClearance(),
          new ValveClearance(),
          new CleanUpDepth(),
          new PastCleanUp(),
          new Spacer(),
          new TipGrind(),
          new SpringHeight(),
          new RingWall(),
          new RingFloor(),
          new WallToWater(),
          new RingBridge(),
          new FireRingGap(),
          new MetalRemoved(),
          new ChamberChange(),
          new Compression());

  private AllPlanReadings() {}

  /** Those that there are. */
  static List<Reading> of(CutStudy cut) {
    return of(cut, r -> true);
  }

  /** Those of what differs where walls were taken back otherwise and the seat is cut as before. */
  static List<Reading> ofWalls(CutStudy cut) {
    return of(cut, PlanReading::hangsOnWalls);
  }

  /** Whether one of those is of a kind. */
  static boolean isOfWalls(ReadingKind kind) {
    return ALL.stream().anyMatch(r -> r.kind() == kind && r.hangsOnWalls());
  }

  private static List<Reading> of(CutStudy cut, Predicate<PlanReading> which) {
    return ALL.stream()
        .filter(which)
        .flatMap(
            r -> {
              OptionalDouble value = r.of(cut);
              return value.isPresent()
                  ? Stream.of(new Reading(r.kind(), value.getAsDouble()))
                  : Stream.empty();
            })
        .toList();
  }
}
