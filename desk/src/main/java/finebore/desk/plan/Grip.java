package finebore.desk.plan;

import finebore.code.Message;
import finebore.code.Term;
import finebore.desk.session.SeatView;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.ShownCut;
import finebore.section.Point;
import finebore.section.Surface.Part;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;

/**
 * A corner of the drawing that can be taken hold of.
 *
 * @param id stays the same while the drawing changes
 * @param name what a plain drag changes
 * @param at where it is, mm
 * @param drag what a drag does
 */
record Grip(String id, Message name, Point at, Drag drag) {

  /** Moves a pairing by a drag of (dr, dz) mm from where it began; the other way with Shift. */
  @FunctionalInterface
  interface Drag {
    Pairing moved(Pairing start, double dr, double dz, boolean other, double stepMm);
  }

  /** All grips of the state looked at, the valve lifted. */
  static List<Grip> of(SeatView work, double liftMm) {
    List<Grip> grips = new ArrayList<>();
    // What was measured of a seat is changed where it was read in.
    boolean measured =
        work.showFound() && !work.job().head().readingsOf(work.place().label()).isEmpty();
    if (!measured) {
      ofSeat(work, grips);
    }
    double rest = work.shown().seated().map(s -> s.restMm()).orElse(0.0);
    Valve valve = work.pairing().valve();
    grips.add(
        new Grip(
            "valve-head",
            named("valveHead"),
            new Point(valve.headDiameterMm() / 2, rest + liftMm),
            (start, dr, dz, other, step) ->
                start.withValve(
                    start
                        .valve()
                        .withHeadDiameterMm(tidy(start.valve().headDiameterMm() + 2 * dr, step)))));
    Point face = work.shown().valve().faceInnerEdge();
    grips.add(new Grip("valve-face", named("faceWidth"), face.plus(0, rest + liftMm), Grip::face));
    for (int k = 0; k < valve.backCuts().size(); k++) {
      Cut cut = valve.backCuts().get(k);
      face = face.plus(-cut.projectedMm(), -cut.heightMm());
      int index = k;
      grips.add(
          new Grip(
              "back-cut-" + k,
              named("backCut"),
              face.plus(0, rest + liftMm),
              (start, dr, dz, other, step) -> backCut(start, index, dr, dz, step)));
    }
    return List.copyOf(grips);
  }

  private static Message named(String what) {
    return Message.of("grip." + what);
  }

  private static void ofSeat(SeatView work, List<Grip> grips) {
    grips.add(
        new Grip(
            "seat-outside",
            named("seatOutside"),
            work.shown().seat().outsideEdge(),
            Grip::seatOutside));
    for (ShownCut shown : work.shown().seat().shown()) {
      OptionalInt wanted = work.wantedCut(shown.index());
      boolean single =
          wanted.isPresent() && !work.pairing().seat().stack().isOfArc(wanted.getAsInt());
      if (shown.shownMm() > 0 && single) {
        int k = wanted.getAsInt();
        grips.add(
            new Grip(
                "cut-" + k,
                named("cut").with("angle", Term.angle(shown.cut().angleDeg())),
                farEnd(work, shown.index()),
                (start, dr, dz, other, step) -> cut(start, k, dr, dz, other, step)));
      }
    }
    throat(work)
        .ifPresent(
            at ->
                grips.add(
                    new Grip(
                        "throat",
                        named("throat"),
                        at,
                        (start, dr, dz, other, step) ->
                            start.withSeat(
                                start
                                    .seat()
                                    .withThroatDiameter(
                                        tidy(start.seat().throatDiameterMm() + 2 * dr, step))))));
  }

  private static Point farEnd(SeatView work, int cut) {
    var profile = work.shown().seat().profile();
    boolean above = cut < work.shown().pairing().seat().sealing();
    Point best = work.shown().seat().outsideEdge();
    for (int k = 0; k < profile.segmentCount(); k++) {
      var surface = profile.surfaces().get(k);
      if (surface.part() == Part.CUT && surface.index() == cut) {
        best = above ? profile.start(k) : profile.end(k);
      }
    }
    return best;
  }

  private static java.util.Optional<Point> throat(SeatView work) {
    var profile = work.shown().seat().profile();
    for (int k = 0; k < profile.segmentCount(); k++) {
      if (profile.surfaces().get(k).part() == Part.THROAT) {
        return java.util.Optional.of(profile.start(k).toward(profile.end(k), 0.5));
      }
    }
    return java.util.Optional.empty();
  }

  private static double tidy(double mm, double step) {
    return Math.round(mm / step) * step;
  }

  private static Pairing seatOutside(
      Pairing start, double dr, double dz, boolean other, double step) {
    Seat seat = start.seat();
    return start.withSeat(
        other
            ? seat.withDepthMm(Math.max(0, tidy(seat.depthMm() - dz, step)))
            : seat.withOutsideDiameterMm(tidy(seat.outsideDiameterMm() + 2 * dr, step)));
  }

  private static Pairing cut(
      Pairing start, int k, double dr, double dz, boolean other, double step) {
    Seat seat = start.seat();
    Cut cut = seat.cuts().get(k);
    double a = Math.toRadians(cut.angleDeg());
    int out = k < seat.sealing() ? 1 : -1;
    if (other) {
      double r = cut.widthMm() * Math.cos(a) + out * dr;
      double z = cut.widthMm() * Math.sin(a) + out * dz;
      double angle = Math.clamp(Math.round(2 * Math.toDegrees(Math.atan2(z, r))) / 2.0, 0, 90);
      return start.withSeat(seat.withCut(k, cut.withAngle(angle)));
    }
    double along = out * (dr * Math.cos(a) + dz * Math.sin(a));
    return start.withSeat(
        seat.withCut(k, cut.withWidth(Math.max(0, tidy(cut.widthMm() + along, step)))));
  }

  private static Pairing face(Pairing start, double dr, double dz, boolean other, double step) {
    Valve valve = start.valve();
    double a = Math.toRadians(valve.faceAngleDeg());
    double along = -(dr * Math.cos(a) + dz * Math.sin(a));
    return start.withValve(
        valve.withFace(
            valve.faceAngleDeg(), Math.max(0.05, tidy(valve.faceWidthMm() + along, step))));
  }

  private static Pairing backCut(Pairing start, int k, double dr, double dz, double step) {
    Cut cut = start.valve().backCuts().get(k);
    double a = Math.toRadians(cut.angleDeg());
    double along = -(dr * Math.cos(a) + dz * Math.sin(a));
    return start.withValve(
        start
            .valve()
            .withBackCut(k, cut.withWidth(Math.max(0, tidy(cut.widthMm() + along, step)))));
  }
}
