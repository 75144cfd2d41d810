package finebore.benchmarks.air;

import finebore.flow.Direction;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
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
 * <p>Three numbers make a family: a seat, and the same with one change, twice. Half of the families
 * are ordinary work, the others anything that can be.
 *
 * @param number what it was drawn with
 * @param wall the head's wall, with a ridge or without
 * @param fit valve on seat; its seat's section is the wall without a ridge
 * @param direction which way the air goes
 * @param change what was changed against the first of its family; empty for that one
 */
record RandomSeat(int number, Profile wall, SeatFit fit, Direction direction, String change) {

  /** What is changed. */
  static final List<String> CHANGES =
      List.of(
          "throat",
          "seat width",
          "top cut",
          "lower cut",
          "no lower cut",
          "back cut",
          "no back cut",
          "underhead",
          "margin",
          "seat outside");

  /** Numbers to a family. */
  static final int FAMILY = 3;

  /** Families after which the directions come round again. */
  static final int DIRECTIONS = 4;

  /** Every fourth family is for air that goes out. */
  private static final int OUT = 3;

  /** From this number on seats are of 60 degrees, and heads may be tulips. */
  static final int STEEP = 30_000;

  private static final double STEEP_ANGLE = 60;

  private static final double[] SEAT_ANGLES = {30, 45, 45, 45, 45, 50, 55};

  private record Drawn(
      Seat seat, Valve valve, double ridgeAwayMm, double ridgeHighMm, String change) {}

  /** Its air at a lift, asked of the solver. */
  AirQuestion question(double liftOverHead, Turbulence turbulence, Fineness fineness) {
    double head = fit.pairing().valve().headDiameterMm();
    return new AirQuestion(
        wall, fit.valveAt(liftOverHead * head), head / 2, direction, turbulence, fineness);
  }

  /** The shape of a number. */
  static RandomSeat of(int number) {
    int family = number / FAMILY;
    for (int attempt = 0; ; attempt++) {
      Random random = new Random(1_000_003L * family + attempt);
      try {
        Drawn first = draw(random, isOrdinary(family), number >= STEEP);
        if (built(number, first).isEmpty()) {
          continue;
        }
        if (number % FAMILY == 0) {
          return built(number, first).orElseThrow();
        }
        return changed(number, first);
      } catch (IllegalArgumentException impossible) {
        // Drawn again.
      }
    }
  }

  /** Half of the families, for either direction. */
  private static boolean isOrdinary(int family) {
    return family % DIRECTIONS == OUT ? family % 8 == OUT : family % 2 == 0;
  }

  boolean isOrdinary() {
    return isOrdinary(number / FAMILY);
  }

  private static RandomSeat changed(int number, Drawn first) {
    for (int attempt = 0; ; attempt++) {
      try {
        Drawn other = change(first, new Random(7_000_003L * number + attempt));
        Optional<RandomSeat> built = built(number, other);
        if (built.isPresent()
            && (!other.seat().equals(first.seat()) || !other.valve().equals(first.valve()))) {
          return built.get();
        }
      } catch (IllegalArgumentException impossible) {
        // Another one.
      }
    }
  }

  private static Optional<RandomSeat> built(int number, Drawn d) {
    SeatFit fit = SeatFit.of(SeatSection.of(d.seat(), Tolerance.FINE), d.valve());
    if (fit.seated().isEmpty()) {
      return Optional.empty();
    }
    Profile wall = fit.seat().profile();
    if (d.ridgeHighMm() > 0) {
      wall = ridge(wall, d.ridgeAwayMm(), d.ridgeHighMm());
    }
    Direction direction =
        number / FAMILY % DIRECTIONS == OUT ? Direction.EXHAUST : Direction.INTAKE;
    return Optional.of(new RandomSeat(number, wall, fit, direction, d.change()));
  }

  private static Drawn draw(Random random, boolean ordinary, boolean steep) {
    double head = between(random, 24, 60);
    double angle = steep ? STEEP_ANGLE : SEAT_ANGLES[random.nextInt(SEAT_ANGLES.length)];
    Seat seat = ordinary ? ordinarySeat(random, head, angle) : seat(random, head, angle);
    Valve valve = valve(random, head, angle);
    if (steep) {
      valve = tulip(random, valve);
    }
    boolean ridge = random.nextInt(ordinary ? 12 : 5) == 0;
    return new Drawn(
        seat,
        valve,
        ridge ? between(random, 0.2, 4) : 0,
        ridge ? between(random, 0.2, 2.5) : 0,
        "");
  }

  /** One thing of a seat or valve made another, by as much as a shop would. */
  private static Drawn change(Drawn d, Random random) {
    Seat seat = d.seat();
    Valve valve = d.valve();
    int sealing = seat.sealing();
    List<Element> elements = new ArrayList<>(seat.stack().elements());
    int kind = random.nextInt(CHANGES.size());
    switch (kind) {
      case 0 ->
          seat = seat.withThroatDiameter(seat.throatDiameterMm() * between(random, 0.95, 1.05));
      case 1 -> {
        elements.set(
            sealing,
            seat.sealingCut().withWidth(seat.sealingCut().widthMm() * between(random, 0.6, 1.6)));
        seat = seat.withCuts(elements, sealing);
      }
      case 2 -> {
        if (sealing == 0) {
          elements.addFirst(
              new Cut(
                  seat.sealingCut().angleDeg() - between(random, 10, 25), between(random, 0.4, 2)));
          seat = seat.withCuts(elements, 1);
        } else if (random.nextInt(3) == 0) {
          seat = seat.withCuts(elements.subList(1, elements.size()), 0);
        } else {
          elements.set(
              0,
              new Cut(
                  Math.max(0, ((Cut) elements.getFirst()).angleDeg() + between(random, -10, 10)),
                  ((Cut) elements.getFirst()).widthMm() * between(random, 0.5, 1.8)));
          seat = seat.withCuts(elements, sealing);
        }
      }
      case 3 -> {
        int last = elements.size() - 1;
        if (last > sealing && elements.get(last) instanceof Cut cut) {
          elements.set(
              last,
              new Cut(
                  Math.min(90, cut.angleDeg() + between(random, -8, 8)),
                  cut.widthMm() * between(random, 0.4, 2)));
        } else if (last == sealing) {
          elements.add(
              new Cut(
                  seat.sealingCut().angleDeg() + between(random, 10, 25), between(random, 0.3, 2)));
        } else {
          elements.removeLast();
        }
        seat = seat.withCuts(elements, sealing);
      }
      case 4 -> {
        int last = elements.size() - 1;
        if (last > sealing) {
          elements.removeLast();
        }
        seat = seat.withCuts(elements, sealing);
      }
      case 5 ->
          valve =
              valve
                  .withFaceWidthMm(valve.faceWidthMm() * between(random, 0.5, 0.9))
                  .withBackCuts(
                      List.of(
                          new Cut(
                              Math.max(12, valve.faceAngleDeg() - between(random, 8, 20)),
                              between(random, 0.4, 1.8))));
      case 6 -> valve = valve.withBackCuts(List.of());
      case 7 ->
          valve =
              valve.withUnderhead(
                  new Underhead(
                      Math.clamp(valve.underhead().angleDeg() + between(random, -12, 12), 3, 32),
                      Math.max(0, valve.underhead().filletRadiusMm() + between(random, -5, 5))));
      case 8 -> valve = valve.withMarginMm(between(random, 0.6, 2.4));
      default ->
          seat =
              seat.withOutsideDiameterMm(seat.outsideDiameterMm() * between(random, 0.985, 1.015));
    }
    return new Drawn(seat, valve, d.ridgeAwayMm(), d.ridgeHighMm(), CHANGES.get(kind));
  }

  private static Seat ordinarySeat(Random random, double head, double angle) {
    double scale = head / 42;
    List<Element> elements = new ArrayList<>();
    int sealing = 0;
    if (random.nextInt(8) > 0) {
      elements.add(new Cut(angle - between(random, 10, 20), between(random, 0.4, 2) * scale));
      sealing = 1;
    }
    elements.add(new Cut(angle, between(random, 0.9, 2) * scale));
    int below = random.nextInt(5);
    if (below == 4) {
      elements.add(
          new Arc(angle + between(random, 3, 12), between(random, 75, 89), between(random, 3, 7)));
    } else {
      double from = angle;
      for (int k = 0; k < below; k++) {
        from += between(random, 8, 18);
        if (from > 88) {
          break;
        }
        elements.add(new Cut(from, between(random, 0.4, 2.5) * scale));
      }
    }
    return new Seat(
        new CutStack(elements, sealing),
        head * between(random, 0.97, 1.005),
        between(random, 0.3, 2),
        new Throat(head * between(random, 0.82, 0.92), between(random, 0, 0.15 * head)),
        new Bowl(head * between(random, 0.87, 1.05), head * between(random, 0.4, 0.7)),
        random.nextInt(3) == 0 ? 0 : between(random, 0, 25));
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

  /** A head that runs into the stem in a long curve. */
  private static Valve tulip(Random random, Valve valve) {
    return valve.withUnderhead(
        new Underhead(
            between(random, 12, 45), valve.headDiameterMm() * between(random, 0.15, 0.4)));
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
