package finebore.desk.controls;

/**
 * How a cylinder seen from its chamber lies on a drawing.
 *
 * @param pxPerMm scale
 * @param left where the bore's centre is, px
 * @param top where it is, px
 */
record RoomScale(double pxPerMm, double left, double top) {

  double x(double alongMm) {
    return left + alongMm * pxPerMm;
  }

  double y(double acrossMm) {
    return top - acrossMm * pxPerMm;
  }

  double along(double x) {
    return (x - left) / pxPerMm;
  }

  double across(double y) {
    return (top - y) / pxPerMm;
  }
}
