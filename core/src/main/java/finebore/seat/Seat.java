package finebore.seat;

import finebore.section.Bounds;
import java.util.ArrayList;
import java.util.List;

/**
 * A valve seat as a stack of cuts, with the throat and bowl below and the chamber roof beside it.
 *
 * @param cuts from the chamber to the port, at least one
 * @param sealing which cut carries the valve, an index into the cuts
 * @param outsideDiameterMm diameter at the chamber-side edge of the sealing cut
 * @param depthMm how far that edge lies below the head face, 0 or more
 * @param throatDiameterMm diameter of the throat
 * @param throatLengthMm length of the straight throat below the last cut, 0 or more
 * @param bowlDiameterMm diameter of the bowl below the throat
 * @param bowlDepthMm how far below the seat's outside edge the bowl has reached its diameter
 * @param roofAngleDeg rise of the chamber roof beside the seat, 0 to 80 degrees
 */
public record Seat(
    List<Cut> cuts,
    int sealing,
    double outsideDiameterMm,
    double depthMm,
    double throatDiameterMm,
    double throatLengthMm,
    double bowlDiameterMm,
    double bowlDepthMm,
    double roofAngleDeg) {

  public Seat {
    cuts = List.copyOf(cuts);
    if (cuts.isEmpty()) {
      throw new IllegalArgumentException("a seat needs at least one cut");
    }
    if (sealing < 0 || sealing >= cuts.size()) {
      throw new IllegalArgumentException(
          "the sealing cut must be one of the "
              + cuts.size()
              + " cuts, was number "
              + (sealing + 1));
    }
    if (cuts.get(sealing).angleDeg() < 10 || cuts.get(sealing).angleDeg() > 75) {
      throw new IllegalArgumentException(
          "the sealing cut's angle must be 10 to 75 degrees, was " + cuts.get(sealing).angleDeg());
    }
    Bounds.check("seat outside diameter", outsideDiameterMm, 5, 200, "mm");
    Bounds.check("seat depth below the head face", depthMm, 0, 60, "mm");
    Bounds.check("throat diameter", throatDiameterMm, 3, 200, "mm");
    Bounds.check("throat length", throatLengthMm, 0, 60, "mm");
    Bounds.check("bowl diameter", bowlDiameterMm, 3, 250, "mm");
    Bounds.check("bowl depth", bowlDepthMm, 0, 100, "mm");
    Bounds.check("roof angle", roofAngleDeg, 0, 80, "degrees");
    if (throatDiameterMm >= outsideDiameterMm) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "throat diameter must be smaller than the seat outside diameter %.3f mm, was %.3f mm",
              outsideDiameterMm,
              throatDiameterMm));
    }
  }

  public Cut sealingCut() {
    return cuts.get(sealing);
  }

  /** How far the end of the last cut lies below the head face, mm, were all its metal there. */
  public double lowestMm() {
    return depthMm + cuts.stream().skip(sealing).mapToDouble(Cut::heightMm).sum();
  }

  public Seat withCuts(List<Cut> newCuts, int newSealing) {
    return new Seat(
        newCuts,
        newSealing,
        outsideDiameterMm,
        depthMm,
        throatDiameterMm,
        throatLengthMm,
        bowlDiameterMm,
        bowlDepthMm,
        roofAngleDeg);
  }

  /** This seat with one cut replaced. */
  public Seat withCut(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(cuts);
    changed.set(index, cut);
    return withCuts(changed, sealing);
  }

  /** This seat with a cut added before the given place; the sealing cut stays the same cut. */
  public Seat withCutInserted(int index, Cut cut) {
    List<Cut> changed = new ArrayList<>(cuts);
    changed.add(index, cut);
    return withCuts(changed, index <= sealing ? sealing + 1 : sealing);
  }

  /**
   * This seat without one cut. When the sealing cut goes, the neighbour nearest in angle takes its
   * place.
   *
   * @throws IllegalArgumentException if it is the only cut
   */
  public Seat withoutCut(int index) {
    List<Cut> changed = new ArrayList<>(cuts);
    Cut gone = changed.remove(index);
    if (index != sealing) {
      return withCuts(changed, index < sealing ? sealing - 1 : sealing);
    }
    int nearest = 0;
    for (int k = 1; k < changed.size(); k++) {
      if (Math.abs(changed.get(k).angleDeg() - gone.angleDeg())
          < Math.abs(changed.get(nearest).angleDeg() - gone.angleDeg())) {
        nearest = k;
      }
    }
    return withCuts(changed, nearest);
  }

  /** This seat with two cuts exchanged; the sealing cut stays the same cut. */
  public Seat withCutsSwapped(int a, int b) {
    List<Cut> changed = new ArrayList<>(cuts);
    java.util.Collections.swap(changed, a, b);
    int seal = sealing == a ? b : sealing == b ? a : sealing;
    return withCuts(changed, seal);
  }

  public Seat withSealing(int index) {
    return withCuts(cuts, index);
  }

  public Seat withOutsideDiameter(double mm) {
    return new Seat(
        cuts,
        sealing,
        mm,
        depthMm,
        throatDiameterMm,
        throatLengthMm,
        bowlDiameterMm,
        bowlDepthMm,
        roofAngleDeg);
  }

  public Seat withDepth(double mm) {
    return new Seat(
        cuts,
        sealing,
        outsideDiameterMm,
        mm,
        throatDiameterMm,
        throatLengthMm,
        bowlDiameterMm,
        bowlDepthMm,
        roofAngleDeg);
  }

  public Seat withThroat(double mm) {
    return new Seat(
        cuts,
        sealing,
        outsideDiameterMm,
        depthMm,
        mm,
        throatLengthMm,
        bowlDiameterMm,
        bowlDepthMm,
        roofAngleDeg);
  }

  public Seat withThroatLength(double mm) {
    return new Seat(
        cuts,
        sealing,
        outsideDiameterMm,
        depthMm,
        throatDiameterMm,
        mm,
        bowlDiameterMm,
        bowlDepthMm,
        roofAngleDeg);
  }

  public Seat withBowl(double diameterMm, double depthBelowSeatMm) {
    return new Seat(
        cuts,
        sealing,
        outsideDiameterMm,
        depthMm,
        throatDiameterMm,
        throatLengthMm,
        diameterMm,
        depthBelowSeatMm,
        roofAngleDeg);
  }

  public Seat withRoofAngle(double deg) {
    return new Seat(
        cuts,
        sealing,
        outsideDiameterMm,
        depthMm,
        throatDiameterMm,
        throatLengthMm,
        bowlDiameterMm,
        bowlDepthMm,
        deg);
  }
}
