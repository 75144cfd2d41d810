package finebore.reports;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import finebore.flow.Calibration;
import finebore.flow.field.AirFlow;
import finebore.flow.field.AirLines;
import finebore.flow.field.AirSolver;
import finebore.flow.field.Fineness;
import finebore.flow.field.Turbulence;
import finebore.formats.JobFile;
import finebore.job.Engine.SeatPlace;
import finebore.job.Job;
import finebore.planning.PlanStudy;
import finebore.section.Point;
import finebore.section.Surface;
import finebore.study.SeatStudy;
import finebore.words.Language;
import finebore.words.UnitSystem;
import finebore.words.Words;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Solved air in words, figures and pictures, of one seat of the demo job. */
class AirReportsTest {

  private static final Words WORDS = new Words(Language.ENGLISH, UnitSystem.METRIC);
  private static final double LIFT = 6;
  private static final Job JOB = JobFile.demo();
  private static final SeatPlace I1 = JOB.engine().seats().getFirst();
  private static final SeatStudy AS_FOUND = PlanStudy.asFound(JOB, I1, Calibration.SEAT_ALONE);
  private static final AirFlow FOUND = solved(AS_FOUND);
  private static final AirFlow PLANNED =
      solved(PlanStudy.of(JOB, I1, JOB.planOf(I1), AS_FOUND).finished());

  private static AirFlow solved(SeatStudy study) {
    return AirSolver.solve(study.airAt(LIFT, Turbulence.EVEN, Fineness.COARSE));
  }

  @Test
  void everyCellHasARow() {
    List<String> rows = AirTable.csv(FOUND).lines().toList();
    assertThat(rows).hasSize(1 + FOUND.along() * FOUND.across());
    double[] cell = row(rows.get(1 + 40 * FOUND.across() + 7));
    assertThat(cell[0]).isCloseTo(FOUND.middle(40, 7).r(), within(1e-4));
    assertThat(cell[1]).isCloseTo(FOUND.middle(40, 7).z(), within(1e-4));
    assertThat(cell[4]).isCloseTo(Math.hypot(cell[2], cell[3]), within(2e-3));
    assertThat(cell[6] - cell[5]).isCloseTo(0.6 * cell[4] * cell[4], within(1.0));
  }

  private static double[] row(String line) {
    return java.util.Arrays.stream(line.split(",")).mapToDouble(Double::parseDouble).toArray();
  }

  @Test
  void figuresStandInTheJson() {
    JsonNode json = JsonMapper.shared().readTree(AirTable.json(FOUND, "I1", "found", LIFT, WORDS));
    assertThat(json.get("seat").asString()).isEqualTo("I1");
    assertThat(json.get("lift_mm").asDouble()).isEqualTo(LIFT);
    assertThat(json.get("effective_area_mm2").asDouble()).isEqualTo(FOUND.effectiveAreaMm2());
    assertThat(json.get("turbulence").asString()).isEqualTo("even");
    assertThat(json.get("fineness").asString()).isEqualTo("coarse");
    assertThat(json.get("jet_deg").asDouble()).isEqualTo(FOUND.jetAngleDeg());
    assertThat(json.get("dead_water").size()).isEqualTo(AirLines.of(FOUND).deadWater().size());
  }

  @Test
  void saysWhatItIsAndIsNot() {
    List<String> said = AirWords.of(FOUND, WORDS);
    assertThat(said.getFirst())
        .startsWith("Solved: " + Math.round(FOUND.effectiveAreaMm2()) + " mm")
        .contains("even eddy viscosity, coarse grid")
        .contains("°");
    assertThat(said.getLast()).contains("no bend of the port");
  }

  @Test
  void drawsAPictureAndAVectorPicture() throws IOException {
    byte[] png = AirPicture.png(FOUND, AirColours.Layer.SPEED, WORDS, "Title");
    var image = ImageIO.read(new ByteArrayInputStream(png));
    // In the throat the air is neither still nor at its fastest.
    int middle = image.getRGB(330, 700) & 0xffffff;
    assertThat(middle).isNotIn(AirColours.of(0), AirColours.of(1), 0xffffff);
    String svg = AirPicture.svg(FOUND, AirColours.Layer.LOST, WORDS, "Seat <I1>");
    assertThat(svg).startsWith("<svg").endsWith("</svg>\n").contains("Seat &lt;I1>");
    assertThat(svg.lines().filter(l -> l.startsWith("<path")).count())
        .isGreaterThan(FOUND.along() * FOUND.across() / 4);
    // Every dead water that is named stands in the picture by its number.
    long named = AirWords.of(FOUND, WORDS).get(1).split("Dead water \\d: ", -1).length - 1;
    assertThat(named).isBetween(1L, 3L);
    assertThat(AirWords.of(FOUND, WORDS).get(1)).startsWith("Dead water 1: ");
    for (int k = 1; k <= 4; k++) {
      assertThat(svg.contains(">" + k + "</text>")).as("%d", k).isEqualTo(k <= named);
    }
  }

  @Test
  void coloursRiseInBrightness() {
    double before = -1;
    for (int k = 0; k <= 20; k++) {
      int rgb = AirColours.of(k / 20.0);
      double bright =
          0.2126 * (rgb >> 16 & 0xff) + 0.7152 * (rgb >> 8 & 0xff) + 0.0722 * (rgb & 0xff);
      assertThat(bright).as(String.format(Locale.ROOT, "step %d", k)).isGreaterThan(before);
      before = bright;
    }
  }

  /** All that is fed passes: half of it on each side of the middle streamline. */
  @Test
  void streamlinesPartTheFlow() {
    AirLines lines = AirLines.of(FOUND);
    assertThat(lines.streamlines(3)).hasSizeGreaterThanOrEqualTo(3);
    assertThat(lines.passes(20, FOUND.across() / 2)).isTrue();
    assertThat(lines.passes(FOUND.along() - 1, 0)).isFalse();
  }

  /** Beside dead water the air at the wall runs back: as far as that goes it is told. */
  @Test
  void deadWaterIsAsLongAsTheAirAtItsWallRunsBack() {
    AirLines.DeadWater water = AirLines.of(FOUND).deadWater().getFirst();
    assertThat(water.onValve()).isTrue();
    double back = 0;
    double longest = 0;
    // Further out it is the wake of the face, which is open to the room.
    double face = 0.8 * FOUND.question().headRadiusMm();
    for (int i = 0; FOUND.corner(i + 1, 0).r() < face; i++) {
      Point from = FOUND.corner(i, 0);
      Point to = FOUND.corner(i + 1, 0);
      double along =
          FOUND.outward(i, 0) * (to.r() - from.r()) + FOUND.upward(i, 0) * (to.z() - from.z());
      back = along < 0 ? back + from.distanceTo(to) : 0;
      longest = Math.max(longest, back);
    }
    assertThat(longest).isGreaterThan(5);
    assertThat(water.lengthMm()).isCloseTo(longest, withinPercentage(20));
  }

  /** The underhead is an arc of many chords: together they are longer than what stem there is. */
  @Test
  void deadWaterLiesAgainstTheWholeOfASurface() {
    assertThat(AirLines.of(PLANNED).deadWater().getFirst().surface())
        .isEqualTo(Surface.of(Surface.Trace.UNDERHEAD));
  }

  /** Two pictures side by side are drawn to one scale: the same seat lies in the same place. */
  @Test
  void twoSectionsStandInOneFrame() throws IOException {
    var image =
        ImageIO.read(
            new ByteArrayInputStream(
                AirPicture.pair(FOUND, "A", PLANNED, "B", AirColours.Layer.SPEED, WORDS)));
    int half = image.getWidth() / 2;
    // The roof of the chamber is the same in both: far out it begins at the same height.
    assertThat(metalAt(image, half - 40)).isEqualTo(metalAt(image, image.getWidth() - 40));
  }

  private static int metalAt(java.awt.image.BufferedImage image, int x) {
    int y = 780;
    while (image.getRGB(x, y) == image.getRGB(x, 780)) {
      y--;
    }
    return y;
  }
}
