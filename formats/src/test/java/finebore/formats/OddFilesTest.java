package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import finebore.code.Term;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Head;
import finebore.job.Job;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Job files that say a thing twice, or more than this version understands. */
class OddFilesTest {

  @TempDir private Path folder;

  private static String demoText() {
    return JobFile.text(JobDocument.fresh(JobFile.demo()));
  }

  /** The demo with the readings of I1 twice, the second with another throat. */
  private static String readTwice() {
    ObjectNode tree = (ObjectNode) JsonMapper.shared().readTree(demoText());
    ArrayNode readings = (ArrayNode) tree.at("/job/head/seats");
    ObjectNode again = (ObjectNode) readings.get(0).deepCopy();
    again.put("seat", "I1").put("throat12", 31.5);
    readings.add(again);
    return JsonMapper.shared().writeValueAsString(tree);
  }

  private static double throat(Job job) {
    return job.head().readingsOf("I1").value(Measure.THROAT_12).orElseThrow();
  }

  @Test
  void aSeatThatStandsTwiceIsAskedAboutAndNeitherIsLost() throws Exception {
    Path file = folder.resolve("twice.finebore.json");
    Files.writeString(file, readTwice());
    FileProblem problem =
        assertThatExceptionOfType(NamedTwice.class).isThrownBy(() -> JobFile.read(file)).actual();
    assertThat(problem.problem().terms())
        .containsEntry("name", Term.quote("I1"))
        .containsEntry("first", Term.quote("job.head.seats[4]"))
        .containsEntry("last", Term.quote("job.head.seats[8]"));
    JobDocument first = JobFile.read(file, NamedTwice.Choice.FIRST);
    assertThat(throat(first.job())).isEqualTo(throat(JobFile.demo()));
    JobDocument last = JobFile.read(file, NamedTwice.Choice.LAST);
    assertThat(throat(last.job())).isEqualTo(31.5);
    JobFile.save(last.withJob(last.job().withNotes("chosen")), file);
    JobDocument kept = JobFile.read(file);
    assertThat(throat(kept.job())).isEqualTo(31.5);
    JsonNode aside = JsonMapper.shared().readTree(JobFile.text(kept)).at("/setAside/0");
    assertThat(aside.path("place").asString()).isEqualTo("job.head.seats");
    assertThat(aside.at("/entry/throat12").asDouble()).isEqualTo(throat(JobFile.demo()));
  }

  @ParameterizedTest
  @CsvSource({
    "/job/bench/tests, job.bench.tests",
    "/job/bench/ranges, job.bench.ranges",
    "/job/bench/tests/0/lifts/0/speeds, job.bench.tests[0].lifts[0].speeds",
  })
  void otherEntriesThatStandTwiceAreNamed(String at, String place) {
    ObjectNode tree = (ObjectNode) JsonMapper.shared().readTree(demoText());
    ArrayNode list = (ArrayNode) tree.at(at);
    if (list.isEmpty()) {
      list.addObject().put("place", "roof").put("speedMs", 80);
    }
    list.add(list.get(0).deepCopy());
    String text = JsonMapper.shared().writeValueAsString(tree);
    assertThatExceptionOfType(NamedTwice.class)
        .isThrownBy(() -> JobFile.parse(text, "x"))
        .satisfies(
            e -> assertThat(e.problem().terms()).containsEntry("first", Term.quote(place + "[0]")));
  }

  @Test
  void aKeyThatStandsTwiceIsSaidWithItsLine() {
    String text = demoText().replaceFirst("\"rpm\" :", "\"rpm\" : 1,\n\"rpm\" :");
    assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> JobFile.parse(text, "x"))
        .satisfies(e -> assertThat(e.problem().code()).isEqualTo("file.damagedAt"))
        .withMessageContaining("rpm");
  }

  @Test
  void fieldsOfASeatStayWithItAndNumbersKeepTheirDigits() throws Exception {
    ObjectNode tree = (ObjectNode) JsonMapper.shared().readTree(demoText());
    ArrayNode readings = (ArrayNode) tree.at("/job/head/seats");
    ((ObjectNode) readings.get(2)).put("by", "Kim");
    String seat = readings.get(2).path("seat").asString();
    String text =
        JsonMapper.shared()
            .writeValueAsString(tree)
            .replaceFirst(
                "\\{",
                "{\"long\":3.14159265358979323846264338327950288,\"huge\":1E+400,\"nines\":"
                    + "9".repeat(400)
                    + ",");
    JobDocument read = JobFile.parse(text, "x");
    // The first seat's readings go, and this one's change: its place and its content differ.
    Head head =
        read.job()
            .head()
            .withReadings("I1", SeatReadings.NONE)
            .withReading(seat, Measure.THROAT_12, OptionalDouble.of(32.25));
    String written = JobFile.text(read.withJob(read.job().withHead(head)));
    assertThat(written)
        .contains("3.14159265358979323846264338327950288")
        .contains("1E+400")
        .contains("9".repeat(400));
    for (JsonNode one : JsonMapper.shared().readTree(written).at("/job/head/seats")) {
      assertThat(one.path("by").asString(""))
          .isEqualTo(one.path("seat").asString().equals(seat) ? "Kim" : "");
    }
    String odd = demoText().replaceFirst("\"rpm\" : [0-9.]+", "\"rpm\" : " + "9".repeat(400));
    assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> JobFile.parse(odd, "x"))
        .satisfies(e -> assertThat(e.problem().code()).isEqualTo("file.within"));
  }

  @Test
  void anExponentOfMoreDigitsThanAnyNumberHasIsDamage() throws Exception {
    String odd = demoText().replaceFirst("\"rpm\" : [0-9.]+", "\"rpm\" : 2.35E56286455684");
    assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> JobFile.parse(odd, "x"))
        .satisfies(e -> assertThat(e.problem().code()).isEqualTo("file.damaged"));
  }

  @Test
  void aShopWithoutItsFiguresIsRefusedByThePlaceThatIsMissing() throws Exception {
    ObjectNode tree = (ObjectNode) JsonMapper.shared().readTree(demoText());
    ((ObjectNode) tree.at("/job/shop")).remove("figures");
    assertThatExceptionOfType(FileProblem.class)
        .isThrownBy(() -> JobFile.parse(JsonMapper.shared().writeValueAsString(tree), "x"))
        .satisfies(e -> assertThat(e.problem().toString()).contains("job.shop.figures"));
  }
}
