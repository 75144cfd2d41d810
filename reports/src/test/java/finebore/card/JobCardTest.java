package finebore.card;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.offset;

import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.planning.SeatOutcome;
import finebore.units.Units;
import finebore.words.Language;
import finebore.words.Words;
import finebore.work.ReadBack;
import finebore.work.WorkEntry.Taken;
import finebore.work.WorkLog;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDResources;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.openpdf.text.pdf.PdfReader;
import org.openpdf.text.pdf.parser.PdfTextExtractor;

/** The card, read back by a PDF library that did not write it. */
class JobCardTest {

  private static final Job JOB = JobFile.demo();

  private static byte[] card(Job job, Language language, CardSize size, Set<CardPart> parts) {
    return JobCard.pdf(
        job,
        Words.of(language, job.units()),
        PracticeFiles.named(job.practice(), PracticeFiles.all()),
        new JobCard.Issued(LocalDate.of(2026, 3, 20), ZoneOffset.UTC, size, parts));
  }

  private static List<String> pages(byte[] pdf) throws IOException {
    try (PdfReader reader = new PdfReader(pdf)) {
      PdfTextExtractor extractor = new PdfTextExtractor(reader);
      List<String> pages = new ArrayList<>();
      for (int k = 1; k <= reader.getNumberOfPages(); k++) {
        pages.add(extractor.getTextFromPage(k));
      }
      return pages;
    }
  }

  private static String text(Job job, Set<CardPart> parts) throws IOException {
    return String.join("\n", pages(card(job, Language.ENGLISH, CardSize.A4, parts)));
  }

  /** Lines of two ends with a width of their own, as the page's content has them, in points. */
  private static List<double[]> lines(byte[] content, double widthPt) {
    List<double[]> lines = new ArrayList<>();
    List<Double> numbers = new ArrayList<>();
    double width = 1;
    double[] from = null;
    double[] to = null;
    for (String token : new String(content, StandardCharsets.ISO_8859_1).trim().split("\\s+")) {
      if (token.matches("-?[0-9.]+")) {
        numbers.add(Double.parseDouble(token));
        continue;
      }
      int n = numbers.size();
      switch (token) {
        case "w" -> width = numbers.getLast();
        case "m" -> {
          from = new double[] {numbers.get(n - 2), numbers.get(n - 1)};
          to = null;
        }
        case "l" -> {
          // A second piece makes it more than a line.
          from = to == null ? from : null;
          to = new double[] {numbers.get(n - 2), numbers.get(n - 1)};
        }
        case "S" -> {
          if (from != null && to != null && Math.abs(width - widthPt) < 0.01) {
            lines.add(new double[] {from[0], from[1], to[0], to[1]});
          }
        }
        default -> {
          // Colours, dashes and words.
        }
      }
      numbers.clear();
    }
    return lines;
  }

  @Test
  void lengthsAreMeasuredAgainFromThePage() throws IOException {
    byte[] pdf = card(JOB, Language.ENGLISH, CardSize.A4, CardPart.usual());
    double perMm = 3 * 72 / 25.4;
    List<Double> widths = new ArrayList<>();
    try (PdfReader reader = new PdfReader(pdf)) {
      for (int page = 1; page <= reader.getNumberOfPages(); page++) {
        // The contact is the one thing drawn a millimetre wide.
        for (double[] line : lines(reader.getPageContent(page), 72 / 25.4)) {
          widths.add(Math.hypot(line[2] - line[0], line[3] - line[1]) / perMm);
        }
      }
    }
    List<Double> wanted = new ArrayList<>();
    for (String label : List.of("I1", "E1")) {
      SeatPlace place =
          JOB.engine().seats().stream()
              .filter(p -> p.label().equals(label))
              .findFirst()
              .orElseThrow();
      wanted.add(
          SeatOutcome.of(JOB, place, JOB.planOf(place))
              .cut()
              .fit()
              .seated()
              .orElseThrow()
              .contact()
              .widthMm());
    }
    assertThat(wanted.get(0)).isNotEqualTo(wanted.get(1));
    assertThat(widths).hasSize(2);
    for (int k = 0; k < 2; k++) {
      assertThat(widths.get(k)).isCloseTo(wanted.get(k), offset(0.001));
    }
  }

  @Test
  void saysWhatWasFoundAndWhatIsFinished() throws IOException {
    String text = text(JOB, CardPart.usual());
    assertThat(text).contains("Skarn 1.6", "hill climb", "2026-03-20");
    for (var seat : JOB.engine().seats()) {
      assertThat(text).contains(seat.label());
    }
    assertThat(text).contains("34.18", "Operations", "caution".substring(1, 5), "spindle");
    // Read at the machine: without brackets; not read: what the plan says, in brackets.
    double read = JOB.log().value("I1", ReadBack.SEAT_DEPTH).orElseThrow();
    assertThat(text).contains("%.2f".formatted(read)).contains("(7.98)");
  }

  @Test
  void aReadingOfOneSeatStandsAtThatSeatAlone() throws IOException {
    WorkLog log =
        JOB.log()
            .with(
                new WorkLog.Hand(Instant.parse("2026-03-18T08:00:00Z"), "M."),
                "I2",
                "",
                new Taken(ReadBack.VALVE_DEPTH, 7.77, "depth-gauge"),
                "");
    String text = text(JOB.withLog(log), EnumSet.noneOf(CardPart.class));
    String row = text.lines().filter(l -> l.contains("7.77")).findFirst().orElseThrow();
    assertThat(text.split("7\\.77", -1)).hasSize(2);
    assertThat(row).contains("34.18");
  }

  @Test
  void holdsWhatIsAskedFor() throws IOException {
    String least = text(JOB, EnumSet.noneOf(CardPart.class));
    String most = text(JOB, EnumSet.allOf(CardPart.class));
    for (String heading :
        List.of(
            "Operations,",
            "Section of",
            "Flow of",
            "History",
            "Time and price",
            "The whole work")) {
      assertThat(least).doesNotContain(heading);
      assertThat(most).contains(heading);
    }
    assertThat(least).contains("Cautions", "local emission and safety rules");
    assertThat(most).contains("stop had slipped", "corrects line", "EUR", "Together");
  }

  @Test
  void everyPageHasItsNumber() throws IOException {
    List<String> pages =
        pages(card(JOB, Language.ENGLISH, CardSize.A4, EnumSet.allOf(CardPart.class)));
    assertThat(pages.size()).isGreaterThan(3);
    for (int k = 0; k < pages.size(); k++) {
      assertThat(pages.get(k)).contains((k + 1) + " / " + pages.size());
    }
  }

  static List<Language> languages() {
    return Language.all();
  }

  @ParameterizedTest
  @MethodSource("languages")
  void speaksEveryLanguageInBothUnits(Language language) throws IOException {
    for (Units units : Units.values()) {
      List<String> pages =
          pages(
              card(JOB.withUnits(units), language, CardSize.LETTER, EnumSet.allOf(CardPart.class)));
      assertThat(pages.getFirst())
          .contains(Words.of(language, units).text("card.title"))
          .contains(units == Units.MM ? "34.18" : "1.346");
    }
  }

  @Test
  void fontsAreEmbeddedAndPagesAreOfTheirSize() throws IOException {
    byte[] a4 = card(JOB, Language.ENGLISH, CardSize.A4, CardPart.usual());
    byte[] letter = card(JOB, Language.ENGLISH, CardSize.LETTER, CardPart.usual());
    try (PdfReader reader = new PdfReader(a4);
        PdfReader other = new PdfReader(letter)) {
      assertThat(reader.getPageSize(1).getWidth()).isEqualTo(595.27563f);
      assertThat(other.getPageSize(1).getHeight()).isEqualTo(792f);
    }
    try (PDDocument document = Loader.loadPDF(a4)) {
      PDResources resources = document.getPage(0).getResources();
      List<String> fonts = new ArrayList<>();
      for (COSName name : resources.getFontNames()) {
        assertThat(resources.getFont(name).isEmbedded()).isTrue();
        fonts.add(resources.getFont(name).getName());
      }
      assertThat(fonts).hasSize(2).allMatch(f -> f.matches("[A-Z]{6}\\+B612-.*"));
    }
  }

  @Test
  void signsTheFontLacksDoNotStopTheCard() throws IOException {
    Job job =
        JOB.withName("Скарн 1.6 λ ⚙")
            .withShop(JOB.shop().withTexts("東京", "a\nb", "x".repeat(300), "€"));
    String text = text(job, EnumSet.allOf(CardPart.class));
    assertThat(text).contains("Skarn 1.6").contains("dongjing");
  }

  /** A head of 32 valves, and drawings that leave ink on the page. */
  @Test
  void aBigHeadFillsMorePagesAndADrawingIsDrawn() {
    Job big = JOB.withEngine(JOB.engine().withCylinders(16));
    byte[] pdf =
        JobCard.pdf(
            big,
            Words.of(Language.ENGLISH, Units.MM),
            PracticeFiles.named(big.practice(), PracticeFiles.all()),
            RunSheet.of(big),
            new JobCard.Issued(
                LocalDate.of(2026, 3, 20),
                ZoneOffset.UTC,
                CardSize.A4,
                EnumSet.of(CardPart.DRAWINGS, CardPart.RUN)));
    int pages = CardPreview.pages(pdf);
    assertThat(pages).isGreaterThan(8);
    long brass =
        IntStream.range(0, pages)
            .mapToObj(k -> CardPreview.page(pdf, k, 40))
            .flatMapToInt(
                p ->
                    Arrays.stream(
                        p.getRGB(0, 0, p.getWidth(), p.getHeight(), null, 0, p.getWidth())))
            .filter(rgb -> (rgb & 0xffffff) == 0xf3e8c6)
            .count();
    assertThat(brass).isGreaterThan(300);
  }

  @Test
  void aWordIsPartedWhereItMayBe() throws IOException {
    Language german = Language.of("de").orElseThrow();
    String first = pages(card(JOB, german, CardSize.A4, EnumSet.noneOf(CardPart.class))).getFirst();
    assertThat(first).contains("Ventil-", "kante", "Führungs-", "spiel");
    assertThat(first).doesNotContain("Ventilkant", "\u00ad", "?");
  }

  /** Every sentence of the language is bracketed; what is left must have been typed. */
  @Test
  void nothingStandsThereButWordsOfTheLanguage() throws IOException {
    Language bracketed =
        new Language(
            Language.ENGLISH.tag(),
            Language.ENGLISH.sentences().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> "«" + e.getValue() + "»")));
    String left =
        String.join(" ", pages(card(JOB, bracketed, CardSize.A4, EnumSet.allOf(CardPart.class))))
            .replaceAll("\\s+", " ");
    for (String more = ""; !more.equals(left); ) {
      more = left;
      left = left.replaceAll("«[^«»]*»", "");
    }
    Set<String> allowed = new HashSet<>(List.of("min"));
    Matcher typed =
        Pattern.compile(
                "\"(?:name|purpose|notes|customer|reason|cutter|changed|who|currency)\" *: *"
                    + "\"([^\"]+)")
            .matcher(JobFile.text(JobDocument.fresh(JOB)));
    while (typed.find()) {
      allowed.addAll(List.of(typed.group(1).split("[^\\p{L}]+")));
    }
    assertThat(left.split("[^\\p{L}]+"))
        // Columns run into each other where the page is read: "finished" and "E1".
        .extracting(word -> word.replaceAll("\\p{Lu}$", ""))
        .filteredOn(word -> word.length() > 2)
        .isSubsetOf(allowed);
  }
}
