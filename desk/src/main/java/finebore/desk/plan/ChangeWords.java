package finebore.desk.plan;

import finebore.flow.Bands.Band;
import finebore.flow.FlowChange;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A change of flow in a line: "low +3.1 %, mid +8.0 %, over the cam +6.2 %". */
final class ChangeWords {

  private ChangeWords() {}

  static String of(Optional<FlowChange> change, Words words) {
    if (change.isEmpty()) {
      return words.text("plan.noFlow");
    }
    List<String> parts = new ArrayList<>();
    for (Band band : Band.values()) {
      FlowChange.Mean mean = change.get().bands().get(band);
      if (mean != null) {
        parts.add(words.name(band) + " " + share(mean.share()));
      }
    }
    if (change.get().hasCamMean()) {
      parts.add(words.text("plan.overCam", "change", share(change.get().camMeanShare())));
    }
    if (parts.isEmpty()) {
      parts.add(words.text("plan.noFlow"));
    }
    return String.join(", ", parts);
  }

  /** A change with its sign, which is a minus and no hyphen. */
  static String share(double share) {
    String percent = UnitSystem.fixed(100 * Math.abs(share), 1);
    String sign = percent.equals(UnitSystem.fixed(0, 1)) ? "" : share > 0 ? "+" : "\u2212";
    return sign + percent + " %";
  }
}
