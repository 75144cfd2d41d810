package finebore.flow;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.cutting.Seating;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Place;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Tolerance;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class GateTest {

  private static Profile metal(Seat seat) {
    return SeatSection.of(seat, Tolerance.FINE).profile();
  }

  private static Profile lifted(Seat seat, Valve valve, double lift) {
    ValveSection section = ValveSection.of(valve, Tolerance.FINE);
    Seating.Seated s =
        (Seating.Seated)
            Seating.of(SeatSection.of(seat, Tolerance.FINE), section, 0.005, Tolerance.FINE);
    return section.profile().raised(s.restMm() + lift);
  }

  /**
   * A plain seat and valve as Heywood draws them: one seat of width w on the radius, flush with
   * face and throat, under a flat head.
   */
  private static final class Plain {
    static final double W = 1.5;
    static final double DV = 40;
    static final double DP = DV - 2 * W;
    static final double DS = 8;
    static final double B = Math.toRadians(45);
    static final Seat SEAT =
        Seat.of(List.of(new Cut(45, W / Math.cos(B))), 0, DV, 5, DP, 40, DP, 40, 0);
    static final Valve VALVE =
        new Valve(DV, 1, 45, W / Math.cos(B), List.of(), new Underhead(0, 0), DS, 0);

    /** Heywood, Internal Combustion Engine Fundamentals, section 6.3.2 (from memory). */
    static double heywood(double lift) {
      double limit1 = W / (Math.sin(B) * Math.cos(B));
      double port = Math.PI / 4 * (DP * DP - DS * DS);
      if (lift < limit1) {
        return Math.PI * lift * Math.cos(B) * (DV - 2 * W + lift / 2 * Math.sin(2 * B));
      }
      double slant = Math.PI * (DV - W) * Math.hypot(lift - W * Math.tan(B), W);
      return Math.min(slant, port);
    }
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.2, 0.5, 1, 2, 2.9, 3.1, 4, 6, 8, 10, 13})
  void reproducesTheThreeStagesOfAPlainSeat(double lift) {
    double area = Gate.between(metal(Plain.SEAT), lifted(Plain.SEAT, Plain.VALVE, lift)).areaMm2();
    // The smallest frustum lies a hair inside the perpendicular one that the published formula
    // takes.
    assertThat(area).isCloseTo(Plain.heywood(lift), within(0.002 * Plain.heywood(lift)));
    assertThat(area).isLessThanOrEqualTo(Plain.heywood(lift) + 1e-9);
  }

  @Test
  void namesWhereItSits() {
    assertThat(Gate.between(metal(Plain.SEAT), lifted(Plain.SEAT, Plain.VALVE, 14)).place())
        .isEqualTo(
            new Place(
                Place.Kind.GAP, Surface.of(Surface.Trace.THROAT), Surface.of(Surface.Trace.STEM)));
    assertThat(
            Gate.between(
                    metal(Samples.fourAngles(0.89)),
                    lifted(Samples.fourAngles(0.89), Samples.backCutValve(), 3))
                .place())
        .satisfies(
            place -> {
              assertThat(place.kind()).isEqualTo(Place.Kind.GAP);
              assertThat(place.first()).isEqualTo(Surface.cut(0, 30));
              assertThat(place.second().part()).isEqualTo(Surface.Part.BACK_CUT);
            });
  }

  @Property(tries = 200)
  void isNeverLargerThanAnySampledFrustumAndIsOneItself(
      @ForAll @DoubleRange(min = 0.1, max = 14) double lift,
      @ForAll @DoubleRange(min = 10, max = 45) double back,
      @ForAll @DoubleRange(min = 0, max = 30) double under,
      @ForAll @DoubleRange(min = 0.82, max = 0.93) double throat) {
    Seat seat = Samples.fourAngles(throat);
    Valve valve =
        Samples.backCutValve()
            .withBackCut(0, new Cut(back, 1.5))
            .withUnderhead(new Underhead(under, 7));
    Profile metal = metal(seat);
    Profile wall = lifted(seat, valve, lift);
    Gate gate = Gate.between(metal, wall);
    assertThat(gate.areaMm2())
        .isCloseTo(Gate.frustum(gate.onMetal(), gate.onValve()), within(1e-9));
    double sampled = Double.POSITIVE_INFINITY;
    for (Point p : sampled(metal)) {
      for (Point q : sampled(wall)) {
        sampled = Math.min(sampled, Gate.frustum(p, q));
      }
    }
    assertThat(gate.areaMm2()).isLessThanOrEqualTo(sampled + 1e-9);
    assertThat(gate.areaMm2()).isGreaterThan(0.97 * sampled - 2);
  }

  private static List<Point> sampled(Profile profile) {
    List<Point> points = new ArrayList<>();
    for (int k = 0; k < profile.segmentCount(); k++) {
      for (int i = 0; i <= 24; i++) {
        points.add(profile.start(k).toward(profile.end(k), i / 24.0));
      }
    }
    return points;
  }

  @Property(tries = 200)
  void neverGrowsWhenMetalIsAdded(
      @ForAll @DoubleRange(min = 0.2, max = 12) double lift,
      @ForAll @DoubleRange(min = 0.05, max = 2) double height,
      @ForAll @DoubleRange(min = 0.1, max = 3) double distance) {
    Seat seat = Samples.fourAngles(0.89);
    Profile wall = lifted(seat, Samples.backCutValve(), lift);
    double without = Gate.between(metal(seat), wall).areaMm2();
    double with = Gate.between(Ridges.beside(metal(seat), distance, height), wall).areaMm2();
    assertThat(with).isLessThanOrEqualTo(without + 1e-9);
    double smallerThroat = Gate.between(metal(Samples.fourAngles(0.86)), wall).areaMm2();
    assertThat(smallerThroat).isLessThanOrEqualTo(without + 1e-9);
  }

  @Property(tries = 200)
  void growsWithLiftAndWithoutJumps(@ForAll @DoubleRange(min = 0.05, max = 13) double lift) {
    Seat seat = Samples.fourAngles(0.89);
    Profile metal = metal(seat);
    double at = Gate.between(metal, lifted(seat, Samples.backCutValve(), lift)).areaMm2();
    double next = Gate.between(metal, lifted(seat, Samples.backCutValve(), lift + 1e-4)).areaMm2();
    assertThat(next - at).isBetween(-1e-9, 0.02);
  }

  @Test
  void aRidgeOfNoHeightChangesNothing() {
    Seat seat = Samples.fourAngles(0.89);
    Profile wall = lifted(seat, Samples.backCutValve(), 4);
    assertThat(Gate.between(Ridges.beside(metal(seat), 0.5, 1e-7), wall).areaMm2())
        .isCloseTo(Gate.between(metal(seat), wall).areaMm2(), within(1e-3));
  }

  /** Adds a step to a flat chamber roof. */
  static final class Ridges {
    private Ridges() {}

    static Profile beside(Profile wall, double distance, double height) {
      List<Point> points = new ArrayList<>(wall.points());
      List<Surface> surfaces = new ArrayList<>(wall.surfaces());
      Surface roof = surfaces.getFirst();
      Surface ridge = Surface.of(Surface.Trace.OLD_CUT_ABOVE);
      Point top = points.get(1);
      points.set(0, points.getFirst().plus(0, height));
      points.add(1, top.plus(distance, height));
      points.add(2, top.plus(distance, 0));
      surfaces.add(1, ridge);
      surfaces.add(2, roof);
      return new Profile(points, surfaces);
    }
  }
}
