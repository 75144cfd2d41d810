package finebore.machine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.data.Offset.offset;

import finebore.cutting.CutForm;
import finebore.cutting.OpenThroat;
import finebore.cutting.Plunge;
import finebore.job.Job;
import finebore.job.Plan;
import finebore.planning.GuideBore;
import finebore.planning.SeatOutcome;
import finebore.work.ReadBack;
import finebore.work.ShopFigure;
import finebore.work.ShopSettings;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Set-up figures against hand-worked ones. */
class SetUpTest {

  private static final Job JOB = MachineJob.job();

  private static SeatOutcome outcome(Job job, String label) {
    var place =
        job.engine().seats().stream()
            .filter(s -> s.label().equals(label))
            .findFirst()
            .orElseThrow();
    return SeatOutcome.of(job, place, job.planOf(place));
  }

  /**
   * A 7.043 guide takes a 7.040 pilot (steps of 0.005, at least 0.002 of clearance). 0.003 of play
   * over 40 mm leans by 0.000075; 30 mm on that is 0.00225, and half the play more.
   */
  @Test
  void aPilotRocksInItsGuide() {
    PilotFit pilot = PilotFit.largest(7.043, ShopSettings.USUAL);
    assertThat(pilot.pilotMm()).isCloseTo(7.040, offset(1e-9));
    assertThat(pilot.clearanceMm()).isCloseTo(0.003, offset(1e-9));
    assertThat(pilot.offsetMm()).isCloseTo(0.00375, offset(1e-9));
    assertThat(pilot.seatRunoutMm()).isCloseTo(0.0075, offset(1e-9));
    // At exactly the least clearance the pilot still goes in; a thousandth tighter it does not.
    assertThat(PilotFit.largest(7.042, ShopSettings.USUAL).pilotMm()).isCloseTo(7.04, offset(1e-9));
    assertThat(PilotFit.largest(7.0419, ShopSettings.USUAL).pilotMm())
        .isCloseTo(7.035, offset(1e-9));
  }

  @Test
  void theGuideIsWhatWasReadLast() {
    var i1 = JOB.engine().seats().getFirst();
    var e1 = JOB.engine().seats().get(1);
    assertThat(GuideBore.mm(JOB, i1).getAsDouble()).isCloseTo(7.04, offset(1e-9));
    assertThat(GuideBore.mm(JOB, e1)).isEmpty();
    Job read = MachineJob.read(JOB, "I1", "I1:guide", ReadBack.GUIDE_BORE, 7.012);
    assertThat(GuideBore.mm(read, i1)).hasValue(7.012);
  }

  /** Turning the head by the two tilts must bring the guide upright: rotations written out. */
  @Property(tries = 200)
  void tiltedGuidesStandUpright(
      @ForAll @DoubleRange(min = -40, max = 40) double along,
      @ForAll @DoubleRange(min = -40, max = 40) double across) {
    CantTilt tilt = CantTilt.of(along, across);
    double x = Math.tan(Math.toRadians(along));
    double y = Math.tan(Math.toRadians(across));
    double length = Math.sqrt(x * x + y * y + 1);
    double[] axis = {x / length, y / length, 1 / length};
    double a = Math.toRadians(tilt.acrossDeg());
    double y1 = axis[1] * Math.cos(a) - axis[2] * Math.sin(a);
    double z1 = axis[1] * Math.sin(a) + axis[2] * Math.cos(a);
    double b = Math.toRadians(tilt.alongDeg());
    double x2 = axis[0] * Math.cos(b) - z1 * Math.sin(b);
    double z2 = axis[0] * Math.sin(b) + z1 * Math.cos(b);
    assertThat(new double[] {x2, y1, z2}).containsExactly(new double[] {0, 0, 1}, offset(1e-12));
    assertThat(Math.cos(Math.toRadians(tilt.leanDeg()))).isCloseTo(axis[2], offset(1e-12));
  }

  @Test
  void aGuideThatLeansOneWayIsTiltedOnce() {
    assertThat(CantTilt.of(0, 12).acrossDeg()).isEqualTo(12);
    assertThat(CantTilt.of(0, 12).alongDeg()).isZero();
    assertThat(CantTilt.of(0, 0).leanDeg()).isZero();
  }

  /** A rigid form that goes 0.01 down takes its seat and the valve along, and grows nothing. */
  @Test
  void aFormTakesTheValveDownWithIt() {
    Plan plan =
        Plan.of(
            JOB.intake().planned(),
            List.of(
                OpenThroat.AS_WANTED,
                new CutForm("", OptionalDouble.empty(), new Plunge.ToDepth(10.2))));
    Job job = JOB.withIntake(JOB.intake().withPlan(plan));
    PlungeEffect effect = PlungeEffect.of(job, outcome(job, "I1"), 1, 0.01).orElseThrow();
    assertThat(effect.valveMm()).isCloseTo(0.01, offset(1e-6));
    assertThat(effect.diameterMm()).isCloseTo(0, offset(1e-6));
    assertThat(effect.widthMm()).isCloseTo(0, offset(1e-6));
    assertThat(PlungeEffect.of(job, outcome(job, "I1"), 0, 0.01)).isEmpty();
  }

  /**
   * A 42 mm valve with a 45 degree face: 1 mm along the face is 1.41421 mm of diameter. A ring of
   * 39.4 mm inside lies 1.83848 from the margin, and the shop leaves 0.1 more.
   */
  @Test
  void theBackCutGoesUpToTheLappedRing() {
    SeatOutcome seat = outcome(JOB, "I1");
    assertThat(SetUp.faceLeftOfRingMm(JOB, seat)).isEmpty();
    Job lapped = MachineJob.read(JOB, "I1", "", ReadBack.RING_INSIDE, 39.4);
    assertThat(SetUp.faceLeftOfRingMm(lapped, seat).getAsDouble()).isCloseTo(1.93848, offset(1e-5));
    assertThat(SetUp.diameterAtMm(seat, 1)).isCloseTo(42 - Math.sqrt(2), offset(1e-9));
    Job more = lapped.withShop(lapped.shop().with(ShopFigure.SLIVER, OptionalDouble.of(0.25)));
    assertThat(SetUp.faceLeftOfRingMm(more, seat).getAsDouble()).isCloseTo(2.08848, offset(1e-5));
  }
}
