package finebore.benchmarks.air;

import finebore.flow.Gate;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirNotSolved;
import finebore.flow.field.AirQuestion;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.section.Profile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Solves the air of random seats and writes it down: {@code FOLDER FROM TO [CLOSURE [FINENESS]]};
 * ALL stands for every closure.
 *
 * <p>{@code solved.csv} gets a row for each shape, lift and closure, {@code shapes.csv} the walls.
 * What is there already is not done again, so a run can be stopped and go on.
 */
public final class AirData {

  /** Lifts over head diameter. */
  private static final List<Double> LIFTS = List.of(0.02, 0.03, 0.05, 0.08, 0.12, 0.18, 0.25, 0.32);

  private static final int LIFTS_EACH = 5;

  /** Lifts beyond, of which some families get two: fewer, for little changes up there. */
  private static final List<Double> HIGH = List.of(0.39, 0.45, 0.5);

  private static final int HIGH_EACH = 2;
  private static final int HIGH_OF = 3;

  private AirData() {}

  /** Runs. */
  public static void main(String[] arguments) throws IOException {
    Path folder = Path.of(arguments[0]);
    int from = Integer.parseInt(arguments[1]);
    int to = Integer.parseInt(arguments[2]);
    List<Turbulence> closures =
        arguments.length > 3 && !arguments[3].equals("ALL")
            ? List.of(Turbulence.valueOf(arguments[3]))
            : List.of(Turbulence.values());
    Fineness fineness = arguments.length > 4 ? Fineness.valueOf(arguments[4]) : Fineness.COARSE;
    Path solved = folder.resolve("solved.csv");
    Path shapes = folder.resolve("shapes.csv");
    Set<String> done = new HashSet<>();
    Set<String> drawn = new HashSet<>();
    if (Files.exists(solved)) {
      for (String line : Files.readAllLines(solved)) {
        done.add(String.join(",", List.of(line.split(",")).subList(0, 5)));
      }
      Files.readAllLines(shapes).forEach(line -> drawn.add(line.split(",")[0]));
    } else {
      Files.createDirectories(folder);
      append(
          solved,
          "shape,direction,lift_over_head,closure,fineness,head_mm,gate_mm2,gap_mm,"
              + "area_mm2,jet_deg,rounds,momentum_left,unrest,seconds,why_not");
      append(shapes, "shape,wall,points_mm");
    }
    for (int number = from; number < to; number++) {
      RandomSeat shape = RandomSeat.of(number);
      boolean begun = false;
      for (double lift : lifts(number)) {
        for (Turbulence turbulence : closures) {
          String key =
              String.format(
                  Locale.ROOT,
                  "%d,%s,%.3f,%s,%s",
                  number,
                  shape.direction(),
                  lift,
                  turbulence,
                  fineness);
          if (!done.contains(key)) {
            append(solved, key + "," + row(shape, lift, turbulence, fineness));
            begun = true;
          }
        }
      }
      if (begun && drawn.add(String.valueOf(number))) {
        double rest = shape.fit().restMm().orElseThrow();
        append(shapes, number + ",head," + points(shape.wall()));
        append(shapes, number + ",valve," + points(shape.fit().valve().profile().raised(rest)));
      }
    }
  }

  /** Some of the lifts, the same for all of a family: more families teach more than more lifts. */
  private static List<Double> lifts(int number) {
    int family = number / RandomSeat.FAMILY;
    Random random = new Random(family);
    List<Double> lifts = some(LIFTS, LIFTS_EACH, random);
    if (family / RandomSeat.DIRECTIONS % HIGH_OF == 0) {
      lifts.addAll(some(HIGH, HIGH_EACH, random));
    }
    return lifts;
  }

  private static List<Double> some(List<Double> of, int count, Random random) {
    List<Double> all = new ArrayList<>(of);
    Collections.shuffle(all, random);
    return new ArrayList<>(all.subList(0, count).stream().sorted().toList());
  }

  private static String row(
      RandomSeat shape, double liftOverHead, Turbulence turbulence, Fineness fineness) {
    double head = shape.fit().pairing().valve().headDiameterMm();
    Profile valve = shape.fit().valveAt(liftOverHead * head);
    AirQuestion question = shape.question(liftOverHead, turbulence, fineness);
    double gate = Gate.between(shape.wall(), valve).areaMm2();
    long begin = System.nanoTime();
    String start = String.format(Locale.ROOT, "%.3f,%.4f,%.4f,", head, gate, question.gapMm());
    try {
      AirFlow flow = AirSolver.solve(question);
      return start
          + String.format(
              Locale.ROOT,
              "%.4f,%.1f,%d,%.1e,%.1e,%.2f,",
              flow.effectiveAreaMm2(),
              flow.jetAngleDeg(),
              flow.settled().rounds(),
              flow.settled().momentumLeft(),
              flow.settled().unrest(),
              (System.nanoTime() - begin) * 1e-9);
    } catch (AirNotSolved notSolved) {
      return start
          + String.format(
              Locale.ROOT,
              ",,,,,%.2f,%s",
              (System.nanoTime() - begin) * 1e-9,
              notSolved.getMessage());
    }
  }

  private static String points(Profile profile) {
    return profile.points().stream()
        .map(p -> String.format(Locale.ROOT, "%.5f %.5f", p.r(), p.z()))
        .collect(Collectors.joining(";"));
  }

  private static void append(Path file, String line) throws IOException {
    Files.writeString(file, line + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
  }
}
