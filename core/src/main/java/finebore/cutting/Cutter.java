package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.seat.Cut;
import finebore.section.Point;
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

  /** Chords that an arc is drawn with. */
  public static final int DRAWN_CHORDS = 24;

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
      Quantity.ARC_FROM.check(fromDeg);
      Quantity.ARC_TO.check(toDeg);
      Quantity.ARC_RADIUS.check(radiusMm);
      if (toDeg <= fromDeg) {
        throw RuleViolation.of("arcRises")
            .with("from", Term.angle(fromDeg))
            .with("to", Term.angle(toDeg));
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
      throw RuleViolation.of("cutterName").with("value", Term.count(name.length()));
    }
    if (elements.isEmpty()) {
      throw RuleViolation.of("cutterNeedsAngle");
    }
    if (sealing < 0
        || sealing >= elements.size()
        || !(elements.get(sealing) instanceof Angle angle)) {
      throw RuleViolation.of("sealingElement")
          .with("elements", Term.count(elements.size()))
          .with("value", Term.count(sealing + 1));
    }
    Quantity.SEALING_ANGLE.check(angle.cut().angleDeg());
  }

  /** All its cuts from the chamber to the port, arcs as chords. */
  public List<Cut> cuts() {
    return elements.stream().flatMap(e -> e.cuts().stream()).toList();
  }

  /**
   * Its profile to draw: from the chamber at the outside in to the port, mm from where it begins;
   * an angle goes on by one point, an arc by {@link #DRAWN_CHORDS}.
   */
  public List<Point> outline() {
    List<Point> points = new ArrayList<>(List.of(new Point(0, 0)));
    for (Element element : elements) {
      switch (element) {
        case Angle(Cut cut) -> go(points, cut.angleDeg(), cut.widthMm());
        case Arc arc -> {
          double turn = (arc.toDeg() - arc.fromDeg()) / DRAWN_CHORDS;
          double chord = 2 * arc.radiusMm() * Math.sin(Math.toRadians(turn) / 2);
          for (int k = 0; k < DRAWN_CHORDS; k++) {
            go(points, arc.fromDeg() + (k + 0.5) * turn, chord);
          }
        }
      }
    }
    return points;
  }

  private static void go(List<Point> points, double angleDeg, double lengthMm) {
    Point from = points.getLast();
    double angle = Math.toRadians(angleDeg);
    points.add(
        new Point(from.r() - lengthMm * Math.cos(angle), from.z() + lengthMm * Math.sin(angle)));
  }

  /** Which of the cuts is the sealing one. */
  public int sealingCut() {
    return elements.subList(0, sealing).stream().mapToInt(e -> e.cuts().size()).sum();
  }

  /** Its sealing angle, degrees. */
  public double sealingAngleDeg() {
    return ((Angle) elements.get(sealing)).cut().angleDeg();
  }
}
