package finebore.desk.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.desk.session.SeatView;
import finebore.formats.JobFile;
import finebore.formats.PracticeFiles;
import finebore.job.Job;
import finebore.job.Port;
import finebore.seat.Cut;
import finebore.valve.Pairing;
import finebore.words.Language;
import finebore.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

class GripTest {

  private static final double STEP = 0.01;
  private static final Job DEMO = JobFile.demo();
  private static final Pairing PLANNED = DEMO.intake().planned();

  private static List<Grip> grips(Job job, double lift) {
    return Grip.of(
        SeatView.of(
            job,
            Words.of(Language.ENGLISH, job.units()),
            PracticeFiles.named(job.practice(), PracticeFiles.all()),
            new SeatView.View(job.engine().seats().getFirst(), false, OptionalInt.empty()),
            Optional.empty()),
        lift);
  }

  private static Grip grip(String id) {
    return grips(DEMO, 3).stream().filter(g -> g.id().equals(id)).findFirst().orElseThrow();
  }

  private static Pairing dragged(String id, double dr, double dz) {
    return grip(id).drag().moved(PLANNED, dr, dz, false, STEP);
  }

  @Test
  void everyCutThatShowsHasOne() {
    assertThat(grips(DEMO, 3))
        .extracting(Grip::id)
        .containsExactly(
            "seat-outside",
            "cut-0",
            "cut-1",
            "cut-2",
            "cut-3",
            "throat",
            "valve-head",
            "valve-face");
    Job large =
        DEMO.withPlanned(Port.INTAKE, PLANNED.withSeat(PLANNED.seat().withThroatDiameter(38)));
    assertThat(grips(large, 3)).extracting(Grip::id).doesNotContain("cut-3");
  }

  @Test
  void theValvesRiseWithTheLever() {
    double low = grip("valve-head").at().z();
    double high =
        grips(DEMO, 8).stream()
            .filter(g -> g.id().equals("valve-head"))
            .findFirst()
            .orElseThrow()
            .at()
            .z();
    assertThat(high - low).isCloseTo(5, within(1e-9));
  }

  @Test
  void aDragAlongACutWidensItAndAcrossDoesNothing() {
    double a = Math.sqrt(0.5);
    assertThat(dragged("cut-1", -0.3 * a, -0.3 * a).seat().cuts().get(1).widthMm())
        .isCloseTo(1.55, within(1e-9));
    assertThat(dragged("cut-1", 0.3 * a, -0.3 * a).seat().cuts().get(1).widthMm())
        .isCloseTo(1.25, within(1e-9));
    // The top cut grows outward and up.
    double c = Math.cos(Math.PI / 6);
    assertThat(dragged("cut-0", 0.2 * c, 0.1).seat().cuts().getFirst().widthMm())
        .isCloseTo(1.2, within(1e-9));
    assertThat(dragged("cut-1", 5, 5).seat().cuts().get(1).widthMm()).isZero();
  }

  @Test
  void diametersFollowTheRadiusTwice() {
    assertThat(dragged("throat", 0.1, 3).seat().throatDiameterMm()).isCloseTo(35.85, within(1e-9));
    assertThat(dragged("seat-outside", -0.1, 3).seat().outsideDiameterMm())
        .isCloseTo(39.65, within(1e-9));
    assertThat(dragged("valve-head", 0.25, 0).valve().headDiameterMm()).isCloseTo(41, within(1e-9));
    assertThat(dragged("valve-face", -0.1, -0.1).valve().faceWidthMm())
        .isCloseTo(2.24, within(1e-9));
  }

  @Test
  void theOtherQuantityIsAngleOrDepth() {
    Pairing deeper = grip("seat-outside").drag().moved(PLANNED, 1, -0.2, true, STEP);
    assertThat(deeper.seat().depthMm()).isCloseTo(8.5, within(1e-9));
    assertThat(deeper.seat().outsideDiameterMm()).isEqualTo(39.85);
    Pairing turned = grip("cut-2").drag().moved(PLANNED, -0.3, 0, true, STEP);
    Cut cut = turned.seat().cuts().get(2);
    // atan(1.4 sin 60 / (1.4 cos 60 + 0.3)) = 50.5 degrees.
    assertThat(cut.angleDeg()).isEqualTo(50.5);
    assertThat(cut.widthMm()).isEqualTo(1.4);
  }

  @Test
  void numbersComeOutTidy() {
    double width = dragged("cut-2", -0.1234567, -0.0456789).seat().cuts().get(2).widthMm();
    assertThat(width * 100).isCloseTo(Math.rint(width * 100), within(1e-9));
  }

  @Test
  void theArrowKeysChangeOneValueOfEachGrip() {
    Pairing withBackCut =
        PLANNED.withValve(PLANNED.valve().withBackCuts(List.of(new Cut(30, 0.7))));
    for (String id :
        List.of(
            "seat-outside",
            "cut-0",
            "cut-1",
            "cut-2",
            "cut-3",
            "throat",
            "valve-head",
            "valve-face",
            "back-cut-0")) {
      Pairing more = GripValue.of(id).changed(withBackCut, 0.01);
      assertThat(more).as(id).isNotEqualTo(withBackCut);
      Pairing back = GripValue.of(id).changed(more, -0.01);
      assertThat(back.seat().throatDiameterMm())
          .isCloseTo(withBackCut.seat().throatDiameterMm(), within(1e-9));
      assertThat(back.valve().faceWidthMm())
          .isCloseTo(withBackCut.valve().faceWidthMm(), within(1e-9));
    }
    assertThat(GripValue.of("").changed(PLANNED, 1)).isEqualTo(PLANNED);
  }

  @Test
  void aDragThatCannotBeIsRefused() {
    assertThatThrownBy(() -> dragged("throat", 9, 0)).hasMessageContaining("throatWithinSeat");
    assertThatThrownBy(() -> dragged("valve-face", -18, -18))
        .hasMessageContaining("quantity.faceWidth");
  }
}
