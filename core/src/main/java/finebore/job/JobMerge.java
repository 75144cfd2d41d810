package finebore.job;

import finebore.bench.BenchBook;
import finebore.bench.BenchRange;
import finebore.bench.FlowTest;
import finebore.code.Message;
import finebore.code.Term;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * One job out of two that began as the same one: reading by reading of every seat, plan by plan,
 * test by test. What only one of them has changed is taken from it; where both have, mine stands
 * and is named.
 *
 * @param job both changes together
 * @param both what both have changed, each in its own way
 */
public record JobMerge(Job job, List<Message> both) {

  public JobMerge {
    both = List.copyOf(both);
  }

  /**
   * Puts two jobs together.
   *
   * @param base what both began as; where that is not known, every difference is one that both have
   *     made
   */
  public static JobMerge of(Optional<Job> base, Job mine, Job theirs) {
    return new Merger(base).merge(mine, theirs);
  }

  private static final class Merger {
    private final Optional<Job> base;
    private final List<Message> both = new ArrayList<>();

    Merger(Optional<Job> base) {
      this.base = base;
    }

    JobMerge merge(Job mine, Job theirs) {
      Job job = mine;
      job = part(job, theirs, Job::name, Job::withName, what("name"));
      job = part(job, theirs, Job::purpose, Job::withPurpose, what("purpose"));
      job = part(job, theirs, Job::notes, Job::withNotes, what("notes"));
      job = part(job, theirs, Job::units, Job::withUnits, what("units"));
      job = part(job, theirs, Job::practice, Job::withPractice, what("practice"));
      job = part(job, theirs, Job::test, Job::withTest, what("testPlan"));
      job = part(job, theirs, Job::engine, Job::withEngine, what("engine"));
      job = head(job, theirs);
      for (Port port : Port.values()) {
        job = group(job, theirs, port);
      }
      job = exceptions(job, theirs);
      job = part(job, theirs, Job::shop, Job::withShop, what("shop"));
      job = job.withLog(mine.log().merged(theirs.log()));
      return new JobMerge(job.withBench(bench(job, theirs)), both);
    }

    private static Message what(String key) {
      return Message.of("merge." + key);
    }

    private <T> Job part(
        Job mine, Job theirs, Function<Job, T> get, BiFunction<Job, T, Job> with, Message what) {
      return with.apply(mine, pick(base.map(get), get.apply(mine), get.apply(theirs), what));
    }

    /** What one of them has changed; mine where both have. */
    private <T> T pick(Optional<T> before, T mine, T theirs, Message what) {
      if (mine.equals(theirs) || before.equals(Optional.of(theirs))) {
        return mine;
      }
      if (before.equals(Optional.of(mine))) {
        return theirs;
      }
      both.add(what);
      return mine;
    }

    private Job head(Job mine, Job theirs) {
      Function<Head, Head> whole = h -> h.withReadings(Map.of());
      Head merged =
          pick(
              base.map(Job::head).map(whole),
              whole.apply(mine.head()),
              whole.apply(theirs.head()),
              what("head"));
      Set<String> labels = new TreeSet<>(mine.head().readings().keySet());
      labels.addAll(theirs.head().readings().keySet());
      base.ifPresent(b -> labels.addAll(b.head().readings().keySet()));
      for (String label : labels) {
        merged = merged.withReadings(label, readings(label, mine.head(), theirs.head()));
      }
      return mine.withHead(merged);
    }

    private SeatReadings readings(String label, Head mine, Head theirs) {
      SeatReadings merged = SeatReadings.NONE;
      Optional<SeatReadings> before = base.map(b -> b.head().readingsOf(label));
      SeatReadings mineOf = mine.readingsOf(label);
      SeatReadings theirsOf = theirs.readingsOf(label);
      for (Measure measure : Measure.values()) {
        OptionalDouble value =
            pick(
                before.map(r -> r.value(measure)),
                mineOf.value(measure),
                theirsOf.value(measure),
                what("reading").with("seat", Term.quote(label)).with("measure", measure));
        merged = merged.with(measure, value);
      }
      return merged.withRingMaterial(
          pick(
              before.map(SeatReadings::ringMaterial),
              mineOf.ringMaterial(),
              theirsOf.ringMaterial(),
              what("ringMaterial").with("seat", Term.quote(label))));
    }

    private Job group(Job mine, Job theirs, Port port) {
      Group group = mine.group(port);
      Group other = theirs.group(port);
      Optional<Group> before = base.map(b -> b.group(port));
      record Plans(List<Plan> plans, int chosen) {
        static Plans of(Group g) {
          return new Plans(g.plans(), g.chosen());
        }
      }
      Plans plans =
          pick(
              before.map(Plans::of),
              Plans.of(group),
              Plans.of(other),
              what("plans").with("port", port));
      Function<Group, Group> whole = g -> g.withPlans(plans.plans()).withChosen(plans.chosen());
      Group rest =
          pick(
              before.map(whole),
              whole.apply(group),
              whole.apply(other),
              what("group").with("port", port));
      return mine.withGroup(port, rest);
    }

    private Job exceptions(Job mine, Job theirs) {
      Map<String, Plan> merged = new HashMap<>();
      Set<String> labels = new TreeSet<>(mine.exceptions().keySet());
      labels.addAll(theirs.exceptions().keySet());
      for (String label : labels) {
        pick(
                base.map(b -> Optional.ofNullable(b.exceptions().get(label))),
                Optional.ofNullable(mine.exceptions().get(label)),
                Optional.ofNullable(theirs.exceptions().get(label)),
                what("exception").with("seat", Term.quote(label)))
            .ifPresent(plan -> merged.put(label, plan));
      }
      return mine.withExceptions(merged);
    }

    private BenchBook bench(Job mine, Job theirs) {
      Set<String> names = new LinkedHashSet<>();
      List.of(theirs, mine).forEach(j -> j.bench().ranges().forEach(r -> names.add(r.name())));
      List<BenchRange> ranges = new ArrayList<>();
      for (String name : names) {
        pick(
                base.map(b -> b.bench().range(name)),
                mine.bench().range(name),
                theirs.bench().range(name),
                what("range").with("range", Term.quote(name)))
            .ifPresent(ranges::add);
      }
      return new BenchBook(ranges, tests(mine.bench(), theirs.bench()));
    }

    /** Tests both have made meanwhile are different tests, though they got the same id. */
    private List<FlowTest> tests(BenchBook mine, BenchBook theirs) {
      Map<Integer, Integer> renumbered = new HashMap<>();
      int next = Math.max(mine.nextId(), theirs.nextId());
      for (FlowTest test : mine.tests()) {
        boolean isNew = base.map(b -> b.bench().test(test.id()).isEmpty()).orElse(false);
        Optional<FlowTest> other = theirs.test(test.id());
        if (isNew && other.isPresent() && !other.get().equals(test)) {
          renumbered.put(test.id(), next++);
        }
      }
      List<FlowTest> tests = new ArrayList<>();
      Set<Integer> ids = new LinkedHashSet<>();
      theirs.tests().forEach(t -> ids.add(t.id()));
      mine.tests().stream().map(FlowTest::id).forEach(ids::add);
      for (int id : ids) {
        Optional<FlowTest> own = renumbered.containsKey(id) ? Optional.empty() : mine.test(id);
        Optional<Optional<FlowTest>> before =
            renumbered.containsKey(id)
                ? Optional.of(Optional.empty())
                : base.map(b -> b.bench().test(id));
        Message what =
            what("test")
                .with(
                    "test",
                    Term.quote(own.or(() -> theirs.test(id)).map(FlowTest::name).orElseThrow()));
        pick(before, own, theirs.test(id), what).ifPresent(tests::add);
      }
      for (FlowTest test : mine.tests()) {
        if (renumbered.containsKey(test.id())) {
          tests.add(test.withId(renumbered.get(test.id())));
        }
      }
      return tests.stream().map(t -> following(t, mine, renumbered, tests)).toList();
    }

    /** A test as a step from the same test as before, if that is still there. */
    private static FlowTest following(
        FlowTest test, BenchBook mine, Map<Integer, Integer> renumbered, List<FlowTest> all) {
      boolean own =
          renumbered.containsValue(test.id()) || mine.test(test.id()).equals(Optional.of(test));
      Optional<Integer> after =
          test.after()
              .map(id -> own ? renumbered.getOrDefault(id, id) : id)
              .filter(id -> all.stream().anyMatch(t -> t.id() == id));
      return Objects.equals(after, test.after())
          ? test
          : test.withStep(after, test.changed(), test.valveIsTheChange());
    }
  }
}
