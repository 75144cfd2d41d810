package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.TakeWallBack;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.JobPictures;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.room.ChamberOutline;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Sizes, clearances, what stands in series, and chambers traced or dragged, as a user does it. */
@ExtendWith(ApplicationExtension.class)
class ValveRoomTest {

  @TempDir private static Path home;
  private static DeskRobot desk;

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
  }

  @BeforeEach
  void begin() {
    desk.runFx(
        () -> desk.session.load(JobDocument.fresh(JobFile.demo("dolerite-2.0")), Optional.empty()));
  }

  /** The window is the next test's too. */
  @AfterEach
  void putAway() {
    for (String toggle : new String[] {"#show-sizes", "#show-room", "#show-chamber"}) {
      desk.runFx(
          () ->
              desk.lookup(toggle)
                  .tryQueryAs(ToggleButton.class)
                  .filter(ToggleButton::isSelected)
                  .ifPresent(ToggleButton::fire));
    }
  }

  @AfterAll
  static void leave() {
    desk.leave();
  }

  private void fire(String toggle) {
    desk.runFx(() -> ((ToggleButton) desk.lookup(toggle).query()).fire());
  }

  /** At a place of a node: what is fired carries places of the scene. */
  private static MouseEvent mouse(
      Node node, EventType<MouseEvent> type, double localX, double localY) {
    Point2D at = node.localToScene(localX, localY);
    double x = at.getX();
    double y = at.getY();
    return new MouseEvent(
        type,
        x,
        y,
        x,
        y,
        MouseButton.PRIMARY,
        1,
        false,
        false,
        false,
        false,
        true,
        false,
        false,
        true,
        false,
        true,
        null);
  }

  /** Presses, moves and lets go at shares of a drawing's size. */
  private void drag(String id, double fromX, double fromY, double toX, double toY) {
    desk.settle();
    desk.runFx(
        () -> {
          Node node = desk.lookup(id).query();
          Bounds size = node.getLayoutBounds();
          double w = size.getWidth();
          double h = size.getHeight();
          node.fireEvent(mouse(node, MouseEvent.MOUSE_PRESSED, fromX * w, fromY * h));
          node.fireEvent(mouse(node, MouseEvent.MOUSE_DRAGGED, toX * w, toY * h));
          node.fireEvent(mouse(node, MouseEvent.MOUSE_RELEASED, toX * w, toY * h));
        });
  }

  /** At shares of the side of a square photograph, from its middle, y up. */
  private void clickOnPhotograph(double along, double across) {
    desk.settle();
    desk.runFx(
        () -> {
          Node trace = desk.lookup("#trace").query();
          Bounds b = trace.getLayoutBounds();
          double side = Math.min(Math.floor(b.getWidth()), Math.floor(b.getHeight()));
          trace.fireEvent(
              mouse(
                  trace,
                  MouseEvent.MOUSE_PRESSED,
                  Math.floor(b.getWidth()) / 2 + along * side,
                  Math.floor(b.getHeight()) / 2 - across * side));
        });
  }

  /** Sizes are worked out off the window's thread. */
  private void sized() throws TimeoutException {
    WaitForAsyncUtils.waitFor(
        10, TimeUnit.SECONDS, () -> desk.onFx(() -> desk.window.plan().isSized()));
  }

  private Job job() {
    return desk.session.job();
  }

  @Test
  void sizesSayWhatFitsAndAValveOfTheShelfIsTriedAndPutBack() throws Exception {
    desk.runFx(() -> desk.lookup("#section").query().requestFocus());
    desk.type(KeyCode.V);
    desk.settle();
    assertThat(desk.isShown("#sizes")).isTrue();
    sized();
    assertThat(desk.isShown("#section")).isFalse();
    assertThat(desk.text("#sizes-wanted")).contains("220 hp", "Mach index 0.87");
    assertThat(desk.text("#sizes-largest"))
        .contains("33.38 mm (I1a to the bore)", "29.93 mm (between E1a, E1b)", "75 %");
    assertThat(desk.text("#sizes-next")).contains("A head of 34.00 mm", "the port");
    assertThat(desk.words("#shelf-in-37-0-x-7-0-x-108-0"))
        .contains("does not fit: I1a to the bore");
    assertThat(desk.words("#shelf-in-34-5-x-6-0-x-104-3"))
        .contains("does not fit: I1a to the bore", "24.00 each");
    double was = job().planOf(desk.session.seat().get()).wanted().valve().headDiameterMm();
    desk.press("#try-in-34-5-x-6-0-x-104-3");
    assertThat(desk.session.tried().get()).isPresent();
    assertThat(desk.session.work().get().plan().plan().wanted().valve().headDiameterMm())
        .isEqualTo(34.5);
    desk.press("#put-back");
    sized();
    assertThat(job().planOf(desk.session.seat().get()).wanted().valve().headDiameterMm())
        .isEqualTo(was);
    desk.press("#try-in-34-5-x-6-0-x-104-3");
    desk.press("#keep-tried");
    assertThat(job().planOf(desk.session.seat().get()).wanted().valve().headDiameterMm())
        .isEqualTo(34.5);
    fire("#show-sizes");
    assertThat(desk.isShown("#section")).isTrue();
  }

  @Test
  void sizesAreTheSeatsOwnKind() throws Exception {
    fire("#show-sizes");
    sized();
    int intake = desk.print("#sizes-chart");
    desk.runFx(() -> desk.session.select(job().engine().seats().get(2)));
    sized();
    assertThat(desk.print("#sizes-chart")).isNotEqualTo(intake);
    assertThat(desk.isShown("#sizes-wanted")).isFalse();
    assertThat(desk.words("#sizes")).contains("EX 28.5", "ON THE SHELF, exhaust");
  }

  @Test
  void clearanceFollowsWhatIsMeasuredAndWhatIsMissing() {
    fire("#below-clearance");
    assertThat(desk.text("#clearance-piston"))
        .contains("I1a to the piston: 3.10 mm (estimated)", "Wanted 2.00 mm");
    assertThat(desk.text("#clearance-valve")).contains("I1a to E1a: 7.14 mm");
    assertThat(desk.text("#clearance-caution")).contains("Measure it on the real engine");
    int print = desk.print("#clearance-chart");
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withHead(
                        j.head()
                            .withReading(
                                "I1a", Measure.PISTON_CLEARANCE, OptionalDouble.of(1.9)))));
    assertThat(desk.text("#clearance-piston"))
        .contains("2.17 mm (as measured, changed by the plan)", "As found 1.90 mm");
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withEngine(
                        j.engine()
                            .withPistons(
                                j.engine().pistons().withDeckMm(OptionalDouble.of(-2.4))))));
    assertThat(desk.print("#clearance-chart")).isNotEqualTo(print);
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withEngine(
                        j.engine()
                            .withPistons(j.engine().pistons().withRodMm(OptionalDouble.empty())))));
    assertThat(desk.text("#clearance-missing")).contains("enter rod");
  }

  @Test
  void theRunnerHoldsBackWhatItDoes() {
    fire("#below-series");
    assertThat(desk.text("#series-text")).contains("I1a at 10.00 mm", "75 to 80 %", "never scored");
    // 1/Q^2 of 6.9, 65.5 and 91.2 l/s.
    assertThat(desk.text("#series-1-1")).isEqualTo("6.9");
    assertThat(desk.text("#series-1-4")).isEqualTo("6.9");
    assertThat(desk.text("#series-1-6")).startsWith("port");
    desk.runFx(() -> desk.session.select(job().engine().seats().get(2)));
    assertThat(desk.text("#series-text")).contains("nobody has entered");
  }

  @Test
  void anOutlineComesFromAFileAndGoesAgain() throws Exception {
    desk.goTo(KeyCode.DIGIT1);
    fire("#show-chamber");
    assertThat(desk.text("#outline-text")).contains("Cylinder 1: no outline");
    Path file = home.resolve("chamber.csv");
    Files.writeString(file, "mm;mm\n-40;-38\n40;-38\n40;38\n-40;x\n");
    desk.picks.outline = Optional.of(file);
    desk.press("#outline-file");
    assertThat(desk.words("#found-station")).contains("line 5", "-40;x");
    assertThat(job().head().chambers()).isEmpty();
    Files.writeString(file, "mm;mm\n-40;-38\n40;-38\n40;38\n-40;38\n");
    desk.press("#outline-file");
    assertThat(job().head().chamber(1).orElseThrow().corners()).hasSize(4);
    assertThat(desk.text("#outline-text")).contains("outline of 4 corners");
    assertThat(desk.words("#found-station")).doesNotContain("line 5");
    desk.press("#outline-remove");
    assertThat(job().head().chambers()).isEmpty();
    desk.runFx(desk.session::undo);
    assertThat(job().head().chamber(1)).isPresent();
  }

  @Test
  void aPhotographIsTracedCornerByCorner() throws Exception {
    desk.goTo(KeyCode.DIGIT1);
    fire("#show-chamber");
    Path file = home.resolve("chamber.png");
    ImageIO.write(new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB), "png", file.toFile());
    desk.picks.picture = Optional.of(file);
    desk.press("#outline-photograph");
    WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> desk.isShown("#trace"));
    assertThat(desk.isShown("#chamber")).isFalse();
    assertThat(desk.text("#outline-text")).contains("at 12 o'clock");
    desk.press("#trace-close");
    assertThat(desk.words("#found-station")).contains("Click the bore");
    double[][] clicks = {
      {0, 0.4}, {0.4, 0}, {0, -0.4}, {-0.4, 0}, {-0.3, -0.2}, {0.3, -0.2}, {0.3, 0.2}, {-0.1, 0.3}
    };
    for (double[] c : clicks) {
      clickOnPhotograph(c[0], c[1]);
    }
    assertThat(desk.text("#outline-text")).contains("4 so far");
    desk.type(KeyCode.BACK_SPACE);
    desk.settle();
    assertThat(desk.text("#outline-text")).contains("3 so far");
    clickOnPhotograph(-0.3, 0.2);
    // Another cylinder's seat is looked at meanwhile; the photograph stays the first one's.
    desk.runFx(() -> desk.session.select(job().engine().seats().getLast()));
    desk.type(KeyCode.ENTER);
    desk.settle();
    assertThat(job().head().chambers()).hasSize(1);
    ChamberOutline outline = job().head().chamber(1).orElseThrow();
    // 0.8 of the side is the bore of 86, so 0.6 by 0.4 of it is 64.5 by 43.
    assertThat(outline.areaMm2()).isBetween(64.5 * 43 - 30, 64.5 * 43 + 30);
    assertThat(desk.isShown("#chamber")).isTrue();
    // A job that has no file has nowhere to keep the photograph.
    assertThat(job().head().photographs()).isEmpty();
    assertThat(desk.words("#found-station")).contains("no file yet");
  }

  @Test
  void aPhotographSquaredByPlacesOfOnesOwnIsKeptUnderTheChamber() throws Exception {
    Path saved = home.resolve("photographed" + JobFile.EXTENSION);
    desk.picks.save = Optional.of(saved);
    desk.press(KeyCode.CONTROL).type(KeyCode.S).release(KeyCode.CONTROL);
    desk.goTo(KeyCode.DIGIT1);
    fire("#show-chamber");
    Path file = home.resolve("face.png");
    BufferedImage green = new BufferedImage(400, 400, BufferedImage.TYPE_INT_RGB);
    for (int k = 0; k < 400 * 400; k++) {
      green.setRGB(k % 400, k / 400, 0x00ff00);
    }
    ImageIO.write(green, "png", file.toFile());
    desk.picks.picture = Optional.of(file);
    desk.press("#outline-photograph");
    WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> desk.isShown("#trace"));
    fire("#known-own");
    assertThat(desk.text("#outline-text")).contains("Click place 1");
    double[][] clicks = {{-0.4, 0.4}, {0.4, 0.4}, {0.4, -0.4}, {-0.4, -0.4}};
    double[][] are = {{-60, 50}, {60, 50}, {60, -50}, {-60, -50}};
    for (double[] c : clicks) {
      clickOnPhotograph(c[0], c[1]);
    }
    desk.press("#trace-close");
    assertThat(desk.words("#found-station")).contains("Enter where place 1 lies");
    for (int k = 0; k < 4; k++) {
      cell("#known-along-" + (k + 1) + "-text", String.valueOf(are[k][0]));
      cell("#known-across-" + (k + 1) + "-text", String.valueOf(are[k][1]));
    }
    desk.press("#trace-close");
    // Nothing was traced: the photograph alone, with a copy of its file beside the job's.
    assertThat(job().head().chambers()).isEmpty();
    FacePhotograph kept = job().head().photograph(1).orElseThrow();
    assertThat(kept.file()).isEqualTo("face.png");
    assertThat(kept.squared().at(new Squared.Pixel(0.5, 0.5)).alongMm()).isBetween(-1.0, 1.0);
    assertThat(kept.squared().at(new Squared.Pixel(0.9, 0.5)).alongMm()).isBetween(59.0, 61.0);
    assertThat(Files.exists(JobPictures.find(saved, "face.png").orElseThrow())).isTrue();
    WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> isGreen(0.9, 0.5));
    // To another file it goes along; taken away, the paper is back.
    desk.press("#photograph-remove");
    assertThat(job().head().photographs()).isEmpty();
    desk.settle();
    assertThat(isGreen(0.9, 0.5)).isFalse();
  }

  /** What is drawn at a share of the chamber's picture. */
  private boolean isGreen(double x, double y) {
    return desk.onFx(
        () -> {
          Node chamber = desk.lookup("#chamber").query();
          var shot = chamber.snapshot(null, null);
          double side = Math.min(shot.getWidth(), shot.getHeight());
          var colour =
              shot.getPixelReader()
                  .getColor(
                      (int) (shot.getWidth() / 2 + (x - 0.5) * side), (int) (y * shot.getHeight()));
          return colour.getGreen() > 0.9 && colour.getRed() < 0.2;
        });
  }

  /** Types over a cell and leaves it. */
  private void cell(String id, String text) {
    desk.runFx(
        () -> {
          TextField cell = desk.lookup(id).query();
          cell.requestFocus();
          cell.setText(text);
          desk.window.scene().lookup("#field-chamberCc-text").requestFocus();
        });
    desk.settle();
  }

  @Test
  void aCaliperTellsWhereAValveLies() {
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                j ->
                    j.withHead(
                        j.head()
                            .withReading("I1b", Measure.AXIS_ALONG, OptionalDouble.empty())
                            .withReading("I1b", Measure.AXIS_ACROSS, OptionalDouble.empty())
                            .withReading("I1b", Measure.GAP_TO_BORE, OptionalDouble.empty()))));
    desk.goTo(KeyCode.DIGIT1);
    fire("#show-chamber");
    assertThat(desk.lookup("#cell-I1b-edgeToIntakeA").tryQuery()).isEmpty();
    desk.runFx(
        () -> {
          MenuButton more = desk.lookup("#found-rows").query();
          more.getItems().stream()
              .filter(i -> "found-rows-distances".equals(i.getId()))
              .forEach(
                  i -> {
                    ((CheckMenuItem) i).setSelected(true);
                    i.fire();
                  });
        });
    desk.settle();
    assertThat(desk.lookup("#cell-I1b-edgeToIntakeC").tryQuery()).isEmpty();
    double radius = job().foundValve(desk.session.seat().get()).headDiameterMm() / 2;
    double along = 18.2;
    double across = job().head().readingsOf("I1a").value(Measure.AXIS_ACROSS).orElseThrow();
    cell(
        "#cell-I1b-gapToBore",
        String.format(
            Locale.ROOT, "%.3f", job().engine().boreMm() / 2 - Math.hypot(along, across) - radius));
    double other = job().head().readingsOf("I1a").value(Measure.AXIS_ALONG).orElseThrow();
    cell("#cell-I1b-edgeToIntakeA", String.format(Locale.ROOT, "%.3f", along - other - 2 * radius));
    TextField cell = desk.lookup("#cell-I1b-axisAlong").query();
    assertThat(cell.getText()).isEmpty();
    assertThat(cell.getPromptText()).matches("\\((1[78]\\.\\d+)\\)");
    assertThat(desk.text("#chamber-text")).contains("worked out of the distances");
    assertThat(job().head().readingsOf("I1b").value(Measure.AXIS_ALONG)).isEmpty();
  }

  @Test
  void aWallIsDraggedBackButNotPastTheFireRing() {
    fire("#show-room");
    desk.runFx(() -> desk.window.plan().section().liftProperty().set(8));
    // The intake lies in the lower left; its wall below is dragged out of the picture.
    drag("#room", 0.32, 0.86, 0.3, 0.999);
    TakeWallBack taken =
        (TakeWallBack) job().planOf(desk.session.seat().get()).operations().getLast();
    assertThat(taken.wallMm()).isGreaterThan(16.5);
    double limit = job().layout().fireRingMm() / 2 - 1;
    double along = -18.15;
    double across = job().head().readingsOf("I1a").value(Measure.AXIS_ACROSS).orElseThrow();
    for (double hour = taken.fromClock(); hour <= taken.toClock(); hour += 1.0 / 6) {
      double angle = Math.toRadians(30 * hour);
      assertThat(
              Math.hypot(
                  along + taken.wallMm() * Math.sin(angle),
                  across + taken.wallMm() * Math.cos(angle)))
          .isLessThanOrEqualTo(limit + 0.15);
    }
    int count = job().planOf(desk.session.seat().get()).operations().size();
    drag("#room", 0.32, 0.86, 0.32, 0.9);
    assertThat(job().planOf(desk.session.seat().get()).operations()).hasSize(count);
    desk.runFx(desk.session::undo);
    desk.runFx(desk.session::undo);
    assertThat(job().planOf(desk.session.seat().get()).operations()).hasSize(count - 1);
  }

  @Test
  void aValveIsDraggedWhereItLies() {
    desk.goTo(KeyCode.DIGIT1);
    fire("#show-chamber");
    double before = job().head().readingsOf("I1a").value(Measure.AXIS_ALONG).orElseThrow();
    drag("#chamber", 0.31, 0.7, 0.33, 0.7);
    double after = job().head().readingsOf("I1a").value(Measure.AXIS_ALONG).orElseThrow();
    assertThat(after).isGreaterThan(before + 0.5).isLessThan(before + 4);
    assertThat(10 * after).isEqualTo(Math.rint(10 * after));
    desk.runFx(desk.session::undo);
    assertThat(job().head().readingsOf("I1a").value(Measure.AXIS_ALONG)).hasValue(before);
  }
}
