package finebore.flow.field;

import finebore.code.Coded;
import java.util.Locale;

/** The air through a section could not be worked out; says why. */
public final class AirNotSolved extends RuntimeException {

  private static final long serialVersionUID = 1L;

  /** What stood in the way. */
  public enum Why implements Coded {
    /** The valve closes the way, or nearly. */
    NO_WAY,
    /** Grid lines cross in a corner of the section. */
    GRID_FOLDS,
    /** The flow did not settle. */
    NOT_SETTLED,
    /** It was told to stop. */
    STOPPED;

    @Override
    public String code() {
      return "airNotSolved." + name().toLowerCase(Locale.ROOT);
    }
  }

  private final Why why;

  /**
   * @param figure what it came to: the gap, mm; folded cells; swing of the area, a share; rounds
   */
  public AirNotSolved(Why why, double figure) {
    super(why + ": " + figure);
    this.why = why;
  }

  public Why why() {
    return why;
  }
}
