package finebore.desk.prove;

import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.calibration.FlowArea;
import finebore.code.Coded;
import finebore.desk.session.ProveState.Shown;
import finebore.study.SeatStudy;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a chart of flow tests shows, in the units of its upright axis.
 *
 * @param area that coefficients and speeds are on
 */
record CurveValues(Shown shown, Mode mode, FlowArea area) {

  /** What stands on the upright axis. */
  enum Mode implements Coded {
    FLOW,
    COEFFICIENT,
    GAIN,
    SPEED;

    @Override
    public String code() {
      return "chart." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** One point of a curve. */
  record At(double lift, double value) {}

  /** The test looked at. */
  List<At> own() {
    return curve(shown.test(), shown.study());
  }

  /** The test it is held against; a gain has none. */
  List<At> other() {
    return mode == Mode.GAIN ? List.of() : curve(shown.reference(), shown.referenceStudy());
  }

  private List<At> curve(Optional<FlowTest> test, Optional<SeatStudy> study) {
    List<At> points = new ArrayList<>();
    if (test.isEmpty()) {
      return points;
    }
    ReducedTest reduced = shown.book().reduced(test.get());
    for (ReducedTest.Lift lift : reduced.lifts()) {
      value(lift.liftMm(), lift.meanM3s(), reduced, study)
          .ifPresent(v -> points.add(new At(lift.liftMm(), v)));
    }
    return points;
  }

  /** What was predicted, so many standard deviations off. */
  List<At> predicted(int deviations) {
    List<At> points = new ArrayList<>();
    if (shown.test().isEmpty()) {
      return points;
    }
    ReducedTest reduced = shown.book().reduced(shown.test().get());
    for (FlowTest.Predicted p : shown.predicted()) {
      value(p.liftMm(), p.flowM3s() * (1 + deviations * p.spread()), reduced, shown.study())
          .ifPresent(v -> points.add(new At(p.liftMm(), v)));
    }
    return points;
  }

  private OptionalDouble value(
      double lift, double flow, ReducedTest test, Optional<SeatStudy> study) {
    UnitSystem units = shown.units();
    return switch (mode) {
      case FLOW -> OptionalDouble.of(units.flow().fromBase(flow));
      case GAIN ->
          shown
              .reference()
              .map(shown.book()::reduced)
              .flatMap(r -> r.at(lift))
              .filter(r -> r.meanM3s() > 0)
              .map(r -> OptionalDouble.of(100 * (flow / r.meanM3s() - 1)))
              .orElse(OptionalDouble.empty());
      case COEFFICIENT ->
          area.mm2(test.test(), lift, study).stream()
              .map(mm2 -> test.coefficient(flow, mm2))
              .findFirst();
      case SPEED ->
          area.mm2(test.test(), lift, study).stream()
              .map(mm2 -> units.speed().fromBase(ReducedTest.speedMs(flow, mm2)))
              .findFirst();
    };
  }

  /** What stands on the upright axis, in words. */
  String title() {
    UnitSystem units = shown.units();
    return shown
        .words()
        .text(
            mode.code() + ".title",
            "unit",
            mode == Mode.SPEED ? units.speed().symbol() : units.flow().symbol(),
            "depression",
            units.pressureText(shown.job().test().depressionPa()),
            "area",
            area);
  }
}
