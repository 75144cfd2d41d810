package finebore.formats;

import finebore.cutting.CutSheet;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Overrule;
import finebore.job.Port;
import finebore.study.PlanStudy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * The cut sheet of a job as text or CSV: the operations in order with their settings, for both
 * groups.
 */
public final class CutSheetFile {

  private CutSheetFile() {}

  /** Seats that are cut alike: those of a group that follow its plan, or an exception. */
  private record Alike(Port port, List<SeatPlace> seats) {

    String labels() {
      return seats.stream().map(SeatPlace::label).collect(Collectors.joining(" "));
    }
  }

  private static List<Alike> alike(Job job) {
    List<Alike> all = new ArrayList<>();
    for (Port port : Port.values()) {
      List<SeatPlace> seats = job.engine().seats().stream().filter(s -> s.port() == port).toList();
      List<SeatPlace> group = seats.stream().filter(s -> !job.isException(s)).toList();
      if (!group.isEmpty()) {
        all.add(new Alike(port, group));
      }
      seats.stream().filter(job::isException).forEach(s -> all.add(new Alike(port, List.of(s))));
    }
    return all;
  }

  private static CutSheet sheet(Job job, Alike alike) {
    SeatPlace first = alike.seats().getFirst();
    PlanStudy study = PlanStudy.of(job, first, job.planOf(first), Optional.empty());
    return CutSheet.of(
        study.cutting(),
        job.group(alike.port()).found().valve(),
        study.plan().wanted().valve(),
        study.finished().seated().map(s -> s.restMm()).orElse(Double.NaN),
        job.units());
  }

  /** For the wall beside the machine. */
  public static String text(Job job) {
    StringBuilder out = new StringBuilder();
    out.append("CUT SHEET  ").append(job.name());
    if (!job.purpose().isBlank()) {
      out.append(", ").append(job.purpose());
    }
    out.append(
        "\nGuides first: everything is referenced to them. Level the guide for every seat, start small.\n");
    out.append(
        "Eye, ear and breathing protection when grinding. Measure clearances on the real engine.\n");
    for (Alike alike : alike(job)) {
      Port port = alike.port();
      out.append("\n")
          .append(port.word().toUpperCase(java.util.Locale.ROOT))
          .append("  seats ")
          .append(alike.labels())
          .append("\n");
      for (Overrule overrule : job.planOf(alike.seats().getFirst()).overrules()) {
        out.append("  overruled, ")
            .append(overrule.where())
            .append(": ")
            .append(overrule.reason())
            .append("\n");
      }
      int number = 1;
      for (CutSheet.Step step : sheet(job, alike).steps()) {
        out.append(String.format("%3d  %s%n", number++, step.tool()).replace("\r", ""));
        step.settings()
            .forEach(
                s ->
                    out.append(
                        String.format("       %-42s %s%n", s.name(), s.value()).replace("\r", "")));
        if (!step.check().isEmpty()) {
          out.append("       check: ").append(step.check()).append("\n");
        }
        if (!step.caution().isEmpty()) {
          out.append("       caution: ").append(step.caution()).append("\n");
        }
      }
    }
    return out.toString();
  }

  /** One row per setting: group, seats, step, tool, setting, value, check, caution. */
  public static String csv(Job job) {
    StringBuilder out = new StringBuilder();
    CSVFormat format =
        CSVFormat.RFC4180
            .builder()
            .setHeader("group", "seats", "step", "tool", "setting", "value", "check", "caution")
            .get();
    try (CSVPrinter csv = new CSVPrinter(out, format)) {
      for (Alike alike : alike(job)) {
        Port port = alike.port();
        int number = 1;
        for (CutSheet.Step step : sheet(job, alike).steps()) {
          List<CutSheet.Setting> settings =
              step.settings().isEmpty() ? List.of(new CutSheet.Setting("", "")) : step.settings();
          for (CutSheet.Setting setting : settings) {
            csv.printRecord(
                Arrays.asList(
                    port.word(),
                    alike.labels(),
                    number,
                    step.tool(),
                    setting.name(),
                    setting.value(),
                    step.check(),
                    step.caution()));
          }
          number++;
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }
}
