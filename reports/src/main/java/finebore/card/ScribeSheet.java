package finebore.card;

import finebore.drawing.Scribe;
import finebore.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;

/** The scribe sheet on paper, in true size: to be cut out or taken over with a compass. */
public final class ScribeSheet {

  private ScribeSheet() {}

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
      List<String> lines = scribe.lines();
      for (String line : lines) {
        paper.need(14);
        paper.text(line.strip());
      }
      paper.strong(words.text("scribe.caution"));
      int pages = paper.pages();
      return paper.finished(n -> words.text("card.foot", "job", title, "page", n, "pages", pages));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
