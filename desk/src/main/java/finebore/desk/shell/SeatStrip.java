package finebore.desk.shell;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatState;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import java.util.List;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.shape.ArcType;
import javafx.scene.text.TextAlignment;

/**
 * Every seat of the head as a small ring that fills clockwise as the work goes on: a fifth when it
 * is found, two fifths when its plan differs from that.
 */
final class SeatStrip extends ScrollPane {

  private static final double SIZE = 34;

  /** Size of a ring where there are many. */
  private static final double SMALL = 28;

  private static final int MANY = 16;

  /** Narrower than this it shows too little to scroll in. */
  private static final double LEAST_WIDTH = 150;

  private final HBox rings = new HBox(1);

  private final JobSession session;
  private final Supplier<Palette> palette;
  private Shown shown;
  private double size = SIZE;

  SeatStrip(JobSession session, Supplier<Palette> palette) {
    this.session = session;
    this.palette = palette;
    setId("seat-strip");
    rings.setId("seat-rings");
    rings.setAlignment(Pos.CENTER_LEFT);
    setContent(rings);
    setFitToHeight(true);
    setHbarPolicy(ScrollBarPolicy.NEVER);
    setVbarPolicy(ScrollBarPolicy.NEVER);
    setPannable(true);
    setFocusTraversable(false);
    setMinWidth(LEAST_WIDTH);
    getStyleClass().add("seat-strip");
    setOnScroll(e -> setHvalue(getHvalue() - (e.getDeltaX() + e.getDeltaY()) / rings.getWidth()));
    viewportBoundsProperty().addListener((o, was, is) -> reveal());
    session.work().addListener((o, was, is) -> show());
    show();
  }

  private void show() {
    Shown now = Shown.of(session);
    if (!now.equals(shown)) {
      paint();
    }
  }

  /** What the strip shows; while that stays the same it is left alone. */
  private record Shown(List<SeatPlace> seats, SeatPlace here, List<SeatState> states) {
    static Shown of(JobSession session) {
      Job job = session.job();
      List<SeatPlace> seats = job.engine().seats();
      return new Shown(
          seats, session.seat().get(), seats.stream().map(s -> SeatState.of(job, s)).toList());
    }
  }

  /** Paints every ring, for another seat, state or look. */
  void paint() {
    shown = Shown.of(session);
    var seats = session.job().engine().seats();
    size = seats.size() > MANY ? SMALL : SIZE;
    boolean rebuilt =
        rings.getChildren().size() != seats.size() + session.job().engine().cylinders() - 1;
    boolean hadFocus = rings.getChildren().stream().anyMatch(n -> n.isFocused());
    rings.getChildren().clear();
    int cylinder = 1;
    for (SeatPlace place : seats) {
      if (place.cylinder() != cylinder) {
        cylinder = place.cylinder();
        Region gap = new Region();
        gap.setMinWidth(8);
        rings.getChildren().add(gap);
      }
      Button ring = ring(place);
      rings.getChildren().add(ring);
      if (hadFocus && !rebuilt && place.equals(session.seat().get())) {
        ring.requestFocus();
      }
    }
    reveal();
  }

  /** Scrolls the chosen seat into view. */
  private void reveal() {
    Node chosen = rings.lookup("#seat-" + session.seat().get().label());
    double beyond = rings.getWidth() - getViewportBounds().getWidth();
    if (chosen != null && beyond > 0) {
      double middle = chosen.getBoundsInParent().getCenterX();
      setHvalue(Math.clamp((middle - getViewportBounds().getWidth() / 2) / beyond, 0, 1));
    }
  }

  private Button ring(SeatPlace place) {
    Canvas canvas = new Canvas(size, size);
    paint(canvas.getGraphicsContext2D(), place);
    Button button = new Button("", canvas);
    button.setId("seat-" + place.label());
    button.getStyleClass().add("seat-ring");
    String state = session.words().label(SeatState.of(session.job(), place));
    button.setAccessibleText(place.label() + ", " + state);
    button.setTooltip(
        new Tooltip(
            session.say(
                "strip.seat",
                "seat",
                place.label(),
                "port",
                place.port(),
                "cylinder",
                place.cylinder(),
                "state",
                state)));
    button.setOnAction(e -> session.select(place));
    return button;
  }

  private void paint(GraphicsContext g, SeatPlace place) {
    Palette colours = palette.get();
    boolean here = place.equals(session.seat().get());
    double c = size / 2;
    double r = c - 4;
    if (here) {
      g.setFill(colours.blue());
      g.fillOval(c - r + 2, c - r + 2, 2 * r - 4, 2 * r - 4);
    }
    g.setStroke(colours.line());
    g.setLineWidth(4);
    g.strokeOval(c - r, c - r, 2 * r, 2 * r);
    double part = SeatState.of(session.job(), place).part();
    g.setStroke(colours.blue());
    g.strokeArc(c - r, c - r, 2 * r, 2 * r, 90, -360 * part, ArcType.OPEN);
    g.setFill(here ? colours.panel() : colours.text());
    g.setFont(Theme.boldFigures(place.label().length() > 2 ? 9 : 11));
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    g.fillText(place.label(), c, c);
  }
}
