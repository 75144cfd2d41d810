package finebore.sizes;

import finebore.job.Engine.SeatPlace;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.SeatRoom;
import finebore.practice.Practice;
import finebore.room.Around;
import finebore.room.Room;
import finebore.sizes.SizeLimit.Kind;
import finebore.sizes.SizeLimit.Known;
import finebore.study.ReadingKind;
import finebore.work.ShopFigure;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Which heads a cylinder has room for.
 *
 * @param cylinder from 1
 * @param limits those that are known
 */
public record SizeRoom(int cylinder, List<SizeLimit> limits) {

  /** Lifts at which a leaning valve is looked at. */
  private static final int LIFTS = 20;

  public SizeRoom {
    limits = List.copyOf(limits);
  }

  /** The room of a cylinder; gaps that a practice wants are kept. */
  public static SizeRoom of(Job job, int cylinder, Practice practice) {
    List<SeatPlace> seats =
        job.engine().seats().stream().filter(s -> s.cylinder() == cylinder).toList();
    List<SizeLimit> limits = new ArrayList<>();
    for (SeatPlace seat : seats) {
      Optional<Room> room = SeatRoom.found(job, seat);
      if (room.isPresent()) {
        limits.addAll(measured(job, seat, room.get(), practice));
      } else {
        limits.addAll(parallel(job, seat, practice));
      }
    }
    for (int a = 0; a < seats.size(); a++) {
      for (int b = a + 1; b < seats.size(); b++) {
        limits.addAll(between(job, seats.get(a), seats.get(b), practice));
      }
    }
    return new SizeRoom(cylinder, limits);
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
    double shut = SeatRoom.shutMm(job, seat);
    double open = shut + job.group(seat.port()).cam().maxLiftMm();
    double gap = least(practice, seat.port(), ReadingKind.BORE_WALL);
    double aside = 0;
    for (int k = 0; k <= LIFTS; k++) {
      // Only above the head face is there a wall to meet.
      double height = Math.max(0, shut) + k * Math.max(0, open - Math.max(0, shut)) / LIFTS;
      aside = Math.max(aside, Math.hypot(room.alongAt(height), room.acrossAt(height)));
    }
    limits.add(alone(Kind.BORE, seat, 2 * (room.boreMm() / 2 - aside - gap), Known.MEASURED));
    HeadLayout layout = job.layout();
    double atFace = Math.hypot(room.alongMm(), room.acrossMm());
    if (job.head().layout().isPresent()) {
      limits.add(
          alone(
              Kind.FIRE_RING,
              seat,
              2
                  * (layout.fireRingMm() / 2
                      - atFace
                      - job.shop().value(ShopFigure.FIRE_RING_MARGIN)),
              Known.MEASURED));
      double toPlug =
          Math.hypot(room.alongAt(shut) - layout.plugXMm(), room.acrossAt(shut) - layout.plugYMm());
      limits.add(alone(Kind.PLUG, seat, 2 * (toPlug - layout.plugMm() / 2), Known.MEASURED));
    }
    room.chamber()
        .ifPresent(
            wall -> {
              double nearest = Double.POSITIVE_INFINITY;
              for (int d = 0; d < Around.DIRECTIONS; d++) {
                nearest = Math.min(nearest, wall.atMm(d) - room.asideMm(d, shut));
              }
              limits.add(alone(Kind.CHAMBER_WALL, seat, 2 * nearest, Known.MEASURED));
            });
    return limits;
  }

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
    OptionalDouble apart =
        placed
            ? OptionalDouble.of(
                Math.min(
                    apartMm(job, a, first.get(), b, second.get()),
                    apartMm(job, b, second.get(), a, first.get())))
            : a.port() != b.port() && isOnlyPair(job)
                ? job.engine().valveSpacingMm()
                : OptionalDouble.empty();
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
            apart.getAsDouble() - outside - bridge,
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

  /** From a valve that opens to one that is shut, axis to axis where it is least. */
  private static double apartMm(
      Job job, SeatPlace opening, Room room, SeatPlace other, Room others) {
    double still = SeatRoom.shutMm(job, other);
    double shut = SeatRoom.shutMm(job, opening);
    double lift = job.group(opening.port()).cam().maxLiftMm();
    double least = Double.POSITIVE_INFINITY;
    for (int k = 0; k <= LIFTS; k++) {
      double height = shut + k * lift / LIFTS;
      least =
          Math.min(
              least,
              Math.hypot(
                  room.alongAt(height) - others.alongAt(still),
                  room.acrossAt(height) - others.acrossAt(still)));
    }
    return least;
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
