package finebore.desk.found;

import finebore.desk.controls.DrawnRegion;
import finebore.desk.controls.Ink;
import finebore.desk.session.JobSession;
import finebore.desk.session.SeatState;
import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.head.HeadPlan;
import finebore.head.HeadPlan.Bore;
import finebore.head.HeadPlan.Spot;
import finebore.head.HeadPlan.ValvePlace;
import finebore.job.Job;
import finebore.words.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import javafx.geometry.VPos;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/**
 * The head from the chamber side, to scale: bores, fire rings, plugs, and every seat in the colour
 * and with the letter of its state. A press chooses a seat.
 */
public final class HeadPlanView extends DrawnRegion {

  /** A bold letter takes at most this much of its height. */
  private static final double LETTER = 0.6;

  /** A name may stand out of its head by so much. */
  private static final double OUT = 1.15;

  private static final double SMALLEST_TEXT = 13;
  private static final double LINE = 1.35;
  private static final int LEGEND_LINES = 3;

  private final JobSession session;
  private final Supplier<Palette> palette;
  private final Supplier<Double> textScale;
  private final Supplier<Set<String>> doubtful;
  private double scale;
  private double left;
  private double top;

  /**
   * The view.
   *
   * @param doubtful labels of the seats whose readings something is to be said about
   */
  public HeadPlanView(
      JobSession session,
      Supplier<Palette> palette,
      Supplier<Double> textScale,
      Supplier<Set<String>> doubtful) {
    super("head-plan", session.say("headPlan.name"));
    this.session = session;
    this.palette = palette;
    this.textScale = textScale;
    this.doubtful = doubtful;
    setAccessibleRole(AccessibleRole.IMAGE_VIEW);
    setMinSize(220, 150);
    addEventHandler(MouseEvent.MOUSE_PRESSED, this::pressed);
  }

  private void pressed(MouseEvent e) {
    requestFocus();
    at(e.getX(), e.getY()).ifPresent(v -> session.select(v.place()));
  }

  private Optional<ValvePlace> at(double x, double y) {
    return HeadPlan.of(session.job()).valves().stream()
        .filter(v -> Math.hypot(x(v.centre()) - x, y(v.centre()) - y) <= v.headMm() / 2 * scale)
        .findFirst();
  }

  private double x(Spot spot) {
    return left + spot.x() * scale;
  }

  private double y(Spot spot) {
    return top - spot.y() * scale;
  }

  private void fit(HeadPlan plan, double w, double h) {
    double lowX = Double.POSITIVE_INFINITY;
    double highX = Double.NEGATIVE_INFINITY;
    double lowY = Double.POSITIVE_INFINITY;
    double highY = Double.NEGATIVE_INFINITY;
    for (Bore bore : plan.bores()) {
      double r = bore.fireRingMm() / 2 + 6;
      lowX = Math.min(lowX, bore.centre().x() - r);
      highX = Math.max(highX, bore.centre().x() + r);
      lowY = Math.min(lowY, bore.centre().y() - r);
      highY = Math.max(highY, bore.centre().y() + r);
    }
    double foot = LEGEND_LINES * LINE * legendSize(w);
    scale = Math.min((w - 12) / (highX - lowX), (h - foot - 8) / (highY - lowY));
    left = (w - (highX - lowX) * scale) / 2 - lowX * scale;
    top = 4 + (h - foot - 8 - (highY - lowY) * scale) / 2 + highY * scale;
  }

  /** What it fits into three lines with in a narrow drawing too. */
  private double legendSize(double width) {
    return Math.max(SMALLEST_TEXT, Math.min(text() * 0.95, width / 33));
  }

  private double text() {
    return 13 * textScale.get();
  }

  @Override
  protected void draw(GraphicsContext g, double w, double h) {
    Palette colours = palette.get();
    Job job = session.job();
    HeadPlan plan = HeadPlan.of(job);
    fit(plan, w, h);
    g.setFill(colours.paper());
    g.fillRect(0, 0, w, h);
    plan.bores().forEach(b -> bore(g, b, colours));
    plan.valves().forEach(v -> valve(g, job, v, colours));
    legend(g, job, plan, colours, w, h);
    g.setStroke(isFocused() ? colours.blue() : colours.line());
    g.setLineWidth(isFocused() ? 2 : 1);
    g.strokeRect(0.5, 0.5, w - 1, h - 1);
  }

  private void bore(GraphicsContext g, Bore bore, Palette colours) {
    g.setStroke(colours.vermilion());
    g.setLineWidth(1.2);
    g.setLineDashes(6, 3);
    circle(g, bore.centre(), bore.fireRingMm() / 2, false);
    g.setLineDashes();
    g.setFill(colours.band());
    circle(g, bore.centre(), bore.boreMm() / 2, true);
    g.setStroke(colours.edge());
    g.setLineWidth(1.4);
    circle(g, bore.centre(), bore.boreMm() / 2, false);
    double[] xs = bore.chamber().stream().mapToDouble(this::x).toArray();
    double[] ys = bore.chamber().stream().mapToDouble(this::y).toArray();
    g.setFill(colours.paper());
    g.fillPolygon(xs, ys, xs.length);
    g.setStroke(colours.strongLine());
    g.setLineWidth(1);
    g.strokePolygon(xs, ys, xs.length);
    g.setStroke(colours.muted());
    circle(g, bore.plug(), bore.plugMm() / 2, false);
    double px = x(bore.plug());
    double py = y(bore.plug());
    double r = bore.plugMm() / 2 * scale;
    g.strokeLine(px - r, py, px + r, py);
    g.strokeLine(px, py - r, px, py + r);
  }

  private void circle(GraphicsContext g, Spot centre, double radiusMm, boolean fill) {
    double r = radiusMm * scale;
    if (fill) {
      g.fillOval(x(centre) - r, y(centre) - r, 2 * r, 2 * r);
    } else {
      g.strokeOval(x(centre) - r, y(centre) - r, 2 * r, 2 * r);
    }
  }

  /** The edge that is seen: an ellipse where the valve leans. */
  private void outline(GraphicsContext g, ValvePlace valve) {
    g.beginPath();
    for (Spot spot : valve.rim()) {
      g.lineTo(x(spot), y(spot));
    }
    g.closePath();
  }

  private void valve(GraphicsContext g, Job job, ValvePlace valve, Palette colours) {
    SeatState state = SeatState.of(job, valve.place());
    boolean doubt = doubtful.get().contains(valve.place().label());
    boolean here = valve.place().equals(session.seat().get());
    Color ground =
        doubt
            ? colours.amberWash()
            : switch (state) {
              case OPEN -> colours.panel();
              case FOUND -> colours.iron();
              case PLANNED -> colours.blueWash();
              case READY, CUTTING, CUT, PROVED -> colours.greenWash();
            };
    g.setFill(ground);
    outline(g, valve);
    g.fill();
    g.setStroke(here ? colours.blue() : colours.edge());
    g.setLineWidth(here ? 3.5 : 1.4);
    outline(g, valve);
    g.stroke();
    g.setStroke(colours.muted());
    g.setLineWidth(1);
    circle(g, valve.centre(), valve.throatMm() / 2, false);
    // The guide leans: where its axis comes out at the other side of a head as thick as the bore.
    double lean = Math.tan(Math.toRadians(valve.tiltDeg())) * 0.6 * valve.headMm() * scale;
    g.setStroke(colours.edge());
    g.setStroke(colours.muted());
    double tip = y(valve.centre()) + lean;
    g.strokeLine(x(valve.centre()), y(valve.centre()), x(valve.centre()), tip);
    g.strokeOval(x(valve.centre()) - 2, tip - 2, 4, 4);
    g.setFill(colours.text());
    g.setTextAlign(TextAlignment.CENTER);
    g.setTextBaseline(VPos.CENTER);
    double head = valve.headMm() * scale;
    double size = Math.clamp(head / 3, SMALLEST_TEXT, Math.max(SMALLEST_TEXT, text() * 0.9));
    g.setFont(Theme.boldFigures(size));
    String full =
        valve.place().label()
            + " "
            + (doubt ? "!" : "")
            + state.letter()
            + (job.isException(valve.place()) ? "×" : "");
    Ink.write(
        g,
        // On a small head there is room for its name alone; its colour tells the state.
        full.length() * size * LETTER > OUT * head ? valve.place().label() : full,
        x(valve.centre()),
        // On the side the guide does not lean to.
        y(valve.centre()) - Math.copySign(Math.min(size * 0.75, head * 0.22), lean));
  }

  private void legend(
      GraphicsContext g, Job job, HeadPlan plan, Palette colours, double w, double h) {
    g.setFill(colours.muted());
    g.setTextAlign(TextAlignment.LEFT);
    g.setTextBaseline(VPos.CENTER);
    double size = legendSize(w);
    Font font = Theme.words(size);
    g.setFont(font);
    String tilt =
        job.head().layout().isEmpty()
            ? session.say("headPlan.assumed")
            : session.say(
                "headPlan.lean",
                "intake",
                UnitSystem.fixed(job.layout().intakeTiltDeg(), 0),
                "exhaust",
                UnitSystem.fixed(job.layout().exhaustTiltDeg(), 0),
                "chamber",
                session.say(
                    plan.bores().stream().allMatch(Bore::chamberMeasured)
                        ? "headPlan.chamberMeasured"
                        : "headPlan.chamberAssumed"));
    List<String> lines = lines(session.say("headPlan.legend"), "   ", font, w - 16);
    lines.addAll(lines(tilt, " ", font, w - 16));
    for (int k = 0; k < lines.size(); k++) {
      Ink.write(g, lines.get(k), 8, h - size * (0.8 + LINE * (lines.size() - 1 - k)));
    }
  }

  /** A text on as many lines as it needs, broken only between its parts. */
  private static List<String> lines(String text, String between, Font font, double width) {
    List<String> lines = new ArrayList<>();
    Text probe = new Text();
    probe.setFont(font);
    for (String part : text.split(between)) {
      String longer = lines.isEmpty() ? part : lines.getLast() + between + part;
      probe.setText(longer);
      if (!lines.isEmpty() && probe.getLayoutBounds().getWidth() <= width) {
        lines.set(lines.size() - 1, longer);
      } else {
        lines.add(part);
      }
    }
    return lines;
  }
}
