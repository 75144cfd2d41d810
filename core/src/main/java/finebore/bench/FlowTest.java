package finebore.bench;

import finebore.code.RuleViolation;
import finebore.code.Term;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One flow test.
 *
 * @param id unique among a job's tests
 * @param name what its column is headed
 * @param date the day, if written down
 * @param setUp what was on the bench
 * @param air of the room, if written down
 * @param after id of the test it is a step from; empty for a beginning
 * @param changed what was changed since that test
 * @param valveIsTheChange whether another valve than in that test is what was tried
 * @param lifts in order of lift
 * @param predicted what the model said before it was run, in order of lift; may be empty
 * @param pictures file names of pictures beside the job, with words
 * @param remarks the operator's
 */
@RecordBuilder
public record FlowTest(
    int id,
    String name,
    Optional<LocalDate> date,
    SetUp setUp,
    Optional<Air> air,
    Optional<Integer> after,
    String changed,
    boolean valveIsTheChange,
    List<LiftReadings> lifts,
    List<Predicted> predicted,
    List<Picture> pictures,
    String remarks)
    implements FlowTestBuilder.With {

  /** Lifts closer than this are the same lift, mm. */
  public static final double SAME_LIFT_MM = 0.02;

  /** Most lifts of a test. */
  public static final int MOST_LIFTS = 60;

  /** Longest name, characters. */
  public static final int LONGEST_NAME = 80;

  /**
   * A prediction of one lift, frozen before the test.
   *
   * @param spread its standard deviation as a share of the flow
   */
  public record Predicted(double liftMm, double flowM3s, double spread) {}

  /** A picture by its file's name in the job's folder of pictures. */
  public record Picture(String file, String words) {}

  public FlowTest {
    lifts = lifts.stream().sorted(Comparator.comparingDouble(LiftReadings::liftMm)).toList();
    predicted = predicted.stream().sorted(Comparator.comparingDouble(Predicted::liftMm)).toList();
    pictures = List.copyOf(pictures);
    if (name.isBlank() || name.length() > LONGEST_NAME) {
      throw RuleViolation.of("testName").with("value", Term.count(name.length()));
    }
    if (lifts.size() > MOST_LIFTS) {
      throw RuleViolation.of("liftsInTest")
          .with("most", Term.count(MOST_LIFTS))
          .with("value", Term.count(lifts.size()));
    }
    for (int k = 1; k < lifts.size(); k++) {
      if (lifts.get(k).liftMm() - lifts.get(k - 1).liftMm() < SAME_LIFT_MM) {
        throw RuleViolation.of("liftsApart")
            .with("least", Term.length(SAME_LIFT_MM))
            .with("value", Term.length(lifts.get(k).liftMm()))
            .with("before", Term.length(lifts.get(k - 1).liftMm()));
      }
    }
  }

  /** A test that has not been run. */
  public static FlowTest empty(int id, String name, SetUp setUp) {
    return new FlowTest(
        id,
        name,
        Optional.empty(),
        setUp,
        Optional.empty(),
        Optional.empty(),
        "",
        false,
        List.of(),
        List.of(),
        List.of(),
        "");
  }

  /** What is noted at a lift, if anything. */
  public Optional<LiftReadings> at(double liftMm) {
    return lifts.stream().filter(l -> Math.abs(l.liftMm() - liftMm) < SAME_LIFT_MM).findFirst();
  }

  /** What is noted at a lift, or nothing noted there yet. */
  public LiftReadings noted(double liftMm) {
    return at(liftMm).orElseGet(() -> LiftReadings.of(liftMm, List.of()));
  }

  /** With what is noted at a lift put in its place; a lift with nothing noted goes. */
  public FlowTest with(LiftReadings changed) {
    List<LiftReadings> others = new ArrayList<>(lifts);
    others.removeIf(l -> Math.abs(l.liftMm() - changed.liftMm()) < SAME_LIFT_MM);
    if (!changed.isEmpty()) {
      others.add(changed);
    }
    return withLifts(others);
  }

  /** As a step from another test. */
  public FlowTest withStep(Optional<Integer> from, String what, boolean valve) {
    return withAfter(from).withChanged(what).withValveIsTheChange(valve);
  }
}
