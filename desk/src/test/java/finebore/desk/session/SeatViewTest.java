package finebore.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.bench.FlowTest;
import finebore.flow.Bands.Band;
import finebore.formats.JobDocument;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.job.Port;
import finebore.practice.Cure;
import finebore.words.Language;
import finebore.words.Words;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class SeatViewTest {

  private static final Job DEMO = JobFile.demo();

  private static SeatView work(Job job, Port port, boolean found, Optional<SeatView> before) {
    SeatPlace place =
        job.engine().seats().stream().filter(s -> s.port() == port).findFirst().orElseThrow();
    return SeatView.of(
        job,
        Words.of(Language.ENGLISH, job.units()),
        PracticeFiles.named(job.practice(), PracticeFiles.all()),
        new SeatView.View(place, found, OptionalInt.empty()),
        before);
  }

  @Test
  void everythingOfAGroupIsWorkedOut() {
    SeatView work = work(DEMO, Port.INTAKE, false, Optional.empty());
    assertThat(work.shown()).isSameAs(work.planned());
    assertThat(work.change().orElseThrow().bands().get(Band.LOW).changeM3s()).isPositive();
    assertThat(work.difference().removedMm3()).isPositive();
    assertThat(work.findings()).isNotEmpty();
    assertThat(work(DEMO, Port.INTAKE, true, Optional.empty()).pairing())
        .isEqualTo(DEMO.intake().found());
  }

  @Test
  void theFoundStudyIsTakenOverOnlyWhereItStillHolds() {
    SeatView before = work(DEMO, Port.INTAKE, false, Optional.empty());
    var planned = DEMO.intake().planned();
    Job replanned =
        DEMO.withGroup(
            Port.INTAKE,
            DEMO.intake().withPlanned(planned.withSeat(planned.seat().withThroatDiameter(35))));
    assertThat(work(replanned, Port.INTAKE, false, Optional.of(before)).found())
        .isSameAs(before.found());
    var found = DEMO.intake().found();
    Job refound =
        DEMO.withGroup(
            Port.INTAKE, DEMO.intake().withFound(found.withValve(found.valve().withMarginMm(2))));
    assertThat(work(refound, Port.INTAKE, false, Optional.of(before)).found())
        .isNotEqualTo(before.found());
    assertThat(work(DEMO, Port.EXHAUST, false, Optional.of(before)).found().pairing().valve())
        .isEqualTo(DEMO.foundValve(DEMO.engine().seats().get(1)));
    Job otherTest = DEMO.withTest(DEMO.test().withDepressionPa(2500));
    assertThat(work(otherTest, Port.INTAKE, false, Optional.of(before)).found())
        .isNotEqualTo(before.found());
  }

  @Test
  void aReadingOfTheBenchChangesNoMetal() {
    SeatView before = work(DEMO, Port.INTAKE, false, Optional.empty());
    FlowTest last = DEMO.bench().tests().getLast();
    Job read = DEMO.withBench(DEMO.bench().with(last.withRemarks("loud")));
    SeatView after = work(read, Port.INTAKE, false, Optional.of(before));
    assertThat(after.found()).isSameAs(before.found());
    assertThat(after.followers().group().seats().getFirst().cut().cutting())
        .isSameAs(before.followers().group().seats().getFirst().cut().cutting());
    assertThat(after.followers().group().seats().getFirst().cut().job()).isEqualTo(read);
    FlowTest first = DEMO.bench().tests().getFirst();
    Job less = DEMO.withBench(DEMO.bench().with(first.withLifts(first.lifts().subList(0, 6))));
    SeatView otherwise = work(less, Port.INTAKE, false, Optional.of(before));
    SeatView afresh = work(less, Port.INTAKE, false, Optional.empty());
    assertThat(otherwise.confidence().calibration())
        .isNotEqualTo(before.confidence().calibration());
    assertThat(otherwise.planned().curve()).isEqualTo(afresh.planned().curve());
    assertThat(otherwise.found().curve()).isEqualTo(afresh.found().curve());
  }

  @Test
  void aCureIsShownButNotMade() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    session.tryCure(new Cure.OtherThroat(36));
    assertThat(session.work().get().pairing().seat().throatDiameterMm()).isEqualTo(36);
    assertThat(session.job()).isEqualTo(DEMO);
    session.undo();
    assertThat(session.tried().get()).isEmpty();
    session.tryCure(new Cure.OtherThroat(36));
    session.keepTried();
    assertThat(session.job().intake().planned().seat().throatDiameterMm()).isEqualTo(36);
    session.undo();
    assertThat(session.job()).isEqualTo(DEMO);
  }

  @Test
  void stepsGoRoundTheHead() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    session.step(-1);
    assertThat(session.seat().get().label()).isEqualTo("E4");
    session.step(1);
    assertThat(session.seat().get().label()).isEqualTo("I1");
    session.step(3);
    session.edit("", job -> job.withEngine(job.engine().withCylinders(1)));
    assertThat(session.seat().get().label()).isEqualTo("I1");
    session.undo();
    assertThat(session.job().engine().cylinders()).isEqualTo(4);
  }

  @Test
  void aSeatThatIsGoneAfterUndoIsLeft() {
    JobSession session = new JobSession(JobDocument.fresh(DEMO), Optional.empty());
    session.edit("", job -> job.withEngine(job.engine().withCylinders(6)));
    session.step(-1);
    assertThat(session.seat().get().label()).isEqualTo("E6");
    session.undo();
    assertThat(session.job().engine().seats()).contains(session.seat().get());
  }
}
