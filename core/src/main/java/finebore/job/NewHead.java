package finebore.job;

import finebore.quantity.Quantity;
import finebore.quantity.Setting;
import finebore.seat.Arc;
import finebore.seat.Bowl;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.seat.Seat;
import finebore.seat.Throat;
import finebore.valve.Pairing;
import finebore.valve.Valve;
import java.util.ArrayList;
import java.util.List;

/**
 * What is asked first of a head nobody has measured: valve, stem, seat angle. Seat and throat of a
 * kind of seat then grow with its valve, in the proportions they had, until they are measured.
 */
public final class NewHead {

  /** Of a kind of seat. */
  public static final List<Setting<Group>> FIGURES =
      List.of(
          Setting.number(
              "valveHeadMm",
              "figure.newHeadMm",
              Quantity.VALVE_HEAD,
              g -> g.found().valve().headDiameterMm(),
              (g, mm) -> g.withFound(withHead(g.found(), mm))),
          Setting.number(
              "stemMm",
              "figure.newStemMm",
              Quantity.STEM,
              g -> g.found().valve().stemDiameterMm(),
              (g, mm) ->
                  g.withFound(g.found().withValve(g.found().valve().withStemDiameterMm(mm)))),
          Setting.number(
              "seatAngleDeg",
              "figure.newSeatAngleDeg",
              Quantity.SEALING_ANGLE,
              g -> g.found().seat().sealingCut().angleDeg(),
              (g, deg) -> g.withFound(withSeatAngle(g.found(), deg))));

  private NewHead() {}

  /** Another valve head, with seat, throat and bowl in the proportions they had. */
  public static Pairing withHead(Pairing before, double headMm) {
    double by = headMm / before.valve().headDiameterMm();
    Seat seat = before.seat();
    // All at once: one after the other a much smaller seat would for a moment have too large a
    // throat.
    Seat grown =
        new Seat(
            seat.stack(),
            round(seat.outsideDiameterMm() * by),
            seat.depthMm(),
            new Throat(round(seat.throatDiameterMm() * by), seat.throatLengthMm()),
            new Bowl(round(seat.bowlDiameterMm() * by), seat.bowlDepthMm()),
            seat.roofAngleDeg());
    return new Pairing(grown, before.valve().withHeadDiameterMm(headMm));
  }

  /** Another seat angle: the cuts beside it and the valve's face turn along. */
  public static Pairing withSeatAngle(Pairing before, double angleDeg) {
    Seat seat = before.seat();
    double turn = angleDeg - seat.sealingCut().angleDeg();
    List<Element> cuts = new ArrayList<>();
    for (Element element : seat.stack().elements()) {
      cuts.add(
          switch (element) {
            case Cut(double deg, double mm) -> new Cut(Math.clamp(deg + turn, 0, 90), mm);
            case Arc arc -> arc.turned(turn);
          });
    }
    Valve valve = before.valve();
    return new Pairing(
        seat.withCuts(cuts, seat.stack().sealingElement()),
        valve.withFace(valve.faceAngleDeg() + turn, valve.faceWidthMm()));
  }

  private static double round(double mm) {
    return Math.round(20 * mm) / 20.0;
  }
}
