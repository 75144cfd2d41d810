package finebore.desk.controls;

import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.formats.JobPictures;
import finebore.planning.RoomAtLift;
import finebore.planning.SeatPlaces;
import finebore.planning.SeatRoom;
import finebore.room.Around;
import finebore.room.FacePhotograph;
import finebore.room.Room;
import finebore.room.Shroud;
import finebore.room.Shroud.Part;
import finebore.room.Shroud.State;
import finebore.room.WallBack;
import finebore.room.WallLimit;
import finebore.space.Rim;
import finebore.space.ValveHead;
import finebore.study.SeatStudy;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import javafx.beans.property.DoubleProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.TextAlignment;

/**
 * The valve seen from the chamber with what stands round it, at the lift of the lever: by direction
 * where its air gets away freely, where a wall is in the way, and where it is shut; how far the
 * wall would have to go back, and how far it may.
 */
public final class RoomView extends DrawnRegion {

  /** The ring that tells how the air gets away is so wide, px. */
  private static final double RING_PX = 9;

  /** A shut valve is looked at as if it stood open by this, mm. */
  private static final double SHUT_MM = 0.01;

  /** How much of a valve is drawn over a photograph. */
  private static final double THROUGH = 0.45;

  private final JobSession session;
  private final DoubleProperty lift;
  private final Function<SeatView, SeatStudy> of;
  private final boolean measured;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final RoomHand hand;
  private final FaceUnder under = new FaceUnder(this::requestLayout);
  private Runnable looked = () -> {};

  /** The direction that was pointed at; below 0 the tightest, until one is. */
  private int pointed = -1;

  private double scale;
  private double left;
  private double top;

  /**
   * A view.
   *
   * @param id of the node
   * @param lift of the valve, mm
   * @param of the state that is looked at
   * @param measured whether the gaps that were read stand beside their walls
   */
  public RoomView(
      String id,
      JobSession session,
      DoubleProperty lift,
      Function<SeatView, SeatStudy> of,
      boolean measured,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    super(id, session.say("room.name"));
    this.of = of;
    this.measured = measured;
    this.hand = new RoomHand(session, measured);
    this.session = session;
    this.lift = lift;
    this.palette = palette;
    this.textScale = textScale;
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(200, 150);
    lift.addListener((o, was, is) -> requestLayout());
    session.work().addListener((o, was, is) -> requestLayout());
    addEventHandler(MouseEvent.MOUSE_MOVED, this::point);
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
    addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
    addEventHandler(MouseEvent.MOUSE_RELEASED, e -> hand.release());
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  /** What is to happen when another direction is looked at. */
  public void onLook(Runnable action) {
    looked = action;
  }

  private void point(MouseEvent e) {
    room()
        .ifPresent(
            room -> {
              double angle =
                  Math.atan2(e.getX() - x(room.alongMm()), y(room.acrossMm()) - e.getY());
              look((int) Math.round(angle / (2 * Math.PI) * Around.DIRECTIONS));
            });
  }

  private void press(MouseEvent e) {
    requestFocus();
    if (room().isPresent() && shown().seated().isPresent()) {
      hand.press(
          room().get(),
          scale().along(e.getX()),
          scale().across(e.getY()),
          head(room().get(), seen(room().get())));
    }
  }

  private void drag(MouseEvent e) {
    if (hand.holdsWall()) {
      point(e);
    }
    room().ifPresent(r -> hand.drag(r, scale().along(e.getX()), scale().across(e.getY())));
  }

  private RoomScale scale() {
    return new RoomScale(scale, left, top);
  }

  private void key(KeyEvent e) {
    if (e.getCode() == KeyCode.LEFT || e.getCode() == KeyCode.RIGHT) {
      int by = e.getCode() == KeyCode.LEFT ? -1 : 1;
      room().ifPresent(r -> look(direction(seen(r).shroud()) + by));
      e.consume();
    }
  }

  private int direction(Shroud shroud) {
    if (pointed >= 0) {
      return pointed;
    }
    List<Part> parts = shroud.parts();
    return IntStream.range(0, parts.size())
        .boxed()
        .min(Comparator.comparingDouble(d -> parts.get(d).passes()))
        .orElse(0);
  }

  private void look(int direction) {
    int next = Math.floorMod(direction, Around.DIRECTIONS);
    if (next != pointed) {
      pointed = next;
      requestLayout();
      looked.run();
    }
  }

  private SeatStudy shown() {
    return of.apply(session.work().get());
  }

  private Optional<Room> room() {
    return shown().setting().room();
  }

  private double x(double alongMm) {
    return left + alongMm * scale;
  }

  private double y(double acrossMm) {
    return top - acrossMm * scale;
  }

  private double text() {
    return 13 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.paper());
    g.fillRect(0, 0, w, h);
    if (room().isEmpty()) {
      nothing(g, colours, w, h);
    } else if (shown().seated().isEmpty()) {
      say(g, session.say("room.fallsThrough"), w / 2, h / 2, colours.muted(), TextAlignment.CENTER);
    } else {
      draw(g, room().get(), colours, w, h);
    }
    if (isFocused()) {
      g.setStroke(colours.blue());
      g.setLineWidth(2);
      g.strokeRect(1, 1, w - 2, h - 2);
    }
  }

  private void nothing(GraphicsContext g, Palette colours, double w, double h) {
    String[] lines = session.say(whyNoRoom()).split("\\|");
    for (int k = 0; k < lines.length; k++) {
      say(
          g,
          lines[k],
          w / 2,
          h / 2 + (k - (lines.length - 1) / 2.0) * 1.35 * text(),
          colours.muted(),
          TextAlignment.CENTER);
    }
  }

  private SeatPlaces places() {
    SeatView work = session.work().get();
    return SeatPlaces.of(work.job(), work.place().cylinder());
  }

  private String whyNoRoom() {
    SeatPlaces places = places();
    if (!places.lacksOne(session.work().get().place())) {
      return "room.nothing";
    }
    if (!places.turnsFree()) {
      return "room.lacks";
    }
    return session.job().engine().hasPairs() ? "room.turns" : "room.turnsPlain";
  }

  /** What stands round the valve; there is a room and a seat to rest on. */
  private RoomAtLift seen(Room room) {
    SeatView work = session.work().get();
    return RoomAtLift.of(
            work.job(), work.place(), room, shown().fit(), Math.max(lift.get(), SHUT_MM))
        .orElseThrow();
  }

  private void draw(GraphicsContext g, Room room, Palette colours, double w, double h) {
    RoomAtLift seen = seen(room);
    double ring = session.job().layout().fireRingMm();
    fit(room, seen.edgeMm(), Math.max(ring, room.boreMm()), w, h);
    boolean photograph = measured && photograph(g, Math.max(ring, room.boreMm()));
    if (!photograph) {
      g.setFill(colours.band());
      disc(g, 0, 0, room.boreMm() / 2);
    }
    if (!seen.back().isEmpty()) {
      walls(g, room, seen.back(), photograph, colours);
    }
    circles(g, room, ring, photograph, colours);
    stops(g, room, seen.back(), colours);
    g.setFill(colours.brass());
    // The photograph's own valves are to be seen through those that are drawn.
    g.setGlobalAlpha(photograph ? THROUGH : 1);
    edge(g, head(room, seen));
    g.fill();
    g.setGlobalAlpha(1);
    ring(g, room, seen, colours);
    pointer(g, room, seen, colours);
    if (measured) {
      String seat = session.work().get().place().label();
      new MeasuredMarks(g, colours, text(), scale(), session.units())
          .draw(
              session.job().head().readingsOf(seat),
              room,
              SeatRoom.headAsFound(session.job(), session.seat().get(), room).seen());
    }
    say(
        g,
        session.say("room.exhausts"),
        w / 2,
        0.8 * text(),
        colours.muted(),
        TextAlignment.CENTER);
  }

  /** The photograph of the chamber under it all, where there is one and it has been read. */
  private boolean photograph(GraphicsContext g, double across) {
    int cylinder = session.seat().get().cylinder();
    Optional<FacePhotograph> kept = session.job().head().photograph(cylinder);
    under.show(
        kept,
        kept.flatMap(p -> session.file().get().flatMap(f -> JobPictures.find(f, p.file()))),
        across / 2);
    return under.draw(g, scale());
  }

  private void fit(Room room, double edge, double across, double w, double h) {
    double half = Math.max(across / 2, Math.hypot(room.alongMm(), room.acrossMm()) + edge) + 2;
    double head = 1.5 * text();
    scale = Math.min((w - 8) / 2, (h - head - 4) / 2) / half;
    left = w / 2;
    top = head + (h - head - 4) / 2;
  }

  /** The chamber as it is, what is to go, and from where the wall costs nothing. */
  private void walls(
      GraphicsContext g, Room room, List<WallBack> back, boolean photograph, Palette colours) {
    if (!photograph) {
      g.setFill(colours.vermilionWash());
      outline(g, room, back, b -> Math.max(b.nowMm(), Math.min(b.freeMm(), b.limitMm())));
      g.fill();
      g.setFill(Hatch.of(colours.vermilion(), false, 6, 1.2));
      g.fill();
      g.setFill(colours.paper());
      outline(g, room, back, WallBack::nowMm);
      g.fill();
    }
    outline(g, room, back, WallBack::nowMm);
    under(g, photograph);
    g.setStroke(colours.edge());
    g.setLineWidth(1.8);
    g.stroke();
    outline(g, room, back, WallBack::freeMm);
    under(g, photograph);
    g.setStroke(colours.blue());
    g.setLineWidth(1.3);
    g.setLineDashes(8, 5);
    g.stroke();
    g.setLineDashes();
  }

  /** Where water or the plug's thread stops the wall before the fire ring does. */
  private void stops(GraphicsContext g, Room room, List<WallBack> back, Palette colours) {
    double half = Math.PI / Around.DIRECTIONS;
    for (int d = 0; d < back.size(); d++) {
      WallLimit limit = back.get(d).limit();
      if (limit.by() == WallLimit.By.FIRE_RING) {
        continue;
      }
      double angle = Around.angleRad(d);
      g.setStroke(colours.vermilion());
      g.setLineWidth(2.5);
      g.strokeLine(
          x(room.alongMm() + limit.mm() * Math.sin(angle - half)),
          y(room.acrossMm() + limit.mm() * Math.cos(angle - half)),
          x(room.alongMm() + limit.mm() * Math.sin(angle + half)),
          y(room.acrossMm() + limit.mm() * Math.cos(angle + half)));
      if (isMiddle(back, d)) {
        double out = limit.mm() * scale + 1.1 * text();
        say(
            g,
            session.say("room.limit." + limit.by().name().toLowerCase(Locale.ROOT)),
            x(room.alongMm()) + out * Math.sin(angle),
            y(room.acrossMm()) - out * Math.cos(angle),
            colours.vermilion(),
            Math.sin(angle) < 0 ? TextAlignment.RIGHT : TextAlignment.LEFT);
      }
    }
  }

  /** Whether a direction is the middle of a run of directions that the same stops. */
  private static boolean isMiddle(List<WallBack> back, int direction) {
    int before = 0;
    int after = 0;
    while (before < back.size() && sameStop(back, direction, -before - 1)) {
      before++;
    }
    while (after < back.size() && sameStop(back, direction, after + 1)) {
      after++;
    }
    return before == after || before == after + 1;
  }

  private static boolean sameStop(List<WallBack> back, int direction, int by) {
    WallLimit.By here = back.get(direction).limit().by();
    return back.get(Math.floorMod(direction + by, back.size())).limit().by() == here;
  }

  /** Light under a line, so that it shows on any photograph. */
  private static void under(GraphicsContext g, boolean photograph) {
    if (photograph) {
      g.setStroke(Color.WHITE);
      g.setLineWidth(4);
      g.stroke();
    }
  }

  private void outline(
      GraphicsContext g, Room room, List<WallBack> back, ToDoubleFunction<WallBack> from) {
    g.beginPath();
    for (int d = 0; d < back.size(); d++) {
      double r = from.applyAsDouble(back.get(d));
      double px = x(room.alongMm() + r * Math.sin(Around.angleRad(d)));
      double py = y(room.acrossMm() + r * Math.cos(Around.angleRad(d)));
      if (d == 0) {
        g.moveTo(px, py);
      } else {
        g.lineTo(px, py);
      }
    }
    g.closePath();
  }

  private void circles(
      GraphicsContext g, Room room, double ring, boolean photograph, Palette colours) {
    g.setStroke(colours.edge());
    g.setLineWidth(1.4);
    circle(g, 0, 0, room.boreMm() / 2);
    g.setStroke(colours.vermilion());
    g.setLineDashes(6, 3);
    circle(g, 0, 0, ring / 2);
    g.setLineDashes();
    g.setStroke(colours.muted());
    for (ValveHead neighbour : room.neighbours()) {
      g.setFill(colours.iron());
      g.setGlobalAlpha(photograph ? THROUGH : 1);
      edge(g, neighbour.seen());
      g.fill();
      g.setGlobalAlpha(1);
      g.stroke();
    }
  }

  /** By width too, so that it can be read without its colour. */
  private void ring(GraphicsContext g, Room room, RoomAtLift seen, Palette colours) {
    Rim rim = head(room, seen);
    double half = Math.PI / Around.DIRECTIONS;
    g.setLineCap(StrokeLineCap.BUTT);
    g.setLineJoin(StrokeLineJoin.ROUND);
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      Part part = seen.shroud().parts().get(d);
      double wide =
          switch (part.state()) {
            case FREE -> RING_PX / 3;
            case TIGHT -> RING_PX * 0.7;
            case SHUT -> RING_PX;
          };
      g.setStroke(colour(part.state(), colours));
      g.setLineWidth(wide);
      // Inside the edge by half its own width.
      Rim inside = rim.withRadius(Math.max(0, rim.radiusMm() - wide / 2 / scale));
      g.beginPath();
      for (double turn : new double[] {-half, 0, half}) {
        Rim.Place place = inside.toward(Around.angleRad(d) + turn);
        g.lineTo(x(place.alongMm()), y(place.acrossMm()));
      }
      g.stroke();
    }
    g.setStroke(colours.brassEdge());
    g.setLineWidth(1.4);
    edge(g, rim);
    g.stroke();
  }

  /** The head's edge at the lift, in space. */
  private static Rim head(Room room, RoomAtLift seen) {
    return room.rim(seen.edgeMm(), seen.heightMm());
  }

  /** The path of an edge as it is seen from the chamber. */
  private void edge(GraphicsContext g, Rim rim) {
    g.beginPath();
    for (int d = 0; d < Around.DIRECTIONS; d++) {
      Rim.Place place = rim.toward(Around.angleRad(d));
      g.lineTo(x(place.alongMm()), y(place.acrossMm()));
    }
    g.closePath();
  }

  private static Color colour(State state, Palette colours) {
    return switch (state) {
      case FREE -> colours.green();
      case TIGHT -> colours.amber();
      case SHUT -> colours.vermilion();
    };
  }

  private void pointer(GraphicsContext g, Room room, RoomAtLift seen, Palette colours) {
    double angle = Around.angleRad(direction(seen.shroud()));
    Rim rim = head(room, seen);
    double x = x(rim.alongMm());
    double y = y(rim.acrossMm());
    double r = (seen.edgeMm() + 2) * scale;
    g.setStroke(colours.text());
    g.setLineWidth(1.2);
    g.strokeLine(x, y, x + r * Math.sin(angle), y - r * Math.cos(angle));
    g.setFill(colours.text());
    g.setFont(Theme.boldFigures(text()));
    g.setTextAlign(TextAlignment.CENTER);
    Ink.write(
        g,
        session.work().get().place().label(),
        x - 1.2 * text() * Math.sin(angle),
        y + text() * (0.35 + (measured ? 0.9 : 0)));
  }

  /** What is seen in words, for the line under the drawing. */
  public List<String> said() {
    Optional<Room> room = room();
    if (room.isEmpty() || shown().seated().isEmpty()) {
      return List.of();
    }
    RoomAtLift seen = seen(room.get());
    return new RoomWords(session.words(), seen)
        .of(
            lift.get(),
            direction(seen.shroud()),
            measured ? Optional.of(places()) : Optional.empty(),
            session.work().get().place());
  }

  private void say(
      GraphicsContext g, String words, double x, double y, Color colour, TextAlignment align) {
    write(g, Theme.words(text()), words, x, y, colour, align);
  }

  private void disc(GraphicsContext g, double alongMm, double acrossMm, double radiusMm) {
    double r = radiusMm * scale;
    g.fillOval(x(alongMm) - r, y(acrossMm) - r, 2 * r, 2 * r);
  }

  private void circle(GraphicsContext g, double alongMm, double acrossMm, double radiusMm) {
    double r = radiusMm * scale;
    g.strokeOval(x(alongMm) - r, y(acrossMm) - r, 2 * r, 2 * r);
  }
}
