package finebore.desk.controls;

import finebore.desk.theme.Palette;
import finebore.desk.theme.Theme;
import finebore.found.Measure;
import finebore.found.SeatReadings;
import finebore.room.Room;
import finebore.space.Rim;
import finebore.words.UnitSystem;
import java.util.OptionalDouble;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/**
 * What was read of a valve's place and of the walls round it, written into the drawing.
 *
 * @param text size of the words, px
 */
record MeasuredMarks(
    GraphicsContext g, Palette colours, double text, RoomScale scale, UnitSystem units) {

  private static final double TICK_PX = 4;

  void draw(SeatReadings readings, Room room, Rim found) {
    gaps(readings, room, found);
    place(room);
  }

  /** Each gap by the wall it was read to. */
  private void gaps(SeatReadings readings, Room room, Rim found) {
    for (int k = 0; k < Measure.CHAMBER_WALL.size(); k++) {
      OptionalDouble gap = readings.value(Measure.CHAMBER_WALL.get(k));
      if (gap.isEmpty() || room.chamber().isEmpty()) {
        continue;
      }
      double angle = 2 * Math.PI * k / Measure.CHAMBER_WALL.size();
      double reach = found.reachMm(Math.sin(angle), Math.cos(angle)) + gap.getAsDouble();
      double from = reach * scale.pxPerMm() + 1.3 * text;
      boxed(
          units.lengthNumber(gap.getAsDouble()),
          scale.x(found.alongMm()) + from * Math.sin(angle),
          scale.y(found.acrossMm()) - from * Math.cos(angle),
          colours.text());
    }
  }

  /** How far the axis lies from the bore's centre, along and across, as a drawing has it. */
  private void place(Room room) {
    double x = scale.x(room.alongMm());
    double y = scale.y(room.acrossMm());
    double middleX = scale.x(0);
    double middleY = scale.y(0);
    g.setStroke(colours.blue());
    g.setLineWidth(1);
    g.strokeLine(middleX - TICK_PX, middleY, middleX + TICK_PX, middleY);
    g.strokeLine(middleX, middleY - TICK_PX, middleX, middleY + TICK_PX);
    g.setLineDashes(4, 3);
    g.strokeLine(middleX, middleY, x, middleY);
    g.strokeLine(x, middleY, x, y);
    g.setLineDashes();
    g.strokeLine(x - TICK_PX, y, x + TICK_PX, y);
    String across = number(room.acrossMm());
    double up = room.acrossMm() < 0 ? -1 : 1;
    double out = room.alongMm() < 0 ? -1 : 1;
    boxed(number(room.alongMm()), (middleX + x) / 2, middleY + up * 0.85 * text, colours.blue());
    boxed(
        across, x + out * (0.3 * across.length() + 0.5) * text, (middleY + y) / 2, colours.blue());
  }

  private String number(double mm) {
    // Nobody measures a place closer.
    double hundredths = Math.round(100 * Math.abs(mm)) / 100.0;
    return (mm < 0 ? "\u2212" : "") + units.lengthNumber(hundredths);
  }

  private void boxed(String words, double x, double y, Color colour) {
    double wide = 0.55 * words.length() * text;
    g.setFill(colours.paper());
    g.fillRect(x - wide / 2 - 2, y - 0.65 * text, wide + 4, 1.3 * text);
    DrawnRegion.write(g, Theme.words(text), words, x, y, colour, TextAlignment.CENTER);
  }
}
