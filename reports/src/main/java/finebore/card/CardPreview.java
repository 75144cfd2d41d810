package finebore.card;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;

/** The pages of a card as pictures, as they will print. */
public final class CardPreview {

  private CardPreview() {}

  /**
   * Draws every page.
   *
   * @param pdf the card's file
   * @param dotsPerInch how fine
   */
  public static List<BufferedImage> of(byte[] pdf, float dotsPerInch) {
    try (PDDocument document = Loader.loadPDF(pdf)) {
      PDFRenderer renderer = new PDFRenderer(document);
      List<BufferedImage> pages = new ArrayList<>();
      for (int k = 0; k < document.getNumberOfPages(); k++) {
        pages.add(renderer.renderImageWithDPI(k, dotsPerInch, ImageType.RGB));
      }
      return pages;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
