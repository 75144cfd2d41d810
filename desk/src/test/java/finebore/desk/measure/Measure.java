package finebore.desk.measure;

import javafx.application.Application;

/** Starts one of the measurements: bare, drag, pan, big or air. */
public final class Measure {

  private Measure() {}

  public static void main(String[] arguments) {
    Application.launch(
        switch (arguments[0]) {
          case "drag" -> DragFrames.class;
          case "pan" -> PanFrames.class;
          case "big" -> BigJob.class;
          case "air" -> AirCurves.class;
          default -> BareWindow.class;
        },
        arguments);
  }
}
