package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.cutting.CleanUp.Wall;
import finebore.cutting.Cutting.CameIn;
import finebore.cutting.Cutting.Side;
import finebore.cutting.Cutting.Step;
import finebore.found.FoundSeat;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Region;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The seat on the machine: the metal as it stands, on the mean section and on the sides that
 * differ, and what was done to it so far. Operations carry themselves out on it.
 */
final class Workpiece {

  /**
   * What an operation does, but for the metal it leaves.
   *
   * @param depthMm where its tool stops below the head face; empty for hand work
   */
  record Stroke(
      Operation operation,
      OptionalDouble depthMm,
      Optional<CleanUp> cleanUp,
      List<Cut> cuts,
      OptionalDouble hangsUpMm) {

    static Stroke of(Operation operation, double depthMm) {
      return new Stroke(
          operation,
          OptionalDouble.of(depthMm),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty());
    }

    static Stroke byHand(Operation operation) {
      return new Stroke(
          operation, OptionalDouble.empty(), Optional.empty(), List.of(), OptionalDouble.empty());
    }

    Stroke with(CleanUp clean) {
      return new Stroke(operation, depthMm, Optional.of(clean), cuts, hangsUpMm);
    }

    Stroke with(List<Cut> asked) {
      return new Stroke(operation, depthMm, cleanUp, asked, hangsUpMm);
    }

    Stroke withHangUp(OptionalDouble mm) {
      return new Stroke(operation, depthMm, cleanUp, cuts, mm);
    }
  }

  /** What becomes of the metal at a side. */
  @FunctionalInterface
  interface Shaping {
    Metal of(Metal metal, boolean isMean);
  }

  /** Volumes less than this are left by rounding, mm3. */
  private static final double ROUNDING_MM3 = 1e-6;

  private final FoundSeat found;
  private final Seat wanted;
  private final SeatSection ideal;
  private final List<Side> asFound = new ArrayList<>();
  private List<Side> sides;
  private final List<Step> steps = new ArrayList<>();
  private int nextCut;

  Workpiece(FoundSeat found, Seat wanted) {
    this.found = found;
    this.wanted = wanted;
    this.ideal = SeatSection.of(wanted, Tolerance.FINE);
    this.nextCut = found.seat().cuts().size();
    double bottom =
        Math.min(
            ideal.profile().points().getLast().z(),
            found.section().profile().points().getLast().z());
    asFound.add(new Side(12, Metal.found(found.section().profile(), found.ring(), bottom)));
    for (double clock : found.sides()) {
      asFound.add(new Side(clock, Metal.found(found.wallAt(clock), found.ring(), bottom)));
    }
    sides = asFound;
  }

  Cutting run(List<Operation> operations) {
    for (Operation operation : operations) {
      try {
        operation.carryOut(this);
      } catch (RuleViolation e) {
        steps.add(Step.notDone(operation, sides, e.violated()));
      }
    }
    return new Cutting(found, wanted, asFound, steps);
  }

  Seat wanted() {
    return wanted;
  }

  /** The wall as it stands, everything at its mean. */
  Profile wall() {
    return sides.getFirst().metal().wall();
  }

  List<Wall> walls() {
    return sides.stream().map(s -> new Wall(s.clock(), s.metal().wall())).toList();
  }

  /** Number of the operation that is being carried out, from 1. */
  int stepNumber() {
    return steps.size() + 1;
  }

  /** Number of the cut that carries the valve as things stand. */
  int sealingCut() {
    return LeftSeat.sealingIn(wanted, steps, found.seat());
  }

  /** Depth that leaves nothing standing of the throat that is there, nor of the wanted one. */
  double throughThroatMm() {
    double lowest = wantedThroatEndZ();
    for (int k = 0; k < wall().segmentCount(); k++) {
      if (wall().surfaces().get(k).part() == Part.THROAT) {
        lowest = Math.min(lowest, wall().end(k).z());
      }
    }
    return -lowest;
  }

  double wantedThroatEndZ() {
    Profile wall = ideal.profile();
    for (int k = 0; k < wall.segmentCount(); k++) {
      if (wall.surfaces().get(k).part() == Part.THROAT) {
        return wall.end(k).z();
      }
    }
    return wall.points().get(wall.segmentCount() - 1).z();
  }

  /**
   * Depth at which a cone of an angle lies in the line of the wanted seat's cut of that angle, told
   * at a radius; empty where the wanted seat has none.
   */
  OptionalDouble plannedMm(double angleDeg, double r) {
    List<Cut> cuts = wanted.cuts();
    Form form = Form.of(cuts, wanted.sealing(), wanted.outsideDiameterMm());
    List<Point> points = form.at(wanted.depthMm());
    for (int k = 0; k < cuts.size(); k++) {
      if (Math.abs(cuts.get(k).angleDeg() - angleDeg) < LeftSeat.SAME_ANGLE_DEG) {
        Point from = points.get(k);
        return OptionalDouble.of(
            -from.z() + (from.r() - r) * Math.tan(Math.toRadians(cuts.get(k).angleDeg())));
      }
    }
    return OptionalDouble.empty();
  }

  /** Whether metal stands above a form's nose, within it, on any side. */
  boolean standsWithin(Point nose) {
    return sides.stream()
        .flatMap(s -> s.metal().wall().points().stream())
        .anyMatch(p -> p.z() > nose.z() + 0.01 && p.r() < nose.r() - Form.LIP_MM);
  }

  double depth(Plunge plunge, CleanUp clean, double planned) {
    return switch (plunge) {
      case Plunge.AsPlanned() -> planned;
      case Plunge.ToDepth(double mm) -> mm;
      case Plunge.UntilClean(double extra, boolean all) ->
          (all ? clean.allMm() : clean.sealingMm()).orElse(planned) + extra;
    };
  }

  /** Surfaces for cuts that are about to be made. */
  List<Surface> surfaces(List<Cut> cuts) {
    List<Surface> surfaces = new ArrayList<>();
    for (int k = 0; k < cuts.size(); k++) {
      surfaces.add(Surface.cut(nextCut + k, cuts.get(k).angleDeg()));
    }
    return surfaces;
  }

  /** Height of a wall at a radius; inside the throat, of its edge. */
  static double topAt(Profile wall, double r) {
    double far = wall.points().getFirst().r();
    return wall.topAt(Math.clamp(r, wall.narrowestR(), far));
  }

  /** Cuts with a tool that asks for no cuts of its own. */
  void cut(Operation operation, double depthMm, Tool tool) {
    cut(Stroke.of(operation, depthMm), tool);
  }

  /** Cuts with a tool on every side. */
  void cut(Stroke stroke, Tool tool) {
    shape(stroke, (metal, isMean) -> metal.cutBy(tool, stepNumber()));
  }

  /** Shapes the metal of every side, the mean first. */
  void shape(Stroke stroke, Shaping shaping) {
    List<Side> after = new ArrayList<>();
    for (Side side : sides) {
      after.add(new Side(side.clock(), shaping.of(side.metal(), after.isEmpty())));
    }
    Region before = sides.getFirst().metal().region();
    Region left = after.getFirst().metal().region();
    // Only a ring puts metal in: without one, what went is the difference of the volumes.
    boolean putsIn = stroke.operation() instanceof FitRing;
    double gone = putsIn ? before.minus(left).volumeMm3() : before.volumeMm3() - left.volumeMm3();
    double added = putsIn ? left.minus(before).volumeMm3() : 0;
    steps.add(
        new Step(
            stroke.operation(),
            stroke.depthMm(),
            stroke.cleanUp(),
            cameIn(stroke.cuts(), after),
            stroke.hangsUpMm(),
            gone > ROUNDING_MM3 ? gone : 0,
            added,
            after,
            Optional.empty()));
    nextCut += stroke.cuts().size();
    sides = after;
  }

  private List<CameIn> cameIn(List<Cut> cuts, List<Side> after) {
    List<CameIn> came = new ArrayList<>();
    for (int k = 0; k < cuts.size(); k++) {
      int id = nextCut + k;
      double[] shown =
          after.stream().mapToDouble(s -> Cutting.shownMm(s.metal().wall(), id)).toArray();
      came.add(
          new CameIn(
              id,
              cuts.get(k),
              shown[0],
              Arrays.stream(shown).min().orElseThrow(),
              Arrays.stream(shown).max().orElseThrow()));
    }
    return came;
  }
}
