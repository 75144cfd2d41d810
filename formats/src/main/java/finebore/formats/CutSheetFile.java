package finebore.formats;

import finebore.cutting.CutSheet;
import finebore.job.Group;
import finebore.job.Job;
import finebore.job.Port;
import finebore.study.SeatStudy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * The cut sheet of a job as text or CSV: the operations in order with their settings, for both
 * groups.
 */
public final class CutSheetFile {

  private CutSheetFile() {}

  private static CutSheet sheet(Job job, Port port) {
    Group group = job.group(port);
    double rest = SeatStudy.restOf(group.planned()).orElse(Double.NaN);
    return CutSheet.of(
        group.found().seat(),
        group.planned().seat(),
        group.found().valve(),
        group.planned().valve(),
        rest,
        job.units());
  }

  private static String seats(Job job, Port port) {
    return job.engine().seats().stream()
        .filter(s -> s.port() == port)
        .map(s -> s.label())
        .collect(Collectors.joining(" "));
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
    for (Port port : Port.values()) {
      out.append("\n")
          .append(port.word().toUpperCase(java.util.Locale.ROOT))
          .append("  seats ")
          .append(seats(job, port))
          .append("\n");
      int number = 1;
      for (CutSheet.Operation operation : sheet(job, port).operations()) {
        out.append(String.format("%3d  %s%n", number++, operation.tool()).replace("\r", ""));
        operation
            .settings()
            .forEach(
                s ->
                    out.append(
                        String.format("       %-42s %s%n", s.name(), s.value()).replace("\r", "")));
        if (!operation.check().isEmpty()) {
          out.append("       check: ").append(operation.check()).append("\n");
        }
        if (!operation.caution().isEmpty()) {
          out.append("       caution: ").append(operation.caution()).append("\n");
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
      for (Port port : Port.values()) {
        int number = 1;
        for (CutSheet.Operation operation : sheet(job, port).operations()) {
          List<CutSheet.Setting> settings =
              operation.settings().isEmpty()
                  ? List.of(new CutSheet.Setting("", ""))
                  : operation.settings();
          for (CutSheet.Setting setting : settings) {
            csv.printRecord(
                Arrays.asList(
                    port.word(),
                    seats(job, port),
                    number,
                    operation.tool(),
                    setting.name(),
                    setting.value(),
                    operation.check(),
                    operation.caution()));
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
