package finebore.flow;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.units.Dimension;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;

/**
 * Lift at the valve over crank angle.
 *
 * @param maxLiftMm greatest lift at the valve, mm
 * @param durationDeg crank degrees the valve is open
 * @param table the lift as it was measured; empty where only the two figures are known. The figures
 *     are those of the table where there is one
 */
@RecordBuilder
public record CamLift(double maxLiftMm, double durationDeg, List<Step> table)
    implements CamLiftBuilder.With {

  /**
   * Lift at a place of the crank.
   *
   * @param crankDeg degrees, counted from anywhere
   * @param liftMm at the valve, mm
   */
  public record Step(double crankDeg, double liftMm) {
    public Step {
      Quantity.CAM_TABLE_DEGREE.check(crankDeg);
      Quantity.CAM_TABLE_LIFT.check(liftMm);
    }
  }

  private static final int STEPS = 120;

  /** Straight lines between so many lifts are within 0.2 % of a flow's mean (CamMeanTest). */
  private static final int LIFTS = 12;

  private static final int FEWEST_IN_TABLE = 5;

  /** Most lines of a table. */
  public static final int MOST_IN_TABLE = 1500;

  private static final double SAME = 1e-6;

  public CamLift {
    table = List.copyOf(table);
    Quantity.CAM_LIFT.check(maxLiftMm);
    Quantity.CAM_DURATION.check(durationDeg);
    if (!table.isEmpty()) {
      check(table);
      if (Math.abs(maxLiftMm - highest(table)) > SAME
          || Math.abs(durationDeg - length(table)) > SAME) {
        throw RuleViolation.of("camAsInTable")
            .with("lift", Term.length(highest(table)))
            .with("duration", crank(length(table)));
      }
    }
  }

  /** A cam of which only the two figures are known. */
  public CamLift(double maxLiftMm, double durationDeg) {
    this(maxLiftMm, durationDeg, List.of());
  }

  /**
   * A cam as measured.
   *
   * @param table lifts from where the valve opens to where it closes, degrees rising
   */
  public static CamLift measured(List<Step> table) {
    check(table);
    return new CamLift(highest(table), length(table), table);
  }

  private static void check(List<Step> table) {
    if (table.size() < FEWEST_IN_TABLE || table.size() > MOST_IN_TABLE) {
      throw RuleViolation.of("camTableSize")
          .with("fewest", Term.count(FEWEST_IN_TABLE))
          .with("most", Term.count(MOST_IN_TABLE))
          .with("value", Term.count(table.size()));
    }
    for (int k = 1; k < table.size(); k++) {
      if (table.get(k).crankDeg() <= table.get(k - 1).crankDeg()) {
        throw RuleViolation.of("camDegreesRise")
            .with("value", crank(table.get(k).crankDeg()))
            .with("before", crank(table.get(k - 1).crankDeg()));
      }
    }
  }

  private static Term crank(double deg) {
    return new Term.Figure(Dimension.CRANK, deg);
  }

  private static double highest(List<Step> table) {
    return table.stream().mapToDouble(Step::liftMm).max().orElseThrow();
  }

  private static double length(List<Step> table) {
    return table.getLast().crankDeg() - table.getFirst().crankDeg();
  }

  /**
   * Lift at a part of the duration, mm: straight between the lifts of the table; without one a
   * 3-4-5 polynomial up and the same down (R. L. Norton, Cam Design and Manufacturing Handbook,
   * from memory), standing in for the real cam.
   *
   * @param part 0 when the valve opens, 1 when it closes
   */
  public double liftAt(double part) {
    if (table.isEmpty()) {
      double x = Math.clamp(1 - Math.abs(2 * part - 1), 0, 1);
      return maxLiftMm * x * x * x * (10 - 15 * x + 6 * x * x);
    }
    double deg = table.getFirst().crankDeg() + Math.clamp(part, 0, 1) * durationDeg;
    int after =
        IntStream.range(1, table.size() - 1)
            .filter(k -> table.get(k).crankDeg() >= deg)
            .findFirst()
            .orElse(table.size() - 1);
    Step a = table.get(after - 1);
    Step b = table.get(after);
    double way = (deg - a.crankDeg()) / (b.crankDeg() - a.crankDeg());
    return a.liftMm() + Math.clamp(way, 0, 1) * (b.liftMm() - a.liftMm());
  }

  /** Part of the duration at which the lift is greatest; the middle where it stays so. */
  public double peakPart() {
    if (table.isEmpty()) {
      return 0.5;
    }
    double top = highest(table) - SAME;
    double first =
        table.stream().filter(s -> s.liftMm() >= top).findFirst().orElseThrow().crankDeg();
    double last =
        table.reversed().stream()
            .filter(s -> s.liftMm() >= top)
            .findFirst()
            .orElseThrow()
            .crankDeg();
    return ((first + last) / 2 - table.getFirst().crankDeg()) / durationDeg;
  }

  /**
   * Lifts at which flow is asked for a mean over the opening: the same of any list of lifts that a
   * job has, mm, the last the greatest.
   */
  public List<Double> lifts() {
    return IntStream.rangeClosed(1, LIFTS).mapToObj(k -> maxLiftMm * k / LIFTS).toList();
  }

  /**
   * Mean over the opening of what is known at some of {@link #lifts()}, rising: straight between
   * them, from nothing at no lift. What lies past the last of them is left out; NaN where nothing
   * is known.
   */
  public double mean(double[] liftsMm, double[] values) {
    double last = liftsMm.length == 0 ? Double.NEGATIVE_INFINITY : liftsMm[liftsMm.length - 1];
    double sum = 0;
    int within = 0;
    for (int k = 0; k < STEPS; k++) {
      double lift = liftAt((k + 0.5) / STEPS);
      if (lift <= last + SAME) {
        sum += FlowCurve.between(liftsMm, values, lift);
        within++;
      }
    }
    return sum / within;
  }

  /** Mean over the opening of what hangs on the lift, each crank degree counting the same. */
  public double meanOf(DoubleUnaryOperator ofLiftMm) {
    double sum = 0;
    for (int k = 0; k < STEPS; k++) {
      sum += ofLiftMm.applyAsDouble(liftAt((k + 0.5) / STEPS));
    }
    return sum / STEPS;
  }
}
