package finebore.planning;

import finebore.cutting.Cutting;
import finebore.cutting.Metal;
import finebore.found.Ring;
import finebore.found.WaterReading;
import finebore.section.Point;
import finebore.section.Region;
import finebore.section.Surface.Part;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What metal the cuts leave where it counts, each the least over all sides of the seat.
 *
 * @param ringWallMm from the sealing cut's outside to the ring's, on the radius; negative when the
 *     seat reaches past the ring
 * @param ringFloorMm from the lowest cut down to the ring's floor; negative when cut through
 * @param waterMm from the wall to where the jacket is known to lie; negative by how far the wall
 *     has gone past it
 */
public record MetalLeft(
    OptionalDouble ringWallMm, OptionalDouble ringFloorMm, OptionalDouble waterMm) {

  /** Measures it on finished metal. */
  public static MetalLeft of(Cutting cutting) {
    double wall = Double.POSITIVE_INFINITY;
    double floor = Double.POSITIVE_INFINITY;
    double water = Double.POSITIVE_INFINITY;
    for (Cutting.Side side : cutting.finishedSides()) {
      Metal metal = side.metal();
      Region region = metal.region();
      for (WaterReading reading : cutting.found().water()) {
        water = Math.min(water, toWater(metal, region, reading));
      }
      if (metal.ring().isPresent()) {
        Ring ring = metal.ring().get();
        for (int k = 0; k < metal.wall().segmentCount(); k++) {
          if (metal.wall().surfaces().get(k).part() == Part.CUT
              && metal.wall().surfaces().get(k).index() >= firstCut(cutting)) {
            wall = Math.min(wall, ring.outsideDiameterMm() / 2 - sealingR(cutting, metal));
            floor = Math.min(floor, metal.wall().end(k).z() - ring.floorZ());
          }
        }
      }
    }
    return new MetalLeft(finite(wall), finite(floor), finite(water));
  }

  /** Cuts of the plan count once there are any; until then those found. */
  private static int firstCut(Cutting cutting) {
    boolean cuts = cutting.steps().stream().anyMatch(s -> !s.cameIn().isEmpty());
    return cuts ? cutting.found().seat().cuts().size() : 0;
  }

  private static double sealingR(Cutting cutting, Metal metal) {
    double widest = cutting.finished().seat().outsideDiameterMm() / 2;
    return Math.min(widest, metal.wall().points().getFirst().r());
  }

  /** Walls as found stand as far off as was read; only new ones can have come nearer. */
  private static double toWater(Metal metal, Region region, WaterReading reading) {
    double past = 0;
    for (Point p : reading.line()) {
      if (!region.holds(p)) {
        past = Math.max(past, Region.distance(metal.wall().points(), List.of(p)));
      }
    }
    double least = reading.thicknessMm();
    for (int k = 0; k < metal.wall().segmentCount(); k++) {
      if (metal.madeBy().get(k) > 0) {
        List<Point> stretch = List.of(metal.wall().start(k), metal.wall().end(k));
        least = Math.min(least, Region.distance(stretch, reading.line()));
      }
    }
    return past > 0 ? -past : least;
  }

  private static OptionalDouble finite(double value) {
    return Double.isInfinite(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
