package finebore.desk.controls;

import finebore.drawing.Scribe;
import finebore.job.Engine.SeatPlace;
import finebore.planning.RoomAtLift;
import finebore.planning.SeatPlaces;
import finebore.room.AxisPlace;
import finebore.room.Shroud.Part;
import finebore.room.Shroud.State;
import finebore.room.WallBack;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What stands round a valve, in sentences for the line under its drawing. */
record RoomWords(Words words, RoomAtLift seen) {

  /** What a caliper may be out by, mm; common practice, no source. */
  private static final double OFF_MM = 0.1;

  /**
   * One sentence each.
   *
   * @param direction looked at
   * @param places where it is to be said how the seat's place is known
   */
  List<String> of(double liftMm, int direction, Optional<SeatPlaces> places, SeatPlace seat) {
    List<String> lines = new ArrayList<>();
    lines.add(
        words.text(
            "room.share",
            "share",
            UnitSystem.fixed(100 * (1 - seen.shroud().share()), 1),
            "lift",
            length(liftMm),
            "free",
            degrees(State.FREE),
            "tight",
            degrees(State.TIGHT),
            "shut",
            degrees(State.SHUT)));
    lines.add(at(direction));
    lines.add(seen.back().isEmpty() ? words.text("room.noWall") : back(seen.back().get(direction)));
    seen.gain()
        .ifPresent(
            g ->
                lines.add(
                    words.text(
                        "room.gain",
                        "step",
                        length(RoomAtLift.STEP_MM),
                        "gain",
                        UnitSystem.fixed(100 * g, 2))));
    places
        .filter(p -> p.isWorkedOut(seat))
        .ifPresent(p -> lines.add(workedOut(p.at(seat).orElseThrow(), p.magnified(seat))));
    places
        .filter(p -> p.isWorkedOut(seat) && p.takenAsSymmetric())
        .ifPresent(p -> lines.add(words.text("room.symmetric")));
    lines.add(words.text("room.basis"));
    return lines;
  }

  private String length(double mm) {
    return words.figure(Dimension.LENGTH, mm);
  }

  private String degrees(State state) {
    return UnitSystem.fixed(seen.shroud().degrees(state), 0);
  }

  private String at(int direction) {
    Part part = seen.shroud().parts().get(direction);
    return words.text(
        "room.at",
        "hour",
        Scribe.hour(direction),
        "what",
        words.text("room.nearest." + part.gap().what().name().toLowerCase(Locale.ROOT)),
        "gap",
        length(part.gap().distanceMm()),
        "passes",
        UnitSystem.fixed(100 * part.passes(), 0));
  }

  private String back(WallBack wall) {
    return words.text(
            "room.back",
            "now",
            length(wall.nowMm()),
            "free",
            length(wall.freeMm()),
            "rule",
            length(wall.ruleMm()))
        + " "
        + words.text(
            wall.isHeld() ? "room.held" : "room.take",
            "take",
            length(wall.takeMm()),
            "limit",
            length(wall.limitMm()),
            "by",
            words.text("room.limit." + wall.limit().by().name().toLowerCase(Locale.ROOT)));
  }

  private String workedOut(AxisPlace axis, double magnified) {
    return words.text(
        "room.workedOut",
        "along",
        length(axis.alongMm()),
        "across",
        length(axis.acrossMm()),
        "off",
        length(OFF_MM),
        "out",
        length(OFF_MM * magnified));
  }
}
