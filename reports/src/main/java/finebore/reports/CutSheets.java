package finebore.reports;

import finebore.code.Message;
import finebore.code.Term;
import finebore.finding.Severity;
import finebore.formats.TableText;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Plan;
import finebore.job.Port;
import finebore.planning.CutSheet;
import finebore.planning.GroupOutcome;
import finebore.practice.Practice;
import finebore.study.ReadingKind;
import finebore.words.Words;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * The cut sheet of a job as text or CSV: for every group of seats what is open, then the work in
 * order. What differs between seats stands per seat.
 */
public final class CutSheets {

  private final Job job;
  private final Words words;
  private final Practice practice;
  private final List<GroupOutcome> groups;

  public CutSheets(Job job, Words words, Practice practice) {
    this.job = job;
    this.words = words;
    this.practice = practice;
    this.groups = GroupOutcome.all(job);
  }

  /** For the wall beside the machine. */
  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(words.text("sheet.title")).append("  ").append(job.name());
    if (!job.purpose().isBlank()) {
      out.append(", ").append(job.purpose());
    }
    line(out, "");
    line(out, words.text("sheet.guidesFirst"));
    line(out, words.text("sheet.protection"));
    line(
        out,
        words.text(
            "sheet.judged",
            "practice",
            words.term(practice.term()),
            "unit",
            words.units().length().symbol()));
    for (GroupOutcome group : groups) {
      group(out, group);
    }
    return out.toString();
  }

  private void group(StringBuilder out, GroupOutcome group) {
    Port port = group.seats().getFirst().place().port();
    Plan plan = group.plan();
    GroupFindings findings = GroupFindings.of(group, practice);
    line(out, "");
    line(
        out,
        words.of(port, "group").toUpperCase(Locale.ROOT)
            + "  "
            + words.text("sheet.seats", "seats", labels(group)));
    line(out, "  " + words.text(ready(plan, findings)));
    for (GroupFindings.Said said : findings.open(words)) {
      line(out, "  " + finding(said, stepOf(said, plan)));
    }
    for (Overrule overrule : plan.overrules()) {
      line(out, "  " + overrule(overrule, findings));
    }
    plan.toConfirm()
        .forEach(
            o ->
                line(
                    out,
                    "  "
                        + words.text(
                            "overrule.toConfirm", "where", o.where(), "reason", o.reason())));
    CutSheet sheet = CutSheet.of(group);
    sheet.oneDepth().ifPresent(plunge -> oneDepth(out, group));
    for (CutSheet.Step step : sheet.steps()) {
      step(out, group, step, findings);
    }
  }

  private static String ready(Plan plan, GroupFindings findings) {
    return plan.ready()
        ? "sheet.ready"
        : findings.blockers().isEmpty() ? "sheet.notMarked" : "sheet.notReady";
  }

  private String finding(GroupFindings.Said said, String step) {
    return (said.severity() == Severity.FAULT ? "!! " : "!  ")
        + words.name(said.severity())
        + ", "
        + said.seats()
        + step
        + ": "
        + said.what()
        + " "
        + said.why();
  }

  private String stepOf(GroupFindings.Said said, Plan plan) {
    int place = plan.placeOf(said.first().subject());
    return place == 0 ? "" : ", " + words.text("sheet.step", "number", place);
  }

  private String overrule(Overrule overrule, GroupFindings findings) {
    Overrule.State state = findings.expired().getOrDefault(overrule, Overrule.State.HOLDS);
    return words.text(
        "overrule." + state.name().toLowerCase(Locale.ROOT),
        "seat",
        overrule.seat(),
        "fault",
        words.of(overrule.code(), "name"),
        "reason",
        overrule.reason());
  }

  /** One depth for seats that clean up at different ones is a decision, with a cost at each. */
  private void oneDepth(StringBuilder out, GroupOutcome group) {
    List<String> costs = new ArrayList<>();
    group
        .seats()
        .forEach(
            seat ->
                seat.reading(ReadingKind.PAST_CLEAN)
                    .ifPresent(
                        past ->
                            costs.add(
                                words.say(
                                    Message.of(past < 0 ? "sheet.short" : "sheet.past")
                                        .with("seat", Term.quote(seat.place().label()))
                                        .with("by", Term.length(Math.abs(past)))))));
    line(out, "  " + words.text("sheet.oneDepth", "costs", String.join("; ", costs)));
  }

  private void step(
      StringBuilder out, GroupOutcome group, CutSheet.Step step, GroupFindings findings) {
    line(out, String.format(Locale.ROOT, "%3d  %s", step.number(), words.say(step.title())));
    for (CutSheet.Line one : step.lines()) {
      line(
          out,
          String.format(Locale.ROOT, "       %-42s %s", words.say(one.name()), value(group, one)));
    }
    step.subject().stream()
        .flatMap(s -> findings.about(s, words).stream())
        .forEach(said -> line(out, "       " + finding(said, "")));
    step.check()
        .ifPresent(c -> line(out, "       " + words.text("sheet.check") + ": " + words.say(c)));
    step.caution()
        .ifPresent(c -> line(out, "       " + words.text("sheet.caution") + ": " + words.say(c)));
  }

  private String value(GroupOutcome group, CutSheet.Line line) {
    if (line.isSame()) {
      return one(line.perSeat().getFirst());
    }
    List<String> each = new ArrayList<>();
    for (int k = 0; k < line.perSeat().size(); k++) {
      each.add(group.seats().get(k).place().label() + " " + one(line.perSeat().get(k)));
    }
    return String.join("   ", each);
  }

  private String one(Optional<Term> term) {
    return term.map(words::term).orElse("-");
  }

  private static String labels(GroupOutcome group) {
    return group.seats().stream().map(s -> s.place().label()).collect(Collectors.joining(" "));
  }

  private static void line(StringBuilder out, String text) {
    out.append(text.stripTrailing()).append('\n');
  }

  /**
   * One row for each setting of each seat, and one for each finding: group, seat, step, what is
   * done, item, value.
   */
  public String csv() {
    StringBuilder out = new StringBuilder();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("group", "seat", "step", "tool", "item", "value")
            .get();
    try (CSVPrinter csv = new CSVPrinter(out, format)) {
      for (GroupOutcome group : groups) {
        rows(csv, group);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void rows(CSVPrinter csv, GroupOutcome group) throws IOException {
    String port = group.seats().getFirst().place().port().key();
    GroupFindings findings = GroupFindings.of(group, practice);
    for (CutSheet.Step step : CutSheet.of(group).steps()) {
      Object tool = TableText.figureOrText(words.say(step.title()));
      for (CutSheet.Line one : step.lines()) {
        for (int k = 0; k < one.perSeat().size(); k++) {
          csv.printRecord(
              port,
              group.seats().get(k).place().label(),
              step.number(),
              tool,
              words.say(one.name()),
              TableText.figureOrText(one.perSeat().get(k).map(words::term).orElse("")));
        }
      }
      for (var extra : List.of(step.check(), step.caution())) {
        if (extra.isPresent()) {
          String item = extra.equals(step.check()) ? "sheet.check" : "sheet.caution";
          csv.printRecord(
              port, labels(group), step.number(), tool, words.text(item), words.say(extra.get()));
        }
      }
    }
    for (GroupFindings.Said said : findings.open(words)) {
      int place = group.plan().placeOf(said.first().subject());
      csv.printRecord(
          port,
          said.seats(),
          place == 0 ? "" : place,
          words.name(said.severity()),
          TableText.figureOrText(said.what()),
          TableText.figureOrText(said.why()));
    }
  }
}
