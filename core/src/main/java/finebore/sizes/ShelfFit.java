package finebore.sizes;

import finebore.code.RuleViolation;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.CutStudy;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.study.ReadingKind;
import finebore.valve.Pairing;
import finebore.valve.Resized;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A valve of the shelf held to one seat as found: whether it fits, and what it needs.
 *
 * @param valve the valve
 * @param broken limits of size that it breaks beside the other kind's planned valve, worst first
 * @param stemMm how much thicker its stem is than the found one's; below 0 thinner
 * @param throatMm the throat it would have: the found one, or what the practice wants at least
 * @param openMm by how much the throat has to be opened for that; 0 for not at all
 * @param ring whether it needs a ring, and why
 * @param lowerMm how much lower it sits than the found valve, its seat cut until it goes clean;
 *     below 0 higher; empty where it cannot be cut
 * @param tipMm how much its tip stands out more; empty unless the found valve's length was measured
 * @param price of one
 * @param isMeasured whether the room it needs is known: measured, or no more than the found valve's
 */
public record ShelfFit(
    ShelfValve valve,
    List<SizeLimit> broken,
    double stemMm,
    double throatMm,
    double openMm,
    RingNeed ring,
    OptionalDouble lowerMm,
    OptionalDouble tipMm,
    double price,
    boolean isMeasured) {

  /** Why a ring is needed. */
  public enum RingNeed {
    NONE,
    /** The throat is already bigger than the practice allows under such a head. */
    THROAT_TOO_BIG,
    /** The ring that is there would be left too thin. */
    RING_TOO_THIN,
    /** The cuts find no metal to go clean in. */
    NO_METAL
  }

  /** A stem is another size from here, mm; common practice, no source. */
  public static final double STEM_SAME_MM = 0.03;

  /** A valve that sits so much higher gives a sunk seat back, mm; common practice, no source. */
  public static final double RECLAIMS_MM = 0.1;

  public ShelfFit {
    broken = List.copyOf(broken);
  }

  /** Whether nothing that does not yield to a cutter is in its way. */
  public boolean fits() {
    return broken.stream().allMatch(l -> l.kind().yields());
  }

  /** Whether it brings a seat up that has been cut down. */
  public boolean reclaims() {
    return lowerMm.isPresent() && lowerMm.getAsDouble() <= -RECLAIMS_MM;
  }

  /**
   * Holds a valve to a seat.
   *
   * @param room of the seat's cylinder
   */
  public static ShelfFit of(
      Job job, SeatPlace place, SizeRoom room, Practice practice, ShelfValve valve) {
    double other = job.group(place.port().other()).planned().valve().headDiameterMm();
    boolean isIntake = place.port() == Port.INTAKE;
    List<SizeLimit> broken =
        room.broken(isIntake ? valve.headMm() : other, isIntake ? other : valve.headMm()).stream()
            .filter(l -> (isIntake ? l.perIntake() : l.perExhaust()) > 0)
            .toList();
    Optional<Range> ratio = practice.wanted(place.port(), ReadingKind.THROAT_RATIO);
    double found = job.foundSeat(place).seat().throatDiameterMm();
    double least = ratio.map(r -> r.min().orElse(0) * valve.headMm()).orElse(0.0);
    double throat = Math.max(found, least);
    Optional<CutStudy> cut = cut(job, place, valve, throat);
    OptionalDouble lower =
        cut.filter(ShelfFit::isClean)
            .map(
                c ->
                    c.fit().restMm().isPresent() && c.foundRestMm().isPresent()
                        ? OptionalDouble.of(
                            c.foundRestMm().getAsDouble() - c.fit().restMm().getAsDouble())
                        : OptionalDouble.empty())
            .orElse(OptionalDouble.empty());
    boolean tooBig =
        ratio
            .map(r -> r.isAbove(found / valve.headMm()) && !r.holds(found / valve.headMm()))
            .orElse(false);
    RingNeed ring =
        tooBig
            ? RingNeed.THROAT_TOO_BIG
            : leavesThinRing(job, place, practice, valve)
                ? RingNeed.RING_TOO_THIN
                : lower.isEmpty() ? RingNeed.NO_METAL : RingNeed.NONE;
    OptionalDouble length = job.head().readingsOf(place.label()).value(Measure.VALVE_LENGTH);
    OptionalDouble tip =
        length.isPresent() && lower.isPresent()
            ? OptionalDouble.of(valve.lengthMm() - length.getAsDouble() + lower.getAsDouble())
            : OptionalDouble.empty();
    return new ShelfFit(
        valve,
        broken,
        valve.valve().stemDiameterMm() - job.foundValve(place).stemDiameterMm(),
        throat,
        throat - found,
        ring,
        lower,
        tip,
        valve.price(),
        room.isKnown(place.port(), valve.headMm(), job.foundValve(place).headDiameterMm()));
  }

  private static boolean leavesThinRing(
      Job job, SeatPlace place, Practice practice, ShelfValve valve) {
    Optional<Ring> ring = job.foundSeat(place).ring();
    Pairing wanted = job.planOf(place).wanted();
    double outside =
        valve.headMm() - wanted.valve().headDiameterMm() + wanted.seat().outsideDiameterMm();
    double least =
        practice
            .wanted(place.port(), ReadingKind.RING_WALL)
            .map(r -> r.min().orElse(0))
            .orElse(0.0);
    return ring.isPresent() && (ring.get().outsideDiameterMm() - outside) / 2 < least;
  }

  /** The seat cut for it by the usual operations. */
  private static Optional<CutStudy> cut(
      Job job, SeatPlace place, ShelfValve valve, double throatMm) {
    try {
      return plan(job, place, valve, throatMm).map(plan -> CutStudy.of(job, place, plan));
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }

  /** The plan that brings it in; empty where seat and valve cannot be made so. */
  public static Optional<Plan> plan(Job job, SeatPlace place, ShelfValve valve, double throatMm) {
    Pairing wanted = job.planOf(place).wanted();
    return Resized.of(wanted, valve.valve(), throatMm)
        .map(
            pairing ->
                Plan.of(
                    pairing,
                    List.of(
                        OpenThroat.AS_WANTED,
                        new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(0, false)),
                        OpenBowl.AS_WANTED)));
  }

  private static boolean isClean(CutStudy cut) {
    return cut.lastForm()
        .flatMap(Cutting.Step::cleanUp)
        .map(c -> c.sealingMm().isPresent())
        .orElse(false);
  }
}
