package finebore.figures;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.bench.FlowTest;
import finebore.bench.SetUp.TestedState;
import finebore.calibration.NextTest;
import finebore.calibration.PredictionConfidence;
import finebore.calibration.TestBook;
import finebore.head.HeadPlan;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.machine.PortSeal;
import finebore.machine.Quote;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.planning.AirDemand;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.planning.PlanStudy;
import finebore.practice.Finding;
import finebore.rules.HeadFindings;
import finebore.rules.PlanFindings;
import finebore.study.SeatStudy;
import finebore.work.ReadBack;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Everything that is worked out of made-up heads, to six figures, against what it was: it says that
 * something changed, not that it was right before. Written anew by -Dfinebore.golden=write; what
 * changes is to be read line by line.
 */
class FiguresTest {

  private static final Path FOLDER = Path.of("src/test/resources/finebore/figures");

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6})
  void areWhatTheyWere(long seed) throws IOException {
    Path file = FOLDER.resolve("head-" + seed + ".txt");
    String now = figures(MadeUpHead.of(seed));
    if ("write".equals(System.getProperty("finebore.golden"))) {
      Files.createDirectories(FOLDER);
      Files.writeString(file, now);
    }
    assertThat(now).isEqualTo(Files.readString(file));
  }

  private static String figures(Job job) {
    Figures all = new Figures();
    all.with("head", HeadFindings.of(job, Samples.practice())).with("plan", HeadPlan.of(job));
    for (SeatPlace place : job.engine().seats()) {
      seat(all, job, place);
    }
    GroupOutcome.all(job).forEach(g -> all.with("sheet", CutSheet.of(g).steps()));
    TestBook book = TestBook.of(job);
    for (Port port : Port.values()) {
      bench(all, job, book, port);
    }
    machine(all, read(job));
    return all.toString();
  }

  /** The work at the machine, with readings of every seat that differ from seat to seat. */
  private static Job read(Job job) {
    WorkLog.Hand hand = new WorkLog.Hand(Instant.EPOCH, "");
    WorkLog log = WorkLog.EMPTY;
    int k = 0;
    for (SeatPlace place : job.engine().seats()) {
      k++;
      Map<ReadBack, Double> taken = new EnumMap<>(ReadBack.class);
      taken.put(ReadBack.GUIDE_BORE, 7 + 0.0173 * k);
      taken.put(ReadBack.RING_INSIDE, 30 + 0.37 * k);
      taken.put(ReadBack.VACUUM_DRY, 58_000 + 3_100.0 * k);
      taken.put(ReadBack.VACUUM_OILED, 59_500 + 3_300.0 * k);
      taken.put(ReadBack.FALL_DRY, 1 + 2.3 * k);
      taken.put(ReadBack.AMBIENT, 99_000 + 410.0 * k);
      taken.put(ReadBack.SEAT_RUNOUT, 0.013 * k);
      for (int n = 0; n < 4; n++) {
        taken.put(ReadBack.RING_WIDTHS.get(n), 1.2 + 0.03 * n * k);
        taken.put(ReadBack.RING_PLACES.get(n), 0.4 + 0.05 * n);
      }
      for (var one : taken.entrySet()) {
        log = log.with(hand, place.label(), "", new Taken(one.getKey(), one.getValue(), ""), "");
      }
    }
    return job.withLog(log);
  }

  private static void machine(Figures all, Job job) {
    RunSheet run = RunSheet.of(job);
    for (RunStep step : run.steps()) {
      all.with("run." + step.id() + ".tool", step.tool())
          .with("run." + step.id() + ".lines", step.lines())
          .with("run." + step.id() + ".targets", step.targets())
          .with("run." + step.id() + ".check", step.check())
          .with("run." + step.id() + ".caution", step.caution())
          .with("run." + step.id() + ".findings", run.findings(step, Samples.practice()).size());
    }
    all.with("run.tools", run.toolChanges()).with("quote", Quote.of(job, run));
    for (PortSeal port : PortSeal.all(job, run)) {
      all.with("port." + port.seat().label(), port);
    }
  }

  private static void seat(Figures all, Job job, SeatPlace place) {
    String name = place.label();
    PredictionConfidence confidence = PredictionConfidence.of(job, place.port());
    SeatStudy found = PlanStudy.asFound(job, place, confidence.calibration());
    PlanStudy plan = PlanStudy.of(job, place, job.planOf(place), found);
    all.with(name + ".metal", job.foundSeat(place))
        .with(name + ".found", found.readings())
        .with(name + ".found.curve", found.curve())
        .with(name + ".cutting", plan.cutting().steps())
        .with(name + ".left", plan.outcome().cut().left())
        .with(name + ".finished", plan.finished().readings())
        .with(name + ".finished.seating", plan.finished().fit().seating())
        .with(name + ".curve", plan.finished().curve())
        .with(name + ".change", plan.change());
    for (Finding finding : PlanFindings.of(plan.outcome(), Samples.practice())) {
      all.with(name + ".finding", finding);
      finding.cure().ifPresent(c -> all.with(name + ".cured", c.applyTo(plan.plan().wanted())));
    }
    plan.finished()
        .curve()
        .ifPresent(
            c ->
                all.with(
                    name + ".mach",
                    AirDemand.machIndex(
                        job.engine(), job.intake().cam(), 36 + c.points().size(), c)));
  }

  private static void bench(Figures all, Job job, TestBook book, Port port) {
    String name = port.name();
    PredictionConfidence confidence = PredictionConfidence.of(job, port);
    all.with(name + ".confidence", confidence);
    FlowTest last = job.bench().last(port.direction()).orElseThrow();
    for (FlowTest test : job.bench().tests()) {
      if (test.setUp().direction() == port.direction()) {
        all.with(name + ".reduced", book.reduced(test).flowAt(4.2))
            .with(name + ".lifts", book.reduced(test).lifts())
            .with(name + ".noise", book.noise(test))
            .with(name + ".suspects", book.suspects(test))
            .with(name + ".mean", book.reduced(test).meanM3s())
            .with(name + ".cam", book.reduced(test).camMeanM3s(job.group(port).cam()))
            .with(name + ".against", book.compare(test, last));
      }
    }
    all.with(name + ".ladder", book.ladder(last).rungs());
    FlowTest next =
        NextTest.of(job, job.seats(port).getFirst(), TestedState.FINISHED, "next", confidence);
    all.with(name + ".next", next.predicted());
  }
}
