package finebore.words;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Properties;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;

/**
 * A language the program speaks: one file of sentences. English is {@code words.properties}, any
 * other {@code words_TAG.properties} with the language's ISO 639 code.
 *
 * @param tag ISO 639 code
 * @param sentences all of its file, by key
 */
public record Language(String tag, Map<String, String> sentences) {

  private static final String NAME = "words";
  private static final Map<String, Optional<Language>> READ = new ConcurrentHashMap<>();

  public static final Language ENGLISH = of("en").orElseThrow();

  public Language {
    sentences = Map.copyOf(sentences);
  }

  /** A language by its tag, if the program speaks it. */
  public static Optional<Language> of(String tag) {
    return READ.computeIfAbsent(tag, Language::read);
  }

  /** Every language there is a file of, English first. */
  public static List<Language> all() {
    List<Language> all = new ArrayList<>(List.of(ENGLISH));
    Stream.of(Locale.getISOLanguages())
        .filter(tag -> !tag.equals(ENGLISH.tag))
        .flatMap(tag -> of(tag).stream())
        .forEach(all::add);
    return all;
  }

  /** What it calls itself. */
  public String name() {
    return sentences.get("language.name");
  }

  /** Where nothing is put in, no pattern doubles its apostrophes. */
  private static String plain(String sentence) {
    return sentence.indexOf('{') < 0 ? sentence.replace("''", "'") : sentence;
  }

  private static Optional<Language> read(String tag) {
    String file = NAME + (tag.equals("en") ? "" : "_" + tag) + ".properties";
    try (InputStream in = Language.class.getResourceAsStream(file)) {
      if (in == null) {
        return Optional.empty();
      }
      Properties properties = new Properties();
      properties.load(new InputStreamReader(in, StandardCharsets.UTF_8));
      Map<String, String> sentences = new TreeMap<>();
      properties.forEach((key, value) -> sentences.put((String) key, plain((String) value)));
      return Optional.of(new Language(tag, sentences));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
