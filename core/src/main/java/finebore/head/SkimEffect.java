package finebore.head;

import finebore.head.HeadPlan.Spot;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.planning.SeatRoom;
import finebore.room.Room;
import finebore.study.ReadingKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The skim that brings the compression ratio back which a plan takes, and what it does to the rest
 * of the head.
 *
 * @param ratioFound as found
 * @param ratioPlanned after the plan
 * @param skimMm off the head face, as a prism over the chamber's mouth
 * @param seatDepthMm depth of the seat below the face then, as planned
 * @param thicknessLeftMm of the head above the thinnest it may be; below 0 too thin
 * @param intakeFaceMm what a rigid manifold of a V engine needs off each intake face to sit down in
 *     line with the ports
 * @param endRailMm what it then sits lower, to come off its ends or the block's
 */
public record SkimEffect(
    double ratioFound,
    double ratioPlanned,
    double skimMm,
    double seatDepthMm,
    OptionalDouble thicknessLeftMm,
    OptionalDouble intakeFaceMm,
    OptionalDouble endRailMm) {

  /** Ratios closer than this are the same. */
  private static final double SAME = 0.005;

  /**
   * Of a plan; empty where ratio or chamber mouth are not known, and where the plan lowers nothing.
   */
  public static Optional<SkimEffect> of(SeatOutcome outcome) {
    Job job = outcome.cut().job();
    OptionalDouble found = job.head().compressionRatio();
    OptionalDouble planned = outcome.reading(ReadingKind.COMPRESSION);
    OptionalDouble mouth = mouthMm2(job, outcome.place().cylinder());
    if (found.isEmpty()
        || planned.isEmpty()
        || mouth.isEmpty()
        || found.getAsDouble() - planned.getAsDouble() < SAME) {
      return Optional.empty();
    }
    double swept = job.engine().sweptMm3();
    double grown = swept / (planned.getAsDouble() - 1) - swept / (found.getAsDouble() - 1);
    double skim = grown / mouth.getAsDouble();
    Head head = job.head();
    OptionalDouble left = head.skimLeftMm();
    OptionalDouble face = intakeFace(head);
    return Optional.of(
        new SkimEffect(
            found.getAsDouble(),
            planned.getAsDouble(),
            skim,
            outcome.cut().fit().seat().seat().depthMm() - skim,
            left.isPresent() ? OptionalDouble.of(left.getAsDouble() - skim) : left,
            face.isPresent() ? OptionalDouble.of(skim * face.getAsDouble()) : face,
            face.isPresent() ? OptionalDouble.of(skim * rails(head, face.getAsDouble())) : face));
  }

  /** Area of the chamber on the head face: as traced, or of the walls round its valves as one. */
  private static OptionalDouble mouthMm2(Job job, int cylinder) {
    if (job.head().chamber(cylinder).isPresent()) {
      return OptionalDouble.of(job.head().chamber(cylinder).get().areaMm2());
    }
    List<List<Spot>> outlines = new ArrayList<>();
    for (SeatPlace seat : job.engine().seats()) {
      Optional<Room> room =
          seat.cylinder() == cylinder ? SeatRoom.found(job, seat) : Optional.empty();
      room.flatMap(Room::chamber)
          .ifPresent(
              wall ->
                  outlines.add(
                      HeadPlan.round(
                          new Spot(room.get().alongMm(), room.get().acrossMm()), wall::atMm)));
    }
    return outlines.isEmpty()
        ? OptionalDouble.empty()
        : HeadPlan.together(outlines)
            .map(line -> OptionalDouble.of(TakeBack.areaMm2(line)))
            .orElse(OptionalDouble.empty());
  }

  /**
   * What comes off an intake face for each mm of skim. The head sinks along its bank by the skim;
   * the manifold sinks straight down until it is in line with the ports, and the face has come so
   * much nearer: sin(half the bank) / cos(half the bank + the face's angle). Plane geometry; it is
   * the 1.23 that is quoted for 90 degrees between banks and a face of 10 degrees.
   */
  private static OptionalDouble intakeFace(Head head) {
    if (head.bankDeg().isEmpty()
        || head.bankDeg().getAsDouble() == 0
        || head.intakeFaceDeg().isEmpty()) {
      return OptionalDouble.empty();
    }
    double half = Math.toRadians(head.bankDeg().getAsDouble() / 2);
    double lean = half + Math.toRadians(head.intakeFaceDeg().getAsDouble());
    return Math.cos(lean) < 1e-6
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.sin(half) / Math.cos(lean));
  }

  private static double rails(Head head, double face) {
    double half = Math.toRadians(head.bankDeg().getAsDouble() / 2);
    double lean = half + Math.toRadians(head.intakeFaceDeg().getAsDouble());
    return Math.cos(half) + face * Math.sin(lean);
  }
}
