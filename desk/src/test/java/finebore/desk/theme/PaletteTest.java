package finebore.desk.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import javafx.scene.paint.Color;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class PaletteTest {

  /** Contrast as the Web Content Accessibility Guidelines 2.1 define it. */
  private static double contrast(Color a, Color b) {
    double la = luminance(a);
    double lb = luminance(b);
    return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
  }

  private static double luminance(Color c) {
    return 0.2126 * linear(c.getRed())
        + 0.7152 * linear(c.getGreen())
        + 0.0722 * linear(c.getBlue());
  }

  private static double linear(double v) {
    return v <= 0.03928 ? v / 12.92 : Math.pow((v + 0.055) / 1.055, 2.4);
  }

  @ParameterizedTest
  @EnumSource(Theme.class)
  void everyColourOfWordsCanBeRead(Theme theme) {
    Palette p = theme.palette();
    Map<String, Color> words =
        Map.of(
            "text",
            p.text(),
            "muted",
            p.muted(),
            "blue",
            p.blue(),
            "vermilion",
            p.vermilion(),
            "green",
            p.green(),
            "amber",
            p.amber());
    words.forEach(
        (name, colour) -> {
          for (Color ground : new Color[] {p.paper(), p.panel(), p.band()}) {
            assertThat(contrast(colour, ground)).as(theme + " " + name).isGreaterThanOrEqualTo(4.5);
          }
        });
    assertThat(contrast(p.text(), p.blueWash())).isGreaterThanOrEqualTo(4.5);
  }

  /** What a band marks off is seen against what it lies on; the least is a choice. */
  @ParameterizedTest
  @EnumSource(Theme.class)
  void aBandStandsOffItsGround(Theme theme) {
    Palette p = theme.palette();
    assertThat(contrast(p.band(), p.panel())).isGreaterThan(1.12);
    assertThat(contrast(p.band(), p.paper())).isGreaterThan(1.07);
  }
}
