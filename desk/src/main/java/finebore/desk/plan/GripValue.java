package finebore.desk.plan;

import finebore.valve.Pairing;

/** The one value that the arrow keys change at a grip. */
@FunctionalInterface
interface GripValue {

  /** The pairing with the value larger by so many mm. */
  Pairing changed(Pairing pairing, double mm);

  static GripValue of(String grip) {
    if (grip.startsWith("cut-")) {
      int k = Integer.parseInt(grip.substring(4));
      return (p, mm) -> {
        var cut = p.seat().cuts().get(k);
        return p.withSeat(p.seat().withCut(k, cut.withWidth(Math.max(0, cut.widthMm() + mm))));
      };
    }
    if (grip.startsWith("back-cut-")) {
      int k = Integer.parseInt(grip.substring(9));
      return (p, mm) -> {
        var cut = p.valve().backCuts().get(k);
        return p.withValve(
            p.valve().withBackCut(k, cut.withWidth(Math.max(0, cut.widthMm() + mm))));
      };
    }
    return switch (grip) {
      case "seat-outside" ->
          (p, mm) -> p.withSeat(p.seat().withOutsideDiameterMm(p.seat().outsideDiameterMm() + mm));
      case "throat" ->
          (p, mm) -> p.withSeat(p.seat().withThroatDiameter(p.seat().throatDiameterMm() + mm));
      case "valve-head" ->
          (p, mm) -> p.withValve(p.valve().withHeadDiameterMm(p.valve().headDiameterMm() + mm));
      case "valve-face" ->
          (p, mm) ->
              p.withValve(
                  p.valve().withFace(p.valve().faceAngleDeg(), p.valve().faceWidthMm() + mm));
      default -> (p, mm) -> p;
    };
  }
}
