package finebore.card;

import finebore.machine.RunSheet;
import finebore.words.Words;
import finebore.work.WorkEntry;
import finebore.work.WorkEntry.Taken;

/** One line of a job's history in words. */
public final class HistoryWords {

  private HistoryWords() {}

  /**
   * What it says, without seat, time and hand.
   *
   * @param sheet names the step; one that the plan has no more keeps its id
   */
  public static String of(WorkEntry entry, Words words, RunSheet sheet) {
    String what = entry.taken().map(t -> reading(t, words)).orElse(words.label(entry.kind()));
    String step =
        entry.step().isEmpty() || entry.taken().isPresent()
            ? ""
            : ", " + sheet.step(entry.step()).map(s -> words.say(s.title())).orElse(entry.step());
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
