package finebore.flow.field;

import finebore.flow.field.AirSpace.Kind;
import finebore.flow.field.AirSpace.Side;
import finebore.section.Point;
import java.util.Arrays;
import java.util.List;

/** A flow of known answer: air fed evenly into a channel at its port end. */
final class Channel {

  final Mesh mesh;
  final Stream stream;
  private final Balance balance;
  private final Closure closure;
  private double fed;
  private final double speed;

  /**
   * @param speed it is fed with, m/s
   * @param viscosity kinematic, m2/s
   */
  Channel(Mesh mesh, Closure closure, double speed, double viscosity) {
    this(mesh, closure, speed, viscosity, 1e9);
  }

  /**
   * @param fine size of cells up to which speeds are drawn on to faces in full
   */
  Channel(Mesh mesh, Closure closure, double speed, double viscosity, double fine) {
    this.mesh = mesh;
    this.closure = closure;
    this.speed = speed;
    stream = new Stream(mesh, 1, viscosity);
    stream.speed = speed;
    balance = new Balance(stream, 0.85, fine);
    for (int j = 0; j < mesh.across; j++) {
      int k = 2 * mesh.along + j;
      double part =
          speed * Math.hypot(mesh.edgeNormalR[k], mesh.edgeNormalZ[k]) * mesh.edgeRadius[k];
      fed += part;
      stream.edgeFlow[k] = -part;
      stream.edgeFlow[k + mesh.across] = part;
      for (int i = 0; i < mesh.along; i++) {
        int c = i * mesh.across + j;
        int f = i < mesh.along - 1 ? c : c - mesh.across;
        stream.flow[f] = part;
        double through =
            mesh.radius[f]
                * (mesh.normalR[f] * mesh.normalR[f] + mesh.normalZ[f] * mesh.normalZ[f]);
        stream.u[c] = part * mesh.normalR[f] / through;
        stream.w[c] = part * mesh.normalZ[f] / through;
      }
    }
  }

  /** A straight channel with even cells, wall outside, line of symmetry inside. */
  static GridLines straight(double radius, double length, int across, int along, double grow) {
    double[][] r = new double[along + 1][across + 1];
    double[][] z = new double[along + 1][across + 1];
    for (int i = 0; i <= along; i++) {
      for (int j = 0; j <= across; j++) {
        double t = (double) j / across;
        r[i][j] = radius * Math.tanh(grow * t) / Math.tanh(grow);
        z[i][j] = length * i / along;
      }
    }
    Kind[] inner = new Kind[along];
    Kind[] outer = new Kind[along];
    Arrays.fill(inner, Kind.MIRROR);
    Arrays.fill(outer, Kind.WALL);
    return new GridLines(r, z, inner, outer);
  }

  /** A channel about a line of symmetry with a wall of its own. */
  static AirSpace about(double fromZ, double toZ, List<Point> wall, List<Kind> kinds) {
    return new AirSpace(
        new Side(List.of(new Point(0, fromZ), new Point(0, toZ)), List.of(Kind.MIRROR)),
        new Side(wall, kinds),
        List.of());
  }

  /** Feeds a parabola: air that has come a long way through a smooth pipe. */
  Channel fedByPipe(double radius) {
    for (int j = 0; j < mesh.across; j++) {
      int k = 2 * mesh.along + j;
      double share = mesh.edgeR[k] / radius;
      stream.edgeFlow[k] *= 2 * (1 - share * share);
    }
    return this;
  }

  Channel settle(double enough, int most) {
    for (int k = 0; k < most; k++) {
      closure.update(stream);
      balance.round();
      if (k > 10 && balance.momentumLeft() < enough * fed * speed) {
        return this;
      }
    }
    throw new AssertionError("not settled: momentum " + balance.momentumLeft() / (fed * speed));
  }

  /** Some rounds, settled or not: for what only grows slowly. */
  Channel rounds(int count) {
    for (int k = 0; k < count; k++) {
      closure.update(stream);
      balance.round();
    }
    return this;
  }

  double momentumLeft() {
    return balance.momentumLeft() / (fed * speed);
  }

  double massLeft() {
    return balance.massLeft() / fed;
  }

  /** Mass fed a second, a radian. */
  double fed() {
    return fed;
  }

  /** Mean total pressure where it is fed. */
  double totalFed() {
    double sum = 0;
    for (int j = 0; j < mesh.across; j++) {
      int k = 2 * mesh.along + j;
      sum -= stream.edgeFlow[k] * stream.edgeP[k];
    }
    return sum / fed + 0.5 * speed * speed;
  }

  /** Mean pressure over a cross-section, weighted by area. */
  double pressureAt(int i) {
    double sum = 0;
    double area = 0;
    for (int j = 0; j < mesh.across; j++) {
      int c = i * mesh.across + j;
      sum += mesh.volume[c] * stream.p[c];
      area += mesh.volume[c];
    }
    return sum / area;
  }

  double speedAlong(int i, int j) {
    return stream.w[i * mesh.across + j];
  }

  /** No turbulence. */
  static final class Smooth implements Closure {
    @Override
    public void update(Stream stream) {
      Closure.plainWalls(stream);
    }
  }
}
