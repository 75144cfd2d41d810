package finebore.reports;

import finebore.code.Message;
import finebore.formats.TableText;
import finebore.job.Job;
import finebore.machine.RunSheet;
import finebore.machine.RunStep;
import finebore.machine.StepState;
import finebore.practice.Finding;
import finebore.practice.Practice;
import finebore.units.Dimension;
import finebore.words.Words;
import finebore.work.WorkIndex;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The whole work on a head in the order in which it is done, as text or CSV. */
public final class RunSheets {

  private final Job job;
  private final WorkIndex log;
  private final Words words;
  private final Practice practice;
  private final RunSheet sheet;

  public RunSheets(Job job, Words words, Practice practice) {
    this.job = job;
    this.log = WorkIndex.of(job.log());
    this.words = words;
    this.practice = practice;
    this.sheet = RunSheet.of(job);
  }

  /** For the wall beside the machine: tools as headings, under each the seats it goes to. */
  public String text() {
    StringBuilder out = new StringBuilder();
    out.append(words.text("run.title", "job", job.name(), "steps", sheet.steps().size()))
        .append('\n')
        .append(words.text("sheet.guidesFirst"))
        .append('\n')
        .append(words.text("sheet.protection"))
        .append('\n');
    String fitted = "";
    int number = 0;
    for (RunStep step : sheet.steps()) {
      number++;
      if (!step.tool().equals(fitted)) {
        fitted = step.tool();
        out.append('\n').append(words.say(step.title()).toUpperCase(Locale.ROOT)).append('\n');
        step.check().ifPresent(c -> line(out, "", words.text("sheet.check"), words.say(c)));
        step.caution().ifPresent(c -> line(out, "", words.text("sheet.caution"), words.say(c)));
      }
      out.append(
          String.format(
              Locale.ROOT,
              "%4d  [%s]  %-4s %s%n",
              number,
              mark(StepState.of(log, step)),
              step.seat().label(),
              words.say(step.title())));
      for (Finding finding : sheet.findings(step, practice)) {
        line(out, "     !! ", words.label(finding.severity()), words.say(finding.what()));
      }
      for (RunStep.Line one : step.lines()) {
        line(out, "        ", words.say(one.name()), words.term(one.value()));
      }
      for (RunStep.Target target : step.targets()) {
        line(out, "        ", words.label(target.what()), wanted(target));
      }
    }
    return out.toString().replace(System.lineSeparator(), "\n");
  }

  private static String mark(StepState state) {
    return switch (state) {
      case WAITING -> " ";
      case PROBLEM, OUT_OF_LIMIT -> "!";
      case DONE -> "x";
      case ACCEPTED -> "a";
    };
  }

  private static void line(StringBuilder out, String indent, String name, String value) {
    out.append(String.format(Locale.ROOT, "%s%-42s %s", indent, name, value).stripTrailing())
        .append('\n');
  }

  private String wanted(RunStep.Target target) {
    Dimension dimension = target.what().quantity().dimension();
    String wanted =
        target.wanted().isPresent()
            ? words.figure(dimension, target.wanted().getAsDouble())
            : "________";
    String limits =
        (target.least().isPresent()
                ? words.text(
                    "cut.wanted.least",
                    "least",
                    words.figure(dimension, target.least().getAsDouble()))
                : "")
            + (target.least().isPresent() && target.most().isPresent() ? ", " : "")
            + (target.most().isPresent()
                ? words.text(
                    "cut.wanted.most", "most", words.figure(dimension, target.most().getAsDouble()))
                : "");
    return (wanted + "  " + limits).stripTrailing();
  }

  /** One row for each figure of each step: number, seat, kind, what is done, item, value, state. */
  public String csv() {
    StringBuilder out = new StringBuilder();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("number", "seat", "kind", "work", "item", "value", "state")
            .get();
    try (CSVPrinter csv = new CSVPrinter(out, format)) {
      int number = 0;
      for (RunStep step : sheet.steps()) {
        number++;
        for (Finding finding : sheet.findings(step, practice)) {
          row(csv, number, step, words.label(finding.severity()), words.say(finding.what()));
        }
        for (RunStep.Line one : step.lines()) {
          row(csv, number, step, words.say(one.name()), words.term(one.value()));
        }
        for (RunStep.Target target : step.targets()) {
          row(csv, number, step, words.label(target.what()), wanted(target));
        }
        if (step.lines().isEmpty() && step.targets().isEmpty()) {
          row(csv, number, step, "", "");
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private void row(CSVPrinter csv, int number, RunStep step, String item, String value)
      throws IOException {
    csv.printRecord(
        number,
        step.seat().label(),
        step.kind().key(),
        TableText.figureOrText(words.say(step.title())),
        TableText.figureOrText(item),
        TableText.figureOrText(value),
        words.say(Message.of(StepState.of(log, step))));
  }
}
