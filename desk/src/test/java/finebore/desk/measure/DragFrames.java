package finebore.desk.measure;

import finebore.desk.plan.PlanStation;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.event.EventType;
import javafx.geometry.Point2D;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;

/**
 * Drags a grip through 600 frames of a real window and tells the time from frame to frame; then
 * makes as many edits one by one and tells how long each takes with the layout that follows from
 * it.
 */
public final class DragFrames extends Application {

  private static final int WARM = 200;
  private static final int FRAMES = 600;

  private final double[] work = new double[FRAMES];
  private final double[] between = new double[FRAMES];

  @Override
  public void start(Stage stage) {
    JobSession session = demo();
    MainWindow window = window(stage, session);
    PlanStation plan = window.plan();
    new AnimationTimer() {
      private int frame = -WARM;
      private long last;
      private Point2D start;

      @Override
      public void handle(long now) {
        if (start == null) {
          start = plan.section().screenToLocal(plan.section().gripOnScreen("throat").orElseThrow());
          fire(plan, MouseEvent.MOUSE_PRESSED, start, 0);
        }
        // A mouse tells its place about twice a frame; the desk edits once a frame.
        fire(plan, MouseEvent.MOUSE_DRAGGED, start, -15 + 15 * Math.cos((frame - 0.5) / 20.0));
        fire(plan, MouseEvent.MOUSE_DRAGGED, start, -15 + 15 * Math.cos(frame / 20.0));
        if (frame >= 0) {
          between[frame] = (System.nanoTime() - last) / 1e6;
        }
        last = System.nanoTime();
        frame++;
        if (frame == FRAMES) {
          stop();
          fire(plan, MouseEvent.MOUSE_RELEASED, start, 0);
          edits(session, window);
          tell("edit and all that follows from it", work);
          tell("frame to frame", between);
          Platform.exit();
        }
      }
    }.start();
  }

  private void edits(JobSession session, MainWindow window) {
    for (int k = 0; k < FRAMES; k++) {
      double throat = 35 + 0.5 * Math.cos(k / 20.0);
      long began = System.nanoTime();
      session.editPairing("measure", p -> p.withSeat(p.seat().withThroatDiameter(throat)));
      window.scene().getRoot().layout();
      work[k] = (System.nanoTime() - began) / 1e6;
    }
  }

  static JobSession demo() {
    return new JobSession(JobDocument.fresh(JobFile.demo()), Optional.empty());
  }

  /** The desk on a stage that is shown. */
  static MainWindow window(Stage stage, JobSession session) {
    Theme.loadFonts();
    DeskFolder folder = folder();
    MainWindow window =
        new MainWindow(
            stage,
            folder,
            session,
            new Recovery(folder),
            FilePicker.ofSystem(stage, session::words),
            Theme.PAPER);
    stage.show();
    return window;
  }

  private static DeskFolder folder() {
    try {
      return new DeskFolder(Files.createTempDirectory("finebore-measure"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  static void fire(PlanStation plan, EventType<MouseEvent> type, Point2D at, double dx) {
    Point2D scene = plan.section().localToScene(at);
    plan.section()
        .fireEvent(
            new MouseEvent(
                type,
                scene.getX() + dx,
                scene.getY(),
                scene.getX() + dx,
                scene.getY(),
                MouseButton.PRIMARY,
                1,
                false,
                false,
                false,
                false,
                true,
                false,
                false,
                false,
                false,
                false,
                null));
  }

  static void tell(String what, double[] ms) {
    double[] sorted = ms.clone();
    Arrays.sort(sorted);
    System.out.printf(
        Locale.ROOT,
        "%s: median %.2f ms, 95 %% %.2f ms, 99 %% %.2f ms, longest %.2f ms%n",
        what,
        sorted[ms.length / 2],
        sorted[ms.length * 95 / 100],
        sorted[ms.length * 99 / 100],
        sorted[ms.length - 1]);
  }
}
