package finebore.flow.field;

import static finebore.flow.field.Fineness.COARSE;
import static finebore.flow.field.Turbulence.EVEN;
import static finebore.flow.field.Turbulence.TRANSPORT;
import static org.assertj.core.api.Assertions.assertThat;

import finebore.flow.Direction;
import finebore.section.Point;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Flows on grids of very few cells, to six figures, against what they were: it says that something
 * changed, not that it was right before. What is right is held by {@link PublishedFlowsTest} and
 * {@link SeatAirTest}. Written anew by -Dfinebore.golden=write.
 */
class SmallFlowsTest {

  private static final Path FOLDER = Path.of("src/test/resources/finebore/flow/field");
  private static final int ACROSS = 8;

  private final List<String> lines = new ArrayList<>();

  private void note(String name, double... figures) {
    StringBuilder line = new StringBuilder(name);
    for (double figure : figures) {
      // Rounding alone is no change.
      double much = Math.abs(figure) < 1e-9 ? 0 : figure;
      line.append(String.format(Locale.ROOT, " %.5e", much));
    }
    lines.add(line.toString());
  }

  /** Sums that tell which of many figures changed places. */
  private void sum(String name, int count, IntToDoubleFunction figure) {
    note(
        name,
        IntStream.range(0, count).mapToDouble(figure).sum(),
        IntStream.range(0, count).mapToDouble(k -> figure.applyAsDouble(k) * (1 + k % 7)).sum());
  }

  private void holds(String name) throws IOException {
    Path file = FOLDER.resolve(name + ".txt");
    String now = String.join("\n", lines) + "\n";
    if ("write".equals(System.getProperty("finebore.golden"))) {
      Files.writeString(file, now);
    }
    assertThat(now).isEqualTo(Files.readString(file));
  }

  private static AirQuestion question(
      String shape, double liftMm, Direction direction, Turbulence turbulence) {
    AirQuestion in = Orientation.shape(shape).at(liftMm, turbulence, COARSE);
    return new AirQuestion(in.wall(), in.valve(), in.headRadiusMm(), direction, turbulence, COARSE);
  }

  private static AirSpace space(AirQuestion question) {
    return SeatAir.of(
        question.wall(), question.valve(), question.headRadiusMm(), question.direction());
  }

  @ParameterizedTest
  @CsvSource({"A, 2, INTAKE", "B, 9, EXHAUST", "C, 5, INTAKE", "E, 0.8, EXHAUST", "F, 12, INTAKE"})
  void grids(String shape, double lift, Direction direction) throws IOException {
    AirQuestion question = question(shape, lift, direction, EVEN);
    note("gap", question.gapMm());
    AirSpace space = space(question);
    points("inner", space.inner().points());
    points("outer", space.outer().points());
    points("far", space.far());
    lines.add(space.inner().kinds() + " " + space.outer().kinds());
    ConformalMap map = ConformalMap.of(space);
    note("modulus", map.modulus());
    for (ConformalMap.Trace trace : List.of(map.inner(), map.outer(), map.port(), map.far())) {
      sum("lengths", trace.lengths().length, k -> trace.lengths()[k]);
      sum("values", trace.values().length, k -> trace.values()[k]);
      sum("corners", trace.corners().length, k -> trace.corners()[k]);
    }
    GridLines grid = GridLines.of(space, ACROSS);
    int columns = ACROSS + 1;
    note("lines", grid.r().length);
    sum("r", grid.r().length * columns, k -> grid.r()[k / columns][k % columns]);
    sum("z", grid.r().length * columns, k -> grid.z()[k / columns][k % columns]);
    lines.add(List.of(grid.inner()) + " " + List.of(grid.outer()));
    Mesh mesh = new Mesh(grid, true, Mesh.Edge.FED, Mesh.Edge.OPEN);
    sum("through", mesh.faces, k -> mesh.through[k]);
    sum("share", mesh.faces, k -> mesh.share[k]);
    sum("clear", mesh.edges, k -> mesh.clear[k]);
    sum("walls", mesh.cells, k -> mesh.wallDistance[k]);
    holds("grid-" + shape);
  }

  private void points(String name, List<Point> points) {
    note(name, points.size());
    sum(name + " r", points.size(), k -> points.get(k).r());
    sum(name + " z", points.size(), k -> points.get(k).z());
  }

  /** A few rounds of each closure, fed and drawn, turned round and plane. */
  @ParameterizedTest
  @CsvSource({
    "A, 3, INTAKE, EVEN, true",
    "C, 6, INTAKE, TRANSPORT, true",
    "B, 4, EXHAUST, TRANSPORT, true",
    "A, 5, EXHAUST, EVEN, false"
  })
  void rounds(String shape, double lift, Direction direction, Turbulence turbulence, boolean round)
      throws IOException {
    AirQuestion question = question(shape, lift, direction, turbulence);
    boolean in = direction == Direction.INTAKE;
    Mesh mesh =
        new Mesh(
            GridLines.of(space(question), ACROSS),
            round,
            in ? Mesh.Edge.FED : Mesh.Edge.DRAWN,
            Mesh.Edge.OPEN);
    Closure closure =
        turbulence == EVEN ? new EvenViscosity(question.gapMm()) : new SpalartAllmaras(mesh);
    Channel flow = new Channel(mesh, closure, in ? 20 : -20, 1e-2, 0.1 * question.gapMm());
    Stream s = flow.stream;
    s.speed = 20;
    flow.rounds(12);
    note("left", flow.massLeft(), flow.momentumLeft());
    state(s);
    holds("rounds-" + shape + (round ? "-round" : "-plane"));
  }

  private void state(Stream s) {
    sum("u", s.mesh.cells, k -> s.u[k]);
    sum("w", s.mesh.cells, k -> s.w[k]);
    sum("p", s.mesh.cells, k -> s.p[k]);
    sum("eddy", s.mesh.cells, k -> s.eddy[k]);
    sum("carried", s.mesh.cells, k -> s.carried[k]);
    sum("flow", s.mesh.faces, k -> s.flow[k]);
    sum("edge flow", s.mesh.edges, k -> s.edgeFlow[k]);
    sum("edge pressure", s.mesh.edges, k -> s.edgeP[k]);
    sum("wall viscosity", s.mesh.edges, k -> s.wallViscosity[k]);
  }

  /** From the question to the picture, cold, and warm from a neighbour on another grid. */
  @ParameterizedTest
  @CsvSource({"A, 4, INTAKE", "C, 8, EXHAUST"})
  void seats(String shape, double lift, Direction direction) throws IOException {
    AirFlow flow = solve(question(shape, lift, direction, EVEN), ACROSS, Optional.empty());
    tell(flow);
    AirQuestion next = question(shape, lift + 0.1, direction, EVEN);
    note("warm", solve(next, ACROSS - 1, Optional.of(flow)).effectiveAreaMm2());
    AirFlow transport =
        solve(question(shape, lift, direction, TRANSPORT), ACROSS, Optional.of(flow));
    note("transport", transport.effectiveAreaMm2(), transport.jetAngleDeg());
    holds("seat-" + shape);
  }

  private static AirFlow solve(AirQuestion question, int across, Optional<AirFlow> start) {
    return AirSolver.solve(question, across, start, () -> false);
  }

  private void tell(AirFlow flow) {
    note("area", flow.effectiveAreaMm2());
    note("jet", flow.jetAngleDeg());
    AirFlow.Settled settled = flow.settled();
    note("rounds", settled.rounds());
    int cells = flow.along() * flow.across();
    int m = flow.across();
    sum("speed", cells, k -> flow.speed(k / m, k % m));
    sum("outward", cells, k -> flow.outward(k / m, k % m));
    sum("upward", cells, k -> flow.upward(k / m, k % m));
    sum("pressure", cells, k -> flow.pressure(k / m, k % m));
    sum("total", cells, k -> flow.totalPressure(k / m, k % m));
    sum("lost", cells, k -> flow.lost(k / m, k % m));
    sum("middle", cells, k -> flow.middle(k / m, k % m).r() + 2 * flow.middle(k / m, k % m).z());
    sum("cell", cells, k -> flow.cellAt(flow.middle(k / m, k % m)).orElseThrow()[0]);
    AirLines air = AirLines.of(flow);
    sum("passes", cells, k -> air.passes(k / m, k % m) ? 1 : 0);
    for (List<Point> line : air.streamlines(4)) {
      points("streamline", line);
    }
    for (AirLines.DeadWater dead : air.deadWater()) {
      lines.add(dead.surface() + (dead.onValve() ? " on the valve" : ""));
      note("dead", dead.lengthMm(), dead.share(), dead.outline().size());
    }
  }
}
