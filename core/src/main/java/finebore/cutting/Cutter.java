package finebore.cutting;

import finebore.code.RuleViolation;
import finebore.code.Term;
import finebore.quantity.Quantity;
import finebore.seat.Arc;
import finebore.seat.Cut;
import finebore.seat.Element;
import finebore.section.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * A form cutter of the rack: a rigid profile of angles and arcs.
 *
 * @param name what the shop calls it
 * @param use what it is for, free text
 * @param elements its profile from the chamber to the port
 * @param sealing which element cuts the sealing face, an index; it must be a cut
 */
public record Cutter(String name, String use, List<Element> elements, int sealing) {

  /** Chords that an arc is drawn with. */
  public static final int DRAWN_CHORDS = 24;

  public Cutter {
    elements = List.copyOf(elements);
    if (name.isBlank() || name.length() > 80) {
      throw RuleViolation.of("cutterName").with("value", Term.count(name.length()));
    }
    if (elements.isEmpty()) {
      throw RuleViolation.of("cutterNeedsAngle");
    }
    if (sealing < 0 || sealing >= elements.size() || !(elements.get(sealing) instanceof Cut seal)) {
      throw RuleViolation.of("sealingElement")
          .with("elements", Term.count(elements.size()))
          .with("value", Term.count(sealing + 1));
    }
    Quantity.SEALING_ANGLE.check(seal.angleDeg());
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
        case Cut(double deg, double mm) -> go(points, deg, mm);
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
    return ((Cut) elements.get(sealing)).angleDeg();
  }
}
