package finebore.instruments;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import finebore.instruments.SimulatedVacuum.Fault;
import finebore.instruments.SimulatedVacuum.PortLeak;
import finebore.instruments.VacuumRun.State;
import finebore.seal.SealLimits;
import finebore.seal.SealVerdict;
import finebore.seal.VacuumReading;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Vacuum tests on the simulated tester, to their end and through its faults. */
class VacuumRunTest {

  private static final SealLimits LIMITS = new SealLimits(67_700, 5, 0.05);

  private static VacuumRun run(SimulatedVacuum tester) {
    VacuumRun run = VacuumRun.begin(new SimulatedLink(tester));
    for (int k = 0; k < 2000 && run.state() != State.DONE && run.state() != State.LOST; k++) {
      run.look();
    }
    return run;
  }

  private static VacuumReading reading(PortLeak leak, boolean oiled) {
    SimulatedVacuum tester = new SimulatedVacuum(5, 101_325);
    tester.on(leak, oiled);
    return run(tester).reading().orElseThrow();
  }

  /** 88 kPa of pump against a leak of 0.1 holds 88 / 1.1 = 80 kPa. */
  @Test
  void holdsWhatThePumpCanAgainstTheLeak() {
    VacuumReading reading = reading(new PortLeak(0.1, 0), false);
    assertThat(reading.heldPa()).isCloseTo(80_000, offset(500.0));
    assertThat(reading.ambientPa()).isEqualTo(101_325);
    // A leak of 0.1 lets it fall with a time constant of 16 s: half after 16 ln 2 = 11.1 s.
    assertThat(reading.fallSeconds().getAsDouble()).isCloseTo(11.1, offset(0.4));
  }

  @ParameterizedTest
  @CsvSource({"0.02, 0.05, SEALS", "0.02, 0.60, GUIDE", "0.60, 0.05, SEAT", "0.60, 0.60, BOTH"})
  void theVerdictFindsTheLeak(double seat, double guide, SealVerdict verdict) {
    PortLeak leak = new PortLeak(seat, guide);
    assertThat(
            SealVerdict.of(
                Optional.of(reading(leak, false)),
                Optional.of(reading(leak, true)),
                LIMITS,
                List.of()))
        .isEqualTo(verdict);
  }

  @Test
  void aGoodSeatIsNotWaitedForForEver() {
    assertThat(reading(new PortLeak(0, 0), true).fallSeconds())
        .hasValue(VacuumRun.LONGEST_FALL_SECONDS);
  }

  @Test
  void aHoseThatIsOffHoldsNothing() {
    SimulatedVacuum tester = new SimulatedVacuum(5, 101_325);
    tester.on(new PortLeak(0.02, 0.05), false);
    VacuumRun run = VacuumRun.begin(new SimulatedLink(tester));
    tester.fail(Fault.HOSE_OFF);
    while (run.state() != State.DONE) {
      run.look();
    }
    assertThat(run.reading().orElseThrow().heldPa()).isLessThan(3_000);
  }

  @Test
  void whoFallsSilentIsLostAndNothingIsKept() {
    SimulatedVacuum tester = new SimulatedVacuum(5, 101_325);
    VacuumRun run = VacuumRun.begin(new SimulatedLink(tester));
    run.look();
    tester.fail(Fault.SILENT);
    assertThat(run.look()).isEqualTo(State.LOST);
    assertThat(run.reading()).isEmpty();
    assertThat(run.trouble().orElseThrow().code()).isEqualTo("vacuum.silent");
    // Greeted again, it answers.
    assertThat(run(tester).state()).isEqualTo(State.DONE);
  }

  @Test
  void garbageIsAskedAgain() {
    SimulatedVacuum tester = new SimulatedVacuum(5, 101_325);
    tester.on(new PortLeak(0.1, 0), false);
    VacuumRun run = VacuumRun.begin(new SimulatedLink(tester));
    tester.fail(Fault.GARBAGE);
    while (run.state() != State.DONE && run.state() != State.LOST) {
      run.look();
    }
    assertThat(run.reading().orElseThrow().heldPa()).isCloseTo(80_000, offset(800.0));
  }

  /** Under a thinner air the same leak holds less, and is judged the same. */
  @Test
  void theRoomIsToldAndAllowedFor() {
    SimulatedVacuum tester = new SimulatedVacuum(5, 84_000);
    tester.on(new PortLeak(0.1, 0), false);
    VacuumReading reading = run(tester).reading().orElseThrow();
    assertThat(reading.heldPa()).isCloseTo(66_300, offset(600.0));
    assertThat(LIMITS.allows(reading)).isTrue();
  }
}
