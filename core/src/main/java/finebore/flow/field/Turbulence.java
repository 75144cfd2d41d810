package finebore.flow.field;

import finebore.code.Coded;
import java.util.Locale;

/** How turbulence is closed: two ways, so that what hangs on the choice can be seen. */
public enum Turbulence implements Coded {
  /** Spalart and Allmaras' transport model: the default. */
  TRANSPORT,
  /** One eddy viscosity everywhere. */
  EVEN;

  @Override
  public String code() {
    return "turbulence." + name().toLowerCase(Locale.ROOT);
  }

  /**
   * Its model on a mesh.
   *
   * @param gap smallest gap, m
   */
  Closure on(Mesh mesh, double gap) {
    return switch (this) {
      case TRANSPORT -> new SpalartAllmaras(mesh);
      case EVEN -> new EvenViscosity(gap);
    };
  }
}
