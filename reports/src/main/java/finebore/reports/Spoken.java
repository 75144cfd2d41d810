package finebore.reports;

import finebore.bench.ReducedTest;
import finebore.bench.SuspectReading;
import finebore.calibration.PredictionConfidence;
import finebore.planning.CutSheet;
import finebore.study.Reading;
import finebore.study.ReadingKind;
import finebore.words.Words;

/** What screen and reports say alike of readings, calibration and doubtful flows. */
public final class Spoken {

  private Spoken() {}

  /** A reading with its unit; a height with the side of the face it lies on. */
  public static String reading(Reading reading, Words words) {
    return reading.kind() == ReadingKind.VALVE_HEIGHT
        ? words.term(CutSheet.height(reading.value()))
        : words.term(reading.term());
  }

  /** What predictions are calibrated on, or what to make of them without. */
  public static String calibrated(PredictionConfidence confidence, Words words) {
    return confidence.calibration().source().isPresent()
        ? words.text(
            "calibrated.on", "test", String.valueOf(confidence.calibration().source().getAsInt()))
        : words.text("calibrated.not.advice");
  }

  /** A reading that is to be looked at again, and what others lead to. */
  public static String suspect(SuspectReading suspect, Words words) {
    return words.text(
        suspect.modelM3s().isPresent() ? "suspect.reading.model" : "suspect.reading",
        "lift",
        words.units().lengthText(suspect.liftMm()),
        "flow",
        words.units().flowText(suspect.flowM3s()),
        "expected",
        words.units().flowText(suspect.expectedM3s()),
        "model",
        words.units().flowText(suspect.modelM3s().orElse(0)));
  }

  /** What could not be allowed for in a test. */
  public static String notes(ReducedTest test, Words words) {
    return String.join("; ", test.notes().stream().map(words::say).toList());
  }
}
