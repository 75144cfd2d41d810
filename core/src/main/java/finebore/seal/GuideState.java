package finebore.seal;

import finebore.code.Coded;
import java.util.Locale;

/** How the guide is while a port's vacuum is read: a dry one leaks a little past the stem. */
public enum GuideState implements Coded {
  DRY,
  OILED;

  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  @Override
  public String code() {
    return "guideState." + key();
  }
}
