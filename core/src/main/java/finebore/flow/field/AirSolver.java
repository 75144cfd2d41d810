package finebore.flow.field;

import finebore.flow.Direction;
import finebore.section.Point;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/**
 * Works out the air between a lifted valve and its seat: steady, turned round the axis, viscous, of
 * one density.
 *
 * <p>Every valve is scaled to {@link #REFERENCE_MM} across, air and test pressure to the usual
 * ones, so that grids and Reynolds numbers are alike. A given flow is fed, and the pressure it
 * takes is what comes out: total pressure in the port against still air, for air that goes out the
 * other way round. The port's own loss is not in it, nor, for air that goes out, what its speed in
 * the port is worth.
 *
 * <p>At low lift a jet can have two states, free or lying along the roof, and many sections hold
 * either. An unbroken ring of air along the roof needs an unbroken roof, which no chamber has; so
 * the roof begins open to still air and is shut from the cuts outward, and the jet lies free
 * wherever it can. The answer then hangs on the section alone, not on what was solved before.
 *
 * <p>It is one of three. Settled: what all cells lack is below {@value #ENOUGH} of the jet's
 * momentum and of the mass, and the area stands still. Waving: the area is the mean over whole
 * waves, which stands still within {@value #MOST_DRIFT} while it swings by less than {@value
 * #MOST_UNREST}, and mass lacks less than {@value #MOST_MASS}; the swing is told wherever the
 * figure stands. Not solved: anything else.
 */
public final class AirSolver {

  /** Goes up when figures change, so that those kept from before are not taken for today's. */
  public static final int VERSION = 3;

  /** Head diameter that all valves are scaled to, mm. */
  public static final double REFERENCE_MM = 42;

  static final double DENSITY = 1.2;
  static final double AIR = 1.5e-5;

  /** Speed of still air let go of the usual test pressure, 28 inches of water, m/s. */
  static final double SPEED = Math.sqrt(2 * 28 * 249.089 / DENSITY);

  /** A gap below this is no way for the grid, mm at the reference size. */
  private static final double CLOSED_MM = 0.02;

  static final double ENOUGH = 1e-3;
  static final double MOST_UNREST = 0.04;

  /** Momentum that lacks so many times what is enough no longer gets less. */
  private static final double STUCK = 10;

  static final double MOST_DRIFT = 0.005;
  static final double MOST_MASS = 0.03;
  private static final double STILL = 2e-4;
  private static final int WINDOW = 40;

  /** Rounds the roof stands open, and after which it is shut. */
  private static final int VENTED = 70;

  private static final int SHUT = 140;

  /** A jet that stands off the roof by more than this lies free, degrees. */
  private static final double FREE_DEG = 20;

  private static final int MOST_ROUNDS = 700;
  private static final double RELAXATION = 0.85;

  /** Cells larger than this share of the gap carry no steep slopes: they could not hold them. */
  private static final double FINE = 0.1;

  /** Flow fed, over the curtain of the gap at the jet's speed: a first guess of the pressure. */
  private static final double GUESS = 0.75;

  private final AirQuestion question;
  private final Mesh mesh;
  private final Stream stream;
  private final Closure closure;
  private final Balance balance;
  private final double flow;
  private double area;

  private AirSolver(AirQuestion question, int across, AirSpace space, double gap) {
    this.question = question;
    boolean in = question.direction() == Direction.INTAKE;
    mesh =
        new Mesh(
            GridLines.of(space, across),
            true,
            in ? Mesh.Edge.FED : Mesh.Edge.DRAWN,
            Mesh.Edge.OPEN);
    stream = new Stream(mesh, DENSITY, AIR * DENSITY);
    stream.speed = SPEED;
    flow = DENSITY * SPEED * GUESS * gap * REFERENCE_MM / 2000;
    closure = question.turbulence().on(mesh, gap);
    balance = new Balance(stream, RELAXATION, FINE * gap);
  }

  /** Works it out from air that spreads evenly. */
  public static AirFlow solve(AirQuestion question) {
    return solve(question, Optional.empty(), () -> false);
  }

  /**
   * Works it out.
   *
   * @param start a flow of nearly the same section to begin from: sooner done, to the same answer;
   *     of no use to air that goes out, whose jet has no state to be told by
   * @param stop asked now and then; true gives up
   * @throws AirNotSolved when the section leaves no way, cannot be gridded, or does not settle
   */
  public static AirFlow solve(AirQuestion question, Optional<AirFlow> start, BooleanSupplier stop) {
    return solve(question, question.fineness().across(), start, stop);
  }

  /** The same on a grid of so many cells across. */
  static AirFlow solve(
      AirQuestion question, int across, Optional<AirFlow> start, BooleanSupplier stop) {
    double scale = REFERENCE_MM / 2000 / question.headRadiusMm();
    double gap = question.gapMm() * scale;
    if (gap < CLOSED_MM / 1000) {
      throw new AirNotSolved(AirNotSolved.Why.NO_WAY, question.gapMm());
    }
    AirSpace space =
        scaled(
            SeatAir.of(
                question.wall(), question.valve(), question.headRadiusMm(), question.direction()),
            scale);
    AirSolver solver = new AirSolver(question, across, space, gap);
    solver.spreadEvenly();
    if (question.direction() == Direction.EXHAUST) {
      return solver.settle(scale, SHUT, stop);
    }
    start.ifPresent(s -> solver.stream.startFrom(s.stream()));
    if (start.isPresent() && liesFree(start.get())) {
      AirFlow soon = solver.settle(scale, 0, stop);
      if (liesFree(soon)) {
        return soon;
      }
    }
    return solver.settle(scale, SHUT, stop);
  }

  private static boolean liesFree(AirFlow flow) {
    return flow.jetAngleDeg() > FREE_DEG;
  }

  private static AirSpace scaled(AirSpace s, double by) {
    return new AirSpace(
        new AirSpace.Side(scaled(s.inner().points(), by), s.inner().kinds()),
        new AirSpace.Side(scaled(s.outer().points(), by), s.outer().kinds()),
        scaled(s.far(), by));
  }

  private static List<Point> scaled(List<Point> points, double by) {
    return points.stream().map(p -> new Point(p.r() * by, p.z() * by)).toList();
  }

  private int portEdge(int j) {
    return 2 * mesh.along + j;
  }

  /** Area of a face of the end in the port, m2 a radian. */
  private double portArea(int j) {
    int k = portEdge(j);
    return Math.abs(mesh.edgeNormalZ[k]) * mesh.edgeRadius[k];
  }

  /** Each channel of the grid carries what enters it. */
  private void spreadEvenly() {
    int sign = question.direction() == Direction.INTAKE ? 1 : -1;
    double all = 0;
    for (int j = 0; j < mesh.across; j++) {
      all += portArea(j);
    }
    for (int j = 0; j < mesh.across; j++) {
      double part = sign * flow * portArea(j) / all;
      stream.edgeFlow[portEdge(j)] = -part;
      stream.edgeFlow[portEdge(j) + mesh.across] = part;
      for (int i = 0; i < mesh.along; i++) {
        int c = i * mesh.across + j;
        int k = i < mesh.along - 1 ? c : c - mesh.across;
        stream.flow[k] = part;
        double nr = mesh.normalR[k];
        double nz = mesh.normalZ[k];
        double through = DENSITY * mesh.radius[k] * (nr * nr + nz * nz);
        stream.u[c] = part * nr / through;
        stream.w[c] = part * nz / through;
      }
    }
  }

  private AirFlow settle(double scale, int shut, BooleanSupplier stop) {
    double[] areas = new double[MOST_ROUNDS];
    for (int round = 0; round < MOST_ROUNDS; round++) {
      if (round <= shut && shut > 0) {
        mesh.openRoof((double) (shut - round) / (shut - VENTED));
        stream.stopAtWalls();
      }
      if (stop.getAsBoolean()) {
        throw new AirNotSolved(AirNotSolved.Why.STOPPED, round);
      }
      round();
      areas[round] = area;
      double unrest = unrest(areas, round + 1, WINDOW);
      if (round > shut + WINDOW && unrest < STILL && lacksNothing()) {
        return answer(area, unrest, round + 1, false, scale);
      }
      if (round > MOST_ROUNDS / 3 && balance.momentumLeft() > STUCK * ENOUGH * momentum()) {
        Waves waves = Waves.of(areas, round + 1, 5 * WINDOW);
        if (waves.swing() < STILL * 5 && isWaving(waves)) {
          return answer(waves.mean(), waves.swing(), round + 1, true, scale);
        }
      }
    }
    Waves waves = Waves.of(areas, MOST_ROUNDS, 6 * WINDOW);
    if (isWaving(waves)) {
      return answer(waves.mean(), waves.swing(), MOST_ROUNDS, true, scale);
    }
    throw new AirNotSolved(AirNotSolved.Why.NOT_SETTLED, waves.swing());
  }

  private boolean lacksNothing() {
    return balance.momentumLeft() < ENOUGH * momentum() && balance.massLeft() < ENOUGH * flow;
  }

  private boolean isWaving(Waves waves) {
    return waves.swing() < MOST_UNREST
        && waves.drift() < MOST_DRIFT
        && balance.massLeft() < MOST_MASS * flow;
  }

  /** Half of how far the last areas lie apart, over their middle; large while there are too few. */
  private static double unrest(double[] areas, int count, int window) {
    if (count < window) {
      return 1;
    }
    double least = Double.MAX_VALUE;
    double most = 0;
    for (int k = count - window; k < count; k++) {
      if (Double.isNaN(areas[k])) {
        return 1;
      }
      least = Math.min(least, areas[k]);
      most = Math.max(most, areas[k]);
    }
    return (most - least) / (most + least);
  }

  private double momentum() {
    return flow * stream.speed;
  }

  private AirFlow answer(double area, double unrest, int rounds, boolean waves, double scale) {
    return new AirFlow(
        question,
        stream,
        scale,
        area / (scale * scale),
        new AirFlow.Settled(
            rounds, balance.momentumLeft() / momentum(), balance.massLeft() / flow, unrest, waves));
  }

  private void round() {
    closure.update(stream);
    balance.round();
    double pressure = 0;
    double port = 0;
    for (int j = 0; j < mesh.across; j++) {
      pressure += portArea(j) * stream.edgeP[portEdge(j)];
      port += portArea(j);
    }
    double speed = flow / (DENSITY * port);
    double total = pressure / port + 0.5 * DENSITY * speed * speed;
    double drop = question.direction() == Direction.INTAKE ? total : -total;
    if (!(drop > 0)) {
      area = Double.NaN;
      return;
    }
    double jet = Math.sqrt(2 * drop / DENSITY);
    area = 2 * Math.PI * flow / DENSITY / jet;
    // The air's own viscosity keeps in step, as if the pressure were the usual one.
    stream.speed = Math.clamp(jet, SPEED / 4, SPEED * 4);
    stream.viscosity = AIR * DENSITY * stream.speed / SPEED;
  }
}
