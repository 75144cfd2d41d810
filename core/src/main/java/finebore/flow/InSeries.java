package finebore.flow;

import finebore.code.Coded;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;

/**
 * Passages that the air takes one after the other, each known by what it flows alone at one
 * depression. Each loses its own part of the pressure, so their 1 / Q^2 add up (losses in series;
 * I. E. Idelchik, Handbook of Hydraulic Resistance, from memory): exact only where none disturbs
 * the next.
 *
 * @param passages one at least
 */
public record InSeries(List<Passage> passages) {

  /** What stands in the way. */
  public enum Part implements Coded {
    PORT,
    MANIFOLD,
    THROTTLE;

    @Override
    public String code() {
      return "series." + name().toLowerCase(Locale.ROOT);
    }
  }

  /** A part and what it flows alone, m3/s. */
  public record Passage(Part part, double aloneM3s) {
    public Passage {
      if (!(aloneM3s > 0)) {
        throw new IllegalArgumentException(part + ": " + aloneM3s);
      }
    }

    double perFlow2() {
      return 1 / (aloneM3s * aloneM3s);
    }
  }

  public InSeries {
    passages = List.copyOf(passages);
    if (passages.isEmpty()) {
      throw new IllegalArgumentException("passages: 0");
    }
  }

  private double perFlow2() {
    return passages.stream().mapToDouble(Passage::perFlow2).sum();
  }

  /** What all of them flow together, m3/s. */
  public double togetherM3s() {
    return 1 / Math.sqrt(perFlow2());
  }

  /**
   * A part's share of the pressure that is lost, all shares 1; 0 where it is not among them. It is
   * also what a small gain of the part is worth to the whole: 1 % of it gives that share of 1 %.
   */
  public double share(Part part) {
    return passages.stream().filter(p -> p.part() == part).mapToDouble(Passage::perFlow2).sum()
        / perFlow2();
  }

  /** The part that holds the whole back most. */
  public Part narrowest() {
    return passages.stream()
        .min((a, b) -> Double.compare(a.aloneM3s(), b.aloneM3s()))
        .orElseThrow()
        .part();
  }

  /**
   * What a part flows alone, by one test without it and one with it, m3/s; empty where the test
   * with it flows as much or more, so that it gives pressure back.
   */
  public static OptionalDouble between(double withoutM3s, double withM3s) {
    double more = 1 / (withM3s * withM3s) - 1 / (withoutM3s * withoutM3s);
    return more > 0 ? OptionalDouble.of(1 / Math.sqrt(more)) : OptionalDouble.empty();
  }
}
