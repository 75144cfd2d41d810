package finebore.flow.estimate;

import finebore.flow.Calibration;
import finebore.flow.Direction;
import finebore.flow.EffectiveArea;
import finebore.flow.Losses;
import finebore.flow.Sectors;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.study.SeatFit;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Seats and valves drawn by chance from ordinary work, other than those the estimate learnt. */
final class AnyFit {

  private AnyFit() {}

  /** Lengths in mm and angles in degrees of a seat and valve, in an order of their own. */
  static final int LENGTHS = 9;

  static final int ANGLES = 4;

  static double[] numbers(long seed) {
    Random random = new Random(31 * seed + 5);
    double head = between(random, 26, 56);
    double by = head / 42;
    return new double[] {
      head * between(random, 0.975, 1.0), // 0 seat outside
      between(random, 0.5, 1.6) * by, // 1 top cut
      between(random, 0.9, 1.9) * by, // 2 seat
      between(random, 0.5, 2) * by, // 3 lower cut
      head * between(random, 0.83, 0.91), // 4 throat
      between(random, 0.8, 2), // 5 margin
      between(random, 1.4, 2.4) * by, // 6 face
      between(random, 0.4, 1.6) * by, // 7 back cut
      between(random, 4, 12), // 8 underhead radius
      45 - between(random, 11, 19), // 9 top angle
      45 + between(random, 11, 19), // 10 lower angle
      between(random, 26, 34), // 11 back cut angle
      between(random, 8, 26), // 12 underhead angle
      head
    };
  }

  static Optional<SeatFit> fit(double[] n) {
    double head = n[LENGTHS + ANGLES];
    List<Element> cuts = new ArrayList<>();
    cuts.add(new Cut(n[9], n[1]));
    cuts.add(new Cut(45, n[2]));
    cuts.add(new Cut(n[10], n[3]));
    Seat seat =
        Seat.of(
            cuts.stream().map(Cut.class::cast).toList(),
            1,
            n[0],
            2,
            n[4],
            0.1 * head,
            0.95 * head,
            0.55 * head,
            0);
    Valve valve =
        new Valve(
            head,
            n[5],
            45,
            n[6],
            List.of(new Cut(n[11], n[7])),
            new Underhead(n[12], n[8]),
            0.17 * head,
            0);
    SeatFit fit = SeatFit.of(new Pairing(seat, valve));
    return fit.seated().isPresent() ? Optional.of(fit) : Optional.empty();
  }

  static EffectiveArea area(SeatFit fit, double liftMm, Direction direction, double portLoss) {
    return Losses.areaAt(
        fit.seat().profile(),
        fit.valveAt(liftMm),
        new Losses.Setting(
            1,
            fit.throatAreaMm2(),
            direction,
            Sectors.EVEN,
            new Calibration(portLoss, 1, java.util.OptionalInt.empty())));
  }

  static double alone(SeatFit fit, double liftMm) {
    return area(fit, liftMm, Direction.INTAKE, 0).mm2();
  }

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }
}
