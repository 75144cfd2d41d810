package finebore.words;

import finebore.job.Engine;
import finebore.planning.AirDemand;

/** How near an inlet comes to the speed of sound. */
public final class MachWords {

  private MachWords() {}

  /** As a sentence, for a mean inlet Mach index. */
  public static String sentence(Words words, Engine engine, double index) {
    return said("sizes.mach", words, engine, index);
  }

  /** As part of a line. */
  public static String phrase(Words words, Engine engine, double index) {
    return said("report.mach", words, engine, index);
  }

  private static String said(String key, Words words, Engine engine, double index) {
    return words.text(
        key,
        "index",
        UnitSystem.fixed(index, 2),
        "speed",
        UnitSystem.fixed(engine.rpm(), 0),
        "limit",
        UnitSystem.fixed(AirDemand.MACH_INDEX_LIMIT, 1));
  }
}
