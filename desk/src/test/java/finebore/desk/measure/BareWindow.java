package finebore.desk.measure;

import java.time.Duration;
import java.time.Instant;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.stage.Stage;

/** A window with one word in it, to hold the desk's start against. */
public final class BareWindow extends Application {

  @Override
  public void start(Stage stage) {
    stage.setScene(new Scene(new Label("bare"), 1280, 800));
    stage.show();
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        frames++;
        if (frames == 2) {
          Instant began = ProcessHandle.current().info().startInstant().orElse(Instant.now());
          System.out.println(
              "bare window up after " + Duration.between(began, Instant.now()).toMillis() + " ms");
          Platform.exit();
        }
      }
    }.start();
  }
}
