package finebore.card;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The pages of a card as pictures, as they will print. */
public final class CardPreview {

  private CardPreview() {}

  /** How many pages a card's file has. */
  public static int pages(byte[] pdf) {
    return with(pdf, PDDocument::getNumberOfPages);
  }

  /**
   * Draws a page.
   *
   * @param pdf the card's file
   * @param page from 0
   * @param dotsPerInch how fine
   */
  public static BufferedImage page(byte[] pdf, int page, float dotsPerInch) {
    return with(pdf, d -> new PDFRenderer(d).renderImageWithDPI(page, dotsPerInch, ImageType.RGB));
  }

  /** What is done with an open card. */
  private interface Reading<T> {
    T of(PDDocument document) throws IOException;
  }

  private static <T> T with(byte[] pdf, Reading<T> reading) {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      return reading.of(document);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
