package finebore.sizes;

import finebore.code.Message;
import finebore.code.Term;
import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Lean;
import finebore.job.Port;
import finebore.planning.SeatRoom;
import finebore.practice.Practice;
import finebore.quantity.Quantity;
import finebore.room.Around;
import finebore.room.Room;
import finebore.sizes.SizeLimit.Kind;
import finebore.sizes.SizeLimit.Known;
import finebore.space.Rim;
import finebore.space.ValveHead;
import finebore.study.ReadingKind;
import finebore.valve.Valve;
import finebore.work.ShopFigure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import org.hipparchus.analysis.solvers.BrentSolver;

/**
 * Which heads a cylinder has room for.
 *
 * @param cylinder from 1
 * @param limits those that are known
 * @param unmeasured gaps that nobody has measured: what lies within the limits is not known to fit
 */
public record SizeRoom(int cylinder, List<SizeLimit> limits, List<Unmeasured> unmeasured) {

  /** A gap nobody has measured, of a seat to the bore or between two. */
  public record Unmeasured(Kind kind, List<SeatPlace> seats) {
    public Unmeasured {
      seats = List.copyOf(seats);
    }

    /** What it is called. */
    public Message message() {
      return Message.of(kind)
          .with(
              "where",
              Term.quote(seats.stream().map(SeatPlace::label).collect(Collectors.joining(", "))));
    }
  }

  public SizeRoom {
    limits = List.copyOf(limits);
    unmeasured = List.copyOf(unmeasured);
  }

  /** Whether the room for a head is known: measured, or no more than the found one's. */
  public boolean isKnown(Port port, double headMm, double foundMm) {
    return isMeasured(port) || headMm <= foundMm + SAME_MM;
  }

  private static final double SAME_MM = 0.005;

  /** Whether all the room of a kind's heads is known. */
  public boolean isMeasured(Port port) {
    return unmeasured.stream().flatMap(u -> u.seats().stream()).noneMatch(s -> s.port() == port);
  }

  /** The room of a cylinder; gaps that a practice wants are kept. */
  public static SizeRoom of(Job job, int cylinder, Practice practice) {
    List<SeatPlace> seats =
        job.engine().seats().stream().filter(s -> s.cylinder() == cylinder).toList();
    List<SizeLimit> limits = new ArrayList<>();
    List<Unmeasured> unmeasured = new ArrayList<>();
    for (SeatPlace seat : seats) {
      Optional<Room> room = SeatRoom.found(job, seat);
      List<SizeLimit> own =
          room.isPresent()
              ? measured(job, seat, room.get(), practice)
              : parallel(job, seat, practice);
      if (own.isEmpty()) {
        unmeasured.add(new Unmeasured(Kind.BORE, List.of(seat)));
      }
      limits.addAll(own);
    }
    for (int a = 0; a < seats.size(); a++) {
      for (int b = a + 1; b < seats.size(); b++) {
        List<SizeLimit> both = between(job, seats.get(a), seats.get(b), practice);
        if (both.isEmpty()) {
          unmeasured.add(new Unmeasured(Kind.NEIGHBOUR, List.of(seats.get(a), seats.get(b))));
        }
        limits.addAll(both);
        List<SeatPlace> pair = List.of(seats.get(a), seats.get(b));
        if (unmeasured.stream().anyMatch(u -> pair.containsAll(u.seats()))) {
          limits.add(withinBore(job, seats.get(a), seats.get(b)));
        }
      }
    }
    return new SizeRoom(cylinder, limits, unmeasured);
  }

  /** Two rings side by side in one bore: what they reach across it is at most the bore. */
  private static SizeLimit withinBore(Job job, SeatPlace a, SeatPlace b) {
    double intake = 0;
    double exhaust = 0;
    for (SeatPlace seat : List.of(a, b)) {
      Lean lean = job.leanOf(seat);
      double reach =
          1
              / Math.hypot(
                  Math.hypot(1, Math.tan(Math.toRadians(lean.alongDeg()))),
                  Math.tan(Math.toRadians(lean.acrossDeg())));
      intake += seat.port() == Port.INTAKE ? reach / 2 : 0;
      exhaust += seat.port() == Port.EXHAUST ? reach / 2 : 0;
    }
    return new SizeLimit(
        Kind.BORE,
        a.label() + ", " + b.label(),
        intake,
        exhaust,
        job.engine().boreMm() / 2,
        Known.BORE_ALONE);
  }

  private static double least(Practice practice, Port port, ReadingKind kind) {
    return practice
        .wanted(port, kind)
        .map(r -> r.min().orElse(0))
        .map(mm -> Math.max(0, mm))
        .orElse(0.0);
  }

  /** A limit on one head alone. */
  private static SizeLimit alone(Kind kind, SeatPlace seat, double mostMm, Known known) {
    boolean isIntake = seat.port() == Port.INTAKE;
    return new SizeLimit(kind, seat.label(), isIntake ? 1 : 0, isIntake ? 0 : 1, mostMm, known);
  }

  private static List<SizeLimit> measured(Job job, SeatPlace seat, Room room, Practice practice) {
    List<SizeLimit> limits = new ArrayList<>();
    double lift = job.group(seat.port()).cam().maxLiftMm();
    double gap = least(practice, seat.port(), ReadingKind.BORE_WALL);
    ValveHead head = head(job, seat, room);
    limits.add(
        alone(
            Kind.BORE,
            seat,
            largestMm(r -> head.withRadius(r).leastToBoreMm(room.boreMm(), lift) - gap),
            Known.MEASURED));
    HeadLayout layout = job.layout();
    Rim seen = head.seen();
    if (job.head().layout().isPresent()) {
      double ring = layout.fireRingMm() / 2 - job.shop().value(ShopFigure.FIRE_RING_MARGIN);
      limits.add(
          alone(
              Kind.FIRE_RING,
              seat,
              largestMm(r -> ring - head.withRadius(r).farthestInHeadMm(lift)),
              Known.MEASURED));
      Rim fromPlug = seen.at(seen.alongMm() - layout.plugXMm(), seen.acrossMm() - layout.plugYMm());
      double plug = layout.plugMm() / 2;
      limits.add(
          alone(
              Kind.PLUG,
              seat,
              largestMm(r -> fromPlug.withRadius(r).nearestMm() - plug),
              Known.MEASURED));
    }
    room.chamber()
        .ifPresent(
            wall -> {
              double nearest = Double.POSITIVE_INFINITY;
              for (int d = 0; d < Around.DIRECTIONS; d++) {
                double angle = Around.angleRad(d);
                double to =
                    wall.fromMm(
                        seen.alongMm() - room.alongMm(), seen.acrossMm() - room.acrossMm(), angle);
                double reach = seen.withRadius(1).reachMm(Math.sin(angle), Math.cos(angle));
                nearest = Math.min(nearest, to / reach);
              }
              limits.add(alone(Kind.CHAMBER_WALL, seat, 2 * nearest, Known.MEASURED));
            });
    return limits;
  }

  /** The planned head on its seat as found. */
  private static ValveHead head(Job job, SeatPlace seat, Room room) {
    Valve valve = job.planOf(seat).wanted().valve();
    return room.head(valve.headDiameterMm() / 2, SeatRoom.shutMm(job, seat), valve.marginMm());
  }

  /** The diameter at which nothing is left, by the radius; 0 where there is no room for any. */
  private static double largestMm(DoubleUnaryOperator left) {
    double most = Quantity.VALVE_HEAD.max();
    if (left.applyAsDouble(0) <= 0) {
      return 0;
    }
    if (left.applyAsDouble(most) > 0) {
      return 2 * most;
    }
    return 2 * new BrentSolver(FINE_MM).solve(100, left::applyAsDouble, 0, most);
  }

  private static final double FINE_MM = 1e-4;

  private static List<SizeLimit> parallel(Job job, SeatPlace seat, Practice practice) {
    OptionalDouble axis = job.group(seat.port()).axisFromBoreMm();
    double gap = least(practice, seat.port(), ReadingKind.BORE_WALL);
    return axis.isPresent()
        ? List.of(
            alone(
                Kind.BORE,
                seat,
                2 * (job.engine().boreMm() / 2 - axis.getAsDouble() - gap),
                Known.PARALLEL))
        : List.of();
  }

  private static List<SizeLimit> between(Job job, SeatPlace a, SeatPlace b, Practice practice) {
    Optional<Room> first = SeatRoom.found(job, a);
    Optional<Room> second = SeatRoom.found(job, b);
    boolean placed = first.isPresent() && second.isPresent();
    OptionalDouble spacing =
        a.port() != b.port() && isOnlyPair(job)
            ? job.engine().valveSpacingMm()
            : OptionalDouble.empty();
    OptionalDouble apart =
        placed ? OptionalDouble.of(apartMm(job, a, first.get(), b, second.get())) : spacing;
    OptionalDouble middles =
        placed ? OptionalDouble.of(middlesMm(job, a, first.get(), b, second.get())) : spacing;
    if (apart.isEmpty()) {
      return List.of();
    }
    double perIntake = (share(a) + share(b)) / 2.0;
    double perExhaust = 1 - perIntake;
    Known known = placed ? Known.MEASURED : Known.PARALLEL;
    String where = a.label() + ", " + b.label();
    double gap =
        Math.max(
            least(practice, a.port(), ReadingKind.NEIGHBOUR),
            least(practice, b.port(), ReadingKind.NEIGHBOUR));
    List<SizeLimit> limits = new ArrayList<>();
    limits.add(
        new SizeLimit(
            Kind.NEIGHBOUR, where, perIntake, perExhaust, apart.getAsDouble() - gap, known));
    // A ring stands outside the seat by its wall, and the seat inside the head by its overhang.
    double outside =
        (ringOutsideHeadMm(job, a, practice) + ringOutsideHeadMm(job, b, practice)) / 2;
    double bridge =
        Math.max(
            least(practice, a.port(), ReadingKind.BRIDGE),
            least(practice, b.port(), ReadingKind.BRIDGE));
    limits.add(
        new SizeLimit(
            Kind.RINGS,
            where,
            perIntake,
            perExhaust,
            middles.getAsDouble() - outside - bridge,
            known));
    return limits;
  }

  private static boolean isOnlyPair(Job job) {
    return job.engine().intakesPerCylinder() == 1 && job.engine().exhaustsPerCylinder() == 1;
  }

  private static int share(SeatPlace seat) {
    return seat.port() == Port.INTAKE ? 1 : 0;
  }

  /** How much wider than its head a ring would be that leaves the wall the practice wants, mm. */
  private static double ringOutsideHeadMm(Job job, SeatPlace seat, Practice practice) {
    var wanted = job.planOf(seat).wanted();
    return wanted.seat().outsideDiameterMm()
        - wanted.valve().headDiameterMm()
        + 2 * least(practice, seat.port(), ReadingKind.RING_WALL);
  }

  /**
   * What two heads come to in the mean where they would just touch, either of them opening beside
   * the other shut: both grown alike from the heads that are planned.
   */
  private static double apartMm(Job job, SeatPlace a, Room first, SeatPlace b, Room second) {
    ValveHead one = head(job, a, first);
    ValveHead other = head(job, b, second);
    double liftOne = job.group(a.port()).cam().maxLiftMm();
    double liftOther = job.group(b.port()).cam().maxLiftMm();
    double half = (one.radiusMm() - other.radiusMm()) / 2;
    return largestMm(
        r -> {
          ValveHead here = one.withRadius(Math.max(0, r + half));
          ValveHead there = other.withRadius(Math.max(0, r - half));
          return Math.min(here.leastToShutMm(there, liftOne), there.leastToShutMm(here, liftOther));
        });
  }

  /** From the middle of a head to that of another, both shut. */
  private static double middlesMm(Job job, SeatPlace a, Room first, SeatPlace b, Room second) {
    Rim one = head(job, a, first).rim(0, 0);
    Rim other = head(job, b, second).rim(0, 0);
    return Math.hypot(
        Math.hypot(one.alongMm() - other.alongMm(), one.acrossMm() - other.acrossMm()),
        one.heightMm() - other.heightMm());
  }

  /** The limits that two heads break, the worst first. */
  public List<SizeLimit> broken(double intakeMm, double exhaustMm) {
    return limits.stream()
        .filter(l -> l.leftMm(intakeMm, exhaustMm) < -ROUNDING_MM)
        .sorted(
            (x, y) -> Double.compare(x.leftMm(intakeMm, exhaustMm), y.leftMm(intakeMm, exhaustMm)))
        .toList();
  }

  private static final double ROUNDING_MM = 1e-9;

  /** What holds two heads back that grow together along a way. */
  public record Largest(double intakeMm, double exhaustMm, SizeLimit by) {}

  /**
   * How far two heads can grow; what yields to a cutter does not stop them. Empty where nothing is
   * known that would.
   *
   * @param intakePart how much the intake grows for each mm
   * @param exhaustPart the same of the exhaust
   */
  public Optional<Largest> largest(
      double intakeMm, double exhaustMm, double intakePart, double exhaustPart) {
    SizeLimit by = null;
    double least = Double.POSITIVE_INFINITY;
    for (SizeLimit limit : limits) {
      double slope = limit.perIntake() * intakePart + limit.perExhaust() * exhaustPart;
      if (slope > 0 && !limit.kind().yields()) {
        double way = limit.leftMm(intakeMm, exhaustMm) / slope;
        if (way < least) {
          least = way;
          by = limit;
        }
      }
    }
    return by == null
        ? Optional.empty()
        : Optional.of(
            new Largest(intakeMm + least * intakePart, exhaustMm + least * exhaustPart, by));
  }
}
