package finebore.planning;

import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.room.AxisPlace;

/**
 * Where a valve is drawn while nobody has measured where it lies: intake and exhaust as far from
 * the bore's axis and from each other as was said of all of them, on the side away from the plug;
 * the rest from the valves' sizes.
 */
public final class UsualPlace {

  /** Room left between valves of a kind where nobody has measured it, mm. */
  public static final double APART_MM = 2;

  private UsualPlace() {}

  public static AxisPlace of(Job job, SeatPlace place) {
    HeadLayout layout = job.layout();
    Group intake = job.intake();
    Group exhaust = job.exhaust();
    double spacing =
        job.engine()
            .valveSpacingMm()
            .orElse(
                (intake.planned().valve().headDiameterMm()
                            + exhaust.planned().valve().headDiameterMm())
                        / 2
                    + APART_MM);
    double toIntake = intake.axisFromBoreMm().orElse(spacing / 2);
    double toExhaust = exhaust.axisFromBoreMm().orElse(spacing / 2);
    double along =
        (toExhaust * toExhaust - toIntake * toIntake - spacing * spacing) / (2 * spacing);
    double beside = Math.sqrt(Math.max(0, toIntake * toIntake - along * along));
    double angle = Math.toRadians(layout.valveLineDeg());
    double ux = Math.cos(angle);
    double uy = Math.sin(angle);
    boolean plugLeft = -uy * layout.plugXMm() + ux * layout.plugYMm() > 0;
    double q = plugLeft ? -beside : beside;
    double p = place.port() == Port.INTAKE ? along : along + spacing;
    double head = job.planOf(place).wanted().valve().headDiameterMm();
    int count = job.engine().valvesPerCylinder(place.port());
    double spread = (place.ofItsKind() - (count - 1) / 2.0) * (head + APART_MM);
    double sideways = count == 1 ? q : spread;
    return new AxisPlace(p * ux - sideways * uy, p * uy + sideways * ux);
  }
}
