package finebore.study;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.Seating;
import finebore.flow.LiftPoint;
import finebore.job.Job;
import finebore.job.Port;
import finebore.planning.AirDemand;
import finebore.seat.Bowl;
import finebore.seat.Seat;
import finebore.units.Unit;
import finebore.valve.Pairing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatStudyTest {

  private static SeatStudy study(Pairing pairing) {
    return Samples.study(pairing);
  }

  /** Figures the trade carries in its head; common practice, no source. */
  @ParameterizedTest
  @CsvSource({
    "33, 29.37, 0.89",
    "33, 30.03, 0.91",
    "51.308, 46.228, 0.901", // 2.02 in over 1.820 in
    "40.64, 32.258, 0.794", // 1.60 in over 1.27 in
  })
  void throatRatiosAreTheTradesOwn(double valve, double throat, double ratio) {
    Seat seat =
        Samples.fourAngles(0.5).withOutsideDiameterMm(valve - 0.7).withThroatDiameter(throat);
    SeatStudy study = study(new Pairing(seat, Samples.backCutValve().withHeadDiameterMm(valve)));
    assertThat(study.reading(ReadingKind.THROAT_RATIO).getAsDouble())
        .isCloseTo(ratio, within(0.0005));
  }

  @Test
  void readsWhatCanBeRead() {
    SeatStudy study = study(Samples.pairing());
    assertThat(study.reading(ReadingKind.SEAT_WIDTH).getAsDouble()).isCloseTo(1.2, within(1e-9));
    assertThat(study.reading(ReadingKind.OVERHANG).getAsDouble()).isCloseTo(0.375, within(1e-9));
    assertThat(study.reading(ReadingKind.LAST_CUT).getAsDouble()).isEqualTo(75);
    assertThat(study.reading(ReadingKind.ANGLE_STEP).getAsDouble()).isEqualTo(15);
    assertThat(study.reading(ReadingKind.BACK_CUT).getAsDouble()).isEqualTo(30);
    assertThat(study.reading(ReadingKind.INTERFERENCE).getAsDouble()).isZero();
    // Bare throat: curtain = throat at D/4 of the throat's own diameter; here 0.89 D, less the
    // stem, on pi D.
    double throat = Math.PI / 4 * (37.38 * 37.38 - 49);
    assertThat(study.reading(ReadingKind.CURTAIN_LIFT).getAsDouble())
        .isCloseTo(throat / (Math.PI * 42), within(1e-9));
    assertThat(study.reading(ReadingKind.NEIGHBOUR).getAsDouble()).isCloseTo(44 - 42, within(1e-9));
    assertThat(study.reading(ReadingKind.BORE_WALL).getAsDouble())
        .isCloseTo(43 - 21 - 20, within(1e-9));
  }

  @Test
  void aDeeperSeatSinksTheValveAndLiftsTheRetainer() {
    Job job = Samples.job();
    Pairing deeper = Samples.pairing().withSeat(Samples.fourAngles(0.89).withDepthMm(10.3));
    SeatStudy study =
        Samples.planned(job.withGroup(Port.INTAKE, job.intake().withPlanned(deeper))).finished();
    assertThat(study.reading(ReadingKind.SINK).getAsDouble()).isCloseTo(0.3, within(1e-9));
    assertThat(study.reading(ReadingKind.RETAINER).getAsDouble()).isCloseTo(1.8, within(1e-9));
    assertThat(study.reading(ReadingKind.VALVE_HEIGHT).getAsDouble())
        .isCloseTo(-9.925, within(1e-9));
  }

  @Test
  void aValveThatFallsThroughHasNoFlow() {
    SeatStudy study =
        study(Samples.pairing().withValve(Samples.backCutValve().withHeadDiameterMm(36)));
    assertThat(study.seating()).isInstanceOf(Seating.FallsThrough.class);
    assertThat(study.curve()).isEmpty();
    assertThat(study.reading(ReadingKind.CONTACT_WIDTH)).isEmpty();
  }

  @Test
  void theLeverAgreesWithTheCurve() {
    SeatStudy study = study(Samples.pairing());
    LiftPoint point = study.curve().orElseThrow().points().get(3);
    assertThat(study.lossesAt(point.liftMm()).area()).isEqualTo(point.area());
  }

  @Test
  void inchesAndMillimetresAgree() {
    double throat = 1.4716535 * 25.4;
    double head = 1.6535433 * 25.4;
    SeatStudy inch =
        study(
            new Pairing(
                Samples.fourAngles(0.89).withThroatDiameter(throat).withBowl(new Bowl(throat, 20)),
                Samples.backCutValve().withHeadDiameterMm(head)));
    SeatStudy metric = study(Samples.pairing());
    for (Reading reading : metric.readings()) {
      assertThat(inch.reading(reading.kind()).getAsDouble())
          .as(reading.kind().code())
          .isCloseTo(reading.value(), within(2e-6));
    }
    for (int k = 0; k < 6; k++) {
      assertThat(inch.curve().orElseThrow().points().get(k).flowM3s())
          .isCloseTo(metric.curve().orElseThrow().points().get(k).flowM3s(), within(1e-7));
    }
  }

  @Test
  void powerAndFlowGoBothWays() {
    // 0.257 hp per cfm and cylinder: 150 hp of four cylinders need 145.9 cfm each.
    double flow = AirDemand.flowForPower(150, 4);
    assertThat(Unit.CFM.fromBase(flow)).isCloseTo(145.9, within(0.05));
    assertThat(AirDemand.powerForFlow(flow, 4)).isCloseTo(150, within(1e-9));
    assertThat(AirDemand.at28(0.03, 28 * 249.08891 / 4)).isCloseTo(0.06, within(1e-9));
  }

  @Test
  void theMachIndexRisesWithSpeedAndFallsWithTheValve() {
    Job job = Samples.job();
    var cam = job.intake().cam();
    var curve = study(Samples.pairing()).curve().orElseThrow();
    double z = AirDemand.machIndex(job.engine(), cam, 42, curve);
    assertThat(AirDemand.machIndex(job.engine().withRpm(13_000), cam, 42, curve))
        .isCloseTo(2 * z, within(1e-9));
    assertThat(AirDemand.machIndex(job.engine().withIntakesPerCylinder(2), cam, 42, curve))
        .isCloseTo(z / 2, within(1e-9));
    assertThat(z).isBetween(0.2, 1.0);
  }
}
