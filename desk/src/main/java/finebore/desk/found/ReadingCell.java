package finebore.desk.found;

import finebore.desk.controls.EntryCell;
import finebore.desk.controls.Grammar;
import finebore.desk.session.JobSession;
import finebore.found.Assumed;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.units.Dimension;
import finebore.words.Words;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.scene.control.Tooltip;

/**
 * One reading of one seat. Enter takes it and goes on, as a gauge cable does by itself; nonsense is
 * refused and what was typed stays to be mended.
 */
final class ReadingCell extends EntryCell<OptionalDouble> {

  private final JobSession session;
  private final SeatPlace place;
  private final Measure measure;
  private final Tooltip tip = new Tooltip();

  ReadingCell(JobSession session, SeatPlace place, Measure measure, Runnable next) {
    super(
        "cell-" + place.label() + "-" + measure.key(),
        Grammar.optional(measure.quantity()),
        session::words,
        session.messages(),
        (gesture, value) ->
            session.edit(
                gesture,
                job -> job.withHead(job.head().withReading(place.label(), measure, value))));
    this.session = session;
    this.place = place;
    this.measure = measure;
    named(
        session.say("found.cell", "seat", place.label(), "measure", session.words().name(measure)));
    getStyleClass().add(getStyleClass().size() - 1, "reading-cell");
    setTooltip(tip);
    setPrefColumnCount(4);
    onGestureEnd(session::endGesture);
    onEntered(next);
  }

  Measure measure() {
    return measure;
  }

  SeatPlace place() {
    return place;
  }

  @Override
  protected void looked() {
    if (!session.seat().get().equals(place)) {
      session.select(place);
    }
  }

  /**
   * Shows a reading.
   *
   * @param assumed what is taken while there is none
   * @param doubt what is the matter with it; empty for nothing
   */
  void showReading(OptionalDouble reading, Optional<Assumed> assumed, String doubt) {
    show(reading, Optional.empty(), doubt.isEmpty() ? "plain" : "doubtful");
    Words words = session.words();
    Dimension dimension = measure.quantity().dimension();
    setPromptText(
        assumed.map(a -> "(" + words.units().entry(dimension, a.value()) + ")").orElse(""));
    tip.setText(
        words.of(measure, "how")
            + assumed
                .map(a -> "\n" + words.text("found.assumed.why", "why", words.name(a.basis())))
                .orElse("")
            + (doubt.isEmpty() ? "" : "\n" + doubt));
  }
}
