package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.cutting.CutForm;
import finebore.cutting.Plunge;
import finebore.finding.FindingCode;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.formats.RackFile;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.suggest.Goal;
import finebore.suggest.Search;
import finebore.words.Language;
import finebore.words.Words;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ShopRackTest {

  private static final Job DEMO = JobFile.demo();

  @TempDir private Path home;

  @Test
  void theRackBeginsAsACopyAndIsThenTheShopsOwn() throws Exception {
    ShopRack first = ShopRack.in(new DeskFolder(home));
    assertThat(first.cutters()).isEqualTo(RackFile.shipped());
    assertThat(first.problem()).isEmpty();
    String own = Files.readString(first.file()).replace("A1 30/45/60\"", "Bench 1\"");
    Files.writeString(first.file(), own);
    assertThat(ShopRack.in(new DeskFolder(home)).cutters().getFirst().name()).isEqualTo("Bench 1");
  }

  @Test
  void aDamagedRackIsSaidAndTheShippedOneStandsIn() throws Exception {
    Path file = home.resolve("rack.json");
    Files.writeString(file, "{\"format\":\"finebore-rack\",\"version\":1,\"cutters\":[]}");
    ShopRack rack = ShopRack.in(new DeskFolder(home));
    assertThat(rack.problem().orElseThrow().problem().code()).isEqualTo("file.noCutters");
    assertThat(rack.cutters()).hasSize(20);
    // The shop's file stays to be mended.
    assertThat(Files.readString(file)).contains("\"cutters\":[]");
  }

  @Test
  void scrubbingGoesBackAndOnAndStopsAtItsEnds() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    assertThat(session.lookedAfter()).isEmpty();
    session.scrub(1);
    assertThat(session.lookedAfter()).isEmpty();
    session.scrub(-1);
    assertThat(session.lookedAfter()).hasValue(4);
    for (int k = 0; k < 9; k++) {
      session.scrub(-1);
    }
    assertThat(session.lookedAfter()).hasValue(0);
    session.showFound(true);
    session.scrub(1);
    assertThat(session.isShowingFound()).isFalse();
    assertThat(session.lookedAfter()).hasValue(1);
    session.step(1);
    assertThat(session.lookedAfter()).isEmpty();
  }

  @Test
  void aPlanIsBlockedByAnySeatThatFollowsIt() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    // The planned depth cleans E3 and E4 up, and stops short of it at the two others.
    session.select(DEMO.engine().seats().get(1));
    assertThat(session.group().blockers())
        .filteredOn(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP)
        .extracting(finebore.practice.Finding::seat)
        .containsExactly("E1", "E2");
    session.editPlan(
        "",
        p ->
            p.withOperationAt(
                1, new CutForm("", OptionalDouble.empty(), new Plunge.UntilClean(0.05, false))));
    assertThat(session.group().blockers())
        .noneMatch(f -> f.code() == FindingCode.DOES_NOT_CLEAN_UP);
  }

  @Test
  void anExceptionIsBlockedByItselfAlone() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    var seat = DEMO.engine().seats().getFirst();
    Plan hung =
        DEMO.planOf(seat)
            .withOperations(
                List.of(new CutForm("", OptionalDouble.empty(), new Plunge.AsPlanned())));
    session.edit("", job -> job.withException(seat, hung));
    assertThat(session.group().blockers())
        .anyMatch(f -> f.code() == FindingCode.HANGS_UP && f.seat().equals("I1"));
    session.select(DEMO.engine().seats().get(2));
    assertThat(session.group().blockers()).noneMatch(f -> f.code() == FindingCode.HANGS_UP);
  }

  @Test
  void whatIsLookedAtFollowsTheView() {
    var place = DEMO.engine().seats().getFirst();
    SeatView found =
        SeatView.of(
            DEMO,
            Words.of(Language.ENGLISH, DEMO.units()),
            PracticeFiles.named(DEMO.practice(), PracticeFiles.all()),
            new SeatView.View(place, true, OptionalInt.empty()),
            Optional.empty());
    assertThat(found.shown()).isSameAs(found.found());
    assertThat(found.isScrubbed()).isFalse();
    SeatView first =
        SeatView.of(
            DEMO,
            Words.of(Language.ENGLISH, DEMO.units()),
            PracticeFiles.named(DEMO.practice(), PracticeFiles.all()),
            new SeatView.View(place, false, OptionalInt.of(1)),
            Optional.of(found));
    assertThat(first.isScrubbed()).isTrue();
    assertThat(first.found()).isSameAs(found.found());
    assertThat(first.difference().removedMm3())
        .isCloseTo(
            first.plan().cutting().steps().getFirst().removedMm3(),
            org.assertj.core.api.Assertions.within(1e-6));
    SeatView all =
        SeatView.of(
            DEMO,
            Words.of(Language.ENGLISH, DEMO.units()),
            PracticeFiles.named(DEMO.practice(), PracticeFiles.all()),
            new SeatView.View(place, false, OptionalInt.of(99)),
            Optional.empty());
    assertThat(all.isScrubbed()).isFalse();
    assertThat(all.wantedCut(1)).hasValue(1);
    assertThat(all.shownOf(3)).isPresent();
    assertThat(first.shownOf(3)).isEmpty();
  }

  @Test
  void aCancelledSearchStaysSilent() throws Exception {
    var place = DEMO.engine().seats().getFirst();
    Search search =
        Search.of(
            DEMO,
            place,
            RackFile.shipped(),
            PracticeFiles.named(DEMO.practice(), PracticeFiles.all()),
            Goal.LIFE);
    AtomicBoolean told = new AtomicBoolean();
    SuggestRun run =
        new SuggestRun(
            search,
            share -> told.set(true),
            () -> told.set(true),
            (slice, found) -> told.set(true));
    run.cancel();
    run.start();
    run.await();
    assertThat(run.looked()).isZero();
    assertThat(told).isFalse();
  }
}
