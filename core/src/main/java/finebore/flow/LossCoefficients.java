package finebore.flow;

/**
 * The fitted numbers of the loss model.
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
 * @param lipWeight share of the contraction at the throat's lip that its wall carries
 * @param lipScale distance below which corners of the turn out of the throat act as one, in gaps
 * @param lipTurn turn of a corner at which the stream mostly leaves it, radians
 * @param lipPower how suddenly it does
 * @param lipLand gap over the distance from lip to gate at which the stream has not filled again to
 *     1/e
 * @param merge exponent that joins lip and gate: the narrower place counts most
 * @param ridge loss of a ridge that stands across the whole stream
 * @param ridgeDetach gap over the ridge's distance beyond which the stream passes above it
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
    double lipWeight,
    double lipScale,
    double lipTurn,
    double lipPower,
    double lipLand,
    double merge,
    double ridge,
    double ridgeDetach) {

  /** Fitted to the orientation figures in docs/model.md; differences to them stand there. */
  public static final LossCoefficients FITTED =
      new LossCoefficients(
          1.126, 0.156, 1.5, 0.80, 0.20, 1.5, 0.298, 0.0346, 1.093, 1.90, 0.0336, 0.490, 2.83,
          2.594, 6.0, 0.327, 2.70);
}
