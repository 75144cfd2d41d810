package finebore.desk.measure;

import finebore.cutting.OpenThroat;
import finebore.desk.session.AirWatch;
import finebore.flow.Calibration;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.PlanStudy;
import finebore.study.SeatStudy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/**
 * Solves the demo's first intake, found and planned, at every lift, as the strip does; then three
 * edits of the plan. Tells when the even closure, both closures and the full grid at the lowest
 * lifts are through.
 */
public final class AirCurves extends Application {

  private static final List<Double> THROATS_MM = List.of(35.65, 35.5, 35.4, 35.3);

  @Override
  public void start(Stage stage) {
    Job job = JobFile.demo();
    SeatPlace place = job.engine().seats().getFirst();
    SeatStudy found = PlanStudy.asFound(job, place, Calibration.UNCALIBRATED);
    List<Double> lifts = job.test().liftsMm();
    AirWatch watch;
    try {
      watch = new AirWatch(Files.createTempDirectory("air").resolve("air.csv"));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    Iterator<Double> throats = THROATS_MM.iterator();
    new AnimationTimer() {
      private double throat;
      private long begun;
      private double even;
      private double both;
      private int solved;

      @Override
      public void handle(long now) {
        if (begun == 0) {
          if (!throats.hasNext()) {
            stop();
            Platform.exit();
            return;
          }
          throat = throats.next();
          begun = System.nanoTime();
          even = 0;
          both = 0;
          solved = 0;
          watch.compare(found, planned(job, place, found, throat), lifts, 3);
        }
        double seconds = (System.nanoTime() - begun) * 1e-9;
        if (even == 0 && watch.change().get().byLiftMm().size() == lifts.size()) {
          even = seconds;
        }
        if (watch.change().get().count() != solved) {
          solved = watch.change().get().count();
          both = seconds;
        }
        if (watch.isStripDone()) {
          System.out.printf(
              Locale.ROOT,
              "throat %.2f, %d lifts: even closure after %.1f s, both (%d lifts) after %.1f s,"
                  + " full grid too after %.1f s%n",
              throat,
              lifts.size(),
              even,
              solved,
              both,
              seconds);
          begun = 0;
        }
      }
    }.start();
  }

  private static SeatStudy planned(Job job, SeatPlace place, SeatStudy found, double throatMm) {
    Plan plan = job.planOf(place);
    for (int k = 0; k < plan.operations().size(); k++) {
      if (plan.operations().get(k) instanceof OpenThroat open) {
        plan =
            plan.withOperationAt(
                k, new OpenThroat(OptionalDouble.of(throatMm), open.taperDeg(), open.depthMm()));
      }
    }
    return PlanStudy.of(job, place, plan, found).finished();
  }
}
