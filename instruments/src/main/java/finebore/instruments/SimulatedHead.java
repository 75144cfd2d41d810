package finebore.instruments;

import finebore.bench.SetUp;
import finebore.calibration.TestedSeat;
import finebore.code.RuleViolation;
import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.Gate;
import finebore.flow.Sectors;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.job.Job;
import finebore.job.Port;
import finebore.room.Shroud;
import finebore.study.FlowSetting;
import finebore.study.SeatStudy;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;

/**
 * What a simulated head really flows: seat and valve as {@link SeatAlone} has them, with a port of
 * its own and a smooth error of a few per cent, both out of a seed, so that the program cannot know
 * them but can find them out.
 *
 * <p>Seat and valve are worked out at a few heights, each when the bench first comes near it.
 */
public final class SimulatedHead implements DoubleUnaryOperator {

  private static final int HEIGHTS = 14;

  /** Below this height the estimate is no measure any more; its share there holds on down. */
  private static final int LOWEST = 2;

  private static final double PAST_CAM = 1.35;

  /** Heights lie closer where the valve is low. */
  private static final double CLOSER = 1.5;

  /** A pipe on the exhaust port takes some of its loss away. */
  private static final double PIPE_SAVES = 0.25;

  /** A sharp-edged port entry costs some. */
  private static final double BARE_INLET_COSTS = 0.12;

  private final SeatStudy seat;
  private final SeatAlone alone;
  private final double most;
  private final double portPerMm4;
  private final double factor;
  private final double own;
  private final double tilt;
  private final double[] phases;

  /** The walls of a head cost more or less than the program takes them to. */
  private final double walls;

  private final Map<Integer, Double> truer = new HashMap<>();

  private SimulatedHead(Job job, SetUp setUp, long seed, SeatAlone alone) {
    this.alone = alone;
    most = PAST_CAM * job.group(Port.of(setUp.direction())).cam().maxLiftMm();
    seat =
        TestedSeat.study(job, setUp, List.of(most), Calibration.SEAT_ALONE)
            .filter(s -> s.seated().isPresent())
            .orElseThrow(() -> RuleViolation.of("valveDoesNotSeat"));
    Random head = new Random(seed * 31 + setUp.direction().ordinal());
    double port = 0.45 + 0.35 * head.nextDouble();
    factor = 0.95 + 0.04 * head.nextDouble();
    phases = new double[] {head.nextDouble(), head.nextDouble()};
    walls = 0.7 + 0.6 * head.nextDouble();
    // Each state has a little of its own that no model knows of.
    SetUp.TestedState tested = setUp.state();
    Random state =
        new Random(
            seed * 131
                + tested.kind().ordinal() * 41L
                + tested.operations()
                + setUp.seat().hashCode() * 7L);
    state.nextDouble();
    own = 0.008 * (2 * state.nextDouble() - 1);
    tilt = 0.01 * (2 * state.nextDouble() - 1);
    boolean bare = setUp.inlet().kind() == SetUp.Inlet.Kind.BARE;
    double loss =
        Math.max(
            0.05,
            port
                - (setUp.pipe().isPresent() ? PIPE_SAVES : 0)
                + (bare && setUp.direction() == Direction.INTAKE ? BARE_INLET_COSTS : 0));
    double portArea = seat.setting().portAreaMm2().orElse(seat.fit().throatAreaMm2());
    portPerMm4 =
        setUp.direction().portPerMm4(loss, portArea)
            + inFront(setUp.inlet().kind()) / (portArea * portArea);
  }

  /** What a manifold, or one with its throttle, loses in front of the port, in velocity heads. */
  private static double inFront(SetUp.Inlet.Kind inlet) {
    return switch (inlet) {
      case RADIUS, FLANGE, BARE -> 0;
      case MANIFOLD -> 0.35;
      case THROTTLE -> 0.8;
    };
  }

  /**
   * The truth of a head on a bench.
   *
   * @param seed of the head: the same for all its states
   * @param alone how seat and valve are worked out
   */
  public static SimulatedHead of(Job job, SetUp setUp, long seed, SeatAlone alone) {
    return new SimulatedHead(job, setUp, seed, alone);
  }

  /** Effective area at a lift, mm2. */
  @Override
  public synchronized double applyAsDouble(double liftMm) {
    if (liftMm <= 0) {
      return 0;
    }
    double part = Math.min(1, liftMm / most);
    double at = HEIGHTS * Math.pow(part, 1 / CLOSER);
    int below = Math.clamp((int) at, LOWEST, HEIGHTS - 1);
    double share = Math.clamp(at - below, 0, 1);
    double area =
        estimated(liftMm)
            * Math.pow(open(liftMm), walls)
            * ((1 - share) * smooth(below) + share * smooth(below + 1));
    double wave =
        1
            + 0.012 * Math.sin(2 * Math.PI * (part + phases[0]))
            + 0.006 * Math.sin(4 * Math.PI * (part + phases[1]))
            + own
            + tilt * (part - 0.5);
    return wave * factor / Math.sqrt(1 / (area * area) + portPerMm4);
  }

  /** Seat and valve with nothing round them. */
  private double estimated(double liftMm) {
    FlowSetting free = seat.setting().withRoom(Optional.empty());
    return seat.fit().aloneMm2(seat.fit().areaAt(liftMm, free), free);
  }

  /** What the walls round the valve leave, as the program has it. */
  private double open(double liftMm) {
    Gate gate = Gate.between(seat.seat().profile(), seat.valveAt(liftMm));
    return seat.fit().shroud(gate, liftMm, seat.setting()).map(Shroud::share).orElse(1.0);
  }

  /**
   * A jet that lies down at one height does so little by little on a head that is not quite round.
   */
  private double smooth(int height) {
    return (truer(Math.max(LOWEST, height - 1))
            + 2 * truer(height)
            + truer(Math.min(HEIGHTS, height + 1)))
        / 4;
  }

  /** What seat and valve pass at one of the heights, over what the estimate says. */
  private double truer(int height) {
    return truer.computeIfAbsent(
        height,
        k -> {
          double lift = most * Math.pow((double) k / HEIGHTS, CLOSER);
          // The solver knows nothing of a bent port's two sides.
          double estimated = estimated(lift) / Sectors.BENT_PORT.mean();
          return alone.areaMm2(seat.airAt(lift, Turbulence.TRANSPORT, Fineness.COARSE), estimated)
              / estimated;
        });
  }
}
