package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.flow.FlowChange;
import finebore.units.Units;
import finebore.valve.Underhead;
import finebore.words.UnitSystem;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.ToggleButton;
import javafx.scene.image.PixelReader;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.paint.Color;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** The words and figures that are drawn, read back off the canvas. */
@ExtendWith(ApplicationExtension.class)
class DrawnWordsTest {

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
  }

  private List<Ink.Written> on(String drawing) {
    desk.settle();
    return desk.onFx(() -> ((DrawnRegion) desk.lookup("#" + drawing).query()).written());
  }

  private List<String> words(String drawing) {
    return on(drawing).stream().map(Ink.Written::words).toList();
  }

  /** What stands about a place across, from the top down. */
  private List<String> column(String drawing, double x) {
    return on(drawing).stream()
        .filter(w -> Math.abs(w.x() - x) < 0.5)
        .sorted(Comparator.comparingDouble(Ink.Written::y))
        .map(Ink.Written::words)
        .toList();
  }

  private double across(String drawing, String words) {
    return on(drawing).stream()
        .filter(w -> w.words().equals(words))
        .findFirst()
        .orElseThrow(() -> new AssertionError(words + " not among " + words(drawing)))
        .x();
  }

  private void lookAt(int seat) {
    desk.runFx(() -> desk.session.select(desk.session.job().engine().seats().get(seat)));
  }

  @Test
  void theSectionOfAnExhaustSeatIsLabelledWithItsOwnFigures() {
    lookAt(3);
    assertThat(words("section"))
        .contains(
            "valve Ø 33.60",
            "margin 1.50",
            "face 45° × 2.20",
            "30° × 0.79 of 1.00",
            "seat Ø 33.00",
            "45° × 1.60 seat",
            "contact 1.64 mm",
            "60° × 1.37 of 1.50",
            "70° × 0.51 of 0.90",
            "to water 3.38",
            "to water 3.88");
    desk.runFx(() -> desk.session.edit("", j -> j.withUnits(Units.INCH)));
    assertThat(words("section"))
        .contains("valve Ø 1.323", "margin 0.059", "seat Ø 1.299", "45° × 0.063 seat")
        .contains("contact 0.064 in", "60° × 0.054 of 0.059", "to water 0.133", "0.1 in");
  }

  @Test
  void theLiftStripHasGainLiftAndFlowOverEachOther() {
    lookAt(3);
    UnitSystem units = UnitSystem.METRIC;
    List<FlowChange.Step> steps = desk.session.work().get().plan().change().orElseThrow().steps();
    assertThat(steps).hasSize(13);
    for (FlowChange.Step step : steps) {
      String lift = UnitSystem.fixed(step.liftMm(), 1).replaceAll("\\.0$", "");
      double x =
          on("lift-strip").stream()
              .filter(w -> w.words().equals(lift) && w.y() > 140 && w.y() < 160)
              .findFirst()
              .orElseThrow()
              .x();
      String gain = UnitSystem.signed(1000 * (step.newM3s() - step.referenceM3s()), 1);
      if (!step.isKnown()) {
        // Unlike anything solved: there is no figure.
        assertThat(column("lift-strip", x)).endsWith("?", lift);
        continue;
      }
      // The first column may hold the mean of its band above.
      assertThat(column("lift-strip", x)).endsWith(lift, units.flowNumber(step.newM3s()));
      assertThat(on("lift-strip"))
          .anyMatch(
              w -> w.words().equals(gain) && Math.abs(w.x() - x) < 1 && w.y() > 30 && w.y() < 140);
    }
    assertThat(words("lift-strip")).contains("cam lift", "planned", "found");
    double cam = across("lift-strip", "cam lift");
    assertThat(cam).isBetween(across("lift-strip", "10"), across("lift-strip", "11"));
    // Its line makes room for the figure of 10 mm, which it would run through.
    double line = cam - 4;
    Ink.Written figure =
        on("lift-strip").stream()
            .filter(w -> w.words().matches("[+-]\\d+\\.\\d") && w.y() > 30 && w.y() < 140)
            .filter(w -> Math.abs(w.x() - line) < 14)
            .findFirst()
            .orElseThrow();
    assertThat(amber("lift-strip", line, figure.y() - 6, figure.y() + 6)).isZero();
    assertThat(amber("lift-strip", line, figure.y() + 10, figure.y() + 40)).isGreaterThan(10);
  }

  @Test
  void theCamsNameStaysOffFiguresUnderTheBars() {
    lookAt(1);
    // A head that runs steeply into its stem loses flow at the cam's lift.
    desk.runFx(
        () ->
            desk.session.editPairing(
                "", p -> p.withValve(p.valve().withUnderhead(new Underhead(45, 16)))));
    Ink.Written cam =
        on("lift-strip").stream()
            .filter(w -> w.words().equals("cam lift"))
            .findFirst()
            .orElseThrow();
    assertThat(on("lift-strip"))
        .filteredOn(w -> w.words().matches("-\\d+\\.\\d") && Math.abs(w.x() - cam.x()) < 70)
        .isNotEmpty()
        .noneMatch(w -> Math.abs(w.y() - cam.y()) < 14);
  }

  /** How many pixels of a column have the colour of the cam's line. */
  private int amber(String drawing, double x, double from, double to) {
    return desk.onFx(
        () -> {
          Region region = desk.lookup("#" + drawing).query();
          Canvas canvas = (Canvas) region.getChildrenUnmodifiable().getFirst();
          PixelReader pixels = canvas.snapshot(null, null).getPixelReader();
          int found = 0;
          for (int y = (int) from; y <= to; y++) {
            Color colour = pixels.getColor((int) Math.round(x), y);
            found += colour.getSaturation() > 0.6 && colour.getHue() < 60 ? 1 : 0;
          }
          return found;
        });
  }

  @Test
  void theComparisonHasTheChangeAtEachLift() {
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#view-table").query()).setSelected(true));
    lookAt(0);
    List<String> lifts = List.of("0.5", "2", "5", "6", "7", "9", "10", "12");
    List<List<String>> drawn =
        lifts.stream().map(l -> column("compare-strip", across("compare-strip", l))).toList();
    assertThat(drawn.stream().map(List::getLast)).containsExactlyElementsOf(lifts);
    assertThat(drawn.stream().map(List::getFirst))
        .containsExactly("0.0", "0.0", "0.0", "+0.2", "+0.4", "+0.8", "+0.9", "+1.2");
  }

  @Test
  void theLadderKeepsTheStepAloneApartFromTheSum() {
    lookAt(3);
    desk.runFx(() -> desk.window.show("ladder"));
    double alone = across("ladder", "THE STEP ALONE");
    double sum = across("ladder", "IN SUM SINCE THE BEGINNING");
    assertThat(alone).isLessThan(sum);
    assertThat(column("ladder", alone))
        .containsExactly(
            "THE STEP ALONE", "low lift", "+4.7 % ▲", "+1.4 l/s", "+1.3 % ?", "+0.3 l/s");
    assertThat(column("ladder", sum))
        .containsExactly(
            "IN SUM SINCE THE BEGINNING",
            "low lift",
            "+4.7 % ▲",
            "+1.4 l/s",
            "+6.2 % ?",
            "+1.7 l/s");
    assertThat(words("ladder"))
        .contains("6  E1 as found", "7  E1 finished", "8  E1 with pipe", "a pipe on the port");
  }

  @Test
  void theGapToTheNeighbourIsNamedAtItsFigureAndThePistonsAtItsCurvesEnd() {
    lookAt(0);
    desk.runFx(() -> desk.window.show("clearance"));
    assertThat(desk.text("#clearance-valve")).startsWith("I1 to E1: 2.37 mm");
    assertThat(words("clearance-chart")).contains("E1: 2.37", "to the piston").doesNotContain("E1");
  }

  @Test
  void sizesOfTheShelfStandOffTheLimitsLines() throws TimeoutException {
    lookAt(0);
    desk.runFx(() -> desk.window.show("sizes"));
    WaitForAsyncUtils.waitFor(
        10, TimeUnit.SECONDS, () -> desk.onFx(() -> desk.window.plan().isSized()));
    // What is wanted between the valves goes through above the head of 43 mm, and not of 44.5.
    double dot = down("34");
    double tight = down("43");
    double plain = down("44.5");
    // The window is the next test's too.
    desk.runFx(() -> ((ToggleButton) desk.lookup("#show-sizes").query()).fire());
    assertThat(tight).isGreaterThan(dot);
    assertThat(plain).isLessThan(dot);
  }

  private double down(String words) {
    return on("sizes-chart").stream()
        .filter(w -> w.words().equals(words))
        .findFirst()
        .orElseThrow(() -> new AssertionError(words + " not among " + words("sizes-chart")))
        .y();
  }

  @Test
  void theCurveStandsOnItsAxesAndTheHeadIsMarked() {
    desk.goTo(KeyCode.DIGIT4);
    desk.runFx(() -> ((ToggleButton) desk.lookup("#view-table").query()).setSelected(true));
    lookAt(0);
    assertThat(words("curve-chart")).contains("Flow, l/s at 6.97 kPa", "lift mm", "cam");
    List<Ink.Written> axis =
        on("curve-chart").stream().filter(w -> w.words().matches("1[012]") && w.y() > 315).toList();
    double step = axis.get(1).x() - axis.get(0).x();
    assertThat(axis).extracting(Ink.Written::words).containsExactly("10", "11", "12");
    // The cam lifts by 10.6; its word stands left of its line.
    assertThat(across("curve-chart", "cam"))
        .isCloseTo(axis.get(0).x() + 0.6 * step, within(0.15 * step));
    // The middle of high lift is where the exhaust's cam ends: the word makes room for its line.
    lookAt(3);
    double camLine = across("curve-chart", "cam") + 4;
    assertThat(across("curve-chart", "high")).isBetween(camLine + 12, camLine + 30);
    lookAt(0);
    desk.goTo(KeyCode.DIGIT1);
    assertThat(words("head-plan")).contains("E2 !C", "I3 !C", "E3 C", "I4 C");
    assertThat(words("found-section")).contains("seat Ø 39.29", "throat Ø 34.18, 86.6 %");
  }
}
