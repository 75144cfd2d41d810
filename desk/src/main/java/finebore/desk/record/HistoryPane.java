package finebore.desk.record;

import finebore.card.HistoryWords;
import finebore.desk.session.JobSession;
import finebore.desk.session.WorkSession;
import finebore.work.WorkEntry;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What was done and read at the machine, the newest first. Nothing here can be changed. */
final class HistoryPane extends VBox {

  /** More lines than this are on the card, not on the screen. */
  private static final int MOST = 300;

  private static final DateTimeFormatter MOMENT =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(ZoneId.systemDefault());

  private final JobSession session;
  private final WorkSession work;
  private List<WorkEntry> shown = List.of();

  HistoryPane(JobSession session, WorkSession work) {
    super(2);
    this.session = session;
    this.work = work;
    setId("history");
  }

  void show() {
    List<WorkEntry> entries = session.job().log().entries();
    if (entries.equals(shown) && !getChildren().isEmpty()) {
      return;
    }
    shown = entries;
    getChildren().clear();
    if (entries.isEmpty()) {
      Label none = new Label(session.say("record.history.none"));
      none.getStyleClass().add("muted");
      none.setWrapText(true);
      getChildren().add(none);
    }
    entries.reversed().stream().limit(MOST).forEach(e -> getChildren().add(line(e)));
  }

  private HBox line(WorkEntry entry) {
    Label when = new Label(MOMENT.format(entry.at()));
    when.getStyleClass().addAll("figure", "muted", "small");
    when.setMinWidth(Region.USE_PREF_SIZE);
    Label seat = new Label(entry.seat());
    seat.getStyleClass().add("figure");
    seat.setMinWidth(38);
    Label what =
        new Label(
            HistoryWords.of(entry, session.words(), work.sheet())
                + (entry.who().isBlank() ? "" : "  (" + entry.who() + ")"));
    what.setWrapText(true);
    what.setMinHeight(Region.USE_PREF_SIZE);
    if (entry.kind() == WorkEntry.Kind.PROBLEM || entry.kind() == WorkEntry.Kind.ACCEPTED) {
      what.getStyleClass().add("caution");
    }
    HBox.setHgrow(what, Priority.ALWAYS);
    HBox row = new HBox(8, when, seat, what);
    row.getStyleClass().add("finding-row");
    return row;
  }
}
