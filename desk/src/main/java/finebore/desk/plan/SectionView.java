package finebore.desk.plan;

import finebore.code.RuleViolation;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.session.AirWatch;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Palette;
import finebore.reports.AirColours.Layer;
import finebore.seat.Seat;
import finebore.section.Point;
import finebore.valve.Pairing;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.animation.AnimationTimer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;

/**
 * The section to scale, with grips.
 *
 * <p>The wheel zooms at the pointer, a drag on empty ground pans, a double click fits. A grip is
 * dragged, or chosen with Tab-like keys (comma and full stop) and nudged with the arrows; Shift
 * drags the other quantity of a corner and makes nudges ten times as large.
 */
public final class SectionView extends DrawnRegion {

  private static final double GRIP_PX = 9;

  private final JobSession session;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final AirOverlay air;
  private final DoubleProperty lift = new SimpleDoubleProperty(3);
  private final Tooltip hover = new Tooltip();
  private Runnable showRoom = () -> {};
  private Runnable showSizes = () -> {};
  private ViewFrame frame;
  private boolean fitted = true;
  private String selected = "";
  private String hovered = "";
  private Gesture gesture;
  private Optional<Pull> pending = Optional.empty();
  private int gestures;

  /** A drag under way. */
  private record Gesture(
      Optional<Grip> grip, String name, Pairing start, double x, double y, ViewFrame frame) {}

  /** How far a grip has been pulled, px, and whether Shift was down. */
  private record Pull(double dx, double dy, boolean other) {}

  private final AnimationTimer pulls =
      new AnimationTimer() {
        @Override
        public void handle(long now) {
          pull();
        }
      };

  public SectionView(
      JobSession session, AirWatch watch, Supplier<Palette> palette, Supplier<Double> textScale) {
    super("section", session.say("section.name"));
    Tooltip.install(this, hover);
    this.session = session;
    this.palette = palette;
    this.textScale = textScale;
    air = new AirOverlay(session, watch, lift);
    air.whenNews(this::redraw);
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(200, 160);
    session.work().addListener((o, was, is) -> redraw());
    lift.addListener((o, was, is) -> redraw());
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
    addEventHandler(MouseEvent.MOUSE_DRAGGED, this::dragged);
    addEventHandler(MouseEvent.MOUSE_RELEASED, this::released);
    addEventHandler(MouseEvent.MOUSE_MOVED, this::moved);
    addEventHandler(MouseEvent.MOUSE_CLICKED, this::clicked);
    addEventHandler(ScrollEvent.SCROLL, this::scrolled);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
    addEventHandler(KeyEvent.KEY_TYPED, this::typed);
  }

  /** The lever's lift, mm. */
  public DoubleProperty liftProperty() {
    return lift;
  }

  /** The solved air over it. */
  AirOverlay air() {
    return air;
  }

  public void redraw() {
    requestLayout();
  }

  /** Shows seat and valve rim as large as they go. */
  public void fit() {
    fitted = true;
    redraw();
  }

  /** Shows everything from the guide axis to past the valve. */
  public void fitWhole() {
    SeatView work = session.work().get();
    double head = work.pairing().valve().headDiameterMm();
    Point low = new Point(-0.05 * head, -work.pairing().seat().depthMm() - 0.75 * head);
    Point high = new Point(0.85 * head, Math.max(2, lift.get() + 3));
    frame = ViewFrame.fitting(low, high, 0, 0, getWidth(), getHeight());
    fitted = false;
    redraw();
  }

  /** Zooms in or out at the middle. */
  public void zoom(double factor) {
    frame = frame.zoomed(factor, getWidth() / 2, getHeight() / 2);
    fitted = false;
    redraw();
  }

  /** Where a grip is on the screen of the scene, for whoever drives the window. */
  public Optional<javafx.geometry.Point2D> gripOnScreen(String id) {
    return grips().stream()
        .filter(g -> g.id().equals(id))
        .findFirst()
        .map(g -> localToScreen(frame.x(g.at().r()), frame.y(g.at().z())));
  }

  private List<Grip> grips() {
    return Grip.of(session.work().get(), lift.get());
  }

  private ViewFrame fitting() {
    SeatView work = session.work().get();
    Seat seat = work.shown().pairing().seat();
    double head = work.pairing().valve().headDiameterMm() / 2;
    double rest = work.shown().seated().map(s -> s.restMm()).orElse(-seat.depthMm());
    double room = Math.max(lift.get(), 1) + work.pairing().valve().marginMm() + 1.2;
    Point low = new Point(0.62 * head, -seat.depthMm() - 0.27 * head);
    Point high = new Point(1.1 * head, rest + room);
    double left = Math.min(120 * textScale.get(), 0.17 * getWidth());
    double right = Math.min(190 * textScale.get(), 0.45 * getWidth());
    return ViewFrame.fitting(low, high, left, 12, getWidth() - left - right, getHeight() - 30);
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    if (frame == null || fitted && gesture == null) {
      frame = fitting();
    }
    Palette colours = palette.get();
    Sheet sheet = new Sheet(g, session.work().get(), frame, colours, w, h, 13 * textScale.get());
    new SectionPainter(sheet).paint(lift.get(), air);
    new DimensionPainter(sheet).paint(lift.get());
    air.number(sheet);
    for (Grip grip : grips()) {
      double x = frame.x(grip.at().r());
      double y = frame.y(grip.at().z());
      boolean chosen = grip.id().equals(selected);
      double size = chosen || grip.id().equals(hovered) ? GRIP_PX + 3 : GRIP_PX;
      g.setFill(chosen ? colours.blue() : colours.panel());
      g.fillRect(x - size / 2, y - size / 2, size, size);
      g.setStroke(colours.blue());
      g.setLineWidth(chosen ? 2.5 : 1.6);
      g.strokeRect(x - size / 2, y - size / 2, size, size);
    }
    if (isFocused()) {
      g.setStroke(colours.blue());
      g.setLineWidth(2);
      g.strokeRect(1, 1, w - 2, h - 2);
    }
  }

  private Optional<Grip> gripAt(double x, double y) {
    return grips().stream()
        .filter(g -> Math.hypot(frame.x(g.at().r()) - x, frame.y(g.at().z()) - y) < GRIP_PX + 2)
        .min(
            java.util.Comparator.comparingDouble(
                g -> Math.hypot(frame.x(g.at().r()) - x, frame.y(g.at().z()) - y)));
  }

  private void choose(String id) {
    selected = id;
    grips().stream()
        .filter(g -> g.id().equals(id))
        .findFirst()
        .ifPresentOrElse(
            g ->
                session
                    .messages()
                    .note(
                        getId(), session.say("grip.chosen", "grip", session.words().say(g.name()))),
            () -> session.messages().clear(getId()));
    redraw();
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    if (e.getButton() != MouseButton.PRIMARY) {
      return;
    }
    Optional<Grip> grip = gripAt(e.getX(), e.getY());
    choose(grip.map(Grip::id).orElse(""));
    gestures++;
    gesture = new Gesture(grip, "drag " + gestures, pairing(), e.getX(), e.getY(), frame);
    if (grip.isPresent()) {
      pulls.start();
    }
    e.consume();
  }

  /** The pairing as edited, without a cure being tried: a drag starts from what is kept. */
  private Pairing pairing() {
    session.keepTried();
    return session.work().get().pairing();
  }

  private void dragged(MouseEvent e) {
    if (gesture == null) {
      return;
    }
    double dx = e.getX() - gesture.x();
    double dy = e.getY() - gesture.y();
    if (gesture.grip().isEmpty()) {
      frame = gesture.frame().panned(dx, dy);
      fitted = false;
      redraw();
      return;
    }
    pending = Optional.of(new Pull(dx, dy, e.isShiftDown()));
    e.consume();
  }

  /**
   * Makes the newest pull of the drag an edit; a mouse tells more of them than there are frames.
   */
  private void pull() {
    Optional<Pull> newest = pending;
    pending = Optional.empty();
    Gesture at = gesture;
    newest.ifPresent(
        pull ->
            // The grip as taken hold of: the corner itself may be gone for a while.
            at.grip().ifPresent(grip -> change(at.name(), start -> pulled(grip, at, pull))));
  }

  private Pairing pulled(Grip grip, Gesture at, Pull pull) {
    double scale = at.frame().scale();
    return grip.drag()
        .moved(
            at.start(),
            pull.dx() / scale,
            -pull.dy() / scale,
            pull.other(),
            session.units().nudgeMm());
  }

  private void change(String name, java.util.function.UnaryOperator<Pairing> edit) {
    try {
      session.editPairing(name, edit);
      session.messages().clear(getId());
    } catch (RuleViolation e) {
      session.messages().refuse(getId(), session.words().say(e));
    }
  }

  private void released(MouseEvent e) {
    pulls.stop();
    pull();
    gesture = null;
    session.endGesture();
    redraw();
  }

  private void moved(MouseEvent e) {
    String over = gripAt(e.getX(), e.getY()).map(Grip::id).orElse("");
    if (!over.equals(hovered)) {
      hovered = over;
      setCursor(over.isEmpty() ? Cursor.DEFAULT : Cursor.HAND);
      redraw();
    }
    hover.setText(explain(e.getX(), e.getY()));
    if (hover.getText().isEmpty()) {
      hover.hide();
    }
  }

  /** What the air does under the pointer, where it is shown. */
  private String explain(double x, double y) {
    boolean isOpen = lift.get() > 0 && session.work().get().shown().seated().isPresent();
    Optional<String> probed =
        isOpen && air.isShown() ? air.probe(new Point(frame.r(x), frame.z(y))) : Optional.empty();
    return probed.orElse(session.say("section.name"));
  }

  private void clicked(MouseEvent e) {
    if (e.getClickCount() == 2 && e.isStillSincePress() && gripAt(e.getX(), e.getY()).isEmpty()) {
      fit();
    }
  }

  private void scrolled(ScrollEvent e) {
    if (e.getDeltaY() != 0) {
      frame = frame.zoomed(Math.exp(e.getDeltaY() * 0.0035), e.getX(), e.getY());
      fitted = false;
      redraw();
      e.consume();
    }
  }

  /** What the key for the room round the valve does. */
  void onRoom(Runnable show) {
    showRoom = show;
  }

  /** What is to happen when the sizes are asked for. */
  void onSizes(Runnable action) {
    showSizes = action;
  }

  private void key(KeyEvent e) {
    if (e.isShortcutDown() || e.isAltDown()) {
      return;
    }
    double step = session.units().nudgeMm() * (e.isShiftDown() ? 10 : 1);
    switch (e.getCode()) {
      case LEFT -> nudge(-step, 0);
      case RIGHT -> nudge(step, 0);
      case UP -> nudge(0, step);
      case DOWN -> nudge(0, -step);
      case COMMA -> chooseNext(-1);
      case PERIOD -> chooseNext(1);
      case ESCAPE -> choose("");
      case PLUS, EQUALS, ADD -> zoom(1.25);
      case MINUS, SUBTRACT -> zoom(0.8);
      case F -> fit();
      case W -> fitWhole();
      case R -> showRoom.run();
      case V -> showSizes.run();
      case A -> air.toggle(Layer.SPEED);
      case L -> air.toggle(Layer.LOST);
      case U -> session.switchUnits();
      case P -> session.showFound(false);
      case O -> session.showFound(true);
      case PAGE_UP -> session.scrub(-1);
      case PAGE_DOWN -> session.scrub(1);
      default -> {
        return;
      }
    }
    e.consume();
  }

  /** Brackets stand on different keys, some behind AltGr, so it is what was typed that counts. */
  private void typed(KeyEvent e) {
    if (e.getCharacter().equals("[") || e.getCharacter().equals("]")) {
      session.step(e.getCharacter().equals("[") ? -1 : 1);
      e.consume();
    }
  }

  private void chooseNext(int by) {
    List<Grip> grips = grips();
    List<String> ids = grips.stream().map(Grip::id).toList();
    int at = ids.indexOf(selected);
    choose(ids.get(Math.floorMod(at < 0 && by < 0 ? -1 : at + by, ids.size())));
  }

  /**
   * Nudges the chosen value by one step. Any arrow moves it: right and up enlarge, left and down
   * make smaller, so that widths on slopes need no thought.
   */
  private void nudge(double dr, double dz) {
    double amount = dr + dz;
    grips().stream()
        .filter(g -> g.id().equals(selected))
        .findFirst()
        .ifPresent(
            grip -> change("nudge " + selected, p -> GripValue.of(grip.id()).changed(p, amount)));
  }
}
