package finebore.benchmarks.air;

import finebore.flow.Direction;
import finebore.seat.Arc;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.seat.Throat;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import finebore.study.SeatFit;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A seat and valve drawn by chance from what a shop meets: every number has one shape, always the
 * same.
 *
 * @param number what it was drawn with
 * @param wall the head's wall, with a ridge or without
 * @param fit valve on seat; its seat's section is the wall without a ridge
 * @param direction which way the air goes
 */
record RandomSeat(int number, Profile wall, SeatFit fit, Direction direction) {

  private static final double[] SEAT_ANGLES = {30, 45, 45, 45, 45, 50, 55};

  /** The shape of a number. */
  static RandomSeat of(int number) {
    for (int attempt = 0; ; attempt++) {
      Optional<RandomSeat> drawn = draw(number, new Random(1_000_003L * number + attempt));
      if (drawn.isPresent()) {
        return drawn.get();
      }
    }
  }

  private static Optional<RandomSeat> draw(int number, Random random) {
    try {
      double head = between(random, 24, 60);
      double angle = SEAT_ANGLES[random.nextInt(SEAT_ANGLES.length)];
      Seat seat = seat(random, head, angle);
      Valve valve = valve(random, head, angle);
      SeatFit fit = SeatFit.of(SeatSection.of(seat, Tolerance.FINE), valve);
      if (fit.seated().isEmpty()) {
        return Optional.empty();
      }
      Profile wall = fit.seat().profile();
      if (random.nextInt(5) == 0) {
        wall = ridge(wall, between(random, 0.2, 4), between(random, 0.2, 2.5));
      }
      Direction direction = number % 4 == 3 ? Direction.EXHAUST : Direction.INTAKE;
      return Optional.of(new RandomSeat(number, wall, fit, direction));
    } catch (IllegalArgumentException impossible) {
      return Optional.empty();
    }
  }

  private static Seat seat(Random random, double head, double angle) {
    double width = between(random, 0.6, 3) * Math.max(0.7, head / 42);
    List<Element> elements = new ArrayList<>();
    int sealing = 0;
    if (random.nextInt(4) > 0) {
      elements.add(new Cut(between(random, 0, angle - 8), between(random, 0.2, 2.5)));
      sealing = 1;
    }
    elements.add(new Cut(angle, width));
    int below = random.nextInt(5);
    if (below == 4) {
      elements.add(
          new Arc(angle + between(random, 3, 12), between(random, 75, 89), between(random, 2, 8)));
    } else {
      double from = angle;
      for (int k = 0; k < below; k++) {
        from = between(random, from + 5, Math.min(90, from + 25));
        if (from > 88) {
          break;
        }
        elements.add(new Cut(from, between(random, 0.1, 3)));
      }
    }
    double outside = head * between(random, 0.97, 1.01);
    double throat = head * between(random, 0.78, 0.94);
    double depth = random.nextInt(3) == 0 ? between(random, 1, 8) : between(random, 0.3, 2.5);
    return new Seat(
        new CutStack(elements, sealing),
        outside,
        depth,
        new Throat(throat, random.nextBoolean() ? 0 : between(random, 0, 0.2 * head)),
        new Bowl(head * between(random, 0.85, 1.1), head * between(random, 0.4, 0.7)),
        random.nextInt(3) == 0 ? 0 : between(random, 0, 35));
  }

  private static Valve valve(Random random, double head, double angle) {
    double face = angle - (random.nextInt(3) == 0 ? between(random, 0.3, 1) : 0);
    List<Cut> backs = new ArrayList<>();
    double steep = face;
    int count = random.nextInt(3);
    for (int k = 0; k < count; k++) {
      steep = Math.max(12, steep - between(random, 8, 18));
      backs.add(new Cut(steep, between(random, 0.3, 2) * head / 42));
    }
    if (count == 0 && random.nextInt(3) == 0) {
      // A lip that stands proud behind the face.
      backs.add(new Cut(between(random, 65, 88), between(random, 0.2, 1)));
    }
    double margin = between(random, 0.6, 2.2);
    return new Valve(
        head,
        margin,
        face,
        between(random, 1.2, 3.5) * head / 42,
        backs,
        new Underhead(between(random, 5, 30), random.nextInt(4) == 0 ? 0 : between(random, 3, 15)),
        head * between(random, 0.12, 0.22),
        random.nextInt(2) == 0 ? 0 : between(random, 0, 0.8 * margin));
  }

  /** A step up in the roof, some way outside the cuts. */
  private static Profile ridge(Profile wall, double away, double height) {
    int first = 0;
    while (wall.surfaces().get(first).part() != Surface.Part.CUT) {
      first++;
    }
    Point edge = wall.start(first);
    Point foot = new Point(edge.r() + away, edge.z());
    Profile.Builder built =
        new Profile.Builder(
            new Point(wall.points().getFirst().r() + away, foot.z() + height), Tolerance.FINE);
    built.to(foot.plus(0, height), Surface.of(Trace.CHAMBER_ROOF));
    built.to(foot, Surface.of(Trace.OLD_CUT_ABOVE));
    built.to(edge, Surface.of(Trace.CHAMBER_ROOF));
    for (int k = first; k < wall.segmentCount(); k++) {
      built.to(wall.end(k), wall.surfaces().get(k));
    }
    return built.build();
  }

  private static double between(Random random, double low, double high) {
    return low + random.nextDouble() * (high - low);
  }
}
