package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThatCode;

import finebore.card.CardPart;
import finebore.card.CardSize;
import finebore.card.JobCard;
import finebore.code.RuleViolation;
import finebore.cutting.Cutter;
import finebore.drawing.JobDrawings;
import finebore.flow.field.KnownAir;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.practice.Practice;
import finebore.reports.CutSheets;
import finebore.reports.RunSheets;
import finebore.reports.StudyCsv;
import finebore.reports.StudyFacts;
import finebore.reports.StudyJson;
import finebore.reports.StudyText;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.CutStack;
import finebore.seat.Element;
import finebore.words.Language;
import finebore.words.Words;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * Whatever stack is wanted, every report and the window's working out say something of it: each
 * cutter of the rack and random stacks of cuts and arcs, on every group of every demo job.
 */
class EveryStackTest {

  private static final List<Practice> PRACTICES = PracticeFiles.all();

  /** Those with arcs everywhere, the others on the first demo job alone. */
  @Test
  void everyCutterOfTheRackCanBeWanted() {
    List<Cutter> arced =
        RackFile.shipped().stream()
            .filter(c -> c.elements().stream().anyMatch(Arc.class::isInstance))
            .toList();
    for (SeatPlace place : JobFile.demo().plans()) {
      RackFile.shipped().forEach(c -> looksAt(JobFile.demo(), place, c));
    }
    rack(arced);
  }

  @Test
  @Tag("long")
  void everyCutterOfTheRackCanBeWantedEverywhere() {
    rack(RackFile.shipped());
  }

  private static void rack(List<Cutter> rack) {
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      for (SeatPlace place : job.plans()) {
        for (Cutter cutter : rack) {
          looksAt(job, place, cutter);
        }
      }
    }
  }

  @Test
  void anyStackCanBeWanted() {
    anyStacks(1, 4);
  }

  @Test
  @Tag("long")
  void anyStackCanBeWantedAtLength() {
    anyStacks(1_000_000, 250);
  }

  private static void anyStacks(long seed, int each) {
    Random random = new Random(seed);
    for (String name : JobFile.demoNames()) {
      Job job = JobFile.demo(name);
      for (SeatPlace place : job.plans()) {
        for (int k = 0; k < each; k++) {
          CutStack stack = any(random);
          looksAt(job, place, stack, stack.toString());
        }
      }
    }
  }

  private static CutStack any(Random random) {
    while (true) {
      List<Element> elements = new ArrayList<>();
      double angle = 5 + random.nextInt(30);
      for (int k = 1 + random.nextInt(6); k > 0; k--) {
        double next = Math.min(88, angle + 3 + random.nextInt(22));
        elements.add(
            random.nextInt(3) == 0
                ? new Arc(angle, next, 1 + 9 * random.nextDouble())
                : new Cut(angle, 0.2 + 2 * random.nextDouble()));
        angle = next;
        if (angle >= 85) {
          break;
        }
      }
      try {
        return new CutStack(elements, random.nextInt(elements.size()));
      } catch (RuleViolation e) {
        // It must seal with a cut of a usual angle.
        continue;
      }
    }
  }

  private static void looksAt(Job of, SeatPlace place, Cutter cutter) {
    looksAt(of, place, new CutStack(cutter.elements(), cutter.sealing()), cutter.name());
  }

  private static void looksAt(Job of, SeatPlace place, CutStack stack, String name) {
    Plan plan = of.planOf(place);
    Job job;
    try {
      job =
          of.withPlan(
              place, plan.following(plan.wanted().withSeat(plan.wanted().seat().withStack(stack))));
    } catch (RuleViolation e) {
      return;
    }
    assertThatCode(() -> all(job, place))
        .as(of.name() + " " + place.label() + " " + name)
        .doesNotThrowAnyException();
  }

  private static void all(Job job, SeatPlace place) {
    Words words = Words.of(Language.ENGLISH, job.units());
    Practice practice = PracticeFiles.named(job.practice(), PRACTICES);
    StudyFacts facts =
        StudyFacts.of(job, place, StudyFacts.State.PLANNED, PRACTICES, KnownAir.NONE);
    StudyText.of(facts, words);
    StudyCsv.of(facts, words);
    StudyJson.of(facts, words);
    JobDrawings.dxf(job, place, words, false);
    JobDrawings.dxf(job, place, words, true);
    JobDrawings.svg(job, place, words, 3);
    SeatView.of(
        job,
        words,
        practice,
        new SeatView.View(place, false, OptionalInt.empty()),
        Optional.empty());
  }

  /** Sheets and card hang on a whole job: once for the cutter with most arcs over its seat. */
  @Test
  void sheetsAndCardOfEveryGroupWithAnArcOverTheSeat() {
    Cutter arced =
        RackFile.shipped().stream()
            .filter(
                c -> c.elements().subList(0, c.sealing()).stream().anyMatch(Arc.class::isInstance))
            .findFirst()
            .orElseThrow();
    Job job = JobFile.demo();
    for (SeatPlace place : job.plans()) {
      Plan plan = job.planOf(place);
      job =
          job.withPlan(
              place,
              plan.following(
                  plan.wanted()
                      .withSeat(plan.wanted().seat().withCuts(arced.elements(), arced.sealing()))));
    }
    Words words = Words.of(Language.ENGLISH, job.units());
    Practice practice = PracticeFiles.named(job.practice(), PRACTICES);
    Job whole = job;
    assertThatCode(
            () -> {
              new CutSheets(whole, words, practice).text();
              new RunSheets(whole, words, practice).text();
              JobCard.pdf(
                  whole,
                  words,
                  practice,
                  new JobCard.Issued(
                      LocalDate.EPOCH, ZoneOffset.UTC, CardSize.A4, EnumSet.allOf(CardPart.class)));
            })
        .doesNotThrowAnyException();
  }
}
