package finebore.cutting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.found.FoundSeat;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.section.Point;
import finebore.section.Profile;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A disc of its radius must be able to lie in every corner that a blend may work on. */
class BlendTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();

  /** A quarter circle is six chords: 15 degrees from one to the next, and more where two meet. */
  private static final double CHORD_TURN_DEG = 20;

  /** Chords stray from circles: steps of less than this share of the radius may stay. */
  private static final double STRAYS = 0.05;

  @Property(tries = 300)
  void noCornerIsForgotten(
      @ForAll @DoubleRange(min = 34, max = 36.2) double throat,
      @ForAll @DoubleRange(min = 0.5, max = 1.4) double width,
      @ForAll @DoubleRange(min = 62, max = 88) double lastAngle,
      @ForAll @DoubleRange(min = 0.3, max = 3) double radius,
      @ForAll @DoubleRange(min = 0.05, max = 1) double keepOff) {
    Seat wanted =
        Seat.of(
            List.of(
                new Cut(30, 0.6), new Cut(45, width), new Cut(60, 1.0), new Cut(lastAngle, 1.5)),
            1,
            39.85,
            8.3,
            throat,
            4,
            36.4,
            14,
            12);
    Cutting cutting =
        Cutting.of(
            FoundSeat.plain(CuttingTest.worn()),
            wanted,
            List.of(
                new OpenThroat(OPEN, 0, OPEN),
                new CutForm("", OPEN, new Plunge.AsPlanned()),
                new Blend(Blend.Side.PORT, keepOff, radius)));
    Profile wall = cutting.metal().wall();
    int sealing = 0;
    for (int k = 0; k < wall.segmentCount(); k++) {
      if (wall.surfaces().get(k).angleDeg() == 45) {
        sealing = k;
      }
    }
    double from = wall.end(sealing).z() - keepOff - 0.01;
    double bottom = wall.points().getLast().z() + 2 * radius;
    for (int k = sealing + 1; k < wall.segmentCount(); k++) {
      Point corner = wall.start(k);
      double shorter = Math.min(wall.length(k - 1), wall.length(k));
      if (corner.z() < from && corner.z() > bottom && shorter > STRAYS * radius) {
        assertThat(turnDeg(wall.start(k - 1), corner, wall.end(k)))
            .as("turn at %s of %s", corner, wall.points())
            .isLessThan(CHORD_TURN_DEG);
      }
    }
  }

  /** How far the metal's edge turns at a corner; positive where metal stands out. */
  private static double turnDeg(Point before, Point at, Point after) {
    double r1 = at.r() - before.r();
    double z1 = at.z() - before.z();
    double r2 = after.r() - at.r();
    double z2 = after.z() - at.z();
    return Math.toDegrees(Math.atan2(r1 * z2 - z1 * r2, r1 * r2 + z1 * z2));
  }

  private static Profile after(Operation... operations) {
    return Cutting.of(
            FoundSeat.plain(CuttingTest.worn()), CuttingTest.wanted(), List.of(operations))
        .metal()
        .wall();
  }

  private static final Operation THROAT = new OpenThroat(OptionalDouble.of(35.2), 0, OPEN);
  private static final Operation FORM = new CutForm("", OPEN, new Plunge.AsPlanned());

  /** Ends of the stretches that the blend has made. */
  private static List<Point> blended(Blend blend) {
    Cutting cutting =
        Cutting.of(
            FoundSeat.plain(CuttingTest.worn()),
            CuttingTest.wanted(),
            List.of(THROAT, FORM, blend));
    Profile wall = cutting.metal().wall();
    List<Point> ends = new ArrayList<>();
    for (int k = 0; k < wall.segmentCount(); k++) {
      if (cutting.metal().madeBy().get(k) == 3) {
        ends.add(wall.start(k));
        ends.add(wall.end(k));
      }
    }
    return ends;
  }

  /** It works up to as far off the sealing face as is kept, on both sides of the face. */
  @ParameterizedTest
  @CsvSource({"0.2", "0.3", "0.75"})
  void keepsAsFarOffTheFaceAsIsAskedFor(double keepOff) {
    double inner = -8.3 - 1.2 * Math.sqrt(0.5);
    List<Point> port = blended(new Blend(Blend.Side.PORT, keepOff, 3));
    assertThat(port).isNotEmpty();
    assertThat(port.stream().mapToDouble(Point::z).max().orElseThrow())
        .isCloseTo(inner - keepOff, within(1e-6));
    List<Point> chamber = blended(new Blend(Blend.Side.CHAMBER, keepOff, 3));
    assertThat(chamber.stream().mapToDouble(Point::r).min().orElseThrow())
        .isCloseTo(19.2 + keepOff, within(1e-6));
    assertThat(chamber.stream().mapToDouble(Point::r).min().orElseThrow())
        .isGreaterThan(port.stream().mapToDouble(Point::r).max().orElseThrow());
  }

  /** Two radii from where the drawn metal ends the section ends, not the corner. */
  @Test
  void theEndOfTheDrawingIsNoCorner() {
    List<Point> ends = blended(new Blend(Blend.Side.PORT, 0.1, 2));
    double bottom = after(THROAT, FORM).points().getLast().z();
    assertThat(ends).allSatisfy(p -> assertThat(p.z()).isGreaterThan(bottom + 4 - 1e-9));
    double far = after(THROAT, FORM).points().getFirst().r();
    assertThat(blended(new Blend(Blend.Side.CHAMBER, 0.1, 2)))
        .allSatisfy(p -> assertThat(p.r()).isLessThan(far - 4 + 1e-9));
  }

  /** Nothing to keep off, nothing to go by: where no seat shows a blend does nothing. */
  @Test
  void withoutASeatThereIsNothingToBlend() {
    Operation wide = new OpenThroat(OptionalDouble.of(44), 0, OPEN);
    assertThat(after(wide, new Blend(Blend.Side.PORT, 0.1, 2))).isEqualTo(after(wide));
  }
}
