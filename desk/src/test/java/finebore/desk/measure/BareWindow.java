package finebore.desk.measure;

import finebore.desk.StartTiming;
import javafx.application.Application;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A window with one word in it, to hold the desk's start against. */
public final class BareWindow extends Application {

  @Override
  public void start(Stage stage) {
    stage.setScene(new Scene(new Label("bare"), 1280, 800));
    stage.show();
    StartTiming.report("bare window");
  }
}
