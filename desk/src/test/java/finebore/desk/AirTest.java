package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.session.AirWatch;
import finebore.desk.session.SeatView;
import finebore.flow.field.AirChange;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.SolvedArea;
import finebore.formats.AirStore;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.found.Measure;
import finebore.job.Head;
import finebore.job.Plan;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
import finebore.planning.SolvedChange.Questions;
import finebore.study.SeatStudy;
import finebore.words.UnitSystem;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

/** Solved air over the section, as it is asked for, read and kept. */
@ExtendWith(ApplicationExtension.class)
class AirTest {

  @TempDir static Path home;

  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
  }

  private String said(FxRobot robot) {
    return robot.lookup("#air-text").queryAs(Label.class).getText();
  }

  /** Every change that the strip tells, in order of lift. */
  private List<String> gains() {
    desk.settle();
    return desk.onFx(
        () ->
            ((DrawnRegion) desk.lookup("#lift-strip").query())
                .written().stream()
                    .sorted(Comparator.comparingDouble(Ink.Written::x))
                    .map(Ink.Written::words)
                    .filter(w -> w.matches("[+−-]\\d+\\.\\d"))
                    .toList());
  }

  private void waitFor(FxRobot robot, String words) throws TimeoutException {
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> said(robot).contains(words));
    desk.settle();
  }

  @Test
  void isSolvedShownAndKept(FxRobot robot) throws Exception {
    // Few lifts: what the strip solves beside the picture would cost as much again.
    robot.interact(
        () -> desk.session.edit("", j -> j.withTest(j.test().withLiftsMm(List.of(8.0, 9.0)))));
    robot.interact(() -> desk.window.plan().section().liftProperty().set(8));
    final List<String> estimated = gains();
    robot.interact(() -> robot.lookup("#section").query().requestFocus());
    robot.push(KeyCode.A);
    assertThat(robot.lookup("#air-speed").queryAs(ToggleButton.class).isSelected()).isTrue();
    waitFor(robot, "full grid");
    assertThat(said(robot)).contains("Solved:").contains("no bend of the port");

    // What has been solved counts in the strip, from the lever's lift on.
    WaitForAsyncUtils.waitFor(60, TimeUnit.SECONDS, () -> !gains().equals(estimated));
    assertThat(gains()).hasSameSizeAs(estimated);

    for (String name : new String[] {"air.png", "air.svg", "air.csv"}) {
      desk.picks.air = Optional.of(home.resolve(name));
      robot.interact(
          () -> robot.lookup("#air-save").queryAs(javafx.scene.control.Button.class).fire());
      assertThat(Files.size(home.resolve(name))).as(name).isGreaterThan(10_000);
    }
    assertThat(Files.readString(home.resolve("air.svg"))).contains("<svg").contains("8.00 mm");

    // The losses are of the same flow.
    robot.push(KeyCode.L);
    assertThat(said(robot)).contains("full grid");

    // Another lift is another question; its answer replaces the old one, the coarse one first.
    String before = said(robot);
    robot.interact(() -> desk.window.plan().section().liftProperty().set(9));
    assertThat(said(robot)).doesNotContain("full grid");
    waitFor(robot, "coarse grid");
    assertThat(said(robot)).contains("Solved:").isNotEqualTo(before);

    // The same key takes them away again.
    robot.push(KeyCode.L);
    assertThat(said(robot)).isEmpty();
    assertThat(gains()).isEqualTo(estimated);
    assertThat(robot.lookup("#air-text").query().isManaged()).isFalse();
  }

  /** Air that a job brings along, made up: a tenth more at every lift of A, a fifth of B. */
  @Test
  void countsInEveryVariantWithoutBeingSolvedTwice(FxRobot robot) throws Exception {
    JobDocument whole = desk.session.document();
    // Without places there are no walls, so that a tenth more is a tenth more.
    desk.runFx(
        () ->
            desk.session.edit(
                "",
                job -> {
                  Head head = job.head();
                  for (var seat : job.engine().seats()) {
                    head =
                        head.withReading(seat.label(), Measure.AXIS_ALONG, OptionalDouble.empty())
                            .withReading(seat.label(), Measure.AXIS_ACROSS, OptionalDouble.empty());
                  }
                  return job.withHead(head);
                }));
    SeatView work = desk.session.work().get();
    AirStore store = AirStore.in(home.resolve("made-up.csv"));
    List<AirQuestion> asked = new ArrayList<>();
    double[] areas = {300, 330, 360};
    List<Plan> plans = work.group().plans();
    for (double lift : work.job().test().liftsMm()) {
      List<SeatStudy> studies = new ArrayList<>(List.of(work.found()));
      for (Plan plan : plans) {
        studies.add(PlanStudy.of(work.job(), work.place(), plan, work.found()).finished());
      }
      for (int k = 0; k < studies.size(); k++) {
        Questions all = Questions.of(studies.getFirst(), studies.get(k), lift);
        for (AirQuestion question : all.planned()) {
          store.keep(question, new SolvedArea(areas[k], 40));
          asked.add(question);
        }
      }
    }
    JobDocument before = desk.session.document();
    Path file = home.resolve("solved.finebore.json");
    JobFile.write(before.withSolvedAir(store.lines(asked)), file);
    desk.picks.open = Optional.of(file);
    robot.press(KeyCode.CONTROL).type(KeyCode.O).release(KeyCode.CONTROL);
    robot.interact(() -> robot.lookup("#below-variants").queryAs(ToggleButton.class).fire());
    String estimated = desk.text("#variant-flow-B");
    assertThat(desk.text("#variant-basis-B")).startsWith("flow estimated; with Air (A)");
    robot.interact(() -> desk.window.plan().section().liftProperty().set(6));
    robot.interact(() -> robot.lookup("#section").query().requestFocus());
    robot.push(KeyCode.A);
    int lifts = work.job().test().liftsMm().size();
    for (String name : List.of("A", "B")) {
      assertThat(desk.text("#variant-basis-" + name))
          .isEqualTo("flow solved at %d of %d lifts", lifts, lifts);
    }
    double port = work.found().portPerMm4();
    for (int k = 0; k < 2; k++) {
      String share = "+%.1f %%".formatted(100 * AirChange.share(300, areas[k + 1], port));
      assertThat(desk.text("#variant-flow-" + "AB".charAt(k)))
          .isEqualTo(
              "low %s, mid %s, high %s, over the cam %s".formatted(share, share, share, share));
    }
    robot.push(KeyCode.A);
    assertThat(desk.text("#variant-flow-B")).isEqualTo(estimated);
    robot.interact(() -> desk.session.load(whole, Optional.empty()));
    robot.interact(() -> robot.lookup("#below-findings").queryAs(ToggleButton.class).fire());
  }

  /** Made-up air again: the coarse grid's is there at once, the full one's is still asked for. */
  @Test
  void theLowestLiftsAreThroughOnlyWithTheFullGrid() throws Exception {
    SeatView work = desk.session.work().get();
    SeatStudy found = work.found();
    SeatStudy planned = work.planned();
    double lift = 1;
    Questions asked = Questions.of(found, planned, lift);
    AirStore store = AirStore.in(home.resolve("low.csv"));
    for (int k = 0; k < 2; k++) {
      store.keep(asked.found().get(k), new SolvedArea(80, 40));
      store.keep(asked.planned().get(k), new SolvedArea(88, 40));
    }
    List<AirQuestion> all = new ArrayList<>(asked.found());
    all.addAll(asked.planned());
    AirWatch watch = new AirWatch(home.resolve("nothing.csv"));
    watch.take(store.lines(all));
    desk.runFx(() -> watch.compare(found, planned, List.of(lift), lift));
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> watch.change().get().count() == 1);
    assertThat(watch.isStripDone()).isFalse();
    assertThat(watch.change().get().at(lift).orElseThrow().isClear()).isFalse();
    desk.runFx(watch::rest);

    store.keep(asked.found().get(2), new SolvedArea(80, 40));
    store.keep(asked.planned().get(2), new SolvedArea(86, 40));
    watch.take(store.lines(all));
    desk.runFx(() -> watch.compare(found, planned, List.of(lift), lift));
    WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, watch::isStripDone);
    desk.settle();
    AirChange change = watch.change().get().at(lift).orElseThrow();
    assertThat(change.isClear()).isTrue();
    // The walls beside the valve take their share of either.
    AirChange.Walls walls = SolvedChange.walls(found, planned, lift);
    assertThat(change.share())
        .isEqualTo(AirChange.share(80 * walls.found(), 86 * walls.planned(), found.portPerMm4()));
    desk.runFx(watch::rest);
  }

  @Test
  void saysThatAShutValvePassesNothing(FxRobot robot) {
    robot.interact(() -> desk.window.plan().section().liftProperty().set(0));
    robot.interact(() -> robot.lookup("#air-lost").queryAs(ToggleButton.class).fire());
    assertThat(said(robot)).isEqualTo("The valve is shut: no air passes.");
    assertThat(robot.lookup("#air-save").query().isDisabled()).isTrue();
    assertThat(desk.session.units()).isEqualTo(UnitSystem.METRIC);
  }
}
