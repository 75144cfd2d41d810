package finebore.figures;

import finebore.Samples;
import finebore.code.RuleViolation;
import finebore.cutting.Blend;
import finebore.cutting.CutAngle;
import finebore.cutting.CutForm;
import finebore.cutting.CutUnder;
import finebore.cutting.FitRing;
import finebore.cutting.OpenBowl;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.SweepChamber;
import finebore.cutting.TakeWallBack;
import finebore.flow.CamLift;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.job.Engine;
import finebore.job.Engine.SeatPlace;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.HeadLayout;
import finebore.job.Job;
import finebore.job.PistonSide;
import finebore.job.Pistons;
import finebore.job.Plan;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.Throat;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.Supplier;

/** Heads of figures from anywhere within the bounds, the bounds themselves often. */
public final class AnyHead {

  private final Random random;

  private AnyHead(long seed) {
    random = new Random(seed);
  }

  public static Job of(long seed) {
    return new AnyHead(seed).job();
  }

  private double any(Quantity quantity) {
    return switch (random.nextInt(8)) {
      case 0 -> quantity.min();
      case 1 -> quantity.max();
      default -> quantity.min() + random.nextDouble() * (quantity.max() - quantity.min());
    };
  }

  /** Mostly near a figure, so that not everything is absurd at once. */
  private double near(Quantity quantity, double usual) {
    double value =
        random.nextInt(5) == 0 ? any(quantity) : usual * (0.9 + 0.2 * random.nextDouble());
    return Math.clamp(value, quantity.min(), quantity.max());
  }

  private OptionalDouble maybe(Quantity quantity, double usual) {
    return random.nextBoolean() ? OptionalDouble.empty() : OptionalDouble.of(near(quantity, usual));
  }

  /** Tries until something can be. */
  private <T> T some(Supplier<T> maker) {
    for (int k = 0; k < 1000; k++) {
      try {
        return maker.get();
      } catch (RuleViolation e) {
        // Not every throw of the dice can be entered.
        continue;
      }
    }
    throw new IllegalStateException("nothing can be");
  }

  private Job job() {
    Engine engine =
        some(
            () ->
                new Engine(
                    1 + random.nextInt(2),
                    1 + random.nextInt(3),
                    1 + random.nextInt(2),
                    near(Quantity.BORE, 85),
                    near(Quantity.STROKE, 80),
                    near(Quantity.ENGINE_SPEED, 6000),
                    maybe(Quantity.TARGET_POWER, 100),
                    maybe(Quantity.VALVE_SPACING, 40),
                    new Pistons(
                        maybe(Quantity.ROD, 140),
                        maybe(Quantity.DECK, 0.3),
                        maybe(Quantity.GASKET, 1))));
    Group intake = group(38);
    Group exhaust = group(32);
    Job job =
        some(
            () ->
                Samples.job()
                    .withEngine(engine)
                    .withIntake(intake)
                    .withExhaust(exhaust)
                    .withHead(head(engine)));
    for (SeatPlace place : job.engine().seats()) {
      for (Measure measure : Measure.values()) {
        if (random.nextInt(3) == 0) {
          Head head = job.head();
          double usual = random.nextBoolean() ? 35 : 3;
          double read = near(measure.quantity(), usual);
          job = job.withHead(head.withReading(place.label(), measure, OptionalDouble.of(read)));
        }
      }
    }
    return job;
  }

  private Group group(double head) {
    Pairing found = some(() -> pairing(head));
    Pairing wanted = some(() -> pairing(head));
    List<Operation> operations = new ArrayList<>();
    for (int k = random.nextInt(6); k >= 0; k--) {
      operations.add(some(() -> operation(head)));
    }
    return some(
        () ->
            Group.of(
                    found,
                    wanted,
                    new CamLift(near(Quantity.CAM_LIFT, 10), near(Quantity.CAM_DURATION, 270)),
                    maybe(Quantity.AXIS_FROM_BORE, 20),
                    maybe(Quantity.RETAINER_TO_SEAL, 12))
                .withPistonSide(
                    new PistonSide(
                        maybe(Quantity.CAM_CENTRE, 108),
                        maybe(Quantity.LASH, 0.2),
                        maybe(Quantity.POCKET_DEPTH, 4),
                        maybe(Quantity.POCKET_RADIUS, 20),
                        maybe(Quantity.POCKET_ANGLE, 8),
                        maybe(Quantity.POCKET_WALL, 8)))
                .withPlans(List.of(Plan.of(wanted, operations))));
  }

  private Pairing pairing(double head) {
    List<Element> elements = new ArrayList<>();
    for (int k = random.nextInt(5); k >= 0; k--) {
      elements.add(
          random.nextInt(6) == 0
              ? new Arc(
                  10 + random.nextInt(40), 60 + random.nextInt(30), near(Quantity.ARC_RADIUS, 6))
              : new Cut(near(Quantity.CUT_ANGLE, 45), near(Quantity.CUT_WIDTH, 1.2)));
    }
    Seat seat =
        new Seat(
            new CutStack(elements, random.nextInt(elements.size())),
            near(Quantity.SEAT_OUTSIDE, head - 0.5),
            near(Quantity.SEAT_DEPTH, 8),
            new Throat(near(Quantity.THROAT, 0.87 * head), near(Quantity.THROAT_LENGTH, 5)),
            new Bowl(near(Quantity.BOWL, 0.9 * head), near(Quantity.BOWL_DEPTH, 15)),
            near(Quantity.ROOF_ANGLE, 10));
    List<Cut> backCuts = new ArrayList<>();
    for (int k = random.nextInt(3); k > 0; k--) {
      backCuts.add(new Cut(near(Quantity.CUT_ANGLE, 30), near(Quantity.CUT_WIDTH, 1)));
    }
    Valve valve =
        new Valve(
            near(Quantity.VALVE_HEAD, head),
            near(Quantity.MARGIN, 1.2),
            near(Quantity.FACE_ANGLE, 45),
            near(Quantity.FACE_WIDTH, 2),
            backCuts,
            new Underhead(near(Quantity.UNDERHEAD_ANGLE, 15), near(Quantity.UNDERHEAD_RADIUS, 8)),
            near(Quantity.STEM, 7),
            random.nextInt(3) == 0 ? near(Quantity.MARGIN_EDGE_RADIUS, 0.3) : 0);
    return new Pairing(seat, valve);
  }

  private Operation operation(double head) {
    OptionalDouble open = OptionalDouble.empty();
    Plunge plunge =
        switch (random.nextInt(3)) {
          case 0 -> new Plunge.AsPlanned();
          case 1 -> new Plunge.ToDepth(near(Quantity.SEAT_DEPTH, 8.5));
          default -> new Plunge.UntilClean(random.nextDouble(), random.nextBoolean());
        };
    return switch (random.nextInt(10)) {
      case 0 -> new OpenThroat(maybe(Quantity.THROAT, 0.88 * head), random.nextInt(20), open);
      case 1 -> new OpenThroat(open, 0, maybe(Quantity.THROAT_LENGTH, 12));
      case 2, 3 -> new CutForm("", maybe(Quantity.SEAT_OUTSIDE, head - 0.5), plunge);
      case 4 ->
          new CutAngle(
              CutAngle.SingleTool.STONE,
              near(Quantity.CUT_ANGLE, 60),
              near(Quantity.SEAT_OUTSIDE, head),
              plunge);
      case 5 ->
          new CutUnder(
              near(Quantity.UNDERCUT_LEAN, 12),
              maybe(Quantity.THROAT, 0.9 * head),
              near(Quantity.UNDERCUT_HEIGHT, 3),
              open);
      case 6 ->
          new SweepChamber(near(Quantity.SWEEP_ANGLE, 15), near(Quantity.SWEEP_REACH, 60), open);
      case 7 ->
          new TakeWallBack(
              near(Quantity.WALL_CLOCK, 3),
              near(Quantity.WALL_CLOCK, 8),
              near(Quantity.WALL_RADIUS, 24));
      case 8 ->
          random.nextBoolean()
              ? new Blend(
                  Blend.Side.values()[random.nextInt(2)],
                  random.nextDouble(),
                  near(Quantity.BLEND_RADIUS, 1.5))
              : new OpenBowl(maybe(Quantity.BOWL, 0.9 * head), maybe(Quantity.BOWL_DEPTH, 15));
      default ->
          new FitRing(
              new Ring(
                  near(Quantity.RING_OUTSIDE, head + 3),
                  near(Quantity.RING_BORE, 0.85 * head),
                  near(Quantity.RING_FLOOR, 13),
                  near(Quantity.RING_HEIGHT, 8),
                  near(Quantity.RING_FIT, 0.1),
                  ""));
    };
  }

  private Head head(Engine engine) {
    Optional<HeadLayout> layout =
        random.nextBoolean()
            ? Optional.empty()
            : Optional.of(
                new HeadLayout(
                    engine.cylinders(),
                    near(Quantity.BORE_SPACING, 95),
                    near(Quantity.FIRE_RING, 88),
                    near(Quantity.VALVE_LINE, 80),
                    near(Quantity.PLUG_ALONG, 24),
                    near(Quantity.PLUG_ACROSS, 2),
                    near(Quantity.PLUG_THREAD, 14),
                    near(Quantity.INTAKE_LEAN, 10),
                    near(Quantity.EXHAUST_LEAN, 10)));
    return new Head(
        maybe(Quantity.HEAD_THICKNESS_NEW, 120),
        maybe(Quantity.HEAD_THICKNESS, 119.5),
        maybe(Quantity.HEAD_THICKNESS_LEAST, 119),
        maybe(Quantity.CHAMBER, 44),
        maybe(Quantity.COMPRESSION, 10),
        layout,
        Map.of());
  }
}
