package finebore.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.flow.Bands;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.units.Units;
import finebore.valve.Pairing;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class JobTest {

  @Test
  void seatsAreNamedCylinderByCylinder() {
    Engine four = Samples.job().engine().withCylinders(4);
    assertThat(four.seats())
        .extracting(Engine.SeatPlace::label)
        .containsExactly("I1", "E1", "I2", "E2", "I3", "E3", "I4", "E4");
    assertThat(four.withCylinders(1).withIntakesPerCylinder(2).withExhaustsPerCylinder(2).seats())
        .extracting(Engine.SeatPlace::label)
        .containsExactly("I1a", "I1b", "E1a", "E1b");
  }

  @Test
  void editsMakeNewJobs() {
    Job job = Samples.job();
    Job edited =
        job.withGroup(
            Port.EXHAUST,
            job.exhaust().withPlanned(Samples.pairing().withSeat(Samples.oneSharpAngle())));
    assertThat(job.exhaust().planned()).isEqualTo(Samples.pairing());
    assertThat(edited.exhaust().planned().seat()).isEqualTo(Samples.oneSharpAngle());
    assertThat(edited.exhaust().found()).isEqualTo(job.exhaust().found());
    assertThat(edited.intake()).isEqualTo(job.intake());
    assertThat(edited.withUnits(Units.INCH).withPractice("race").units()).isEqualTo(Units.INCH);
  }

  @ParameterizedTest
  @EnumSource(PairingPart.class)
  void eachPartIsTakenOverByItself(PairingPart part) {
    Pairing found = Samples.pairing();
    Pairing wanted =
        new Pairing(
            Seat.of(List.of(new Cut(45, 1.3), new Cut(70, 2)), 0, 41.5, 9.5, 36.5, 8, 38, 21, 3),
            new Valve(43, 1.1, 44, 1.9, List.of(new Cut(25, 1.2)), new Underhead(18, 9), 6.5, 0.2));
    Pairing taken = part.take(wanted, found);
    for (PairingPart any : PairingPart.values()) {
      assertThat(any.isSame(wanted, found)).isFalse();
      assertThat(any.isSame(taken, found)).as("%s from found", any).isEqualTo(any == part);
      assertThat(any.isSame(taken, wanted)).as("%s as wanted", any).isEqualTo(any != part);
    }
  }

  @Test
  void usualLiftsReachPastTheCam() {
    assertThat(TestPlan.usual(Units.MM, 10.6).liftsMm())
        .startsWith(1.0, 2.0)
        .endsWith(10.0, 11.0)
        .hasSize(11);
    List<Double> inch = TestPlan.usual(Units.INCH, 0.45 * 25.4).liftsMm();
    assertThat(inch.get(0)).isCloseTo(0.05 * 25.4, within(1e-9));
    assertThat(inch.get(1)).isCloseTo(0.1 * 25.4, within(1e-9));
    assertThat(inch.getLast()).isCloseTo(0.5 * 25.4, within(1e-9));
  }

  @Test
  void namesWhatCannotBe() {
    Job job = Samples.job();
    assertThatThrownBy(() -> job.withName(" ")).hasMessageContaining("jobName");
    assertThatThrownBy(() -> job.engine().withCylinders(0))
        .hasMessageContaining("quantity.cylinders");
    assertThatThrownBy(() -> job.engine().withRpm(5)).hasMessageContaining("quantity.engineSpeed");
    assertThatThrownBy(() -> new TestPlan(List.of(), 7000, Bands.USUAL))
        .hasMessageContaining("liftsOfPlan");
    assertThatThrownBy(() -> new TestPlan(List.of(2.0, 1.0), 7000, Bands.USUAL))
        .hasMessageContaining("liftsRise");
    assertThatThrownBy(() -> new TestPlan(List.of(1.0), 1, Bands.USUAL))
        .hasMessageContaining("quantity.depression");
    assertThatThrownBy(() -> job.intake().withRetainerToSealMm(java.util.OptionalDouble.of(-1)))
        .hasMessageContaining("quantity.retainerToSeal");
  }
}
