package finebore.reports;

import finebore.cutting.Cutter;
import finebore.seat.Cut;
import finebore.units.Dimension;
import finebore.words.Words;
import java.util.List;
import java.util.stream.Collectors;

/** Shapes spelled out in a line. */
public final class Spelled {

  private Spelled() {}

  /** A cutter's profile from the chamber to the port: "30° 1.00 / 45° 1.20 / R 3.00 60-80° mm". */
  public static String profile(Cutter cutter, Words words) {
    List<String> parts = cutter.elements().stream().map(e -> element(e, words)).toList();
    return parts.stream().collect(Collectors.joining(" / "))
        + " "
        + words.units().length().symbol();
  }

  private static String element(Cutter.Element element, Words words) {
    return switch (element) {
      case Cutter.Angle(Cut cut) ->
          words.figure(Dimension.ANGLE, cut.angleDeg())
              + " "
              + words.units().shortLength(cut.widthMm());
      case Cutter.Arc(double from, double to, double radius) ->
          "R "
              + words.units().shortLength(radius)
              + " "
              + words.units().entry(Dimension.ANGLE, from)
              + "-"
              + words.figure(Dimension.ANGLE, to);
    };
  }
}
