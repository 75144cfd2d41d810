package finebore.desk.prove;

import finebore.bench.Comparison.Mean;
import finebore.bench.Comparison.Verdict;
import finebore.bench.FlowTest;
import finebore.job.Job;
import finebore.words.UnitSystem;
import java.util.Locale;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Signs and styles of verdicts, never colour alone, and names of tests. */
final class ProveWords {

  private ProveWords() {}

  static String sign(Verdict verdict) {
    return switch (verdict) {
      case GAIN -> "\u25b2";
      case LOSS -> "\u25bc";
      case WITHIN -> "\u2248";
      case UNRANKED -> "?";
    };
  }

  static String style(Verdict verdict) {
    return verdict.name().toLowerCase(Locale.ROOT);
  }

  /** A test by its number and name. */
  static String name(FlowTest test, Job job) {
    return job.bench().numberOf(test) + "  " + test.name();
  }

  /** How wide words come out, px. */
  static double width(String words, Font font) {
    Text measured = new Text(words);
    measured.setFont(font);
    return measured.getLayoutBounds().getWidth();
  }

  /** For example "+3.2 % \u25b2". */
  static String share(Mean mean) {
    return UnitSystem.signed(100 * mean.share(), 1) + " % " + sign(mean.verdict());
  }
}
