package finebore.desk.prove;

import finebore.bench.Comparison.Mean;
import finebore.bench.Comparison.Verdict;
import finebore.units.UnitSystem;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** Signs and styles of verdicts: never colour alone. */
final class ProveWords {

  private ProveWords() {}

  static String sign(Verdict verdict) {
    return switch (verdict) {
      case GAIN -> "▲";
      case LOSS -> "▼";
      case WITHIN -> "≈";
      case UNRANKED -> "?";
    };
  }

  static String style(Verdict verdict) {
    return switch (verdict) {
      case GAIN -> "gain";
      case LOSS -> "loss";
      case WITHIN -> "within";
      case UNRANKED -> "unranked";
    };
  }

  /** How wide words come out, px. */
  static double width(String words, Font font) {
    Text measured = new Text(words);
    measured.setFont(font);
    return measured.getLayoutBounds().getWidth();
  }

  /** For example "+3.2 % ▲". */
  static String share(Mean mean) {
    return UnitSystem.signed(100 * mean.share(), 1) + " % " + sign(mean.verdict());
  }
}
