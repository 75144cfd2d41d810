package finebore.bench;

import finebore.code.Message;
import finebore.code.Term;
import finebore.flow.Bands;
import finebore.flow.Bands.Band;
import finebore.flow.CamLift;
import finebore.flow.FlowCurve;
import finebore.flow.TestConditions;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A test brought to a standard depression and the standard air (dry, 20 C, 101 325 Pa).
 *
 * <p>Of what flowed the leakage is taken off. A volume flow follows sqrt(2 dp / rho), so Q2 = Q1
 * sqrt(dp2 / dp1) sqrt(rho1 / rho2). A reading in per cent of a range is that share of the flow its
 * check plate gave the range, and does not follow the air ({@link PlateCheck}).
 *
 * @param test as made
 * @param depressionPa the standard depression, Pa
 * @param lifts those with a reading that could be brought there, in order
 * @param notes what could not be allowed for
 */
public record ReducedTest(
    FlowTest test, double depressionPa, List<Lift> lifts, List<Message> notes) {

  /**
   * One lift.
   *
   * @param flowsM3s each repeat, m3/s; at least one
   * @param noted what was noted there
   */
  public record Lift(double liftMm, List<Double> flowsM3s, LiftReadings noted) {

    public Lift {
      flowsM3s = List.copyOf(flowsM3s);
    }

    public double meanM3s() {
      return flowsM3s.stream().mapToDouble(f -> f).average().orElseThrow();
    }
  }

  public ReducedTest {
    lifts = List.copyOf(lifts);
    notes = List.copyOf(notes);
  }

  /** Brings a test of a book to a depression. */
  public static ReducedTest of(FlowTest test, BenchBook book, double depressionPa) {
    List<Lift> lifts = new ArrayList<>();
    Set<Message> notes = new LinkedHashSet<>();
    SetUp setUp = test.setUp();
    if (setUp.depressionPa().isEmpty()) {
      notes.add(Message.of("reduced.noDepression"));
    }
    if (test.air().isEmpty()) {
      notes.add(Message.of("reduced.noAir"));
    }
    test.air()
        .flatMap(Air::oddity)
        .ifPresent(o -> notes.add(Message.of("reduced.oddAir").with("oddity", o)));
    if (setUp.leakageM3s().isEmpty()) {
      notes.add(Message.of("reduced.noLeakage"));
    }
    for (LiftReadings lift : test.lifts()) {
      List<Double> flows = new ArrayList<>();
      for (BenchReading reading : lift.readings()) {
        OptionalDouble asFlowed = asFlowed(reading, test, book);
        if (reading.oddity().isPresent()) {
          notes.add(
              Message.of("reduced.oddReading")
                  .with("lift", Term.length(lift.liftMm()))
                  .with("oddity", reading.oddity().get()));
        } else if (asFlowed.isPresent()) {
          flows.add(asFlowed.getAsDouble() * toStandard(reading, test, depressionPa));
        } else {
          notes.add(
              Message.of("reduced.noPlate")
                  .with("range", Term.quote(reading.range().orElseThrow())));
        }
      }
      if (!flows.isEmpty()) {
        lifts.add(new Lift(lift.liftMm(), flows, lift));
      }
    }
    return new ReducedTest(test, depressionPa, lifts, List.copyOf(notes));
  }

  /** What went through the seat, leakage taken off, m3/s. */
  private static OptionalDouble asFlowed(BenchReading reading, FlowTest test, BenchBook book) {
    double leak = test.setUp().leakageM3s().orElse(0);
    OptionalDouble flow =
        reading.range().isEmpty()
            ? OptionalDouble.of(reading.value())
            : book.flowM3s(reading.range().get(), reading.value(), test.date());
    return flow.isPresent() ? OptionalDouble.of(Math.max(0, flow.getAsDouble() - leak)) : flow;
  }

  private static double toStandard(BenchReading reading, FlowTest test, double standardPa) {
    OptionalDouble depression =
        reading.depressionPa().isPresent() ? reading.depressionPa() : test.setUp().depressionPa();
    double factor = Math.sqrt(standardPa / depression.orElse(standardPa));
    Optional<Air> usable = test.air().filter(a -> a.oddity().isEmpty());
    if (reading.range().isEmpty() && usable.isPresent()) {
      Air room = usable.get();
      Air air =
          reading.temperatureC().isPresent()
              ? room.withTemperature(reading.temperatureC().getAsDouble())
              : room;
      factor *= Math.sqrt(air.densityKgM3() / TestConditions.USUAL.densityKgM3());
    }
    return factor;
  }

  /** The lift at a height, if it was tested. */
  public Optional<Lift> at(double liftMm) {
    return lifts.stream()
        .filter(l -> Math.abs(l.liftMm() - liftMm) < FlowTest.SAME_LIFT_MM)
        .findFirst();
  }

  /** Flow at any lift by straight lines, from nothing at no lift; level past the last, m3/s. */
  public double flowAt(double liftMm) {
    return FlowCurve.between(heights(), means(), liftMm);
  }

  private double[] heights() {
    return lifts.stream().mapToDouble(Lift::liftMm).toArray();
  }

  private double[] means() {
    return lifts.stream().mapToDouble(Lift::meanM3s).toArray();
  }

  /** Mean over all lifts, m3/s. */
  public OptionalDouble meanM3s() {
    return lifts.stream().mapToDouble(Lift::meanM3s).average();
  }

  /** Mean over the lifts of a band, m3/s; empty when it has none. */
  public OptionalDouble meanM3s(Band band, Bands bands) {
    double head = test.setUp().valve().headDiameterMm();
    return lifts.stream()
        .filter(l -> bands.of(l.liftMm(), head) == band)
        .mapToDouble(Lift::meanM3s)
        .average();
  }

  /** Mean over a cam's opening, m3/s; empty when the test stops short of the cam's lift. */
  public OptionalDouble camMeanM3s(CamLift cam) {
    boolean reaches =
        !lifts.isEmpty() && lifts.getLast().liftMm() >= cam.maxLiftMm() - FlowTest.SAME_LIFT_MM;
    if (!reaches) {
      return OptionalDouble.empty();
    }
    double[] heights = heights();
    double[] means = means();
    return OptionalDouble.of(cam.meanOf(lift -> FlowCurve.between(heights, means, lift)));
  }

  /** The highest flow, m3/s. */
  public OptionalDouble peakM3s() {
    return lifts.stream().mapToDouble(Lift::meanM3s).max();
  }

  /** The first lift at which flow falls back by more than a reading scatters, mm. */
  public OptionalDouble backsUpFromMm(Noise noise) {
    double highest = 0;
    for (Lift lift : lifts) {
      if (lift.meanM3s() < highest * (1 - noise.share())) {
        return OptionalDouble.of(lift.liftMm());
      }
      highest = Math.max(highest, lift.meanM3s());
    }
    return OptionalDouble.empty();
  }

  /** Whether a lift was read more than once. */
  public boolean isReadTwiceAt(double liftMm) {
    return at(liftMm).filter(l -> l.flowsM3s().size() > 1).isPresent();
  }

  /** Flow of this exhaust against an intake's, at a lift both have. */
  public OptionalDouble ratioTo(ReducedTest intake, double liftMm) {
    Optional<Lift> own = at(liftMm);
    Optional<Lift> other = intake.at(liftMm);
    return own.isPresent() && other.isPresent() && other.get().meanM3s() > 0
        ? OptionalDouble.of(own.get().meanM3s() / other.get().meanM3s())
        : OptionalDouble.empty();
  }

  /** Discharge coefficient of a flow on an area, mm2. */
  public double coefficient(double flowM3s, double areaMm2) {
    return flowM3s / TestConditions.USUAL.withDepression(depressionPa).flow(areaMm2);
  }

  /** Mean speed of a flow through an area, mm2, in m/s. */
  public static double speedMs(double flowM3s, double areaMm2) {
    return flowM3s / (areaMm2 * 1e-6);
  }
}
