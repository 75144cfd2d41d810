package finebore.machine;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Subject;
import finebore.job.Engine.SeatPlace;
import finebore.work.ReadBack;
import finebore.work.StepKind;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One step of the work on one seat.
 *
 * @param id names it for good: its seat, and the operation's own lasting id or the kind of work
 * @param seat the seat
 * @param kind what kind of work
 * @param tool steps with equal tools need nothing else fitted in between
 * @param title what is done
 * @param subject the operation, for the findings that belong to it; empty for other work
 * @param operation its place in the plan, from 0; empty for other work
 * @param lines what to fit and set, and what comes of it
 * @param targets what to read back, in order
 * @param check what to look for; empty where nothing is said
 * @param caution what can hurt or ruin; empty where nothing is said
 */
public record RunStep(
    String id,
    SeatPlace seat,
    StepKind kind,
    String tool,
    Message title,
    Optional<Subject> subject,
    OptionalInt operation,
    List<Line> lines,
    List<Target> targets,
    Optional<Message> check,
    Optional<Message> caution) {

  /** A value with its name. */
  public record Line(Message name, Term value) {}

  /**
   * What a reading is held to.
   *
   * @param what to read
   * @param wanted what it should be, where the plan says so
   * @param least lowest that is in order, if there is one
   * @param most highest that is in order, if there is one
   */
  public record Target(
      ReadBack what, OptionalDouble wanted, OptionalDouble least, OptionalDouble most) {

    /** A reading that is wanted within so much on both sides. */
    public static Target about(ReadBack what, double wanted, double tolerance) {
      return new Target(
          what,
          OptionalDouble.of(wanted),
          OptionalDouble.of(wanted - tolerance),
          OptionalDouble.of(wanted + tolerance));
    }

    /** A reading that is only kept. */
    public static Target kept(ReadBack what) {
      return new Target(
          what, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** A reading that must not be more. */
    public static Target atMost(ReadBack what, double most) {
      return new Target(
          what, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.of(most));
    }

    /** A reading that must not be less. */
    public static Target atLeast(ReadBack what, double least) {
      return new Target(
          what, OptionalDouble.empty(), OptionalDouble.of(least), OptionalDouble.empty());
    }

    /** How far a value lies past the limits: below 0 short of the least, above 0 past the most. */
    public double pastMm(double value) {
      if (least.isPresent() && value < least.getAsDouble() - ROUNDING) {
        return value - least.getAsDouble();
      }
      return most.isPresent() && value > most.getAsDouble() + ROUNDING
          ? value - most.getAsDouble()
          : 0;
    }

    public boolean allows(double value) {
      return pastMm(value) == 0;
    }

    /** A reading at its limit is within it, whatever the last bit says. */
    private static final double ROUNDING = 1e-9;
  }

  public RunStep {
    lines = List.copyOf(lines);
    targets = List.copyOf(targets);
  }

  public Optional<Target> target(ReadBack what) {
    return targets.stream().filter(t -> t.what() == what).findFirst();
  }
}
