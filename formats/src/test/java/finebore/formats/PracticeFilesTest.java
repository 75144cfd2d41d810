package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.finding.Basis;
import finebore.job.Port;
import finebore.practice.Practice;
import finebore.study.ReadingKind;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PracticeFilesTest {

  @Test
  void fourPracticesShipWithAllThatFindingsAreMadeOf() {
    assertThat(PracticeFiles.all())
        .extracting(Practice::id)
        .containsExactly("road", "fast-road", "race", "boosted");
    for (Practice practice : PracticeFiles.all()) {
      for (Port port : Port.values()) {
        assertThat(
                java.util.List.of(
                    ReadingKind.THROAT_RATIO,
                    ReadingKind.SEAT_WIDTH,
                    ReadingKind.CONTACT_CENTRE,
                    ReadingKind.FACE_WIDTH,
                    ReadingKind.MARGIN,
                    ReadingKind.LAST_CUT,
                    ReadingKind.ANGLE_STEP))
            .allSatisfy(
                kind ->
                    assertThat(practice.wanted(port, kind))
                        .as(practice.id() + " " + kind)
                        .isPresent());
      }
      assertThat(practice.intake().values()).allSatisfy(r -> assertThat(r.basis()).isNotNull());
    }
  }

  @Test
  void exhaustSeatsAreWiderThanIntakes() {
    for (Practice practice : PracticeFiles.all()) {
      assertThat(practice.wanted(Port.EXHAUST, ReadingKind.SEAT_WIDTH).orElseThrow().middle())
          .isGreaterThan(
              practice.wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH).orElseThrow().middle());
    }
  }

  @Test
  void anUnknownPracticeFallsBackToTheMildest() {
    Practice gone = PracticeFiles.named("gone", PracticeFiles.all());
    assertThat(gone.id()).isEqualTo("gone");
    assertThat(gone.installed()).isFalse();
    assertThat(gone.intake()).isEmpty();
    assertThat(PracticeFiles.named("race", PracticeFiles.all()).installed()).isTrue();
  }

  @Test
  void aUsersOwnIsReadAndItsMistakesNamed() throws FileProblem {
    String own =
        """
        {"id": "own", "name": "Our shop", "about": "x",
         "intake": {"seatWidth": {"min": 1.0, "max": 1.2, "basis": "our book"}}, "exhaust": {}}
        """;
    assertThat(
            PracticeFiles.parse(own, "own.json")
                .wanted(Port.INTAKE, ReadingKind.SEAT_WIDTH)
                .orElseThrow()
                .basis())
        .isEqualTo(Basis.source("our book"));
    assertThatThrownBy(() -> PracticeFiles.parse(own.replace("seatWidth", "seatWidht"), "own.json"))
        .hasMessageContaining("place.notAReading");
    assertThatThrownBy(() -> PracticeFiles.parse(own.replace("1.2", "0.2"), "own.json"))
        .hasMessageContaining("rule.rangeRises");
    assertThatThrownBy(() -> PracticeFiles.parse("{", "own.json"))
        .hasMessageContaining("file.damaged");
  }

  @Test
  void whatIsWrittenIsReadAgain(@TempDir Path folder) throws Exception {
    for (Practice practice : PracticeFiles.all()) {
      assertThat(PracticeFiles.parse(PracticeFiles.text(practice), "p")).isEqualTo(practice);
    }
    Practice road = PracticeFiles.all().getFirst();
    Practice own = new Practice("own", "Our shop", "x", road.intake(), java.util.Map.of());
    Files.writeString(folder.resolve("own.practice.json"), PracticeFiles.text(own));
    Files.writeString(folder.resolve("bad.practice.json"), "{");
    Files.writeString(folder.resolve("notes.txt"), "no practice");
    List<FileProblem> problems = new java.util.ArrayList<>();
    assertThat(PracticeFiles.with(folder, problems::add))
        .hasSize(PracticeFiles.all().size() + 1)
        .contains(own);
    assertThat(problems).hasSize(1);
    assertThat(PracticeFiles.with(folder.resolve("none"), problems::add))
        .isEqualTo(PracticeFiles.all());
  }
}
