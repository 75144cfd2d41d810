package finebore.seat;

import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import finebore.section.Tolerance;
import java.util.ArrayList;
import java.util.List;

/**
 * A seat laid out in the section plane: the wall from the head face, down the chamber roof, over
 * the cuts and into the throat and port.
 *
 * <p>Cuts chain from the seat's outside edge: those above it outward and up, those below it inward
 * and down. What lies above the head face or inside the throat bore is not there to be cut, so
 * those cuts come in short or never touch. Where the last cut ends outside the throat, the throat's
 * own metal stays as a flat shoulder with a square edge.
 *
 * @param seat the seat laid out
 * @param profile the wall, from the chamber to the port
 * @param shown what is left showing of each cut, in the seat's order
 */
public record SeatSection(Seat seat, Profile profile, List<ShownCut> shown) {

  /** How far the head face and the port are drawn on past the seat, in seat outside diameters. */
  private static final double SURROUNDINGS = 0.55;

  public SeatSection {
    shown = List.copyOf(shown);
  }

  /** What is left showing of each cut and arc, in the seat's order. */
  public List<ShownElement> shownElements() {
    List<ShownElement> all = new ArrayList<>();
    int first = 0;
    for (Element element : seat.stack().elements()) {
      List<ShownCut> cuts = shown.subList(first, first + element.cuts().size());
      all.add(
          new ShownElement(
              all.size(),
              element,
              first,
              cuts.stream().mapToDouble(c -> c.cut().widthMm()).sum(),
              cuts.stream().mapToDouble(ShownCut::shownMm).sum()));
      first += cuts.size();
    }
    return all;
  }

  public static SeatSection of(Seat seat, Tolerance tolerance) {
    double[] shownMm = new double[seat.cuts().size()];
    Point edge = new Point(seat.outsideDiameterMm() / 2, -seat.depthMm());

    List<Stretch> above = chamberSide(seat, edge, shownMm);
    List<Stretch> below = portSide(seat, edge, shownMm);

    Point top = above.isEmpty() ? edge : above.getLast().end();
    double farR = Math.max(edge.r() + SURROUNDINGS * seat.outsideDiameterMm(), top.r() + 1);
    double roof = Math.toRadians(seat.roofAngleDeg());
    double rise = Math.min(-top.z(), (farR - top.r()) * Math.tan(roof));
    double roofRun = roof == 0 ? farR - top.r() : rise / Math.tan(roof);
    Point roofEnd = top.plus(roofRun, rise);

    Profile.Builder wall =
        new Profile.Builder(new Point(Math.max(farR, roofEnd.r()), roofEnd.z()), tolerance);
    wall.to(roofEnd, Surface.of(Trace.HEAD_FACE));
    wall.to(top, Surface.of(Trace.CHAMBER_ROOF));
    for (int k = above.size() - 1; k >= 0; k--) {
      wall.to(k == 0 ? edge : above.get(k - 1).end(), above.get(k).surface());
    }
    for (Stretch stretch : below) {
      wall.to(stretch.end(), stretch.surface());
    }

    List<ShownCut> shown = new ArrayList<>();
    for (int k = 0; k < shownMm.length; k++) {
      shown.add(new ShownCut(k, seat.cuts().get(k), shownMm[k]));
    }
    return new SeatSection(seat, wall.build(), shown);
  }

  /** The place of the seat's outside edge, mm. */
  public Point outsideEdge() {
    return new Point(seat.outsideDiameterMm() / 2, -seat.depthMm());
  }

  private record Stretch(Point end, Surface surface) {}

  private static List<Stretch> chamberSide(Seat seat, Point edge, double[] shownMm) {
    List<Stretch> stretches = new ArrayList<>();
    Point at = edge;
    for (int k = seat.sealing() - 1; k >= 0; k--) {
      Cut cut = seat.cuts().get(k);
      double room = Math.max(0, -at.z());
      double part = cut.heightMm() <= room ? 1 : room / cut.heightMm();
      shownMm[k] = part * cut.widthMm();
      at = at.plus(part * cut.projectedMm(), part * cut.heightMm());
      stretches.add(new Stretch(at, surfaceOf(cut, k)));
    }
    return stretches;
  }

  private static List<Stretch> portSide(Seat seat, Point edge, double[] shownMm) {
    List<Stretch> stretches = new ArrayList<>();
    double throatR = seat.throatDiameterMm() / 2;
    Point at = edge;
    for (int k = seat.sealing(); k < seat.cuts().size(); k++) {
      Cut cut = seat.cuts().get(k);
      double room = Math.max(0, at.r() - throatR);
      double part = cut.projectedMm() <= room ? 1 : room / cut.projectedMm();
      // An upright cut takes no room: it shows only while the wall is still outside the throat.
      if (cut.projectedMm() < 1e-9 && room == 0) {
        part = 0;
      }
      shownMm[k] = part * cut.widthMm();
      at = at.plus(-part * cut.projectedMm(), -part * cut.heightMm());
      stretches.add(new Stretch(at, surfaceOf(cut, k)));
    }
    at = new Point(throatR, at.z());
    stretches.add(new Stretch(at, Surface.of(Trace.THROAT_SHOULDER)));
    at = at.plus(0, -seat.throatLengthMm());
    stretches.add(new Stretch(at, Surface.of(Trace.THROAT)));
    Surface bowl = Surface.of(Trace.BOWL);
    double bowlZ = Math.min(-seat.depthMm() - seat.bowlDepthMm(), at.z());
    at = new Point(seat.bowlDiameterMm() / 2, bowlZ);
    stretches.add(new Stretch(at, bowl));
    double portZ = edge.z() - seat.outsideDiameterMm();
    stretches.add(new Stretch(at.plus(0, Math.min(portZ - at.z(), -1)), bowl));
    return stretches;
  }

  private static Surface surfaceOf(Cut cut, int index) {
    return Surface.cut(index, cut.angleDeg());
  }
}
