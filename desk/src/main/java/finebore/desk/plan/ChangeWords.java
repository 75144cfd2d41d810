package finebore.desk.plan;

import finebore.flow.Bands.Band;
import finebore.flow.FlowChange;
import finebore.units.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** A change of flow in a line: "low +3.1 %, mid +8.0 %, over the cam +6.2 %". */
final class ChangeWords {

  private ChangeWords() {}

  static String of(Optional<FlowChange> change) {
    if (change.isEmpty()) {
      return "no flow: the valve does not seat";
    }
    List<String> words = new ArrayList<>();
    for (Band band : Band.values()) {
      FlowChange.Mean mean = change.get().bands().get(band);
      if (mean != null) {
        words.add(band.name().toLowerCase(Locale.ROOT) + " " + share(mean.share()));
      }
    }
    words.add("over the cam " + share(change.get().camMeanShare()));
    return String.join(", ", words);
  }

  static String share(double share) {
    return (share >= 0 ? "+" : "−") + UnitSystem.fixed(100 * Math.abs(share), 1) + " %";
  }
}
