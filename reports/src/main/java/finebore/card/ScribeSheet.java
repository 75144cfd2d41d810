package finebore.card;

import finebore.drawing.DxfDrawing;
import finebore.drawing.Scribe;
import finebore.drawing.SvgDrawing;
import finebore.job.Job;
import finebore.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The scribe sheet on paper, in true size: to be cut out or taken over with a compass. */
public final class ScribeSheet {

  private ScribeSheet() {}

  /**
   * As a file of a kind.
   *
   * @param ending pdf, svg, dxf or txt
   */
  public static byte[] file(
      Scribe scribe, Job job, int cylinder, Words words, CardSize size, String ending) {
    String title = words.text("scribe.title", "job", job.name(), "cylinder", cylinder);
    return switch (ending) {
      case "pdf" -> pdf(scribe, words, title, size);
      case "svg" -> SvgDrawing.of(scribe.drawing(), 1, title).getBytes(StandardCharsets.UTF_8);
      case "dxf" ->
          DxfDrawing.of(List.of(scribe.drawing()), job.units()).getBytes(StandardCharsets.US_ASCII);
      default ->
          (title + "\n" + String.join("\n", scribe.lines()) + "\n")
              .getBytes(StandardCharsets.UTF_8);
    };
  }

  /**
   * As a PDF file.
   *
   * @param title what it is of
   */
  public static byte[] pdf(Scribe scribe, Words words, String title, CardSize size) {
    try (Paper paper = new Paper(size.rectangle())) {
      paper.about(title);
      paper.title(title);
      paper.strong(words.text("scribe.check"));
      paper.drawing(scribe.drawing(), 1);
      // Beside the drawing, whatever comes after it.
      paper.strong(words.text("scribe.caution"));
      List<String> lines = scribe.lines();
      for (String line : lines) {
        paper.need(14);
        paper.text(line.strip());
      }
      int pages = paper.pages();
      return paper.finished(n -> words.text("card.foot", "job", title, "page", n, "pages", pages));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
