package finebore.desk.found;

import finebore.desk.controls.Thumbnail;
import finebore.desk.session.JobSession;
import finebore.formats.FileProblem;
import finebore.formats.OutlineFile;
import finebore.room.ChamberOutline;
import java.nio.file.Path;
import java.util.Optional;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** Brings a chamber's outline in: from a file, or traced over a photograph. */
final class OutlineBar extends FlowPane {

  private static final String MESSAGES = "outline";

  /** Photographs are shown at about this height. */
  private static final double PHOTOGRAPH_PX = 1600;

  private static final double SAID_PX = 420;

  private final JobSession session;
  private final TraceView trace;
  private final KnownPlaces known;
  private final Button forget;
  private final Label said = new Label();
  private final Button remove;
  private final Button close;
  private final Button giveUp;
  private Optional<FoundStation.Outlines> picks = Optional.empty();
  private boolean tracing;
  private Runnable begun = () -> {};

  OutlineBar(JobSession session, TraceView trace, KnownPlaces known) {
    super(6, 4);
    this.session = session;
    this.trace = trace;
    this.known = known;
    setId("outline-bar");
    said.setId("outline-text");
    said.setWrapText(true);
    said.setMinHeight(Region.USE_PREF_SIZE);
    // Or the longest sentence would say how wide the column is, and move it under the mouse.
    said.setPrefWidth(SAID_PX);
    said.getStyleClass().add("small");
    remove = button("outline-remove", this::remove);
    forget = button("photograph-remove", this::forget);
    close = button("trace-close", trace::close);
    giveUp = button("trace-give-up", trace::giveUp);
    getChildren()
        .addAll(
            button("outline-file", this::read),
            button("outline-photograph", this::photograph),
            remove,
            forget,
            close,
            giveUp,
            known,
            said);
    known.onChange(
        () -> {
          trace.requestLayout();
          show();
        });
    trace.onClick(this::show);
    session.work().addListener((o, was, is) -> show());
    show();
  }

  /** Where they are picked. */
  void pickFrom(FoundStation.Outlines outlines) {
    picks = Optional.of(outlines);
  }

  /** What is to happen when a photograph is there. */
  void onBegin(Runnable action) {
    begun = action;
  }

  void tracing(boolean is) {
    tracing = is;
    show();
  }

  private Button button(String id, Runnable action) {
    Button button = new Button(session.say(id.replace('-', '.')));
    button.setId(id);
    button.setTooltip(new Tooltip(session.say(id.replace('-', '.') + ".tip")));
    button.setOnAction(e -> action.run());
    return button;
  }

  private int cylinder() {
    return session.seat().get().cylinder();
  }

  private void show() {
    Optional<ChamberOutline> outline = session.job().head().chamber(cylinder());
    shown(remove, !tracing && outline.isPresent());
    shown(forget, !tracing && session.job().head().photograph(cylinder()).isPresent());
    shown(known, tracing);
    shown(close, tracing);
    shown(giveUp, tracing);
    said.setText(
        tracing
            ? trace.next()
            : outline
                .map(
                    o ->
                        session.say(
                            "outline.is", "cylinder", cylinder(), "count", o.corners().size()))
                .orElseGet(() -> session.say("outline.none", "cylinder", cylinder())));
  }

  private static void shown(Node node, boolean is) {
    node.setVisible(is);
    node.setManaged(is);
  }

  private void read() {
    picks.flatMap(FoundStation.Outlines::outline).ifPresent(this::read);
  }

  private void read(Path file) {
    int cylinder = cylinder();
    try {
      ChamberOutline outline =
          OutlineFile.read(
              file, cylinder, session.job().engine().boreMm(), session.units().length());
      session.edit("", job -> job.withHead(job.head().withChamber(cylinder, Optional.of(outline))));
      session.messages().clear(MESSAGES);
    } catch (FileProblem e) {
      session.messages().refuse(MESSAGES, session.words().say(e));
    }
  }

  private void remove() {
    int cylinder = cylinder();
    session.edit("", job -> job.withHead(job.head().withChamber(cylinder, Optional.empty())));
  }

  private void forget() {
    int cylinder = cylinder();
    session.edit("", job -> job.withHead(job.head().withPhotograph(cylinder, Optional.empty())));
  }

  private void photograph() {
    int cylinder = cylinder();
    picks
        .flatMap(FoundStation.Outlines::picture)
        .ifPresent(
            file ->
                Thumbnail.of(file, PHOTOGRAPH_PX)
                    .thenAccept(
                        image ->
                            Platform.runLater(
                                () -> {
                                  if (image.isEmpty()) {
                                    session
                                        .messages()
                                        .refuse(
                                            MESSAGES,
                                            session.say(
                                                "outline.noPicture", "file", file.getFileName()));
                                  } else {
                                    session.messages().clear(MESSAGES);
                                    begun.run();
                                    known.begin(cylinder);
                                    trace.begin(cylinder, image.get(), file);
                                  }
                                })));
  }
}
