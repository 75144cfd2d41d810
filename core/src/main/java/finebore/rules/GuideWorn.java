package finebore.rules;

import finebore.code.Term;
import finebore.finding.Basis;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.finding.Subject;
import finebore.found.Measure;
import finebore.practice.Finding;
import java.util.ArrayList;
import java.util.List;

/** A guide with more clearance than is good. */
final class GuideWorn implements HeadRule {

  /** Guides with more clearance than this are worn, mm; common practice, no source. */
  static final double WORN_MM = 0.1;

  @Override
  public List<Finding> of(HeadCase head) {
    List<Finding> found = new ArrayList<>();
    head.job()
        .head()
        .readings()
        .forEach(
            (label, readings) ->
                readings
                    .value(Measure.GUIDE_CLEARANCE)
                    .ifPresent(
                        mm -> {
                          if (mm > WORN_MM) {
                            found.add(
                                Finding.of(
                                        FindingCode.GUIDE_WORN,
                                        label,
                                        Subject.measure(Measure.GUIDE_CLEARANCE),
                                        Severity.CAUTION,
                                        Basis.COMMON_PRACTICE)
                                    .with("clearance", Term.length(mm))
                                    .by(mm - WORN_MM));
                          }
                        }));
    return found;
  }
}
