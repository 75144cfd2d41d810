package finebore.desk.controls;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words of 20 px in a rectangle of 400 by 200, the first in the middle of it. */
class KeepClearTest {

  private static final Font FONT = Font.font(20);

  private final KeepClear room = new KeepClear(0, 0, 400, 200);

  private boolean take(double x, double y, double angleDeg, TextAlignment align) {
    return room.take(FONT, "between", x, y, angleDeg, align);
  }

  @Test
  void wordsAreAsLongAsTheirFontMakesThem() {
    double width = Ink.width(FONT, "between");
    assertThat(width).isBetween(50.0, 100.0);
    assertThat(Ink.width(Font.font(40), "between")).isBetween(1.9 * width, 2.1 * width);
    assertThat(Ink.width(FONT, "between between")).isGreaterThan(2 * width);
  }

  @ParameterizedTest
  @CsvSource({
    // Line by line, end to end, and turned about the end.
    "200, 110, 0, CENTER, false",
    "200, 123, 0, CENTER, true",
    "200, 77, 0, CENTER, true",
    "268, 100, 0, LEFT, true",
    "225, 100, 0, LEFT, false",
    "132, 100, 0, RIGHT, true",
    "175, 100, 0, RIGHT, false",
    "200, 60, 90, LEFT, false",
    "200, 78, -90, LEFT, false",
    "200, 125, 90, LEFT, false",
    "300, 60, 90, LEFT, true",
  })
  void nobodyWritesOverTheFirst(
      double x, double y, double angleDeg, TextAlignment align, boolean free) {
    assertThat(take(200, 100, 0, TextAlignment.CENTER)).isTrue();
    assertThat(take(x, y, angleDeg, align)).isEqualTo(free);
  }

  @ParameterizedTest
  @CsvSource({
    // A level line at 100 from 150 to 250 px: letters of 20 px reach 11 px to either side.
    "200, 110, 0, false",
    "200, 112, 0, true",
    "200, 90, 0, false",
    "200, 88, 0, true",
    // Beside its ends, and across it.
    "140, 100, 0, false",
    "90, 100, 0, true",
    "310, 100, 0, true",
    "200, 130, 90, false",
    "200, 155, 90, true",
  })
  void wordsOnALineAreTold(double x, double y, double angleDeg, boolean off) {
    room.keepOff(new KeepClear.Line(new Point2D(150, 100), new Point2D(250, 100)));
    assertThat(room.isOffLines(FONT, "between", x, y, angleDeg, TextAlignment.CENTER))
        .isEqualTo(off);
    // It is a wish, not a ban.
    assertThat(take(x, y, angleDeg, TextAlignment.CENTER)).isTrue();
  }

  @Test
  void whatGotNoRoomTakesNone() {
    take(200, 100, 0, TextAlignment.CENTER);
    assertThat(take(200, 110, 0, TextAlignment.CENTER)).isFalse();
    assertThat(take(200, 127, 0, TextAlignment.CENTER)).isTrue();
  }

  @Test
  void wordsStayInTheRectangle() {
    assertThat(take(-1, 100, 0, TextAlignment.LEFT)).isFalse();
    assertThat(take(390, 100, 0, TextAlignment.LEFT)).isFalse();
    assertThat(take(390, 100, 0, TextAlignment.RIGHT)).isTrue();
    assertThat(take(100, 190, 90, TextAlignment.LEFT)).isFalse();
    assertThat(take(100, 190, -90, TextAlignment.LEFT)).isTrue();
  }

  @Test
  void placesAndWordsThatStandAreKeptOff() {
    room.keepOff(50, 50, 10);
    assertThat(take(50, 68, 0, TextAlignment.CENTER)).isFalse();
    assertThat(take(50, 72, 0, TextAlignment.CENTER)).isTrue();
    room.write(FONT, "between", 300, 5, TextAlignment.CENTER);
    assertThat(take(300, 20, 0, TextAlignment.CENTER)).isFalse();
  }
}
