package finebore.desk.found;

import finebore.code.RuleViolation;
import finebore.desk.controls.DrawnRegion;
import finebore.desk.session.JobSession;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.formats.FileProblem;
import finebore.formats.JobPictures;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.room.FacePhotograph;
import finebore.room.Squared.Pixel;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * A photograph of the chamber to be traced: first the bore at 12, 3, 6 and 9 o'clock, or four other
 * known places, which scale and square it, then the outline corner by corner. It is kept among the
 * job's pictures. Enter closes it, Backspace takes the last click back, Escape gives up.
 */
final class TraceView extends DrawnRegion {

  private static final int KNOWN = FacePhotograph.KNOWN;

  private final JobSession session;
  private final KnownPlaces known;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final List<Pixel> clicks = new ArrayList<>();
  private Optional<Image> photograph = Optional.empty();
  private Optional<Path> file = Optional.empty();
  private int cylinder;
  private Runnable done = () -> {};
  private Runnable clicked = () -> {};
  private double left;
  private double top;
  private double scale = 1;

  TraceView(
      JobSession session,
      KnownPlaces known,
      Supplier<Palette> palette,
      Supplier<Double> textScale) {
    super("trace", session.say("trace.name"));
    this.session = session;
    this.known = known;
    this.palette = palette;
    this.textScale = textScale;
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(200, 150);
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::press);
    addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  /** What is to happen when it is closed or given up. */
  void onDone(Runnable action) {
    done = action;
  }

  /** What is to happen when what is to be done next has changed. */
  void onClick(Runnable action) {
    clicked = action;
  }

  /**
   * Begins with a photograph of a cylinder, whose it stays whatever seat is looked at meanwhile.
   */
  void begin(int of, Image image, Path from) {
    cylinder = of;
    photograph = Optional.of(image);
    file = Optional.of(from);
    clicks.clear();
    requestLayout();
    requestFocus();
    clicked.run();
  }

  /** What is to be done next. */
  String next() {
    if (clicks.size() < KNOWN) {
      return known.ask(clicks.size());
    }
    return session.say(
        "trace.corners", "count", clicks.size() - KNOWN, "fewest", ChamberOutline.FEWEST);
  }

  private void press(MouseEvent e) {
    requestFocus();
    if (e.getButton() == MouseButton.PRIMARY && photograph.isPresent()) {
      Image image = photograph.get();
      clicks.add(
          new Pixel(
              Math.clamp((e.getX() - left) / scale, 0, image.getWidth()),
              Math.clamp((e.getY() - top) / scale, 0, image.getHeight())));
      changed();
    }
    e.consume();
  }

  private void changed() {
    requestLayout();
    clicked.run();
  }

  private void key(KeyEvent e) {
    switch (e.getCode()) {
      case ENTER -> close();
      case BACK_SPACE -> {
        if (!clicks.isEmpty()) {
          clicks.removeLast();
          changed();
        }
      }
      case ESCAPE -> giveUp();
      default -> {
        return;
      }
    }
    e.consume();
  }

  void giveUp() {
    session.messages().clear(getId());
    photograph = Optional.empty();
    clicks.clear();
    done.run();
  }

  /** Takes the outline into the job; what is wrong with it is said and nothing is lost. */
  void close() {
    try {
      FacePhotograph squared = squared();
      List<Corner> corners =
          clicks.subList(KNOWN, clicks.size()).stream()
              .map(this::share)
              .map(squared.squared()::at)
              .toList();
      Optional<ChamberOutline> outline =
          corners.isEmpty()
              ? session.job().head().chamber(cylinder)
              : Optional.of(new ChamberOutline(cylinder, corners));
      Optional<FacePhotograph> kept = kept(squared);
      session.edit(
          "",
          job ->
              job.withHead(
                  job.head()
                      .withChamber(cylinder, outline)
                      .withPhotograph(cylinder, kept.or(() -> job.head().photograph(cylinder)))));
      giveUp();
      if (kept.isEmpty()) {
        session.messages().note(getId(), session.say("trace.notKept"));
      }
    } catch (RuleViolation e) {
      session.messages().refuse(getId(), session.words().say(e));
    } catch (FileProblem e) {
      session.messages().refuse(getId(), session.words().say(e));
    }
  }

  private FacePhotograph squared() {
    if (clicks.size() < KNOWN) {
      throw RuleViolation.of("traceBore");
    }
    return new FacePhotograph(
        cylinder,
        file.orElseThrow().getFileName().toString(),
        clicks.subList(0, KNOWN).stream().map(this::share).toList(),
        known.places());
  }

  /** With a copy beside the job; a job that has no file yet keeps none. */
  private Optional<FacePhotograph> kept(FacePhotograph squared) throws FileProblem {
    Optional<Path> job = session.file().get();
    if (job.isEmpty()) {
      return Optional.empty();
    }
    String name = JobPictures.copyIn(file.orElseThrow(), job.get());
    return Optional.of(new FacePhotograph(squared.cylinder(), name, squared.seen(), squared.are()));
  }

  private Pixel share(Pixel p) {
    Image image = photograph.orElseThrow();
    return new Pixel(p.x() / image.getWidth(), p.y() / image.getHeight());
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    g.setFill(colours.paper());
    g.fillRect(0, 0, w, h);
    if (photograph.isEmpty()) {
      return;
    }
    Image image = photograph.get();
    scale = Math.min(w / image.getWidth(), h / image.getHeight());
    left = (w - scale * image.getWidth()) / 2;
    top = (h - scale * image.getHeight()) / 2;
    g.drawImage(image, left, top, scale * image.getWidth(), scale * image.getHeight());
    g.setLineWidth(2);
    for (int k = 0; k < Math.min(KNOWN, clicks.size()); k++) {
      double x = x(clicks.get(k));
      double y = y(clicks.get(k));
      g.setStroke(Color.WHITE);
      g.strokeLine(x - 8, y, x + 8, y);
      g.strokeLine(x, y - 8, x, y + 8);
      g.setStroke(colours.blue());
      g.strokeOval(x - 5, y - 5, 10, 10);
      write(
          g,
          Theme.words(14 * textScale.get()),
          known.mark(k),
          x + 10,
          y - 10,
          Color.WHITE,
          TextAlignment.LEFT);
    }
    // Light under dark, so that it shows on any photograph.
    line(g, Color.WHITE, 4);
    line(g, colours.vermilion(), 2);
    if (isFocused()) {
      g.setStroke(colours.blue());
      g.strokeRect(1, 1, w - 2, h - 2);
    }
  }

  private double x(Pixel p) {
    return left + scale * p.x();
  }

  private double y(Pixel p) {
    return top + scale * p.y();
  }

  private void line(GraphicsContext g, Color colour, double wide) {
    g.setStroke(colour);
    g.setLineWidth(wide);
    g.setFill(colour);
    for (int k = KNOWN; k < clicks.size(); k++) {
      Pixel p = clicks.get(k);
      g.fillOval(x(p) - wide, y(p) - wide, 2 * wide, 2 * wide);
      if (k > KNOWN) {
        Pixel before = clicks.get(k - 1);
        g.strokeLine(x(before), y(before), x(p), y(p));
      }
    }
    if (clicks.size() > KNOWN + 2) {
      Pixel first = clicks.get(KNOWN);
      Pixel last = clicks.getLast();
      g.setLineDashes(5, 5);
      g.strokeLine(x(last), y(last), x(first), y(first));
      g.setLineDashes();
    }
  }
}
