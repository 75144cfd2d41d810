package finebore.seat;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * A valve seat in the head, as found or as wanted.
 *
 * @param stack its cuts from the chamber to the port
 * @param outsideDiameterMm where the sealing cut begins at its chamber side
 * @param depthMm how far that edge lies below the head face
 * @param throat the bore below the cuts
 * @param bowl the port below the throat
 * @param roofAngleDeg rise of the chamber roof beside the seat
 */
@RecordBuilder
public record Seat(
    CutStack stack,
    double outsideDiameterMm,
    double depthMm,
    Throat throat,
    Bowl bowl,
    double roofAngleDeg)
    implements SeatBuilder.With {

  public Seat {
    Quantity.SEAT_OUTSIDE.check(outsideDiameterMm);
    Quantity.SEAT_DEPTH.check(depthMm);
    Quantity.ROOF_ANGLE.check(roofAngleDeg);
    if (throat.diameterMm() >= outsideDiameterMm) {
      throw RuleViolation.of("throatWithinSeat")
          .with("outside", Term.length(outsideDiameterMm))
          .with("value", Term.length(throat.diameterMm()));
    }
  }

  /** A seat from its plain numbers, in the order of the hand. */
  public static Seat of(
      List<? extends Element> cuts,
      int sealing,
      double outsideDiameterMm,
      double depthMm,
      double throatDiameterMm,
      double throatLengthMm,
      double bowlDiameterMm,
      double bowlDepthMm,
      double roofAngleDeg) {
    return new Seat(
        new CutStack(cuts, sealing),
        outsideDiameterMm,
        depthMm,
        new Throat(throatDiameterMm, throatLengthMm),
        new Bowl(bowlDiameterMm, bowlDepthMm),
        roofAngleDeg);
  }

  public List<Cut> cuts() {
    return stack.cuts();
  }

  /** Index of the sealing cut. */
  public int sealing() {
    return stack.sealing();
  }

  public Cut sealingCut() {
    return stack.sealingCut();
  }

  public double throatDiameterMm() {
    return throat.diameterMm();
  }

  public double throatLengthMm() {
    return throat.lengthMm();
  }

  public double bowlDiameterMm() {
    return bowl.diameterMm();
  }

  public double bowlDepthMm() {
    return bowl.depthMm();
  }

  /** How far the end of the last cut lies below the head face, mm, were all its metal there. */
  public double lowestMm() {
    return depthMm + stack.heightMm();
  }

  public Seat withCuts(List<? extends Element> cuts, int sealing) {
    return withStack(new CutStack(cuts, sealing));
  }

  public Seat withCut(int index, Cut cut) {
    return withStack(stack.with(index, cut));
  }

  public Seat withThroatDiameter(double mm) {
    return withThroat(new Throat(mm, throat.lengthMm()));
  }

  public Seat withThroatLength(double mm) {
    return withThroat(new Throat(throat.diameterMm(), mm));
  }

  public Seat withBowl(double diameterMm, double depthBelowSeatMm) {
    return withBowl(new Bowl(diameterMm, depthBelowSeatMm));
  }
}
