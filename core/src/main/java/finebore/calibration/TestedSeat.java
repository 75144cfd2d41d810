package finebore.calibration;

import finebore.bench.FlowTest;
import finebore.bench.SetUp;
import finebore.bench.SetUp.TestedState;
import finebore.bench.SetUp.TestedValve;
import finebore.cutting.Cutting;
import finebore.flow.Calibration;
import finebore.flow.LiftPoint;
import finebore.flow.Spread;
import finebore.found.FoundSeat;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.PlanStudy;
import finebore.planning.SeatRoom;
import finebore.room.Room;
import finebore.seat.SeatSection;
import finebore.study.FlowSetting;
import finebore.study.SeatFit;
import finebore.study.SeatStudy;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What the model makes of the seat that a flow test was made on. */
public final class TestedSeat {

  private TestedSeat() {}

  /** The seat of a test; empty where the head has none of that label and kind. */
  public static Optional<SeatPlace> place(Job job, SetUp setUp) {
    return job.seats(Port.of(setUp.direction())).stream()
        .filter(s -> s.label().equals(setUp.seat()))
        .findFirst();
  }

  /** Whether the test was made with the valve that was found. */
  static boolean hasFoundValve(Job job, SetUp setUp) {
    return place(job, setUp)
        .map(p -> TestedValve.of(job.foundValve(p), "").isSameAs(setUp.valve()))
        .orElse(false);
  }

  /**
   * Whether the plan's own valve, or what the plan makes of the found one, is what lies between a
   * test of the head as found and a later one: then the valve is part of what was changed.
   */
  static boolean planChangesValve(Job job, SetUp reference, SetUp test) {
    return reference.state().kind() == TestedState.Kind.FOUND
        && test.state().kind() != TestedState.Kind.FOUND
        && hasFoundValve(job, reference)
        && place(job, test)
            .map(p -> TestedValve.of(job.planOf(p).wanted().valve(), ""))
            .filter(v -> v.isSameAs(test.valve()))
            .isPresent();
  }

  /**
   * Studies the seat in the state it was tested in.
   *
   * @param liftsMm rising lifts at which flow is worked out
   * @return empty where the head has no such seat
   */
  public static Optional<SeatStudy> study(
      Job job, SetUp setUp, List<Double> liftsMm, Calibration calibration) {
    return place(job, setUp).map(p -> study(job, p, setUp, liftsMm, calibration));
  }

  private static SeatStudy study(
      Job job, SeatPlace place, SetUp setUp, List<Double> liftsMm, Calibration calibration) {
    Plan plan = job.planOf(place);
    FoundSeat metal = job.foundSeat(place);
    SeatSection section = metal.section();
    Valve valve = valve(job, place, setUp);
    if (setUp.state().kind() != TestedState.Kind.FOUND) {
      Cutting cutting = Cutting.of(metal, plan.wanted().seat(), plan.operations());
      int all = cutting.steps().size();
      section =
          setUp.state().kind() == TestedState.Kind.PARTLY
              ? cutting.after(Math.min(setUp.state().operations(), all))
              : cutting.finished();
    }
    return SeatStudy.of(
        SeatFit.of(section, valve),
        new FlowSetting(
            setUp.direction(),
            liftsMm,
            Optional.empty(),
            job.test().depressionPa(),
            calibration,
            PlanStudy.portAreaMm2(job, place),
            room(job, place, setUp)));
  }

  /** The walls round the valve on the bench: its fixture takes the place of the bore. */
  private static Optional<Room> room(Job job, SeatPlace place, SetUp setUp) {
    Optional<Room> room =
        setUp.state().kind() == TestedState.Kind.FOUND
            ? SeatRoom.found(job, place)
            : SeatRoom.planned(job, place, job.planOf(place));
    return room.map(r -> r.inBore(setUp.boreMm().orElse(r.boreMm())));
  }

  /** The valve that was on the bench: by its shape, or else the one of the job it can be. */
  private static Valve valve(Job job, SeatPlace place, SetUp setUp) {
    Valve found = job.foundValve(place);
    Valve planned = job.planOf(place).wanted().valve();
    return setUp
        .valve()
        .shape()
        .orElseGet(
            () ->
                switch (setUp.state().kind()) {
                  case FOUND -> hasFoundValve(job, setUp) ? found : planned;
                  case PARTLY -> hasFoundValve(job, setUp) ? found : planned;
                  case FINISHED, BLENDED -> planned;
                });
  }

  /** What the model says of a set-up at the standard depression, for a test that is to be run. */
  public static List<FlowTest.Predicted> predict(
      Job job, SetUp setUp, List<Double> liftsMm, PredictionConfidence confidence) {
    Optional<SeatStudy> study = study(job, setUp, liftsMm, confidence.calibration());
    Spread change = study.map(s -> change(job, setUp, s)).orElse(Spread.UNLEARNT);
    return study.flatMap(SeatStudy::curve).stream()
        .flatMap(curve -> curve.points().stream())
        .filter(LiftPoint::isKnown)
        .map(
            p ->
                new FlowTest.Predicted(
                    p.liftMm(),
                    p.flowM3s(),
                    confidence.spreadOfFlow(
                        job.test().bands().of(p.liftMm(), setUp.valve().headDiameterMm()), change)))
        .toList();
  }

  /** Of what was done since the head was found; another port of the same shape is any change. */
  private static Spread change(Job job, SetUp setUp, SeatStudy tested) {
    SeatPlace place = place(job, setUp).orElseThrow();
    Pairing found = new Pairing(job.foundSeat(place).seat(), job.foundValve(place));
    Set<ChangeKind> kinds = ChangeKind.between(found, tested.pairing());
    return kinds.isEmpty() ? Spread.UNLEARNT : ChangeKind.spread(kinds, setUp.direction());
  }
}
