package finebore.planning;

import static org.assertj.core.api.Assertions.assertThat;

import finebore.Samples;
import finebore.cutting.CleanUp;
import finebore.cutting.CutForm;
import finebore.cutting.Cutting;
import finebore.cutting.FitRing;
import finebore.cutting.Form;
import finebore.cutting.LeftoverEdge;
import finebore.cutting.OpenThroat;
import finebore.cutting.Operation;
import finebore.cutting.Plunge;
import finebore.cutting.Seating;
import finebore.found.FoundSeat;
import finebore.found.Measure;
import finebore.found.Ring;
import finebore.found.SeatReadings;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.seat.Cut;
import finebore.seat.Seat;
import finebore.seat.SeatSection;
import finebore.section.Tolerance;
import finebore.valve.Underhead;
import finebore.valve.Valve;
import finebore.valve.ValveSection;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Works the seat of docs/worked-example.md and finds each of its numbers in that page. */
class WorkedExampleTest {

  private static final OptionalDouble OPEN = OptionalDouble.empty();
  private static final Seat WORN = Seat.of(List.of(new Cut(45, 2.0)), 0, 38, 8, 34, 6, 34, 14, 10);
  private static final Seat WANTED =
      Seat.of(
          List.of(new Cut(30, 0.6), new Cut(45, 1.2), new Cut(60, 1.0)),
          1,
          38.4,
          8.3,
          35.6,
          4,
          36,
          12,
          10);
  private static final Operation FORM = new CutForm("", OPEN, new Plunge.AsPlanned());
  private static final Operation THROAT =
      new OpenThroat(OptionalDouble.of(35.6), 0, OptionalDouble.of(14));

  private static String page;

  @BeforeAll
  static void read() throws IOException {
    page = Files.readString(Path.of("../docs/worked-example.md"));
  }

  /** The page says a number that the program has worked out. */
  private static void says(double value, int decimals, String before, String after) {
    String text = String.format(Locale.ROOT, "%." + decimals + "f", value);
    assertThat(page.replaceAll("\\s+", " ")).contains(before + text + after);
  }

  private static Cutting cut(FoundSeat found, Operation... operations) {
    return Cutting.of(found, WANTED, List.of(operations));
  }

  @Test
  void theForm() {
    Form form = Form.of(WANTED.cuts(), 1, 38.4);
    says(form.points().get(0).r(), 4, "| ", " | -8.0000 |");
    says(form.points().get(2).r(), 4, "| ", " | -9.1485 |");
    says(form.points().get(3).z() - 8.3, 4, "| 17.8515 | ", " |");
    Cutting hung = cut(FoundSeat.plain(WORN), FORM);
    says(hung.steps().getFirst().hangsUpMm().orElseThrow(), 3, "2 x 17.8515 = ", ".");
    assertThat(cut(FoundSeat.plain(WORN), THROAT, FORM).steps().get(1).hangsUpMm()).isEmpty();
  }

  @Test
  void theCleanUp() {
    says(clean(FoundSeat.plain(WORN)), 4, "It goes clean at ", ";");
    SeatReadings off =
        SeatReadings.NONE
            .with(Measure.RUNOUT, OptionalDouble.of(0.3))
            .with(Measure.RUNOUT_CLOCK, OptionalDouble.of(3));
    FoundSeat seat = FoundSeat.of(WORN, off, 38.5);
    says(clean(seat), 4, "8.0 + 0.3 - 0.2 = ", ".");
    Form form = Form.of(WANTED.cuts(), 1, 38.4);
    CleanUp far = CleanUp.of(form, List.of(new CleanUp.Wall(9, seat.wallAt(9))));
    says(far.sealingMm().orElseThrow(), 4, "(0.2 + 0.3) tan 10 = ", ".");
  }

  private static double clean(FoundSeat found) {
    return cut(found, THROAT, FORM)
        .steps()
        .get(1)
        .cleanUp()
        .orElseThrow()
        .sealingMm()
        .orElseThrow();
  }

  @Test
  void theRidgeAndTheVolume() {
    Cutting cutting = cut(FoundSeat.plain(WORN), THROAT, FORM);
    LeftoverEdge ridge =
        LeftoverEdge.of(cutting.finished().profile(), 1).stream()
            .filter(LeftoverEdge::inChamber)
            .findFirst()
            .orElseThrow();
    says(ridge.heightMm(), 4, "step of ", " is left");
    says(ridge.turnDeg(), 0, "turns by ", "°");
    says(cutting.steps().getFirst().removedMm3(), 2, "Together ", " mm3");
  }

  @Test
  void theSink() {
    Valve valve = new Valve(39, 1.4, 45, 2.1, List.of(), new Underhead(14, 9), 7, 0);
    Cutting cutting = cut(FoundSeat.plain(WORN), THROAT, FORM);
    double found = rest(SeatSection.of(WORN, Tolerance.FINE), valve);
    double sunk = found - rest(cutting.finished(), valve);
    says(sunk, 4, "The valve sinks ", ";");
  }

  private static double rest(SeatSection seat, Valve valve) {
    Seating seating =
        Seating.of(
            seat, ValveSection.of(valve, Tolerance.FINE), Seating.INK_FILM_MM, Tolerance.FINE);
    return ((Seating.Seated) seating).restMm();
  }

  @Test
  void ringsAndWater() {
    FoundSeat found =
        FoundSeat.of(WORN, SeatReadings.NONE.with(Measure.WALL_THROAT, OptionalDouble.of(4)), 38.5);
    says(MetalLeft.of(cut(found, THROAT)).waterMm().orElseThrow(), 2, "(35.6 - 34.0) / 2 = ", ".");
    Operation ring = new FitRing(new Ring(43, 33, 14, 8, 0.1, ""));
    MetalLeft left = MetalLeft.of(cut(FoundSeat.plain(WORN), ring, THROAT, FORM));
    says(left.ringWallMm().orElseThrow(), 2, "(43.0 - 38.4) / 2 = ", ", floor");
    says(left.ringFloorMm().orElseThrow(), 4, "14.0 - 10.0146 = ", ".");
  }

  @Test
  void theRatio() {
    Job job = Samples.job();
    Job ten = job.withHead(job.head().withCompressionRatio(OptionalDouble.of(10)));
    SeatPlace place = ten.engine().seats().getFirst();
    // The other seat of the cylinder is planned as found and changes nothing.
    OptionalDouble ratio =
        CompressionRatio.of(
            ten,
            1000 + CompressionRatio.strangers(ten, place) + CompressionRatio.twins(ten, place));
    double swept = Math.PI / 4 * 8.6 * 8.6 * 8.6;
    says(swept, 2, "swept ", " cm3");
    says(ratio.orElseThrow(), 3, "/ 56.507 = ", " to 1");
  }
}
