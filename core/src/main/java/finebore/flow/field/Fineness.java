package finebore.flow.field;

import finebore.code.Coded;
import java.util.Locale;

/** How fine a grid is. */
public enum Fineness implements Coded {
  /** For ranking and for looking while settings move. */
  COARSE(24),
  /** For the figure. */
  FULL(36);

  private final int across;

  Fineness(int across) {
    this.across = across;
  }

  /** Cells from wall to wall. */
  public int across() {
    return across;
  }

  @Override
  public String code() {
    return "fineness." + name().toLowerCase(Locale.ROOT);
  }
}
