package finebore.benchmarks.air;

import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.LossCoefficients;
import finebore.flow.Losses;
import finebore.flow.Sectors;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Tolerance;
import finebore.study.SeatFit;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;

/**
 * How far the instant estimate is off the solver for one change at a time, as a shop makes them:
 * {@code FROM TO}, numbers of random seats. Only seats for intakes count.
 *
 * <p>Nothing here was fitted to: the estimate's numbers come from five other shapes.
 */
public final class AirChanges {

  private static final double[] LIFTS = {0.05, 0.12, 0.2};

  private AirChanges() {}

  private record Change(String kind, UnaryOperator<Seat> seat, UnaryOperator<Valve> valve) {}

  private static List<Change> changes() {
    UnaryOperator<Seat> same = UnaryOperator.identity();
    UnaryOperator<Valve> sameValve = UnaryOperator.identity();
    return List.of(
        new Change(
            "throat +3 %", s -> s.withThroatDiameter(1.03 * s.throatDiameterMm()), sameValve),
        new Change(
            "throat -3 %", s -> s.withThroatDiameter(0.97 * s.throatDiameterMm()), sameValve),
        new Change("seat width x 0.7", s -> width(s, 0.7), sameValve),
        new Change("seat width x 1.3", s -> width(s, 1.3), sameValve),
        new Change(
            "back cut 30",
            same,
            v ->
                v.withFaceWidthMm(0.6 * v.faceWidthMm())
                    .withBackCuts(List.of(new Cut(30, 0.4 * v.faceWidthMm() + 0.4)))),
        new Change(
            "underhead 10 flatter",
            same,
            v ->
                v.withUnderhead(
                    new Underhead(
                        Math.max(3, v.underhead().angleDeg() - 10),
                        v.underhead().filletRadiusMm()))),
        new Change("no top cut", AirChanges::withoutTop, sameValve));
  }

  private static Seat width(Seat seat, double by) {
    List<Element> elements = new ArrayList<>(seat.stack().elements());
    elements.set(seat.sealing(), seat.sealingCut().withWidth(by * seat.sealingCut().widthMm()));
    return seat.withCuts(elements, seat.sealing());
  }

  private static Seat withoutTop(Seat seat) {
    List<Element> elements = new ArrayList<>(seat.stack().elements());
    return seat.withCuts(elements.subList(seat.sealing(), elements.size()), 0);
  }

  /** Runs. */
  public static void main(String[] arguments) {
    Map<String, List<double[]>> errors = new LinkedHashMap<>();
    int unsolved = 0;
    for (int n = Integer.parseInt(arguments[0]); n < Integer.parseInt(arguments[1]); n++) {
      RandomSeat drawn = RandomSeat.of(n);
      if (drawn.direction() != Direction.INTAKE) {
        continue;
      }
      for (double lift : LIFTS) {
        OptionalDouble before = solved(drawn.fit(), lift);
        if (before.isEmpty()) {
          unsolved++;
          continue;
        }
        for (Change change : changes()) {
          SeatFit fit;
          try {
            fit =
                SeatFit.of(
                    SeatSection.of(
                        change.seat().apply(drawn.fit().pairing().seat()), Tolerance.FINE),
                    change.valve().apply(drawn.fit().pairing().valve()));
          } catch (IllegalArgumentException impossible) {
            continue;
          }
          if (fit.seated().isEmpty() || fit.pairing().equals(drawn.fit().pairing())) {
            continue;
          }
          OptionalDouble after = solved(fit, lift);
          if (after.isEmpty()) {
            unsolved++;
            continue;
          }
          double solved = after.getAsDouble() / before.getAsDouble() - 1;
          double estimated = estimated(fit, lift) / estimated(drawn.fit(), lift) - 1;
          errors
              .computeIfAbsent(change.kind(), k -> new ArrayList<>())
              .add(new double[] {solved, estimated});
        }
      }
    }
    List<double[]> all = new ArrayList<>();
    errors.forEach(
        (kind, pairs) -> {
          print(kind, pairs);
          all.addAll(pairs);
        });
    print("all", all);
    System.out.println("unsolved " + unsolved);
  }

  private static void print(String kind, List<double[]> pairs) {
    double[] off = pairs.stream().mapToDouble(p -> 100 * Math.abs(p[1] - p[0])).sorted().toArray();
    double[] size = pairs.stream().mapToDouble(p -> 100 * Math.abs(p[0])).sorted().toArray();
    long clear = pairs.stream().filter(p -> Math.abs(p[0]) > 0.03).count();
    long alike = pairs.stream().filter(p -> Math.abs(p[0]) > 0.03 && p[0] * p[1] > 0).count();
    System.out.printf(
        Locale.ROOT,
        "%-22s %4d changes; solved %4.1f %5.1f points; estimate off by %4.1f %4.1f %5.1f (half, two thirds, nine tenths lie within);"
            + " sign right in %d of %d over 3 points%n",
        kind,
        pairs.size(),
        size[size.length / 2],
        size[(int) (0.9 * (size.length - 1))],
        off[off.length / 2],
        off[(int) (2.0 / 3 * (off.length - 1))],
        off[(int) (0.9 * (off.length - 1))],
        alike,
        clear);
  }

  private static OptionalDouble solved(SeatFit fit, double liftOverHead) {
    double head = fit.pairing().valve().headDiameterMm();
    try {
      return OptionalDouble.of(
          AirSolver.solve(
                  new AirQuestion(
                      fit.seat().profile(),
                      fit.valveAt(liftOverHead * head),
                      head / 2,
                      Direction.INTAKE,
                      Turbulence.EVEN,
                      Fineness.COARSE))
              .effectiveAreaMm2());
    } catch (AirNotSolved e) {
      return OptionalDouble.empty();
    }
  }

  private static double estimated(SeatFit fit, double liftOverHead) {
    double head = fit.pairing().valve().headDiameterMm();
    return Losses.at(
            fit.seat().profile(),
            fit.valveAt(liftOverHead * head),
            new Losses.Setting(
                fit.pairing().seat().sealing(),
                fit.throatAreaMm2(),
                fit.throatAreaMm2(),
                Direction.INTAKE,
                LossCoefficients.FITTED,
                Sectors.EVEN,
                Calibration.SEAT_ALONE))
        .effectiveAreaMm2();
  }
}
