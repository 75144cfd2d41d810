package finebore.reports;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.FlowTest;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.KnownAir;
import finebore.flow.field.SolvedArea;
import finebore.flow.field.Turbulence;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.ReadingsTable;
import finebore.formats.TestExport;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.reports.StudyFacts.State;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Words;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Every report of the demo jobs, word for word. {@code -Dfinebore.golden=write} writes the files
 * anew; what changed is then read before it is kept.
 */
class GoldenTest {

  private static final Path GOLDEN = Path.of("src/test/resources/finebore/reports/golden");

  private static Map<String, String> reports() throws IOException {
    Map<String, String> reports = new LinkedHashMap<>();
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      Words words = Words.of(Language.ENGLISH, job.units());
      reports.put(
          name + ".cut-sheet.txt",
          new CutSheets(job, words, PracticeFiles.named(job.practice(), PracticeFiles.all()))
              .text());
      reports.put(
          name + ".cut-sheet.csv",
          new CutSheets(job, words, PracticeFiles.named(job.practice(), PracticeFiles.all()))
              .csv());
      RunSheets run =
          new RunSheets(job, words, PracticeFiles.named(job.practice(), PracticeFiles.all()));
      reports.put(name + ".run-sheet.txt", run.text());
      reports.put(name + ".run-sheet.csv", run.csv());
      reports.put(name + ".readings.csv", ReadingsTable.csv(job));
      reports.put(name + ".tests.csv", TestExport.csv(job));
      List<FlowTest> tests = job.bench().tests();
      CompareReport compare = new CompareReport(job, tests.get(0), tests.get(1), words);
      reports.put(name + ".compare.txt", compare.text());
      reports.put(name + ".compare.csv", compare.csv());
      reports.put(name + ".compare.json", compare.json());
      SeatPlace intake = job.engine().seats().get(0);
      SeatPlace exhaust = job.engine().seats().get(1);
      study(reports, name + ".intake", job, intake, State.PLANNED, words);
      study(reports, name + ".exhaust-found", job, exhaust, State.FOUND, words);
    }
    // Of a plan of which one lift is solved clearly and one is not.
    study(
        reports,
        "solved.intake",
        StudyFacts.of(
            JobFile.demo(),
            JobFile.demo().engine().seats().getFirst(),
            State.PLANNED,
            PracticeFiles.all(),
            GoldenTest::madeUp),
        Words.of(Language.ENGLISH, Units.MM));
    Job skarn = JobFile.demo().withUnits(Units.INCH);
    Words inch = Words.of(Language.ENGLISH, Units.INCH);
    reports.put(
        "inch.cut-sheet.txt",
        new CutSheets(skarn, inch, PracticeFiles.named(skarn.practice(), PracticeFiles.all()))
            .text());
    reports.put("inch.tests.csv", TestExport.csv(skarn));
    study(reports, "inch.intake", skarn, skarn.engine().seats().get(0), State.PLANNED, inch);
    for (Language language : Language.all()) {
      Words words = Words.of(language, Units.MM);
      reports.put(
          "skarn." + language.tag() + ".cut-sheet.txt",
          new CutSheets(
                  JobFile.demo(),
                  words,
                  PracticeFiles.named(JobFile.demo().practice(), PracticeFiles.all()))
              .text());
    }
    return reports;
  }

  /** Areas that hang on the section, for gaps of 0.6 to 0.9 and 1.9 to 3.1 mm alone. */
  private static SolvedArea madeUp(AirQuestion question) {
    double gap = question.gapMm();
    if (Math.abs(gap - 2.5) > 0.6 && Math.abs(gap - 0.75) > 0.15) {
      return SolvedArea.NONE;
    }
    int points = question.wall().points().size();
    boolean even = question.turbulence() == Turbulence.EVEN;
    double each = even ? 12 : gap < 2.5 ? 11 : -5;
    return new SolvedArea(
        300 + (question.fineness() == Fineness.FULL ? 9 : each) * (points - 11), 40);
  }

  private static void study(
      Map<String, String> reports, String name, Job job, SeatPlace seat, State state, Words words) {
    study(
        reports, name, StudyFacts.of(job, seat, state, PracticeFiles.all(), KnownAir.NONE), words);
  }

  private static void study(
      Map<String, String> reports, String name, StudyFacts facts, Words words) {
    reports.put(name + ".study.txt", StudyText.of(facts, words));
    reports.put(name + ".study.csv", StudyCsv.of(facts, words));
    reports.put(name + ".study.json", StudyJson.of(facts, words));
  }

  static Stream<String> names() throws IOException {
    return reports().keySet().stream();
  }

  private static final Map<String, String> MADE = made();

  private static Map<String, String> made() {
    try {
      return reports();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  @ParameterizedTest
  @MethodSource("names")
  void saysWhatItSaid(String name) throws IOException {
    Path file = GOLDEN.resolve(name);
    if ("write".equals(System.getProperty("finebore.golden"))) {
      Files.createDirectories(GOLDEN);
      Files.writeString(file, MADE.get(name));
    }
    assertThat(MADE.get(name)).isEqualTo(Files.readString(file));
  }
}
