package finebore.cli;

import finebore.code.Message;
import finebore.code.Term;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.formats.FileProblem;
import finebore.formats.JobFile;
import finebore.formats.SafeFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.reports.AirColours;
import finebore.reports.AirPicture;
import finebore.reports.AirTable;
import finebore.reports.AirWords;
import finebore.study.SeatStudy;
import finebore.units.Dimension;
import finebore.words.Words;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Solves the air of one seat at one lift. */
@Command(name = "air", description = "The air between one valve and its seat, solved.")
final class AirCommand implements Callable<Integer> {

  private static final List<String> ENDINGS = List.of(".png", ".svg", ".csv", ".json");

  @Spec private CommandSpec spec;

  @Mixin private Speech speech;

  @Parameters(index = "0", paramLabel = "FILE", description = "The job file.")
  private Path file;

  @Option(names = "--seat", required = true, description = "The seat by its label, for example I1.")
  private String seat;

  @Option(
      names = "--lift",
      required = true,
      paramLabel = "MM",
      description = "Valve lift, mm, above 0 and up to 50.")
  private double liftMm;

  @Option(
      names = "--plan",
      description = "planned (default), found, or both side by side (PNG only).",
      defaultValue = "planned")
  private StateName plan;

  @Option(names = "--layer", description = "speed (default) or lost.", defaultValue = "speed")
  private LayerName layer;

  @Option(
      names = "--closure",
      description = "How turbulence is closed: even (default) or transport.",
      defaultValue = "even")
  private ClosureName closure;

  @Option(names = "--grid", description = "full (default) or coarse.", defaultValue = "full")
  private GridName grid;

  @Option(
      names = {"-o", "--output"},
      required = true,
      paramLabel = "OUT",
      description = "Where to write it; ends in .png, .svg, .csv or .json.")
  private Path output;

  enum StateName {
    planned,
    found,
    both
  }

  enum LayerName {
    speed,
    lost
  }

  enum ClosureName {
    even,
    transport
  }

  enum GridName {
    full,
    coarse
  }

  @Override
  public Integer call() throws FileProblem {
    String name = output.toString().toLowerCase(Locale.ROOT);
    if (ENDINGS.stream().noneMatch(name::endsWith)) {
      throw new FileProblem(
          Message.of("file.wrongEnding")
              .with("file", Term.quote(output.toString()))
              .with("endings", Term.quote(String.join(", ", ENDINGS))));
    }
    if (!(liftMm > 0 && liftMm <= 50)) {
      throw new FileProblem(
          Message.of("cli.lift").with("value", Term.quote(String.valueOf(liftMm))));
    }
    Job job = JobFile.read(file).job();
    Words words = speech.of(job);
    SeatPlace place = SeatByLabel.of(job, seat);
    if (plan == StateName.both) {
      if (!name.endsWith(".png")) {
        throw new FileProblem(
            Message.of("file.wrongEnding")
                .with("file", Term.quote(output.toString()))
                .with("endings", Term.quote(".png")));
      }
      AirFlow found = solve(study(job, place, StateName.found), Optional.empty());
      // Transport can come to rest a little apart from another start.
      AirFlow planned =
          solve(
              study(job, place, StateName.planned),
              closure == ClosureName.even ? Optional.of(found) : Optional.empty());
      SafeFile.write(
          output,
          AirPicture.pair(
              found,
              title(words, StateName.found),
              planned,
              title(words, StateName.planned),
              layer(),
              words),
          false);
      Terminal.println(spec, AirWords.figure(found, words));
      Terminal.println(spec, AirWords.figure(planned, words));
    } else {
      AirFlow flow = solve(study(job, place, plan), Optional.empty());
      SafeFile.write(output, written(flow, name, words), false);
      Terminal.println(spec, AirWords.figure(flow, words));
    }
    Terminal.println(spec, words.text("cli.wrote", "file", output.toString()));
    return 0;
  }

  private SeatStudy study(Job job, SeatPlace place, StateName state) throws FileProblem {
    SeatStudy found = PlanStudy.asFound(job, place, finebore.flow.Calibration.SEAT_ALONE);
    SeatStudy study =
        state == StateName.found
            ? found
            : PlanStudy.of(job, place, job.planOf(place), found).finished();
    if (study.seated().isEmpty()) {
      throw new FileProblem(Message.of("cli.fallsThrough").with("seat", Term.quote(seat)));
    }
    return study;
  }

  private AirFlow solve(SeatStudy study, Optional<AirFlow> start) throws FileProblem {
    try {
      return AirSolver.solve(
          study.airAt(
              liftMm,
              closure == ClosureName.even ? Turbulence.EVEN : Turbulence.TRANSPORT,
              grid == GridName.full ? Fineness.FULL : Fineness.COARSE),
          start,
          () -> false);
    } catch (AirNotSolved e) {
      throw new FileProblem(
          Message.of("air.notSolved").with("why", Term.phrase(Message.of(e.why()))));
    }
  }

  private byte[] written(AirFlow flow, String name, Words words) {
    if (name.endsWith(".csv")) {
      return bytes(AirTable.csv(flow));
    }
    if (name.endsWith(".json")) {
      return bytes(AirTable.json(flow, seat, plan.name(), liftMm, words));
    }
    return name.endsWith(".png")
        ? AirPicture.png(flow, layer(), words, title(words, plan))
        : bytes(AirPicture.svg(flow, layer(), words, title(words, plan)));
  }

  private AirColours.Layer layer() {
    return layer == LayerName.speed ? AirColours.Layer.SPEED : AirColours.Layer.LOST;
  }

  private String title(Words words, StateName state) {
    return words.text(
        "air.title",
        "seat",
        seat,
        "state",
        words.text("air.state." + state.name()),
        "lift",
        words.figure(Dimension.LENGTH, liftMm),
        "layer",
        words.text("air.layer." + layer.name()));
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
