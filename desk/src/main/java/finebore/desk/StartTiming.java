package finebore.desk;

import java.time.Duration;
import java.time.Instant;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;

/** Tells how long a window took to come up, and ends the program. */
public final class StartTiming {

  private StartTiming() {}

  /** Waits for the second frame and prints the time since the process began. */
  public static void report(String what) {
    new AnimationTimer() {
      private int frames;

      @Override
      public void handle(long now) {
        frames++;
        if (frames == 2) {
          Instant began = ProcessHandle.current().info().startInstant().orElse(Instant.now());
          System.out.println(
              what + " up after " + Duration.between(began, Instant.now()).toMillis() + " ms");
          Platform.exit();
        }
      }
    }.start();
  }
}
