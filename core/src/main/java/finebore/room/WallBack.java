package finebore.room;

import finebore.space.Rim;
import java.util.ArrayList;
import java.util.List;

/**
 * How far to take the chamber wall back in one direction, all from the valve's axis, mm.
 *
 * @param nowMm where it stands
 * @param freeMm from where it takes less than a hundredth, by the model, while the valve stands at
 *     the lift asked for
 * @param ruleMm the rule of thumb: valve radius + depth x discharge
 * @param limit never to be passed
 */
public record WallBack(double nowMm, double freeMm, double ruleMm, WallLimit limit) {

  private static final double FAR_MM = 200;

  private static final int HALVINGS = 50;

  public double limitMm() {
    return limit.mm();
  }

  /** What is to be taken away to get the wall free, but never past the limit, mm. */
  public double takeMm() {
    return Math.max(0, Math.min(freeMm, limitMm()) - nowMm);
  }

  /** Whether the limit comes before the wall is free. */
  public boolean isHeld() {
    return limitMm() < freeMm;
  }

  /**
   * Every direction of a room whose wall was measured.
   *
   * @param edgeMm radius of the head
   * @param heightMm of its edge at the lift asked for
   * @param gateMm2 gate at that lift
   * @param limits by direction
   */
  public static List<WallBack> of(
      Room room, double edgeMm, double heightMm, double gateMm2, List<WallLimit> limits) {
    ChamberWall wall = room.chamber().orElseThrow();
    List<WallBack> all = new ArrayList<>();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      double discharge = room.portSide().discharge(Around.angleRad(d));
      double wanted = Shroud.freePerRadianMm2(gateMm2, discharge);
      all.add(
          new WallBack(
              wall.atMm(d),
              freeMm(room, d, edgeMm, heightMm, wanted),
              Unshrouding.radius(edgeMm, wall.depthAtMm(d), discharge),
              limits.get(d)));
    }
    return all;
  }

  /**
   * Where a wall alone would leave the area wanted, from the axis at the head face; by halving, for
   * it only ever grows. A leaning head does not stand on that place, so that the way out past its
   * edge is looked at from where it stands.
   */
  private static double freeMm(
      Room room, int direction, double edgeMm, double heightMm, double wanted) {
    Rim rim = room.rim(edgeMm, heightMm);
    double ux = Math.sin(Around.angleRad(direction));
    double uy = Math.cos(Around.angleRad(direction));
    double low = 0;
    double high = FAR_MM;
    for (int k = 0; k < HALVINGS; k++) {
      double middle = (low + high) / 2;
      double x = room.alongMm() + middle * ux - rim.alongMm();
      double y = room.acrossMm() + middle * uy - rim.acrossMm();
      double out = Math.hypot(x, y);
      // Behind the head's middle no wall leaves anything.
      boolean behind = x * ux + y * uy <= 0;
      double reach = out == 0 ? edgeMm : rim.reachMm(x / out, y / out);
      double over = out == 0 ? 0 : Math.max(0, rim.heightMm(x / out, y / out));
      Room.Gap gap = Room.Gap.to(Room.Nearest.CHAMBER, reach, out - reach, over);
      if (behind || gap.perRadianMm2() < wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return high;
  }
}
