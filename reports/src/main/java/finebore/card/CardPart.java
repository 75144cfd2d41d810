package finebore.card;

import finebore.code.Coded;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;

/** What a job card can hold; cautions and the figures of every seat are always on it. */
public enum CardPart implements Coded {
  DRAWINGS,
  OPERATIONS,
  RUN,
  SEAL,
  FLOW,
  HISTORY,
  QUOTE,
  SIGNATURE;

  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  @Override
  public String code() {
    return "cardPart." + key();
  }

  /** Everything but what stays in the shop. */
  public static Set<CardPart> usual() {
    return EnumSet.complementOf(EnumSet.of(RUN, HISTORY, QUOTE));
  }
}
