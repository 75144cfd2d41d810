package finebore.finding;

import finebore.code.Coded;
import java.util.Locale;

/** How grave a finding is. */
public enum Severity implements Coded {
  /** It will not work or will not last. */
  FAULT,
  /** Outside what the practice wants. */
  CAUTION,
  /** Worth knowing. */
  NOTE;

  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  @Override
  public String code() {
    return "severity." + key();
  }
}
