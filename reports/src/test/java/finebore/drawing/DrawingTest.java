package finebore.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import finebore.drawing.Drawing.ArcTo;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.SeatOutcome;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.section.Point;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Words;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.xml.sax.InputSource;

/** Drawings, and what is read back of their files. */
class DrawingTest {

  private static final Job JOB = JobFile.demo();
  private static final Words WORDS = Words.of(Language.ENGLISH, Units.MM);
  private static final SeatPlace I1 = JOB.engine().seats().getFirst();

  /** One polyline of a DXF file as its group codes say it. */
  private record Poly(String layer, boolean closed, List<double[]> vertices) {}

  private static List<Poly> polylines(String dxf) {
    List<String> lines = dxf.lines().map(String::strip).toList();
    List<Poly> all = new ArrayList<>();
    String entity = "";
    double[] vertex = new double[3];
    String layer = "";
    boolean closed = false;
    List<double[]> vertices = new ArrayList<>();
    for (int k = 0; k + 1 < lines.size(); k += 2) {
      int code = Integer.parseInt(lines.get(k));
      String value = lines.get(k + 1);
      if (code == 0) {
        if (entity.equals("VERTEX")) {
          vertices.add(vertex);
        }
        if (value.equals("SEQEND")) {
          all.add(new Poly(layer, closed, vertices));
          vertices = new ArrayList<>();
        }
        if (value.equals("POLYLINE")) {
          closed = false;
        }
        entity = value;
        vertex = new double[3];
      } else if (entity.equals("POLYLINE") && code == 8) {
        layer = value;
      } else if (entity.equals("POLYLINE") && code == 70) {
        closed = value.equals("1");
      } else if (entity.equals("VERTEX")) {
        switch (code) {
          case 10 -> vertex[0] = Double.parseDouble(value);
          case 20 -> vertex[1] = Double.parseDouble(value);
          case 42 -> vertex[2] = Double.parseDouble(value);
          default -> {
            // Layers and the third coordinate.
          }
        }
      }
    }
    return all;
  }

  @ParameterizedTest
  @EnumSource(Units.class)
  void aSectionIsMeasuredAgainFromItsDxf(Units units) {
    Job job = JOB.withUnits(units);
    double toMm = units == Units.MM ? 1 : 25.4;
    String dxf = JobDrawings.dxf(job, I1, Words.of(Language.ENGLISH, units), false);
    assertThat(dxf).contains("$INSUNITS\r\n70\r\n" + (units == Units.MM ? "4" : "1"));
    SeatOutcome seat = SeatOutcome.of(job, I1, job.planOf(I1));
    Map<String, List<Poly>> byLayer =
        polylines(dxf).stream().collect(Collectors.groupingBy(Poly::layer));
    assertThat(byLayer.keySet())
        .contains("FOUND", "PLANNED", "FINISHED", "METAL", "VALVE", "CONTACT", "DIMENSIONS");
    assertThat(byLayer.get("METAL")).allMatch(Poly::closed);
    assertThat(byLayer.get("VALVE")).allMatch(Poly::closed);
    double throat =
        2
            * toMm
            * byLayer.get("FINISHED").getFirst().vertices().stream()
                .mapToDouble(v -> v[0])
                .min()
                .orElseThrow();
    assertThat(throat).isCloseTo(2 * seat.cut().fit().seat().profile().narrowestR(), offset(0.001));
    double head =
        2
            * toMm
            * byLayer.get("VALVE").getFirst().vertices().stream()
                .mapToDouble(v -> v[0])
                .max()
                .orElseThrow();
    assertThat(head).isCloseTo(seat.plan().wanted().valve().headDiameterMm(), offset(0.001));
    List<double[]> contact = byLayer.get("CONTACT").getFirst().vertices();
    double width =
        toMm
            * Math.hypot(
                contact.get(0)[0] - contact.get(1)[0], contact.get(0)[1] - contact.get(1)[1]);
    assertThat(width)
        .isCloseTo(
            seat.cut()
                .fit()
                .seated()
                .orElseThrow()
                .contact()
                .inner()
                .distanceTo(seat.cut().fit().seated().orElseThrow().contact().outer()),
            offset(0.001));
  }

  /** A cutter with an arc: the arc goes out as one, with its own radius. */
  @Test
  void arcsStayArcs() {
    CutStack stack =
        new CutStack(List.of(new Cut(30, 1), new Cut(45, 1.2), new Arc(45, 80, 5.25)), 1);
    String dxf = DxfDrawing.of(List.of(CutterOutline.of(stack, 40)), Units.MM);
    List<Poly> all = polylines(dxf);
    assertThat(all).hasSize(1);
    assertThat(all.getFirst().closed()).isTrue();
    List<double[]> bulged = all.getFirst().vertices().stream().filter(v -> v[2] != 0).toList();
    assertThat(bulged).hasSize(1);
    int at = all.getFirst().vertices().indexOf(bulged.getFirst());
    double[] from = all.getFirst().vertices().get(at);
    double[] to = all.getFirst().vertices().get(at + 1);
    // Bulge is the tangent of a quarter of the angle: 35 degrees turn.
    assertThat(Math.toDegrees(4 * Math.atan(Math.abs(from[2])))).isCloseTo(35, offset(0.01));
    double chord = Math.hypot(to[0] - from[0], to[1] - from[1]);
    assertThat(chord / 2 / Math.sin(Math.toRadians(35.0 / 2))).isCloseTo(5.25, offset(0.001));
    // The 45 degree cut: 1.2 along it, from the pointer's diameter.
    double[] outer = all.getFirst().vertices().get(1);
    double[] inner = all.getFirst().vertices().get(2);
    assertThat(2 * outer[0]).isCloseTo(40, offset(0.001));
    assertThat(Math.hypot(outer[0] - inner[0], outer[1] - inner[1])).isCloseTo(1.2, offset(0.001));
  }

  @Test
  void chordsOfACircleAreFoundAndCornersAreNot() {
    List<Point> points = new ArrayList<>(List.of(new Point(0, 0), new Point(3, 0)));
    for (int k = 1; k <= 9; k++) {
      double a = Math.toRadians(-90 + 10 * k);
      points.add(new Point(3 + 4 * Math.cos(a), 4 + 4 * Math.sin(a)));
    }
    points.add(new Point(7, 9));
    List<Vertex> found = Arcs.of(points);
    assertThat(found).hasSize(4);
    ArcTo arc = found.get(1).arcTo(found.get(2));
    assertThat(arc.radius()).isCloseTo(4, offset(1e-9));
    assertThat(arc.centreX()).isCloseTo(3, offset(1e-9));
    assertThat(arc.centreY()).isCloseTo(4, offset(1e-9));
    assertThat(Math.toDegrees(arc.turnRad())).isCloseTo(90, offset(1e-9));
    List<Point> corners =
        IntStream.range(0, 6)
            .mapToObj(k -> new Point(Math.cos(k * Math.PI / 3), Math.sin(k * Math.PI / 3)))
            .toList();
    assertThat(Arcs.of(corners)).hasSize(6).allMatch(v -> v.bulge() == 0);
  }

  @Test
  void anArcToTheOtherSideTurnsTheOtherWay() {
    ArcTo left = new Vertex(0, 0, Math.tan(Math.PI / 8)).arcTo(new Vertex(1, 1, 0));
    ArcTo right = new Vertex(0, 0, -Math.tan(Math.PI / 8)).arcTo(new Vertex(1, 1, 0));
    assertThat(left.centreX()).isCloseTo(0, offset(1e-12));
    assertThat(left.centreY()).isCloseTo(1, offset(1e-12));
    assertThat(right.centreX()).isCloseTo(1, offset(1e-12));
    assertThat(right.centreY()).isCloseTo(0, offset(1e-12));
    assertThat(left.turnRad()).isCloseTo(Math.PI / 2, offset(1e-12));
  }

  @Test
  void anSvgIsWellFormedAndToScale() throws Exception {
    String svg = JobDrawings.svg(JOB.withName("A <&> B"), I1, WORDS, 0);
    Document document =
        DocumentBuilderFactory.newInstance()
            .newDocumentBuilder()
            .parse(new InputSource(new StringReader(svg)));
    Element root = document.getDocumentElement();
    String[] box = root.getAttribute("viewBox").split(" ");
    double mm = Double.parseDouble(root.getAttribute("width").replace("mm", ""));
    assertThat(mm / Double.parseDouble(box[2])).isCloseTo(JobDrawings.SCALE, offset(0.001));
    assertThat(root.getElementsByTagName("title").item(0).getTextContent())
        .startsWith("A <&> B, I1");
    // Measured again: the narrowest place of the finished wall is the throat.
    SeatOutcome seat = SeatOutcome.of(JOB, I1, JOB.planOf(I1));
    Matcher path = Pattern.compile("class=\"FINISHED\" d=\"([^\"]*)\"").matcher(svg);
    assertThat(path.find()).isTrue();
    double narrowest =
        Pattern.compile("[ML]([\\d.]+) ")
            .matcher(path.group(1))
            .results()
            .mapToDouble(r -> Double.parseDouble(r.group(1)))
            .min()
            .orElseThrow();
    assertThat(narrowest).isCloseTo(seat.cut().fit().seat().profile().narrowestR(), offset(0.001));
    assertThat(svg).contains("class=\"CONTACT\"").contains("throat Ø");
    assertThat(svg.toLowerCase(Locale.ROOT)).doesNotContain("nan");
  }

  /** What a step removes lies between the wall before it and the wall after it. */
  @Test
  void aStepShowsWhatItRemoves() {
    SeatOutcome seat = SeatOutcome.of(JOB, I1, JOB.planOf(I1));
    Drawing drawing = SectionDrawing.step(seat, 1, OptionalDouble.of(8.2));
    assertThat(drawing.items())
        .extracting(Drawing.Item::layer)
        .contains(DrawingLayer.REMOVED, DrawingLayer.FINISHED, DrawingLayer.REACHED);
    Outline reached =
        drawing.items().stream()
            .filter(i -> i.layer() == DrawingLayer.REACHED && i instanceof Outline)
            .map(Outline.class::cast)
            .findFirst()
            .orElseThrow();
    assertThat(reached.vertices()).allMatch(v -> v.y() == -8.2);
  }
}
