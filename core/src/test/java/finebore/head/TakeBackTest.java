package finebore.head;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import finebore.Samples;
import finebore.found.Measure;
import finebore.head.HeadPlan.Spot;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;

/** What taking the walls of a cylinder back does, against areas that JTS works out. */
class TakeBackTest {

  private static final Job TWO = two();
  private static final SeatPlace I1 = TWO.engine().seats().getFirst();

  /** Two cylinders; the first has an intake in a box of 56 by 48, 10 deep. */
  private static Job two() {
    Job single = Samples.job();
    Job job = single.withEngine(single.engine().withCylinders(2));
    return job.withHead(
        job.head()
            .withReading("I1", Measure.AXIS_ALONG, OptionalDouble.of(0))
            .withReading("I1", Measure.AXIS_ACROSS, OptionalDouble.of(0))
            .withReading("I1", Measure.CHAMBER_DEPTH, OptionalDouble.of(10))
            .withReading("I2", Measure.AXIS_ALONG, OptionalDouble.of(0))
            .withReading("I2", Measure.AXIS_ACROSS, OptionalDouble.of(0))
            .withCompressionRatio(OptionalDouble.of(10.5))
            .withChamber(
                1,
                Optional.of(
                    new ChamberOutline(
                        1,
                        List.of(
                            new Corner(-28, -24),
                            new Corner(28, -24),
                            new Corner(28, 24),
                            new Corner(-28, 24))))));
  }

  private static double area(List<Spot> line) {
    List<Coordinate> ring = new ArrayList<>();
    line.forEach(s -> ring.add(new Coordinate(s.x(), s.y())));
    if (!ring.getFirst().equals(ring.getLast())) {
      ring.add(ring.getFirst());
    }
    return new GeometryFactory().createPolygon(ring.toArray(Coordinate[]::new)).getArea();
  }

  @Test
  void chamberRatioAndSkimFollowFromTheWalls() {
    TakeBack back = TakeBack.of(TWO, I1, 9).orElseThrow();
    assertThat(back.seats()).extracting(s -> s.place().label()).containsExactly("I1");
    assertThat(back.seats().getFirst().depthMm()).isEqualTo(10);
    assertThat(back.seats().getFirst().head().radiusMm()).isEqualTo(21);
    double now = area(back.chamberNow().getFirst());
    double after = area(back.chamberAfter().getFirst());
    assertThat(back.chamberNow()).hasSize(1);
    // Seen every five degrees, the box loses next to its corners.
    assertThat(now).isCloseTo(56 * 48, within(25.0));
    assertThat(after).isGreaterThan(now + 10);
    assertThat(back.volumeMm3()).isCloseTo((after - now) * 10, within(1e-6));
    double swept = Math.PI / 4 * 86 * 86 * 86;
    double clearance = swept / 9.5;
    assertThat(back.ratioNow()).hasValue(10.5);
    assertThat(back.ratioAfter().orElseThrow())
        .isCloseTo(1 + swept / (clearance + back.volumeMm3()), within(1e-9));
    assertThat(back.skimMm().orElseThrow()).isCloseTo(back.volumeMm3() / after, within(1e-9));
  }

  /** Where nothing is in the way nothing goes, and nothing is to be skimmed. */
  @Test
  void aValveHardlyOpenAsksForNothing() {
    TakeBack back = TakeBack.of(TWO, I1, 0.2).orElseThrow();
    assertThat(back.volumeMm3()).isZero();
    assertThat(back.skimMm()).isEmpty();
    assertThat(back.ratioAfter().orElseThrow()).isCloseTo(10.5, within(1e-9));
  }

  @Test
  void withoutAPlaceThereIsNothingToTell() {
    assertThat(TakeBack.of(Samples.job(), Samples.job().engine().seats().getFirst(), 9)).isEmpty();
    // The second cylinder's valve has a place and no walls: there is nothing to take back.
    SeatPlace i2 =
        TWO.engine().seats().stream().filter(s -> s.label().equals("I2")).findFirst().orElseThrow();
    TakeBack open = TakeBack.of(TWO, i2, 9).orElseThrow();
    assertThat(open.seats().getFirst().back()).isEmpty();
    assertThat(open.chamberNow()).isEmpty();
    assertThat(open.volumeMm3()).isZero();
    assertThat(open.skimMm()).isEmpty();
  }

  @Test
  void aLineAroundNothingInParticularHasItsArea() {
    List<Spot> line = List.of(new Spot(3, 1), new Spot(9, 1), new Spot(9, 5), new Spot(3, 7));
    assertThat(TakeBack.areaMm2(line)).isCloseTo(30, within(1e-12));
    assertThat(TakeBack.areaMm2(line.reversed())).isCloseTo(30, within(1e-12));
  }
}
