package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.within;

import finebore.code.RuleViolation;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.room.FacePhotograph;
import finebore.room.Squared;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class HeadTest {

  private static ChamberOutline outline(int cylinder, double side) {
    return new ChamberOutline(
        cylinder,
        List.of(
            new Corner(-side, -side),
            new Corner(side, -side),
            new Corner(side, side),
            new Corner(-side, side)));
  }

  private static FacePhotograph photograph(int cylinder, String file) {
    return new FacePhotograph(
        cylinder,
        file,
        List.of(
            new Squared.Pixel(0.5, 0),
            new Squared.Pixel(1, 0.5),
            new Squared.Pixel(0.5, 1),
            new Squared.Pixel(0, 0.5)),
        Squared.quarters(86));
  }

  @Test
  void tellsWhatWasSkimmedAndWhatIsLeft() {
    Head head =
        Head.UNKNOWN
            .withNewThicknessMm(OptionalDouble.of(120.5))
            .withThicknessMm(OptionalDouble.of(120.1));
    assertThat(head.skimmedMm().orElseThrow()).isCloseTo(0.4, within(1e-12));
    assertThat(head.skimLeftMm()).isEmpty();
    assertThat(head.withLeastThicknessMm(OptionalDouble.of(119.8)).skimLeftMm().orElseThrow())
        .isCloseTo(0.3, within(1e-12));
    assertThat(Head.UNKNOWN.skimmedMm()).isEmpty();
  }

  @Test
  void aCylinderHasOneOutlineAndOnePhotograph() {
    Head head =
        Head.UNKNOWN
            .withChamber(3, Optional.of(outline(3, 20)))
            .withChamber(1, Optional.of(outline(1, 22)))
            .withPhotograph(2, Optional.of(photograph(2, "b.png")))
            .withPhotograph(1, Optional.of(photograph(1, "a.png")));
    assertThat(head.chambers()).extracting(ChamberOutline::cylinder).containsExactly(1, 3);
    assertThat(head.photographs())
        .extracting(FacePhotograph::file)
        .containsExactly("a.png", "b.png");
    Head again =
        head.withChamber(3, Optional.of(outline(3, 25)))
            .withPhotograph(2, Optional.of(photograph(2, "c.png")));
    assertThat(again.chamber(3).orElseThrow().areaMm2()).isCloseTo(2500, within(1e-9));
    assertThat(again.chamber(1)).isEqualTo(head.chamber(1));
    assertThat(again.photograph(2).orElseThrow().file()).isEqualTo("c.png");
    assertThat(again.withChamber(3, Optional.empty()).chamber(3)).isEmpty();
    assertThat(again.withPhotograph(2, Optional.empty()).photographs()).hasSize(1);
    assertThat(head.chamber(2)).isEmpty();
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(() -> head.withChambers(List.of(outline(2, 9), outline(2, 8))))
        .satisfies(e -> assertThat(e.violated().code()).isEqualTo("rule.outlineTwice"));
    assertThatExceptionOfType(RuleViolation.class)
        .isThrownBy(
            () -> head.withPhotographs(List.of(photograph(2, "a.png"), photograph(2, "b.png"))))
        .satisfies(e -> assertThat(e.violated().code()).isEqualTo("rule.photographTwice"));
  }

  @Test
  void aSeatWithoutReadingsIsNotInIt() {
    Head head = Head.UNKNOWN.withReading("I2", Measure.SEAT_WIDTH, OptionalDouble.of(1.4));
    assertThat(head.readings()).containsOnlyKeys("I2");
    assertThat(head.readingsOf("I2").value(Measure.SEAT_WIDTH)).hasValue(1.4);
    assertThat(head.readingsOf("E2")).isEqualTo(SeatReadings.NONE);
    assertThat(head.withReading("I2", Measure.SEAT_WIDTH, OptionalDouble.empty()).readings())
        .isEmpty();
    assertThat(head.withReadings("I2", SeatReadings.NONE.withRingMaterial("bronze")).readings())
        .containsOnlyKeys("I2");
  }
}
