package finebore.desk;

import finebore.desk.plan.FindingsPane;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.geometry.Point2D;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Window;
import org.testfx.api.FxRobot;
import org.testfx.robot.BaseRobot;
import org.testfx.robot.KeyboardRobot;
import org.testfx.robot.Motion;
import org.testfx.robot.MouseRobot;
import org.testfx.service.query.PointQuery;

/**
 * Hands that go on as soon as the window has done what they asked and laid itself out; those of the
 * library sleep a twentieth of a second after every key.
 */
class QuickRobot extends FxRobot {

  /** On its way the pointer enters and leaves what lies between. */
  private static final int STOPS = 3;

  private static final int FRAME_SECONDS = 20;

  /** Asks on the window's thread. */
  <T> T onFx(Callable<T> work) {
    if (Platform.isFxApplicationThread()) {
      throw new IllegalStateException("the window's thread cannot wait for itself");
    }
    FutureTask<T> task = new FutureTask<>(work);
    Platform.runLater(task);
    try {
      return task.get();
    } catch (InterruptedException | ExecutionException e) {
      throw new AssertionError(e);
    }
  }

  /** Runs on the window's thread and waits for what follows. */
  void runFx(Runnable work) {
    onFx(
        () -> {
          work.run();
          return null;
        });
    settle();
  }

  /** Waits for what was put off and for the next frame, which lays everything out. */
  void settle() {
    frame();
    long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(FRAME_SECONDS);
    while (onFx(QuickRobot::isStudying)) {
      if (System.nanoTime() > end) {
        throw new AssertionError("cures are still studied");
      }
      frame();
    }
  }

  /** Cures are tried out off the window's thread. */
  private static boolean isStudying() {
    return Window.getWindows().stream()
        .map(w -> w.getScene() == null ? null : w.getScene().lookup("#findings"))
        .anyMatch(n -> n instanceof FindingsPane pane && pane.isStudying());
  }

  private void frame() {
    CountDownLatch laidOut = new CountDownLatch(1);
    onFx(
        () -> {
          QuickRobot.nextFrame(laidOut::countDown);
          return null;
        });
    try {
      if (!laidOut.await(FRAME_SECONDS, TimeUnit.SECONDS)) {
        throw new AssertionError("no frame came");
      }
    } catch (InterruptedException e) {
      throw new AssertionError(e);
    }
  }

  private static void nextFrame(Runnable then) {
    Optional<Scene> shown =
        Window.getWindows().stream().filter(Window::isShowing).map(Window::getScene).findFirst();
    if (shown.isEmpty()) {
      then.run();
      return;
    }
    Runnable once =
        new Runnable() {
          @Override
          public void run() {
            shown.get().removePostLayoutPulseListener(this);
            then.run();
          }
        };
    shown.get().addPostLayoutPulseListener(once);
    Platform.requestNextPulse();
  }

  private static Scene typedInto() {
    return Window.getWindows().stream()
        .filter(Window::isFocused)
        .map(Window::getScene)
        .reduce((first, last) -> last)
        .orElseThrow(() -> new AssertionError("no window has the keyboard"));
  }

  private MouseRobot mouse() {
    return robotContext().getMouseRobot();
  }

  private KeyboardRobot keyboard() {
    return robotContext().getKeyboardRobot();
  }

  @Override
  public FxRobot press(KeyCode... keys) {
    keyboard().pressNoWait(keys);
    settle();
    return this;
  }

  @Override
  public FxRobot release(KeyCode... keys) {
    keyboard().releaseNoWait(keys);
    settle();
    return this;
  }

  @Override
  public FxRobot type(KeyCode... keys) {
    for (KeyCode key : keys) {
      keyboard().pressNoWait(key);
      keyboard().releaseNoWait(key);
      settle();
    }
    return this;
  }

  @Override
  public FxRobot type(KeyCode key, int times) {
    for (int k = 0; k < times; k++) {
      type(key);
    }
    return this;
  }

  @Override
  public FxRobot push(KeyCode... together) {
    keyboard().pressNoWait(together);
    keyboard().releaseNoWait(together);
    settle();
    return this;
  }

  @Override
  public FxRobot write(String text) {
    BaseRobot base = robotContext().getBaseRobot();
    for (char c : text.toCharArray()) {
      Scene scene = onFx(QuickRobot::typedInto);
      base.typeKeyboard(scene, KeyCode.UNDEFINED, String.valueOf(c));
    }
    settle();
    return this;
  }

  @Override
  public FxRobot press(MouseButton... buttons) {
    mouse().pressNoWait(buttons);
    settle();
    return this;
  }

  @Override
  public FxRobot release(MouseButton... buttons) {
    mouse().releaseNoWait(buttons);
    settle();
    return this;
  }

  @Override
  public FxRobot moveTo(PointQuery place, Motion motion) {
    // What was waited for may not lie in its place yet.
    settle();
    Point2D from = robotContext().getBaseRobot().retrieveMouse();
    Point2D to = onFx(place::query);
    for (int stop = 1; stop <= STOPS; stop++) {
      mouse().moveNoWait(from.interpolate(to, (double) stop / STOPS));
    }
    settle();
    return this;
  }

  @Override
  public FxRobot clickOn(PointQuery place, Motion motion, MouseButton... buttons) {
    moveTo(place, motion);
    mouse().pressNoWait(buttons);
    mouse().releaseNoWait(buttons);
    settle();
    return this;
  }
}
