package finebore.planning;

import finebore.cutting.Blend;
import finebore.cutting.Cutting;
import finebore.cutting.OpenBowl;
import finebore.cutting.Operation;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** The compression ratio that a cylinder has once all its seats are cut as planned. */
final class CompressionRatio {

  private CompressionRatio() {}

  /**
   * From the ratio as found, the swept volume, and by how much every seat of the cylinder enlarges
   * its chamber.
   *
   * @param ownChangeMm3 by how much the seat does itself
   */
  static OptionalDouble of(CutStudy cut, double ownChangeMm3) {
    double twins = cut.twinsMm3().orElseGet(() -> twins(cut.job(), cut.place()));
    return of(cut.job(), ownChangeMm3 + cut.strangersMm3() + twins);
  }

  /**
   * The same, from what all of them come to.
   *
   * @param changeMm3 by how much the seats of a cylinder enlarge its chamber
   */
  static OptionalDouble of(Job job, double changeMm3) {
    double ratio = job.head().compressionRatio().getAsDouble();
    double swept = job.engine().sweptMm3();
    double space = swept / (ratio - 1);
    return OptionalDouble.of((swept + space + changeMm3) / (space + changeMm3));
  }

  /** By how much those enlarge a seat's chamber that follow its plan, mm3. */
  static double twins(Job job, SeatPlace place) {
    List<SeatPlace> alike = job.alike(place);
    return changeMm3(job, others(job, place).filter(alike::contains));
  }

  /**
   * By how much the seats of a cylinder enlarge its chamber that are cut by another plan than one
   * of them, mm3; 0 where no ratio is known.
   */
  static double strangers(Job job, SeatPlace place) {
    List<SeatPlace> alike = job.alike(place);
    return job.head().compressionRatio().isPresent()
        ? changeMm3(job, others(job, place).filter(other -> !alike.contains(other)))
        : 0;
  }

  private static Stream<SeatPlace> others(Job job, SeatPlace place) {
    return job.engine().seats().stream()
        .filter(other -> other.cylinder() == place.cylinder() && !other.equals(place));
  }

  private static double changeMm3(Job job, Stream<SeatPlace> places) {
    return places.mapToDouble(place -> changeMm3(job, place)).sum();
  }

  /** How much another seat of the cylinder enlarges the chamber by its own plan, mm3. */
  private static double changeMm3(Job job, SeatPlace place) {
    Plan plan = job.planOf(place);
    List<Operation> inChamber =
        plan.operations().stream().filter(CompressionRatio::reachesChamber).toList();
    Cutting cutting = Cutting.of(job.foundSeat(place), plan.wanted().seat(), inChamber);
    return ChamberSpace.change(
                job.foundSeat(place).section(),
                job.foundValve(place),
                cutting.finished(),
                plan.wanted().valve())
            .orElse(0)
        + WallsTaken.volumeMm3(job, place, plan);
  }

  /** Work in the port does not change the chamber. */
  private static boolean reachesChamber(Operation operation) {
    return !(operation instanceof OpenBowl
        || operation instanceof Blend blend && blend.side() == Blend.Side.PORT);
  }
}
