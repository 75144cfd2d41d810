package finebore.desk.measure;

import javafx.application.Application;

/** Starts one of the measurements: {@code bare} or {@code drag}. */
public final class Measure {

  private Measure() {}

  public static void main(String[] arguments) {
    Application.launch(arguments[0].equals("drag") ? DragFrames.class : BareWindow.class);
  }
}
