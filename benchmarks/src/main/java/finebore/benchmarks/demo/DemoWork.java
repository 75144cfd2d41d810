package finebore.benchmarks.demo;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.machine.RunStep.Target;
import finebore.planning.GuideBore;
import finebore.work.ReadBack;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import finebore.work.WorkEntry.Kind;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Random;

/**
 * Works a demo job through a share of its run sheet, as a hand would: {@code FILE SHARE
 * [CUSTOMER]}. Readings scatter about what the plan wants, one seat goes too deep and is accepted,
 * one reading is corrected. The history that was there before is dropped.
 */
public final class DemoWork {

  private static final Instant BEGUN = Instant.parse("2026-03-16T07:10:00Z");
  private static final Duration BETWEEN = Duration.ofMinutes(3);
  private static final double HAND_MM = 0.015;
  private static final double TOO_DEEP_MM = 0.11;

  private final Random random = new Random(20);
  private WorkLog log = WorkLog.EMPTY;
  private Instant now = BEGUN;
  private int vacuum;

  private DemoWork() {}

  /** Runs. */
  public static void main(String[] arguments) throws Exception {
    Path file = Path.of(arguments[0]);
    JobDocument document = JobFile.read(file);
    Job job =
        document
            .job()
            .withLog(WorkLog.EMPTY)
            .withShop(
                ShopSettings.USUAL.withTexts(
                    "", "", arguments.length > 2 ? arguments[2] : "", "EUR"));
    Job worked = new DemoWork().work(job, Double.parseDouble(arguments[1]));
    JobFile.save(document.withJob(worked), file);
    System.out.println(worked.log().entries().size() + " lines");
  }

  private WorkLog.Hand hand() {
    now = now.plus(BETWEEN);
    return new WorkLog.Hand(now, "M.");
  }

  private Job work(Job job, double share) {
    List<RunStep> steps = RunSheet.of(job).steps();
    long forms = 0;
    for (RunStep step : steps.subList(0, (int) (share * steps.size()))) {
      boolean deep = step.kind() == StepKind.FORM && ++forms == 3;
      for (Target target : step.targets()) {
        read(job, step, target, deep && target.what() == ReadBack.SEAT_DEPTH ? TOO_DEEP_MM : 0);
      }
      log = log.with(hand(), step.seat().label(), step.id(), Kind.DONE, "");
      if (deep) {
        log =
            log.with(
                hand(),
                step.seat().label(),
                step.id(),
                Kind.ACCEPTED,
                "stop had slipped; spring spacer made up for it");
      }
    }
    // One figure was read off the wrong line of the gauge.
    SeatPlace first = steps.getFirst().seat();
    log.value(first.label(), ReadBack.THROAT)
        .ifPresent(
            mm ->
                log =
                    log.with(
                        hand(),
                        first.label(),
                        "",
                        new Taken(ReadBack.THROAT, mm, "caliper"),
                        "misread"));
    return job.withLog(log);
  }

  /** One guide leaks dry; the rest hold. */
  private void vacuum(RunStep step) {
    vacuum++;
    boolean leaks = vacuum == 3;
    keep(step, ReadBack.AMBIENT, 100_600, "vacuum");
    keep(step, ReadBack.VACUUM_DRY, (leaks ? 52_000 : 76_000) + 100 * random.nextInt(20), "vacuum");
    keep(step, ReadBack.FALL_DRY, leaks ? 1.9 : 12 + 0.5 * random.nextInt(18), "vacuum");
    if (leaks) {
      keep(step, ReadBack.VACUUM_OILED, 77_300, "vacuum");
      keep(step, ReadBack.FALL_OILED, 15.5, "vacuum");
    }
    for (ReadBack width : ReadBack.RING_WIDTHS) {
      keep(step, width, Math.round(140 + random.nextInt(6)) / 100.0, "caliper");
    }
  }

  private void keep(RunStep step, ReadBack what, double value, String gauge) {
    log = log.with(hand(), step.seat().label(), step.id(), new Taken(what, value, gauge), "");
  }

  private void read(Job job, RunStep step, Target target, double moreMm) {
    if (target.what() == ReadBack.VACUUM_DRY) {
      vacuum(step);
      return;
    }
    double wanted;
    if (target.wanted().isPresent()) {
      wanted = target.wanted().getAsDouble();
    } else if (target.what() == ReadBack.GUIDE_BORE) {
      var bore = GuideBore.mm(job, step.seat());
      if (bore.isEmpty()) {
        return;
      }
      wanted = bore.getAsDouble();
    } else if (target.what() == ReadBack.MARGIN) {
      wanted = target.least().orElse(1) + 0.05;
    } else if (target.what() == ReadBack.SEAT_RUNOUT) {
      wanted = 0.02;
    } else {
      return;
    }
    boolean exact = target.what() == ReadBack.POINTER || target.what() == ReadBack.GUIDE_BORE;
    double value = wanted + moreMm + (exact ? 0 : HAND_MM * random.nextGaussian());
    double rounded = Math.round(value * (exact ? 1000 : 100)) / (exact ? 1000.0 : 100.0);
    String gauge =
        target.what() == ReadBack.SEAT_DEPTH || target.what() == ReadBack.VALVE_DEPTH
            ? "depth-gauge"
            : "caliper";
    log =
        log.with(
            hand(), step.seat().label(), step.id(), new Taken(target.what(), rounded, gauge), "");
  }
}
