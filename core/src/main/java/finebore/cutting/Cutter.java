package finebore.cutting;

import finebore.seat.Cut;
import finebore.section.Bounds;
import java.util.ArrayList;
import java.util.List;

/**
 * A form cutter of the rack: a rigid profile of angles and arcs.
 *
 * @param name what the shop calls it
 * @param use what it is for, free text
 * @param elements its profile from the chamber to the port
 * @param sealing which element cuts the sealing face, an index; it must be an angle
 */
public record Cutter(String name, String use, List<Element> elements, int sealing) {

  /** An arc is cut as chords that turn by no more than this, degrees. */
  private static final double CHORD_DEG = 5;

  /** A stretch of the profile. */
  public sealed interface Element {

    /** The cuts that make it up. */
    List<Cut> cuts();
  }

  /** A straight stretch. */
  public record Angle(Cut cut) implements Element {
    @Override
    public List<Cut> cuts() {
      return List.of(cut);
    }
  }

  /**
   * An arc from one angle to a steeper one.
   *
   * @param fromDeg angle at its chamber end
   * @param toDeg angle at its port end
   * @param radiusMm radius
   */
  public record Arc(double fromDeg, double toDeg, double radiusMm) implements Element {

    public Arc {
      Bounds.check("arc's first angle", fromDeg, 0, 90, "degrees");
      Bounds.check("arc's last angle", toDeg, 0, 90, "degrees");
      Bounds.check("arc radius", radiusMm, 0.1, 100, "mm");
      if (toDeg <= fromDeg) {
        throw new IllegalArgumentException(
            "an arc must end steeper than it begins, was " + fromDeg + " to " + toDeg + " degrees");
      }
    }

    @Override
    public List<Cut> cuts() {
      int chords = (int) Math.ceil((toDeg - fromDeg) / CHORD_DEG - 1e-9);
      double turn = (toDeg - fromDeg) / chords;
      // Chords are as long as they are between points on the arc.
      double width = 2 * radiusMm * Math.sin(Math.toRadians(turn) / 2);
      List<Cut> cuts = new ArrayList<>();
      for (int k = 0; k < chords; k++) {
        cuts.add(new Cut(fromDeg + (k + 0.5) * turn, width));
      }
      return cuts;
    }
  }

  public Cutter {
    elements = List.copyOf(elements);
    if (name.isBlank() || name.length() > 80) {
      throw new IllegalArgumentException("cutter name must have 1 to 80 characters, was " + name);
    }
    if (elements.isEmpty()) {
      throw new IllegalArgumentException("a cutter needs at least one angle");
    }
    if (sealing < 0
        || sealing >= elements.size()
        || !(elements.get(sealing) instanceof Angle angle)) {
      throw new IllegalArgumentException(
          "the sealing element must be one of the cutter's "
              + elements.size()
              + " elements and an angle, was number "
              + (sealing + 1));
    }
    Bounds.check("sealing angle of the cutter", angle.cut().angleDeg(), 10, 75, "degrees");
  }

  /** All its cuts from the chamber to the port, arcs as chords. */
  public List<Cut> cuts() {
    return elements.stream().flatMap(e -> e.cuts().stream()).toList();
  }

  /** Which of the cuts is the sealing one. */
  public int sealingCut() {
    return elements.subList(0, sealing).stream().mapToInt(e -> e.cuts().size()).sum();
  }

  /** Its sealing angle, degrees. */
  public double sealingAngleDeg() {
    return ((Angle) elements.get(sealing)).cut().angleDeg();
  }

  /** Its profile in a line: "30° 1 / 45° 1.2 / R 3 60-80°", lengths in mm. */
  public String inWords() {
    List<String> words = new ArrayList<>();
    for (Element element : elements) {
      words.add(
          switch (element) {
            case Angle(Cut cut) ->
                Cut.angleText(cut.angleDeg()) + "° " + Cut.angleText(cut.widthMm());
            case Arc(double from, double to, double radius) ->
                "R"
                    + Cut.angleText(radius)
                    + " "
                    + Cut.angleText(from)
                    + "-"
                    + Cut.angleText(to)
                    + "°";
          });
    }
    return String.join(" / ", words);
  }
}
