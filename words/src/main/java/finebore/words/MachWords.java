package finebore.words;

import finebore.flow.Calibration;
import finebore.job.Engine;
import finebore.planning.AirDemand;

/** How near an inlet comes to the speed of sound. */
public final class MachWords {

  private MachWords() {}

  /** As a sentence, for a mean inlet Mach index. */
  public static String sentence(Words words, Engine engine, double index, Calibration calibration) {
    return (of("sizes.mach", words, engine, index) + " " + level(words, calibration)).strip();
  }

  /** As part of a line. */
  public static String phrase(Words words, Engine engine, double index, Calibration calibration) {
    return of("report.mach", words, engine, index)
        + (calibration.isCalibrated() ? "" : "; " + level(words, calibration));
  }

  /** What is to stand beside a verdict on a level that no bench has set; empty where one has. */
  public static String level(Words words, Calibration calibration) {
    return calibration.isCalibrated() ? "" : words.text("level.model");
  }

  private static String of(String key, Words words, Engine engine, double index) {
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
