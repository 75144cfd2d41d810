package finebore.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import finebore.card.CardSize;
import finebore.card.ScribeSheet;
import finebore.drawing.Drawing.Outline;
import finebore.drawing.Drawing.Vertex;
import finebore.formats.JobFile;
import finebore.head.TakeBack;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.words.Language;
import finebore.words.Words;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
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
    assertThat(String.join(" ", lines)).contains("Stop line", "(stop line)", "compression ratio");
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
      assertThat(reader.getNumberOfPages()).isEqualTo(1);
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

  /** Seen from the axis every radius told is the one drawn. */
  @Test
  void whatIsToldIsWhatIsDrawn() {
    TakeBack back = TakeBack.of(JOB, SEAT, 8).orElseThrow();
    TakeBack.OfSeat own =
        back.seats().stream().filter(s -> s.place().equals(SEAT)).findFirst().orElseThrow();
    String told = String.join("\n", Scribe.of(JOB, SEAT, 8, WORDS).orElseThrow().lines());
    double wanted = TakeBack.targetMm(own.back().get(27));
    assertThat(own.back().get(27).takeMm()).isGreaterThan(0.05);
    assertThat(told)
        .contains("4:30 " + "%.2f mm to %.2f mm".formatted(own.back().get(27).nowMm(), wanted));
  }
}
