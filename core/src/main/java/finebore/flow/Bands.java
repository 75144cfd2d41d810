package finebore.flow;

import finebore.code.Coded;
import finebore.code.RuleViolation;
import finebore.code.Term;
import java.util.Locale;

/**
 * Where low lift ends and high lift begins, as lift over valve diameter.
 *
 * @param lowTo end of low lift
 * @param midTo end of mid lift
 */
public record Bands(double lowTo, double midTo) {

  /** Low below 0.12, mid to 0.25, high above; common practice, no source. */
  public static final Bands USUAL = new Bands(0.12, 0.25);

  /** The three bands. */
  public enum Band implements Coded {
    LOW,
    MID,
    HIGH;

    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    @Override
    public String code() {
      return "band." + key();
    }
  }

  public Bands {
    if (!(lowTo > 0 && midTo > lowTo && midTo < 2)) {
      throw RuleViolation.of("bandsRise")
          .with("low", Term.share(lowTo))
          .with("mid", Term.share(midTo));
    }
  }

  public Band of(double liftMm, double valveDiameterMm) {
    double ratio = liftMm / valveDiameterMm;
    return ratio < lowTo ? Band.LOW : ratio < midTo ? Band.MID : Band.HIGH;
  }
}
