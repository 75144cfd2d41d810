package finebore.desk.plan;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.session.AirWatch;
import finebore.desk.session.AirWatch.Answer;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatView;
import finebore.desk.theme.Theme;
import finebore.flow.field.AirChange;
import finebore.flow.field.AirFlow;
import finebore.planning.PlanStudy;
import finebore.planning.SolvedChange;
import finebore.reports.AirColours;
import finebore.reports.AirColours.Layer;
import finebore.reports.AirPicture;
import finebore.reports.AirSketch;
import finebore.reports.AirTable;
import finebore.reports.AirWords;
import finebore.reports.Pen;
import finebore.section.Point;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.Scene;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Solved air over the section: which layer is shown, what is asked for, what there is to say. */
final class AirOverlay {

  private final JobSession session;
  private final AirWatch watch;
  private final DoubleProperty lift;
  private final PaintedAir painted = new PaintedAir();
  private final ObjectProperty<Optional<Layer>> layer =
      new SimpleObjectProperty<>(Optional.empty());

  AirOverlay(JobSession session, AirWatch watch, DoubleProperty lift) {
    this.session = session;
    this.watch = watch;
    this.lift = lift;
    session.work().addListener((o, was, is) -> ask());
    lift.addListener((o, was, is) -> ask());
    layer.addListener((o, was, is) -> ask());
    watch.rest();
  }

  ObjectProperty<Optional<Layer>> layerProperty() {
    return layer;
  }

  /** Shows a layer, or none where that one is shown already. */
  void toggle(Layer wanted) {
    layer.set(layer.get().equals(Optional.of(wanted)) ? Optional.empty() : Optional.of(wanted));
  }

  /** Calls whenever there is something else to see. */
  void whenNews(Runnable redraw) {
    watch.answer().addListener((o, was, is) -> redraw.run());
    watch.change().addListener((o, was, is) -> redraw.run());
    layer.addListener((o, was, is) -> redraw.run());
  }

  boolean isShown() {
    return layer.get().isPresent();
  }

  Optional<AirFlow> flow() {
    return isShown() ? watch.answer().get().flow() : Optional.empty();
  }

  boolean isDone() {
    return watch.isDone() && !watch.answer().get().working();
  }

  /** The plan's change as far as it is solved; nothing while no air is shown. */
  SolvedChange change() {
    return isShown() ? watch.change().get() : SolvedChange.NONE;
  }

  /** What is solved of any plan of the seat; nothing while no air is shown. */
  SolvedChange known(PlanStudy plan) {
    return isShown() ? watch.known(plan) : SolvedChange.NONE;
  }

  /** Asks for other plans of the seat as well, as long as air is shown. */
  void alsoAsk(List<PlanStudy> plans) {
    if (isShown()) {
      watch.compareAlso(plans);
    }
  }

  /** Calls whenever another lift of any plan has been solved. */
  void whenSolved(Runnable redraw) {
    watch.news().addListener((o, was, is) -> redraw.run());
  }

  private void ask() {
    SeatView work = session.work().get();
    if (!isShown() || lift.get() <= 0 || work.shown().seated().isEmpty()) {
      watch.rest();
      return;
    }
    watch.look(work.shown(), lift.get());
    if (work.found().seated().isPresent() && work.planned().seated().isPresent()) {
      watch.compare(work.found(), work.planned(), work.job().test().liftsMm(), lift.get());
    }
  }

  /** Paints it on the paper, under metal and valve. */
  void paint(Sheet sheet) {
    Answer answer = watch.answer().get();
    if (!isShown() || answer.flow().isEmpty()) {
      return;
    }
    AirFlow flow = answer.flow().get();
    Layer shown = layer.get().get();
    painted.paint(
        sheet,
        List.of(flow, shown),
        dense(sheet),
        on -> AirSketch.draw(flow, answer.lines().orElseThrow(), shown, new CanvasPen(on)));
  }

  /** How many dots of the screen make a pixel. */
  private static double dense(Sheet sheet) {
    Scene scene = sheet.g().getCanvas().getScene();
    return scene == null || scene.getWindow() == null ? 1 : scene.getWindow().getRenderScaleX();
  }

  /** Numbers dead water over it all. */
  void number(Sheet sheet) {
    Answer answer = watch.answer().get();
    if (isShown() && answer.flow().isPresent()) {
      AirSketch.number(answer.lines().orElseThrow(), sheet::shows, new CanvasPen(sheet));
    }
  }

  private record CanvasPen(Sheet sheet) implements Pen {

    /** How far a number stands off what it is about, and its disc's radius, px. */
    private static final double ASIDE = 26;

    private static final double BADGE = 9;

    @Override
    public void number(Point at, int number) {
      GraphicsContext g = sheet.g();
      double x = sheet.frame().x(at.r());
      double y = sheet.frame().y(at.z());
      double cx = x + ASIDE;
      double cy = y - ASIDE;
      g.setStroke(Color.WHITE);
      g.setLineWidth(3.5);
      g.strokeLine(x, y, cx, cy);
      g.setStroke(Color.BLACK);
      g.setLineWidth(1.5);
      g.strokeLine(x, y, cx, cy);
      g.setFill(Color.WHITE);
      g.fillOval(cx - BADGE, cy - BADGE, 2 * BADGE, 2 * BADGE);
      g.strokeOval(cx - BADGE, cy - BADGE, 2 * BADGE, 2 * BADGE);
      DrawnRegion.write(
          g,
          Theme.boldFigures(13),
          String.valueOf(number),
          cx,
          cy,
          Color.BLACK,
          TextAlignment.CENTER);
    }

    @Override
    public void fill(List<Point> outline, int rgb) {
      int n = outline.size();
      double[] x = new double[n];
      double[] y = new double[n];
      double left = Double.MAX_VALUE;
      double right = -Double.MAX_VALUE;
      double top = Double.MAX_VALUE;
      double bottom = -Double.MAX_VALUE;
      for (int k = 0; k < n; k++) {
        x[k] = sheet.frame().x(outline.get(k).r());
        y[k] = sheet.frame().y(outline.get(k).z());
        left = Math.min(left, x[k]);
        right = Math.max(right, x[k]);
        top = Math.min(top, y[k]);
        bottom = Math.max(bottom, y[k]);
      }
      if (right < 0 || left > sheet.width() || bottom < 0 || top > sheet.height()) {
        return;
      }
      GraphicsContext g = sheet.g();
      Color colour = colour(rgb);
      g.setFill(colour);
      g.fillPolygon(x, y, n);
      // Neighbours would show a seam between them.
      g.setStroke(colour);
      g.setLineWidth(0.8);
      g.strokePolygon(x, y, n);
    }

    @Override
    public void line(List<Point> points, int rgb, double width, boolean dashed) {
      GraphicsContext g = sheet.g();
      sheet.path(points, false);
      g.setStroke(colour(rgb));
      g.setLineWidth(width);
      if (dashed) {
        g.setLineDashes(6, 4);
      }
      g.stroke();
      g.setLineDashes();
    }
  }

  static Color colour(int rgb) {
    return Color.rgb(rgb >> 16 & 0xff, rgb >> 8 & 0xff, rgb & 0xff);
  }

  /** What the pointer is over. */
  Optional<String> probe(Point at) {
    return flow()
        .flatMap(
            flow ->
                flow.cellAt(at)
                    .map(
                        c ->
                            session
                                .words()
                                .text(
                                    "air.probe",
                                    "speed",
                                    UnitSystem.fixed(flow.speed(c[0], c[1]), 0),
                                    "pressure",
                                    session.units().pressureText(flow.pressure(c[0], c[1])),
                                    "lost",
                                    UnitSystem.fixed(100 * flow.lost(c[0], c[1]), 0))));
  }

  /** Ends of the colour scale. */
  String scaleEnd() {
    return layer.get().orElseThrow() == Layer.SPEED
        ? UnitSystem.fixed(AirColours.FASTEST, 0) + " m/s"
        : session.say("air.scale.lost");
  }

  /** What the picture says; empty while none is shown. */
  List<String> said() {
    if (!isShown()) {
      return List.of();
    }
    Words words = session.words();
    SeatView work = session.work().get();
    if (lift.get() <= 0 || work.shown().seated().isEmpty()) {
      return List.of(words.text("air.closed"));
    }
    Answer answer = watch.answer().get();
    if (answer.whyNot().isPresent()) {
      return List.of(
          words.text("air.notSolved", "why", words.label(answer.whyNot().get())),
          words.text("air.limits"));
    }
    if (answer.flow().isEmpty()) {
      return List.of(words.text("air.solving"));
    }
    return AirWords.of(answer.flow().get(), words);
  }

  /** How much of the strip has been solved. */
  Optional<String> stripSaid() {
    if (!isShown() || session.work().get().change().isEmpty()) {
      return Optional.empty();
    }
    int all = session.job().test().liftsMm().size();
    int done = change().count();
    long turned = change().byLiftMm().values().stream().filter(AirChange::jetLiesOtherwise).count();
    String said =
        done == all
            ? session.say(watch.isStripDone() ? "air.strip" : "air.strip.fine")
            : session.say(
                watch.isStripDone() ? "air.strip.some" : "air.strip.working",
                "done",
                done,
                "all",
                all);
    long waving = change().byLiftMm().values().stream().filter(AirChange::waves).count();
    if (turned > 0) {
      said += "; " + session.say("air.strip.turned", "count", turned);
    }
    return Optional.of(
        waving == 0 ? said : said + "; " + session.say("air.strip.waves", "count", waving));
  }

  /**
   * The picture or its figures, as a file of a name would hold them.
   *
   * @param name ends in .svg or .csv; a PNG otherwise
   */
  Optional<byte[]> file(String name) {
    return flow().map(flow -> written(flow, name.toLowerCase(Locale.ROOT)));
  }

  private byte[] written(AirFlow flow, String name) {
    if (name.endsWith(".csv")) {
      return AirTable.csv(flow).getBytes(StandardCharsets.UTF_8);
    }
    Layer shown = layer.get().orElseThrow();
    SeatView work = session.work().get();
    String title =
        session.say(
            "air.title",
            "seat",
            work.place().label(),
            "state",
            session.say(work.showFound() ? "air.state.found" : "air.state.planned"),
            "lift",
            session.words().figure(Dimension.LENGTH, lift.get()),
            "layer",
            session.say("air.layer." + shown.name().toLowerCase(Locale.ROOT)));
    return name.endsWith(".svg")
        ? AirPicture.svg(flow, shown, session.words(), title).getBytes(StandardCharsets.UTF_8)
        : AirPicture.png(flow, shown, session.words(), title);
  }
}
