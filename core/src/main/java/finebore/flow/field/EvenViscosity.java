package finebore.flow.field;

/**
 * One eddy viscosity everywhere: a jet of the flow's speed and the smallest gap's thickness has a
 * Reynolds number of 1000, about what a turbulent jet spreads like. The crudest closure there is.
 */
final class EvenViscosity implements Closure {

  private static final double REYNOLDS = 1000;

  private final double gap;

  /**
   * @param gap smallest gap, m
   */
  EvenViscosity(double gap) {
    this.gap = gap;
  }

  @Override
  public void update(Stream stream) {
    double eddy = stream.density * stream.speed * gap / REYNOLDS;
    java.util.Arrays.fill(stream.eddy, eddy);
    java.util.Arrays.fill(stream.faceEddy, eddy);
    Closure.plainWalls(stream);
  }
}
