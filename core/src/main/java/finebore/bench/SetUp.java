package finebore.bench;

import finebore.flow.Direction;
import finebore.section.Bounds;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What was on the bench. What was not written down is empty, and a comparison says so.
 *
 * @param bench which bench, the shop's word for it
 * @param seat label of the seat, for example I1
 * @param direction which way the air went
 * @param state which state of the plan
 * @param valve valve used
 * @param boreMm bore of the fixture the head stood on
 * @param inlet what led the air in
 * @param pipe pipe on the exhaust port
 * @param depressionPa pressure difference, Pa
 * @param leakageM3s what flowed with the valve shut, at that depression, m3/s
 */
public record SetUp(
    String bench,
    String seat,
    Direction direction,
    TestedState state,
    TestedValve valve,
    OptionalDouble boreMm,
    Inlet inlet,
    Optional<Pipe> pipe,
    OptionalDouble depressionPa,
    OptionalDouble leakageM3s) {

  public SetUp {
    boreMm.ifPresent(mm -> Bounds.check("bore of the fixture", mm, 20, 500, "mm"));
    depressionPa.ifPresent(pa -> Bounds.check("test depression", pa, 100, 60_000, "Pa"));
    leakageM3s.ifPresent(m3 -> Bounds.check("leakage", m3, 0, 1, "m3/s"));
  }

  /**
   * Which state of the plan was tested.
   *
   * @param kind as found, part of the way, finished or blended
   * @param operations how many operations had been done, where part of the way
   */
  public record TestedState(Kind kind, int operations) {

    /** How far the work had come. */
    public enum Kind {
      FOUND("as found"),
      PARTLY("after operation"),
      FINISHED("finished"),
      BLENDED("blended");

      private final String words;

      Kind(String words) {
        this.words = words;
      }

      public String words() {
        return words;
      }
    }

    public static final TestedState AS_FOUND = new TestedState(Kind.FOUND, 0);
    public static final TestedState FINISHED = new TestedState(Kind.FINISHED, 0);

    public TestedState {
      Bounds.check("operations done", operations, 0, 40, "");
    }

    public static TestedState after(int operations) {
      return new TestedState(Kind.PARTLY, operations);
    }

    public String words() {
      return kind == Kind.PARTLY ? kind.words() + " " + operations : kind.words();
    }
  }

  /**
   * The valve used.
   *
   * @param headDiameterMm its head
   * @param name the shop's word for it, may be empty
   */
  public record TestedValve(double headDiameterMm, String name) {
    public TestedValve {
      Bounds.check("diameter of the tested valve", headDiameterMm, 5, 150, "mm");
    }
  }

  /**
   * What led the air in.
   *
   * @param kind a rounded inlet, a flange or nothing
   * @param radiusMm of a rounded inlet
   */
  public record Inlet(Kind kind, OptionalDouble radiusMm) {

    /** The kinds of inlet. */
    public enum Kind {
      RADIUS("radius"),
      FLANGE("flange"),
      BARE("bare port");

      private final String words;

      Kind(String words) {
        this.words = words;
      }

      public String words() {
        return words;
      }
    }

    public static final Inlet BARE = new Inlet(Kind.BARE, OptionalDouble.empty());

    public Inlet {
      radiusMm.ifPresent(mm -> Bounds.check("inlet radius", mm, 0.5, 200, "mm"));
    }

    public static Inlet radius(double mm) {
      return new Inlet(Kind.RADIUS, OptionalDouble.of(mm));
    }
  }

  /** A pipe on the exhaust port: inside diameter and length, mm. */
  public record Pipe(double diameterMm, double lengthMm) {
    public Pipe {
      Bounds.check("pipe diameter", diameterMm, 5, 200, "mm");
      Bounds.check("pipe length", lengthMm, 5, 3000, "mm");
    }
  }

  public SetUp withBench(String changed) {
    return new SetUp(
        changed, seat, direction, state, valve, boreMm, inlet, pipe, depressionPa, leakageM3s);
  }

  public SetUp withSeat(String changed, Direction way) {
    return new SetUp(
        bench, changed, way, state, valve, boreMm, inlet, pipe, depressionPa, leakageM3s);
  }

  public SetUp withState(TestedState changed) {
    return new SetUp(
        bench, seat, direction, changed, valve, boreMm, inlet, pipe, depressionPa, leakageM3s);
  }

  public SetUp withValve(TestedValve changed) {
    return new SetUp(
        bench, seat, direction, state, changed, boreMm, inlet, pipe, depressionPa, leakageM3s);
  }

  public SetUp withBore(OptionalDouble changed) {
    return new SetUp(
        bench, seat, direction, state, valve, changed, inlet, pipe, depressionPa, leakageM3s);
  }

  public SetUp withInlet(Inlet changed) {
    return new SetUp(
        bench, seat, direction, state, valve, boreMm, changed, pipe, depressionPa, leakageM3s);
  }

  public SetUp withPipe(Optional<Pipe> changed) {
    return new SetUp(
        bench, seat, direction, state, valve, boreMm, inlet, changed, depressionPa, leakageM3s);
  }

  public SetUp withDepression(OptionalDouble changed) {
    return new SetUp(
        bench, seat, direction, state, valve, boreMm, inlet, pipe, changed, leakageM3s);
  }

  public SetUp withLeakage(OptionalDouble changed) {
    return new SetUp(
        bench, seat, direction, state, valve, boreMm, inlet, pipe, depressionPa, changed);
  }
}
