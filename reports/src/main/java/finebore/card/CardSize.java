package finebore.card;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Paper that a card is printed on. */
public enum CardSize {
  A4,
  LETTER;

  public String key() {
    return name().toLowerCase(Locale.ROOT);
  }

  public static Optional<CardSize> of(String key) {
    return Stream.of(values()).filter(s -> s.key().equals(key)).findFirst();
  }

  PDRectangle rectangle() {
    return this == A4 ? PDRectangle.A4 : PDRectangle.LETTER;
  }
}
