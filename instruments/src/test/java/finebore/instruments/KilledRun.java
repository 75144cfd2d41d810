package finebore.instruments;

import finebore.bench.CheckPlate;
import finebore.units.Unit;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.stream.IntStream;

/** A run in a process of its own, which says each reading it has taken, to be killed. */
final class KilledRun {

  static final int LIFTS = 60;
  static final int REPEATS = 10;

  private KilledRun() {}

  static RunJournal.Plan plan() {
    List<Double> lifts = IntStream.rangeClosed(1, LIFTS).mapToObj(k -> k / 5.0).toList();
    return new RunJournal.Plan(1, lifts, REPEATS, Unit.INCH_OF_WATER.toBase(28));
  }

  public static void main(String[] arguments) {
    SimulatedBench bench = new SimulatedBench(lift -> 60 * lift, Long.parseLong(arguments[1]));
    BenchRun run =
        new BenchRun(
            new FlowBench(new SimulatedLink(bench), Duration.ofMillis(100)),
            plan(),
            Path.of(arguments[0]),
            BenchRun.Pace.NONE,
            new BenchRun.Listener() {
              @Override
              public void sample(Sample sample, double settled) {}

              @Override
              public void taken(Taken taken) {
                System.out.println(taken.liftMm() + " " + taken.repeat() + " " + taken.percent());
                System.out.flush();
              }

              @Override
              public void plate(String range, CheckPlate plate, Sample reading) {}
            });
    System.out.println(run.run().done() ? "done" : "not done");
  }
}
