package finebore.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.bench.Air;
import finebore.bench.BenchBook;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.bench.LiftReadings.PortPlace;
import finebore.bench.SetUp.TestedValve;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Group;
import finebore.job.Job;
import finebore.seat.Cut;
import finebore.units.Units;
import finebore.valve.Pairing;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every number that can be typed, typed once in each unit with an exhaust seat looked at: the whole
 * job is held against what it was, and nothing but the number's own place may differ.
 */
@ExtendWith(ApplicationExtension.class)
class EveryFieldTest {

  /** What one of a unit comes to in the file: by definition of the units. */
  private static final Map<String, Double> METRIC =
      Map.of(
          "LENGTH",
          1.0,
          "PRESSURE",
          1000.0,
          "BAROMETER",
          100.0,
          "FLOW",
          1e-3,
          "SHARE",
          0.01,
          "SPEED",
          1.0,
          "ONE",
          1.0,
          "COUNT",
          1.0,
          "TEMPERATURE",
          1.0);

  private static final Map<String, Double> INCH =
      Map.of(
          "LENGTH",
          25.4,
          "PRESSURE",
          249.08891,
          "BAROMETER",
          3386.389,
          "FLOW",
          0.3048 * 0.3048 * 0.3048 / 60,
          "SHARE",
          0.01,
          "SPEED",
          0.3048,
          "ONE",
          1.0,
          "COUNT",
          1.0,
          "TEMPERATURE",
          1 / 1.8);

  /** What is typed as a text or a list, or turns several figures along. */
  private static final Set<String> NO_SINGLE_NUMBER =
      Set.of(
          "field-lifts",
          "field-intake-valveHeadMm",
          "field-intake-seatAngleDeg",
          "field-exhaust-valveHeadMm",
          "field-exhaust-seatAngleDeg",
          "field-test-name",
          "field-test-date",
          "field-changed",
          "field-bench",
          "field-valve-name",
          "field-pipe",
          "field-test-remarks",
          "field-lift-remarks",
          "field-shop-name",
          "field-shop-address",
          "field-shop-customer",
          "field-shop-currency");

  @TempDir private static Path home;
  private static DeskRobot desk;

  @AfterAll
  static void leave() {
    desk.leave();
  }

  @Start
  private void start(Stage stage) {
    desk = desk == null ? new DeskRobot(stage, home) : desk.again(stage);
    // Two cylinders are as good as four, and half the work.
    Job demo = desk.session.job();
    desk.session.load(
        JobDocument.fresh(demo.withEngine(demo.engine().withCylinders(2))), Optional.empty());
  }

  private static List<CSVRecord> rows() throws IOException {
    try (InputStream in = EveryFieldTest.class.getResourceAsStream("every-field.csv")) {
      return CSVFormat.DEFAULT
          .builder()
          .setDelimiter(';')
          .setHeader()
          .setSkipHeaderRecord(true)
          .get()
          .parse(new InputStreamReader(in, StandardCharsets.UTF_8))
          .getRecords();
    }
  }

  /** Every value of the job by its place in the file, seats by their label. */
  private Map<String, String> everything() {
    Map<String, String> all = new TreeMap<>();
    walk("", JsonMapper.shared().readTree(JobFile.text(desk.session.document())), all);
    return all;
  }

  private static void walk(String path, JsonNode node, Map<String, String> into) {
    if (node.isObject()) {
      node.properties().forEach(e -> walk(path + "/" + e.getKey(), e.getValue(), into));
    } else if (node.isArray()) {
      for (int k = 0; k < node.size(); k++) {
        JsonNode seat = path.equals("/job/head/seats") ? node.get(k).get("seat") : null;
        walk(
            path + "/" + (seat == null ? String.valueOf(k) : seat.stringValue()),
            node.get(k),
            into);
      }
    } else {
      into.put(path, node.asString());
    }
  }

  private static Set<String> differences(Map<String, String> before, Map<String, String> after) {
    Set<String> places = new LinkedHashSet<>(before.keySet());
    places.addAll(after.keySet());
    places.removeIf(p -> before.containsKey(p) && before.get(p).equals(after.get(p)));
    return places;
  }

  private void lookAt(String seat) {
    desk.session.select(
        desk.session.job().engine().seats().stream()
            .filter(s -> s.label().equals(seat))
            .findFirst()
            .orElseThrow());
  }

  private void goTo(String where) {
    switch (where) {
      case "job" -> desk.goTo(KeyCode.J);
      case "found" -> desk.goTo(KeyCode.DIGIT1);
      case "shop" -> {
        desk.goTo(KeyCode.DIGIT5);
        fire("#record-tab-shop");
      }
      case "show-planned", "show-found" -> {
        desk.goTo(KeyCode.DIGIT2);
        fire("#" + where);
      }
      default -> {
        desk.goTo(KeyCode.DIGIT4);
        fire("#tab-" + where);
      }
    }
    desk.runFx(() -> lookAt("E2"));
  }

  private void fire(String toggle) {
    desk.runFx(() -> ((ToggleButton) desk.lookup(toggle).query()).fire());
  }

  /** Types over a field and presses Enter; what follows on the screen is not waited for. */
  private void type(String field, String text) {
    TextField cell =
        desk.lookup(field.startsWith("cell") ? "#" + field : "#" + field + "-text").query();
    desk.onFx(
        () -> {
          cell.requestFocus();
          cell.setText(text);
          if (field.startsWith("cell")) {
            // Enter would go on to the next seat.
            desk.window.scene().lookup("#field-chamberCc-text").requestFocus();
            return null;
          }
          KeyEvent enter =
              new KeyEvent(
                  KeyEvent.KEY_PRESSED, "\r", "", KeyCode.ENTER, false, false, false, false);
          cell.fireEvent(enter);
          return null;
        });
  }

  /** Fields of the page that is shown; of the sheet of readings those of the seat. */
  private List<String> fields() {
    return desk.onFx(
        () ->
            desk.lookup(".text-field").queryAllAs(TextField.class).stream()
                .map(f -> String.valueOf(f.getId()).replaceFirst("-text$", ""))
                .filter(id -> id.startsWith("field-") || id.startsWith("cell-E2-"))
                .toList());
  }

  private static boolean known(String field, String where) {
    try {
      return NO_SINGLE_NUMBER.contains(field)
          || rows().stream()
              .anyMatch(r -> r.get("field").equals(field) && r.get("where").equals(where));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Everything there is a field for is there already, so that only the number itself changes. */
  private void prepare() {
    desk.session.edit(
        "",
        job -> {
          FlowTest fresh = job.bench().tests().getLast();
          LiftReadings lift =
              LiftReadings.of(job.test().liftsMm().getFirst(), List.of())
                  .withSwirl(OptionalDouble.of(100));
          for (PortPlace place : PortPlace.values()) {
            lift =
                lift.withSpeed(place, OptionalDouble.of(50))
                    .withProbeDrop(place, OptionalDouble.of(0.001));
          }
          FlowTest test =
              fresh
                  .withAir(Optional.of(Air.USUAL))
                  .withSetUp(fresh.setUp().withValve(new TestedValve(33.6, "found")))
                  .withLifts(List.of(lift));
          Group exhaust = job.exhaust();
          // Ports fitted to tests anew at each reading would take most of the time.
          FlowTest alone = test.withStep(Optional.empty(), "", false);
          return job.withBench(new BenchBook(job.bench().ranges(), List.of(alone)))
              .withExhaust(
                  exhaust
                      .withFound(withBackCut(exhaust.found()))
                      .withPlanned(withBackCut(exhaust.planned())));
        });
  }

  private static Pairing withBackCut(Pairing pairing) {
    return pairing.withValve(pairing.valve().withBackCuts(List.of(new Cut(30, 0.7))));
  }

  @ParameterizedTest
  @EnumSource(Units.class)
  void everyNumberGoesToItsOwnPlaceAndNowhereElse(Units units) throws IOException {
    desk.runFx(() -> desk.session.edit("", j -> j.withUnits(units)));
    desk.runFx(() -> lookAt("E2"));
    desk.goTo(KeyCode.DIGIT4);
    desk.press("#new-test");
    desk.runFx(this::prepare);
    SoftAssertions each = new SoftAssertions();
    Map<String, String> before = everything();
    String where = "";
    for (CSVRecord row : rows()) {
      if (!row.get("where").equals(where)) {
        where = row.get("where");
        goTo(where);
        String here = where;
        each.assertThat(fields())
            .as(where)
            .allSatisfy(f -> assertThat(known(f, here)).as("%s is in the table", f).isTrue());
      }
      // Cells of the sheet are all of one make: one unit each is enough of the long way round.
      if (row.get("field").startsWith("cell-")
          && row.getRecordNumber() % 2 == (units == Units.MM ? 0 : 1)) {
        continue;
      }
      String typed = row.get(units == Units.MM ? "typed in mm" : "typed in inches");
      type(row.get("field"), typed);
      Map<String, String> after = everything();
      String place =
          row.get("path")
              .replace("{seat}", "E2")
              .replace("{test}", String.valueOf(desk.session.job().bench().tests().size() - 1));
      String page = where;
      // To ask what was said takes a frame; only a failure is worth it.
      Supplier<String> what = () -> page + " " + row.get("field") + " " + typed + " " + desk.said();
      each.assertThat(differences(before, after)).as(what).containsExactly(place);
      String dimension = row.get("dimension");
      double zero = dimension.equals("TEMPERATURE") && units == Units.INCH ? 32 : 0;
      double one = (units == Units.MM ? METRIC : INCH).get(dimension);
      each.assertThat(Double.parseDouble(after.getOrDefault(place, "NaN")))
          .as(what)
          .isCloseTo((Double.parseDouble(typed) - zero) * one, within(1e-9));
      if (dimension.equals("COUNT")) {
        // Other seats have other names.
        desk.runFx(desk.session::undo);
        desk.runFx(() -> lookAt("E2"));
        each.assertThat(everything()).as(() -> what.get() + " taken back").isEqualTo(before);
      } else {
        before = after;
      }
    }
    each.assertAll();
  }
}
