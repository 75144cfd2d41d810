package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import finebore.bench.FlowTest;
import finebore.bench.LiftReadings;
import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.cutting.TakeWallBack;
import finebore.cutting.UsualOperations;
import finebore.finding.FindingCode;
import finebore.finding.Subject;
import finebore.flow.CamLift;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.OldOverrule;
import finebore.job.Overrule;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.room.ChamberOutline;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.work.ShopSettings;
import finebore.work.WorkLog;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JobFileTest {

  @TempDir private Path folder;

  private static String demoText() {
    return JobFile.text(JobDocument.fresh(JobFile.demo()));
  }

  private static Schema schema() throws IOException {
    try (InputStream in = JobFile.class.getResourceAsStream("schema/job-7.schema.json")) {
      String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(text, InputFormat.JSON);
    }
  }

  @Test
  void theDemoIsWhatItSaysItIs() {
    Job job = JobFile.demo();
    assertThat(job.name()).isEqualTo("Skarn 1.6");
    assertThat(job.engine().seats()).hasSize(8);
    assertThat(job.intake().found().seat().cuts().get(1).widthMm())
        .isGreaterThan(job.intake().planned().seat().cuts().get(1).widthMm());
  }

  @Test
  void whatIsWrittenComesBackAndFitsTheSchema() throws Exception {
    Path file = folder.resolve("a.finebore.json");
    for (Job job :
        new Job[] {
          JobFile.demo(),
          JobFile.demo("tuff-650"),
          JobFile.demo("gabbro-4.2"),
          anyOperation(),
          withCamTable(),
          withAnArc(),
          NewJob.of(Units.INCH, "Slate"),
          NewJob.of(Units.MM, "Slate")
        }) {
      JobFile.write(JobDocument.fresh(job), file);
      assertThat(JobFile.read(file).job()).isEqualTo(job);
      assertThat(schema().validate(Files.readString(file), InputFormat.JSON)).isEmpty();
    }
  }

  private static Job withAnArc() {
    Job job = JobFile.demo();
    Pairing planned = job.exhaust().planned();
    CutStack stack =
        new CutStack(List.of(new Cut(33, 0.7), new Arc(38, 43, 9), new Cut(45, 1.3)), 2);
    return job.withExhaust(
        job.exhaust().withPlanned(planned.withSeat(planned.seat().withStack(stack))));
  }

  /** What a file had of another kind is known, and nothing to carry into what took its place. */
  @Test
  void aCutInTheArcsPlaceStaysACut() throws Exception {
    Job arc = withFound(List.of(new Cut(33, 0.7), new Arc(38, 43, 9), new Cut(45, 1.3)));
    Job cut = withFound(List.of(new Cut(33, 0.7), new Cut(40, 0.8), new Cut(45, 1.3)));
    JobDocument read = JobFile.parse(JobFile.text(JobDocument.fresh(arc)), "arc");
    assertThat(read.job()).isEqualTo(arc);
    String written = JobFile.text(read.withJob(cut));
    assertThat(JobFile.parse(written, "cut").job()).isEqualTo(cut);
    assertThat(written).doesNotContain("fromDeg");
  }

  /**
   * Plans are known by their place: what somebody else wrote into one stays there when it changes.
   */
  @Test
  void unknownFieldsOfAPlanStayWhenItsSeatChanges() throws Exception {
    String text = demoText().replaceFirst("\"followsFound\"", "\"pencil\" : \"HB\", $0");
    JobDocument read = JobFile.parse(text, "pencil");
    Job job = read.job();
    Pairing planned = job.intake().planned();
    Job changed =
        job.withIntake(
            job.intake().withPlanned(planned.withSeat(planned.seat().withThroatDiameter(35.5))));
    assertThat(JobFile.text(read.withJob(changed))).contains("\"pencil\" : \"HB\"");
  }

  /** A lift that is set right is the same lift. */
  @Test
  void unknownFieldsOfALiftStayWhenItsFigureChanges() throws Exception {
    String text = demoText().replaceFirst("\"noisy\"", "\"pencil\" : \"2B\", $0");
    JobDocument read = JobFile.parse(text, "pencil");
    FlowTest test = read.job().bench().tests().getFirst();
    List<LiftReadings> lifts = new ArrayList<>(test.lifts());
    LiftReadings first = lifts.getFirst();
    lifts.set(0, LiftReadings.of(first.liftMm() + 0.05, first.readings()));
    Job changed = read.job().withBench(read.job().bench().with(test.withLifts(lifts)));
    assertThat(JobFile.text(read.withJob(changed))).contains("\"pencil\" : \"2B\"");
  }

  private static Job withFound(List<Element> elements) {
    Job job = JobFile.demo();
    Pairing found = job.exhaust().found();
    return job.withExhaust(
        job.exhaust().withFound(found.withSeat(found.seat().withStack(new CutStack(elements, 2)))));
  }

  private static Job withCamTable() {
    Job job = JobFile.demo();
    CamLift cam =
        CamLift.measured(
            IntStream.rangeClosed(0, 6)
                .mapToObj(k -> new CamLift.Step(95 + 41.5 * k, k * (6 - k) + 0.13))
                .toList());
    return job.withExhaust(job.exhaust().withCam(cam));
  }

  /** The demo with every kind of operation and plunge, an overrule and an exception. */
  private static Job anyOperation() {
    Job job = JobFile.demo();
    OptionalDouble open = OptionalDouble.empty();
    Plan plan =
        job.intake()
            .plan()
            .withOperations(
                List.of(
                    new FitRing(new Ring(45, 30, 16, 9, 0.1, "bronze")),
                    new CutForm("", OptionalDouble.of(39.5), new Plunge.ToDepth(8.4)),
                    new CutForm("A", open, new Plunge.UntilClean(0.1, true)),
                    new CutAngle(CutAngle.SingleTool.BLADE, 60, 37, new Plunge.AsPlanned()),
                    new SweepChamber(15, 60, open),
                    new CutUnder(12, open, 3, OptionalDouble.of(2)),
                    new OpenBowl(OptionalDouble.of(37), open),
                    new OpenThroat(open, 4, OptionalDouble.of(14)),
                    new Blend(Blend.Side.CHAMBER, 0.5, 1)))
            .withOverrule(
                new Overrule(
                    FindingCode.THROUGH_TO_WATER,
                    "I2",
                    Subject.operation(4),
                    0.25,
                    Optional.of(new SweepChamber(15, 60, open)),
                    "wall checked twice"))
            .withOverrule(
                new Overrule(
                    FindingCode.READING_MISSING,
                    "I2",
                    Subject.measure(Measure.VALVE_HEAD),
                    1,
                    Optional.empty(),
                    "new valves"))
            .withReady(true);
    return job.withException(job.engine().seats().get(3), plan);
  }

  @Test
  void anOlderFileOpensWithTheUsualOperations() throws Exception {
    String old;
    try (InputStream in = JobFileTest.class.getResourceAsStream("version-1.finebore.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    JobDocument document = JobFile.parse(old, "old");
    Job job = document.job();
    assertThat(job.intake().plans()).hasSize(1);
    assertThat(job.intake().planned().seat().throatDiameterMm()).isEqualTo(35.65);
    assertThat(job.intake().plan().operations()).isEqualTo(UsualOperations.asPlanned());
    assertThat(job.head()).isEqualTo(Head.UNKNOWN);
    String written = JobFile.text(document);
    assertThat(written).doesNotContain("\"planned\" : {");
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(job);
  }

  @Test
  void overrulesOfAnOlderFileAreToBeConfirmed() throws Exception {
    String old;
    try (InputStream in = JobFileTest.class.getResourceAsStream("version-3.finebore.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    String overruled =
        old.replaceFirst(
            "\"overrules\" : \\[ \\]",
            "\"overrules\" : [ { \"where\" : \"water\", \"reason\" : \"drilled\" } ]");
    assertThat(overruled).isNotEqualTo(old);
    JobDocument document = JobFile.parse(overruled, "old");
    Plan plan = document.job().intake().plans().getFirst();
    assertThat(plan.overrules()).isEmpty();
    assertThat(plan.toConfirm()).containsExactly(new OldOverrule("water", "drilled"));
    assertThat(plan.ready()).isFalse();
    String written = JobFile.text(document);
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(document.job());
    // The seats and operations are those of the file.
    assertThat(document.job().intake().found()).isEqualTo(JobFile.demo().intake().found());
    assertThat(plan.operations())
        .isEqualTo(JobFile.demo().intake().plans().getFirst().operations());
  }

  /** A job without what came with pistons, places and runners. */
  private static Job before(Job job) {
    Head head = job.head();
    for (String seat : job.head().readings().keySet()) {
      for (Measure measure : Measure.values()) {
        boolean later =
            measure.isOfPlan()
                || measure == Measure.VALVE_LENGTH
                || measure == Measure.MANIFOLD_FLOW
                || measure == Measure.THROTTLE_FLOW;
        head = later ? head.withReading(seat, measure, OptionalDouble.empty()) : head;
      }
    }
    return job.withHead(head)
        .withEngine(job.engine().withPistons(Pistons.UNKNOWN))
        .withIntake(job.intake().withPistonSide(PistonSide.UNKNOWN))
        .withExhaust(job.exhaust().withPistonSide(PistonSide.UNKNOWN));
  }

  @Test
  void aFileFromBeforeTheMachineOpensWithAnEmptyHistory() throws Exception {
    String old;
    try (InputStream in = JobFileTest.class.getResourceAsStream("version-4.finebore.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    JobDocument document = JobFile.parse(old, "old");
    assertThat(document.job().log()).isEqualTo(WorkLog.EMPTY);
    assertThat(document.job().shop()).isEqualTo(ShopSettings.USUAL);
    assertThat(document.job().layout().intakeCantDeg()).isZero();
    // Tests of the demo are taken anew now and then, and its intakes' axes were moved; all else is
    // what it was.
    Job now = before(JobFile.demo());
    now =
        now.withEngine(now.engine().withValveSpacingMm(document.job().engine().valveSpacingMm()))
            .withIntake(now.intake().withAxisFromBoreMm(document.job().intake().axisFromBoreMm()));
    assertThat(document.job().withLog(now.log()).withShop(now.shop()).withBench(now.bench()))
        .isEqualTo(now);
    String written = JobFile.text(document);
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(document.job());
  }

  @Test
  void aFileFromBeforePistonsAndOutlinesOpensWithoutThem() throws Exception {
    String old;
    try (InputStream in = JobFileTest.class.getResourceAsStream("version-6.finebore.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    assertThat(old).contains("\"version\" : 6").doesNotContain("rodMm", "pistonClearance");
    JobDocument document = JobFile.parse(old, "old");
    Job job = document.job();
    assertThat(job.engine().pistons()).isEqualTo(Pistons.UNKNOWN);
    assertThat(job.intake().pistonSide()).isEqualTo(PistonSide.UNKNOWN);
    assertThat(job.head().chambers()).isEmpty();
    assertThat(job.head().readingsOf("I1a").value(Measure.AXIS_ALONG)).isPresent();
    String written = JobFile.text(document);
    assertThat(written).contains("\"version\" : 7", "rodMm", "leanAcross");
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(job);
  }

  /** Everything that came with it goes out and comes back, and the schema takes it. */
  @Test
  void pistonsOutlinesAndWallsComeBack() throws Exception {
    JobDocument demo = JobDocument.fresh(JobFile.demo("dolerite-2.0"));
    Job job = demo.job();
    assertThat(job.engine().pistons().rodMm()).isPresent();
    ChamberOutline outline =
        new ChamberOutline(
            3,
            List.of(
                new ChamberOutline.Corner(-40, -20.5),
                new ChamberOutline.Corner(40, -20),
                new ChamberOutline.Corner(39, 21),
                new ChamberOutline.Corner(-40, 20)));
    FacePhotograph photograph =
        new FacePhotograph(
            2,
            "face.jpg",
            List.of(
                new Squared.Pixel(0.5, 0.1),
                new Squared.Pixel(0.9, 0.55),
                new Squared.Pixel(0.45, 0.95),
                new Squared.Pixel(0.05, 0.5)),
            Squared.quarters(86));
    var place = job.engine().seats().getFirst();
    Job changed =
        job.withHead(
                job.head()
                    .withChamber(3, Optional.of(outline))
                    .withPhotograph(2, Optional.of(photograph))
                    .withReading("I1a", Measure.EDGE_TO_EXHAUST_B, OptionalDouble.of(-1.25))
                    .withReading("I1a", Measure.CENTRES_TO_INTAKE_B, OptionalDouble.of(36.5))
                    .withReading("I1a", Measure.DEPTH_730, OptionalDouble.of(7.25))
                    .withReading("I1a", Measure.WATER_1030, OptionalDouble.of(6.75))
                    .withBankDeg(OptionalDouble.of(90))
                    .withIntakeFaceDeg(OptionalDouble.of(10)))
            .withPlan(
                place, job.planOf(place).withOperations(List.of(new TakeWallBack(2.5, 9, 21.4))));
    String written = JobFile.text(demo.withJob(changed));
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(changed);
    String twice = written.replaceFirst("\"cylinder\" : 3,", "\"cylinder\" : -7,");
    assertThatThrownBy(() -> JobFile.parse(twice, "new"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("chambers");
    assertThatThrownBy(() -> JobFile.parse(written.replace("\"face.jpg\"", "\" \""), "new"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("photographs");
  }

  @Test
  void aFileFromBeforeThePlacesOfValvesOpensWithoutThem() throws Exception {
    String old;
    try (InputStream in = JobFileTest.class.getResourceAsStream("version-5.finebore.json")) {
      old = new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
    assertThat(old).contains("\"version\" : 5").doesNotContain("axisAlong");
    JobDocument document = JobFile.parse(old, "old");
    assertThat(document.job().head().readings().values())
        .noneMatch(r -> r.values().keySet().stream().anyMatch(Measure::isOfPlan));
    String written = JobFile.text(document);
    assertThat(written).contains("\"version\" : 7", "axisAlong");
    assertThat(schema().validate(written, InputFormat.JSON)).isEmpty();
    assertThat(JobFile.parse(written, "new").job()).isEqualTo(document.job());
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"at\" : \"2026-03-16T07:13:00Z\"|\"at\" : \"yesterday\"|log.entries[0].at",
        "\"what\" : \"guideBore\"|\"what\" : \"bore\"|log.entries[0].reading.what",
        "\"kind\" : \"read\"|\"kind\" : \"done\"|log.entries[0]",
        "\"currency\" : \"EUR\"|\"currency\" : 7|shop.currency"
      })
  void aWrongHistoryIsNamedByItsPlace(String right, String wrong, String place) {
    String text = demoText().replaceFirst(Pattern.quote(right), wrong);
    assertThat(text).isNotEqualTo(demoText());
    assertThatThrownBy(() -> JobFile.parse(text, "x")).hasMessageContaining(place);
  }

  @Test
  void aReadingTakenBackStaysAway() throws FileProblem {
    JobDocument document = JobFile.parse(demoText(), "x");
    Job job = document.job();
    Job less =
        job.withHead(job.head().withReading("I1", Measure.THROAT_12, OptionalDouble.empty()));
    assertThat(JobFile.parse(JobFile.text(document.withJob(less)), "x").job()).isEqualTo(less);
  }

  @Test
  void theSchemaRefusesWhatTheReaderRefuses() throws Exception {
    String wrong = demoText().replace("\"cylinders\" : 4", "\"cylinders\" : 0");
    assertThat(wrong).isNotEqualTo(demoText());
    assertThat(schema().validate(wrong, InputFormat.JSON)).isNotEmpty();
    assertThatThrownBy(() -> JobFile.parse(wrong, "x")).isInstanceOf(FileProblem.class);
  }

  @Property(tries = 50)
  void everyNumberSurvivesToTheLastBit(@ForAll @DoubleRange(min = 30, max = 39) double throat)
      throws FileProblem {
    Job demo = JobFile.demo();
    var planned = demo.intake().planned();
    Job job =
        demo.withGroup(
            Port.INTAKE,
            demo.intake()
                .withPlanned(planned.withSeat(planned.seat().withThroatDiameter(throat / 3 + 20))));
    assertThat(JobFile.parse(JobFile.text(JobDocument.fresh(job)), "x").job()).isEqualTo(job);
  }

  @Test
  void unknownFieldsSurviveEditing() throws FileProblem {
    String text =
        demoText()
            .replaceFirst("\"version\" : 7,", "\"version\" : 7, \"shop\" : {\"bench\" : 7},")
            .replaceFirst("\"purpose\"", "\"customerColour\" : \"blue\", \"purpose\"")
            .replaceFirst("\"angleDeg\" : 60.0,", "\"angleDeg\" : 60.0, \"cutter\" : \"six\",");
    JobDocument document = JobFile.parse(text, "x");
    Job job = document.job().withName("Renamed");
    var found = job.intake().found();
    Job edited =
        job.withGroup(
            Port.INTAKE,
            job.intake()
                .withFound(
                    found.withSeat(
                        found
                            .seat()
                            .withStack(found.seat().stack().withInserted(0, new Cut(15, 0.4))))));
    String written = JobFile.text(document.withJob(edited));
    assertThat(written).contains("\"bench\" : 7").contains("\"customerColour\" : \"blue\"");
    // The unknown field stays with the 60, which has moved one place down.
    assertThat(written.replaceAll("\\s+", ""))
        .contains("{\"angleDeg\":60.0,\"widthMm\":1.6,\"cutter\":\"six\"}");
    assertThat(JobFile.parse(written, "x").job()).isEqualTo(edited);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"boreMm\" : 81.0|\"boreMm\" : \"wide\"|job.engine.boreMm|expected.number",
        "\"boreMm\" : 81.0|\"boreMm\" : 5|job.engine.boreMm|quantity.bore",
        "\"units\" : \"mm\"|\"units\" : \"furlong\"|job.units|mm, inch",
        "\"sealingCut\" : 2|\"sealingCut\" : 9|job.intake.found.seat|rule.sealingCutIsOne",
        "\"widthMm\" : 0.6|\"widthMm\" : -1|job.intake.found.seat.cuts[0].widthMm|quantity.cutWidth",
        "\"notes\"|\"remarks\"|job.notes|place.missing",
        "\"format\" : \"finebore-job\"|\"format\" : \"other\"|job.json|file.notAJob",
        "\"version\" : 7|\"version\" : 99|job.json|file.newer",
        "\"version\" : 7|\"version\" : 0|job.json|file.version",
      })
  void namesThePlaceOfWhatIsWrong(String from, String to, String place, String code) {
    String text =
        demoText().replaceFirst(Pattern.quote(from), java.util.regex.Matcher.quoteReplacement(to));
    assertThat(text).isNotEqualTo(demoText());
    assertThatThrownBy(() -> JobFile.parse(text, "job.json"))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("job.json")
        .hasMessageContaining("text=" + place + "]")
        .hasMessageContaining(code);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"operation\" : \"openThroat\"|\"operation\" : \"paint\"|job.intake.plans[0].operations[0].operation|openThroat, cutForm",
        "\"taperDeg\" : 0.0|\"taperDeg\" : 80|job.intake.plans[0].operations[0].taperDeg|quantity.throatTaper",
        "\"to\" : \"planned\"|\"to\" : \"hell\"|job.intake.plans[0].operations[1].plunge.to|planned, depth, clean",
        "\"ready\" : false|\"ready\" : \"soon\"|job.intake.plans[0].ready|expected.flag",
        "\"chosenPlan\" : 1|\"chosenPlan\" : 5|job.intake|rule.chosenPlan",
        "\"seatWidth\" : 2.31|\"seatWidth\" : 99|job.head.seats[0].seatWidth|quantity.foundSeatWidth",
        "\"fireRingMm\" : 83.5|\"fireRingMm\" : 2|job.head.layout.fireRingMm|quantity.fireRing",
        "\"compressionRatio\" : 9.4|\"compressionRatio\" : \"high\"|job.head.compressionRatio|expected.number",
      })
  void namesThePlaceInAPlan(String from, String to, String place, String code) {
    namesThePlaceOfWhatIsWrong(from, to, place, code);
  }

  @Test
  void anOperationOfAnotherKindTakesNoFieldsOver() throws FileProblem {
    JobDocument document = JobFile.parse(demoText(), "x");
    Job job = document.job();
    Plan plan = job.intake().plan().withOperationAt(0, new Blend(Blend.Side.CHAMBER, 0.3, 1));
    Job changed = job.withGroup(Port.INTAKE, job.intake().withPlan(plan));
    String written = JobFile.text(document.withJob(changed));
    assertThat(written.replaceAll("\\s+", ""))
        .contains(
            "{\"operation\":\"blend\",\"side\":\"chamber\",\"keepOffMm\":0.3,\"blendRadiusMm\":1.0,\"id\":1}");
    assertThat(JobFile.parse(written, "x").job()).isEqualTo(changed);
  }

  @Test
  void aCutOffFileNamesItsPlaceWhereverItIsCut() {
    String text = demoText();
    for (int end = 1; end < text.length() - 2; end += 37) {
      String part = text.substring(0, end);
      assertThatThrownBy(() -> JobFile.parse(part, "job.json"))
          .isInstanceOf(FileProblem.class)
          .hasMessageContaining("job.json");
    }
    assertThatThrownBy(() -> JobFile.parse(text.substring(0, 300), "job.json"))
        .hasMessageContaining("file.damagedAt");
  }

  @Test
  void filesThatAreNoJobsAreSaid() throws IOException {
    assertThatThrownBy(() -> JobFile.read(folder.resolve("none.json")))
        .hasMessageContaining("file.doesNotExist");
    assertThatThrownBy(() -> JobFile.read(folder)).hasMessageContaining("file.isFolder");
    Path binary =
        Files.write(folder.resolve("b.json"), new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1});
    assertThatThrownBy(() -> JobFile.read(binary)).hasMessageContaining("file.notUtf8");
    assertThatThrownBy(() -> JobFile.parse("[]", "x")).hasMessageContaining("file.notAJob");
    assertThatThrownBy(() -> JobFile.parse("", "x")).isInstanceOf(FileProblem.class);
  }

  @Test
  void theLastGoodCopyIsKeptAndNothingElseStaysBehind() throws Exception {
    Path file = folder.resolve("a.finebore.json");
    JobFile.write(JobDocument.fresh(JobFile.demo()), file);
    JobFile.write(JobDocument.fresh(JobFile.demo().withName("Second")), file);
    assertThat(JobFile.read(file).job().name()).isEqualTo("Second");
    assertThat(JobFile.read(folder.resolve("a.finebore.json.bak")).job().name())
        .isEqualTo("Skarn 1.6");
    try (Stream<Path> all = Files.list(folder)) {
      assertThat(all).hasSize(2);
    }
  }

  @Test
  void aFailedWriteLeavesTheOldFileAlone() throws Exception {
    assertThatThrownBy(
            () ->
                JobFile.write(JobDocument.fresh(JobFile.demo()), folder.resolve("no/such/a.json")))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining("cause.noFolder");
    Path taken = Files.createDirectory(folder.resolve("taken"));
    Files.writeString(taken.resolve("inside"), "x");
    assertThatThrownBy(() -> JobFile.write(JobDocument.fresh(JobFile.demo()), taken))
        .isInstanceOf(FileProblem.class);
    assertThat(Files.readString(taken.resolve("inside"))).isEqualTo("x");
  }
}
