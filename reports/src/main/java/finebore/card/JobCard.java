package finebore.card;

import finebore.bench.FlowTest;
import finebore.bench.ReducedTest;
import finebore.calibration.TestBook;
import finebore.code.Message;
import finebore.code.Term;
import finebore.cutting.Cutting;
import finebore.drawing.Drawing;
import finebore.drawing.SectionDrawing;
import finebore.found.Measure;
import finebore.job.Job;
import finebore.machine.PortSeal;
import finebore.machine.Quote;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.machine.StepState;
import finebore.planning.GroupOutcome;
import finebore.planning.SeatOutcome;
import finebore.practice.Practice;
import finebore.reports.GroupFindings;
import finebore.seal.VacuumReading;
import finebore.study.ReadingKind;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.ReadBack;
import finebore.work.WorkEntry;
import finebore.work.WorkIndex;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The card that goes out with a head: what was found of every seat and what it is now, drawings to
 * scale, what was done with which tool, how it seals and what it flows. What was measured at the
 * machine is told from what the plan says.
 */
public final class JobCard {

  /** How many times its size a section is drawn at. */
  private static final double SCALE = 3;

  /** More flow tests than this do not stand side by side. */
  private static final int MOST_TESTS = 6;

  private static final String NONE = "-";

  private final Job job;
  private final Words words;
  private final Practice practice;
  private final RunSheet sheet;
  private final Issued issued;
  private final WorkIndex log;

  /**
   * When and where it is made, and on what.
   *
   * @param zone for the times of the history
   */
  public record Issued(LocalDate day, ZoneId zone, CardSize size, Set<CardPart> parts) {
    public Issued {
      parts = Set.copyOf(parts);
    }
  }

  private JobCard(Job job, Words words, Practice practice, RunSheet sheet, Issued issued) {
    this.job = job;
    this.words = words;
    this.practice = practice;
    this.sheet = sheet;
    this.issued = issued;
    this.log = WorkIndex.of(job.log());
  }

  /** The card as a PDF file. */
  public static byte[] pdf(Job job, Words words, Practice practice, Issued issued) {
    return pdf(job, words, practice, RunSheet.of(job), issued);
  }

  /** The card of a job whose run sheet is worked out already. */
  public static byte[] pdf(Job job, Words words, Practice practice, RunSheet sheet, Issued issued) {
    try (Paper paper = new Paper(issued.size().rectangle())) {
      return new JobCard(job, words, practice, sheet, issued).write(paper);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private boolean has(CardPart part) {
    return issued.parts().contains(part);
  }

  private byte[] write(Paper paper) throws IOException {
    paper.about(words.text("card.title") + " " + job.name());
    head(paper);
    figures(paper);
    if (has(CardPart.DRAWINGS)) {
      drawings(paper);
    }
    if (has(CardPart.OPERATIONS)) {
      operations(paper);
    }
    if (has(CardPart.SEAL)) {
      seal(paper);
    }
    if (has(CardPart.FLOW) && !job.bench().tests().isEmpty()) {
      flow(paper);
    }
    if (has(CardPart.RUN)) {
      run(paper);
    }
    if (has(CardPart.QUOTE)) {
      quote(paper);
    }
    if (has(CardPart.HISTORY)) {
      history(paper);
    }
    cautions(paper);
    if (has(CardPart.SIGNATURE)) {
      paper.signatures(List.of(words.text("card.signedShop"), words.text("card.signedCustomer")));
    }
    int pages = paper.pages();
    return paper.finished(
        n -> words.text("card.foot", "job", job.name(), "page", n, "pages", pages));
  }

  private void head(Paper paper) throws IOException {
    if (!job.shop().name().isBlank()) {
      paper.strong(job.shop().name());
    }
    if (!job.shop().address().isBlank()) {
      paper.text(job.shop().address());
    }
    paper.title(words.text("card.title") + "   " + job.name());
    List<String> line = new ArrayList<>();
    if (!job.purpose().isBlank()) {
      line.add(job.purpose());
    }
    if (!job.shop().customer().isBlank()) {
      line.add(words.text("card.customer", "reference", job.shop().customer()));
    }
    line.add(words.text("card.day", "day", issued.day().toString()));
    line.add(words.text("card.units", "unit", words.units().length().symbol()));
    paper.text(String.join("  \u00b7  ", line));
    if (!job.notes().isBlank()) {
      paper.text(job.notes());
    }
    paper.text(words.text("card.measuredOrPlanned"));
  }

  private String fine(OptionalDouble value) {
    return value.isPresent() ? words.figure(Dimension.FINE_LENGTH, value.getAsDouble()) : NONE;
  }

  private String mm(OptionalDouble value) {
    return value.isPresent() ? words.units().shortLength(value.getAsDouble()) : NONE;
  }

  /** What was read at the machine; what the plan says, in brackets, where nobody has read it. */
  private String now(SeatOutcome seat, ReadBack what, OptionalDouble planned) {
    OptionalDouble read = log.value(seat.place().label(), what);
    return read.isPresent() ? mm(read) : planned.isPresent() ? "(" + mm(planned) + ")" : NONE;
  }

  private static OptionalDouble negative(OptionalDouble value) {
    return value.isPresent() ? OptionalDouble.of(-value.getAsDouble()) : value;
  }

  private List<SeatOutcome> seats() {
    return job.engine().seats().stream().flatMap(s -> sheet.outcome(s).stream()).toList();
  }

  private void figures(Paper paper) throws IOException {
    paper.heading(words.text("card.figures"));
    List<List<String>> rows = new ArrayList<>();
    for (SeatOutcome seat : seats()) {
      var found = seat.cut().metal().seat();
      var finished = seat.cut().fit().seat().seat();
      rows.add(
          List.of(
              seat.place().label(),
              assumed(seat, Measure.THROAT_12, found.throatDiameterMm()),
              now(seat, ReadBack.THROAT, OptionalDouble.of(finished.throatDiameterMm())),
              assumed(seat, Measure.SEAT_WIDTH, found.sealingCut().widthMm()),
              now(seat, ReadBack.SEAT_WIDTH, seat.reading(ReadingKind.SEAT_WIDTH)),
              assumed(seat, Measure.SEAT_DEPTH, found.depthMm()),
              now(seat, ReadBack.SEAT_DEPTH, OptionalDouble.of(finished.depthMm())),
              now(seat, ReadBack.VALVE_DEPTH, negative(seat.reading(ReadingKind.VALVE_HEIGHT))),
              now(seat, ReadBack.MARGIN, seat.reading(ReadingKind.MARGIN)),
              now(seat, ReadBack.FACE_WIDTH, seat.reading(ReadingKind.FACE_WIDTH)),
              mm(seat.reading(ReadingKind.SINK)),
              mm(job.head().readingsOf(seat.place().label()).value(Measure.GUIDE_CLEARANCE))));
    }
    paper.table(
        List.of(
            words.text("card.seat"),
            words.text("card.throatFound"),
            words.text("card.throatNow"),
            words.text("card.widthFound"),
            words.text("card.widthNow"),
            words.text("card.depthFound"),
            words.text("card.depthNow"),
            words.text("card.valveDepth"),
            words.text("card.margin"),
            words.text("card.face"),
            words.text("card.sink"),
            words.text("card.guide")),
        rows,
        0.7,
        1,
        1,
        1,
        1,
        1,
        1,
        1,
        1,
        1,
        1,
        1);
  }

  /** A found figure; one that stands in for a reading is in brackets. */
  private String assumed(SeatOutcome seat, Measure measure, double value) {
    boolean assumed = seat.cut().metal().assumed().stream().anyMatch(a -> a.measure() == measure);
    String text = words.units().shortLength(value);
    return assumed ? "(" + text + ")" : text;
  }

  private static String labels(GroupOutcome group) {
    return group.seats().stream().map(s -> s.place().label()).collect(Collectors.joining(" "));
  }

  private void drawings(Paper paper) throws IOException {
    for (GroupOutcome group : sheet.groups()) {
      SeatOutcome first = group.seats().getFirst();
      Drawing drawing = SectionDrawing.of(first, words, SCALE, 0);
      paper.need((float) (drawing.box().height() * SCALE * 72 / 25.4) + 80);
      paper.heading(
          words.text(
              "card.section",
              "seat",
              first.place().label(),
              "seats",
              labels(group),
              "count",
              group.seats().size(),
              "scale",
              String.format(Locale.ROOT, "%.0f", SCALE)));
      paper.drawing(drawing, SCALE);
      paper.text(words.text("card.section.legend"));
    }
  }

  private void operations(Paper paper) throws IOException {
    for (GroupOutcome group : sheet.groups()) {
      paper.heading(words.text("card.operations", "seats", labels(group)));
      GroupFindings findings = GroupFindings.of(group, practice);
      for (GroupFindings.Said said : findings.open(words)) {
        paper.strong(words.label(said.severity()) + ", " + said.seats() + ": " + said.what());
      }
      List<List<String>> rows = new ArrayList<>();
      var operations = group.plan().operations();
      for (int k = 0; k < operations.size(); k++) {
        List<String> depths = new ArrayList<>();
        List<Cutting.Step> done = group.steps(k);
        for (int n = 0; n < done.size(); n++) {
          String label = group.seats().get(n).place().label();
          done.get(n)
              .depthMm()
              .ifPresent(mm -> depths.add(label + " " + words.units().shortLength(mm)));
        }
        rows.add(
            List.of(
                String.valueOf(k + 1),
                words.say(Message.of(operations.get(k))),
                settings(group, k),
                String.join("  ", depths)));
      }
      paper.table(
          List.of(
              "",
              words.text("card.operation"),
              words.text("card.settings"),
              words.text("card.stoppedAt")),
          rows,
          0.3,
          1.4,
          2.6,
          2);
    }
  }

  private String settings(GroupOutcome group, int place) {
    var operation = group.plan().operations().get(place);
    List<String> settings = new ArrayList<>();
    for (var setting : operation.settings()) {
      List<Term> terms = setting.term(operation, group.plan().wanted().seat());
      if (!terms.isEmpty()) {
        settings.add(words.say(Message.of(setting.code())) + " " + words.term(terms.getFirst()));
      }
    }
    return String.join("; ", settings);
  }

  private void seal(Paper paper) throws IOException {
    paper.heading(words.text("card.seal"));
    List<List<String>> rows = new ArrayList<>();
    for (PortSeal port : PortSeal.all(job, sheet)) {
      var width = port.ring().width();
      rows.add(
          List.of(
              port.seat().label(),
              vacuum(port.dry()),
              vacuum(port.oiled()),
              words.label(port.verdict()),
              fine(port.runoutMm()) + (port.runoutAllowed() ? "" : " !"),
              width.getCount() == 0
                  ? NONE
                  : words.units().shortLength(width.getMin())
                      + " - "
                      + words.units().shortLength(width.getMax()),
              words.label(port.ringVerdict())));
    }
    paper.table(
        List.of(
            words.text("card.seat"),
            words.text("card.dry"),
            words.text("card.oiled"),
            words.text("card.verdict"),
            words.text("card.runout"),
            words.text("card.ring"),
            words.text("card.ringVerdict")),
        rows,
        0.5,
        1.2,
        1.2,
        1.8,
        0.8,
        1.1,
        1.6);
    paper.text(
        words.text(
            "card.sealLimits",
            "held",
            words.figure(Dimension.BAROMETER, job.shop().sealLimits().leastHeldPa()),
            "seconds",
            words.figure(Dimension.SECONDS, job.shop().sealLimits().leastFallSeconds()),
            "runout",
            words.figure(Dimension.FINE_LENGTH, job.shop().sealLimits().mostRunoutMm())));
  }

  private String vacuum(Optional<VacuumReading> reading) {
    return reading
        .map(
            r ->
                words.figure(Dimension.BAROMETER, r.heldPa())
                    + (r.fallSeconds().isPresent()
                        ? ", " + words.figure(Dimension.SECONDS, r.fallSeconds().getAsDouble())
                        : ""))
        .orElse(NONE);
  }

  /** The last tests of every seat that was tested, lift by lift at the job's depression. */
  private void flow(Paper paper) throws IOException {
    TestBook book = TestBook.of(job);
    List<String> seats =
        job.bench().tests().stream().map(t -> t.setUp().seat()).distinct().toList();
    for (String seat : seats) {
      List<FlowTest> tests =
          job.bench().tests().stream().filter(t -> t.setUp().seat().equals(seat)).toList();
      if (tests.size() > MOST_TESTS) {
        tests = tests.subList(tests.size() - MOST_TESTS, tests.size());
      }
      paper.heading(
          words.text(
              "card.flow",
              "seat",
              seat,
              "unit",
              words.units().flow().symbol(),
              "depression",
              words.units().pressureText(job.test().depressionPa())));
      List<ReducedTest> reduced = tests.stream().map(book::reduced).toList();
      List<String> heads = new ArrayList<>(List.of(words.text("card.lift")));
      tests.forEach(t -> heads.add(t.name()));
      List<List<String>> rows = new ArrayList<>();
      List<Double> lifts =
          reduced.stream()
              .flatMap(r -> r.lifts().stream().map(ReducedTest.Lift::liftMm))
              .map(l -> Math.round(l * 100) / 100.0)
              .distinct()
              .sorted()
              .toList();
      for (double lift : lifts) {
        List<String> row = new ArrayList<>(List.of(words.units().lengthText(lift)));
        for (ReducedTest test : reduced) {
          row.add(test.at(lift).map(l -> words.units().flowNumber(l.meanM3s())).orElse(NONE));
        }
        rows.add(row);
      }
      double[] shares = new double[heads.size()];
      Arrays.fill(shares, 1);
      paper.table(heads, rows, shares);
    }
    paper.text(words.text("card.flow.note"));
  }

  private void run(Paper paper) throws IOException {
    paper.heading(words.text("card.run"));
    List<List<String>> rows = new ArrayList<>();
    for (RunStep step : sheet.steps()) {
      rows.add(
          List.of(
              step.seat().label(),
              words.say(step.title()),
              step.lines().stream()
                  .map(l -> words.say(l.name()) + " " + words.term(l.value()))
                  .collect(Collectors.joining("; ")),
              words.label(StepState.of(log, step))));
    }
    paper.table(
        List.of(
            words.text("card.seat"),
            words.text("card.operation"),
            words.text("card.settings"),
            words.text("card.state")),
        rows,
        0.5,
        1.5,
        4,
        0.9);
  }

  private String money(double amount) {
    String figure = words.figure(Dimension.MONEY, amount);
    return job.shop().currency().isBlank() ? figure : figure + " " + job.shop().currency();
  }

  private void quote(Paper paper) throws IOException {
    Quote quote = Quote.of(job, sheet);
    paper.heading(words.text("card.quote"));
    List<List<String>> rows = new ArrayList<>();
    for (Quote.Part part : quote.parts()) {
      rows.add(
          List.of(
              words.label(part.kind()),
              String.valueOf(part.seats()),
              String.valueOf(part.fittings()),
              words.figure(Dimension.MINUTES, part.minutes()),
              money(part.minutes() / 60 * quote.ratePerHour())));
    }
    rows.add(
        List.of(
            words.text("card.total"),
            "",
            String.valueOf(sheet.toolChanges()),
            words.figure(Dimension.MINUTES, quote.minutes()),
            money(quote.price())));
    paper.table(
        List.of(
            words.text("card.work"),
            words.text("card.seatsCount"),
            words.text("card.fittings"),
            words.text("card.time"),
            words.text("card.price")),
        rows,
        2,
        0.7,
        0.9,
        1,
        1);
    for (Quote.ValveChoice valve : quote.valves()) {
      paper.text(
          words.text(
              "card.valveChoice",
              "port",
              valve.port(),
              "good",
              money(valve.madeGood()),
              "bought",
              money(valve.bought())));
    }
  }

  private void history(Paper paper) throws IOException {
    paper.heading(words.text("card.history"));
    DateTimeFormatter moment =
        DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT).withZone(issued.zone());
    List<List<String>> rows = new ArrayList<>();
    for (WorkEntry entry : job.log().entries()) {
      rows.add(
          List.of(
              String.valueOf(entry.number()),
              moment.format(entry.at()),
              entry.who(),
              entry.seat(),
              HistoryWords.of(entry, words, sheet)));
    }
    paper.table(
        List.of(
            "",
            words.text("card.when"),
            words.text("card.who"),
            words.text("card.seat"),
            words.text("card.what")),
        rows,
        0.3,
        1,
        0.8,
        0.5,
        4);
  }

  private void cautions(Paper paper) throws IOException {
    paper.heading(words.text("card.cautions"));
    for (String key : Cautions.ALL) {
      paper.text(words.text(key));
    }
  }
}
