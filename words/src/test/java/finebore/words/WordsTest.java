package finebore.words;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import finebore.code.Coded;
import finebore.code.Message;
import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.cutting.Operation;
import finebore.finding.FindingCode;
import finebore.finding.Severity;
import finebore.flow.Bands.Band;
import finebore.flow.Loss;
import finebore.formats.PracticeFiles;
import finebore.found.Measure;
import finebore.job.Figures;
import finebore.job.Group;
import finebore.job.Head;
import finebore.job.Port;
import finebore.quantity.Quantity;
import finebore.section.Surface;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.units.Units;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every language says everything, and says it in the units of the job. */
class WordsTest {

  static Stream<Language> languages() {
    return Language.all().stream();
  }

  private static final Words MM = Words.of(Language.ENGLISH, Units.MM);
  private static final Words INCH = Words.of(Language.ENGLISH, Units.INCH);

  @Test
  void germanIsSpoken() {
    assertThat(Language.all()).extracting(Language::tag).contains("en", "de");
  }

  @ParameterizedTest
  @MethodSource("languages")
  void everyLanguageHasTheSameSentences(Language language) {
    assertThat(language.sentences().keySet()).isEqualTo(Language.ENGLISH.sentences().keySet());
    assertThat(language.sentences().values()).noneMatch(String::isBlank);
  }

  @ParameterizedTest
  @MethodSource("languages")
  void noApostropheIsShownTwice(Language language) {
    language
        .sentences()
        .forEach(
            (key, sentence) ->
                assertThat(sentence.indexOf('{') >= 0 || !sentence.contains("''"))
                    .as(language.tag() + " " + key)
                    .isTrue());
    assertThat(MM.text("ladder.legend")).contains("the bench's noise");
  }

  @ParameterizedTest
  @MethodSource("languages")
  void everySentenceNamesTheSameThings(Language language) {
    language
        .sentences()
        .forEach(
            (key, pattern) -> {
              if (pattern.indexOf('{') >= 0) {
                assertThat(names(pattern))
                    .as(language.tag() + " " + key)
                    .isEqualTo(names(Language.ENGLISH.sentences().get(key)));
              }
            });
  }

  private static Set<String> names(String pattern) {
    return new TreeSet<>(new MessageFormat(pattern).getArgumentNames());
  }

  private static List<String> codes() {
    List<Coded> coded = new ArrayList<>();
    coded.addAll(List.of(Quantity.values()));
    coded.addAll(List.of(Measure.values()));
    coded.addAll(List.of(ReadingKind.values()));
    coded.addAll(List.of(Severity.values()));
    coded.addAll(List.of(Band.values()));
    coded.addAll(List.of(Port.values()));
    coded.addAll(List.of(Loss.Cause.values()));
    coded.addAll(List.of(Surface.Trace.values()));
    coded.addAll(Operation.kinds());
    coded.addAll(Figures.SEAT);
    coded.addAll(Figures.VALVE);
    coded.addAll(Figures.UNDERHEAD);
    coded.addAll(Figures.ENGINE);
    coded.addAll(Figures.PISTONS);
    coded.addAll(Figures.TEST);
    coded.addAll(Figures.LAYOUT);
    coded.addAll(Group.FIGURES);
    coded.addAll(Group.PISTON_SIDE);
    coded.addAll(Head.FIGURES);
    Operation.kinds().forEach(o -> coded.addAll(o.settings()));
    List<String> codes = new ArrayList<>(coded.stream().map(Coded::code).toList());
    for (FindingCode code : FindingCode.values()) {
      codes.addAll(List.of(code.code() + ".what", code.code() + ".why", code.code() + ".name"));
    }
    for (Measure measure : Measure.values()) {
      codes.add(measure.code() + ".how");
    }
    for (ReadingKind kind : ReadingKind.values()) {
      codes.add(kind.code() + ".meaning");
    }
    return codes;
  }

  @Test
  void everythingThatHasACodeHasASentence() {
    assertThat(Language.ENGLISH.sentences().keySet()).containsAll(codes());
  }

  /** Messages, rules and texts that the code names by a literal are there. */
  @Test
  void everySentenceThatTheCodeAsksForIsThere() throws IOException {
    Pattern literal =
        Pattern.compile(
            "(?:Message\\.of|\\.text|\\.say|FileProblem\\.of|RuleViolation\\.of)\\(\\s*\"([\\w.\\-]+)\"");
    Set<String> missing = new TreeSet<>();
    for (String module :
        List.of("core", "formats", "instruments", "words", "reports", "cli", "desk")) {
      try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
        files.filter(f -> f.toString().endsWith(".java")).forEach(f -> look(f, literal, missing));
      }
    }
    assertThat(missing).isEmpty();
  }

  private static void look(Path file, Pattern literal, Set<String> missing) {
    try {
      String source = Files.readString(file);
      Matcher found = literal.matcher(source);
      while (found.find()) {
        String key = found.group(1);
        String whole =
            found.group().startsWith("RuleViolation")
                ? "rule." + key
                : found.group().startsWith("FileProblem") ? "file." + key : key;
        // A key that goes on in the code is put together there.
        boolean goesOn = key.endsWith(".");
        if (!goesOn && !Language.ENGLISH.sentences().containsKey(whole)) {
          missing.add(file.getFileName() + ": " + whole);
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void limitsAreSaidInTheUnitsOfTheJob() {
    RuleViolation e =
        org.junit.jupiter.api.Assertions.assertThrows(
            RuleViolation.class, () -> Quantity.VALVE_HEAD.check(228.6));
    assertThat(INCH.say(e))
        .isEqualTo("Valve head diameter must be 0.315 in to 7.874 in, was 9.000 in");
    assertThat(MM.say(e))
        .isEqualTo("Valve head diameter must be 8.00 mm to 200.00 mm, was 228.60 mm");
  }

  @Test
  void figuresComeWithTheirUnits() {
    assertThat(MM.figure(Dimension.LENGTH, 1.27)).isEqualTo("1.27 mm");
    assertThat(INCH.figure(Dimension.LENGTH, 1.27)).isEqualTo("0.050 in");
    assertThat(MM.figure(Dimension.AREA, 322.58)).isEqualTo("323 mm²");
    assertThat(INCH.figure(Dimension.AREA, 322.58)).isEqualTo("0.500 in²");
    assertThat(MM.figure(Dimension.CLOCK, 1.5)).isEqualTo("1:30");
    assertThat(MM.figure(Dimension.CLOCK, 12)).isEqualTo("12 o'clock");
    assertThat(MM.figure(Dimension.CLOCK, 4.999)).isEqualTo("5 o'clock");
    assertThat(MM.figure(Dimension.SHARE, 0.893)).isEqualTo("89.3 %");
    assertThat(MM.say(Message.of("height.below").with("value", Term.length(7.98))))
        .isEqualTo("7.98 mm below the face");
  }

  @Test
  void whatAShippedPracticeIsForIsSaidAsItsFileSaysIt() {
    assertThat(PracticeFiles.all())
        .isNotEmpty()
        .allSatisfy(p -> assertThat(MM.of(p, "about")).isEqualTo(p.about()));
  }
}
