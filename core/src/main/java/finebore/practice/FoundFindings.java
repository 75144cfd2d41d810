package finebore.practice;

import finebore.found.Contradiction;
import finebore.found.Family;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Head;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Finding.Severity;
import finebore.seat.Cut;
import finebore.study.PlanStudy;
import finebore.study.ReadingKind;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is worth saying about the readings of a head: where is the seat's label, or "head". */
public final class FoundFindings {

  /** Whole-head findings stand at this place. */
  public static final String HEAD = "head";

  private static final String READINGS = "readings";
  private static final String COMMON = "common practice, no source";

  /** Guides with more clearance than this are worn, mm; common practice, no source. */
  private static final double WORN_GUIDE_MM = 0.1;

  private FoundFindings() {}

  /** All findings, the gravest first. */
  public static List<Finding> of(Job job, Practice practice) {
    List<Finding> found = new ArrayList<>();
    head(job, found);
    for (SeatPlace place : job.engine().seats()) {
      seat(job, place, practice, found);
    }
    for (Port port : Port.values()) {
      family(job, port, found);
    }
    return found.stream().sorted(java.util.Comparator.comparing(Finding::severity)).toList();
  }

  private static void head(Job job, List<Finding> found) {
    Head head = job.head();
    UnitSystem units = job.units();
    head.skimLeftMm()
        .ifPresent(
            left -> {
              if (left < 0) {
                found.add(
                    note(
                        Severity.FAULT,
                        HEAD,
                        "The head is "
                            + units.lengthText(-left)
                            + " thinner than its least thickness.",
                        "It cannot be skimmed, and may not be fit for use."));
              }
            });
    head.skimmedMm()
        .ifPresent(
            skimmed -> {
              if (skimmed < 0) {
                found.add(
                    note(
                        Severity.CAUTION,
                        HEAD,
                        "The head measures "
                            + units.lengthText(head.thicknessMm().getAsDouble())
                            + ", thicker than new at "
                            + units.lengthText(head.newThicknessMm().getAsDouble())
                            + ".",
                        "Measure again."));
              } else if (skimmed > 0.05) {
                found.add(
                    note(
                        Severity.NOTE,
                        HEAD,
                        "The head has been skimmed by " + units.lengthText(skimmed) + ".",
                        "Seats lie that much closer to the face, and the chamber is smaller."));
              }
            });
  }

  private static void seat(Job job, SeatPlace place, Practice practice, List<Finding> found) {
    SeatReadings readings = job.head().readingsOf(place.label());
    for (Contradiction contradiction : PlanStudy.foundSeat(job, place).contradictions()) {
      found.add(
          note(
              Severity.CAUTION,
              place.label(),
              contradiction.words(job.units()),
              "Nothing else waits for it."));
    }
    readings
        .value(Measure.GUIDE_CLEARANCE)
        .ifPresent(
            mm -> {
              if (mm > WORN_GUIDE_MM) {
                found.add(
                    new Finding(
                        Severity.CAUTION,
                        place.label(),
                        "Guide clearance is " + job.units().lengthText(mm) + ".",
                        "Guides first: everything is referenced to them.",
                        COMMON,
                        Optional.empty()));
              }
            });
    for (Measure wall : List.of(Measure.WALL_SEAT, Measure.WALL_THROAT, Measure.WALL_BOWL)) {
      readings
          .value(wall)
          .ifPresent(
              mm ->
                  practice
                      .wanted(place.port(), ReadingKind.WATER)
                      .filter(r -> mm < r.min())
                      .ifPresent(
                          r ->
                              found.add(
                                  new Finding(
                                      Severity.CAUTION,
                                      place.label(),
                                      wall.inWords()
                                          + " is "
                                          + job.units().lengthText(mm)
                                          + ", less than "
                                          + job.units().lengthText(r.min())
                                          + " before anything is cut.",
                                      "Every cut there takes from a thin wall.",
                                      r.basis(),
                                      Optional.empty()))));
    }
  }

  private static void family(Job job, Port port, List<Finding> found) {
    Map<String, SeatReadings> family = new LinkedHashMap<>();
    for (SeatPlace place : job.engine().seats()) {
      if (place.port() == port) {
        family.put(place.label(), job.head().readingsOf(place.label()));
      }
    }
    List<Family.Outlier> outliers = Family.outliers(family);
    for (String seat : family.keySet()) {
      List<Family.Outlier> throats =
          outliers.stream().filter(o -> o.seat().equals(seat) && o.measure().isThroat()).toList();
      if (throats.size() > 1) {
        found.add(outOfFamily(seat, "Throat", throats, job.units()));
      }
      outliers.stream()
          .filter(o -> o.seat().equals(seat))
          .filter(o -> throats.size() < 2 || !o.measure().isThroat())
          .forEach(
              o -> found.add(outOfFamily(seat, o.measure().inWords(), List.of(o), job.units())));
    }
  }

  private static Finding outOfFamily(
      String seat, String what, List<Family.Outlier> outliers, UnitSystem units) {
    Family.Outlier first = outliers.getFirst();
    DoubleSummaryStatistics values =
        outliers.stream().mapToDouble(Family.Outlier::value).summaryStatistics();
    String value =
        outliers.size() == 1
            ? text(first.measure(), values.getMin(), units)
            : units.shortLength(values.getMin()) + " to " + units.lengthText(values.getMax());
    return note(
        Severity.CAUTION,
        seat,
        what
            + " is "
            + value
            + ", the others of its kind "
            + text(first.measure(), first.median(), units)
            + ": out of family.",
        "Measure again; if it is so, the seat may need a plan of its own.");
  }

  /** A reading with its unit. */
  public static String text(Measure measure, double value, UnitSystem units) {
    return switch (measure.kind()) {
      case LENGTH -> units.lengthText(value);
      case ANGLE -> Cut.angleText(value) + "°";
      case CLOCK -> PlanFindings.clockText(value);
    };
  }

  private static Finding note(Severity severity, String where, String what, String why) {
    return new Finding(severity, where, what, why, READINGS, Optional.empty());
  }
}
