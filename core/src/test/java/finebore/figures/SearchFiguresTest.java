package finebore.figures;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.Cutter;
import finebore.found.Measure;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.practice.Range;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.study.ReadingKind;
import finebore.suggest.Candidate;
import finebore.suggest.Goal;
import finebore.suggest.Search;
import finebore.suggest.Suggestion;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * What the search makes of a sample of its candidates, to six figures, against what it was: it says
 * that something changed, not that it was right before. Written anew by -Dfinebore.golden=write.
 */
class SearchFiguresTest {

  private static final Path FOLDER = Path.of("src/test/resources/finebore/figures");

  /** Every one of so many is looked at; it has no divisor in common with the choices. */
  private static final int STEP = 31;

  private static final List<Cutter> RACK =
      List.of(
          new Cutter(
              "four",
              "",
              List.of(new Cut(30, 1), new Cut(45, 1.25), new Cut(60, 1.4), new Cut(75, 2)),
              1),
          new Cutter("wide", "", List.of(new Cut(35, 1), new Cut(45, 1.9), new Cut(65, 1.6)), 1),
          new Cutter("steep", "", List.of(new Cut(15, 1), new Cut(45, 1.3), new Cut(75, 1.6)), 1),
          new Cutter("flat", "", List.of(new Cut(15, 0.9), new Cut(27, 1.4), new Cut(50, 1.7)), 1),
          new Cutter(
              "round", "", List.of(new Cut(30, 0.8), new Cut(45, 1.3), new Arc(45, 80, 3)), 1));

  /** A head whose limits are near: walls, water, retainers and neighbours. */
  private static Job job(long seed) {
    Job job = MadeUpHead.of(seed);
    for (SeatPlace place : job.engine().seats()) {
      job =
          job.withHead(
              job.head()
                  .withReading(place.label(), Measure.WALL_THROAT, OptionalDouble.of(3.9))
                  .withReading(place.label(), Measure.WALL_BOWL, OptionalDouble.of(4.3)));
    }
    return job;
  }

  private static Practice practice() {
    Map<ReadingKind, Range> wanted =
        Map.of(
            ReadingKind.THROAT_RATIO, Samples.range(0.84, 0.91),
            ReadingKind.SEAT_WIDTH, Samples.range(1.0, 1.7),
            ReadingKind.FACE_WIDTH, Samples.range(1.3, 2.6),
            ReadingKind.CONTACT_CENTRE, Samples.range(0.3, 0.7),
            ReadingKind.BACK_CUT, Samples.range(22, 35),
            ReadingKind.ANGLE_STEP, Samples.range(5, 26),
            ReadingKind.OVERHANG, Samples.range(0.2, 0.6),
            ReadingKind.SINK, Samples.range(-0.4, 0.6),
            ReadingKind.WATER, Samples.range(2.4, 40),
            ReadingKind.RING_WALL, Samples.range(0.8, 9));
    return new Practice("near", "Near", "For tests.", wanted, wanted)
        .with(Port.INTAKE, ReadingKind.RETAINER, Optional.of(Samples.range(1.6, 20)));
  }

  @ParameterizedTest
  @CsvSource({"1, LOW", "1, LIFE", "2, WHOLE", "3, MID", "4, LOW", "5, LIFE", "6, MID"})
  void areWhatTheyWere(long seed, Goal goal) throws IOException {
    search(seed, goal, practice());
  }

  /** Where a practice says nothing, usual limits hold for what is tried. */
  @ParameterizedTest
  @CsvSource({"2, LIFE"})
  void areWhatTheyWereWithoutLimits(long seed, Goal goal) throws IOException {
    search(seed, goal, new Practice("bare", "Bare", "For tests.", Map.of(), Map.of()));
  }

  private static void search(long seed, Goal goal, Practice practice) throws IOException {
    Job job = job(seed);
    Figures all = new Figures();
    for (SeatPlace place :
        List.of(job.engine().seats().getFirst(), job.engine().seats().getLast())) {
      Search search = Search.of(job, place, RACK, practice, goal);
      all.with(place.label() + ".size", search.size())
          .with(place.label() + ".goal", search.goal().code());
      Search.Slice slice = Search.Slice.NONE;
      for (int k = 0; k < search.size(); k += STEP) {
        Search.Slice one = search.look(k, k + 1);
        for (Candidate candidate : one.best()) {
          all.with(place.label() + "." + k, candidate.score());
        }
        slice = slice.and(one);
      }
      all.with(place.label() + ".broken", slice.broken());
      for (Candidate candidate : slice.best()) {
        all.with(place.label() + ".best", candidate.number())
            .with(place.label() + ".wanted", candidate.wanted())
            .with(place.label() + ".plan", candidate.plan().operations());
      }
      for (Suggestion suggestion : search.suggestions(slice.best(), 2)) {
        all.with(place.label() + ".suggestion", suggestion.candidate().number())
            .with(place.label() + ".findings", suggestion.findings())
            .with(place.label() + ".message", suggestion.message());
      }
    }
    holds("search-" + practice.id() + "-" + seed + "-" + goal, all.toString());
  }

  private static void holds(String name, String now) throws IOException {
    Path file = FOLDER.resolve(name + ".txt");
    if ("write".equals(System.getProperty("finebore.golden"))) {
      Files.writeString(file, now);
    }
    assertThat(now).isEqualTo(Files.readString(file));
  }
}
