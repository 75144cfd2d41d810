package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.FitRing;
import finebore.found.Ring;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.machine.RunStep.Target;
import finebore.seal.SealVerdict;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.StepKind;
import finebore.work.WorkEntry.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The order of the work, how far it has come, what it costs, and what is asked of a reading. */
class RunSheetTest {

  private static final Job JOB = MachineJob.job();
  private static final RunSheet SHEET = RunSheet.of(JOB);

  private static RunStep step(String id) {
    return SHEET.step(id).orElseThrow();
  }

  @Test
  void eachSeatGoesThroughItsOwnOrder() {
    for (SeatPlace seat : JOB.engine().seats()) {
      List<StepKind> kinds = SHEET.of(seat).stream().map(RunStep::kind).toList();
      assertThat(kinds)
          .startsWith(
              StepKind.GUIDE, StepKind.FACE, StepKind.THROAT, StepKind.FORM, StepKind.CONTACT)
          .containsSubsequence(
              StepKind.FORM,
              StepKind.CONTACT,
              StepKind.BACK_CUT,
              StepKind.UNDERHEAD,
              StepKind.ASSEMBLY,
              StepKind.SEAL)
          .endsWith(StepKind.SEAL);
    }
    assertThat(SHEET.steps()).extracting(RunStep::id).doesNotHaveDuplicates();
  }

  /** The ring is read on the valve that will run, and nothing grinds it off afterwards. */
  @Test
  void theValveIsFacedBeforeTheSeatIsReadByIt() {
    Job other =
        JOB.withIntake(
            JOB.intake()
                .withPlanned(
                    JOB.intake()
                        .planned()
                        .withValve(JOB.intake().planned().valve().withHeadDiameterMm(43))));
    for (RunSheet sheet : List.of(SHEET, RunSheet.of(other))) {
      for (SeatPlace seat : JOB.engine().seats()) {
        List<StepKind> kinds = sheet.of(seat).stream().map(RunStep::kind).toList();
        int ring = kinds.indexOf(StepKind.CONTACT);
        assertThat(kinds.lastIndexOf(StepKind.FACE)).isLessThan(ring);
        assertThat(kinds.lastIndexOf(StepKind.VALVE)).isLessThan(ring);
        assertThat(kinds.indexOf(StepKind.BACK_CUT)).isGreaterThan(ring);
      }
    }
    assertThat(RunSheet.of(other).of(JOB.engine().seats().getFirst()))
        .extracting(RunStep::kind)
        .contains(StepKind.VALVE);
  }

  /** A retainer that lacks 0.08 of the gap the shop wants: the guide goes that much lower. */
  @Test
  void theGuidesHeightIsATarget() {
    SeatPlace place = JOB.engine().seats().getFirst();
    double lift = JOB.intake().cam().maxLiftMm();
    Job gap = JOB.withIntake(JOB.intake().withRetainerToSealMm(OptionalDouble.of(lift + 1.0)));
    double left =
        RunSheet.of(gap)
            .outcome(place)
            .orElseThrow()
            .reading(finebore.study.ReadingKind.RETAINER)
            .orElseThrow();
    double wanted = left + 0.08;
    Job job =
        gap.withShop(
            gap.shop().with(finebore.work.ShopFigure.RETAINER_GAP, OptionalDouble.of(wanted)));
    RunStep bare = RunSheet.of(job).step("I1:guide").orElseThrow();
    assertThat(bare.target(ReadBack.GUIDE_HEIGHT).orElseThrow().wanted()).isEmpty();
    assertThat(bare.lines())
        .filteredOn(l -> l.name().code().equals("run.guideLower"))
        .singleElement()
        .satisfies(
            l -> assertThat(((Term.Figure) l.value()).value()).isCloseTo(0.08, offset(1e-9)));
    Job read = MachineJob.read(job, "I1", "I1:guide", ReadBack.GUIDE_HEIGHT, 14.4);
    RunStep.Target target =
        RunSheet.of(read)
            .step("I1:guide")
            .orElseThrow()
            .target(ReadBack.GUIDE_HEIGHT)
            .orElseThrow();
    assertThat(target.wanted().orElseThrow()).isCloseTo(14.32, offset(1e-9));
    assertThat(target.allows(14.32)).isTrue();
    assertThat(target.allows(14.33)).isFalse();
    // Set lower, the first reading stays what it is reckoned from.
    Job set = MachineJob.read(read, "I1", "I1:guide", ReadBack.GUIDE_HEIGHT, 14.3);
    assertThat(
            RunSheet.of(set)
                .step("I1:guide")
                .orElseThrow()
                .target(ReadBack.GUIDE_HEIGHT)
                .orElseThrow()
                .wanted()
                .orElseThrow())
        .isCloseTo(14.32, offset(1e-9));
    // Where enough is left, the height is only kept.
    Job enough =
        read.withShop(
            read.shop()
                .with(finebore.work.ShopFigure.RETAINER_GAP, OptionalDouble.of(left - 0.01)));
    assertThat(RunSheet.of(enough).step("I1:guide").orElseThrow().target(ReadBack.GUIDE_HEIGHT))
        .isPresent()
        .get()
        .satisfies(t -> assertThat(t.wanted()).isEmpty());
  }

  /** Eight seats, one plan each kind: a tool is fitted once for all that need it. */
  @Test
  void aToolDoesAllItCanBeforeTheNext() {
    long tools = SHEET.steps().stream().map(RunStep::tool).distinct().count();
    assertThat(SHEET.toolChanges()).isEqualTo((int) tools);
  }

  /** I3 was found deeper than the others, so it has least metal to lose and comes last. */
  @Test
  void theSeatWithMostToLoseComesFirst() {
    List<String> forms =
        SHEET.steps().stream()
            .filter(s -> s.kind() == StepKind.FORM && s.seat().port() == Port.INTAKE)
            .map(s -> s.seat().label())
            .toList();
    assertThat(forms).containsExactly("I1", "I2", "I4", "I3");
  }

  @Test
  void idsStayWhenOperationsMove() {
    Plan plan = JOB.intake().plan();
    String before = step("I1:op" + plan.idAt(1)).title().code();
    Job moved = JOB.withIntake(JOB.intake().withPlan(plan.withOperationMoved(0, 1)));
    RunSheet sheet = RunSheet.of(moved);
    assertThat(sheet.step("I1:op" + plan.idAt(1)).orElseThrow().title().code()).isEqualTo(before);
  }

  /** Rings that nearly meet: every intake's before any exhaust's, and the sheet says why. */
  @Test
  void exhaustRingsAreFittedLast() {
    Job rings = JOB;
    for (Port port : Port.values()) {
      Ring ring = new Ring(43.9, 34, 16, 7, 0.1, "iron");
      Plan plan = rings.group(port).plan().withOperation(0, new FitRing(ring));
      rings = rings.withGroup(port, rings.group(port).withPlan(plan));
    }
    RunSheet sheet = RunSheet.of(rings);
    List<RunStep> fits = sheet.steps().stream().filter(s -> s.kind() == StepKind.FIT_RING).toList();
    assertThat(fits)
        .extracting(s -> s.seat().port().letter())
        .containsExactly("I", "I", "I", "I", "E", "E", "E", "E");
    assertThat(fits.getFirst().lines())
        .extracting(RunStep.Line::value)
        .contains(Term.phrase(Message.of("run.ringOrder.first")));
    assertThat(fits.getLast().lines())
        .extracting(RunStep.Line::value)
        .contains(Term.phrase(Message.of("run.ringOrder.last")));
  }

  /** Where the same tool comes twice in a plan, the seats go through it in two rounds. */
  @Test
  void aToolThatComesTwiceIsFittedTwice() {
    Plan plan = JOB.intake().plan();
    var throat = plan.operations().getFirst();
    int last = plan.operations().size();
    Job twice = JOB.withIntake(JOB.intake().withPlan(plan.withOperation(last, throat)));
    RunSheet sheet = RunSheet.of(twice);
    List<String> tools = new ArrayList<>();
    for (RunStep step : sheet.steps()) {
      if (step.seat().port() == Port.INTAKE
          && (tools.isEmpty() || !tools.getLast().equals(step.tool()))) {
        tools.add(step.tool());
      }
    }
    String tool = sheet.step("I1:op" + plan.idAt(0)).orElseThrow().tool();
    assertThat(tools.stream().filter(tool::equals)).hasSize(2);
  }

  @Test
  void stepsStartInsideAndAskForTheDepth() {
    Plan plan = JOB.intake().plan();
    RunStep form =
        SHEET.of(JOB.engine().seats().getFirst()).stream()
            .filter(s -> s.kind() == StepKind.FORM)
            .findFirst()
            .orElseThrow();
    Target pointer = form.target(ReadBack.POINTER).orElseThrow();
    double wanted = plan.wanted().seat().outsideDiameterMm();
    assertThat(pointer.wanted().getAsDouble()).isCloseTo(wanted - 0.4, offset(1e-9));
    assertThat(pointer.allows(wanted)).isTrue();
    assertThat(pointer.allows(wanted + 0.001)).isFalse();
    Target depth = form.target(ReadBack.SEAT_DEPTH).orElseThrow();
    double mm = depth.wanted().getAsDouble();
    assertThat(depth.allows(mm + 0.05)).isTrue();
    assertThat(depth.pastMm(mm + 0.06)).isCloseTo(0.01, offset(1e-9));
    assertThat(depth.pastMm(mm - 0.06)).isCloseTo(-0.01, offset(1e-9));
  }

  @Test
  void aStepIsPastWhenItsReadingsAreInOrderOrAccepted() {
    RunStep form =
        SHEET.of(JOB.engine().seats().getFirst()).stream()
            .filter(s -> s.kind() == StepKind.FORM)
            .findFirst()
            .orElseThrow();
    double wanted = form.target(ReadBack.SEAT_DEPTH).orElseThrow().wanted().getAsDouble();
    assertThat(StepState.of(JOB, form)).isEqualTo(StepState.WAITING);
    Job good =
        MachineJob.said(
            MachineJob.read(JOB, "I1", form.id(), ReadBack.SEAT_DEPTH, wanted),
            form.id(),
            Kind.DONE);
    assertThat(StepState.of(good, form)).isEqualTo(StepState.DONE);
    Job deep = MachineJob.read(good, "I1", form.id(), ReadBack.SEAT_DEPTH, wanted + 0.2);
    assertThat(StepState.of(deep, form)).isEqualTo(StepState.OUT_OF_LIMIT);
    Job accepted = MachineJob.said(deep, form.id(), Kind.ACCEPTED);
    assertThat(StepState.of(accepted, form)).isEqualTo(StepState.ACCEPTED);
    // What is read anew after that has to be accepted anew.
    Job again = MachineJob.read(accepted, "I1", form.id(), ReadBack.SEAT_DEPTH, wanted + 0.3);
    assertThat(StepState.of(again, form)).isEqualTo(StepState.OUT_OF_LIMIT);
    assertThat(StepState.of(MachineJob.said(again, form.id(), Kind.REOPENED), form))
        .isEqualTo(StepState.WAITING);
    assertThat(StepState.of(MachineJob.said(again, form.id(), Kind.PROBLEM), form))
        .isEqualTo(StepState.PROBLEM);
  }

  /** 8 guides at 8 min and one fitting at 10 are 74 min; at 60 an hour 74. */
  @Test
  void aQuoteIsAddedUpFromTheShopsTimes() {
    Quote quote = Quote.of(JOB, SHEET);
    Quote.Part guides =
        quote.parts().stream().filter(p -> p.kind() == StepKind.GUIDE).findFirst().orElseThrow();
    assertThat(guides.minutes()).isEqualTo(74);
    assertThat(guides.seats()).isEqualTo(8);
    assertThat(guides.fittings()).isEqualTo(1);
    assertThat(quote.price()).isCloseTo(quote.minutes(), offset(1e-9));
    Job dear =
        JOB.withShop(
            JOB.shop()
                .with(ShopFigure.RATE, OptionalDouble.of(90))
                .withEach(StepKind.GUIDE, OptionalDouble.of(3))
                .withSetUp(StepKind.GUIDE, OptionalDouble.of(1)));
    Quote other = Quote.of(dear, SHEET);
    assertThat(other.minutes()).isEqualTo(quote.minutes() - 74 + 25);
    assertThat(other.price()).isCloseTo(other.minutes() * 1.5, offset(1e-9));
    // Guides are 64 of all the minutes at seats; without them that share of the time is gone.
    double each = SHEET.steps().stream().mapToDouble(s -> JOB.shop().eachMinutes(s.kind())).sum();
    assertThat(quote.minutesLeft(JOB.shop(), SHEET, s -> s.kind() == StepKind.GUIDE))
        .isCloseTo(quote.minutes() * (1 - 64 / each), offset(1e-9));
    assertThat(quote.minutesLeft(JOB.shop(), SHEET, s -> true)).isZero();
    // Face 3, back cut 2 and underhead 5 minutes at 60 an hour, against a valve of 25.
    assertThat(quote.valves().getFirst()).isEqualTo(new Quote.ValveChoice(Port.INTAKE, 10, 25));
  }

  @Test
  void seatsAreHeldAgainstEachOther() {
    Job job = JOB;
    double[] depths = {10.02, 10.11, 10.05};
    for (int k = 0; k < depths.length; k++) {
      job = MachineJob.read(job, "I" + (k + 1), "", ReadBack.SEAT_DEPTH, depths[k]);
    }
    job = MachineJob.read(job, "E1", "", ReadBack.SEAT_DEPTH, 11);
    Alike alike = Alike.of(job, Port.INTAKE, ReadBack.SEAT_DEPTH);
    assertThat(alike.largest().orElseThrow().seat()).isEqualTo("I2");
    assertThat(alike.smallest().orElseThrow().seat()).isEqualTo("I1");
    assertThat(alike.spread()).isCloseTo(0.09, offset(1e-9));
    assertThat(alike.unread()).containsExactly("I4");
    assertThat(alike.toLevel()).extracting(Alike.SeatValue::seat).containsExactly("I1", "I2", "I3");
    assertThat(alike.toLevel().get(0).value()).isCloseTo(0.09, offset(1e-9));
    assertThat(alike.toLevel().get(1).value()).isZero();
    assertThat(Alike.of(JOB, Port.INTAKE, ReadBack.SEAT_DEPTH).spread()).isZero();
  }

  @ParameterizedTest
  @CsvSource({
    "0, false, ''",
    "1.0, false, ''",
    "1.86, false, ''",
    "1.88, false, JUMP",
    "-1.88, false, JUMP",
    "0, true, REPEATED"
  })
  void aReadingThatCanHardlyBeIsQuestioned(double off, boolean again, String doubt) {
    RunStep throat =
        SHEET.of(JOB.engine().seats().getFirst()).stream()
            .filter(s -> s.kind() == StepKind.THROAT)
            .findFirst()
            .orElseThrow();
    double wanted = throat.target(ReadBack.THROAT).orElseThrow().wanted().getAsDouble();
    assertThat(ReadingDoubt.of(JOB, throat, ReadBack.THROAT, wanted + off, again).map(Enum::name))
        .isEqualTo(doubt.isEmpty() ? Optional.empty() : Optional.of(doubt));
    assertThat(ReadingDoubt.of(JOB, throat, ReadBack.THROAT, wanted / 25.4, false))
        .contains(ReadingDoubt.OTHER_UNIT);
    assertThat(ReadingDoubt.inOtherUnit(wanted / 25.4, wanted)).isCloseTo(wanted, offset(1e-9));
    assertThat(ReadingDoubt.inOtherUnit(wanted * 25.4, wanted)).isCloseTo(wanted, offset(1e-9));
  }

  @Test
  void whatThePlanDoesNotSayIsHeldAgainstTheLastOfItsKind() {
    RunStep guide = step("I2:guide");
    Job bare = JOB.withHead(finebore.job.Head.UNKNOWN);
    double stem = JOB.planOf(guide.seat()).wanted().valve().stemDiameterMm();
    assertThat(ReadingDoubt.expected(bare, guide, ReadBack.GUIDE_BORE)).hasValue(stem + 0.05);
    Job read = MachineJob.read(bare, "I1", "I1:guide", ReadBack.GUIDE_BORE, 7.02);
    assertThat(ReadingDoubt.expected(read, guide, ReadBack.GUIDE_BORE)).hasValue(7.02);
    assertThat(ReadingDoubt.expected(read, step("E2:guide"), ReadBack.GUIDE_BORE).getAsDouble())
        .isNotEqualTo(7.02);
    Job found =
        read.withHead(
            read.head()
                .withReading(
                    "I2",
                    finebore.found.Measure.GUIDE_CLEARANCE,
                    java.util.OptionalDouble.of(0.16)));
    assertThat(ReadingDoubt.expected(found, guide, ReadBack.GUIDE_BORE).getAsDouble())
        .isCloseTo(stem + 0.16, offset(1e-12));
  }

  /** By how much it is off what is expected, and whether the stem goes in. */
  @ParameterizedTest
  @CsvSource({
    "0.6, JUMP",
    "0.251, JUMP",
    "0.249, ''",
    "0.001, ''",
    "-0.001, IMPOSSIBLE",
    "-0.2, JUMP"
  })
  void aGuideIsDoubtedAsWell(double clearance, String doubt) {
    RunStep guide = step("I2:guide");
    Job bare = JOB.withHead(finebore.job.Head.UNKNOWN);
    double stem = JOB.planOf(guide.seat()).wanted().valve().stemDiameterMm();
    assertThat(
            ReadingDoubt.of(bare, guide, ReadBack.GUIDE_BORE, stem + clearance, false)
                .map(Enum::name)
                .orElse(""))
        .isEqualTo(doubt);
  }

  /**
   * Every length that is read at the machine is doubted when it is three times what it should be.
   */
  @Test
  void nothingThatIsReadIsTakenWhateverItIs() {
    for (RunStep s : SHEET.steps()) {
      for (RunStep.Target target : s.targets()) {
        java.util.OptionalDouble expected = ReadingDoubt.expected(JOB, s, target.what());
        if (expected.isPresent() && expected.getAsDouble() > 0.5) {
          assertThat(ReadingDoubt.of(JOB, s, target.what(), 3 * expected.getAsDouble(), false))
              .as("%s %s", s.id(), target.what())
              .isPresent();
        }
      }
    }
  }

  @Test
  void thePilotIsOnTheSheetWhereTheGuideIsKnown() {
    assertThat(step("I1:guide").lines()).extracting(l -> l.name().code()).contains("run.pilot");
    assertThat(step("E1:guide").lines())
        .extracting(l -> l.name().code())
        .doesNotContain("run.pilot");
  }

  @Test
  void portsAreJudgedOneByOne() {
    Job job = MachineJob.read(JOB, "I1", "", ReadBack.VACUUM_DRY, 80_000);
    job = MachineJob.read(job, "I1", "", ReadBack.SEAT_RUNOUT, 0.051);
    job = MachineJob.read(job, "E1", "", ReadBack.VACUUM_DRY, 40_000);
    job = MachineJob.read(job, "E1", "", ReadBack.VACUUM_OILED, 75_000);
    List<PortSeal> ports = PortSeal.all(job, SHEET);
    assertThat(ports.get(0).verdict()).isEqualTo(SealVerdict.SEALS);
    assertThat(ports.get(0).runoutAllowed()).isFalse();
    assertThat(ports.get(1).verdict()).isEqualTo(SealVerdict.GUIDE);
    assertThat(ports.get(1).runoutAllowed()).isTrue();
    assertThat(ports.get(2).verdict()).isEqualTo(SealVerdict.NOT_TESTED);
    assertThat(PortSeal.verdictOf(job, "E1")).isEqualTo(SealVerdict.GUIDE);
  }
}
