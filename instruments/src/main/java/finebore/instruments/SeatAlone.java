package finebore.instruments;

import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;

/** What seat and valve of a simulated head pass by themselves. */
@FunctionalInterface
public interface SeatAlone {

  /** As the program's estimate has it: at once, but then the estimate is held against itself. */
  SeatAlone ESTIMATED = (question, estimatedMm2) -> estimatedMm2;

  /**
   * As the solver has it, by the closure that the program does not go by; by the other where that
   * does not settle. A lift takes seconds.
   */
  SeatAlone SOLVED = SeatAlone::solved;

  /**
   * Effective area, mm2.
   *
   * @param question the section
   * @param estimatedMm2 what the estimate says of it
   */
  double areaMm2(AirQuestion question, double estimatedMm2);

  private static double solved(AirQuestion question, double estimatedMm2) {
    for (Turbulence turbulence : new Turbulence[] {Turbulence.TRANSPORT, Turbulence.EVEN}) {
      try {
        return AirSolver.solve(question.with(turbulence).with(Fineness.COARSE)).effectiveAreaMm2();
      } catch (AirNotSolved e) {
        // The next one, and at last the estimate: a stand-in must flow something.
      }
    }
    return estimatedMm2;
  }
}
