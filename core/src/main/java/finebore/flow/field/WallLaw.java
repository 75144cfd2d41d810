package finebore.flow.field;

/**
 * The law of a smooth wall in one formula, from the wall to the logarithmic region (Spalding 1961,
 * from memory): y+ = u+ + exp(-kB) (exp(ku+) - 1 - ku+ - (ku+)2/2 - (ku+)3/6), k = 0.41, kB = 2.05.
 */
final class WallLaw {

  static final double KAPPA = 0.41;
  private static final double LIFTED = Math.exp(-2.05);

  private WallLaw() {}

  /**
   * Friction speed, m/s.
   *
   * @param speed along the wall, m/s
   * @param distance from it, m
   * @param viscosity of the air, m2/s
   */
  static double friction(double speed, double distance, double viscosity) {
    double reynolds = speed * distance / viscosity;
    if (reynolds < 1e-12) {
      return 0;
    }
    double up = Math.min(Math.sqrt(reynolds), 15);
    for (int k = 0; k < 30; k++) {
      double ku = KAPPA * up;
      double grown = Math.exp(ku);
      double outer = grown - 1 - ku - ku * ku / 2 - ku * ku * ku / 6;
      double slope = KAPPA * (grown - 1 - ku - ku * ku / 2);
      double value = up * up + LIFTED * up * outer - reynolds;
      double by = 2 * up + LIFTED * (outer + up * slope);
      double step = value / by;
      // On a curve this steep a whole step from below would go far beyond.
      up = Math.clamp(up - step, up / 3, up + 3);
      if (Math.abs(step) < 1e-6 * up) {
        break;
      }
    }
    return speed / up;
  }

  /**
   * Sets what each wall drags with, and gives the friction speeds of the cells beside walls.
   *
   * @param friction by cell; 0 away from walls
   */
  static void update(Stream s, double[] friction) {
    Mesh mesh = s.mesh;
    double air = s.viscosity / s.density;
    java.util.Arrays.fill(friction, 0);
    for (int k = 0; k < mesh.edges; k++) {
      if (mesh.edge[k] != Mesh.Edge.WALL) {
        continue;
      }
      int c = mesh.edgeCell[k];
      double nr = mesh.edgeNormalR[k];
      double nz = mesh.edgeNormalZ[k];
      double speed = Math.abs(s.u[c] * nz - s.w[c] * nr) / Math.sqrt(nr * nr + nz * nz);
      double f = friction(speed, mesh.clear[k], air);
      friction[c] = Math.max(friction[c], f);
      s.wallViscosity[k] =
          speed > 0
              ? Math.max(s.viscosity, s.density * f * f * mesh.clear[k] / speed)
              : s.viscosity;
    }
  }
}
