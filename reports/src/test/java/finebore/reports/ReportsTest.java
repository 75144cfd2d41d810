package finebore.reports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.cutting.CutForm;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.flow.field.KnownAir;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.GroupOutcome;
import finebore.practice.Finding;
import finebore.reports.StudyFacts.State;
import finebore.rules.PlanFindings;
import finebore.words.Language;
import finebore.words.Words;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ReportsTest {

  private static final Job DEMO = JobFile.demo();
  private static final Words WORDS = Words.of(Language.ENGLISH, DEMO.units());
  private static final SeatPlace I1 = DEMO.engine().seats().getFirst();

  /** The demo with one intake seat far off its guide, and a plan that stops where it cleans up. */
  private static Job uneven(Plunge plunge) {
    Job job =
        DEMO.withHead(
            DEMO.head()
                .withReading("I3", Measure.RUNOUT, OptionalDouble.of(0.35))
                .withReading("I3", Measure.RUNOUT_CLOCK, OptionalDouble.of(4)));
    return job.withPlan(
        I1,
        job.planOf(I1)
            .withOperations(
                List.of(OpenThroat.AS_WANTED, new CutForm("", OptionalDouble.empty(), plunge))));
  }

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
  void whatDiffersBetweenTheSeatsStandsPerSeatOnTheSheet() throws IOException {
    Job job = uneven(new Plunge.UntilClean(0, false));
    String sheet =
        new CutSheets(job, WORDS, PracticeFiles.named(job.practice(), PracticeFiles.all())).text();
    String line =
        sheet
            .lines()
            .filter(l -> l.contains("Cleans up at, below the head face"))
            .findFirst()
            .orElseThrow();
    assertThat(line).contains("I1 ", "I2 ", "I3 ", "I4 ");
    List<CSVRecord> rows =
        csv(
            new CutSheets(job, WORDS, PracticeFiles.named(job.practice(), PracticeFiles.all()))
                .csv());
    List<String> depths =
        rows.stream()
            .filter(r -> r.get("item").equals("Cleans up at, below the head face"))
            .filter(r -> r.get("group").equals("intake"))
            .map(r -> r.get("seat") + " " + r.get("value"))
            .toList();
    assertThat(depths).hasSize(4).doesNotHaveDuplicates();
    GroupOutcome group = GroupOutcome.of(job, I1);
    for (int k = 0; k < 4; k++) {
      double clean = group.steps(1).get(k).cleanUp().orElseThrow().sealingMm().orElseThrow();
      assertThat(depths.get(k)).isEqualTo("I" + (k + 1) + " " + WORDS.units().lengthText(clean));
    }
  }

  @Test
  void oneDepthForSeatsThatDifferIsADecisionWithItsCostAndAFaultWhereItStopsShort() {
    GroupOutcome clean = GroupOutcome.of(uneven(new Plunge.UntilClean(0, false)), I1);
    double shallow = clean.steps(1).getFirst().depthMm().orElseThrow();
    Job job = uneven(new Plunge.ToDepth(shallow));
    String sheet =
        new CutSheets(job, WORDS, PracticeFiles.named(job.practice(), PracticeFiles.all())).text();
    assertThat(sheet)
        .contains(
            "One depth is set for seats that clean up at different depths. What it costs each:")
        .contains("I3 stops ")
        .contains("!! Fault, I3")
        .contains("NOT READY TO CUT");
    List<Finding> blockers =
        GroupFindings.of(
                GroupOutcome.of(job, I1), PracticeFiles.named("fast-road", PracticeFiles.all()))
            .blockers();
    assertThat(blockers)
        .anyMatch(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP && f.seat().equals("I3"));
  }

  @Test
  void anOverruleSpeaksForItsSeatAndNoOther() {
    GroupOutcome clean = GroupOutcome.of(uneven(new Plunge.UntilClean(0, false)), I1);
    double shallow = clean.steps(1).getFirst().depthMm().orElseThrow() - 0.05;
    Job job = uneven(new Plunge.ToDepth(shallow));
    var practice = PracticeFiles.named("fast-road", PracticeFiles.all());
    GroupFindings before = GroupFindings.of(GroupOutcome.of(job, I1), practice);
    Finding i3 =
        before.blockers().stream()
            .filter(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP && f.seat().equals("I3"))
            .findFirst()
            .orElseThrow();
    Plan plan = job.planOf(I1);
    Job accepted =
        job.withPlan(I1, plan.withOverrule(PlanFindings.overrule(i3, plan, "lapped in by hand")));
    List<Finding> after = GroupFindings.of(GroupOutcome.of(accepted, I1), practice).blockers();
    assertThat(after).doesNotContain(i3).hasSize(before.blockers().size() - 1);
    // Cut shallower it is worse than what was accepted, and stands again.
    Plan accept = accepted.planOf(I1);
    Job shallower =
        accepted.withPlan(
            I1,
            accept.withOperationAt(
                1, new CutForm("", OptionalDouble.empty(), new Plunge.ToDepth(shallow - 0.1))));
    GroupFindings worse = GroupFindings.of(GroupOutcome.of(shallower, I1), practice);
    assertThat(worse.expired()).containsValue(Overrule.State.CHANGED);
    assertThat(worse.blockers())
        .anyMatch(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP && f.seat().equals("I3"));
    assertThat(
            new CutSheets(
                    shallower,
                    WORDS,
                    PracticeFiles.named(shallower.practice(), PracticeFiles.all()))
                .text())
        .contains("NO LONGER ACCEPTED at I3");
    assertThat(
            new CutSheets(
                    accepted, WORDS, PracticeFiles.named(accepted.practice(), PracticeFiles.all()))
                .text())
        .contains("Accepted at I3, does not clean up: lapped in by hand");
  }

  @Test
  void aHeadNobodyMeasuredIsNotReady() {
    Job job = finebore.formats.NewJob.of(finebore.units.Units.MM, "Slate");
    SeatPlace place = job.engine().seats().getFirst();
    List<Finding> blockers =
        GroupFindings.of(
                GroupOutcome.of(job, place), PracticeFiles.named("road", PracticeFiles.all()))
            .blockers();
    assertThat(blockers)
        .filteredOn(f -> f.code() == FindingCode.READING_MISSING && f.seat().equals("I1"))
        .extracting(Finding::subject)
        .containsExactlyInAnyOrder(
            Subject.measure(Measure.THROAT_12),
            Subject.measure(Measure.SEAT_OUTSIDE),
            Subject.measure(Measure.SEAT_DEPTH),
            Subject.measure(Measure.SEAT_WIDTH),
            Subject.measure(Measure.VALVE_HEAD),
            Subject.measure(Measure.GUIDE_CLEARANCE));
  }

  @Test
  void jsonCarriesEverySeatOfItsGroup() {
    JsonNode root =
        JsonMapper.shared()
            .readTree(
                StudyJson.of(
                    StudyFacts.of(
                        DEMO, Port.INTAKE, State.PLANNED, PracticeFiles.all(), KnownAir.NONE),
                    WORDS));
    assertThat(root.get("seats")).hasSize(4);
    double shares = 0;
    for (JsonNode loss : root.at("/seats/0/lifts/4/losses")) {
      shares += loss.get("share").doubleValue();
    }
    assertThat(shares).isCloseTo(1, within(1e-9));
  }

  @Test
  void aValveThatFallsThroughIsReportedNotThrown() {
    var found = DEMO.intake().found();
    Job job =
        DEMO.withGroup(
            Port.INTAKE,
            DEMO.intake().withPlanned(found.withValve(found.valve().withHeadDiameterMm(33))));
    StudyFacts facts =
        StudyFacts.of(job, Port.INTAKE, State.PLANNED, PracticeFiles.all(), KnownAir.NONE);
    assertThat(StudyText.of(facts, WORDS)).contains("falls through the throat");
    assertThat(StudyCsv.of(facts, WORDS)).contains("fallsThrough");
    assertThat(
            new CutSheets(job, WORDS, PracticeFiles.named(job.practice(), PracticeFiles.all()))
                .text())
        .contains("Fit other valve");
  }

  @Test
  void everyDemoJobReportsAllItsSeats() {
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      Words words = Words.of(Language.ENGLISH, job.units());
      for (SeatPlace seat : job.engine().seats()) {
        String text =
            StudyText.of(
                StudyFacts.of(job, seat, State.PLANNED, PracticeFiles.all(), KnownAir.NONE), words);
        assertThat(text).contains("OPERATIONS").contains("FLOW AT EACH LIFT");
        assertThat(text).doesNotContain("cannot be carried out");
      }
    }
  }

  @Test
  void aTestIsFoundByNumberOrName() throws FileProblem {
    assertThat(CompareReport.find(DEMO, "1")).isEqualTo(DEMO.bench().tests().getFirst());
    assertThatThrownBy(() -> CompareReport.find(DEMO, "11"))
        .isInstanceOfSatisfying(
            FileProblem.class,
            e ->
                assertThat(WORDS.say(e))
                    .contains("The job has no test \"11\"; it has 1 \"I1 as found\""));
  }
}
