package finebore.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import finebore.card.CardSize;
import finebore.card.ScribeSheet;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.formats.JobFile;
import finebore.found.Measure;
import finebore.head.TakeBack;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.words.Language;
import finebore.words.Words;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;
import java.awt.geom.Rectangle2D;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.junit.jupiter.api.Test;
import org.openpdf.text.pdf.PdfReader;
import org.openpdf.text.pdf.parser.PdfTextExtractor;

/** The scribe sheet: true size, nothing past the stop line, and for its own cylinder alone. */
class ScribeTest {

  private static final Job JOB = JobFile.demo("dolerite-2.0");
  private static final Words WORDS = Words.of(Language.ENGLISH, JOB.units());
  private static final SeatPlace SEAT = seat("I2b");

  private static SeatPlace seat(String label) {
    return JOB.engine().seats().stream()
        .filter(s -> s.label().equals(label))
        .findFirst()
        .orElseThrow();
  }

  private static List<Outline> of(DrawingLayer layer) {
    return Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow().drawing().items().stream()
        .filter(i -> i.layer() == layer && i instanceof Outline)
        .map(i -> (Outline) i)
        .toList();
  }

  @Test
  void nothingIsTakenPastTheStopLine() {
    double stop = JOB.layout().fireRingMm() / 2 - 1;
    List<Vertex> after = of(DrawingLayer.TAKE_BACK).getFirst().vertices();
    assertThat(of(DrawingLayer.TAKE_BACK)).hasSize(1);
    assertThat(after).allMatch(v -> Math.hypot(v.x(), v.y()) <= stop + 1e-9);
    assertThat(after).anyMatch(v -> Math.hypot(v.x(), v.y()) > stop - 0.01);
    Outline line = of(DrawingLayer.STOP_LINE).getFirst();
    assertThat(line.vertices().getLast().x()).isCloseTo(stop, offset(1e-9));
  }

  @Test
  void itSpeaksOfItsOwnCylinderAlone() {
    List<String> lines = Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow().lines();
    assertThat(lines).anyMatch(l -> l.startsWith("I2b: set the compass"));
    assertThat(lines).noneMatch(l -> l.contains("I1b") || l.contains("I3b"));
    assertThat(String.join(" ", lines))
        .contains("Stop line", "(stop line; rule", "compression ratio");
    Job bare = JobFile.demo();
    bare = bare.withHead(bare.head().withReadings(java.util.Map.of()));
    assertThat(Scribe.of(bare, bare.engine().seats().getFirst(), 8, WORDS)).isEmpty();
  }

  @Test
  void theBarIsFiftyMillimetresInEveryFile() throws Exception {
    Scribe scribe = Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow();
    Outline bar = of(DrawingLayer.SCALE_BAR).getFirst();
    assertThat(bar.vertices().getLast().x() - bar.vertices().getFirst().x())
        .isEqualTo(Scribe.BAR_MM);
    String svg = SvgDrawing.of(scribe.drawing(), 1, "s");
    double width = Double.parseDouble(svg.replaceAll("(?s).*? width=\"([0-9.]+)mm\".*", "$1"));
    double box =
        Double.parseDouble(svg.replaceAll("(?s).*?viewBox=\"\\S+ \\S+ ([0-9.]+) .*", "$1"));
    assertThat(width).isCloseTo(box, offset(0.006));
    byte[] pdf = ScribeSheet.pdf(scribe, WORDS, "sheet", CardSize.LETTER);
    try (PdfReader reader = new PdfReader(pdf)) {
      assertThat(reader.getNumberOfPages()).isLessThanOrEqualTo(2);
      assertThat(new PdfTextExtractor(reader).getTextFromPage(1))
          .contains("caliper", "I2b", "wall to water");
      assertThat(lengths(reader.getPageContent(1)))
          .anySatisfy(pt -> assertThat(pt * 25.4 / 72).isCloseTo(50, offset(0.001)));
    }
  }

  /** Lengths of level lines, points. */
  private static List<Double> lengths(byte[] content) {
    List<Double> lengths = new ArrayList<>();
    String[] tokens = new String(content, StandardCharsets.ISO_8859_1).trim().split("\\s+");
    for (int k = 5; k < tokens.length; k++) {
      if (tokens[k].equals("l") && tokens[k - 3].equals("m")) {
        double dy = Double.parseDouble(tokens[k - 1]) - Double.parseDouble(tokens[k - 4]);
        if (Math.abs(dy) < 1e-6) {
          lengths.add(
              Math.abs(Double.parseDouble(tokens[k - 2]) - Double.parseDouble(tokens[k - 5])));
        }
      }
    }
    return lengths;
  }

  /** Seen from the middle of the head, where the compass is set, a radius ends on what is drawn. */
  @Test
  void whatIsToldIsWhatIsDrawn() {
    TakeBack back = TakeBack.of(JOB, SEAT, 8).orElseThrow();
    TakeBack.OfSeat own =
        back.seats().stream().filter(s -> s.place().equals(SEAT)).findFirst().orElseThrow();
    List<String> told = Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow().lines();
    int at =
        told.indexOf(told.stream().filter(l -> l.startsWith("I2b: ")).findFirst().orElseThrow());
    String radii = told.get(at + 3);
    double radius =
        Double.parseDouble(radii.replaceAll(".*4:30 [0-9.]+ mm to ([0-9.]+) mm.*", "$1"));
    var seen = own.head().seen();
    double x = seen.alongMm() + radius * Math.sin(Math.toRadians(135)) - own.room().alongMm();
    double y = seen.acrossMm() + radius * Math.cos(Math.toRadians(135)) - own.room().acrossMm();
    double hour = Math.toDegrees(Math.atan2(x, y)) / 30;
    assertThat(Math.hypot(x, y)).isCloseTo(own.wanted().atHourMm(hour), offset(0.006));
    assertThat(String.join("\n", told)).contains("It leans", "assumed", "held against no bench");
  }

  /**
   * The sheet as PDFBox reads its lines back: bore, fire ring and every valve of the cylinder lie
   * as far from each other as their places were read, in millimetres of paper.
   */
  @Test
  void placesAreTrueOnPaper() throws Exception {
    Scribe scribe = Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow();
    List<Rectangle2D> round = new ArrayList<>();
    try (PDDocument pdf =
        Loader.loadPDF(ScribeSheet.pdf(scribe, WORDS, "sheet", CardSize.LETTER))) {
      new PathReader(pdf.getPage(0), round).read();
    }
    Rectangle2D bore = sized(round, JOB.engine().boreMm()).getFirst();
    assertThat(sized(round, JOB.layout().fireRingMm())).hasSize(1);
    for (String label : List.of("I2a", "I2b", "E2a", "E2b")) {
      var readings = JOB.head().readingsOf(label);
      double along = readings.value(Measure.AXIS_ALONG).orElseThrow();
      double across = readings.value(Measure.AXIS_ACROSS).orElseThrow();
      double head = JOB.planOf(seat(label)).wanted().valve().headDiameterMm();
      // The rim as it is seen: full along the head, narrower across it by the lean.
      double lean = Math.toRadians(Math.abs(JOB.leanOf(seat(label)).acrossDeg()));
      var valve = JOB.planOf(seat(label)).wanted().valve();
      double out = valve.marginMm() - JOB.foundSeat(seat(label)).seat().depthMm();
      double aside = out * Math.sin(Math.toRadians(JOB.leanOf(seat(label)).acrossDeg()));
      assertThat(round)
          .as(label)
          .anySatisfy(
              seen -> {
                assertThat(mm(seen.getWidth())).isCloseTo(head, offset(0.03));
                assertThat(mm(seen.getHeight())).isCloseTo(head * Math.cos(lean), offset(0.03));
                assertThat(mm(seen.getCenterX() - bore.getCenterX()))
                    .isCloseTo(along, offset(0.02));
                assertThat(mm(seen.getCenterY() - bore.getCenterY()))
                    .isCloseTo(across + aside, offset(0.02));
              });
    }
  }

  private static double mm(double points) {
    return points * 25.4 / 72;
  }

  private static List<Rectangle2D> sized(List<Rectangle2D> round, double diameterMm) {
    return round.stream()
        .filter(b -> Math.abs(mm(b.getWidth()) - diameterMm) < 0.01)
        .filter(b -> Math.abs(mm(b.getHeight()) - diameterMm) < 0.01)
        .toList();
  }

  /** Keeps the bounds of every line of a page. */
  private static final class PathReader extends PDFGraphicsStreamEngine {

    private final List<Rectangle2D> bounds;
    private final Path2D path = new Path2D.Double();

    PathReader(PDPage page, List<Rectangle2D> bounds) {
      super(page);
      this.bounds = bounds;
    }

    void read() throws IOException {
      processPage(getPage());
    }

    @Override
    public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
      moveTo((float) a.getX(), (float) a.getY());
      lineTo((float) c.getX(), (float) c.getY());
    }

    @Override
    public void drawImage(PDImage image) {}

    @Override
    public void clip(int rule) {}

    @Override
    public void moveTo(float x, float y) {
      path.moveTo(x, y);
    }

    @Override
    public void lineTo(float x, float y) {
      path.lineTo(x, y);
    }

    @Override
    public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
      path.curveTo(x1, y1, x2, y2, x3, y3);
    }

    @Override
    public Point2D getCurrentPoint() {
      return path.getCurrentPoint();
    }

    @Override
    public void closePath() {
      path.closePath();
    }

    @Override
    public void endPath() {
      path.reset();
    }

    @Override
    public void strokePath() {
      bounds.add(path.getBounds2D());
      path.reset();
    }

    @Override
    public void fillPath(int rule) {
      path.reset();
    }

    @Override
    public void fillAndStrokePath(int rule) {
      strokePath();
    }

    @Override
    public void shadingFill(COSName name) {}
  }
}
