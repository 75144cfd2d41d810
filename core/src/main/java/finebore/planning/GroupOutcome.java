package finebore.planning;

import finebore.cutting.Cutting;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.study.ReadingKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What a plan makes of every seat that follows it. Figures that differ between the seats stand per
 * seat; nothing here speaks for one seat in the name of another.
 *
 * @param seats one outcome for each, in the order of the head; at least one
 */
public record GroupOutcome(List<SeatOutcome> seats) {

  /** Figures closer than this are the same to a machinist, mm or degrees. */
  private static final double SAME = 0.0005;

  public GroupOutcome {
    seats = List.copyOf(seats);
  }

  /** Carries the plan of a seat out on every seat that follows it. */
  public static GroupOutcome of(Job job, SeatPlace place) {
    return of(job, place, job.planOf(place));
  }

  /** Carries another plan out on them, on as many at a time as there are processors. */
  public static GroupOutcome of(Job job, SeatPlace place, Plan plan) {
    return among(
        job.alike(place).parallelStream()
            .map(seat -> OfSeat.working(seat, () -> CutStudy.of(job, seat, plan)))
            .toList());
  }

  /** Figures of a cylinder hang on all its seats, which are carried out once for all of them. */
  private static GroupOutcome among(List<CutStudy> cuts) {
    return new GroupOutcome(
        cuts.parallelStream()
            .map(cut -> OfSeat.working(cut.place(), () -> SeatOutcome.of(cut.among(cuts))))
            .toList());
  }

  /** Carries another plan out on the same seats, in a job that differs by nothing else. */
  public GroupOutcome with(Job job, Plan plan) {
    List<CutStudy> cuts = seats.parallelStream().map(seat -> seat.cut().with(job, plan)).toList();
    return new GroupOutcome(
        IntStream.range(0, cuts.size())
            .parallel()
            .mapToObj(k -> seats.get(k).read(cuts.get(k).among(cuts)))
            .toList());
  }

  /** The same in a job that differs by its flow tests alone: no metal hangs on those. */
  public GroupOutcome in(Job job) {
    return new GroupOutcome(seats.stream().map(seat -> seat.in(job)).toList());
  }

  /** Every group of seats of a job that are cut alike: those that follow a plan, and exceptions. */
  public static List<GroupOutcome> all(Job job) {
    return job.plans().stream().map(first -> of(job, first)).toList();
  }

  public Plan plan() {
    return seats.getFirst().plan();
  }

  public Optional<SeatOutcome> of(SeatPlace place) {
    return seats.stream().filter(s -> s.place().equals(place)).findFirst();
  }

  /** What an operation did at each seat, by its place in the plan. */
  public List<Cutting.Step> steps(int place) {
    return seats.stream().map(s -> s.cut().cutting().steps().get(place)).toList();
  }

  /** A reading of each seat. */
  public List<OptionalDouble> readings(ReadingKind kind) {
    return seats.stream().map(s -> s.reading(kind)).toList();
  }

  /** Whether values, one for each seat, are all the same to a machinist. */
  public static boolean isSame(List<OptionalDouble> values) {
    OptionalDouble first = values.getFirst();
    return values.stream()
        .allMatch(
            v ->
                v.isPresent() == first.isPresent()
                    && (v.isEmpty() || Math.abs(v.getAsDouble() - first.getAsDouble()) < SAME));
  }
}
