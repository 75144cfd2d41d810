package finebore.desk.theme;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URL;
import java.util.HashMap;
import java.util.Map;
import javafx.css.CssParser;
import javafx.css.Declaration;
import javafx.css.Rule;
import javafx.scene.paint.Color;

/**
 * The colour roles of a theme, for what is drawn rather than styled. They are read from the theme's
 * own style sheet, so that each colour stands in one place.
 */
public final class Palette {

  private final Map<String, Color> roles = new HashMap<>();

  Palette(URL sheet) {
    try {
      for (Rule rule : new CssParser().parse(sheet).getRules()) {
        for (Declaration declaration : rule.getDeclarations()) {
          Object value = declaration.getParsedValue().convert(null);
          if (value instanceof Color color) {
            roles.put(declaration.getProperty(), color);
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private Color role(String name) {
    Color color = roles.get("-fb-" + name);
    if (color == null) {
      throw new IllegalStateException("the theme has no colour role " + name);
    }
    return color;
  }

  public Color paper() {
    return role("paper");
  }

  public Color panel() {
    return role("panel");
  }

  public Color text() {
    return role("text");
  }

  public Color muted() {
    return role("muted");
  }

  public Color line() {
    return role("line");
  }

  public Color strongLine() {
    return role("strong-line");
  }

  public Color iron() {
    return role("iron");
  }

  public Color hatch() {
    return role("hatch");
  }

  public Color edge() {
    return role("edge");
  }

  /** What seals, and what is selected. */
  public Color blue() {
    return role("blue");
  }

  public Color blueWash() {
    return role("blue-wash");
  }

  public Color brass() {
    return role("brass");
  }

  public Color brassEdge() {
    return role("brass-edge");
  }

  /** Metal to be removed, and loss. */
  public Color vermilion() {
    return role("vermilion");
  }

  public Color green() {
    return role("green");
  }

  public Color amberWash() {
    return role("amber-wash");
  }

  public Color greenWash() {
    return role("green-wash");
  }

  public Color vermilionWash() {
    return role("vermilion-wash");
  }

  public Color amber() {
    return role("amber");
  }

  public Color band() {
    return role("band");
  }
}
