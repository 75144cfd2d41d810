package finebore.reports;

import finebore.bench.Comparison;
import finebore.bench.Comparison.Mean;
import finebore.bench.Comparison.Verdict;
import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.bench.SetUpDifference;
import finebore.bench.SuspectReading;
import finebore.calibration.FixtureEffect;
import finebore.calibration.TestBook;
import finebore.code.Message;
import finebore.code.Term;
import finebore.flow.Bands.Band;
import finebore.formats.FileProblem;
import finebore.job.Job;
import finebore.units.Dimension;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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
  private final Words words;
  private final UnitSystem units;
  private final TestBook book;
  private final Comparison comparison;

  /** The second test against the first. */
  public CompareReport(Job job, FlowTest reference, FlowTest test, Words words) {
    this.job = job;
    this.words = words;
    this.units = words.units();
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
        Message.of("bench.noTest")
            .with("test", Term.quote(which))
            .with("tests", Term.quote(String.join(", ", names))));
  }

  private String word(Verdict verdict) {
    return words.text("verdict." + key(verdict));
  }

  private static String key(Verdict verdict) {
    return verdict.name().toLowerCase(Locale.ROOT);
  }

  private String name(ReducedTest test) {
    return words.text(
        "compare.test",
        "number",
        String.valueOf(job.bench().numberOf(test.test())),
        "name",
        test.test().name(),
        "seat",
        test.test().setUp().seat(),
        "state",
        words.say(test.test().setUp().state().message()));
  }

  /** The lines that tell how far the comparison holds, those that matter most first. */
  private List<String> caveats() {
    List<String> lines = new ArrayList<>();
    if (!comparison.isRanked()) {
      lines.add(words.text("compare.notRanked"));
    }
    for (SetUpDifference difference : comparison.differences()) {
      lines.add((difference.spoils() ? "! " : "") + words.say(difference.message()));
    }
    fixture(job, comparison, words).ifPresent(lines::add);
    lines.addAll(limits(comparison, words));
    return lines;
  }

  /** What the other bore alone is worth, where the walls round the valve were measured. */
  public static Optional<String> fixture(Job job, Comparison comparison, Words words) {
    return FixtureEffect.of(job, comparison.reference().test(), comparison.test().test())
        .map(
            e ->
                words.text(
                    "compare.fixture",
                    "low",
                    UnitSystem.signed(100 * e.lowShare(), 1),
                    "lowLift",
                    words.figure(Dimension.LENGTH, e.lowLiftMm()),
                    "high",
                    UnitSystem.signed(100 * e.highShare(), 1),
                    "highLift",
                    words.figure(Dimension.LENGTH, e.highLiftMm())));
  }

  /** What the bench can tell of the two, and what could not be allowed for. */
  public static List<String> limits(Comparison comparison, Words words) {
    List<String> lines = new ArrayList<>();
    lines.add(
        words.text(
            comparison.noise().assumed() ? "compare.noiseAssumed" : "compare.noise",
            "share",
            UnitSystem.fixed(100 * comparison.noise().share(), 2),
            "count",
            comparison.noise().freedom()));
    for (ReducedTest test : List.of(comparison.reference(), comparison.test())) {
      test.notes().forEach(n -> lines.add(test.test().name() + ": " + words.say(n)));
    }
    long between = comparison.lines().stream().filter(Comparison.Line::between).count();
    if (between > 0) {
      lines.add(words.text("compare.between", "count", (int) between));
    }
    if (!comparison.unpartnered().isEmpty()) {
      lines.add(words.text("compare.alone", "count", comparison.unpartnered().size()));
    }
    return lines;
  }

  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(
            words.text(
                "compare.title",
                "test",
                name(comparison.test()),
                "reference",
                name(comparison.reference())))
        .append('\n');
    out.append(
            words.text(
                "compare.standard",
                "depression",
                units.pressureText(comparison.test().depressionPa())))
        .append("\n\n");
    caveats().forEach(l -> out.append(l).append('\n'));
    out.append('\n');
    out.append(
        String.format(
            Locale.ROOT,
            "%8s %9s %9s %9s %8s %8s  %s%n",
            words.text("report.lift") + " " + units.length().symbol(),
            words.text("compare.before"),
            words.text("compare.after"),
            words.text("report.change"),
            "%",
            "±%",
            ""));
    for (Comparison.Line line : comparison.lines()) {
      out.append(
          String.format(
              Locale.ROOT,
              "%8s %9s %9s %9s %8s %8s  %s%n",
              units.shortLength(line.liftMm()),
              units.flowNumber(line.referenceM3s()),
              units.flowNumber(line.testM3s()),
              UnitSystem.signed(units.flow().fromBase(line.changeM3s()), 1),
              UnitSystem.signed(100 * line.share(), 1),
              UnitSystem.fixed(100 * line.limitM3s() / line.referenceM3s(), 1),
              word(line.verdict())
                  + (line.between() ? ", " + words.text("compare.betweenMark") : "")));
    }
    out.append('\n');
    for (Band band : Band.values()) {
      if (comparison.bands().containsKey(band)) {
        out.append(mean(words.text("report.band", "band", band), comparison.bands().get(band)));
      }
    }
    comparison.whole().ifPresent(m -> out.append(mean(words.text("compare.whole"), m)));
    comparison
        .camShare()
        .ifPresent(
            share ->
                out.append(
                    String.format(
                        Locale.ROOT,
                        "%-14s %8s %%%n",
                        words.text("report.overCam"),
                        UnitSystem.signed(100 * share, 1))));
    for (ReducedTest test : List.of(comparison.reference(), comparison.test())) {
      OptionalDouble back = test.backsUpFromMm(comparison.noise());
      if (back.isPresent()) {
        out.append(
                words.text(
                    test.isReadTwiceAt(back.getAsDouble())
                        ? "compare.backsUp"
                        : "compare.backsUp.twice",
                    "test",
                    test.test().name(),
                    "lift",
                    units.lengthText(back.getAsDouble())))
            .append('\n');
      }
      for (SuspectReading suspect : book.suspects(test.test())) {
        out.append(test.test().name())
            .append(": ")
            .append(Spoken.suspect(suspect, words))
            .append('\n');
      }
    }
    return out.toString();
  }

  private String mean(String name, Mean mean) {
    return String.format(
        Locale.ROOT,
        "%-14s %8s %%  %8s %s  ±%s %%  %s%n",
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
          "between readings",
          "verdict");
      for (Comparison.Line line : comparison.lines()) {
        printer.printRecord(
            units.shortLength(line.liftMm()),
            UnitSystem.fixed(units.flow().fromBase(line.referenceM3s()), 2),
            UnitSystem.fixed(units.flow().fromBase(line.testM3s()), 2),
            UnitSystem.fixed(units.flow().fromBase(line.changeM3s()), 2),
            UnitSystem.fixed(100 * line.share(), 2),
            UnitSystem.fixed(100 * line.limitM3s() / line.referenceM3s(), 2),
            line.between() ? "yes" : "no",
            key(line.verdict()));
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
                    .put("item", d.item().code())
                    .put("words", words.say(d.message()))
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
          .put("between", line.between())
          .put("verdict", key(line.verdict()));
    }
    ObjectNode bands = root.putObject("bands");
    comparison
        .bands()
        .forEach(
            (band, mean) ->
                bands
                    .putObject(band.key())
                    .put("share", mean.share())
                    .put("limitShare", mean.limitShare())
                    .put("lifts", mean.lifts())
                    .put("verdict", key(mean.verdict())));
    if (comparison.camShare().isPresent()) {
      root.put("camShare", comparison.camShare().getAsDouble());
    } else {
      root.putNull("camShare");
    }
    return mapper.writeValueAsString(root) + "\n";
  }
}
