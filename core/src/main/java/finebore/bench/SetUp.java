package finebore.bench;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import finebore.flow.Direction;
import finebore.quantity.Quantity;
import finebore.valve.Valve;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

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
@RecordBuilder
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
    OptionalDouble leakageM3s)
    implements SetUpBuilder.With {

  public SetUp {
    Quantity.FIXTURE_BORE.check(boreMm);
    Quantity.DEPRESSION.check(depressionPa);
    Quantity.LEAKAGE.check(leakageM3s);
  }

  /**
   * Which state of the plan was tested.
   *
   * @param kind as found, part of the way, finished or blended
   * @param operations how many operations had been done, where part of the way
   */
  public record TestedState(Kind kind, int operations) {

    /** How far the work had come. */
    public enum Kind implements Coded {
      FOUND,
      PARTLY,
      FINISHED,
      BLENDED;

      @Override
      public String code() {
        return "state." + name().toLowerCase(Locale.ROOT);
      }
    }

    public static final TestedState AS_FOUND = new TestedState(Kind.FOUND, 0);
    public static final TestedState FINISHED = new TestedState(Kind.FINISHED, 0);

    public TestedState {
      Quantity.OPERATIONS_DONE.check(operations);
    }

    public static TestedState after(int operations) {
      return new TestedState(Kind.PARTLY, operations);
    }

    /** How it is spoken of, for example "after operation 2". */
    public Message message() {
      return Message.of(kind).with("operations", Term.count(operations));
    }
  }

  /**
   * The valve used. Two valves are the same where their shapes are, whatever they are called.
   *
   * @param headDiameterMm its head
   * @param name the shop's word for it, may be empty
   * @param shape all of it, where it is one the job knows
   */
  public record TestedValve(double headDiameterMm, String name, Optional<Valve> shape) {

    /** Heads closer than this are the same, mm: what a caliper tells. */
    private static final double SAME_MM = 0.05;

    /** Faces, margins and back cuts closer than this are the same, mm or degrees. */
    private static final double SAME_DETAIL = 0.02;

    public TestedValve {
      Quantity.TESTED_VALVE.check(headDiameterMm);
    }

    /** A valve of which only the head is known. */
    public TestedValve(double headDiameterMm, String name) {
      this(headDiameterMm, name, Optional.empty());
    }

    public static TestedValve of(Valve valve, String name) {
      return new TestedValve(valve.headDiameterMm(), name, Optional.of(valve));
    }

    /** Whether it is the same valve; where a shape is not known, the head tells. */
    public boolean isSameAs(TestedValve other) {
      return Math.abs(headDiameterMm - other.headDiameterMm) <= SAME_MM
          && (shape.isEmpty() || other.shape.isEmpty() || isSame(shape.get(), other.shape.get()));
    }

    private static boolean isSame(Valve a, Valve b) {
      return isClose(a.faceAngleDeg(), b.faceAngleDeg())
          && isClose(a.faceWidthMm(), b.faceWidthMm())
          && isClose(a.marginMm(), b.marginMm())
          && isClose(a.edgeRadiusMm(), b.edgeRadiusMm())
          && isClose(a.stemDiameterMm(), b.stemDiameterMm())
          && isClose(a.underhead().angleDeg(), b.underhead().angleDeg())
          && isClose(a.underhead().filletRadiusMm(), b.underhead().filletRadiusMm())
          && a.backCuts().size() == b.backCuts().size()
          && IntStream.range(0, a.backCuts().size())
              .allMatch(
                  k ->
                      isClose(a.backCuts().get(k).angleDeg(), b.backCuts().get(k).angleDeg())
                          && isClose(a.backCuts().get(k).widthMm(), b.backCuts().get(k).widthMm()));
    }

    private static boolean isClose(double a, double b) {
      return Math.abs(a - b) <= SAME_DETAIL;
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
    public enum Kind implements Coded {
      RADIUS,
      FLANGE,
      BARE,
      /** Through the engine's own manifold. */
      MANIFOLD,
      /** Through manifold and carburettor or throttle. */
      THROTTLE;

      @Override
      public String code() {
        return "inlet." + name().toLowerCase(Locale.ROOT);
      }
    }

    public static final Inlet BARE = new Inlet(Kind.BARE, OptionalDouble.empty());

    public Inlet {
      Quantity.INLET_RADIUS.check(radiusMm);
    }

    public static Inlet radius(double mm) {
      return new Inlet(Kind.RADIUS, OptionalDouble.of(mm));
    }
  }

  /** A pipe on the exhaust port: inside diameter and length, mm. */
  public record Pipe(double diameterMm, double lengthMm) {
    public Pipe {
      Quantity.PIPE_DIAMETER.check(diameterMm);
      Quantity.PIPE_LENGTH.check(lengthMm);
    }
  }

  /** Of another seat, with the air the other way. */
  public SetUp withSeat(String changed, Direction way) {
    return withSeat(changed).withDirection(way);
  }
}
