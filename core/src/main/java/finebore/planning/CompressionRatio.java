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

/** The compression ratio that a cylinder has once all its seats are cut as planned. */
final class CompressionRatio {

  private CompressionRatio() {}

  /**
   * From the ratio as found, the swept volume, and by how much every seat of the cylinder enlarges
   * its chamber.
   *
   * @param ownChangeMm3 by how much the seat does itself
   */
  static OptionalDouble of(Job job, SeatPlace place, double ownChangeMm3) {
    double ratio = job.head().compressionRatio().getAsDouble();
    double bore = job.engine().boreMm();
    double swept = Math.PI / 4 * bore * bore * job.engine().strokeMm();
    double space = swept / (ratio - 1);
    double change = ownChangeMm3;
    for (SeatPlace other : job.engine().seats()) {
      if (other.cylinder() == place.cylinder() && !other.equals(place)) {
        change += changeMm3(job, other);
      }
    }
    return OptionalDouble.of((swept + space + change) / (space + change));
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
        .orElse(0);
  }

  /** Work in the port does not change the chamber. */
  private static boolean reachesChamber(Operation operation) {
    return !(operation instanceof OpenBowl
        || operation instanceof Blend blend && blend.side() == Blend.Side.PORT);
  }
}
