package finebore.planning;

import finebore.cutting.TakeWallBack;
import finebore.flow.Gate;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.room.Around;
import finebore.room.Room;
import finebore.room.Shroud;
import finebore.room.WallBack;
import finebore.study.SeatFit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What stands round a valve at one lift.
 *
 * @param edgeMm radius of its head
 * @param heightMm of its edge, along its axis from the head face
 * @param shroud what the walls leave in each direction
 * @param back how far the chamber's wall would go back; empty where it was not measured
 * @param gain of the seat with the whole wall {@link #STEP_MM} further back, as a share; empty
 *     likewise
 */
public record RoomAtLift(
    double edgeMm, double heightMm, Shroud shroud, List<WallBack> back, OptionalDouble gain) {

  /** The wall is tried so much further back, mm. */
  public static final double STEP_MM = 0.1;

  public RoomAtLift {
    back = List.copyOf(back);
  }

  /**
   * Looks round a valve; empty where it falls through its seat.
   *
   * @param place whose fire ring, water and plug stop its wall
   * @param liftMm above 0
   */
  public static Optional<RoomAtLift> of(
      Job job, SeatPlace place, Room room, SeatFit fit, double liftMm) {
    return fit.restMm().isEmpty()
        ? Optional.empty()
        : Optional.of(of(job, place, room, fit, liftMm, fit.restMm().getAsDouble() + liftMm));
  }

  /** A wall that has less to go is left alone, mm. */
  public static final double SLIGHT_MM = 0.05;

  /**
   * The operation that takes the wall back where it costs, but never past a limit: over the
   * shortest way round the clock that has it all, to tenths of an hour and of a millimetre. Where a
   * limit leaves nothing to take on that way, the side of it that gives more. Empty where there is
   * nothing to take.
   */
  public Optional<TakeWallBack> wanted() {
    return runs().stream()
        .max(Comparator.comparingDouble(run -> run.stream().mapToDouble(this::takeMm).sum()))
        .map(this::taken);
  }

  private double takeMm(int direction) {
    return back.get(direction).takeMm();
  }

  /** Directions from the first to the last with something to take, parted where nothing may go. */
  private List<List<Integer>> runs() {
    List<List<Integer>> runs = new ArrayList<>();
    List<Integer> run = new ArrayList<>();
    int start = start();
    for (int k = 0; k < back.size(); k++) {
      int direction = (start + k) % back.size();
      if (takeMm(direction) >= SLIGHT_MM) {
        run.add(direction);
      } else if (back.get(direction).isHeld() && !run.isEmpty()) {
        runs.add(run);
        run = new ArrayList<>();
      }
    }
    if (!run.isEmpty()) {
      runs.add(run);
    }
    return runs;
  }

  /** Behind the widest way with nothing to take: from there on the shortest has it all. */
  private int start() {
    int widest = 0;
    int behind = 0;
    int since = 0;
    for (int k = 0; k < 2 * back.size(); k++) {
      int direction = k % back.size();
      if (takeMm(direction) >= SLIGHT_MM) {
        if (since > widest) {
          widest = since;
          behind = direction;
        }
        since = 0;
      } else {
        since++;
      }
    }
    return behind;
  }

  private TakeWallBack taken(List<Integer> run) {
    double from = Around.hour(run.getFirst());
    double to = Around.hour(run.getLast());
    double most =
        run.stream().mapToDouble(d -> back.get(d).nowMm() + takeMm(d)).max().orElseThrow();
    double first = Math.floor(10 * from) / 10;
    double last = run.size() == back.size() ? from : Math.min(12, Math.ceil(10 * to) / 10);
    if (run.size() == 1 && last == first) {
      // From an hour to the same hour is all round.
      last += 0.1;
    }
    TakeWallBack whole = new TakeWallBack(first, last, most);
    double limit =
        IntStream.range(0, back.size())
            .filter(d -> whole.isAt(Around.hour(d)))
            .mapToDouble(d -> back.get(d).limitMm())
            .min()
            .orElseThrow();
    return new TakeWallBack(first, last, Math.floor(10 * Math.min(most, limit)) / 10);
  }

  private static RoomAtLift of(
      Job job, SeatPlace place, Room room, SeatFit fit, double liftMm, double heightMm) {
    double edge = fit.pairing().valve().headDiameterMm() / 2;
    double gate = Gate.between(fit.seat().profile(), fit.valveAt(liftMm)).areaMm2();
    Shroud shroud = Shroud.of(room, edge, heightMm, gate);
    if (room.chamber().isEmpty()) {
      return new RoomAtLift(edge, heightMm, shroud, List.of(), OptionalDouble.empty());
    }
    Room further = room.withChamber(room.chamber().map(wall -> wall.takenBack(STEP_MM)));
    return new RoomAtLift(
        edge,
        heightMm,
        shroud,
        WallBack.of(room, edge, heightMm, gate, WallLimits.of(job, place, room)),
        OptionalDouble.of(Shroud.of(further, edge, heightMm, gate).share() / shroud.share() - 1));
  }
}
