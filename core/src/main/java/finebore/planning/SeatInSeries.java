package finebore.planning;

import finebore.flow.FlowCurve;
import finebore.flow.InSeries;
import finebore.flow.InSeries.Part;
import finebore.flow.InSeries.Passage;
import finebore.flow.LiftPoint;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * A seat's port with what stands before or behind it on the engine.
 *
 * @param place the seat
 * @param lifts rising
 */
public record SeatInSeries(SeatPlace place, List<AtLift> lifts) {

  /** One lift; flows at the job's depression. */
  public record AtLift(double liftMm, InSeries series) {}

  public SeatInSeries {
    lifts = List.copyOf(lifts);
  }

  /** What was read of a seat's runner and its throttle alone, at 28 in of water; may be empty. */
  public static List<Passage> measured(Job job, SeatPlace place) {
    SeatReadings readings = job.head().readingsOf(place.label());
    List<Passage> parts = new ArrayList<>();
    add(job, parts, Part.MANIFOLD, readings.value(Measure.MANIFOLD_FLOW));
    add(job, parts, Part.THROTTLE, readings.value(Measure.THROTTLE_FLOW));
    return parts;
  }

  private static void add(Job job, List<Passage> parts, Part part, OptionalDouble at28) {
    if (at28.isPresent()) {
      parts.add(new Passage(part, AirDemand.from28(at28.getAsDouble(), job.test().depressionPa())));
    }
  }

  /** A seat's curve with what was measured of its runner; one passage where nothing was. */
  public static SeatInSeries of(Job job, SeatPlace place, FlowCurve curve) {
    List<Passage> others = measured(job, place);
    return new SeatInSeries(
        place,
        curve.points().stream()
            .map((LiftPoint p) -> new AtLift(p.liftMm(), with(p.flowM3s(), others)))
            .toList());
  }

  private static InSeries with(double portM3s, List<Passage> others) {
    List<Passage> all = new ArrayList<>();
    all.add(new Passage(Part.PORT, portM3s));
    all.addAll(others);
    return new InSeries(all);
  }
}
