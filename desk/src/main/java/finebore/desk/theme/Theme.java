package finebore.desk.theme;

import atlantafx.base.theme.PrimerDark;
import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URL;
import java.util.List;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.scene.text.FontWeight;

/** The two looks of the desk. */
public enum Theme {
  PAPER("paper", "paper.css"),
  DARK("dark", "dark.css");

  private static final List<String> FONTS =
      List.of(
          "B612-Regular.otf",
          "B612-Bold.otf",
          "barlow-semi-condensed-latin-400-normal.woff",
          "barlow-semi-condensed-latin-500-normal.woff",
          "barlow-semi-condensed-latin-600-normal.woff");

  /** Text size at 100 %, px. */
  private static final double TEXT = 14;

  private final String id;
  private final URL sheet;
  private Palette palette;

  Theme(String id, String file) {
    this.id = id;
    this.sheet = Theme.class.getResource(file);
  }

  public String id() {
    return id;
  }

  public static Theme byId(String id) {
    return DARK.id.equals(id) ? DARK : PAPER;
  }

  public Theme other() {
    return this == PAPER ? DARK : PAPER;
  }

  public Palette palette() {
    if (palette == null) {
      palette = new Palette(sheet);
    }
    return palette;
  }

  /** Puts this look on a scene, with text at a scale of 1 to 1.5. */
  public void applyTo(Scene scene, double textScale) {
    Application.setUserAgentStylesheet(
        (this == PAPER ? new PrimerLight() : new PrimerDark()).getUserAgentStylesheetBSS());
    scene
        .getStylesheets()
        .setAll(sheet.toExternalForm(), Theme.class.getResource("desk.css").toExternalForm());
    scene.getRoot().setStyle("-fx-font-size: " + Math.round(TEXT * textScale) + "px;");
  }

  /** Loads the shipped fonts; the font of labels and the font of figures. */
  public static void loadFonts() {
    for (String file : FONTS) {
      try (InputStream in = Theme.class.getResourceAsStream("fonts/" + file)) {
        if (Font.loadFont(in, TEXT) == null) {
          throw new IllegalStateException("the font " + file + " could not be loaded");
        }
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  /** The font of figures in drawings; all its digits have one width. */
  public static Font figures(double size) {
    return Font.font("B612", size);
  }

  public static Font boldFigures(double size) {
    return Font.font("B612", FontWeight.BOLD, size);
  }

  /** The font of words in drawings. */
  public static Font words(double size) {
    return Font.font("Barlow Semi Condensed", FontWeight.MEDIUM, size);
  }
}
