package finebore.cutting;

import finebore.cutting.CleanUp.Wall;
import finebore.found.FoundSeat;
import finebore.found.Ring;
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
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A sequence of operations carried out on the metal as found: each takes away what its tool sweeps
 * from above, and only a ring puts any back.
 *
 * <p>A seat that is not round is cut on several sides at once, so that depths which depend on the
 * metal hold all round; the first side is the seat with everything at its mean.
 *
 * @param found the seat as found
 * @param wanted what the plan wants of seat and throat; open settings are taken from it
 * @param sides metal as found at each side
 * @param steps what each operation did, in order
 */
public record Cutting(FoundSeat found, Seat wanted, List<Side> sides, List<Step> steps) {

  /** A single cut that the wanted seat does not have counts as clean from this width on, mm. */
  private static final double NARROW_MM = 0.5;

  /** Metal at a clock position, hours; the first side is the mean. */
  public record Side(double clock, Metal metal) {}

  /**
   * One cut that an operation asked for.
   *
   * @param id its number among all cuts of the plan, from the number of found cuts on
   * @param cut as asked
   * @param shownMm width left showing on the mean section
   * @param leastMm on the side where least shows
   * @param mostMm on the side where most shows
   */
  public record CameIn(int id, Cut cut, double shownMm, double leastMm, double mostMm) {}

  /**
   * What one operation did.
   *
   * @param operation the operation
   * @param depthMm where its tool stopped below the head face; empty for hand work
   * @param cleanUp depths at which a form shows; empty for other tools
   * @param cameIn its cuts, from the chamber to the port
   * @param hangsUpMm throat diameter that must be opened first; empty when nothing hangs up
   * @param removed outlines of what went, on the mean section
   * @param removedMm3 volume of what went
   * @param addedMm3 volume that a ring put in beyond what it took
   * @param sides metal after it
   * @param problem why it could not be carried out; empty when it was
   */
  public record Step(
      Operation operation,
      OptionalDouble depthMm,
      Optional<CleanUp> cleanUp,
      List<CameIn> cameIn,
      OptionalDouble hangsUpMm,
      List<List<Point>> removed,
      double removedMm3,
      double addedMm3,
      List<Side> sides,
      String problem) {

    public Step {
      cameIn = List.copyOf(cameIn);
      removed = List.copyOf(removed);
      sides = List.copyOf(sides);
    }

    /** Metal after it, everything at its mean. */
    public Metal metal() {
      return sides.getFirst().metal();
    }
  }

  public Cutting {
    sides = List.copyOf(sides);
    steps = List.copyOf(steps);
  }

  /** Carries operations out. An operation that cannot be is passed over and says why. */
  public static Cutting of(FoundSeat found, Seat wanted, List<Operation> operations) {
    return new Machine(found, wanted).run(operations);
  }

  /** Metal after the last operation, or as found without any. */
  public Metal metal() {
    return steps.isEmpty() ? sides.getFirst().metal() : steps.getLast().metal();
  }

  /** Metal after so many operations. */
  public Metal metalAfter(int count) {
    return count == 0 ? sides.getFirst().metal() : steps.get(count - 1).metal();
  }

  /** Metal at every side after the last operation. */
  public List<Side> finishedSides() {
    return steps.isEmpty() ? sides : steps.getLast().sides();
  }

  /** The seat that all operations leave, for contact and flow. */
  public SeatSection finished() {
    return after(steps.size());
  }

  /** The seat that the first operations leave. */
  public SeatSection after(int count) {
    return LeftSeat.of(found.seat(), wanted, metalAfter(count), steps.subList(0, count));
  }

  /** Volume that all operations take, less what rings put in, mm3. */
  public double removedMm3() {
    return steps.stream().mapToDouble(s -> s.removedMm3() - s.addedMm3()).sum();
  }

  private static final class Machine {
    private final FoundSeat found;
    private final Seat wanted;
    private final SeatSection ideal;
    private final List<Side> asFound = new ArrayList<>();
    private List<Side> sides = new ArrayList<>();
    private final List<Step> steps = new ArrayList<>();
    private int nextCut;

    Machine(FoundSeat found, Seat wanted) {
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
          carryOut(operation);
        } catch (IllegalArgumentException e) {
          steps.add(notDone(operation, e.getMessage()));
        }
      }
      return new Cutting(found, wanted, asFound, steps);
    }

    /** An operation that cannot be carried out takes nothing and says why. */
    private Step notDone(Operation operation, String problem) {
      return new Step(
          operation,
          OptionalDouble.empty(),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty(),
          List.of(),
          0,
          0,
          sides,
          problem);
    }

    private void carryOut(Operation operation) {
      switch (operation) {
        case Operation.OpenThroat open -> {
          double end = open.depthMm().orElseGet(this::throughThroat);
          double diameter = open.diameterMm().orElse(wanted.throatDiameterMm());
          Surface side = Surface.of(Part.THROAT, "the throat");
          step(operation, end, Tool.tapered(diameter, open.taperDeg(), -end, side));
        }
        case Operation.CutForm form -> formCut(form);
        case Operation.CutAngle cut -> singleCut(cut);
        case Operation.SweepChamber sweep -> sweep(sweep);
        case Operation.CutUnder under -> cutUnder(under);
        case Operation.OpenBowl bowl -> openBowl(bowl);
        case Operation.Blend blend -> blend(blend);
        case Operation.FitRing fit -> fit(fit);
      }
    }

    private List<Wall> walls() {
      return sides.stream().map(s -> new Wall(s.clock(), s.metal().wall())).toList();
    }

    /** Depth that leaves nothing standing of the throat that is there, nor of the wanted one. */
    private double throughThroat() {
      Profile wall = sides.getFirst().metal().wall();
      double lowest = throatEndZ(ideal.profile());
      for (int k = 0; k < wall.segmentCount(); k++) {
        if (wall.surfaces().get(k).part() == Part.THROAT) {
          lowest = Math.min(lowest, wall.end(k).z());
        }
      }
      return -lowest;
    }

    private static double throatEndZ(Profile wall) {
      for (int k = 0; k < wall.segmentCount(); k++) {
        if (wall.surfaces().get(k).part() == Part.THROAT) {
          return wall.end(k).z();
        }
      }
      return wall.points().get(wall.segmentCount() - 1).z();
    }

    private void formCut(Operation.CutForm operation) {
      Form form =
          Form.of(
              wanted.cuts(),
              wanted.sealing(),
              operation.seatDiameterMm().orElse(wanted.outsideDiameterMm()));
      CleanUp clean = CleanUp.of(form, walls());
      double depth = depth(operation.plunge(), clean, wanted.depthMm());
      List<Point> points = form.at(depth);
      OptionalDouble hangsUp = OptionalDouble.empty();
      if (sides.stream().anyMatch(s -> standsWithin(s.metal().wall(), points.getLast()))) {
        hangsUp = OptionalDouble.of(2 * form.innerR());
      }
      step(
          operation,
          OptionalDouble.of(depth),
          Optional.of(clean),
          wanted.cuts(),
          hangsUp,
          Tool.plunged(points, cuts(wanted.cuts())));
    }

    /** Whether metal stands above a form's nose, within it. */
    private static boolean standsWithin(Profile wall, Point nose) {
      return wall.points().stream()
          .anyMatch(p -> p.z() > nose.z() + 0.01 && p.r() < nose.r() - Form.LIP_MM);
    }

    private static double depth(Plunge plunge, CleanUp clean, double planned) {
      return switch (plunge) {
        case Plunge.AsPlanned() -> planned;
        case Plunge.ToDepth(double mm) -> mm;
        case Plunge.UntilClean(double extra, boolean all) ->
            (all ? clean.allMm() : clean.sealingMm()).orElse(planned) + extra;
      };
    }

    private List<Surface> cuts(List<Cut> cuts) {
      List<Surface> surfaces = new ArrayList<>();
      for (int k = 0; k < cuts.size(); k++) {
        surfaces.add(new Surface(Part.CUT, nextCut + k, cuts.get(k).spoken()));
      }
      return surfaces;
    }

    /** A stone or blade: its cone runs on inward as far as there is metal. */
    private void singleCut(Operation.CutAngle operation) {
      double r = operation.edgeDiameterMm() / 2;
      double slope = Math.tan(Math.toRadians(operation.angleDeg()));
      double reach = Math.max(0.5, r - 1);
      Cut whole = new Cut(operation.angleDeg(), Math.min(50, reach / Math.cos(Math.atan(slope))));
      Form form = Form.of(List.of(whole), 0, operation.edgeDiameterMm());
      Form band = Form.of(List.of(whole.withWidth(bandMm(operation))), 0, 2 * r);
      CleanUp clean = CleanUp.of(band, walls());
      double meets = -topAt(sides.getFirst().metal().wall(), r);
      double depth = depth(operation.plunge(), clean, meets);
      step(
          operation,
          OptionalDouble.of(depth),
          Optional.of(clean),
          List.of(whole),
          OptionalDouble.empty(),
          Tool.plunged(form.at(depth), cuts(List.of(whole))));
    }

    /** How wide a single cut must show to count as clean: as the wanted seat has it. */
    private double bandMm(Operation.CutAngle operation) {
      return wanted.cuts().stream()
          .filter(c -> Math.abs(c.angleDeg() - operation.angleDeg()) < 0.3)
          .mapToDouble(Cut::widthMm)
          .findFirst()
          .orElse(NARROW_MM);
    }

    /** Height of the wall at a radius; inside the throat, of its edge. */
    private static double topAt(Profile wall, double r) {
      double far = wall.points().getFirst().r();
      return wall.topAt(Math.clamp(r, wall.narrowestR(), far));
    }

    private void sweep(Operation.SweepChamber operation) {
      Form top = Form.of(wanted.cuts(), wanted.sealing(), wanted.outsideDiameterMm());
      double startR = operation.startDiameterMm().orElse(2 * top.points().getFirst().r()) / 2;
      double reachR = operation.reachDiameterMm() / 2;
      if (reachR <= startR) {
        throw new IllegalArgumentException(
            String.format(
                java.util.Locale.ROOT,
                "the sweep's reach must be larger than its start %.2f mm, was %.2f mm",
                2 * startR,
                2 * reachR));
      }
      // It just touches the seat where it starts, as the seat stands there now.
      double startZ = topAt(sides.getFirst().metal().wall(), startR - 1e-6);
      double rise = (reachR - startR) * Math.tan(Math.toRadians(operation.angleDeg()));
      step(
          operation,
          -startZ,
          Tool.plunged(
              List.of(new Point(reachR, startZ + rise), new Point(startR, startZ)),
              List.of(Surface.of(Part.ROOF, "the swept chamber"))));
    }

    private void cutUnder(Operation.CutUnder operation) {
      Profile wall = sides.getFirst().metal().wall();
      double r = operation.fromDiameterMm().orElseGet(() -> 2 * lastCutEnd(wall).r()) / 2;
      double z = topAt(wall, r);
      double lean = Math.toRadians(operation.leanDeg());
      List<Cut> cuts = new ArrayList<>();
      double left = operation.heightMm();
      if (operation.radiusMm() > 0) {
        double from = Math.toRadians(90 - lastAngle());
        int chords = Math.max(1, (int) Math.ceil(Math.toDegrees(from - lean) / 5));
        for (int k = 0; k < chords && from > lean && left > 1e-9; k++) {
          double turn = (from - lean) / chords;
          double leans = from - (k + 0.5) * turn;
          double width = 2 * operation.radiusMm() * Math.sin(turn / 2);
          width = Math.min(width, left / Math.cos(leans));
          cuts.add(new Cut(90 - Math.toDegrees(leans), width));
          left -= width * Math.cos(leans);
        }
      }
      if (left > 1e-9) {
        cuts.add(new Cut(90 - operation.leanDeg(), left / Math.cos(lean)));
      }
      Form form = Form.of(cuts, 0, 2 * r);
      step(
          operation,
          OptionalDouble.of(-z),
          Optional.empty(),
          cuts,
          OptionalDouble.empty(),
          Tool.plunged(form.at(-z), cuts(cuts)));
    }

    private double lastAngle() {
      return wanted.cuts().getLast().angleDeg();
    }

    private Point lastCutEnd(Profile wall) {
      for (int k = wall.segmentCount() - 1; k >= 0; k--) {
        if (wall.surfaces().get(k).part() == Part.CUT) {
          return wall.end(k);
        }
      }
      return wall.points().get(wall.segmentCount() - 1);
    }

    private void openBowl(Operation.OpenBowl operation) {
      double diameter = operation.diameterMm().orElse(wanted.bowlDiameterMm());
      double throatZ = throatEndZ(ideal.profile());
      double depth = operation.depthMm().orElse(wanted.depthMm() + wanted.bowlDepthMm());
      double endZ = Math.min(-depth, throatZ);
      double bottom = sides.getFirst().metal().wall().points().getLast().z() - 1;
      double throatR = wanted.throatDiameterMm() / 2;
      Surface bowl = Surface.of(Part.BOWL, "the bowl");
      List<Point> edge = new ArrayList<>(List.of(new Point(0, throatZ)));
      List<Surface> names = new ArrayList<>();
      edge.add(new Point(Math.min(throatR, diameter / 2), throatZ));
      names.add(bowl);
      if (edge.getLast().distanceTo(new Point(diameter / 2, endZ)) > 1e-6) {
        edge.add(new Point(diameter / 2, endZ));
        names.add(bowl);
      }
      edge.add(new Point(diameter / 2, bottom));
      names.add(bowl);
      step(operation, depth, Tool.closed(edge, names, new Point(0, bottom)));
    }

    private void blend(Operation.Blend operation) {
      List<Side> after = new ArrayList<>();
      Surface blend =
          Surface.of(
              operation.side() == Operation.BlendSide.PORT ? Part.SHOULDER : Part.RIDGE,
              "the blend");
      for (Side side : sides) {
        Metal metal = side.metal();
        if (!after.isEmpty()) {
          // By hand, to what is there: a blend decides no depth, so the mean stands for all sides.
          after.add(side);
          continue;
        }
        Region whole = metal.region();
        Region gone =
            whole.minus(whole.opened(operation.radiusMm())).and(band(operation, metal.wall()));
        Profile edge = new Profile(List.of(new Point(0, 500), new Point(1, 500)), List.of(blend));
        after.add(
            new Side(
                side.clock(),
                gone.isEmpty()
                    ? metal
                    : metal.rebuilt(whole.minus(gone), edge, steps.size() + 1, metal.ring())));
      }
      finish(
          operation,
          OptionalDouble.empty(),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty(),
          after);
    }

    /** Where a blend may work: on its side of the sealing face, as far off as is kept. */
    private Region band(Operation.Blend operation, Profile wall) {
      int sealing = LeftSeat.sealingIn(wanted, steps, found.seat());
      List<Integer> on = new ArrayList<>();
      for (int k = 0; k < wall.segmentCount(); k++) {
        Surface surface = wall.surfaces().get(k);
        if (surface.part() == Part.CUT && surface.index() == sealing) {
          on.add(k);
        }
      }
      if (on.isEmpty()) {
        return Region.EMPTY;
      }
      Point outer = wall.start(on.getFirst());
      Point inner = wall.end(on.getLast());
      double off = operation.keepOffMm();
      double far = wall.points().getFirst().r();
      double bottom = wall.points().getLast().z();
      double r = operation.radiusMm();
      return operation.side() == Operation.BlendSide.PORT
          ? Region.box(0, far - 2 * r, bottom + 2 * r, inner.z() - off)
          : Region.box(outer.r() + off, far - 2 * r, outer.z() - 2, 100);
    }

    private void fit(Operation.FitRing operation) {
      Ring ring = operation.ring();
      double far = 2 * sides.getFirst().metal().wall().points().getFirst().r();
      if (ring.outsideDiameterMm() >= far) {
        throw new IllegalArgumentException(
            String.format(
                java.util.Locale.ROOT,
                "ring outside diameter must be smaller than the %.1f mm of the head that is looked at, was %.2f mm",
                far,
                ring.outsideDiameterMm()));
      }
      Surface side = Surface.of(Part.RIDGE, "the counterbore");
      Surface floor = Surface.of(Part.SHOULDER, "the counterbore's floor");
      Tool bore = Tool.tapered(ring.outsideDiameterMm(), 0, ring.floorZ(), side);
      double inR = ring.insideDiameterMm() / 2;
      double outR = ring.outsideDiameterMm() / 2;
      double topZ = ring.floorZ() + ring.heightMm();
      Profile edge =
          new Profile(
              List.of(
                  new Point(outR, 500),
                  new Point(outR, topZ),
                  new Point(inR, topZ),
                  new Point(inR, ring.floorZ()),
                  new Point(0, ring.floorZ())),
              List.of(
                  side,
                  Surface.of(Part.RIDGE, "the ring's top"),
                  Surface.of(Part.THROAT, "the ring's bore"),
                  floor));
      List<Side> after = new ArrayList<>();
      for (Side s : sides) {
        Region area = s.metal().region().minus(bore.area()).plus(ring.blank());
        after.add(
            new Side(
                s.clock(), s.metal().rebuilt(area, edge, steps.size() + 1, Optional.of(ring))));
      }
      finish(
          operation,
          OptionalDouble.of(ring.floorMm()),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty(),
          after);
    }

    private void step(Operation operation, double depth, Tool tool) {
      step(
          operation,
          OptionalDouble.of(depth),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty(),
          tool);
    }

    private void step(
        Operation operation,
        OptionalDouble depth,
        Optional<CleanUp> cleanUp,
        List<Cut> cuts,
        OptionalDouble hangsUp,
        Tool tool) {
      List<Side> after =
          sides.stream()
              .map(s -> new Side(s.clock(), s.metal().cutBy(tool, steps.size() + 1)))
              .toList();
      finish(operation, depth, cleanUp, cuts, hangsUp, after);
    }

    private void finish(
        Operation operation,
        OptionalDouble depth,
        Optional<CleanUp> cleanUp,
        List<Cut> cuts,
        OptionalDouble hangsUp,
        List<Side> after) {
      Region before = sides.getFirst().metal().region();
      Region left = after.getFirst().metal().region();
      Region gone = before.minus(left);
      Region added = operation instanceof Operation.FitRing ? left.minus(before) : Region.EMPTY;
      List<CameIn> came = new ArrayList<>();
      for (int k = 0; k < cuts.size(); k++) {
        int id = nextCut + k;
        double[] shown = after.stream().mapToDouble(s -> shownMm(s.metal().wall(), id)).toArray();
        came.add(
            new CameIn(
                id,
                cuts.get(k),
                shown[0],
                java.util.Arrays.stream(shown).min().orElseThrow(),
                java.util.Arrays.stream(shown).max().orElseThrow()));
      }
      nextCut += cuts.size();
      steps.add(
          new Step(
              operation,
              depth,
              cleanUp,
              came,
              hangsUp,
              gone.outlines(),
              gone.volumeMm3(),
              added.volumeMm3(),
              after,
              ""));
      sides = after;
    }
  }

  /** How much of a cut shows on a wall, mm. */
  static double shownMm(Profile wall, int id) {
    double shown = 0;
    for (int k = 0; k < wall.segmentCount(); k++) {
      Surface surface = wall.surfaces().get(k);
      if (surface.part() == Part.CUT && surface.index() == id) {
        shown += wall.length(k);
      }
    }
    return shown;
  }
}
