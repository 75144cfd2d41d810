package finebore.practice;

import finebore.cutting.CleanUp;
import finebore.cutting.Cutting.CameIn;
import finebore.cutting.Cutting.Step;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.found.Contradiction;
import finebore.found.Ring;
import finebore.job.Overrule;
import finebore.job.Port;
import finebore.practice.Finding.Severity;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.section.Surface.Part;
import finebore.study.PlanStudy;
import finebore.study.ReadingKind;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is worth saying about a plan: what its operations do to the metal first, then what contact,
 * sizes and flow come to.
 */
public final class PlanFindings {

  private static final String GEOMETRY = "geometry";
  private static final String COMMON = "common practice, no source";

  /** A lack of metal smaller than this is within what a cutter is set to, mm2 of section. */
  private static final double LACK_MM2 = 0.02;

  private final PlanStudy study;
  private final Practice practice;
  private final UnitSystem units;
  private final Seat wanted;
  private final List<Finding> found = new ArrayList<>();

  private PlanFindings(PlanStudy study, Practice practice, UnitSystem units) {
    this.study = study;
    this.practice = practice;
    this.units = units;
    this.wanted = study.plan().wanted().seat();
  }

  /** All findings, the gravest first; those that were overruled say so and block nothing. */
  public static List<Finding> of(PlanStudy study, Practice practice, UnitSystem units) {
    PlanFindings findings = new PlanFindings(study, practice, units);
    findings.breaksThrough();
    findings.steps();
    findings.lacks();
    findings.witnesses();
    findings.contradictions();
    Port port = study.place().port();
    findings.found.addAll(Findings.of(study.finished(), practice, port, units, findings.blended()));
    return findings.found.stream()
        .map(f -> overruled(f, study.plan().overrules()))
        .sorted(Comparator.comparing(Finding::severity))
        .toList();
  }

  /** Cuts that came in whole and of which a later operation has taken some. */
  private Set<Integer> blended() {
    Set<Integer> blended = new HashSet<>();
    for (ShownCut shown : study.finished().seat().shown()) {
      study.cutting().steps().stream()
          .flatMap(s -> s.cameIn().stream())
          .filter(c -> c.cut().equals(shown.cut()) && c.shownMm() > shown.shownMm() + 1e-6)
          .filter(c -> c.cut().widthMm() - c.shownMm() < 0.05)
          .findFirst()
          .ifPresent(c -> blended.add(shown.index()));
    }
    return blended;
  }

  /** What keeps a plan from being marked ready. */
  public static List<Finding> blockers(List<Finding> findings) {
    return findings.stream().filter(f -> f.severity() == Severity.FAULT).toList();
  }

  private static Finding overruled(Finding finding, List<Overrule> overrules) {
    if (finding.severity() != Severity.FAULT) {
      return finding;
    }
    return overrules.stream()
        .filter(o -> o.where().equals(finding.where()))
        .findFirst()
        .map(
            o ->
                new Finding(
                    Severity.CAUTION,
                    finding.where(),
                    finding.what(),
                    finding.why() + " Overruled: " + o.reason(),
                    finding.basis(),
                    finding.cure()))
        .orElse(finding);
  }

  private String mm(double lengthMm) {
    return units.lengthText(lengthMm);
  }

  private void fault(String where, String what, String why, Optional<Cure> cure) {
    found.add(new Finding(Severity.FAULT, where, what, why, GEOMETRY, cure));
  }

  private void breaksThrough() {
    study
        .left()
        .waterMm()
        .ifPresent(
            water -> {
              if (water <= 0) {
                fault(
                    "water",
                    "The wall goes through to water, "
                        + mm(-water)
                        + " past where the jacket was read.",
                    "The head is scrap if it is cut so; sonic readings can be wrong by a little, not by hope.",
                    Optional.empty());
              }
            });
    study
        .left()
        .ringWallMm()
        .ifPresent(
            wall -> {
              if (wall <= 0) {
                fault(
                    "ring",
                    "The seat reaches " + mm(-wall) + " past the outside of its ring.",
                    "Nothing holds the ring any more: it drops.",
                    newRing());
              }
            });
    study
        .left()
        .ringFloorMm()
        .ifPresent(
            floor -> {
              if (floor <= 0) {
                fault(
                    "ring floor",
                    "The lowest cut goes " + mm(-floor) + " past the floor of the ring.",
                    "The joint under the ring stands in the stream and the ring works loose.",
                    Optional.empty());
              }
            });
    study
        .finished()
        .reading(ReadingKind.FIRE_RING)
        .ifPresent(
            gap -> {
              if (gap < 0) {
                fault(
                    "fire ring",
                    "A cut reaches " + mm(-gap) + " past the gasket's fire ring line.",
                    "The gasket has nothing to seal on there and burns out.",
                    Optional.empty());
              }
            });
    study
        .finished()
        .reading(ReadingKind.BRIDGE)
        .ifPresent(
            bridge -> {
              if (bridge <= 0) {
                fault(
                    "neighbour ring",
                    "This ring and its neighbour would meet by " + mm(-bridge) + ".",
                    "Fit one, then bore for the next, and keep the exhaust ring whole; a smaller ring here is better.",
                    Optional.empty());
              }
            });
  }

  /** A ring that leaves what the practice wants outside the seat. */
  private Optional<Cure> newRing() {
    double wall =
        practice.wanted(study.place().port(), ReadingKind.RING_WALL).map(Range::min).orElse(1.5);
    double outside = wanted.outsideDiameterMm() + 2 * wall;
    Optional<Ring> old = study.cutting().metal().ring();
    double floor = Math.max(wanted.lowestMm() + 2, old.map(Ring::floorMm).orElse(0.0));
    double inside = Math.max(3, wanted.throatDiameterMm() - 1);
    try {
      Ring ring =
          new Ring(
              outside,
              inside,
              floor,
              floor - wanted.depthMm() + 1,
              old.map(Ring::fitMm).orElse(0.1),
              old.map(Ring::material).orElse(""));
      return Optional.of(new Cure.AddOperation(0, new Operation.FitRing(ring), wanted));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private void steps() {
    for (int k = 0; k < study.cutting().steps().size(); k++) {
      Step step = study.cutting().steps().get(k);
      if (!step.problem().isEmpty()) {
        fault(
            "operation " + (k + 1),
            step.operation().title() + " cannot be carried out: " + step.problem() + ".",
            "It takes nothing until its settings are mended.",
            Optional.empty());
        continue;
      }
      hangsUp(k, step);
      cleansUp(k, step);
      if (step.operation() instanceof Operation.CutUnder under
          && under.leanDeg() > Operation.CutUnder.MOST_LEAN_DEG) {
        found.add(
            new Finding(
                Severity.CAUTION,
                "cut under the seat",
                "The cut under the seat leans in by "
                    + UnitSystem.fixed(under.leanDeg(), 1)
                    + "°, more than 15°.",
                "It narrows the throat and turns the air into the other side; 12 to 13° is usual.",
                COMMON,
                Optional.of(
                    new Cure.ChangeOperation(
                        k,
                        new Operation.CutUnder(
                            12.5, under.fromDiameterMm(), under.heightMm(), under.radiusMm()),
                        wanted))));
      }
    }
  }

  private void hangsUp(int place, Step step) {
    if (step.hangsUpMm().isEmpty()) {
      return;
    }
    double to = step.hangsUpMm().getAsDouble();
    fault(
        "throat",
        "The form hangs up on the throat: open it to " + mm(to) + " first.",
        "The cutter's nose meets metal, chatters and stops short of the seat.",
        Optional.of(
            new Cure.AddOperation(
                place,
                new Operation.OpenThroat(OptionalDouble.of(to), 0, OptionalDouble.empty()),
                wanted)));
  }

  private void cleansUp(int place, Step step) {
    if (!(step.operation() instanceof Operation.CutForm form)) {
      return;
    }
    CleanUp clean = step.cleanUp().orElseThrow();
    CameIn sealing = step.cameIn().get(wanted.sealing());
    if (clean.sealingMm().isEmpty()) {
      fault(
          "seat",
          "The form's " + sealing.cut().spoken().substring(4) + " never touches metal.",
          "The throat is wider there than the seat: only a ring or a larger seat brings metal.",
          newRing());
      return;
    }
    double lack = clean.sealingMm().getAsDouble() - step.depthMm().getAsDouble();
    if (lack > 1e-6 && sealing.leastMm() < sealing.cut().widthMm() - 0.02) {
      fault(
          "seat",
          "The seat goes clean at "
              + mm(clean.sealingMm().getAsDouble())
              + " below the head face; the plunge stops at "
              + mm(step.depthMm().getAsDouble())
              + ", so toward "
              + clockText(clean.worstClock())
              + " only "
              + mm(sealing.leastMm())
              + " of the seat shows.",
          "Old seat shows through on one side: it leaks.",
          Optional.of(
              new Cure.ChangeOperation(
                  place,
                  new Operation.CutForm(
                      form.cutter(), form.seatDiameterMm(), new Plunge.UntilClean(0, false)),
                  wanted)));
    }
  }

  /** A clock position as it is spoken: 3 o'clock, 1:30. */
  public static String clockText(double clock) {
    int minutes = (int) Math.round(clock * 60);
    int hour = Math.floorMod(minutes / 60 - 1, 12) + 1;
    int rest = Math.floorMod(minutes, 60);
    return rest == 0 ? hour + " o'clock" : String.format("%d:%02d", hour, rest);
  }

  /** Wanted surfaces that stand above the metal that is there. */
  private void lacks() {
    double throat = study.finished().pairing().seat().throatDiameterMm();
    if (study.lacking().areaMm2() > LACK_MM2) {
      boolean large = throat > wanted.throatDiameterMm() + 0.05;
      fault(
          "metal",
          large
              ? "The wanted throat, "
                  + mm(wanted.throatDiameterMm())
                  + ", cannot be reached: it is "
                  + mm(throat)
                  + " already."
              : "Part of the wanted seat stands above the metal that is there.",
          "Metal only comes off: a bigger valve over the same throat, or a new ring, brings it back.",
          large ? biggerValve(throat) : newRing());
    }
  }

  private Optional<Cure> biggerValve(double throatMm) {
    return practice
        .wanted(study.place().port(), ReadingKind.THROAT_RATIO)
        .map(range -> new Cure.ValveDiameter(Math.ceil(throatMm / range.max() * 10) / 10));
  }

  private void witnesses() {
    var wall = study.finished().seat().profile();
    int operations = study.plan().operations().size();
    for (LeftoverEdge witness : study.witnesses()) {
      String size =
          mm(witness.heightMm())
              + " at "
              + units.lengthText(2 * witness.at().r())
              + ", turning "
              + UnitSystem.fixed(witness.turnDeg(), 0)
              + "°";
      if (witness.inChamber()) {
        found.add(
            new Finding(
                Severity.CAUTION,
                "ridge over the seat",
                "Old metal stands " + size + ", over the cuts.",
                "The air meets it at low lift, and the better seat flows worse until it is swept or blended.",
                COMMON,
                sweep(operations, witness)));
      } else if (!isUnderCut(wall, witness)) {
        found.add(
            new Finding(
                Severity.CAUTION,
                "ledge in the throat",
                "A ledge stands in by " + size + ".",
                "Air leaves its edge, and the port acts smaller than it is.",
                COMMON,
                Optional.of(
                    new Cure.AddOperation(
                        operations,
                        new Operation.Blend(
                            Operation.BlendSide.PORT,
                            Operation.Blend.USUAL_KEEP_OFF_MM,
                            Math.clamp(witness.heightMm() * 3, 0.5, 6)),
                        wanted))));
      }
    }
  }

  /** A step right under a cut is spoken of as the throat that holds the cut up. */
  private static boolean isUnderCut(finebore.section.Profile wall, LeftoverEdge witness) {
    for (int k = 1; k < wall.segmentCount(); k++) {
      if (wall.start(k).distanceTo(witness.at()) < 0.02) {
        return wall.surfaces().get(k).part() == Part.SHOULDER
            && wall.surfaces().get(k - 1).part() == Part.CUT;
      }
    }
    return false;
  }

  /** A sweep just steeper than the roof, out to where it has come up through it. */
  private Optional<Cure> sweep(int place, LeftoverEdge witness) {
    double roof = study.metal().seat().roofAngleDeg();
    double angle = roof < 15 ? 15 : Math.min(60, roof + 3);
    double gain = Math.tan(Math.toRadians(angle)) - Math.tan(Math.toRadians(roof));
    double run = Math.min(witness.heightMm() / gain + 0.5, 0.2 * wanted.outsideDiameterMm());
    try {
      Operation sweep =
          new Operation.SweepChamber(
              angle,
              Math.ceil(2 * (witness.at().r() + run)),
              OptionalDouble.of(2 * witness.at().r()));
      return Optional.of(new Cure.AddOperation(place, sweep, wanted));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private void contradictions() {
    for (Contradiction contradiction : study.metal().contradictions()) {
      found.add(
          new Finding(
              Severity.CAUTION,
              "reading of " + contradiction.measure().label(),
              contradiction.words(units),
              "",
              "readings",
              Optional.empty()));
    }
  }
}
