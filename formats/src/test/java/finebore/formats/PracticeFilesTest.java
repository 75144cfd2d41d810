package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import finebore.job.Port;
import finebore.practice.Practice;
import finebore.study.ReadingKind;
import org.junit.jupiter.api.Test;

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
      assertThat(practice.intake().values()).allSatisfy(r -> assertThat(r.basis()).isNotBlank());
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
    assertThat(PracticeFiles.orDefault("gone").id()).isEqualTo("road");
    assertThat(PracticeFiles.byId("gone")).isEmpty();
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
        .isEqualTo("our book");
    assertThatThrownBy(() -> PracticeFiles.parse(own.replace("seatWidth", "seatWidht"), "own.json"))
        .hasMessageContaining("\"seatWidht\" is not a reading");
    assertThatThrownBy(() -> PracticeFiles.parse(own.replace("1.2", "0.2"), "own.json"))
        .hasMessageContaining("at intake.seatWidth: range must not end before it begins");
    assertThatThrownBy(() -> PracticeFiles.parse("{", "own.json"))
        .hasMessageContaining("own.json is damaged");
  }
}
