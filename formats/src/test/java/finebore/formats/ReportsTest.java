package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.formats.StudyReport.State;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.study.PlanStudy;
import finebore.study.ReadingKind;
import finebore.study.SeatStudy;
import finebore.units.UnitSystem;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ReportsTest {

  private static final Job DEMO = JobFile.demo();

  private static List<CSVRecord> csv(String text) throws IOException {
    return CSVFormat.RFC4180
        .builder()
        .setHeader()
        .setSkipHeaderRecord(true)
        .get()
        .parse(new StringReader(text))
        .getRecords();
  }

  @Test
  void textTellsEverythingInTheJobsUnits() {
    String text = new StudyReport(DEMO, Port.INTAKE, State.PLANNED).text();
    assertThat(text)
        .contains("Skarn 1.6, intake seats as planned")
        .contains("READINGS")
        .contains("CONTACT")
        .contains("CUTS, chamber to port")
        .contains("FLOW AT EACH LIFT")
        .contains("CHANGE AGAINST FOUND")
        .contains("WHERE THE AIR IS HELD UP")
        .contains("FINDINGS")
        .contains("calibrated on test 1")
        .contains("would mend it: back cut 30°");
    Job untested = DEMO.withBench(finebore.bench.BenchBook.EMPTY);
    assertThat(new StudyReport(untested, Port.INTAKE, State.PLANNED).text())
        .contains("not calibrated: trust the change, not the figure")
        .contains("about 2.0 % of the flow at low");
    String inch =
        new StudyReport(DEMO.withUnits(UnitSystem.INCH), Port.INTAKE, State.PLANNED).text();
    assertThat(inch).contains("0.049 in").contains("28 inH2O").contains("cfm");
    assertThat(new StudyReport(DEMO, Port.EXHAUST, State.FOUND).text())
        .doesNotContain("CHANGE AGAINST FOUND");
  }

  @Test
  void jsonCarriesTheStudy() {
    JsonNode root =
        JsonMapper.shared().readTree(new StudyReport(DEMO, Port.INTAKE, State.PLANNED).json());
    SeatPlace first = DEMO.engine().seats().getFirst();
    SeatStudy study = PlanStudy.of(DEMO, first, DEMO.planOf(first), Optional.empty()).finished();
    assertThat(root.at("/readings/throatRatio/value").doubleValue())
        .isEqualTo(study.reading(ReadingKind.THROAT_RATIO).getAsDouble());
    assertThat(root.at("/operations/1/cameIn")).hasSize(4);
    assertThat(root.at("/operations/0/removedMm3").doubleValue()).isPositive();
    assertThat(root.get("lifts")).hasSize(13);
    var point = study.curve().orElseThrow().points().get(4);
    assertThat(root.at("/lifts/4/flowM3PerS").doubleValue()).isEqualTo(point.flowM3s());
    double shares = 0;
    for (JsonNode loss : root.at("/lifts/4/losses")) {
      shares += loss.get("share").doubleValue();
    }
    assertThat(shares).isCloseTo(1, within(1e-9));
    assertThat(root.at("/change/low/share").doubleValue()).isPositive();
    assertThat(root.get("findings")).isNotEmpty();
  }

  @Test
  void csvHasOneRowForEachThing() throws IOException {
    List<CSVRecord> rows = csv(new StudyReport(DEMO, Port.INTAKE, State.PLANNED).csv());
    assertThat(rows)
        .filteredOn(r -> r.get("item").equals("flow") && r.get("section").equals("lift"))
        .hasSize(13);
    assertThat(rows).filteredOn(r -> r.get("section").equals("cut")).hasSize(4);
    assertThat(rows).filteredOn(r -> r.get("section").equals("reading")).hasSize(27);
    assertThat(rows).filteredOn(r -> r.get("section").equals("band")).hasSize(4);
    assertThat(rows).anySatisfy(r -> assertThat(r.get("remark")).startsWith("outside"));
  }

  @Test
  void aValveThatFallsThroughIsReportedNotThrown() throws IOException {
    var found = DEMO.intake().found();
    Job job = DEMO.withPlanned(Port.INTAKE, found.withValve(found.valve().withHeadDiameter(33)));
    StudyReport report = new StudyReport(job, Port.INTAKE, State.PLANNED);
    assertThat(report.text()).contains("falls through the throat").contains("Fault, valve");
    assertThat(csv(report.csv()))
        .anySatisfy(r -> assertThat(r.get("item")).isEqualTo("fallsThrough"));
    assertThat(JsonMapper.shared().readTree(report.json()).get("lifts")).isNull();
    assertThat(CutSheetFile.text(job)).contains("Fit other valve");
  }

  @Test
  void theCutSheetIsInOrderForBothGroups() throws IOException {
    String text = CutSheetFile.text(DEMO);
    assertThat(text)
        .containsSubsequence(
            "INTAKE  seats I1 I2 I3 I4",
            "Open the throat",
            "35.65 mm",
            "Form cut",
            "39.85 mm",
            "Goes clean at",
            "Left showing of the 60",
            "Blend, port side",
            "Fit other valve",
            "40.50 mm",
            "Valve face",
            "Ink and light lap",
            "EXHAUST  seats E1 E2 E3 E4");
    List<CSVRecord> rows = csv(CutSheetFile.csv(DEMO));
    assertThat(rows)
        .anySatisfy(
            r -> {
              assertThat(r.get("group")).isEqualTo("exhaust");
              assertThat(r.get("setting")).isEqualTo("Seat outside diameter, by the pointer");
              assertThat(r.get("value")).isEqualTo("33.00 mm");
            });
  }

  @Test
  void anExceptionAndWhatWasOverruledStandOnTheCutSheet() throws IOException {
    SeatPlace seat = DEMO.engine().seats().get(2);
    Plan own =
        DEMO.planOf(seat)
            .withOperations(
                List.of(
                    new Operation.CutAngle(
                        Operation.SingleTool.STONE, 45, 39.4, new Plunge.UntilClean(0.1, false))))
            .withOverrule(new Overrule("water", "wall drilled and measured"));
    Job job = DEMO.withException(seat, own);
    String text = CutSheetFile.text(job);
    assertThat(text)
        .containsSubsequence(
            "INTAKE  seats I1 I3 I4",
            "INTAKE  seats I2",
            "overruled, water: wall drilled and measured",
            "Single cut",
            "45°, stone",
            "EXHAUST  seats E1 E2 E3 E4");
    assertThat(csv(CutSheetFile.csv(job)))
        .anySatisfy(
            r -> {
              assertThat(r.get("seats")).isEqualTo("I2");
              assertThat(r.get("tool")).isEqualTo("Single cut");
            });
    assertThat(new StudyReport(job, seat, State.PLANNED).text())
        .startsWith("Skarn 1.6, intake seat I2, an exception, as planned");
    // The report on the group is on a seat that follows it.
    assertThat(new StudyReport(job, Port.INTAKE, State.PLANNED).text())
        .startsWith("Skarn 1.6, intake seats as planned");
  }

  @Test
  void theFoundReportIsOfTheSeatAsMeasured() {
    SeatPlace odd = DEMO.engine().seats().get(4);
    JsonNode root = JsonMapper.shared().readTree(new StudyReport(DEMO, odd, State.FOUND).json());
    assertThat(root.get("seat").stringValue()).isEqualTo("I3");
    // I3's throat of 34.97 mm, out of family, over the 39.5 mm valve.
    assertThat(root.at("/readings/throatRatio/value").doubleValue())
        .isCloseTo(34.97 / 39.5, within(1e-3));
    assertThat(root.has("operations")).isFalse();
  }

  @Test
  void everyDemoJobReportsAllItsSeats() {
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      for (SeatPlace seat : job.engine().seats()) {
        String text = new StudyReport(job, seat, State.PLANNED).text();
        assertThat(text).contains("OPERATIONS").contains("FLOW AT EACH LIFT");
        assertThat(text).doesNotContain("cannot be carried out");
      }
      assertThat(CutSheetFile.text(job)).contains("Form cut");
    }
    assertThat(CutSheetFile.text(JobFile.demo("tuff-650"))).contains("Fit a ring");
    StudyReport ridge = new StudyReport(JobFile.demo("gabbro-4.2"), Port.INTAKE, State.PLANNED);
    assertThat(ridge.text())
        .contains("STANDING BESIDE THE CUTS")
        .contains("over the seat: 0.029 in");
    JsonNode witness = JsonMapper.shared().readTree(ridge.json()).at("/witnesses/0");
    assertThat(witness.get("place").stringValue()).isEqualTo("chamber");
    assertThat(witness.get("turnDeg").doubleValue()).isCloseTo(60, within(1e-6));
  }
}
