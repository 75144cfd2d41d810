package finebore.planning;

import finebore.flow.FlowChange;
import finebore.flow.field.AirChange;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.KnownAir;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.room.WallShare;
import finebore.study.SeatStudy;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * What solved air says of a plan against the seat as found.
 *
 * @param byLiftMm for each lift that the even closure has been solved for; not every one need be
 *     complete
 */
public record SolvedChange(Map<Double, AirChange> byLiftMm) {

  /** Nothing is solved. */
  public static final SolvedChange NONE = new SolvedChange(Map.of());

  public SolvedChange {
    byLiftMm = Map.copyOf(byLiftMm);
  }

  /** What is known of two studies of a seat, neither of which need rest on it. */
  public static SolvedChange of(
      SeatStudy found, SeatStudy planned, List<Double> liftsMm, KnownAir air) {
    if (found.seated().isEmpty() || planned.seated().isEmpty()) {
      return NONE;
    }
    Map<Double, AirChange> known = new HashMap<>();
    double port = found.portPerMm4();
    for (double lift : liftsMm) {
      Questions asked = Questions.of(found, planned, lift);
      AirChange change =
          AirChange.of(
              areas(asked.found(), air),
              areas(asked.planned(), air),
              port,
              walls(found, planned, lift));
      if (!Double.isNaN(change.even())) {
        known.put(lift, change);
      }
    }
    return new SolvedChange(known);
  }

  /** What the walls leave at a lift of either; nothing is taken where nobody has measured them. */
  public static AirChange.Walls walls(SeatStudy found, SeatStudy planned, double liftMm) {
    if (found.setting().room().isEmpty() || planned.setting().room().isEmpty()) {
      return AirChange.Walls.NONE;
    }
    WallShare before = found.wallsAt(liftMm);
    WallShare after = planned.wallsAt(liftMm);
    return new AirChange.Walls(
        before.share(),
        after.share(),
        IntStream.range(0, before.extremes().size())
            .mapToObj(k -> new double[] {before.extremes().get(k), after.extremes().get(k)})
            .toList());
  }

  private static List<SolvedArea> areas(List<AirQuestion> questions, KnownAir air) {
    return questions.stream().map(air::of).toList();
  }

  /**
   * What is to be solved to compare two studies of a seat at a lift, the same of both.
   *
   * @param found the even closure's air first, then the other's, then the even closure's on the
   *     full grid where the lift is that low
   * @param planned the same
   */
  public record Questions(List<AirQuestion> found, List<AirQuestion> planned) {

    /**
     * Lift over head diameter below which the coarse grid alone does not do: of changes that it
     * called clear, one in six came out otherwise on the full grid at 0.03, one in sixty at 0.08
     * (measured on random seats); the limit itself is chosen.
     */
    private static final double LOW = 0.05;

    /** Of two studies that rest on their seat, at a lift above 0 mm. */
    public static Questions of(SeatStudy found, SeatStudy planned, double liftMm) {
      boolean low = liftMm < LOW * found.pairing().valve().headDiameterMm();
      return new Questions(of(found, liftMm, low), of(planned, liftMm, low));
    }

    private static List<AirQuestion> of(SeatStudy study, double liftMm, boolean low) {
      AirQuestion even = study.airAt(liftMm, Turbulence.EVEN, Fineness.COARSE);
      AirQuestion transport = study.airAt(liftMm, Turbulence.TRANSPORT, Fineness.COARSE);
      return low ? List.of(even, transport, even.with(Fineness.FULL)) : List.of(even, transport);
    }
  }

  /** The change at a lift, mm, once both closures have been solved for it. */
  public Optional<AirChange> at(double liftMm) {
    return Optional.ofNullable(byLiftMm.get(liftMm)).filter(AirChange::isComplete);
  }

  /** At how many lifts both closures have been solved. */
  public int count() {
    return (int) byLiftMm.values().stream().filter(AirChange::isComplete).count();
  }

  /** A change of flow in which what has been solved counts, the estimate where nothing has. */
  public FlowChange counted(FlowChange change) {
    Map<Double, Double> shares = new TreeMap<>();
    change.steps().forEach(s -> at(s.liftMm()).ifPresent(c -> shares.put(s.liftMm(), c.share())));
    return shares.isEmpty() ? change : change.with(shares);
  }
}
