package finebore.desk.measure;

import finebore.desk.plan.PlanStation;
import finebore.desk.shell.MainWindow;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;

/** Pans the section with solved air over it and tells the time from frame to frame. */
public final class PanFrames extends Application {

  private static final int WARM = 60;
  private static final int FRAMES = 300;

  @Override
  public void start(Stage stage) {
    MainWindow window = DragFrames.window(stage, DragFrames.demo());
    PlanStation plan = window.plan();
    ((ToggleButton) window.scene().lookup("#air-speed")).fire();
    new AnimationTimer() {
      private final double[] between = new double[FRAMES];
      private int frame = -WARM;
      private long last;
      private Point2D start;

      @Override
      public void handle(long now) {
        if (!((Label) window.scene().lookup("#air-text")).getText().contains("full grid")) {
          return;
        }
        if (start == null) {
          start = new Point2D(30, plan.section().getHeight() - 60);
          DragFrames.fire(plan, MouseEvent.MOUSE_PRESSED, start, 0);
        }
        DragFrames.fire(plan, MouseEvent.MOUSE_DRAGGED, start, 60 * Math.sin(frame / 20.0));
        if (frame >= 0) {
          between[frame] = (System.nanoTime() - last) / 1e6;
        }
        last = System.nanoTime();
        frame++;
        if (frame == FRAMES) {
          stop();
          DragFrames.fire(plan, MouseEvent.MOUSE_RELEASED, start, 0);
          DragFrames.tell("frame to frame while the air is panned", between);
          Platform.exit();
        }
      }
    }.start();
  }
}
