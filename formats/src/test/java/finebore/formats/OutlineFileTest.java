package finebore.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import finebore.room.ChamberOutline;
import finebore.room.ChamberOutline.Corner;
import finebore.units.Unit;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OutlineFileTest {

  private static final double BORE = 86;

  @TempDir private Path folder;

  private ChamberOutline read(String name, String text) throws Exception {
    Path file = folder.resolve(name);
    Files.writeString(file, text);
    return OutlineFile.read(file, 2, BORE, Unit.MM);
  }

  private static String dxf(String unit, String... entities) {
    return ("0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n" + unit + "\n0\nENDSEC\n")
        + "0\nSECTION\n2\nENTITIES\n"
        + String.join("", entities)
        + "0\nENDSEC\n0\nEOF\n";
  }

  private static String line(double x1, double y1, double x2, double y2) {
    return "0\nLINE\n10\n" + x1 + "\n20\n" + y1 + "\n11\n" + x2 + "\n21\n" + y2 + "\n";
  }

  @Test
  void pointsAreReadInTheUnitTheyName() throws Exception {
    ChamberOutline mm = read("a.csv", "-30;-20\n30;-20\n30;20\n-30;20\n");
    assertThat(mm.cylinder()).isEqualTo(2);
    assertThat(mm.corners()).hasSize(4).contains(new Corner(30, -20));
    ChamberOutline inches = read("b.txt", "along across in\n-1 -1\n1 -1\n1 1\n-1 1\n-1 -1\n");
    assertThat(inches.areaMm2()).isCloseTo(50.8 * 50.8, within(1e-9));
    ChamberOutline comma = read("c.csv", "-30,5\t-20,5\n30,5\t-20,5\n30,5\t20,5\n-30,5\t20,5\n");
    assertThat(comma.areaMm2()).isCloseTo(61 * 41, within(1e-9));
  }

  @Test
  void linesAndArcsOfADrawingAreJoined() throws Exception {
    // A slot: two lines and two half circles of 20, out of order, one line drawn backward.
    String half = "0\nARC\n10\n%s\n20\n0\n40\n20\n50\n%s\n51\n%s\n";
    ChamberOutline slot =
        read(
            "slot.dxf",
            dxf(
                "4",
                line(-15, 20, 15, 20),
                half.formatted("15", "270", "90"),
                line(-15, -20, 15, -20),
                half.formatted("-15", "90", "270")));
    assertThat(slot.areaMm2()).isCloseTo(Math.PI * 400 + 30 * 40, within(3.0));
  }

  @Test
  void bulgesAreArcsAndTheBoreSaysWhereItsCentreIs() throws Exception {
    // A circle of 60 as two bulges of 1, about 100, 50; the bore about the same place.
    String circle = "0\nLWPOLYLINE\n70\n1\n10\n70\n20\n50\n42\n1\n10\n130\n20\n50\n42\n1\n";
    String bore = "0\nCIRCLE\n10\n100\n20\n50\n40\n43\n";
    ChamberOutline round = read("round.dxf", dxf("4", bore, circle));
    assertThat(round.areaMm2()).isCloseTo(Math.PI * 900, within(3.0));
    assertThat(round.fromMm(0, 0, 0).orElseThrow()).isCloseTo(30, within(0.02));
    assertThat(round.fromMm(0, 0, 30).orElseThrow()).isCloseTo(30, within(0.02));
    // In inches the same figures are that much larger, and no bore is as large.
    assertThatThrownBy(() -> read("in.dxf", dxf("1", bore, circle)))
        .isInstanceOf(FileProblem.class);
  }

  @Test
  void oldPolylinesAreReadToTheirEnd() throws Exception {
    String vertex = "0\nVERTEX\n10\n%s\n20\n%s\n";
    ChamberOutline box =
        read(
            "old.dxf",
            dxf(
                "4",
                "0\nPOLYLINE\n66\n1\n70\n1\n"
                    + vertex.formatted("-20", "-10")
                    + vertex.formatted("20", "-10")
                    + vertex.formatted("20", "10")
                    + vertex.formatted("-20", "10")
                    + "0\nSEQEND\n8\n0\n",
                line(0, 0, 5, 5)));
    assertThat(box.areaMm2()).isCloseTo(800, within(1e-9));
  }

  private static String svg(String head, String inner) {
    return "<?xml version=\"1.0\"?><svg xmlns=\"http://www.w3.org/2000/svg\" "
        + head
        + ">"
        + inner
        + "</svg>";
  }

  @Test
  void drawingsAreTurnedUpAndScaledByTheirWidth() throws Exception {
    // 200 units wide for 100 mm; the bore's centre at 100, 80; y down.
    ChamberOutline outline =
        read(
            "a.svg",
            svg(
                "width=\"100mm\" height=\"80mm\" viewBox=\"0 0 200 160\"",
                "<g transform=\"translate(100 80)\"><circle cx=\"0\" cy=\"0\" r=\"86\"/>"
                    + "<path d=\"M -60,-40 h 120 v 60 l -120 0 z\"/></g>"));
    assertThat(outline.corners())
        .containsExactlyInAnyOrder(
            new Corner(-30, 20), new Corner(30, 20), new Corner(30, -10), new Corner(-30, -10));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "M 30 0 A 30 30 0 0 1 -30 0 A 30 30 0 0 1 30 0 Z | 2827.4",
        "M 30 0 A 30 20 0 1 0 -30 0 A 30 20 0 0 0 30 0 Z | 1885.0",
        "M30,0 C30,16.568 16.568,30 0,30 S-30,16.568 -30,0 S-16.568,-30 0,-30 S30,-16.568 30,0z"
            + " | 2827.4",
        "M -20 -20 Q 0 -40 20 -20 T 20 20 L -20 20 Z | 2133.3",
        "m -20 -20 40 0 0 40 -40 0 z | 1600"
      })
  void pathsEncloseWhatTheyDraw(String path, double areaMm2) throws Exception {
    ChamberOutline outline =
        read(
            "p.svg",
            svg(
                "width=\"90mm\" viewBox=\"-45 -45 90 90\"",
                "<circle r=\"43\"/><path d=\"" + path + "\"/>"));
    assertThat(outline.areaMm2()).isCloseTo(areaMm2, within(0.004 * areaMm2));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "a.pdf | x | notAnOutline",
        "a.csv | 1;2\\n3;x\\n | outlineLine",
        "a.csv | 0;0\\n10;0\\n10;10 | outlineSize",
        "a.csv | 0;0\\n10;10\\n10;0\\n0;10 | outlineCrosses",
        "a.csv | 0;0\\n10;0\\n10;10\\n0;400 | outlineAcross",
        "a.dxf | 0\\nSECTION\\n2\\nENTITIES\\n0\\nENDSEC\\n | dxfNoUnit",
        "a.dxf | zero\\nSECTION\\n | dxfLine",
        "a.svg | <svg xmlns='http://www.w3.org/2000/svg' width='90'/> | svgNoUnit",
        "a.svg | <svg | damaged",
        "a.svg | <html/> | svgNone"
      })
  void whatCannotBeReadSaysWhy(String name, String text, String code) {
    assertThatThrownBy(() -> read(name, text.replace("\\n", "\n")))
        .isInstanceOf(FileProblem.class)
        .hasMessageContaining(code);
  }

  @Test
  void blocksAndMissingBoresAreRefused() throws IOException {
    assertThatThrownBy(() -> read("b.dxf", dxf("4", "0\nINSERT\n2\nCHAMBER\n10\n0\n20\n0\n")))
        .hasMessageContaining("dxfBlocks");
    assertThatThrownBy(() -> read("c.dxf", dxf("4", line(0, 0, 5, 5))))
        .hasMessageContaining("noClosedLine");
    assertThatThrownBy(() -> read("d.dxf", dxf("4", "0\nLINE\n10\nx\n20\n0\n11\n1\n21\n1\n")))
        .hasMessageContaining("dxfNumber");
    assertThatThrownBy(() -> read("e.dxf", dxf("4", "0\nLINE\n10\n1\n20\n0\n11\n1\n")))
        .hasMessageContaining("dxfMissing");
    assertThatThrownBy(
            () -> read("n.svg", svg("width=\"90mm\"", "<polygon points=\"0,0 9,0 9,9 0,9\"/>")))
        .hasMessageContaining("noBore");
    assertThatThrownBy(() -> read("t.svg", svg("width=\"90mm\"", "<g transform=\"skewX(3)\"/>")))
        .hasMessageContaining("svgTurn");
    assertThatThrownBy(() -> read("q.svg", svg("width=\"90mm\"", "<path d=\"M 0 0 L 5\"/>")))
        .hasMessageContaining("svgPath");
  }
}
