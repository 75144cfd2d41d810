package finebore.reports;

import finebore.cutting.Cutter;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
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

  /** A cut or an arc with its figures, lengths without their unit. */
  public static String element(Element element, Words words) {
    return switch (element) {
      case Cut(double deg, double mm) ->
          words.figure(Dimension.ANGLE, deg) + " " + words.units().shortLength(mm);
      case Arc(double from, double to, double radius) ->
          "R "
              + words.units().shortLength(radius)
              + " "
              + words.units().entry(Dimension.ANGLE, from)
              + "-"
              + words.figure(Dimension.ANGLE, to);
    };
  }
}
