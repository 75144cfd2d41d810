package finebore.flow.field;

import finebore.flow.Direction;
import finebore.section.Point;
import finebore.section.Profile;
import finebore.section.Surface;
import finebore.section.Surface.Trace;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/** Shapes of a 42 mm valve that flow was worked out for elsewhere: exact walls, from files. */
record Orientation(Profile wall, Profile valve) {

  static final double HEAD_MM = 42;

  static Orientation shape(String name) {
    List<Point> points = new ArrayList<>();
    List<Surface> surfaces = new ArrayList<>();
    Profile wall = null;
    for (String line : lines(name)) {
      if (line.startsWith("valve")) {
        wall = new Profile(points, surfaces);
      }
      if (line.startsWith("wall") || line.startsWith("valve")) {
        points.clear();
        surfaces.clear();
        continue;
      }
      String[] words = line.split("\\s+");
      if (line.startsWith("#") || words.length != 3) {
        continue;
      }
      points.add(new Point(Double.parseDouble(words[0]), Double.parseDouble(words[1])));
      if (!words[2].equals("-")) {
        surfaces.add(surface(words[2]));
      }
    }
    return new Orientation(wall, new Profile(points, surfaces));
  }

  AirQuestion at(double liftMm, Turbulence turbulence, Fineness fineness) {
    return new AirQuestion(
        wall, valve.raised(liftMm), HEAD_MM / 2, Direction.INTAKE, turbulence, fineness);
  }

  /** Effective area over the curtain's, pi D L. */
  static double onCurtain(AirFlow flow, double liftMm) {
    return flow.effectiveAreaMm2() / (Math.PI * HEAD_MM * liftMm);
  }

  private static Surface surface(String tag) {
    if (tag.startsWith("CUT")) {
      String[] parts = tag.substring(3).split(":");
      return Surface.cut(Integer.parseInt(parts[0]), Double.parseDouble(parts[1]));
    }
    return Surface.of(
        switch (tag) {
          case "ROOF" -> Trace.CHAMBER_ROOF;
          case "RIDGE" -> Trace.OLD_CUT_ABOVE;
          case "SHOULDER" -> Trace.THROAT_SHOULDER;
          case "THROAT" -> Trace.THROAT;
          case "MARGIN" -> Trace.MARGIN;
          case "FACE" -> Trace.VALVE_FACE;
          case "UNDERHEAD" -> Trace.UNDERHEAD;
          case "STEM" -> Trace.STEM;
          default -> Trace.BACK_CUT;
        });
  }

  private static List<String> lines(String name) {
    try (BufferedReader file =
        new BufferedReader(
            new InputStreamReader(
                Objects.requireNonNull(Orientation.class.getResourceAsStream(name + ".geo"), name),
                StandardCharsets.UTF_8))) {
      return file.lines().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
