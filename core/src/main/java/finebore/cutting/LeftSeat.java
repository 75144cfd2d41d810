package finebore.cutting;

import finebore.cutting.Cutting.CameIn;
import finebore.cutting.Cutting.Step;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.seat.ShownCut;
import finebore.seat.Throat;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.List;

/**
 * Names what operations have left, so that contact and flow can be worked out on it: the cuts that
 * were asked for in the order they lie in, and old metal beside them as what it is.
 */
final class LeftSeat {

  /** A single cut within this of the wanted sealing angle is the seat. */
  static final double SAME_ANGLE_DEG = 0.3;

  private static final double LEAST_SEAT_DEG = 10;
  private static final double MOST_SEAT_DEG = 75;

  private LeftSeat() {}

  private record Asked(int id, Cut cut, boolean isUndercut) {}

  static SeatSection of(Seat found, Seat wanted, Metal metal, List<Step> steps) {
    int sealing = sealingIn(wanted, steps, found);
    boolean fresh = sealing >= found.cuts().size();
    Profile wall = metal.wall();
    List<Asked> asked = ordered(found, steps, wall, fresh);
    int sealingPlace = place(asked, sealing);
    List<Surface> surfaces = new ArrayList<>();
    boolean below = false;
    for (Surface surface : wall.surfaces()) {
      if (surface.part() != Part.CUT) {
        surfaces.add(surface);
        continue;
      }
      below |= surface.index() == sealing;
      int at = place(asked, surface.index());
      if (at >= 0) {
        surfaces.add(Surface.cut(at, surface.angleDeg()));
      } else {
        surfaces.add(surface.old(below));
      }
    }
    List<ShownCut> shown = new ArrayList<>();
    for (int k = 0; k < asked.size(); k++) {
      shown.add(
          new ShownCut(
              k,
              asked.get(k).cut(),
              Cutting.shownMm(wall, asked.get(k).id()),
              asked.get(k).isUndercut()));
    }
    Profile named = new Profile(wall.points(), surfaces);
    List<Cut> cuts = asked.stream().map(Asked::cut).toList();
    return new SeatSection(
        seat(fresh ? wanted : found, cuts, sealingPlace, named, wanted), named, shown);
  }

  /** Number of the cut that is to carry the valve. */
  static int sealingIn(Seat wanted, List<Step> steps, Seat found) {
    int sealing = found.sealing();
    double angle = wanted.sealingCut().angleDeg();
    for (Step step : steps) {
      if (step.cameIn().isEmpty()) {
        continue;
      }
      if (step.operation() instanceof CutForm) {
        sealing = step.cameIn().get(wanted.sealing()).id();
      } else if (step.operation() instanceof CutAngle cut
          && Math.abs(cut.angleDeg() - angle) < SAME_ANGLE_DEG
          && cut.angleDeg() >= LEAST_SEAT_DEG
          && cut.angleDeg() <= MOST_SEAT_DEG) {
        sealing = step.cameIn().getFirst().id();
      }
    }
    return sealing;
  }

  private static int place(List<Asked> asked, int id) {
    for (int k = 0; k < asked.size(); k++) {
      if (asked.get(k).id() == id) {
        return k;
      }
    }
    return -1;
  }

  /**
   * All cuts asked for, in the order they lie in; one that never shows stands after the one it was
   * asked for with. Old cuts count only while no new one carries the valve.
   */
  private static List<Asked> ordered(Seat found, List<Step> steps, Profile wall, boolean fresh) {
    List<Asked> inSteps = new ArrayList<>();
    if (!fresh) {
      for (int k = 0; k < found.cuts().size(); k++) {
        inSteps.add(new Asked(k, found.cuts().get(k), false));
      }
    }
    for (Step step : steps) {
      for (CameIn came : step.cameIn()) {
        inSteps.add(new Asked(came.id(), came.cut(), step.operation() instanceof CutUnder));
      }
    }
    List<Asked> ordered = new ArrayList<>();
    for (Surface surface : wall.surfaces()) {
      if (surface.part() == Part.CUT && place(ordered, surface.index()) < 0) {
        inSteps.stream().filter(a -> a.id() == surface.index()).forEach(ordered::add);
      }
    }
    for (int k = 0; k < inSteps.size(); k++) {
      if (place(ordered, inSteps.get(k).id()) < 0) {
        int before = k == 0 ? -1 : place(ordered, inSteps.get(k - 1).id());
        ordered.add(before + 1, inSteps.get(k));
      }
    }
    return ordered;
  }

  private static Seat seat(Seat base, List<Cut> cuts, int sealing, Profile wall, Seat wanted) {
    double throatR = Double.POSITIVE_INFINITY;
    double throatLength = 0;
    Point edge = new Point(base.outsideDiameterMm() / 2, -base.depthMm());
    boolean edgeSeen = false;
    for (int k = 0; k < wall.segmentCount(); k++) {
      Surface surface = wall.surfaces().get(k);
      if (surface.part() == Part.THROAT) {
        throatR = Math.min(throatR, wall.end(k).r());
        throatLength += wall.length(k);
      }
      if (!edgeSeen && surface.part() == Part.CUT && surface.index() == sealing) {
        edge = wall.start(k);
        edgeSeen = true;
      }
    }
    if (Double.isInfinite(throatR)) {
      throatR = wall.narrowestR();
    }
    // What is left so near the axis is no seat; the smallest that can be told stands for it.
    double outside =
        Math.max(Math.max(2 * edge.r(), Quantity.SEAT_OUTSIDE.min()), 2 * throatR + 0.001);
    List<Arc> arcs = new ArrayList<>(wanted.stack().arcs());
    arcs.addAll(base.stack().arcs());
    return new Seat(
        CutStack.folded(cuts, sealing, arcs),
        outside,
        Math.max(0, -edge.z()),
        new Throat(2 * throatR, Math.min(throatLength, 60)),
        new Bowl(2 * wall.points().getLast().r(), wanted.bowlDepthMm()),
        base.roofAngleDeg());
  }
}
