package finebore.flow;

/**
 * The numbers of the loss model.
 *
 * @param window length of wall before the gate that bends the stream, in gaps
 * @param cornerScale distance below which corners act as one, in gaps
 * @param relief multiplies radius over gap before the rounded-inlet curve is read
 * @param seatWeight share of the contraction that the seat side carries
 * @param valveWeight share of the contraction that the valve side carries
 * @param landScale gap over land at which a filled passage has fallen to 1/e
 * @param recovery share of an ideal diffuser's recovery that a filled passage gives back
 * @param friction loss of a filled passage per land over gap
 * @param turn loss of the turn from the throat to the gate, on the throat's velocity head
 * @param leaving share of the seat's angle below which the stream does not leave, however flat the
 *     gate lies
 */
public record LossCoefficients(
    double window,
    double cornerScale,
    double relief,
    double seatWeight,
    double valveWeight,
    double landScale,
    double recovery,
    double friction,
    double turn,
    double leaving,
    Lip lip,
    Ridge ridge,
    Gates gates) {

  /**
   * The lip where the throat ends.
   *
   * @param weight share of the contraction there that its wall carries
   * @param scale distance below which corners of the turn out of the throat act as one, in gaps
   * @param turn turn of a corner at which the stream mostly leaves it, radians
   * @param power how suddenly it does
   * @param land gap over the distance from lip to gate at which the stream has not filled again to
   *     1/e
   * @param merge exponent that joins lip and gate: the narrower place counts most
   */
  public record Lip(
      double weight, double scale, double turn, double power, double land, double merge) {}

  /**
   * Walls past the gate that stand up into the stream.
   *
   * @param loss of a ridge that stands across the whole stream
   * @param detach gap over the ridge's distance beyond which the stream passes above it
   * @param detachPower how suddenly it does
   * @param height of a ridge that blocks all but 1/e, in gaps
   * @param pinchMost most that the passage over a ridge counts as narrower than the gate
   * @param pinchPower how the loss grows with that
   * @param reachGaps how far past the gate ridges count, in gaps
   * @param reachMm and beyond that, mm
   */
  public record Ridge(
      double loss,
      double detach,
      double detachPower,
      double height,
      double pinchMost,
      double pinchPower,
      double reachGaps,
      double reachMm) {}

  /**
   * Gates that are nearly the smallest, so that losses do not leap where the smallest one does.
   *
   * @param near those larger by up to this share count too, the less the larger
   * @param apart distance within which two count as one, and length of a stretch that counts in
   *     full, in gaps
   */
  public record Gates(double near, double apart) {}

  /**
   * Fitted to the orientation figures in docs/model.md, where the differences to them stand; the
   * powers, reaches and shares of ridges, gates and leaving were chosen beforehand.
   */
  public static final LossCoefficients FITTED =
      new LossCoefficients(
          1.126,
          0.156,
          1.5,
          0.80,
          0.20,
          1.5,
          0.298,
          0.0346,
          1.093,
          0.5,
          new Lip(1.90, 0.0336, 0.490, 2.83, 2.594, 6.0),
          new Ridge(0.327, 2.70, 8, 0.3, 1.2, 4, 3, 3),
          new Gates(0.08, 0.1));
}
