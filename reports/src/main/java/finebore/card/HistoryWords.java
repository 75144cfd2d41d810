package finebore.card;

import finebore.words.Words;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Taken;

/** One line of a job's history in words. */
public final class HistoryWords {

  private HistoryWords() {}

  /** What it says, without seat, time and hand. */
  public static String of(WorkEntry entry, Words words) {
    String what = entry.taken().map(t -> reading(t, words)).orElse(words.label(entry.kind()));
    String step =
        entry.step().isEmpty() || entry.taken().isPresent()
            ? ""
            : " (" + entry.step().substring(entry.step().indexOf(':') + 1) + ")";
    String corrects =
        entry.corrects().isPresent()
            ? " " + words.text("history.corrects", "number", entry.corrects().getAsInt())
            : "";
    String reason = entry.reason().isBlank() ? "" : ": " + entry.reason();
    return what + step + corrects + reason;
  }

  private static String reading(Taken taken, Words words) {
    String gauge =
        taken.gauge().isBlank() ? "" : ", " + words.text("history.gauge", "gauge", taken.gauge());
    return words.label(taken.what())
        + " "
        + words.figure(taken.what().quantity().dimension(), taken.value())
        + gauge;
  }
}
