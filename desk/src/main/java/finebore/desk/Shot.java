package finebore.desk;

import finebore.code.Message;
import finebore.code.Term;
import finebore.desk.record.RecordStation;
import finebore.desk.session.DeskFolder;
import finebore.desk.session.JobSession;
import finebore.desk.session.Recovery;
import finebore.desk.shell.FilePicker;
import finebore.desk.shell.MainWindow;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.JobPictures;
import finebore.instruments.SeatAlone;
import finebore.job.Engine.SeatPlace;
import finebore.reports.AirColours;
import finebore.room.FacePhotograph;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Notation;
import finebore.words.NotationException;
import finebore.words.UnitSystem;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.function.BooleanSupplier;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.stage.Stage;
import javafx.util.Duration;
import javax.imageio.ImageIO;

/** Takes a picture of a station without a display. */
final class Shot {

  private Shot() {}

  /** What is to be seen. */
  record View(
      JobDocument document,
      Optional<Path> file,
      Optional<String> seat,
      String size,
      Theme theme,
      Optional<String> units,
      String lift,
      boolean found,
      int text,
      String station,
      Optional<Integer> operation,
      Optional<Integer> test,
      Optional<AirColours.Layer> air,
      Language language) {}

  static void take(Path out, View view) throws FileProblem {
    if (!view.size().matches("\\d{3,4}x\\d{3,4}")) {
      throw Main.unexpected("--size", "1280x800", view.size());
    }
    double lift;
    try {
      lift = Notation.length(view.lift(), UnitSystem.METRIC);
    } catch (NotationException e) {
      throw Main.unexpected("--lift", "3 mm", view.lift());
    }
    if (view.units().filter(u -> Units.of(u).isEmpty()).isPresent()) {
      throw Main.unexpected("--units", "mm, inch", view.units().get());
    }
    SeatPlace place = seatOf(view);
    if (!Files.isDirectory(out.toAbsolutePath().getParent())) {
      throw unwritable(out, "no folder " + out.toAbsolutePath().getParent());
    }
    CompletableFuture<WritableImage> picture = new CompletableFuture<>();
    Toolkit.await();
    Path home = Leavings.temporaryFolder();
    Optional<Path> copy = copied(view, home);
    Platform.runLater(() -> draw(view, copy, place, lift, home, picture));
    try {
      WritableImage image = picture.get();
      ImageIO.write(SwingFXUtils.fromFXImage(image, null), "png", out.toFile());
    } catch (IOException e) {
      throw unwritable(out, String.valueOf(e.getMessage()));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (ExecutionException e) {
      throw new IllegalStateException("the picture could not be drawn", e.getCause());
    } finally {
      Platform.exit();
      Leavings.remove(home);
    }
    System.out.println("wrote " + out);
  }

  private static FileProblem unwritable(Path out, String cause) {
    return new FileProblem(
        Message.of("file.unwritable")
            .with("file", Term.quote(out.toString()))
            .with("cause", Term.quote(cause)));
  }

  /** The seat that was asked for, or the first. */
  private static SeatPlace seatOf(View view) throws FileProblem {
    List<SeatPlace> seats = view.document().job().engine().seats();
    Optional<String> asked = view.seat();
    return asked.isEmpty()
        ? seats.getFirst()
        : seats.stream()
            .filter(s -> s.label().equals(asked.get()))
            .findFirst()
            .orElseThrow(
                () ->
                    Main.unexpected(
                        "--seat",
                        String.join(", ", seats.stream().map(SeatPlace::label).toList()),
                        asked.get()));
  }

  /** With its pictures, so that nothing is left beside the job's own file. */
  private static Optional<Path> copied(View view, Path home) throws FileProblem {
    if (view.file().isEmpty()) {
      return Optional.empty();
    }
    Path copy = home.resolve(view.file().get().getFileName());
    JobFile.write(view.document(), copy);
    JobPictures.takeAlong(
        view.file().get(),
        copy,
        view.document().job().head().photographs().stream().map(FacePhotograph::file).toList());
    return Optional.of(copy);
  }

  private static void draw(
      View view,
      Optional<Path> file,
      SeatPlace place,
      double lift,
      Path home,
      CompletableFuture<WritableImage> picture) {
    try {
      Theme.loadFonts();
      DeskFolder folder = new DeskFolder(home);
      folder.keepTextScale(view.text() / 100.0);
      JobSession session = new JobSession(unitsOf(view), file);
      session.speak(view.language());
      session.select(place);
      session.showFound(view.found());
      view.operation().ifPresent(k -> session.lookAfter(OptionalInt.of(k)));
      Stage stage = new Stage();
      MainWindow window =
          new MainWindow(
              stage,
              folder,
              session,
              new Recovery(folder),
              FilePicker.ofSystem(stage, session::words),
              view.theme());
      window.plan().section().liftProperty().set(lift);
      window.show(view.station());
      String[] size = view.size().split("x");
      stage.setWidth(Integer.parseInt(size[0]));
      stage.setHeight(Integer.parseInt(size[1]));
      stage.show();
      view.test()
          .filter(k -> k >= 1 && k <= session.job().bench().tests().size())
          .ifPresent(
              k -> window.prove().state().select(session.job().bench().tests().get(k - 1).id()));
      if (view.station().equals("bench")) {
        snapAtWork(window, picture);
      } else if (view.air().isPresent()) {
        window.plan().showAir(view.air().get());
        snapWhen(window, picture, () -> window.plan().isAirSolved());
      } else if (view.station().equals("sizes")) {
        snapWhen(window, picture, () -> window.plan().isSized());
      } else if (view.station().equals("suggest")) {
        snapWhen(window, picture, () -> isFound(window));
      } else if (RecordStation.VIEWS.contains(view.station())) {
        snapWhen(window, picture, () -> window.record().isCardShown());
      } else if (!view.document().job().head().photographs().isEmpty()) {
        snapWhenRead(window, picture);
      } else {
        // Two pulses let scroll bars and wrapped text settle.
        Platform.runLater(
            () -> Platform.runLater(() -> picture.complete(window.scene().snapshot(null))));
      }
    } catch (RuntimeException e) {
      picture.completeExceptionally(e);
    }
  }

  /** Photographs are read off the window's thread. */
  private static void snapWhenRead(MainWindow window, CompletableFuture<WritableImage> picture) {
    PauseTransition wait = new PauseTransition(Duration.millis(1500));
    wait.setOnFinished(e -> picture.complete(window.scene().snapshot(null)));
    wait.play();
  }

  /** A bench is worth a picture while it runs. */
  private static void snapAtWork(MainWindow window, CompletableFuture<WritableImage> picture) {
    window.prove().newTest();
    window.prove().bench().setPace(wait -> Thread.sleep(4));
    window.prove().bench().setSeatAlone(SeatAlone.ESTIMATED);
    window.prove().state().shown().get().test().ifPresent(t -> window.prove().bench().run(t, 1));
    PauseTransition wait = new PauseTransition(Duration.millis(1700));
    wait.setOnFinished(
        e -> {
          picture.complete(window.scene().snapshot(null));
          window.prove().bench().stop();
        });
    wait.play();
  }

  /** Air, cards, sizes and searches are worked out off the window's thread. */
  private static void snapWhen(
      MainWindow window, CompletableFuture<WritableImage> picture, BooleanSupplier stands) {
    PauseTransition wait = new PauseTransition(Duration.millis(200));
    wait.setOnFinished(
        e -> {
          if (stands.getAsBoolean()) {
            Platform.runLater(
                () -> Platform.runLater(() -> picture.complete(window.scene().snapshot(null))));
          } else {
            snapWhen(window, picture, stands);
          }
        });
    wait.play();
  }

  private static boolean isFound(MainWindow window) {
    return window.scene().getRoot().lookup("#suggest-start") instanceof Node start
        && !start.isDisabled();
  }

  private static JobDocument unitsOf(View view) {
    JobDocument document = view.document();
    return view.units()
        .flatMap(Units::of)
        .map(u -> document.withJob(document.job().withUnits(u)))
        .orElse(document);
  }
}
