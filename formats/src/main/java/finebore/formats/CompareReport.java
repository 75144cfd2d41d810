package finebore.formats;

import finebore.bench.Comparison;
import finebore.bench.Comparison.Mean;
import finebore.bench.Comparison.Verdict;
import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.bench.SetUpDifference;
import finebore.bench.SuspectReading;
import finebore.flow.Bands.Band;
import finebore.job.Job;
import finebore.study.TestBook;
import finebore.units.UnitSystem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Two tests of a job held against each other, as text, CSV or JSON. */
public final class CompareReport {

  private final Job job;
  private final UnitSystem units;
  private final TestBook book;
  private final Comparison comparison;

  /** The second test against the first. */
  public CompareReport(Job job, FlowTest reference, FlowTest test) {
    this.job = job;
    this.units = job.units();
    this.book = TestBook.of(job);
    this.comparison = book.compare(reference, test);
  }

  /**
   * A test by its number among the job's, or by its name.
   *
   * @throws FileProblem naming what there is
   */
  public static FlowTest find(Job job, String which) throws FileProblem {
    List<FlowTest> tests = job.bench().tests();
    if (which.matches("\\d{1,4}")) {
      int number = Integer.parseInt(which);
      if (number >= 1 && number <= tests.size()) {
        return tests.get(number - 1);
      }
    }
    List<String> names = new ArrayList<>();
    for (int k = 0; k < tests.size(); k++) {
      if (tests.get(k).name().equals(which)) {
        return tests.get(k);
      }
      names.add((k + 1) + " \"" + tests.get(k).name() + "\"");
    }
    throw new FileProblem(
        "the job has no test \""
            + which
            + "\"; it has "
            + (names.isEmpty() ? "none" : String.join(", ", names)));
  }

  static String word(Verdict verdict) {
    return switch (verdict) {
      case GAIN -> "gain";
      case LOSS -> "loss";
      case WITHIN -> "within the bench's noise";
      case UNRANKED -> "not ranked";
    };
  }

  private String title() {
    return name(comparison.test()) + " against " + name(comparison.reference());
  }

  private String name(ReducedTest test) {
    return "test "
        + job.bench().numberOf(test.test())
        + " \""
        + test.test().name()
        + "\" ("
        + test.test().setUp().seat()
        + ", "
        + test.test().setUp().state().words()
        + ")";
  }

  /** The lines that tell how far the comparison holds, those that matter most first. */
  private static List<String> caveats(Comparison comparison, UnitSystem units) {
    List<String> lines = new ArrayList<>();
    if (!comparison.isRanked()) {
      lines.add("Not ranked: the set-ups differ.");
    }
    for (SetUpDifference difference : comparison.differences()) {
      lines.add((difference.spoils() ? "! " : "") + difference.words(units));
    }
    lines.addAll(limits(comparison));
    return lines;
  }

  /** What the bench can tell of the two, and what could not be allowed for. */
  public static List<String> limits(Comparison comparison) {
    List<String> lines = new ArrayList<>();
    lines.add(noise(comparison));
    for (ReducedTest test : List.of(comparison.reference(), comparison.test())) {
      test.notes().forEach(n -> lines.add(test.test().name() + ": " + n));
    }
    if (!comparison.unpartnered().isEmpty()) {
      lines.add(comparison.unpartnered().size() + " lifts are in one of them only");
    }
    return lines;
  }

  private static String noise(Comparison comparison) {
    String share = UnitSystem.fixed(100 * comparison.noise().share(), 2) + " %";
    return comparison.noise().assumed()
        ? "The bench's noise is not known: " + share + " is assumed. Read a lift twice to know it."
        : "One reading scatters by "
            + share
            + " ("
            + comparison.noise().freedom()
            + " repeats past the first)";
  }

  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(title()).append('\n');
    out.append("at ").append(units.pressureText(comparison.test().depressionPa()));
    out.append(", dry air of 20 C and 101 325 Pa\n\n");
    caveats(comparison, units).forEach(l -> out.append(l).append('\n'));
    out.append('\n');
    out.append(
        String.format(
            "%8s %9s %9s %9s %8s %8s  %s%n",
            "lift " + units.length().symbol(), "before", "after", "change", "%", "bench ±%", ""));
    for (Comparison.Line line : comparison.lines()) {
      out.append(
          String.format(
              "%8s %9s %9s %9s %8s %8s  %s%n",
              units.shortLength(line.liftMm()),
              units.flowNumber(line.referenceM3s()),
              units.flowNumber(line.testM3s()),
              UnitSystem.signed(units.flow().fromBase(line.changeM3s()), 1),
              UnitSystem.signed(100 * line.share(), 1),
              UnitSystem.fixed(100 * line.limitM3s() / line.referenceM3s(), 1),
              word(line.verdict())));
    }
    out.append('\n');
    for (Band band : Band.values()) {
      if (comparison.bands().containsKey(band)) {
        out.append(
            mean(band.name().toLowerCase(Locale.ROOT) + " lift", comparison.bands().get(band)));
      }
    }
    comparison.whole().ifPresent(m -> out.append(mean("whole curve", m)));
    comparison
        .camShare()
        .ifPresent(
            share ->
                out.append(
                    String.format(
                        "%-12s %8s %%%n", "cam's mean", UnitSystem.signed(100 * share, 1))));
    for (ReducedTest test : List.of(comparison.reference(), comparison.test())) {
      OptionalDouble back = test.backsUpFromMm(comparison.noise());
      if (back.isPresent()) {
        out.append(test.test().name())
            .append(" backs up from ")
            .append(units.lengthText(back.getAsDouble()))
            .append('\n');
      }
      for (SuspectReading doubt : book.doubts(test.test())) {
        out.append(test.test().name()).append(": ").append(book.words(doubt)).append('\n');
      }
    }
    return out.toString();
  }

  private String mean(String name, Mean mean) {
    return String.format(
        "%-12s %8s %%  %8s %s  bench ±%s %%  %s%n",
        name,
        UnitSystem.signed(100 * mean.share(), 1),
        UnitSystem.signed(units.flow().fromBase(mean.changeM3s()), 1),
        units.flow().symbol(),
        UnitSystem.fixed(100 * mean.limitShare(), 1),
        word(mean.verdict()));
  }

  public String csv() {
    StringBuilder out = new StringBuilder();
    CSVFormat format = CSVFormat.DEFAULT.builder().setRecordSeparator("\n").get();
    String flow = " (" + units.flow().symbol() + ")";
    try (CSVPrinter printer = new CSVPrinter(out, format)) {
      printer.printRecord(
          "lift (" + units.length().symbol() + ")",
          "before" + flow,
          "after" + flow,
          "change" + flow,
          "change (%)",
          "bench can tell (%)",
          "verdict");
      for (Comparison.Line line : comparison.lines()) {
        printer.printRecord(
            units.shortLength(line.liftMm()),
            UnitSystem.fixed(units.flow().fromBase(line.referenceM3s()), 2),
            UnitSystem.fixed(units.flow().fromBase(line.testM3s()), 2),
            UnitSystem.fixed(units.flow().fromBase(line.changeM3s()), 2),
            UnitSystem.fixed(100 * line.share(), 2),
            UnitSystem.fixed(100 * line.limitM3s() / line.referenceM3s(), 2),
            word(line.verdict()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  public String json() {
    JsonMapper mapper = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    ObjectNode root = mapper.createObjectNode();
    root.put("reference", comparison.reference().test().name());
    root.put("test", comparison.test().test().name());
    root.put("ranked", comparison.isRanked());
    root.put("depressionPa", comparison.test().depressionPa());
    ArrayNode differences = root.putArray("differences");
    comparison
        .differences()
        .forEach(
            d ->
                differences
                    .addObject()
                    .put("item", d.item().words())
                    .put("words", d.words(units))
                    .put("spoils", d.spoils()));
    root.putObject("noise")
        .put("share", comparison.noise().share())
        .put("freedom", comparison.noise().freedom())
        .put("assumed", comparison.noise().assumed());
    ArrayNode lines = root.putArray("lifts");
    for (Comparison.Line line : comparison.lines()) {
      lines
          .addObject()
          .put("liftMm", line.liftMm())
          .put("referenceM3s", line.referenceM3s())
          .put("testM3s", line.testM3s())
          .put("share", line.share())
          .put("limitShare", line.limitM3s() / line.referenceM3s())
          .put("verdict", word(line.verdict()));
    }
    ObjectNode bands = root.putObject("bands");
    comparison
        .bands()
        .forEach(
            (band, mean) ->
                bands
                    .putObject(band.name().toLowerCase(Locale.ROOT))
                    .put("share", mean.share())
                    .put("limitShare", mean.limitShare())
                    .put("lifts", mean.lifts())
                    .put("verdict", word(mean.verdict())));
    if (comparison.camShare().isPresent()) {
      root.put("camShare", comparison.camShare().getAsDouble());
    } else {
      root.putNull("camShare");
    }
    return mapper.writeValueAsString(root) + "\n";
  }
}
