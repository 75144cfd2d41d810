package finebore.machine;

import finebore.job.Job;
import finebore.job.Port;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import finebore.work.StepKind;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * Time and price of a head's work, from the shop's own times.
 *
 * @param parts by kind of work, in the order of the work
 * @param valves making the old valve good against a new one, for each kind of port
 * @param ratePerHour price of an hour
 */
public record Quote(List<Part> parts, List<ValveChoice> valves, double ratePerHour) {

  /**
   * The work of one kind.
   *
   * @param seats how many
   * @param fittings how often its tools are fitted
   * @param minutes in all
   */
  public record Part(StepKind kind, int seats, int fittings, double minutes) {}

  /**
   * An old valve made good against a new one.
   *
   * @param port which valves
   * @param madeGood price of the time it takes to reface and back cut one
   * @param bought price of a new one
   */
  public record ValveChoice(Port port, double madeGood, double bought) {}

  public Quote {
    parts = List.copyOf(parts);
    valves = List.copyOf(valves);
  }

  /** Reckons a run sheet up. */
  public static Quote of(Job job, RunSheet sheet) {
    ShopSettings shop = job.shop();
    Map<StepKind, Integer> seats = new EnumMap<>(StepKind.class);
    Map<StepKind, Integer> fittings = new EnumMap<>(StepKind.class);
    String fitted = "";
    for (RunStep step : sheet.steps()) {
      seats.merge(step.kind(), 1, Integer::sum);
      if (!step.tool().equals(fitted)) {
        fittings.merge(step.kind(), 1, Integer::sum);
        fitted = step.tool();
      }
    }
    List<Part> parts = new ArrayList<>();
    for (StepKind kind : seats.keySet()) {
      int times = fittings.getOrDefault(kind, 0);
      double minutes = seats.get(kind) * shop.eachMinutes(kind) + times * shop.setUpMinutes(kind);
      parts.add(new Part(kind, seats.get(kind), times, minutes));
    }
    double rate = shop.value(ShopFigure.RATE);
    List<ValveChoice> valves = new ArrayList<>();
    for (Port port : Port.values()) {
      double minutes =
          sheet.steps().stream()
              .filter(s -> s.seat().equals(job.seats(port).getFirst()) && s.kind().isValveWork())
              .mapToDouble(s -> shop.eachMinutes(s.kind()))
              .sum();
      valves.add(
          new ValveChoice(
              port,
              minutes / 60 * rate,
              shop.value(
                  port == Port.INTAKE
                      ? ShopFigure.INTAKE_VALVE_PRICE
                      : ShopFigure.EXHAUST_VALVE_PRICE)));
    }
    return new Quote(parts, valves, rate);
  }

  /**
   * Time for the steps that are not past, min; the fitting of tools is shared out evenly.
   *
   * @param isPast which steps are
   */
  public double minutesLeft(ShopSettings shop, RunSheet sheet, Predicate<RunStep> isPast) {
    double all = 0;
    double left = 0;
    for (RunStep step : sheet.steps()) {
      double each = shop.eachMinutes(step.kind());
      all += each;
      left += isPast.test(step) ? 0 : each;
    }
    return all == 0 ? 0 : minutes() * left / all;
  }

  public double minutes() {
    return parts.stream().mapToDouble(Part::minutes).sum();
  }

  public double price() {
    return minutes() / 60 * ratePerHour;
  }
}
