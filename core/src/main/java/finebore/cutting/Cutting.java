package finebore.cutting;

import finebore.code.Message;
import finebore.found.FoundSeat;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Part;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntFunction;

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
   * A cut or an arc that an operation asked for; of an arc, its chords together.
   *
   * @param element as asked
   * @param shownMm width left showing on the mean section
   * @param leastMm on the side where least shows
   * @param mostMm on the side where most shows
   */
  public record ElementIn(Element element, double shownMm, double leastMm, double mostMm) {

    private static ElementIn of(Element element, List<CameIn> chords) {
      return new ElementIn(
          element,
          chords.stream().mapToDouble(CameIn::shownMm).sum(),
          chords.stream().mapToDouble(CameIn::leastMm).sum(),
          chords.stream().mapToDouble(CameIn::mostMm).sum());
    }
  }

  /**
   * What one operation did.
   *
   * @param operation the operation
   * @param depthMm where its tool stopped below the head face; empty for hand work
   * @param cleanUp depths at which a form shows; empty for other tools
   * @param cameIn its cuts, from the chamber to the port
   * @param hangsUpMm throat diameter that must be opened first; empty when nothing hangs up
   * @param removedMm3 volume of what went, by the mean section
   * @param addedMm3 volume that a ring put in beyond what it took
   * @param sides metal after it
   * @param problem the rule that kept it from being carried out; empty when it was
   */
  public record Step(
      Operation operation,
      OptionalDouble depthMm,
      Optional<CleanUp> cleanUp,
      List<CameIn> cameIn,
      OptionalDouble hangsUpMm,
      double removedMm3,
      double addedMm3,
      List<Side> sides,
      Optional<Message> problem) {

    /** Its cuts and arcs, where it brings in those of a wanted seat. */
    public List<ElementIn> elementsIn(CutStack wanted) {
      boolean form = operation instanceof CutForm && cameIn.size() == wanted.cuts().size();
      List<Element> elements =
          form
              ? wanted.elements()
              : cameIn.stream().map(CameIn::cut).map(Element.class::cast).toList();
      List<ElementIn> all = new ArrayList<>();
      int first = 0;
      for (Element element : elements) {
        int past = first + element.cuts().size();
        all.add(ElementIn.of(element, cameIn.subList(first, past)));
        first = past;
      }
      return all;
    }

    public Step {
      cameIn = List.copyOf(cameIn);
      sides = List.copyOf(sides);
    }

    /** With another volume that went: of what lies outside the seat's section. */
    Step withRemovedMm3(double mm3) {
      return new Step(
          operation, depthMm, cleanUp, cameIn, hangsUpMm, mm3, addedMm3, sides, problem);
    }

    private Step with(Operation changed) {
      return new Step(
          changed, depthMm, cleanUp, cameIn, hangsUpMm, removedMm3, addedMm3, sides, problem);
    }

    /** An operation that cannot be carried out takes nothing and says why. */
    static Step notDone(Operation operation, List<Side> sides, Message problem) {
      return new Step(
          operation,
          OptionalDouble.empty(),
          Optional.empty(),
          List.of(),
          OptionalDouble.empty(),
          0,
          0,
          sides,
          Optional.of(problem));
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

  /**
   * The same with chamber walls taken back otherwise, which leaves every section as it is; empty
   * where operations differ by more than that.
   */
  public Optional<Cutting> withWalls(List<Operation> operations) {
    if (operations.size() != steps.size()) {
      return Optional.empty();
    }
    List<Step> changed = new ArrayList<>();
    for (int k = 0; k < steps.size(); k++) {
      Operation was = steps.get(k).operation();
      Operation is = operations.get(k);
      if (!was.equals(is) && !(was instanceof TakeWallBack && is instanceof TakeWallBack)) {
        return Optional.empty();
      }
      changed.add(steps.get(k).with(is));
    }
    return Optional.of(new Cutting(found, wanted, sides, changed));
  }

  /** Carries operations out. An operation that cannot be is passed over and says why. */
  public static Cutting of(FoundSeat found, Seat wanted, List<Operation> operations) {
    return new Workpiece(found, wanted).run(operations);
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

  /**
   * With the volumes that operations take of a chamber's wall, which is in no seat's section.
   *
   * @param byPlace mm3 of the operation at a place; empty where the section tells it
   */
  public Cutting withWallVolumes(IntFunction<OptionalDouble> byPlace) {
    List<Step> told = new ArrayList<>();
    for (int k = 0; k < steps.size(); k++) {
      OptionalDouble volume = byPlace.apply(k);
      told.add(
          volume.isPresent() ? steps.get(k).withRemovedMm3(volume.getAsDouble()) : steps.get(k));
    }
    return new Cutting(found, wanted, sides, told);
  }

  /** Volume that all operations take, less what rings put in, mm3. */
  public double removedMm3() {
    return steps.stream().mapToDouble(s -> s.removedMm3() - s.addedMm3()).sum();
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
