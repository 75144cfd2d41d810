package finebore.machine;

import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.seal.GuideState;
import finebore.seal.LappedRing;
import finebore.seal.SealVerdict;
import finebore.seal.VacuumReading;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.WorkIndex;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Everything read of how one port seals, and what it says.
 *
 * @param seat the seat
 * @param dry vacuum with the guide dry, where it was read
 * @param oiled with the guide oiled
 * @param verdict what the two say
 * @param runoutMm dial reading round the seat, where it was taken
 * @param runoutAllowed whether that is within the shop's limit
 * @param ring the lapped ring as read
 * @param ringVerdict what it says
 */
public record PortSeal(
    SeatPlace seat,
    Optional<VacuumReading> dry,
    Optional<VacuumReading> oiled,
    SealVerdict verdict,
    OptionalDouble runoutMm,
    boolean runoutAllowed,
    LappedRing ring,
    LappedRing.Verdict ringVerdict) {

  /** The readings of all ports of a head, judged each against the shop's limit and the others. */
  public static List<PortSeal> all(Job job, RunSheet sheet) {
    WorkIndex log = WorkIndex.of(job.log());
    List<PortSeal> ports = new ArrayList<>();
    for (SeatPlace seat : job.engine().seats()) {
      ports.add(of(job, log, sheet, seat));
    }
    return ports;
  }

  /** What the vacuum readings of one port say. */
  public static SealVerdict verdictOf(Job job, String seat) {
    WorkIndex log = WorkIndex.of(job.log());
    return SealVerdict.of(
        reading(log, seat, GuideState.DRY),
        reading(log, seat, GuideState.OILED),
        job.shop().sealLimits(),
        others(job, log, seat));
  }

  private static List<VacuumReading> others(Job job, WorkIndex log, String seat) {
    return job.engine().seats().stream()
        .filter(s -> !s.label().equals(seat))
        .flatMap(s -> best(log, s.label()).stream())
        .toList();
  }

  private static PortSeal of(Job job, WorkIndex log, RunSheet sheet, SeatPlace seat) {
    Optional<VacuumReading> dry = reading(log, seat.label(), GuideState.DRY);
    Optional<VacuumReading> oiled = reading(log, seat.label(), GuideState.OILED);
    OptionalDouble runout = log.value(seat.label(), ReadBack.SEAT_RUNOUT);
    LappedRing ring =
        new LappedRing(
            ReadBack.RING_WIDTHS.stream().map(w -> log.value(seat.label(), w)).toList(),
            ReadBack.RING_PLACES.stream().map(p -> log.value(seat.label(), p)).toList());
    return new PortSeal(
        seat,
        dry,
        oiled,
        SealVerdict.of(dry, oiled, job.shop().sealLimits(), others(job, log, seat.label())),
        runout,
        runout.orElse(0) <= job.shop().sealLimits().mostRunoutMm() + 1e-9,
        ring,
        ringVerdict(job, sheet.outcome(seat), ring));
  }

  private static LappedRing.Verdict ringVerdict(
      Job job, Optional<SeatOutcome> outcome, LappedRing ring) {
    double tolerance = job.shop().value(ShopFigure.WIDTH_TOLERANCE);
    var contact = outcome.flatMap(o -> o.cut().fit().seated()).map(s -> s.contact());
    if (contact.isEmpty()) {
      return ring.verdict(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, tolerance);
    }
    double outer = contact.get().fromMarginMm();
    return ring.verdict(outer, outer + contact.get().widthMm(), tolerance);
  }

  private static Optional<VacuumReading> best(WorkIndex log, String seat) {
    Optional<VacuumReading> oiled = reading(log, seat, GuideState.OILED);
    return oiled.isPresent() ? oiled : reading(log, seat, GuideState.DRY);
  }

  private static Optional<VacuumReading> reading(WorkIndex log, String seat, GuideState guide) {
    boolean dry = guide == GuideState.DRY;
    OptionalDouble held = log.value(seat, dry ? ReadBack.VACUUM_DRY : ReadBack.VACUUM_OILED);
    return held.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new VacuumReading(
                held.getAsDouble(),
                log.value(seat, dry ? ReadBack.FALL_DRY : ReadBack.FALL_OILED),
                log.value(seat, ReadBack.AMBIENT).orElse(VacuumReading.STANDARD_PA)));
  }
}
