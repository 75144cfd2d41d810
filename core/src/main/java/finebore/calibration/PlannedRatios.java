package finebore.calibration;

import finebore.flow.FlowCurve;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.planning.PortRatio;
import java.util.List;
import java.util.Optional;

/** The exhausts of a cylinder against its intakes as planned, each with its own port. */
public final class PlannedRatios {

  private PlannedRatios() {}

  /** By the first seat of the other kind in a seat's cylinder; empty where one has no flow. */
  public static List<PortRatio> of(TestBook book, PlanStudy own) {
    Job job = own.cut().job();
    Port port = own.place().port().other();
    Optional<FlowCurve> mine = own.finished().curve();
    Optional<FlowCurve> others =
        job.seats(port).stream()
            .filter(s -> s.cylinder() == own.place().cylinder())
            .findFirst()
            .flatMap(place -> planned(book, job, place));
    if (mine.isEmpty() || others.isEmpty()) {
      return List.of();
    }
    return port == Port.EXHAUST
        ? PortRatio.of(job.engine(), mine.get(), others.get())
        : PortRatio.of(job.engine(), others.get(), mine.get());
  }

  private static Optional<FlowCurve> planned(TestBook book, Job job, SeatPlace place) {
    var calibration = PredictionConfidence.of(book, place.port(), Optional.empty()).calibration();
    return PlanStudy.of(job, place, job.planOf(place), PlanStudy.asFound(job, place, calibration))
        .finished()
        .curve();
  }
}
