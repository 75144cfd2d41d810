package finebore.suggest;

import finebore.calibration.ModelFit;
import finebore.code.RuleViolation;
import finebore.cutting.CleanUp;
import finebore.cutting.Cutter;
import finebore.cutting.Form;
import finebore.cutting.Seating;
import finebore.finding.Severity;
import finebore.flow.Calibration;
import finebore.found.FoundSeat;
import finebore.found.Ring;
import finebore.found.WaterReading;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.planning.ValveRoom;
import finebore.practice.Cure;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.rules.PlanFindings;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.seat.ShownCut;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Tolerance;
import finebore.sizes.SizeLimit;
import finebore.sizes.SizeRoom;
import finebore.study.FlowSetting;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.study.SeatFit;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;

/**
 * Looks through every combination of valve size, cutter, seat diameter, throat, plunge and back cut
 * for the plans that are best at a goal and break no limit of a practice.
 *
 * <p>It is plain enumeration over the rack: exact, the same for the same input, and cut into slices
 * that can be looked at in any order. Sizes and limits are worked out on the seat that a candidate
 * wants, with the depth at which it goes clean on the metal as found; flow only for those that
 * break no limit. The few that remain are carried out in full before they are suggested.
 */
public final class Search {

  /** Steps of valve diameter over the found one, mm. */
  private static final double[] VALVES = {0, 0.25, 0.5, 0.75, 1, 1.5, 2, 2.5, 3};

  /** How far the seat lies inside the valve's edge, mm on the radius. */
  private static final double[] OVERHANGS = {0.15, 0.25, 0.35, 0.5, 0.65};

  /** Past clean, mm. */
  private static final double[] PLUNGES = {0, 0.03, 0.06, 0.1};

  /** Valve faces that are left by a back cut, as shares of the wanted range; below 0 is none. */
  private static final double[] FACES = {-1, 0.15, 0.5, 0.85};

  private static final int THROATS = 8;

  /** More than this of one cutter a slice does not hand on. */
  private static final int KEPT = 3;

  /** Shoulders and lips smaller than this count as none, mm. */
  private static final double NEGLIGIBLE_MM = 0.06;

  private final Job job;
  private final SeatPlace place;
  private final ValveRoom room;
  private final SizeRoom sizes;
  private final Port port;
  private final Practice practice;
  private final Goal goal;
  private final List<Cutter> rack;
  private final FoundSeat metal;
  private final Valve foundValve;
  private final double foundRest;
  private final Calibration calibration;
  private final FlowSetting flow;
  private final List<CleanUp.Wall> walls;
  private final double[] throats;

  /** What a slice gave: its best, and how often which limit was broken. */
  public record Slice(List<Candidate> best, Map<ReadingKind, Integer> broken) {
    public Slice {
      best = List.copyOf(best);
      broken = Collections.unmodifiableMap(new TreeMap<>(broken));
    }

    /** Nothing looked at yet. */
    public static final Slice NONE = new Slice(List.of(), Map.of());

    /** Both slices as one; in which order makes no difference. */
    public Slice and(Slice other) {
      List<Candidate> both = new ArrayList<>(best);
      both.addAll(other.best);
      Map<ReadingKind, Integer> counts = new EnumMap<>(ReadingKind.class);
      counts.putAll(broken);
      other.broken.forEach((kind, n) -> counts.merge(kind, n, Integer::sum));
      return new Slice(sorted(both), counts);
    }
  }

  private Search(Job job, SeatPlace place, List<Cutter> rack, Practice practice, Goal goal) {
    this.job = job;
    this.place = place;
    this.port = place.port();
    this.rack = List.copyOf(rack);
    this.practice = practice;
    this.goal = goal;
    this.metal = job.foundSeat(place);
    this.foundValve = job.foundValve(place);
    this.room = ValveRoom.of(job, place);
    this.sizes = SizeRoom.of(job, place.cylinder(), practice);
    this.foundRest = SeatFit.of(new Pairing(metal.seat(), foundValve)).restMm().orElse(0);
    this.calibration = ModelFit.calibrationOf(job, port);
    this.flow = PlanStudy.flow(job, place, calibration);
    this.walls = new ArrayList<>();
    walls.add(new CleanUp.Wall(12, metal.section().profile()));
    metal.sides().forEach(c -> walls.add(new CleanUp.Wall(c, metal.wallAt(c))));
    this.throats = new double[THROATS];
    double[] ratio = limits(ReadingKind.THROAT_RATIO, 0.86, 0.9);
    for (int k = 0; k < THROATS; k++) {
      throats[k] = ratio[0] + (ratio[1] - ratio[0]) * k / (THROATS - 1);
    }
  }

  /** A search for one seat of a job. */
  public static Search of(
      Job job, SeatPlace place, List<Cutter> rack, Practice practice, Goal goal) {
    return new Search(job, place, rack, practice, goal);
  }

  private Optional<Range> range(ReadingKind kind) {
    return practice.wanted(port, kind);
  }

  /** What the practice wants of a reading from and to; usual limits where it sets none. */
  private double[] limits(ReadingKind kind, double least, double most) {
    Optional<Range> range = range(kind);
    return new double[] {
      range.map(r -> r.min().orElse(least)).orElse(least),
      range.map(r -> r.max().orElse(most)).orElse(most)
    };
  }

  /** What the plans are to be best at. */
  public Goal goal() {
    return goal;
  }

  /** How many candidates there are. */
  public int size() {
    return VALVES.length * rack.size() * OVERHANGS.length * THROATS * FACES.length * PLUNGES.length;
  }

  /** Looks at the candidates from one number up to but not including another. */
  public Slice look(int from, int to) {
    List<Candidate> legal = new ArrayList<>();
    Map<ReadingKind, Integer> broken = new EnumMap<>(ReadingKind.class);
    for (int number = from; number < Math.min(to, size()); number++) {
      look(number, legal, broken);
    }
    return new Slice(sorted(legal), broken);
  }

  /**
   * The best few of each cutter, the best first, but those whose room nobody has measured last;
   * equals in the order of their numbers.
   */
  private static List<Candidate> sorted(List<Candidate> candidates) {
    Map<String, Integer> taken = new HashMap<>();
    return candidates.stream()
        .sorted(
            Comparator.comparing(Candidate::roomMeasured)
                .thenComparingDouble(Candidate::score)
                .reversed()
                .thenComparing(Candidate::number))
        .filter(c -> taken.merge(c.cutter().name(), 1, Integer::sum) <= KEPT)
        .toList();
  }

  private void look(int number, List<Candidate> legal, Map<ReadingKind, Integer> broken) {
    int rest = number;
    double past = PLUNGES[rest % PLUNGES.length];
    rest /= PLUNGES.length;
    double face = FACES[rest % FACES.length];
    rest /= FACES.length;
    double share = throats[rest % THROATS];
    rest /= THROATS;
    double overhang = OVERHANGS[rest % OVERHANGS.length];
    rest /= OVERHANGS.length;
    Cutter cutter = rack.get(rest % rack.size());
    rest /= rack.size();
    double head = foundValve.headDiameterMm() + VALVES[rest];
    Optional<Pairing> pairing = pairing(cutter, head, overhang, share, face, past);
    if (pairing.isEmpty()) {
      return;
    }
    Optional<ReadingKind> size = brokenBySize(pairing.get());
    if (size.isPresent()) {
      broken.merge(size.get(), 1, Integer::sum);
      return;
    }
    SeatSection section = SeatSection.of(pairing.get().seat(), Tolerance.FINE);
    Optional<ReadingKind> shape = brokenByShape(section);
    if (shape.isPresent()) {
      broken.merge(shape.get(), 1, Integer::sum);
      return;
    }
    SeatFit trial = SeatFit.of(section, pairing.get().valve());
    Optional<ReadingKind> limit = brokenByContact(trial);
    if (limit.isPresent()) {
      broken.merge(limit.get(), 1, Integer::sum);
      return;
    }
    score(trial, past)
        .ifPresent(
            score ->
                legal.add(
                    new Candidate(
                        number,
                        cutter,
                        pairing.get(),
                        past,
                        score,
                        isRoomMeasured(pairing.get()))));
  }

  /** Seat and valve of a candidate; empty when they cannot be made of what is there. */
  private Optional<Pairing> pairing(
      Cutter cutter, double head, double overhang, double share, double face, double past) {
    double outside = head - 2 * overhang;
    double throat = round(share * head);
    if (throat < metal.seat().throatDiameterMm() - 0.005 || throat >= outside - 1) {
      return Optional.empty();
    }
    Form form = Form.of(cutter.cuts(), cutter.sealingCut(), outside);
    // The form must neither hang up on the throat nor leave cuts without metal.
    double inner = 2 * form.points().getLast().r();
    if (inner > throat + 2 * NEGLIGIBLE_MM) {
      return Optional.empty();
    }
    OptionalDouble clean = CleanUp.of(form, walls).sealingMm();
    if (clean.isEmpty() || clean.getAsDouble() < 0) {
      return Optional.empty();
    }
    try {
      Seat found = metal.seat();
      Seat seat =
          Seat.of(
              cutter.elements(),
              cutter.sealing(),
              outside,
              clean.getAsDouble() + past,
              throat,
              found.throatLengthMm(),
              Math.max(found.bowlDiameterMm(), round(throat * 1.02)),
              found.bowlDepthMm(),
              found.roofAngleDeg());
      return valve(cutter.sealingAngleDeg(), head, face).map(v -> new Pairing(seat, v));
    } catch (RuleViolation e) {
      return Optional.empty();
    }
  }

  private Optional<Valve> valve(double seatAngle, double head, double face) {
    Valve valve =
        foundValve
            .withHeadDiameterMm(head)
            .withFace(seatAngle, foundValve.faceWidthMm())
            .withBackCuts(List.of());
    if (face < 0) {
      return Optional.of(valve.withBackCuts(foundValve.backCuts()));
    }
    double[] width = limits(ReadingKind.FACE_WIDTH, 1.4, 2.2);
    double left = width[0] + face * (width[1] - width[0]);
    double angle = range(ReadingKind.BACK_CUT).map(Range::middle).orElse(30.0);
    if (left >= valve.faceWidthMm() - 0.1 || angle >= seatAngle) {
      return Optional.empty();
    }
    return Cure.BackCut.leaving(valve, left, angle)
        .map(cure -> cure.applyTo(new Pairing(metal.seat(), valve)).valve());
  }

  private static double round(double mm) {
    return Math.round(mm * 100) / 100.0;
  }

  private boolean isRoomMeasured(Pairing pairing) {
    return sizes.isKnown(port, pairing.valve().headDiameterMm(), foundValve.headDiameterMm());
  }

  /** Whether a head can stand beside the other kind's at all. */
  private boolean isWithinCylinder(double headMm) {
    double other = job.group(port.other()).planned().valve().headDiameterMm();
    boolean intake = port == Port.INTAKE;
    return sizes.broken(intake ? headMm : other, intake ? other : headMm).stream()
        .noneMatch(l -> l.known() == SizeLimit.Known.BORE_ALONE);
  }

  /** The first limit of size that a candidate breaks, before anything is laid out. */
  private Optional<ReadingKind> brokenBySize(Pairing pairing) {
    double head = pairing.valve().headDiameterMm();
    if (!isWithinCylinder(head)) {
      return Optional.of(ReadingKind.NEIGHBOUR);
    }
    Seat seat = pairing.seat();
    List<Reading> limits = new ArrayList<>();
    limits.add(new Reading(ReadingKind.THROAT_RATIO, seat.throatDiameterMm() / head));
    limits.add(new Reading(ReadingKind.FACE_WIDTH, pairing.valve().faceWidthMm()));
    limits.add(new Reading(ReadingKind.OVERHANG, (head - seat.outsideDiameterMm()) / 2));
    limits.add(new Reading(ReadingKind.MARGIN, pairing.valve().marginMm()));
    limits.addAll(room.readings(head));
    metal
        .ring()
        .map(Ring::outsideDiameterMm)
        .ifPresent(
            mm ->
                limits.add(
                    new Reading(ReadingKind.RING_WALL, (mm - seat.outsideDiameterMm()) / 2)));
    return first(limits);
  }

  /** The first limit that its cuts break. */
  private Optional<ReadingKind> brokenByShape(SeatSection section) {
    Seat seat = section.seat();
    List<Reading> limits = new ArrayList<>();
    List<Cut> showing =
        section.shown().stream().filter(s -> s.shownMm() > 0).map(ShownCut::cut).toList();
    limits.add(new Reading(ReadingKind.SEAT_WIDTH, section.shown().get(seat.sealing()).shownMm()));
    limits.add(new Reading(ReadingKind.LAST_CUT, showing.getLast().angleDeg()));
    for (int k = 1; k < showing.size(); k++) {
      double step = showing.get(k).angleDeg() - showing.get(k - 1).angleDeg();
      if (step > limits(ReadingKind.ANGLE_STEP, 0, 90)[1]) {
        return Optional.of(ReadingKind.ANGLE_STEP);
      }
    }
    limits.add(new Reading(ReadingKind.WATER, toWater(section.profile())));
    return first(limits);
  }

  /** The first limit that the valve on it breaks. */
  private Optional<ReadingKind> brokenByContact(SeatFit trial) {
    List<Reading> limits = new ArrayList<>();
    if (!(trial.seating() instanceof Seating.Seated(double rest, Seating.Contact contact))
        || contact.intendedShare() < 0.5) {
      return Optional.of(ReadingKind.CONTACT_WIDTH);
    }
    limits.add(new Reading(ReadingKind.CONTACT_CENTRE, contact.centre()));
    double sink = foundRest - rest;
    limits.add(new Reading(ReadingKind.SINK, sink));
    Group group = job.group(port);
    group
        .retainerToSealMm()
        .ifPresent(
            mm ->
                limits.add(new Reading(ReadingKind.RETAINER, mm + sink - group.cam().maxLiftMm())));
    return first(limits);
  }

  private Optional<ReadingKind> first(List<Reading> limits) {
    for (Reading limit : limits) {
      Optional<Range> range = range(limit.kind());
      if (range.isPresent() && !range.get().holds(limit.value())) {
        return Optional.of(limit.kind());
      }
    }
    return Optional.empty();
  }

  /** Distance from a wall to the water readings' points; large without any. */
  private double toWater(Profile wall) {
    double least = limits(ReadingKind.WATER, 0, 40)[1];
    for (WaterReading water : metal.water()) {
      for (Point p : water.line()) {
        for (int k = 0; k < wall.segmentCount(); k++) {
          least = Math.min(least, wall.distance(k, p));
        }
      }
    }
    return least;
  }

  private Optional<Double> score(SeatFit trial, double past) {
    Pairing pairing = trial.pairing();
    if (goal == Goal.LIFE) {
      // Wide seats and faces carry heat, and metal that stays can be cut again.
      double deeper = pairing.seat().depthMm() - metal.seat().depthMm();
      return Optional.of(
          pairing.seat().sealingCut().widthMm() + 0.5 * pairing.valve().faceWidthMm() - deeper);
    }
    if (trial.seated().isEmpty()) {
      return Optional.empty();
    }
    double sum = 0;
    for (double share : goal.lifts()) {
      double lift = share * foundValve.headDiameterMm();
      // Each lift counts by its own size, so that no lift drowns another.
      sum += trial.areaAt(lift, flow).mm2() / (Math.PI * foundValve.headDiameterMm() * lift);
    }
    // Between equals, the one that takes less.
    return Optional.of(sum / goal.lifts().size() - 1e-4 * past);
  }

  /**
   * Carries the best candidates out in full, and keeps the few that differ in valve or cutter and
   * have no fault.
   */
  public List<Suggestion> suggestions(List<Candidate> best, int most) {
    List<Suggestion> suggestions = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    SeatStudy found = PlanStudy.asFound(job, place, calibration);
    for (Candidate candidate : best) {
      String kind = candidate.cutter().name();
      if (suggestions.size() >= most || taken.contains(kind)) {
        continue;
      }
      PlanStudy study = PlanStudy.of(job, place, candidate.plan(), found);
      List<Finding> findings = PlanFindings.of(study.outcome(), practice);
      if (findings.stream().noneMatch(f -> f.severity() == Severity.FAULT)) {
        suggestions.add(new Suggestion(candidate, study, findings));
        taken.add(kind);
      }
    }
    return suggestions;
  }
}
