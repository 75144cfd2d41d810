package finebore.sizes;

import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.Term;
import java.util.Locale;

/**
 * A straight limit on the heads of a cylinder's valves: {@code perIntake} x intake + {@code
 * perExhaust} x exhaust is at most so much.
 *
 * @param kind what stands in the way
 * @param where the seats it was worked out from
 * @param perIntake weight of the intake's diameter
 * @param perExhaust weight of the exhaust's
 * @param mostMm how much both may come to
 * @param known how it is known
 */
public record SizeLimit(
    Kind kind, String where, double perIntake, double perExhaust, double mostMm, Known known) {

  /** What stands in the way. */
  public enum Kind implements Coded {
    BORE,
    FIRE_RING,
    CHAMBER_WALL,
    PLUG,
    NEIGHBOUR,
    RINGS;

    @Override
    public String code() {
      return "sizeLimit." + name().toLowerCase(Locale.ROOT);
    }

    /** Whether metal that is in the way can be cut back, or a ring left out. */
    public boolean yields() {
      return this == CHAMBER_WALL || this == RINGS;
    }
  }

  /** How a limit is known. */
  public enum Known {
    /** From the places of the valves. */
    MEASURED,
    /** From distances between axes, which are taken as parallel. */
    PARALLEL,
    /** Nobody has measured where they lie: no two heads come to more than the bore. */
    BORE_ALONE
  }

  /** What is left of it with two heads, mm; below 0 past it. */
  public double leftMm(double intakeMm, double exhaustMm) {
    return mostMm - perIntake * intakeMm - perExhaust * exhaustMm;
  }

  /** What it is called, with the seats it belongs to, and that it was not measured as it stands. */
  public Message message() {
    Message named = Message.of(kind).with("where", Term.quote(where));
    return switch (known) {
      case MEASURED -> named;
      case PARALLEL -> Message.of("sizeLimit.parallel").with("limit", Term.phrase(named));
      case BORE_ALONE -> Message.of("sizeLimit.boreAlone").with("where", Term.quote(where));
    };
  }
}
